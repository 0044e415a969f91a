import type { Scale } from '@parlor/core/measure';
import { type Casework, CELL_FIELDS, CELL_WORDS, type Cell, type CellPath, cellAt, isFieldShown, withValueAt } from '@parlor/core/piece';
import { OBJECT_NAMES, type ObjectName } from '@parlor/core/stock';
import { Columns2, DoorClosed, Minus, Plus, Rows2, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { bayChosen, useAppDispatch, useAppSelector, useEdit, useScale } from '../../state/index.ts';
import { Button, Decision, Keys, Picker } from '../../ui/index.ts';
import { LEAF_KINDS, type LeafKind, madeInto } from './bayEdits.ts';
import { type BayTool, toolsFor } from './bayTools.ts';

const ICONS: Readonly<Record<BayTool['name'], ReactNode>> = {
  more: <Plus size={17} />,
  less: <Minus size={17} />,
  columns: <Columns2 size={17} />,
  rows: <Rows2 size={17} />,
  door: <DoorClosed size={17} />,
  remove: <Trash2 size={17} />,
};

const HOLDS = [{ value: '', label: 'nothing in particular' }, ...OBJECT_NAMES.map((name) => ({ value: name, label: name }))];

type CellProps = {
  readonly cell: Cell;
  readonly path: CellPath;
  readonly scale: Scale;
  readonly put: (words: string, at: CellPath, next: Cell) => void;
};

/** What is decided about one bay or door. */
const CellFields = ({ cell, path, scale, put }: CellProps) => {
  const fields = CELL_FIELDS[cell.kind].filter((field) => isFieldShown(field, cell));
  if (fields.length === 0) return null;
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start" data-cell={cell.kind}>
      {fields.map((field) => (
        <Decision
          key={`${field.path.join('.')} ${field.kind.kind}`}
          field={field}
          owner={cell}
          scale={scale}
          onChange={(words, at, value) => put(words, path, withValueAt(cell, at, value))}
        />
      ))}
    </div>
  );
};

/** What can be done to the chosen bay: tools under the drawing, and what is decided about the bay itself. */
export const BayTools = ({ piece }: { readonly piece: Casework }) => {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const scale = useScale();
  const chosen = useAppSelector((state) => state.ui.bay);
  const path = chosen && cellAt(piece.front, chosen) ? chosen : [];
  const cell = cellAt(piece.front, path) as Cell;
  const stands = cell.kind === 'door' ? cell.behind : cell;
  const inside = cell.kind === 'door' ? [...path, 0] : path;
  const put = (words: string, at: CellPath, next: Cell) =>
    edit(`${words}, ${piece.name}`, { kind: 'put-cell', id: piece.id, path: at, cell: next });
  const use = ({ words, made }: BayTool) => {
    if (!made) return;
    put(words, [], made.front);
    dispatch(bayChosen(made.chosen));
  };
  const isLeaf = stands.kind !== 'columns' && stands.kind !== 'rows' && stands.kind !== 'door';
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
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start">
        {isLeaf && (
          <Picker
            label={path.length === 0 ? 'The bay is' : 'This bay is'}
            value={stands.kind}
            options={LEAF_KINDS.filter(
              (kind) =>
                kind !== 'plate' ||
                (cell.kind !== 'door' && !path.some((_, depth) => cellAt(piece.front, path.slice(0, depth))?.kind === 'door')),
            ).map((kind) => ({ value: kind, label: CELL_WORDS[kind] }))}
            onChange={(kind) => put(`a ${CELL_WORDS[kind as LeafKind]}`, inside, madeInto(stands, kind as LeafKind))}
          />
        )}
        {(stands.kind === 'open' || stands.kind === 'shelves') && (
          <Picker
            label={path.length === 0 ? 'What stands in it' : 'What stands in this bay'}
            value={stands.holds ?? ''}
            options={HOLDS}
            onChange={(name) => put('what stands in a bay', inside, { ...stands, holds: name === '' ? null : (name as ObjectName) })}
          />
        )}
      </div>
      {path.length > 0 && (
        <p className="text-small text-graphite flex flex-wrap gap-x-2.5 gap-y-1 items-center max-md:hidden" data-testid="bay-keys">
          {toolsFor(piece.front, path)
            .filter(({ made }) => made)
            .map(({ name, keys, short }) => (
              <span key={name} className="whitespace-nowrap">
                <Keys keys={[(keys[0] as string).replace(/^[a-z]$/, (letter) => letter.toUpperCase())]} /> {short}
              </span>
            ))}
        </p>
      )}
      {path.length === 0 && piece.front.kind !== 'open' && (
        <p className="text-small text-graphite">Touch a bay on the drawing to choose it; the tools then work on that bay.</p>
      )}
      {scale && cell.kind === 'door' && <CellFields cell={cell} path={path} scale={scale} put={put} />}
      {scale && isLeaf && <CellFields cell={stands} path={inside} scale={scale} put={put} />}
    </div>
  );
};
