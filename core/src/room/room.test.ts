import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Assembly, findInterference, type Part } from '../assembly/index.ts';
import { bodyOf, dollSchema } from '../doll/index.ts';
import { dollUm, UM } from '../measure/index.ts';
import { newWall, type Room } from '../piece/index.ts';
import { openKernel, solidOf } from '../piece/kernel.testing.ts';
import { built, mm, OPEN, preset, put, roomOf } from './arranged.testing.ts';
import {
  footprintOf,
  freePlace,
  goesInto,
  judgeLayout,
  type Placement,
  type RoomSpace,
  snapped,
  standAt,
  storedOf,
  wayThrough,
} from './index.ts';

const { space } = roomOf(500, 400);
const box = built(preset('box', { width: mm(100), height: mm(60), depth: mm(50) }));
const stand = (placed: Placement, assembly = box, where = space) => standAt(assembly, placed, where);

describe('where things stand', () => {
  it('the middle of the floor that they cover is where they were put, on the floor, however they are turned', () => {
    for (const turn of [0, 45, 90, 130, 180, 270]) {
      const { body } = stand(put('a', 200, 150, 0, turn));
      const middle = ([0, 2] as const).map((axis) => (body.whole.min[axis] + body.whole.max[axis]) / 2 - space.corner[axis]);
      expect(middle[0]).toBeCloseTo(200_000, -1);
      expect(middle[1]).toBeCloseTo(150_000, -1);
      expect(body.whole.min[1]).toBeCloseTo(space.corner[1], 3);
    }
  });

  it('a quarter turn changes width for depth exactly, and corners stay on whole micrometres', () => {
    const [one, turned] = [stand(put('a', 200.0005, 150)), stand(put('a', 200, 150, 0, 90))];
    const size = ({ body }: typeof one) => ([0, 2] as const).map((axis) => body.whole.max[axis] - body.whole.min[axis]);
    expect(size(turned)).toEqual([...size(one)].reverse());
    expect([...one.body.whole.min, ...turned.body.whole.min].every(Number.isInteger)).toBe(true);
  });

  it('turned to the left as seen from above: what looked towards the viewer looks to the right', () => {
    const chest = built(preset('chest'));
    const front = (turn: number) => {
      const parts = standAt(chest, put('a', 250, 200, 0, turn), space).body.parts;
      const [u, v] = [
        (parts.find(({ role }) => role === 'front') as Part).pose.u,
        (parts.find(({ role }) => role === 'front') as Part).pose.v,
      ];
      return [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]].map((value) => Math.round(value) + 0);
    };
    expect([front(0), front(90), front(270)]).toEqual([
      [0, 0, 1],
      [1, 0, 0],
      [-1, 0, 0],
    ]);
  });
});

