// Folds papers as a hand would, knowing nothing of how they were made: the first panel is laid on its face, every other one is turned down along
// the score that it hangs on. What it then touches is asked of the parts as solids.
import type { Part } from '../assembly/index.ts';
import { add, bounds, cross, dot, normalOf, type Point, type Pose, type Region, scaled, toSpace, type Vec3 } from '../shape/index.ts';
import type { Surface } from './exposed.ts';
import { inverse, moveBy } from './iso.ts';
import type { Panel, Paper } from './paper.ts';

/** A panel where it comes to lie: paper point (x, y) is at origin + x·u + y·v, u × v looking outwards. */
export type Laid = { readonly paper: Paper; readonly panel: Panel; readonly pose: Pose };

const minus = (a: Vec3, b: Vec3): Vec3 => add(a, scaled(b, -1));

const isInside = ({ outline, holes }: Region, [x, y]: Point): boolean => {
  const inRing = (ring: readonly Point[]): boolean => {
    let inside = false;
    let last = ring[ring.length - 1] as Point;
    for (const point of ring) {
      if (point[1] > y !== last[1] > y && x < ((last[0] - point[0]) * (y - point[1])) / (last[1] - point[1]) + point[0]) inside = !inside;
      last = point;
    }
    return inside;
  };
  return inRing(outline) && !holes.some(inRing);
};

/** Turns a vector about a unit axis. Source: Rodrigues' rotation formula. */
const turned = (vector: Vec3, axis: Vec3, angle: number): Vec3 => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return add(add(scaled(vector, cos), scaled(cross(axis, vector), sin)), scaled(axis, dot(axis, vector) * (1 - cos)));
};

/** How near a point lies to a segment. */
const distance = ([px, py]: Point, [ax, ay]: Point, [bx, by]: Point): number => {
  const [dx, dy] = [bx - ax, by - ay];
  const share = Math.max(0, Math.min(1, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy)));
  return Math.hypot(px - ax - share * dx, py - ay - share * dy);
};

/** What a tab's fold, the chord of a curve, lies off that curve by at the most. */
const GIVE = 130;

