import { dollOf, dollUm, isDollSize, type Measure, realOf, type Scale, showLength, toReal, UM } from '@parlor/core/measure';
import { type Casework, hasBays, type SizeMark, valueAt } from '@parlor/core/piece';
import type { MadePiece, Piece } from '@parlor/core/set';
import { useAppSelector, useEdit, useSet, useUnits } from '../../state/index.ts';
import { Figure, type SightName, SizeField } from '../../ui/index.ts';
import { sizeSlot } from './bayEdits.ts';
import { Bays, DimensionLine, Panels, Standing } from './ElevationMarks.tsx';
import { type DrawingScale, type SizeStretch, samePath, sightFor, stretchesOf } from './elevationPlan.ts';
import { markField, type Overall, overallOn } from './overall.ts';
import { useBox } from './useBox.ts';
import { useChangePiece } from './useChangePiece.ts';

type Props = { readonly piece: Piece; readonly made: MadePiece; readonly scale: Scale; readonly seen: SightName };

/** In rem: a pencilled size is as high as its line and as wide as its words, some air at both ends. */
const LINE = 1.9;
const wideAs = (words: string): number => 0.62 * words.length + 1;

const rem = (): number => Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16;

type ChainProps = {
  readonly kind: 'columns' | 'rows';
  readonly stretches: readonly SizeStretch[];
  readonly sight: DrawingScale;
  readonly right: number;
  readonly piece: Casework;
  readonly scale: Scale;
};

const Chain = ({ kind, stretches, sight, right, piece, scale }: ChainProps) => {
  const edit = useEdit();
  const units = useUnits();
  const chosen = useAppSelector((state) => state.ui.bay);
  const room = (lengthUm: number): number =>
    rem() * (kind === 'rows' ? LINE : wideAs(`≈ ${showLength(toReal(dollUm(lengthUm), scale), units)}`));
  // Sizes that would lie on each other are left away, but never that of the chosen bay.
  const roomy = stretches.filter(
    ({ path, from, to, lengthUm }) => (to - from) * sight.scale >= room(lengthUm) || samePath(path, chosen?.slice(0, path.length) ?? null),
  );
  return roomy.map(({ path, from, to, lengthUm, fixed }) => {
    const middle = (from + to) / 2;
    const at =
      kind === 'columns'
        ? { left: sight.left + middle * sight.scale, top: sight.floor + 26 }
        : { left: right + 8, top: sight.floor - middle * sight.scale };
    const word = kind === 'columns' ? 'width' : 'height';
    return (
      <div
        key={path.join('.')}
        className={kind === 'columns' ? 'absolute -translate-x-1/2 -translate-y-1/2' : 'absolute -translate-y-1/2'}
        style={at}
      >
        <SizeField
          pencil
          world="real"
          label={`${fixed ? 'fixed' : 'shared'} clear ${word} of bay ${path.map((at) => at + 1).join('.')}`}
          lengthUm={toReal(dollUm(lengthUm), scale)}
          min={UM.mm}
          max={10 * UM.m}
          onChange={(clear) => {
            const sized = sizeSlot(piece.front, path, { clear: clear as Measure });
            if (sized) edit(`clear ${word} of a bay of ${piece.name}`, { kind: 'put-cell', id: piece.id, path: [], cell: sized.front });
          }}
        />
      </div>
    );
  });
};

const chainLines = (kind: 'columns' | 'rows', stretches: readonly SizeStretch[], sight: DrawingScale, right: number) =>
  stretches.map(({ path, from, to }) =>
    kind === 'columns' ? (
      <DimensionLine
        key={path.join('.')}
        x1={sight.left + from * sight.scale}
        x2={sight.left + to * sight.scale}
        y1={sight.floor + 9}
        y2={sight.floor + 9}
      />
    ) : (
      <DimensionLine key={path.join('.')} x1={right} x2={right} y1={sight.floor - to * sight.scale} y2={sight.floor - from * sight.scale} />
    ),
  );

