import { dollUm, UM } from '@parlor/core/measure';
import { type Cell, type CellPath, cellAt, type DoorCell } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import { OBJECT_NAMES, type ObjectName } from '@parlor/core/stock';
import { Columns2, DoorClosed, Minus, Plus, Rows2, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { bayChosen, useAppDispatch, useAppSelector, useEdit } from '../../state/index.ts';
import { Button, Choice, Picker } from '../../ui/index.ts';
import { addShelf, type BayEdit, removeBay, split, takeShelf, toggleDoor } from './bayEdits.ts';

const NEW_DOOR = { hinge: 'left', fit: 'overlay', lap: dollUm(2 * UM.mm), gap: dollUm(0.5 * UM.mm) } as const;

type Tool = { readonly words: string; readonly label: string; readonly icon: ReactNode; readonly made: BayEdit | null };

const toolsFor = (front: Cell, path: CellPath): readonly Tool[] => {
  const door = cellAt(front, path)?.kind === 'door';
  return [
    { label: 'shelf', words: 'a shelf more', icon: <Plus size={17} />, made: addShelf(front, path) },
    { label: 'shelf', words: 'a shelf less', icon: <Minus size={17} />, made: takeShelf(front, path) },
    { label: 'split', words: 'an upright through the bay', icon: <Columns2 size={17} />, made: split(front, path, 'columns') },
    { label: 'split', words: 'a cross panel through the bay', icon: <Rows2 size={17} />, made: split(front, path, 'rows') },
    {
      label: door ? 'no door' : 'door',
      words: door ? 'the door taken off' : 'a door',
      icon: <DoorClosed size={17} />,
      made: toggleDoor(front, path, NEW_DOOR),
    },
    { label: 'bay', words: 'the bay taken out', icon: <Trash2 size={17} />, made: removeBay(front, path) },
  ];
};

const HINGES = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'pair', label: 'a pair' },
] as const;
const FITS = [
  { value: 'overlay', label: 'lies on the front' },
  { value: 'inset', label: 'sits inside' },
] as const;

const DoorChoices = ({
  door,
  onChange,
}: {
  readonly door: DoorCell;
  readonly onChange: (words: string, change: Partial<DoorCell>) => void;
}) => (
  <>
    <Choice label="Hinged" value={door.hinge} options={HINGES} onChange={(hinge) => onChange('where the door is hinged', { hinge })} />
    <Choice label="The door" value={door.fit} options={FITS} onChange={(fit) => onChange('how the door sits', { fit })} />
  </>
);

const HOLDS = [{ value: '', label: 'nothing in particular' }, ...OBJECT_NAMES.map((name) => ({ value: name, label: name }))];

/** What can be done to the chosen bay: tools under the drawing, and what is decided about the bay itself. */
export const BayTools = ({ piece }: { readonly piece: Piece }) => {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((state) => state.desk.bay);
  const path = chosen && cellAt(piece.front, chosen) ? chosen : [];
  const cell = cellAt(piece.front, path) as Cell;
  const stands = cell.kind === 'door' ? cell.behind : cell;
  const put = (words: string, at: CellPath, next: Cell) =>
    edit(`${words}, ${piece.name}`, { kind: 'put-cell', id: piece.id, path: at, cell: next });
  const use = ({ words, made }: Tool) => {
    if (!made) return;
    put(words, [], made.front);
    dispatch(bayChosen(made.chosen));
  };
  return (
    <div className="space-y-2">
      <div role="toolbar" aria-label={path.length === 0 ? 'The whole front' : 'The chosen bay'} className="flex flex-wrap gap-1.5">
        {toolsFor(piece.front, path).map((tool) => (
          <Button
            key={tool.words}
            className="px-3!"
            disabled={!tool.made}
            onClick={() => use(tool)}
            title={tool.words}
            aria-label={`${tool.label}: ${tool.words}`}
          >
            {tool.icon}
            {tool.label}
          </Button>
        ))}
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-2 items-start">
        {cell.kind === 'door' && <DoorChoices door={cell} onChange={(words, change) => put(words, path, { ...cell, ...change })} />}
        {(stands.kind === 'open' || stands.kind === 'shelves') && (
          <div className="w-56">
            <Picker
              label={path.length === 0 ? 'What stands in it' : 'What stands in this bay'}
              value={stands.holds ?? ''}
              options={HOLDS}
              onChange={(name) =>
                put('what stands in a bay', cell.kind === 'door' ? [...path, 0] : path, {
                  ...stands,
                  holds: name === '' ? null : (name as ObjectName),
                })
              }
            />
          </div>
        )}
        {path.length === 0 && (
          <p className="text-[13px] text-graphite max-w-56 pt-2">
            Touch a bay on the drawing to choose it; the tools then work on that bay.
          </p>
        )}
      </div>
    </div>
  );
};
