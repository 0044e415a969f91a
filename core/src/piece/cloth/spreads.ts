// µm, doll size. What is spread over something: sheets, comforters, table cloths, runners, quilts, rugs, towels.

import type { Part } from '../../assembly/index.ts';
import { type ClothPiece, discPiece, discRing, type EdgeWork, loftOf, type Patch, patch, plane, rectPiece } from '../../cloth/index.ts';
import type { Point, Pose, Vec3 } from '../../shape/index.ts';
import { extra } from '../parts/extra.ts';
import type { Drops } from './cloth.ts';
import { body, type ClothSizes, closing, hemming, made, openingOn, RIBBON_OVER, type SewnResult, seam, spaceOf } from './sewn.ts';
import { BACK, FRONT, LEFT, X } from './ways.ts';

/** How thick a spread is drawn: its cloth, and no less than can be seen. */
const thinOf = ({ cloth }: ClothSizes): number => Math.max(100, Math.round(cloth));

type Over = { readonly left: number; readonly right: number; readonly front: number; readonly back: number };

const overOf = (drops: Drops, drop: number): Over => ({
  left: drops.left ? drop : 0,
  right: drops.right ? drop : 0,
  front: drops.front ? drop : 0,
  back: drops.back ? drop : 0,
});

const corner = (apex: Point, [w, h]: readonly [number, number], from: Point, to: Point, at: Vec3, ways: readonly [Vec3, Vec3]): Patch => ({
  piece: 0,
  ring: [
    [apex[0] + Math.min(0, w), apex[1] + Math.min(0, h)],
    [apex[0] + Math.max(0, w), apex[1] + Math.min(0, h)],
    [apex[0] + Math.max(0, w), apex[1] + Math.max(0, h)],
    [apex[0] + Math.min(0, w), apex[1] + Math.max(0, h)],
  ],
  bend: { kind: 'cone', apex, from, to, at, ways },
  fine: [10, 10],
});

/** A cloth over a top of w × d at a height h: it hangs over its sides, and where two of them meet its corner hangs in one free fold. `ease` is what its loft takes. */
export const drapePatches = (w: number, h: number, d: number, { left, right, front, back }: Over): readonly Patch[] => {
  const [x0, x1, y0, y1] = [left, left + w, front, front + d];
  const patches: Patch[] = [patch(0, [x0, y0, x1, y1], plane([-left, h, d + front], X, BACK))];
  if (front > 0) patches.push(patch(0, [x0, 0, x1, y0], plane([-left, h - front, d], X, [0, 1, 0])));
  if (back > 0) patches.push(patch(0, [x0, y1, x1, y1 + back], plane([-left, h + front + d, 0], X, [0, -1, 0])));
  if (left > 0) patches.push(patch(0, [0, y0, x0, y1], plane([0, h - left, d + front], [0, 1, 0], BACK)));
  if (right > 0) patches.push(patch(0, [x1, y0, x1 + right, y1], plane([w, h + left + w, d + front], [0, -1, 0], BACK)));
  if (front > 0 && left > 0) patches.push(corner([x0, y0], [-left, -front], [0, -1], [-1, 0], [0, h, d], [LEFT, FRONT]));
  if (front > 0 && right > 0) patches.push(corner([x1, y0], [right, -front], [0, -1], [1, 0], [w, h, d], [X, FRONT]));
  if (back > 0 && left > 0) patches.push(corner([x0, y1], [-left, back], [0, 1], [-1, 0], [0, h, 0], [LEFT, BACK]));
  if (back > 0 && right > 0) patches.push(corner([x1, y1], [right, back], [0, 1], [1, 0], [w, h, 0], [X, BACK]));
  return patches;
};

