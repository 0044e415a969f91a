import { showLength } from '@parlor/core/measure';
import { asRoom, OPENING_WORDS, type PlanOpening } from '@parlor/core/piece';
import { lengthOf, type RoomSide, snappedTo } from '@parlor/core/room';
import { type Arranged, openingMoved } from '@parlor/core/set';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { useDerivedPiece, useEdit, useScale, useUnits } from '../../state/index.ts';
import { mm } from '../../ui/index.ts';
import { gridOf, UP_THE_WALL } from './where.ts';

type Props = {
  readonly arranged: Arranged;
  readonly side: RoomSide;
  /** Where a pointer is on the wall: along it, and up from the floor. */
  readonly pointOf: (event: PointerEvent) => readonly [number, number];
};

type Held = { readonly opening: PlanOpening; readonly from: readonly [number, number]; readonly by: readonly [number, number] };

/** Windows, doors and arches of a wall, to be moved where they are seen; what is built follows when they are let go. */
export const OpeningsOnWall = ({ arranged: { room, space }, side, pointOf }: Props) => {
  const edit = useEdit();
  const scale = useScale();
  const units = useUnits();
  const [held, setHeld] = useState<Held | null>(null);
  const grid = gridOf(units.unit);
  const formOf = ({ shell, wall, index }: PlanOpening) => asRoom(room, shell).walls[wall]?.openings[index]?.form ?? 'plain';
  const move = (opening: PlanOpening, by: readonly [number, number]): void => {
    if (!scale || (by[0] === 0 && by[1] === 0)) return;
    edit(`${OPENING_WORDS[formOf(opening)]} moved on the ${side.name}`, {
      kind: 'change-piece',
      id: room.id,
      change: openingMoved(room, opening, by, scale),
    });
  };
  /** How far it goes: on the rule, or with its edges in line with the wall's middle and what else is in it. */
  const byHand = (opening: PlanOpening, dx: number, dy: number): readonly [number, number] => {
    const half = (opening.x1 - opening.x0) / 2;
    const tall = (opening.y1 - opening.y0) / 2;
    const others = side.openings.filter((each) => each !== opening);
    const reach = lengthOf(side) / 60;
    const middle = lengthOf(side) / 2;
    const x = snappedTo(
      opening.x0 + half + dx,
      half,
      [middle - half, middle + half, ...others.flatMap(({ x0, x1 }) => [x0, x1])],
      reach,
      grid,
    );
    const y = snappedTo(
      opening.y0 + tall + dy,
      tall,
      others.flatMap(({ y0, y1 }) => [y0, y1]),
      reach,
      grid,
    );
    const up = formOf(opening) === 'door' ? 0 : Math.max(-opening.y0, Math.min(space.height - opening.y1, y - opening.y0 - tall));
    return [Math.round(x - opening.x0 - half), Math.round(up)];
  };
  const onKeyDown = (event: KeyboardEvent, opening: PlanOpening): void => {
    const arrow = UP_THE_WALL[event.key];
    if (!arrow || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    const step = grid * (event.shiftKey ? 10 : 1);
    move(opening, [arrow[0] * step, formOf(opening) === 'door' ? 0 : arrow[1] * step]);
  };
  const left =
    useDerivedPiece(room.id)?.findings.flatMap(({ code, where }) => (code === 'left-out' && where.opening ? [where.opening] : [])) ?? [];
  return side.openings.map((opening) => {
    const { shell, wall, index, x0, x1, y0, y1 } = opening;
    const mine = held && held.opening.shell === shell && held.opening.wall === wall && held.opening.index === index;
    const [dx, dy] = mine ? held.by : [0, 0];
    // What there is no room for is shown where it was meant to be, and can be moved from there.
    const ghost = left.some((each) => each.shell === shell && each.wall === wall && each.index === index);
    return (
      <rect
        key={`${shell} ${wall} ${index}`}
        x={mm(x0 + dx)}
        y={-mm(y1 + dy)}
        width={mm(x1 - x0)}
        height={mm(y1 - y0)}
        fill={mine ? 'var(--moss)' : 'transparent'}
        fillOpacity={mine ? 0.18 : 1}
        stroke={mine ? 'var(--moss)' : ghost ? 'var(--rose)' : 'transparent'}
        strokeWidth="2.5"
        strokeDasharray={ghost && !mine ? '6 5' : undefined}
        data-ghost={ghost || undefined}
        vectorEffect="non-scaling-stroke"
        className="cursor-grab outline-none focus-visible:stroke-[var(--ink)]"
        role="button"
        tabIndex={0}
        data-opening={index}
        aria-label={`${OPENING_WORDS[formOf(opening)]} in the ${side.name}, ${showLength(Math.round(x0), units)} from its left end, ${showLength(Math.round(y0), units)} up; ${ghost ? 'left out: it does not fit; ' : ''}arrows move it`}
        onKeyDown={(event) => onKeyDown(event, opening)}
        onPointerDown={(event) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          setHeld({ opening, from: pointOf(event), by: [0, 0] });
        }}
        onPointerMove={(event) => {
          if (!held) return;
          const [x, y] = pointOf(event);
          setHeld({ ...held, by: byHand(held.opening, x - held.from[0], y - held.from[1]) });
        }}
        onPointerUp={() => {
          if (held) move(held.opening, held.by);
          setHeld(null);
        }}
        onPointerCancel={() => setHeld(null)}
      />
    );
  });
};
