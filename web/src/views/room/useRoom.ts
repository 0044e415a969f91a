import { dollUm } from '@parlor/core/measure';
import type { Layout, Placed } from '@parlor/core/room';
import { type Arranged, arrangedIn, type DerivedSet, type SetDocument } from '@parlor/core/set';
import { useMemo } from 'react';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';
import { newLayout, withLayout } from './layouts.ts';

/** The room arranged as it is decided; with something in the hand, as it would be. */
export const useArranged = (roomId: string | undefined, held: Placed | null): Arranged | undefined => {
  const document = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  return useMemo(() => (roomId && derived ? arrangedWith(document, derived, roomId, held) : undefined), [document, derived, roomId, held]);
};

const arrangedWith = (document: SetDocument, derived: DerivedSet, roomId: string, held: Placed | null): Arranged | undefined => {
  if (!held) return arrangedIn(document, derived, roomId);
  const layouts = document.layouts.map((layout) => ({
    ...layout,
    placed: layout.placed.map((each) => (each.piece === held.piece && layout.room === roomId ? held : each)),
  }));
  return arrangedIn({ ...document, layouts }, derived, roomId);
};

/** Changes the arrangement that counts of a room; it is begun where there is none. */
export const useChangeLayout = (roomId: string, layout: Layout | undefined) => {
  const { layouts } = useSet();
  const edit = useEdit();
  return (words: string, change: (layout: Layout) => Layout): void => {
    const now = layout ?? newLayout(layouts, roomId, crypto.randomUUID());
    edit(words, { kind: 'change-set', change: { layouts: withLayout(layouts, change(now)) } });
  };
};

/** A step of the rule: a millimetre, or a sixteenth of an inch. */
export const gridOf = (unit: string): number => dollUm(unit === 'in' ? 25_400 / 16 : 1_000);

/** Where the doll stands on the plan: of all that she comes to, nearest to the middle of the room’s front half. */
export const whereSheStands = ({ way, space }: Arranged): readonly [number, number] => {
  const [width, depth] = [Math.max(...space.ring.map(([x]) => x)), Math.max(...space.ring.map(([, z]) => z))];
  const [wx, wz] = [width * 0.5, depth * 0.75];
  let [best, nearest]: [readonly [number, number], number] = [[wx, wz], Infinity];
  for (let index = 0; index < way.reached.length; index += 1) {
    if (!way.reached[index]) continue;
    const [x, z] = [((index % way.columns) + 0.5) * way.cell, (Math.floor(index / way.columns) + 0.5) * way.cell];
    const off = Math.hypot(x - wx, z - wz);
    if (off < nearest) [best, nearest] = [[x, z], off];
  }
  return best;
};
