// µm, doll size. What a piece's surfaces wear, and how the pattern lies on them.
import type { Assembly, Part } from '../assembly/index.ts';
import { bounds, dot, normalOf, type Rect, type Vec3 } from '../shape/index.ts';
import type { Wear } from './dress.ts';
import type { Surface } from './exposed.ts';
import type { Finish } from './finish.ts';
import { between, type Iso, moveBy } from './iso.ts';
import { layOf, quarterTurned } from './lay.ts';

/** A piece's surfaces with what each wears, by index. */
export type Dressed = {
  readonly parts: readonly Part[];
  readonly surfaces: readonly Surface[];
  readonly worn: readonly (Wear | undefined)[];
  readonly finishes: ReadonlyMap<string, Finish>;
  readonly outside: Assembly['outside'];
};

export const finishOf = (wear: Wear | undefined, finishes: ReadonlyMap<string, Finish>): Finish | undefined =>
  wear?.finish == null ? undefined : finishes.get(wear.finish);

/** From a surface to the pattern that runs over it. */
export const artOn = (surface: Surface, part: Part, wear: Wear, outside: Assembly['outside']): Iso => {
  const lay = layOf(normalOf(surface.pose), outside);
  return between(surface.pose, runsUp(part, wear, lay.u, lay.v) ? quarterTurned(lay) : lay);
};

/** The rectangle of the pattern that a whole face is. */
export const fitOn = (surface: Surface, art: Iso): Rect => bounds(surface.region.outline.map((point) => moveBy(art, point)));

/** Whether the pattern's x runs up instead of across. */
const runsUp = (part: Part, wear: Wear, u: Vec3, v: Vec3): boolean => {
  if (wear.runs !== 'along the part') return wear.runs === 'turned';
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  const grain = part.grain === 'any' ? (x1 - x0 >= y1 - y0 ? 'x' : 'y') : part.grain;
  const along = grain === 'x' ? part.pose.u : part.pose.v;
  return Math.abs(dot(along, v)) > Math.abs(dot(along, u)) + 1e-6;
};

export const isPaper = (finish: Finish | undefined): finish is Finish => finish !== undefined && finish.how !== 'paint';

/** Wears of one key are the same covering. */
export const wearKey = (wear: Wear | undefined): string => `${wear?.finish} ${wear?.runs} ${wear?.upTo}`;

/** Equal wears make one paper; what one says of a face and the other of its part may still be the same finish. */
export const sameWear = (one: Wear | undefined, other: Wear | undefined): boolean =>
  one !== undefined && other !== undefined && wearKey(one) === wearKey(other);