/** What of the piece is seen: its box in millimetres, and the stretch that each pencilled outer size measures. */
const extentOf = (piece: Piece, made: MadePiece, seen: SightName) => {
  const { outside, clear } = made.assembly;
  const [x, y, z] = outside.max.map((value) => value / 1000) as [number, number, number];
  const wide = seen === 'side' ? z : x;
  const high = seen === 'top' ? z : y;
  // A bed's sizes are its mattress's; other pieces are measured from edge to edge, wall pieces from the floor.
  const mattress = 'mattressLength' in piece;
  const [x0, z0] = [clear.min[0] / 1000, clear.min[2] / 1000];
  const across = mattress ? (seen === 'side' ? [z - clear.max[2] / 1000, z - z0] : [x0, clear.max[0] / 1000]) : [0, wide];
  const up = mattress ? (seen === 'top' ? [z - clear.max[2] / 1000, z - z0] : [0, clear.min[1] / 1000]) : [0, high];
  return { wide, high, across: across as [number, number], up: up as [number, number] };
};

/** An outer size where it stands on the drawing; typed in the world in which it was decided. */
const OverallSize = ({ overall, piece, scale }: { readonly overall: Overall; readonly piece: Piece; readonly scale: Scale }) => {
  const change = useChangePiece(piece);
  const { field } = overall;
  if (field.kind.kind !== 'size') return null;
  const measure = valueAt(piece, field.path) as Measure;
  const doll = isDollSize(measure);
  const bound = (um: number) => (doll ? Math.round((um * scale.doll) / scale.real) : um);
  const held = hasBays(piece) && piece.hold === 'inside' ? 'clear ' : '';
  const label = field.label.toLowerCase();
  return (
    <SizeField
      pencil
      world={doll ? 'doll' : 'real'}
      label={`${held}${label} on the drawing`}
      lengthUm={doll ? dollOf(measure, scale) : realOf(measure, scale)}
      min={bound(field.kind.min)}
      max={bound(field.kind.max)}
      onChange={(um) => change(label, field.path, doll ? { doll: dollUm(um) } : um)}
    />
  );
};

/** Heights of words beside one another, upwards, no nearer than a line of them. */
const apartFrom = (middles: readonly (number | null)[]): readonly (number | null)[] => {
  const order = middles.flatMap((y, index) => (y === null ? [] : [{ y, index }])).sort((a, b) => b.y - a.y);
  const placedAt = new Map<number, number>();
  let above = Infinity;
  for (const { y, index } of order) {
    above = Math.min(y, above - LINE * rem() * 0.8);
    placedAt.set(index, above);
  }
  return middles.map((_, index) => placedAt.get(index) ?? null);
};

/** Where a mark stands on the drawing, in millimetres: across from the left, up from the floor or the front. */
const placed = ({ sight, way, from, to, at }: SizeMark, { max }: MadePiece['assembly']['outside']) => {
  const mm = (um: number): number => um / 1000;
  const turned = (z: number): number => mm(max[2]) - mm(z);
  const [along, beside] =
    way === 'across'
      ? [sight === 'side' ? turned : mm, sight === 'top' ? turned : mm]
      : [sight === 'top' ? turned : mm, sight === 'side' ? turned : mm];
  const [a, b] = [along(from), along(to)];
  return { from: Math.min(a, b), to: Math.max(a, b), at: beside(at) };
};

const SEEN = { front: 'Front', side: 'Right side', top: 'Top' } as const;

