// A shelf is opened in whatever state its directory was left in: nothing acknowledged is lost, nothing that was there is deleted, and what was found
// is told.
import {
  appendFileSync,
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readSet, type SetDocument } from '@parlor/core/set';
import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { openJournal, readJournal } from '../disk/index.ts';
import { placesFor, renamed, root } from '../fresh.testing.ts';
import {
  createSet,
  databaseIn,
  type Entry,
  forgetPreset,
  getPicture,
  getSet,
  keepPicture,
  keepPreset,
  listAway,
  listPresets,
  listRevisions,
  listSets,
  type Store,
  saveSet,
  setAway,
} from '../store/index.ts';
import { type Generation, worthKeeping } from './generations.ts';
import { copiesIn, listGenerations, openOwn, readNotices } from './index.ts';

const place = () => mkdtempSync(join(tmpdir(), 'parlor-own-'));

const open = (directory: string, unclean = true, clock = () => new Date()) =>
  openOwn(placesFor(directory), unclean, clock, () => undefined);
/** Opens it on the next day, on which a copy is due. */
const openTomorrow = (directory: string) => open(directory, false, () => new Date(Date.now() + 86_400_000));

const named = (name: string, pieces: readonly object[] = []): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name, pieces });
  if (!read.ok) throw new Error('the test document is bad');
  return read.value;
};

const at = (day: number, minute = 0) => new Date(Date.UTC(2026, 0, day, 12, minute));

const PICTURE = { mime: 'image/png', width: 2, height: 1, bytes: Uint8Array.of(0, 255, 10, 13) };

/** A bit of everything that can be done to a shelf. */
const work = async (store: Store) => {
  expect(await createSet(store, 'new', named('New'), at(1))).toMatchObject({ ok: true });
  expect(await saveSet(store, 'new', 1, renamed('Newer', 'renamed'), at(2))).toMatchObject({ ok: true, value: { revision: 2 } });
  expect(await saveSet(store, 'potting-shed', 1, renamed('Shed', 'renamed'), at(3))).toMatchObject({ ok: true });
  expect(await setAway(store, 'night-ferry-hall', at(4))).toMatchObject({ ok: true });
  const [piece] = named('Shed', [{ name: 'Stool' }]).pieces;
  for (const id of ['kept', 'gone'])
    expect(await keepPreset(store, id, piece as NonNullable<typeof piece>, at(5))).toMatchObject({ ok: true });
  expect(await forgetPreset(store, 'gone')).toMatchObject({ ok: true });
  const kept = await keepPicture(store, PICTURE, at(6));
  return kept.ok ? kept.value.id : '';
};

/** Everything that was done stands there. */
const expectAll = async (store: Store, picture: string) => {
  expect(await getSet(store.db, 'new')).toMatchObject({ ok: true, value: { revision: 2, document: { name: 'Newer' } } });
  expect(await getSet(store.db, 'potting-shed')).toMatchObject({ ok: true, value: { revision: 2, document: { name: 'Shed' } } });
  expect((await listAway(store)).map(({ id }) => id)).toEqual(['night-ferry-hall']);
  expect(await listRevisions(store, 'new')).toMatchObject({
    ok: true,
    value: [
      { revision: 2, savedAt: at(2).toISOString(), words: 'renamed' },
      { revision: 1, savedAt: at(1).toISOString() },
    ],
  });
  expect(await listPresets(store)).toMatchObject([{ id: 'kept', name: 'Stool' }]);
  const had = await getPicture(store, picture);
  expect(had.ok && [...had.value.bytes]).toEqual([...PICTURE.bytes]);
};

const segments = (directory: string) => readdirSync(join(directory, 'journal')).sort();
const newestSegment = (directory: string) => join(directory, 'journal', segments(directory).at(-1) as string);

/** A shelf with a copy beside it, work after that copy, and its directory as it was left: closed, or as a kill leaves it. */
const worked = async (how: 'closed' | 'killed' = 'closed') => {
  const directory = place();
  const { store, copyIfDue } = await open(directory);
  await copyIfDue();
  const picture = await work(store);
  if (how === 'closed') {
    await store.close();
    return { directory, picture };
  }
  const copy = place();
  cpSync(directory, copy, { recursive: true, filter: (path) => !path.endsWith('.socket') });
  await store.close();
  return { directory: copy, picture };
};

