// µm, doll size. What a set's sewing takes of each cloth, and how its pieces lie on it.
import { type ClothPiece, cutLineOf, cutSizeOf, type EdgeKind } from '../../cloth/index.ts';
import { inkColour, lookOf, mainColour } from '../../cover/index.ts';
import { layOnStrip, type StripItem, type StripLaid } from '../../cut/index.ts';
import { scaleOf } from '../../doll/index.ts';
import { showLength, type Units } from '../../measure/index.ts';
import { type ClothThing, clothFor, type Sewing } from '../../piece/index.ts';
import type { ClothSheet } from '../../print/index.ts';
import { bounds, type Ring } from '../../shape/index.ts';
import { type Cloth, hasNap } from '../../stock/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';

/** One kind of piece of a pattern: pieces alike are one, so many of them. */
export type ClothCut = {
  readonly piece: string;
  readonly tag: string;
  readonly name: string;
  readonly role: ClothPiece['role'];
  readonly pattern: ClothPiece;
  readonly line: Ring;
  readonly size: readonly [width: number, height: number];
  readonly count: number;
  readonly cloth: string;
};

const letter = (index: number): string => String.fromCharCode(97 + (index % 26)) + (index >= 26 ? String(Math.floor(index / 26)) : '');

const keyOf = (piece: ClothPiece): string =>
  JSON.stringify([piece.role, piece.line, piece.edges.map(({ sides, kind, allow }) => [sides, kind, allow])]);

/** The pieces that are cut for a thing, alike ones together: 31a, 31b … by its mark. */
export const cutsOfSewing = (document: SetDocument, thing: ClothThing, sewing: Sewing): readonly ClothCut[] => {
  const kinds = new Map<string, ClothPiece[]>();
  for (const piece of sewing.pattern.pieces) kinds.set(keyOf(piece), [...(kinds.get(keyOf(piece)) ?? []), piece]);
  return [...kinds.values()].flatMap((alike, index): readonly ClothCut[] => {
    const [first] = alike;
    if (!first) return [];
    const names = alike.map(({ name }) => name);
    const asked = first.role === 'second' ? (thing.cloths.second ?? thing.cloths.main) : thing.cloths.main;
    return [
      {
        piece: thing.id,
        tag: `${thing.mark}${letter(index)}`,
        name: names.length > 2 ? `${first.name.replace(/ \d+$/, '')}, each` : names.join(', '),
        role: first.role,
        pattern: first,
        line: cutLineOf(first),
        size: cutSizeOf(first),
        count: alike.length * sewing.copies.length,
        cloth: first.role === 'batting' ? BATTING : clothFor(document.cloths, asked).id,
      },
    ];
  });
};

export const cutsOfCloth = (document: SetDocument, derived: DerivedSet, id: string): readonly ClothCut[] => {
  const thing = document.pieces.find((piece) => piece.id === id);
  const sewing = derived.pieces.find((piece) => piece.id === id)?.made?.sewing;
  return thing && 'cloths' in thing && sewing ? cutsOfSewing(document, thing, sewing) : [];
};

export const BATTING = 'batting';

/** A cloth with what is cut from it. */
export type ClothPlan = { readonly cloth: Cloth; readonly cuts: readonly ClothCut[]; readonly laid: StripLaid };

/** Scissors go between: common practice, no source. */
const GAP = 3_000;

const turnable = ({ pattern }: ClothCut, cloth: Cloth): boolean => cloth.kind === 'felt' || (pattern.anyWay && !hasNap(cloth));

/** Every cloth of the set from which something is cut, and how it lies. Pieces lie by the rectangles round them, their grain along the cloth; only felt, and what is round on cloth
 *  without a nap, lies any way. */
export const clothPlans = (document: SetDocument, derived: DerivedSet): readonly ClothPlan[] => {
  const cuts = document.pieces.flatMap(({ id }) => cutsOfCloth(document, derived, id));
  return document.cloths.flatMap((cloth): readonly ClothPlan[] => {
    const its = cuts.filter((cut) => cut.cloth === cloth.id);
    if (its.length === 0) return [];
    const items = its.flatMap((cut) =>
      Array.from(
        { length: cut.count },
        (_, index): StripItem => ({
          id: `${cut.tag} ${index + 1}`,
          width: cut.size[0],
          height: cut.size[1],
          crosswise: turnable(cut, cloth),
        }),
      ),
    );
    return [{ cloth, cuts: its, laid: layOnStrip(items, cloth.width, cloth.scraps, GAP) }];
  });
};

/** The outline of a cut where it lies, from the lower left corner of its cloth; turned it lies on its side. */
export const lyingLine = ({ line, size }: ClothCut, x: number, y: number, turned: boolean): Ring => {
  const { x0, y0 } = bounds(line);
  return line.map(([px, py]) => (turned ? [x + size[1] - (py - y0), y + (px - x0)] : [x + (px - x0), y + (py - y0)]));
};

const EDGE_WORDS: readonly (readonly [EdgeKind, string])[] = [
  ['seam', 'seams'],
  ['flap', 'flaps'],
  ['rim', 'rim'],
  ['hem', 'hem'],
  ['double hem', 'hem, turned twice,'],
  ['pocket', 'pocket'],
];

/** How the edges of a piece are worked, each kind once with its width. */
export const edgeWords = ({ edges }: ClothPiece, units: Units): readonly string[] =>
  EDGE_WORDS.flatMap(([kind, word]) => {
    const allows = new Set(edges.filter((edge) => edge.kind === kind && edge.allow > 0).map(({ allow }) => allow));
    return [...allows].map((allow) => `${word} ${showLength(allow, units)}`);
  });

/** The pieces of all patterns as they are printed, those of one piece where it is named. */
export const clothSheets = (document: SetDocument, derived: DerivedSet, pieces: readonly string[] | null): readonly ClothSheet[] =>
  document.pieces
    .filter(({ id }) => pieces === null || pieces.includes(id))
    .flatMap(({ id }) => {
      const openings = derived.pieces.find((piece) => piece.id === id)?.made?.sewing?.pattern;
      return cutsOfCloth(document, derived, id).map((cut): ClothSheet => {
        const index = openings?.pieces.indexOf(cut.pattern) ?? -1;
        const cloth = cut.cloth === BATTING ? 'batting' : (document.cloths.find((each) => each.id === cut.cloth)?.name ?? 'cloth');
        return {
          tag: cut.tag,
          name: cut.name,
          piece: cut.pattern,
          openings: openings?.openings.filter(({ piece }) => piece === index) ?? [],
          words: [`cut ${cut.count} of ${cloth}`, edgeWords(cut.pattern, document.units).join(', ')].filter((each) => each !== ''),
        };
      });
    });

/** Cloth that nobody has said a colour of. */
const UNDYED = '#f4efe4';

/** What colour a cloth is from afar: its print's main one, or its own. */
export const colourOfCloth = ({ cloths, palette, finishes, doll }: SetDocument, id: string | null): string => {
  const { print, colour } = clothFor(cloths, id);
  const finish = finishes.find((each) => each.id === print);
  if (finish) return mainColour(lookOf(finish.art, palette, scaleOf(doll)));
  return colour === null ? UNDYED : inkColour(palette, colour);
};
