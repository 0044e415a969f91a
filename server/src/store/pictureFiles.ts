// The bytes of pictures as files under their sum, beside the built-in database: large, never changed, and known for what they are.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeOwnDirectory, removeDurably, writeDurably } from '../disk/index.ts';

/** Files of pictures in a directory, and second ones in another, from which what is damaged is brought back. */
export type PictureFiles = {
  readonly write: (id: string, bytes: Uint8Array) => void;
  /** The bytes, when they are still those that the name says; null when neither place has them. */
  readonly read: (id: string) => Uint8Array | null;
  readonly remove: (ids: readonly string[]) => void;
  readonly ids: () => readonly string[];
  /** Writes a second file of each picture that has none, and drops second files that no picture needs. */
  readonly keepSeconds: (wanted: ReadonlySet<string>) => void;
};

const NAME = /^[0-9a-f]{64}$/;

export const sumOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const wholeIn = (directory: string, id: string): Uint8Array | null => {
  const path = join(directory, id);
  if (!existsSync(path)) return null;
  const bytes = readFileSync(path);
  return sumOf(bytes) === id ? bytes : null;
};

const namesIn = (directory: string): readonly string[] => readdirSync(directory).filter((name) => NAME.test(name));

export const pictureFilesIn = (directory: string, seconds: string): PictureFiles => {
  makeOwnDirectory(directory);
  makeOwnDirectory(seconds);
  return {
    write: (id, bytes) => {
      if (!existsSync(join(directory, id))) writeDurably(join(directory, id), bytes);
    },
    read: (id) => {
      const bytes = wholeIn(directory, id);
      if (bytes) return bytes;
      const second = wholeIn(seconds, id);
      if (second) writeDurably(join(directory, id), second);
      return second;
    },
    remove: (ids) => removeDurably(directory, ids),
    ids: () => namesIn(directory),
    keepSeconds: (wanted) => {
      const there = new Set(namesIn(seconds));
      for (const id of wanted) {
        const bytes = there.has(id) ? null : wholeIn(directory, id);
        if (bytes) writeDurably(join(seconds, id), bytes);
      }
      removeDurably(
        seconds,
        [...there].filter((id) => !wanted.has(id)),
      );
    },
  };
};
