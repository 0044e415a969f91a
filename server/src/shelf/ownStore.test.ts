import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { openJournal, readJournal } from '../disk/index.ts';
import { renamed, root } from '../fresh.testing.ts';
import { copyPrepared, type Database, type Entry, getSet, openAt, pictureFilesIn, saveSet } from '../store/index.ts';
import { ownStore, replay } from './ownStore.ts';

it('a database that broke in memory is opened anew, brought up to the journal, and saving goes on without a restart', async () => {
  const directory = mkdtempSync(join(tmpdir(), 'parlor-heal-'));
  const place = join(directory, 'database');
  const migrations = join(root, 'server/migrations');
  copyPrepared(join(root, 'server/dist/prepared'), place);
  const files = pictureFilesIn(join(directory, 'pictures'), join(directory, 'seconds'));
  const faults: unknown[] = [];
  const opened: Database[] = [];
  const open = async (): Promise<Database> => {
    const database = await openAt(place, migrations);
    await replay(database.db, readJournal<Entry>(directory).entries, files);
    opened.push(database);
    return database;
  };
  const store = ownStore({
    database: await open(),
    journal: openJournal<Entry>(directory, 1, '', 0),
    pictures: files,
    reopen: open,
    recorded: () => undefined,
    onFault: (problem) => faults.push(problem),
    close: async () => undefined,
  });
  const save = (basedOn: number, name: string) => saveSet(store, 'potting-shed', basedOn, renamed(name, 'x'), new Date());
  expect(await save(1, 'Before')).toMatchObject({ ok: true });
  // As an end of the compiled program does: whatever is asked of it from now on fails.
  await opened[0]?.close();
  await expect(save(2, 'During')).rejects.toThrow();
  expect([faults.length, opened.length]).toEqual([1, 2]);
  expect(await save(2, 'After')).toMatchObject({ ok: true, value: { revision: 3 } });
  expect(await getSet(store.db, 'potting-shed')).toMatchObject({ ok: true, value: { document: { name: 'After' } } });
  expect(readJournal<Entry>(directory)).toMatchObject({ entries: [{ number: 1 }, { number: 2 }], damage: [], gaps: [] });
  await store.close();
});
