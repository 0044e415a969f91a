import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { readSetFile } from '@parlor/core/set';
import { createSet, openDatabase } from '../store/index.ts';

/** Makes the database that a first start begins from: newest schema, and the demo sets under their file names.
 *  Throws when a demo file cannot be read, with every issue. */
export const prepare = async (target: string, migrations: string, demo: string): Promise<readonly string[]> => {
  rmSync(target, { recursive: true, force: true });
  mkdirSync(target, { recursive: true });
  const database = await openDatabase(target, migrations, null);
  const names = readdirSync(demo)
    .filter((name) => name.endsWith('.parlor.json'))
    .sort();
  for (const name of names) {
    const read = readSetFile(readFileSync(join(demo, name), 'utf8'));
    if (!read.ok) throw new Error(`${name}: ${read.error.map(({ path, message }) => `${path}: ${message}`).join('; ')}`);
    await createSet(database.db, basename(name, '.parlor.json').replace(/^\d+-/, ''), read.value);
  }
  await database.close();
  return names;
};