describe('a shelf that was left in order, or killed', () => {
  it.each(['closed', 'killed'] as const)('and %s, has everything, and nothing to tell', async (how) => {
    const { directory, picture } = await worked(how);
    const { store, notices } = await open(directory, how === 'killed');
    expect(notices).toEqual([]);
    await expectAll(store, picture);
    await store.close();
  });

  it('whose database lost what was not synced does it again from the journal', async () => {
    const directory = place();
    const first = await open(directory);
    await first.store.db.execute(sql`checkpoint`);
    const before = join(place(), 'as-it-was');
    cpSync(databaseIn(directory), before, { recursive: true });
    const picture = await work(first.store);
    const after = place();
    cpSync(directory, after, { recursive: true, filter: (path) => !path.endsWith('.socket') });
    rmSync(databaseIn(after), { recursive: true });
    cpSync(before, databaseIn(after), { recursive: true });
    await first.store.close();
    const again = await open(after);
    expect(again).toMatchObject({ replayed: 8, notices: [] });
    await expectAll(again.store, picture);
    await again.store.close();
    expect((await open(after, false)).replayed).toBe(0);
  });
});

describe('a database that is lost, empty or damaged', () => {
  it.each<[string, (database: string) => void, RegExp]>([
    ['is missing', (database) => rmSync(database, { recursive: true }), /missing/],
    [
      'is an empty directory',
      (database) => {
        rmSync(database, { recursive: true });
        cpSync(mkdtempSync(join(tmpdir(), 'empty-')), database, { recursive: true });
      },
      /not a database/,
    ],
    ['has lost its PG_VERSION', (database) => rmSync(join(database, 'PG_VERSION')), /not a database/],
    ['has an empty control file', (database) => truncateSync(join(database, 'global/pg_control')), /does not open/],
    ['has lost its log', (database) => rmSync(join(database, 'pg_wal'), { recursive: true }), /does not open/],
    [
      'is a file',
      (database) => {
        rmSync(database, { recursive: true });
        writeFileSync(database, 'x');
      },
      /not a database/,
    ],
    [
      'is that of another time',
      (database) => {
        rmSync(database, { recursive: true });
        cpSync(join(root, 'server/dist/prepared'), database, { recursive: true });
      },
      /^$/,
    ],
  ])('that %s is made anew with everything; the old files are put aside', async (_, harm, why) => {
    const { directory, picture } = await worked();
    harm(databaseIn(directory));
    const { store, notices } = await open(directory);
    await expectAll(store, picture);
    // A database of before the first save is brought up to date by the journal; that is no damage.
    if (why.source === '^$') expect(notices).toEqual([]);
    else {
      expect(notices).toMatchObject([{ what: 'rebuilt', missing: 0 }]);
      expect(notices[0]?.why).toMatch(why);
      expect(readNotices(directory)).toEqual(notices);
      const aside = notices[0]?.aside as string;
      expect(existsSync(join(aside, 'database')) || why.source === 'missing').toBe(true);
      expect(readdirSync(aside).some((name) => name.endsWith('.log'))).toBe(true);
    }
    // Work goes on, and is there at the next start.
    expect(await saveSet(store, 'new', 2, renamed('Newest', 'x'), at(7))).toMatchObject({ ok: true });
    await store.close();
    const next = await open(directory, false);
    expect(next.notices).toEqual([]);
    expect(await getSet(next.store.db, 'new')).toMatchObject({ ok: true, value: { revision: 3 } });
    await next.store.close();
  });

  it('whose newest copy is damaged too is made from an older copy and a longer journal', async () => {
    const directory = place();
    const { store, copyIfDue } = await open(directory);
    await copyIfDue();
    const picture = await work(store);
    await store.close();
    const later = await openTomorrow(directory);
    await later.copyIfDue();
    await later.store.close();
    const { sound } = listGenerations(directory);
    expect(sound).toHaveLength(2);
    const file = join(copiesIn(directory), `${sound[0]?.name}.shelf`);
    const bytes = readFileSync(file);
    bytes[Math.floor(bytes.length / 2)] = (bytes[Math.floor(bytes.length / 2)] as number) ^ 4;
    writeFileSync(file, bytes);
    rmSync(databaseIn(directory), { recursive: true });
    const again = await open(directory);
    expect(again.notices).toMatchObject([{ what: 'rebuilt', entries: 8, missing: 0 }]);
    await expectAll(again.store, picture);
    await again.store.close();
  });

  it('with no copy and no journal is refused, again and again, and never taken for a new shelf', async () => {
    const { directory } = await worked();
    for (const name of ['database', 'copies', 'journal']) rmSync(join(directory, name), { recursive: true });
    for (let times = 0; times < 2; times += 1)
      await expect(open(directory)).rejects.toThrow(/has held a shelf of sets .*Nothing was deleted/s);
  });

  it('that an earlier start left unfinished is put aside, and what was being brought in is swept away', async () => {
    const directory = place();
    cpSync(join(root, 'server/dist/prepared'), `${databaseIn(directory)}.unfinished`, { recursive: true });
    writeFileSync(join(directory, 'incoming-1'), 'x');
    const { store } = await open(directory);
    await store.close();
    expect(existsSync(join(directory, 'incoming-1'))).toBe(false);
    const [aside = ''] = readdirSync(join(directory, 'aside'));
    expect(existsSync(join(directory, 'aside', aside, 'database.unfinished/PG_VERSION'))).toBe(true);
  });

  it('with a journal alone, from its first entry on, is made anew from that', async () => {
    const { directory, picture } = await worked();
    for (const name of ['database', 'copies']) rmSync(join(directory, name), { recursive: true });
    const { store, notices } = await open(directory);
    expect(notices).toMatchObject([{ what: 'rebuilt', missing: 0, entries: 8 }]);
    await expectAll(store, picture);
    await store.close();
  });

  it('of a shelf from before there were copies, whose journal begins in the middle, comes back as far as it can, and says how far', async () => {
    const { directory } = await worked();
    for (const name of ['database', 'copies', 'shelf.json']) rmSync(join(directory, name), { recursive: true });
    const bytes = readFileSync(newestSegment(directory));
    rmSync(newestSegment(directory));
    writeFileSync(join(directory, 'journal', '000000000002.log'), bytes.subarray(bytes.indexOf(10) + 1));
    const { store, notices } = await open(directory);
    expect(notices).toMatchObject([{ what: 'rebuilt', missing: 1 }]);
    // Of the set whose first save is lost only edits are left.
    expect((await listSets(store)).map(({ id }) => id).sort()).toEqual(['potting-shed']);
    await store.close();
  });
});

