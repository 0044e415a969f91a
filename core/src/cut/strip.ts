// µm. Pieces laid on a strip of one width, as short as it can be found: cloth from a bolt, paper from a roll; and on rests of fixed size first.
import { seededRandom } from '../kit/index.ts';

/** A piece to be laid: its size as it lies, and whether it may lie crosswise too. */
export type StripItem = { readonly id: string; readonly width: number; readonly height: number; readonly crosswise: boolean };

export type StripRest = { readonly id: string; readonly width: number; readonly height: number };

/** Where a piece lies, from the lower left corner. */
export type StripPlace = {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly turned: boolean;
};

/** Pieces on one strip: how much of it they take, and the least that any way of laying them could take. */
export type StripLaid = {
  readonly rests: readonly { readonly rest: StripRest; readonly places: readonly StripPlace[] }[];
  readonly places: readonly StripPlace[];
  readonly length: number;
  readonly least: number;
  /** Pieces that are too wide for it however they may lie. */
  readonly tooWide: readonly string[];
};

type Step = { readonly x: number; readonly width: number; readonly y: number };

/** Where a piece so wide can lie lowest on the steps that are there already: its x and y, and the steps without room under it. */
const lowest = (
  steps: readonly Step[],
  wide: number,
  total: number,
): { readonly x: number; readonly y: number; readonly lost: number } | undefined => {
  let best: { x: number; y: number; lost: number } | undefined;
  for (let first = 0; first < steps.length; first += 1) {
    const from = steps[first] as Step;
    if (from.x + wide > total) break;
    let [y, last] = [from.y, first];
    while (last + 1 < steps.length && (steps[last] as Step).x + (steps[last] as Step).width < from.x + wide) {
      last += 1;
      y = Math.max(y, (steps[last] as Step).y);
    }
    let lost = 0;
    for (let each = first; each <= last; each += 1) {
      const step = steps[each] as Step;
      lost += (y - step.y) * (Math.min(step.x + step.width, from.x + wide) - step.x);
    }
    if (!best || y < best.y || (y === best.y && lost < best.lost)) best = { x: from.x, y, lost };
  }
  return best;
};

const raised = (steps: readonly Step[], x: number, width: number, y: number): readonly Step[] => {
  const next: Step[] = [];
  for (const step of steps) {
    const end = step.x + step.width;
    if (end <= x || step.x >= x + width) next.push(step);
    else {
      if (step.x < x) next.push({ x: step.x, width: x - step.x, y: step.y });
      if (end > x + width) next.push({ x: x + width, width: end - x - width, y: step.y });
    }
  }
  next.push({ x, width, y });
  next.sort((a, b) => a.x - b.x);
  const joined: Step[] = [];
  for (const step of next) {
    const last = joined.at(-1);
    if (last && last.y === step.y) joined[joined.length - 1] = { ...last, width: last.width + step.width };
    else joined.push(step);
  }
  return joined;
};

type Way = { readonly width: number; readonly height: number; readonly turned: boolean };

const waysOf = ({ width, height, crosswise }: StripItem): readonly Way[] => [
  { width, height, turned: false },
  ...(crosswise && width !== height ? [{ width: height, height: width, turned: true }] : []),
];

type Filled = { readonly places: readonly StripPlace[]; readonly left: readonly StripItem[]; readonly length: number };

/** Lays pieces in this order, each where it lies lowest; what does not go in is left. A gap stands between neighbours. */
const fill = (items: readonly StripItem[], width: number, most: number, gap: number): Filled => {
  let steps: readonly Step[] = [{ x: 0, width: width + gap, y: 0 }];
  const places: StripPlace[] = [];
  const left: StripItem[] = [];
  let length = 0;
  for (const item of items) {
    let best: { x: number; y: number; lost: number; way: Way } | undefined;
    for (const way of waysOf(item)) {
      const found = lowest(steps, way.width + gap, width + gap);
      if (!found || found.y + way.height > most) continue;
      const top = found.y + way.height;
      const known = best && best.y + best.way.height;
      if (known === undefined || top < known || (top === known && found.lost < (best?.lost ?? 0))) best = { ...found, way };
    }
    if (!best) {
      left.push(item);
      continue;
    }
    const { x, y, way } = best;
    places.push({ id: item.id, x, y, ...way });
    steps = raised(steps, x, way.width + gap, y + way.height + gap);
    length = Math.max(length, y + way.height);
  }
  return { places, left, length };
};

const byMost = (measure: (item: StripItem) => number) => (a: StripItem, b: StripItem) => measure(b) - measure(a) || (a.id < b.id ? -1 : 1);

const ORDERS = [
  byMost(({ height }) => height),
  byMost(({ width }) => width),
  byMost(({ width, height }) => width * height),
  byMost(({ width, height }) => width + height),
  byMost(({ width, height }) => Math.max(width, height)),
];

/** The least length that any way of laying them takes: by their area; by the longest; by those of which no two lie side by side. */
const leastOf = (items: readonly StripItem[], width: number): number => {
  const narrow = ({ width: w, height: h, crosswise }: StripItem): readonly [number, number] => (crosswise && h < w ? [h, w] : [w, h]);
  const area = items.reduce((sum, item) => sum + item.width * item.height, 0);
  const longest = Math.max(
    0,
    ...items.map((item) =>
      item.crosswise
        ? Math.min(
            ...waysOf(item)
              .filter((way) => way.width <= width)
              .map((way) => way.height),
          )
        : item.height,
    ),
  );
  const alone = items
    .filter((item) => narrow(item)[0] * 2 > width)
    .reduce((sum, item) => sum + (item.crosswise ? Math.min(item.width, item.height) : item.height), 0);
  return Math.max(Math.ceil(area / width), longest, alone);
};

