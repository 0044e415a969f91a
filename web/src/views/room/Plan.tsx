import { showLength } from '@parlor/core/measure';
import { footprintOf, type Placement, type StandingThing, snapped } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { type KeyboardEvent, useMemo } from 'react';
import { useSet, useUnits } from '../../state/index.ts';
import { mm, useSvgDrag } from '../../ui/index.ts';
import { DollOnPlan } from './DollOnPlan.tsx';
import { movedTo, turnedBy } from './layouts.ts';
import { Above, MARK, NumbersOnPlan, PlanSizes, SideOnPlan, WallsBetween } from './onPlan.tsx';
import { marksOnPlan, wallLines } from './planMarks.ts';
import { ARROWS, gridOf } from './where.ts';

type Props = {
  readonly arranged: Arranged;
  readonly chosen: string | null;
  readonly side: number;
  readonly onChoose: (piece: string | null) => void;
  readonly onSide: (side: number) => void;
  readonly onHold: (placed: Placement | null) => void;
  readonly onPlace: (words: string, placed: Placement) => void;
  readonly onTakeOut: (piece: string) => void;
  /** Where the doll stands, and where she is put. */
  readonly dollAt: readonly [number, number];
  readonly onDoll: (at: readonly [number, number]) => void;
};

/** The doll's way: squares that she comes to, as one path. */
const wayPath = ({ way }: Arranged): string => {
  const side = mm(way.cell);
  let path = '';
  for (let row = 0; row < way.rows; row += 1) {
    for (let column = 0; column < way.columns; column += 1) {
      if (!way.reached[row * way.columns + column]) continue;
      const from = column;
      while (column + 1 < way.columns && way.reached[row * way.columns + column + 1]) column += 1;
      path += `M${from * side} ${row * side}H${(column + 1) * side}V${(row + 1) * side}H${from * side}Z`;
    }
  }
  return path;
};

/** Half the width of a wall's line, as a share of how tall a number is. */
const LINE = 0.28;

const ring = (points: readonly (readonly [number, number])[]): string => `M${points.map(([x, z]) => `${mm(x)} ${mm(z)}`).join('L')}Z`;

/** What is in hand: a thing, taken so far from its middle, or the doll. */
type Held = { readonly placed: Placement; readonly dx: number; readonly dz: number; readonly moved: boolean } | 'doll';

