// µm, doll size. An opening as it lies in its wall.
import type { Motion, Part } from '../../assembly/index.ts';
import { ellipseRing, type Point, type Ring, rectRing, type Vec3 } from '../../shape/index.ts';
import type { WallOpening } from './wall.ts';

/** How far a clear sheet goes under what holds it, all round. Common practice, no source. */
export const MARGIN = 4_000;

/** An opening as it lies in its wall: from its left end and up from its floor, and what its frame covers beside it. */
export type Opened = {
  readonly opening: WallOpening;
  readonly id: string;
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly border: number;
  /** Its clear sheet lies on the wall's inner face. */
  readonly inside?: boolean;
};

/** The outline of an opening along its wall and up, counter-clockwise. */
export const ringOf = ({ opening, x0, x1, y0, y1 }: Opened): Ring => {
  if (opening.form === 'round') {
    const radius = (x1 - x0) / 2;
    return ellipseRing(Math.round(x0 + radius), Math.round(y0 + radius), Math.round(radius)).map(([x, y]): Point => [x, y]);
  }
  if (opening.form !== 'arch') return rectRing(x0, y0, x1, y1);
  const radius = Math.min((x1 - x0) / 2, y1 - y0);
  const middle = (x0 + x1) / 2;
  const spring = y1 - radius;
  const upper = ellipseRing(0, 0, (x1 - x0) / 2, radius).filter(([, y]) => y >= 0);
  const arch = upper.map(([x, y]): Point => [Math.min(x1, Math.max(x0, Math.round(middle + x))), Math.min(y1, Math.round(spring + y))]);
  const ends =
    spring > y0
      ? ([
          [x0, y0],
          [x1, y0],
        ] as const)
      : ([] as const);
  return [...ends, ...arch];
};

export type PutIn = {
  readonly parts: readonly Part[];
  readonly motions: readonly Motion[] /** Corners that it reaches to in space. */;
  readonly reach: readonly Vec3[];
};

/** Whether a part of a room belongs to what fills an opening of a wall, by its id: wall, opening, part. */
export const isOfOpening = ({ id }: Pick<Part, 'id'>): boolean => /\/(wall|between)-\d+\/[a-z]+-\d+\//.test(id);
