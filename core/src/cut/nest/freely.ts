// Free cutting by outlines: what lies on the sheet that is worth most to save is laid into what the outlines on the others leave open.
import { difference, FillRule } from 'clipper2-ts';
import { type Point, rectRing } from '../../shape/index.ts';
import { type CutItem, type LotPlacement, single } from '../lots.ts';
import { toPaths } from './convex.ts';
import { type Figures, type NestFigure, newFigures } from './figure.ts';
import { waysOf } from './share.ts';

type Size = { readonly width: number; readonly height: number };

/** A part and where it lies. */
export type Outlined = { readonly item: CutItem; readonly placement: LotPlacement };

/** A sheet inside its trim, and what lies on it. `kind` is whatever the caller knows it by. */
export type NestedSheet = { readonly kind: number; readonly room: Size; readonly parts: readonly Outlined[] };

/** A part in work: as it lies, its lower left corner. */
type Nested = { readonly item: CutItem; readonly figure: NestFigure; readonly x: number; readonly y: number };
type Working = { readonly sheet: NestedSheet; readonly lots: readonly Nested[] };

/** What a search may use: numbers from 0 up to 1, and whether it may go on. */
export type NestEffort = { readonly random: () => number; readonly goOn: () => boolean };

/** So many places are looked for before it is enough; each takes a few milliseconds. */
const MOST_PLACES = 1_500;

/** Where a figure may lie on a sheet clear of all others: the lowest place, or the leftmost. */
const placeOn = (room: Size, lots: readonly Nested[], figure: NestFigure, figures: Figures, upwards: boolean): Point | undefined => {
  const [most, high] = [room.width - figure.width, room.height - figure.height];
  if (most < 0 || high < 0) return undefined;
  const barred = lots.flatMap(({ figure: standing, x, y }) => {
    const { rings, box } = figures.noFit(standing, figure, 'open');
    if (box.x0 + x >= most || box.x1 + x <= 0 || box.y0 + y >= high || box.y1 + y <= 0) return [];
    return rings.map((ring) => ring.map(([px, py]): Point => [px + x, py + y]));
  });
  // A figure as wide as the sheet still has a line to lie on.
  const whole = rectRing(0, 0, Math.max(1, most), Math.max(1, high));
  const open = difference(toPaths([whole]), toPaths(barred), FillRule.NonZero);
  let best: Point | undefined;
  for (const path of open) {
    for (const { x, y } of path) {
      if (x > most || y > high) continue;
      const [first, second] = upwards ? [y, x] : [x, y];
      const [bestFirst, bestSecond] = best ? (upwards ? [best[1], best[0]] : best) : [Number.POSITIVE_INFINITY, 0];
      if (first < bestFirst || (first === bestFirst && second < bestSecond)) best = [x, y];
    }
  }
  return best;
};

const areaOf = (lots: readonly { readonly figure: NestFigure }[]): number => lots.reduce((sum, { figure }) => sum + figure.area, 0);

/** Tries to do without one of the sheets, by outlines.
 *  Shape: sheets with what lies on them → the others with all of it, or undefined. `spared` is the sheet to do without.
 *  Units: µm. Parts keep the knife gap from each other along both axes, to within two micrometres. */
export const nestFreely = (
  sheets: readonly NestedSheet[],
  spared: NestedSheet,
  gap: number,
  effort: NestEffort,
): readonly NestedSheet[] | undefined => {
  const items = new Map(sheets.flatMap(({ parts }) => parts.map(({ item }) => [item.id, item] as const)));
  const figures = newFigures(items, gap);
  const inWork = (sheet: NestedSheet): Working => ({
    sheet,
    lots: sheet.parts.map(({ item, placement }) => ({ item, figure: figures.of(item, placement), x: placement.x, y: placement.y })),
  });
  let now = sheets.filter((sheet) => sheet !== spared).map(inWork);
  const open = { parts: sortedByArea(inWork(spared).lots) };
  const room = now.reduce((sum, { sheet }) => sum + sheet.room.width * sheet.room.height, 0);
  if (areaOf([...now.flatMap(({ lots }) => lots), ...open.parts]) > room) return undefined;
  const ways = new Map<CutItem, readonly NestFigure[]>();
  const waysFor = (item: CutItem): readonly NestFigure[] => {
    const known = ways.get(item) ?? waysOf(single(item), items, figures);
    ways.set(item, known);
    return known;
  };
  let places = 0;
  const lay = ({ sheet, lots }: Working, item: CutItem, upwards: boolean): Working | undefined => {
    if (areaOf(lots) + (waysFor(item)[0] as NestFigure).area > sheet.room.width * sheet.room.height) return undefined;
    let best: { readonly nested: Nested; readonly score: number } | undefined;
    for (const figure of waysFor(item)) {
      places += 1;
      const at = placeOn(sheet.room, lots, figure, figures, upwards);
      if (!at) continue;
      const [x, y] = at;
      const score = upwards ? y + figure.height : x + figure.width;
      if (!best || score < best.score) best = { nested: { item, figure, x, y }, score };
    }
    return best && { sheet, lots: [...lots, best.nested] };
  };
  /** Whether a part finds a place as the others lie; then it stays there. */
  const settles = ({ item }: Nested): boolean => {
    for (const [index, working] of now.entries()) {
      const next = lay(working, item, true);
      if (!next) continue;
      now = now.with(index, next);
      return true;
    }
    return false;
  };
  while (places < MOST_PLACES && effort.goOn()) {
    open.parts = open.parts.filter((each) => !settles(each));
    if (open.parts.length === 0) return now.map(laidOut);
    // One sheet is laid anew, with what is open, in an order that is mostly from large to small.
    const index = Math.floor(effort.random() * now.length);
    const working = now[index] as Working;
    const upwards = effort.random() < 0.5;
    const noise = effort.random() * 0.6;
    const keyed = [...working.lots, ...open.parts].map((each) => ({ each, key: each.figure.area * (1 + noise * effort.random()) }));
    let fresh: Working = { sheet: working.sheet, lots: [] };
    const over: Nested[] = [];
    for (const { each } of keyed.sort((a, b) => b.key - a.key)) {
      const next = lay(fresh, each.item, upwards);
      if (next) fresh = next;
      else over.push(each);
    }
    if (areaOf(over) > areaOf(open.parts)) continue;
    now = now.with(index, fresh);
    open.parts = sortedByArea(over);
  }
  return undefined;
};

const sortedByArea = (lots: readonly Nested[]): readonly Nested[] => [...lots].sort((a, b) => b.figure.area - a.figure.area);

const laidOut = ({ sheet, lots }: Working): NestedSheet => ({
  ...sheet,
  parts: lots.map(({ item, figure, x, y }) => ({ item, placement: { ...(figure.members[0] as LotPlacement), x, y } })),
});