/** Lays pieces where the strip is lowest: of those that go in there the one that fills the width best, the earliest in the order where several fill it alike; what is too
 *  narrow for any is filled up to its neighbour. Source: the best-fit rule of Burke, Kendall & Whitwell, A new placement heuristic for the orthogonal stock-cutting problem,
 *  Operations Research 52 (2004), recalled. */
const bestFit = (items: readonly StripItem[], width: number, gap: number): Filled => {
  let steps: readonly Step[] = [{ x: 0, width: width + gap, y: 0 }];
  const left = [...items];
  const places: StripPlace[] = [];
  let length = 0;
  while (left.length > 0) {
    let at = 0;
    for (let index = 1; index < steps.length; index += 1) if ((steps[index] as Step).y < (steps[at] as Step).y) at = index;
    const step = steps[at] as Step;
    let best: { readonly index: number; readonly way: Way; readonly over: number } | undefined;
    for (const [index, item] of left.entries())
      for (const way of waysOf(item)) {
        const over = step.width - way.width - gap;
        if (over >= 0 && (!best || over < best.over - 1)) best = { index, way, over };
      }
    const [before, after] = [steps[at - 1], steps[at + 1]];
    if (!best) {
      // Nothing goes in: it is filled up to the lower of its neighbours.
      const up = Math.min(before?.y ?? Infinity, after?.y ?? Infinity);
      if (up === Infinity) return { places, left, length };
      steps = raised(steps, step.x, step.width, up);
      continue;
    }
    const item = left.splice(best.index, 1)[0] as StripItem;
    // It lies against the higher neighbour.
    const x = (before?.y ?? Infinity) >= (after?.y ?? Infinity) ? step.x : step.x + step.width - best.way.width - gap;
    places.push({ id: item.id, x, y: step.y, ...best.way });
    steps = raised(steps, x, best.way.width + gap, step.y + best.way.height + gap);
    length = Math.max(length, step.y + best.way.height);
  }
  return { places, left, length };
};

/** Tries of the search altogether, fewer for many pieces; no clock is looked at, so equal pieces come out equal. */
const TRIES = 24_000;

/** Orders are changed by little, and kept as long as they become no longer; every other one is laid by the other rule. */
const search = (items: readonly StripItem[], width: number, gap: number, least: number): Filled => {
  const rules = [
    (order: readonly StripItem[]) => fill(order, width, Infinity, gap),
    (order: readonly StripItem[]) => bestFit(order, width, gap),
  ];
  const random = seededRandom(items.length * 977 + 5);
  const begun = rules.map((rule) =>
    ORDERS.map((order) => {
      const sorted = [...items].sort(order);
      return { order: sorted, laid: rule(sorted) };
    }).reduce((a, b) => (b.laid.length < a.laid.length ? b : a)),
  );
  const shortest = (): number => Math.min(...begun.map(({ laid }) => laid.length));
  const most = Math.round(TRIES / Math.max(4, items.length));
  for (let tries = 0; tries < most && shortest() > least; tries += 1) {
    const which = tries % 2;
    const { order, laid } = begun[which] as (typeof begun)[number];
    const next = [...order];
    const from = Math.floor(random() * next.length);
    const [taken] = next.splice(from, 1);
    if (!taken) continue;
    next.splice(Math.floor(random() * (next.length + 1)), 0, taken);
    const found = (rules[which] as (typeof rules)[number])(next);
    if (found.length <= laid.length) begun[which] = { order: next, laid: found };
  }
  return begun.reduce((a, b) => (b.laid.length < a.laid.length ? b : a)).laid;
};

/** Lays pieces on rests and on a strip.
 *  Shape: items, the strip's width, rests → every piece that is not too wide exactly once, on a rest or on the strip; rests are used, the smallest first, where the strip becomes no
 *  longer for it. Units: µm; one gap between neighbours, none at the edge. Least: a bound on the strip's length for what lies on it. */
export const layOnStrip = (items: readonly StripItem[], width: number, rests: readonly StripRest[], gap: number): StripLaid => {
  const fits = (item: StripItem): boolean => waysOf(item).some((way) => way.width <= width);
  const usable = (item: StripItem): boolean =>
    fits(item) || rests.some((rest) => waysOf(item).some((way) => way.width <= rest.width && way.height <= rest.height));
  const tooWide = items.filter((item) => !usable(item)).map(({ id }) => id);
  let left: readonly StripItem[] = items.filter(usable).sort(ORDERS[2]);
  const filled: { rest: StripRest; places: readonly StripPlace[] }[] = [];
  for (const rest of [...rests].sort((a, b) => a.width * a.height - b.width * b.height || (a.id < b.id ? -1 : 1))) {
    const { places, left: still } = fill(left, rest.width, rest.height, gap);
    if (places.length === 0) continue;
    filled.push({ rest, places });
    left = still;
  }
  const stuck = left.filter((item) => !fits(item)).map(({ id }) => id);
  const on = left.filter(fits);
  const least = leastOf(on, width);
  const { places, length } = on.length === 0 ? { places: [], length: 0 } : search(on, width, gap, least);
  return { rests: filled, places, length, least, tooWide: [...tooWide, ...stuck] };
};