/** The room from above: its walls to touch, its things to move, the way that the doll has among them. */
export const FloorPlan = ({ arranged, chosen, side, onChoose, onSide, onHold, onPlace, onTakeOut, dollAt: at, onDoll }: Props) => {
  const { pieces } = useSet();
  const units = useUnits();
  const { space, standing, judged } = arranged;
  const [width, depth] = [Math.max(...space.ring.map(([x]) => x)), Math.max(...space.ring.map(([, z]) => z))];
  const room = Math.max(width, depth) * 0.1;
  const bad = new Set([...judged.clashes.flat(), ...judged.outside]);
  const path = useMemo(() => wayPath(arranged), [arranged]);
  const nameOf = (id: string): string => pieces.find((piece) => piece.id === id)?.name ?? '';
  // What lies higher is drawn later, and touched first.
  const drawn = useMemo(() => [...standing].sort((a, b) => a.body.whole.max[1] - b.body.whole.max[1]), [standing]);
  const marks = useMemo(() => {
    const [cx, , cz] = space.corner;
    const seen = drawn.map(({ placed, body: { whole } }) => ({
      id: placed.piece,
      mark: `${pieces.find(({ id }) => id === placed.piece)?.mark ?? ''}`,
      ...{ x0: mm(whole.min[0] - cx), x1: mm(whole.max[0] - cx), y0: mm(whole.min[2] - cz), y1: mm(whole.max[2] - cz) },
    }));
    const tall = mm(room) * MARK;
    const at = ([x, z]: readonly [number, number]) => [mm(x), mm(z)] as const;
    const walls = space.sides.flatMap(({ walled, from, to }) => (walled ? [[at(from), at(to)] as const] : []));
    return marksOnPlan(seen, tall, wallLines(walls, tall * LINE));
  }, [drawn, pieces, space, room]);
  const grid = gridOf(units.unit);

  const snap = (each: StandingThing, x: number, z: number, fine: boolean): Placement => {
    const others = standing.filter((other) => other.placed.piece !== each.placed.piece);
    const [hx, hz] = footprintOf(each.size, each.placed.turn);
    const reach = fine ? 0 : (mm(Math.max(width, depth)) / 40) * 1000;
    const [nx, nz] = snapped([x, z], { half: [hx / 2, hz / 2], others, space }, reach, fine ? 100 : grid);
    return movedTo(each.placed, nx, nz);
  };
  const { svg, pointOf, take, handlers } = useSvgDrag<Held>({
    y: 'down',
    moved: (held, [x, z], event) => {
      if (held === 'doll') {
        onDoll([Math.min(width, Math.max(0, x)), Math.min(depth, Math.max(0, z))]);
        return held;
      }
      const each = standing.find(({ placed }) => placed.piece === held.placed.piece);
      if (!each) return held;
      const placed = snap(each, x - held.dx, z - held.dz, event.shiftKey);
      onHold(placed);
      return { ...held, placed, moved: true };
    },
    dropped: (held) => {
      if (held !== 'doll' && held.moved) onPlace(`${nameOf(held.placed.piece)} moved`, held.placed);
    },
    letGo: () => onHold(null),
  });
  const onKeyDown = (event: KeyboardEvent, each: StandingThing): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const name = nameOf(each.placed.piece);
    const arrow = ARROWS[event.key];
    const done = (words: string, placed: Placement): void => {
      event.preventDefault();
      onPlace(words, placed);
    };
    if (arrow) {
      const step = grid * (event.shiftKey ? 10 : 1);
      done(`${name} moved`, movedTo(each.placed, each.placed.x + arrow[0] * step, each.placed.z + arrow[1] * step));
    } else if (event.key === ',' || event.key === '.') done(`${name} turned`, turnedBy(each.placed, event.key === ',' ? 15 : -15));
    else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      onTakeOut(each.placed.piece);
    }
  };
  const [px, py] = [mm(room), mm(room)];
  return (
    <svg
      ref={svg}
      viewBox={`${-px} ${-py} ${mm(width) + 2 * px} ${mm(depth) + 2 * py}`}
      className="w-full h-full touch-none select-none"
      role="group"
      aria-label="Plan of the room, seen from above"
      data-testid="plan"
      onPointerDown={(event) => {
        if (event.target === event.currentTarget) onChoose(null);
      }}
      {...handlers}
    >
      <path d={ring(space.ring)} fill="var(--paper)" onPointerDown={() => onChoose(null)} />
      <path d={path} fill="var(--sprig)" fillOpacity="0.55" pointerEvents="none" />
      {drawn.map((each) => {
        const { piece, x, z, turn, up } = each.placed;
        const [w, d] = [mm(each.size[0]), mm(each.size[2])];
        const name = nameOf(piece);
        return (
          <g key={piece} data-placed={piece} className="outline-none group">
            <Above standing={each} arranged={arranged} />
            <g transform={`translate(${mm(x)} ${mm(z)}) rotate(${-turn})`}>
              <rect
                x={-w / 2}
                y={-d / 2}
                width={w}
                height={d}
                fill={bad.has(piece) ? 'var(--blush)' : 'transparent'}
                fillOpacity={bad.has(piece) ? 0.55 : 1}
                stroke={chosen === piece ? 'var(--moss)' : bad.has(piece) ? 'var(--rose)' : 'transparent'}
                strokeWidth={chosen === piece || bad.has(piece) ? 3 : 1}
                strokeDasharray={up > 0 ? '6 4' : undefined}
                vectorEffect="non-scaling-stroke"
                className="cursor-grab focus-visible:stroke-[var(--ink)] outline-none"
                role="button"
                tabIndex={0}
                aria-pressed={chosen === piece}
                aria-label={`${name}, ${showLength(x, units)} from the left, ${showLength(z, units)} from the back${up > 0 ? `, ${showLength(up, units)} up` : ''}; arrows move it, comma and full stop turn it, Delete takes it out`}
                onFocus={() => onChoose(piece)}
                onKeyDown={(event) => onKeyDown(event, each)}
                onPointerDown={(event) => {
                  onChoose(piece);
                  const [at, into] = pointOf(event);
                  take(event.pointerId, { placed: each.placed, dx: at - x, dz: into - z, moved: false });
                }}
              />
            </g>
          </g>
        );
      })}
      <NumbersOnPlan marks={marks} margin={mm(room)} />
      <WallsBetween between={space.between} />
      <PlanSizes width={width} depth={depth} margin={mm(room)} />
      <DollOnPlan arranged={arranged} at={at} onLed={onDoll} onTaken={(pointer) => take(pointer, 'doll')} />
      {space.sides.map((wall, index) => (
        <SideOnPlan key={`${wall.name} ${index}`} wall={wall} index={index} chosen={side === index} onSide={onSide} />
      ))}
    </svg>
  );
};
