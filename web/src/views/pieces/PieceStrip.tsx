import { isSmall } from '@parlor/core/piece';
import { MOST_PIECES, type Piece } from '@parlor/core/set';
import { Plus } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { bayChosen, nextPiece, useAppDispatch, useBegin, useEdit, useSet } from '../../state/index.ts';
import { Button, PieceTickets } from '../../ui/index.ts';

// The library brings every preset with it, and is fetched when somebody looks for something.
const Library = lazy(async () => ({ default: (await import('./Library.tsx')).Library }));

/** Goes to a piece that was just added. */
const useShowPiece = () => {
  const { setId } = useParams();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  return (piece: Piece): void => {
    dispatch(bayChosen(null));
    void navigate(`/sets/${setId}/${isSmall(piece) ? 'goods' : 'pieces'}/${piece.id}`, { state: { fresh: true } });
  };
};

/** Puts a piece into the set and goes to it; its name is the first thing that is asked for. */
export const useAddPiece = () => {
  const { pieces } = useSet();
  const edit = useEdit();
  const show = useShowPiece();
  return (from: Piece, words: (name: string) => string): void => {
    const piece = nextPiece(from, pieces);
    edit(words(piece.name), { kind: 'add-piece', at: pieces.length, piece });
    show(piece);
  };
};

/** The button that opens the library of things to start from. */
const AddPiece = () => {
  const { pieces } = useSet();
  const [open, setOpen] = useState(false);
  const [asked, setAsked] = useState(false);
  const begin = useBegin();
  const show = useShowPiece();
  return (
    <>
      <Button
        look="main"
        className="px-3.5!"
        disabled={pieces.length >= MOST_PIECES}
        aria-haspopup="dialog"
        onClick={() => {
          setAsked(true);
          setOpen(true);
        }}
      >
        <Plus size={18} />
        piece
      </Button>
      {asked && (
        <Suspense fallback={null}>
          <Library
            open={open}
            onOpenChange={setOpen}
            onTake={async (from, look) => {
              setOpen(false);
              const piece = await begin(from, look);
              if (piece) show(piece);
            }}
          />
        </Suspense>
      )}
    </>
  );
};

/** The pieces of the set as tickets, with their marks, and the way to a new one. */
export const PieceStrip = ({ current }: { readonly current: string | undefined }) => {
  const dispatch = useAppDispatch();
  return (
    <div className="flex items-center gap-2 mb-2">
      <AddPiece />
      <PieceTickets current={current} view="pieces" onTurn={() => dispatch(bayChosen(null))} />
    </div>
  );
};
