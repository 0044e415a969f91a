// `npm run bench` times the application; `npm run bench:cut` says how near to the least possible the boards and sticks come; `npm run bench:presets` plans every preset; `npm run bench:trust` does
// to a shelf what can happen to one, a thousand times.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, installTestTools, root } from './setup.mjs';

const [what = 'main', ...rest] = process.argv.slice(2);
install();
if (what !== 'cut') {
  installTestTools();
  build();
}

// Bundled as the server and the workers are: what runs straight from TypeScript carries names along and is timed slower than what is shipped.
const { build: bundle } = await import('esbuild');
/** Packages that Node cannot load as they are published; they are bundled. */
const UNREADY = ['maxrects-packer'];
const packages = ['.', 'core', 'server', 'cli', 'bench', 'e2e'].flatMap((folder) => {
  const { dependencies = {}, devDependencies = {} } = JSON.parse(readFileSync(join(root, folder, 'package.json'), 'utf8'));
  return Object.keys({ ...dependencies, ...devDependencies }).filter((name) => !name.startsWith('@parlor/') && !UNREADY.includes(name));
});
await bundle({
  entryPoints: [join(root, `bench/src/${what}.ts`)],
  outdir: join(root, 'bench/dist'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  mainFields: ['module', 'main'],
  external: packages.flatMap((name) => [name, `${name}/*`]),
  logLevel: 'warning',
});
execFileSync(process.execPath, [join(root, `bench/dist/${what}.js`), ...rest], { cwd: root, stdio: 'inherit' });
