import { LINE_STYLES, type Mark, type Page } from '@parlor/core/print';
import { memo } from 'react';

const mm = (um: number): number => Math.round(um) / 1000;

const drawn = (mark: Mark, height: number, key: number) => {
  if (mark.kind === 'text') {
    const [x, y] = [mm(mark.at[0]), mm(height - mark.at[1])];
    return (
      <text
        key={key}
        x={x}
        y={y}
        fontSize={mm(mark.size)}
        textAnchor={mark.anchor}
        dominantBaseline="central"
        fill="#2b2440"
        transform={mark.angle === 0 ? undefined : `rotate(${-mark.angle} ${x} ${y})`}
      >
        {mark.text}
      </text>
    );
  }
  const { weight, dash, colour } = LINE_STYLES[mark.style];
  const path = `M${mark.points.map(([x, y]) => `${mm(x)} ${mm(height - y)}`).join('L')}${mark.closed ? 'Z' : ''}`;
  return (
    <path
      key={key}
      d={path}
      fill="none"
      stroke={colour}
      strokeWidth={mm(weight) * 1.6}
      strokeDasharray={dash.length > 0 ? dash.map(mm).join(' ') : undefined}
    />
  );
};

/** A page as it will be printed, drawn from the very marks that the PDF is written from. Paper stays white at night. */
export const PageDrawing = memo(({ page, number }: { readonly page: Page; readonly number: number }) => (
  <figure className="min-w-0">
    <svg
      viewBox={`0 0 ${mm(page.width)} ${mm(page.height)}`}
      className="w-full bg-sheet shadow-leaf font-text"
      role="img"
      aria-label={`Page ${number}: ${page.title}`}
      data-page={number}
    >
      {page.marks.map((mark, index) => drawn(mark, page.height, index))}
    </svg>
    <figcaption className="text-small text-graphite mt-1 truncate" title={page.title}>
      {number} · {page.title}
    </figcaption>
  </figure>
));
