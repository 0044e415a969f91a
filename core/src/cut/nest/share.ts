// Parts that are not rectangles share one: two brackets by their slanted sides, a small part in the opening of a large one. What comes of it
// are rectangles again, for the packers.
import { type Point, type Quarters, type Ring, ringArea } from '../../shape/index.ts';
import { type CutItem, type Lot, single } from '../lots.ts';
import { isInside, type NoFit } from './convex.ts';
import { type Figures, type NestFigure, newFigures, together } from './figure.ts';

type Size = { readonly width: number; readonly height: number };

/** How much smaller the rectangle that two share must be than both of theirs, for them to be tied together. */
const WORTH = 0.97;

/** So many different shapes are looked at, those that waste the most first. */
const MOST_KINDS = 24;

/** So many parts are tried in the openings of one other, and so many altogether. */
const MOST_GUESTS = 60;
const MOST_TRIES = 3_000;

const rectangleOf = ({ width, height }: Size, gap: number): number => (width + gap) * (height + gap);

const waste = (figure: NestFigure): number => figure.width * figure.height - figure.area;

/** What a figure leaves of its rectangle to others beside it: not its openings. */
const corners = ({ width, height, outer }: NestFigure): number => width * height - outer.reduce((sum, ring) => sum + ringArea(ring), 0);

