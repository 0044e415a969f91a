// What lies on the table while a sheet is cut apart, and where the next cut runs.
import type { CutStep, Sheet as LaidSheet, OffPiece } from '@parlor/core/cut';
import { asRect } from '@parlor/core/shape';
import { mm, pathOf, type SheetPart } from './onSheet.ts';
import type { Parts } from './SheetTable.tsx';

/** Whether a part is more than a rectangle. */
export const isShaped = (part: SheetPart | undefined): boolean =>
  part !== undefined && (part.region.holes.length > 0 || asRect(part.region.outline) === undefined);

type Lying = OffPiece & { readonly becomes: CutStep['off']['becomes'] | 'whole'; readonly part: string | null };

/** What lies on the table before a step. */
const tableBefore = (sheet: LaidSheet, steps: readonly CutStep[], step: number): readonly Lying[] => {
  const { width, height } = sheet.kind;
  const table = new Map<number, Lying>([[0, { piece: 0, x: 0, y: 0, width, height, becomes: 'whole', part: null }]]);
  for (const { piece, off, stays } of steps.slice(0, step)) {
    table.delete(piece);
    table.set(off.piece, off);
    table.set(stays.piece, stays);
  }
  return [...table.values()].filter(({ width: w, height: h }) => w > 0 && h > 0);
};

const FILLS: Readonly<Record<Lying['becomes'], string>> = {
  whole: 'var(--paper)',
  'cut again': 'var(--paper)',
  part: 'var(--oat)',
  rest: 'var(--sprig)',
  trim: 'var(--steel)',
};

/** The table before a step. */
export const CutTable = ({
  sheet,
  steps,
  step,
  parts,
}: {
  readonly sheet: LaidSheet;
  readonly steps: readonly CutStep[];
  readonly step: number;
  readonly parts: Parts;
}) => {
  const { width, height } = sheet.kind;
  const now = steps[step];
  const line = Math.max(width, height) * 0.004;
  const pieces = tableBefore(sheet, steps, step);
  const shaped = sheet.placements.filter(({ id }) => isShaped(parts.get(id)));
  const at = now && pieces.find(({ piece }) => piece === now.piece);
  return (
    <svg
      viewBox={`${-mm(line) * 2} ${-mm(line) * 2} ${mm(width + 4 * line)} ${mm(height + 4 * line)}`}
      className="block max-h-[60vh] w-full"
      role="img"
      aria-label="What lies on the table, and where the next cut runs"
    >
      {pieces.map(({ piece, x, y, width: w, height: h, becomes, part }) => (
        <g key={piece}>
          <rect
            x={mm(x)}
            y={mm(height - y - h)}
            width={mm(w)}
            height={mm(h)}
            fill={piece === now?.piece ? 'var(--leaf)' : FILLS[becomes]}
            stroke="var(--graphite)"
            strokeWidth={mm(line) / 3}
            opacity={now && piece !== now.piece ? 0.65 : 1}
          />
          {part !== null && (
            <text
              x={mm(x + w / 2)}
              y={mm(height - y - h / 2)}
              fontSize={Math.min(mm(Math.min(w, h)) * 0.6, mm(Math.max(width, height)) * 0.04)}
              textAnchor="middle"
              dominantBaseline="central"
              fill="var(--ink)"
              className="font-hand"
            >
              {partsOf({ part }, sheet)
                .map((id) => parts.get(id)?.tag)
                .join(' + ')}
            </text>
          )}
        </g>
      ))}
      {shaped.map((placement) => (
        <path
          key={placement.id}
          d={pathOf(parts.get(placement.id) as SheetPart, placement, height)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={mm(line) / 2}
          strokeDasharray={`${mm(line) * 2} ${mm(line) * 2}`}
        />
      ))}
      {now && at && <CutLine step={now} at={at} height={height} line={line} />}
    </svg>
  );
};

/** The cut, with what falls off shaded. */
const CutLine = ({
  step,
  at,
  height,
  line,
}: {
  readonly step: CutStep;
  readonly at: OffPiece;
  readonly height: number;
  readonly line: number;
}) => {
  const across = step.way === 'across';
  const { off } = step;
  return (
    <g>
      <rect
        x={mm(off.x)}
        y={mm(height - off.y - off.height)}
        width={mm(off.width)}
        height={mm(off.height)}
        fill="var(--blush)"
        opacity={0.55}
      />
      <line
        x1={mm(across ? at.x + step.setting : at.x)}
        x2={mm(across ? at.x + step.setting : at.x + at.width)}
        y1={mm(height - (across ? at.y : at.y + step.setting))}
        y2={mm(height - (across ? at.y + at.height : at.y + step.setting))}
        stroke="var(--rose)"
        strokeWidth={mm(line)}
      />
    </g>
  );
};

/** The parts that a cut rectangle is, or holds. */
export const partsOf = ({ part }: Pick<CutStep['off'], 'part'>, sheet: LaidSheet): readonly string[] =>
  part === null ? [] : (sheet.shared.find(({ id }) => id === part)?.parts ?? [part]);
