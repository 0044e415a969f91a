import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canBeCutStraight, sheetFaults } from '../../cut/checkLayout.testing.ts';
import { type CutItem, cutSteps, type LotPlacement, type Sheet } from '../../cut/index.ts';
import { replay } from '../../cut/replay.testing.ts';
import { seededRandom } from '../../kit/index.ts';
import { AXES, intersection, orientedSize, type Ring, rectRing, signedArea } from '../../shape/index.ts';
import { type Offcut, outlineOfOffcut } from '../../stock/index.ts';
import { derive } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import { applyEdit, type Edit } from '../document/edit.ts';
import { readSet } from '../document/readSet.ts';
import { itemsFor, layOutSet, rulesOf } from './boards.ts';
import { tickCut } from './cutSheets.ts';
import { keepApart, keepTogether, letAllGo, letGo, pinPart, placeNear } from './pins.ts';

const shelves = (mode: 'straight' | 'free', gap = '1 mm'): SetDocument => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: 'shelves',
    boards: [{ id: 'white', measured: '4.8 mm', sheets: ['A4', 'A3'] }],
    cutting: { gap, trim: '3 mm', mode },
    pieces: [
      { width: '900 mm', height: '1800 mm', depth: '300 mm' },
      { width: '600 mm', height: '700 mm', depth: '400 mm' },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const after = (document: SetDocument, edit: Edit): SetDocument => applyEdit(document, edit).document;
const white = (document: SetDocument) => document.boards[0] as SetDocument['boards'][number];

let ids = 0;
const newId = (): string => {
  ids += 1;
  return `id ${ids}`;
};

const laid = (document: SetDocument) => {
  const derived = derive(document);
  const items = new Map(itemsFor(document, derived, white(document)).map((item) => [item.id, item]));
  const layout = layOutSet(document, derived)[0]?.layout;
  if (!layout) throw new Error('nothing laid');
  return { derived, items, layout };
};

/** The sides of what lies on a sheet. */
const sidesOn = ({ placements }: Sheet, items: ReadonlyMap<string, CutItem>) =>
  placements.map((place) => {
    const { width, height } = orientedSize(items.get(place.id) as CutItem, place);
    return { id: place.id, left: place.x, low: place.y, right: place.x + width, high: place.y + height };
  });

describe('parts laid by hand', () => {
  it.each(['straight', 'free'] as const)('stay where they are (%s cuts), and the rest lies round them without fault', (mode) => {
    const random = seededRandom(8);
    let document = shelves(mode);
    for (let round = 0; round < 12; round += 1) {
      const { items, layout } = laid(document);
      const sheet = layout.sheets[Math.floor(random() * layout.sheets.length)] as (typeof layout.sheets)[number];
      const all = [...items.keys()];
      const id = all[Math.floor(random() * all.length)] as string;
      const wanted: LotPlacement = {
        id,
        x: Math.round(random() * sheet.kind.width),
        y: Math.round(random() * sheet.kind.height),
        turn: random() < 0.5 ? 0 : 1,
        mirrored: false,
      };
      const placement = placeNear(sheet, items, wanted, rulesOf(document));
      if (!placement) continue;
      document = after(document, pinPart(document, white(document), sheet, placement, newId));
      const next = laid(document);
      const pins = document.cutting.pinned.flatMap(({ parts }) => parts);
      const placements = next.layout.sheets.flatMap((each) => each.placements);
      expect(placements.map((each) => each.id).sort()).toEqual([...all].sort());
      for (const pin of pins) expect(placements.find((each) => each.id === pin.id)).toEqual(pin);
      for (const each of next.layout.sheets) {
        const lying = sidesOn(each, items);
        expect(sheetFaults(each.kind.width, each.kind.height, lying, 1_000, 3_000)).toEqual([]);
        if (mode === 'free') continue;
        if (each.cuts === null) {
          expect(canBeCutStraight(lying)).toBe(false);
          continue;
        }
        // A table with a knife and a rule cuts just these parts, just there.
        const trim = { left: 3_000, right: 3_000, bottom: 3_000, top: 3_000 };
        const steps = cutSteps(each.kind, trim, each.cuts, 1_000).flatMap((setting) => setting.steps);
        const { parts, faults } = replay(each.kind, 1_000, steps);
        expect(faults).toEqual([]);
        for (const { id: part, left, low, right, high } of lying)
          expect(parts.get(part)).toEqual({ x: left, y: low, width: right - left, height: high - low });
      }
    }
    expect(document.cutting.pinned.flatMap(({ parts }) => parts).length).toBeGreaterThan(2);
    expect(laid(after(document, letAllGo(document, 'white'))).layout).toEqual(laid(shelves(mode)).layout);
  });

  it('comes to lie against what is near, and is pushed off what is pinned; where there is no room nothing is said to fit', () => {
    const document = shelves('straight');
    const { items, layout } = laid(document);
    const sheet = layout.sheets.find(({ kind }) => kind.name === 'A3') as (typeof layout.sheets)[number];
    const [first, second] = [...items.values()].sort((a, b) => b.width * b.height - a.width * a.height) as unknown as [CutItem, CutItem];
    const place = (id: string, x: number, y: number, on = sheet): LotPlacement | undefined =>
      placeNear(on, items, { id, x, y, turn: 0, mirrored: false }, rulesOf(document));
    const near = place(first.id, 5_500, 1_000);
    expect(near).toMatchObject({ x: 3_000, y: 3_000 });
    const pinned = after(document, pinPart(document, white(document), sheet, near as LotPlacement, newId));
    const now = laid(pinned).layout.sheets[0] as typeof sheet;
    expect(now.pinned?.parts).toEqual([first.id]);
    const beside = place(second.id, 20_000, 20_000, now);
    if (beside) expect(beside.x >= 3_000 + first.width + 1_000 || beside.y >= 3_000 + first.height + 1_000).toBe(true);
    expect(
      placeNear(
        { ...now, kind: { ...now.kind, width: 20_000 } },
        items,
        { id: second.id, x: 0, y: 0, turn: 0, mirrored: false },
        rulesOf(pinned),
      ),
    ).toBeUndefined();
  });

  it('is let go when it is cut, when it is gone, and when its sheet is no longer at hand; letting go is undone as one step', () => {
    const document = shelves('straight');
    const { derived, items, layout } = laid(document);
    const sheet = layout.sheets[0] as (typeof layout.sheets)[number];
    const placement = sheet.placements[0] as LotPlacement;
    const pinned = after(document, pinPart(document, white(document), sheet, placement, newId));
    const done = applyEdit(pinned, letGo(pinned, placement.id));
    expect(done.document.cutting.pinned).toEqual([]);
    expect(applyEdit(done.document, done.inverse).document).toEqual(pinned);
    const first = laid(pinned).layout.sheets[0] as typeof sheet;
    const cut = after(pinned, tickCut(pinned, derived, white(pinned), first, newId));
    expect(cut.cutting.pinned).toEqual([]);
    const sold = after(pinned, {
      kind: 'change-board',
      id: 'white',
      change: { sheets: white(pinned).sheets.filter(({ name }) => name !== sheet.kind.name) },
    });
    expect(laid(sold).layout.sheets.every((each) => each.pinned === null)).toBe(true);
    const smaller = after(pinned, { kind: 'remove-piece', id: pinned.pieces[0]?.id ?? '' });
    expect(
      laid(smaller)
        .layout.sheets.flatMap(({ placements }) => placements)
        .every(({ id }) => items.has(id)),
    ).toBe(true);
  });

  it('any pins whatever, read from a file, lose no part and hang nobody', () => {
    const place = fc.record({
      part: fc.nat(60),
      x: fc.nat(500_000),
      y: fc.nat(500_000),
      turn: fc.constantFrom(0, 1, 2, 3),
      mirrored: fc.boolean(),
    });
    const document = shelves('straight');
    const all = [...laid(document).items.keys()].sort();
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('A3', 'A4', 'gone'), fc.array(place, { maxLength: 6 })), { maxLength: 4 }),
        (sheets) => {
          const pinned = sheets.map(([name, parts], index) => ({
            id: `sheet ${index}`,
            board: 'white',
            name,
            offcut: null,
            parts: parts.map(({ part, ...lie }) => ({ id: all[part % all.length] as string, ...lie, turn: lie.turn })),
          }));
          const { layout } = laid({ ...document, cutting: { ...document.cutting, pinned } });
          expect(layout.sheets.flatMap(({ placements }) => placements.map(({ id }) => id)).sort()).toEqual(all);
        },
      ),
      { seed: 9, numRuns: 40 },
    );
  });
});

