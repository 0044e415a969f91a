// Builds web, server and command line, and prepares the database that a first start copies.
import { execFileSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build as bundle } from 'esbuild';
import { build as buildWeb } from 'vite';
import { root } from './setup.mjs';

const manifests = ['.', 'core', 'server', 'cli'].map((folder) => JSON.parse(readFileSync(join(root, folder, 'package.json'), 'utf8')));
const packages = [...new Set(manifests.flatMap(({ dependencies }) => Object.keys(dependencies ?? {})))].filter(
  (name) => !name.startsWith('@parlor/'),
);

const bundleNode = (entryPoints, outdir) =>
  bundle({
    entryPoints: entryPoints.map((entry) => join(root, entry)),
    outdir: join(root, outdir),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: packages.flatMap((name) => [name, `${name}/*`]),
    sourcemap: true,
    logLevel: 'warning',
  });

rmSync(join(root, 'server/dist'), { recursive: true, force: true });
rmSync(join(root, 'cli/dist'), { recursive: true, force: true });
await bundleNode(['server/src/main.ts', 'server/src/prepareMain.ts'], 'server/dist');
await bundleNode(['cli/src/main.ts'], 'cli/dist');
execFileSync(process.execPath, [join(root, 'server/dist/prepareMain.js')], { stdio: ['ignore', 'inherit', 'inherit'] });
if (!process.argv.includes('--no-web'))
  await buildWeb({ root: join(root, 'web'), configFile: join(root, 'web/vite.config.ts'), logLevel: 'warn' });
