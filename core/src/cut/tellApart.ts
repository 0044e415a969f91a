// Different parts of one name get names that tell them apart.
import type { Part } from '../assembly/index.ts';
import type { Vec3 } from '../shape/index.ts';
import type { CutGroup } from './cutGroup.ts';

/** From here on a part is a strip, and is called long rather than large. */
const STRIP = 2.5;

const longest = ({ width, height, length }: CutGroup): number => length ?? Math.max(width, height);

const isStrip = (group: CutGroup): boolean => group.length !== null || longest(group) >= STRIP * Math.min(group.width, group.height);

/** Whether a strip stands upright where it is. */
const isUpright = (group: CutGroup, parts: readonly Part[]): boolean => {
  const part = parts[group.parts[0] as number] as Part;
  const [first] = part.region.outline;
  const reach = (at: 0 | 1): number => Math.max(...part.region.outline.map((point) => Math.abs(point[at] - (first?.[at] ?? 0))));
  const along: Vec3 = reach(0) >= reach(1) ? part.pose.u : part.pose.v;
  return Math.abs(along[1]) > 0.7;
};

/** Words for parts from the largest to the smallest; nothing where two are as large. */
const bySize = (groups: readonly CutGroup[]): readonly string[] | undefined => {
  const strips = groups.every(isStrip);
  const size = (group: CutGroup): number => (strips ? longest(group) : group.width * group.height);
  const sizes = groups.map(size);
  if (new Set(sizes.map((each) => Math.round(each / (strips ? 100 : 10_000)))).size < groups.length) return undefined;
  const [long, longer, short, shorter] = strips
    ? ['longest', 'longer', 'shortest', 'shorter']
    : ['largest', 'larger', 'smallest', 'smaller'];
  const order = sizes.toSorted((a, b) => b - a);
  return sizes.map((each) => {
    const place = order.indexOf(each);
    if (groups.length === 2) return place === 0 ? longer : shorter;
    if (place === 0) return long;
    return place === groups.length - 1 ? short : `${place + 1}${place === 1 ? 'nd' : place === 2 ? 'rd' : 'th'} ${long}`;
  });
};

/** Names for groups that all have one name. */
const apart = (groups: readonly CutGroup[], parts: readonly Part[]): readonly string[] => {
  const [{ name }] = groups as readonly [CutGroup, ...CutGroup[]];
  const sized = (some: readonly CutGroup[]): readonly string[] =>
    some.length === 1 ? [name] : (bySize(some)?.map((word) => `${word} ${name}`) ?? some.map((_, index) => `${name} ${index + 1}`));
  const upright = groups.map((group) => isStrip(group) && isUpright(group, parts));
  if (groups.some((group) => !isStrip(group)) || new Set(upright).size < 2) return sized(groups);
  const named = [true, false].flatMap((stands) => {
    const some = groups.filter((_, index) => upright[index] === stands);
    return sized(some).map((each, index) => [some[index] as CutGroup, `${stands ? 'upright' : 'lying'} ${each}`] as const);
  });
  const names = new Map(named);
  return groups.map((group) => names.get(group) as string);
};

/** Groups of a piece with names that no two of them share: upright and lying strips, the longer and the shorter, the larger and the smaller, or by number.
 *  Bodies that stand for what is found or folded keep theirs. */
export const toldApart = (groups: readonly CutGroup[], parts: readonly Part[]): readonly CutGroup[] => {
  const alike = new Map<string, CutGroup[]>();
  for (const group of groups) if (group.stuff !== 'found') alike.set(group.name, [...(alike.get(group.name) ?? []), group]);
  const names = new Map<CutGroup, string>();
  for (const some of alike.values()) {
    if (some.length < 2) continue;
    apart(some, parts).forEach((name, index) => {
      names.set(some[index] as CutGroup, name);
    });
  }
  return groups.map((group) => (names.has(group) ? { ...group, name: names.get(group) as string } : group));
};
