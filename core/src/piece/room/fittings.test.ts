import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Part } from '../../assembly/index.ts';
import { UM } from '../../measure/index.ts';
import { bounds, type Point } from '../../shape/index.ts';
import { STICKS } from '../../stock/index.ts';
import { builtOf, decided, like, meansWith, mm, partsOf, refusalOf, sides, span } from '../decided.testing.ts';
import { newOpening, newWall, type Piece, type Room, roomPlan, viewSize, type Wall } from '../index.ts';
import { isOfOpening } from './opened.ts';
import { newBatten, newBox, newLights, type WallOpening } from './wall.ts';

const OPEN = newWall({ kind: 'open' });
const T = 4_800;
const BARE = { skirting: mm(0), rail: null, cornice: mm(0), cornerStrips: mm(0), panelling: null, beams: null };

const roomWith = (back: object, over: object = {}): Piece =>
  decided('three-walls', {
    ...BARE,
    width: mm(500),
    depth: mm(300),
    height: mm(300),
    walls: [newWall(back as Partial<Wall>), newWall(), OPEN, newWall()],
    ...over,
  });

const opening = (form: WallOpening['form'], over: object): WallOpening =>
  ({
    ...newOpening(form),
    from: mm(190),
    up: mm(120),
    width: mm(120),
    height: mm(100),
    border: mm(12),
    sill: mm(0),
    ...over,
  }) as WallOpening;

const inMm = (part: Part): readonly [number, number] => {
  const [width, height] = sides(part);
  return [width / UM.mm, height / UM.mm];
};
const exactly = (parts: readonly Part[], name: string): readonly Part[] => parts.filter((part) => part.name === name);
const onBack = (parts: readonly Part[]): readonly Part[] => parts.filter(({ id }) => /-back-0/.test(id));

describe('panelling', () => {
  const strips = { form: 'battens', up: mm(110), apart: mm(60), width: mm(10) } as const;

  it('stands at even distances, as near to what was asked as can be, from corner to corner', () => {
    const back = onBack(exactly(partsOf(roomWith({}, { panelling: strips }), T), 'panelling strip'));
    const at = back.map((part) => span(part, 0)[0]).sort((a, b) => a - b);
    const gaps = at.slice(1).map((each, index) => each - (at[index] as number));
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(0.0021);
    expect(gaps[0]).toBeGreaterThan(50);
    expect(gaps[0]).toBeLessThan(70);
    for (const part of back) expect(inMm(part)).toEqual([10, 110]);
  });

  it('is cut off under a window, stops beside a door, under a rail and over the skirting', () => {
    const piece = roomWith(
      { openings: [opening('window', { up: mm(90) }), opening('door', { from: mm(340), width: mm(90), height: mm(220) })] },
      { panelling: { ...strips, up: mm(200) }, skirting: mm(15), rail: { height: mm(8), up: mm(140) } },
    );
    const back = onBack(exactly(partsOf(piece, T), 'panelling strip'));
    const left = span(exactly(partsOf(piece, T), 'back wall')[0] as Part, 0)[0];
    const under = back.filter((part) => span(part, 0)[0] - left > 178 && span(part, 0)[1] - left < 330);
    expect(under.length).toBeGreaterThan(0);
    for (const part of under) expect(inMm(part)[1]).toBeCloseTo(90 - 12 - 15 - 0.2, 3);
    const whole = back.filter((part) => !under.includes(part));
    for (const part of whole) expect(inMm(part)[1]).toBeCloseTo(140 - 15, 6);
    expect(whole.some((part) => span(part, 0)[1] - left > 328 + 4.8 && span(part, 0)[0] - left < 440)).toBe(false);
  });

  it('of panels leaves even gaps round each', () => {
    const panels = onBack(exactly(partsOf(roomWith({}, { panelling: { ...strips, form: 'panels' } }), T), 'panel'));
    const at = panels.map((part) => span(part, 0)).sort((a, b) => a[0] - b[0]);
    for (const [index, [from]] of at.slice(1).entries()) expect(from - (at[index]?.[1] ?? 0)).toBeCloseTo(10, 2);
    for (const part of panels) expect(inMm(part)[1]).toBeCloseTo(90, 6);
  });

  it('and strips that were told to stand somewhere stand there, from the skirting to the cornice, not over a window', () => {
    const battens = [
      { ...newBatten(), from: mm(100), width: mm(14) },
      { ...newBatten(), from: mm(180), width: mm(14), end: 'right' as const },
    ];
    const parts = partsOf(
      roomWith(
        { battens, openings: [opening('window', { from: mm(210), width: mm(60) })] },
        { skirting: mm(15), cornice: mm(12), panelling: strips },
      ),
      T,
    );
    const told = exactly(parts, 'strip on the wall');
    const left = span(exactly(parts, 'back wall')[0] as Part, 0)[0] + T / UM.mm;
    const whole = told.filter((part) => inMm(part)[1] > 200);
    expect(whole.map((part) => span(part, 0)[0] - left).sort((a, b) => a - b)).toEqual([100, 306].map((each) => expect.closeTo(each, 6)));
    for (const part of whole) expect(inMm(part)[1]).toBeCloseTo(300 - 15 - 12, 6);
    expect(refusalOf(roomWith({ battens: [{ ...newBatten(), from: mm(495), width: mm(14) }] }), T)).toMatchObject({
      what: 'a strip on the wall in its length',
    });
    expect(refusalOf(roomWith({ battens: [battens[0] as never, { ...newBatten(), from: mm(106), width: mm(14) }] }), T)).toMatchObject({
      what: 'strips on the wall beside each other',
    });
  });
});

