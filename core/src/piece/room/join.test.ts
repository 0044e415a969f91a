import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOf, type Part } from '../../assembly/index.ts';
import { UM } from '../../measure/index.ts';
import { regionArea } from '../../shape/index.ts';
import { builtOf, decided, like, meansWith, mm, partsOf, refusalOf, sides, span } from '../decided.testing.ts';
import { asRoom, asShell, newOpening, newWall, type Room, roomPlan, type Shell, standTogether, type Wall } from '../index.ts';
import { boardOf } from '../randomDecisions.testing.ts';
import { mirroredRoom } from './room.ts';
import { packingFor } from './together.ts';

const INCH = 25.4;
const OPEN = newWall({ kind: 'open' });
const T = 4_800;

const walls = (right: boolean, left: boolean): readonly Wall[] => [newWall(), right ? newWall() : OPEN, OPEN, left ? newWall() : OPEN];

const one = (width: number, depth: number, height: number, over: object = {}): Shell =>
  asShell(
    decided('three-walls', {
      width: mm(width),
      depth: mm(depth),
      height: mm(height),
      skirting: mm(0),
      walls: walls(false, false),
      ...over,
    }) as Room,
  );

/** Shells beside each other, open to one another, the ends walled. */
const joined = (shells: readonly Shell[], over: object = {}, gaps: readonly number[] = []): Room => {
  const ended = shells.map((shell, index) => ({
    ...shell,
    walls: shell.walls.map((wall, side) => ((side === 3 && index === 0) || (side === 1 && index === shells.length - 1) ? newWall() : wall)),
  }));
  const [first, ...rest] = ended as unknown as [Shell, ...Shell[]];
  return {
    ...(decided('three-walls') as Room),
    ...first,
    seams: 0 as never,
    shells: rest.map((shell, index) => ({ gap: Math.round((gaps[index] ?? 0) * UM.mm) as never, shell })),
    ...over,
  };
};

const exactly = (parts: readonly Part[], name: string): readonly Part[] => parts.filter((part) => part.name === name);
const inMm = (part: Part): readonly number[] => sides(part).map((um) => um / UM.mm);

