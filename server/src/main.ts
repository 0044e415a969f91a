import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { placesIn, readConfig, run, StartError } from './app/index.ts';
import { faultDetails, jsonLog } from './http/index.ts';

// Whatever is written from here on is this account's alone.
process.umask(0o077);

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
const say = (line: string): void => void process.stdout.write(`${line}\n`);
const complain = (line: string): void => void process.stderr.write(`${line}\n`);

/** Reads the settings; what is wrong with them is said, and nothing of what they hold. */
const settings = () => {
  try {
    return readConfig(process.env, root);
  } catch (problem) {
    complain(problem instanceof Error ? problem.message : 'The settings cannot be read.');
    return process.exit(1);
  }
};

/** A fault that nobody foresaw is told by its kind and place: its words may quote what a maker typed. */
const tellFault = (problem: unknown): void => {
  if (problem instanceof StartError) {
    complain(problem.message);
    return;
  }
  complain('Bashful Parlor could not start. This is a bug, or a disk that does not answer; nothing was deleted.');
  complain(JSON.stringify(faultDetails(problem)));
};

const config = settings();
try {
  const running = await run(
    config,
    placesIn(root),
    jsonLog(complain, config.log, () => new Date()),
  );
  for (const line of running.told) say(line);
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
  tellFault(problem);
  process.exit(1);
}
