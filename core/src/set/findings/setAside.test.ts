import { describe, expect, it } from 'vitest';
import { PRESETS } from '../../piece/index.ts';
import {
  applyEdit,
  derive,
  type Finding,
  isOfUse,
  noteOf,
  onlySeen,
  type Piece,
  readSet,
  type SetDocument,
  setAside,
  takeUp,
  whyAside,
} from '../index.ts';

const setWith = (piece: object): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, doll: { scale: { by: 'ratio', ratio: 6 } }, pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const preset = (key: string): object => PRESETS.find((each) => each.key === key)?.piece as object;
const only = (document: SetDocument) => derive(document).pieces[0] as ReturnType<typeof derive>['pieces'][number];
const codes = (findings: readonly Finding[]) => findings.map(({ code }) => code);

describe('a judgement that is set aside', () => {
  it('no longer counts, is kept with why, and counts again when it is taken up', () => {
    const document = setWith(preset('bookcase'));
    const tips = only(document).findings.find(({ code }) => code === 'tips-over') as Finding;
    const edit = setAside(document.pieces[0] as Piece, tips, 'it hangs on the wall of a picture');
    const { document: kept, inverse } = applyEdit(document, edit);
    expect(codes(only(kept).findings)).not.toContain('tips-over');
    expect(codes(only(kept).aside)).toEqual(['tips-over']);
    expect((kept.pieces[0] as Piece).aside).toEqual([{ note: 'tips-over', why: 'it hangs on the wall of a picture' }]);
    expect(applyEdit(kept, inverse).document).toEqual(document);
    const again = applyEdit(kept, takeUp(kept.pieces[0] as Piece, tips)).document;
    expect(codes(only(again).findings)).toContain('tips-over');
    expect(readSet(JSON.parse(JSON.stringify(kept)))).toEqual({ ok: true, value: kept });
  });

  it('is one rule of what suits a doll, not all of them', () => {
    const document = setWith({ ...preset('dining-table'), height: '1300 mm' });
    const unsuited = only(document).findings.filter(({ code }) => code === 'does-not-suit');
    expect(unsuited.length).toBeGreaterThan(0);
    const [first] = unsuited as [Finding];
    expect(noteOf(first)).toMatch(/^does-not-suit \w/);
    const kept = applyEdit(document, setAside(document.pieces[0] as Piece, first, '')).document;
    expect(only(kept).findings.filter(({ code }) => code === 'does-not-suit')).toHaveLength(unsuited.length - 1);
  });

  it('is all that is judged of use where a thing is only looked at, what comes later too; and counts again all together', () => {
    const document = setWith({ ...preset('dining-table'), height: '1300 mm' });
    const piece = document.pieces[0] as Piece;
    const seen = applyEdit(document, onlySeen(piece)).document;
    expect(codes(only(seen).findings)).not.toContain('does-not-suit');
    const [set] = only(seen).aside as readonly [Finding];
    expect(isOfUse(set)).toBe(true);
    expect(whyAside(seen.pieces[0] as Piece, set)).toBe('it is only looked at');
    // Another height, other judgements, and none counts either.
    const other = { ...seen, pieces: [{ ...(seen.pieces[0] as Piece), height: 1_150_000 }] } as unknown as SetDocument;
    expect(codes(only(other).findings)).not.toContain('does-not-suit');
    expect(codes(only({ ...other, pieces: [{ ...other.pieces[0], aside: [] }] } as unknown as SetDocument).findings)).toContain(
      'does-not-suit',
    );
    const again = applyEdit(seen, takeUp(seen.pieces[0] as Piece, set)).document;
    expect(codes(only(again).findings)).toContain('does-not-suit');
    // What is not of use counts all the same.
    const tall = setWith({ ...preset('bookcase'), aside: [{ note: 'use' }] });
    expect(codes(only(tall).findings)).toContain('tips-over');
  });

  it('is never what cannot be built or cut', () => {
    const piece = { ...preset('desk'), apron: '30 mm', aside: [{ note: 'does-not-fit' }, { note: 'cannot-be-built' }] };
    const errors = only(setWith(piece)).findings.filter(({ severity }) => severity === 'error');
    expect(errors.length).toBeGreaterThan(0);
    expect(only(setWith(piece)).aside).toEqual([]);
  });
});
