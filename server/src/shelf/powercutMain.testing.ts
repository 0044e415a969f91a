// Works on a shelf while everything that goes to the disk is recorded, then opens as many states as asked for in which a power cut could have left
// it. Nothing that was acknowledged may be missing in any. Run as a process of its own, for it changes Node's file functions.
//   node --import tsx powercutMain.testing.ts STATES SEED [deaf]
// "deaf" takes the syncs of the database out of the record, as if it never synced: then the shelf has to be made anew again and again.
import fs from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { seededRandom } from '@parlor/core/kit';
import { readSet, type SetDocument } from '@parlor/core/set';
import { createSet, getPicture, getSet, keepPicture, keepPreset, listPresets, type Save, type Store, saveSet } from '../store/index.ts';
import { deafTo, layOutState, recordDisk, withoutSyncing } from './disk.testing.ts';
import { openOwn } from './index.ts';

const [states = 100, seed = 1] = process.argv.slice(2, 4).map(Number);
const deaf = process.argv[4] === 'deaf';
const root = resolve(import.meta.dirname, '../../..');
const scratch = fs.mkdtempSync(join(tmpdir(), 'parlor-powercut-'));
const random = seededRandom(seed);

const named = (name: string, about: string): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name, about, pieces: [{ name: 'chest' }] });
  if (!read.ok) throw new Error('the test document is bad');
  return read.value;
};

const open = (directory: string, clock: () => Date) =>
  openOwn(
    { directory, migrations: join(root, 'server/migrations'), prepared: join(root, 'server/dist/prepared'), probe: null },
    true,
    clock,
    (problem) => process.stderr.write(`fault: ${problem}\n`),
  );

/** What was acknowledged, and after how many operations of the disk. */
type Answered = {
  readonly after: number;
  readonly kind: 'set' | 'preset' | 'picture';
  readonly id: string;
  readonly revision: number;
  readonly name: string;
};

let day = 0;
const clock = () => new Date(Date.UTC(2026, 0, 1 + day, 12));

/** Sets made and saved over and over, presets, pictures; copies and trims in between; stopped and started again. */
const work = async (directory: string, now: () => number): Promise<readonly Answered[]> => {
  const answered: Answered[] = [];
  const note = (kind: Answered['kind'], id: string, revision: number, name: string) =>
    answered.push({ after: now(), kind, id, revision, name });
  const revisions = new Map<string, number>();
  let count = 0;
  const save = async (store: Store): Promise<void> => {
    count += 1;
    const name = `save ${count}`;
    const document = named(name, 'x'.repeat(Math.floor(random() * 500)));
    const id = `set-${Math.floor(random() * 6)}`;
    const before = revisions.get(id);
    // Most are edits, as they are in life; some are sent as the whole document.
    const { about } = document;
    const edits: Save['edits'] = random() < 0.2 ? null : [{ kind: 'change-set', change: { name, about } }];
    const done =
      before === undefined
        ? await createSet(store, id, document, clock())
        : await saveSet(store, id, before, { document, edits, words: name }, clock());
    if (!done.ok) throw new Error(done.error.code);
    revisions.set(id, done.value.revision);
    note('set', id, done.value.revision, name);
  };
  const other = async (store: Store): Promise<void> => {
    count += 1;
    const [piece] = named('x', '').pieces;
    if (random() < 0.5 && piece) {
      const kept = await keepPreset(store, `preset-${count}`, piece, clock());
      if (kept.ok) note('preset', kept.value.id, 0, '');
    } else {
      const bytes = Uint8Array.from({ length: 2_000 }, () => Math.floor(random() * 256));
      const kept = await keepPicture(store, { mime: 'image/png', width: 1, height: 1, bytes }, clock());
      if (kept.ok) note('picture', kept.value.id, 0, '');
    }
  };
  for (let opening = 0; opening < 4; opening += 1) {
    const { store, copyIfDue } = await open(directory, clock);
    for (let round = 0; round < 3; round += 1) {
      for (let saves = 0; saves < 12; saves += 1) await (random() < 0.15 ? other(store) : save(store));
      day += 1;
      // A copy is made while saves go on.
      await Promise.all([copyIfDue(), save(store).then(() => save(store))]);
      for (let saves = 0; saves < 4; saves += 1) await save(store);
    }
    // The last time nobody closes it.
    if (opening < 3) await store.close();
  }
  return answered;
};

const missingIn = async (store: Store, answered: readonly Answered[], moment: number): Promise<readonly string[]> => {
  const due = answered.filter(({ after }) => after <= moment);
  const newest = new Map(due.filter(({ kind }) => kind === 'set').map((each) => [each.id, each]));
  const presets = new Set((await listPresets(store)).map(({ id }) => id));
  const missing: string[] = [];
  for (const { id, revision, name } of newest.values()) {
    const found = await getSet(store.db, id);
    const had = found.ok ? found.value : undefined;
    const same = had?.revision === revision && (had.document as SetDocument).name === name;
    if (!same && (had?.revision ?? 0) <= revision) missing.push(`${id}: save ${revision} is ${had ? `save ${had.revision}` : 'gone'}`);
  }
  for (const { kind, id } of due) {
    if (kind === 'preset' && !presets.has(id)) missing.push(id);
    if (kind === 'picture' && !(await getPicture(store, id)).ok) missing.push(`picture ${id.slice(0, 8)}`);
  }
  return missing;
};

const directory = join(scratch, 'shelf');
const record = recordDisk(directory);
const answered = await work(directory, record.now);
record.stop();
withoutSyncing();
const ops = deaf ? deafTo(join(directory, 'database'), record.ops) : record.ops;
const first = answered[0]?.after ?? 0;
let [rebuilt, failed, whole] = [0, 0, 0];
for (let state = 0; state < states; state += 1) {
  // Cuts fall evenly over all that was done, and a sixth into the very first start.
  const moment = Math.floor(state % 6 === 5 ? random() * first : first + random() * (ops.length - first));
  const names = state % 2 === 0 ? 'each by itself' : 'in one order';
  const target = join(scratch, `state-${state}`);
  layOutState(ops, directory, moment, names, random, target);
  try {
    const { store, notices } = await open(target, clock);
    const missing = await missingIn(store, answered, moment);
    const goesOn = await createSet(store, `after-${state}`, named('after', ''), clock());
    await store.close();
    if (notices.some(({ what }) => what === 'rebuilt')) rebuilt += 1;
    else whole += 1;
    if (missing.length > 0 || !goesOn.ok) {
      failed += 1;
      process.stderr.write(`state ${state} (cut after ${moment} of ${ops.length}, names ${names}): ${missing.join('; ')}\n`);
    }
  } catch (problem) {
    failed += 1;
    process.stderr.write(
      `state ${state} (cut after ${moment} of ${ops.length}, names ${names}): ${problem instanceof Error ? problem.stack : problem}\n`,
    );
  }
  fs.rmSync(target, { recursive: true, force: true });
}
fs.rmSync(scratch, { recursive: true, force: true });
process.stdout.write(
  `${JSON.stringify({ states, operations: ops.length, acknowledged: answered.length, opened: whole, rebuilt, failed })}\n`,
);
process.exit(failed > 0 ? 1 : 0);
