// What is written here is on the disk when the function returns: the file's bytes, and its name in the directory.
import {
  chmodSync,
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';

/** Nobody but the account that the application runs under reads or writes what is kept. */
const OWN_DIRECTORY = 0o700;
const OWN_FILE = 0o600;

/** Puts on the disk what stands in a file, or which names stand in a directory. */
const syncPath = (path: string): void => {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
};

export const syncDirectory = syncPath;
export const syncFile = syncPath;

/** Puts a directory and everything in it on the disk. */
export const syncTree = (directory: string): void => {
  for (const entry of readdirSync(directory, { withFileTypes: true })) {
    const path = join(directory, entry.name);
    if (entry.isDirectory()) syncTree(path);
    else if (entry.isFile()) syncFile(path);
  }
  syncDirectory(directory);
};

/** Makes a directory and what leads to it, one after the other: Node's own way of making all at once never ends below `/proc`. */
export const makeDirectory = (directory: string): void => {
  if (existsSync(directory)) {
    if (!statSync(directory).isDirectory()) throw Object.assign(new Error('not a directory'), { code: 'ENOTDIR', path: directory });
    return;
  }
  makeDirectory(dirname(directory));
  mkdirSync(directory, { mode: OWN_DIRECTORY });
  syncDirectory(dirname(directory));
};

/** Makes a directory of the application's own, which nobody else may look into, whoever could before. */
export const makeOwnDirectory = (directory: string): void => {
  makeDirectory(directory);
  if ((statSync(directory).mode & 0o777) !== OWN_DIRECTORY) chmodSync(directory, OWN_DIRECTORY);
};

export const writeAll = (file: number, bytes: Uint8Array): void => {
  for (let written = 0; written < bytes.length; ) written += writeSync(file, bytes, written);
};

/** Writes a file aside, syncs it, and gives it its name last: under that name stands the whole of it or what stood there before. */
export const writeDurably = (path: string, bytes: Uint8Array | string): void => {
  const aside = `${path}.unfinished`;
  const file = openSync(aside, 'w', OWN_FILE);
  try {
    writeAll(file, typeof bytes === 'string' ? Buffer.from(bytes) : bytes);
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
  renameDurably(aside, path);
};

export const renameDurably = (from: string, to: string): void => {
  renameSync(from, to);
  syncDirectory(dirname(to));
  if (dirname(from) !== dirname(to)) syncDirectory(dirname(from));
};

/** Removes files of a directory; those that are gone already are no fault. */
export const removeDurably = (directory: string, names: readonly string[]): void => {
  if (names.length === 0) return;
  for (const name of names) rmSync(join(directory, name), { force: true, recursive: true });
  syncDirectory(directory);
};