describe('what runs into what', () => {
  it('things that stand against each other and against walls touch and do not clash; a hair further they do', () => {
    const near = [stand(put('a', 50, 25)), stand(put('b', 150, 25)), stand(put('c', 450, 25))];
    expect(judgeLayout(space, near)).toMatchObject({ clashes: [], outside: [] });
    expect(judgeLayout(space, [near[0] as never, stand(put('b', 149.9, 25))]).clashes).toEqual([['a', 'b']]);
    const wall = judgeLayout(space, [stand(put('a', 50, 24.5))]);
    expect(wall.clashes).toEqual([['a', '']]);
    expect(wall.outside).toEqual(['a']);
  });

  it('a rug under a bed is none, a lamp in a shelf is', () => {
    const bed = built(preset('platform-bed'));
    const rug = built(
      preset('shaped-pan', {
        outline: 'rectangle',
        width: mm(200),
        height: mm(120),
        layers: [{ ...(preset('cloud-sign') as never as { layers: object[] }).layers[0] }],
      }),
    );
    const under = [standAt(bed, put('bed', 250, 200, 4.8), space), standAt(rug, put('rug', 250, 200), space)];
    expect(judgeLayout(space, under).clashes).toEqual([]);
    const shelf = built(preset('bookcase'));
    const lamp = built(preset('table-lamp'));
    const [gapLow] = shelf.parts
      .filter(({ role }) => role === 'shelf')
      .map(({ pose }) => pose.origin[1])
      .sort((a, b) => a - b);
    const inGap = [
      standAt(shelf, put('shelf', 250, 60), space),
      standAt(lamp, put('lamp', 250, 60, (gapLow as number) / UM.mm - 20), space),
    ];
    expect(judgeLayout(space, inGap).clashes).toEqual([['shelf', 'lamp']]);
    // Before the shelf the same lamp stands free.
    expect(judgeLayout(space, [inGap[0] as never, standAt(lamp, put('lamp', 250, 200), space)]).clashes).toEqual([]);
  });

  it('a solid kernel agrees about turned things: they clash where their solids share volume', async () => {
    const kernel = await openKernel();
    const chair = built(preset('side-chair'));
    let [both, none] = [0, 0];
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 440 }), fc.integer({ min: 60, max: 340 }), fc.integer({ min: 0, max: 23 }), (x, z, turn) => {
        const [one, other] = [stand(put('a', 250, 200)), standAt(chair, put('b', x, z, 0, turn * 15), space)];
        const clash = judgeLayout(space, [one, other]).clashes.some(([a, b]) => a === 'a' && b === 'b');
        const solid = (parts: readonly Part[]) => kernel.Manifold.union(parts.map((part) => solidOf(kernel, part)));
        const shared = solid(one.body.parts).intersect(solid(other.body.parts)).volume();
        // Things put beside each other by hand only touch where they share less than a hair: 0.06 mm over all of a side.
        if (shared > 300) expect(clash).toBe(true);
        if (clash) expect(shared).toBeGreaterThan(0);
        if (shared > 1) both += 1;
        else none += 1;
      }),
      { numRuns: 60, seed: 7 },
    );
    expect(both).toBeGreaterThan(3);
    expect(none).toBeGreaterThan(10);
  }, 60_000);

  it('moving a thing never changes what is said about the others', () => {
    const still = [stand(put('a', 100, 60)), stand(put('b', 150, 90)), stand(put('c', 400, 300))];
    const before = judgeLayout(space, still).clashes;
    for (const x of [200, 300, 410]) {
      const now = judgeLayout(space, [...still, stand(put('d', x, 300))]).clashes.filter((pair) => !pair.includes('d'));
      expect(now).toEqual(before);
    }
    expect(before).toEqual([['a', 'b']]);
  });

  it('doors and drawers need their room: one that opens into a thing is named, one that opens free is not', () => {
    const chest = built(preset('running-chest'));
    const [alone, before] = [standAt(chest, put('chest', 250, 60), space), stand(put('box', 250, 130))];
    expect(judgeLayout(space, [alone]).stopped).toEqual([]);
    const stopped = judgeLayout(space, [alone, before]).stopped;
    expect(stopped).toEqual([['chest', 'box']]);
    const wardrobe = built(preset('wardrobe'));
    const hinge = judgeLayout(space, [standAt(wardrobe, put('wardrobe', 250, 60), space), stand(put('box', 250, 190, 0, 0))]);
    expect(hinge.stopped.some(([piece]) => piece === 'wardrobe')).toBe(true);
  });

  it('what hangs above the floor is held by a wall or stands on something', () => {
    expect(judgeLayout(space, [stand(put('a', 250, 200, 100))]).floating).toEqual(['a']);
    expect(judgeLayout(space, [stand(put('a', 250, 25, 100))]).floating).toEqual([]);
    expect(judgeLayout(space, [stand(put('a', 250, 200, 60)), stand(put('b', 250, 200))]).floating).toEqual([]);
  });

  it('the walls of the room are obstacles, what stands in a window’s sill is found', () => {
    const opening = {
      ...(preset('three-walls') as Room).walls[0]?.openings[0],
      from: mm(180),
      up: mm(140),
      width: mm(130),
      height: mm(120),
    };
    const sill = newWall({ openings: [opening] as never });
    const windowed = roomOf(500, 400, { walls: [sill, newWall(), OPEN, newWall()] });
    const tall = built(preset('bookcase'));
    const against = standAt(tall, put('tall', 250, 27), windowed.space);
    expect(judgeLayout(windowed.space, [against]).clashes).toEqual([['tall', '']]);
    expect(findInterference(windowed.assembly.parts)).toEqual([]);
  });
});

