import { describe, expect, it } from 'vitest';
import { boxOf, type Part } from '../../assembly/index.ts';
import { UM } from '../../measure/index.ts';
import { bounds, regionArea } from '../../shape/index.ts';
import { builtOf, decided, like, mm, partsOf, refusalOf, sides, span } from '../decided.testing.ts';
import { newOpening, newWall, type Piece, type Wall } from '../index.ts';

const INCH = 25.4;
const inches = (value: number) => mm(value * INCH);
const OPEN = newWall({ kind: 'open' });
const BARE = { skirting: mm(0), rail: null, cornice: mm(0), cornerStrips: mm(0) };

/** A room of plain walls: width, depth and clear height in mm, which sides are walled. */
const shell = (width: number, depth: number, height: number, over: Readonly<Record<string, unknown>> = {}): Piece =>
  decided('three-walls', {
    ...BARE,
    width: mm(width),
    depth: mm(depth),
    height: mm(height),
    walls: [newWall(), newWall(), OPEN, newWall()],
    ...over,
  });

const named = (parts: readonly Part[], name: string): Part => {
  const found = parts.find((part) => part.name === name);
  if (!found) throw new Error(`${name} is not among ${parts.map((part) => part.name).join(', ')}`);
  return found;
};

const sizeOf = (part: Part): readonly number[] => sides(part).map((um) => um / UM.mm);

