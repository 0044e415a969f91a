import { appendFileSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { crc32 } from 'node:zlib';
import { seededRandom } from '@parlor/core/kit';
import { describe, expect, it } from 'vitest';
import { openJournal, putDamageAside, readJournal } from './journal.ts';

type Entry = { readonly kind: string; readonly id: string };

const place = () => mkdtempSync(join(tmpdir(), 'parlor-journal-'));
const entry = (id: string | number): Entry => ({ kind: 'away', id: `set-${id} ä\u2028` });
const read = (directory: string, after = 0) => readJournal<Entry>(directory, after);

/** A journal of so many entries in one segment, and the path of that. */
const written = (count: number, directory = place()): { readonly directory: string; readonly file: string } => {
  const { next, chain } = read(directory);
  const journal = openJournal<Entry>(directory, next, chain, 0);
  for (let index = 0; index < count; index += 1) journal.append(entry(next + index));
  journal.close();
  return { directory, file: join(directory, readdirSync(directory).sort().at(-1) as string) };
};

const numbers = (directory: string, after = 0) => read(directory, after).entries.map(({ number }) => number);

const lineStarts = (bytes: Buffer): readonly number[] => [0, ...[...bytes.keys()].filter((at) => bytes[at] === 10).map((at) => at + 1)];

const spoil = (file: string, change: (bytes: Buffer, starts: readonly number[]) => Buffer) => {
  const bytes = readFileSync(file);
  writeFileSync(file, change(bytes, lineStarts(bytes)));
};

describe('the journal', () => {
  it('gives back what was appended, over several openings, hung on one chain', () => {
    const directory = place();
    for (let opening = 0; opening < 4; opening += 1) written(3, directory);
    const found = read(directory);
    expect(found.entries).toEqual(Array.from({ length: 12 }, (_, index) => ({ number: index + 1, entry: entry(index + 1) })));
    expect(found).toMatchObject({ damage: [], gaps: [], unchained: [], next: 13 });
  });

  it('reads lines of the first shape, and hangs on behind them', () => {
    const directory = place();
    const text = JSON.stringify({ number: 1, entry: entry(1) });
    writeFileSync(join(directory, '000000000001.log'), `${crc32(text).toString(16).padStart(8, '0')} ${text}\n`);
    written(2, directory);
    expect(read(directory)).toMatchObject({ damage: [], gaps: [], unchained: [], next: 4 });
    expect(numbers(directory)).toEqual([1, 2, 3]);
  });

  it.each<[string, (line: Buffer) => Buffer]>([
    ['cut off', (line) => line.subarray(0, line.length - 9)],
    ['cut off before its end of line', (line) => line.subarray(0, line.length - 1)],
    ['cut off after its first byte', (line) => line.subarray(0, 1)],
    ['damaged', (line) => Buffer.from(line.map((byte, index) => (index === 60 ? byte ^ 1 : byte)))],
    ['nothing but noughts', (line) => Buffer.alloc(line.length)],
  ])('a last line that is %s is torn, and nothing else is; what comes after it is never glued to it', (_, change) => {
    const { directory, file } = written(2);
    spoil(file, (bytes, starts) => Buffer.concat([bytes.subarray(0, starts[1]), change(bytes.subarray(starts[1]))]));
    const found = read(directory);
    expect([numbers(directory), found.damage.map(({ kind }) => kind), found.next]).toEqual([[1], ['torn'], 2]);
    const aside = place();
    putDamageAside(directory, found.damage, aside);
    expect(readdirSync(aside)).toEqual(readdirSync(directory));
    written(2, directory);
    expect(read(directory)).toMatchObject({ damage: [], gaps: [] });
    expect(numbers(directory)).toEqual([1, 2, 3]);
  });

  // A torn first line was once given the same file for what came after it, and cost everything that did.
  it.each([1, 30, 80])('a torn first line of a segment, cut at byte %i, costs nothing that comes after it', (at) => {
    const { directory, file } = written(1);
    spoil(file, (bytes) => bytes.subarray(0, at));
    const found = read(directory);
    expect([found.entries, found.next]).toEqual([[], 1]);
    putDamageAside(directory, found.damage, place());
    written(20, directory);
    expect(numbers(directory)).toEqual(Array.from({ length: 20 }, (_, index) => index + 1));
  });

  it('damage in the middle costs the entries that it hits, whatever it hits, and is told with its numbers', () => {
    const random = seededRandom(7);
    for (let round = 0; round < 200; round += 1) {
      const { directory, file } = written(30);
      let hit = 0;
      spoil(file, (bytes, starts) => {
        hit = 1 + Math.floor(random() * 28);
        const [from, to] = [starts[hit] as number, starts[hit + 1] as number];
        const changed = Buffer.from(bytes);
        const at = from + Math.floor(random() * (to - from));
        changed[at] = (changed[at] as number) ^ (1 << Math.floor(random() * 8));
        return changed;
      });
      const found = read(directory);
      // Where the end of a line was hit, its length tells where it ends, and nothing is lost.
      const lost = found.entries.length === 30 ? [] : [{ from: hit + 1, to: hit + 1 }];
      expect(found.gaps, `round ${round}`).toEqual(lost);
      expect(found.entries.length, `round ${round}`).toBeGreaterThanOrEqual(29);
      expect(found.entries.every(({ number, entry: { id } }) => id === entry(number).id)).toBe(true);
    }
  });

  it('a lost block of 4 kB costs the entries in it alone', () => {
    const { directory, file } = written(200);
    spoil(file, (bytes) => Buffer.concat([bytes.subarray(0, 4_096), Buffer.alloc(4_096), bytes.subarray(8_192)]));
    const found = read(directory);
    const [gap] = found.gaps;
    expect(found.gaps).toHaveLength(1);
    expect(found.entries.length).toBe(200 - ((gap?.to ?? 0) - (gap?.from ?? 0) + 1));
    expect(found.entries.length).toBeGreaterThan(140);
    expect(found.damage).toMatchObject([{ kind: 'damaged' }]);
  });

  it('lines that are gone without a trace, and whole segments, are told by their numbers', () => {
    const { directory, file } = written(5);
    spoil(file, (bytes, starts) => Buffer.concat([bytes.subarray(0, starts[2]), bytes.subarray(starts[3])]));
    expect(read(directory)).toMatchObject({ gaps: [{ from: 3, to: 3 }], damage: [] });
    const journal = openJournal<Entry>(directory, 40, '', 0);
    journal.append(entry(40));
    journal.close();
    expect(read(directory).gaps).toEqual([
      { from: 3, to: 3 },
      { from: 6, to: 39 },
    ]);
    expect(read(directory, 10).gaps).toEqual([{ from: 6, to: 39 }]);
  });

  it('entries of another history under the same numbers do not hang on the chain', () => {
    const [one, other] = [written(6), written(6)];
    spoil(other.file, (bytes) => Buffer.from(bytes.toString().replaceAll('set-2', 'set-7')));
    const theirs = place();
    const journal = openJournal<Entry>(theirs, 1, '', 0);
    for (const id of [1, 9, 9, 9, 9, 9]) journal.append(entry(id));
    journal.close();
    const their = readFileSync(join(theirs, readdirSync(theirs)[0] as string));
    spoil(one.file, (bytes, starts) => Buffer.concat([bytes.subarray(0, starts[3]), their.subarray(lineStarts(their)[3])]));
    expect(read(one.directory)).toMatchObject({ damage: [], gaps: [], unchained: [4] });
  });

  it('an entry that nobody was answered is taken back, and its number is given again', () => {
    const directory = place();
    const journal = openJournal<Entry>(directory, 1, '', 0);
    journal.append(entry('kept'));
    journal.append(entry('taken back'));
    journal.undo();
    journal.undo();
    expect(journal.append(entry('next'))).toBe(2);
    journal.close();
    expect(read(directory)).toMatchObject({ damage: [], gaps: [], unchained: [] });
    expect(read(directory).entries.map((each) => each.entry.id)).toEqual([entry('kept').id, entry('next').id]);
  });

  it('counts what was written since it was trimmed, also by those who had it open before', () => {
    const { directory } = written(3);
    written(2, directory);
    const { next, chain } = read(directory);
    const whole = openJournal<Entry>(directory, next, chain, 0);
    const sizes = readdirSync(directory).map((name) => readFileSync(join(directory, name)).length);
    expect([whole.size(), whole.segments()]).toEqual([sizes.reduce((sum, each) => sum + each, 0), 3]);
    whole.close();
    const journal = openJournal<Entry>(directory, next, chain, 3);
    expect(journal.size()).toBe(sizes[1]);
    journal.append(entry(next));
    expect(journal.turn()).toBe(6);
    expect([journal.size(), journal.segments()]).toEqual([0, 1]);
    journal.close();
  });

  it('drops only segments of which nothing is needed, and reads only those that are', () => {
    const directory = place();
    const journal = openJournal<Entry>(directory, 1, '', 0);
    for (let number = 1; number <= 9; number += 1) {
      journal.append(entry(number));
      if (number % 3 === 0) journal.turn();
    }
    journal.dropBefore(4);
    expect(numbers(directory)).toEqual([4, 5, 6, 7, 8, 9]);
    // The first segment is not even looked at.
    appendFileSync(join(directory, '000000000004.log'), 'nonsense\nnonsense\n');
    expect(read(directory, 6)).toMatchObject({ damage: [], entries: [{ number: 7 }, { number: 8 }, { number: 9 }] });
    journal.dropBefore(100);
    expect(numbers(directory)).toEqual([]);
    expect(journal.append(entry(10))).toBe(10);
    journal.close();
  });
});
