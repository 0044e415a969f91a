// A PostgreSQL server of the tests' own, from Debian's package, on a socket in a directory of its own.
import { execFileSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const DEBIAN = '/usr/lib/postgresql';

/** Where the server's programs are; undefined where it is not installed. */
export const findPostgres = (): string | undefined => {
  const versions = existsSync(DEBIAN) ? readdirSync(DEBIAN).sort((a, b) => Number(b) - Number(a)) : [];
  return versions.map((version) => join(DEBIAN, version, 'bin')).find((bin) => existsSync(join(bin, 'initdb')));
};

/** `crash` ends it at once and starts it again, as a server that falls over and is set up again. */
export type Cluster = { readonly url: string; readonly crash: () => void; readonly stop: () => void };

/** Makes and starts a cluster. The server refuses to run as root, so there it runs as Debian's own user for it. */
export const startCluster = (bin: string): Cluster => {
  const place = mkdtempSync(join(tmpdir(), 'parlor-postgres-'));
  chmodSync(place, 0o777);
  const asRoot = process.getuid?.() === 0;
  const run = (program: string, ...words: string[]) => {
    const [command, rest] = asRoot ? ['runuser', ['-u', 'postgres', '--', join(bin, program), ...words]] : [join(bin, program), words];
    execFileSync(command, rest, { stdio: ['ignore', 'ignore', 'inherit'], cwd: place, timeout: 60_000 });
  };
  const data = join(place, 'data');
  run('initdb', '-D', data, '-U', 'parlor', '--auth=trust', '-E', 'UTF8', '--no-sync');
  const begin = () =>
    run('pg_ctl', '-D', data, '-w', '-l', join(place, 'log'), '-o', `-k ${place} -c listen_addresses= -c fsync=off`, 'start');
  begin();
  return {
    crash: () => {
      run('pg_ctl', '-D', data, '-m', 'immediate', 'stop');
      begin();
    },
    url: `postgres://parlor@localhost/postgres?host=${encodeURIComponent(place)}`,
    stop: () => {
      run('pg_ctl', '-D', data, '-m', 'immediate', 'stop');
      rmSync(place, { recursive: true, force: true });
    },
  };
};
