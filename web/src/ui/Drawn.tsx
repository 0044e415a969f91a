import { fillOf, type ShownDrawing } from './drawings.ts';

type Props = {
  readonly drawings: readonly ShownDrawing[];
  readonly line?: string;
  /** How much of a part hides what is behind it; clear sheets hide little when left out. */
  readonly opacityOf?: (drawing: ShownDrawing) => number;
};

const clearOnly = ({ clear }: ShownDrawing): number => (clear ? 0.35 : 1);

/** Parts as they are drawn, nearest last. */
export const Drawn = ({ drawings, line = 'var(--ink)', opacityOf = clearOnly }: Props) =>
  drawings.map((drawing) => (
    <path
      key={drawing.index}
      d={drawing.path}
      fillRule="evenodd"
      fill={fillOf(drawing)}
      fillOpacity={opacityOf(drawing)}
      stroke={line}
      strokeWidth="1"
      vectorEffect="non-scaling-stroke"
    />
  ));
