// What is accepted is written here and synced before it is answered; the database syncs only now and then.
// A directory of segments, each named for the number of its first entry. A line is the length of its text in bytes, the CRC-32 of the text, the
// chain (a sum over this text and the chain of the line before it), and the text. Lines of the first shape had the CRC-32 and the text alone.
import { createHash } from 'node:crypto';
import { closeSync, fsyncSync, ftruncateSync, openSync, readdirSync, readFileSync, statSync, truncateSync } from 'node:fs';
import { join } from 'node:path';
import { crc32 } from 'node:zlib';
import { removeDurably, syncDirectory, syncFile, writeAll, writeDurably } from './files.ts';

export type Numbered<E> = { readonly number: number; readonly entry: E };

/** Bytes of a segment that are no entry. `torn` stands at the end of a segment, where a write was broken off that nobody was answered. */
export type Damage = { readonly segment: string; readonly from: number; readonly bytes: number; readonly kind: 'torn' | 'damaged' };

/** Numbers that are missing between two entries. */
export type JournalGap = { readonly from: number; readonly to: number };

/** What was found: `entries` in the order of their numbers, and the chain of the last one, on which the next is hung. */
export type JournalRead<E> = {
  readonly entries: readonly Numbered<E>[];
  readonly damage: readonly Damage[];
  readonly gaps: readonly JournalGap[];
  /** Entries that do not follow the one before them although their numbers do: two histories are mixed. */
  readonly unchained: readonly number[];
  readonly chain: string;
  /** The number for the next entry: none that may have been given before, read or not. */
  readonly next: number;
};

/** An open journal. `append` returns when the entry is on the disk, and throws what the system says when it cannot be; then nothing of it
 *  stays. `turn` begins a new segment and gives the number of the last entry before it; `dropBefore` removes the segments that hold nothing
 *  but entries up to a number. */
export type Journal<E> = {
  readonly append: (entry: E) => number;
  /** Takes the entry back that was appended last, when nobody was answered. */
  readonly undo: () => void;
  /** Bytes written since the journal was trimmed last, also by those who had it open before. */
  readonly size: () => number;
  /** Segments begun since then. */
  readonly segments: () => number;
  readonly last: () => number;
  /** The number of the last entry before it was trimmed last. */
  readonly mark: () => number;
  readonly turn: () => number;
  readonly dropBefore: (number: number) => void;
  readonly close: () => void;
};

