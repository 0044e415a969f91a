import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { readSetFile } from '@parlor/core/set';
import { createSet, type Store } from '../store/index.ts';

/** Lays out the demo sets under their file names. Throws when a demo file cannot be read, with every issue. */
export const layOutDemo = async (store: Store, demo: string, at: Date): Promise<readonly string[]> => {
  const names = readdirSync(demo)
    .filter((name) => name.endsWith('.parlor.json'))
    .sort();
  for (const [index, name] of names.entries()) {
    const read = readSetFile(readFileSync(join(demo, name), 'utf8'));
    if (!read.ok) throw new Error(`${name}: ${read.error.map(({ path, message }) => `${path}: ${message}`).join('; ')}`);
    // A millisecond apart, so that the shelf keeps their order.
    const made = await createSet(store, basename(name, '.parlor.json').replace(/^\d+-/, ''), read.value, new Date(at.getTime() + index));
    if (!made.ok) throw new Error(`${name}: ${made.error.code}`);
  }
  return names;
};
