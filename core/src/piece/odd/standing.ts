// µm, doll size. Lamps, plants, vases, candles, bottles, logs: what goes round an axis.

import { err } from '../../kit/index.ts';
import { UM } from '../../measure/index.ts';
import { coneNet, coneStands, discNet, labelOf, spiralOf, tubeNet, tubeStands } from '../../net/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import { extra } from '../parts/extra.ts';
import { sectionOf } from '../parts/panels.ts';
import { dowel } from '../parts/round.ts';
import {
  axisFor,
  bodyPart,
  discPart,
  flatNet,
  leafRing,
  lyingTube,
  made,
  netOn,
  type Recipe,
  type RecipeContext,
  type RecipeResult,
} from './recipe.ts';

/** A wall between two circles round an axis: a tube where both are alike. `low` and `high` are diameters at its lower and upper edge. */
const mantle = (doing: RecipeContext, name: string, low: number, high: number, height: number, [x, y, z]: Vec3): Recipe['nets'][number] => {
  const { piece, paper } = doing;
  const [large, small] = [Math.max(low, high), Math.min(low, high)];
  if (large - small < 400) return netOn(doing, name, tubeNet(name, large - paper, height, piece.tab), tubeStands(large - paper, [x, y, z]));
  return netOn(doing, name, coneNet(name, large, small, height, piece.tab), coneStands(large, small, height, [x, y, z], high > low));
};

const FOUND = (doing: RecipeContext, width: number, height: number): Recipe['parts'] => [
  bodyPart(doing, axisFor(width), [0, height], width / 2, width / 2, 'found'),
];

/** What is made of paper is so thick as a body. */
const WALL = 150;

/** A small cell light needs so much room under a shade. Common practice, no source. */
const CELL_LIGHT = 20 * UM.mm;

/** A lamp: a foot of board, a stem of stick, a disc in the shade that it hangs on, a shade that is rolled from the sector of a ring. */
export const lamp = (doing: RecipeContext): RecipeResult => {
  const { piece, width, height, above, part, foot, sheets } = doing;
  const across = Math.max(width, above, foot);
  const axis = axisFor(across);
  const [board, thin] = [sheets.base.thickness, sheets.base.one];
  const stem = sectionOf(piece.stick).width / 2;
  // The disc sits below the shade's upper edge, where that is as wide as the disc.
  const hangs = height - Math.max(thin + UM.mm, Math.round(part * 0.12));
  const wide = (y: number): number => width + ((above - width) * (y - (height - part))) / Math.max(1, part);
  const inside = Math.floor(Math.min(wide(hangs), wide(hangs - thin)) / 2 - Math.max(doing.paper, WALL) - 300);
  const problem =
    lack('the stem between foot and shade', hangs - thin - board, 2 * UM.mm) ??
    lack('its stem within the disc that holds the shade', inside, Math.ceil(stem) + 500) ??
    lack('its shade below its top', height, part + board) ??
    lack('its stem on its foot', foot / 2, Math.ceil(stem) + 500);
  if (problem) return err(problem);
  const middle: Vec3 = [axis.x, height - part, axis.z];
  return made({
    parts: piece.found
      ? FOUND(doing, across, height)
      : [
          discPart(doing, axis, [0, board], Math.floor(foot / 2), 'base', 'foot', 'foot of the lamp'),
          dowel(axis, [board, hangs - thin], piece.stick, { id: `${piece.id}/stem`, role: 'post', name: 'stem', held: 'slides' }),
          discPart(doing, axis, [hangs - thin, hangs], inside, 'base', 'holder', 'disc that holds the shade'),
          bodyPart(doing, axis, [height - part, height], width / 2, above / 2, 'shade', WALL),
        ],
    nets: piece.found ? [] : [mantle(doing, 'shade', width, above, part, middle)],
    extras: piece.found ? [] : [extra(`small battery light, at most ${CELL_LIGHT / UM.mm} mm across`, 0)],
    size: [2 * axis.x, height, 2 * axis.z],
    wanted: [
      { as: 'its shade', shapes: ['cup', 'tube'], across: (width + above) / 2, high: part },
      { as: 'its foot', shapes: ['disc', 'cup'], across: foot, high: board },
      { as: 'its stem', shapes: ['rod', 'tube'], across: 2 * stem, high: hangs - board },
    ],
  });
};

/** How high earth stands in a pot. Common practice, no source. */
const EARTH = 0.85;

