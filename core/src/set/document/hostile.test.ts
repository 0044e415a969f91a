import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import { describe, expect, it } from 'vitest';
import {
  coverFindings,
  derive,
  deriveCoverings,
  describeChange,
  describeFinding,
  layOutSet,
  pagesOf,
  paperNeeds,
  readSet,
  readSetFile,
  type SetDocument,
  writeSetFile,
} from '../index.ts';
import { mutated } from './mutate.testing.ts';

const demo = join(import.meta.dirname, '../../../../demo');
/** The demo sets, two pieces at a time: every piece is among them, and each document is read and derived in a moment. */
const GOOD = readdirSync(demo)
  .filter((name) => name.endsWith('.json'))
  .map((name) => JSON.parse(readFileSync(join(demo, name), 'utf8')) as { pieces: unknown[] })
  .flatMap((set) =>
    set.pieces.flatMap((_, at) => (at % 2 === 0 ? [{ ...set, pieces: set.pieces.slice(at, at + 2) } as Record<string, unknown>] : [])),
  );

const DOCUMENTS = 10_000;
/** Deriving boards and pages takes longer than reading, so only so many of the documents that can be read go all the way. */
const ALL_THE_WAY = 50;
const allTheWay = (document: SetDocument): void => {
  const derived = derive(document);
  for (const finding of derived.pieces.flatMap(({ findings }) => findings)) describeFinding(finding, document.units);
  layOutSet(document, derived);
  pagesOf(document, derived, { pieces: null, what: 'templates' });
};

/** What it wears: its pages, what they take, and what a careful maker would say of that. */
const dressed = (document: SetDocument): void => {
  const derived = derive(document);
  const coverings = deriveCoverings(document, derived);
  pagesOf(document, derived, { pieces: null, what: 'coverings' });
  for (const finding of coverFindings(document, derived, coverings, paperNeeds(document, derived, coverings)))
    describeFinding(finding, document.units);
};

describe(`${DOCUMENTS} hostile documents`, () => {
  it('are each read or refused with their issues, without a crash, a hang or a trace', { timeout: 900_000 }, () => {
    let [readable, derived] = [0, 0];
    for (let seed = 1; seed <= DOCUMENTS; seed += 1) {
      const hostile = mutated(GOOD[seed % GOOD.length], seed);
      const result = readSet(hostile);
      if (result.ok) {
        readable += 1;
        expect(isDeepStrictEqual(readSetFile(writeSetFile(result.value)), result), `seed ${seed}`).toBe(true);
        if (derived < ALL_THE_WAY) {
          derived += 1;
          allTheWay(result.value);
          if (derived % 5 === 0) dressed(result.value);
        }
      } else {
        expect(result.error.length, `seed ${seed}`).toBeGreaterThan(0);
        const named = result.error.every(({ path, message }) => typeof path === 'string' && message.length > 0);
        expect(named, `seed ${seed}`).toBe(true);
      }
    }
    expect(readable).toBeGreaterThan(DOCUMENTS / 50);
    expect(readable).toBeLessThan(DOCUMENTS * 0.9);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  it.each<[string, string]>([
    ['an archive', 'PK\u0003\u0004\u0014\u0000\u0000\u0000'],
    ['a picture', '\u0089PNG\r\n\u001a\n'],
    ['nothing', ''],
    ['brackets without end', '['.repeat(2_000_000)],
    ['a number without end', `{"format":"bashful-parlor-set","version":${'1'.repeat(1_000_000)}}`],
  ])('a file that is %s is refused in words', (_, text) => {
    const result = readSetFile(text);
    expect(result.ok ? [] : result.error.map(({ message }) => message.length > 0)).toContain(true);
  });

  it('two documents, however strange, are compared in words', () => {
    const strange = GOOD.flatMap((good, index) =>
      Array.from({ length: 12 }, (_, seed) => readSet(mutated(good, index * 1000 + seed))).flatMap((read) => (read.ok ? [read.value] : [])),
    );
    for (const [index, one] of strange.entries()) {
      expect(describeChange(one, strange[(index + 1) % strange.length] as SetDocument).length).toBeGreaterThan(0);
    }
  });
});
