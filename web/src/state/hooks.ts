import { scaleOf } from '@parlor/core/doll';
import type { Scale, Units } from '@parlor/core/measure';
import type { DerivedPiece, Edit, SetDocument } from '@parlor/core/set';
import { useCallback, useMemo } from 'react';
import { edited } from './openSet.ts';
import { useAppDispatch, useAppSelector } from './store.ts';

/** The open document; views inside a set may count on it. */
export const useSet = (): SetDocument => {
  const document = useAppSelector((state) => state.openSet.document);
  if (!document) throw new Error('no set lies open');
  return document;
};

/** Changes the open set, saying in words what is done. */
export const useEdit = (): ((words: string, edit: Edit) => void) => {
  const dispatch = useAppDispatch();
  return useCallback((words, edit) => dispatch(edited({ words, edit })), [dispatch]);
};

const MILLIMETRES: Units = { unit: 'mm', fine: false };

export const useUnits = (): Units => useAppSelector((state) => state.openSet.document?.units ?? MILLIMETRES);

export const useScale = (): Scale | null => {
  const doll = useAppSelector((state) => state.openSet.document?.doll);
  return useMemo(() => (doll ? scaleOf(doll) : null), [doll]);
};

/** What follows from a piece, as far as it has been worked out. */
export const useDerivedPiece = (id: string | undefined): DerivedPiece | undefined =>
  useAppSelector((state) => state.derived.set?.pieces.find((piece) => piece.id === id));
