import { dollUm, type Scale, showLength, toDoll, toReal } from '@parlor/core/measure';
import { type Bay, type Casework, CELL_WORDS, type Cell, cellAt } from '@parlor/core/piece';
import type { MadePiece, Piece } from '@parlor/core/set';
import { STANDING_OBJECTS } from '@parlor/core/stock';
import { type KeyboardEvent, useEffect, useMemo, useRef } from 'react';
import { bayChosen, tagPointed, useAppDispatch, useAppSelector, useEdit, useUnits } from '../../state/index.ts';
import { drawnFrom, fillOf, opacityOf, type SightName } from '../../ui/index.ts';
import { bayBeside, toolOfKey } from './bayTools.ts';
import { type DrawingScale, samePath } from './elevationPlan.ts';

const SPLITS = new Set(['door', 'columns', 'rows']);

/** Bays that the hand can choose: leaves and doors. Where a door hangs, the first touch takes the door, the next what is behind it. */
const choosable = (bays: readonly Bay[]): readonly Bay[] => bays.filter(({ kind }) => !SPLITS.has(kind));

const doorBefore = (bays: readonly Bay[], bay: Bay): Bay | undefined =>
  bays.find(({ kind, path }) => kind === 'door' && path.length < bay.path.length && path.every((step, index) => step === bay.path[index]));

/** The parts as they are seen. */
export const Panels = ({
  piece,
  made,
  sight,
  seen,
}: {
  readonly piece: Piece;
  readonly made: MadePiece;
  readonly sight: DrawingScale;
  readonly seen: SightName;
}) => {
  const dispatch = useAppDispatch();
  const pointedTag = useAppSelector((state) => state.ui.tag);
  const drawings = useMemo(() => drawnFrom(made.assembly.parts, seen), [made, seen]);
  return (
    <g transform={`translate(${sight.left} ${sight.floor}) scale(${sight.scale})`}>
      {drawings.map((drawing) => {
        const tag = made.tags[drawing.index] ?? '';
        const lit = tag === pointedTag;
        return (
          <path
            key={drawing.index}
            d={drawing.path}
            fillRule="evenodd"
            fill={lit ? 'var(--sprig)' : fillOf(drawing)}
            fillOpacity={lit ? 0.9 : opacityOf(drawing)}
            stroke={lit ? 'var(--moss)' : 'var(--ink)'}
            strokeWidth={lit ? 2 : 1}
            vectorEffect="non-scaling-stroke"
            onMouseEnter={() => dispatch(tagPointed(tag))}
            onMouseLeave={() => dispatch(tagPointed(null))}
            data-part={`${piece.id}-${drawing.index}`}
          />
        );
      })}
    </g>
  );
};

/** What is named to stand in a bay, as it would stand on its floor: as many as fit side by side, three at most. */
export const Standing = ({
  piece,
  bays,
  scale,
  sight,
}: {
  readonly piece: Casework;
  readonly bays: readonly Bay[];
  readonly scale: Scale;
  readonly sight: DrawingScale;
}) =>
  choosable(bays).map(({ path, space }) => {
    const cell = cellAt(piece.front, path);
    if (!cell || (cell.kind !== 'open' && cell.kind !== 'shelves') || cell.holds === null) return null;
    const object = STANDING_OBJECTS[cell.holds];
    const [width, height] = [toDoll(object.width, scale) / 1000, toDoll(object.height, scale) / 1000];
    const count = Math.max(1, Math.min(3, Math.floor((space.x1 - space.x0) / 1000 / (width * 1.15))));
    return Array.from({ length: count }, (_, index) => (
      <rect
        key={`${path.join('.')} ${index}`}
        x={sight.left + (space.x0 / 1000 + 2 + index * width * 1.12) * sight.scale}
        y={sight.floor - (space.y0 / 1000 + height) * sight.scale}
        width={width * sight.scale}
        height={height * sight.scale}
        fill="var(--steel)"
        fillOpacity="0.35"
        stroke="var(--graphite)"
        strokeDasharray="3 2"
        strokeWidth="0.8"
        pointerEvents="none"
      />
    ));
  });

const bayAt = (path: readonly number[]): string => `[data-bay="${path.join('.')}"]`;