/** How upright the tallest leaves of a plant are; what they are called among its papers. */
const TALL = 0.94;
const LEAF_NET = 'green leaf';

/** A plant in a pot: a mantle, a bottom, a disc of earth; leaves of paper on wires that stand in it. */
export const plant = (doing: RecipeContext): RecipeResult => {
  const { piece, width, height, above, part, sheets, paper } = doing;
  const across = Math.max(width, above);
  const axis = axisFor(across);
  const board = sheets.body.one;
  const earth = Math.round(part * EARTH);
  const at = (y: number): number => above + ((width - above) * y) / Math.max(1, part);
  const inside = Math.floor(at(earth - board) / 2 - paper - 300);
  const problem =
    lack('earth in its pot', inside, UM.mm) ??
    lack('earth above the pot’s bottom', earth, board + 2 * UM.mm) ??
    lack('leaves above the pot', height, part + 2 * UM.mm);
  if (problem) return err(problem);
  // Every leaf stands in the earth; the tallest reach the plant's height. A wire is glued behind it and goes down to the pot's bottom.
  const leaf = Math.round((height - earth) / TALL);
  const wide = Math.round(Math.min(leaf * 0.26, across * 0.4));
  const stem = Math.round(leaf * 0.6 + earth - board);
  return made({
    parts: piece.found
      ? [...FOUND(doing, across, height)]
      : [
          bodyPart(doing, axis, [0, part], above / 2, width / 2, 'pot', WALL),
          discPart(doing, axis, [earth - board, earth], inside, 'body', 'earth', 'disc of earth'),
          bodyPart(doing, axis, [part, height], width * 0.3, across / 2, 'leaves'),
        ],
    nets: piece.found
      ? []
      : [
          mantle(doing, 'pot', above, width, part, [axis.x, 0, axis.z]),
          netOn(doing, 'bottom', discNet('bottom', above - 2 * paper), { origin: [axis.x, paper / 2, axis.z], u: [1, 0, 0], v: [0, 0, 1] }),
          ...Array.from({ length: piece.extras }, (_, index) => {
            const angle = (2 * Math.PI * index) / Math.max(1, piece.extras);
            const [c, s] = [Math.cos(angle), Math.sin(angle)];
            const rise = index % 2 === 0 ? TALL : 0.72;
            const out = Math.sqrt(1 - rise * rise);
            return netOn(doing, LEAF_NET, flatNet(LEAF_NET, leafRing(leaf, wide)), {
              origin: [axis.x + c * across * 0.05, earth, axis.z - s * across * 0.05],
              u: [s, 0, c],
              v: [c * out, rise, -s * out],
            });
          }),
        ],
    extras: piece.found || piece.extras === 0 ? [] : [extra('thin wire for stems', stem * piece.extras, { count: piece.extras })],
    size: [2 * axis.x, height, 2 * axis.z],
    wanted: [{ as: 'its pot', shapes: ['cup'], across: (width + above) / 2, high: part }],
  });
};

/** A vase: a wall and a bottom. */
export const vase = (doing: RecipeContext): RecipeResult => {
  const { piece, width, height, above, paper } = doing;
  const across = Math.max(width, above);
  const axis = axisFor(across);
  const problem = lack('its bottom', width, 8 * paper) ?? lack('its mouth', above, 8 * paper);
  if (problem) return err(problem);
  return made({
    parts: [bodyPart(doing, axis, [0, height], width / 2, above / 2, 'vase')],
    nets: piece.found
      ? []
      : [
          mantle(doing, 'wall', width, above, height, [axis.x, 0, axis.z]),
          netOn(doing, 'bottom', discNet('bottom', width - 2 * paper), { origin: [axis.x, paper / 2, axis.z], u: [1, 0, 0], v: [0, 0, 1] }),
        ],
    extras: [],
    size: [2 * axis.x, height, 2 * axis.z],
    wanted: [{ as: 'the vase', shapes: ['cup', 'bottle', 'tube'], across: (width + above) / 2, high: height }],
  });
};

/** What is rolled is wound on itself from about so many thicknesses of core. Common practice, no source. */
const CORE = 6;

/** A strip wound up on itself to a thickness. Strips longer than a page are several. */
const wound = (
  doing: RecipeContext,
  name: string,
  across: number,
  long: number,
): { readonly length: number; readonly extras: Recipe['extras'] } => {
  const core = CORE * doing.paper;
  const length = spiralOf(across, Math.min(core, across / 2), doing.paper);
  return {
    length,
    extras: [
      extra(`strip to roll up for ${name}, wound from a core of ${(Math.min(core, across / 2) / 1000).toFixed(1)} mm`, length, {
        wide: long,
      }),
    ],
  };
};

