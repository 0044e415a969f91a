// µm, doll size.
import type { Part, Stuff } from '../assembly/index.ts';
import { bounds, type Region, type Ring } from '../shape/index.ts';
import { isCurve, outlineKey, roughKey, snapper } from './outlineKey.ts';

/** Identical parts of one piece: same stuff, same outline to within a few micrometres. `tag` is the piece's mark and a letter,
 *  such as 2B; the outline is the first part's. */
export type CutGroup = {
  readonly tag: string;
  readonly name: string;
  readonly stuff: Stuff;
  /** The board's id, or the name of the stick, sheet, wire or found thing. */
  readonly stock: string;
  readonly thickness: number;
  /** Length to cut of sticks and wire; null for what is cut from a sheet. */
  readonly length: number | null;
  /** Across and along as the part is drawn; with grain, along is the grain's way. */
  readonly width: number;
  readonly height: number;
  readonly region: Region;
  readonly grained: boolean;
  readonly parts: readonly number[];
};

/** A, B … Z, AA, AB … */
export const letters = (index: number): string => {
  const rest = Math.floor(index / 26) - 1;
  return (rest >= 0 ? letters(rest) : '') + String.fromCharCode(65 + (index % 26));
};

const named = (names: readonly string[]): string => {
  // Layers of one thing are called by its name.
  const unique = [...new Set(names.map((name) => name.replace(/, layer \d+$/, '')))];
  return unique.length > 3 ? `${unique.slice(0, 2).join(', ')} and ${unique.length - 2} more` : unique.join(', ');
};

/** With its lower left corner at the origin and, when its board has grain, turned so that the grain runs along y. Rings keep
 *  running counter-clockwise. */
const asCut = (part: Part, grained: boolean): Region => {
  const { x0, y0, y1 } = bounds(part.region.outline);
  const lies = grained && part.grain === 'x';
  const turn = (ring: Ring): Ring => ring.map(([x, y]) => (lies ? ([y1 - y, x - x0] as const) : ([x - x0, y - y0] as const)));
  return { outline: turn(part.region.outline), holes: part.region.holes.map(turn) };
};

/** Groups a piece's parts by stuff and congruent outline, in the order in which they first occur.
 *  Shape: n parts → groups that hold each part's index exactly once. */
export const cutList = (mark: number, parts: readonly Part[], isGrained: (board: string) => boolean): readonly CutGroup[] => {
  const grained = (part: Part): boolean => part.stuff === 'board' && isGrained(part.stock);
  const regions = parts.map((part) => asCut(part, grained(part)));
  const snap = snapper(regions.flatMap(({ outline, holes }) => [outline, ...holes].filter((ring) => !isCurve(ring)).flat(2)));
  const snapped = ({ outline, holes }: Region): Region => {
    const each = (ring: Ring): Ring => (isCurve(ring) ? ring : ring.map(([x, y]) => [snap(x), snap(y)] as const));
    return { outline: each(outline), holes: holes.map(each) };
  };
  // What differs in stuff, size or area is told apart without a look at the outline; the full key is for those that remain together.
  const rough = new Map<string, number[]>();
  const snappedRegions = regions.map(snapped);
  parts.forEach((part, index) => {
    const key = `${part.stuff} ${part.stock} ${part.thickness} ${roughKey(snappedRegions[index] as Region, grained(part))}`;
    rough.set(key, [...(rough.get(key) ?? []), index]);
  });
  const groups = new Map<string, number[]>();
  const keys: string[] = [];
  for (const [key, members] of rough)
    for (const index of members)
      keys[index] = members.length === 1 ? key : `${key} ${outlineKey(snappedRegions[index] as Region, grained(parts[index] as Part))}`;
  keys.forEach((key, index) => {
    groups.set(key, [...(groups.get(key) ?? []), index]);
  });
  return [...groups.values()].map((members, index): CutGroup => {
    const first = parts[members[0] as number] as Part;
    const region = regions[members[0] as number] as Region;
    const { x1, y1 } = bounds(region.outline);
    return {
      tag: `${mark}${letters(index)}`,
      name: named(members.map((member) => (parts[member] as Part).name)),
      stuff: first.stuff,
      stock: first.stock,
      thickness: first.thickness,
      length: first.length,
      width: x1,
      height: y1,
      region,
      grained: grained(first),
      parts: members,
    };
  });
};
