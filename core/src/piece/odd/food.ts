// µm, doll size. Food and plates.

import type { Part } from '../../assembly/index.ts';
import { err } from '../../kit/index.ts';
import { UM } from '../../measure/index.ts';
import { discNet } from '../../net/index.ts';
import type { Point, Ring } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import { extra } from '../parts/extra.ts';
import { axisFor, bodyPart, boxPart, made, netOn, polygon, type RecipeContext, type RecipeResult } from './recipe.ts';

/** Corners of a round cake that is cut with a knife, or as many more as give each slice the same. */
const ROUND = 32;

/** A slice of a regular figure or a disc: its two straight cuts meet in the middle. */
const sliceRing = (radius: number, sides: number, from: number, to: number): Ring => {
  const angle = (share: number): number => 2 * Math.PI * share;
  const onEdge = (share: number): Point => {
    // Along the chord between two corners.
    const at = share * sides;
    const [low, rest] = [Math.floor(at + 1e-9), at - Math.floor(at + 1e-9)];
    const [a, b] = [angle(low / sides), angle((low + 1) / sides)];
    return [radius * (Math.cos(a) * (1 - rest) + Math.cos(b) * rest), radius * (Math.sin(a) * (1 - rest) + Math.sin(b) * rest)];
  };
  const corners: Point[] = [];
  for (let corner = Math.floor(from * sides + 1e-9) + 1; corner < to * sides - 1e-9; corner += 1) corners.push(onEdge(corner / sides));
  return [[0, 0] as Point, onEdge(from), ...corners, onEdge(to)].map(([x, y]): Point => [Math.round(x) + 0, Math.round(y) + 0]);
};

