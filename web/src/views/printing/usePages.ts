import type { PagesWanted, SetDocument } from '@parlor/core/set';
import { useEffect, useState } from 'react';
import { type PagesReply, pagesLookedAt, pagesThere, readyToPrint, StoppedSearch, useAppDispatch } from '../../state/index.ts';

export type MadePages = PagesReply | 'stopped' | 'failed';

type Held = { readonly document: SetDocument; readonly wanted: PagesWanted; readonly made: MadePages };

/** The pages of the wanted pieces, made up anew whenever set or wish changes, or when asked `again`; null while that goes on. */
export const usePages = (document: SetDocument, wanted: PagesWanted, again: number): MadePages | null => {
  const [held, setHeld] = useState<Held | null>(null);
  const dispatch = useAppDispatch();
  useEffect(readyToPrint, []);
  useEffect(() => {
    let current = again >= 0;
    setHeld(null);
    void pagesThere(document, wanted)
      .catch((problem: unknown) => (problem instanceof StoppedSearch ? 'stopped' : 'failed'))
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
