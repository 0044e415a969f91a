// What the shelf has to tell its maker: kept in a file of its own until it was read, for the database it is about may be gone.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeDurably } from '../disk/index.ts';

/** What was found, as data; whoever shows it owns the words. `aside` is where the old files are, `entries` how many saves were found again, and
 *  `missing` how many are known of and could not be. */
export type Notice = {
  readonly id: string;
  readonly at: string;
  readonly what: 'rebuilt' | 'journal-damaged' | 'entries-missing' | 'reading-only';
  readonly why: string;
  readonly aside: string | null;
  readonly entries: number;
  readonly missing: number;
};

const fileIn = (directory: string): string => join(directory, 'notices.json');

export const readNotices = (directory: string): readonly Notice[] => {
  try {
    const found = JSON.parse(readFileSync(fileIn(directory), 'utf8'));
    return Array.isArray(found) ? found : [];
  } catch {
    return [];
  }
};

const MOST = 50;

export const addNotices = (directory: string, notices: readonly Notice[]): void => {
  if (notices.length > 0) writeDurably(fileIn(directory), JSON.stringify([...readNotices(directory), ...notices].slice(-MOST)));
};

/** Puts a notice away that was read. */
export const dropNotice = (directory: string, id: string): void =>
  writeDurably(fileIn(directory), JSON.stringify(readNotices(directory).filter((each) => each.id !== id)));
