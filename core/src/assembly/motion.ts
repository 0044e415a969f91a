// µm, doll size. What turns or slides once the piece is built, and what stands in its way.
import { AXES, mapVec, scaled, turnAbout, type Vec3 } from '../shape/index.ts';
import { boxTurned, type Convex, convexOf, meets, TOUCH, turned } from './convex.ts';
import type { Motion } from './moves.ts';
import { around, axisOf, type Box, type Boxed, boxOf, type Part, plainly } from './part.ts';

/** A motion, by index, that is stopped by a part that stands, by id; a swing says after how many radians. */
export type Stopped = { readonly motion: number; readonly by: string; readonly after: number };

/** The room beyond its axis that a corner needs when a door turns about pins: √(a² + (t/2)²) − a, for a pin at distance a from the
 *  edge in the middle of the thickness t. Source: plane geometry (Pythagoras). */
export const pinClearance = (fromEdge: number, thickness: number): number => Math.hypot(fromEdge, thickness / 2) - fromEdge;

/** The room beyond its free edge that an inset door on a paper hinge needs: √(w² + t²) − w. */
export const edgeClearance = (width: number, thickness: number): number => Math.hypot(width, thickness) - width;

const STEPS = 30;

/** The two axes across one of the three, right-handed: turning about it leads from the first to the second. */
const ACROSS: readonly (readonly [0 | 1 | 2, 0 | 1 | 2])[] = [
  [1, 2],
  [2, 0],
  [0, 1],
];

/** Angles to look at: an even fan, and those at which a corner of the group is farthest out to one side. */
const anglesOf = ({ at, along, angle }: Motion & { kind: 'swing' }, solids: readonly Convex[]): readonly number[] => {
  const angles = Array.from({ length: STEPS }, (_, index) => (angle * (index + 1)) / STEPS);
  const axis = axisOf(along);
  if (axis !== undefined) {
    const [first, second] = ACROSS[axis] as readonly [0 | 1 | 2, 0 | 1 | 2];
    // Counted from where the corner is, in the sense of the motion, to the next of the four sides.
    const sense = along[axis] * Math.sign(angle);
    const farthest = solids.flatMap(({ bounds: { min, max } }) =>
      [min[first], max[first]].flatMap((x) =>
        [min[second], max[second]].flatMap((y) => {
          const now = Math.atan2(y - at[second], x - at[first]) * sense;
          const next = Math.ceil((2 * now) / Math.PI + 1e-6) * (Math.PI / 2);
          return [0, 1, 2, 3].map((quarter) => next + (quarter * Math.PI) / 2 - now);
        }),
      ),
    );
    angles.push(...farthest.filter((turn) => turn > 1e-6 && turn < Math.abs(angle)).map((turn) => turn * Math.sign(angle)));
  }
  return [...new Set(angles.map((turn) => Math.round(turn * 1e6) / 1e6))].sort((a, b) => Math.abs(a) - Math.abs(b));
};

/** A box that a group never leaves while it swings: it is looked at in even steps, and between two of them no corner bulges out by more
 *  than r·(1 − cos(step ÷ 2)). */
const sweepOf = ({ at, along, angle }: Motion & { kind: 'swing' }, group: Box): Box => {
  const steps = Array.from({ length: STEPS + 1 }, (_, index) => boxTurned(turnAbout(at, along, (angle * index) / STEPS), group));
  const radius = Math.hypot(...AXES.map((axis) => Math.max(...[group.min, group.max].map((end) => Math.abs(end[axis] - at[axis])))));
  const bulge = radius * (1 - Math.cos(angle / STEPS / 2));
  const { min, max } = around(steps);
  return { min: mapVec(min, (value) => value - bulge), max: mapVec(max, (value) => value + bulge) };
};

/** Boxes that share less than what counts as touching hold no solids that meet. */
const boxesMeet = (a: Box, b: Box): boolean =>
  a.min[0] + TOUCH < b.max[0] &&
  b.min[0] + TOUCH < a.max[0] &&
  a.min[1] + TOUCH < b.max[1] &&
  b.min[1] + TOUCH < a.max[1] &&
  a.min[2] + TOUCH < b.max[2] &&
  b.min[2] + TOUCH < a.max[2];

/** What stands still; its convex solids are made when a box is near enough. */
type Standing = { readonly part: Part; readonly bounds: Box };