describe('the way through', () => {
  const body = bodyOf({ ...dollSchema.parse({}), height: dollUm(290 * UM.mm) });
  const fence = (gap: number) => {
    // Two boxes across the room with a gap between them, and something behind.
    const wide = (500 - gap) / 2;
    const wall = built(preset('box', { width: mm(wide), height: mm(200), depth: mm(30) }));
    return [
      standAt(wall, put('left', wide / 2, 250), space),
      standAt(wall, put('right', 500 - wide / 2, 250), space),
      stand(put('behind', 250, 40)),
    ];
  };

  it('leads through a gap as wide as her shoulders, and not through a narrower one', () => {
    const { shoulderBreadth } = body;
    const [enough, narrow] = [shoulderBreadth / UM.mm + 14, shoulderBreadth / UM.mm - 8];
    expect(wayThrough(space, fence(enough), body).unreached).toEqual([]);
    expect(wayThrough(space, fence(narrow), body).unreached).toEqual(['behind']);
  });

  it('steps over a rug, and is not stopped by what hangs over her head', () => {
    const flat = built(preset('box', { width: mm(490), height: mm(12), depth: mm(40) }));
    expect(wayThrough(space, [standAt(flat, put('rug', 250, 250), space), stand(put('behind', 250, 40))], body).unreached).toEqual([]);
    const high = built(preset('box', { width: mm(490), height: mm(40), depth: mm(40) }));
    expect(wayThrough(space, [standAt(high, put('high', 250, 250, 295), space), stand(put('behind', 250, 40))], body).unreached).toEqual(
      [],
    );
  });

  it('comes in by doors where walls close the room, and through the wall between two rooms only where there is one', () => {
    const door = {
      form: 'door',
      end: 'left',
      from: mm(40),
      up: mm(0),
      width: mm(130),
      height: mm(250),
      border: mm(12),
      corners: 'butted',
      barsUpright: 0,
      barsLying: 0,
      sill: mm(0),
      hinge: 'left',
      panelsAcross: 0,
      panelsUp: 1,
      glazed: false,
      play: 0,
      view: 0,
    };
    const shut = roomOf(500, 400, { walls: [newWall(), newWall(), newWall({ openings: [door] as never }), newWall()] });
    const seen = wayThrough(shut.space, [stand(put('behind', 250, 40), box, shut.space)], body);
    expect(seen.unreached).toEqual([]);
    expect(seen.reached.some(Boolean)).toBe(true);
    const cells = (openings: readonly object[]) =>
      roomOf(500, 400, {
        cells: 2,
        between: [newWall({ openings } as never)],
        walls: [newWall(), newWall(), newWall({ openings: [door] as never }), newWall()],
      });
    const thing = (where: RoomSpace) => stand(put('far', 60, 60), box, where);
    // The front wall's door is seen from inside: it leads into the right room.
    expect(wayThrough(cells([]).space, [thing(cells([]).space)], body).unreached).toEqual(['far']);
    const through = cells([{ ...door, from: mm(130) }]);
    expect(wayThrough(through.space, [thing(through.space)], body).unreached).toEqual([]);
  });
});

