// µm, doll size. Whether what stands in a room stands free: of each other, of the walls; whether it opens, and whether one gets to it.
import { type Box, type Boxed, boxesOverlap, clashOf, runsInto } from '../assembly/index.ts';
import { AXES, isInRing, type Point } from '../shape/index.ts';
import type { StandingThing } from './place.ts';
import type { RoomSpace } from './space.ts';

/** What is wrong with how a room is arranged, by the ids of pieces. */
export type JudgedRoom = {
  /** Two pieces that share volume; the room's own shell is named by an empty text. */
  readonly clashes: readonly (readonly [string, string])[];
  /** Pieces that stand outside the clear plan. */
  readonly outside: readonly string[];
  /** Pieces that hang over nothing: above the floor, and no wall or thing holds them. */
  readonly floating: readonly string[];
  /** Things of which something opens into another, or into the room's shell: whose, and what stands there. */
  readonly stopped: readonly (readonly [string, string])[];
};

const grownBy = ({ min, max }: Box, by: number): Box => ({
  min: [min[0] - by, min[1] - by, min[2] - by],
  max: [max[0] + by, max[1] + by, max[2] + by],
});

/** Answers about pairs, remembered as long as both are the very same things. */
const remembered = <A extends object>(ask: (a: A, b: Boxed) => boolean): ((a: A, b: Boxed) => boolean) => {
  const memory = new WeakMap<A, WeakMap<Boxed, boolean>>();
  return (a, b) => {
    const of = memory.get(a) ?? new WeakMap<Boxed, boolean>();
    memory.set(a, of);
    const found = of.get(b) ?? ask(a, b);
    of.set(b, found);
    return found;
  };
};

const clashes = remembered<Boxed>((a, b) => clashOf(a, b) !== undefined);

/** Whether two things share volume. Most pairs are told by the boxes round them, sooner than they would be remembered. */
export const shares = (a: Boxed, b: Boxed): boolean => boxesOverlap(a.whole, b.whole) && clashes(a, b);

const opens = remembered<StandingThing>(({ motions, body }, other) => motions.some((motion) => runsInto(motion, body, other)));

/** Whether something of a thing opens into another. What opens reaches no further than the thing is large. */
const opensInto = (one: StandingThing, other: Boxed): boolean => {
  const { min, max } = one.body.whole;
  const reach = Math.hypot(...AXES.map((axis) => max[axis] - min[axis]));
  return boxesOverlap(grownBy(one.body.whole, reach), other.whole) && opens(one, other);
};

/** How near a thing must be to what holds it. Common practice, no source. */
const HELD = 1_500;

const near = (box: Box, { boxes }: Boxed): boolean => boxes.some((other) => boxesOverlap(grownBy(box, HELD), other));

const footprint = ({ body }: StandingThing, { corner }: RoomSpace): readonly Point[] => {
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

/** Judges an arrangement.
 *  Shape: room, things where they stand → what clashes, stands outside, hangs free, does not open. Moving one thing asks again only about the pairs
 *  that it is part of: the others are remembered. */
export const judgeLayout = (space: RoomSpace, standing: readonly StandingThing[]): JudgedRoom => {
  const pairs = standing.flatMap((one, index) => [
    ...(shares(one.body, space.shell) ? [[one.placed.piece, ''] as const] : []),
    ...standing
      .slice(index + 1)
      .flatMap((other) => (shares(one.body, other.body) ? [[one.placed.piece, other.placed.piece] as const] : [])),
  ]);
  const stopped = standing.flatMap((one) => {
    if (one.motions.length === 0) return [];
    const by = standing.filter((other) => other !== one && opensInto(one, other.body)).map(pieceOf);
    return [...by, ...(opensInto(one, space.shell) ? [''] : [])].map((each) => [one.placed.piece, each] as const);
  });
  const outside = standing.filter((each) => {
    const corners = footprint(each, space);
    const [[x0, z0], [x1, z1]] = [corners[0] as Point, corners[2] as Point];
    return corners.some((corner) => !isInRing(space.ring, ...within(corner, [(x0 + x1) / 2, (z0 + z1) / 2])));
  });
  const floating = standing.filter(
    ({ placed, body }) =>
      placed.up > 0 && !near(body.whole, space.shell) && !standing.some((other) => other.placed !== placed && near(body.whole, other.body)),
  );
  return { clashes: pairs, outside: outside.map(pieceOf), floating: floating.map(pieceOf), stopped };
};

const pieceOf = ({ placed }: StandingThing): string => placed.piece;
