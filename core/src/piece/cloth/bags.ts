// µm, doll size. Aprons, bags, pockets.

import {
  arcOver,
  type ClothPiece,
  type EdgeWork,
  halfAngleOf,
  outlinePiece,
  type Patch,
  patch,
  plane,
  rectPiece,
} from '../../cloth/index.ts';
import { UM } from '../../measure/index.ts';
import type { Point, Vec3 } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import { extra } from '../parts/extra.ts';
import { body, type ClothSizes, closing, hemming, made, refused, type SewnResult, seam, spaceOf } from './sewn.ts';

/** An apron: a skirt, a bib, and a curve between them. */
export const apron = (sizes: ClothSizes): SewnResult => {
  const { piece, width, height, straps, cloth } = sizes;
  const [bib, skirt] = [width * 0.45, height * 0.62];
  const [_x0, x1] = [(width - bib) / 2, (width + bib) / 2];
  const STEPS = 12;
  // A quarter of an ellipse, hollow towards the arm.
  const curve = Array.from({ length: STEPS + 1 }, (_, index): Point => {
    const angle = (index / STEPS) * (Math.PI / 2);
    return [width - (width - x1) * Math.sin(angle), height - (height - skirt) * Math.cos(angle)];
  });
  const other = curve.map(([x, y]): Point => [width - x, y]).toReversed();
  const line: Point[] = [[0, 0], [width, 0], ...curve, ...other];
  const hem = hemming(piece);
  const once: EdgeWork = hem[0] === 'double hem' ? ['hem', piece.hem] : hem;
  const thin = Math.max(100, Math.round(cloth));
  const bend = plane([0, 0, thin], [1, 0, 0], [0, 1, 0]);
  const rows = curve.slice(1).map((point, index): Patch => {
    const below = curve[index] as Point;
    return {
      piece: 0,
      ring: [[width - below[0], below[1]], below, point, [width - point[0], point[1]]],
      bend,
      fine: [1, 1],
    };
  });
  return made({
    pattern: {
      pieces: [
        outlinePiece('apron', line, [
          ['lower', 1, hem],
          ['right', 1, hem],
          ['right arm', STEPS, once],
          ['bib', 1, hem],
          ['left arm', STEPS, once],
          ['left', 1, hem],
        ]),
      ],
      seams: [],
      openings: [],
      patches: [patch(0, [0, 0, width, skirt], bend), ...rows],
    },
    size: [width, height, thin],
    parts: [body(sizes, 'body', spaceOf([0, 0, 0], [width, height, thin]))],
    extras: [
      extra('ribbon for ties', 2 * straps, { count: 2, wide: Math.max(4 * UM.mm, piece.border) }),
      extra('ribbon for the neck', bib * 1.6 + 2 * piece.hem, { wide: Math.max(4 * UM.mm, piece.border) }),
    ],
    anchor: [width / 2, height, 0],
  });
};

/** A bag of one piece, folded under its bottom; its corners are boxed where it has a depth. */
export const bag = (sizes: ClothSizes): SewnResult => {
  const { piece, width: w, height: h, depth: t, straps } = sizes;
  const wide = w + t;
  const half = t / 2;
  const [hem, work] = [hemming(piece), closing(piece)];
  const side = (x: number, y: number, z: number, u: Vec3, v: Vec3) => plane([x, y, z], u, v);
  const patches: Patch[] = [
    patch(0, [half, h + t, half + w, 2 * h + t], side(-half, -(h + t), t, [1, 0, 0], [0, 1, 0])),
    patch(0, [half, h, half + w, h + t], side(-half, 0, -h, [1, 0, 0], [0, 0, 1])),
    patch(0, [half, 0, half + w, h], side(-half, h, 0, [1, 0, 0], [0, -1, 0])),
    ...(t > 0
      ? [
          patch(0, [half + w, h + t, wide, 2 * h + t], side(w, -(h + t), t + w + half, [0, 0, -1], [0, 1, 0])),
          patch(0, [0, h + t, half, 2 * h + t], side(0, -(h + t), half, [0, 0, 1], [0, 1, 0])),
          patch(0, [half + w, 0, wide, h], side(w, h, -(w + half), [0, 0, 1], [0, -1, 0])),
          patch(0, [0, 0, half, h], side(0, h, half, [0, 0, -1], [0, -1, 0])),
        ]
      : []),
  ];
  return made({
    pattern: {
      pieces: [
        rectPiece(
          'bag',
          wide,
          2 * h + t,
          { lower: hem, right: work, upper: hem, left: work },
          {
            folds: [h, h + t].slice(0, t > 0 ? 2 : 1).map((y): readonly [Point, Point] => [
              [0, y],
              [wide, y],
            ]),
          },
        ),
      ],
      seams: [
        seam('right side', [0, 'right', 0, h], [0, 'right', h + t, 2 * h + t]),
        seam('left side', [0, 'left', 0, h], [0, 'left', h + t, 2 * h + t]),
      ],
      openings: [],
      patches,
    },
    size: [w, h, Math.max(t, 200)],
    parts: [body(sizes, 'body', spaceOf([0, 0, 0], [w, h, Math.max(t, 200)]))],
    extras:
      straps > 0 ? [extra('ribbon for handles', 2 * (straps + 20 * UM.mm), { count: 2, wide: Math.max(4 * UM.mm, piece.border) })] : [],
    anchor: [w / 2, 0, t / 2],
  });
};

