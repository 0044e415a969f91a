// All checks, after setting up what they need. Ends with the counts of the test runner on a line of their own.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, install, installTestTools, root } from './setup.mjs';

install();
installTestTools();
build();

const bin = (name) => join(root, 'node_modules/.bin', name);
const run = (title, command, ...words) => {
  const start = Date.now();
  const { status } = spawnSync(command, words, { cwd: root, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, CI: 'true' } });
  process.stdout.write(`${status === 0 ? 'ok' : 'FAILED'}  ${title} (${((Date.now() - start) / 1000).toFixed(1)} s)\n`);
  return status === 0;
};

const report = join(mkdtempSync(join(tmpdir(), 'parlor-tests-')), 'report.json');
const checks = [
  ['format and lint', bin('biome'), 'check', '--error-on-warnings', '.'],
  ...['core', 'server', 'cli', 'web', 'e2e', 'bench'].map((name) => [`types of ${name}`, bin('tsc'), '-p', name]),
  ['boundaries', process.execPath, 'scripts/boundaries.mjs'],
  ['unused code', bin('knip'), '--no-progress'],
  ['size of the first script', bin('size-limit')],
  ['tests', bin('vitest'), 'run', '--reporter=dot', '--reporter=json', `--outputFile.json=${report}`],
];
const failed = checks.filter((check) => !run(...check)).map(([title]) => title);

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
