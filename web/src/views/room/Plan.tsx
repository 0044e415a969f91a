import { showLength } from '@parlor/core/measure';
import { footprintOf, lengthOf, type Placement, pointOn, type Standing, snapped } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { useSet, useUnits } from '../../state/index.ts';
import { Drawn, drawnFrom, mm } from '../../ui/index.ts';
import { DollOnPlan } from './DollOnPlan.tsx';
import { movedTo, turnedBy } from './layouts.ts';
import { marksOnPlan } from './planMarks.ts';
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

/** How tall the numbers of things are, as a share of the plan's margin. */
const MARK = 0.42;

const ring = (points: readonly (readonly [number, number])[]): string => `M${points.map(([x, z]) => `${mm(x)} ${mm(z)}`).join('L')}Z`;

/** A thing as it is seen from above, in its own place; drawn once for as long as it stands there. */
const Above = ({ standing, arranged }: { readonly standing: Standing; readonly arranged: Arranged }) => {
  const [cx0, , cz] = arranged.space.corner;
  const drawings = useMemo(() => drawnFrom(standing.body.parts, 'top'), [standing]);
  const front = Math.max(...standing.body.boxes.map(({ max }) => max[2]));
  return (
    <g transform={`translate(${-mm(cx0)} ${mm(front - cz)})`}>
      <Drawn drawings={drawings} />
    </g>
  );
};

/** The room from above: its walls to touch, its things to move, the way that the doll has among them. */
export const FloorPlan = ({ arranged, chosen, side, onChoose, onSide, onHold, onPlace, onTakeOut, dollAt: at, onDoll }: Props) => {
  const [led, setLed] = useState(false);
  const { pieces } = useSet();
  const units = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const [hand, setHand] = useState<{
    readonly placed: Placement;
    readonly dx: number;
    readonly dz: number;
    readonly moved: boolean;
  } | null>(null);
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
    return marksOnPlan(seen, mm(room) * MARK);
  }, [drawn, pieces, space, room]);
  const grid = gridOf(units.unit);

  const pointOf = (event: PointerEvent): readonly [number, number] => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [x * 1000, y * 1000];
  };
  const snap = (each: Standing, x: number, z: number, fine: boolean): Placement => {
    const others = standing.filter((other) => other.placed.piece !== each.placed.piece);
    const [hx, hz] = footprintOf(each.size, each.placed.turn);
    const reach = fine ? 0 : (mm(Math.max(width, depth)) / 40) * 1000;
    const [nx, nz] = snapped([x, z], { half: [hx / 2, hz / 2], others, space }, reach, fine ? 100 : grid);
    return movedTo(each.placed, nx, nz);
  };
  const onKeyDown = (event: KeyboardEvent, each: Standing): void => {
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
      onPointerMove={(event) => {
        if (led) {
          const [x, z] = pointOf(event);
          onDoll([Math.min(width, Math.max(0, x)), Math.min(depth, Math.max(0, z))]);
        }
        if (!hand) return;
        const each = standing.find(({ placed }) => placed.piece === hand.placed.piece);
        if (!each) return;
        const [x, z] = pointOf(event);
        const placed = snap(each, x - hand.dx, z - hand.dz, event.shiftKey);
        setHand({ ...hand, placed, moved: true });
        onHold(placed);
      }}
      onPointerUp={() => {
        if (hand?.moved) onPlace(`${nameOf(hand.placed.piece)} moved`, hand.placed);
        setHand(null);
        setLed(false);
        onHold(null);
      }}
      onPointerCancel={() => {
        setLed(false);
        setHand(null);
        onHold(null);
      }}
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
                  setHand({ placed: each.placed, dx: at - x, dz: into - z, moved: false });
                  svg.current?.setPointerCapture(event.pointerId);
                }}
              />
            </g>
          </g>
        );
      })}
      <g className="font-hand" fill="var(--ink)" fontSize={mm(room) * MARK} textAnchor="middle" pointerEvents="none">
        {marks.map(({ id, mark, x, y, from }) => (
          <g key={id}>
            {from && (
              <path d={`M${from[0]} ${from[1]}L${x} ${y}`} stroke="var(--graphite)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
            )}
            <text x={x} y={y} dominantBaseline="central" stroke="var(--paper)" strokeWidth={mm(room) * 0.1} paintOrder="stroke">
              {mark}
            </text>
          </g>
        ))}
      </g>
      {space.between.map(({ x0, x1, from, to, doors }) => (
        <path
          key={x0}
          d={[from, ...doors.flat(), to]
            .map((at, index, edges) =>
              index % 2 === 0 ? `M${mm(x0)} ${mm(at)}H${mm(x1)}V${mm(edges[index + 1] as number)}H${mm(x0)}Z` : '',
            )
            .join('')}
          fill="var(--ink)"
          pointerEvents="none"
        />
      ))}
      <g className="font-hand" fill="var(--graphite)" fontSize={mm(room) * 0.5} textAnchor="middle">
        <text x={mm(width) / 2} y={mm(depth) + mm(room) * 0.72}>
          {showLength(width, units)}
        </text>
        <text transform={`translate(${-mm(room) * 0.4} ${mm(depth) / 2}) rotate(-90)`}>{showLength(depth, units)}</text>
      </g>
      <DollOnPlan
        arranged={arranged}
        at={at}
        onLed={onDoll}
        onTaken={(pointer) => {
          setLed(true);
          svg.current?.setPointerCapture(pointer);
        }}
      />
      {space.sides.map((wall, index) => {
        const { name, walled, doors } = wall;
        const at = (along: number): readonly [number, number] => {
          const [x, z] = pointOn(wall, along);
          return [mm(x), mm(z)];
        };
        const [a, b] = [at(0), at(lengthOf(wall))];
        return (
          <g key={`${name} ${index}`}>
            <line
              x1={a[0]}
              y1={a[1]}
              x2={b[0]}
              y2={b[1]}
              stroke={side === index ? 'var(--moss)' : 'var(--ink)'}
              strokeWidth={walled ? 7 : 1.5}
              strokeDasharray={walled ? undefined : '3 5'}
              strokeLinecap="square"
              vectorEffect="non-scaling-stroke"
            />
            {doors.map(([p, q]) => (
              <line
                key={p}
                x1={at(p)[0]}
                y1={at(p)[1]}
                x2={at(q)[0]}
                y2={at(q)[1]}
                stroke="var(--paper)"
                strokeWidth="5"
                vectorEffect="non-scaling-stroke"
              />
            ))}
            <line
              x1={a[0]}
              y1={a[1]}
              x2={b[0]}
              y2={b[1]}
              stroke="transparent"
              strokeWidth="26"
              vectorEffect="non-scaling-stroke"
              className="cursor-pointer"
              data-side={index}
              onPointerDown={(event) => {
                event.stopPropagation();
                onSide(index);
              }}
            />
          </g>
        );
      })}
    </svg>
  );
};
