// µm, doll size. What has to be there to cover a set: pages, sheets, lengths of a roll, paint.
import { type Art, type Covering, type Finish, type Look, PATTERNS, type Paper, sizeOfPaper } from '../../cover/index.ts';
import { FIRST_ANSWER, layOut, type Sheet, USUAL_WISHES } from '../../cut/index.ts';
import { assertNever } from '../../kit/index.ts';
import { impose, plainDrawing, type Repeat, repeatsOf } from '../../print/index.ts';
import { orientedSize } from '../../shape/index.ts';
import { type DerivedCovering, looksOf, paperName, printedPapers } from '../derive/coverings.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';

/** Where two sheets meet on a covering that is larger than one: so far across or up from its lower left corner, and whether it falls on a line of
 *  the pattern. */
export type PaperJoin = {
  readonly piece: string;
  readonly paper: number;
  readonly way: 'across' | 'up';
  readonly at: number;
  /** From end to end. */
  readonly length: number;
  readonly onLine: boolean;
  /** How wide the trim over it is; null where the two lie edge to edge. */
  readonly trim: number | null;
};

/** A sheet or a length of roll, and what is cut from it: rectangles with the tags of their parts. */
export type LaidPaper = {
  readonly width: number;
  readonly height: number;
  readonly cuts: readonly {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly tag: string;
    /** Where the first line of the pattern runs, from the cut's lower left corner as it is drawn; null for what has no repeat. */
    readonly begins: { readonly x: number; readonly y: number } | null;
  }[];
};

/** What one finish needs. Areas in µm². */
export type PaperNeed = { readonly finish: string; readonly area: number } & (
  | { readonly kind: 'paint'; readonly ml: number }
  | { readonly kind: 'printed'; readonly pages: number }
  | {
      readonly kind: 'sheets';
      readonly laid: readonly LaidPaper[];
      readonly count: number;
      readonly buy: number;
      readonly price: number | null;
      readonly seams: readonly PaperJoin[];
    }
  | {
      readonly kind: 'roll';
      readonly laid: readonly LaidPaper[];
      readonly length: number;
      readonly buy: number;
      readonly price: number | null;
      readonly seams: readonly PaperJoin[];
    }
);

/** A length cut into pieces of at most `most`: on lines `step` apart where there are any, so that neighbours match.
 *  Shape: 18 in from sheets of 12 in → seams [12 in]. */
export const paperJoinsOf = (length: number, most: number, step: number | null): readonly number[] => {
  const each = step !== null && step <= most ? Math.floor(most / step + 1e-9) * step : most;
  const count = Math.ceil(length / each - 1e-9);
  return Array.from({ length: Math.max(0, count - 1) }, (_, index) => (index + 1) * each);
};

type Cut = {
  readonly id: string;
  readonly tag: string;
  readonly width: number;
  readonly height: number;
  readonly lies: 'either' | 'drawn' | 'turned';
  readonly begins: LaidPaper['cuts'][number]['begins'];
};

/** After how much the pattern begins anew on a sheet, across and up, where it does. */
const repeatOf = (look: Look | undefined): { readonly x: number; readonly y: number } | null =>
  look?.kind !== 'pattern' ? null : PATTERNS[look.pattern].repeat(look.sizes);

const isDirected = (art: Art): boolean => (art.kind === 'pattern' ? PATTERNS[art.pattern].isDirected : art.kind !== 'plain');

/** Which way a paper's pattern runs on it: as on the sheet, or a quarter turned. */
const isTurned = ({ art }: Paper): boolean => Math.abs(art.sin) > Math.abs(art.cos);

/** How far from a place the next line of a pattern runs. */
const firstFrom = (repeat: Repeat | null, at: number): number => {
  if (!repeat) return 0;
  const far = (((repeat.from - at) % repeat.step) + repeat.step) % repeat.step;
  // A line that ends the repeat begins the next one.
  return repeat.step - far < 1 ? 0 : Math.round(far);
};

/** A finish's papers as rectangles no larger than a sheet, and where they are joined. */
const cutsOf = (
  finish: Finish,
  look: Look | undefined,
  room: { readonly width: number; readonly height: number },
  coverings: readonly DerivedCovering[],
  tagOf: (piece: string, paper: Paper, covering: Covering) => string,
): { readonly cuts: readonly Cut[]; readonly seams: readonly PaperJoin[] } => {
  const repeat = repeatOf(look);
  const directed = isDirected(finish.art);
  const seams: PaperJoin[] = [];
  const cuts = coverings.flatMap(({ id, covering }) =>
    covering.papers.flatMap((paper, number): readonly Cut[] => {
      if (paper.wear.finish !== finish.id) return [];
      const box = sizeOfPaper(paper);
      const lines = (look && repeatsOf(paper, look)) ?? null;
      const turned = isTurned(paper);
      // What has no direction lies as it needs fewer sheets.
      const lying = directed ? turned : box.x1 > room.width !== box.y1 > room.height && box.x1 > room.width && box.y1 <= room.width;
      const [across, up] = lying ? [room.height, room.width] : [room.width, room.height];
      const [stepX, stepY] = repeat ? (turned ? [repeat.y, repeat.x] : [repeat.x, repeat.y]) : [null, null];
      const [atX, atY] = [paperJoinsOf(box.x1, across, stepX), paperJoinsOf(box.y1, up, stepY)];
      const note = (way: PaperJoin['way'], at: number, step: number | null, most: number) =>
        seams.push({
          piece: id,
          paper: number,
          way,
          at,
          length: Math.round(way === 'across' ? box.y1 : box.x1),
          onLine: step !== null && step <= most,
          trim: finish.supply.kind === 'printed' ? null : finish.supply.trim,
        });
      for (const at of atX) note('across', at, stepX, across);
      for (const at of atY) note('up', at, stepY, up);
      const [xs, ys] = [
        [0, ...atX, box.x1],
        [0, ...atY, box.y1],
      ];
      return ys.slice(1).flatMap((y, row) =>
        xs.slice(1).map((x, column) => ({
          id: `${id} ${number} ${row} ${column}`,
          tag: tagOf(id, paper, covering),
          width: Math.ceil(x - (xs[column] as number)),
          height: Math.ceil(y - (ys[row] as number)),
          lies: directed ? (turned ? 'turned' : 'drawn') : 'either',
          begins: lines && { x: firstFrom(lines.x, xs[column] as number), y: firstFrom(lines.y, ys[row] as number) },
        })),
      );
    }),
  );
  return { cuts, seams };
};

