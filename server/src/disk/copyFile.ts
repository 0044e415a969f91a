// A whole shelf in one file: lines of JSON, packed by gzip. The first says what it is, the last how many lines there are and their sum, so that a
// file that was broken off or damaged is known before anything of it is used.
import { createHash } from 'node:crypto';
import { closeSync, createReadStream, fsyncSync, openSync } from 'node:fs';
import type { Readable, Writable } from 'node:stream';
import { createGunzip, createGzip } from 'node:zlib';
import { renameDurably, writeAll } from './files.ts';

const FORMAT = 'bashful-parlor-shelf';
const VERSION = 1;

/** What a copy says of itself: `number` is the last journal entry that is in it for certain (0 where there is no journal). */
export type CopyHead = { readonly format: string; readonly version: number; readonly number: number; readonly at: string };

export type CopyProblem =
  | { readonly code: 'copy-unreadable' }
  | { readonly code: 'copy-of-newer-version' }
  /** Broken off, or its sum is another. */
  | { readonly code: 'copy-damaged' };

/** Reading a copy came to an end before its end. */
export class CopyFault extends Error {
  readonly problem: CopyProblem;
  constructor(problem: CopyProblem) {
    super(problem.code);
    this.problem = problem;
  }
}

/** The lines of a copy of rows that are JSON already. */
export async function* copyLines(number: number, at: string, rows: AsyncIterable<string>): AsyncGenerator<string> {
  const sum = createHash('sha256');
  let count = 0;
  const head: CopyHead = { format: FORMAT, version: VERSION, number, at };
  sum.update(JSON.stringify(head));
  yield `${JSON.stringify(head)}\n`;
  for await (const row of rows) {
    sum.update(row);
    count += 1;
    yield `${row}\n`;
  }
  yield `${JSON.stringify({ end: true, rows: count, sum: sum.digest('hex') })}\n`;
}

/** Waits until a stream takes more, or never will. */
const drained = (stream: Writable): Promise<void> =>
  new Promise((resolve) => {
    const done = (): void => {
      stream.off('drain', done).off('close', done);
      resolve();
    };
    stream.once('drain', done).once('close', done);
  });

/** Sends lines through gzip; whoever reads slowly is waited for. */
export const pack = async (lines: AsyncIterable<string>, to: (chunk: Buffer) => void | Promise<void>): Promise<void> => {
  const zip = createGzip({ level: 3 });
  const sent = (async () => {
    for await (const chunk of zip) await to(chunk);
  })();
  // Whichever of the two fails first ends the other.
  sent.catch((problem) => zip.destroy(problem));
  try {
    for await (const line of lines) if (!zip.write(line)) await drained(zip);
    zip.end();
  } catch (problem) {
    zip.destroy();
    await sent.catch(() => undefined);
    throw problem;
  }
  await sent;
};

/** Packs lines straight into a stream that somebody is sent. */
export const packInto = (lines: AsyncIterable<string>, stream: Writable): Promise<void> =>
  pack(lines, (chunk) => (stream.write(chunk) ? undefined : drained(stream)));

/** Writes a copy aside, syncs it, and gives it its name last. Gives back its sum (SHA-256 of the file) and its size in bytes. */
export const writeCopy = async (path: string, lines: AsyncIterable<string>): Promise<{ readonly sum: string; readonly bytes: number }> => {
  const aside = `${path}.unfinished`;
  const file = openSync(aside, 'w', 0o600);
  const sum = createHash('sha256');
  let bytes = 0;
  try {
    await pack(lines, (chunk) => {
      sum.update(chunk);
      bytes += chunk.length;
      writeAll(file, chunk);
    });
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
  renameDurably(aside, path);
  return { sum: sum.digest('hex'), bytes };
};

export const sumOfFile = async (path: string): Promise<string> => {
  const sum = createHash('sha256');
  for await (const chunk of createReadStream(path)) sum.update(chunk as Buffer);
  return sum.digest('hex');
};

/** No row is longer: a picture of 25 MB in base 64 with room to spare. */
const LONGEST_ROW = 100_000_000;

async function* linesOf(chunks: AsyncIterable<Buffer>): AsyncGenerator<string> {
  let rest: Buffer[] = [];
  let length = 0;
  for await (const chunk of chunks) {
    let from = 0;
    for (let end = chunk.indexOf(10); end >= 0; end = chunk.indexOf(10, from)) {
      yield Buffer.concat([...rest, chunk.subarray(from, end)]).toString();
      rest = [];
      length = 0;
      from = end + 1;
    }
    rest.push(chunk.subarray(from));
    length += chunk.length - from;
    if (length > LONGEST_ROW) throw new CopyFault({ code: 'copy-unreadable' });
  }
  if (length > 0) yield Buffer.concat(rest).toString();
}

const headOf = (line: string): CopyHead => {
  try {
    const head = JSON.parse(line) as CopyHead;
    if (head.format === FORMAT && Number.isSafeInteger(head.version) && Number.isSafeInteger(head.number)) {
      if (head.version > VERSION) throw new CopyFault({ code: 'copy-of-newer-version' });
      return head;
    }
  } catch (problem) {
    if (problem instanceof CopyFault) throw problem;
  }
  throw new CopyFault({ code: 'copy-unreadable' });
};

const endOf = (line: string): { readonly rows?: number; readonly sum?: string } => {
  try {
    return line.startsWith('{"end":true,') ? JSON.parse(line) : {};
  } catch {
    return {};
  }
};

/** Reads a copy row by row, the head first. The last row has been given when the sum is compared: nothing may be kept of a copy before the
 *  reading has ended. Throws a CopyFault; `most` bounds what it may unpack to, in bytes. */
export async function* readCopy(file: Readable, most = Number.POSITIVE_INFINITY): AsyncGenerator<string, CopyHead> {
  const unzipped = file.pipe(createGunzip());
  file.once('error', (problem) => unzipped.destroy(problem));
  const sum = createHash('sha256');
  let head: CopyHead | undefined;
  let [rows, size] = [0, 0];
  let before: string | undefined;
  try {
    for await (const line of linesOf(unzipped)) {
      size += line.length;
      if (size > most) throw new CopyFault({ code: 'copy-unreadable' });
      if (before !== undefined) {
        sum.update(before);
        if (head) {
          rows += 1;
          yield before;
        } else head = headOf(before);
      }
      before = line;
    }
  } catch (problem) {
    throw problem instanceof CopyFault ? problem : new CopyFault({ code: head ? 'copy-damaged' : 'copy-unreadable' });
  } finally {
    file.destroy();
    unzipped.destroy();
  }
  if (!head || before === undefined) throw new CopyFault({ code: 'copy-unreadable' });
  const end = endOf(before);
  if (end.rows !== rows || end.sum !== sum.digest('hex')) throw new CopyFault({ code: 'copy-damaged' });
  return head;
}
