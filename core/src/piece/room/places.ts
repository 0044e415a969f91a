// µm, doll size. Where something may hang in a room: at its windows.
import type { Assembly } from '../../assembly/index.ts';
import { dollOf } from '../../measure/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import type { Means } from '../family/means.ts';
import type { PlaceAt } from '../family/placeAt.ts';
import { asRoom, type Room } from './room.ts';
import { floorCorner, roomPlan } from './roomPlan.ts';

/** Windows in the walls of a room, where their frames are seen from inside. */
export const roomPlaces = (piece: Room, assembly: Assembly, means: Means): readonly PlaceAt[] => {
  const plan = roomPlan(piece, means);
  const corner = floorCorner(piece, assembly, plan);
  if (!corner) return [];
  const [cx, cy, cz] = corner;
  return plan.sides.flatMap(({ name, from, to, face, openings }) =>
    openings.flatMap(({ shell, wall, index, x0, x1, y0, y1 }): readonly PlaceAt[] => {
      const opening = asRoom(piece, shell).walls[wall]?.openings[index];
      if (!opening || opening.form === 'door') return [];
      const border = opening.form === 'window' ? dollOf(opening.border, means.scale) : 0;
      const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
      const [wx, wz] = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
      const along = (x0 + x1) / 2;
      // The room lies to the right of who walks along a side from its left end: what hangs there looks that way.
      const middle: Vec3 = [cx + from[0] + wx * along - wz * face, cy + y1 + border, cz + from[1] + wz * along + wx * face];
      return [
        {
          at: `window ${shell}.${wall}.${index}`,
          label: `window ${index + 1} of the ${name}`,
          space: { kind: 'window', width: x1 - x0 + 2 * border, depth: y1 - y0 + 2 * border, thick: 0, above: y0 - border, round: false },
          middle,
          base: middle,
          turn: [wx, -wz],
        },
      ];
    }),
  );
};