describe('a journal that is damaged', () => {
  it('in entries that the database has costs nothing, and is told once', async () => {
    const { directory, picture } = await worked();
    const bytes = readFileSync(newestSegment(directory));
    bytes[70] = (bytes[70] as number) ^ 1;
    writeFileSync(newestSegment(directory), bytes);
    const { store, notices } = await open(directory, false);
    expect(notices).toMatchObject([{ what: 'journal-damaged', missing: 0 }]);
    expect(readdirSync(notices[0]?.aside as string)).toHaveLength(1);
    await expectAll(store, picture);
    await store.close();
  });

  it('in entries that the database needs costs those alone, and that is told', async () => {
    const { directory } = await worked();
    rmSync(databaseIn(directory), { recursive: true });
    cpSync(join(root, 'server/dist/prepared'), databaseIn(directory), { recursive: true });
    const bytes = readFileSync(newestSegment(directory));
    const third = bytes.indexOf(10, bytes.indexOf(10) + 1) + 1;
    bytes[third + 60] = (bytes[third + 60] as number) ^ 1;
    writeFileSync(newestSegment(directory), bytes);
    const { store, notices } = await open(directory, false);
    expect(notices).toMatchObject([{ what: 'entries-missing', missing: 1 }]);
    expect(await getSet(store.db, 'new')).toMatchObject({ ok: true, value: { revision: 2 } });
    expect(await getSet(store.db, 'potting-shed')).toMatchObject({ ok: true, value: { revision: 1 } });
    expect((await listAway(store)).map(({ id }) => id)).toEqual(['night-ferry-hall']);
    await store.close();
    expect((await open(directory, false)).notices.filter(({ what }) => what === 'entries-missing')).toEqual([]);
  });

  it('whose newest segment is gone is noticed by what the newest entries must be', async () => {
    const { directory } = await worked();
    rmSync(newestSegment(directory));
    const { store, notices } = await open(directory, false);
    // The database has it all.
    expect(notices).toEqual([]);
    expect(await getSet(store.db, 'new')).toMatchObject({ ok: true, value: { revision: 2 } });
    expect(await saveSet(store, 'new', 2, renamed('On', 'x'), at(8))).toMatchObject({ ok: true });
    await store.close();
    await (await open(directory, false)).store.close();
  });

  it('and torn goes on behind the tear', async () => {
    const { directory, picture } = await worked('killed');
    appendFileSync(newestSegment(directory), '00000040 12345678 {"number":99,"en');
    const { store, notices } = await open(directory);
    expect(notices).toEqual([]);
    await expectAll(store, picture);
    expect(await saveSet(store, 'potting-shed', 2, renamed('Two', 'x'), at(2))).toMatchObject({ ok: true, value: { revision: 3 } });
    await store.close();
    const again = await open(directory, false);
    expect(await getSet(again.store.db, 'potting-shed')).toMatchObject({ ok: true, value: { revision: 3 } });
    await again.store.close();
  });
});

