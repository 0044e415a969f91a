import { showLength, UM } from '@parlor/core/measure';
import { elevationOf, lengthOf, type Placement, placeAt, type RoomSide, type SeenThing, seenAt, snappedTo } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { type KeyboardEvent, useMemo } from 'react';
import { useSet, useUnits } from '../../state/index.ts';
import { type DrawingPoint, Drawn, drawnFrom, Figure, mm, opacityOf, useSvgDrag } from '../../ui/index.ts';
import { movedTo } from './layouts.ts';
import { OpeningsOnWall } from './OpeningsOnWall.tsx';
import { JointOnWall, WireOnWall } from './onWall.tsx';
import { gridOf, UP_THE_WALL } from './where.ts';

/** Things further from the wall than this share of the room are only hinted at, and not moved here. */
const FAR = 0.45;

/** What hangs at a wall's windows begins no further from it than this. */
const AT_WALL = 12 * UM.mm;

type Props = {
  readonly arranged: Arranged;
  readonly side: RoomSide;
  readonly chosen: string | null;
  readonly dollAt: readonly [number, number];
  readonly onChoose: (piece: string | null) => void;
  readonly onHold: (placed: Placement | null) => void;
  readonly onPlace: (words: string, placed: Placement) => void;
};

/** The box round what is seen of a thing. */
const extentOf = ({ boxes }: SeenThing): { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number } => ({
  x0: Math.min(...boxes.map(({ min }) => min[0])),
  x1: Math.max(...boxes.map(({ max }) => max[0])),
  y0: Math.min(...boxes.map(({ min }) => min[1])),
  y1: Math.max(...boxes.map(({ max }) => max[1])),
});

/** What is in hand: a thing, where it was taken, and where it has come to. */
type Held = { readonly placed: Placement; readonly from: DrawingPoint; readonly now: Placement };

