// µm, doll size. Folding a net: each face turns down along the line on which it hangs, with all that hangs on it.
import { add, directionTurned, minus, type Point, type Pose, scaled, toSpace, turnAbout, type Vec3 } from '../shape/index.ts';
import type { Net, NetHinge, NetRing, NetTab } from './net.ts';

/** What hangs on a pose along a line of it, turned down by an angle. */
const hung = (pose: Pose, from: Point, to: Point, angle: number): Pose => {
  const hinge = toSpace(pose, from);
  const way = minus(toSpace(pose, to), hinge);
  const axis = scaled(way, 1 / Math.hypot(...way));
  const about = turnAbout(hinge, axis, angle);
  const turn = (vector: Vec3): Vec3 => directionTurned(about, vector);
  return { origin: add(hinge, turn(minus(pose.origin, hinge))), u: turn(pose.u), v: turn(pose.v) };
};

const FLAT: Pose = { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] };

/** When each hinge is folded, counted from nought: those with one number at once, the others each by itself. */
export const stepsOf = (hinges: readonly NetHinge[]): readonly number[] => {
  const numbers = hinges.map(({ step }, index) => step ?? 1000 + index);
  const sorted = [...new Set(numbers)].sort((a, b) => a - b);
  return numbers.map((number) => sorted.indexOf(number));
};

/** Where the faces of a net lie when it is folded by a share of all its angles: 0 is flat, 1 is done. Faces are folded one after the other as one
 *  would, or all at once. What is printed looks along u × v.
 *  Shape: net, share → a pose for each face. */
export const foldedNet = ({ faces, hinges }: Net, share: number, oneByOne = false): readonly Pose[] => {
  const poses: Pose[] = faces.map(() => FLAT);
  const steps = stepsOf(hinges);
  const count = Math.max(0, ...steps) + 1;
  hinges.forEach(({ parent, child, from, to, angle }, index) => {
    const own = oneByOne ? Math.max(0, Math.min(1, share * count - (steps[index] as number))) : share;
    poses[child] = hung(poses[parent] as Pose, from, to, angle * own);
  });
  return poses;
};

/** Where a tab lies when its face stands and it is folded in against the face that it is glued to. */
export const foldedTab = (tab: NetTab, poses: readonly Pose[], share = 1): Pose =>
  hung(poses[tab.on.face] as Pose, tab.on.from, tab.on.to, tab.angle * share);

/** A ring of the net in space. */
export const inSpaceOf = (pose: Pose, ring: NetRing): readonly Vec3[] => ring.map((point) => toSpace(pose, point));