describe('pictures', () => {
  it('that were damaged come back from their second file', async () => {
    const { directory, picture } = await worked();
    const day = await openTomorrow(directory);
    await day.copyIfDue();
    writeFileSync(join(directory, 'pictures', picture), 'something else');
    const had = await getPicture(day.store, picture);
    expect(had.ok && [...had.value.bytes]).toEqual([...PICTURE.bytes]);
    rmSync(join(directory, 'pictures'), { recursive: true });
    await day.store.close();
    const again = await open(directory, false);
    await expectAll(again.store, picture);
    await again.store.close();
  });

  it('that stood in the database move out into files', async () => {
    const { directory, picture } = await worked();
    const before = await open(directory, false);
    await before.store.db.execute(sql`update pictures set bytes = ${Buffer.from(PICTURE.bytes)}`);
    await before.store.close();
    rmSync(join(directory, 'pictures'), { recursive: true });
    const { store } = await open(directory, false);
    await expectAll(store, picture);
    const { rows } = (await store.db.execute(sql`select count(*)::int as count from pictures where bytes is not null`)) as {
      rows: { count: number }[];
    };
    expect(rows[0]?.count).toBe(0);
    await store.close();
  });
});

// /dev/full answers every write as a full disk does.
it('with no room on the disk nothing is saved, and the answer says so; with room again the same save succeeds', async () => {
  const directory = place();
  await (await open(directory)).store.close();
  for (const name of segments(directory)) rmSync(join(directory, 'journal', name));
  symlinkSync('/dev/full', join(directory, 'journal', '000000000001.log'));
  const full = await open(directory, false);
  const save = () => saveSet(full.store, 'potting-shed', 1, renamed('Full', 'x'), at(1));
  expect(await save()).toEqual({ ok: false, error: { code: 'storage-full' } });
  expect(await createSet(full.store, 'no-room', named('No room'), at(1))).toEqual({ ok: false, error: { code: 'storage-full' } });
  expect(await getSet(full.store.db, 'potting-shed')).toMatchObject({
    ok: true,
    value: { revision: 1, document: { name: 'Potting shed' } },
  });
  expect((await listSets(full.store)).map(({ id }) => id)).not.toContain('no-room');
  await full.store.close();
  rmSync(join(directory, 'journal'), { recursive: true });
  const roomy = await open(directory, false);
  expect(await saveSet(roomy.store, 'potting-shed', 1, renamed('Full', 'x'), at(1))).toMatchObject({ ok: true, value: { revision: 2 } });
  await roomy.store.close();
});

