// µm, doll size. Found and mixed things where they stand: as many as are wanted, side by side.
import { around, boxOf, type Part } from '../../assembly/index.ts';
import { ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { add, type Vec3 } from '../../shape/index.ts';
import { PRINT_STOCKS } from '../../stock/index.ts';
import { type Means, sheetsFor } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Built, StandingNet } from '../parts/built.ts';
import { movedParts } from '../parts/parts.ts';
import { putFor } from '../parts/put.ts';
import { cake, loaf, plate } from './food.ts';
import { ODD_ROLES, type OddForm, type OddThing } from './odd.ts';
import type { Recipe, RecipeContext, RecipeResult } from './recipe.ts';
import { bottle, candle, lamp, log, plant, vase } from './standing.ts';
import { frame, pencil, tray } from './strips.ts';
import { hanger, key } from './wire.ts';

const MAKE: Readonly<Record<OddForm, (doing: RecipeContext) => RecipeResult>> = {
  lamp,
  plant,
  vase,
  candle,
  cake,
  loaf,
  bottle,
  plate,
  tray,
  pencil,
  hanger,
  key,
  frame,
  log,
};

const doingOf = (piece: OddThing, means: Means): RecipeContext => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  return {
    piece,
    width: doll(piece.width),
    height: doll(piece.height),
    depth: doll(piece.depth),
    above: doll(piece.above),
    part: doll(piece.part),
    foot: doll(piece.foot),
    paper: piece.thickness ?? PRINT_STOCKS[piece.paper].thickness,
    sheets: sheetsFor(piece, ODD_ROLES, means),
    put: putFor(piece.id),
  };
};

/** Between things of one kind side by side. */
const APART = 2_000;

const numbered = (parts: readonly Part[], id: string, number: number): readonly Part[] =>
  parts.map((part) => ({ ...part, id: part.id.replace(`${id}/`, `${id}/${number + 1}-`) }));

/** Nets of one name in one thing are alike: leaves of a plant. */
const netsOf = ({ nets }: Recipe, copies: readonly Vec3[]): readonly StandingNet[] =>
  [...new Set(nets.map(({ name }) => name))].flatMap((name): readonly StandingNet[] => {
    const its = nets.filter((each) => each.name === name);
    const [first] = its;
    if (!first) return [];
    const { pose: _pose, ...net } = first;
    return [
      {
        ...net,
        key: name,
        copies: copies.flatMap((at, number) => its.map(({ pose }) => ({ number, pose: { ...pose, origin: add(pose.origin, at) } }))),
      },
    ];
  });

/** Builds a found or mixed thing in all its copies.
 *  Shape: piece, means → its parts, its nets, what it takes besides, what could stand in for it. Errors: 'does-not-fit'. */
export const buildOdd = (piece: OddThing, means: Means): Result<Built, PieceProblem> => {
  const recipe = MAKE[piece.form](doingOf(piece, means));
  if (!recipe.ok) return recipe;
  const { parts, extras, wanted } = recipe.value;
  // Odd sizes put what goes round an axis off by half a micrometre, and wire stands out by half its thickness: the least corner is where it begins.
  const { min, max } = around(parts.map(boxOf));
  const wide = max[0] - min[0];
  const copies = Array.from({ length: piece.count }, (_, index): Vec3 => [index * (wide + APART) - min[0], -min[1], -min[2]]);
  const all = copies.flatMap((at, index) => movedParts(piece.count === 1 ? parts : numbered(parts, piece.id, index), at));
  const outside: Vec3 = [piece.count * wide + (piece.count - 1) * APART, max[1] - min[1], max[2] - min[2]];
  return ok({
    assembly: { parts: all, outside: { min: [0, 0, 0], max: outside }, clear: { min: [0, 0, 0], max: [0, 0, 0] }, motions: [] },
    bays: [],
    openings: [],
    marks: [],
    nets: netsOf(recipe.value, copies),
    extras: extras.map((each) => ({ ...each, length: each.length * piece.count, count: each.count * piece.count })),
    wanted,
    anchor: [outside[0] / 2, 0, outside[2] / 2],
  });
};
