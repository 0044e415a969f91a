// µm, doll size. Whether what stands in a room stands free: of each other, of the walls; whether it opens, and whether one gets to it.
import { type Boxed, clashOf } from '../assembly/index.ts';
import { isInRing, type Point } from '../shape/index.ts';
import { movedBy, type Standing } from './place.ts';
import type { RoomSpace } from './space.ts';

/** What is wrong with how a room is arranged, by the ids of pieces. */
export type Judged = {
  /** Two pieces that share volume; the room's own shell is named by an empty text. */
  readonly clashes: readonly (readonly [string, string])[];
  /** Pieces that stand outside the clear plan. */
  readonly outside: readonly string[];
  /** Pieces that hang over nothing: above the floor, and no wall or thing holds them. */
  readonly floating: readonly string[];
  /** Doors and drawers that run into something in the room: whose, which part, and what stands there. */
  readonly stopped: readonly { readonly piece: string; readonly part: string; readonly by: string }[];
};

const clashMemory = new WeakMap<Boxed, WeakMap<Boxed, boolean>>();

/** Most pairs are told by the boxes round them, sooner than they would be remembered. */
const apart = ({ min, max }: Boxed['whole'], other: Boxed['whole']): boolean =>
  min[0] >= other.max[0] ||
  other.min[0] >= max[0] ||
  min[2] >= other.max[2] ||
  other.min[2] >= max[2] ||
  min[1] >= other.max[1] ||
  other.min[1] >= max[1];

/** Whether two things share volume; what was asked once is remembered as long as both stand where they do. */
const shares = (a: Boxed, b: Boxed): boolean => {
  if (apart(a.whole, b.whole)) return false;
  const known = clashMemory.get(a)?.get(b);
  if (known !== undefined) return known;
  const found = clashOf(a, b) !== undefined;
  const of = clashMemory.get(a) ?? new WeakMap<Boxed, boolean>();
  of.set(b, found);
  clashMemory.set(a, of);
  return found;
};

/** How near a thing must be to what holds it. Common practice, no source. */
const HELD = 1_500;

const grownBy = ({ min, max }: Boxed['whole'], by: number): Boxed['whole'] => ({
  min: [min[0] - by, min[1] - by, min[2] - by],
  max: [max[0] + by, max[1] + by, max[2] + by],
});

const near = (box: Boxed['whole'], { boxes }: Boxed): boolean =>
  boxes.some(({ min, max }) => ([0, 1, 2] as const).every((axis) => min[axis] <= box.max[axis] && max[axis] >= box.min[axis]));

const footprint = ({ body }: Standing, { corner }: RoomSpace): readonly Point[] => {
  const { min, max } = body.whole;
  return [
    [min[0] - corner[0], min[2] - corner[2]],
    [max[0] - corner[0], min[2] - corner[2]],
    [max[0] - corner[0], max[2] - corner[2]],
    [min[0] - corner[0], max[2] - corner[2]],
  ];
};

/** A hair within a point, towards the middle of its box, so that what stands against a wall is inside. */
const within = ([x, z]: Point, [mx, mz]: Point): Point => [x + Math.sign(mx - x) * 200, z + Math.sign(mz - z) * 200];

/** The shares of its way at which what moves is looked at. */
const WAY = [0.15, 0.4, 0.7, 1] as const;

type SweptMotion = { readonly part: string; readonly bodies: readonly Boxed[] };
const swept = new WeakMap<Standing, readonly SweptMotion[]>();

const sweptOf = (standing: Standing): readonly SweptMotion[] => {
  const known =
    swept.get(standing) ??
    standing.motions.map((motion) => ({ part: motion.door, bodies: WAY.map((share) => movedBy(standing, motion, share)) }));
  swept.set(standing, known);
  return known;
};

/** Judges an arrangement.
 *  Shape: room, things where they stand → what clashes, stands outside, hangs free, does not open. Moving one thing asks again only about the pairs
 *  that it is part of: the others are remembered. */
export const judgeLayout = (space: RoomSpace, standing: readonly Standing[]): Judged => {
  const clashes: [string, string][] = [];
  const stopped: { piece: string; part: string; by: string }[] = [];
  for (const [index, one] of standing.entries()) {
    if (shares(one.body, space.shell)) clashes.push([one.placed.piece, '']);
    for (const other of standing.slice(index + 1)) if (shares(one.body, other.body)) clashes.push([one.placed.piece, other.placed.piece]);
    for (const { part, bodies } of sweptOf(one)) {
      const by = standing.find((other) => other !== one && bodies.some((body) => shares(body, other.body)));
      const wall = !by && bodies.some((body) => shares(body, space.shell));
      if (by || wall) stopped.push({ piece: one.placed.piece, part, by: by?.placed.piece ?? '' });
    }
  }
  const outside = standing.filter((each) => {
    const corners = footprint(each, space);
    const middle: Point = [
      (corners[0] as Point)[0] / 2 + (corners[2] as Point)[0] / 2,
      (corners[0] as Point)[1] / 2 + (corners[2] as Point)[1] / 2,
    ];
    return corners.some((corner) => !isInRing(space.ring, ...within(corner, middle)));
  });
  const floating = standing.filter((each) => {
    if (each.placed.up <= 0) return false;
    const box = grownBy(each.body.whole, HELD);
    return !near(box, space.shell) && !standing.some((other) => other !== each && near(box, other.body));
  });
  return { clashes, outside: outside.map(pieceOf), floating: floating.map(pieceOf), stopped };
};

const pieceOf = ({ placed }: Standing): string => placed.piece;
