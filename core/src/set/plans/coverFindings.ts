// µm, doll size. What a careful maker would notice about papers and paints.
import { contrastOf, type Finish, GOOD_DPI, LEAST_DPI, type Look, mainColour, PATTERNS, USUAL_TRIM } from '../../cover/index.ts';
import { type DollUm, dollUm, UM } from '../../measure/index.ts';
import { type DerivedCovering, deriveCoverings, dotsOn, looksOf } from '../derive/coverings.ts';
import type { DerivedPiece, DerivedSet } from '../derive/derive.ts';
import type { Piece, SetDocument } from '../document/document.ts';
import type { Edit } from '../document/edit.ts';
import type { Finding, Mend } from '../findings/finding.ts';
import { type PaperNeed, paperNeeds } from './paperNeeds.ts';

type Dressed = {
  readonly document: SetDocument;
  readonly derived: DerivedSet;
  readonly coverings: readonly DerivedCovering[];
  readonly needs: readonly PaperNeed[];
  readonly looks: ReadonlyMap<string, Look>;
};

const pieceOf = ({ document }: Dressed, id: string): Piece => document.pieces.find((piece) => piece.id === id) as Piece;

const changeFinish = (document: SetDocument, finish: Finish, change: Partial<Finish>): Edit => ({
  kind: 'change-set',
  change: { finishes: document.finishes.map((each) => (each.id === finish.id ? { ...each, ...change } : each)) },
});

/** A piece's wears of a finish that stop at a height. */
const railedAt = (piece: Piece, finish: string, upTo: DollUm): Edit => ({
  kind: 'change-piece',
  id: piece.id,
  change: { dress: { ...piece.dress, wears: piece.dress.wears.map((wear) => (wear.finish === finish ? { ...wear, upTo } : wear)) } },
});

const countOf = (need: PaperNeed | undefined): number => (need?.kind === 'sheets' ? need.count : need?.kind === 'roll' ? need.length : 0);

/** How high a finish that is short would go on its tallest piece, in whole centimetres (half inches where the maker counts in inches): by halving
 *  between nothing and all of it. */
const reachOf = (dressed: Dressed, finish: Finish, piece: Piece, atHand: number): number => {
  const { document, derived } = dressed;
  const tall = derived.pieces.find(({ id }) => id === piece.id)?.made?.assembly.outside.max[1] ?? 0;
  const step = document.units.unit === 'in' ? UM.in / 2 : 10 * UM.mm;
  const only = { ...document, finishes: [finish] };
  const does = (steps: number): boolean => {
    const edit = railedAt(piece, finish.id, dollUm(steps * step));
    const pieces = only.pieces.map((each) =>
      each.id === piece.id && edit.kind === 'change-piece' ? ({ ...each, ...edit.change } as Piece) : each,
    );
    const now = { ...only, pieces };
    const [need] = paperNeeds(now, derived, deriveCoverings(now, derived));
    return countOf(need) <= atHand;
  };
  let [low, high] = [0, Math.floor(tall / step)];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (does(middle)) low = middle;
    else high = middle - 1;
  }
  return low * step;
};

/** Sheets or a roll that do not go round. */
const short = (dressed: Dressed): readonly Finding[] =>
  dressed.needs.flatMap((need): readonly Finding[] => {
    const finish = dressed.document.finishes.find(({ id }) => id === need.finish) as Finish;
    const { supply } = finish;
    if ((need.kind !== 'sheets' && need.kind !== 'roll') || supply.kind === 'printed' || need.buy <= 0 || supply.atHand <= 0) return [];
    const wearing = dressed.coverings.filter(({ covering }) => covering.papers.some(({ wear }) => wear.finish === finish.id));
    const tallest = wearing
      .map(({ id }) => dressed.derived.pieces.find((piece) => piece.id === id) as DerivedPiece)
      .sort((a, b) => (b.made?.assembly.outside.max[1] ?? 0) - (a.made?.assembly.outside.max[1] ?? 0))[0] as DerivedPiece;
    const piece = pieceOf(dressed, tallest.id);
    const reach = reachOf(dressed, finish, piece, supply.atHand);
    const mend: Mend | null =
      reach > 0 ? { kind: 'stop-at-rail', detail: piece.name, edit: railedAt(piece, finish.id, dollUm(reach)) } : null;
    return [
      {
        code: 'paper-short',
        severity: 'warning',
        paper: finish.name,
        piece: piece.name,
        roll: need.kind === 'roll',
        numbers: { needed: countOf(need), has: supply.atHand, reach },
        where: { pieceId: piece.id },
        mend,
      },
    ];
  });