describe('rooms joined of shells', () => {
  it('three of 18 in depth and 16 in width are one room of 48 in (a fact of the trade, common practice without source)', () => {
    const shells = [16, 16, 16].map((width) => one(width * INCH, 18 * INCH, 20 * INCH));
    const room = joined(shells);
    const { assembly } = builtOf(room, T);
    const t = T / UM.mm;
    expect(assembly.outside.max.map((um) => um / UM.mm)).toEqual(
      [48 * INCH + 2 * t, 20 * INCH + t, 18 * INCH + t].map((each) => expect.closeTo(each, 3)),
    );
    // Nothing is filled where nothing is lacking.
    expect(like(assembly.parts, /filler|packing|gap|return/)).toEqual([]);
    const plan = roomPlan(room, meansWith(T));
    expect(plan.sides.map(({ name, walled }) => [name, walled])).toEqual([
      ['back wall', true],
      ['right wall', true],
      ['front', false],
      ['left wall', true],
    ]);
    expect((plan.ring[1]?.[0] ?? 0) / UM.mm).toBeCloseTo(48 * INCH, 3);
    expect(plan.sides[0]?.runs.map(({ shell, from, to }) => [shell, from, to])).toEqual([
      [0, 0, 406_400],
      [1, 406_400, 812_800],
      [2, 812_800, 1_219_200],
    ]);
  });

  it('lower walls are filled up: as long as the wall, as high as it lacks, level with the highest', () => {
    const parts = partsOf(joined([one(300, 250, 300), one(200, 250, 276)]), T);
    const fillers = like(parts, /, filler$/);
    expect(fillers.map(({ name }) => name).sort()).toEqual(['back wall, filler', 'right wall, filler']);
    for (const filler of fillers) {
      expect(inMm(filler)[1]).toBeCloseTo(24, 6);
      expect(span(filler, 1)[1]).toBeCloseTo(304.8, 6);
    }
    const back = exactly(parts, 'back wall').find((part) => span(part, 0)[0] > 200) as Part;
    expect(inMm(fillers.find(({ name }) => name === 'back wall, filler') as Part)[0]).toBe(inMm(back)[0]);
    // Left as it is when the maker wants it so.
    expect(like(partsOf(joined([one(300, 250, 300), one(200, 250, 276)], { fill: false }), T), /filler/)).toEqual([]);
  });

  it('a thinner floor is lifted by boards at hand, so that both are one floor; what no boards make up is told', () => {
    const thick = { floor: { doll: 9_600 }, wall: null, trim: null };
    const room = joined([one(300, 250, 300), one(200, 250, 300, { thick })]);
    const parts = partsOf(room, [T, 3_000]);
    const tops = parts.filter(({ name }) => /^floor(, layer 2)?$/.test(name)).map((part) => span(part, 1)[1]);
    expect(Math.max(...tops)).toBeCloseTo(9.6, 6);
    expect(tops.filter((top) => Math.abs(top - 9.6) < 1e-6)).toHaveLength(2);
    expect(exactly(parts, 'floor packing').map((part) => part.thickness)).toEqual([4_800]);
    const odd = standTogether(
      joined([one(300, 250, 300), one(200, 250, 300, { thick: { ...thick, floor: { doll: 6_000 } } })]),
      meansWith(5_000, 3_000),
    );
    // The floor of two 5 mm boards is 10 mm; one of 5 mm lacks 5 mm, which one more board is.
    expect(odd.map(({ packing, uneven }) => [packing.map((layer) => layer.one), uneven])).toEqual([
      [[5_000], 0],
      [[], 0],
    ]);
    const never = standTogether(
      joined([one(300, 250, 300), one(200, 250, 300, { boards: { wall: null, floor: 'board-6500', trim: null } })]),
      meansWith(5_000, 6_500),
    );
    expect(never.map(({ uneven }) => uneven)).toEqual([1_500, 0]);
  });

  it('backs in line: a shallower one gets floor in front, and its end wall goes on as far', () => {
    const parts = partsOf(joined([one(300, 250, 300), one(200, 210, 300)]), T);
    const [floor] = exactly(parts, 'floor filler') as [Part];
    expect([...inMm(floor)].sort((a, b) => a - b)).toEqual([40, 204.8].map((each) => expect.closeTo(each, 6)));
    const [side] = exactly(parts, 'right wall, filler in front') as [Part];
    expect([...inMm(side)].sort((a, b) => a - b)).toEqual([40, 300].map((each) => expect.closeTo(each, 6)));
    const front = Math.max(...parts.map((part) => boxOf(part).max[2]));
    expect(boxOf(floor).max[2]).toBe(front);
    expect(boxOf(side).max[2]).toBe(front);
  });

  it('under ceilings too: what is filled in front ends under the ceiling, and what fills the wall up goes on above it', () => {
    const parts = partsOf(joined([one(300, 250, 300, { ceiling: true }), one(200, 210, 280, { ceiling: true })]), T);
    const sides = exactly(parts, 'right wall, filler in front').map((part) => span(part, 1).map((value) => Math.round(value * 10) / 10));
    expect(sides).toEqual([
      [4.8, 284.8],
      [289.6, 309.6],
    ]);
    expect(exactly(parts, 'ceiling filler')).toHaveLength(1);
  });

  it('fronts in line: a wall leads back to the deeper one, and the plan has a corner there', () => {
    const room = joined([one(300, 250, 300), one(200, 210, 300)], { level: 'fronts' });
    const parts = partsOf(room, T);
    const [back] = exactly(parts, 'return between the backs') as [Part];
    // From behind the deeper back to behind the other: 40 mm and one board less.
    expect(span(back, 2)[1] - span(back, 2)[0]).toBeCloseTo(40, 6);
    const plan = roomPlan(room, meansWith(T));
    expect(plan.sides.map(({ name }) => name)).toEqual(['back wall 1', 'return 1', 'back wall 2', 'right wall', 'front', 'left wall']);
    expect(plan.ring).toEqual([
      [0, 0],
      [300_000, 0],
      [300_000, 40_000],
      [500_000, 40_000],
      [500_000, 250_000],
      [0, 250_000],
    ]);
  });

  it('a gap is closed by a strip of floor and one of wall, and a strip over the seam hides both edges', () => {
    const shells = [one(300, 250, 300), one(200, 250, 300)];
    const parts = partsOf(joined(shells, { seams: mm(20) }, [6]), T);
    expect(inMm(exactly(parts, 'gap strip of the back wall')[0] as Part)).toEqual([6, 300]);
    expect(inMm(exactly(parts, 'gap strip of the floor')[0] as Part)[0]).toBe(6);
    const [strip] = exactly(parts, 'strip over the seam') as [Part];
    expect(inMm(strip)).toEqual([20, 300]);
    const [gap] = exactly(parts, 'gap strip of the back wall') as [Part];
    expect(span(strip, 0)[0]).toBeLessThan(span(gap, 0)[0] - 1);
    expect(span(strip, 0)[1]).toBeGreaterThan(span(gap, 0)[1] + 1);
    expect(refusalOf(joined(shells, { seams: mm(6) }, [6]), T)).toMatchObject({ what: 'a strip over the gap between two shells' });
  });

  it('where walls part them one walks through only where both let her', () => {
    const door = (from: number) =>
      ({ ...newOpening('plain'), up: mm(0), from: mm(from), width: mm(80), height: mm(220), glazed: false }) as never;
    const wall = (from: number) => newWall({ openings: [door(from)] });
    const [left, right] = [one(300, 250, 300), one(200, 250, 300)];
    const room = joined([
      { ...left, walls: left.walls.with(1, wall(60)) },
      { ...right, walls: right.walls.with(3, wall(90)) },
    ]);
    const plan = roomPlan(room, meansWith(T));
    // Seen from inside the one, the door is 60 to 140 mm from the back; in the other it is 90 to 170 from its front: 80 to 160 from the back.
    expect(plan.between).toHaveLength(1);
    expect(plan.between[0]?.doors).toEqual([[80_000, 140_000]]);
    expect(plan.between[0]).toMatchObject({ x0: 300_000, x1: 300_000 + 2 * T });
    builtOf(room, T);
  });

  it('are refused with the reason: plans of their own, several storeys, a shop’s front between them', () => {
    const two = [one(300, 250, 300), one(200, 250, 300)] as const;
    const refused = (change: Partial<Shell>) => refusalOf(joined([two[0], { ...two[1], ...change }]), T);
    expect(refused({ storeys: 2 })).toMatchObject({ what: 'joined shells of one storey' });
    expect(
      refused({
        plan: 'own',
        points: [
          [0, 0],
          [9e5, 0],
          [9e5, 9e5],
        ],
      }),
    ).toMatchObject({ what: 'joined shells with square plans' });
    expect(refused({ walls: two[1].walls.with(3, newWall({ kind: 'shop' })) })).toMatchObject({
      what: 'joined shells without a shop’s front between them',
    });
  });

  it('whatever they are they close, and their mirror image is of the same boards', () => {
    const size = fc.integer({ min: 180, max: 420 });
    const shell = fc.record({
      width: size,
      depth: size,
      height: size,
      thick: fc.constantFrom(null, { doll: 9_600 }),
      beside: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(shell, { minLength: 2, maxLength: 4 }),
        fc.constantFrom('backs', 'fronts'),
        fc.integer({ min: 0, max: 8 }),
        (shells, level, gap) => {
          const room = joined(
            shells.map(({ width, depth, height, thick, beside }) =>
              one(width, depth, height, { thick: { wall: null, floor: thick, trim: null }, stands: beside ? 'beside' : 'on' }),
            ),
            { level, seams: mm(24) },
            shells.map(() => gap),
          );
          const area = (piece: Room): number =>
            builtOf(piece, [T, 3_000]).assembly.parts.reduce((sum, part) => sum + regionArea(part.region) * part.thickness, 0);
          expect(area(mirroredRoom(room)) / area(room)).toBeCloseTo(1, 6);
          expect(mirroredRoom(mirroredRoom(room))).toEqual(room);
        },
      ),
      { numRuns: 25, seed: 11 },
    );
  });

  it('a shell of a room is a room by itself, and is the same one again', () => {
    const room = joined([one(300, 250, 300), one(200, 210, 280)]);
    expect(asShell(asRoom(room, 1))).toEqual(room.shells[0]?.shell);
    expect(asRoom(room, 1).shells).toEqual([]);
  });
});

