// µm, doll size. Hangers and keys: of bent wire.
import type { Part } from '../../assembly/index.ts';
import { err } from '../../kit/index.ts';
import { UM } from '../../measure/index.ts';
import { grown, type Point, type Ring } from '../../shape/index.ts';
import { WIRE } from '../../stock/index.ts';
import { lack } from '../family/problem.ts';
import { boxPart, made, netOn, polygon, type RecipeContext, type RecipeResult, strip } from './recipe.ts';

/** The line of a wire as a band so wide: its two sides, for something that is bent in one plane. */
const bandOf = (drawn: readonly Point[], wide: number): Ring => {
  // A bend that begins where the last one ended is one point.
  const line = drawn.filter(
    ([x, y], index) => index === 0 || Math.hypot(x - (drawn[index - 1] as Point)[0], y - (drawn[index - 1] as Point)[1]) > 1,
  );
  const at = (index: number, side: 1 | -1): Point => {
    const [before, after] = [line[Math.max(0, index - 1)] as Point, line[Math.min(line.length - 1, index + 1)] as Point];
    const long = Math.hypot(after[0] - before[0], after[1] - before[1]);
    const [nx, ny] = [(-(after[1] - before[1]) / long) * (wide / 2), ((after[0] - before[0]) / long) * (wide / 2)];
    const [x, y] = line[index] as Point;
    return [Math.round(x + side * nx) + 0, Math.round(y + side * ny) + 0];
  };
  return [...line.map((_, index) => at(index, -1)), ...line.map((_, index) => at(line.length - 1 - index, 1))];
};

/** How long a bent wire is: the sum of its straight lengths and arcs, along its middle. */
export const bentLength = (line: readonly Point[]): number =>
  line.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - (line[index] as Point)[0], y - (line[index] as Point)[1]), 0);

const arcLine = ([cx, cy]: Point, radius: number, from: number, to: number, steps = 16): readonly Point[] =>
  Array.from({ length: steps + 1 }, (_, index): Point => {
    const angle = from + ((to - from) * index) / steps;
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)];
  });

/** Twisted round itself at the neck, a hanger's wire needs so much more. Common practice, no source. */
const TWIST = 6 * UM.mm;

/** The line of a hanger: from the neck down one shoulder, along below, up the other, a neck, and a hook of three quarters of a circle. */
export const hangerLine = (wide: number, high: number, hook: number): readonly Point[] => {
  const radius = hook / 2;
  const neck: Point = [wide / 2, high - hook - radius * 0.6];
  return [neck, [0, 0], [wide, 0], neck, [wide / 2, high - hook], ...arcLine([wide / 2, high - radius], radius, -Math.PI / 2, Math.PI, 18)];
};

/** Wire bent round a figure and closed. */
const loopPart = (doing: RecipeContext, name: string, corners: Ring, length: number): Part => {
  const half = Math.round(WIRE.thickness / 2);
  const inner = grown({ outline: corners, holes: [] }, -half)[0]?.outline;
  return {
    id: `${doing.piece.id}/${name}`,
    role: 'rail',
    name,
    stuff: 'wire',
    stock: WIRE.name,
    thickness: WIRE.thickness,
    region: { outline: grown({ outline: corners, holes: [] }, half)[0]?.outline ?? corners, holes: inner ? [inner.toReversed()] : [] },
    pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
    grain: 'any',
    held: 'slides',
    length: Math.round(length),
    centres: [],
  };
};

/** What is bent on from there, drawn only: its length is counted with the loop's. */
const hookPart = (doing: RecipeContext, line: readonly Point[]): Part => ({
  id: `${doing.piece.id}/hook`,
  role: 'rail',
  name: 'hook',
  stuff: 'found',
  stock: WIRE.name,
  thickness: WIRE.thickness,
  region: { outline: bandOf(line, WIRE.thickness), holes: [] },
  pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
  grain: 'any',
  held: 'slides',
  length: null,
  centres: [],
});

/** A hanger of wire: so much is cut off before it is bent. */
export const hanger = (doing: RecipeContext): RecipeResult => {
  const { width, height, part } = doing;
  const problem = lack('its shoulders below its hook', height, Math.round(part * 1.3 + 2 * UM.mm)) ?? lack('its hook', part, 3 * UM.mm);
  if (problem) return err(problem);
  const line = hangerLine(width, height, part);
  const corners = line.slice(0, 3).map(([x, y]): Point => [Math.round(x), Math.round(y)]);
  const loop = loopPart(doing, 'hanger', corners, bentLength(line) + TWIST);
  // The hook is drawn from where it is clear of the shoulders' bend.
  const from = Math.max(...loop.region.outline.map(([, y]) => y)) + WIRE.thickness;
  const hook = line.slice(4).filter(([, y], index) => index > 0 || y > from);
  return made({
    parts: [loop, ...(from < height - part * 0.9 ? [hookPart(doing, [[width / 2, from], ...hook])] : [])],
    nets: [],
    extras: [],
    size: [width, height, WIRE.thickness],
    wanted: [],
  });
};

/** A key: a ring and a shank of wire, a bit of card. */
export const key = (doing: RecipeContext): RecipeResult => {
  const { piece, width: long, height: ring } = doing;
  const problem = lack('its shank beyond its ring', long, ring + 2 * UM.mm) ?? lack('its ring', ring, 2 * UM.mm);
  if (problem) return err(problem);
  const wire = Math.round(Math.PI * ring + (long - ring) + 1.5 * UM.mm);
  const bit = Math.max(UM.mm, Math.round((long - ring) * 0.28));
  const half = Math.round(ring / 2);
  const middle = half - Math.round(WIRE.thickness / 2);
  const circle = polygon(half - Math.round(WIRE.thickness / 2), 24).map(([x, y]): Point => [x + half, y + half]);
  const shank: Ring = [
    [2 * half + 200, middle],
    [long, middle],
    [long, middle + WIRE.thickness],
    [2 * half + 200, middle + WIRE.thickness],
  ];
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: long, y0: 0, y1: ring, z0: 0, z1: WIRE.thickness })]
      : [
          loopPart(doing, 'key', circle, wire),
          {
            ...hookPart(doing, [
              [0, 0],
              [1, 0],
            ]),
            id: `${piece.id}/shank`,
            name: 'shank',
            region: { outline: shank, holes: [] },
          },
        ],
    nets: piece.found
      ? []
      : [
          netOn(doing, 'bit', strip('bit', 2 * bit, bit), {
            origin: [long - bit, middle - bit, WIRE.thickness],
            u: [1, 0, 0],
            v: [0, 1, 0],
          }),
        ],
    extras: [],
    size: [long, ring, WIRE.thickness],
    wanted: [{ as: 'its ring', shapes: ['ring'], across: ring, high: WIRE.thickness }],
  });
};
