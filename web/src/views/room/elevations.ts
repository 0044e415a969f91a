// A wall as it is seen from inside, with what stands before it. µm at doll size.
import { boxOf, type Part } from '@parlor/core/assembly';
import { lengthOf, type RoomSide } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { movedPose, type Pose, turnUpright } from '@parlor/core/shape';

/** Space as someone sees it who looks at a side: x along it from its left end, y up from the floor, z towards the eye. */
const viewOf = ({ space }: Arranged, side: RoomSide): ((pose: Pose) => Pose) => {
  const length = lengthOf(side);
  const turn = turnUpright((side.to[0] - side.from[0]) / length, (side.to[1] - side.from[1]) / length);
  const [cx, cy, cz] = space.corner;
  return (pose) => movedPose(pose, turn, [cx + side.from[0], cy, cz + side.from[1]], [0, 0, 0]);
};

const seenBy = (view: (pose: Pose) => Pose, parts: readonly Part[]): readonly Part[] =>
  parts.map((part) => ({ ...part, pose: view(part.pose) }));

/** What is seen of a side: the parts of its wall and of what lies on it, and each thing before it with how far in front of it that begins. */
export const elevationOf = (
  arranged: Arranged,
  side: RoomSide,
): {
  readonly wall: readonly Part[];
  readonly things: readonly { readonly piece: string; readonly parts: readonly Part[]; readonly away: number }[];
} => {
  const view = viewOf(arranged, side);
  const shell = seenBy(view, arranged.space.shell.parts);
  // The wall and all that is fixed to it lies behind its clear side, or no further before it than a sill; floors are left out.
  const near = 40_000;
  const wall = shell.filter((part) => {
    const { min, max } = boxOf(part);
    return part.role !== 'bottom' && part.role !== 'top' && max[2] < near && max[2] - min[2] < near * 2;
  });
  const things = arranged.standing
    .map(({ placed, body }) => {
      const parts = seenBy(view, body.parts);
      return { piece: placed.piece, parts, away: Math.min(...parts.map((part) => boxOf(part).min[2])) };
    })
    .sort((a, b) => a.away - b.away);
  return { wall, things };
};