const NAME = /^(\d{12})\.log$/;
const HEAD = /^([0-9a-f]{8}) ([0-9a-f]{8}) ([0-9a-f]{16}) $/;
const HEAD_BYTES = 35;
const OLD_HEAD = /^([0-9a-f]{8}) \{/;
const OLD_HEAD_BYTES = 9;
const NEWLINE = 10;

export const segmentsIn = (directory: string): readonly string[] =>
  readdirSync(directory, { withFileTypes: true })
    .filter((entry) => !entry.isDirectory() && NAME.test(entry.name))
    .map(({ name }) => name)
    .sort();

const firstOf = (segment: string): number => Number(NAME.exec(segment)?.[1] ?? 0);

const nameOf = (first: number): string => `${String(first).padStart(12, '0')}.log`;

const hex8 = (value: number): string => value.toString(16).padStart(8, '0');

const chainOf = (before: string, text: Uint8Array): string => createHash('sha256').update(before).update(text).digest('hex').slice(0, 16);

const lineOf = <E>(numbered: Numbered<E>, before: string): { readonly line: Buffer; readonly chain: string } => {
  const text = Buffer.from(JSON.stringify(numbered));
  const chain = chainOf(before, text);
  return { line: Buffer.concat([Buffer.from(`${hex8(text.length)} ${hex8(crc32(text))} ${chain} `), text, Buffer.of(NEWLINE)]), chain };
};

type Line<E> = { readonly numbered: Numbered<E>; readonly text: Buffer; readonly chain: string | null; readonly next: number };

const parsed = <E>(text: Buffer): Numbered<E> | undefined => {
  try {
    const found = JSON.parse(text.toString());
    return Number.isSafeInteger(found?.number) && found.number > 0 && typeof found.entry === 'object' ? found : undefined;
  } catch {
    return undefined;
  }
};

/** The entry that begins at a place; its length is stated, so the end of its line may be damaged. */
const lineAt = <E>(bytes: Buffer, at: number): Line<E> | undefined => {
  const [, length, sum, chain] = HEAD.exec(bytes.toString('latin1', at, at + HEAD_BYTES)) ?? [];
  if (length === undefined || sum === undefined || chain === undefined) return oldLineAt(bytes, at);
  const end = at + HEAD_BYTES + Number.parseInt(length, 16);
  // The last sign of a line is written with it: without it the line was broken off.
  if (end >= bytes.length) return undefined;
  const text = bytes.subarray(at + HEAD_BYTES, end);
  const numbered = crc32(text) === Number.parseInt(sum, 16) ? parsed<E>(text) : undefined;
  return numbered && { numbered, text, chain, next: end + 1 };
};

const oldLineAt = <E>(bytes: Buffer, at: number): Line<E> | undefined => {
  const [, sum] = OLD_HEAD.exec(bytes.toString('latin1', at, at + OLD_HEAD_BYTES + 1)) ?? [];
  const end = bytes.indexOf(NEWLINE, at);
  if (sum === undefined || end < 0) return undefined;
  const text = bytes.subarray(at + OLD_HEAD_BYTES, end);
  const numbered = crc32(text) === Number.parseInt(sum, 16) ? parsed<E>(text) : undefined;
  return numbered && { numbered, text, chain: null, next: end + 1 };
};

type SegmentRead<E> = { readonly lines: readonly Line<E>[]; readonly damage: readonly Damage[]; readonly lost: number };

/** Reads a segment line by line; from what is no entry on it looks for the next line that is one. */
const readSegment = <E>(directory: string, segment: string): SegmentRead<E> => {
  const bytes = statSync(join(directory, segment)).isFile() ? readFileSync(join(directory, segment)) : Buffer.alloc(0);
  const lines: Line<E>[] = [];
  const damage: Damage[] = [];
  let bad = -1;
  for (let at = 0; at < bytes.length; ) {
    const line = lineAt<E>(bytes, at);
    if (line) {
      if (bad >= 0) damage.push({ segment, from: bad, bytes: at - bad, kind: 'damaged' });
      bad = -1;
      lines.push(line);
      at = line.next;
    } else {
      if (bad < 0) bad = at;
      const end = bytes.indexOf(NEWLINE, at);
      at = end < 0 ? bytes.length : end + 1;
    }
  }
  if (bad < 0) return { lines, damage, lost: 0 };
  // Only the last line can have been broken off: whole lines before it that are no entries were damaged later, and had numbers of their own.
  const whole = bytes.subarray(bad, bytes.length - 1);
  const begin = bad + whole.lastIndexOf(NEWLINE) + 1;
  const torn: Damage = { segment, from: begin, bytes: bytes.length - begin, kind: 'torn' };
  const before: readonly Damage[] = begin > bad ? [{ segment, from: bad, bytes: begin - bad, kind: 'damaged' }] : [];
  return { lines, damage: [...damage, ...before, torn], lost: whole.filter((byte) => byte === NEWLINE).length };
};

/** Reads the entries after a number, skipping the segments that hold none of them, and says what is damaged or missing among them.
 *  Of two entries with one number the later one counts: the first was never answered. */
export const readJournal = <E>(directory: string, after = 0): JournalRead<E> => {
  const segments = segmentsIn(directory);
  const wanted = segments.filter((_, index) => index + 1 === segments.length || firstOf(segments[index + 1] as string) > after + 1);
  const read = wanted.map((segment) => readSegment<E>(directory, segment));
  const byNumber = new Map<number, Line<E>>();
  for (const { lines } of read) for (const line of lines) byNumber.set(line.numbered.number, line);
  const all = [...byNumber.values()].sort((a, b) => a.numbered.number - b.numbered.number);
  const gaps: JournalGap[] = [];
  const unchained: number[] = [];
  all.forEach((line, index) => {
    const before = all[index - 1];
    const { number } = line.numbered;
    if (!before) return;
    if (number !== before.numbered.number + 1) gaps.push({ from: before.numbered.number + 1, to: number - 1 });
    else if (before.chain !== null && line.chain !== null && chainOf(before.chain, line.text) !== line.chain) unchained.push(number);
  });
  return {
    entries: all.map(({ numbered }) => numbered).filter(({ number }) => number > after),
    damage: read.flatMap(({ damage }) => damage),
    gaps: gaps.filter(({ to }) => to > after),
    unchained: unchained.filter((number) => number > after),
    chain: all.at(-1)?.chain ?? '',
    next: Math.max(firstOf(segments.at(-1) ?? ''), (all.at(-1)?.numbered.number ?? 0) + 1) + (read.at(-1)?.lost ?? 0),
  };
};

/** Takes what is no entry out of the journal, after it was copied to a directory for whoever may read it yet: what is torn is cut off, and a
 *  damaged segment is copied as it is. */
export const putDamageAside = (directory: string, damage: readonly Damage[], aside: string): readonly string[] =>
  [...new Set(damage.map(({ segment }) => segment))].map((segment) => {
    const path = join(directory, segment);
    const copy = join(aside, segment);
    writeDurably(copy, readFileSync(path));
    for (const { kind, from } of damage.filter((each) => each.segment === segment))
      if (kind === 'torn') {
        truncateSync(path, from);
        syncFile(path);
      }
    return copy;
  });

/** `fault` is why a line that was begun could not be taken back; no other may stand behind it. `unsure` is a segment that could not be synced. */
type Segment = { readonly file: number; size: number; fault: unknown; unsure: boolean };

const openSegment = (directory: string, first: number): Segment => {
  const file = openSync(join(directory, nameOf(first)), 'a', 0o600);
  try {
    syncDirectory(directory);
    return { file, size: 0, fault: null, unsure: false };
  } catch (problem) {
    closeSync(file);
    throw problem;
  }
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

/** After a sync that failed nobody knows what the disk holds, and asking again answers wrongly: such a segment is written no more.
 *  Source: Rebello and others, "Can applications recover from fsync failures?", 2020 (recalled from memory). */
const writeLine = (segment: Segment, line: Buffer): void => {
  if (segment.fault) takeBack(segment, segment.fault);
  if (segment.fault) throw segment.fault;
  let written = false;
  try {
    writeAll(segment.file, line);
    written = true;
    fsyncSync(segment.file);
  } catch (problem) {
    segment.unsure = written;
    takeBack(segment, problem);
    throw problem;
  }
  segment.size += line.length;
};

/** Opens a directory's journal for entries numbered from `first` on, hung on the chain of the last one before them. It was trimmed last when
 *  `trimmed` was the number of its last entry. */
export const openJournal = <E>(directory: string, first: number, chain: string, trimmed: number): Journal<E> => {
  let next = first;
  let last = chain;
  let segment = openSegment(directory, next);
  segment.size = statSync(join(directory, nameOf(first))).size;
  // The new one is open before the old one is let go: a shortage in between leaves all as it was.
  const begin = (): void => {
    const old = segment;
    if (old.size === 0) removeDurably(directory, [nameOf(next)]);
    segment = openSegment(directory, next);
    closeSync(old.file);
  };
  let mark = trimmed;
  const untrimmed = (): readonly string[] => segmentsIn(directory).filter((each) => firstOf(each) > mark);
  let written = untrimmed().reduce((sum, each) => sum + statSync(join(directory, each)).size, 0);
  let before: { readonly size: number; readonly last: string } | null = null;
  return {
    append: (entry) => {
      if (segment.unsure) begin();
      const { line, chain: hung } = lineOf({ number: next, entry }, last);
      writeLine(segment, line);
      before = { size: segment.size - line.length, last };
      last = hung;
      written += line.length;
      next += 1;
      return next - 1;
    },
    undo: () => {
      if (!before) return;
      segment.size = before.size;
      last = before.last;
      next -= 1;
      before = null;
      takeBack(segment, new Error('an entry could not be taken back'));
    },
    size: () => written,
    segments: () => untrimmed().length,
    last: () => next - 1,
    mark: () => mark,
    turn: () => {
      if (segment.size > 0) begin();
      before = null;
      written = 0;
      mark = next - 1;
      return mark;
    },
    dropBefore: (number) => {
      const segments = segmentsIn(directory);
      removeDurably(
        directory,
        segments.filter((_, index) => index + 1 < segments.length && firstOf(segments[index + 1] as string) <= number + 1),
      );
    },
    close: () => closeSync(segment.file),
  };
};
