import { type Cell, type CellPath, cellAt, type DoorCell } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import { OBJECT_NAMES, type ObjectName } from '@parlor/core/stock';
import { Columns2, DoorClosed, Minus, Plus, Rows2, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { bayChosen, useAppDispatch, useAppSelector, useEdit } from '../../state/index.ts';
import { Button, Choice, DoorHelp, Keys, Picker } from '../../ui/index.ts';
import { type BayTool, toolsFor } from './bayTools.ts';

const ICONS: Readonly<Record<BayTool['name'], ReactNode>> = {
  more: <Plus size={17} />,
  less: <Minus size={17} />,
  columns: <Columns2 size={17} />,
  rows: <Rows2 size={17} />,
  door: <DoorClosed size={17} />,
  remove: <Trash2 size={17} />,
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
    <Choice
      label="The door"
      help={<DoorHelp />}
      value={door.fit}
      options={FITS}
      onChange={(fit) => onChange('how the door sits', { fit })}
    />
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
  const use = ({ words, made }: BayTool) => {
    if (!made) return;
    put(words, [], made.front);
    dispatch(bayChosen(made.chosen));
  };
  return (
    <div className="space-y-2">
      <div role="toolbar" aria-label={path.length === 0 ? 'The whole front' : 'The chosen bay'} className="flex flex-wrap gap-1.5">
        {toolsFor(piece.front, path).map((tool) => (
          <Button
            key={tool.name}
            className="px-3!"
            disabled={!tool.made}
            onClick={() => use(tool)}
            title={`${tool.words} (${tool.keys[0]?.toUpperCase()} on the bay)`}
            aria-label={`${tool.label}: ${tool.words}`}
          >
            {ICONS[tool.name]}
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
        {path.length > 0 && (
          <p className="text-small text-graphite pt-2 flex flex-wrap gap-x-2.5 gap-y-1 items-center max-md:hidden" data-testid="bay-keys">
            {toolsFor(piece.front, path)
              .filter(({ made }) => made)
              .map(({ name, keys, short }) => (
                <span key={name} className="whitespace-nowrap">
                  <Keys keys={[(keys[0] as string).replace(/^[a-z]$/, (letter) => letter.toUpperCase())]} /> {short}
                </span>
              ))}
          </p>
        )}
        {path.length === 0 && (
          <p className="text-small text-graphite max-w-56 pt-2">
            Touch a bay on the drawing to choose it; the tools then work on that bay.
          </p>
        )}
      </div>
    </div>
  );
};
