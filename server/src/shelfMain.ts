// The shelf on the command line: `keep --out FILE`, `restore FILE`, `check [--mend]`.
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { checkShelf, keepShelf, placesIn, readConfig, restoreShelf, StartError } from './app/index.ts';
import { faultDetails, jsonLog } from './http/index.ts';

process.umask(0o077);

const USAGE = `npm run --silent parlor -- keep --out FILE     everything on the shelf into one file, also while the application runs
npm run --silent parlor -- restore FILE        brings such a file back beside what is there; nothing is written over
npm run --silent parlor -- check [--mend]      reads everything that is kept and says what is whole; mends only when told`;

const say = (line: string): void => void process.stdout.write(`${line}\n`);
const complain = (line: string): void => void process.stderr.write(`${line}\n`);

const read = () => {
  const { positionals, values } = parseArgs({
    allowPositionals: true,
    options: { out: { type: 'string' }, mend: { type: 'boolean', default: false } },
  });
  const [command, file] = positionals;
  const { out, mend } = values;
  if (command === 'keep' && out !== undefined) return { command, path: out, mend } as const;
  if (command === 'restore' && file !== undefined) return { command, path: file, mend } as const;
  if (command === 'check') return { command, path: '', mend } as const;
  throw new StartError(USAGE);
};

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');

const main = async (): Promise<number> => {
  const { command, path, mend } = read();
  const config = readConfig({ ...process.env, PARLOR_HOST: '', PARLOR_PROXY: '' }, root);
  const [places, log] = [placesIn(root), jsonLog(complain, config.log, () => new Date())];
  switch (command) {
    case 'keep':
      await keepShelf(config, places, path, say, log);
      return 0;
    case 'restore':
      await restoreShelf(config, places, path, say, log);
      return 0;
    case 'check':
      if (config.databaseUrl !== null)
        throw new StartError('A PostgreSQL server checks its own database (pg_amcheck); this checks a data directory.');
      return (await checkShelf(config, places, mend, say)) === 0 ? 0 : 1;
  }
};

main().then(
  (status) => process.exit(status),
  (problem: unknown) => {
    if (problem instanceof StartError || (problem as { code?: string }).code?.startsWith('ERR_PARSE_ARGS'))
      complain((problem as Error).message);
    else complain(`It could not be done. This is a bug, or a disk that does not answer.\n${JSON.stringify(faultDetails(problem))}`);
    process.exit(2);
  },
);
