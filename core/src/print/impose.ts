// µm on paper.
import { FIRST_ANSWER, layOut, type Sheet, USUAL_WISHES } from '../cut/index.ts';
import type { Page } from './page.ts';
import { moved, turned } from './place.ts';
import { fieldOf, makePage, type PageRules, type Sheetful } from './sheet.ts';
import { drawTemplate, type Template } from './template.ts';
import { tile } from './tile.ts';

/** Between templates on a page, so that scissors find their way. */
const BETWEEN = 5_000;

/** Imposes templates on pages: small ones together, what is larger than a page in tiles.
 *  Shape: n templates → k pages; every outline is drawn at full size, whole on one page or over its tiles.
 *  Units: µm. Equal templates and rules give equal pages. */
export const impose = (templates: readonly Template[], rules: PageRules, setName: string): readonly Page[] => {
  const field = fieldOf(rules);
  const drawings = templates.map(drawTemplate);
  const kind = { name: rules.paper, width: field.x1 - field.x0, height: field.y1 - field.y0, price: null, atHand: 0, offcut: null };
  const items = drawings.map(({ width, height }, index) => ({
    id: String(index).padStart(5, '0'),
    width,
    height,
    lies: 'either' as const,
  }));
  const { sheets, tooLarge } = layOut(
    items,
    [kind],
    { gap: BETWEEN, trim: { left: 0, right: 0, bottom: 0, top: 0 }, mode: 'free', wishes: USUAL_WISHES },
    FIRST_ANSWER,
  );
  const small = sheets.map((sheet): Sheetful => sharedPage(sheet, templates, drawings, field.x0, field.y0));
  const large = tooLarge.flatMap((id) => {
    const template = templates[Number(id)] as Template;
    return tile(
      `${template.tag} ${template.name}`,
      template.tag,
      drawings[Number(id)] as ReturnType<typeof drawTemplate>,
      field,
      rules.overlap,
    );
  });
  const all = [...small, ...large];
  return all.map((content, index) => makePage(content, index + 1, all.length, setName, rules));
};

const sharedPage = (
  sheet: Sheet,
  templates: readonly Template[],
  drawings: readonly ReturnType<typeof drawTemplate>[],
  left: number,
  low: number,
): Sheetful => ({
  title: [...new Set(sheet.placements.map(({ id }) => (templates[Number(id)] as Template).tag))].join(' '),
  marks: sheet.placements.flatMap(({ id, x, y, turn }) => {
    const { marks, height } = drawings[Number(id)] as ReturnType<typeof drawTemplate>;
    return moved(turn === 1 ? turned(marks, height) : marks, left + x, low + y);
  }),
});
