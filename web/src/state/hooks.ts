import type { Order } from '@parlor/core/assembly';
import { scaleOf } from '@parlor/core/doll';
import type { Scale, Units } from '@parlor/core/measure';
import type { DerivedCovering, DerivedPiece, DerivedSet, Edit, GoodPaper, SetDocument } from '@parlor/core/set';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { NeedsReply } from '../engine/index.ts';
import { coverThere, goodPaperThere, lookThere, needsThere, orderThere } from '../engine/index.ts';
import { edited } from './openSet.ts';
import { useAppDispatch, useAppSelector } from './store.ts';
import { undoGroupNow } from './undoGroup.ts';

/** The open document; views inside a set may count on it. */
export const useSet = (): SetDocument => {
  const document = useAppSelector((state) => state.openSet.document);
  if (!document) throw new Error('no set lies open');
  return document;
};

/** Changes the open set, saying in words what is done. Edits of one group (typing in one field) are undone as one. */
export const useEdit = (): ((words: string, edit: Edit) => void) => {
  const dispatch = useAppDispatch();
  return useCallback((words, edit) => dispatch(edited({ words, edit, ...undoGroupNow() })), [dispatch]);
};

/** A set's pieces as they stand, for a picture of it; null while that goes on. */
export const useLook = (document: SetDocument | null): DerivedSet | null | 'failed' => {
  const [look, setLook] = useState<{ readonly of: SetDocument; readonly set: DerivedSet | 'failed' } | null>(null);
  useEffect(() => {
    let wanted = true;
    if (document) {
      void lookThere(document)
        .catch(() => 'failed' as const)
        .then((set) => wanted && setLook({ of: document, set }));
    }
    return () => {
      wanted = false;
    };
  }, [document]);
  return look && look.of === document ? look.set : null;
};

/** The order of assembly of a piece, once it has been worked out for the piece as it is now. */
export const useOrder = (key: string | undefined): Order | null => {
  const [found, setFound] = useState<{ readonly of: string; readonly order: Order | null } | null>(null);
  useEffect(() => {
    let wanted = true;
    if (key !== undefined)
      void orderThere(key)
        .catch(() => null)
        .then((order) => wanted && setFound({ of: key, order }));
    return () => {
      wanted = false;
    };
  }, [key]);
  return found && found.of === key ? found.order : null;
};

/** An answer about the open document; the last one stays until the next has come. */
export const useAnswer = <T>(ask: (document: SetDocument) => Promise<T>): T | null => {
  const document = useSet();
  const [answer, setAnswer] = useState<T | null>(null);
  useEffect(() => {
    let wanted = true;
    ask(document).then(
      (made) => wanted && setAnswer(made),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [document, ask]);
  return answer;
};

/** What covers a piece of the open set, as it has been worked out; null until that is known, and where it cannot be built. A covering of the
 *  piece as it was a moment ago counts parts that may be gone, and is none. */
export const useCovering = (piece: DerivedPiece | undefined): DerivedCovering | null => {
  const pieceId = piece?.id;
  const ask = useCallback(async (document: SetDocument) => (pieceId === undefined ? null : coverThere(document, pieceId)), [pieceId]);
  const answer = useAnswer(ask);
  return answer && answer.from === piece?.key ? answer : null;
};

/** What all coverings of the open set need; null until it is known. */
export const useNeeds = (): NeedsReply | null => useAnswer(needsThere);

/** The paper that a small good takes; null until it is known. */
export const useGoodPaper = (pieceId: string): readonly GoodPaper[] | null => {
  const ask = useCallback(async (document: SetDocument) => goodPaperThere({ document, pieceId }), [pieceId]);
  return useAnswer(ask);
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
