// Presets at the usual scales: each begins without anything to notice, with the board that a set of its scale has.
import { describe, expect, it } from 'vitest';
import { type Piece, PRESETS } from '../../piece/index.ts';
import { derive, describeFinding, readSet, type SetDocument, suited } from '../index.ts';

/** A grown woman's stature in µm, as small as the scale makes it. */
const STATURE = 1_650_000;

const setOf = (times: number, piece: object, more: object = {}): SetDocument => {
  const doll = { stature: STATURE, height: Math.round(STATURE / times), standsFor: 'woman', scale: { by: 'ratio', ratio: times } };
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'alone', doll, pieces: [piece], ...more });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const boardOf = (mm: number) => ({ boards: [{ id: 'only', nominal: mm * 1_000 }] });

/** What is said of a set in words, notes left out. */
const said = (document: SetDocument, severity: readonly string[] = ['error', 'warning']): readonly string[] =>
  derive(document).pieces.flatMap(({ findings }) =>
    findings
      .filter((finding) => severity.includes(finding.severity))
      .map((finding) => Object.values(describeFinding(finding, document.units)).join(': ')),
  );

/** The set after its only piece was begun as it suits it. */
const begun = (document: SetDocument): SetDocument => {
  const { piece, board } = suited(document, document.pieces[0] as Piece);
  return { ...document, pieces: [piece], boards: board ? [...document.boards, board] : document.boards };
};

const preset = (key: string): object => PRESETS.find((each) => each.key === key)?.piece as object;

const SCALES = [3, 4, 6, 8, 12] as const;

describe('a preset', () => {
  // Every fifth at each scale, so that all of them are tried; the bench tries all at all.
  it.each(SCALES.map((times, index) => [times, index] as const))('can be built at 1:%i, and begins without a warning', (times, index) => {
    for (const { key, piece } of PRESETS.filter((_, at) => at % SCALES.length === index)) {
      const document = setOf(times, piece);
      expect(said(document, ['error']), key).toEqual([]);
      expect(said(begun(document)), key).toEqual([]);
    }
  });

  it.each([
    [24, 0.12],
    [48, 0.4],
  ] as const)('at 1:%i begins, or says in one sentence that it is better made otherwise', (times, share) => {
    const sample = PRESETS.filter((_, at) => at % 4 === 1);
    const left = sample.flatMap(({ key, piece }) => {
      const errors = said(begun(setOf(times, piece)), ['error']);
      for (const error of errors) expect(error, key).toMatch(/better made otherwise/);
      return errors.length > 0 ? [key] : [];
    });
    expect(left.length / sample.length).toBeLessThan(share);
  });

  it('of which there is nothing to notice begins as it is', () => {
    const document = setOf(6, preset('night-stand'));
    expect(suited(document, document.pieces[0] as Piece)).toEqual({ piece: document.pieces[0], board: null });
  });

  it('takes the gentlest change that helps', () => {
    const change = (times: number, key: string, more: object = {}) => {
      const document = setOf(times, preset(key), more);
      const { piece, board } = suited(document, document.pieces[0] as Piece);
      const before = document.pieces[0] as unknown as Record<string, unknown>;
      const changed = Object.entries(piece).filter(([field, value]) => JSON.stringify(value) !== JSON.stringify(before[field]));
      return { changed: Object.fromEntries(changed), board: board?.nominal };
    };
    expect(change(6, 'bookcase')).toEqual({ changed: { standing: 'fixed to the wall' }, board: undefined });
    expect(change(3, 'easel').changed).toEqual({ post: 'square dowel, 8 mm' });
    // The reel of felt is 300 mm wide; at 1:3 the rug is 500 mm.
    expect(change(6, 'round-rug').changed).toMatchObject({ cloths: { main: 'felt' } });
    expect(change(3, 'round-rug').changed).toEqual({ way: 'glued' });
    // A desk's drawer of 11.6 mm has no room between boards of 5 mm.
    expect(change(12, 'desk', boardOf(5))).toMatchObject({ board: 3_000 });
  });
});

describe('a set that names no board', () => {
  it.each([
    [6, 5_000],
    [8, 5_000],
    [12, 3_000],
    [24, 2_000],
    [48, 1_000],
  ])('at 1:%i is cut from one of %i µm', (times, thick) => {
    expect(setOf(times, preset('night-stand')).boards.map(({ nominal }) => nominal)).toEqual([thick]);
  });

  it('and one that names it keeps it', () => {
    expect(setOf(12, preset('night-stand'), boardOf(5)).boards.map(({ nominal }) => nominal)).toEqual([5_000]);
  });
});

describe('what has no room for its board', () => {
  const mendOf = (document: SetDocument) => derive(document).pieces[0]?.findings.find(({ severity }) => severity === 'error')?.mend;

  it('asks for a thinner one for the whole set, and can be built then', () => {
    const document = setOf(12, preset('till'), boardOf(5));
    const mend = mendOf(document);
    expect(mend).toMatchObject({ kind: 'thinner-board', size: 3_000, edit: { kind: 'add-board', at: 0 } });
    const edit = mend?.edit as { readonly board: SetDocument['boards'][number] };
    expect(said({ ...document, boards: [edit.board, ...document.boards] }, ['error'])).toEqual([]);
  });

  it('is cut from one that the set has', () => {
    const boards = [{ id: 'only' }, { id: 'thin', name: 'thin board', nominal: '2 mm' }];
    expect(mendOf(setOf(12, preset('till'), { boards }))).toMatchObject({ kind: 'other-board', detail: 'thin board', size: 2_000 });
  });
});
