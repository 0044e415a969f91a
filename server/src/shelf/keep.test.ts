// A copy of everything goes out and comes back: whole, beside what is there, from one kind of store into another.
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { seededRandom } from '@parlor/core/kit';
import { readSet, type SetDocument } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { writeCopy } from '../disk/index.ts';
import { freshStore, renamed } from '../fresh.testing.ts';
import {
  createSet,
  getPicture,
  getRevision,
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
import { everything, restoreFrom } from './index.ts';

const named = (name: string, pieces: readonly object[] = []): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name, pieces });
  if (!read.ok) throw new Error('the test document is bad');
  return read.value;
};
const at = (day: number) => new Date(Date.UTC(2026, 0, day, 12));
const fresh = async () => (await freshStore()).store;
const file = () => join(mkdtempSync(join(tmpdir(), 'parlor-copy-')), 'everything.parlor-shelf');
/** A picture as it would be kept: the first bytes of a JPEG. */
const PICTURE = { mime: 'image/jpeg', width: 2, height: 1, bytes: Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 1, 2, 3) };

const worked = async (): Promise<{ readonly store: Store; readonly picture: string }> => {
  const store = await fresh();
  await createSet(store, 'attic', named('Attic'), at(1));
  for (let revision = 1; revision < 6; revision += 1)
    await saveSet(store, 'attic', revision, renamed(`Attic ${revision}`, `save ${revision}`), at(revision));
  await createSet(store, 'cellar', named('Cellar'), at(4));
  await setAway(store, 'cellar', at(4));
  const [piece] = named('x', [{ name: 'Stool' }]).pieces;
  await keepPreset(store, 'stool', piece as NonNullable<typeof piece>, at(5));
  const kept = await keepPicture(store, PICTURE, at(6));
  return { store, picture: kept.ok ? kept.value.id : '' };
};

const copied = async (store: Store): Promise<string> => {
  const path = file();
  await writeCopy(path, everything(store, at(9)));
  return path;
};

describe('a copy of everything', () => {
  it('comes back into another shelf: sets with their history, templates, pictures, what is off the shelf', async () => {
    const { store, picture } = await worked();
    const path = await copied(store);
    const other = await fresh();
    expect(await restoreFrom(other, path)).toEqual({ ok: true, value: { sets: 2, besides: 0, already: 3, presets: 1, pictures: 1 } });
    expect(await getSet(other.db, 'attic')).toMatchObject({ ok: true, value: { revision: 6, document: { name: 'Attic 5' } } });
    const [there, here] = [await listRevisions(store, 'attic'), await listRevisions(other, 'attic')];
    expect(here).toEqual(there);
    expect(await getRevision(other, 'attic', 3)).toMatchObject({ ok: true, value: { document: { name: 'Attic 2' } } });
    expect(await listPresets(other)).toMatchObject([{ id: 'stool', name: 'Stool' }]);
    const had = await getPicture(other, picture);
    expect(had.ok && [...had.value.bytes]).toEqual([...PICTURE.bytes]);
    expect((await listAway(other)).map(({ name }) => name)).toEqual(['Cellar']);
    // A second time all of it is there already.
    expect(await restoreFrom(other, path)).toMatchObject({ ok: true, value: { sets: 0, presets: 0, pictures: 0 } });
    await Promise.all([store.close(), other.close()]);
  });

  it('stands beside what was changed since; nothing is written over', async () => {
    const { store } = await worked();
    const path = await copied(store);
    await saveSet(store, 'attic', 6, renamed('Attic, changed', 'x'), at(7));
    expect(await restoreFrom(store, path)).toMatchObject({ ok: true, value: { sets: 0, besides: 1 } });
    expect(await getSet(store.db, 'attic')).toMatchObject({ ok: true, value: { revision: 7, document: { name: 'Attic, changed' } } });
    expect((await listSets(store)).map(({ name }) => name).sort()).toEqual([
      'Attic 5',
      'Attic, changed',
      'Harbour post office',
      'Night-ferry ticket hall',
      'Potting shed',
    ]);
    await store.close();
  });

  it('survives a power cut behind it: what was restored is in the journal too', async () => {
    const { store } = await worked();
    const path = await copied(store);
    const { store: other, directory } = await freshStore();
    await restoreFrom(other, path);
    await other.close();
    const again = await freshStore(directory);
    expect(await getSet(again.store.db, 'attic')).toMatchObject({ ok: true, value: { revision: 6 } });
    await Promise.all([store.close(), again.store.close()]);
  });
});

/** A copy whose lines were changed, summed and packed anew. */
const forged = (path: string, change: (lines: string[]) => string[]): string => {
  const lines = gunzipSync(readFileSync(path)).toString().trimEnd().split('\n').slice(0, -1);
  const changed = change(lines);
  const sum = createHash('sha256');
  for (const line of changed) sum.update(line);
  const other = file();
  writeFileSync(
    other,
    gzipSync(`${changed.join('\n')}\n${JSON.stringify({ end: true, rows: changed.length - 1, sum: sum.digest('hex') })}\n`),
  );
  return other;
};

