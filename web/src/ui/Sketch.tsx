type Box = readonly [x: number, y: number, width: number, height: number, look?: 'board' | 'chosen' | 'thing' | 'cut'];

/** A little drawing made of boards: what it shows, and its boxes in a field of 100 × 70. */
export type SketchPart = { readonly label: string; readonly boxes: readonly Box[] };

const LOOKS = {
  board: { fill: 'var(--oat)', stroke: 'var(--ink)' },
  chosen: { fill: 'var(--blush)', stroke: 'var(--rose)' },
  thing: { fill: 'var(--sprig)', stroke: 'var(--moss)', strokeDasharray: '3 2' },
  cut: { fill: 'none', stroke: 'var(--rose)', strokeDasharray: '4 2' },
} as const;

/** Small drawings side by side, each with its word below; the words beside them say the same. */
export const Sketch = ({ parts }: { readonly parts: readonly SketchPart[] }) => (
  <div className="flex gap-3">
    {parts.map(({ label, boxes }) => (
      <figure key={label} className="flex-1 min-w-0">
        <svg viewBox="0 0 100 70" aria-hidden="true" className="w-full bg-paper rounded-slip">
          {boxes.map(([x, y, width, height, look = 'board']) => (
            <rect key={`${x} ${y} ${width} ${height}`} x={x} y={y} width={width} height={height} strokeWidth="1.2" {...LOOKS[look]} />
          ))}
        </svg>
        <figcaption className="font-hand text-note text-center">{label}</figcaption>
      </figure>
    ))}
  </div>
);
