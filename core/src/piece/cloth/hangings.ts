// µm, doll size. What hangs: curtains, blinds, aprons, bags, pockets.
import type { Part } from '../../assembly/index.ts';
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
  waveOf,
} from '../../cloth/index.ts';
import { UM } from '../../measure/index.ts';
import { ellipseRing, type Point, type Vec3 } from '../../shape/index.ts';
import { roundIn, type Space, sectionOf } from '../kit/panels.ts';
import { lack } from '../kit/problem.ts';
import { body, closing, extra, hemming, type Made, made, refused, type Sizes, seam, spaceOf } from './sewn.ts';

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
const rodParts = ({ piece, sheets, put }: Sizes, { across, length, axis, out }: Rod): readonly Part[] => {
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
export const curtain = (sizes: Sizes): Made => {
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
export const blind = (sizes: Sizes): Made => {
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

/** An apron: a skirt, a bib, and a curve between them. */
export const apron = (sizes: Sizes): Made => {
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
export const bag = (sizes: Sizes): Made => {
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
export const pockets = (sizes: Sizes): Made => {
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
