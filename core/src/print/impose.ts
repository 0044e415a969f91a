// µm on paper.
import { FIRST_ANSWER, layOut, type Sheet, USUAL_WISHES } from '../cut/index.ts';
import type { Drawing, Page } from './page.ts';
import { moved, turned } from './place.ts';
import { fieldOf, makePage, type PageRules, type Sheetful } from './sheet.ts';
import { tile } from './tile.ts';

/** Between drawings on a page, so that scissors find their way. */
const BETWEEN = 5_000;

/** Imposes drawings on pages: small ones together, what is larger than a page in tiles.
 *  Shape: n drawings → k pages; every outline is drawn at full size, whole on one page or over its tiles.
 *  Units: µm. Equal drawings and rules give equal pages; `heading` stands in the head of each. */
export const impose = (drawings: readonly Drawing[], rules: PageRules, heading: string): readonly Page[] => {
  const field = fieldOf(rules);
  const kind = { name: rules.paper, width: field.x1 - field.x0, height: field.y1 - field.y0, price: null, atHand: 0, offcut: null };
  const items = drawings.map(({ width, height }, index) => ({
    id: String(index).padStart(5, '0'),
    width: Math.ceil(width),
    height: Math.ceil(height),
    lies: 'either' as const,
  }));
  const { sheets, tooLarge } = layOut(
    items,
    [kind],
    { gap: BETWEEN, trim: { left: 0, right: 0, bottom: 0, top: 0 }, mode: 'free', wishes: USUAL_WISHES },
    FIRST_ANSWER,
  );
  const small = sheets.map((sheet): Sheetful => sharedPage(sheet, drawings, field.x0, field.y0));
  const large = tooLarge.flatMap((id) => tile(drawings[Number(id)] as Drawing, field, rules.overlap));
  const all = [...small, ...large];
  return all.map((content, index) => makePage(content, index + 1, all.length, heading, rules));
};

const sharedPage = (sheet: Sheet, drawings: readonly Drawing[], left: number, low: number): Sheetful => ({
  title: [...new Set(sheet.placements.map(({ id }) => (drawings[Number(id)] as Drawing).tag))].join(' '),
  marks: sheet.placements.flatMap(({ id, x, y, turn }) => {
    const { marks, height } = drawings[Number(id)] as Drawing;
    return moved(turn === 1 ? turned(marks, height) : marks, left + x, low + y);
  }),
});
