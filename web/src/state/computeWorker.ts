// Everything that computes runs here, off the page's thread. What did not change since the last answer is sent back by its key only.

import '../noEval.ts';
import type { Order } from '@parlor/core/assembly';
import { type Solver, solverFrom } from '@parlor/core/cut';
import { type OpeningForm, openingFor, type Room, type WallOpening, type WhichWall } from '@parlor/core/piece';
import type { MachineBed, ReadPlot, Trial } from '@parlor/core/plot';
import { boardsSvg, type Page, planPages, testPage } from '@parlor/core/print';
import {
  arrangedFindings,
  type BoardLayout,
  boardPlans,
  coverFindings,
  coverOne,
  cuttingFindings,
  type DerivedCovering,
  type DerivedPiece,
  type DerivedSet,
  derive,
  deriveCoverings,
  drawingsOf,
  type Finding,
  fitRule,
  type GoodPaper,
  type Instead,
  insteadOf,
  layOutSet,
  makeUp,
  meansOf,
  orderOfPiece,
  type PagesWanted,
  type PaperNeed,
  type Piece,
  pageRulesOf,
  paperNeeds,
  paperOfGood,
  planSticks,
  type RuleFit,
  type SetDocument,
  type StickPlan,
  type Suited,
  searchOf,
  suited,
  templatesOf,
} from '@parlor/core/set';
import { expose, transfer } from 'comlink';
import { pdfOf, picturesOn, readyWriter, widthsOf } from './writing.ts';

export type DeriveReply = {
  readonly scale: DerivedSet['scale'];
  readonly pieces: readonly (DerivedPiece | { readonly key: string })[];
  /** What is noticed about how its rooms are arranged. */
  readonly rooms: readonly Finding[];
};
export type LayoutReply = { readonly layouts: readonly (BoardLayout | { readonly key: string })[]; readonly sticks: readonly StickPlan[] };

/** What the search came to, after the first answers: boards, sticks, and what a careful maker would notice about them. */
export type SearchReply = {
  readonly layouts: readonly BoardLayout[];
  readonly sticks: readonly StickPlan[];
  readonly findings: readonly Finding[];
};

export type NeedsReply = { readonly needs: readonly PaperNeed[]; readonly findings: readonly Finding[] };
let coverings: readonly DerivedCovering[] = [];

type Known = { readonly derived: DerivedSet; readonly layouts: readonly BoardLayout[] };
let known: Known | undefined;

/** Derives a set, taking over what is known of it. */
const deriveAnew = (document: SetDocument): DerivedSet => {
  const derived = derive(document, known?.derived);
  known = { derived, layouts: known?.layouts ?? [] };
  return derived;
};

const elided = <T extends { readonly key: string }>(now: readonly T[], before: readonly T[]): (T | { key: string })[] =>
  now.map((item) => (before.includes(item) ? { key: item.key } : item));

/** A piece without what only this side computes with: where parts touch, and the pencil lines that follow from it. They are the larger half. */
const slim = (piece: DerivedPiece): DerivedPiece =>
  piece.made ? { ...piece, made: { ...piece.made, inspection: { ...piece.made.inspection, contacts: [] } } } : piece;

/** The solver is larger than all the rest of the worker, and is fetched when a search begins. Without it the search does what it can. */
let asked: Promise<Solver | undefined> | undefined;
const solver = (): Promise<Solver | undefined> => {
  asked ??= Promise.all([import('highs'), import('highs/runtime?url')])
    .then(async ([{ default: load }, { default: url }]) => solverFrom(await load({ locateFile: () => url })))
    .catch(() => undefined);
  return asked;
};

export type PageInfo = Omit<Page, 'marks' | 'correction'>;

/** What was made up: the number that it was asked by, what the pages are, and what a careful maker would notice about them. */
export type PagesReply = { readonly made: number; readonly pages: readonly PageInfo[]; readonly findings: readonly Finding[] };

export type PlotFormat = 'svg' | 'dxf';

/** The files of the beds with what lies on each, and what is larger than any. */
export type PlotReply = {
  readonly files: readonly { readonly text: string; readonly tags: readonly string[] }[];
  readonly tooLarge: readonly string[];
};

export type TrialReply = { readonly problem: string } | { readonly size: ReadPlot['size']; readonly unit: string; readonly trial: Trial };

/** Seconds left of so many, counted from when they are asked for first. */
const secondsLeft = (seconds: number): (() => number) => {
  let began: number | undefined;
  return () => {
    began ??= performance.now();
    return seconds - (performance.now() - began) / 1000;
  };
};

/** Tones on the screen have dots of this edge, in µm: a hundred to the inch. */
const SCREEN_PIXEL = 254;

