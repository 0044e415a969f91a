// µm, doll size. What is filled: cushions, bolsters, beds of animals.
import { arcOver, discPiece, discRing, type Patch, patch, plane, rectPiece, type Seam } from '../../cloth/index.ts';
import { UM } from '../../measure/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import {
  body,
  type ClothSizes,
  closing,
  made,
  meeting,
  openingOn,
  padding,
  refused,
  rimOf,
  type Sewn,
  type SewnResult,
  seam,
  spaceOf,
} from './sewn.ts';

/** Filled more than this share of its lesser side, a cover is a ball. */
const FULLEST = 0.9;

/** Two pieces alike, joined all round: what is filled draws its sides in, so that both are cut as long as the bow over the middle. Finished sizes are those through the middle. */
export const cushion = (sizes: ClothSizes): SewnResult => {
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

const boxed = (sizes: ClothSizes): Sewn['pattern'] => {
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

const drum = (sizes: ClothSizes): Sewn['pattern'] => {
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
export const boxCushion = (sizes: ClothSizes): SewnResult => {
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
export const bolster = (sizes: ClothSizes): SewnResult => {
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

/** A round bed for an animal: a tube made up as a ring, by its middle as long as the circle that it lies on, and a base of two discs under it. */
export const petBed = (sizes: ClothSizes): SewnResult => {
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
