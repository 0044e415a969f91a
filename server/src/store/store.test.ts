import { readSet, type SetDocument } from '@parlor/core/set';
import { eq, sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { freshStore, renamed } from '../fresh.testing.ts';
import {
  beginSession,
  collectPictures,
  countDay,
  countedDays,
  createSet,
  endSession,
  getPicture,
  getRevision,
  getSet,
  isSession,
  keepPicture,
  listAway,
  listRevisions,
  listSessions,
  pictureCounts,
  purgeAway,
  revisions,
  type Store,
  saveSet,
  setAway,
} from './index.ts';

const open = async () => (await freshStore()).store;

const named = (name: string, finishes: readonly object[] = []): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name, finishes });
  if (!read.ok) throw new Error(`the test document is bad: ${JSON.stringify(read.error)}`);
  return read.value;
};

const at = (day: number, minute = 0) => new Date(Date.UTC(2026, 0, day, 12, minute));

/** Days on which the application is used, one after the other. */
const daysPass = async (store: Store, from: number, to: number) => {
  for (let day = from; day <= to; day += 1) await countDay(store.db, at(day).toISOString().slice(0, 10));
};

describe('what is kept, and how long', () => {
  it('the newest 200 saves one by one, of older ones the last of each day', async () => {
    const store = await open();
    await createSet(store, 'long', named('0'), at(1));
    for (let revision = 1; revision < 250; revision += 1) {
      // Ten saves on each of the first days, then all on one.
      const day = Math.min(4, Math.ceil(revision / 10));
      await saveSet(store, 'long', revision, renamed(String(revision), String(revision)), at(day, revision % 60));
    }
    const history = await listRevisions(store, 'long');
    const kept = history.ok ? history.value.map(({ revision }) => revision) : [];
    expect(kept.slice(0, 200)).toEqual(Array.from({ length: 200 }, (_, index) => 250 - index));
    expect(kept.slice(200)).toEqual([50, 31, 21, 11]);
    for (const revision of kept)
      expect(await getRevision(store, 'long', revision)).toMatchObject({ ok: true, value: { document: { name: String(revision - 1) } } });
    expect(await getSet(store.db, 'long')).toMatchObject({ ok: true, value: { revision: 250, document: { name: '249' } } });
    // One in 25 is whole, and what lost those before it.
    const [rows] = await store.db
      .select({ whole: sql<number>`count(${revisions.document})::int` })
      .from(revisions)
      .where(eq(revisions.setId, 'long'));
    expect(rows?.whole).toBe(8 + 4);
    expect(await getRevision(store, 'long', 20)).toMatchObject({ ok: false, error: { code: 'revision-not-found' } });
    await store.close();
  });

  it('a set off the shelf is forgotten after thirty days, and not before', async () => {
    const store = await open();
    await daysPass(store, 1, 1);
    await setAway(store, 'potting-shed', at(1));
    await daysPass(store, 2, 3);
    await setAway(store, 'night-ferry-hall', at(3));
    await daysPass(store, 4, 31);
    expect(await purgeAway(store, at(31))).toEqual({ ok: true, value: [] });
    await daysPass(store, 32, 32);
    expect(await purgeAway(store, at(32))).toEqual({ ok: true, value: ['potting-shed'] });
    expect((await listAway(store)).map(({ id }) => id)).toEqual(['night-ferry-hall']);
    expect(await listRevisions(store, 'potting-shed')).toMatchObject({ ok: false });
    await store.close();
  });

  it('a clock that is wrong once, ahead or behind, costs no set', async () => {
    const store = await open();
    await daysPass(store, 1, 1);
    await setAway(store, 'potting-shed', at(1));
    // Ten years ahead for one start.
    await countDay(store.db, '2036-01-01');
    expect(await purgeAway(store, new Date('2036-01-01'))).toEqual({ ok: true, value: [] });
    // Behind, as a board without a battery is: put away in 1970, and minutes later the clock is right.
    await countDay(store.db, '1970-01-01');
    await setAway(store, 'night-ferry-hall', new Date(1_000));
    await countDay(store.db, '2026-01-02');
    expect(await purgeAway(store, at(2))).toEqual({ ok: true, value: [] });
    expect(await countedDays(store.db)).toBe(4);
    await store.close();
  });
});

describe('pictures that nothing names', () => {
  const picture = (sign: number) => ({ mime: 'image/png', width: 1, height: 1, bytes: Uint8Array.of(sign) });

  it('are forgotten after thirty counted days; those that a set, or a save of its history, names are not', async () => {
    const store = await open();
    const ids = [];
    for (const sign of [1, 2, 3]) {
      const kept = await keepPicture(store, picture(sign), at(1));
      ids.push(kept.ok ? kept.value.id : '');
    }
    const [shown, once, never] = ids as [string, string, string];
    const finish = (id: string) => ({ id: 'photo', name: 'Photo', art: { kind: 'picture', picture: { id, width: 1, height: 1 } } });
    await createSet(store, 'attic', named('Attic', [finish(once)]), at(1));
    const { finishes } = named('Attic', [finish(shown)]);
    const edits = [{ kind: 'change-set' as const, change: { finishes } }];
    // Only its edit names the new picture.
    await saveSet(store, 'attic', 1, { document: named('Attic', [finish(shown)]), edits, words: 'x' }, at(2));
    await daysPass(store, 1, 1);
    expect(await collectPictures(store)).toEqual({ ok: true, value: [] });
    await daysPass(store, 2, 30);
    expect(await collectPictures(store)).toEqual({ ok: true, value: [] });
    await daysPass(store, 31, 31);
    expect(await collectPictures(store)).toEqual({ ok: true, value: [never] });
    expect(await getPicture(store, never)).toMatchObject({ ok: false });
    expect(await getPicture(store, once)).toMatchObject({ ok: true });
    expect(await pictureCounts(store.db)).toEqual({ count: 2, bytes: 2 });
    await store.close();
  });
});

describe('sessions', () => {
  it('live for thirty days, seven without use; end one by one or all at once; and belong to one phrase', async () => {
    const store = await open();
    for (const id of ['a', 'b', 'c']) await beginSession(store, id, 'phrase', at(1));
    const inside = (id: string, day: number, phrase = 'phrase') => isSession(store, id, phrase, at(day));
    expect(await inside('a', 2)).toBe(true);
    expect(await inside('a', 2, 'another phrase')).toBe(false);
    expect(await inside('b', 9)).toBe(false);
    for (let day = 3; day < 31; day += 5) expect(await inside('a', day), `day ${day}`).toBe(true);
    expect(await inside('a', 31)).toBe(false);
    expect((await listSessions(store, 'phrase', at(2))).map(({ id }) => id)).toContain('c');
    await endSession(store, 'c');
    expect(await inside('c', 2)).toBe(false);
    await endSession(store, null);
    expect(await listSessions(store, 'phrase', at(2))).toEqual([]);
    await store.close();
  });
});
