// µm, doll size. What is filled or goes over a block: cushions, bolsters, seat covers, mattresses, upholstery, beds of animals.
import {
  arcOver,
  type ClothPiece,
  discPiece,
  discRing,
  outlinePiece,
  type Patch,
  patch,
  plane,
  rectPiece,
  type Seam,
} from '../../cloth/index.ts';
import { UM } from '../../measure/index.ts';
import type { Point, Vec3 } from '../../shape/index.ts';
import { lack } from '../kit/problem.ts';
import type { ClothThing } from './cloth.ts';
import {
  body,
  closing,
  extra,
  hemming,
  type Made,
  made,
  meeting,
  openingOn,
  padding,
  refused,
  rimOf,
  type Sewn,
  type Sizes,
  seam,
  spaceOf,
} from './sewn.ts';

/** Filled more than this share of its lesser side, a cover is a ball. */
const FULLEST = 0.9;

/** Two pieces alike, joined all round: what is filled draws its sides in, so that both are cut as long as the bow over the middle. Finished sizes are those through the middle. */
export const cushion = (sizes: Sizes): Made => {
  const { piece, width, height, depth } = sizes;
  const rim = rimOf(piece);
  const [w, d] = [width - 2 * rim, depth - 2 * rim];
  const problem =
    lack('the cushion within its rim', Math.min(w, d) * FULLEST, height) ?? lack('the cushion within its rim', Math.min(w, d), 2 * UM.mm);
  if (problem) return refused(problem);
  const [long, high] = [Math.round(arcOver(w, height / 2)), Math.round(arcOver(d, height / 2))];
  const work = closing(piece);
  const pieces = [rectPiece('front', long, high, work), rectPiece('back', long, high, work)];
  const middle: Vec3 = [width / 2, height / 2, depth / 2];
  const filled = (u: Vec3): Patch['bend'] => ({
    kind: 'pillow',
    pose: { origin: middle, u, v: [0, 0, -1] },
    flat: [long, high],
    bulge: height / 2,
  });
  return made({
    pattern: {
      pieces,
      seams: [
        seam('lower edge', [0, 'lower'], [1, 'lower']),
        seam('right edge', [0, 'right'], [1, 'left']),
        seam('upper edge', [0, 'upper'], [1, 'upper']),
        seam('left edge', [0, 'left'], [1, 'right']),
      ],
      openings: [openingOn(0, 'lower', long), openingOn(1, 'lower', long)],
      patches: [patch(0, [0, 0, long, high], filled([1, 0, 0]), [10, 10]), patch(1, [0, 0, long, high], filled([-1, 0, 0]), [10, 10])],
    },
    size: [width, height, depth],
    parts: [body(sizes, 'body', spaceOf([0, 0, 0], [width, height, depth]))],
    extras: [],
    anchor: [width / 2, 0, depth / 2],
    filled: true,
  });
};

/** A band so long and wide round a block, by its four sides. */
const bandPatches = (band: number, w: number, h: number, d: number): readonly Patch[] => [
  patch(band, [0, 0, w, h], plane([0, 0, d], [1, 0, 0], [0, 1, 0])),
  patch(band, [w, 0, w + d, h], plane([w, 0, d + w], [0, 0, -1], [0, 1, 0])),
  patch(band, [w + d, 0, 2 * w + d, h], plane([2 * w + d, 0, 0], [-1, 0, 0], [0, 1, 0])),
  patch(band, [2 * w + d, 0, 2 * w + 2 * d, h], plane([0, 0, -(2 * w + d)], [0, 0, 1], [0, 1, 0])),
];

