// µm, doll size. Where the joints of a part run that is larger than every sheet.
import { bounds, less, type Point, type Rect, type Region, rectRing, toPlane } from '../shape/index.ts';
import { outlineOf } from './contacts.ts';
import type { Part } from './part.ts';
import type { Contact } from './touching.ts';

/** The room that a stock of board offers: whether a part of this size can be cut from one sheet. Along the grain is upright. */
export type FitsBoard = (part: Part, width: number, height: number) => boolean;

/** A joint: a line across a part at `at`, from end to end of the piece that it parts, and what stands on it. */
export type Joint = {
  readonly axis: 0 | 1;
  readonly at: number;
  readonly from: number;
  readonly to: number;
  readonly behind: string | null;
};

export type SplicePlan = { readonly pieces: readonly Rect[]; readonly joints: readonly Joint[]; readonly cost: number };

/** Layers that lie on each other have their joints at least so many boards apart. Common practice, no source. */
const STAGGER = 10;

/** A piece is at least so many boards wide. */
const LEAST = 2;

/** What can stand on a joint: its line across the part, and the stretch that it covers. */
type Line = Joint & { readonly name: string };

export const side = (box: Rect, axis: 0 | 1): readonly [from: number, to: number] => (axis === 0 ? [box.x0, box.x1] : [box.y0, box.y1]);

/** The lines on which something stands on a part with an edge: dividers, shelves, walls. */
export const linesOn = (parts: readonly Part[], index: number, contacts: readonly Contact[]): readonly Line[] => {
  const part = parts[index] as Part;
  return contacts.flatMap((contact): readonly Line[] => {
    const other = contact.a === index ? contact.b : contact.b === index ? contact.a : -1;
    const face = contact.a === index ? contact.faceA : contact.faceB;
    const foot = contact.a === index ? contact.faceB : contact.faceA;
    if (other < 0 || face === 'edge' || foot !== 'edge' || contact.area < 0) return [];
    const box = bounds(outlineOf(contact).map((point): Point => toPlane(part.pose, point)));
    const axis = box.x1 - box.x0 < box.y1 - box.y0 ? 0 : 1;
    const [low, high] = side(box, axis);
    const [from, to] = side(box, axis === 0 ? 1 : 0);
    const name = (parts[other] as Part).name;
    return [{ axis, at: Math.round((low + high) / 2), from: Math.round(from), to: Math.round(to), behind: name, name }];
  });
};

/** So many ways to part a part are looked at; then the longer side is cut as a sheet takes it. */
const MOST_WAYS = 3_000;

/** No part is cut into more than about so many pieces. */
const DEEP = 120;

/** The cheapest way to part a rectangle: few pieces, joints that something hides, no joint through an opening, none on a joint of the
 *  layer beside. `along` are the axes across which it may be cut. */
export const planOf = (
  box: Rect,
  part: Part,
  fits: FitsBoard,
  lines: readonly Line[],
  holes: readonly Rect[],
  taken: readonly Joint[],
  along: readonly (0 | 1)[] = [0, 1],
  ways = { left: MOST_WAYS },
  depth = 0,
): SplicePlan | undefined => {
  const [width, height] = [box.x1 - box.x0, box.y1 - box.y0];
  if (fits(part, width, height)) return { pieces: [box], joints: [], cost: 0 };
  if (depth >= DEEP) return undefined;
  ways.left -= 1;
  const quick = ways.left <= 0;
  const axes: readonly (0 | 1)[] = quick && along.length > 1 ? [width >= height ? 0 : 1] : along;
  let best: SplicePlan | undefined;
  for (const axis of axes) {
    const [low, high] = side(box, axis);
    const [from, to] = side(box, axis === 0 ? 1 : 0);
    const most = largest(part, fits, box, axis);
    const hidden = lines.filter((line) => line.axis === axis && line.from <= from + part.thickness && line.to >= to - part.thickness);
    const places = quick ? [low + most] : [...hidden.map(({ at }) => at), low + most, high - most, Math.round((low + high) / 2)];
    for (const at of new Set(places)) {
      if (at < low + LEAST * part.thickness || at > high - LEAST * part.thickness) continue;
      const behind = hidden.find((line) => line.at === at)?.name ?? null;
      const opening = holes.some((hole) => side(hole, axis)[0] < at && side(hole, axis)[1] > at);
      const near = taken.some((joint) => joint.axis === axis && Math.abs(joint.at - at) < STAGGER * part.thickness);
      const own = 100 + (behind === null ? 10 : 0) + (opening ? 20 : 0) + (near ? 50 : 0);
      if (best && own >= best.cost) continue;
      const [near0, far0]: [Rect, Rect] =
        axis === 0
          ? [
              { ...box, x1: at },
              { ...box, x0: at },
            ]
          : [
              { ...box, y1: at },
              { ...box, y0: at },
            ];
      const one = planOf(near0, part, fits, lines, holes, taken, along, ways, depth + 1);
      const other = one && planOf(far0, part, fits, lines, holes, taken, along, ways, depth + 1);
      if (!one || !other) continue;
      const cost = own + one.cost + other.cost;
      if (best && cost >= best.cost) continue;
      best = { pieces: [...one.pieces, ...other.pieces], joints: [{ axis, at, from, to, behind }, ...one.joints, ...other.joints], cost };
    }
  }
  return best;
};

/** How much of a rectangle along an axis a sheet takes, its other side as it is; where no sheet takes that, as much as any takes. */
const largest = (part: Part, fits: FitsBoard, box: Rect, axis: 0 | 1): number => {
  const [width, height] = [box.x1 - box.x0, box.y1 - box.y0];
  const [along, across] = axis === 0 ? [width, height] : [height, width];
  const takes = (length: number, wide: number): boolean => (axis === 0 ? fits(part, length, wide) : fits(part, wide, length));
  const wide = takes(1, across) ? across : LEAST * part.thickness;
  let [least, most] = [0, along];
  while (most - least > 1) {
    const middle = Math.floor((least + most) / 2);
    if (takes(middle, wide)) least = middle;
    else most = middle;
  }
  return least;
};

/** The boxes of a region's openings, and of what is cut from its edges. */
export const openingsOf = (region: Region): readonly Rect[] => {
  const { outline, holes } = region;
  if (outline.length <= 4) return holes.map(bounds);
  const { x0, y0, x1, y1 } = bounds(outline);
  const notches = less({ outline: rectRing(x0, y0, x1, y1), holes: [] }, [{ outline, holes: [] }]);
  return [...holes.map(bounds), ...notches.map((notch) => bounds(notch.outline))];
};