/** What moves together, and the box round it; its convex solids are made when something stands near enough. */
type Movers = { readonly bounds: Box; readonly parts: readonly Standing[] };

const stopOfSwing = (
  motion: Motion & { kind: 'swing' },
  { bounds: whole, parts }: Movers,
  others: readonly Standing[],
): Omit<Stopped, 'motion'> | undefined => {
  // What the whole turn never comes near is left out before anything is turned part by part.
  const sweep = sweepOf(motion, whole);
  const within = others.filter((other) => boxesMeet(sweep, other.bounds));
  if (within.length === 0) return undefined;
  // Nothing passes through a door's window: a mover counts without its holes, and a knob as its box.
  const movers = parts.flatMap(({ part }) => convexOf(plainly(part)));
  for (const angle of anglesOf(motion, movers)) {
    const turn = turnAbout(motion.at, motion.along, angle);
    for (const mover of movers) {
      const bounds = boxTurned(turn, mover.bounds);
      const near = within.filter((other) => boxesMeet(bounds, other.bounds));
      if (near.length === 0) continue;
      const now = turned(turn, mover);
      const hit = near.find((other) => convexOf(other.part).some((stands) => boxesMeet(bounds, stands.bounds) && meets(now, stands)));
      if (hit) return { by: hit.part.id, after: Math.abs(angle) };
    }
  }
  return undefined;
};

/** The box that a box takes up while it slides. */
const slidBy = ({ min, max }: Box, reach: Vec3): Box => ({
  min: mapVec(min, (value, axis) => value + Math.min(0, reach[axis])),
  max: mapVec(max, (value, axis) => value + Math.max(0, reach[axis])),
});

const stopOfSlide = (
  motion: Motion & { kind: 'slide' },
  { bounds, parts }: Movers,
  others: readonly Standing[],
): Omit<Stopped, 'motion'> | undefined => {
  const reach = scaled(motion.along, motion.by);
  const sweep = slidBy(bounds, reach);
  const near = others.filter((other) => boxesMeet(sweep, other.bounds));
  if (near.length === 0) return undefined;
  for (const { part, bounds: box } of parts) {
    const swept = slidBy(box, reach);
    const inWay = near.filter((other) => boxesMeet(swept, other.bounds));
    if (inWay.length === 0) continue;
    const solids = convexOf(plainly(part));
    const hit = inWay.find((other) =>
      solids.some((solid) =>
        convexOf(other.part).some((stands) => boxesMeet(swept, stands.bounds) && meets(solid, stands, motion.along, motion.by)),
      ),
    );
    if (hit) return { by: hit.part.id, after: 0 };
  }
  return undefined;
};

const moversOf = (moving: readonly Standing[]): Movers => ({ bounds: around(moving.map(({ bounds }) => bounds)), parts: moving });

const stopOf = (motion: Motion, movers: Movers, others: readonly Standing[]): Omit<Stopped, 'motion'> | undefined =>
  motion.kind === 'swing' ? stopOfSwing(motion, movers, others) : stopOfSlide(motion, movers, others);

const standingOf = ({ parts, boxes }: Boxed): readonly Standing[] => parts.map((part, index) => ({ part, bounds: boxes[index] as Box }));

/** Whether what turns or slides of one thing runs into another that stands by it. */
export const runsInto = (motion: Motion, mover: Boxed, other: Boxed): boolean => {
  const mine = new Set(motion.parts);
  const moving = standingOf(mover).filter(({ part }) => mine.has(part.id));
  return moving.length > 0 && stopOf(motion, moversOf(moving), standingOf(other)) !== undefined;
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
  const standing = parts.map((part, index): Standing => ({ part, bounds: boxes[index] as Box }));
  const byId = new Map(standing.map((each) => [each.part.id, each]));
  return motions.flatMap((motion, index): readonly Stopped[] => {
    const mine = new Set([...motion.parts, ...(motion.kind === 'swing' ? motion.aside : [])]);
    const moving = motion.parts.flatMap((id) => byId.get(id) ?? []);
    if (moving.length === 0) return [];
    const others = standing.filter(({ part: { id } }) => !mine.has(id) && !(motion.kind === 'slide' && swinging.has(id)));
    const stop = stopOf(motion, moversOf(moving), others);
    return stop ? [{ motion: index, ...stop }] : [];
  });
};
