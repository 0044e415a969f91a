// µm, doll size. What hangs at windows: curtains, blinds.

import type { Part } from '../../assembly/index.ts';
import { type ClothPiece, type EdgeWork, type Patch, patch, plane, rectPiece, waveOf } from '../../cloth/index.ts';
import { UM } from '../../measure/index.ts';
import { ellipseRing, type Point } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import { extra } from '../parts/extra.ts';
import { roundIn, type Space, sectionOf } from '../parts/panels.ts';
import { body, type ClothSizes, hemming, made, refused, type SewnResult, spaceOf } from './sewn.ts';

/** Round a rod with a little room: half of what goes round it is the pocket's depth. Common practice, no source. */
const ROD_EASE = 4 * UM.mm;

/** How deep a pocket is so that a rod goes through. */
export const pocketFor = (rod: number): number => Math.round((Math.PI * rod + ROD_EASE) / 2);

/** Rings or tabs stand about so far apart. Common practice, no source. */
const RINGS_APART = 22 * UM.mm;

/** A bracket's board stands out round its rod by so much. */
const BRACKET_RIM = 3 * UM.mm;

const ringsOn = (span: number): number => Math.max(3, Math.round(span / RINGS_APART) + 1);

type Rod = { readonly across: number; readonly length: number; readonly axis: number; readonly out: number };

/** The rod, and a board with a hole at each end that it goes through. */
const rodParts = ({ piece, sheets, put }: ClothSizes, { across, length, axis, out }: Rod): readonly Part[] => {
  const radius = Math.floor(across / 2);
  const ring = ellipseRing(radius, radius, radius, radius);
  const space: Space = { x0: 0, x1: length, y0: axis - radius, y1: axis + radius, z0: out - radius, z1: out + radius };
  const rod = roundIn(space, { id: `${piece.id}/rod`, role: 'rail', name: 'curtain rod', shows: 'right', held: 'slides' }, ring, {
    stuff: 'stick',
    stock: piece.rod,
    length,
  });
  if (!piece.brackets) return [rod];
  const board = sheets.bracket.thickness;
  const high = radius + BRACKET_RIM;
  const deep = out + high;
  const hole = ellipseRing(deep - out, high, radius + 200, radius + 200).toReversed();
  return [
    rod,
    ...[Math.round(length * 0.06), length - Math.round(length * 0.06) - board].flatMap((x, index) =>
      put(
        `bracket-${index + 1}`,
        ['fitting', `bracket ${index + 1}`, 'right'],
        spaceOf([x, axis - high, 0], [x + board, axis + high, deep]),
        sheets.bracket,
        { held: 'slides', holes: [hole], centres: [[deep - out, high]] },
      ),
    ),
  ];
};

