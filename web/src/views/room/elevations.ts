// A wall as it is seen from inside, with what stands before it. µm at doll size.
import { boxOf, type Part } from '@parlor/core/assembly';
import type { Arranged } from '@parlor/core/set';
import type { Pose, Vec3 } from '@parlor/core/shape';

/** Space as someone sees it who looks at a side: x along it from its left end, y up from the floor, z towards the eye. */
const viewOf = ({ space }: Arranged, side: number): ((pose: Pose) => Pose) => {
  const { from, to } = space.sides[side] ?? { from: [0, 0], to: [1, 0] };
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const way = [(to[0] - from[0]) / length, (to[1] - from[1]) / length] as const;
  const [cx, cy, cz] = space.corner;
  const turn = ([x, y, z]: Vec3): Vec3 => [x * way[0] + z * way[1] + 0, y, z * way[0] - x * way[1] + 0];
  return ({ origin: [x, y, z], u, v }) => ({
    origin: turn([x - cx - from[0], y - cy, z - cz - from[1]]),
    u: turn(u),
    v: turn(v),
  });
};

const seenBy = (view: (pose: Pose) => Pose, parts: readonly Part[]): readonly Part[] =>
  parts.map((part) => ({ ...part, pose: view(part.pose) }));

/** What is seen of a side: the parts of its wall and of what lies on it, and each thing before it with how far in front of it that begins. */
export const elevationOf = (
  arranged: Arranged,
  side: number,
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