const boxSeams = (w: number, d: number): readonly Seam[] => {
  const round = 2 * (w + d);
  return [
    seam('top, in front', [0, 'lower'], [2, 'upper', round - w, round]),
    seam('top, right', [0, 'right'], [2, 'upper', round - w - d, round - w]),
    seam('top, behind', [0, 'upper'], [2, 'upper', d, w + d]),
    seam('top, left', [0, 'left'], [2, 'upper', 0, d]),
    seam('bottom, behind', [1, 'lower'], [2, 'lower', w + d, 2 * w + d]),
    seam('bottom, right', [1, 'right'], [2, 'lower', w, w + d]),
    seam('bottom, in front', [1, 'upper'], [2, 'lower', 0, w]),
    seam('bottom, left', [1, 'left'], [2, 'lower', 2 * w + d, round]),
  ];
};

const boxed = (sizes: Sizes): Sewn['pattern'] => {
  const { piece, width: w, height: h, depth: d } = sizes;
  const work = meeting(piece);
  const round = 2 * (w + d);
  return {
    pieces: [
      rectPiece('top', w, d, work),
      rectPiece('bottom', w, d, work),
      rectPiece('band', round, h, work, {
        folds: [w, w + d, 2 * w + d].map((x) => [
          [x, 0],
          [x, h],
        ]),
      }),
    ],
    seams: [...boxSeams(w, d), seam('band, closed', [2, 'left'], [2, 'right'])],
    openings: [openingOn(1, 'lower', w)],
    patches: [
      patch(0, [0, 0, w, d], plane([0, h, d], [1, 0, 0], [0, 0, -1])),
      patch(1, [0, 0, w, d], plane([0, 0, 0], [1, 0, 0], [0, 0, 1])),
      ...bandPatches(2, w, h, d),
    ],
  };
};

const disc = (piece: number, radius: number, bend: Patch['bend'], rings = 1): Patch => ({
  piece,
  ring: discRing(radius),
  bend,
  fine: [1, rings],
});

const drum = (sizes: Sizes): Sewn['pattern'] => {
  const { piece, width, height: h } = sizes;
  const radius = width / 2;
  const long = Math.round(Math.PI * width);
  const work = meeting(piece);
  return {
    pieces: [discPiece('top', radius, work), discPiece('bottom', radius, work), rectPiece('band', long, h, work)],
    seams: [
      seam('top, all round', [0, 'round'], [2, 'upper']),
      seam('bottom, all round', [1, 'round'], [2, 'lower']),
      seam('band, closed', [2, 'left'], [2, 'right']),
    ],
    openings: [{ piece: 1, edge: 'round', from: 0, to: Math.round(long / 4) }],
    patches: [
      disc(0, radius, plane([0, h, width], [1, 0, 0], [0, 0, -1])),
      disc(1, radius, plane([0, 0, 0], [1, 0, 0], [0, 0, 1])),
      patch(
        2,
        [0, 0, long, h],
        { kind: 'roll', pose: { origin: [width, 0, radius], u: [0, 0, -1], v: [0, 1, 0] }, radius: -radius },
        [48, 1],
      ),
    ],
  };
};

/** Top, bottom and a band between them, over a block of foam. */
export const boxCushion = (sizes: Sizes): Made => {
  const { width, height, round } = sizes;
  const depth = round ? width : sizes.depth;
  return made({
    pattern: round ? drum(sizes) : boxed(sizes),
    size: [width, height, depth],
    parts: [padding(sizes, 'foam', 'block of foam', spaceOf([0, 0, 0], [width, height, depth]))],
    extras: [],
    anchor: [width / 2, 0, depth / 2],
  });
};

