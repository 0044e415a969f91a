import { describe, expect, it } from 'vitest';
import { PRESETS } from '../../piece/index.ts';
import { applyEdit, derive, type Finding, noteOf, type Piece, readSet, type SetDocument, setAside, takeUp } from '../index.ts';

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

  it('is never what cannot be built or cut', () => {
    const piece = { ...preset('desk'), apron: '30 mm', aside: [{ note: 'does-not-fit' }, { note: 'cannot-be-built' }] };
    const errors = only(setWith(piece)).findings.filter(({ severity }) => severity === 'error');
    expect(errors.length).toBeGreaterThan(0);
    expect(only(setWith(piece)).aside).toEqual([]);
  });
});
