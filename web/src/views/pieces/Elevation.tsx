import { dollUm, type Scale, showLength, toDoll, toReal, UM } from '@parlor/core/measure';
import { type Bay, cellAt } from '@parlor/core/piece';
import type { MadePiece, Piece } from '@parlor/core/set';
import { STANDING_OBJECTS } from '@parlor/core/stock';
import { useMemo } from 'react';
import { bayChosen, tagPointed, useAppDispatch, useAppSelector, useEdit, useSet, useUnits } from '../../state/index.ts';
import { Figure, FRONT_FILL, frontView, SizeField } from '../../ui/index.ts';
import { sizeSlot } from './bayEdits.ts';
import { type Sight, sightFor, type Stretch, stretchesOf } from './elevationPlan.ts';
import { useBox } from './useBox.ts';

type Props = { readonly piece: Piece; readonly made: MadePiece; readonly scale: Scale };

const samePath = (a: readonly number[], b: readonly number[] | null): boolean => b !== null && a.length === b.length && a.every((step, index) => step === b[index]);

/** Bays that the hand can choose: leaves and doors. Where a door hangs, the first touch takes the door, the next what is behind it. */
const choosable = (bays: readonly Bay[]): readonly Bay[] => bays.filter(({ kind }) => kind === 'open' || kind === 'shelves');

const doorBefore = (bays: readonly Bay[], bay: Bay): Bay | undefined =>
  bays.find(({ kind, path }) => kind === 'door' && path.length < bay.path.length && path.every((step, index) => step === bay.path[index]));

const WORDS = { open: 'open bay', shelves: 'bay with shelves' } as const;

const Panels = ({ piece, made, sight }: { readonly piece: Piece; readonly made: MadePiece; readonly sight: Sight }) => {
  const dispatch = useAppDispatch();
  const pointedTag = useAppSelector((state) => state.desk.tag);
  const rects = useMemo(() => frontView(made.assembly.parts), [made]);
  const { scale, left, floor } = sight;
  return rects.map(({ index, role, x, y, width, height }) => {
    const tag = made.tags[index] ?? '';
    const lit = tag === pointedTag;
    return (
      <rect
        key={index} x={left + x * scale} y={floor - (y + height) * scale} width={width * scale} height={height * scale}
        fill={lit ? 'var(--sprig)' : FRONT_FILL[role]} fillOpacity={role === 'door' ? 0.72 : 1} stroke={lit ? 'var(--moss)' : 'var(--ink)'} strokeWidth={lit ? 2 : 1}
        onMouseEnter={() => dispatch(tagPointed(tag))} onMouseLeave={() => dispatch(tagPointed(null))} data-part={`${piece.id}-${index}`}
      />
    );
  });
};

/** What is named to stand in a bay, as it would stand on its floor: as many as fit side by side, three at most. */
const Standing = ({ piece, bays, scale, sight }: { readonly piece: Piece; readonly bays: readonly Bay[]; readonly scale: Scale; readonly sight: Sight }) =>
  choosable(bays).map(({ path, space }) => {
    const cell = cellAt(piece.front, path);
    if (!cell || (cell.kind !== 'open' && cell.kind !== 'shelves') || cell.holds === null) return null;
    const object = STANDING_OBJECTS[cell.holds];
    const [width, height] = [toDoll(object.width, scale) / 1000, toDoll(object.height, scale) / 1000];
    const count = Math.max(1, Math.min(3, Math.floor((space.x1 - space.x0) / 1000 / (width * 1.15))));
    return Array.from({ length: count }, (_, index) => (
      <rect
        key={`${path.join('.')} ${index}`} x={sight.left + (space.x0 / 1000 + 2 + index * width * 1.12) * sight.scale} y={sight.floor - (space.y0 / 1000 + height) * sight.scale}
        width={width * sight.scale} height={height * sight.scale} fill="var(--steel)" fillOpacity="0.35" stroke="var(--graphite)" strokeDasharray="3 2" strokeWidth="0.8" pointerEvents="none"
      />
    ));
  });

