// µm, doll size. What a recipe makes of one copy: parts, nets, what it takes besides, and what from the house could stand in. Its lower left back corner is the origin.
import type { Part } from '../../assembly/index.ts';
import { ok, type Result } from '../../kit/index.ts';
import { type Net, tubeNet, tubeStands } from '../../net/index.ts';
import { type Point, type Pose, type Ring, rectRing, type Vec3 } from '../../shape/index.ts';
import type { StandIn } from '../../stock/index.ts';
import type { Sheeting } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Extra, StandingNet } from '../parts/built.ts';
import { foundThing, type Space } from '../parts/panels.ts';
import type { Put } from '../parts/put.ts';
import { axisAt, type RoundAxis, roundPart } from '../parts/round.ts';
import type { OddRole, OddThing } from './odd.ts';

export type RecipeContext = {
  readonly piece: OddThing;
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  readonly above: number;
  readonly part: number;
  readonly foot: number;
  /** How thick what is rolled or folded is. */
  readonly paper: number;
  readonly sheets: Readonly<Record<OddRole, Sheeting>>;
  readonly put: Put;
};

export type Recipe = {
  readonly parts: readonly Part[];
  readonly nets: readonly (Omit<StandingNet, 'key' | 'copies'> & { readonly pose: Pose })[];
  readonly extras: readonly Extra[];
  readonly size: Vec3;
  readonly wanted: readonly StandIn[];
};

export type RecipeResult = Result<Recipe, PieceProblem>;
export const made = (recipe: Recipe): RecipeResult => ok(recipe);

export const netOn = ({ piece }: RecipeContext, name: string, net: Net, pose: Pose): Recipe['nets'][number] => ({
  name,
  net,
  pose,
  on: piece.paper,
  tears: [],
  cells: [1, 1],
});

/** A disc of board, or of as many sides as were decided, between two heights round an axis. */
export const discPart = (
  { piece, sheets }: RecipeContext,
  axis: RoundAxis,
  [y0, y1]: readonly [number, number],
  radius: number,
  role: OddRole,
  id: string,
  name: string,
): Part =>
  roundPart(
    axis,
    [y0, y1],
    { outer: radius, inner: 0 },
    { outer: radius, inner: 0 },
    { id: `${piece.id}/${id}`, role: 'panel', name, held: 'slides' },
    {
      stuff: 'board',
      stock: sheets[role].board,
      length: null,
    },
  );

/** Something that is found, or made of paper: it only takes its place. Hollow where something stands in it. */
export const bodyPart = (
  { piece }: RecipeContext,
  axis: RoundAxis,
  [y0, y1]: readonly [number, number],
  low: number,
  high: number,
  id: string,
  wall = 0,
): Part =>
  roundPart(
    axis,
    [y0, y1],
    { outer: Math.floor(low), inner: wall > 0 ? Math.max(0, Math.floor(low) - wall) : 0 },
    { outer: Math.floor(high), inner: wall > 0 ? Math.max(0, Math.floor(high) - wall) : 0 },
    { id: `${piece.id}/${id}`, role: 'found', name: id, held: 'slides' },
    { stuff: 'found', stock: piece.found ? 'found thing' : 'paper', length: null },
  );

export const boxPart = ({ piece }: RecipeContext, id: string, space: Space): Part =>
  foundThing(
    space,
    { id: `${piece.id}/${id}`, role: 'found', name: id, shows: 'up', held: 'slides' },
    piece.found ? 'found thing' : 'paper',
  );

export const axisFor = (width: number): RoundAxis => axisAt(Math.round(width / 2), Math.round(width / 2), width / 2);

/** A leaf, pointed at both ends: two arcs over its length. */
export const leafRing = (long: number, wide: number): Ring => {
  const STEPS = 8;
  const side = Array.from({ length: STEPS + 1 }, (_, index): Point => {
    const share = index / STEPS;
    return [(wide / 2) * Math.sin(Math.PI * share) * (1.15 - 0.3 * share), long * share];
  });
  return [
    ...side,
    ...side
      .slice(1, -1)
      .toReversed()
      .map(([x, y]): Point => [-x, y]),
  ];
};

export const flatNet = (name: string, outline: Ring): Net => ({ faces: [{ name, outline }], hinges: [], seams: [], tabs: [] });

export const strip = (name: string, length: number, height: number): Net =>
  flatNet(name, rectRing(0, 0, Math.round(length), Math.round(height)));

/** A corner of a regular figure round a middle, its first corner at an angle. */
export const polygon = (radius: number, sides: number, from = 0): Ring =>
  Array.from({ length: sides }, (_, index): Point => {
    const angle = from + (2 * Math.PI * index) / sides;
    return [Math.round(radius * Math.cos(angle)), Math.round(radius * Math.sin(angle))];
  });

/** A strip rolled round something that lies along x: where its axis begins, and the circle on which the paper's middle lies. */
export const lyingTube = (doing: RecipeContext, name: string, diameter: number, long: number, [x, y, z]: Vec3): Recipe['nets'][number] => {
  // As it would stand, laid over: what was up is along x.
  const { origin } = tubeStands(diameter, [0, 0, 0]);
  return netOn(doing, name, tubeNet(name, diameter, long, doing.piece.tab), {
    origin: [x, y - origin[0], z + origin[2]],
    u: [0, 1, 0],
    v: [1, 0, 0],
  });
};
