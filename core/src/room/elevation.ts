// µm, doll size. A wall as it is seen from inside: x along it from its left end, y up from the floor, z towards the eye.
import { type Box, type Boxed, boxOf, type Part } from '../assembly/index.ts';
import { movedPose, type Pose, turnUpright } from '../shape/index.ts';
import type { StandingThing } from './place.ts';
import { lengthOf, type RoomSide, type RoomSpace } from './space.ts';

/** Space as someone sees it who looks at a side. */
export const viewOf = ({ corner: [cx, cy, cz] }: RoomSpace, side: RoomSide): ((pose: Pose) => Pose) => {
  const length = lengthOf(side);
  const turn = turnUpright((side.to[0] - side.from[0]) / length, (side.to[1] - side.from[1]) / length);
  return (pose) => movedPose(pose, turn, [cx + side.from[0], cy, cz + side.from[1]], [0, 0, 0]);
};

/** Where something on the floor lies as it is seen: along the side, and how far in front of it. */
export const seenAt = (side: RoomSide, [x, z]: readonly [number, number]): readonly [along: number, away: number] => {
  const length = lengthOf(side);
  const [wx, wz] = [(side.to[0] - side.from[0]) / length, (side.to[1] - side.from[1]) / length];
  const [dx, dz] = [x - side.from[0], z - side.from[1]];
  return [dx * wx + dz * wz, dz * wx - dx * wz];
};

/** The place on the floor that lies so far along a side, and so far in front of it. */
export const placeAt = (side: RoomSide, along: number, away: number): readonly [x: number, z: number] => {
  const length = lengthOf(side);
  const [wx, wz] = [(side.to[0] - side.from[0]) / length, (side.to[1] - side.from[1]) / length];
  return [side.from[0] + wx * along - wz * away, side.from[1] + wz * along + wx * away];
};

export const seenBy = (view: (pose: Pose) => Pose, parts: readonly Part[]): readonly Part[] =>
  parts.map((part) => ({ ...part, pose: view(part.pose) }));

/** What of a thing is seen, and how far in front of the side it begins. */
export type SeenThing = { readonly piece: string; readonly parts: readonly Part[]; readonly boxes: readonly Box[]; readonly away: number };

export type SeenFromRoom = { readonly wall: readonly Part[]; readonly things: readonly SeenThing[] };

/** The wall and all that is fixed to it lies behind its clear side, or no further before it than a sill. */
const NEAR = 40_000;

/** A thing that stands somewhere, or one that lies or hangs on another. */
type Seen = Pick<StandingThing, 'placed' | 'body'> | { readonly piece: string; readonly body: Boxed };

/** What is seen of a side.
 *  Shape: space, things, side → the parts of its wall and of what lies on it without floors and ceilings, and each thing with how far in front it begins,
 *  the nearest to the wall first. */
export const elevationOf = (space: RoomSpace, standing: readonly Seen[], side: RoomSide): SeenFromRoom => {
  const view = viewOf(space, side);
  const wall = seenBy(view, space.shell.parts).filter((part) => {
    if (part.role === 'bottom' || part.role === 'top') return false;
    const { min, max } = boxOf(part);
    return max[2] < NEAR && max[2] - min[2] < NEAR * 2;
  });
  const things = standing
    .map((each): SeenThing => {
      const parts = seenBy(view, each.body.parts);
      const boxes = parts.map(boxOf);
      return { piece: 'placed' in each ? each.placed.piece : each.piece, parts, boxes, away: Math.min(...boxes.map(({ min }) => min[2])) };
    })
    .sort((a, b) => a.away - b.away);
  return { wall, things };
};
