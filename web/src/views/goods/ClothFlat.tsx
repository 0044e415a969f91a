import { type ClothSheet, drawCloth } from '@parlor/core/print';
import { useMemo } from 'react';
import { cx, Marks } from '../../ui/index.ts';

const GAP = 5_000;

/** Drawings in rows, about half as high as wide: where the lower left corner of each lies, y counted down. */
const inRows = (sizes: readonly { readonly width: number; readonly height: number }[]) => {
  const area = sizes.reduce((sum, { width, height }) => sum + (width + GAP) * (height + GAP), 0);
  const wide = Math.max(...sizes.map(({ width }) => width), Math.sqrt(area * 2.1));
  let [x, y, row, most] = [0, 0, 0, 0];
  const at = sizes.map(({ width, height }) => {
    if (x > 0 && x + width > wide) [x, y, row] = [0, y + row + GAP, 0];
    const place = { x, y };
    x += width + GAP;
    row = Math.max(row, height);
    most = Math.max(most, x - GAP);
    return place;
  });
  return { at, width: most, height: y + row };
};

/** A pattern as it is printed: each piece flat, with its lines, notches and words. */
export const ClothFlat = ({
  sheets,
  chosen,
  onChoose,
  label,
}: {
  readonly sheets: readonly ClothSheet[];
  readonly chosen: string | null;
  readonly onChoose: (tag: string) => void;
  readonly label: string;
}) => {
  const drawings = useMemo(() => sheets.map((sheet) => drawCloth(sheet)), [sheets]);
  const { at, width, height } = useMemo(() => inRows(drawings), [drawings]);
  const room = Math.max(width, height) * 0.015 + 1_000;
  return (
    <div className="bg-sheet rounded-slip h-full p-1">
      <svg
        viewBox={`${-room / 1000} ${-room / 1000} ${(width + 2 * room) / 1000} ${(height + 2 * room) / 1000}`}
        className="w-full h-full"
        preserveAspectRatio="xMidYMid meet"
        role="group"
        aria-label={label}
        data-testid="pattern"
      >
        {drawings.map((drawing, index) => {
          const place = at[index] ?? { x: 0, y: 0 };
          return (
            <g key={drawing.tag} transform={`translate(${place.x / 1000} ${place.y / 1000})`} data-cut={drawing.tag}>
              <rect
                width={drawing.width / 1000}
                height={drawing.height / 1000}
                rx="1"
                className={cx('cursor-pointer', chosen === drawing.tag ? 'fill-rose/15' : 'fill-transparent hover:fill-moss/15')}
                onClick={() => onChoose(drawing.tag)}
              >
                <title>{drawing.name}</title>
              </rect>
              <g className="pointer-events-none">
                <Marks marks={drawing.marks} height={drawing.height} />
              </g>
            </g>
          );
        })}
      </svg>
    </div>
  );
};
