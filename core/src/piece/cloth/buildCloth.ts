// µm, doll size. Things of cloth where they lie: as many as are wanted, each at the size of its place where it takes its size from there.

import type { Part } from '../../assembly/index.ts';
import { FILLING_GRAMS_PER_LITRE, THREAD, volumeWithin, workLength } from '../../cloth/index.ts';
import { ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { mapVec, type Vec3 } from '../../shape/index.ts';
import { type Cloth, clothThickness, FIRST_CLOTHS } from '../../stock/index.ts';
import { type Means, type PlaceSpace, sheetsFor } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Built, Extra } from '../parts/built.ts';
import { extra } from '../parts/extra.ts';
import { movedParts } from '../parts/parts.ts';
import { putFor } from '../parts/put.ts';
import { apron, bag, pockets } from './bags.ts';
import { CLOTH_ROLES, type ClothForm, type ClothThing, SIZED } from './cloth.ts';
import { bolster, boxCushion, cushion, petBed } from './cushions.ts';
import { blind, curtain } from './hangings.ts';
import { quilt } from './quilt.ts';
import type { ClothSizes, Sewn, SewnResult } from './sewn.ts';
import { comforter, flatSheet, rug, runner, tableCloth, towel } from './spreads.ts';
import { fittedSheet, mattressCover, seatCover, upholstery } from './wraps.ts';

const MAKE: Readonly<Record<ClothForm, (sizes: ClothSizes) => SewnResult>> = {
  cushion,
  'box cushion': boxCushion,
  bolster,
  'seat cover': seatCover,
  'mattress cover': mattressCover,
  'fitted sheet': fittedSheet,
  'flat sheet': flatSheet,
  quilt,
  comforter,
  curtain,
  blind,
  rug,
  runner,
  'table cloth': tableCloth,
  apron,
  bag,
  towel,
  upholstery,
  'pet bed': petBed,
  pockets,
};

/** The cloth that a thing is made of. */
export const clothFor = (cloths: readonly Cloth[] | undefined, id: string | null): Cloth =>
  cloths?.find((each) => each.id === id) ?? cloths?.[0] ?? (FIRST_CLOTHS[0] as Cloth);

/** The sizes that count, at doll size. */
export const sizesOfCloth = (piece: ClothThing, means: Means): ClothSizes => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const place: PlaceSpace | undefined = piece.on ? means.place?.(piece.on) : undefined;
  const takes = new Set(place && piece.fits ? SIZED[piece.form] : []);
  const upright = place?.kind === 'window';
  return {
    piece,
    width: place && takes.has('width') ? place.width : doll(piece.width),
    depth: place && takes.has('depth') ? place.depth : doll(piece.depth),
    height:
      place && upright && takes.has('height')
        ? place.depth
        : place && takes.has('thick') && place.thick > 0
          ? place.thick
          : doll(piece.height),
    drop: doll(piece.drop),
    beyond: doll(piece.beyond),
    straps: doll(piece.straps),
    round: place && takes.has('depth') ? place.round : piece.round,
    cloth: clothThickness(clothFor(means.cloths, piece.cloths.main)),
    place,
    sheets: sheetsFor(piece, CLOTH_ROLES, means),
    put: putFor(piece.id),
  };
};

const numbered = (parts: readonly Part[], id: string, number: number): readonly Part[] =>
  parts.map((part) => ({ ...part, id: part.id.replace(`${id}/`, `${id}/${number + 1}-`) }));

/** What joins it: thread, or glue, or tape; and what fills it. */
const workExtras = ({ way, seam }: ClothThing, { pattern, filled }: Sewn): readonly Extra[] => {
  const { seams, hems } = workLength(pattern);
  const all = seams + hems;
  const joins = {
    sewn: extra('thread', all * THREAD),
    glued: extra('line of glue', all),
    tape: extra('iron tape', all, { wide: seam }),
    felt: extra('thread or line of glue', seams * THREAD),
  };
  const grams = filled ? (volumeWithin(pattern) / 1e15) * FILLING_GRAMS_PER_LITRE : 0;
  return [
    ...(all > 0 ? [joins[way]] : []),
    ...(filled ? [extra('loose filling', 0, { grams: Math.max(0.1, Math.round(grams * 10) / 10) })] : []),
  ];
};

const times = (extras: readonly Extra[], count: number): readonly Extra[] =>
  extras.map((each) => ({
    ...each,
    length: each.length * count,
    count: each.count * count,
    ...(each.grams !== undefined && { grams: Math.round(each.grams * count * 10) / 10 }),
  }));

/** Builds a thing of cloth in all its copies, one above the other.
 *  Shape: piece, means → its pattern, what it takes, boards and sticks that belong to it, and the space that each copy fills. Errors: 'does-not-fit' for what cannot be cut or
 *  filled so. */
export const buildCloth = (piece: ClothThing, means: Means): Result<Built, PieceProblem> => {
  const made = MAKE[piece.form](sizesOfCloth(piece, means));
  if (!made.ok) return made;
  const { pattern, size, parts, extras, anchor } = made.value;
  const [wide, high, deep] = mapVec(size, (value) => Math.max(1, Math.round(value)));
  const hangs = HUNG.has(piece.form);
  const copies = Array.from({ length: piece.count }, (_, index): Vec3 => (hangs ? [index * wide, 0, 0] : [0, index * high, 0]));
  const all = piece.count === 1 ? parts : copies.flatMap((at, index) => movedParts(numbered(parts, piece.id, index), at));
  const last = copies.at(-1) as Vec3;
  return ok({
    assembly: {
      parts: all,
      outside: { min: [0, 0, 0], max: [last[0] + wide, last[1] + high, deep] },
      clear: { min: [0, 0, 0], max: [0, 0, 0] },
      motions: [],
    },
    bays: [],
    openings: [],
    marks: [],
    extras: [...times(workExtras(piece, made.value), piece.count).map((each) => ({ ...each, count: 1 })), ...times(extras, piece.count)],
    sewing: { pattern, copies },
    anchor,
  });
};

/** Forms of which several hang side by side and do not lie on one another. */
const HUNG: ReadonlySet<ClothForm> = new Set(['curtain', 'blind', 'apron', 'bag', 'pockets']);
