// µm, doll size. Trays, pencils, frames: of sticks.
import type { Part } from '../../assembly/index.ts';
import { err } from '../../kit/index.ts';
import { UM } from '../../measure/index.ts';
import type { Point } from '../../shape/index.ts';
import { STICKS } from '../../stock/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { roundIn, sectionOf, stickIn } from '../parts/panels.ts';
import { boxPart, lyingTube, made, netOn, polygon, type RecipeContext, type RecipeResult, strip } from './recipe.ts';

/** Strips that are glued on a board have a flat side. */
const NO_EDGE: PieceProblem = {
  code: 'does-not-fit',
  what: 'a flat side on its strips (take a stick with edges)',
  available: 0,
  needed: 1,
};

/** A tray of board with a rim of sticks round it. */
export const tray = (doing: RecipeContext): RecipeResult => {
  const { piece, width, depth, put, sheets } = doing;
  const board = sheets.body.thickness;
  const stick = sectionOf(piece.stick);
  const [wide, high] = [Math.min(stick.width, stick.thickness), Math.max(stick.width, stick.thickness)];
  const problem = lack('its board within its rim', Math.min(width, depth), 2 * wide + 5 * UM.mm);
  if (problem) return err(problem);
  if (stick.section === 'round') return err(NO_EDGE);
  const bar = (id: string, x0: number, x1: number, z0: number, z1: number, facing: 'front' | 'right'): Part =>
    stickIn(
      { x0, x1, y0: board, y1: board + high, z0, z1 },
      { id: `${piece.id}/${id}`, role: 'rail', name: 'strip of the rim', shows: facing },
      piece.stick,
    );
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: width, y0: 0, y1: board + high, z0: 0, z1: depth })]
      : [
          ...put('bottom', ['bottom', 'board of the tray', 'up'], { x0: 0, x1: width, y0: 0, y1: board, z0: 0, z1: depth }, sheets.body),
          bar('front', 0, width, depth - wide, depth, 'front'),
          bar('back', 0, width, 0, wide, 'front'),
          bar('left', 0, wide, wide, depth - wide, 'right'),
          bar('right', width - wide, width, wide, depth - wide, 'right'),
        ],
    nets: [],
    extras: [],
    size: [width, board + high, depth],
    wanted: [{ as: 'the tray', shapes: ['disc', 'box'], across: width, high: board + high }],
  });
};

/** A pencil: a stick cut to length, its end sharpened, a strip of paper round it. */
export const pencil = (doing: RecipeContext): RecipeResult => {
  const { piece, width: long, part, paper } = doing;
  const across = sectionOf(piece.stick).width;
  const problem = lack('its point', long, part + 2 * UM.mm) ?? lack('paper so stiff round it', across, 8 * paper);
  if (problem) return err(problem);
  const radius = Math.floor(across / 2);
  const ring = polygon(radius, 12).map(([x, y]): Point => [x + radius, y + radius]);
  return made({
    parts: [
      roundIn(
        { x0: 0, x1: long, y0: 0, y1: 2 * radius, z0: 0, z1: 2 * radius },
        { id: `${piece.id}/pencil`, role: 'rail', name: 'pencil', shows: 'right', held: 'slides' },
        ring,
        { stuff: 'stick', stock: piece.stick, length: long },
      ),
    ],
    nets: piece.found ? [] : [lyingTube(doing, 'its colour', across + paper, long - part, [0, radius, radius])],
    extras: [],
    size: [long, 2 * radius, 2 * radius],
    wanted: [{ as: 'the pencil', shapes: ['rod'], across, high: long }],
  });
};

/** A frame of sticks, butted: the upper and lower one across; a back of board within it to glue a picture on. */
export const frame = (doing: RecipeContext): RecipeResult => {
  const { piece, width, height, put, sheets } = doing;
  const stick = STICKS[piece.stick];
  const [wide, thick] = [stick.width, stick.thickness];
  const problem = lack('a picture within its strips', Math.min(width, height), 2 * wide + 2 * UM.mm);
  if (problem) return err(problem);
  if (stick.section === 'round') return err(NO_EDGE);
  const board = sheets.body.thickness;
  const bar = (id: string, x0: number, x1: number, y0: number, y1: number): Part =>
    stickIn(
      { x0, x1, y0, y1, z0: board, z1: board + thick },
      { id: `${piece.id}/${id}`, role: 'border', name: 'strip of the frame', shows: 'front' },
      piece.stick,
    );
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: width, y0: 0, y1: height, z0: 0, z1: board + thick })]
      : [
          ...put('back', ['back', 'back of the frame', 'front'], { x0: 0, x1: width, y0: 0, y1: height, z0: 0, z1: board }, sheets.body),
          bar('below', 0, width, 0, wide),
          bar('above', 0, width, height - wide, height),
          bar('left', 0, wide, wide, height - wide),
          bar('right', width - wide, width, wide, height - wide),
        ],
    nets: piece.found
      ? []
      : [
          netOn(doing, 'picture', strip('picture', width - 2 * wide, height - 2 * wide), {
            origin: [wide, wide, board + 50],
            u: [1, 0, 0],
            v: [0, 1, 0],
          }),
        ],
    extras: [],
    size: [width, height, board + thick],
    wanted: [{ as: 'the frame', shapes: ['ring', 'box'], across: width, high: height }],
  });
};
