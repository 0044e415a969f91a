// µm, doll size. Shells that are joined: where each stands, how far its floor is lifted to be level, and how far it falls short of the others.

import type { Vec3 } from '../../shape/index.ts';
import { type Board, thicknessOf } from '../../stock/index.ts';
import type { Means } from '../family/means.ts';
import { isWalled, movedOut, type RoomPlan, shellPlanOf, stripWide, wallAt } from './plan.ts';
import { asRoom, type Room } from './room.ts';

/** One of several layers that lift a floor. */
export type Layer = { readonly board: string; readonly one: number };

/** A shell in its place: where its clear plan's back left corner and the lower side of its floor come to, the boards that lift it, and what is still
 *  missing for its floor to be level with the highest. */
export type StandingShell = {
  readonly plan: RoomPlan;
  readonly at: Vec3;
  readonly packing: readonly Layer[];
  readonly uneven: number;
  /** How far its walls fall short of the highest, and its depth of the greatest, filled up or not. */
  readonly short: number;
  readonly shallower: number;
};

/** Less than this is not filled: it goes under paper. Common practice, no source. */
export const LEAST_FILL = 1_000;

const MOST_LAYERS = 12;

/** The boards that lift something by so much, or by as near to it from below as can be, with the fewest layers.
 *  Shape: height, boards at hand → layers, the thickest first. */
export const packingFor = (needed: number, boards: readonly Board[]): readonly Layer[] => {
  const kinds = boards
    .map((board): Layer => ({ board: board.id, one: thicknessOf(board) }))
    .sort((a, b) => b.one - a.one)
    .filter(({ one }, index, all) => one > 0 && one <= needed && all.findIndex((each) => each.one === one) === index);
  const reached = new Map<number, readonly Layer[]>([[0, []]]);
  let last: readonly (readonly [number, readonly Layer[]])[] = [[0, []]];
  for (let count = 0; count < MOST_LAYERS && last.length > 0; count += 1) {
    const next: (readonly [number, readonly Layer[]])[] = [];
    for (const [sum, layers] of last)
      for (const kind of kinds) {
        const total = sum + kind.one;
        if (total > needed || reached.has(total)) continue;
        reached.set(total, [...layers, kind]);
        next.push([total, [...layers, kind]]);
      }
    last = next;
  }
  const best = Math.max(...reached.keys());
  return [...(reached.get(best) ?? [])].sort((a, b) => b.one - a.one);
};

const floorTop = ({ sheets }: RoomPlan): number => sheets.floor.thickness;
/** The upper end of a shell's walls and its ceiling, from its floor's lower side, before anything is filled up. */
export const topOf = (plan: RoomPlan): number => floorTop(plan) * (plan.room.ceiling ? 2 : 1) + plan.clear;
const depthOf = ({ ring }: RoomPlan): number => ring[2]?.[1] ?? 0;
const extentOf = ({ ring, thick }: RoomPlan): readonly [number, number] => {
  const xs = movedOut(ring, thick).map(([x]) => x);
  return [Math.min(...xs), Math.max(...xs)];
};

/** Puts the shells of a room beside each other, from the left.
 *  Shape: room, means → each in its place; a room of one shell stands at the origin. Floors are level as far as boards at hand make them so. */
export const standTogether = (room: Room, means: Means): readonly StandingShell[] => {
  if (room.shells.length === 0) return [{ plan: shellPlanOf(room, means), at: [0, 0, 0], packing: [], uneven: 0, short: 0, shallower: 0 }];
  const first = [room, ...room.shells].map((_, number) => shellPlanOf(asRoom(room, number), means));
  const highest = Math.max(...first.map(floorTop));
  const deepest = Math.max(...first.map(depthOf));
  const packed = first.map((plan) => packingFor(highest - floorTop(plan), means.boards));
  const lift = packed.map((layers) => layers.reduce((sum, { one }) => sum + one, 0));
  const tops = first.map((plan, index) => topOf(plan) + (lift[index] as number));
  const tallest = Math.max(...tops);
  /** What a strip over the seam to the next one takes of each of the two. */
  const taken = (index: number): number => {
    const [one, next] = [first[index], first[index + 1]];
    const wide = one ? stripWide(one.strip, one.doll(room.seams)) : 0;
    const open = one && next && !isWalled(wallAt(one, 1)) && !isWalled(wallAt(next, 3));
    return open && wide > 0 ? Math.ceil(wide / 2) + 1 : 0;
  };
  let x = 0;
  return first.map((plan, index): StandingShell => {
    const short = tallest - (tops[index] as number);
    const [left, right] = extentOf(plan);
    const at = index === 0 ? 0 : x + (room.shells[index - 1]?.gap ?? 0) - left;
    x = at + right;
    const up = lift[index] as number;
    const raise = room.fill && short >= LEAST_FILL ? short : 0;
    return {
      plan: shellPlanOf(asRoom(room, index), means, { raise, seamed: [taken(index - 1), taken(index)] }),
      at: [at, up, room.level === 'fronts' ? deepest - depthOf(plan) : 0],
      packing: packed[index] as readonly Layer[],
      uneven: highest - floorTop(plan) - up,
      short,
      shallower: deepest - depthOf(plan),
    };
  });
};

/** Where the front of a shell that is open there comes to when its floor is filled up to the deepest; nothing when it is not. */
export const frontEdgeOf = ({ plan, at }: StandingShell, shells: readonly StandingShell[]): number | undefined => {
  const deepest = Math.max(...shells.map((each) => each.at[2] + depthOf(each.plan)));
  const mine = at[2] + depthOf(plan);
  return filled(shells) && deepest - mine >= LEAST_FILL && !isWalled(wallAt(plan, 2)) ? deepest : undefined;
};

const filled = ([first]: readonly StandingShell[]): boolean => first?.plan.room.fill ?? false;