describe('shells of rooms, as makers cut them (facts of the trade, common practice without source)', () => {
  it('back 35 × 25 cm, floor 35 × 20 cm: sides of 20 cm close only where they stand beside the back’s edges, else they lose one board', () => {
    const t = 5;
    const parts = partsOf(shell(350, 200, 250 + t, { hold: 'outside', corners: ['right', 'left', 'left', 'right'] }), t * UM.mm);
    expect(sizeOf(named(parts, 'floor'))).toEqual([350, 200]);
    expect(sizeOf(named(parts, 'back wall'))).toEqual([350, 250]);
    // The back runs over both: each side is one board shorter than the floor is deep.
    expect(sizeOf(named(parts, 'left wall'))).toEqual([200 - t, 250]);
    const over = partsOf(shell(350, 200, 250 + t, { hold: 'outside', corners: ['left', 'right', 'left', 'left'] }), t * UM.mm);
    expect(sizeOf(named(over, 'left wall'))).toEqual([200, 250]);
    expect(sizeOf(named(over, 'back wall'))).toEqual([350 - 2 * t, 250]);
  });

  it('an 18 × 24 in floor with three walls 20 in high stands beside its walls, and closes at the inch', () => {
    const t = 4.8;
    const { assembly } = builtOf(shell(24 * INCH, 18 * INCH, 20 * INCH, { stands: 'beside' }), t * UM.mm);
    const floor = named(assembly.parts, 'floor');
    expect(sizeOf(floor)).toEqual([24 * INCH, 18 * INCH].map((each) => expect.closeTo(each, 3)));
    expect(sizeOf(named(assembly.parts, 'back wall'))).toEqual([24 * INCH + 2 * t, 20 * INCH + t].map((each) => expect.closeTo(each, 3)));
    expect(sizeOf(named(assembly.parts, 'right wall'))[0]).toBeCloseTo(18 * INCH, 3);
    expect(span(floor, 1)[0]).toBe(0);
  });

  it('a 12 × 14 in floor with a wall scored 6 in from its edge, which opens there', () => {
    const walls = [newWall(), newWall({ fold: inches(6) as never }), OPEN, newWall()];
    const parts = partsOf(shell(12 * INCH, 14 * INCH, 13 * INCH, { walls }), 4_800);
    const wall = named(parts, 'right wall');
    expect(wall.scores).toHaveLength(1);
    const [[from, to]] = wall.scores as readonly [readonly [readonly [number, number], readonly [number, number]]];
    expect(from[0]).toBe(Math.round(6 * INCH * UM.mm));
    expect(to).toEqual([from[0], 13 * INCH * UM.mm]);
    expect(parts.filter(({ scores }) => scores)).toHaveLength(1);
    // Measured from the other end it lies where that says.
    const other = partsOf(
      shell(12 * INCH, 14 * INCH, 13 * INCH, { walls: walls.with(1, { ...(walls[1] as Wall), foldEnd: 'right' }) }),
      4_800,
    );
    expect(named(other, 'right wall').scores?.[0]?.[0]?.[0]).toBeCloseTo(8 * INCH * UM.mm, 0);
    expect(refusalOf(shell(300, 200, 250, { walls: walls.with(1, newWall({ fold: mm(400) as never })) }), 4_800)).toMatchObject({
      code: 'does-not-fit',
    });
  });

  it('a shopfront of 27 1/2 in overall with three pillars of 2 1/2 in: two bays of 10 in, facings as wide as the pillars, and all as deep as it was typed', () => {
    const front = newWall({ kind: 'shop', bays: 2, pillar: inches(2.5) as never, riser: inches(3) as never, lintel: inches(2) as never });
    const piece = shell(27.5 * INCH, 6 * INCH, 14 * INCH, {
      hold: 'outside',
      walls: [newWall(), newWall(), front, newWall()],
      corners: ['right', 'right', 'left', 'left'],
    });
    const { assembly } = builtOf(piece, 4_800);
    const wall = named(assembly.parts, 'front wall');
    const bays = wall.region.holes.map(bounds).sort((a, b) => a.x0 - b.x0);
    expect(bays.map(({ x0, x1 }) => (x1 - x0) / UM.mm)).toEqual([10 * INCH, 10 * INCH]);
    expect((bays[1]?.x0 ?? 0) - (bays[0]?.x1 ?? 0)).toBe(2.5 * INCH * UM.mm);
    const facings = like(assembly.parts, /^pillar facing$/);
    expect(facings.map((part) => sizeOf(part)[0])).toEqual([2.5 * INCH, 2.5 * INCH, 2.5 * INCH]);
    // Over all, facings included, nothing is wider or deeper than it was typed.
    const boxes = assembly.parts.map(boxOf);
    const over = (axis: 0 | 2): number => Math.max(...boxes.map(({ max }) => max[axis])) - Math.min(...boxes.map(({ min }) => min[axis]));
    expect([over(0), over(2)].map(Math.round)).toEqual([27.5, 6].map((each) => Math.round(each * INCH * UM.mm)));
    // Clear sheets lie behind the wall, seen from the street, larger than their bays by the glue margin on all sides.
    const [wallBox] = [boxOf(wall)];
    for (const pane of like(assembly.parts, /^clear sheet$/)) {
      expect(sizeOf(pane)[0]).toBeCloseTo(254 + 8, 3);
      expect(boxOf(pane).max[2]).toBeLessThanOrEqual(wallBox.min[2]);
    }
  });
});

describe('dividing a room', () => {
  it.each([2, 3, 4, 5])('%i ways gives equal clear widths, walls included, to the micrometre', (cells) => {
    for (const width of [600, 733.7, 1000.001]) {
      const parts = partsOf(shell(width, 300, 250, { cells, between: [] }), 4_800);
      const walls = like(parts, /^wall between$/)
        .map((part) => boxOf(part))
        .sort((a, b) => a.min[0] - b.min[0]);
      const floor = boxOf(named(parts, 'floor'));
      const edges = [floor.min[0] + 4_800, ...walls.flatMap(({ min, max }) => [min[0], max[0]]), floor.max[0] - 4_800];
      const clear = Array.from({ length: cells }, (_, index) => (edges[2 * index + 1] as number) - (edges[2 * index] as number));
      expect(walls).toHaveLength(cells - 1);
      expect(Math.max(...clear) - Math.min(...clear)).toBeLessThanOrEqual(1);
      expect(clear.reduce((sum, each) => sum + each, 0) + (cells - 1) * 4_800).toBe(Math.round(width * UM.mm));
    }
  });
});

