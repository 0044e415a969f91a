// µm, doll size.
import { cutRegionOf, cutThicknessOf, type Part, type Slant, slantsOf } from '../assembly/index.ts';
import { asRect, bounds, type Region, type Ring, sameRegion } from '../shape/index.ts';
import { congruent } from './congruent.ts';
import type { CutGroup } from './cutGroup.ts';
import { isCurve, outlineKey, roughKey, sizeKey, snapper } from './outlineKey.ts';
import { toldApart } from './tellApart.ts';

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
  const cut = cutRegionOf(part);
  const { x0, y0, y1 } = bounds(cut.outline);
  const lies = grained && part.grain === 'x';
  const turn = (ring: Ring): Ring => ring.map(([x, y]) => (lies ? ([y1 - y, x - x0] as const) : ([x - x0, y - y0] as const)));
  return { outline: turn(cut.outline), holes: cut.holes.map(turn) };
};

/** A plain rectangle by its sides as cut, or any other outline. */
type Shape = { readonly width: number; readonly height: number } | { readonly region: Region };

const sizeOf = (part: Part, grained: boolean): Shape | undefined => {
  const { outline, holes } = cutRegionOf(part);
  const rect = holes.length === 0 ? asRect(outline) : undefined;
  if (!rect) return undefined;
  const [across, along] = [rect.x1 - rect.x0, rect.y1 - rect.y0];
  return grained && part.grain === 'x' ? { width: along, height: across } : { width: across, height: along };
};

const numbersIn = (shape: Shape): readonly number[] =>
  'region' in shape ? [shape.region.outline, ...shape.region.holes].filter((ring) => !isCurve(ring)).flat(2) : [shape.width, shape.height];

/** Twentieths of a degree: `snapper` takes three of them for one, as a saw does. */
const twentieths = (angle: number): number => Math.round((angle * 3600) / Math.PI);

/** What is cut at a slant is alike when its angles are to a seventh of a degree, and its lengths to a hundredth of a millimetre.
 *  Shape: slants of each part → a text for each. */
const slantKeys = (slants: readonly (readonly Slant[])[]): readonly string[] => {
  const [turn, reach] = [
    snapper(slants.flatMap((each) => each.map(({ angle }) => twentieths(angle)))),
    snapper(slants.flatMap((each) => each.flatMap(({ long, short }) => [Math.round(long / 5), Math.round(short / 5)]))),
  ];
  return slants.map((each) =>
    each
      .map(
        ({ at, angle, long, short }) => `${at} ${turn(twentieths(angle))} ${reach(Math.round(long / 5))} ${reach(Math.round(short / 5))} `,
      )
      .sort()
      .join(''),
  );
};

/** Whether two outlines are cut alike; without grain by any turn. */
const isAlike = (one: Region, other: Region, grained: boolean): boolean =>
  one === other || sameRegion(one, other) || (!grained && congruent(one, other));

/** Groups a piece's parts by stuff and congruent outline, in the order in which they first occur, each with a name of its own.
 *  Shape: n parts → groups that hold each part's index exactly once. */
export const cutList = (mark: number, parts: readonly Part[], isGrained: (board: string) => boolean): readonly CutGroup[] => {
  const grained = (part: Part): boolean => part.stuff === 'board' && isGrained(part.stock);
  // Parts that share their outline share what follows from it.
  const met = new Map<Region, Shape>();
  const shapes = parts.map((part): Shape => {
    const turns = grained(part) && part.grain === 'x';
    const known = turns ? undefined : met.get(cutRegionOf(part));
    const shape = known ?? sizeOf(part, grained(part)) ?? { region: asCut(part, grained(part)) };
    if (!turns) met.set(cutRegionOf(part), shape);
    return shape;
  });
  const snap = snapper([...new Set(shapes)].flatMap(numbersIn));
  const snapped = ({ outline, holes }: Region): Region => {
    const each = (ring: Ring): Ring => (isCurve(ring) ? ring : ring.map(([x, y]) => [snap(x), snap(y)] as const));
    return { outline: each(outline), holes: holes.map(each) };
  };
  // What differs in stuff, size or area is told apart without a look at the outline; the full key is for those that remain together.
  const slants = slantKeys(parts.map(slantsOf));
  const rough = new Map<string, number[]>();
  const snappedOf = new Map([...new Set(shapes)].map((shape) => [shape, 'region' in shape ? snapped(shape.region) : undefined]));
  const regions = shapes.map((shape) => snappedOf.get(shape));
  parts.forEach((part, index) => {
    // Sticks of one kind are alike when their lengths and cuts are; which way round they lie is seen when they are glued.
    if (part.stuff === 'stick') {
      const key = `stick ${part.stock} ${snap(Math.round(part.length ?? 0))} ${slants[index]}`;
      rough.set(key, [...(rough.get(key) ?? []), index]);
      return;
    }
    const [shape, region] = [shapes[index] as Shape, regions[index]];
    const size =
      'region' in shape ? roughKey(region as Region, grained(part)) : sizeKey(snap(shape.width), snap(shape.height), grained(part));
    const scored = part.scores ? JSON.stringify(part.scores) : '';
    const key = `${part.stuff} ${part.stock} ${cutThicknessOf(part)} ${slants[index]}${scored}${size}`;
    const members = rough.get(key);
    if (members) members.push(index);
    else rough.set(key, [index]);
  });
  const groups = new Map<string, number[]>();
  const keys: string[] = [];
  for (const [key, members] of rough) {
    // Parts that were made alike lie alike, and need to be turned and flipped only once.
    const known: { readonly region: Region; readonly key: string }[] = [];
    for (const index of members) {
      const region = members.length === 1 || parts[index]?.stuff === 'stick' ? undefined : regions[index];
      const like = region && known.find((other) => isAlike(other.region, region, grained(parts[index] as Part)));
      keys[index] = like?.key ?? (region ? `${key} ${outlineKey(region, grained(parts[index] as Part))}` : key);
      if (region && !like) known.push({ region, key: keys[index] });
    }
  }
  keys.forEach((key, index) => {
    const members = groups.get(key);
    if (members) members.push(index);
    else groups.set(key, [index]);
  });
  const made = [...groups.values()].map((members, index): CutGroup => {
    const first = parts[members[0] as number] as Part;
    const region = asCut(first, grained(first));
    const { x1, y1 } = bounds(region.outline);
    return {
      tag: `${mark}${letters(index)}`,
      name: named(members.map((member) => (parts[member] as Part).name)),
      stuff: first.stuff,
      stock: first.stock,
      thickness: cutThicknessOf(first),
      length: first.length,
      width: x1,
      height: y1,
      region,
      grained: grained(first),
      slants: slantsOf(first),
      parts: members,
    };
  });
  return toldApart(made, parts);
};
