import { mirroredPiece } from '@parlor/core/piece';
import { MOST_PIECES, type Piece } from '@parlor/core/set';
import { BookmarkPlus, CopyPlus, FlipHorizontal2, Trash2 } from 'lucide-react';
import { type ReactNode, useEffect, useRef } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { api, bayChosen, noticed, useAppDispatch, useEdit, useSet } from '../../state/index.ts';
import { Button, TextField } from '../../ui/index.ts';
import { useAddPiece } from './PieceStrip.tsx';

const Tool = ({
  label,
  title,
  onClick,
  disabled = false,
  children,
}: {
  readonly label: string;
  readonly title: string;
  readonly onClick: () => void;
  readonly disabled?: boolean;
  readonly children: ReactNode;
}) => (
  <Button look="quiet" className="px-2.5!" onClick={onClick} disabled={disabled} aria-label={label} title={title}>
    {children}
  </Button>
);

/** The piece's name and what can be done with it as a whole. */
export const Heading = ({ piece }: { readonly piece: Piece }) => {
  const { pieces } = useSet();
  const edit = useEdit();
  const add = useAddPiece();
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
  const mirror = () => {
    const { id: _id, family: _family, ...change } = mirroredPiece(piece);
    edit(`${piece.name} mirrored`, { kind: 'change-piece', id: piece.id, change });
    dispatch(bayChosen(null));
  };
  const keep = async () => {
    const kept = await api.keepPreset(piece);
    const most = kept.ok
      ? ''
      : kept.error.code === 'too-many-presets'
        ? ' There are two hundred of yours already.'
        : ' The application cannot be reached.';
    dispatch(
      noticed({
        text: kept.ok ? `${piece.name} is kept among yours, to start others from.` : `It could not be kept.${most}`,
        action: null,
      }),
    );
  };
  return (
    <header className="flex items-start gap-1">
      <div className="flex-1 min-w-0" ref={name}>
        <TextField
          title
          label="Name of the piece"
          value={piece.name}
          onChange={(next) => edit(`the name of ${piece.name}`, { kind: 'change-piece', id: piece.id, change: { name: next } })}
        />
      </div>
      <Tool
        label={`Another ${piece.name}`}
        title="Another one like it"
        disabled={pieces.length >= MOST_PIECES}
        onClick={() => add(piece, (word) => `another ${word}`)}
      >
        <CopyPlus size={18} />
      </Tool>
      <Tool label={`Mirror ${piece.name}`} title="Mirror it, left to right" onClick={mirror}>
        <FlipHorizontal2 size={18} />
      </Tool>
      <Tool label={`Keep ${piece.name} among yours`} title="Keep it among yours, to start others from" onClick={() => void keep()}>
        <BookmarkPlus size={18} />
      </Tool>
      <Tool label={`Take ${piece.name} away`} title="Take this piece away; undo brings it back" onClick={remove}>
        <Trash2 size={18} />
      </Tool>
    </header>
  );
};
