// A figure as it lies: one part, or several that hold together in their rectangle. µm, lower left corner at the origin.
import {
  bounds,
  movedRing,
  type Orientation,
  oriented,
  orientedSize,
  type Point,
  type Quarters,
  type Ring,
  rectRing,
  regionArea,
} from '../../shape/index.ts';
import { type CutItem, type Lot, type LotPlacement, membersAt } from '../lots.ts';
import { convexPieces, type NoFit, noFit } from './convex.ts';

/** `kind` is equal for equal figures; `area` is what they cover. `outer` are convex pieces of what it keeps others from when it comes from
 *  outside, its openings filled; `pieces` leave the openings open. */
export type NestFigure = {
  readonly kind: string;
  readonly width: number;
  readonly height: number;
  readonly area: number;
  readonly outer: readonly Ring[];
  readonly pieces: () => readonly Ring[];
  readonly members: readonly LotPlacement[];
  /** The sizes of the rectangles round its openings. */
  readonly openings: readonly (readonly [width: number, height: number])[];
};

/** Makes figures of parts, each shape and each way of lying once. */
export type Figures = {
  readonly of: (item: CutItem, lie: Orientation) => NestFigure;
  readonly ofLot: (lot: Lot, turn: Quarters) => NestFigure;
  /** Where a moving figure may not lie, the other standing at the origin, with its openings open or filled. */
  readonly noFit: (standing: NestFigure, moving: NestFigure, openings: 'open' | 'filled') => NoFit;
};

/** Shape: parts by id, knife gap in µm → figures of them. */
export const newFigures = (items: ReadonlyMap<string, CutItem>, gap: number): Figures => {
  const kinds = new WeakMap<CutItem, string>();
  const kindOf = (item: CutItem): string => {
    const known = kinds.get(item) ?? (item.outline ? JSON.stringify(item.outline) : `${item.width} ${item.height}`);
    kinds.set(item, known);
    return known;
  };
  const numbers = new Map<string, number>();
  /** A short name for a long one. */
  const numbered = (kind: string): number => {
    const known = numbers.get(kind) ?? numbers.size;
    numbers.set(kind, known);
    return known;
  };
  const shapes = new Map<string, readonly Ring[]>();
  const cut = (kind: string, item: CutItem, { turn, mirrored }: Orientation, holes: readonly Ring[]): readonly Ring[] => {
    const key = `${kind} ${holes.length}`;
    const known = shapes.get(key);
    if (known) return known;
    const place = oriented(item, { turn, mirrored });
    const pieces = convexPieces({ outline: item.outline?.outline ?? rectRing(0, 0, item.width, item.height), holes }).map((ring): Ring => {
      const laid = ring.map((point): Point => place(point));
      return mirrored ? laid.reverse() : laid;
    });
    shapes.set(key, pieces);
    return pieces;
  };
  const of: Figures['of'] = (item, lie) => {
    const { turn, mirrored } = lie;
    const kind = `${numbered(kindOf(item))} ${turn}${mirrored ? ' mirrored' : ''}`;
    return {
      kind,
      ...orientedSize(item, lie),
      area: item.outline ? regionArea(item.outline) : item.width * item.height,
      outer: cut(kind, item, lie, []),
      pieces: () => cut(kind, item, lie, item.outline?.holes ?? []),
      members: [{ id: item.id, x: 0, y: 0, turn, mirrored }],
      openings: (item.outline?.holes ?? []).map((hole) => {
        const { x0, y0, x1, y1 } = bounds(hole);
        return [x1 - x0, y1 - y0] as const;
      }),
    };
  };
  const sizeOf = (id: string) => items.get(id) as CutItem;
  const ofLot: Figures['ofLot'] = (lot, turn) => {
    const members = membersAt(lot, 0, 0, turn, sizeOf);
    const [only] = members;
    if (only && members.length === 1 && only.x === 0 && only.y === 0) {
      const figure = of(sizeOf(only.id), only);
      if (figure.width === lot.width || figure.height === lot.width) return figure;
    }
    return together(
      members.map((member) => ({ figure: of(sizeOf(member.id), member), x: member.x, y: member.y })),
      orientedSize(lot, { turn }),
    );
  };
  const barred = new Map<string, NoFit>();
  return {
    of,
    ofLot,
    noFit: (standing, moving, openings) => {
      const key = `${standing.kind} | ${moving.kind} ${openings}`;
      const known = barred.get(key) ?? noFit(openings === 'open' ? standing.pieces() : standing.outer, moving.outer, gap);
      barred.set(key, known);
      return known;
    },
  };
};

/** Several figures, each by its lower left corner, as one. */
export const together = (
  list: readonly { readonly figure: NestFigure; readonly x: number; readonly y: number }[],
  size: { readonly width: number; readonly height: number },
): NestFigure => ({
  kind: list.map(({ figure, x, y }) => `${figure.kind} ${x} ${y}`).join('; '),
  ...size,
  area: list.reduce((sum, { figure }) => sum + figure.area, 0),
  outer: list.flatMap(({ figure, x, y }) => figure.outer.map((ring) => movedRing(ring, x, y))),
  pieces: () => list.flatMap(({ figure, x, y }) => figure.pieces().map((ring) => movedRing(ring, x, y))),
  openings: list.flatMap(({ figure }) => figure.openings),
  members: list.flatMap(({ figure, x, y }) => figure.members.map((member) => ({ ...member, x: member.x + x, y: member.y + y }))),
});
