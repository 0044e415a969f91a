// A store of its own in a directory of its own, for tests.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { readSet } from '@parlor/core/set';
import { openOwn } from './shelf/index.ts';
import type { Save } from './store/index.ts';

export const root = resolve(import.meta.dirname, '../..');

/** What a shelf in a directory is opened with. */
export const placesFor = (directory: string) => ({
  directory,
  migrations: join(root, 'server/migrations'),
  prepared: join(root, 'server/dist/prepared'),
  probe: null,
});

/** A store begun from the prepared database, or what stands in the directory. */
export const freshStore = async (directory = mkdtempSync(join(tmpdir(), 'parlor-store-')), clock = () => new Date()) => ({
  ...(await openOwn(placesFor(directory), false, clock, () => undefined)),
  directory,
});

/** A save that gives a set another name, as an edit. */
export const renamed = (name: string, words = 'x'): Save => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name });
  if (!read.ok) throw new Error(`the test document is bad: ${JSON.stringify(read.error)}`);
  return { document: read.value, edits: [{ kind: 'change-set', change: { name } }], words };
};