/** An elevation, drawn from the model and edited where it stands: bays are chosen with a touch, sizes changed on the drawing. */
export const Elevation = ({ piece, made, scale, seen }: Props) => {
  const { doll } = useSet();
  const { ref, width, height } = useBox<HTMLDivElement>(380, 430);
  const chosen = useAppSelector((state) => state.ui.bay);
  const { wide, high, across, up } = extentOf(piece, made, seen);
  const { columns, rows } = stretchesOf(piece, made.bays, chosen, seen);
  const figure = seen === 'top' ? 0 : doll.height / 1000;
  const sight = sightFor(wide, high, figure, width, height, columns.length > 0);
  const at = (mm: number) => sight.left + mm * sight.scale;
  const level = (mm: number) => sight.floor - mm * sight.scale;
  const right = at(wide);
  const overall = overallOn(piece, seen);
  const bays = hasBays(piece) && seen === 'front' ? piece : null;
  const marks = made.marks.flatMap((mark) => {
    const field = mark.sight === seen ? markField(piece, mark.path) : undefined;
    return field ? [{ mark, field, ...placed(mark, made.assembly.outside) }] : [];
  });
  const lines = apartFrom(marks.map(({ mark, from, to }) => (mark.way === 'up' ? level((from + to) / 2) : null)));
  const [over, beside] = (['across', 'up'] as const).map((way) => overall.find((each) => each.way === way));
  return (
    <div ref={ref} className="absolute inset-0" data-testid="elevation" data-seen={seen}>
      <svg width={width} height={height} className="absolute inset-0" aria-label={`${SEEN[seen]} of ${piece.name}`} role="group">
        {seen !== 'top' && <line x1={10} x2={width - 6} y1={sight.floor} y2={sight.floor} stroke="var(--tab)" strokeWidth="2" />}
        {figure > 0 && (
          <g transform={`translate(${sight.figureAt} ${sight.floor}) scale(${sight.scale})`} opacity="0.55">
            <Figure heightUm={doll.height} x={0} floor={0} />
          </g>
        )}
        <Panels piece={piece} made={made} sight={sight} seen={seen} />
        {bays && <Standing piece={bays} bays={made.bays} scale={scale} sight={sight} />}
        {bays && <Bays piece={bays} bays={made.bays} sight={sight} scale={scale} />}
        {over && <DimensionLine x1={at(across[0])} x2={at(across[1])} y1={level(high) - 12} y2={level(high) - 12} />}
        {beside && <DimensionLine x1={sight.left - 14} x2={sight.left - 14} y1={level(up[1])} y2={level(up[0])} />}
        {marks.map(({ mark, from, to }) =>
          mark.way === 'up' ? (
            <DimensionLine key={mark.path.join('.')} x1={right + 14} x2={right + 14} y1={level(to)} y2={level(from)} />
          ) : (
            <DimensionLine key={mark.path.join('.')} x1={at(from)} x2={at(to)} y1={level(high) - 12} y2={level(high) - 12} />
          ),
        )}
        {chainLines('columns', columns, sight, right)}
        {chainLines('rows', rows, sight, right + 14)}
      </svg>
      {over && (
        <div
          className="absolute -translate-x-1/2 -translate-y-full"
          style={{ left: at((across[0] + across[1]) / 2), top: level(high) - 8 }}
        >
          <OverallSize overall={over} piece={piece} scale={scale} />
        </div>
      )}
      {beside && (
        <div className="absolute -translate-x-full -translate-y-1/2" style={{ left: sight.left - 18, top: level((up[0] + up[1]) / 2) }}>
          <OverallSize overall={beside} piece={piece} scale={scale} />
        </div>
      )}
      {marks.map(({ mark, field, from, to }, index) =>
        mark.way === 'up' ? (
          <div key={mark.path.join('.')} className="absolute -translate-y-1/2" style={{ left: right + 22, top: lines[index] ?? 0 }}>
            <OverallSize overall={{ field, way: 'up' }} piece={piece} scale={scale} />
          </div>
        ) : (
          <div
            key={mark.path.join('.')}
            className="absolute -translate-x-1/2 -translate-y-full"
            style={{ left: at((from + to) / 2), top: level(high) - 8 }}
          >
            <OverallSize overall={{ field, way: 'across' }} piece={piece} scale={scale} />
          </div>
        ),
      )}
      {bays && <Chain kind="columns" stretches={columns} sight={sight} right={right + 14} piece={bays} scale={scale} />}
      {bays && <Chain kind="rows" stretches={rows} sight={sight} right={right + 14} piece={bays} scale={scale} />}
    </div>
  );
};
