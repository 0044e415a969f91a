import { caseworkSchema, PRESETS, type Preset } from '@parlor/core/piece';
import { MOST_PIECES, type Piece } from '@parlor/core/set';
import { Plus } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useRef } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { bayChosen, useAppDispatch, useEdit, useSet } from '../../state/index.ts';
import { Button, cx } from '../../ui/index.ts';

const newPiece = (preset: Preset, pieces: readonly Piece[]): Piece => ({
  ...caseworkSchema.parse(preset.piece),
  id: crypto.randomUUID(),
  mark: Math.max(0, ...pieces.map(({ mark }) => mark)) + 1,
});

/** The menu of things to start a piece from. */
const AddPiece = () => {
  const { pieces } = useSet();
  const { setId } = useParams();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const added = useRef(false);
  const add = (preset: Preset) => {
    added.current = true;
    const piece = newPiece(preset, pieces);
    edit(`${piece.name} added`, { kind: 'add-piece', at: pieces.length, piece });
    dispatch(bayChosen(null));
    void navigate(`/sets/${setId}/pieces/${piece.id}`, { state: { fresh: true } });
  };
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button look="main" className="px-3.5!" disabled={pieces.length >= MOST_PIECES}>
          <Plus size={18} />
          piece
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={6}
          // The new piece takes the focus, not the button that was pressed for it.
          onCloseAutoFocus={(event) => {
            if (added.current) event.preventDefault();
            added.current = false;
          }}
          className="z-20 bg-leaf text-ink rounded-soft shadow-slip border border-tab p-1.5 w-80"
        >
          {PRESETS.map((preset) => (
            <DropdownMenu.Item
              key={preset.key}
              onSelect={() => add(preset)}
              className="px-3 py-2 min-h-touch rounded-slip cursor-pointer data-highlighted:bg-sprig outline-none"
            >
              <span className="font-name text-lead font-semibold block">{preset.name}</span>
              <span className="text-small text-graphite">{preset.hint}</span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
};

/** The pieces of the set as tickets, with their marks, and the way to a new one. */
export const PieceStrip = ({ current }: { readonly current: string | undefined }) => {
  const { pieces } = useSet();
  const { setId } = useParams();
  const dispatch = useAppDispatch();
  return (
    <div className="flex items-center gap-2 mb-2">
      <AddPiece />
      <nav
        aria-label="Pieces of this set"
        className="flex gap-1.5 overflow-x-auto p-1 pr-6 min-w-0 [mask-image:linear-gradient(to_right,black_calc(100%-28px),transparent)]"
      >
        {pieces.map((piece) => (
          <NavLink
            key={piece.id}
            to={`/sets/${setId}/pieces/${piece.id}`}
            onClick={() => dispatch(bayChosen(null))}
            aria-current={piece.id === current ? 'page' : undefined}
            title={piece.name}
            className={cx(
              'shrink-0 min-h-touch flex items-center gap-1.5 px-3 rounded-slip border text-note max-w-44',
              piece.id === current ? 'bg-leaf border-rose text-rose font-semibold' : 'border-dashed border-tab hover:bg-oat',
            )}
          >
            <span className="font-hand">{piece.mark}</span>
            <span className="truncate">{piece.name || 'no name yet'}</span>
          </NavLink>
        ))}
      </nav>
    </div>
  );
};