let laidOut: { readonly number: number; readonly pages: readonly Page[]; readonly title: string } | undefined;

const chosen = (made: number, which: readonly number[]): readonly Page[] | null =>
  laidOut?.number === made ? which.flatMap((index) => laidOut?.pages[index] ?? []) : null;

const work = {
  /** Fetches what writing pages needs, so that the first one need not wait for it. */
  ready: async (): Promise<void> => {
    await readyWriter();
  },
  derive: (document: SetDocument): DeriveReply => {
    const derived = derive(document, known?.derived);
    const pieces = elided(derived.pieces, known?.derived.pieces ?? []);
    known = { derived, layouts: known?.layouts ?? [] };
    return {
      scale: derived.scale,
      pieces: pieces.map((piece) => ('id' in piece ? slim(piece) : piece)),
      rooms: arrangedFindings(document, derived),
    };
  },
  layOut: (document: SetDocument): LayoutReply => {
    const derived = derive(document, known?.derived);
    const layouts = layOutSet(document, derived, known?.layouts);
    const reply = elided(layouts, known?.layouts ?? []);
    known = { derived, layouts };
    return { layouts: reply, sticks: planSticks(document, derived) };
  },
  /** Searches for better layouts than the first answers, and proves the sticks. What was searched before is taken over. */
  search: async (
    document: SetDocument,
    searched: readonly BoardLayout[],
    sticks: readonly StickPlan[],
    onBetter: (layout: BoardLayout) => void,
  ): Promise<SearchReply> => {
    const derived = deriveAnew(document);
    const solve = await solver();
    const choose = solve && { solve, seconds: 1, proving: secondsLeft(5) };
    const layouts = layOutSet(document, derived, searched, () => searchOf(choose), onBetter);
    return { layouts, sticks: planSticks(document, derived, sticks, solve), findings: cuttingFindings(document, derived, layouts) };
  },
  /** A set that does not lie open, for its vignette; leaves what is known alone. */
  look: (document: SetDocument): DerivedSet => {
    const { scale, pieces } = derive(document);
    return { scale, pieces: pieces.map(slim) };
  },
  /** A piece as it is best begun in a set. */
  suit: (document: SetDocument, piece: Piece): Suited => suited(document, piece),
  /** An opening as it begins in a wall of a room, where it fits. */
  opening: (document: SetDocument, room: Room, which: WhichWall, form: OpeningForm): WallOpening =>
    openingFor(room, which, form, meansOf(document)),
  /** The nearest that stands to a piece that cannot be built. */
  instead: (document: SetDocument, pieceId: string): Instead | null => insteadOf(document, pieceId),
  /** The order of assembly of a piece that was derived, by its key; null when that has changed meanwhile. */
  order: (key: string): Order | null => {
    const made = known?.derived.pieces.find((piece) => piece.key === key)?.made;
    return made ? orderOfPiece(made) : null;
  },
  /** What covers one piece; null when it cannot be built. */
  cover: (document: SetDocument, pieceId: string): DerivedCovering | null => {
    const derived = derive(document, known?.derived);
    const piece = derived.pieces.find(({ id }) => id === pieceId);
    const covering = piece ? coverOne(document, piece, coverings) : null;
    if (covering) coverings = [...coverings.filter(({ id }) => id !== pieceId), covering];
    return covering;
  },
  /** What all coverings of the set need, and what a careful maker would notice about them. */
  needs: (document: SetDocument): NeedsReply => {
    const derived = deriveAnew(document);
    coverings = deriveCoverings(document, derived, coverings);
    const needs = paperNeeds(document, derived, coverings);
    return { needs, findings: coverFindings(document, derived, coverings, needs) };
  },
  /** The paper that a small good takes. */
  goodPaper: (document: SetDocument, pieceId: string): readonly GoodPaper[] => paperOfGood(document, deriveAnew(document), pieceId),
  fitRule: (document: SetDocument, pieceId: string, grid: number): RuleFit => {
    const piece = document.pieces.find(({ id }) => id === pieceId);
    if (!piece) return { sizes: 0, before: 0, after: 0, changes: [], edit: null };
    return fitRule(piece, meansOf(document), grid);
  },
  /** All boards at true size, for a plotter or another drawing program. */
  boards: async (document: SetDocument, layouts: readonly BoardLayout[], format: 'svg' | 'dxf'): Promise<string> => {
    const plans = boardPlans(document, derive(document, known?.derived), layouts);
    return format === 'svg' ? boardsSvg(plans) : (await import('@parlor/core/dxf')).boardsDxf(plans);
  },
  /** All boards on paper, smaller than they are, as a PDF. */
  boardPages: async (document: SetDocument, layouts: readonly BoardLayout[]): Promise<Uint8Array<ArrayBuffer>> => {
    const plans = boardPlans(document, derive(document, known?.derived), layouts);
    const bytes = await pdfOf(planPages(plans, pageRulesOf(document), document.name), `${document.name} · boards`);
    return transfer(bytes, [bytes.buffer]);
  },
  /** Makes up the pages that are wanted, and keeps them under a number to be written. */
  pages: (number: number, document: SetDocument, wanted: PagesWanted): PagesReply => {
    const { pages, findings } = makeUp(document, deriveAnew(document), wanted, coverings);
    laidOut = { number, pages, title: document.name };
    return { made: number, pages: pages.map(({ marks: _, correction: __, ...page }) => page), findings };
  },
  /** Chosen ones of the pages that were made up last, as a PDF; null when they are not there. */
  pdf: async (
    made: number,
    which: readonly number[],
    onPage: (written: number, count: number) => void,
  ): Promise<Uint8Array<ArrayBuffer> | null> => {
    const pages = chosen(made, which);
    if (!pages) return null;
    const bytes = await pdfOf(pages, laidOut?.title ?? '', onPage);
    return transfer(bytes, [bytes.buffer]);
  },
  /** One page as its PDF, its tones as fine as a screen shows them. */
  onScreen: async (made: number, index: number): Promise<Uint8Array<ArrayBuffer> | null> => {
    const pages = chosen(made, [index]);
    if (!pages) return null;
    const bytes = await pdfOf(pages, '', undefined, SCREEN_PIXEL);
    return transfer(bytes, [bytes.buffer]);
  },
  /** The same as a zip with an SVG for each page. */
  svgs: async (
    made: number,
    which: readonly number[],
    onPage: (written: number, count: number) => void,
  ): Promise<Uint8Array<ArrayBuffer> | null> => {
    const pages = chosen(made, which);
    if (!pages) return null;
    const [{ svgZip }, pictures, widths] = await Promise.all([import('@parlor/core/pdf'), picturesOn(pages), widthsOf()]);
    const numbers = which.map((index) => index + 1);
    const bytes = svgZip(pages, numbers, pictures, widths, onPage);
    return transfer(bytes, [bytes.buffer]);
  },
  /** Templates and papers laid on the beds of a cutting machine, as the files that go to it; templates as often as there are parts (`copies`), or
   *  once. */
  plot: async (document: SetDocument, wanted: PagesWanted, bed: MachineBed, format: PlotFormat, copies: boolean): Promise<PlotReply> => {
    const { layOnBeds, paperCutout, plotDxf, plotSvg, templateCutout } = await import('@parlor/core/plot');
    const derived = deriveAnew(document);
    const templates = wanted.what === 'coverings' ? [] : templatesOf(document, derived, wanted);
    const papers =
      wanted.what === 'templates' ? [] : drawingsOf(document, derived, wanted, deriveCoverings(document, derived, coverings)).papers;
    const parts = templates.flatMap((template) => Array.from({ length: copies ? template.quantity : 1 }, () => templateCutout(template)));
    const { beds, tooLarge } = layOnBeds([...parts, ...papers.map(paperCutout)], bed);
    const write = format === 'svg' ? plotSvg : plotDxf;
    return { files: beds.map((each) => ({ text: write(each), tags: each.tags })), tooLarge };
  },
  /** What a machine with such a bed makes of a file; or why it makes nothing. */
  tryPlot: async (text: string, format: PlotFormat, bed: Pick<MachineBed, 'width' | 'height'>): Promise<TrialReply> => {
    const { readDxfPlot, readSvgPlot, tryPlot } = await import('@parlor/core/plot');
    const read = format === 'svg' ? readSvgPlot(text) : readDxfPlot(text);
    if (!read.ok) return { problem: read.error };
    const { size, unit } = read.value;
    return { size, unit, trial: tryPlot(read.value, { width: bed.width / 1000, height: bed.height / 1000 }) };
  },
  /** Files as one zip. */
  zip: async (files: readonly { readonly name: string; readonly text: string }[]): Promise<Uint8Array<ArrayBuffer>> => {
    const bytes = (await import('@parlor/core/pdf')).textZip(files);
    return transfer(bytes, [bytes.buffer]);
  },
  /** The page that the printer is measured by. */
  testPage: async (printing: SetDocument['printing'], corrected: boolean): Promise<Uint8Array<ArrayBuffer>> => {
    const bytes = await pdfOf([testPage(printing, corrected)], 'test page');
    return transfer(bytes, [bytes.buffer]);
  },
};

export type Work = typeof work;
expose(work);