describe('strips cut from sticks', () => {
  it('are as wide and as thick as the stick, and say what length is cut', () => {
    const parts = partsOf(
      roomWith(
        {},
        { skirting: mm(15), panelling: { form: 'battens', up: mm(110), apart: mm(60), width: mm(10) }, trimStick: 'craft stick' },
      ),
      T,
    );
    const sticks = parts.filter(({ stuff }) => stuff === 'stick');
    expect(new Set(sticks.map(({ name }) => name))).toEqual(new Set(['skirting', 'panelling strip']));
    const { width, thickness } = STICKS['craft stick'];
    for (const part of sticks) {
      expect(part.thickness).toBe(thickness);
      expect(Math.min(...sides(part))).toBe(width);
      expect(part.length).toBe(Math.max(...sides(part)));
    }
    // Two sides of the room are shorter by what the back's skirting takes.
    expect(
      sticks
        .filter(({ name }) => name === 'skirting')
        .map(({ length }) => (length ?? 0) / UM.mm)
        .sort((a, b) => a - b),
    ).toEqual([298, 300, 498]);
  });
});

describe('beams', () => {
  it('run from the back to the front under the ceiling, evenly, each of a board below and one on edge at either side', () => {
    const parts = partsOf(roomWith({}, { ceiling: true, beams: { count: 3, width: mm(20), height: mm(25) } }), T);
    const below = exactly(parts, 'beam');
    expect(below).toHaveLength(3);
    expect(exactly(parts, 'side of a beam')).toHaveLength(6);
    const middles = below.map((part) => (span(part, 0)[0] + span(part, 0)[1]) / 2).sort((a, b) => a - b);
    expect((middles[1] ?? 0) - (middles[0] ?? 0)).toBeCloseTo(125, 3);
    for (const part of exactly(parts, 'side of a beam')) {
      expect(span(part, 2)[1] - span(part, 2)[0]).toBeCloseTo(300, 6);
      expect(span(part, 1)[1]).toBeCloseTo(304.8, 6);
    }
    expect(refusalOf(roomWith({}, { beams: { count: 3, width: mm(8), height: mm(25) } }), T)).toMatchObject({
      what: 'a beam over the boards at its sides',
    });
    expect(refusalOf(roomWith({}, { beams: { count: 12, width: mm(40), height: mm(25) } }), T)).toMatchObject({
      what: 'beams beside each other',
    });
  });

  it('end at what runs along the walls as high up', () => {
    const parts = partsOf(roomWith({}, { ceiling: true, cornice: mm(12), beams: { count: 1, width: mm(20), height: mm(25) } }), T);
    expect(span(exactly(parts, 'beam')[0] as Part, 2)[1] - span(exactly(parts, 'beam')[0] as Part, 2)[0]).toBeCloseTo(300 - 4.8, 6);
  });
});

