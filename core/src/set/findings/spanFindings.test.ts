// Lying boards and sheets that run too far: limits are common practice of the trade, no source.
import { describe, expect, it } from 'vitest';
import { PRESETS } from '../../piece/index.ts';
import { applyEdit, derive, describeFinding, readSet, type SetDocument } from '../index.ts';

const setWith = (piece: object): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, doll: { scale: { by: 'ratio', ratio: 6 } }, pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const sags = (document: SetDocument) => derive(document).pieces[0]?.findings.find(({ code }) => code === 'long-span');

const cabinet = (sheet: string) => ({
  family: 'casework',
  name: 'Glasses cabinet',
  width: '900 mm',
  height: '1200 mm',
  depth: '300 mm',
  standing: 'fixed to the wall',
  front: { kind: 'shelves', count: 3, made: 'clear', sheet },
});

describe('glass shelves', () => {
  it('of film 0.3 mm thick sag over 140 mm, and the mend is a sheet that does not', () => {
    const document = setWith(cabinet('0.3 mm'));
    const finding = sags(document);
    // Between the sides of board of 5 mm; a long edge lies against the back: 60 × 0.3 mm, doubled.
    expect(finding).toMatchObject({ clear: true, numbers: { span: 140_000, most: 36_000 }, mend: { kind: 'thicker-sheet', size: 1_500 } });
    if (!finding?.mend) return;
    expect(describeFinding(finding, document.units).reason).toContain('clear sheet of its thickness carries');
    const mended = applyEdit(document, finding.mend.edit).document;
    expect(sags(mended)).toBeUndefined();
    const thick = derive(mended)
      .pieces[0]?.made?.assembly.parts.filter(({ stuff }) => stuff === 'clear')
      .map(({ thickness }) => thickness);
    expect(thick).toEqual([1_500, 1_500, 1_500]);
  });

  it('are of film in files that say nothing', () => {
    const { front } = setWith({ ...cabinet('1 mm'), front: { kind: 'shelves', made: 'clear' } }).pieces[0] as {
      front: unknown;
    } & SetDocument['pieces'][number];
    expect(front).toMatchObject({ sheet: 300 });
  });
});

it('what is carried on all sides is judged by its shorter side, and a ledge along a wall does not sag', () => {
  const preset = (key: string) => PRESETS.find((each) => each.key === key)?.piece as object;
  // The base of a cot lies in rails on four sides: 780 mm deep at 1:6 is 130 mm, which is below 2 × 40 × 5 mm.
  expect(sags(setWith({ ...preset('cot'), width: '2700 mm' }))).toBeUndefined();
  expect(sags(setWith({ ...preset('shop-window'), width: '3600 mm' }))).toBeUndefined();
});