/** Whether a panel has a side on a score, or one that runs on beyond it. */
const touches = ({ outline }: Region, [a, b]: readonly [Point, Point]): boolean => {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [wx, wy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const seen = ([x, y]: Point): readonly [along: number, off: number] => [
    (x - a[0]) * wx + (y - a[1]) * wy,
    Math.abs((x - a[0]) * wy - (y - a[1]) * wx),
  ];
  return outline.some((point, index) => {
    const [one, other] = [seen(point), seen(outline[(index + 1) % outline.length] as Point)];
    const shared = Math.min(length, Math.max(one[0], other[0])) - Math.max(0, Math.min(one[0], other[0]));
    return shared > 250 && one[1] < GIVE && other[1] < GIVE;
  });
};

/** Whether a score runs along a panel: a tab's fold is the chord of a curve, so this is asked with the paper's own give. */
const runsAlong = ({ outline, holes }: Region, [a, b]: readonly [Point, Point]): boolean =>
  [0.25, 0.5, 0.75].every((share) => {
    const at: Point = [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
    return [outline, ...holes].some((ring) =>
      ring.some((point, index) => distance(at, point, ring[(index + 1) % ring.length] as Point) < GIVE),
    );
  });

/** By how much a strip turns at the part's corner, about the way from its back to its front: to the left where the corner stands out. */
const cornerBetween = (one: Surface, other: Surface, parts: readonly Part[]): number => {
  const [a, b] = [normalOf(one.pose), normalOf(other.pose)];
  const up = normalOf((parts[one.part] as Part).pose);
  return Math.atan2(dot(cross(a, b), up), dot(a, b));
};

/** Lays a paper on its part. A board's edges are square to its faces; the faces of a net turn by what lies between them. */
export const folded = (paper: Paper, surfaces: readonly Surface[], parts: readonly Part[]): readonly Laid[] => {
  const first = paper.panels[0] as Panel;
  const surface = surfaces[first.surface] as Surface;
  const start = (point: Point): Vec3 => {
    const [x, y] = moveBy(first.place, point);
    const part = parts[surface.part] as Part;
    if (!surface.run || part.upper) return toSpace(surface.pose, [x, y]);
    const [a, b] = surface.run.points as unknown as [Point, Point];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return toSpace(part.pose, [a[0] + ((b[0] - a[0]) * x) / length, a[1] + ((b[1] - a[1]) * x) / length], y);
  };
  const origin = start([0, 0]);
  const laid: Laid[] = [{ paper, panel: first, pose: { origin, u: minus(start([1, 0]), origin), v: minus(start([0, 1]), origin) } }];
  const waiting = new Set(paper.panels.slice(1));
  for (let at = 0; at < laid.length; at += 1) {
    const { panel: parent, pose } = laid[at] as Laid;
    for (const score of paper.scores) {
      if (!runsAlong(parent.region, score)) continue;
      for (const panel of waiting) {
        if (!touches(panel.region, score)) continue;
        waiting.delete(panel);
        const [a, b] = score;
        const axis = minus(toSpace(pose, b), toSpace(pose, a));
        const unit = scaled(axis, 1 / Math.hypot(...axis));
        const ring = panel.region.outline;
        const [mx, my] = [0, 1].map((axis) => ring.reduce((sum, each) => sum + (each[axis] as number), 0) / ring.length) as [
          number,
          number,
        ];
        // The panel turns away from the side that shows: to the left of the score it turns one way, to the right the other.
        const [from, to] = [surfaces[parent.surface] as Surface, surfaces[panel.surface] as Surface];
        const left = (b[0] - a[0]) * (my - a[1]) - (b[1] - a[1]) * (mx - a[0]) > 0;
        const turns = paper.how === 'net' ? Math.acos(Math.max(-1, Math.min(1, dot(normalOf(from.pose), normalOf(to.pose))))) : Math.PI / 2;
        const angle = panel.kind === 'strip' ? cornerBetween(from, to, parts) : left ? -turns : turns;
        const hinge = toSpace(pose, a);
        const turn = (vector: Vec3) => turned(vector, unit, angle);
        laid.push({ paper, panel, pose: { origin: add(hinge, turn(minus(pose.origin, hinge))), u: turn(pose.u), v: turn(pose.v) } });
      }
    }
  }
  if (waiting.size > 0) throw new Error(`${waiting.size} panels hang on no score`);
  return laid;
};

/** A point of space on a laid panel's plane, and how far before it the point lies. */
export const onPanel = ({ pose, panel }: Laid, point: Vec3, give: number): boolean => {
  const from = minus(point, pose.origin);
  if (Math.abs(dot(from, normalOf(pose))) > give) return false;
  return isInside(panel.region, [dot(from, pose.u), dot(from, pose.v)]);
};

/** Whether a point of space is in the matter of a part. */
export const isIn = ({ pose, thickness, region, upper }: Part, point: Vec3): boolean => {
  const from = minus(point, pose.origin);
  const height = dot(from, normalOf(pose));
  const share = height / thickness;
  // What tapers has another outline at every height.
  const between = (low: readonly Point[], high: readonly Point[]) =>
    low.map(([x, y], index): Point => {
      const [ux, uy] = high[index] as Point;
      return [x + (ux - x) * share, y + (uy - y) * share];
    });
  const there = upper
    ? {
        outline: between(region.outline, upper.outline),
        holes: region.holes.map((hole, index) => between(hole, upper.holes[index] ?? hole)),
      }
    : region;
  return height > 0 && height < thickness && isInside(there, [dot(from, pose.u), dot(from, pose.v)]);
};

/** A point in a region, by throwing until one lies inside. */
export const pointIn = (region: Region, random: () => number): Point => {
  const { x0, y0, x1, y1 } = bounds(region.outline);
  for (let tries = 0; tries < 200; tries += 1) {
    const point: Point = [x0 + (x1 - x0) * random(), y0 + (y1 - y0) * random()];
    if (isInside(region, point)) return point;
  }
  return region.outline[0] as Point;
};

/** Whether a point of a surface lies under a panel, by the panel's own word; for strips round a bend, which no plane holds. */
export const onPanelFlat = (panel: Panel, point: Point): boolean => isInside(panel.region, moveBy(inverse(panel.place), point));
