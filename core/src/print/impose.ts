// µm on paper.
import { FIRST_ANSWER, type LotPlacement, layOut, type Search, USUAL_WISHES } from '../cut/index.ts';
import { seededRandom } from '../kit/index.ts';
import { areaOf, type Region } from '../shape/index.ts';
import { PAPERS, PRINT_STOCK_NAMES } from '../stock/index.ts';
import { type Drawing, line, type Mark, type Page } from './page.ts';
import { moved, turned, turnedRound } from './place.ts';
import type { PageRules } from './printer.ts';
import { fieldOf, makePage, type Sheetful } from './sheet.ts';
import { tile } from './tile.ts';

/** Between drawings on a page, so that scissors find their way. */
const BETWEEN = 5_000;

/** What fills less of the rectangle round it than this is laid by its outline, so that others reach into its notches. */
const FULL = 0.7;

/** Outlines of more corners take longer to lay than their paper is worth. */
const MOST_CORNERS = 60;

const reachesIn = ({ outline, width, height }: Drawing): Region | undefined => {
  if (!outline || [outline.outline, ...outline.holes].flat().length > MOST_CORNERS) return undefined;
  return areaOf([outline]) < FULL * width * height ? outline : undefined;
};

/** More of them than these are laid by their rectangles: trying each beside each would take longer than printing. */
const MOST_SHAPED = 24;

/** So many tries are quick, and equal drawings give equal pages. */
const briefly = (): Search => ({ ...FIRST_ANSWER, random: seededRandom(1), tries: 40 });

/** Imposes drawings on pages, those for one kind of paper together: small ones by their outlines, what is larger than a page in tiles.
 *  Shape: n drawings → k pages, or k fronts and k backs in turn; every outline is drawn at full size, whole on one page or over its tiles.
 *  Units: µm. Equal drawings and rules give equal pages; `heading` stands in the head of each. */
export const impose = (drawings: readonly Drawing[], rules: PageRules, heading: string): readonly Page[] =>
  imposed(drawings, rules, heading).pages;

/** The same, with the fewest pages that could do: proven by bounds where drawings share pages, as many as there are tiles where they do not. */
export const imposed = (
  drawings: readonly Drawing[],
  rules: PageRules,
  heading: string,
): { readonly pages: readonly Page[]; readonly least: number } => {
  const found = PRINT_STOCK_NAMES.map((on) => {
    const its = drawings.filter((drawing) => (drawing.on ?? 'plain') === on);
    const { filled, least } = sheetfuls(its, rules);
    return { least, filled: filled.map((sheetful): Sheetful => ({ ...sheetful, on })) };
  });
  const all = found.flatMap(({ filled }) => filled);
  const both = rules.sides !== undefined && rules.sides !== 'one' && all.some(({ back }) => back);
  const sides = both ? all.flatMap((sheetful) => [withCrosses(sheetful, rules), behind(sheetful, rules)]) : all;
  return {
    pages: sides.map((content, index) => makePage(content, index + 1, sides.length, heading, rules)),
    least: found.reduce((sum, { least }) => sum + least, 0) * (both ? 2 : 1),
  };
};

const sheetfuls = (
  drawings: readonly Drawing[],
  rules: PageRules,
): { readonly filled: readonly Omit<Sheetful, 'on'>[]; readonly least: number } => {
  const field = fieldOf(rules);
  const kind = { name: rules.paper, width: field.x1 - field.x0, height: field.y1 - field.y0, price: null, atHand: 0, offcut: null };
  const shapes = drawings.map(reachesIn);
  const byOutline = shapes.filter(Boolean).length <= MOST_SHAPED;
  const items = drawings.map((drawing, index) => ({
    id: String(index).padStart(5, '0'),
    width: Math.ceil(drawing.width),
    height: Math.ceil(drawing.height),
    lies: 'either' as const,
    outline: byOutline ? shapes[index] : undefined,
  }));
  const { sheets, tooLarge, least } = layOut(
    items,
    [kind],
    { gap: BETWEEN, trim: { left: 0, right: 0, bottom: 0, top: 0 }, mode: 'free', wishes: USUAL_WISHES },
    items.some(({ outline }) => outline) ? briefly() : FIRST_ANSWER,
  );
  const small = sheets.map(({ placements }) => sharedPage(placements, drawings, rules));
  const large = tooLarge.flatMap((id) => tile(drawings[Number(id)] as Drawing, field, rules.overlap));
  return { filled: [...small, ...large], least: least + large.length };
};

/** Marks turned counter-clockwise by quarters, back into the first quadrant. */
const quarters = (marks: readonly Mark[], turn: number, width: number, height: number): readonly Mark[] => {
  if (turn === 0) return marks;
  if (turn === 2) return turnedRound(marks, width, height);
  return turn === 1 ? turned(marks, height) : turnedRound(turned(marks, height), height, width);
};

const sharedPage = (placements: readonly LotPlacement[], drawings: readonly Drawing[], rules: PageRules): Omit<Sheetful, 'on'> => {
  const { x0, y0 } = fieldOf(rules);
  const drawn = placements.map(({ id, x, y, turn }) => ({ drawing: drawings[Number(id)] as Drawing, x: x0 + x, y: y0 + y, turn }));
  const parts = [...new Set(drawn.map(({ drawing }) => drawing.tag))];
  const back = drawn.flatMap(({ drawing, x, y, turn }): readonly Mark[] => {
    const { width, height } = drawing;
    if (!drawing.back) return [];
    // Seen from behind the sheet is mirrored, and what was turned one way is turned the other.
    const wide = turn % 2 === 0 ? width : height;
    return moved(quarters(drawing.back, (4 - turn) % 4, width, height), PAPERS[rules.paper].width - x - wide, y);
  });
  return {
    title: parts.join(' '),
    parts,
    ink: drawn.reduce((sum, { drawing }) => sum + (drawing.ink ?? 0), 0),
    marks: drawn.flatMap(({ drawing, x, y, turn }) => moved(quarters(drawing.marks, turn, drawing.width, drawing.height), x, y)),
    back: back.length > 0 ? back : null,
  };
};

const REACH = 3_000;

/** A cross in each corner of the field: held against the light, those of front and back lie on one another. */
const crosses = (rules: PageRules): readonly Mark[] => {
  const { x0, y0, x1, y1 } = fieldOf(rules);
  return [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ].flatMap(([x, y]) => {
    const [across, up] = [x as number, y as number];
    return [
      line('map', [
        [across - REACH, up],
        [across + REACH, up],
      ]),
      line('map', [
        [across, up - REACH],
        [across, up + REACH],
      ]),
    ];
  });
};

const withCrosses = (sheetful: Sheetful, rules: PageRules): Sheetful => ({ ...sheetful, marks: [...sheetful.marks, ...crosses(rules)] });

/** The back of a sheet. Turned over its long edge it stands upright beside its front; over its short edge it stands on its head. */
const behind = (sheetful: Sheetful, rules: PageRules): Sheetful => {
  const { width, height } = PAPERS[rules.paper];
  const marks = [...(sheetful.back ?? []), ...crosses(rules)];
  return {
    ...sheetful,
    ink: 0,
    title: sheetful.back ? `${sheetful.title}, from behind` : `back of ${sheetful.title}: nothing here`,
    marks: rules.sides === 'short' ? turnedRound(marks, width, height) : marks,
  };
};