/** Cloth as bodies: what lies on top, and what hangs down its sides. */
const drapeBodies = (
  sizes: ClothSizes,
  w: number,
  h: number,
  d: number,
  thick: number,
  { left, right, front, back }: Over,
): readonly Part[] => {
  const lower = (over: number): number => h - over;
  return [
    body(sizes, 'top', spaceOf([0, h, 0], [w, h + thick, d])),
    ...(front > 0 ? [body(sizes, 'front', spaceOf([0, lower(front), d], [w, h + thick, d + thick]))] : []),
    ...(back > 0 ? [body(sizes, 'back', spaceOf([0, lower(back), -thick], [w, h + thick, 0]))] : []),
    ...(left > 0 ? [body(sizes, 'left', spaceOf([-thick, lower(left), 0], [0, h + thick, d]))] : []),
    ...(right > 0 ? [body(sizes, 'right', spaceOf([w, lower(right), 0], [w + thick, h + thick, d]))] : []),
  ];
};

const moved = (parts: readonly Part[], [dx, dy, dz]: Vec3): readonly Part[] =>
  parts.map((part) => {
    const [x, y, z] = part.pose.origin;
    return { ...part, pose: { ...part.pose, origin: [x + dx, y + dy, z + dz] } };
  });

const movedPatches = (patches: readonly Patch[], [dx, dy, dz]: Vec3): readonly Patch[] =>
  patches.map((each): Patch => {
    const { bend } = each;
    const to = ([x, y, z]: Vec3): Vec3 => [x + dx, y + dy, z + dz];
    if ('pose' in bend) return { ...each, bend: { ...bend, pose: { ...bend.pose, origin: to(bend.pose.origin) } as Pose } };
    return { ...each, bend: { ...bend, at: to(bend.at) } };
  });

/** A sheet, spread or table cloth that hangs over the sides of what it lies on. With batting it is two cloths, and its loft is added to both ways. */
const draped = (sizes: ClothSizes, over: Over, batting: number): SewnResult => {
  const { piece, width: w, depth: d } = sizes;
  const thick = thinOf(sizes) + batting;
  const h = Math.max(over.left, over.right, over.front, over.back);
  const ease = Math.round(loftOf(batting));
  const [flatW, flatD] = [w + over.left + over.right, d + over.front + over.back];
  const [cutW, cutD] = [flatW + ease, flatD + ease];
  const padded = batting > 0;
  const work: EdgeWork = padded ? closing(piece) : hemming(piece);
  const cover = rectPiece(padded ? 'upper cloth' : 'cloth', cutW, cutD, work);
  // The thickness of what hangs stands out beyond the top.
  const [x, z] = [over.left > 0 ? thick : 0, over.back > 0 ? thick : 0];
  const patches = drapePatches(w, h, d, over).map((each) => (ease === 0 ? each : { ...each, ring: each.ring }));
  const pieces: readonly ClothPiece[] = padded
    ? [
        cover,
        rectPiece('lower cloth', cutW, cutD, work, { role: 'second' }),
        rectPiece('batting', flatW, flatD, ['raw', 0], { role: 'batting', anyWay: true }),
      ]
    : [cover];
  return made({
    pattern: {
      pieces,
      seams: padded
        ? [
            seam('lower edge', [0, 'lower'], [1, 'lower']),
            seam('right edge', [0, 'right'], [1, 'left']),
            seam('upper edge', [0, 'upper'], [1, 'upper']),
            seam('left edge', [0, 'left'], [1, 'right']),
          ]
        : [],
      openings: padded ? [openingOn(0, 'lower', cutW), openingOn(1, 'lower', cutW)] : [],
      patches: movedPatches(patches, [x, padded ? thick : 0, z]),
    },
    size: [w + x + (over.right > 0 ? thick : 0), h + thick, d + z + (over.front > 0 ? thick : 0)],
    parts: moved(drapeBodies(sizes, w, h, d, thick, over), [x, 0, z]),
    extras:
      piece.border > 0 && !padded
        ? [extra('ribbon along its edge', 2 * (flatW + flatD) + 4 * piece.border + RIBBON_OVER, { wide: piece.border })]
        : [],
    anchor: [x + w / 2, h, z + d / 2],
  });
};

export const flatSheet = (sizes: ClothSizes): SewnResult => draped(sizes, overOf(sizes.piece.drops, sizes.drop), 0);

