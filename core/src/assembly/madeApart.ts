// What of a piece is put together by itself on the table before it comes to its place.
import type { Motion } from './moves.ts';
import type { Part } from './part.ts';

/** Parts, by index, that are one thing before they come to their place: what moves as one, or the layers of one part. */
export type Unit = { readonly parts: readonly number[]; readonly name: string };

const LAYER = /~\d+$/;

/** What a thing that moves is called: by its front what slides, by itself what turns. */
const nameOf = ({ name }: Part, kind: Motion['kind']): string => (kind === 'slide' ? name.replace(/ \w+$/, '') : name);

/** The things of an assembly that are made apart: doors with what sits on them, drawers, racks, and what is glued from layers. */
export const unitsOf = (parts: readonly Part[], motions: readonly Motion[]): readonly Unit[] => {
  const at = new Map(parts.map(({ id }, index) => [id, index]));
  const taken = new Set<number>();
  const units: Unit[] = [];
  const add = (members: readonly number[], name: string): void => {
    const free = members.filter((part) => !taken.has(part));
    if (free.length < 2) return;
    for (const part of free) taken.add(part);
    units.push({ parts: free, name });
  };
  for (const { kind, door, parts: moving } of motions) {
    const leading = parts[at.get(door) ?? -1];
    if (leading) add([...new Set(moving.flatMap((id) => at.get(id) ?? []))], nameOf(leading, kind));
  }
  const layers = new Map<string, number[]>();
  parts.forEach(({ id }, part) => {
    const whole = id.replace(LAYER, '');
    layers.set(whole, [...(layers.get(whole) ?? []), part]);
  });
  for (const members of layers.values()) add(members, parts[members[0] as number]?.name.replace(/, layer \d+$/, '') ?? '');
  return units;
};
