import { asRect, bounds, liesIn, type Point, type Rect, type Region, type Ring, regionArea } from '../../shape/index.ts';
import type { CutItem } from '../lots.ts';

/** So many lines each way are tried for the sides of the rectangle. */
const MOST_LINES = 8;

const lines = (values: readonly number[]): readonly number[] => {
  const sorted = [...new Set(values)].sort((a, b) => a - b);
  if (sorted.length <= MOST_LINES) return sorted;
  return Array.from({ length: MOST_LINES }, (_, index) => sorted[Math.round((index * (sorted.length - 1)) / (MOST_LINES - 1))] as number);
};

const areaOf = ({ x0, y0, x1, y1 }: Rect): number => (x1 - x0) * (y1 - y0);

/** The corners of a ring, and a few points of its slanted sides: a rectangle touches those with its corners. */
const withSlants = (ring: Ring): Ring => {
  // A curve has corners enough.
  if (ring.length > MOST_LINES) return ring;
  return ring.flatMap(([x, y], index) => {
    const [toX, toY] = ring[(index + 1) % ring.length] as Point;
    const between = x === toX || y === toY ? [] : [0.25, 0.5, 0.75];
    return [[x, y] as const, ...between.map((share): Point => [Math.round(x + share * (toX - x)), Math.round(y + share * (toY - y))])];
  });
};

/** A large upright rectangle that lies wholly in a region; whatever lies clear of the region lies clear of it. Sides run through corners of
 *  the region, so that it need not be the largest. */
export const inscribed = (region: Region): Rect => {
  const whole = region.holes.length === 0 ? asRect(region.outline) : undefined;
  if (whole) return whole;
  const points = [region.outline, ...region.holes].flatMap(withSlants);
  const xs = lines(points.map(([x]) => x));
  const ys = lines(points.map(([, y]) => y));
  let best: Rect = { x0: 0, y0: 0, x1: 0, y1: 0 };
  xs.forEach((x0, left) => {
    ys.forEach((y0, low) => {
      for (let right = xs.length - 1; right > left; right -= 1) {
        for (let high = ys.length - 1; high > low; high -= 1) {
          const box = { x0, y0, x1: xs[right] as number, y1: ys[high] as number };
          if (areaOf(box) <= areaOf(best)) break;
          if (liesIn(box, region) === true) best = box;
        }
      }
    });
  });
  return best;
};

/** Parts of one outline are looked at once. */
const known = new WeakMap<Region, Rect>();

const inscribedIn = (region: Region): Rect => {
  const rect = known.get(region) ?? inscribed(region);
  known.set(region, rect);
  return rect;
};

/** Parts as a lower bound may see them, by id: grown by the knife gap, the rectangle in each, and its area. */
export type BoundView = ReadonlyMap<string, ReturnType<typeof boundItem>>;

const fitsHole = ({ width, height, lies }: CutItem, { x0, y0, x1, y1 }: Rect): boolean =>
  (width <= x1 - x0 && height <= y1 - y0) || (lies === 'either' && height <= x1 - x0 && width <= y1 - y0);

/** The parts that lie in no opening of another, however they are laid, with their own openings closed: an opening that none of them can use makes a part
 *  no smaller. Source: what lies there is left out, so nothing of the rest can lie there. */
const closedView = (items: readonly CutItem[], gap: number): BoundView => {
  const holes = items.flatMap(({ outline }) => (outline?.holes ?? []).map(bounds));
  const large = items.filter((item) => !holes.some((hole) => fitsHole(item, hole)));
  return new Map(
    large.map((item) => [
      item.id,
      boundItem(item.outline ? { ...item, outline: { outline: item.outline.outline, holes: [] } } : item, gap),
    ]),
  );
};

/** Every way in which a bound may look at parts: what holds for one holds. */
export const boundViews = (items: readonly CutItem[], gap: number): readonly BoundView[] => {
  const all: BoundView = new Map(items.map((item) => [item.id, boundItem(item, gap)]));
  const closed = items.some(({ outline }) => outline && outline.holes.length > 0) ? closedView(items, gap) : all;
  return closed === all || closed.size === 0 ? [all] : [all, closed];
};

/** A part as a lower bound sees it, grown by the knife gap: the rectangle in it, and its area. */
export const boundItem = ({ width, height, lies, outline }: CutItem, gap: number) => {
  const { x0, y0, x1, y1 } = outline ? inscribedIn(outline) : { x0: 0, y0: 0, x1: width, y1: height };
  const [across, along] = lies === 'turned' ? [y1 - y0, x1 - x0] : [x1 - x0, y1 - y0];
  const area = outline ? regionArea(outline) : width * height;
  // A line through a part meets it once at least, so the gap adds a strip along each side of the rectangle round it.
  return { width: across + gap, height: along + gap, turns: lies === 'either', area: area + gap * (width + height + gap) };
};
