// Facts of the trade: makers cut these and they worked. Common practice, no source, except where a source is named.
import { describe, expect, it } from 'vitest';
import { boxOf, edgeClearance, type Part, pinClearance } from '../assembly/index.ts';
import { dollOf, scaleFromRatio, UM } from '../measure/index.ts';
import { wireLength } from './casework/slides.ts';
import { decided, mm, partsOf, sides } from './decided.testing.ts';
import { buildPiece, fromPreset, layersFor, type Piece, PRESETS } from './index.ts';
import { evenSlats } from './parts/evenSlats.ts';
import { boardOf } from './randomDecisions.testing.ts';

const ONE = scaleFromRatio(1);

describe('cases that makers have cut', () => {
  it('shelf unit: two uprights of 7 × 1 1/2 in with evenly spaced lines, four shelves 4 1/2 × 1 1/2 in, one of them on top', () => {
    const board = Math.round((3 / 16) * UM.in);
    const inch = (value: number) => ({ doll: Math.round(value * UM.in) });
    const piece = decided('bookcase', {
      width: { doll: Math.round(4.5 * UM.in) + 2 * board },
      height: inch(7),
      depth: inch(1.5),
      plinth: 0,
      back: 'none',
      'front.count': 2,
      'front.holds': null,
    });
    const parts = partsOf(piece, board);
    const uprights = parts.filter(({ role }) => role === 'side' || role === 'last side');
    expect(uprights.map(sides)).toEqual(Array(2).fill([1.5 * UM.in, 7 * UM.in]));
    const shelves = parts.filter((part) => !uprights.includes(part));
    expect(shelves.map(sides)).toEqual(Array(4).fill([4.5 * UM.in, 1.5 * UM.in]));
    const levels = shelves.map((part) => boxOf(part).min[1]).sort((a, b) => a - b);
    const gaps = levels.slice(1).map((level, index) => level - (levels[index] as number));
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
  });

  it('chest: a front of 7 × 8 cm, three false fronts 1.5 cm tall with equal gaps of 0.875 cm', () => {
    const board = 5_000;
    const piece = decided('chest', {
      width: mm(80),
      height: mm(90),
      depth: mm(50),
      plinth: 0,
      'front.count': 3,
      'front.plate': mm(15),
      'front.grip': 'none',
    });
    const parts = partsOf(piece, board);
    const blank = parts.find(({ role }) => role === 'front') as Part;
    expect(sides(blank)).toEqual([70_000, 80_000]);
    const plates = parts.filter(({ role }) => role === 'border').map(boxOf);
    const low = boxOf(blank).min[1];
    expect(plates.map(({ min, max }) => max[1] - min[1])).toEqual([15_000, 15_000, 15_000]);
    expect(plates.map(({ min }) => min[1] - low)).toEqual([8_750, 8_750 + 15_000 + 8_750, 3 * 8_750 + 2 * 15_000]);
    expect(boxOf(blank).max[1] - (plates.at(-1)?.max[1] ?? 0)).toBe(8_750);
  });

  it('face frame: a border of 2.5 cm, its openings centred on the bays behind', () => {
    const piece = decided('framed-cupboard', { width: mm(200), height: mm(180), depth: mm(60), plinth: 0, 'frame.border': mm(25) });
    const board = 5_000;
    const built = buildPiece(piece, { scale: ONE, body: ONE, boards: [boardOf(board)] });
    if (!built.ok) throw new Error(JSON.stringify(built.error));
    const { openings, bays } = built.value;
    expect(openings).toHaveLength(2);
    const fields = bays.filter(({ path }) => path.length === 1).map(({ space }) => space);
    openings.forEach((opening, index) => {
      const bay = fields[index] as (typeof fields)[number];
      expect(opening.x0 + opening.x1).toBe(bay.x0 + bay.x1);
      expect(opening.y0 + opening.y1).toBe(bay.y0 + bay.y1);
    });
    expect(openings[0]?.x0).toBe(25_000);
    expect(200_000 - (openings[1]?.x1 ?? 0)).toBe(25_000);
    expect([openings[0]?.y0, 180_000 - (openings[0]?.y1 ?? 0)]).toEqual([25_000, 25_000]);
  });

  it('plate-rack tine: 3 cm up, 2.5 cm across, 3 cm down; 8.5 cm of a 10 cm length used, 1.5 cm cut off', () => {
    const piece = decided('dishwasher', {
      width: mm(110),
      height: mm(160),
      depth: mm(110),
      'front.slots.1.size': { clear: mm(14) },
      'front.slots.1.cell.disc': mm(6),
      plinth: mm(15),
      'front.slots.0.cell.behind.tineUp': mm(30),
      'front.slots.0.cell.behind.tineAcross': mm(25),
      'front.slots.0.cell.behind.at': [mm(10), mm(60)],
    });
    const tines = partsOf(piece, 4_800).filter(({ stuff }) => stuff === 'wire');
    expect(tines.length).toBe(14);
    expect(tines.every(({ length }) => length === 85_000)).toBe(true);
    expect(100_000 - (tines[0]?.length ?? 0)).toBe(15_000);
    expect(tines.map(sides)[0]).toEqual([25_000, 30_000]);
  });

  it('rack slides: pairs of thin sticks 5 mm apart, at 4 cm and 14 cm above the floor', () => {
    const piece = decided('oven', {
      width: mm(200),
      height: mm(330),
      depth: mm(160),
      holes: [],
      'front.slots.0.size': { clear: mm(30) },
      'front.slots.2.size': { clear: mm(30) },
      'front.slots.1.cell.behind.at': [mm(40), mm(140)],
      'front.slots.1.cell.behind.between': 5_000,
      'front.slots.2.cell.disc': mm(12),
      'worktop.burner': mm(40),
    });
    const built = buildPiece(piece, { scale: ONE, body: ONE, boards: [boardOf(4_800)] });
    if (!built.ok) throw new Error(JSON.stringify(built.error));
    const floor = built.value.bays.find(({ kind }) => kind === 'slides')?.space.y0 ?? 0;
    const slides = built.value.assembly.parts.filter(({ role, id }) => role === 'slide' && id.includes('left')).map(boxOf);
    const lower = slides.filter((_, index) => index % 2 === 0);
    const upper = slides.filter((_, index) => index % 2 === 1);
    expect(lower.map(({ min }) => min[1] - floor)).toEqual([40_000, 140_000]);
    expect(upper.map(({ min }, index) => min[1] - (lower[index]?.max[1] ?? 0))).toEqual([5_000, 5_000]);
  });
});