describe('walls', () => {
  it('inside or outside: what is held is exactly as stated', () => {
    const inside = builtOf(shell(400, 300, 250), 4_800).assembly;
    expect(inside.clear.max.map((value, axis) => value - (inside.clear.min[axis] as number))).toEqual([400_000, 250_000, 300_000]);
    const outside = builtOf(shell(400, 300, 250, { hold: 'outside' }), 4_800).assembly;
    expect(outside.outside.max).toEqual([400_000, 250_000, 300_000]);
  });

  it('meet by the corner’s rule: one runs over, the other, or neither; their boards together are the same', () => {
    const area = (corner: string): number => {
      const parts = partsOf(shell(400, 300, 250, { corners: [corner, corner, corner, corner] }), 4_800);
      return like(parts, / wall$/).reduce((sum, part) => sum + (regionArea(part.region) + regionArea(part.upper ?? part.region)) / 2, 0);
    };
    const [left, right, mitred] = ['left', 'right', 'mitred'].map(area) as [number, number, number];
    expect(left).toBe(right);
    expect(mitred).toBeCloseTo(left, -3);
    const parts = partsOf(shell(400, 300, 250, { corners: ['mitred', 'mitred', 'left', 'left'] }), 4_800);
    const back = named(parts, 'back wall');
    // Plane geometry: at 45° the outer face is longer by one thickness at each end.
    expect(bounds(back.region.outline)).toMatchObject({ x0: -4_800, x1: 404_800 });
    expect(bounds((back.upper ?? back.region).outline)).toMatchObject({ x0: 0, x1: 400_000 });
  });

  it('of a plan of its own stand on every side of it: a bay of slanted walls, an L whose inner corner stands into the room', () => {
    const bay = partsOf(decided('bay-room', { ...BARE }), 4_800);
    expect(like(bay, /^wall \d/).length).toBe(7);
    // Regular corners are mitred whatever the rule: a turn of φ makes the outer face longer by t·tan(φ/2) at each end (plane geometry).
    const slanted = named(bay, 'wall 3');
    const turn = Math.atan2(600, 400);
    const longer = bounds(slanted.region.outline).x1 - bounds((slanted.upper ?? slanted.region).outline).x1;
    expect(longer).toBeCloseTo(4_800 * Math.tan(turn / 2), -1);
    expect(like(partsOf(decided('l-room'), 4_800), /^wall \d/)).toHaveLength(4);
    expect(
      refusalOf(
        decided('l-room', {
          points: [
            [0, 0],
            [3e6, 2e6],
            [3e6, 0],
            [0, 2e6],
          ],
        }),
        4_800,
      ),
    ).toMatchObject({ what: 'a plan whose walls do not cross' });
  });

  it('a second wall leaves its cavity free between two spacers, and what is in the wall goes through both', () => {
    const walls = [
      newWall({
        cavity: 25_000 as never,
        openings: [
          { ...newOpening('window'), from: mm(120), up: mm(90), width: mm(120), height: mm(90), border: mm(12), bar: mm(4) } as never,
        ],
      }),
      newWall(),
      OPEN,
      newWall(),
    ];
    const parts = partsOf(shell(400, 300, 250, { walls }), 4_800);
    const [back, second] = [named(parts, 'back wall'), named(parts, 'back wall, second')];
    expect(span(second, 2)[0] - span(back, 2)[1]).toBeCloseTo(25, 6);
    expect(like(parts, /^spacer$/)).toHaveLength(2);
    expect([back.region.holes.length, second.region.holes.length]).toEqual([1, 1]);
    const liner = parts.find(({ id }) => id.endsWith('liner-left')) as Part;
    expect(span(liner, 2)[1] - span(liner, 2)[0]).toBeCloseTo(4.8 + 25 + 4.8, 6);
  });
});