export const comforter = (sizes: ClothSizes): SewnResult =>
  draped(sizes, overOf(sizes.piece.drops, sizes.drop), sizes.piece.layers * sizes.piece.loft);

/** A runner hangs over the ends of a table, and is narrower than it. */
export const runner = (sizes: ClothSizes): SewnResult => draped(sizes, { left: sizes.drop, right: sizes.drop, front: 0, back: 0 }, 0);

/** A round cloth: the top's radius and the drop. Source: plane geometry. */
const roundCloth = (sizes: ClothSizes): SewnResult => {
  const { piece, width, drop } = sizes;
  const thick = thinOf(sizes);
  const radius = width / 2;
  const whole = radius + drop;
  const out = drop > 0 ? thick : 0;
  return made({
    pattern: {
      pieces: [discPiece('cloth', whole, hemming({ ...piece, way: piece.way === 'sewn' ? 'glued' : piece.way }), { anyWay: true })],
      seams: [],
      openings: [],
      patches: [
        {
          piece: 0,
          ring: discRing(whole),
          bend: { kind: 'flute', centre: [whole, whole], at: [radius + out, drop, radius + out], radius, folds: 12 },
          fine: [1, 18],
          rings: [radius / whole],
        },
      ],
    },
    size: [width + 2 * out, drop + thick, width + 2 * out],
    parts: moved(drapeBodies(sizes, width, drop, width, thick, { left: drop, right: drop, front: drop, back: drop }), [out, 0, out]),
    extras: piece.border > 0 ? [extra('ribbon along its edge', 2 * Math.PI * whole + RIBBON_OVER, { wide: piece.border })] : [],
    anchor: [radius + out, drop, radius + out],
  });
};

export const tableCloth = (sizes: ClothSizes): SewnResult => (sizes.round ? roundCloth(sizes) : flatSheet(sizes));

/** What lies or hangs flat: its edge hemmed, or under a ribbon; round or square. */
const flat = (sizes: ClothSizes, stripes: number): SewnResult => {
  const { piece, width, depth, round } = sizes;
  const thick = thinOf(sizes);
  const covered: EdgeWork = ['raw', 0];
  const rim = stripes === 0 && piece.border > 0 ? covered : hemming(piece);
  if (round) {
    const radius = width / 2;
    return made({
      pattern: {
        pieces: [discPiece('cloth', radius, rim[0] === 'double hem' ? ['hem', piece.hem] : rim)],
        seams: [],
        openings: [],
        patches: [{ piece: 0, ring: discRing(radius), bend: plane([0, thick, width], X, BACK), fine: [1, 1] }],
      },
      size: [width, thick, width],
      parts: [body(sizes, 'body', spaceOf([0, 0, 0], [width, thick, width]))],
      extras: piece.border > 0 ? [extra('ribbon round it', Math.PI * width + RIBBON_OVER, { wide: piece.border })] : [],
      anchor: [radius, 0, radius],
    });
  }
  const ribbon =
    piece.border === 0
      ? []
      : stripes > 0
        ? [extra('ribbon across it', stripes * (width + 2 * piece.hem), { wide: piece.border, count: stripes })]
        : [extra('ribbon round it, corners mitred', 2 * (width + depth) + RIBBON_OVER, { wide: piece.border })];
  return made({
    pattern: {
      pieces: [
        rectPiece('cloth', width, depth, rim, {
          stitches:
            stripes > 0 && piece.border > 0
              ? [0.12, 0.88].map((share): readonly [Point, Point] => [
                  [0, depth * share],
                  [width, depth * share],
                ])
              : [],
        }),
      ],
      seams: [],
      openings: [],
      patches: [patch(0, [0, 0, width, depth], plane([0, thick, depth], X, BACK))],
    },
    size: [width, thick, depth],
    parts: [body(sizes, 'body', spaceOf([0, 0, 0], [width, thick, depth]))],
    extras: ribbon,
    anchor: [width / 2, 0, depth / 2],
  });
};

export const rug = (sizes: ClothSizes): SewnResult => flat(sizes, 0);
export const towel = (sizes: ClothSizes): SewnResult => flat({ ...sizes, round: false }, 2);
