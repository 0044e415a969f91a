import type { SetDocument, Wanted } from '@parlor/core/set';
import { useEffect, useState } from 'react';
import { type PagesReply, pagesLookedAt, pagesThere, readyToPrint, Stopped, useAppDispatch } from '../../state/index.ts';

export type Made = PagesReply | 'stopped' | 'failed';

type Held = { readonly document: SetDocument; readonly wanted: Wanted; readonly made: Made };

/** The pages of the wanted pieces, made up anew whenever set or wish changes, or when asked `again`; null while that goes on. */
export const usePages = (document: SetDocument, wanted: Wanted, again: number): Made | null => {
  const [held, setHeld] = useState<Held | null>(null);
  const dispatch = useAppDispatch();
  useEffect(readyToPrint, []);
  useEffect(() => {
    let current = again >= 0;
    setHeld(null);
    void pagesThere(document, wanted)
      .catch((problem: unknown) => (problem instanceof Stopped ? 'stopped' : 'failed'))
      .then((made) => {
        if (!current) return;
        setHeld({ document, wanted, made });
        if (typeof made === 'object') dispatch(pagesLookedAt(made.findings));
      });
    return () => {
      current = false;
    };
  }, [document, wanted, again, dispatch]);
  return held && held.document === document && held.wanted === wanted ? held.made : null;
};
