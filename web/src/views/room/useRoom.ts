import type { Placement, RoomLayout } from '@parlor/core/room';
import { type Arranged, arrangedIn, type DerivedSet, type SetDocument } from '@parlor/core/set';
import { useMemo } from 'react';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';
import { newLayout, withLayout } from './layouts.ts';

/** The room arranged as it is decided; with something in the hand, as it would be. */
export const useArranged = (roomId: string | undefined, held: Placement | null): Arranged | undefined => {
  const document = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  return useMemo(() => (roomId && derived ? arrangedWith(document, derived, roomId, held) : undefined), [document, derived, roomId, held]);
};

const arrangedWith = (document: SetDocument, derived: DerivedSet, roomId: string, held: Placement | null): Arranged | undefined => {
  if (!held) return arrangedIn(document, derived, roomId);
  const layouts = document.layouts.map((layout) => ({
    ...layout,
    placed: layout.placed.map((each) => (each.piece === held.piece && layout.room === roomId ? held : each)),
  }));
  return arrangedIn({ ...document, layouts }, derived, roomId);
};

/** Changes the arrangement that counts of a room; it is begun where there is none. */
export const useChangeLayout = (roomId: string, layout: RoomLayout | undefined) => {
  const { layouts } = useSet();
  const edit = useEdit();
  return (words: string, change: (layout: RoomLayout) => RoomLayout): void => {
    const now = layout ?? newLayout(layouts, roomId, crypto.randomUUID());
    edit(words, { kind: 'change-set', change: { layouts: withLayout(layouts, change(now)) } });
  };
};