describe('parts kept together', () => {
  it.each(['straight', 'free'] as const)('come from one sheet (%s cuts), whatever else lies there, and apart again from any', (mode) => {
    const document = shelves(mode);
    const { items, layout } = laid(document);
    const all = [...items.keys()].sort();
    const random = seededRandom(4);
    for (let round = 0; round < 8; round += 1) {
      const [one, other, third] = AXES.map(() => all[Math.floor(random() * all.length)] as string) as [string, string, string];
      if (new Set([one, other, third]).size < 3) continue;
      const two = after(document, keepTogether(document, one, other));
      const kept = after(two, keepTogether(two, third, other));
      expect(kept.cutting.together.map((ids) => [...ids].sort())).toEqual([[one, other, third].sort()]);
      const now = laid(kept).layout;
      expect(now.sheets.flatMap(({ placements }) => placements.map(({ id }) => id)).sort()).toEqual(all);
      const home = now.sheets.filter(({ placements }) => placements.some(({ id }) => [one, other, third].includes(id)));
      expect(home.length).toBe(1);
      for (const each of now.sheets) {
        const lying = sidesOn(each, items);
        expect(sheetFaults(each.kind.width, each.kind.height, lying, 1_000, 3_000)).toEqual([]);
        if (mode === 'straight') expect(canBeCutStraight(lying)).toBe(true);
      }
      const apart = after(kept, keepApart(kept, third));
      const alone = after(apart, keepApart(apart, one));
      expect(alone.cutting.together).toEqual([]);
      expect(laid(alone).layout).toEqual(layout);
    }
  });
});

