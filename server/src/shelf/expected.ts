// What must be on the shelf, by the newest copy's list and the journal since: a database that holds less was damaged, whatever it says of itself.
import type { Numbered } from '../disk/index.ts';
import { type Db, type Entry, pictures, presets, type Row, sets } from '../store/index.ts';
import type { Generation } from './generations.ts';

type Expected = { readonly sets: Map<string, number>; readonly presets: Set<string>; readonly pictures: Set<string> };

const addRow = (expected: Expected, row: Row): void => {
  if (row.kind === 'set') expected.sets.set(row.id, row.revision);
  if (row.kind === 'preset') expected.presets.add(row.id);
  if (row.kind === 'picture') expected.pictures.add(row.id);
};

const addEntry = (expected: Expected, entry: Entry): void => {
  if (entry.kind === 'save' || entry.kind === 'edit') expected.sets.set(entry.id, entry.revision);
  if (entry.kind === 'purge') for (const id of entry.ids) expected.sets.delete(id);
  if (entry.kind === 'preset') expected.presets.add(entry.id);
  if (entry.kind === 'forget') expected.presets.delete(entry.id);
  if (entry.kind === 'picture') expected.pictures.add(entry.id);
  if (entry.kind === 'drop-pictures') for (const id of entry.ids) expected.pictures.delete(id);
  if (entry.kind === 'rows') for (const row of entry.rows) addRow(expected, row);
};

/** What the shelf must hold. */
export const expectedOf = (from: Generation | undefined, since: readonly Numbered<Entry>[]): Expected => {
  const expected: Expected = {
    sets: new Map(from?.sets.map(([id, revision]) => [id, revision])),
    presets: new Set(from?.presets),
    pictures: new Set(from?.pictures),
  };
  for (const { entry } of since) addEntry(expected, entry);
  return expected;
};

/** How many things that must be there are not, or only in an older state. */
export const missingFrom = async (db: Db, expected: Expected): Promise<number> => {
  const there = new Map((await db.select({ id: sets.id, revision: sets.revision }).from(sets)).map(({ id, revision }) => [id, revision]));
  const named = new Set((await db.select({ id: presets.id }).from(presets)).map(({ id }) => id));
  const shown = new Set((await db.select({ id: pictures.id }).from(pictures)).map(({ id }) => id));
  const older = [...expected.sets].filter(([id, revision]) => (there.get(id) ?? 0) < revision).length;
  const without = (wanted: ReadonlySet<string>, had: ReadonlySet<string>) => [...wanted].filter((id) => !had.has(id)).length;
  return older + without(expected.presets, named) + without(expected.pictures, shown);
};
