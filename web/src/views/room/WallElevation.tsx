import { showLength, UM } from '@parlor/core/measure';
import { elevationOf, lengthOf, type Placement, placeAt, type RoomSide, type SeenThing, seenAt, snappedTo } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { useSet, useUnits } from '../../state/index.ts';
import { Drawn, drawnFrom, Figure, mm, opacityOf } from '../../ui/index.ts';
import { movedTo } from './layouts.ts';
import { OpeningsOnWall } from './OpeningsOnWall.tsx';
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

/** A wall seen from inside, with what stands and hangs before it and the doll: things are moved along it and up it, where its boards meet is shown. */
export const WallElevation = ({ arranged, side, chosen, dollAt, onChoose, onHold, onPlace }: Props) => {
  const { doll, pieces } = useSet();
  const units = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const [hand, setHand] = useState<{
    readonly placed: Placement;
    readonly from: readonly [number, number];
    readonly now: Placement;
  } | null>(null);
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
  const pointOf = (event: PointerEvent): readonly [number, number] => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [x * 1000, -y * 1000];
  };
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
  const letGo = (): void => {
    setHand(null);
    onHold(null);
  };
  return (
    <svg
      ref={svg}
      viewBox={`${-margin} ${-height - margin} ${width + 2 * margin} ${height + 1.6 * margin}`}
      className="w-full h-full touch-none select-none"
      role="group"
      aria-label={`The ${name} seen from inside, ${showLength(length, units)} wide and ${showLength(space.height, units)} high, the doll before it`}
      data-testid="elevation"
      onPointerMove={(event) => {
        if (!hand) return;
        const [x, y] = pointOf(event);
        const now = movedBy(hand.placed, x - hand.from[0], y - hand.from[1], event.shiftKey);
        setHand({ ...hand, now });
        onHold(now);
      }}
      onPointerUp={() => {
        if (hand && hand.now !== hand.placed) onPlace(`${nameOf(hand.placed.piece)} moved`, hand.now);
        letGo();
      }}
      onPointerCancel={letGo}
    >
      <Drawn drawings={drawn.wall} line="var(--line)" opacityOf={opacityOf} />
      {hung.map(({ piece, drawings }) => (
        <g key={piece} pointerEvents="none" opacity="0.75">
          <title>{nameOf(piece)}</title>
          <Drawn drawings={drawings} />
        </g>
      ))}
      {seams.map((seam) => {
        const place = ([from, to]: readonly [number, number]) =>
          seam.stands
            ? { x1: mm(seam.at), x2: mm(seam.at), y1: -mm(from), y2: -mm(to) }
            : { x1: mm(from), x2: mm(to), y1: -mm(seam.at), y2: -mm(seam.at) };
        return (
          <g key={`${seam.stands} ${seam.at} ${seam.from}`} data-seam={seam.seen > 0 ? 'seen' : 'hidden'} pointerEvents="none">
            <line
              {...place([seam.from, seam.to])}
              stroke="var(--graphite)"
              strokeWidth="1"
              strokeDasharray="2 4"
              vectorEffect="non-scaling-stroke"
            />
            {seam.open.map((stretch) => (
              <line
                key={stretch[0]}
                {...place(stretch)}
                stroke="var(--rose)"
                strokeWidth="2.5"
                strokeDasharray="7 4"
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </g>
        );
      })}
      {side.wire && (
        <g pointerEvents="none" data-testid="wire">
          <path
            d={`M${side.wire.path.map(([x, y]) => `${mm(x)} ${-mm(y)}`).join('L')}`}
            fill="none"
            stroke="var(--moss)"
            strokeWidth="2"
            strokeDasharray="1 4"
            strokeLinecap="round"
            vectorEffect="non-scaling-stroke"
          />
          {side.wire.box && (
            <rect
              x={mm(side.wire.box.x0)}
              y={-mm(side.wire.box.y1)}
              width={mm(side.wire.box.x1 - side.wire.box.x0)}
              height={mm(side.wire.box.y1 - side.wire.box.y0)}
              fill="none"
              stroke="var(--moss)"
              strokeWidth="1.5"
              strokeDasharray="4 3"
              vectorEffect="non-scaling-stroke"
            />
          )}
        </g>
      )}
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
              setHand({ placed, from: pointOf(event), now: placed });
              svg.current?.setPointerCapture(event.pointerId);
            }}
          />
        );
      })}
    </svg>
  );
};