/** A cake, pie, cheese, pizza or flat loaf: layers of board, round or of many sides, whole or in slices, some of them gone; a strip of icing round it, decoration on its rim. */
export const cake = (doing: RecipeContext): RecipeResult => {
  const { piece, width, sheets, height } = doing;
  const [one, radius] = [sheets.body.one, Math.round(width / 2)];
  const layers = Math.max(1, Math.round(height / one));
  const isRound = piece.sides < 3;
  const sides = isRound ? piece.slices * Math.ceil(ROUND / piece.slices) : piece.sides;
  const gone = Math.min(piece.gone, piece.slices - 1);
  const problem = lack('a slice to cut', Math.floor((Math.PI * width) / piece.slices), 2 * UM.mm);
  if (problem) return err(problem);
  const rings =
    piece.slices === 1
      ? [polygon(radius, sides)]
      : Array.from({ length: piece.slices - gone }, (_, index) =>
          sliceRing(radius, sides, (index + gone) / piece.slices, (index + gone + 1) / piece.slices),
        );
  const parts = piece.found
    ? [bodyPart(doing, axisFor(width), [0, layers * one], radius, radius, 'found')]
    : rings.flatMap((outline, slice) =>
        Array.from(
          { length: layers },
          (_, layer): Part => ({
            id: `${piece.id}/${rings.length === 1 ? 'layer' : `slice-${slice + 1}`}-${layer + 1}`,
            role: 'panel',
            name: rings.length === 1 ? `layer ${layer + 1}` : `slice, layer ${layer + 1}`,
            stuff: 'board',
            stock: sheets.body.board,
            thickness: one,
            region: { outline, holes: [] },
            pose: { origin: [radius, layer * one, radius], u: [1, 0, 0], v: [0, 0, -1] },
            grain: 'any',
            held: 'slides',
            length: null,
            centres: [],
          }),
        ),
      );
  // Round the rim, a little inside it, beads stand side by side with half of one between two.
  const round = isRound ? Math.PI * (width - 1.5 * piece.bead) : sides * 2 * (radius - piece.bead * 0.75) * Math.sin(Math.PI / sides);
  const left = (piece.slices - gone) / piece.slices;
  const beads = piece.extras === 0 ? 0 : Math.min(piece.extras, Math.max(1, Math.floor((round * left) / (1.5 * piece.bead))));
  const long = isRound ? Math.PI * width : sides * 2 * radius * Math.sin(Math.PI / sides);
  const xs = rings.flat().map(([x]) => x);
  const ys = rings.flat().map(([, y]) => y);
  const reach = { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
  const shift = piece.found ? [0, 0] : [-(radius + reach.x0), -(radius - reach.y1)];
  return made({
    parts: parts.map((part) => ({
      ...part,
      pose: { ...part.pose, origin: [part.pose.origin[0] + (shift[0] ?? 0), part.pose.origin[1], part.pose.origin[2] + (shift[1] ?? 0)] },
    })),
    nets: [],
    extras: [
      extra('strip of icing or crust round it', long * left + piece.tab, { wide: layers * one }),
      ...(beads > 0 ? [extra(`beads or berries of ${(piece.bead / 1000).toFixed(1)} mm on its rim`, 0, { count: beads })] : []),
    ],
    size: piece.found ? [2 * radius, layers * one, 2 * radius] : [reach.x1 - reach.x0, layers * one, reach.y1 - reach.y0],
    wanted: [{ as: 'the whole', shapes: ['disc', 'cup'], across: width, high: height }],
  });
};

/** A loaf in section: straight sides, a round top. */
const loafRing = (wide: number, high: number): Ring => {
  const STEPS = 10;
  const side = Math.round(high * 0.6);
  const arc = Array.from({ length: STEPS + 1 }, (_, index): Point => {
    const angle = (Math.PI * index) / STEPS;
    return [Math.round((wide / 2) * (1 + Math.cos(angle))), Math.round(side + (high - side) * Math.sin(angle))];
  });
  return [[0, 0], [wide, 0], ...arc];
};

/** A loaf: slices of board of one outline, side by side; a strip of crust as long as its outline. */
export const loaf = (doing: RecipeContext): RecipeResult => {
  const { piece, width: long, height, depth, sheets } = doing;
  const one = sheets.body.one;
  const all = Math.max(1, Math.round(long / one));
  const left = Math.max(1, all - Math.min(piece.gone, all - 1));
  const outline = loafRing(depth, height);
  const round = outline.reduce((sum, [x, y], index) => {
    const [a, b] = outline[(index + 1) % outline.length] as Point;
    return sum + Math.hypot(a - x, b - y);
  }, 0);
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: all * one, y0: 0, y1: height, z0: 0, z1: depth })]
      : Array.from(
          { length: left },
          (_, index): Part => ({
            id: `${piece.id}/slice-${index + 1}`,
            role: 'panel',
            name: 'slice',
            stuff: 'board',
            stock: sheets.body.board,
            thickness: one,
            region: { outline, holes: [] },
            pose: { origin: [index * one, 0, depth], u: [0, 0, -1], v: [0, 1, 0] },
            grain: 'any',
            held: 'slides',
            length: null,
            centres: [],
          }),
        ),
    nets: [],
    extras: [extra('strip of crust round the loaf', round + piece.tab, { wide: left * one })],
    size: [(piece.found ? all : left) * one, height, depth],
    wanted: [{ as: 'the loaf', shapes: ['box'], across: long, high: height }],
  });
};

/** A plate: two discs of card, the smaller one is where one eats; its rim is what is left. */
export const plate = (doing: RecipeContext): RecipeResult => {
  const { piece, width, above, paper } = doing;
  const axis = axisFor(width);
  const problem = lack('what is eaten off within its rim', width, above + 2 * UM.mm);
  if (problem) return err(problem);
  const lying = (y: number) => ({ origin: [axis.x, y, axis.z] as const, u: [1, 0, 0] as const, v: [0, 0, -1] as const });
  const thick = Math.max(200, Math.round(2 * paper));
  return made({
    parts: [bodyPart(doing, axis, [0, thick], width / 2, width / 2, 'plate')],
    nets: piece.found
      ? []
      : [
          netOn(doing, 'plate', discNet('plate', width), lying(paper / 2)),
          ...(above > UM.mm ? [netOn(doing, 'rim', discNet('rim', width, above), lying(1.5 * paper))] : []),
        ],
    extras: [],
    size: [2 * axis.x, thick, 2 * axis.z],
    wanted: [{ as: 'the plate', shapes: ['disc'], across: width, high: Math.max(thick, 1_500) }],
  });
};
