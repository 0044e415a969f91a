import { describe, expect, it } from 'vitest';
import type { BoardLayout } from '../../cut/index.ts';
import { applyEdit, type CutSheet, derive, layOutSet, readSet, type SetDocument, setSchema, tickCut, untickCut } from '../index.ts';

const read = (more: object = {}): SetDocument => {
  const found = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: 'A hall',
    boards: [{ id: 'white', nominal: '5 mm', sheets: [{ name: 'A3', width: '297 mm', height: '420 mm', price: 2, atHand: 3 }] }],
    cutting: { gap: '1 mm', trim: '3 mm' },
    pieces: [
      { name: 'case', width: '600 mm', height: '900 mm', depth: '300 mm', front: { kind: 'shelves', count: 3 } },
      ...Array.from({ length: 5 }, (_, index) => ({
        name: `case ${index}`,
        width: '800 mm',
        height: `${1_000 + 70 * index} mm`,
        depth: '350 mm',
      })),
    ],
    ...more,
  });
  if (!found.ok) throw new Error(JSON.stringify(found.error));
  return found.value;
};

const ids = (layouts: readonly BoardLayout[]): readonly string[] =>
  layouts.flatMap(({ layout }) => layout.sheets.flatMap(({ placements }) => placements.map(({ id }) => id))).sort();

let made = 0;
const newId = () => {
  made += 1;
  return `new ${made}`;
};

const ticked = (document: SetDocument, which: 'first' | 'last') => {
  const derived = derive(document);
  const layouts = layOutSet(document, derived);
  const sheet = layouts[0]?.layout.sheets.at(which === 'first' ? 0 : -1);
  const board = document.boards[0];
  if (!sheet || !board) throw new Error('nothing to cut');
  return { derived, layouts, sheet, edit: tickCut(document, derived, board, sheet, newId) };
};

describe('a sheet that is cut', () => {
  it('is planned no more: what is left is laid out anew, and no part is lost or cut twice', () => {
    const document = read();
    const { derived, layouts, sheet, edit } = ticked(document, 'first');
    const after = applyEdit(document, edit).document;
    const again = layOutSet(after, derive(after, derived));
    const done = sheet.placements.map(({ id }) => id);
    expect([...ids(again), ...done].sort()).toEqual(ids(layouts));
    expect(after.cutting.cut).toHaveLength(1);
    // The sheet is no longer at hand.
    expect(after.boards[0]?.sheets[0]?.atHand).toBe(2);
  });

  it('leaves offcuts that are large enough, which are used before anything else', () => {
    const document = read();
    const { edit, sheet } = ticked(document, 'last');
    const after = applyEdit(document, edit).document;
    const { offcuts = [] } = after.boards[0] ?? {};
    expect(offcuts.length).toBeGreaterThan(0);
    for (const { width, height } of offcuts) expect(Math.min(width, height)).toBeGreaterThanOrEqual(document.cutting.keep);
    // Parts and offcuts together are not more than the sheet.
    const area = offcuts.reduce((sum, { width, height }) => sum + width * height, 0);
    const cut = (after.cutting.cut[0] as CutSheet).parts.reduce((sum, { width, height }) => sum + width * height, 0);
    expect(area + cut).toBeLessThanOrEqual(sheet.kind.width * sheet.kind.height);
    const first = layOutSet(after, derive(after))[0]?.layout.sheets[0];
    expect(offcuts.map(({ id }) => id)).toContain(first?.kind.offcut);
    // With a higher threshold nothing is kept.
    const strict = { ...document, cutting: { ...document.cutting, keep: 420_000 as never } };
    expect(applyEdit(strict, ticked(strict, 'last').edit).document.boards[0]?.offcuts).toEqual([]);
  });

  it('is undone as a whole, and taken back later when others were cut meanwhile', () => {
    const document = read();
    const { edit } = ticked(document, 'first');
    const { document: one, inverse } = applyEdit(document, edit);
    expect(applyEdit(one, inverse).document).toEqual(document);
    const two = applyEdit(one, ticked(one, 'first').edit).document;
    const back = applyEdit(two, untickCut(two, two.cutting.cut[1] as CutSheet)).document;
    expect(back.cutting.cut).toEqual(one.cutting.cut);
    expect(new Set(back.boards[0]?.offcuts.map(({ id }) => id))).toEqual(new Set(one.boards[0]?.offcuts.map(({ id }) => id)));
    const none = applyEdit(back, untickCut(back, back.cutting.cut[0] as CutSheet)).document;
    expect(none.cutting.cut).toEqual([]);
    expect(none.boards[0]?.sheets[0]?.atHand).toBe(3);
  });

  it('a part that has another size now is laid out again; those that stayed are not', () => {
    const document = read();
    const { edit } = ticked(document, 'first');
    const after = applyEdit(document, edit).document;
    const [piece = ''] = after.cutting.cut[0]?.parts[0]?.id.split('/') ?? [];
    const wider = applyEdit(after, {
      kind: 'change-piece',
      id: piece,
      change: { width: { doll: 111_000 }, height: { doll: 121_000 }, depth: { doll: 47_000 } } as never,
    }).document;
    const derived = derive(wider);
    const laid = ids(layOutSet(wider, derived));
    const done = (after.cutting.cut[0] as CutSheet).parts.map(({ id }) => id);
    const all = derived.pieces.flatMap((piece) => piece.made?.assembly.parts.map(({ id }) => id) ?? []);
    expect(new Set([...laid, ...done])).toEqual(new Set(all));
    expect(laid.some((id) => done.includes(id))).toBe(true);
  });

  it('is kept in the file', () => {
    const document = read();
    const after = applyEdit(document, ticked(document, 'first').edit).document;
    expect(setSchema.parse(JSON.parse(JSON.stringify(after)))).toEqual(after);
  });
});
