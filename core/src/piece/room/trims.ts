// µm, doll size. Strips that run round a room on its walls: skirting, rails, cornices, strips in the corners.
import type { Part } from '../../assembly/index.ts';
import { type At, cornerOut, movedOut, type Side, type StripStock, sidesOf, turnOf } from './plan.ts';
import { type InWall, LEAST, lessStretches, strip, type TrimStretch } from './strip.ts';
import { type Upright, uprightsOn } from './uprights.ts';

/** A wall as it is seen from inside one room: what is in it, by where it lies along its clear side. */
export type SeenWall = {
  readonly id: string;
  readonly walled: boolean;
  /** How far in front of the clear side its face stands: a second wall. */
  readonly face: number;
  readonly opened: readonly InWall[];
  /** Strips that stand on it, from where to where along its clear side. */
  readonly battens: readonly TrimStretch[];
  /** What is kept free of uprights at its ends. */
  readonly kept: readonly [left: number, right: number];
};

export type TrimKind = { readonly what: string; readonly name: string; readonly y0: number; readonly y1: number };

/** How far a strip's hidden and shown faces stop before a corner; what runs on past it is negative. */
const stopAt = (
  [before, after]: readonly [Side, Side],
  walled: boolean,
  mine: 'before' | 'after',
  thick: number,
  inset: number,
  corners: 'mitred' | 'butted',
): readonly [hidden: number, shown: number] => {
  if (inset > 0) return [inset, inset];
  const { sin, cos } = turnOf(before, after);
  if (!walled || Math.abs(sin) < 1e-9) return [0, 0];
  if (corners === 'mitred' || Math.abs(cos) > 1e-9) {
    const [x, z] = cornerOut(before, after, -thick, -thick);
    const [px, pz] = after.from;
    const way = mine === 'before' ? before.way : after.way;
    const along = (x - px) * way[0] + (z - pz) * way[1];
    return [0, Math.round(mine === 'before' ? -along : along)];
  }
  const by = mine === 'after' ? (sin > 0 ? thick : 0) : sin > 0 ? 0 : -thick;
  return [by, by];
};

export type TrimWish = {
  readonly kinds: readonly TrimKind[];
  /** How wide the strips in the corners are, and between which heights they stand. */
  readonly corner: number;
  readonly cornerFrom: number;
  readonly cornerTo: number;
  readonly corners: 'mitred' | 'butted';
  readonly upright: Upright;
};

/** The strips of one room.
 *  Shape: clear ring, what is on each side, wishes → parts. Strips stop at what is framed in their way, and at corners as they are joined. */
export const trimsOf = (
  ring: readonly At[],
  seen: readonly SeenWall[],
  floor: number,
  wish: TrimWish,
  stock: StripStock,
  id: string,
): readonly Part[] => {
  const t = stock.thick;
  const base = sidesOf(ring);
  const sides = sidesOf(
    movedOut(
      ring,
      seen.map(({ face }) => -face),
    ),
  );
  const count = sides.length;
  return sides.flatMap((side, index): readonly Part[] => {
    const [before, after] = [(index + count - 1) % count, (index + 1) % count];
    const here = seen[index] as SeenWall;
    if (!here.walled) return [];
    const clear = base[index] as Side;
    const shift = Math.round((side.from[0] - clear.from[0]) * clear.way[0] + (side.from[1] - clear.from[1]) * clear.way[1]);
    const length = Math.round(side.length);
    const corner = (which: number): boolean => {
      const [one, other] = which === before ? [sides[before] as Side, side] : [side, sides[after] as Side];
      return wish.corner > 0 && (seen[which] as SeenWall).walled && turnOf(one, other).sin > 1e-9;
    };
    const insets = [corner(before) ? wish.corner : 0, corner(after) ? wish.corner : 0] as const;
    const lying = wish.kinds.flatMap(({ what, name, y0, y1 }) => {
      // Skirting runs under the corner strips, a cornice over them.
      const meets = y0 < wish.cornerTo && y1 > wish.cornerFrom;
      const start = stopAt(
        [sides[before] as Side, side],
        (seen[before] as SeenWall).walled,
        'after',
        t,
        meets ? insets[0] : 0,
        wish.corners,
      );
      const end = stopAt([side, sides[after] as Side], (seen[after] as SeenWall).walled, 'before', t, meets ? insets[1] : 0, wish.corners);
      const [hidden, shown]: readonly [TrimStretch, TrimStretch] = [
        [start[0], length - end[0]],
        [start[1], length - end[1]],
      ];
      const inTheWay = here.opened
        .filter((each) => each.y0 - each.border < y1 && each.y1 + each.border > y0)
        .map((each): TrimStretch => [each.x0 - each.border - shift, each.x1 + each.border - shift]);
      return lessStretches(hidden, inTheWay)
        .filter(([from, to]) => to - from >= LEAST)
        .map((stretch, number) => {
          const front: TrimStretch = [stretch[0] === hidden[0] ? shown[0] : stretch[0], stretch[1] === hidden[1] ? shown[1] : stretch[1]];
          return strip(side, stretch, front, [floor + y0, floor + y1], stock, `${id}/${what}-${here.id}-${number}`, name);
        });
    });
    const standing = insets.flatMap((wide, end): readonly Part[] => {
      if (wide === 0) return [];
      // The one on the left of its corner runs into it, the other stands against that.
      const stretch: TrimStretch = end === 1 ? [length - wide, length] : [t, wide];
      if (stretch[1] - stretch[0] < LEAST / 2) return [];
      const y = [floor + wish.cornerFrom, floor + wish.cornerTo] as const;
      return [strip(side, stretch, stretch, y, stock, `${id}/corner-${here.id}-${end}`, 'corner strip')];
    });
    const meet = (which: number): boolean => {
      const [one, other] = which === before ? [sides[before] as Side, side] : [side, sides[after] as Side];
      return (seen[which] as SeenWall).walled && turnOf(one, other).sin > 1e-9;
    };
    // Of two uprights that meet in a corner the one on its left runs into it.
    const within: TrimStretch = [
      Math.max(here.kept[0] - shift, insets[0] || (meet(before) ? t : 0)),
      Math.min(Math.round(clear.length) - here.kept[1] - shift, length - insets[1]),
    ];
    const moved = ([from, to]: TrimStretch): TrimStretch => [Math.max(within[0], from - shift), Math.min(within[1], to - shift)];
    const onIt = {
      side,
      within,
      opened: here.opened.map((each) => ({ ...each, x0: each.x0 - shift, x1: each.x1 - shift })),
      battens: here.battens.map(moved).filter(([from, to]) => to - from >= LEAST),
      lying: wish.kinds.map(({ y0, y1 }): TrimStretch => [y0, y1]),
      from: wish.cornerFrom,
      to: wish.cornerTo,
    };
    return [...lying, ...standing, ...uprightsOn(onIt, wish.upright, floor, stock, `${id}/`, here.id)];
  });
};
