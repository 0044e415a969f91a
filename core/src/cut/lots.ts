// µm, doll size.
import { AS_DRAWN, type Orientation, orientedSize, type Quarters, type Region, turnedBy } from '../shape/index.ts';

/** A part to be cut from a board, by the rectangle round it as it is drawn, and how it may lie: either way, or (with grain) only as drawn or
 *  only turned a quarter; each upside down as well. `outline` is what it is inside its rectangle, with the lower left corner at the
 *  origin, where that is not all of it; `flips` where it may lie on its face. */
export type CutItem = {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly lies: 'either' | 'drawn' | 'turned';
  readonly outline?: Region | undefined;
  readonly flips?: boolean | undefined;
  /** Parts of one group come from one sheet, where one takes them all. */
  readonly group?: string | undefined;
};

/** Where a part lies: the lower left corner of the rectangle round it, and how it lies in that. */
export type LotPlacement = Orientation & { readonly id: string; readonly x: number; readonly y: number };

/** A rectangle that is cut out whole: a part by itself, or several that share it by their outlines. `turns` when it may be turned a quarter. */
export type Lot = {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly turns: boolean;
  readonly members: readonly LotPlacement[];
  /** True when its members are cut apart like any others; else they are cut out by their outlines. */
  readonly apart?: boolean;
};

/** A part by itself. */
export const single = ({ id, width, height, lies }: CutItem): Lot => {
  const lie: Orientation = lies === 'turned' ? { turn: 1, mirrored: false } : AS_DRAWN;
  return { id, ...orientedSize({ width, height }, lie), turns: lies === 'either', members: [{ id, x: 0, y: 0, ...lie }] };
};

/** The members of a lot that is turned by so many quarters (counter-clockwise) and laid down. `sizeOf` gives a part's size as drawn. */
export const membersAt = (
  { width, height, members }: Lot,
  x: number,
  y: number,
  turn: Quarters,
  sizeOf: (id: string) => { readonly width: number; readonly height: number },
): readonly LotPlacement[] =>
  members.map((member) => {
    const own = orientedSize(sizeOf(member.id), member);
    const left = [member.x, height - member.y - own.height, width - member.x - own.width, member.y][turn] as number;
    const low = [member.y, member.x, height - member.y - own.height, width - member.x - own.width][turn] as number;
    return { id: member.id, x: x + left, y: y + low, ...turnedBy(member, turn) };
  });
