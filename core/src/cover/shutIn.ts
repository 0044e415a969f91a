// µm, doll size. Space is cut at every coordinate of the parts, and what no way from outside reaches is shut in.
import { type Box, isSquare, type Part } from '../assembly/index.ts';
import { AXES, bounds, liesIn, normalOf, type Region, rectRing, toPlane, type Vec3, vec3 } from '../shape/index.ts';
import type { Face } from './surface.ts';

/** The walls of space: the sorted coordinates along each axis, and one cell more outside either end. */
type Grid = { readonly at: readonly (readonly number[])[]; readonly counts: readonly [number, number, number] };

const sorted = (values: Iterable<number>): readonly number[] => [...new Set(values)].sort((a, b) => a - b);

/** Where a part's openings begin and end in space, so that what is seen through a window counts as open. */
const openingsOf = (part: Part): readonly Vec3[] =>
  part.region.holes.flatMap((hole) => {
    const { x0, y0, x1, y1 } = bounds(hole);
    const { origin, u, v } = part.pose;
    return [
      [x0, y0],
      [x1, y1],
    ].map(([x, y]) => vec3((axis) => Math.round(origin[axis] + (x as number) * u[axis] + (y as number) * v[axis])));
  });

const gridOf = (parts: readonly Part[], boxes: readonly Box[]): Grid => {
  const at = AXES.map((axis) =>
    sorted([
      ...boxes.flatMap(({ min, max }) => [min[axis], max[axis]]),
      ...parts.flatMap((part) => openingsOf(part).map((point) => point[axis])),
    ]),
  );
  return { at, counts: vec3((axis) => (at[axis]?.length ?? 0) + 1) };
};

const cellIndex = ([nx, ny]: Grid['counts'], x: number, y: number, z: number): number => x + nx * (y + ny * z);

/** Beyond this many cells the answer would take longer than it is worth; everything then counts as open. */
const MOST_CELLS = 400_000;

/** Whether a cell is all matter of a part that stands square and has an outline other than a rectangle's. */
const fills = (part: Part, cell: Box): boolean => {
  const points = [cell.min, cell.max].map((corner) => toPlane(part.pose, corner));
  return liesIn(bounds(points), part.region) === true;
};

/** Marks the cells that parts fill; a part that stands slanted fills none, so that nothing is called shut in that may be open. */
const filledCells = (grid: Grid, parts: readonly Part[], boxes: readonly Box[]): Uint8Array => {
  const { at, counts } = grid;
  const cells = new Uint8Array(counts[0] * counts[1] * counts[2]);
  const places = at.map((values) => new Map(values.map((value, index) => [value, index + 1])));
  parts.forEach((part, index) => {
    if (!isSquare(part)) return;
    const { min, max } = boxes[index] as Box;
    const plain = part.region.holes.length === 0 && part.region.outline.length === 4;
    const [from, to] = [min, max].map((corner) => corner.map((value, axis) => places[axis]?.get(value) ?? 0)) as [number[], number[]];
    for (let z = from[2] as number; z < (to[2] as number); z += 1) {
      for (let y = from[1] as number; y < (to[1] as number); y += 1) {
        for (let x = from[0] as number; x < (to[0] as number); x += 1) {
          if (plain || fills(part, cellBox(grid, x, y, z))) cells[cellIndex(counts, x, y, z)] = 1;
        }
      }
    }
  });
  return cells;
};

const cellBox = ({ at }: Grid, x: number, y: number, z: number): Box => ({
  min: [at[0]?.[x - 1] ?? 0, at[1]?.[y - 1] ?? 0, at[2]?.[z - 1] ?? 0],
  max: [at[0]?.[x] ?? 0, at[1]?.[y] ?? 0, at[2]?.[z] ?? 0],
});

/** Floods the free cells from outside. What is still 0 afterwards is shut in. */
const flood = ([nx, ny, nz]: Grid['counts'], cells: Uint8Array): void => {
  const queue = [0];
  cells[0] = 2;
  const steps = [1, nx, nx * ny];
  const sizes = [nx, ny, nz];
  while (queue.length > 0) {
    const cell = queue.pop() as number;
    const place = [cell % nx, Math.floor(cell / nx) % ny, Math.floor(cell / (nx * ny))];
    for (let axis = 0; axis < 3; axis += 1) {
      for (const way of [-1, 1]) {
        const next = (place[axis] as number) + way;
        if (next < 0 || next >= (sizes[axis] as number)) continue;
        const neighbour = cell + way * (steps[axis] as number);
        if (cells[neighbour] !== 0) continue;
        cells[neighbour] = 2;
        queue.push(neighbour);
      }
    }
  }
};

/** Cells by the plane that they touch, for each axis: those that lie beyond it, and those that lie below. */
type ByPlane = readonly (readonly [beyond: Map<number, Box[]>, below: Map<number, Box[]>])[];

const put = (into: Map<number, Box[]>, offset: number, cell: Box): void => {
  const known = into.get(offset);
  if (known) known.push(cell);
  else into.set(offset, [cell]);
};

const byPlane = (closed: readonly Box[]): ByPlane => {
  const found = AXES.map(() => [new Map<number, Box[]>(), new Map<number, Box[]>()] as const);
  for (const cell of closed) {
    found.forEach(([beyond, below], axis) => {
      put(beyond, cell.min[axis] as number, cell);
      put(below, cell.max[axis] as number, cell);
    });
  }
  return found;
};

const NONE: readonly Region[] = [];

/** What is glued and cannot be seen through. */
const hides = (part: Part): boolean => part.held === 'glue' && (part.stuff === 'board' || part.stuff === 'stick');

/** What of a face is shut in, for assemblies that shut anything in; nothing for all others.
 *  Shape: parts → (a face → regions in its plane). Only faces that look along an axis are judged; the others count as open. */
export const shutIn = (
  parts: readonly Part[],
  boxes: readonly Box[],
  moving: ReadonlySet<string>,
): ((face: Face) => readonly Region[]) | null => {
  const stands = parts.flatMap((part, index) => (hides(part) && !moving.has(part.id) ? [index] : []));
  const [standing, theirs] = [stands.map((index) => parts[index] as Part), stands.map((index) => boxes[index] as Box)];
  const grid = gridOf(standing, theirs);
  const { at, counts } = grid;
  if (standing.length === 0 || counts[0] * counts[1] * counts[2] > MOST_CELLS) return null;
  const cells = filledCells(grid, standing, theirs);
  flood(counts, cells);
  const closed: Box[] = [];
  for (let z = 1; z + 1 < counts[2]; z += 1) {
    for (let y = 1; y + 1 < counts[1]; y += 1) {
      for (let x = 1; x + 1 < counts[0]; x += 1) if (cells[cellIndex(counts, x, y, z)] === 0) closed.push(cellBox({ at, counts }, x, y, z));
    }
  }
  if (closed.length === 0) return null;
  const planes = byPlane(closed);
  return (face) => {
    if (face.run && face.run.points.length > 2) return NONE;
    const n = normalOf(face.pose);
    const axis = n.findIndex((value) => Math.abs(value) > 1 - 1e-9);
    if (axis < 0) return NONE;
    const cells = planes[axis]?.[(n[axis] as number) > 0 ? 0 : 1].get(Math.round(face.pose.origin[axis] as number));
    if (!cells) return NONE;
    return cells.map(({ min, max }): Region => {
      const { x0, y0, x1, y1 } = bounds([toPlane(face.pose, min), toPlane(face.pose, max)]);
      return { outline: rectRing(x0, y0, x1, y1), holes: [] };
    });
  };
};