describe('boards that lift a floor', () => {
  /** By enumeration: the nearest sum from below of at most six boards, and the fewest boards that give it. */
  const enumerated = (needed: number, kinds: readonly number[]): { readonly sum: number; readonly count: number } => {
    let best = { sum: 0, count: 0 };
    const from = (at: number, sum: number, count: number): void => {
      if (sum > needed || count > 12) return;
      if (sum > best.sum || (sum === best.sum && count < best.count)) best = { sum, count };
      for (let kind = at; kind < kinds.length; kind += 1) from(kind, sum + (kinds[kind] as number), count + 1);
    };
    from(0, 0, 0);
    return best;
  };

  it('come as near as any can, with the fewest layers (compared with enumeration)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 30_000 }),
        fc.uniqueArray(
          fc.integer({ min: 25, max: 100 }).map((each) => each * 100),
          { minLength: 1, maxLength: 3 },
        ),
        (needed, kinds) => {
          const layers = packingFor(
            needed,
            kinds.map((each) => boardOf(each, `b${each}`)),
          );
          const sum = layers.reduce((total, { one: each }) => total + each, 0);
          expect({ sum, count: layers.length }).toEqual(enumerated(needed, kinds));
        },
      ),
      { numRuns: 300, seed: 3 },
    );
  });
});
