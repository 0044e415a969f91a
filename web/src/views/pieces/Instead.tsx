import type { Scale } from '@parlor/core/measure';
import { describeMend, type Piece, type SetDocument } from '@parlor/core/set';
import { useCallback } from 'react';
import { insteadThere, useAnswer, useEdit, useUnits } from '../../state/index.ts';
import { Button, type SightName } from '../../ui/index.ts';
import { Elevation } from './Elevation.tsx';

/** What cannot be built as it was typed, drawn as the nearest that can: pale, to look at only, with what would be otherwise. */
export const Instead = ({ piece, scale, seen }: { readonly piece: Piece; readonly scale: Scale; readonly seen: SightName }) => {
  const ask = useCallback((document: SetDocument) => insteadThere(document, piece.id), [piece.id]);
  const instead = useAnswer(ask);
  const units = useUnits();
  const edit = useEdit();
  if (!instead) return <p className="font-hand text-graphite p-8">It cannot be drawn as it is; see the note on the right.</p>;
  const words = describeMend(instead.mend, units);
  return (
    <div className="h-full flex flex-col" data-testid="instead">
      <div className="flex flex-wrap items-center gap-x-3 border-l-3 border-rose pl-3">
        <p className="font-hand text-body">As it is typed it cannot be made. This is the nearest that can.</p>
        <Button onClick={() => edit(words, instead.mend.edit)}>{words}</Button>
      </div>
      <div className="relative flex-1 min-h-0 opacity-45 border-2 border-dashed border-rose rounded-soft mt-2" inert>
        <Elevation piece={instead.piece} made={instead.made} scale={scale} seen={seen} />
      </div>
    </div>
  );
};
