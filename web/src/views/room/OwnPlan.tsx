import { realOf, type Scale, showLength, UM } from '@parlor/core/measure';
import { MOST_CORNERS, type Room } from '@parlor/core/piece';
import { Minus, PenLine, Plus } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { useEdit, useUnits } from '../../state/index.ts';
import { Button, type DrawingPoint, mm, SizeField, useSvgDrag } from '../../ui/index.ts';
import { asOwnPlan, wallBroken, wallGone, wallLong, wallOut, wallTo } from './shells.ts';

type Props = { readonly room: Room; readonly scale: Scale; readonly side: number; readonly onSide: (side: number) => void };

const LEAST = 100 * UM.mm;

/** Keys that move the wall in hand out of the room or into it, and that take the next one in hand. */
const OUT: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 };
const NEXT: Readonly<Record<string, number>> = { '.': 1, ',': -1 };

/** A wall in hand: where it was taken, and how far out of the room it has come. */
type Held = { readonly wall: number; readonly from: DrawingPoint; readonly by: number };

/** The outline of a room's plan: walls are taken in hand and moved out or in, made as long as is typed, broken in two, taken away. */
const Outline = ({ room, side, onSide, put }: Omit<Props, 'scale'> & { readonly put: (words: string, change: Partial<Room>) => void }) => {
  const units = useUnits();
  const count = room.points.length;
  const wall = Math.min(side, count - 1);
  const [xs, zs] = [room.points.map(([x]) => x), room.points.map(([, z]) => z)];
  const [x0, x1, z0, z1] = [Math.min(...xs), Math.max(...xs), Math.min(...zs), Math.max(...zs)];
  const longer = Math.max(x1 - x0, z1 - z0);
  const border = longer * 0.12;
  const real = room.pointsAre === 'real';
  const grid = real ? (units.unit === 'in' ? UM.in : 10 * UM.mm) : units.unit === 'in' ? UM.in / 16 : UM.mm;
  /** How far out of the room the pointer is from where it took the wall. */
  const outBy = (index: number, from: readonly [number, number], to: readonly [number, number]): number => {
    const [a, b] = [room.points[index] as readonly [number, number], room.points[(index + 1) % count] as readonly [number, number]];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const out = ((to[0] - from[0]) * (b[1] - a[1]) - (to[1] - from[1]) * (b[0] - a[0])) / long;
    return Math.round(out / grid) * grid;
  };
  const moved = (index: number, by: number): void => {
    if (by !== 0) put(`wall ${index + 1} moved`, { points: wallOut(room.points, index, by) });
  };
  const { svg, held, pointOf, take, handlers } = useSvgDrag<Held>({
    y: 'down',
    moved: (hand, at) => ({ ...hand, by: outBy(hand.wall, hand.from, at) }),
    dropped: (hand) => moved(hand.wall, hand.by),
  });
  const points = held ? wallOut(room.points, held.wall, held.by) : room.points;
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const step = grid * (event.shiftKey ? 10 : 1);
    const out = OUT[event.key];
    const next = NEXT[event.key];
    if (out === undefined && next === undefined) return;
    event.preventDefault();
    if (out !== undefined) moved(wall, out * step);
    if (next !== undefined) onSide((wall + next + count) % count);
  };
  return (
    <section aria-label="Its plan" className="mt-2 space-y-2">
      <svg
        ref={svg}
        viewBox={`${mm(x0 - border)} ${mm(z0 - border)} ${mm(x1 - x0 + 2 * border)} ${mm(z1 - z0 + 2 * border)}`}
        className="w-full h-52 border border-tab rounded-soft touch-none"
        role="application"
        aria-label={`Outline of ${room.name}: full stop and comma go from wall to wall, arrows move it out and in`}
        tabIndex={0}
        data-testid="own-plan"
        onKeyDown={onKeyDown}
        {...handlers}
      >
        <path d={`M${points.map(([x, z]) => `${mm(x)} ${mm(z)}`).join('L')}Z`} fill="var(--leaf)" stroke="none" />
        {points.map(([ax, az], index) => {
          const [bx, bz] = points[(index + 1) % count] as readonly [number, number];
          const open = room.walls[index]?.kind === 'open';
          const middle = [(ax + bx) / 2, (az + bz) / 2] as const;
          const long = Math.hypot(bx - ax, bz - az) || 1;
          const [ox, oz] = [((bz - az) / long) * longer * 0.06, (-(bx - ax) / long) * longer * 0.06];
          return (
            <g key={index}>
              <line
                x1={mm(ax)}
                y1={mm(az)}
                x2={mm(bx)}
                y2={mm(bz)}
                stroke={wall === index ? 'var(--moss)' : 'var(--ink)'}
                strokeWidth={open ? 2 : 6}
                strokeDasharray={open ? '4 6' : undefined}
                strokeLinecap="square"
                vectorEffect="non-scaling-stroke"
              />
              <text
                x={mm(middle[0] + ox * 0.7)}
                y={mm(middle[1] + oz)}
                fontSize={mm(longer) * 0.06}
                textAnchor={Math.abs(ox) < Math.abs(oz) ? 'middle' : ox > 0 ? 'start' : 'end'}
                dominantBaseline="central"
                className="font-hand"
                fill="var(--graphite)"
              >
                {showLength(wallLong(points, index), units)}
              </text>
              <line
                x1={mm(ax)}
                y1={mm(az)}
                x2={mm(bx)}
                y2={mm(bz)}
                stroke="transparent"
                strokeWidth="26"
                vectorEffect="non-scaling-stroke"
                className="cursor-move"
                data-wall={index}
                onPointerDown={(event) => {
                  onSide(index);
                  take(event.pointerId, { wall: index, from: pointOf(event), by: 0 });
                }}
              />
            </g>
          );
        })}
      </svg>
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-40">
          <SizeField
            label={`Wall ${wall + 1}, long`}
            world={real ? 'real' : 'doll'}
            lengthUm={Math.round(wallLong(room.points, wall))}
            min={LEAST}
            max={20 * UM.m}
            onChange={(length) => put(`how long wall ${wall + 1} is`, { points: wallTo(room.points, wall, length) })}
          />
        </div>
        <Button look="quiet" disabled={count >= MOST_CORNERS} onClick={() => put(`wall ${wall + 1} broken in two`, wallBroken(room, wall))}>
          <Plus size={15} /> break it in two
        </Button>
        <Button look="quiet" disabled={count <= 3} onClick={() => put(`wall ${wall + 1} taken away`, wallGone(room, wall))}>
          <Minus size={15} /> take its corner away
        </Button>
      </div>
    </section>
  );
};

/** A room's own plan, or the way to one. */
export const OwnPlan = ({ room, scale, side, onSide }: Props) => {
  const edit = useEdit();
  const put = (words: string, change: Partial<Room>): void =>
    edit(`${words} of ${room.name}`, { kind: 'change-piece', id: room.id, change });
  if (room.plan === 'own') return <Outline room={room} side={side} onSide={onSide} put={put} />;
  if (room.shells.length > 0) return null;
  return (
    <Button
      look="quiet"
      onClick={() =>
        put(
          'a plan of its own',
          asOwnPlan(room, (measure) => realOf(measure, scale)),
        )
      }
    >
      <PenLine size={15} /> move its walls one by one
    </Button>
  );
};