/** Board that shows raw beside what is covered. */
const rawEdges = ({ document, coverings }: Dressed): readonly Finding[] =>
  coverings.flatMap(({ id, covering }): readonly Finding[] => {
    const { raw } = covering;
    if (raw.length < 10 * UM.mm) return [];
    const piece = document.pieces.find((each) => each.id === id) as Piece;
    const bare = document.finishes.find(
      (finish) => finish.edges === 'raw' && finish.how !== 'paint' && piece.dress.wears.some((wear) => wear.finish === finish.id),
    );
    return [
      {
        code: 'raw-edges',
        severity: 'note',
        numbers: { length: Math.round(raw.length) },
        where: { pieceId: id },
        mend: bare ? { kind: 'cover-edges', detail: bare.name, edit: changeFinish(document, bare, { edges: 'strips' }) } : null,
      },
    ];
  });

/** A printer shows no finer line than this; common practice, no source. */
const FINEST = 150;

const tooFine = ({ document, coverings, looks }: Dressed): readonly Finding[] =>
  document.finishes.flatMap((finish): readonly Finding[] => {
    const look = looks.get(finish.id);
    const on = coverings.find(({ covering }) => covering.worn.some((wear) => wear?.finish === finish.id));
    if (!on || look?.kind !== 'pattern' || PATTERNS[look.pattern].made === 'tones' || finish.how === 'paint') return [];
    const fine = Object.entries(look.sizes)
      .filter(([, value]) => value > 0 && value < FINEST)
      .sort((a, b) => a[1] - b[1])[0];
    if (!fine) return [];
    return [
      {
        code: 'pattern-too-fine',
        severity: 'note',
        paper: finish.name,
        what: PATTERNS[look.pattern].sizes[fine[0]]?.label ?? fine[0],
        numbers: { size: Math.round(fine[1]), finest: FINEST },
        where: { pieceId: on.id },
        mend: null,
      },
    ];
  });

/** Pictures of too few dots: under the least they are not printed, under the good they are, with a warning. */
const coarse = ({ document, coverings, looks }: Dressed): readonly Finding[] =>
  document.finishes.flatMap((finish): readonly Finding[] => {
    const look = looks.get(finish.id);
    if (look?.kind !== 'picture') return [];
    let worst: { readonly dots: number; readonly piece: string } | undefined;
    for (const { id, covering } of coverings) {
      for (const paper of covering.papers) {
        const dots = paper.wear.finish === finish.id && paper.how !== 'strip' ? dotsOn(paper, look) : Number.POSITIVE_INFINITY;
        if (dots < GOOD_DPI && dots < (worst?.dots ?? Number.POSITIVE_INFINITY)) worst = { dots, piece: id };
      }
    }
    if (!worst) return [];
    return [
      {
        code: 'picture-too-coarse',
        severity: worst.dots < LEAST_DPI ? 'error' : 'warning',
        paper: finish.name,
        numbers: { dots: Math.floor(worst.dots), least: LEAST_DPI, good: GOOD_DPI },
        where: { pieceId: worst.piece },
        mend: null,
      },
    ];
  });

/** Joins of two sheets on something that is looked at. */
const seams = ({ document, needs }: Dressed): readonly Finding[] =>
  needs.flatMap((need): readonly Finding[] => {
    if ((need.kind !== 'sheets' && need.kind !== 'roll') || need.seams.length === 0) return [];
    const finish = document.finishes.find(({ id }) => id === need.finish) as Finish;
    const { supply } = finish;
    // Under a trim nobody sees it.
    if (supply.kind === 'printed' || supply.trim !== null) return [];
    const off = need.seams.filter(({ onLine }) => !onLine).length;
    return [
      {
        code: 'seams',
        severity: off > 0 ? 'warning' : 'note',
        paper: finish.name,
        numbers: { seams: need.seams.length, off },
        where: { pieceId: need.seams[0]?.piece ?? '' },
        mend: {
          kind: 'trim-over-seams',
          detail: finish.name,
          edit: changeFinish(document, finish, { supply: { ...supply, trim: USUAL_TRIM } }),
        },
      },
    ];
  });

