// µm, doll size. What goes over a block and is drawn or tucked under it: seat covers, mattresses, fitted sheets, upholstery.

import { type ClothPiece, discPiece, discRing, outlinePiece, type Patch, patch, plane, rectPiece } from '../../cloth/index.ts';
import { UM } from '../../measure/index.ts';
import type { Point } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import { extra } from '../parts/extra.ts';
import type { ClothThing } from './cloth.ts';
import { body, type ClothSizes, hemming, made, meeting, padding, refused, type Sewn, type SewnResult, seam, spaceOf } from './sewn.ts';

/** How much shorter elastic is than what it draws together, and what of it is sewn on itself. Common practice, no source. */
const ELASTIC = 0.85;
const ELASTIC_OVER = 15 * UM.mm;

const elasticFor = (round: number) => extra('thin elastic', round * ELASTIC + ELASTIC_OVER);

/** What is tucked under and not sewn is stuck down there. */
const stuckDown = ({ way }: ClothThing, round: number) => extra(way === 'tape' ? 'iron tape' : 'line of glue', round);

/** Cloth under a seat is drawn together to this far within its edge at the least. */
const underOf = ({ piece }: ClothSizes, radius: number): number => Math.min(piece.tuck, radius * 0.8);

/** A disc over a round seat: down its side and drawn together, or laid in tucks, under it. */
const roundSeatCover = (sizes: ClothSizes): SewnResult => {
  const { piece, width, height } = sizes;
  const radius = width / 2;
  const under = underOf(sizes, radius);
  const whole = radius + height + under;
  const [outer, inner] = [2 * Math.PI * whole, 2 * Math.PI * (radius - under)];
  const gathered = piece.edge === 'gathered';
  const tucks = Math.max(4, piece.panels);
  // A tuck takes its depth twice; notches stand where it begins and ends.
  const deep = (outer - inner) / (2 * tucks);
  const notches = Array.from({ length: tucks }, (_, index) => [index / tucks, index / tucks + (2 * deep) / outer] as const).flat();
  const spoke = (share: number, from: number): Point => {
    const angle = 2 * Math.PI * share;
    return [whole + from * Math.cos(angle), whole + from * Math.sin(angle)];
  };
  const edge =
    gathered && piece.way === 'sewn'
      ? (['pocket', 2 * piece.hem] as const)
      : hemming({ ...piece, way: piece.way === 'sewn' ? 'glued' : 'felt' });
  return made({
    pattern: {
      pieces: [
        discPiece('cover', whole, edge, {
          stitches: gathered ? [] : notches.map((share) => [spoke(share, whole), spoke(share, whole - under)] as const),
        }),
      ],
      seams: [],
      openings: [],
      patches: [
        {
          piece: 0,
          ring: discRing(radius + height, [whole, whole]),
          bend: { kind: 'flute', centre: [whole, whole], at: [radius, height, radius], radius, folds: gathered ? 32 : tucks },
          fine: [1, 14],
          rings: [radius / (radius + height)],
        },
      ],
    },
    size: [width, height, width],
    parts: [padding(sizes, 'pad', 'round of foam or batting', spaceOf([0, 0, 0], [width, height, width]))],
    extras: piece.way !== 'sewn' ? [stuckDown(piece, inner)] : gathered ? [elasticFor(inner)] : [],
    anchor: [radius, 0, radius],
  });
};

type Cross = { readonly w: number; readonly d: number; readonly side: number };

/** A cross: a rectangle with four arms, their sides joined to those of the next. Edges from the lower arm's left side on. */
const crossLine = ({ w, d, side: s }: Cross): readonly Point[] => [
  [s, s],
  [s, 0],
  [s + w, 0],
  [s + w, s],
  [2 * s + w, s],
  [2 * s + w, s + d],
  [s + w, s + d],
  [s + w, 2 * s + d],
  [s, 2 * s + d],
  [s, s + d],
  [0, s + d],
  [0, s],
];

const CROSS_EDGES = [
  'front, left',
  'front',
  'front, right',
  'right, in front',
  'right',
  'right, behind',
  'behind, right',
  'behind',
  'behind, left',
  'left, behind',
  'left',
  'left, in front',
] as const;

const OPEN_EDGES = new Set(['front', 'right', 'behind', 'left']);

const wrapPatches = (w: number, h: number, d: number, s: number): readonly Patch[] => [
  patch(0, [s, s, s + w, s + d], plane([-s, h, d + s], [1, 0, 0], [0, 0, -1])),
  patch(0, [s, s - h, s + w, s], plane([-s, h - s, d], [1, 0, 0], [0, 1, 0])),
  patch(0, [s, s + d, s + w, s + d + h], plane([-s, h + s + d, 0], [1, 0, 0], [0, -1, 0])),
  patch(0, [s - h, s, s, s + d], plane([0, h - s, d + s], [0, 1, 0], [0, 0, -1])),
  patch(0, [s + w, s, s + w + h, s + d], plane([w, h + s + w, d + s], [0, -1, 0], [0, 0, -1])),
];

