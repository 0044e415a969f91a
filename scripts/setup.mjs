// What a machine needs before anything runs: packages, builds, a browser for the tests. Node's own modules only.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const stamps = join(root, 'node_modules/.parlor');

const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

const stampIs = (name, value) => existsSync(join(stamps, name)) && readFileSync(join(stamps, name), 'utf8') === value;

const stamp = (name, value) => {
  mkdirSync(stamps, { recursive: true });
  writeFileSync(join(stamps, name), value);
};

const filesIn = (path) => {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .filter((name) => name !== 'node_modules' && name !== 'dist')
    .sort()
    .flatMap((name) => filesIn(join(path, name)));
};

const hashOf = (paths) => {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((path) => filesIn(join(root, path)))) hash.update(file.slice(root.length)).update(readFileSync(file));
  return hash.digest('hex');
};

/** Installs the packages when the lock file has changed since they were installed last. */
export const install = () => {
  const wanted = hashOf(['package-lock.json']);
  if (stampIs('lock', wanted)) return;
  process.stderr.write('Installing packages (a minute or two) …\n');
  // Not `npm ci`: it refuses a lock file without every platform's optional packages, and not every registry has them all. With
  // --no-save the versions are still those of the lock file, and the lock file stays as it is.
  execFileSync(npm, ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: ['ignore', 2, 2] });
  stamp('lock', wanted);
};

const SOURCES = ['core', 'server', 'cli', 'web', 'demo', 'scripts/build.mjs', 'package-lock.json', 'tsconfig.base.json'];

/** Builds when a source has changed since the last build, or a build is missing. */
export const build = () => {
  const wanted = hashOf(SOURCES);
  const made = [
    'server/dist/main.js',
    'server/dist/shelfMain.js',
    'server/dist/pictureMain.js',
    'server/dist/prepared',
    'cli/dist/main.js',
    'web/dist/index.html',
  ];
  if (stampIs('build', wanted) && made.every((path) => existsSync(join(root, path)))) return;
  process.stderr.write('Building (half a minute) …\n');
  rmSync(join(stamps, 'build'), { force: true });
  execFileSync(process.execPath, [join(root, 'scripts/build.mjs')], { cwd: root, stdio: ['ignore', 2, 2] });
  stamp('build', wanted);
};

const programs = (names) => names.every((name) => spawnSync('which', [name], { stdio: 'ignore' }).status === 0);

const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
const apt = (...words) => {
  const [command, ...rest] = [...asRoot, 'apt-get', ...words];
  const { status } = spawnSync(command, rest, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  return status === 0;
};

/** Installs the browser and the page reader that the tests use, and a PostgreSQL server for those who keep their sets on one, where this
 *  may be done. Says what to do where the first two are missing; without the third its tests are left out, and that is said. */
export const installTestTools = () => {
  const wanted = ['chromium', 'pdftoppm'];
  const hasPostgres = () => existsSync('/usr/lib/postgresql');
  if (programs(wanted) && hasPostgres()) return;
  process.stderr.write('Installing chromium, poppler-utils and postgresql for the tests …\n');
  apt('update', '-qq');
  if (!programs(wanted)) apt('install', '-y', '-qq', '--no-install-recommends', 'chromium', 'poppler-utils');
  if (!hasPostgres()) apt('install', '-y', '-qq', '--no-install-recommends', 'postgresql');
  if (!hasPostgres()) process.stderr.write('PostgreSQL could not be installed here; the tests on a PostgreSQL server are left out.\n');
  if (!programs(wanted))
    throw new Error(
      'The browser tests need chromium and poppler-utils; they could not be installed here. Install them and run npm test again.',
    );
};
