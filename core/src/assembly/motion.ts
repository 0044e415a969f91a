// µm, doll size. What turns or slides once the piece is built, and what stands in its way.
import { add, bounds, dot, type Ring, rectRing, scaled, type Vec3 } from '../shape/index.ts';
import { type Convex, convexOf, meets, turned, turnedBounds } from './convex.ts';
import type { Motion } from './moves.ts';
import { around, type Box, boxOf, type Part } from './part.ts';

/** A motion, by index, that is stopped by a part that stands, by id; a swing says after how many radians. */
export type Stopped = { readonly motion: number; readonly by: string; readonly after: number };

/** The room beyond its axis that a corner needs when a door turns about pins: √(a² + (t/2)²) − a, for a pin at distance a from the
 *  edge in the middle of the thickness t. Source: plane geometry (Pythagoras). */
export const pinClearance = (fromEdge: number, thickness: number): number => Math.hypot(fromEdge, thickness / 2) - fromEdge;

/** The room beyond its free edge that an inset door on a paper hinge needs: √(w² + t²) − w. */
export const edgeClearance = (width: number, thickness: number): number => Math.hypot(width, thickness) - width;

const STEPS = 30;

const cornersOf = ({ min, max }: Box): readonly Vec3[] =>
  [0, 1, 2, 3, 4, 5, 6, 7].map((bits): Vec3 => [(bits & 1 ? max : min)[0], (bits & 2 ? max : min)[1], (bits & 4 ? max : min)[2]]);

/** Angles to look at: an even fan, and those at which a corner of the group is farthest out to one side. */
const anglesOf = (motion: Motion & { kind: 'swing' }, solids: readonly Convex[]): readonly number[] => {
  const { at, along, angle } = motion;
  const even = Array.from({ length: STEPS }, (_, index) => (angle * (index + 1)) / STEPS);
  const [first, second] = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as const
  ).filter((axis) => dot(axis, along) === 0) as [Vec3, Vec3];
  if (!first || !second) return even;
  const farthest = solids.flatMap(({ bounds: box }) =>
    cornersOf(box).flatMap((point) => {
      const from = add(point, scaled(at, -1));
      const now = Math.atan2(dot(from, second), dot(from, first));
      const sense = dot(
        [
          first[1] * second[2] - first[2] * second[1],
          first[2] * second[0] - first[0] * second[2],
          first[0] * second[1] - first[1] * second[0],
        ],
        along,
      );
      return [0, 0.5, 1, 1.5].map((quarter) => {
        const turn = ((quarter * Math.PI - now) * sense) % (2 * Math.PI);
        const forward = angle > 0 ? (turn + 2 * Math.PI) % (2 * Math.PI) : ((turn - 2 * Math.PI) % (2 * Math.PI)) + 0;
        return forward;
      });
    }),
  );
  const within = farthest.filter(
    (turn) => Math.abs(turn) > 1e-6 && Math.abs(turn) < Math.abs(angle) && Math.sign(turn) === Math.sign(angle),
  );
  return [...new Set([...even, ...within].map((turn) => Math.round(turn * 1e6) / 1e6))].sort((a, b) => Math.abs(a) - Math.abs(b));
};

const boundsOf = (solids: readonly Convex[]): Box => around(solids.map(({ bounds }) => bounds));

const boxesMeet = (a: Box, b: Box): boolean =>
  a.min[0] < b.max[0] && b.min[0] < a.max[0] && a.min[1] < b.max[1] && b.min[1] < a.max[1] && a.min[2] < b.max[2] && b.min[2] < a.max[2];

/** What stands still; its convex solids are made when a box is near enough. */
type Standing = { readonly id: string; readonly bounds: Box; readonly solids: () => readonly Convex[] };

const standingOf = (part: Part, bounds: Box): Standing => {
  let made: readonly Convex[] | undefined;
  return {
    id: part.id,
    bounds,
    solids: () => {
      made ??= convexOf(part);
      return made;
    },
  };
};

