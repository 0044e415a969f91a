// Pages are made up, written and cut files made here, off the page's thread.

import type { BoardLayout } from '@parlor/core/cut';
import '../noEval.ts';
import type { MachineBed, ReadPlot, Trial } from '@parlor/core/plot';
import { boardsSvg, type Page, planPages, testPage } from '@parlor/core/print';
import {
  boardPlans,
  coverFindings,
  type DerivedCovering,
  deriveCoverings,
  drawingsOf,
  type Finding,
  fitRule,
  type GoodPaper,
  makeUp,
  meansOf,
  type PagesWanted,
  type PaperNeed,
  pageRulesOf,
  paperNeeds,
  paperOfGood,
  type RuleFit,
  type SetDocument,
  templatesOf,
} from '@parlor/core/set';
import { expose, transfer } from 'comlink';
import { derivedOf, documentOf } from './deriving.ts';
import type { DocumentRef } from './documents.ts';
import { pdfOf, picturesOn, readyWriter, widthsOf } from './writing.ts';

export type NeedsReply = { readonly needs: readonly PaperNeed[]; readonly findings: readonly Finding[] };
let coverings: readonly DerivedCovering[] = [];

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
  /** What all coverings of the set need, and what a careful maker would notice about them. */
  needs: (ref: DocumentRef): NeedsReply => {
    const document = documentOf(ref);
    const derived = derivedOf(document);
    coverings = deriveCoverings(document, derived, coverings);
    const needs = paperNeeds(document, derived, coverings);
    return { needs, findings: coverFindings(document, derived, coverings, needs) };
  },
  /** The paper that a small good takes. */
  goodPaper: (ref: DocumentRef, pieceId: string): readonly GoodPaper[] => {
    const document = documentOf(ref);
    return paperOfGood(document, derivedOf(document), pieceId);
  },
  fitRule: (ref: DocumentRef, pieceId: string, grid: number): RuleFit => {
    const document = documentOf(ref);
    const piece = document.pieces.find(({ id }) => id === pieceId);
    if (!piece) return { sizes: 0, before: 0, after: 0, changes: [], edit: null };
    return fitRule(piece, meansOf(document), grid);
  },
  /** All boards at true size, for a plotter or another drawing program. */
  boards: async (ref: DocumentRef, layouts: readonly BoardLayout[], format: 'svg' | 'dxf'): Promise<string> => {
    const document = documentOf(ref);
    const plans = boardPlans(document, derivedOf(document), layouts);
    return format === 'svg' ? boardsSvg(plans) : (await import('@parlor/core/dxf')).boardsDxf(plans);
  },
  /** All boards on paper, smaller than they are, as a PDF. */
  boardPages: async (ref: DocumentRef, layouts: readonly BoardLayout[]): Promise<Uint8Array<ArrayBuffer>> => {
    const document = documentOf(ref);
    const plans = boardPlans(document, derivedOf(document), layouts);
    const bytes = await pdfOf(planPages(plans, pageRulesOf(document), document.name), `${document.name} · boards`);
    return transfer(bytes, [bytes.buffer]);
  },
  /** Makes up the pages that are wanted, and keeps them under a number to be written. */
  pages: (number: number, ref: DocumentRef, wanted: PagesWanted): PagesReply => {
    const document = documentOf(ref);
    const { pages, findings } = makeUp(document, derivedOf(document), wanted, coverings);
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
  plot: async (ref: DocumentRef, wanted: PagesWanted, bed: MachineBed, format: PlotFormat, copies: boolean): Promise<PlotReply> => {
    const document = documentOf(ref);
    const { layOnBeds, paperCutout, plotDxf, plotSvg, templateCutout } = await import('@parlor/core/plot');
    const derived = derivedOf(document);
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

export type PagesWork = typeof work;
expose(work);
