// µm, doll size. Where a thing that is put into a room goes first: with its back along a wall, where nothing stands yet.
import { type Assembly, boxesOverlap } from '../assembly/index.ts';
import { dollUm, UM } from '../measure/index.ts';
import { placeAt } from './elevation.ts';
import { judgeLayout, shares } from './judge.ts';
import type { Placement } from './layout.ts';
import { type StandingThing, standAt } from './place.ts';
import { lengthOf, type RoomSide, type RoomSpace } from './space.ts';

/** Places are tried so far apart. */
const STEP = 5 * UM.mm;

/** What is lower than this lies on the floor rather than stands on it, and goes into the middle. Common practice, no source. */
const FLAT = 8 * UM.mm;

/** How a thing is turned whose back is to a side. */
const turnFor = ({ from, to }: RoomSide): number => {
  const degrees = (Math.atan2(from[1] - to[1], to[0] - from[0]) * 180) / Math.PI;
  return ((Math.round(degrees) % 360) + 360) % 360;
};

const overlaps = (from: number, to: number, [a, b]: readonly [number, number]): boolean => from < b && to > a;

/** Nothing of a thing stands in a doorway; in the first round nothing tall stands before a window either. */
const keepsClear = (side: RoomSide, from: number, to: number, tall: number, shy: boolean): boolean =>
  !side.doors.some((door) => overlaps(from, to, door)) &&
  !(shy && side.openings.some(({ x0, x1, y0 }) => tall > y0 && overlaps(from, to, [x0, x1])));

const isFree = (space: RoomSpace, standing: readonly StandingThing[], one: StandingThing): boolean =>
  !standing.some(({ body }) => boxesOverlap(body.whole, one.body.whole)) &&
  !shares(one.body, space.shell) &&
  judgeLayout(space, [one]).outside.length === 0;

const alongSide = (
  space: RoomSpace,
  standing: readonly StandingThing[],
  assembly: Assembly,
  piece: string,
  side: RoomSide,
  shy: boolean,
): Placement | null => {
  const turn = turnFor(side);
  const at = (x: number, z: number): Placement => ({ piece, x: dollUm(Math.round(x)), z: dollUm(Math.round(z)), up: dollUm(0), turn });
  const [wide, tall, deep] = standAt(assembly, at(0, 0), space).size;
  const away = side.face + space.skirting + deep / 2;
  for (let along = wide / 2 + space.skirting; along <= lengthOf(side) - wide / 2 - space.skirting; along += STEP) {
    if (!keepsClear(side, along - wide / 2, along + wide / 2, tall, shy)) continue;
    const [x, z] = placeAt(side, along, away);
    const placed = at(x, z);
    if (isFree(space, standing, standAt(assembly, placed, space))) return placed;
  }
  return null;
};

/** The first free place for a thing: along a wall, from the back one round and from its left end on, clear of doors and, where that can be, of windows; what
 *  lies flat, and what finds no room along a wall, as near to the middle as it is free; the middle itself where nothing is. */
export const freePlace = (space: RoomSpace, standing: readonly StandingThing[], assembly: Assembly, piece: string): Placement => {
  const [xs, zs] = [space.ring.map(([x]) => x), space.ring.map(([, z]) => z)];
  const middle = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...zs) + Math.max(...zs)) / 2] as const;
  const inMiddle: Placement = { piece, x: dollUm(Math.round(middle[0])), z: dollUm(Math.round(middle[1])), up: dollUm(0), turn: 0 };
  const flat = standAt(assembly, inMiddle, space).size[1] < FLAT;
  if (!flat)
    for (const shy of [true, false])
      for (const side of space.sides) {
        const found = side.walled ? alongSide(space, standing, assembly, piece, side, shy) : null;
        if (found) return found;
      }
  const reach = Math.max(...xs, ...zs);
  for (let far = 0; far < reach / 2; far += 4 * STEP)
    for (const [dx, dz] of [
      [0, 0],
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
      [1, 1],
      [-1, 1],
      [1, -1],
      [-1, -1],
    ] as const) {
      const placed = { ...inMiddle, x: dollUm(Math.round(middle[0] + dx * far)), z: dollUm(Math.round(middle[1] + dz * far)) };
      if (isFree(space, standing, standAt(assembly, placed, space))) return placed;
    }
  return inMiddle;
};