/** All ways in which a lot may lie; of what lies alike in several the first. */
export const waysOf = (lot: Lot, items: ReadonlyMap<string, CutItem>, figures: Figures): readonly NestFigure[] => {
  const flips = lot.members.length === 1 && items.get(lot.members[0]?.id ?? '')?.flips === true;
  const turns: readonly Quarters[] = lot.turns ? [0, 1, 2, 3] : [0, 2];
  const ways = turns.flatMap((turn) => {
    const as = figures.ofLot(lot, turn);
    const [member] = as.members;
    if (!flips || !member) return [as];
    const item = items.get(member.id) as CutItem;
    return [as, figures.of(item, { turn: member.turn, mirrored: true })];
  });
  const seen = new Set<string>();
  return ways.filter(({ outer }) => {
    // Corners of curves are rounded; what lies alike to a hundredth of a millimetre is alike.
    const corner = ([x, y]: Point): string => `${Math.round(x / 10)} ${Math.round(y / 10)}`;
    const key = outer
      .map((ring) => ring.map(corner).sort().join(' '))
      .sort()
      .join('; ');
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
};

/** Offsets along the edge of a no-fit at which two figures may fit best: corners, and where sides of both come to lie in line. */
const offsets = function* ({ rings }: NoFit, a: Size, b: Size): Generator<Point> {
  const lines = [
    [0, 0],
    [0, a.width - b.width],
    [1, 0],
    [1, a.height - b.height],
  ] as const;
  for (const ring of rings) {
    let last = ring[ring.length - 1] as Point;
    for (const point of ring) {
      yield point;
      for (const [axis, at] of lines) {
        const [from, to] = [last[axis], point[axis]];
        if (from === to || at <= Math.min(from, to) || at >= Math.max(from, to)) continue;
        const share = (at - from) / (to - from);
        const [x, y] = [last[0] + share * (point[0] - last[0]), last[1] + share * (point[1] - last[1])];
        yield [Math.round(x), Math.round(y)];
      }
      last = point;
    }
  }
};

type Joint = { readonly figure: NestFigure; readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** The smallest rectangle round two figures, the first standing; undefined when it is larger than every sheet. */
const jointOf = (
  a: NestFigure,
  ways: readonly NestFigure[],
  figures: Figures,
  rooms: readonly Size[],
  turns: boolean,
  gap: number,
): Joint | undefined => {
  let best: Joint | undefined;
  const fits = (width: number, height: number): boolean =>
    rooms.some((room) => (width <= room.width && height <= room.height) || (turns && height <= room.width && width <= room.height));
  for (const b of ways) {
    for (const [x, y] of offsets(figures.noFit(a, b, 'filled'), a, b)) {
      const width = Math.max(a.width, x + b.width) - Math.min(0, x);
      const height = Math.max(a.height, y + b.height) - Math.min(0, y);
      if (best && rectangleOf({ width, height }, gap) >= rectangleOf(best, gap)) continue;
      if (fits(width, height)) best = { figure: b, x, y, width, height };
    }
  }
  return best;
};

const tied = (a: NestFigure, { figure, x, y, width, height }: Joint, turns: boolean): Lot => {
  const whole = together(
    [
      { figure: a, x: Math.max(0, -x), y: Math.max(0, -y) },
      { figure, x: Math.max(0, x), y: Math.max(0, y) },
    ],
    { width, height },
  );
  return { id: whole.members.map(({ id }) => id).join(' + '), width, height, turns, members: whole.members };
};

type Class = { readonly figure: NestFigure; readonly lots: Lot[] };

/** Lots of one shape together, as they lie first. */
const classesOf = (lots: readonly Lot[], figures: Figures): readonly Class[] => {
  const classes = new Map<string, Class>();
  for (const lot of lots) {
    const figure = figures.ofLot(lot, 0);
    const key = `${figure.kind} ${lot.turns}`;
    const known = classes.get(key);
    if (known) known.lots.push(lot);
    else classes.set(key, { figure, lots: [lot] });
  }
  return [...classes.values()];
};

/** Ties lots together two by two where that makes the rectangle smaller. */
const pairUp = (lots: readonly Lot[], items: ReadonlyMap<string, CutItem>, figures: Figures, rooms: readonly Size[], gap: number) => {
  const wasteful = classesOf(lots, figures)
    .filter(({ figure }) => corners(figure) > 0.1 * figure.width * figure.height)
    .sort((p, q) => corners(q.figure) * q.lots.length - corners(p.figure) * p.lots.length)
    .slice(0, MOST_KINDS);
  const candidates = wasteful.flatMap((one, index) =>
    wasteful.slice(index).flatMap((other) => {
      const [a, b] = [one.lots[0] as Lot, other.lots[0] as Lot];
      if (one === other && one.lots.length < 2) return [];
      const turns = a.turns && b.turns;
      const joint = jointOf(one.figure, waysOf(b, items, figures), figures, rooms, turns, gap);
      if (!joint) return [];
      const [before, after] = [rectangleOf(a, gap) + rectangleOf(b, gap), rectangleOf(joint, gap)];
      return after < WORTH * before ? [{ one, other, joint, turns, saved: before - after, share: after / before }] : [];
    }),
  );
  const free = new Set(lots);
  const made: Lot[] = [];
  for (const { one, other, joint, turns } of candidates.sort((p, q) => p.share - q.share)) {
    for (;;) {
      const a = one.lots.find((lot) => free.has(lot));
      const b = other.lots.find((lot) => free.has(lot) && lot !== a);
      if (!a || !b) break;
      free.delete(a);
      free.delete(b);
      const mine = figures.ofLot(a, 0);
      // Equal lots lie alike; only who they are differs.
      const theirs = renamed(joint.figure, b, items, figures);
      made.push(tied(mine, { ...joint, figure: theirs }, turns));
    }
  }
  return [...free, ...made];
};

/** The figure of another lot of the same shape, lying as the one that was tried. */
const renamed = (figure: NestFigure, lot: Lot, items: ReadonlyMap<string, CutItem>, figures: Figures): NestFigure =>
  waysOf(lot, items, figures).find(({ kind }) => kind === figure.kind) ?? figure;

/** Where a guest may lie in a host's rectangle, clear of all that lies there: the lowest place, then the leftmost. */
const placeIn = (
  host: NestFigure,
  inside: readonly { figure: NestFigure; x: number; y: number }[],
  guest: NestFigure,
  figures: Figures,
) => {
  const [most, high] = [host.width - guest.width, host.height - guest.height];
  if (most < 0 || high < 0) return undefined;
  const barred = inside.map(({ figure, x, y }) => {
    const { rings, box } = figures.noFit(figure, guest, 'open');
    const moved = rings.map((ring): Ring => ring.map(([px, py]): Point => [px + x, py + y]));
    return { rings: moved, box: { x0: box.x0 + x, y0: box.y0 + y, x1: box.x1 + x, y1: box.y1 + y } };
  });
  const spots: Point[] = [[0, 0], [most, 0], [0, high], [most, high], ...barred.flatMap((each) => [...offsets(each, host, guest)])];
  return spots
    .filter(([x, y]) => x >= 0 && y >= 0 && x <= most && y <= high)
    .sort(([ax, ay], [bx, by]) => ay - by || ax - bx)
    .find(([x, y]) => !barred.some((each) => isInside(each, x, y)));
};

/** Whether one figure is small enough for an opening of another, or for what is left at its corners. */
const mayHold = (host: NestFigure, { width, height, area }: NestFigure): boolean =>
  area <= corners(host) ||
  host.openings.some(([across, along]) => (width <= across && height <= along) || (height <= across && width <= along));

/** Lays small lots into what large ones leave open in their rectangles: openings, notches, corners. */
const takeIn = (lots: readonly Lot[], items: ReadonlyMap<string, CutItem>, figures: Figures): readonly Lot[] => {
  const figure = new Map(lots.map((lot) => [lot, figures.ofLot(lot, 0)]));
  const of = (lot: Lot): NestFigure => figure.get(lot) as NestFigure;
  const hosts = [...lots].sort((a, b) => waste(of(b)) - waste(of(a)));
  const guests = [...lots].sort((a, b) => rectangleOf(b, 0) - rectangleOf(a, 0) || (a.id < b.id ? -1 : 1));
  const gone = new Set<Lot>();
  const made = new Map<Lot, Lot>();
  const refused = new Set<string>();
  let tries = 0;
  for (const host of hosts) {
    if (tries >= MOST_TRIES || gone.has(host) || waste(of(host)) < 0.02 * host.width * host.height) continue;
    let inside = [{ figure: of(host), x: 0, y: 0 }];
    let room = waste(of(host));
    let tried = 0;
    for (const guest of guests) {
      if (guest === host || gone.has(guest) || made.has(guest) || of(guest).area > room || tried >= MOST_GUESTS) continue;
      // Its grain must run as it does in the host.
      if (host.turns && !guest.turns) continue;
      if (!mayHold(of(host), of(guest))) continue;
      const key = `${inside.map((each) => each.figure.kind).join('; ')} < ${of(guest).kind}`;
      if (refused.has(key)) continue;
      tried += 1;
      tries += 1;
      const at = waysOf(guest, items, figures)
        .map((way) => ({ way, spot: placeIn(of(host), inside, way, figures) }))
        .find(({ spot }) => spot !== undefined);
      if (!at?.spot) {
        refused.add(key);
        continue;
      }
      inside = [...inside, { figure: at.way, x: at.spot[0], y: at.spot[1] }];
      room -= at.way.area;
      gone.add(guest);
    }
    if (inside.length === 1) continue;
    const whole = together(inside, host);
    made.set(host, { ...host, id: whole.members.map(({ id }) => id).join(' + '), members: whole.members });
  }
  return lots.filter((lot) => !gone.has(lot)).map((lot) => made.get(lot) ?? lot);
};

/** Ways to put parts into rectangles that several share, the last with the fewest rectangles; none where all parts are rectangles.
 *  Shape: n parts → lists of lots, each of which holds every part once. `rooms` are the sheets inside their trim. */
export const sharings = (list: readonly CutItem[], rooms: readonly Size[], gap: number): readonly (readonly Lot[])[] => {
  const alone = list.map(single);
  if (list.every(({ outline }) => outline === undefined)) return [];
  const items = new Map(list.map((item) => [item.id, item]));
  const figures = newFigures(items, gap);
  let pairs: readonly Lot[] = alone;
  for (let before = -1; before !== pairs.length; ) {
    before = pairs.length;
    pairs = pairUp(pairs, items, figures, rooms, gap);
  }
  const all = takeIn(pairs, items, figures);
  return [pairs, all].filter(({ length }, index) => length < (index === 0 ? alone : pairs).length);
};
