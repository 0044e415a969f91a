// The built-in database never syncs to disk. So whatever it accepts is written here too, and synced, before it is answered.
// A directory of segments, each named for the number of its first entry; a line is the CRC-32 of what follows, a space, and the entry.
import { closeSync, fsyncSync, ftruncateSync, mkdirSync, openSync, readdirSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { crc32 } from 'node:zlib';

/** What is done to the shelf, so that it can be done again. Times are ISO 8601. */
export type Entry =
  | {
      readonly kind: 'save';
      readonly id: string;
      readonly revision: number;
      readonly words: string;
      readonly at: string;
      readonly document: unknown;
    }
  | { readonly kind: 'away'; readonly id: string; readonly at: string | null }
  | { readonly kind: 'purge'; readonly ids: readonly string[] }
  | { readonly kind: 'preset'; readonly id: string; readonly name: string; readonly at: string; readonly piece: unknown }
  | { readonly kind: 'forget'; readonly id: string }
  | {
      readonly kind: 'picture';
      readonly id: string;
      readonly mime: string;
      readonly width: number;
      readonly height: number;
      readonly at: string;
      /** In base 64. */
      readonly bytes: string;
    };

export type Numbered = { readonly number: number; readonly entry: Entry };

/** An open journal. `append` returns when the entry is on the disk, and throws what the system says when it cannot be; then nothing of it
 *  stays. `turn` begins a new segment and tells the names of the old ones, for `drop`. */
export type Journal = {
  readonly append: (entry: Entry) => number;
  readonly size: () => number;
  readonly turn: () => readonly string[];
  readonly drop: (segments: readonly string[]) => void;
  readonly close: () => void;
};

const NAME = /^(\d{12})\.log$/;

const segmentsIn = (directory: string): readonly string[] =>
  readdirSync(directory, { withFileTypes: true })
    .filter((entry) => entry.isFile() && NAME.test(entry.name))
    .map(({ name }) => name)
    .sort();

const lineOf = (numbered: Numbered): Buffer => {
  const text = JSON.stringify(numbered);
  return Buffer.from(`${crc32(text).toString(16).padStart(8, '0')} ${text}\n`);
};

const readLine = (line: string): Numbered | undefined => {
  const text = line.slice(9);
  if (Number.parseInt(line.slice(0, 8), 16) !== crc32(text)) return undefined;
  return JSON.parse(text);
};

/** Reads every whole entry in order. A line that was torn ends its segment: what stood behind it was never answered. */
export const readJournal = (directory: string): { readonly entries: readonly Numbered[]; readonly torn: number } => {
  mkdirSync(directory, { recursive: true });
  let torn = 0;
  const entries = segmentsIn(directory).flatMap((name) => {
    const lines = readFileSync(join(directory, name), 'utf8').split('\n');
    const read = lines.slice(0, -1).map(readLine);
    const firstBad = read.indexOf(undefined);
    if (firstBad >= 0 || lines.at(-1) !== '') torn += 1;
    return (firstBad < 0 ? read : read.slice(0, firstBad)) as readonly Numbered[];
  });
  return { entries, torn };
};

const syncDirectory = (directory: string): void => {
  const handle = openSync(directory, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
};

/** `fault` is why a line that was begun could neither be ended nor be taken back; until it can be, no other may stand behind it. */
type Segment = { readonly name: string; readonly file: number; size: number; fault: unknown };

const openSegment = (directory: string, first: number): Segment => {
  const name = `${String(first).padStart(12, '0')}.log`;
  const file = openSync(join(directory, name), 'a');
  syncDirectory(directory);
  return { name, file, size: 0, fault: null };
};

/** Takes back what stands behind the last whole line. */
const takeBack = (segment: Segment, fault: unknown): void => {
  try {
    ftruncateSync(segment.file, segment.size);
    segment.fault = null;
  } catch {
    segment.fault = fault;
  }
};

const writeAll = (segment: Segment, bytes: Buffer): void => {
  if (segment.fault) takeBack(segment, segment.fault);
  if (segment.fault) throw segment.fault;
  try {
    for (let written = 0; written < bytes.length; ) written += writeSync(segment.file, bytes, written);
    fsyncSync(segment.file);
    segment.size += bytes.length;
  } catch (problem) {
    takeBack(segment, problem);
    throw problem;
  }
};

/** Opens a directory's journal for entries numbered from `first` on, always in a segment of its own. */
export const openJournal = (directory: string, first: number): Journal => {
  let next = first;
  let segment = openSegment(directory, next);
  let older = segmentsIn(directory).filter((name) => name !== segment.name);
  return {
    append: (entry) => {
      writeAll(segment, lineOf({ number: next, entry }));
      next += 1;
      return next - 1;
    },
    size: () => segment.size,
    turn: () => {
      if (segment.size > 0) {
        closeSync(segment.file);
        older = [...older, segment.name];
        segment = openSegment(directory, next);
      }
      return older;
    },
    drop: (segments) => {
      for (const name of segments) rmSync(join(directory, name), { force: true });
      older = older.filter((name) => !segments.includes(name));
      syncDirectory(directory);
    },
    close: () => closeSync(segment.file),
  };
};
