import type { Placement, Sheet } from '@parlor/core/cut';
import { formatNumber, type Units } from '@parlor/core/measure';
import type { Point, Ring } from '@parlor/core/shape';
import { Check, Scissors } from 'lucide-react';
import { tagPointed, useAppDispatch, useAppSelector } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';
import { type Parts, SheetTable } from './SheetTable.tsx';

type Part = Parts extends ReadonlyMap<string, infer Value> ? Value : never;

const mm = (um: number) => um / 1000;

const sizesText = ({ width, height }: { readonly width: number; readonly height: number }, units: Units): string =>
  `${formatNumber(width, units).text} × ${formatNumber(height, units).text} ${units.unit}`;

/** A part's outline and holes where it lies, as a path: a turned one by a quarter, counter-clockwise. */
const pathOf = (part: Part, { x, y, rotated }: Placement, sheetHeight: number): string => {
  const place = ([px, py]: Point): string => {
    const [across, up] = rotated ? [part.height - py, px] : [px, py];
    return `${mm(x + across)} ${mm(sheetHeight - y - up)}`;
  };
  const ring = (points: Ring): string => `M${points.map(place).join('L')}Z`;
  return [part.region.outline, ...part.region.holes].map(ring).join('');
};

const PartOn = ({
  part,
  placement,
  sheet,
  line,
  most,
  units,
}: {
  readonly part: Part;
  readonly placement: Placement;
  readonly sheet: Sheet;
  readonly line: number;
  readonly most: number;
  readonly units: Units;
}) => {
  const dispatch = useAppDispatch();
  const lit = useAppSelector((state) => state.desk.tag) === part.tag;
  const [w, h] = placement.rotated ? [part.height, part.width] : [part.width, part.height];
  const [cx, cy] = [mm(placement.x + w / 2), mm(sheet.kind.height - placement.y - h / 2)];
  const size = Math.min(mm(Math.min(w, h)) * 0.62, mm(Math.max(w, h)) * 0.3, mm(most) * 0.042);
  return (
    <g onMouseEnter={() => dispatch(tagPointed(part.tag))} onMouseLeave={() => dispatch(tagPointed(null))}>
      <title>{`${part.tag} ${part.name}, ${sizesText(part, units)}`}</title>
      <path
        d={pathOf(part, placement, sheet.kind.height)}
        fillRule="evenodd"
        fill={lit ? 'var(--sprig)' : 'var(--oat)'}
        stroke={lit ? 'var(--moss)' : 'var(--ink)'}
        strokeWidth={line}
      />
      <text
        x={cx}
        y={cy}
        fontSize={size}
        textAnchor="middle"
        dominantBaseline="central"
        fill="var(--ink)"
        className="font-hand pointer-events-none"
        transform={h > w * 1.6 ? `rotate(-90 ${cx} ${cy})` : undefined}
      >
        {part.tag}
      </text>
    </g>
  );
};

type Props = {
  readonly sheet: Sheet;
  readonly number: number;
  readonly parts: Parts;
  readonly units: Units;
  readonly most: number;
  /** The board's thickness, for its foam edge. */
  readonly thickness: number;
  readonly onCut: () => void;
  /** Ticks it as cut; missing while the layout is not that of the newest change. */
  readonly onDone: (() => void) | null;
};

/** A sheet of board as it lies on the table, its foam edge towards the maker, with the parts pencilled on it. */
export const SheetDrawing = ({ sheet, number, parts, units, most, thickness, onCut, onDone }: Props) => {
  const { width, height, name, offcut } = sheet.kind;
  const line = mm(most) * 0.002;
  const edge = Math.max(mm(thickness), mm(most) * 0.018);
  const whence = offcut !== null ? 'an offcut' : sheet.bought ? name : `${name}, at hand`;
  return (
    <figure className="min-w-0">
      <svg
        viewBox={`${-line} ${-line} ${mm(width) + 2 * line} ${mm(height) + edge + 2 * line}`}
        style={{ width: `${(width / most) * 100}%` }}
        className="block"
        role="img"
        aria-label={`Sheet ${number}, ${whence}: ${sheet.placements.map(({ id }) => parts.get(id)?.tag).join(', ')}`}
      >
        <rect y={mm(height)} width={mm(width)} height={edge} fill="var(--leaf)" stroke="var(--graphite)" strokeWidth={line} />
        <rect width={mm(width)} height={mm(height)} fill="var(--paper)" stroke="var(--graphite)" strokeWidth={line} />
        {sheet.placements.map((placement) => {
          const part = parts.get(placement.id);
          return (
            part && <PartOn key={placement.id} part={part} placement={placement} sheet={sheet} line={line} most={most} units={units} />
          );
        })}
      </svg>
      <figcaption className="text-small text-graphite mt-1">
        {number} · {whence}
        <br />
        largest rest {sizesText(sheet.offcut, units)}
      </figcaption>
      <div className="flex flex-wrap items-center gap-x-3">
        {sheet.cuts && (
          <Button look="quiet" className="px-0!" onClick={onCut} aria-label={`how to cut sheet ${number}`}>
            <Scissors size={16} /> how to cut
          </Button>
        )}
        <Button
          look="quiet"
          className="px-0!"
          disabled={onDone === null}
          onClick={() => onDone?.()}
          aria-label={`it is cut: sheet ${number}`}
        >
          <Check size={16} /> it is cut
        </Button>
        <SheetTable sheet={sheet} parts={parts} units={units} number={number} />
      </div>
    </figure>
  );
};
