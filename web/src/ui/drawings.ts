// Parts as they are seen from the front, from the right side and from above: outlines to paint, back to front. Millimetres, y up.
import { boxOf, isSquare, type Part, type Role, upperOf } from '@parlor/core/assembly';
import { normalOf, type Point, type Ring, toSpace } from '@parlor/core/shape';

export const SIGHTS = ['front', 'side', 'top'] as const;
export type SightName = (typeof SIGHTS)[number];

/** A part as it is drawn: a path in millimetres, y down from the floor (or from the back, seen from above), and the box round it. */
export type ShownDrawing = {
  readonly index: number;
  readonly role: Role;
  readonly clear: boolean;
  readonly path: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
};

/** Which way each drawing looks, and where a point of space falls in it: x to the right, y up. From the side the front is at the left. */
const LOOKS: Readonly<Record<SightName, { readonly axis: 0 | 1 | 2; readonly place: (at: readonly number[]) => Point }>> = {
  front: { axis: 2, place: ([x, y]) => [x as number, y as number] },
  side: { axis: 0, place: ([, y, z]) => [-(z as number), y as number] },
  top: { axis: 1, place: ([x, , z]) => [x as number, -(z as number)] },
};

const turn = (o: Point, a: Point, b: Point): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/** The convex hull by Andrew's monotone chain: the outline of a slanted board as it is seen. */
const hull = (points: readonly Point[]): Ring => {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Point[]): Point[] =>
    list.reduce<Point[]>((chain, point) => {
      while (chain.length >= 2 && turn(chain.at(-2) as Point, chain.at(-1) as Point, point) <= 0) chain.pop();
      chain.push(point);
      return chain;
    }, []);
  return [...half(sorted).slice(0, -1), ...half([...sorted].reverse()).slice(0, -1)];
};

/** The rings that a part shows: its own with their holes where it faces the eye, else what its box or its hull covers. */
const ringsOf = (part: Part, { axis, place }: (typeof LOOKS)['front']): readonly Ring[] => {
  const { pose, region, thickness } = part;
  if (isSquare(part) && Math.abs(normalOf(pose)[axis]) === 1)
    return [region.outline, ...region.holes].map((ring) => ring.map((point) => place(toSpace(pose, point))));
  const corners = [
    ...region.outline.map((point) => place(toSpace(pose, point))),
    ...upperOf(part).outline.map((point) => place(toSpace(pose, point, thickness))),
  ];
  return [hull(corners)];
};

const pathOf = (rings: readonly Ring[], dx: number): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${(x - dx) / 1000} ${-y / 1000}`).join('L')}Z`).join('');

/** What is seen, nearest last, from where the piece's own left edge is nought. */
export const drawnFrom = (parts: readonly Part[], sight: SightName): readonly ShownDrawing[] => {
  const look = LOOKS[sight];
  const seen = parts.map((part, index) => {
    const rings = ringsOf(part, look);
    const points = rings[0] ?? [];
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
    return {
      part,
      index,
      rings,
      near: boxOf(part).max[look.axis],
      x0: Math.min(...xs),
      x1: Math.max(...xs),
      y0: Math.min(...ys),
      y1: Math.max(...ys),
    };
  });
  const left = Math.min(...seen.map(({ x0 }) => x0));
  const dx = sight === 'side' ? left : 0;
  const low = sight === 'top' ? Math.min(...seen.map(({ y0 }) => y0)) : 0;
  return [...seen]
    .sort((a, b) => a.near - b.near || a.index - b.index)
    .map(({ part, index, rings, x0, x1, y0, y1 }) => ({
      index,
      role: part.role,
      clear: part.stuff === 'clear',
      path: pathOf(
        rings.map((ring) => ring.map(([x, y]): Point => [x, y - low])),
        dx,
      ),
      x: (x0 - dx) / 1000,
      y: (y0 - low) / 1000,
      width: (x1 - x0) / 1000,
      height: (y1 - y0) / 1000,
    }));
};

const FILLS: Partial<Record<Role, string>> = {
  back: 'var(--paper)',
  lining: 'var(--paper)',
  plinth: 'var(--oat)',
  foot: 'var(--oat)',
  post: 'var(--oat)',
  rail: 'var(--oat)',
  slide: 'var(--steel)',
  rack: 'var(--steel)',
  slat: 'var(--oat)',
  tray: 'var(--oat)',
  found: 'var(--steel)',
  light: 'var(--sprig)',
  door: 'var(--blush)',
  border: 'var(--blush)',
  front: 'var(--blush)',
  fitting: 'var(--graphite)',
  glass: 'var(--lilac)',
  pad: 'var(--lilac)',
};

/** How each role is painted. */
export const fillOf = ({ role, clear }: Pick<ShownDrawing, 'role' | 'clear'>): string =>
  clear ? 'var(--lilac)' : (FILLS[role] ?? 'var(--leaf)');

/** Doors and glass let what is behind them be guessed. */
export const opacityOf = ({ role, clear }: Pick<ShownDrawing, 'role' | 'clear'>): number =>
  clear ? 0.35 : role === 'door' || role === 'border' || role === 'front' ? 0.72 : 1;
