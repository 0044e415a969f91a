// What is cut of a set beside its boards and sticks: nets of paper, pieces of patterns, hinges of paper. µm, doll size.
import { cutLineOf } from '../../cloth/index.ts';
import { outlineOfNet } from '../../print/index.ts';
import { bounds, type Point, type Region, type Ring, rectRing } from '../../shape/index.ts';
import { PRINT_STOCKS } from '../../stock/index.ts';
import type { DerivedPiece, DerivedSet } from '../derive/derive.ts';
import { sheetsOfGood } from '../derive/goods.ts';
import type { SetDocument } from '../document/document.ts';
import { clothSheets } from './clothPlans.ts';
import { type PaperHinge, paperHingesOf } from './templates.ts';

/** A flat thing that is cut out so many times: its outlines with the lower left corner at the origin, and where it is folded. */
export type Flat = {
  readonly kind: 'net' | 'pattern' | 'paper hinge';
  readonly tag: string;
  readonly name: string;
  readonly of: string;
  readonly count: number;
  readonly width: number;
  readonly height: number;
  readonly outlines: readonly Region[];
  /** Folds and scores by their two ends, and by how much each is bent in degrees where that is known. */
  readonly folds: readonly { readonly from: Point; readonly to: Point; readonly degrees: number | null }[];
  readonly tabs: readonly Ring[];
};

const moveTo = (x0: number, y0: number) => {
  const point = ([x, y]: Point): Point => [Math.round(x - x0) + 0, Math.round(y - y0) + 0];
  const ring = (points: Ring): Ring => points.map(point);
  return { point, ring, region: ({ outline, holes }: Region): Region => ({ outline: ring(outline), holes: holes.map(ring) }) };
};

const netsOf = (document: SetDocument, derived: DerivedSet, piece: DerivedPiece): readonly Flat[] =>
  sheetsOfGood(document, derived, piece).map(({ net: { name, net, on }, copies, sheet }): Flat => {
    const cut = outlineOfNet(net);
    const { x0, y0, x1, y1 } = bounds(cut.flatMap(({ outline }) => outline));
    const { point, ring, region } = moveTo(x0, y0);
    return {
      ...{ kind: 'net', tag: sheet.tag, name, of: PRINT_STOCKS[on].name, count: copies.length },
      ...{ width: Math.round(x1 - x0), height: Math.round(y1 - y0), outlines: cut.map(region) },
      folds: [
        ...net.hinges.map(({ from, to, angle }) => ({
          from: point(from),
          to: point(to),
          degrees: Math.round((angle * 1800) / Math.PI) / 10,
        })),
        ...net.tabs.map(({ on: edge }) => ({ from: point(edge.from), to: point(edge.to), degrees: null })),
      ],
      tabs: net.tabs.map(({ outline }) => ring(outline as Ring)),
    };
  });

const patternsOf = (document: SetDocument, derived: DerivedSet, { id }: DerivedPiece): readonly Flat[] =>
  clothSheets(document, derived, [id]).map(({ tag, name, piece: cloth, words }): Flat => {
    const cut = cutLineOf(cloth);
    const { x0, y0, x1, y1 } = bounds(cut);
    const { point, region } = moveTo(x0, y0);
    const [, count, of] = /^cut (\d+) of (.*)$/.exec(words[0] ?? '') ?? [];
    return {
      ...{
        kind: 'pattern',
        tag,
        name,
        of: of ?? 'cloth',
        count: Number(count ?? 1),
        width: Math.round(x1 - x0),
        height: Math.round(y1 - y0),
      },
      outlines: [region({ outline: cut, holes: [] })],
      folds: cloth.folds.map(([from, to]) => ({ from: point(from), to: point(to), degrees: null })),
      tabs: [],
    };
  });

/** Hinges of paper, those alike together. */
const hingesOf = ({ made }: DerivedPiece): readonly Flat[] => {
  const all = made ? paperHingesOf(made) : [];
  const isLike = (one: PaperHinge) => (other: PaperHinge) =>
    other.tag === one.tag && other.leaf === one.leaf && other.length === one.length;
  return all
    .filter((hinge, index) => all.findIndex(isLike(hinge)) === index)
    .map((hinge): Flat => {
      const { tag, leaf, length } = hinge;
      return {
        ...{ kind: 'paper hinge', tag, name: 'paper hinge', of: 'paper', count: all.filter(isLike(hinge)).length },
        ...{ width: 2 * leaf, height: length, tabs: [] },
        outlines: [{ outline: rectRing(0, 0, 2 * leaf, length), holes: [] }],
        folds: [{ from: [leaf, 0], to: [leaf, length], degrees: null }],
      };
    });
};

/** Every flat thing of a piece. */
export const flatsOf = (document: SetDocument, derived: DerivedSet, piece: DerivedPiece): readonly Flat[] => [
  ...netsOf(document, derived, piece),
  ...patternsOf(document, derived, piece),
  ...hingesOf(piece),
];
