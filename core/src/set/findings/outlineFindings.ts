// µm. Outlines that a knife cannot follow.
import type { Part } from '../../assembly/index.ts';
import { AXES, asRect, bounds, grown, type Point, type Rect, type Region, type Ring, ringArea } from '../../shape/index.ts';
import type { Finding } from './finding.ts';
import { idsOf, type Judged } from './judged.ts';

/** By how much the way turns at the middle one of three points; to the left is positive. */
const turnAt = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  Math.atan2((bx - ax) * (cy - by) - (by - ay) * (cx - bx), (bx - ax) * (cx - bx) + (by - ay) * (cy - by));

/** The tightest inward curve of an outline: the radius of the chords that turn inwards, three in a row at least; corners are cut from both sides. */
const tightestBend = (ring: Ring): number => {
  let least = Infinity;
  let [run, length, turned] = [0, 0, 0];
  const count = ring.length;
  for (let step = 0; step < count + 3; step += 1) {
    const [a, b, c] = AXES.map((more) => ring[(step + more) % count] as Point) as [Point, Point, Point];
    const turn = turnAt(a, b, c);
    if (turn >= -0.02 || turn < -0.6) {
      [run, length, turned] = [0, 0, 0];
      continue;
    }
    run += 1;
    length += Math.hypot(c[0] - b[0], c[1] - b[1]);
    turned -= turn;
    if (run >= 3 && turned > 0.3) least = Math.min(least, length / turned);
  }
  return least;
};

/** A knife does not follow an inward curve tighter than the board is thick, nor leave a neck narrower. Common practice, no source. What is narrower
 *  by a tenth is let go: offsets are rounded, and boards differ by as much. */
const LEAST_NECK = 0.9;

/** Whether a ring turns one way only. */
const isConvex = (ring: Ring): boolean =>
  ring.every((at, index) => {
    const [before, after] = [ring.at(index - 1) as Point, ring[(index + 1) % ring.length] as Point];
    return (at[0] - before[0]) * (after[1] - at[1]) - (at[1] - before[1]) * (after[0] - at[0]) >= 0;
  });

const girthOf = (ring: Ring): number =>
  ring.reduce((sum, [x, y], index) => sum + Math.hypot((ring.at(index - 1) as Point)[0] - x, (ring.at(index - 1) as Point)[1] - y), 0);

/** Whether no neck can be narrower than `least` by what is plain to see: a convex outline that is wide enough, and openings in it that stand well
 *  apart. A convex outline has
 *  room for a disc whose radius is its area by its girth. */
const plainlyWide = ({ outline, holes }: Region, least: number): boolean => {
  if (!isConvex(outline)) return false;
  if (holes.length === 0) return (2 * ringArea(outline)) / girthOf(outline) >= least;
  const whole = asRect(outline);
  if (!whole) return false;
  const boxes = holes.map(bounds);
  const apart = (a: Rect, b: Rect): boolean => a.x0 - b.x1 >= least || b.x0 - a.x1 >= least || a.y0 - b.y1 >= least || b.y0 - a.y1 >= least;
  return boxes.every(
    (box, index) =>
      Math.min(box.x0 - whole.x0, box.y0 - whole.y0, whole.x1 - box.x1, whole.y1 - box.y1) >= least &&
      boxes.every((other, number) => number >= index || apart(box, other)),
  );
};

/** Finer than this no neck is told: curves may be drawn with longer chords. */
const COARSE = 50;

/** A ring with as few points as tell it to within `COARSE`: points are left out while the curve between those kept bulges less. */
const coarser = (ring: Ring): Ring => {
  if (ring.length <= 24) return ring;
  const kept: Point[] = [ring[0] as Point];
  let [length, turned] = [0, 0];
  for (let index = 1; index < ring.length; index += 1) {
    const [before, at, after] = [ring[index - 1], ring[index], ring[(index + 1) % ring.length]] as [Point, Point, Point];
    length += Math.hypot(at[0] - before[0], at[1] - before[1]);
    turned += Math.abs(turnAt(before, at, after));
    const next = Math.hypot(after[0] - at[0], after[1] - at[1]);
    if (((length + next) * turned) / 8 <= COARSE) continue;
    kept.push(at);
    [length, turned] = [0, 0];
  }
  return kept;
};

const finestOf = (part: Part): { readonly size: number; readonly what: 'bend' | 'neck' } | undefined => {
  const { region, thickness } = part;
  const bend = tightestBend(region.outline);
  if (bend < thickness) return { size: bend, what: 'bend' };
  const least = thickness * LEAST_NECK;
  if (plainlyWide(region, least)) return undefined;
  const left = grown({ outline: coarser(region.outline), holes: region.holes.map(coarser) }, -least / 2);
  return left.length === 1 ? undefined : { size: least, what: 'neck' };
};

export const tooFine = (judged: Judged): readonly Finding[] => {
  const { piece, built, groups } = judged;
  return groups.flatMap((group): readonly Finding[] => {
    const part = built.assembly.parts[group.parts[0] as number] as Part;
    const shaped = part.region.outline.length > 4 || part.region.holes.some(({ length }) => length > 4);
    if (group.stuff !== 'board' || part.role === 'fitting' || part.flat || part.upper || !shaped) return [];
    const finest = finestOf(part);
    if (!finest) return [];
    return [
      {
        code: 'outline-too-fine',
        severity: 'warning',
        part: `${group.tag} ${group.name}`,
        what: finest.what,
        numbers: { size: Math.round(finest.size), least: part.thickness },
        where: { pieceId: piece.id, partIds: idsOf(built.assembly, group.parts) },
        mend: null,
      },
    ];
  });
};