/** A roll: a strip round it and a disc at each end. */
export const bolster = (sizes: Sizes): Made => {
  const { piece, width: length, depth: across } = sizes;
  const radius = across / 2;
  const long = Math.round(Math.PI * across);
  const work = meeting(piece);
  return made({
    pattern: {
      pieces: [rectPiece('round it', long, length, work), discPiece('right end', radius, work), discPiece('left end', radius, work)],
      seams: [
        seam('along it', [0, 'left'], [0, 'right']),
        seam('right end', [1, 'round'], [0, 'upper']),
        seam('left end', [2, 'round'], [0, 'lower']),
      ],
      openings: [openingOn(0, 'left', length), openingOn(0, 'right', length)],
      patches: [
        patch(
          0,
          [0, 0, long, length],
          { kind: 'roll', pose: { origin: [0, radius, across], u: [0, -1, 0], v: [1, 0, 0] }, radius: -radius },
          [48, 1],
        ),
        disc(1, radius, plane([length, across, 0], [0, 0, 1], [0, -1, 0])),
        disc(2, radius, plane([0, 0, 0], [0, 0, 1], [0, 1, 0])),
      ],
    },
    size: [length, across, across],
    parts: [body(sizes, 'body', spaceOf([0, 0, 0], [length, across, across]))],
    extras: [],
    anchor: [length / 2, 0, radius],
    filled: true,
  });
};

/** How much shorter elastic is than what it draws together, and what of it is sewn on itself. Common practice, no source. */
const ELASTIC = 0.85;
const ELASTIC_OVER = 15 * UM.mm;

const elasticFor = (round: number) => extra('thin elastic', round * ELASTIC + ELASTIC_OVER);

/** What is tucked under and not sewn is stuck down there. */
const stuckDown = ({ way }: ClothThing, round: number) => extra(way === 'tape' ? 'iron tape' : 'line of glue', round);

/** Cloth under a seat is drawn together to this far within its edge at the least. */
const underOf = ({ piece }: Sizes, radius: number): number => Math.min(piece.tuck, radius * 0.8);

/** A disc over a round seat: down its side and drawn together, or laid in tucks, under it. */
const roundSeatCover = (sizes: Sizes): Made => {
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
  sizes: Sizes,
  height: number,
  inside: Pick<Sewn, 'parts' | 'extras'>,
  batting: readonly ClothPiece[],
  elastic: boolean,
): Made => {
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

export const seatCover = (sizes: Sizes): Made =>
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
export const mattressCover = (sizes: Sizes): Made => {
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

export const fittedSheet = (sizes: Sizes): Made => {
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

export const upholstery = (sizes: Sizes): Made =>
  over(
    sizes,
    sizes.height,
    { parts: [padding(sizes, 'foam', 'foam of the upholstery', spaceOf([0, 0, 0], [sizes.width, sizes.height, sizes.depth]))], extras: [] },
    [],
    false,
  );

/** A round bed for an animal: a tube made up as a ring, by its middle as long as the circle that it lies on, and a base of two discs under it. */
export const petBed = (sizes: Sizes): Made => {
  const { piece, width, height } = sizes;
  const tube = height / 2;
  const radius = width / 2 - tube;
  const problem = lack('the ring round its base', radius, tube);
  if (problem) return refused(problem);
  const [long, wide] = [Math.round(2 * Math.PI * radius), Math.round(Math.PI * height)];
  const work = meeting(piece);
  return made({
    pattern: {
      pieces: [
        rectPiece('ring', long, wide, work),
        discPiece('base, upper', radius, closing(piece)),
        discPiece('base, lower', radius, closing(piece)),
      ],
      seams: [
        seam('ring, closed', [0, 'left'], [0, 'right']),
        seam('ring, along it', [0, 'lower'], [0, 'upper']),
        seam('base, all round', [1, 'round'], [2, 'round']),
      ],
      openings: [openingOn(0, 'lower', long), openingOn(0, 'upper', long)],
      patches: [
        patch(0, [0, 0, long, wide], { kind: 'torus', at: [width / 2, tube, width / 2], radius, tube, squash: 1 }, [48, 16]),
        disc(1, radius, plane([tube, Math.round(tube / 2), width - tube], [1, 0, 0], [0, 0, -1])),
        disc(2, radius, plane([tube, Math.round(tube / 2), tube], [1, 0, 0], [0, 0, 1])),
      ],
    },
    size: [width, height, width],
    parts: [body(sizes, 'body', spaceOf([0, 0, 0], [width, height, width]))],
    extras: [],
    anchor: [width / 2, 0, width / 2],
    filled: true,
  });
};
