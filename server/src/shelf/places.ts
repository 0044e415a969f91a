import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeOwnDirectory, writeDurably } from '../disk/index.ts';
import { type PictureFiles, pictureFilesIn } from '../store/index.ts';
import { copiesIn } from './generations.ts';

/** What a shelf is opened with. `prepared` is the database that a first start begins from; `probe` opens a database in a process of its own, so
 *  that one which never answers is known; it answers whether the database opened. */
export type OwnPlaces = {
  readonly directory: string;
  readonly migrations: string;
  readonly prepared: string;
  readonly probe: ((target: string) => Promise<boolean>) | null;
};

export const journalIn = (directory: string): string => join(directory, 'journal');
export const asideIn = (directory: string): string => join(directory, 'aside');

export const picturesOf = (directory: string): PictureFiles => {
  makeOwnDirectory(copiesIn(directory));
  return pictureFilesIn(join(directory, 'pictures'), join(copiesIn(directory), 'pictures'));
};

/** A database of which no copy can be made is not opened again. */
export const distrustIn = (directory: string): string => join(directory, 'distrusted');
export const isDistrusted = (directory: string): boolean => existsSync(distrustIn(directory));

const BEGUN = 'shelf.json';

/** When a shelf was begun in a directory; null where none ever was. */
export const begunIn = (directory: string): string | null => {
  try {
    return String(JSON.parse(readFileSync(join(directory, BEGUN), 'utf8')).begun);
  } catch {
    return existsSync(join(directory, BEGUN)) ? 'some time ago' : null;
  }
};

/** Says for ever that a shelf was begun here. */
export const markBegun = (directory: string, at: Date): void =>
  writeDurably(join(directory, BEGUN), JSON.stringify({ begun: at.toISOString() }));