describe('snapping', () => {
  const others = [stand(put('a', 300, 200))];
  it('goes against a wall or a thing when it comes near, else onto the rule', () => {
    const extent = { half: [50_000, 25_000] as const, others, space };
    expect(snapped([52_000, 26_500], extent, 4_000, 1_000)).toEqual([50_000, 25_000]);
    expect(snapped([201_500, 300_400], extent, 4_000, 1_000)).toEqual([200_000, 300_000]);
    expect(snapped([123_456, 300_400], extent, 0, 1_000)).toEqual([123_000, 300_000]);
  });

  it('knows how large a footprint is when it is turned', () => {
    expect(footprintOf([100_000, 60_000, 50_000], 90)).toEqual([50_000, 100_000]);
    // Plane geometry: a rectangle at 45° is as wide as the sum of its sides over √2.
    expect(footprintOf([100_000, 0, 50_000], 45)[0]).toBeCloseTo(150_000 / Math.SQRT2, 0);
  });
});

describe('putting a room away', () => {
  it('a pinned one is its flat boards on one another, a glued one stays as large as it stands, a scored wall folds', () => {
    const pinned = roomOf(500, 400, { joined: 'pinned' });
    const flat = storedOf(pinned.room, pinned.assembly.parts);
    expect(flat).toMatchObject({ apart: true, boards: 4, width: 509_600, height: 4 * 4_800 });
    const glued = roomOf(500, 400);
    expect(storedOf(glued.room, glued.assembly.parts)).toEqual({
      apart: false,
      boards: 1,
      width: 509_600,
      depth: 404_800,
      height: 304_800,
    });
    const folding = roomOf(500, 400, { joined: 'taped', walls: [newWall({ fold: mm(250) as never }), newWall(), OPEN, newWall()] });
    const folded = storedOf(folding.room, folding.assembly.parts);
    expect(folded.height).toBe(5 * 4_800);
    expect(folded.width).toBe(509_600);
  });

  it('goes into a place, lying any way round, or does not', () => {
    const flat = { apart: true, boards: 4, width: 500, depth: 300, height: 20 };
    expect(goesInto(flat, [25, 310, 505])).toBe(true);
    expect(goesInto(flat, [505, 290, 25])).toBe(false);
  });
});

describe('what is put into a room', () => {
  const KEYS = ['wardrobe', 'bookcase', 'dining-table', 'side-chair', 'night-stand', 'square-stool', 'sofa', 'round-table'];

  it('goes one after the other along the walls, its back to them: nothing clashes, nothing stands outside or in a doorway', () => {
    const { space } = roomOf(900, 600, { skirting: mm(12) });
    let standing: readonly ReturnType<typeof standAt>[] = [];
    for (const key of KEYS) {
      const assembly = built(preset(key));
      standing = [...standing, standAt(assembly, freePlace(space, standing, assembly, key), space)];
    }
    expect(judgeLayout(space, standing)).toMatchObject({ clashes: [], outside: [] });
    // The first stands in the back left corner, against the skirting.
    const [first] = standing;
    expect([first?.placed.turn, (first?.body.whole.min[2] ?? 0) - space.corner[2]]).toEqual([0, space.skirting]);
    // Each wall has some of them.
    expect(new Set(standing.map(({ placed }) => placed.turn)).size).toBeGreaterThan(1);
  });

  it('keeps out of doorways and from before windows; what lies flat goes into the middle', () => {
    const { space } = roomOf(500, 400);
    const withDoor = {
      ...space,
      sides: space.sides.map((side, index) => (index === 0 ? { ...side, doors: [[0, 260_000] as const] } : side)),
    };
    const assembly = built(preset('night-stand'));
    const placed = freePlace(withDoor, [], assembly, 'n');
    expect(placed.x).toBeGreaterThan(260_000);
    const flat: Assembly = {
      ...assembly,
      parts: assembly.parts.slice(0, 1).map((part) => ({
        ...part,
        thickness: 1_000,
        region: {
          outline: [
            [0, 0],
            [90_000, 0],
            [90_000, 5_000],
            [0, 5_000],
          ],
          holes: [],
        },
        pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
      })),
    };
    expect(freePlace(space, [], flat, 'rug')).toMatchObject({ x: 250_000, z: 200_000 });
  });
});
