import { cutLineOf } from '@parlor/core/cloth';
import { type ClothSheet, clothMarks, type LineStyle } from '@parlor/core/print';
import { bounds, type Rect, type Ring } from '@parlor/core/shape';
import { useMemo } from 'react';
import { cx } from '../../ui/index.ts';

/** How wide to how high the window is in which a pattern lies, about. */
const ASPECT = 1.7;

type Lain = { readonly sheet: ClothSheet; readonly cut: Ring; readonly box: Rect; readonly x: number; readonly y: number };

/** Pieces in rows, as long as lets all be seen largest. */
const inRows = (sheets: readonly ClothSheet[]) => {
  const cuts = sheets.map(({ piece }) => cutLineOf(piece));
  const boxes = cuts.map((cut) => bounds(cut));
  const sizes = boxes.map(({ x0, y0, x1, y1 }) => [x1 - x0, y1 - y0] as const);
  const gap = Math.max(...sizes.flat()) * 0.05;
  const rowsOf = (wide: number) => {
    let [x, y, row, most] = [0, 0, 0, 0];
    const at = sizes.map(([w, h]) => {
      if (x > 0 && x + w > wide) [x, y, row] = [0, y + row + gap, 0];
      const place = [x, y] as const;
      x += w + gap;
      row = Math.max(row, h);
      most = Math.max(most, x - gap);
      return place;
    });
    return { at, width: most, height: y + row };
  };
  const widest = Math.max(...sizes.map(([w]) => w));
  const all = sizes.reduce((sum, [w]) => sum + w + gap, 0);
  const tried = [...new Set([widest, ...[0.25, 0.34, 0.5, 0.67, 1].map((share) => Math.max(widest, all * share))])].map(rowsOf);
  const best = tried.reduce((one, other) =>
    Math.max(other.width, other.height * ASPECT) < Math.max(one.width, one.height * ASPECT) ? other : one,
  );
  const lain = sheets.map(
    (sheet, index): Lain => ({
      sheet,
      cut: cuts[index] as Ring,
      box: boxes[index] as Rect,
      x: best.at[index]?.[0] ?? 0,
      y: best.at[index]?.[1] ?? 0,
    }),
  );
  return { lain, width: best.width, height: best.height };
};

/** Lines as they are told apart on the screen: the same dashes as on paper, in pixels. */
const LOOKS: Readonly<Partial<Record<LineStyle, readonly [stroke: string, dash: string | undefined, width: number]>>> = {
  cut: ['stroke-ink', undefined, 1.4],
  stitch: ['stroke-rose', '7 3 2 3', 1.1],
  fold: ['stroke-graphite', '5 4', 1],
  join: ['stroke-moss', undefined, 2.6],
  bar: ['stroke-graphite', undefined, 1.1],
};

const path = (points: readonly (readonly [number, number])[], closed: boolean): string =>
  `M${points.map(([x, y]) => `${(x / 1000).toFixed(2)} ${(-y / 1000).toFixed(2)}`).join('L')}${closed ? 'Z' : ''}`;

/** A pattern as it is cut: each piece flat, with the lines, notches and openings that are printed on it. */
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
  const { lain, width, height } = useMemo(() => inRows(sheets), [sheets]);
  const room = Math.max(width, height) * 0.02;
  const letter = Math.max(width / 1000 / 24, (height * ASPECT) / 1000 / 24);
  return (
    <svg
      viewBox={`${-room / 1000} ${-room / 1000} ${(width + 2 * room) / 1000} ${(height + 2 * room) / 1000}`}
      className="w-full h-full"
      preserveAspectRatio="xMidYMid meet"
      role="group"
      aria-label={label}
      data-testid="pattern"
    >
      {lain.map(({ sheet, cut, box, x, y }) => (
        <g key={sheet.tag} transform={`translate(${(x - box.x0) / 1000} ${(y + box.y1) / 1000})`} data-cut={sheet.tag}>
          <path
            d={path(cut, true)}
            className={cx('cursor-pointer', chosen === sheet.tag ? 'fill-blush/50' : 'fill-leaf hover:fill-sprig')}
            onClick={() => onChoose(sheet.tag)}
          >
            <title>{sheet.name}</title>
          </path>
          <g className="pointer-events-none" fill="none">
            {clothMarks(sheet).map((mark, index) => {
              if (mark.kind !== 'line') return null;
              const [stroke, dash, wide] = LOOKS[mark.style] ?? ['stroke-ink', undefined, 1];
              return (
                <path
                  key={index}
                  d={path(mark.points, mark.closed)}
                  className={stroke}
                  strokeDasharray={dash}
                  strokeWidth={wide}
                  vectorEffect="non-scaling-stroke"
                />
              );
            })}
            <text
              x={(box.x0 + box.x1) / 2000}
              y={-(box.y0 + box.y1) / 2000}
              fontSize={Math.min(letter, (box.y1 - box.y0) / 1000 / 1.6, (box.x1 - box.x0) / 1000 / (sheet.tag.length * 0.7))}
              textAnchor="middle"
              dominantBaseline="central"
              className="fill-ink font-hand"
            >
              {sheet.tag}
            </text>
          </g>
        </g>
      ))}
    </svg>
  );
};
