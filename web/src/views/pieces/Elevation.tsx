import { dollUm, type Scale, toDoll, toReal, UM } from '@parlor/core/measure';
import type { MadePiece, Piece } from '@parlor/core/set';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';
import { Figure, SizeField } from '../../ui/index.ts';
import { sizeSlot } from './bayEdits.ts';
import { Bays, DimensionLine, Panels, Standing } from './ElevationMarks.tsx';
import { type Sight, type Stretch, samePath, sightFor, stretchesOf } from './elevationPlan.ts';
import { useBox } from './useBox.ts';

type Props = { readonly piece: Piece; readonly made: MadePiece; readonly scale: Scale };

/** In rem: a pencilled size is as wide as its words and as high as its line. */
const LEAST_ROOM = { columns: 4.7, rows: 1.9 } as const;

const rem = (): number => Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16;

const Chain = ({
  kind,
  stretches,
  sight,
  piece,
  scale,
}: {
  readonly kind: 'columns' | 'rows';
  readonly stretches: readonly Stretch[];
  readonly sight: Sight;
  readonly piece: Piece;
  readonly scale: Scale;
}) => {
  const edit = useEdit();
  const chosen = useAppSelector((state) => state.desk.bay);
  const right =
    sight.left +
    (piece.hold === 'outside'
      ? toDoll(piece.width, scale) / 1000
      : Math.max(...stretches.map(({ to }) => to), toDoll(piece.width, scale) / 1000 + 8)) *
      sight.scale +
    14;
  // Sizes that would lie on each other are left away, but never that of the chosen bay.
  const roomy = stretches.filter(
    ({ path, from, to }) => (to - from) * sight.scale >= LEAST_ROOM[kind] * rem() || samePath(path, chosen?.slice(0, path.length) ?? null),
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
          label={`${fixed ? 'fixed' : 'shared'} clear ${word} of bay ${path.join('.')}`}
          lengthUm={toReal(dollUm(lengthUm), scale)}
          min={UM.mm}
          max={10 * UM.m}
          onChange={(clear) => {
            const sized = sizeSlot(piece.front, path, { clear: clear as Piece['width'] });
            if (sized) edit(`clear ${word} of a bay of ${piece.name}`, { kind: 'put-cell', id: piece.id, path: [], cell: sized.front });
          }}
        />
      </div>
    );
  });
};

const chainLines = (kind: 'columns' | 'rows', stretches: readonly Stretch[], sight: Sight, right: number) =>
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

/** The front elevation, drawn from the model and edited where it stands: bays are chosen with a touch, sizes changed on the drawing. */
export const Elevation = ({ piece, made, scale }: Props) => {
  const { doll } = useSet();
  const edit = useEdit();
  const { ref, width, height } = useBox<HTMLDivElement>(380, 430);
  const chosen = useAppSelector((state) => state.desk.bay);
  const [w, h] = [made.assembly.outside.max[0] / 1000, made.assembly.outside.max[1] / 1000];
  const { columns, rows } = stretchesOf(piece.front, made.bays, chosen);
  const sight = sightFor(w, h, doll.height / 1000, width, height, columns.length > 0);
  const [right, top] = [sight.left + w * sight.scale, sight.floor - h * sight.scale];
  const held = piece.hold === 'outside' ? '' : 'clear ';
  const change = (words: string, part: Partial<Piece>) =>
    edit(`${words} of ${piece.name}`, { kind: 'change-piece', id: piece.id, change: part });
  return (
    <div ref={ref} className="absolute inset-0" data-testid="elevation">
      <svg width={width} height={height} className="absolute inset-0" aria-label={`Front of ${piece.name}`} role="group">
        <line x1={10} x2={width - 6} y1={sight.floor} y2={sight.floor} stroke="var(--tab)" strokeWidth="2" />
        <g transform={`translate(${sight.figureAt} ${sight.floor}) scale(${sight.scale})`} opacity="0.55">
          <Figure heightUm={doll.height} x={0} floor={0} />
        </g>
        <Panels piece={piece} made={made} sight={sight} />
        <Standing piece={piece} bays={made.bays} scale={scale} sight={sight} />
        <Bays piece={piece} bays={made.bays} sight={sight} scale={scale} />
        <DimensionLine x1={sight.left} x2={right} y1={top - 12} y2={top - 12} />
        <DimensionLine x1={sight.left - 14} x2={sight.left - 14} y1={top} y2={sight.floor} />
        {chainLines('columns', columns, sight, right)}
        {chainLines('rows', rows, sight, right + 14)}
      </svg>
      <div className="absolute -translate-x-1/2 -translate-y-full" style={{ left: sight.left + (w * sight.scale) / 2, top: top - 8 }}>
        <SizeField
          pencil
          world="real"
          label={`${held}width on the drawing`}
          lengthUm={piece.width}
          min={10 * UM.mm}
          max={10 * UM.m}
          onChange={(value) => change('width', { width: value as Piece['width'] })}
        />
      </div>
      <div className="absolute -translate-x-full -translate-y-1/2" style={{ left: sight.left - 18, top: (top + sight.floor) / 2 }}>
        <SizeField
          pencil
          world="real"
          label={`${held}height on the drawing`}
          lengthUm={piece.height}
          min={10 * UM.mm}
          max={10 * UM.m}
          onChange={(value) => change('height', { height: value as Piece['height'] })}
        />
      </div>
      <Chain kind="columns" stretches={columns} sight={sight} piece={piece} scale={scale} />
      <Chain kind="rows" stretches={rows} sight={sight} piece={piece} scale={scale} />
    </div>
  );
};
