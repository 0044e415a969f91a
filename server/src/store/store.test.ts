import { appendFileSync, cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { readSet, type SetDocument } from '@parlor/core/set';
import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import {
  createSet,
  databaseIn,
  forgetPreset,
  getPicture,
  getRevision,
  getSet,
  keepPicture,
  keepPreset,
  listAway,
  listPresets,
  listRevisions,
  listSets,
  openDatabase,
  openStore,
  purgeAway,
  saveSet,
  setAway,
} from './index.ts';
import { openJournal, readJournal } from './journal.ts';

const root = resolve(import.meta.dirname, '../../..');
const place = () => mkdtempSync(join(tmpdir(), 'parlor-store-'));

const open = async (directory: string) => {
  const database = await openDatabase(directory, join(root, 'server/migrations'), join(root, 'server/dist/prepared'));
  return openStore(database, directory);
};

const named = (name: string, pieces: readonly object[] = []): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name, pieces });
  if (!read.ok) throw new Error('the test document is bad');
  return read.value;
};

const at = (day: number, minute = 0) => new Date(Date.UTC(2026, 0, day, 12, minute));

describe('the journal', () => {
  it('gives back what was appended, over several openings', () => {
    const directory = place();
    const entries = [1, 2, 3, 4].map((each) => ({ kind: 'away', id: `set-${each} ä\u2028`, at: null }) as const);
    readJournal(directory);
    for (const [index, entry] of entries.entries()) {
      const journal = openJournal(directory, index + 1);
      expect(journal.append(entry)).toBe(index + 1);
      journal.close();
    }
    expect(readJournal(directory)).toEqual({ entries: entries.map((entry, index) => ({ number: index + 1, entry })), torn: 0 });
  });

  it.each<[string, (line: Buffer) => Buffer]>([
    ['cut off', (line) => line.subarray(0, line.length - 9)],
    ['cut off before its end of line', (line) => line.subarray(0, line.length - 1)],
    ['damaged', (line) => Buffer.from(line.map((byte, index) => (index === 40 ? byte ^ 1 : byte)))],
    ['nothing but noughts', (line) => Buffer.alloc(line.length)],
  ])('leaves out a last line that is %s, and keeps what stands before', (_, spoil) => {
    const directory = place();
    readJournal(directory);
    const journal = openJournal(directory, 1);
    journal.append({ kind: 'away', id: 'whole', at: null });
    journal.append({ kind: 'away', id: 'torn', at: null });
    journal.close();
    const file = join(directory, readdirSync(directory)[0] as string);
    const text = readFileSync(file);
    const second = text.indexOf(10) + 1;
    writeFileSync(file, Buffer.concat([text.subarray(0, second), spoil(text.subarray(second))]));
    const { entries, torn } = readJournal(directory);
    expect([entries.map(({ entry }) => entry), torn]).toEqual([[{ kind: 'away', id: 'whole', at: null }], 1]);
  });

  it('drops only segments that were closed before', () => {
    const directory = place();
    readJournal(directory);
    const journal = openJournal(directory, 1);
    journal.append({ kind: 'away', id: 'a', at: null });
    const old = journal.turn();
    journal.append({ kind: 'away', id: 'b', at: null });
    journal.drop(old);
    journal.close();
    expect(readJournal(directory).entries.map(({ number }) => number)).toEqual([2]);
  });
});