describe('small formulas', () => {
  // Source: plane geometry. The published rule of engine drawings: √(a² + (t/2)²) beyond the axis.
  it('a pin-hung door’s corner needs √(a² + (t/2)²) − a beyond its axis', () => {
    expect(pinClearance(3, 8)).toBe(2);
    expect(pinClearance(12, 10)).toBe(1);
    expect(edgeClearance(12, 5)).toBe(1);
  });

  it('bent wire is the sum of its stretches, less (2 − π/2) of the radius at each bend', () => {
    expect(wireLength([30, 25, 30])).toBe(85);
    // A square bend of radius 10 follows a quarter circle of 15.708 where two sides of 10 would be 20.
    expect(wireLength([50, 50], 10)).toBeCloseTo(100 - 20 + 15.708, 3);
  });

  it('even slats keep every gap at most the largest, with one slat fewer a gap would be larger', () => {
    for (const [length, width, largest] of [
      [330_000, 10_000, 13_333],
      [100_000, 19_000, 8_000],
      [60_000, 6_000, 60_000],
      [333_333, 2_000, 2_001],
    ] as const) {
      const { count, gap } = evenSlats(length, width, largest);
      expect(gap).toBeLessThanOrEqual(largest + 1e-9);
      expect(count * width + (count + 1) * gap).toBeCloseTo(length, 6);
      if (count > 0) expect((length - (count - 1) * width) / count).toBeGreaterThan(largest);
    }
  });

  it('layers are whole boards: n = ceil(wanted ÷ board), and the error is what they are over', () => {
    expect(layersFor(12_000, 5_000)).toEqual({ layers: 3, error: 3_000 });
    expect(layersFor(10_000, 5_000)).toEqual({ layers: 2, error: 0 });
    // Five hundredths of a board too little is let go.
    expect(layersFor(10_200, 5_000)).toEqual({ layers: 2, error: -200 });
    expect(layersFor(100, 5_000)).toEqual({ layers: 1, error: 4_900 });
  });
});

