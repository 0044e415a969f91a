import { hasBays, isSmall, sightOf } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import { lazy, Suspense, useState } from 'react';
import { useParams } from 'react-router';
import { useAppSelector, useDerivedPiece, useScale, useSet } from '../../state/index.ts';
import { Choice, type SightName, Spread } from '../../ui/index.ts';
import { BayTools } from './BayTools.tsx';
import { Elevation } from './Elevation.tsx';
import { Follows } from './Follows.tsx';
import { Heading } from './Heading.tsx';
import { PieceFields } from './PieceFields.tsx';
import { PieceStrip } from './PieceStrip.tsx';

// It brings the small goods that may be begun with, and is fetched where there are shelves.
const Instead = lazy(async () => ({ default: (await import('./Instead.tsx')).Instead }));
const OnShelves = lazy(async () => ({ default: (await import('./OnShelves.tsx')).OnShelves }));

const SEEN = [
  { value: 'front', label: 'the front' },
  { value: 'side', label: 'the right' },
  { value: 'top', label: 'above' },
] as const;

const Decided = ({ piece }: { readonly piece: Piece }) => {
  const derived = useDerivedPiece(piece.id);
  const scale = useScale();
  const [seen, setSeen] = useState<SightName>(() => sightOf(piece));
  const drawn = derived?.made !== null;
  return (
    <div className="flex flex-col flex-1 min-h-0">
      <Heading piece={piece} />
      <div className="flex flex-wrap items-center gap-x-3 -mt-1">
        <p className="text-graphite">the real thing, from</p>
        <Choice label="Seen from" hideLabel value={seen} options={SEEN} onChange={setSeen} />
      </div>
      <div className="relative flex-1 basis-[316px] min-h-[316px] shrink-0 max-h-[640px]">
        {derived?.made && scale ? (
          <Elevation piece={piece} made={derived.made} scale={scale} seen={seen} />
        ) : derived && scale ? (
          <Suspense>
            <Instead piece={piece} scale={scale} seen={seen} />
          </Suspense>
        ) : (
          <p className="font-hand text-graphite p-8">drawing it …</p>
        )}
      </div>
      {hasBays(piece) && seen === 'front' && <BayTools piece={piece} />}
      <PieceFields piece={piece} sight={drawn ? seen : null} marks={derived?.made?.marks ?? []} />
      {derived?.made && derived.made.bays.length > 0 && (
        <Suspense>
          <OnShelves piece={derived} made={derived.made} />
        </Suspense>
      )}
    </div>
  );
};

const Empty = () => (
  <div>
    <h1 className="text-title mt-8">Nothing stands here yet</h1>
    <p className="mt-2 max-w-sm">
      Choose something to begin with. Type what the real thing measures; its parts, its boards and its templates follow.
    </p>
  </div>
);

/** A piece as it is decided, and as it follows. */
export const PiecesView = () => {
  const { pieces } = useSet();
  const { pieceId } = useParams();
  const piece = pieces.find(({ id }) => id === pieceId) ?? pieces.find((each) => !isSmall(each));
  const derived = useDerivedPiece(piece?.id);
  const failed = useAppSelector((state) => state.derived.failed);
  return (
    <Spread
      leftLabel="What you decide about the piece"
      rightLabel="What follows"
      left={
        // The strip stays while pieces change below it: its menu must be able to close in its own time.
        <div className="flex flex-col h-full">
          <PieceStrip current={piece?.id} />
          {piece ? <Decided key={piece.id} piece={piece} /> : <Empty />}
        </div>
      }
      right={
        failed ? (
          <p role="alert">Working it out failed; this is a fault of the program. Undo the last change, and please tell its makers.</p>
        ) : (
          piece && <Follows piece={derived} />
        )
      }
    />
  );
};
