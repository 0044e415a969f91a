// µm, doll size. What stands on a wall between its skirting and what runs above: strips at even distances or panels between them, and strips
// where they were told to stand, to hide a joint of the boards behind.
import type { Part } from '../../assembly/index.ts';
import { STICKS } from '../../stock/index.ts';
import type { Side, StripStock } from './plan.ts';
import { type InWall, LEAST, lessStretches, strip, type TrimStretch } from './strip.ts';

/** Panelling up to a height: strips or panels about so far from one another; strips, and the gaps round panels, are so wide. */
export type Panels = { readonly form: 'battens' | 'panels'; readonly up: number; readonly apart: number; readonly width: number };
export type Upright = { readonly panelling: Panels | null };

type OnWall = {
  readonly side: Side;
  /** What of the wall is clear between its corners. */
  readonly within: TrimStretch;
  readonly opened: readonly InWall[];
  readonly battens: readonly TrimStretch[];
  /** Heights at which strips run along it. */
  readonly lying: readonly TrimStretch[];
  readonly from: number;
  readonly to: number;
};

/** A field of panelling: at which of its ends a strip stands. */
type Zone = { readonly x: TrimStretch; readonly y: TrimStretch; readonly ends: readonly [boolean, boolean] };

/** Lower than this nothing is panelled. Common practice, no source. */
const LOW = 8_000;
const HAIR = 200;

const zonesOf = ({ within, opened, battens, lying, from }: OnWall, { up }: Panels): readonly Zone[] => {
  const rail = lying.filter(([y0]) => y0 > from).map(([y0]) => y0);
  const y: TrimStretch = [from, Math.min(up, ...rail)];
  if (y[1] - y[0] < LOW) return [];
  const blocked = opened.filter(({ y0, y1, border }) => y0 - border < y[1] && y1 + border > y[0]);
  // Frames that are round reach a hair further than they are wide.
  const play = (border: number): number => border + (border > 0 ? HAIR : 0);
  const wide = ({ x0, x1, border }: InWall): TrimStretch => [x0 - play(border), x1 + play(border)];
  const isBatten = (x: number, end: 0 | 1): boolean => battens.some((batten) => batten[end === 0 ? 1 : 0] === x);
  const beside = lessStretches(within, [...blocked.map(wide), ...battens]).map(
    (x): Zone => ({ x, y, ends: [!isBatten(x[0], 0), !isBatten(x[1], 1)] }),
  );
  // Openings over or close beside each other are panelled under as one.
  const groups: { x: TrimStretch; high: number }[] = [];
  for (const each of [...blocked].sort((a, b) => wide(a)[0] - wide(b)[0])) {
    const [x, high] = [wide(each), each.y0 - play(each.border)];
    const last = groups.at(-1);
    if (last && x[0] < last.x[1]) {
      last.x = [last.x[0], Math.max(last.x[1], x[1])];
      last.high = Math.min(last.high, high);
    } else groups.push({ x, high });
  }
  const under = groups.flatMap(({ x: [a, b], high }): readonly Zone[] => {
    const x: TrimStretch = [Math.max(a, within[0]), Math.min(b, within[1])];
    const free = x[1] - x[0] >= LOW && high - y[0] >= LOW && !battens.some(([from, to]) => from < x[1] && to > x[0]);
    return free ? [{ x, y: [y[0], high], ends: [false, false] }] : [];
  });
  return [...beside, ...under];
};

/** Where the strips of a field stand: even distances, as near as can be to what was asked. */
const strips = ({ x: [from, to], ends }: Zone, wide: number, apart: number): readonly TrimStretch[] => {
  if (to - from < wide) return [];
  const gaps = Math.max(1, Math.round((to - from - wide) / Math.max(apart, wide + LEAST)));
  const at = Array.from({ length: gaps + 1 }, (_, index) => Math.round(from + ((to - from - wide) * index) / gaps));
  return at
    .filter((_, index) => (index > 0 || ends[0]) && (index < gaps || ends[1]))
    .filter((left, index, all) => index === 0 || left - (all[index - 1] as number) >= wide)
    .map((left) => [left, left + wide]);
};

/** Where the panels of a field lie, with even gaps round them. */
const panels = ({ x: [from, to] }: Zone, gap: number, apart: number): readonly TrimStretch[] => {
  const count = Math.max(1, Math.round((to - from - gap) / Math.max(apart, gap + LEAST)));
  const each = (to - from - (count + 1) * gap) / count;
  const at = (index: number): number => Math.round(from + gap + index * (each + gap));
  return each < 3 * LEAST ? [] : Array.from({ length: count }, (_, index) => [at(index), at(index) + Math.floor(each)]);
};

/** What stands on one wall.
 *  Shape: the wall's clear stretch and what is in it, wishes → strips and panels, whole ones where an opening does not reach down to them. */
export const uprightsOn = (
  wall: OnWall,
  { panelling }: Upright,
  floor: number,
  stock: StripStock,
  id: string,
  name: string,
): readonly Part[] => {
  const put = (x: TrimStretch, [low, high]: TrimStretch, from: StripStock, what: string, called: string): Part =>
    strip(wall.side, x, x, [floor + low, floor + high], from, `${id}${what}-${name}`, called);
  const board: StripStock = { sheet: stock.sheet, thick: stock.sheet.one, stick: null };
  const told = wall.battens.flatMap((x, number) => {
    const inTheWay = wall.opened
      .filter((each) => each.x0 - each.border - HAIR < x[1] && each.x1 + each.border + HAIR > x[0])
      .map((each): TrimStretch => [each.y0 - each.border - HAIR, each.y1 + each.border + HAIR]);
    return lessStretches([wall.from, wall.to], [...inTheWay, ...wall.lying])
      .filter(([low, high]) => high - low >= LEAST)
      .map((y, piece) => put(x, y, stock, `batten-${number}-${piece}`, 'strip on the wall'));
  });
  if (!panelling) return told;
  const { form, apart, width } = panelling;
  const wide = stock.stick ? STICKS[stock.stick].width : width;
  const laid = zonesOf(wall, panelling).flatMap((zone, number) =>
    form === 'battens'
      ? strips(zone, wide, apart).map((x, index) => put(x, zone.y, stock, `stile-${number}-${index}`, 'panelling strip'))
      : zone.y[1] - zone.y[0] - 2 * width < 3 * LEAST
        ? []
        : panels(zone, width, apart).map((x, index) =>
            put(x, [zone.y[0] + width, zone.y[1] - width], board, `panel-${number}-${index}`, 'panel'),
          ),
  );
  return [...told, ...laid];
};
