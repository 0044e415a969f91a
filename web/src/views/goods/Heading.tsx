import { MOST_PIECES, type Piece } from '@parlor/core/set';
import { Copy, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { nextPiece, useEdit, useSet } from '../../state/index.ts';
import { Button, PieceTickets, Sheet, TextField } from '../../ui/index.ts';
import { GoodsTray } from './GoodsTray.tsx';

/** The small goods of the set as tickets, and the way to a new one. */
const GoodsStrip = ({ current }: { readonly current: string }) => {
  const [open, setOpen] = useState(false);
  return (
    <div className="flex items-center gap-2 mb-2">
      <Button look="main" className="px-3.5!" aria-haspopup="dialog" onClick={() => setOpen(true)}>
        <Plus size={18} />
        small good
      </Button>
      <PieceTickets current={current} view="goods" />
      <Sheet title="A small thing to start from" open={open} onOpenChange={setOpen} wide>
        <GoodsTray onTaken={() => setOpen(false)} />
      </Sheet>
    </div>
  );
};

/** The strip of small goods, the name of the one that lies open, another like it, and the way to take it away. */
export const Heading = ({ good, again }: { readonly good: Piece; readonly again?: object }) => {
  const edit = useEdit();
  const navigate = useNavigate();
  const { setId } = useParams();
  const { pieces } = useSet();
  const remove = (): void => {
    edit(`${good.name} taken away`, { kind: 'remove-piece', id: good.id });
    void navigate(`/sets/${setId}/goods`);
  };
  const another = (): void => {
    const next = nextPiece({ ...good, ...again } as Piece, pieces);
    edit(`${good.name} once more`, { kind: 'add-piece', at: pieces.length, piece: next });
    void navigate(`/sets/${setId}/goods/${next.id}`);
  };
  return (
    <>
      <GoodsStrip current={good.id} />
      <header className="flex items-start gap-1">
        <div className="flex-1 min-w-0">
          <TextField
            title
            label="Name of the small good"
            value={good.name}
            onChange={(name) => edit(`the name of ${good.name}`, { kind: 'change-piece', id: good.id, change: { name } })}
          />
        </div>
        <Button
          look="quiet"
          className="px-2.5!"
          disabled={pieces.length >= MOST_PIECES}
          aria-label={`${good.name} once more`}
          title="Another like it"
          onClick={another}
        >
          <Copy size={18} />
        </Button>
        <Button
          look="quiet"
          className="px-2.5!"
          aria-label={`Take ${good.name} away`}
          title="Take it away; undo brings it back"
          onClick={remove}
        >
          <Trash2 size={18} />
        </Button>
      </header>
    </>
  );
};
