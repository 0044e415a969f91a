// All checks, after setting up what they need. Ends with the counts of the test runner on a line of their own. `check` makes those that do not run the
// program; `near` the tests of core, server and web that reach what was changed since the last commit (or since a commit that is named).
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, install, installTestTools, root } from './setup.mjs';

const [only, since] = process.argv.slice(2);
install();
if (only === undefined) installTestTools();
if (only !== 'near') build();

const bin = (name) => join(root, 'node_modules/.bin', name);
/** Runs a check and says how it went; what it printed comes out in one piece, so that checks may run side by side. */
const run = ([title, command, ...words]) =>
  new Promise((ended) => {
    const start = Date.now();
    const child = spawn(command, words, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, CI: 'true' } });
    const printed = [];
    child.stdout.on('data', (chunk) => printed.push(chunk));
    child.stderr.on('data', (chunk) => printed.push(chunk));
    child.on('close', (status) => {
      process.stdout.write(Buffer.concat(printed));
      process.stdout.write(`${status === 0 ? 'ok' : 'FAILED'}  ${title} (${((Date.now() - start) / 1000).toFixed(1)} s)\n`);
      ended(status === 0);
    });
  });

/** The compiler that is built as a program of its own takes a quarter of the time; what reads the language as a library still needs the other. */
const types = [process.execPath, join(root, 'node_modules/typescript-native/bin/tsc'), '-p'];

const scratch = mkdtempSync(join(tmpdir(), 'parlor-report-'));
const report = join(scratch, 'report.json');
const still = [
  ['types of core, server and cli', ...types, '.'],
  ['types of web', ...types, 'web'],
  ['types of e2e and bench', ...types, 'e2e'],
  ['format and lint', bin('biome'), 'check', '--error-on-warnings', '.'],
  ['boundaries', process.execPath, 'scripts/boundaries.mjs'],
  ['unused code', bin('knip'), '--no-progress'],
  ['size of the first script', bin('size-limit')],
];
const tests = ['tests', bin('vitest'), 'run', '--reporter=dot', '--reporter=json', `--outputFile.json=${report}`];

const failed = [];
/** Takes one check after the other from a list; two such hands share the list of what does not run the program. */
const work = async (list) => {
  for (let check = list.shift(); check; check = list.shift()) if (!(await run(check))) failed.push(check[0]);
};
if (only === 'near') await work([[...tests, '--project', 'unit', '--changed', since ?? 'HEAD', '--passWithNoTests']]);
else await Promise.all([work(still), work(still)]);
if (only !== undefined) {
  if (failed.length > 0) process.stdout.write(`Failed: ${failed.join(', ')}\n`);
  rmSync(scratch, { recursive: true, force: true });
  process.exit(failed.length > 0 ? 1 : 0);
}
await work([tests]);

let counts = { numPassedTests: 0, numFailedTests: 0 };
try {
  counts = JSON.parse(readFileSync(report, 'utf8'));
} catch {
  failed.push('the test report is missing');
}
rmSync(scratch, { recursive: true, force: true });
if (counts.numPassedTests === 0) failed.push('no test ran');
if (failed.length > 0) process.stdout.write(`Failed: ${failed.join(', ')}\n`);
process.stdout.write(`${counts.numPassedTests} passed, ${counts.numFailedTests} failed\n`);
process.exit(failed.length > 0 ? 1 : 0);