/** Pockets on a backing, in rows; each is as much wider than its place as it is to stand out. */
export const pockets = (sizes: ClothSizes): SewnResult => {
  const { piece, width, height, depth: out, cloth } = sizes;
  const [n, rows, air] = [piece.panels, piece.rows, piece.hem];
  const [cell, high] = [Math.floor((width - (n + 1) * air) / n), Math.floor(((height - (rows + 1) * air) / rows) * 0.8)];
  const problem =
    lack('a pocket beside its neighbours', cell, 3 * UM.mm) ??
    lack('a pocket above the next', high, 3 * UM.mm) ??
    lack('a pocket that stands out so far', cell * 0.45, out);
  if (problem) return refused(problem);
  const flat = Math.round(arcOver(cell, out));
  const [hem, turned] = [hemming(piece), closing(piece)];
  const stuck: EdgeWork = turned[0] === 'rim' ? ['raw', 0] : ['hem', turned[1]];
  const thin = Math.max(100, Math.round(cloth));
  const back = rectPiece('backing', width, height, hem);
  const places = Array.from({ length: n * rows }, (_, index): Point => {
    const [column, row] = [index % n, Math.floor(index / n)];
    return [air + column * (cell + air), air + (row * (height - air)) / rows];
  });
  const pocket = places.map(
    (_, index): ClothPiece =>
      rectPiece(`pocket ${index + 1}`, flat, high, { lower: stuck, right: stuck, upper: hem, left: stuck }, { role: 'second' }),
  );
  const half = halfAngleOf(flat, out);
  const bowed = places.map(([x, y], index): Patch => {
    const at: Vec3 = [x, y, 2 * thin];
    if (half === 0) return patch(index + 1, [0, 0, flat, high], plane(at, [1, 0, 0], [0, 1, 0]));
    const pose = { origin: at, u: [Math.cos(half), 0, Math.sin(half)] as Vec3, v: [0, 1, 0] as Vec3 };
    return patch(index + 1, [0, 0, flat, high], { kind: 'roll', pose, radius: -flat / (2 * half) }, [12, 1]);
  });
  return made({
    pattern: {
      pieces: [
        {
          ...back,
          stitches: places.flatMap(
            ([x, y]) =>
              [
                [
                  [x, y + high],
                  [x, y],
                ],
                [
                  [x, y],
                  [x + cell, y],
                ],
                [
                  [x + cell, y],
                  [x + cell, y + high],
                ],
              ] as (readonly [Point, Point])[],
          ),
        },
        ...pocket,
      ],
      seams: [],
      openings: [],
      patches: [patch(0, [0, 0, width, height], plane([0, 0, thin], [1, 0, 0], [0, 1, 0])), ...bowed],
    },
    size: [width, height, 2 * thin + out],
    parts: [body(sizes, 'body', spaceOf([0, 0, 0], [width, height, 2 * thin + out]))],
    extras: [],
    anchor: [width / 2, height, 0],
  });
};
