// µm. Where a maker's own picture lies on a pattern's plane: once, repeated or mirrored from cell to cell, or fitted to a face.
import type { Point, Rect, Ring } from '../shape/index.ts';
import type { Iso } from './iso.ts';

/** A picture that was brought in: what it is kept under, its size in pixels, and what it is called. */
export type Picture = { readonly id: string; readonly width: number; readonly height: number; readonly name: string };

/** What is left off each side of a picture, in shares of it. */
export type Crop = { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number };

/** A picture as it is used. `width` is that of the cropped and turned picture on the pattern's plane; null fits it to each face. */
export type PictureUse = {
  readonly picture: Picture;
  readonly crop: Crop;
  readonly quarters: 0 | 1 | 2 | 3;
  readonly tiles: 'once' | 'repeat' | 'mirror';
  readonly width: number | null;
};

/** x' = a·x + c·y + e, y' = b·x + d·y + f. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const affineOf = ({ cos, sin, dx, dy }: Iso): Affine => [cos, sin, -sin, cos, dx, dy];

/** First `one`, then `other`. */
export const followedBy = (one: Affine, [a, b, c, d, e, f]: Affine): Affine => [
  a * one[0] + c * one[1],
  b * one[0] + d * one[1],
  a * one[2] + c * one[3],
  b * one[2] + d * one[3],
  a * one[4] + c * one[5] + e,
  b * one[4] + d * one[5] + f,
];

export const affineAt = ([a, b, c, d, e, f]: Affine, [x, y]: Point): Point => [a * x + c * y + e, b * x + d * y + f];

/** The cropped and turned picture's pixels, across and up. */
export const usedPixels = ({ picture, crop, quarters }: PictureUse): { readonly width: number; readonly height: number } => {
  const [width, height] = [picture.width * (1 - crop.left - crop.right), picture.height * (1 - crop.top - crop.bottom)];
  return quarters % 2 === 0 ? { width, height } : { width: height, height: width };
};

/** From the whole picture as the unit square, y up, to its cropped and turned part as the unit square. */
const toUsed = ({ crop, quarters }: PictureUse): Affine => {
  const [wide, high] = [1 - crop.left - crop.right, 1 - crop.top - crop.bottom];
  const cropped: Affine = [1 / wide, 0, 0, 1 / high, -crop.left / wide, -crop.bottom / high];
  const turns: readonly Affine[] = [
    [1, 0, 0, 1, 0, 0],
    [0, 1, -1, 0, 1, 0],
    [-1, 0, 0, -1, 1, 1],
    [0, -1, 1, 0, 0, 1],
  ];
  return followedBy(cropped, turns[quarters] as Affine);
};

/** A picture in its place: from its unit square to the pattern's plane, and what of the plane it may be seen in. */
export type PicturePlacement = { readonly matrix: Affine; readonly clip: Ring };

const cell = (use: PictureUse, { x0, y0, x1, y1 }: Rect, flipX: boolean, flipY: boolean): PicturePlacement => {
  const flipped: Affine = [flipX ? -1 : 1, 0, 0, flipY ? -1 : 1, flipX ? 1 : 0, flipY ? 1 : 0];
  return {
    matrix: followedBy(followedBy(toUsed(use), flipped), [x1 - x0, 0, 0, y1 - y0, x0, y0]),
    clip: [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ],
  };
};

/** Beyond this many a picture is no longer one. */
const MOST_CELLS = 2_000;

/** The places of a picture within a window.
 *  Shape: a use, a window of the pattern's plane and, for one that is fitted, the rectangle to fill → its places. A fitted picture covers all of
 *  its rectangle, and what stands over on one pair of sides is cut off evenly. */
export const picturePlacements = (use: PictureUse, window: Rect, fit: Rect): readonly PicturePlacement[] => {
  const { width, height } = usedPixels(use);
  if (use.width === null) {
    const [wide, high] = [fit.x1 - fit.x0, fit.y1 - fit.y0];
    const scale = Math.max(wide / width, high / height);
    const [cx, cy] = [(fit.x0 + fit.x1) / 2, (fit.y0 + fit.y1) / 2];
    const [halfX, halfY] = [(width * scale) / 2, (height * scale) / 2];
    return [cell(use, { x0: cx - halfX, y0: cy - halfY, x1: cx + halfX, y1: cy + halfY }, false, false)];
  }
  const [across, up] = [use.width, (use.width * height) / width];
  if (use.tiles === 'once') return [cell(use, { x0: 0, y0: 0, x1: across, y1: up }, false, false)];
  const [left, low] = [Math.floor(window.x0 / across), Math.floor(window.y0 / up)];
  const [columns, rows] = [Math.ceil(window.x1 / across) - left, Math.ceil(window.y1 / up) - low];
  if (columns * rows > MOST_CELLS) return [];
  return Array.from({ length: columns * rows }, (_, index) => {
    const [x, y] = [left + (index % columns), low + Math.floor(index / columns)];
    const mirror = use.tiles === 'mirror';
    const odd = (value: number) => mirror && Math.abs(value) % 2 === 1;
    return cell(use, { x0: x * across, y0: y * up, x1: (x + 1) * across, y1: (y + 1) * up }, odd(x), odd(y));
  });
};

/** How many of its dots a picture has to the inch when it is `width` µm wide. */
export const dotsPerInch = (use: PictureUse, width: number): number => usedPixels(use).width / (width / 25_400);

/** Under the first a picture is not printed, under the second its maker is warned: dots to the inch at print size; common practice of print shops. */
export const LEAST_DPI = 150;
export const GOOD_DPI = 250;
