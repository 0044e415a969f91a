import type { Good } from '@parlor/core/piece';
import { type DerivedPiece, type GoodSheet, sheetsOfGood, type Taking, takingsOf } from '@parlor/core/set';
import { useCallback, useMemo } from 'react';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';

const NONE: readonly GoodSheet[] = [];

/** What is printed for a good, as far as it has been worked out. */
export const useSheets = (piece: DerivedPiece | undefined): readonly GoodSheet[] => {
  const document = useSet();
  const set = useAppSelector((state) => state.derived.set);
  return useMemo(() => (set && piece ? sheetsOfGood(document, set, piece) : NONE), [document, set, piece]);
};

const NOTHING: readonly Taking[] = [];

/** All that a good takes but what only stands for what is folded, sewn or found. */
export const useTakings = (piece: DerivedPiece): readonly Taking[] => {
  const document = useSet();
  const set = useAppSelector((state) => state.derived.set);
  return useMemo(() => (set ? takingsOf(document, set, piece).filter(({ kind }) => kind !== 'found') : NOTHING), [document, set, piece]);
};

/** Changes a good, saying in words what is done. */
export const useChangeGood = (id: string): ((words: string, change: Partial<Good>) => void) => {
  const edit = useEdit();
  return useCallback((words, change) => edit(words, { kind: 'change-piece', id, change }), [edit, id]);
};
