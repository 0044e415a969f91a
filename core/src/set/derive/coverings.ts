// µm, doll size. From what pieces wear to their papers and paint, for the whole set.
import type { Part } from '../../assembly/index.ts';
import {
  type Covering,
  coverPiece,
  dotsPerInch,
  type Finish,
  LEAST_DPI,
  type Look,
  lookOf,
  PATTERNS,
  type Paper,
  picturePlacements,
  type Surface,
} from '../../cover/index.ts';
import { fieldOf, type PaperSheet } from '../../print/index.ts';
import { AXES, bounds, normalOf, type Vec3 } from '../../shape/index.ts';
import type { Piece, SetDocument } from '../document/document.ts';
import type { DerivedPiece, DerivedSet, MadePiece } from './derive.ts';

/** What covers one piece. `key` is all that it depends on, as text; `from` is the key of the piece as it stood, whose parts it counts by. */
export type DerivedCovering = { readonly key: string; readonly id: string; readonly from: string; readonly covering: Covering };

const finishesOf = (document: SetDocument): ReadonlyMap<string, Finish> => new Map(document.finishes.map((finish) => [finish.id, finish]));

/** The finishes that a piece wears anywhere. */
const wornFinishes = ({ dress }: Piece, finishes: ReadonlyMap<string, Finish>): readonly Finish[] =>
  [...new Set(dress.wears.flatMap(({ finish }) => finish ?? []))].flatMap((id) => finishes.get(id) ?? []);

/** As large as a net may be: a printed page's field, or a sheet. */
const roomOf = (document: SetDocument, finish: Finish | undefined): { readonly width: number; readonly height: number } => {
  if (finish?.supply.kind === 'sheets') return finish.supply;
  if (finish?.supply.kind === 'roll') return { width: finish.supply.width, height: Number.MAX_SAFE_INTEGER };
  const { x0, y0, x1, y1 } = fieldOf(document.printing);
  return { width: x1 - x0, height: y1 - y0 };
};

const keyOf = (document: SetDocument, derived: DerivedPiece, piece: Piece, worn: readonly Finish[]): string =>
  JSON.stringify([
    derived.key,
    piece.dress,
    worn.map(({ id, how, edges, turn, coats, spread, supply }) => [id, how, edges, turn, coats, spread, supply]),
    document.printing,
  ]);

/** Covers one piece, whether or not it wears anything yet; nothing for one that cannot be built. */
export const coverOne = (
  document: SetDocument,
  { made, ...derived }: DerivedPiece,
  previous: readonly DerivedCovering[] = [],
): DerivedCovering | null => {
  const piece = document.pieces.find(({ id }) => id === derived.id);
  if (!made || !piece) return null;
  const finishes = finishesOf(document);
  const key = keyOf(document, { made, ...derived }, piece, wornFinishes(piece, finishes));
  const known = previous.find((covering) => covering.key === key);
  if (known) return known;
  const covering = coverPiece(made.assembly, made.inspection, piece.dress, finishes, (id) => roomOf(document, finishes.get(id)));
  return { key, id: piece.id, from: derived.key, covering };
};

/** Covers every piece that wears anything and stands.
 *  Shape: a document and its pieces → their coverings, in the pieces' order. `previous` only saves work: what has not changed is taken over as the
 *  very same object. */
export const deriveCoverings = (
  document: SetDocument,
  derived: DerivedSet,
  previous: readonly DerivedCovering[] = [],
): readonly DerivedCovering[] => {
  const finishes = finishesOf(document);
  return document.pieces.flatMap((piece, index) => {
    if (wornFinishes(piece, finishes).length === 0) return [];
    return coverOne(document, derived.pieces[index] as DerivedPiece, previous) ?? [];
  });
};

const SIDES = ['right', 'left', 'top', 'underside', 'front', 'back'] as const;

/** The side that a face looks to, in a word. */
export const sideWord = (n: Vec3): (typeof SIDES)[number] => {
  const axis = AXES.reduce((best, each) => (Math.abs(n[each]) > Math.abs(n[best]) + 1e-6 ? each : best), 0);
  return SIDES[axis * 2 + (n[axis] > 0 ? 0 : 1)] as (typeof SIDES)[number];
};

/** What a paper is called: the part and the side that it covers. */
export const paperName = (paper: Paper, covering: Covering, made: MadePiece): { readonly tag: string; readonly name: string } => {
  const surface = covering.surfaces[paper.panels[0]?.surface ?? 0] as Surface;
  const part = made.assembly.parts[surface.part] as Part;
  const where =
    paper.how === 'strip'
      ? 'edge strip'
      : paper.how === 'net'
        ? `${sideWord(normalOf(surface.pose))}, net`
        : sideWord(normalOf(surface.pose));
  return { tag: made.tags[surface.part] ?? '', name: `${part.name}, ${where}` };
};

/** The look of every finish of a set, by its id. */
export const looksOf = (document: SetDocument, derived: DerivedSet): ReadonlyMap<string, Look> =>
  new Map(document.finishes.map((finish) => [finish.id, lookOf(finish.art, document.palette, derived.scale)]));

/** How many dots to the inch a maker's picture has on a paper; Infinity for what is drawn. */
export const dotsOn = (paper: Paper, look: Look): number => {
  if (look.kind !== 'picture') return Number.POSITIVE_INFINITY;
  const [place] = picturePlacements(look, { x0: 0, y0: 0, x1: 1, y1: 1 }, paper.fit);
  if (!place) return Number.POSITIVE_INFINITY;
  const { x0, x1 } = bounds(place.clip);
  return dotsPerInch(look, x1 - x0);
};

/** A picture that would be a blur is not printed; the finding says why. */
const tooCoarse = (paper: Paper, look: Look): boolean => dotsOn(paper, look) < LEAST_DPI;

/** The papers that the maker's own printer prints, piece by piece. */
export const printedPapers = (
  document: SetDocument,
  derived: DerivedSet,
  coverings: readonly DerivedCovering[],
  pieces: readonly string[] | null,
): readonly PaperSheet[] => {
  const looks = looksOf(document, derived);
  const finishes = finishesOf(document);
  return coverings.flatMap(({ id, covering }) => {
    const made = derived.pieces.find((piece) => piece.id === id)?.made;
    if (!made || (pieces && !pieces.includes(id))) return [];
    return covering.papers.flatMap((paper): readonly PaperSheet[] => {
      const finish = finishes.get(paper.wear.finish ?? '');
      const look = finish && looks.get(finish.id);
      if (!look || finish.supply.kind !== 'printed' || tooCoarse(paper, look)) return [];
      return [{ ...paperName(paper, covering, made), paper, look, on: finish.supply.on, both: finish.supply.both }];
    });
  });
};

/** For those who paint or draw by hand: how far apart the lines of a pattern of rows are at doll size, and by how much every other row is
 *  shifted; null for patterns without rows. */
export const rulerGrid = (look: Look): { readonly up: number; readonly across: number; readonly shift: number } | null => {
  if (look.kind !== 'pattern') return null;
  const pattern = PATTERNS[look.pattern];
  const repeat = pattern.repeat(look.sizes);
  const up = pattern.course?.(look.sizes);
  if (!repeat || up === undefined) return null;
  return { up, across: repeat.x, shift: Math.round(repeat.y / up) === 2 ? repeat.x / 2 : 0 };
};