/** Curtains on a rod: each as wide as its share of the rod times the fullness; above the rod a header, below a hem. Common practice, no source. */
export const curtain = (sizes: ClothSizes): SewnResult => {
  const { piece, width, height, beyond } = sizes;
  const { panels: n, hang, header } = piece;
  const rod = sectionOf(piece.rod).width;
  const span = width + 2 * beyond;
  const each = Math.round(span / n);
  const flat = Math.round((each * piece.fullness) / 100);
  const inPocket = hang === 'pocket';
  const pocket = pocketFor(rod);
  const problem = lack('the curtain below its rod', height, header + pocket + 2 * piece.hem + 2 * UM.mm);
  if (problem) return refused(problem);
  const hem = hemming(piece);
  const above: EdgeWork = inPocket ? ['pocket', header + pocket + (piece.way === 'felt' ? 0 : piece.hem)] : hem;
  const waves = Math.max(2, Math.round(each / (18 * UM.mm)));
  const gathered = Math.min(each, flat);
  const { amplitude } = waveOf(gathered / waves, flat / waves);
  const axis = height - header - Math.round(pocket / 2);
  // The folds hang in front of the wall by as much as they are deep, and the rod in their middle.
  const deep = Math.max(Math.ceil(amplitude), Math.ceil(rod / 2)) + 2 * UM.mm;
  const pieces = Array.from(
    { length: n },
    (_, index): ClothPiece =>
      rectPiece(
        n === 1 ? 'curtain' : `curtain ${index + 1}`,
        flat,
        height,
        { lower: hem, right: hem, upper: above, left: hem },
        {
          stitches: inPocket
            ? [height - header, height - header - pocket].map((y): readonly [Point, Point] => [
                [0, y],
                [flat, y],
              ])
            : [],
        },
      ),
  );
  const patches = Array.from(
    { length: n },
    (_, index): Patch =>
      patch(
        index,
        [0, 0, flat, height],
        { kind: 'wave', pose: { origin: [index * each, 0, deep], u: [1, 0, 0], v: [0, 1, 0] }, flat, span: gathered, waves },
        [waves * 12, 1],
      ),
  );
  const [radius, rim] = [Math.floor(rod / 2), piece.brackets ? BRACKET_RIM : 0];
  const [bottom, over] = [axis - radius - rim, axis + radius + rim];
  const front = Math.max(2 * deep - 2 * UM.mm, deep + radius + rim);
  // The header stands above the rod as far as it reaches beyond what holds that.
  const headed = height > over;
  const rings = ringsOn(each) * n;
  return made({
    pattern: { pieces, seams: [], openings: [], patches },
    size: [span, headed ? height : axis + radius, front],
    parts: [
      body(sizes, 'curtain', spaceOf([0, 0, 0], [span, bottom, front])),
      ...(headed ? [body(sizes, 'header', spaceOf([0, over, deep - radius], [span, height, deep + radius]))] : []),
      ...rodParts(sizes, { across: rod, length: span, axis, out: deep }),
    ],
    extras: [
      ...(hang === 'rings' ? [extra('rings that go over the rod', 0, { count: rings })] : []),
      ...(hang === 'tabs'
        ? [
            extra('ribbon for loops over the rod', rings * (Math.PI * rod + 2 * ROD_EASE + 2 * piece.hem), {
              count: rings,
              wide: 4 * UM.mm,
            }),
          ]
        : []),
      ...(piece.tied
        ? [extra('ribbon to tie it back', n * (each + 20 * UM.mm), { count: n, wide: Math.max(3 * UM.mm, piece.border) })]
        : []),
      ...(piece.border > 0 ? [extra('ribbon along its hem', n * (flat + 2 * piece.hem), { count: n, wide: piece.border })] : []),
    ],
    // The rod is held just above the frame.
    anchor: [span / 2, bottom, 0],
  });
};

/** A blind: flat, a stick in a pocket above and below, stitched or pressed where it folds up. */
export const blind = (sizes: ClothSizes): SewnResult => {
  const { piece, width, height } = sizes;
  const rod = sectionOf(piece.rod).width;
  const pocket = pocketFor(rod);
  const problem = lack('the blind between its sticks', height, 2 * pocket + 2 * UM.mm);
  if (problem) return refused(problem);
  const hem = hemming(piece);
  const ends: EdgeWork = ['pocket', pocket + (piece.way === 'felt' ? 0 : piece.hem)];
  const folds = Array.from({ length: piece.rows - 1 }, (_, index): readonly [Point, Point] => {
    const y = Math.round(((index + 1) * height) / piece.rows);
    return [
      [0, y],
      [width, y],
    ];
  });
  const radius = Math.floor(rod / 2);
  const ring = ellipseRing(radius, radius, radius, radius);
  const stick = (name: string, y: number): Part =>
    roundIn(
      { x0: 0, x1: width, y0: y, y1: y + 2 * radius, z0: 0, z1: 2 * radius },
      { id: `${piece.id}/${name}`, role: 'rail', name, shows: 'right', held: 'slides' },
      ring,
      { stuff: 'stick', stock: piece.rod, length: width },
    );
  return made({
    pattern: {
      pieces: [
        rectPiece(
          'blind',
          width,
          height,
          { lower: ends, right: hem, upper: ends, left: hem },
          {
            folds,
            stitches: [pocket, height - pocket].map((y): readonly [Point, Point] => [
              [0, y],
              [width, y],
            ]),
          },
        ),
      ],
      seams: [],
      openings: [],
      patches: [patch(0, [0, 0, width, height], plane([0, 0, 2 * radius], [1, 0, 0], [0, 1, 0]))],
    },
    size: [width, height, 2 * radius],
    parts: [
      stick('upper stick', height - 2 * radius),
      stick('lower stick', 0),
      body(sizes, 'blind', spaceOf([0, 2 * radius, 0], [width, height - 2 * radius, 2 * radius])),
    ],
    extras: piece.rows > 1 ? [extra('thin cord to draw it up', 2 * (2 * height + width / 2), { count: 2 })] : [],
    anchor: [width / 2, height - radius, 0],
  });
};
