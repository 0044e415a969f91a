// From a set to the pages that leave the printer.
import { type Covering, inkColour } from '../../cover/index.ts';
import {
  bookletLeaves,
  type Drawing,
  drawCloth,
  drawPaper,
  drawTemplate,
  impose,
  imposed,
  type Page,
  type PageRules,
  type PaperSheet,
  type PrintedBooklet,
  planPages,
} from '../../print/index.ts';
import { type DerivedCovering, deriveCoverings, printedPapers } from '../derive/coverings.ts';
import type { DerivedSet } from '../derive/derive.ts';
import { printedGoods } from '../derive/goods.ts';
import type { SetDocument } from '../document/document.ts';
import type { Finding } from '../findings/finding.ts';
import { clothSheets } from '../plans/clothPlans.ts';
import { paperNeeds } from '../plans/paperNeeds.ts';
import { paperPlans } from '../plans/paperPlans.ts';
import { templatesOf } from '../plans/templates.ts';
import { printFindings } from './printFindings.ts';

/** Which pieces to print, none named is all; and what of them. */
export type PagesWanted = { readonly pieces: readonly string[] | null; readonly what: 'all' | 'templates' | 'coverings' | 'patterns' };

/** Pages, and what a careful maker would notice before they are printed. */
export type MadeUp = { readonly pages: readonly Page[]; readonly findings: readonly Finding[] };

/** What is drawn for those pieces: templates, and the papers that the maker's printer prints. */
export const drawingsOf = (
  document: SetDocument,
  derived: DerivedSet,
  wanted: PagesWanted,
  coverings: readonly DerivedCovering[],
): {
  readonly templates: readonly Drawing[];
  readonly papers: readonly PaperSheet[];
  readonly nets: readonly Drawing[];
  readonly leaves: readonly Drawing[];
  readonly patterns: readonly Drawing[];
} => {
  const wants = (...what: readonly PagesWanted['what'][]): boolean => wanted.what === 'all' || what.includes(wanted.what);
  return {
    templates: wants('templates') ? templatesOf(document, derived, wanted).map(drawTemplate) : [],
    papers: wants('coverings') ? printedPapers(document, derived, coverings, wanted.pieces) : [],
    nets: wants('coverings') ? printedGoods(document, derived, wanted.pieces) : [],
    // Booklets are of the set and of no piece.
    leaves: wants('coverings') && wanted.pieces === null ? printedBooklets(document, derived).flatMap(bookletLeaves) : [],
    patterns: wants('patterns') ? clothSheets(document, derived, wanted.pieces).map(drawCloth) : [],
  };
};

/** The set's booklets at doll size; book 1, book 2 … are what their pages are found by. */
const printedBooklets = ({ booklets, palette }: SetDocument, { scale }: DerivedSet): readonly PrintedBooklet[] =>
  booklets.map(({ width, height, ink, ground, ...rest }, index) => ({
    ...rest,
    tag: `book ${index + 1}`,
    width: Math.round((width * scale.doll) / scale.real),
    height: Math.round((height * scale.doll) / scale.real),
    ink: inkColour(palette, ink),
    ground: inkColour(palette, ground),
  }));

/** How a set's pages are made up; their bars are in its own unit. */
export const pageRulesOf = ({ printing, units }: Pick<SetDocument, 'printing' | 'units'>): PageRules => ({
  ...printing,
  inches: units.unit === 'in',
});

/** The pages of a set's templates, ready to be drawn or written. */
export const templatePages = (document: SetDocument, derived: DerivedSet, wanted: Pick<PagesWanted, 'pieces'>): readonly Page[] =>
  impose(templatesOf(document, derived, wanted).map(drawTemplate), pageRulesOf(document), `${document.name} · templates`);

/** All pages that are wanted, and findings about them: templates, which go onto board, before coverings, which want the better paper, before
 *  plans of the sheets and rolls that no printer prints. Coverings that are `known` from before only save work. */
export const makeUp = (document: SetDocument, derived: DerivedSet, wanted: PagesWanted, known: readonly DerivedCovering[] = []): MadeUp => {
  const coverings = wanted.what === 'templates' || wanted.what === 'patterns' ? [] : deriveCoverings(document, derived, known);
  const { templates, papers, nets, leaves: folded, patterns } = drawingsOf(document, derived, wanted, coverings);
  const drawn = [...papers.map(drawPaper), ...nets, ...folded];
  const { name } = document;
  const printing = pageRulesOf(document);
  const mine = coverings.filter(({ id }) => wanted.pieces === null || wanted.pieces.includes(id));
  const bought = document.finishes.filter(({ id, supply, how }) => how !== 'paint' && supply.kind !== 'printed' && wears(mine, id));
  const needs = bought.length === 0 ? [] : paperNeeds({ ...document, finishes: bought }, derived, mine);
  const onBoard = imposed(templates, printing, `${name} · templates`);
  // What is printed on both sides keeps to pages of its own; a printer that is told to print one side is given them one after the other.
  const sides = document.printing.sides === 'one' ? 'long' : document.printing.sides;
  const covers = imposed(
    drawn.filter(({ back }) => !back),
    { ...printing, sides: 'one' },
    `${name} · coverings`,
  );
  const leaves = imposed(
    drawn.filter(({ back }) => back),
    { ...printing, sides },
    `${name} · coverings, both sides`,
  );
  const sewn = imposed(patterns, { ...printing, sides: 'one' }, `${name} · sewing patterns`);
  const pages = [
    ...onBoard.pages,
    ...covers.pages,
    ...leaves.pages,
    ...sewn.pages,
    ...planPages(paperPlans(document, needs), printing, name, 'papers to cut'),
  ];
  const printed = {
    document,
    drawings: [...templates, ...drawn, ...patterns],
    pages,
    least: onBoard.least + covers.least + leaves.least + sewn.least,
  };
  return { pages, findings: printFindings(printed) };
};

const wears = (coverings: readonly { readonly covering: Covering }[], finish: string): boolean =>
  coverings.some(({ covering }) => covering.papers.some(({ wear }) => wear.finish === finish));

/** The pages alone. */
export const pagesOf = (
  document: SetDocument,
  derived: DerivedSet,
  wanted: PagesWanted,
  known: readonly DerivedCovering[] = [],
): readonly Page[] => makeUp(document, derived, wanted, known).pages;
