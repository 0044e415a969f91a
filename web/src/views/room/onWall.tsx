import type { RoomSide, WallJoint } from '@parlor/core/room';
import { mm } from '../../ui/index.ts';

/** Where boards of a wall meet, and what of that is seen. */
export const JointOnWall = ({ joint: seam }: { readonly joint: WallJoint }) => {
  const place = ([from, to]: readonly [number, number]) =>
    seam.stands
      ? { x1: mm(seam.at), x2: mm(seam.at), y1: -mm(from), y2: -mm(to) }
      : { x1: mm(from), x2: mm(to), y1: -mm(seam.at), y2: -mm(seam.at) };
  return (
    <g data-seam={seam.seen > 0 ? 'seen' : 'hidden'} pointerEvents="none">
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
};

/** A wire of the wall, and the box that its battery is in. */
export const WireOnWall = ({ wire }: { readonly wire: NonNullable<RoomSide['wire']> }) => (
  <g pointerEvents="none" data-testid="wire">
    <path
      d={`M${wire.path.map(([x, y]) => `${mm(x)} ${-mm(y)}`).join('L')}`}
      fill="none"
      stroke="var(--moss)"
      strokeWidth="2"
      strokeDasharray="1 4"
      strokeLinecap="round"
      vectorEffect="non-scaling-stroke"
    />
    {wire.box && (
      <rect
        x={mm(wire.box.x0)}
        y={-mm(wire.box.y1)}
        width={mm(wire.box.x1 - wire.box.x0)}
        height={mm(wire.box.y1 - wire.box.y0)}
        fill="none"
        stroke="var(--moss)"
        strokeWidth="1.5"
        strokeDasharray="4 3"
        vectorEffect="non-scaling-stroke"
      />
    )}
  </g>
);