const Bays = ({ bays, sight, scale }: { readonly bays: readonly Bay[]; readonly sight: Sight; readonly scale: Scale }) => {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const chosen = useAppSelector((state) => state.desk.bay);
  return choosable(bays).map((bay, number) => {
    const { x0, x1, y0, y1 } = bay.space;
    const door = doorBefore(bays, bay);
    const mine = samePath(bay.path, chosen) || (door !== undefined && samePath(door.path, chosen));
    const choose = () => dispatch(bayChosen(door && !samePath(door.path, chosen) && !samePath(bay.path, chosen) ? door.path : bay.path));
    const size = (length: number) => showLength(toReal(dollUm(length), scale), units);
    return (
      // biome-ignore lint/a11y/useSemanticElements: a button cannot be an SVG shape.
      <rect
        key={bay.path.join('.')} role="button" tabIndex={0} aria-pressed={mine} data-bay={bay.path.join('.')}
        aria-label={`${WORDS[bay.kind as 'open']} ${number + 1}${door ? ', behind a door' : ''}, ${size(x1 - x0)} wide, ${size(y1 - y0)} high`}
        x={sight.left + (x0 / 1000) * sight.scale} y={sight.floor - (y1 / 1000) * sight.scale}
        width={((x1 - x0) / 1000) * sight.scale} height={((y1 - y0) / 1000) * sight.scale}
        fill={mine ? 'var(--moss)' : 'transparent'} fillOpacity={mine ? 0.22 : 0} stroke={mine ? 'var(--moss)' : 'transparent'} strokeWidth="2.5" className="cursor-pointer outline-none hover:stroke-moss focus-visible:stroke-rose"
        onClick={choose}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          choose();
        }}
      />
    );
  });
};

type Line = { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number };

/** A pencilled dimension line with its two ticks. */
const DimensionLine = ({ x1, y1, x2, y2 }: Line) => {
  const upright = x1 === x2;
  const tick = (x: number, y: number) => (upright ? <line x1={x - 5} x2={x + 5} y1={y} y2={y} /> : <line x1={x} x2={x} y1={y - 5} y2={y + 5} />);
  return (
    <g stroke="var(--graphite)" strokeWidth="1">
      <line x1={x1} x2={x2} y1={y1} y2={y2} />
      {tick(x1, y1)}
      {tick(x2, y2)}
    </g>
  );
};

const LEAST_ROOM = { columns: 74, rows: 30 } as const;

const Chain = ({ kind, stretches, sight, piece, scale }: { readonly kind: 'columns' | 'rows'; readonly stretches: readonly Stretch[]; readonly sight: Sight; readonly piece: Piece; readonly scale: Scale }) => {
  const edit = useEdit();
  const chosen = useAppSelector((state) => state.desk.bay);
  const right = sight.left + (piece.hold === 'outside' ? toDoll(piece.width, scale) / 1000 : Math.max(...stretches.map(({ to }) => to), toDoll(piece.width, scale) / 1000 + 8)) * sight.scale + 14;
  // Sizes that would lie on each other are left away, but never that of the chosen bay.
  const roomy = stretches.filter(({ path, from, to }) => (to - from) * sight.scale >= LEAST_ROOM[kind] || samePath(path, chosen?.slice(0, path.length) ?? null));
  return roomy.map(({ path, from, to, lengthUm, fixed }) => {
    const middle = (from + to) / 2;
    const at = kind === 'columns' ? { left: sight.left + middle * sight.scale, top: sight.floor + 26 } : { left: right + 8, top: sight.floor - middle * sight.scale };
    const word = kind === 'columns' ? 'width' : 'height';
    return (
      <div key={path.join('.')} className={kind === 'columns' ? 'absolute -translate-x-1/2 -translate-y-1/2' : 'absolute -translate-y-1/2'} style={at}>
        <SizeField
          pencil world="real" label={`${fixed ? 'fixed' : 'shared'} clear ${word} of bay ${path.join('.')}`} lengthUm={toReal(dollUm(lengthUm), scale)} min={UM.mm} max={10 * UM.m}
          onChange={(clear) => {
            const sized = sizeSlot(piece.front, path, { clear: clear as Piece['width'] });
            if (sized) edit(`clear ${word} of a bay of ${piece.name}`, { kind: 'put-cell', id: piece.id, path: [], cell: sized.front });
          }}
        />
      </div>
    );
  });
};

