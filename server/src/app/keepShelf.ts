// A copy of everything into a file, and back from one, without the page.
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { copyLines, writeCopy } from '../disk/index.ts';
import type { Log } from '../http/index.ts';
import { everything, picturesOf, rebuildAt, restoreFrom, StartError } from '../shelf/index.ts';
import { rowsOf } from '../store/index.ts';
import { withScratch } from './checkShelf.ts';
import type { Config } from './config.ts';
import { openShelf, ownPlaces } from './openShelf.ts';
import type { Places } from './places.ts';

type Say = (line: string) => void;

/** While the application runs its database is its own; but all that it has acknowledged is in the newest copy and the journal. */
const keepBeside = (config: Config, places: Places, path: string): Promise<{ readonly bytes: number }> =>
  withScratch(async (scratch) => {
    const { database } = await rebuildAt(join(scratch, 'database'), ownPlaces(config, places), null);
    const files = picturesOf(config.data);
    try {
      const now = new Date();
      return await writeCopy(
        path,
        copyLines(
          0,
          now.toISOString(),
          rowsOf(database.db, (id) => files.read(id)),
        ),
      );
    } finally {
      await database.close().catch(() => undefined);
    }
  });

/** Writes everything into a file, also while the application runs. */
export const keepShelf = async (config: Config, places: Places, out: string, say: Say, log: Log): Promise<void> => {
  const path = resolve(out);
  if (existsSync(path)) throw new StartError(`${path} is there already; nothing is written over it.\nName another file.`);
  if (config.databaseUrl === null) {
    if (!existsSync(config.data))
      throw new StartError(`There is no data directory ${config.data}.\nSet PARLOR_DATA to the one that holds your sets.`);
    const { bytes } = await keepBeside(config, places, path);
    return say(`Everything is in ${path} (${Math.ceil(bytes / 1000)} kB).`);
  }
  const { store } = await openShelf({ ...config, keep: null }, places, log);
  try {
    const { bytes } = await writeCopy(path, everything(store, new Date()));
    say(`Everything is in ${path} (${Math.ceil(bytes / 1000)} kB).`);
  } finally {
    await store.close();
  }
};

const WORDS: Readonly<Record<string, string>> = {
  'copy-unreadable': 'The file is no copy of a shelf.',
  'copy-of-newer-version': 'The copy was written by a newer Bashful Parlor; bring that one up to date first.',
  'copy-damaged': 'The copy was broken off or damaged; nothing of it was brought back.',
  'storage-full': 'The disk is full; make room and bring the copy back again: what is there already is left as it is.',
};

/** Brings a file back beside what is there. */
export const restoreShelf = async (config: Config, places: Places, file: string, say: Say, log: Log): Promise<void> => {
  const path = resolve(file);
  if (!existsSync(path)) throw new StartError(`There is no file ${path}.`);
  const { store } = await openShelf({ ...config, keep: null }, places, log);
  try {
    const restored = await restoreFrom(store, path);
    if (!restored.ok) {
      const { error } = restored;
      const row =
        error.code === 'copy-row' ? `Row ${error.row} of the copy cannot be used: ${error.reason}. Nothing of it was brought back.` : '';
      throw new StartError(WORDS[error.code] ?? (row || `It could not be brought back (${error.code}).`));
    }
    const { sets, besides, already, presets, pictures } = restored.value;
    say(
      `Brought back: ${sets} sets, ${besides} beside sets of the same name, ${presets} templates, ${pictures} pictures; ${already} were there already.`,
    );
  } finally {
    await store.close();
  }
};