const RULES = { gap: 0, trim: { left: 0, right: 0, bottom: 0, top: 0 }, mode: 'free', wishes: USUAL_WISHES } as const;

const laidOn = (cuts: readonly Cut[], width: number, height: number, atHand: number): readonly Sheet[] =>
  layOut(cuts, [{ name: 'paper', width, height, price: null, atHand, offcut: null }], RULES, FIRST_ANSWER).sheets;

/** Sheets as they are drawn. */
const asLaid = (sheets: readonly Sheet[], cuts: readonly Cut[], width: number, height: number): readonly LaidPaper[] => {
  const byId = new Map(cuts.map((cut) => [cut.id, cut]));
  return sheets.map(({ placements }) => ({
    width,
    height,
    cuts: placements.flatMap((placement) => {
      const cut = byId.get(placement.id);
      return cut ? [{ x: placement.x, y: placement.y, ...orientedSize(cut, placement), tag: cut.tag, begins: cut.begins }] : [];
    }),
  }));
};

/** The shortest length of a roll that takes the cuts, by trying shorter and shorter ones.
 *  The bound is the area; halving the way between what is too short and what does comes within a millimetre. */
const rollLength = (cuts: readonly Cut[], width: number): number => {
  const area = cuts.reduce((sum, cut) => sum + cut.width * cut.height, 0);
  const tallest = Math.max(
    0,
    ...cuts.map((cut) =>
      cut.lies === 'either' && cut.height <= width ? Math.min(cut.width, cut.height) : cut.lies === 'turned' ? cut.width : cut.height,
    ),
  );
  if (cuts.length === 0) return 0;
  const does = (length: number) => {
    const sheets = laidOn(cuts, width, length, 0);
    return sheets.length === 1 && sheets[0]?.placements.length === cuts.length;
  };
  let short = Math.max(tallest, Math.floor(area / width)) - 1;
  let long = cuts.reduce((sum, cut) => sum + Math.max(cut.width, cut.height), 0);
  while (long - short > 1_000) {
    const middle = Math.floor((short + long) / 2);
    if (does(middle)) long = middle;
    else short = middle;
  }
  return long;
};

/** What a set's finishes need, in the order of the tray; finishes that nothing wears are left out. */
export const paperNeeds = (document: SetDocument, derived: DerivedSet, coverings: readonly DerivedCovering[]): readonly PaperNeed[] => {
  const looks = looksOf(document, derived);
  const made = new Map(derived.pieces.map((piece) => [piece.id, piece.made]));
  const tagOf = (piece: string, paper: Paper, covering: Covering): string => {
    const its = made.get(piece);
    return its ? paperName(paper, covering, its).tag : '';
  };
  return document.finishes.flatMap((finish): readonly PaperNeed[] => {
    const { id, supply } = finish;
    const paints = coverings.flatMap(({ covering }) => covering.paints.filter((paint) => paint.finish === id));
    if (paints.length > 0)
      return [
        {
          kind: 'paint',
          finish: id,
          area: paints.reduce((sum, { area }) => sum + area, 0),
          ml: paints.reduce((sum, { ml }) => sum + ml, 0),
        },
      ];
    const wears = coverings.some(({ covering }) => covering.papers.some(({ wear }) => wear.finish === id));
    if (!wears) return [];
    const area = coverings.reduce(
      (sum, { covering }) =>
        covering.surfaces.reduce((all, surface, index) => (covering.worn[index]?.finish === id ? all + surface.area : all), sum),
      0,
    );
    switch (supply.kind) {
      case 'printed': {
        const only = { ...document, finishes: [finish] };
        const pages = impose(printedPapers(only, derived, coverings, null).map(plainDrawing), document.printing, document.name);
        return [{ kind: 'printed', finish: id, area, pages: pages.length }];
      }
      case 'sheets': {
        const { cuts, seams } = cutsOf(finish, looks.get(id), supply, coverings, tagOf);
        const sheets = laidOn(cuts, supply.width, supply.height, supply.atHand);
        const buy = Math.max(0, sheets.length - supply.atHand);
        return [
          {
            kind: 'sheets',
            finish: id,
            area,
            laid: asLaid(sheets, cuts, supply.width, supply.height),
            count: sheets.length,
            buy,
            price: supply.price === null ? null : supply.price * buy,
            seams,
          },
        ];
      }
      case 'roll': {
        const { cuts, seams } = cutsOf(finish, looks.get(id), { width: supply.width, height: Number.MAX_SAFE_INTEGER }, coverings, tagOf);
        const length = rollLength(cuts, supply.width);
        const laid = asLaid(laidOn(cuts, supply.width, length, 0), cuts, supply.width, length);
        const buy = Math.max(0, length - supply.atHand);
        return [
          { kind: 'roll', finish: id, area, laid, length, buy, price: supply.price === null ? null : (supply.price * buy) / 1e6, seams },
        ];
      }
      default:
        return assertNever(supply);
    }
  });
};
