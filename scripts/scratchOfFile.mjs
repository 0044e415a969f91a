// Run before each file of tests: what the file and the programs that it starts lay out goes when the file ends.
import { chmodSync, mkdtempSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll } from 'vitest';
import { away } from './scratch.mjs';

const folder = mkdtempSync(join(process.env.PARLOR_SCRATCH, 'file-'));
chmodSync(folder, 0o711);
process.env.TMPDIR = folder;
afterAll(() => away(folder));
