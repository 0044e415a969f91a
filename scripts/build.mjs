// Builds web, server and command line, and prepares the database that a first start copies.
import { execFileSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { build as bundle } from 'esbuild';
import { build as buildWeb } from 'vite';
import { root } from './setup.mjs';

/** What reads files of its own beside it, and so must stay where it was installed. Everything else is bundled: one file opens sooner than four
 *  hundred. */
const APART = ['@electric-sql/pglite', 'sharp', 'pdfkit', 'highs'];

/** Packages of the older kind ask for Node's own modules by a function that a module of the newer kind has not. */
const REQUIRE = "import { createRequire as makeRequire } from 'node:module'; const require = makeRequire(import.meta.url);";

const bundleNode = (entryPoints, outdir) =>
  bundle({
    entryPoints: entryPoints.map((entry) => join(root, entry)),
    outdir: join(root, outdir),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: [...APART.flatMap((name) => [name, `${name}/*`]), 'pg-native'],
    banner: { js: REQUIRE },
    mainFields: ['module', 'main'],
    sourcemap: true,
    logLevel: 'warning',
  });

rmSync(join(root, 'server/dist'), { recursive: true, force: true });
rmSync(join(root, 'cli/dist'), { recursive: true, force: true });
const SERVER = ['main', 'prepareMain', 'shelfMain', 'pictureMain', 'readerMain', 'probeMain'];
await bundleNode(
  SERVER.map((name) => `server/src/${name}.ts`),
  'server/dist',
);
await bundleNode(['cli/src/main.ts'], 'cli/dist');
execFileSync(process.execPath, [join(root, 'server/dist/prepareMain.js')], { stdio: ['ignore', 'inherit', 'inherit'] });
if (!process.argv.includes('--no-web'))
  await buildWeb({ root: join(root, 'web'), configFile: join(root, 'web/vite.config.ts'), logLevel: 'warn' });