const stopOfSwing = (
  motion: Motion & { kind: 'swing' },
  movers: readonly Convex[],
  others: readonly Standing[],
): Omit<Stopped, 'motion'> | undefined => {
  const angles = anglesOf(motion, movers);
  // What the whole turn never comes near is left out before anything is turned part by part.
  const group: Convex = { points: [], normals: [], edges: [], bounds: boundsOf(movers) };
  const sweep = around(angles.map((angle) => turnedBounds(group, motion.at, motion.along, angle)));
  const within = others.filter((other) => boxesMeet(sweep, other.bounds));
  if (within.length === 0) return undefined;
  for (const angle of angles) {
    for (const mover of movers) {
      const bounds = turnedBounds(mover, motion.at, motion.along, angle);
      const near = within.filter((other) => boxesMeet(bounds, other.bounds));
      if (near.length === 0) continue;
      const now = turned(mover, motion.at, motion.along, angle);
      const hit = near.find((other) => other.solids().some((stands) => boxesMeet(bounds, stands.bounds) && meets(now, stands)));
      if (hit) return { by: hit.id, after: Math.abs(angle) };
    }
  }
  return undefined;
};

const stopOfSlide = (
  motion: Motion & { kind: 'slide' },
  movers: readonly Convex[],
  others: readonly Standing[],
): Omit<Stopped, 'motion'> | undefined => {
  const { min, max } = boundsOf(movers);
  const reach = scaled(motion.along, motion.by);
  const swept: Box = {
    min: min.map((value, axis) => value + Math.min(0, reach[axis] as number)) as unknown as Vec3,
    max: max.map((value, axis) => value + Math.max(0, reach[axis] as number)) as unknown as Vec3,
  };
  const hit = others.find(
    (other) =>
      boxesMeet(swept, other.bounds) &&
      movers.some((solid) =>
        other.solids().some((stands) => boxesMeet(swept, stands.bounds) && meets(solid, stands, motion.along, motion.by)),
      ),
  );
  return hit && { by: hit.id, after: 0 };
};

const plainOutline = (outline: Ring): Ring => {
  if (outline.length <= 12) return outline;
  const { x0, y0, x1, y1 } = bounds(outline);
  return rectRing(x0, y0, x1, y1);
};

/** Every motion that something stops. A swing must be free of all that stands, other doors shut; what slides must be free of all but
 *  the doors, which are opened for it. Looks at thirty angles and at those where a corner stands farthest out. */
export const stoppedMotions = (
  parts: readonly Part[],
  motions: readonly Motion[],
  boxes: readonly Box[] = parts.map(boxOf),
): readonly Stopped[] => {
  if (motions.length === 0) return [];
  const swinging = new Set(motions.flatMap((motion) => (motion.kind === 'swing' ? motion.parts : [])));
  const standing = new Map(parts.map((part, index): [string, Standing] => [part.id, standingOf(part, boxes[index] as Box)]));
  const byId = new Map(parts.map((part) => [part.id, part]));
  return motions.flatMap((motion, index): readonly Stopped[] => {
    const mine = new Set([...motion.parts, ...(motion.kind === 'swing' ? motion.aside : [])]);
    // Nothing passes through a door's window: a mover counts without its holes, and a knob as its box.
    const movers = motion.parts.flatMap((id) => {
      const part = byId.get(id);
      return part ? convexOf({ ...part, region: { outline: plainOutline(part.region.outline), holes: [] } }) : [];
    });
    const others = [...standing.values()].filter(({ id }) => !mine.has(id) && !(motion.kind === 'slide' && swinging.has(id)));
    const stop = motion.kind === 'swing' ? stopOfSwing(motion, movers, others) : stopOfSlide(motion, movers, others);
    return stop ? [{ motion: index, ...stop }] : [];
  });
};