describe('real sizes of the presets', () => {
  const real = (key: string, field: string) =>
    (fromPreset(PRESETS.find((each) => each.key === key) as (typeof PRESETS)[number], 'p', 1) as unknown as Record<string, number>)[
      field
    ] as number;
  // Interior-design handbooks (Panero & Zelnik; Neufert), recalled from memory; ranges in mm.
  it.each([
    ['dining-table', 'height', 710, 760],
    ['desk', 'height', 710, 760],
    ['coffee-table', 'height', 400, 460],
    ['base-unit', 'height', 900, 915],
    ['base-unit', 'depth', 600, 635],
    ['wall-unit', 'depth', 300, 330],
    ['wall-unit', 'height', 720, 760],
    ['oven', 'width', 762, 762],
    ['oven', 'height', 915, 915],
    ['dishwasher', 'height', 860, 860],
    ['fridge', 'height', 1700, 1700],
    ['microwave', 'width', 500, 500],
    ['bookcase', 'height', 1800, 1800],
    ['wardrobe', 'height', 2000, 2000],
    ['chest', 'height', 850, 850],
    ['night-stand', 'height', 600, 600],
  ])('%s: %s lies within its handbook range', (key, field, least, most) => {
    expect(real(key, field)).toBeGreaterThanOrEqual(least * UM.mm);
    expect(real(key, field)).toBeLessThanOrEqual(most * UM.mm);
  });

  // EU mattresses 900 and 1400 × 2000 mm, US twin 38 × 75 in: recalled from memory of bedding sizes.
  it.each([
    ['panel-bed', 900_000, 2_000_000],
    ['arch-bed', 1_400_000, 2_000_000],
    ['castle-bed', Math.round(38 * UM.in), Math.round(75 * UM.in)],
  ])('%s holds its mattress and nothing tighter', (key, width, length) => {
    expect([real(key, 'mattressWidth'), real(key, 'mattressLength')]).toEqual([width, length]);
    const piece = fromPreset(PRESETS.find((each) => each.key === key) as (typeof PRESETS)[number], 'p', 1);
    const sixth = scaleFromRatio(6);
    const built = buildPiece(piece, { scale: sixth, body: sixth, boards: [boardOf(4_800)] });
    if (!built.ok || piece.family !== 'bed') throw new Error(key);
    const { min, max } = built.value.assembly.clear;
    expect(max[0] - min[0]).toBe(dollOf(piece.mattressLength, sixth) + 2 * piece.play);
    expect(max[2] - min[2]).toBe(dollOf(piece.mattressWidth, sixth) + 2 * piece.play);
  });
});

describe('by the doll', () => {
  it('heights that touch the body follow her own scale, all others the set’s', () => {
    const [scale, body] = [scaleFromRatio(6), scaleFromRatio(4)];
    const top = (key: string, bodyScale: 'set' | 'doll') => {
      const built = buildPiece(
        { ...fromPreset(PRESETS.find((each) => each.key === key) as (typeof PRESETS)[number], 'p', 1), bodyScale } as Piece,
        { scale, body, boards: [boardOf(4_800)] },
      );
      if (!built.ok) throw new Error(JSON.stringify(built.error));
      return built.value.assembly.outside.max;
    };
    for (const key of ['dining-table', 'base-unit']) {
      const [strict, own] = [top(key, 'set'), top(key, 'doll')];
      expect(own[1] / strict[1]).toBeCloseTo(6 / 4, 4);
      expect([own[0], own[2]]).toEqual([strict[0], strict[2]]);
    }
    expect(top('bookcase', 'doll')).toEqual(top('bookcase', 'set'));
    expect(top('panel-bed', 'doll')[0]).toBeGreaterThan(top('panel-bed', 'set')[0]);
  });
});