describe('lamps, their wire and their box', () => {
  const lights = { ...newLights(), from: mm(100), up: mm(260), count: 3, apart: mm(100), across: 5_000 as never };
  const box = { ...newBox(), from: mm(380), up: mm(60), width: 70_000 as never, height: 38_000 as never, depth: 20_000 as never };

  it('behind a false wall the box hangs in the cavity, and an opening in the wall behind lets a hand reach it', () => {
    const { assembly } = builtOf(roomWith({ cavity: 25_000 as never, lights: { ...lights, box } }), T);
    const [found] = exactly(assembly.parts, 'battery box') as [Part];
    const [back, second] = [exactly(assembly.parts, 'back wall')[0] as Part, exactly(assembly.parts, 'back wall, second')[0] as Part];
    expect(span(found, 2)[1]).toBeCloseTo(span(second, 2)[0], 6);
    expect(span(found, 2)[0]).toBeGreaterThanOrEqual(span(back, 2)[1]);
    const hole = bounds(back.region.holes[0] ?? []);
    expect([hole.x1 - hole.x0, hole.y1 - hole.y0].map((um) => um / UM.mm)).toEqual([74, 42]);
    expect(second.region.holes).toHaveLength(3);
    const thin = { ...box, depth: 30_000 as never };
    expect(refusalOf(roomWith({ cavity: 25_000 as never, lights: { ...lights, box: thin } }), T)).toMatchObject({
      what: 'the battery box in the cavity',
      available: 25_000,
      needed: 30_000,
    });
  });

  it('without one it hangs on the outside, and the shell is larger by it', () => {
    const [bare, with_] = [builtOf(roomWith({ lights }), T), builtOf(roomWith({ lights: { ...lights, box } }), T)];
    expect(with_.assembly.outside.max[2] - bare.assembly.outside.max[2]).toBe(20_000);
    expect(refusalOf(roomWith({ lights: { ...lights, box: { ...box, from: mm(90), up: mm(250) } } }), T)).toMatchObject({
      what: 'the battery box beside the lamps',
    });
    expect(
      refusalOf(roomWith({ openings: [opening('window', { from: mm(370), up: mm(50), width: mm(80) })], lights: { ...lights, box } }), T),
    ).toMatchObject({
      what: 'the battery box beside the openings',
    });
  });

  const wireOn = (back: object) => roomPlan(roomWith(back) as Room, meansWith(T)).sides[0]?.wire;

  it('the wire joins the lamps and goes to the box: its length by hand', () => {
    // Lamps 100, 200 and 300 mm along, 260 up; the box's middle 415 mm along and 79 up; 30 mm are left over.
    expect(wireOn({ lights: { ...lights, box } })?.length).toBe((200 + 115 + 181 + 30) * UM.mm);
    // Without a box it leaves at the wall's foot under the last lamp.
    expect(wireOn({ lights })?.length).toBe((200 + 260 + 30) * UM.mm);
    expect(wireOn({})).toBeNull();
  });

  it('it goes round openings, by the shortest way of lying and standing pieces (compared with a search over a fine field)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 240 }),
        fc.integer({ min: 40, max: 110 }),
        fc.integer({ min: 10, max: 340 }),
        (from, up, boxFrom) => {
          const window = opening('plain', { from: mm(from), up: mm(up), width: mm(90), height: mm(80), border: mm(0), glazed: false });
          const one = {
            ...lights,
            count: 1,
            from: mm(20),
            up: mm(280),
            box: { ...box, from: mm(boxFrom), up: mm(8), height: 10_000 as never, width: 10_000 as never },
          };
          const wire = wireOn({ lights: one, openings: [window] });
          if (!wire) throw new Error('no wire');
          const [x0, x1, y0, y1] = [from - 3, from + 93, up - 3, up + 83];
          // The direct way's length, and the least way round: over, under or beside the opening where the direct ways are both cut.
          const [a, b] = [
            [20, 280],
            [boxFrom + 5, 13],
          ] as const;
          const cut = (p: Point, q: Point): boolean =>
            Math.max(p[0], q[0]) > x0 && Math.min(p[0], q[0]) < x1 && Math.max(p[1], q[1]) > y0 && Math.min(p[1], q[1]) < y1;
          const straight = Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]);
          const xs = [a[0], b[0], x0, x1];
          const ys = [a[1], b[1], y0, y1];
          let least = Infinity;
          for (const x of xs)
            for (const y of ys) {
              const ways = [
                [a, [x, a[1]], [x, y], [b[0], y], b],
                [a, [a[0], y], [x, y], [x, b[1]], b],
              ] as readonly (readonly Point[])[];
              for (const way of ways) {
                if (way.slice(1).some((point, index) => cut(way[index] as Point, point))) continue;
                const long = way
                  .slice(1)
                  .reduce(
                    (sum, [px, py], index) => sum + Math.abs(px - (way[index] as Point)[0]) + Math.abs(py - (way[index] as Point)[1]),
                    0,
                  );
                least = Math.min(least, long);
              }
            }
          expect(wire.length / UM.mm - 30).toBeCloseTo(least, 3);
          expect(least).toBeGreaterThanOrEqual(straight - 1e-9);
          for (const [index, point] of wire.path.slice(1).entries())
            expect(
              cut(
                (wire.path[index] as Point).map((um) => um / UM.mm) as unknown as Point,
                point.map((um) => um / UM.mm) as unknown as Point,
              ),
            ).toBe(false);
        },
      ),
      { numRuns: 120, seed: 5 },
    );
  });
});