/** Neighbours of less contrast than this are one to the eye. */
const ALIKE = 1.12;

type Hsl = { readonly hue: number; readonly strength: number; readonly light: number };

const hslOf = (colour: string): Hsl => {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16) / 255) as [number, number, number];
  const [most, least] = [Math.max(r, g, b), Math.min(r, g, b)];
  const light = (most + least) / 2;
  const spread = most - least;
  if (spread === 0) return { hue: 0, strength: 0, light };
  const strength = spread / (1 - Math.abs(2 * light - 1));
  const hue = most === r ? ((g - b) / spread + 6) % 6 : most === g ? (b - r) / spread + 2 : (r - g) / spread + 4;
  return { hue: hue * 60, strength, light };
};

/** Two strong colours from opposite sides of the wheel, as light as one another: the eye finds no rest between them. Common practice of colour
 *  teaching, no source for the bounds. */
const fight = (one: string, other: string): boolean => {
  const [a, b] = [hslOf(one), hslOf(other)];
  const apart = Math.abs(((a.hue - b.hue + 540) % 360) - 180);
  return a.strength > 0.5 && b.strength > 0.5 && apart > 125 && contrastOf(one, other) < 1.9;
};

/** The finishes that lie beside one another on a piece: pairs of parts that touch, each with what most of it wears. */
export const neighbours = ({ covering }: DerivedCovering, { made }: DerivedPiece): readonly (readonly [string, string])[] => {
  if (!made) return [];
  const most = new Map<number, { finish: string; area: number }>();
  covering.surfaces.forEach((surface, index) => {
    const finish = covering.worn[index]?.finish;
    if (finish && surface.area > (most.get(surface.part)?.area ?? 0)) most.set(surface.part, { finish, area: surface.area });
  });
  const pairs = new Map<string, readonly [string, string]>();
  for (const { a, b } of made.inspection.contacts) {
    const [one, other] = [most.get(a)?.finish, most.get(b)?.finish];
    if (one && other && one !== other) {
      const pair = one < other ? ([one, other] as const) : ([other, one] as const);
      pairs.set(pair.join(' '), pair);
    }
  }
  return [...pairs.values()];
};

const colours = (dressed: Dressed): readonly Finding[] => {
  const said = new Set<string>();
  return dressed.coverings.flatMap((covering) => {
    const piece = dressed.derived.pieces.find(({ id }) => id === covering.id) as DerivedPiece;
    return neighbours(covering, piece).flatMap(([a, b]): readonly Finding[] => {
      const [one, other] = [dressed.looks.get(a), dressed.looks.get(b)];
      if (!one || !other || said.has(`${a} ${b}`)) return [];
      const [p, q] = [mainColour(one), mainColour(other)];
      // The very same colour was meant to be the same.
      const how = fight(p, q) ? 'fight' : p !== q && contrastOf(p, q) < ALIKE ? 'alike' : null;
      if (!how) return [];
      said.add(`${a} ${b}`);
      const name = (id: string) => dressed.document.finishes.find((finish) => finish.id === id)?.name ?? '';
      return [
        {
          code: 'colours-beside',
          severity: 'note',
          how,
          one: name(a),
          other: name(b),
          numbers: { contrast: Math.round(contrastOf(p, q) * 100) },
          where: { pieceId: covering.id },
          mend: null,
        },
      ];
    });
  });
};

const JUDGES = [coarse, short, seams, rawEdges, tooFine, colours] as const;

/** All findings about what a set wears. */
export const coverFindings = (
  document: SetDocument,
  derived: DerivedSet,
  coverings: readonly DerivedCovering[],
  needs: readonly PaperNeed[],
): readonly Finding[] => JUDGES.flatMap((judge) => judge({ document, derived, coverings, needs, looks: looksOf(document, derived) }));
