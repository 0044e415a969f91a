// A copy of everything, each week, in a directory of the maker's choice: another disk, a folder that is carried elsewhere.
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { makeDirectory, removeDurably, writeCopy } from '../disk/index.ts';
import { everything } from '../shelf/index.ts';
import type { Store } from '../store/index.ts';

const WEEK = 7 * 86_400_000;
/** So many of the newest are kept there. */
const MOST = 12;
const NAME = /^everything-(\d{4}-\d\d-\d\d)\.parlor-shelf$/;

/** Puts a copy there when the newest is a week old, and drops what is more than the newest twelve. */
export const weeklyCopy = async (store: Store, directory: string, at: Date): Promise<void> => {
  makeDirectory(directory);
  const names = readdirSync(directory)
    .filter((name) => NAME.test(name))
    .sort();
  const newest = NAME.exec(names.at(-1) ?? '')?.[1];
  if (newest !== undefined && at.getTime() - Date.parse(newest) < WEEK) return;
  await writeCopy(join(directory, `everything-${at.toISOString().slice(0, 10)}.parlor-shelf`), everything(store, at));
  removeDurably(directory, names.slice(0, Math.max(0, names.length + 1 - MOST)));
};
