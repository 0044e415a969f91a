import type { Piece } from '@parlor/core/set';
import { Trash2 } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { bayChosen, useAppDispatch, useAppSelector, useDerivedPiece, useEdit, useScale, useSet } from '../../state/index.ts';
import { Button, Spread, TextField } from '../../ui/index.ts';
import { BayTools } from './BayTools.tsx';
import { Elevation } from './Elevation.tsx';
import { Follows } from './Follows.tsx';
import { PieceFields } from './PieceFields.tsx';
import { PieceStrip } from './PieceStrip.tsx';

const Heading = ({ piece }: { readonly piece: Piece }) => {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { setId } = useParams();
  const { state } = useLocation();
  const name = useRef<HTMLDivElement>(null);
  // A piece that was just added is named first.
  useEffect(() => {
    if (state?.fresh) name.current?.querySelector('input')?.focus();
  }, [state]);
  const remove = () => {
    edit(`${piece.name} taken away`, { kind: 'remove-piece', id: piece.id });
    dispatch(bayChosen(null));
    void navigate(`/sets/${setId}/pieces`);
  };
  return (
    <header className="flex items-start gap-2">
      <div className="flex-1 min-w-0" ref={name}>
        <TextField
          title
          label="Name of the piece"
          value={piece.name}
          onChange={(name) => edit(`the name of ${piece.name}`, { kind: 'change-piece', id: piece.id, change: { name } })}
        />
        <p className="text-graphite">the real thing · what you decide</p>
      </div>
      <Button
        look="quiet"
        className="px-3!"
        onClick={remove}
        aria-label={`Take ${piece.name} away`}
        title="Take this piece away; undo brings it back"
      >
        <Trash2 size={18} />
      </Button>
    </header>
  );
};

const Decided = ({ piece }: { readonly piece: Piece }) => {
  const derived = useDerivedPiece(piece.id);
  const scale = useScale();
  return (
    <div className="flex flex-col flex-1 min-h-0">
      <Heading piece={piece} />
      <div className="relative flex-1 basis-[316px] min-h-[316px] shrink-0 max-h-[640px]">
        {derived?.made && scale ? (
          <Elevation piece={piece} made={derived.made} scale={scale} />
        ) : (
          <p className="font-hand text-graphite p-8">
            {derived ? 'It cannot be drawn as it is; see the note on the right.' : 'drawing it …'}
          </p>
        )}
      </div>
      <BayTools piece={piece} />
      <PieceFields piece={piece} drawn={derived?.made !== null} />
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
  const piece = pieces.find(({ id }) => id === pieceId) ?? pieces[0];
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