it('saves that fail after they were written to the journal are taken back from it', async () => {
  const directory = place();
  const { store } = await open(directory);
  const broken: Store = {
    ...store,
    get db() {
      return store.db;
    },
    record: async (tx, entry) => {
      await store.record(tx, entry);
      throw new Error('something after it');
    },
  };
  await expect(saveSet(broken, 'potting-shed', 1, renamed('Lost', 'x'), at(1))).rejects.toThrow('something after it');
  expect(await saveSet(store, 'potting-shed', 1, renamed('Kept', 'x'), at(1))).toMatchObject({ ok: true, value: { revision: 2 } });
  await store.close();
  expect(readFileSync(newestSegment(directory), 'utf8')).not.toContain('Lost');
});

describe('copies', () => {
  const made = (...days: number[]): Generation[] =>
    days.map((day, index) => ({
      ...{ name: `${index}`, number: 100 - index, at: new Date(Date.UTC(2026, 0, day, 20 - index)).toISOString() },
      ...{ bytes: 0, sum: '', sets: [], presets: [], pictures: [] },
    }));
  const kept = (...days: number[]) => worthKeeping(made(...days)).map(({ name }) => Number(name));

  it('are kept: the last three, and one of each of the last seven days on which there is one', () => {
    expect(kept(9, 9, 9, 9, 9, 9)).toEqual([0, 1, 2]);
    expect(kept(20, 20, 20, 20, 19, 19, 12, 11, 11, 5, 4, 3, 2, 1)).toEqual([0, 1, 2, 4, 6, 7, 9, 10, 11]);
    expect(kept(9)).toEqual([0]);
  });

  it('are made of a journal that many starts have cut into small pieces', async () => {
    const { directory } = await worked();
    const folder = join(directory, 'journal');
    const cutInto = (pieces: number) => {
      for (let piece = 0; piece < pieces; piece += 1) {
        const { next, chain } = readJournal<Entry>(folder, 0);
        const journal = openJournal<Entry>(folder, next, chain, 0);
        journal.append({ kind: 'away', id: 'new', at: at(3).toISOString() });
        journal.close();
      }
    };
    const copiesAfter = async (pieces: number) => {
      cutInto(pieces);
      const { store, copyIfDue } = await open(directory);
      await copyIfDue();
      await store.close();
      return listGenerations(directory).sound.length;
    };
    expect([await copiesAfter(20), await copiesAfter(30), await copiesAfter(20)]).toEqual([1, 2, 2]);
  });

  it('grow no journal beyond the oldest of them, and the journal reaches back to it', async () => {
    const directory = place();
    let day = 0;
    const { store, copyIfDue } = await open(directory, false, () => new Date(Date.UTC(2026, 0, 1 + day)));
    await createSet(store, 'long', named('0'), at(1));
    for (let revision = 1; revision < 24; revision += 1) {
      await saveSet(store, 'long', revision, renamed(String(revision), 'x'), at(1));
      day += 1;
      await copyIfDue();
    }
    const { sound } = listGenerations(directory);
    expect(sound).toHaveLength(7);
    const oldest = Math.min(...sound.map(({ number }) => number));
    expect(Number(segments(directory)[0]?.slice(0, 12))).toBe(oldest + 1);
    await store.close();
    // From the oldest alone the shelf comes out the same.
    for (const { name } of sound.slice(0, -1)) rmSync(join(copiesIn(directory), `${name}.json`));
    rmSync(databaseIn(directory), { recursive: true });
    const again = await open(directory, false, () => new Date(Date.UTC(2026, 0, 1 + day)));
    expect(again.notices).toMatchObject([{ what: 'rebuilt', missing: 0 }]);
    expect(await getSet(again.store.db, 'long')).toMatchObject({ ok: true, value: { revision: 24 } });
    await again.store.close();
  }, 120_000);
});