describe('what counts', () => {
  it('few sheets before little money, and few settings of the rule before a large rest, when the maker says so', () => {
    const read = readSet({
      format: 'bashful-parlor-set',
      version: 1,
      name: 'dear sheets',
      boards: [
        {
          id: 'white',
          measured: '4.8 mm',
          sheets: [
            { name: 'large', width: '500 mm', height: '760 mm', price: 20 },
            { name: 'small', width: '300 mm', height: '420 mm', price: 2 },
          ],
        },
      ],
      pieces: [
        { width: '900 mm', height: '1800 mm', depth: '300 mm' },
        { width: '900 mm', height: '1500 mm', depth: '300 mm' },
      ],
    });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    const wish = (wishes: SetDocument['cutting']['wishes']) => laid({ ...read.value, cutting: { ...read.value.cutting, wishes } }).layout;
    const cheap = wish({ first: 'money', next: 'rest' });
    const few = wish({ first: 'sheets', next: 'rest' });
    expect(few.sheets.length).toBeLessThan(cheap.sheets.length);
    expect(few.price as number).toBeGreaterThan(cheap.price as number);
    const settings = (layout: typeof few): number =>
      layout.sheets.reduce(
        (sum, { kind, cuts }) => sum + (cuts ? cutSteps(kind, { left: 0, right: 0, bottom: 0, top: 0 }, cuts, 0).length : 0),
        0,
      );
    expect(settings(wish({ first: 'sheets', next: 'settings' }))).toBeLessThanOrEqual(settings(few));
  });
});

describe('offcuts that are no rectangles', () => {
  it.each([[{ kind: 'corner', width: '150 mm', height: '200 mm' }], [{ kind: 'triangle' }], [{ kind: 'round' }]])(
    '%j is used first, only where there is board, and is used up when it is cut',
    (shape) => {
      for (const mode of ['straight', 'free'] as const) {
        const read = readSet({
          format: 'bashful-parlor-set',
          version: 1,
          name: 'scraps',
          boards: [
            { id: 'white', measured: '4.8 mm', sheets: ['A3'], offcuts: [{ id: 'scrap', width: '400 mm', height: '300 mm', shape }] },
          ],
          cutting: { gap: '1 mm', trim: '3 mm', mode },
          pieces: [
            { width: '900 mm', height: '1800 mm', depth: '300 mm' },
            { width: '600 mm', height: '700 mm', depth: '400 mm' },
          ],
        });
        if (!read.ok) throw new Error(JSON.stringify(read.error));
        const document = read.value;
        const { derived, items, layout } = laid(document);
        const scrap = layout.sheets.find(({ kind }) => kind.offcut === 'scrap') as (typeof layout.sheets)[number];
        expect(layout.sheets[0]).toBe(scrap);
        expect(scrap.placements.length).toBeGreaterThan(0);
        const outline = outlineOfOffcut(white(document).offcuts[0] as Offcut) as Ring;
        for (const place of scrap.placements) {
          const { width, height } = orientedSize(items.get(place.id) as CutItem, place);
          const part = rectRing(place.x, place.y, place.x + width, place.y + height);
          // All of the part is board.
          const shared = intersection({ outline: part, holes: [] }, { outline, holes: [] }).reduce(
            (sum, each) => sum + signedArea(each),
            0,
          );
          expect(Math.abs(shared - width * height)).toBeLessThan(2_000);
        }
        expect(layout.sheets.flatMap(({ placements }) => placements.map(({ id }) => id)).sort()).toEqual([...items.keys()].sort());
        expect(placeNear(scrap, items, scrap.placements[0] as LotPlacement, rulesOf(document))).toBeUndefined();
        const cut = after(document, tickCut(document, derived, white(document), scrap, newId));
        expect(white(cut).offcuts.some(({ id }) => id === 'scrap')).toBe(false);
        expect(laid(cut).layout.sheets.flatMap(({ placements }) => placements).length).toBe(items.size - scrap.placements.length);
      }
    },
  );
});
