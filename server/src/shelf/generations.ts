// Whole copies of the shelf beside the database, each with a list of what must be in it. From them and the journal the shelf is made anew when its
// database cannot be read.
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { copyLines, makeOwnDirectory, readCopy, removeDurably, sumOfFile, writeCopy, writeDurably } from '../disk/index.ts';
import { type Db, pictures, presets, type Row, rowsOf, sets } from '../store/index.ts';

/** What a copy holds. `number` is the last journal entry that is in it for certain; `sets` are ids with their revisions and whether they are off
 *  the shelf. */
export type Generation = {
  readonly name: string;
  readonly number: number;
  readonly at: string;
  readonly bytes: number;
  readonly sum: string;
  readonly sets: readonly (readonly [id: string, revision: number, away: boolean])[];
  readonly presets: readonly string[];
  readonly pictures: readonly string[];
};

const NEWEST = 3;
const DAYS = 7;

export const copiesIn = (directory: string): string => join(directory, 'copies');

const fileOf = (directory: string, name: string): string => join(copiesIn(directory), `${name}.shelf`);
const listOf = (directory: string, name: string): string => join(copiesIn(directory), `${name}.json`);

const sumOfText = (text: string): string => createHash('sha256').update(text).digest('hex');

const readList = (directory: string, name: string): Generation | undefined => {
  try {
    const { list, sum } = JSON.parse(readFileSync(listOf(directory, name), 'utf8'));
    return sumOfText(JSON.stringify(list)) === sum && existsSync(fileOf(directory, name)) ? list : undefined;
  } catch {
    return undefined;
  }
};

/** The copies whose lists can be read, the newest first, and the names of those whose lists cannot. */
export const listGenerations = (directory: string): { readonly sound: readonly Generation[]; readonly damaged: readonly string[] } => {
  if (!existsSync(copiesIn(directory))) return { sound: [], damaged: [] };
  const names = readdirSync(copiesIn(directory)).flatMap((name) => (name.endsWith('.shelf') ? [name.slice(0, -'.shelf'.length)] : []));
  const read = names.map((name) => [name, readList(directory, name)] as const);
  return {
    sound: read.flatMap(([, list]) => (list ? [list] : [])).sort((a, b) => b.number - a.number || b.name.localeCompare(a.name)),
    damaged: read.flatMap(([name, list]) => (list ? [] : [name])),
  };
};

/** Which copies are kept: the newest three, and the newest of each of the seven newest days on which there is one. */
export const worthKeeping = (newestFirst: readonly Generation[]): readonly Generation[] => {
  const days = new Set<string>();
  return newestFirst.filter(({ at }, index) => {
    const day = at.slice(0, 10);
    const firstOfDay = !days.has(day) && days.size < DAYS;
    if (firstOfDay) days.add(day);
    return index < NEWEST || firstOfDay;
  });
};

const stamp = (at: Date): string => at.toISOString().slice(0, 19).replace(/[:-]/g, '');

/** Writes a copy of the shelf as it stands, and reads it back: a copy that nobody has read is none.
 *  `number` is the journal's last entry before this was called; whatever is saved meanwhile comes after it. */
export const writeGeneration = async (db: Db, directory: string, number: number, at: Date): Promise<Generation> => {
  const name = `${String(number).padStart(12, '0')}-${stamp(at)}`;
  const path = fileOf(directory, name);
  makeOwnDirectory(copiesIn(directory));
  const { sum, bytes } = await writeCopy(path, copyLines(number, at.toISOString(), rowsOf(db, null)));
  for await (const _ of readCopy(createReadStream(path)));
  const found = await db.select({ id: sets.id, revision: sets.revision, deletedAt: sets.deletedAt }).from(sets);
  const list: Generation = {
    ...{ name, number, at: at.toISOString(), bytes, sum },
    sets: found.map(({ id, revision, deletedAt }) => [id, revision, deletedAt !== null] as const),
    presets: (await db.select({ id: presets.id }).from(presets)).map(({ id }) => id),
    pictures: (await db.select({ id: pictures.id }).from(pictures)).map(({ id }) => id),
  };
  writeDurably(listOf(directory, name), JSON.stringify({ list, sum: sumOfText(JSON.stringify(list)) }));
  return list;
};

/** Drops copies that are kept no longer. Gives back those that are. */
export const dropOldGenerations = (directory: string): readonly Generation[] => {
  const { sound } = listGenerations(directory);
  const kept = worthKeeping(sound);
  const old = sound.filter((each) => !kept.includes(each));
  removeDurably(
    copiesIn(directory),
    old.flatMap(({ name }) => [`${name}.json`, `${name}.shelf`]),
  );
  return kept;
};

/** Whether a copy's file is the very one that was written. */
export const isWhole = async (directory: string, { name, sum }: Generation): Promise<boolean> =>
  (await sumOfFile(fileOf(directory, name)).catch(() => '')) === sum;

/** The rows of a copy. */
export async function* rowsIn(directory: string, { name }: Generation): AsyncGenerator<Row> {
  for await (const line of readCopy(createReadStream(fileOf(directory, name)))) yield JSON.parse(line) as Row;
}
