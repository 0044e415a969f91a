import { describe, expect, it } from 'vitest';
import { applyEdit, derive, describeFinding, describeMend, readSet, type SetDocument } from '../set/index.ts';

const setOf = (piece: object, units: object = { unit: 'in' }): SetDocument => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    units,
    boards: [{ id: 'white', nominal: '5 mm', sheets: [{ name: 'large', width: '2 m', height: '2 m' }] }],
    pieces: [{ id: 'it', ...piece }],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const room = (openings: readonly object[]) => ({
  family: 'room',
  name: 'room',
  width: '2400 mm',
  depth: '1800 mm',
  height: '2400 mm',
  walls: [{ openings }, {}, { kind: 'open' }, {}],
});

const leftOut = (document: SetDocument) =>
  derive(document).pieces[0]?.findings.flatMap((finding) =>
    finding.code === 'left-out' || finding.code === 'cannot-be-built'
      ? [{ finding, text: describeFinding(finding, document.units).reason }]
      : [],
  ) ?? [];

describe('a room with an opening that does not fit', () => {
  const GOOD = { form: 'window', from: '300 mm', up: '900 mm', width: '600 mm', height: '900 mm' };

  it.each([
    ['beyond the wall’s end', { ...GOOD, from: '2100 mm' }, 'opening-moved'],
    ['too high', { ...GOOD, from: '1400 mm', up: '1700 mm' }, 'opening-lowered'],
    ['too wide', { ...GOOD, from: '1200 mm', width: '1400 mm' }, 'opening-smaller'],
  ])('%s is built without it: named, with two numbers, and mended by one click', (_, bad, mend) => {
    const document = setOf(room([GOOD, bad]));
    const [piece] = derive(document).pieces;
    expect(piece?.made?.assembly.parts.some(({ id }) => id.includes('window-0'))).toBe(true);
    const found = leftOut(document);
    expect(found.map(({ finding }) => finding.where.opening)).toEqual([{ shell: 0, wall: 0, index: 1 }]);
    expect(found[0]?.text).toMatch(
      /^The window in the back wall, opening 2 does not fit .*it needs .* in, and (only .* in is available|no room is left)/,
    );
    const edit = found[0]?.finding.mend;
    if (!edit) throw new Error('no mend');
    expect(edit.kind).toBe(mend);
    const mended = applyEdit(document, edit.edit).document;
    expect(leftOut(mended)).toEqual([]);
    expect(derive(mended).pieces[0]?.made).not.toBeNull();
  });

  it('that nothing eases is taken out', () => {
    const document = setOf(room([{ ...GOOD, barsUpright: 8, width: '120 mm', height: '160 mm' }]));
    const edit = leftOut(document)[0]?.finding.mend;
    if (!edit) throw new Error('no mend');
    expect(describeMend(edit, document.units)).toBe('take the window in the back wall out');
    const [piece] = derive(applyEdit(document, edit.edit).document).pieces;
    expect([piece?.made === null, piece?.findings.some(({ severity }) => severity === 'error')]).toEqual([false, false]);
  });

  it('no other note offers a mend that would take the opening out for good', () => {
    // A door too low for the doll is noted with a mend; beside it a window that does not fit is left out.
    const low = { form: 'door', from: '200 mm', width: '700 mm', height: '1000 mm' };
    const mends = (openings: readonly object[]) =>
      (derive(setOf(room(openings))).pieces[0]?.findings ?? []).filter(
        ({ code, mend }) => code !== 'left-out' && mend?.edit.kind === 'change-piece',
      );
    expect(mends([low]).length).toBeGreaterThan(0);
    expect(mends([low, { ...GOOD, from: '2100 mm' }])).toEqual([]);
  });

  it('that cannot be a room at all says why, as before', () => {
    const document = setOf({ family: 'room', name: 'room', width: '30 mm', depth: '30 mm', height: '2400 mm' });
    const [piece] = derive(document).pieces;
    expect([piece?.made, piece?.findings.map(({ code }) => code)]).toEqual([null, ['does-not-fit']]);
  });
});

describe('a case with a bay that does not fit', () => {
  it('is built with that bay open, whatever stands beside it', () => {
    const front = {
      kind: 'columns',
      slots: [{ cell: { kind: 'shelves', count: 2 } }, { cell: { kind: 'slides', at: ['100 mm', '2000 mm'] } }, { cell: { kind: 'door' } }],
    };
    const document = setOf({ name: 'case', width: '900 mm', height: '300 mm', depth: '300 mm', front }, { unit: 'mm' });
    const [piece] = derive(document).pieces;
    expect(piece?.made?.assembly.parts.filter(({ role }) => role === 'shelf')).toHaveLength(2);
    expect(piece?.made?.assembly.parts.some(({ role }) => role === 'door')).toBe(true);
    const [found] = leftOut(document);
    expect(found?.finding.where.bay).toEqual([1]);
    expect(found?.text).toMatch(/^Bay 2 does not fit: it needs .* mm, and/);
    const edit = found?.finding.mend?.edit;
    if (!edit) throw new Error('no mend');
    expect(leftOut(applyEdit(document, edit).document)).toEqual([]);
  });
});
