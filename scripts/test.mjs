// All checks, after setting up what they need. Ends with the counts of the test runner on a line of their own.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, install, installTestTools, root } from './setup.mjs';

install();
installTestTools();
build();

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

const report = join(mkdtempSync(join(tmpdir(), 'parlor-tests-')), 'report.json');
const still = [
  ['types of core, server and cli', bin('tsc'), '-p', '.'],
  ['types of web', bin('tsc'), '-p', 'web'],
  ['types of e2e and bench', bin('tsc'), '-p', 'e2e'],
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
await Promise.all([work(still), work(still)]);
await work([tests]);

let counts = { numPassedTests: 0, numFailedTests: 0 };
try {
  counts = JSON.parse(readFileSync(report, 'utf8'));
} catch {
  failed.push('the test report is missing');
}
if (counts.numPassedTests === 0) failed.push('no test ran');
if (failed.length > 0) process.stdout.write(`Failed: ${failed.join(', ')}\n`);
process.stdout.write(`${counts.numPassedTests} passed, ${counts.numFailedTests} failed\n`);
process.exit(failed.length > 0 ? 1 : 0);
