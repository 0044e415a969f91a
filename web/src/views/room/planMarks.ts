// Where the numbers of things stand on a plan: on what of each is seen, on no other number; else beside it. mm of the drawing.

/** A thing from above; what comes later in the list lies over it. */
export type SeenMark = {
  readonly id: string;
  readonly mark: string;
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
};

/** A number by its middle; `from` is the point of the thing that it names, where it stands beside it. */
export type PlanMark = {
  readonly id: string;
  readonly mark: string;
  readonly x: number;
  readonly y: number;
  readonly from: readonly [number, number] | null;
};

type Rect = Omit<SeenMark, 'id' | 'mark'>;

/** The width of a digit to its height, with some air. */
const WIDE = 0.62;

const meets = (one: Rect, other: Rect): boolean => one.x0 < other.x1 && other.x0 < one.x1 && one.y0 < other.y1 && other.y0 < one.y1;

/** Shares of a footprint's width or depth, the middle first. */
const SHARES = [0.5, 0.3, 0.7, 0.12, 0.88];

type Point = readonly [x: number, y: number];

/** The lines of walls as what no number stands on: a row of squares along each, half as wide on each side as is said.
 *  Shape: walls from end to end, half a line's width → squares. */
export const wallLines = (walls: readonly (readonly [from: Point, to: Point])[], half: number): readonly Rect[] =>
  walls.flatMap(([[ax, ay], [bx, by]]) => {
    const steps = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / (2 * half)));
    return Array.from({ length: steps + 1 }, (_, step) => {
      const [x, y] = [ax + ((bx - ax) * step) / steps, ay + ((by - ay) * step) / steps];
      return { x0: x - half, x1: x + half, y0: y - half, y1: y + half };
    });
  });

/** Numbers of things, each so tall.
 *  Shape: things from the lowest to the highest, the height of a number, the lines of the walls → one mark to each. The small ones choose first, for they have
 *  least to choose from. */
export const marksOnPlan = (things: readonly SeenMark[], tall: number, walls: readonly Rect[] = []): readonly PlanMark[] => {
  const placed: Rect[] = [];
  const order = things.map((thing, at) => ({ thing, at })).sort((a, b) => areaOf(a.thing) - areaOf(b.thing) || a.at - b.at);
  const marks = order.map(({ thing, at }): PlanMark => {
    const wide = tall * WIDE * thing.mark.length;
    const rectAt = (x: number, y: number): Rect => ({ x0: x - wide / 2, x1: x + wide / 2, y0: y - tall / 2, y1: y + tall / 2 });
    const over = things.slice(at + 1);
    const isFree = (rect: Rect, lying: readonly Rect[]): boolean => ![...placed, ...lying].some((each) => meets(rect, each));
    const [cx, cy] = [(thing.x0 + thing.x1) / 2, (thing.y0 + thing.y1) / 2];
    const inside = SHARES.flatMap((sx) =>
      SHARES.map((sy) => [thing.x0 + (thing.x1 - thing.x0) * sx, thing.y0 + (thing.y1 - thing.y0) * sy] as const),
    ).sort((a, b) => Math.hypot(a[0] - cx, a[1] - cy) - Math.hypot(b[0] - cx, b[1] - cy));
    // Beside it is beside all that lies over it, too; further off where something stands there.
    const lying = over.filter((each) => meets(each, thing));
    const hull: Rect = {
      x0: Math.min(thing.x0, ...lying.map(({ x0 }) => x0)),
      x1: Math.max(thing.x1, ...lying.map(({ x1 }) => x1)),
      y0: Math.min(thing.y0, ...lying.map(({ y0 }) => y0)),
      y1: Math.max(thing.y1, ...lying.map(({ y1 }) => y1)),
    };
    const beside = [1, 2, 3, 4].flatMap((far) => {
      const [right, left] = [hull.x1 + wide * 0.7 * far, hull.x0 - wide * 0.7 * far];
      const [above, below] = [hull.y0 - tall * 0.6 * far, hull.y1 + tall * 0.6 * far];
      return [
        [cx, above],
        [cx, below],
        [left, cy],
        [right, cy],
        [left, above],
        [right, below],
        [right, above],
        [left, below],
      ] as const;
    });
    const fits = thing.x1 - thing.x0 > wide * 0.9 && thing.y1 - thing.y0 > tall * 0.9;
    const within = fits ? inside.find(([x, y]) => isFree(rectAt(x, y), [...over, ...walls])) : undefined;
    const besideWithout = (lines: readonly Rect[]) => beside.find(([x, y]) => isFree(rectAt(x, y), lines));
    const out = within ?? besideWithout([...things, ...walls]) ?? besideWithout(walls) ?? besideWithout([]);
    const [x, y] = out ?? ([cx, cy] as const);
    placed.push(rectAt(x, y));
    return { id: thing.id, mark: thing.mark, x, y, from: within || !out ? null : [cx, cy] };
  });
  return things.map(({ id }) => marks.find((mark) => mark.id === id) as PlanMark);
};

const areaOf = ({ x0, y0, x1, y1 }: Rect): number => (x1 - x0) * (y1 - y0);