/** Cloth over a block: the block, twice its thickness and twice what is tucked under. Sewn, its corners are cut out and closed; otherwise they are folded like a parcel's. */
const over = (
  sizes: ClothSizes,
  height: number,
  inside: Pick<Sewn, 'parts' | 'extras'>,
  batting: readonly ClothPiece[],
  elastic: boolean,
): SewnResult => {
  const { piece, width: w, depth: d } = sizes;
  const problem = lack('what is tucked under it', Math.min(w, d) / 2, piece.tuck);
  if (problem) return refused(problem);
  const s = height + piece.tuck;
  const sewn = piece.way === 'sewn';
  const [folded, hem] = [['raw', 0] as const, hemming(piece)];
  const edge = elastic ? (['pocket', 2 * piece.hem] as const) : hem;
  const cover = sewn
    ? outlinePiece(
        'cover',
        crossLine({ w, d, side: s }),
        CROSS_EDGES.map((name) => [name, 1, OPEN_EDGES.has(name) ? edge : meeting(piece)]),
      )
    : rectPiece('cover', w + 2 * s, d + 2 * s, folded, {
        folds: [
          [
            [s, s],
            [s + w, s],
          ],
          [
            [s + w, s],
            [s + w, s + d],
          ],
          [
            [s + w, s + d],
            [s, s + d],
          ],
          [
            [s, s + d],
            [s, s],
          ],
        ],
      });
  return made({
    pattern: {
      pieces: [cover, ...batting],
      seams: sewn
        ? [
            seam('front left corner', [0, 'left, in front'], [0, 'front, left']),
            seam('front right corner', [0, 'front, right'], [0, 'right, in front']),
            seam('back right corner', [0, 'right, behind'], [0, 'behind, right']),
            seam('back left corner', [0, 'behind, left'], [0, 'left, behind']),
          ]
        : [],
      openings: [],
      patches: wrapPatches(w, height, d, s),
    },
    size: [w, height, d],
    parts: inside.parts,
    extras: [
      ...inside.extras,
      ...(sewn ? [] : [stuckDown(piece, 2 * (w + d))]),
      ...(elastic && sewn ? [elasticFor(2 * (w + d) - 8 * piece.tuck)] : []),
    ],
    anchor: [w / 2, 0, d / 2],
  });
};

export const seatCover = (sizes: ClothSizes): SewnResult =>
  sizes.round
    ? roundSeatCover(sizes)
    : over(
        sizes,
        sizes.height,
        {
          parts: [padding(sizes, 'pad', 'pad of foam or batting', spaceOf([0, 0, 0], [sizes.width, sizes.height, sizes.depth]))],
          extras: [],
        },
        [],
        sizes.piece.edge === 'gathered',
      );

/** A board, batting on it, cloth over both: the board, its thickness with the batting's, and a tuck. Common practice, no source. */
export const mattressCover = (sizes: ClothSizes): SewnResult => {
  const { piece, width, depth, sheets, put } = sizes;
  const board = sheets.panel.thickness;
  const high = board + piece.layers * piece.loft;
  const batting = Array.from(
    { length: piece.layers },
    (_, index): ClothPiece => rectPiece(`batting ${index + 1}`, width, depth, ['raw', 0], { role: 'batting', anyWay: true }),
  );
  const parts = [
    ...put('board', ['panel', 'board of the mattress', 'up'], spaceOf([0, 0, 0], [width, board, depth]), sheets.panel, { held: 'slides' }),
    ...(piece.layers > 0 ? [body(sizes, 'batting', spaceOf([0, board, 0], [width, high, depth]))] : []),
  ];
  return over(sizes, high, { parts, extras: [] }, batting, false);
};

export const fittedSheet = (sizes: ClothSizes): SewnResult => {
  const { width, height, depth, cloth } = sizes;
  const thin = Math.max(1, Math.round(cloth));
  return over(
    sizes,
    height,
    {
      parts: [
        body(sizes, 'body', spaceOf([0, height - thin, 0], [width, height, depth])),
        body(sizes, 'front', spaceOf([0, 0, depth - thin], [width, height - thin, depth])),
        body(sizes, 'back', spaceOf([0, 0, 0], [width, height - thin, thin])),
      ],
      extras: [],
    },
    [],
    true,
  );
};

export const upholstery = (sizes: ClothSizes): SewnResult =>
  over(
    sizes,
    sizes.height,
    { parts: [padding(sizes, 'foam', 'foam of the upholstery', spaceOf([0, 0, 0], [sizes.width, sizes.height, sizes.depth]))], extras: [] },
    [],
    false,
  );