describe('what is in walls', () => {
  const withOpening = (form: Parameters<typeof newOpening>[0], over: object): readonly Part[] =>
    partsOf(
      shell(500, 300, 300, { walls: [newWall({ openings: [{ ...newOpening(form), ...over } as never] }), newWall(), OPEN, newWall()] }),
      4_800,
    );
  const at = { from: mm(150), up: mm(90), width: mm(120), height: mm(100), border: mm(12) };

  it('a window’s opening is exactly as stated, its frame on both sides, its clear sheet under the strips', () => {
    const parts = withOpening('window', at);
    const [hole] = named(parts, 'back wall').region.holes;
    expect(bounds(hole ?? [])).toEqual({ x0: 150_000, x1: 270_000, y0: 90_000, y1: 190_000 });
    expect(like(parts, /^frame strip$/).length).toBeGreaterThanOrEqual(7);
    expect(sizeOf(named(parts, 'clear sheet'))).toEqual([128, 108]);
    // The sill is inside the room.
    expect(span(named(parts, 'sill'), 2)[1]).toBeGreaterThan(span(named(parts, 'back wall'), 2)[1] + 5);
  });

  it('measured from its other end it is the mirror image', () => {
    const [hole] = named(withOpening('plain', { ...at, end: 'right' }), 'back wall').region.holes;
    expect(bounds(hole ?? [])).toMatchObject({ x0: 500_000 - 270_000, x1: 500_000 - 150_000 });
  });

  it('a door is cut from the wall’s lower edge and its leaf opens into the room', () => {
    const parts = withOpening('door', { ...at, height: mm(220) });
    const wall = named(parts, 'back wall');
    expect(wall.region.holes).toEqual([]);
    expect(wall.region.outline).toHaveLength(8);
    expect(span(named(parts, 'leaf'), 2)[1]).toBeCloseTo(span(wall, 2)[1], 6);
  });

  it('an arch, a round window and a unit that was bought: true curves, frames cut in one, play round what was bought', () => {
    const arch = named(withOpening('arch', { ...at, up: mm(0), height: mm(180) }), 'back wall');
    // Area: a rectangle and half a circle (plane geometry), the half circle flattened to a hundredth of a millimetre.
    const whole = 500 * 300 + 2 * 4.8 * 300;
    expect(regionArea(arch.region) / 1e6).toBeCloseTo(whole - (120 * 120 + (Math.PI * 60 ** 2) / 2), -1);
    const round = withOpening('round', at);
    const [hole] = named(round, 'back wall').region.holes;
    expect((hole ?? []).length).toBeGreaterThan(24);
    expect(like(round, /^frame$/)).toHaveLength(2);
    expect(like(round, /^clear sheet$/)).toHaveLength(1);
    const [cut] = named(withOpening('bought', { ...at, play: 500 }), 'back wall').region.holes;
    expect(bounds(cut ?? [])).toMatchObject({ x0: 150_000, x1: 271_000, y0: 90_000, y1: 191_000 });
  });

  it('is refused where it does not go, by name and number', () => {
    const refused = (form: 'window' | 'door', over: object) =>
      refusalOf(
        shell(500, 300, 300, {
          walls: [newWall({ openings: [{ ...newOpening(form), ...at, ...over } as never] }), newWall(), OPEN, newWall()],
        }),
        4_800,
      );
    expect(refused('window', { from: mm(4) })).toMatchObject({ what: 'a window from the wall’s end' });
    expect(refused('window', { up: mm(195) })).toMatchObject({ what: 'a window under the wall’s upper edge' });
    expect(refused('door', { from: mm(380) })).toMatchObject({ what: 'a door in the wall’s length' });
    const two = [newOpening('plain'), newOpening('plain')].map((each, index) => ({ ...each, ...at, from: mm(100 + index * 100) })) as never;
    expect(refusalOf(shell(500, 300, 300, { walls: [newWall({ openings: two }), newWall(), OPEN, newWall()] }), 4_800)).toMatchObject({
      what: 'openings beside each other',
    });
  });

  it('lamps are let into the wall that is seen: before a cavity into the second one, for their battery stands between', () => {
    const lights = { end: 'left', from: mm(100), up: mm(250), count: 2, apart: mm(110), across: 5_000 };
    const walls = [newWall({ lights, cavity: 25_000 } as never), newWall(), OPEN, newWall()];
    const parts = partsOf(shell(500, 300, 300, { walls }), 4_800);
    expect(named(parts, 'back wall').region.holes).toHaveLength(0);
    expect(named(parts, 'back wall, second').region.holes).toHaveLength(2);
  });

  it('lamps in a row have holes of their own, evenly apart, clear of everything else', () => {
    const lights = { end: 'left', from: mm(60), up: mm(250), count: 4, apart: mm(110), across: 5_000 };
    const wall = named(
      partsOf(shell(500, 300, 300, { walls: [newWall({ lights } as never), newWall(), OPEN, newWall()] }), 4_800),
      'back wall',
    );
    const middles = wall.region.holes
      .map(bounds)
      .map(({ x0, x1 }) => (x0 + x1) / 2)
      .sort((a, b) => a - b);
    expect(middles).toEqual([60_000, 170_000, 280_000, 390_000]);
    const wide = { ...lights, apart: mm(200) };
    expect(
      refusalOf(shell(500, 300, 300, { walls: [newWall({ lights: wide } as never), newWall(), OPEN, newWall()] }), 4_800),
    ).toMatchObject({ what: 'the lamps in the wall’s length' });
  });
});

