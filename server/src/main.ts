import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { placesIn, readConfig, run } from './app/index.ts';
import { jsonLog } from './http/index.ts';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
const say = (line: string) => process.stdout.write(`${line}\n`);
const complain = (line: string) => process.stderr.write(`${line}\n`);

try {
  const config = readConfig(process.env, root);
  const running = await run(
    config,
    placesIn(root),
    jsonLog(complain, config.log, () => new Date()),
  );
  if (running.moved) say(`Port ${config.port} is busy, so the next free one is used.`);
  say(`Bashful Parlor is open at ${running.address}`);
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      running.stop().then(
        () => process.exit(0),
        () => process.exit(1),
      );
    });
  }
} catch (problem) {
  complain(problem instanceof Error ? problem.message : String(problem));
  process.exit(1);
}