/** Keys on a bay: arrows go to its neighbours, letters use its tools. Focus follows what was made of it. */
const useBayKeys = (piece: Casework, bays: readonly Bay[]) => {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const next = useRef<readonly number[] | null>(null);
  // The bay that a tool made stands there only once the worker has answered.
  useEffect(() => {
    const bay = next.current && bays.length > 0 && document.querySelector<SVGElement>(bayAt(next.current));
    if (!bay) return;
    next.current = null;
    bay.focus();
  }, [bays]);
  return (event: KeyboardEvent, bay: Bay, chosen: readonly number[]) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const beside = bayBeside(choosable(bays), bay, event.key);
    const tool = beside ? undefined : toolOfKey(piece.front, chosen, event.key);
    if (!beside && !tool) return;
    event.preventDefault();
    if (beside) document.querySelector<SVGElement>(bayAt(beside.path))?.focus();
    if (!tool?.made) return;
    edit(`${tool.words}, ${piece.name}`, { kind: 'put-cell', id: piece.id, path: [], cell: tool.made.front });
    dispatch(bayChosen(tool.made.chosen));
    next.current = firstLeaf(tool.made.front, tool.made.chosen);
  };
};

/** The leaf of the drawing that stands for a cell: the cell itself, or the first inside it. */
const firstLeaf = (front: Cell, path: readonly number[]): readonly number[] => {
  const cell = cellAt(front, path);
  return !cell || !SPLITS.has(cell.kind) ? path : firstLeaf(front, [...path, 0]);
};

type BaysProps = { readonly piece: Casework; readonly bays: readonly Bay[]; readonly sight: DrawingScale; readonly scale: Scale };

/** The bays, to be chosen with a touch or a key. */
export const Bays = ({ piece, bays, sight, scale }: BaysProps) => {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const chosen = useAppSelector((state) => state.ui.bay);
  const onKeys = useBayKeys(piece, bays);
  return choosable(bays).map((bay, number) => {
    const { x0, x1, y0, y1 } = bay.space;
    const door = doorBefore(bays, bay);
    const mine = samePath(bay.path, chosen) || (door !== undefined && samePath(door.path, chosen));
    const choose = () => dispatch(bayChosen(door && !samePath(door.path, chosen) && !samePath(bay.path, chosen) ? door.path : bay.path));
    const size = (length: number) => showLength(toReal(dollUm(length), scale), units);
    return (
      <rect
        key={bay.path.join('.')}
        role="button"
        tabIndex={0}
        aria-pressed={mine}
        data-bay={bay.path.join('.')}
        aria-label={`${CELL_WORDS[bay.kind as 'open']} ${number + 1}${door ? ', behind a door' : ''}, ${size(x1 - x0)} wide, ${size(y1 - y0)} high`}
        x={sight.left + (x0 / 1000) * sight.scale}
        y={sight.floor - (y1 / 1000) * sight.scale}
        width={((x1 - x0) / 1000) * sight.scale}
        height={((y1 - y0) / 1000) * sight.scale}
        fill={mine ? 'var(--moss)' : 'transparent'}
        fillOpacity={mine ? 0.22 : 0}
        stroke={mine ? 'var(--moss)' : 'transparent'}
        strokeWidth="2.5"
        className="cursor-pointer outline-none hover:stroke-moss focus-visible:stroke-rose focus-visible:[stroke-width:4]"
        onClick={choose}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return onKeys(event, bay, mine && chosen ? chosen : bay.path);
          event.preventDefault();
          return choose();
        }}
      />
    );
  });
};

type Line = { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number };

/** A pencilled dimension line with its two ticks. */
export const DimensionLine = ({ x1, y1, x2, y2 }: Line) => {
  const upright = x1 === x2;
  const tick = (x: number, y: number) =>
    upright ? <line x1={x - 5} x2={x + 5} y1={y} y2={y} /> : <line x1={x} x2={x} y1={y - 5} y2={y + 5} />;
  return (
    <g stroke="var(--graphite)" strokeWidth="1">
      <line x1={x1} x2={x2} y1={y1} y2={y2} />
      {tick(x1, y1)}
      {tick(x2, y2)}
    </g>
  );
};