const altered = (path: string, kind: string, change: (row: Record<string, unknown>) => unknown): string =>
  forged(path, (lines) => {
    const index = lines.findIndex((line) => line.startsWith(`{"kind":"${kind}"`));
    return lines.map((line, each) => (each === index ? JSON.stringify(change(JSON.parse(line))) : line));
  });

describe('a copy that is not what it should be', () => {
  it('is refused before anything of it is kept, with what is wrong', async () => {
    const { store } = await worked();
    const path = await copied(store);
    const whole = readFileSync(path);
    const other = await fresh();
    const before = await listSets(other);
    const bad = async (bytes: Buffer | string) => {
      const place = typeof bytes === 'string' ? bytes : file();
      if (typeof bytes !== 'string') writeFileSync(place, bytes);
      const came = await restoreFrom(other, place);
      return came.ok ? 'taken' : came.error;
    };
    expect(await bad(Buffer.alloc(0))).toEqual({ code: 'copy-unreadable' });
    expect(await bad(Buffer.from('no copy'))).toEqual({ code: 'copy-unreadable' });
    expect(await bad(gzipSync('{"format":"another"}\n'))).toEqual({ code: 'copy-unreadable' });
    expect(await bad(whole.subarray(0, whole.length - 20))).toEqual({ code: 'copy-damaged' });
    expect(await bad(whole.subarray(0, whole.length / 2))).toEqual({ code: 'copy-damaged' });
    expect(await bad(Buffer.from(whole.map((byte, index) => (index === 2_000 ? byte ^ 8 : byte))))).toMatchObject({
      code: /copy-(damaged|unreadable|row)/ as unknown as string,
    });
    expect(await bad(forged(path, (lines) => [(lines[0] as string).replace('"version":1', '"version":2'), ...lines.slice(1)]))).toEqual({
      code: 'copy-of-newer-version',
    });
    expect(await bad(forged(path, (lines) => [...lines, 'no JSON']))).toMatchObject({ code: 'copy-row', reason: 'it is no JSON' });
    expect(await bad(altered(path, 'set', (row) => ({ ...row, id: '../../etc' })))).toMatchObject({ code: 'copy-row' });
    expect(await bad(altered(path, 'set', (row) => ({ ...row, document: { name: 'x', about: '', format: 'x' } })))).toMatchObject({
      code: 'copy-row',
      reason: 'the set “x” is none',
    });
    expect(await bad(altered(path, 'revision', (row) => ({ ...row, set: 'another' })))).toMatchObject({
      code: 'copy-row',
      reason: 'a save stands apart from its set',
    });
    expect(await bad(altered(path, 'picture', (row) => ({ ...row, mime: 'text/html' })))).toMatchObject({ code: 'copy-row' });
    expect(await bad(altered(path, 'picture', (row) => ({ ...row, bytes: Buffer.from('<script>').toString('base64') })))).toMatchObject({
      code: 'copy-row',
      reason: 'a picture is not the one that its name says',
    });
    const page = Buffer.from('<html>');
    expect(
      await bad(
        altered(path, 'picture', (row) => ({
          ...row,
          id: createHash('sha256').update(page).digest('hex'),
          bytes: page.toString('base64'),
        })),
      ),
    ).toMatchObject({ code: 'copy-row', reason: 'a picture is of another kind than it says' });
    expect(await listSets(other)).toEqual(before);
    await Promise.all([store.close(), other.close()]);
  });

  it('by any of four hundred seeds is refused or taken, and never half of it is', async () => {
    const { store } = await worked();
    const path = await copied(store);
    const lines = gunzipSync(readFileSync(path)).toString().trimEnd().split('\n');
    const other = await fresh();
    const before = (await listSets(other)).length;
    let refused = 0;
    for (let seed = 1; seed <= 400; seed += 1) {
      const random = seededRandom(seed);
      const place = file();
      if (seed % 2 === 0) {
        const bytes = Buffer.from(readFileSync(path));
        const where = Math.floor(random() * bytes.length);
        bytes[where] = (bytes[where] as number) ^ (1 << Math.floor(random() * 8));
        writeFileSync(place, bytes.subarray(0, random() < 0.3 ? Math.floor(random() * bytes.length) : bytes.length));
      } else {
        const text = [...lines];
        const where = Math.floor(random() * text.length);
        if (random() < 0.5) text.splice(where, 1);
        else text[where] = (text[where] as string).slice(0, Math.floor(random() * 200));
        writeFileSync(place, gzipSync(text.join('\n')));
      }
      const came = await restoreFrom(other, place);
      if (!came.ok) refused += 1;
    }
    // Some seeds change nothing that counts (a bit of gzip's own header, a line cut behind its end); what is in those is all there.
    expect(refused).toBeGreaterThan(370);
    expect((await listSets(other)).length - before).toBeLessThanOrEqual(2);
    await Promise.all([store.close(), other.close()]);
  }, 240_000);
});
