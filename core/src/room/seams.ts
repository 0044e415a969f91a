// µm, doll size. Where the boards of a wall meet, as it is seen from inside, and what hides it: strips on the wall, and what stands or hangs before it.
import { type Box, boxOf, type Part, upperOf } from '../assembly/index.ts';
import { lessStretch, type Stretch } from '../kit/index.ts';
import { isOfOpening } from '../piece/index.ts';
import { normalOf, type Point, toSpace } from '../shape/index.ts';
import { elevationOf, type SeenFromRoom, seenAt, seenBy, viewOf } from './elevation.ts';
import type { StandingThing } from './place.ts';
import { lengthOf, type RoomSide, type RoomSpace } from './space.ts';

/** A joint of two boards that can be seen from inside: on which side, whether it stands or lies, where, from where to where, and what of that is not
 *  hidden. A joint that stands is so far along the side and runs up; one that lies is so far up and runs along. */
export type WallJoint = {
  readonly side: number;
  readonly stands: boolean;
  readonly at: number;
  readonly from: number;
  readonly to: number;
  readonly open: readonly Stretch[];
  /** How much of it is in sight. */
  readonly seen: number;
  /** Things that stand or hang before it, by the pieces' ids. */
  readonly behind: readonly string[];
};

/** Edges nearer to each other than this are one joint. */
const ONE = 3;
/** Joints shorter than this are none, nor is what is left of one between what hides it. */
const SHORT = 2_000;
/** What begins nearer to the wall than this hides what is behind it. Common practice, no source. */
const BEFORE = 60_000;
/** What lies over a joint must reach beyond it on both sides by this. */
const OVER = 300;

type Edge = {
  readonly part: number;
  readonly stands: boolean;
  readonly at: number;
  readonly from: number;
  readonly to: number;
  readonly after: boolean;
};

/** Where two boards meet. */
type Joint = Omit<Edge, 'part' | 'after'>;

/** The straight edges of a board that lie or stand, with the side on which its stuff is. */
const edgesOf = (part: Part, number: number): readonly Edge[] => {
  const ring = upperOf(part).outline.map((point): Point => {
    const [x, y] = toSpace(part.pose, point, part.thickness);
    return [x, y];
  });
  return ring.flatMap(([ax, ay], index): readonly Edge[] => {
    const [bx, by] = ring[(index + 1) % ring.length] as Point;
    // Rings run counter-clockwise as they are seen: the board lies on the left of its edge.
    if (Math.abs(ax - bx) <= ONE && Math.abs(ay - by) > SHORT)
      return [{ part: number, stands: true, at: (ax + bx) / 2, from: Math.min(ay, by), to: Math.max(ay, by), after: by < ay }];
    if (Math.abs(ay - by) <= ONE && Math.abs(ax - bx) > SHORT)
      return [{ part: number, stands: false, at: (ay + by) / 2, from: Math.min(ax, bx), to: Math.max(ax, bx), after: bx > ax }];
    return [];
  });
};

/** Joints at one place as one: their stretches together. */
const together = (joints: readonly Joint[]): readonly Joint[] => {
  const found: Joint[] = [];
  for (const joint of [...joints].sort((a, b) => Number(a.stands) - Number(b.stands) || a.at - b.at || a.from - b.from)) {
    const last = found.at(-1);
    if (last && last.stands === joint.stands && Math.abs(last.at - joint.at) <= ONE && joint.from <= last.to + ONE)
      found[found.length - 1] = { ...last, to: Math.max(last.to, joint.to) };
    else found.push(joint);
  }
  return found;
};

const jointsOf = (boards: readonly Part[]): readonly Joint[] => {
  const edges = boards.flatMap((part, number) => edgesOf(part, number)).sort((a, b) => a.at - b.at);
  return together(
    edges.flatMap((one, index) => {
      const met: Joint[] = [];
      for (let next = index + 1; next < edges.length && (edges[next] as Edge).at - one.at <= ONE; next += 1) {
        const other = edges[next] as Edge;
        const [from, to] = [Math.max(one.from, other.from), Math.min(one.to, other.to)];
        if (other.stands === one.stands && other.part !== one.part && other.after !== one.after && to - from > SHORT)
          met.push({ stands: one.stands, at: one.at, from, to });
      }
      return met;
    }),
  );
};