const chainLines = (kind: 'columns' | 'rows', stretches: readonly Stretch[], sight: Sight, right: number) => stretches.map(({ path, from, to }) => (
  kind === 'columns'
    ? <DimensionLine key={path.join('.')} x1={sight.left + from * sight.scale} x2={sight.left + to * sight.scale} y1={sight.floor + 9} y2={sight.floor + 9} />
    : <DimensionLine key={path.join('.')} x1={right} x2={right} y1={sight.floor - to * sight.scale} y2={sight.floor - from * sight.scale} />
));

/** The front elevation, drawn from the model and edited where it stands: bays are chosen with a touch, sizes changed on the drawing. */
export const Elevation = ({ piece, made, scale }: Props) => {
  const { doll } = useSet();
  const edit = useEdit();
  const { ref, width, height } = useBox<HTMLDivElement>(380, 430);
  const chosen = useAppSelector((state) => state.desk.bay);
  const [w, h] = [made.assembly.outside.max[0] / 1000, made.assembly.outside.max[1] / 1000];
  const sight = sightFor(w, h, doll.height / 1000, width, height);
  const { columns, rows } = stretchesOf(piece.front, made.bays, chosen);
  const [right, top] = [sight.left + w * sight.scale, sight.floor - h * sight.scale];
  const held = piece.hold === 'outside' ? '' : 'clear ';
  const change = (words: string, part: Partial<Piece>) => edit(`${words} of ${piece.name}`, { kind: 'change-piece', id: piece.id, change: part });
  return (
    <div ref={ref} className="relative h-full" data-testid="elevation">
      <svg width={width} height={height} className="absolute inset-0" aria-label={`Front of ${piece.name}`} role="group">
        <line x1={10} x2={width - 6} y1={sight.floor} y2={sight.floor} stroke="var(--tab)" strokeWidth="2" />
        <g transform={`translate(${sight.figureAt} ${sight.floor}) scale(${sight.scale})`} opacity="0.55">
          <Figure heightUm={doll.height} x={0} floor={0} />
        </g>
        <Panels piece={piece} made={made} sight={sight} />
        <Standing piece={piece} bays={made.bays} scale={scale} sight={sight} />
        <Bays bays={made.bays} sight={sight} scale={scale} />
        <DimensionLine x1={sight.left} x2={right} y1={top - 12} y2={top - 12} />
        <DimensionLine x1={sight.left - 14} x2={sight.left - 14} y1={top} y2={sight.floor} />
        {chainLines('columns', columns, sight, right)}
        {chainLines('rows', rows, sight, right + 14)}
      </svg>
      <div className="absolute -translate-x-1/2 -translate-y-full" style={{ left: sight.left + (w * sight.scale) / 2, top: top - 8 }}>
        <SizeField pencil world="real" label={`${held}width on the drawing`} lengthUm={piece.width} min={10 * UM.mm} max={10 * UM.m} onChange={(value) => change('width', { width: value as Piece['width'] })} />
      </div>
      <div className="absolute -translate-x-full -translate-y-1/2" style={{ left: sight.left - 18, top: (top + sight.floor) / 2 }}>
        <SizeField pencil world="real" label={`${held}height on the drawing`} lengthUm={piece.height} min={10 * UM.mm} max={10 * UM.m} onChange={(value) => change('height', { height: value as Piece['height'] })} />
      </div>
      <Chain kind="columns" stretches={columns} sight={sight} piece={piece} scale={scale} />
      <Chain kind="rows" stretches={rows} sight={sight} piece={piece} scale={scale} />
    </div>
  );
};