/** A wall seen from inside, with what stands and hangs before it and the doll: things are moved along it and up it, where its boards meet is shown. */
export const WallElevation = ({ arranged, side, chosen, dollAt, onChoose, onHold, onPlace }: Props) => {
  const { doll, pieces } = useSet();
  const units = useUnits();
  const { space, standing } = arranged;
  const { name } = side;
  const length = lengthOf(side);
  const seen = useMemo(() => elevationOf(space, standing, side), [space, standing, side]);
  // What hangs at the wall's windows is not moved by itself.
  const hung = useMemo(
    () =>
      elevationOf(space, arranged.onThings, side)
        .things.filter(({ away }) => away < AT_WALL)
        .map((thing) => ({ piece: thing.piece, drawings: drawnFrom(thing.parts, 'front') })),
    [space, arranged.onThings, side],
  );
  const drawn = useMemo(
    () => ({
      // Drawings begin at their own left edge from the side only; from the front they stand where they stand.
      wall: drawnFrom(seen.wall, 'front'),
      things: seen.things.map((thing) => ({ thing, drawings: drawnFrom(thing.parts, 'front') })),
    }),
    [seen],
  );
  const seams = arranged.seams.filter((seam) => space.sides[seam.side] === side);
  const deep = Math.max(...space.ring.flat());
  const [width, height] = [length / 1000, Math.max(space.height, doll.height) / 1000];
  const margin = width * 0.06 + 8;
  const grid = gridOf(units.unit);
  const nameOf = (id: string): string => pieces.find((piece) => piece.id === id)?.name ?? '';
  const placedOf = (id: string): Placement | undefined => standing.find(({ placed }) => placed.piece === id)?.placed;
  const near = (thing: SeenThing): boolean => thing.away <= deep * FAR;
  /** A thing moved along its wall and up, against the wall's ends, other things and the rule. */
  const movedBy = (placed: Placement, dx: number, dy: number, fine: boolean): Placement => {
    const thing = seen.things.find(({ piece }) => piece === placed.piece);
    if (!thing) return placed;
    const [along, away] = seenAt(side, [placed.x, placed.z]);
    const others = seen.things.filter((each) => each.piece !== placed.piece && near(each)).map(extentOf);
    const mine = extentOf(thing);
    const reach = fine ? 0 : length / 40;
    const step = fine ? 100 : grid;
    const half = (mine.x1 - mine.x0) / 2;
    const x = snappedTo(along + dx, half, [0, length, ...others.flatMap(({ x0, x1 }) => [x0, x1])], reach, step);
    const tall = (mine.y1 - mine.y0) / 2;
    const up = snappedTo(placed.up + dy + tall, tall, [0, space.height, ...others.flatMap(({ y0, y1 }) => [y0, y1])], reach, step) - tall;
    const [nx, nz] = placeAt(side, x, away);
    return { ...movedTo(placed, nx, nz), up: Math.max(0, Math.round(up)) as Placement['up'] };
  };
  const { svg, pointOf, take, handlers } = useSvgDrag<Held>({
    y: 'up',
    moved: ({ placed, from }, [x, y], event) => {
      const now = movedBy(placed, x - from[0], y - from[1], event.shiftKey);
      onHold(now);
      return { placed, from, now };
    },
    dropped: ({ placed, now }) => {
      if (now !== placed) onPlace(`${nameOf(placed.piece)} moved`, now);
    },
    letGo: () => onHold(null),
  });
  const onKeyDown = (event: KeyboardEvent, placed: Placement): void => {
    const arrow = UP_THE_WALL[event.key];
    if (!arrow || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    const step = grid * (event.shiftKey ? 10 : 1);
    const [along, away] = seenAt(side, [placed.x, placed.z]);
    const [x, z] = placeAt(side, along + arrow[0] * step, away);
    const up = Math.max(0, placed.up + arrow[1] * step) as Placement['up'];
    onPlace(`${nameOf(placed.piece)} moved`, { ...movedTo(placed, x, z), up });
  };
  return (
    <svg
      ref={svg}
      viewBox={`${-margin} ${-height - margin} ${width + 2 * margin} ${height + 1.6 * margin}`}
      className="w-full h-full touch-none select-none"
      role="group"
      aria-label={`The ${name} seen from inside, ${showLength(length, units)} wide and ${showLength(space.height, units)} high, the doll before it`}
      data-testid="elevation"
      {...handlers}
    >
      <Drawn drawings={drawn.wall} line="var(--line)" opacityOf={opacityOf} />
      {hung.map(({ piece, drawings }) => (
        <g key={piece} pointerEvents="none" opacity="0.75">
          <title>{nameOf(piece)}</title>
          <Drawn drawings={drawings} />
        </g>
      ))}
      {seams.map((seam) => (
        <JointOnWall key={`${seam.stands} ${seam.at} ${seam.from}`} joint={seam} />
      ))}
      {side.wire && <WireOnWall wire={side.wire} />}
      <OpeningsOnWall arranged={arranged} side={side} pointOf={pointOf} />
      {drawn.things.map(({ thing, drawings }) => (
        <g key={thing.piece} opacity={near(thing) ? 1 : 0.25} pointerEvents="none">
          <Drawn drawings={drawings} />
        </g>
      ))}
      <line x1={-margin} x2={width + margin} y1="0" y2="0" stroke="var(--ink)" strokeWidth="1.5" vectorEffect="non-scaling-stroke" />
      <g opacity="0.86" pointerEvents="none">
        <Figure heightUm={doll.height} x={Math.min(width, Math.max(0, mm(seenAt(side, dollAt)[0])))} floor={0} />
      </g>
      {seen.things.filter(near).map((thing) => {
        const placed = placedOf(thing.piece);
        if (!placed) return null;
        const { x0, x1, y0, y1 } = extentOf(thing);
        return (
          <rect
            key={thing.piece}
            x={mm(x0)}
            y={-mm(y1)}
            width={mm(x1 - x0)}
            height={mm(y1 - y0)}
            fill="transparent"
            stroke={chosen === thing.piece ? 'var(--moss)' : 'transparent'}
            strokeWidth="2.5"
            vectorEffect="non-scaling-stroke"
            className="cursor-grab outline-none focus-visible:stroke-[var(--ink)]"
            role="button"
            tabIndex={0}
            data-hung={thing.piece}
            aria-pressed={chosen === thing.piece}
            aria-label={`${nameOf(thing.piece)} before the ${name}, ${showLength(Math.round(x0), units)} from its left end, ${showLength(placed.up, units)} up; arrows move it along the wall and up`}
            onFocus={() => onChoose(thing.piece)}
            onKeyDown={(event) => onKeyDown(event, placed)}
            onPointerDown={(event) => {
              onChoose(thing.piece);
              take(event.pointerId, { placed, from: pointOf(event), now: placed });
            }}
          />
        );
      })}
    </svg>
  );
};