/** What in front of the wall covers of a joint: where something reaches over it, or two things that meet there do from either side. */
const coveredBy = ({ stands, at }: Joint, boxes: readonly Box[]): readonly Stretch[] => {
  const [over, along] = stands ? ([0, 1] as const) : ([1, 0] as const);
  const near = boxes.filter(({ min, max }) => min[over] < at + OVER && max[over] > at - OVER);
  const left = near.filter(({ min, max }) => min[over] <= at - OVER && max[over] >= at - ONE);
  const right = near.filter(({ min, max }) => min[over] <= at + ONE && max[over] >= at + OVER);
  return left.flatMap((one) =>
    right.flatMap((other): readonly Stretch[] => {
      const [from, to] = [Math.max(one.min[along], other.min[along]), Math.min(one.max[along], other.max[along])];
      return to > from ? [[from, to]] : [];
    }),
  );
};

/** A joint of a side's boards before anything stands there: what strips on the wall leave of it. */
type Bare = Joint & { readonly side: number; readonly bare: readonly Stretch[] };

/** The boards of a side whose faces look into the room. */
const facing = (wall: readonly Part[], face: number): readonly Part[] =>
  wall.filter((part) => {
    const far = Math.max(...upperOf(part).outline.map((point) => toSpace(part.pose, point, part.thickness)[2]));
    // Glazing bars that are flush with the wall are no boards of it.
    return part.stuff === 'board' && !isOfOpening(part) && normalOf(part.pose)[2] > 0.999 && Math.abs(far - face) <= ONE;
  });

/** The parts whose faces are what is seen of a wall from inside, by their ids. */
export const shownOn = (space: RoomSpace, side: RoomSide): readonly string[] =>
  facing(elevationOf(space, [], side).wall, side.face).map(({ id }) => id);

const bareOn = (space: RoomSpace, number: number): readonly Bare[] => {
  const side = space.sides[number] as RoomSpace['sides'][number];
  const { wall } = elevationOf(space, [], side);
  const boards = facing(wall, side.face);
  const length = lengthOf(side);
  const view = viewOf(space, side);
  // Strips of the walls beside it hide its corners too.
  const before = seenBy(view, space.shell.parts)
    .map(boxOf)
    .filter(({ min, max }) => max[2] > side.face + ONE && min[2] > side.face - ONE && min[2] < side.face + BEFORE);
  return jointsOf(boards)
    .map((joint): Joint => ({ ...joint, from: Math.max(0, joint.from), to: Math.min(joint.stands ? Infinity : length, joint.to) }))
    .filter(({ stands, at, from, to }) => to - from > SHORT && (!stands || (at > ONE && at < length - ONE)))
    .map((joint): Bare => {
      const whole: readonly Stretch[] = [[joint.from, joint.to]];
      return {
        ...joint,
        side: number,
        bare: coveredBy(joint, before).reduce(lessStretch, whole),
      };
    });
};

const bareOf = new WeakMap<RoomSpace, readonly Bare[]>();

const changes = (whole: readonly Stretch[], [from, to]: Stretch): boolean => whole.some(([a, b]) => to > a && from < b);

/** The joints of a room's walls.
 *  Shape: space, things → every joint that a look at a wall from inside meets, by its side. The walls are asked once for as long as they stand. */
export const wallJointsOf = (space: RoomSpace, standing: readonly StandingThing[]): readonly WallJoint[] => {
  const joints = bareOf.get(space) ?? space.sides.flatMap(({ walled }, number) => (walled ? bareOn(space, number) : []));
  bareOf.set(space, joints);
  const thingsOf = new Map<number, SeenFromRoom['things']>();
  for (const { side } of joints) {
    if (thingsOf.has(side)) continue;
    const seen = space.sides[side] as RoomSpace['sides'][number];
    const near = standing.filter(
      ({ placed, size }) => seenAt(seen, [placed.x, placed.z])[1] < seen.face + BEFORE + Math.hypot(size[0], size[2]) / 2,
    );
    thingsOf.set(side, elevationOf(space, near, seen).things);
  }
  return joints.map(({ bare, ...joint }): WallJoint => {
    const { face } = space.sides[joint.side] as RoomSpace['sides'][number];
    const hiding = (thingsOf.get(joint.side) ?? []).map(({ piece, boxes }) => ({
      piece,
      over: coveredBy(
        joint,
        boxes.filter(({ min }) => min[2] < face + BEFORE),
      ),
    }));
    const open = hiding
      .flatMap(({ over }) => over)
      .reduce(lessStretch, bare)
      .filter(([from, to]) => to - from > SHORT);
    return {
      ...joint,
      open,
      seen: Math.round(open.reduce((sum, [from, to]) => sum + to - from, 0)),
      behind: hiding.filter(({ over }) => over.some((each) => changes(bare, each))).map(({ piece }) => piece),
    };
  });
};