describe('a store and its journal', () => {
  it('does again what the database lost of its last writes: saves, history, new sets, what went off the shelf', async () => {
    const directory = place();
    const { store } = await open(directory);
    await store.db.execute(sql`checkpoint`);
    const before = join(directory, 'as-it-was');
    cpSync(databaseIn(directory), before, { recursive: true });
    expect(await createSet(store, 'new', named('New'), at(1))).toMatchObject({ ok: true });
    expect(await saveSet(store, 'new', 1, named('Newer'), at(2))).toMatchObject({ ok: true, value: { revision: 2 } });
    expect(await saveSet(store, 'potting-shed', 1, named('Shed'), at(3))).toMatchObject({ ok: true });
    expect(await setAway(store, 'night-ferry-hall', at(4))).toMatchObject({ ok: true });
    const [piece] = named('Shed', [{ name: 'Stool' }]).pieces;
    for (const id of ['kept', 'gone'])
      expect(await keepPreset(store, id, piece as NonNullable<typeof piece>, at(5))).toMatchObject({ ok: true });
    expect(await forgetPreset(store, 'gone')).toMatchObject({ ok: true });
    const picture = { mime: 'image/png', width: 2, height: 1, bytes: Uint8Array.of(0, 255, 10, 13) };
    const kept = await keepPicture(store, picture, at(6));
    // The power goes: the process ends at once, and the disk has what it had before.
    const journal = join(directory, 'journal');
    const written = readJournal(journal).entries.length;
    expect(written).toBe(8);
    const after = place();
    cpSync(before, databaseIn(after), { recursive: true });
    cpSync(journal, join(after, 'journal'), { recursive: true });
    const again = await open(after);
    expect(again).toMatchObject({ replayed: 8, torn: 0 });
    expect(await listPresets(again.store)).toMatchObject([{ id: 'kept', name: 'Stool' }]);
    const had = await getPicture(again.store, kept.ok ? kept.value.id : '');
    expect(had).toMatchObject({ ok: true, value: { mime: 'image/png', width: 2, height: 1 } });
    expect(had.ok && [...had.value.bytes]).toEqual([0, 255, 10, 13]);
    expect(await getSet(again.store.db, 'new')).toMatchObject({ ok: true, value: { revision: 2, document: { name: 'Newer' } } });
    expect(await getSet(again.store.db, 'potting-shed')).toMatchObject({ ok: true, value: { revision: 2, document: { name: 'Shed' } } });
    expect((await listAway(again.store)).map(({ id }) => id)).toEqual(['night-ferry-hall']);
    const history = await listRevisions(again.store, 'new');
    expect(history).toMatchObject({
      ok: true,
      value: [
        { revision: 2, savedAt: at(2).toISOString(), words: 'The name of the set: “New” → “Newer”' },
        { revision: 1, savedAt: at(1).toISOString() },
      ],
    });
    await store.close();
    await again.store.close();
    // What has been done again is not done a third time, and nothing of it is needed any longer.
    const third = await open(after);
    expect(third.replayed).toBe(0);
    expect(readJournal(join(after, 'journal')).entries).toEqual([]);
    expect(await getSet(third.store.db, 'new')).toMatchObject({ ok: true, value: { revision: 2 } });
    await third.store.close();
  });

  it('a journal that a power cut tore is read up to there, and work goes on behind it', async () => {
    const directory = place();
    const first = await open(directory);
    await saveSet(first.store, 'potting-shed', 1, named('One'), at(1));
    const file = join(directory, 'journal', readdirSync(join(directory, 'journal'))[0] as string);
    appendFileSync(file, '12345678 {"number":99,"en');
    const copy = place();
    await first.store.db.execute(sql`checkpoint`);
    cpSync(databaseIn(directory), databaseIn(copy), { recursive: true });
    cpSync(join(directory, 'journal'), join(copy, 'journal'), { recursive: true });
    const second = await open(copy);
    expect(second.torn).toBe(1);
    expect(await saveSet(second.store, 'potting-shed', 2, named('Two'), at(2))).toMatchObject({ ok: true, value: { revision: 3 } });
    await first.store.close();
    await second.store.close();
  });

  // /dev/full answers every write as a full disk does.
  it('with no room on the disk nothing is saved, and the answer says so; with room again the same save succeeds', async () => {
    const directory = place();
    const { store } = await open(directory);
    const segment = join(directory, 'journal', readdirSync(join(directory, 'journal'))[0] as string);
    await store.close();
    rmSync(segment);
    symlinkSync('/dev/full', segment.replace(/\d{12}/, '000000000001'));
    const full = await open(directory);
    const save = () => saveSet(full.store, 'potting-shed', 1, named('Full'), at(1));
    expect(await save()).toEqual({ ok: false, error: { code: 'storage-full' } });
    expect(await createSet(full.store, 'no-room', named('No room'), at(1))).toEqual({ ok: false, error: { code: 'storage-full' } });
    expect(await getSet(full.store.db, 'potting-shed')).toMatchObject({
      ok: true,
      value: { revision: 1, document: { name: 'Potting shed' } },
    });
    expect((await listSets(full.store)).map(({ id }) => id)).not.toContain('no-room');
    await full.store.close();
    rmSync(join(directory, 'journal'), { recursive: true });
    const roomy = await open(directory);
    expect(await saveSet(roomy.store, 'potting-shed', 1, named('Full'), at(1))).toMatchObject({ ok: true, value: { revision: 2 } });
    await roomy.store.close();
  });
});

describe('what is kept, and how long', () => {
  it('the newest 200 saves one by one, of older ones the last of each day', async () => {
    const { store } = await open(place());
    await createSet(store, 'long', named('0'), at(1));
    for (let revision = 1; revision < 250; revision += 1) {
      // Ten saves on each of the first days, then all on one.
      const day = Math.min(4, Math.ceil(revision / 10));
      await saveSet(store, 'long', revision, named(String(revision)), at(day, revision % 60));
    }
    const history = await listRevisions(store, 'long');
    const kept = history.ok ? history.value.map(({ revision }) => revision) : [];
    expect(kept.slice(0, 200)).toEqual(Array.from({ length: 200 }, (_, index) => 250 - index));
    expect(kept.slice(200)).toEqual([50, 31, 21, 11]);
    expect(await getRevision(store, 'long', 21)).toMatchObject({ ok: true, value: { document: { name: '20' } } });
    expect(await getRevision(store, 'long', 20)).toMatchObject({ ok: false, error: { code: 'revision-not-found' } });
    await store.close();
  });

  it('a set off the shelf is forgotten after thirty days, and not before', async () => {
    const { store } = await open(place());
    await setAway(store, 'potting-shed', at(1));
    await setAway(store, 'night-ferry-hall', at(3));
    expect(await purgeAway(store, at(31))).toEqual({ ok: true, value: [] });
    expect(await purgeAway(store, at(32))).toEqual({ ok: true, value: ['potting-shed'] });
    expect((await listAway(store)).map(({ id }) => id)).toEqual(['night-ferry-hall']);
    expect(await listRevisions(store, 'potting-shed')).toMatchObject({ ok: false });
    await store.close();
  });
});
