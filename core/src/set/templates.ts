// From derived pieces to the templates that are printed.
import { showLength, type Units } from '../measure/index.ts';
import { impose, type Page, type Template } from '../print/index.ts';
import { bounds, type Point, type Ring } from '../shape/index.ts';
import type { DerivedPiece, DerivedSet, MadePiece } from './derive.ts';
import type { SetDocument } from './document.ts';

/** Which pieces to print; none named is all. */
export type Wanted = { readonly pieces: readonly string[] | null };

const sizeText = (width: number, height: number, units: Units): string => `${showLength(width, units)} × ${showLength(height, units)}`;

const home = (ring: Ring, x0: number, y0: number): Ring => ring.map(([x, y]): Point => [x - x0, y - y0]);

const templateOf = (piece: DerivedPiece, made: MadePiece, index: number, units: Units, grained: boolean): Template => {
  const part = made.assembly.parts[index] as MadePiece['assembly']['parts'][number];
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  return {
    tag: made.tags[index] ?? '',
    name: part.name,
    piece: piece.name,
    quantity: 1,
    sizes: sizeText(x1 - x0, y1 - y0, units),
    region: { outline: home(part.region.outline, x0, y0), holes: part.region.holes.map((hole) => home(hole, x0, y0)) },
    guides: (made.guides[index] ?? []).map((guide) => ({
      face: guide.face,
      outline: home(guide.outline, x0, y0),
      tag: made.tags[guide.part] ?? '',
    })),
    grain: grained && part.grain !== 'any' ? part.grain : null,
  };
};

/** Two templates look the same to eye and knife when they agree to a hundredth of a millimetre. */
const looks = ({ tag, region, guides }: Template): string =>
  JSON.stringify([tag, region, guides], (_, value) => (typeof value === 'number' ? Math.round(value / 10) : value));

/** Parts whose templates would look the same share one, which says how many to cut. Parts of one tag with different guide lines
 *  (a left and a right side) get one each. */
const merged = (templates: readonly Template[]): readonly Template[] => {
  const kinds = new Map<string, Template>();
  for (const template of templates) {
    const known = kinds.get(looks(template));
    const names = known?.name.split(' / ') ?? [];
    const name = names.includes(template.name) ? names.join(' / ') : [...names, template.name].join(' / ');
    kinds.set(looks(template), known ? { ...known, name, quantity: known.quantity + 1 } : template);
  }
  return [...kinds.values()];
};

/** The templates of a set, piece by piece. */
export const templatesOf = (document: SetDocument, derived: DerivedSet, wanted: Wanted): readonly Template[] =>
  derived.pieces.flatMap((piece) => {
    const { made } = piece;
    if (made === null || (wanted.pieces !== null && !wanted.pieces.includes(piece.id))) return [];
    const grained = (board: string) => document.boards.find(({ id }) => id === board)?.grain === 'along';
    return merged(made.assembly.parts.map((part, index) => templateOf(piece, made, index, document.units, grained(part.board))));
  });

/** The pages of a set's templates, ready to be drawn or written. */
export const templatePages = (document: SetDocument, derived: DerivedSet, wanted: Wanted): readonly Page[] =>
  impose(templatesOf(document, derived, wanted), document.printing, document.name);