/** A candle: a strip wound up, and a wick. */
export const candle = (doing: RecipeContext): RecipeResult => {
  const { piece, width, height, part, paper } = doing;
  const axis = axisFor(width);
  const problem = lack('what is rolled so tightly', width, 12 * paper);
  if (problem) return err(problem);
  const { extras } = wound(doing, 'the candle', width, height);
  return made({
    parts: [bodyPart(doing, axis, [0, height], width / 2, width / 2, 'candle')],
    nets: piece.found
      ? []
      : [netOn(doing, 'outside', tubeNet('outside', width - paper, height, piece.tab), tubeStands(width - paper, [axis.x, 0, axis.z]))],
    extras: [...(piece.found ? [] : extras), extra('thread for the wick', part + Math.round(height / 2))],
    size: [2 * axis.x, height, 2 * axis.z],
    wanted: [{ as: 'the candle', shapes: ['rod', 'tube'], across: width, high: height }],
  });
};

/** A bottle in slices of tube: a body, a shoulder that tapers, a neck; a label round it. */
export const bottle = (doing: RecipeContext): RecipeResult => {
  const { piece, width, height, above, part, paper } = doing;
  const axis = axisFor(width);
  const neck = Math.round(height * 0.22);
  const body = height - neck - part;
  const problem =
    lack('its body under shoulder and neck', body, 3 * UM.mm) ??
    lack('its neck', above, 6 * paper) ??
    lack('its body round its neck', width, above + 400);
  if (problem) return err(problem);
  const at = (y: number): Vec3 => [axis.x, y, axis.z];
  const label = labelOf(width, Math.round(body * 0.55), paper, piece.tab);
  return made({
    parts: [
      bodyPart(doing, axis, [0, body], width / 2, width / 2, 'body'),
      bodyPart(doing, axis, [body, body + part], width / 2, above / 2, 'shoulder'),
      bodyPart(doing, axis, [body + part, height], above / 2, above / 2, 'neck'),
    ],
    nets: piece.found
      ? []
      : [
          mantle(doing, 'body', width, width, body, at(0)),
          mantle(doing, 'shoulder', width, above, part, at(body)),
          mantle(doing, 'neck', above, above, neck, at(body + part)),
          netOn(doing, 'bottom', discNet('bottom', width - 2 * paper), { origin: [axis.x, paper / 2, axis.z], u: [1, 0, 0], v: [0, 0, 1] }),
        ],
    extras: [extra('label, round it once and lapped', label.length, { wide: label.height })],
    size: [2 * axis.x, height, 2 * axis.z],
    wanted: [
      { as: 'the bottle', shapes: ['bottle'], across: width, high: height },
      { as: 'its body', shapes: ['tube', 'rod'], across: width, high: body },
      { as: 'its neck', shapes: ['tube', 'rod'], across: above, high: neck },
    ],
  });
};

/** A log: a strip of card wound up on itself; its ends show rings. It lies. */
export const log = (doing: RecipeContext): RecipeResult => {
  const { piece, width: long, height: across, paper } = doing;
  const problem = lack('what is rolled so tightly', across, 12 * paper);
  if (problem) return err(problem);
  const { extras } = wound(doing, 'the log', across, long);
  const half = Math.round(across / 2);
  return made({
    parts: [
      {
        ...bodyPart(doing, axisFor(across), [0, long], across / 2, across / 2, 'log'),
        pose: { origin: [0, half, half], u: [0, 1, 0], v: [0, 0, 1] },
      },
    ],
    nets: piece.found
      ? []
      : [
          lyingTube(doing, 'bark', across - paper, long, [0, half, half]),
          netOn(doing, 'end with its rings', discNet('end with its rings', across), {
            origin: [long, half, half],
            u: [0, 0, -1],
            v: [0, 1, 0],
          }),
          netOn(doing, 'other end', discNet('other end', across), { origin: [0, half, half], u: [0, 0, 1], v: [0, 1, 0] }),
        ],
    extras: piece.found ? [] : extras,
    size: [long, 2 * half, 2 * half],
    wanted: [{ as: 'the log', shapes: ['rod'], across, high: long }],
  });
};