describe('strips round a room', () => {
  // Fact of the trade (common practice without source): baseboards 1/2 in high round the room, cut to each wall's inside length.
  it('baseboards of 1/2 in are as long as each wall is inside, less a board where they meet, and stop at doors', () => {
    const t = 4.8;
    const strips = (over: object) => like(partsOf(shell(400, 300, 250, { skirting: inches(0.5), ...over }), t * UM.mm), /^skirting$/);
    const lengths = strips({})
      .map((part) => sizeOf(part)[0] as number)
      .sort((a, b) => a - b);
    expect(lengths).toEqual([300 - t, 300, 400 - t].map((each) => expect.closeTo(each, 6)).sort());
    expect(strips({}).every((part) => sizeOf(part)[1] === 12.7)).toBe(true);
    const mitred = strips({ trims: 'mitred' });
    // Long points meet in the corners: the hidden face of each is as long as its wall.
    expect(mitred.map((part) => sizeOf(part)[0]).sort()).toEqual([300, 300, 400]);
    const door = newWall({
      openings: [{ ...newOpening('door'), from: mm(100), width: mm(120), height: mm(200), border: mm(12) } as never],
    });
    const cut = strips({ walls: [door, newWall(), OPEN, newWall()] }).filter(({ id }) => id.includes('back'));
    expect(cut.map((part) => sizeOf(part)[0] as number).sort((a, b) => a - b)).toEqual(
      [100 - 12 - t, 400 - 220 - 12].map((each) => expect.closeTo(each, 6)),
    );
  });

  it('rails and cornices run over windows or stop at them, corner strips stand between skirting and cornice', () => {
    const parts = partsOf(decided('box-room', { cornerStrips: mm(12) }), 4_800);
    expect(like(parts, /^cornice$/).length).toBeGreaterThanOrEqual(3);
    expect(like(parts, /^rail$/).length).toBeGreaterThanOrEqual(3);
    const strips = like(parts, /^corner strip$/);
    expect(strips).toHaveLength(4);
    const [skirting] = like(parts, /^skirting$/);
    expect(strips.every((part) => span(part, 1)[0] >= span(skirting as Part, 1)[1] - 1e-6)).toBe(true);
  });
});
