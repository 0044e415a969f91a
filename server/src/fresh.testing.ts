// A store of its own in a directory of its own, for tests.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { openOwn } from './shelf/index.ts';

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