describe('a view behind an opening', () => {
  it('is so large that no look aslant by up to a half right angle passes its edge (rays, plane geometry)', () => {
    const opened = { x0: 100_000, x1: 220_000, y0: 90_000, y1: 190_000, border: 12_000, id: 'o', opening: { view: 30_000 } as never };
    const view = viewSize(opened, T);
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (slope, across, high) => {
          const [x, y] = [opened.x0 + across * 120_000 + slope * 30_000, opened.y0 + high * 100_000 + slope * 30_000];
          expect(x).toBeGreaterThanOrEqual(view.x0 - 1e-6);
          expect(x).toBeLessThanOrEqual(view.x1 + 1e-6);
          expect(y).toBeGreaterThanOrEqual(view.y0 - 1e-6);
          expect(y).toBeLessThanOrEqual(view.y1 + 1e-6);
        },
      ),
    );
  });

  it('stands so far behind the wall on two strips, and can be taken away', () => {
    const parts = partsOf(roomWith({ openings: [opening('window', { view: 25_000 })] }), T);
    const [view] = exactly(parts, 'view') as [Part];
    const [back] = exactly(parts, 'back wall') as [Part];
    expect(span(back, 2)[0] - span(view, 2)[1]).toBeCloseTo(25, 6);
    expect(view.held).toBe('slides');
    expect(like(parts, /^strip behind the wall$/)).toHaveLength(2);
    expect(refusalOf(roomWith({ openings: [opening('window', { view: 3_000 })] }), T)).toMatchObject({ what: 'the view behind the wall' });
  });
});

describe('what wears the paper of walls, floor, ceiling', () => {
  it('is none of what belongs to an opening: frames, linings, bars and panels have roles of their own', () => {
    const walls = (['window', 'door', 'plain', 'arch', 'round', 'bought'] as const).map(
      (form): Wall => ({ ...newWall(), openings: [{ ...newOpening(form), barsUpright: 2, barsLying: 2, panelsAcross: 2, panelsUp: 2 }] }),
    );
    const surfaces = new Set(['side', 'last side', 'back', 'front', 'bottom', 'top', 'divider']);
    const worn = [walls.slice(0, 4), walls.slice(2, 6)].flatMap((four) =>
      partsOf(decided('four-walls', { width: mm(4_000), depth: mm(4_000), walls: four }), 5_000).filter(
        (part) => isOfOpening(part) && surfaces.has(part.role),
      ),
    );
    expect(worn.map(({ id, role }) => `${id} ${role}`)).toEqual([]);
  });
});
