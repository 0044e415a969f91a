import type { LotPlacement, Sheet } from '@parlor/core/cut';
import { formatNumber, type Units } from '@parlor/core/measure';
import { orientedSize, rectRing } from '@parlor/core/shape';
import { Check, Scissors } from 'lucide-react';
import type { PointerEvent } from 'react';
import { tagPointed, useAppDispatch, useAppSelector } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';
import type { Carried } from './layingByHand.ts';
import { mm, pathOf, type SheetPart } from './onSheet.ts';
import { type Parts, SheetTable } from './SheetTable.tsx';

const sizesText = ({ width, height }: { readonly width: number; readonly height: number }, units: Units): string =>
  `${formatNumber(width, units).text} × ${formatNumber(height, units).text} ${units.unit}`;

/** A pin that holds a part where the maker laid it. */
const Pin = ({ x, y, size }: { readonly x: number; readonly y: number; readonly size: number }) => (
  <g className="pointer-events-none" data-testid="pin">
    <circle cx={x} cy={y} r={size} fill="var(--rose)" stroke="var(--leaf)" strokeWidth={size / 4} />
  </g>
);

/** Where the part in the hand would come to lie; crossed out over a place where it cannot. */
const Ghost = ({
  carried,
  part,
  sheet,
  line,
}: {
  readonly carried: Carried;
  readonly part: SheetPart;
  readonly sheet: Sheet;
  readonly line: number;
}) =>
  carried.placement ? (
    <path
      d={pathOf(part, carried.placement, sheet.kind.height)}
      fillRule="evenodd"
      fill="var(--sprig)"
      opacity={0.8}
      stroke="var(--moss)"
      strokeWidth={3 * line}
      className="pointer-events-none"
      data-testid="ghost"
    />
  ) : (
    <rect
      width={mm(sheet.kind.width)}
      height={mm(sheet.kind.height)}
      fill="var(--blush)"
      opacity={0.6}
      className="pointer-events-none"
      data-testid="no-room"
    />
  );

const PartOn = ({
  part,
  placement,
  sheet,
  line,
  most,
  units,
  picked,
  carried,
  onTake,
}: {
  readonly part: SheetPart;
  readonly placement: LotPlacement;
  readonly sheet: Sheet;
  readonly line: number;
  readonly most: number;
  readonly units: Units;
  readonly picked: boolean;
  readonly carried: boolean;
  readonly onTake: (event: PointerEvent<SVGGElement>) => void;
}) => {
  const dispatch = useAppDispatch();
  const pinned = sheet.pinned?.parts.includes(placement.id) === true;
  const lit = useAppSelector((state) => state.ui.tag) === part.tag;
  const { width: w, height: h } = orientedSize(part, placement);
  const [cx, cy] = [mm(placement.x + w / 2), mm(sheet.kind.height - placement.y - h / 2)];
  const size = Math.min(mm(Math.min(w, h)) * 0.62, mm(Math.max(w, h)) * 0.3, mm(most) * 0.042);
  return (
    <g
      data-part={placement.id}
      className="cursor-grab"
      opacity={carried ? 0.35 : 1}
      onMouseEnter={() => dispatch(tagPointed(part.tag))}
      onMouseLeave={() => dispatch(tagPointed(null))}
      onPointerDown={onTake}
    >
      <title>{`${part.tag} ${part.name}, ${sizesText(part, units)}${placement.mirrored ? ', lying on its face' : ''}${pinned ? ', laid here by hand' : ''}`}</title>
      <path
        d={pathOf(part, placement, sheet.kind.height)}
        fillRule="evenodd"
        fill={lit ? 'var(--sprig)' : 'var(--oat)'}
        stroke={picked ? 'var(--rose)' : lit ? 'var(--moss)' : 'var(--ink)'}
        strokeWidth={picked ? 3 * line : line}
      />
      {pinned && <Pin x={mm(placement.x + w) - 12 * line} y={mm(sheet.kind.height - placement.y - h) + 12 * line} size={9 * line} />}
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
  /** Whether cuts are to run from edge to edge. */
  readonly straight: boolean;
  readonly picked: string | null;
  readonly carried: Carried | null;
  /** Takes a part in the hand; missing while the layout is not that of the newest change. */
  readonly onTake: ((event: PointerEvent<SVGGElement>, placement: LotPlacement) => void) | null;
  readonly onPick: (part: string) => void;
  readonly onCut: () => void;
  /** Ticks it as cut; missing while the layout is not that of the newest change. */
  readonly onDone: (() => void) | null;
};

/** A sheet of board as it lies on the table, its foam edge towards the maker, with the parts pencilled on it. */
export const SheetDrawing = ({
  sheet,
  number,
  parts,
  units,
  most,
  thickness,
  straight,
  picked,
  carried,
  onTake,
  onPick,
  onCut,
  onDone,
}: Props) => {
  const { width, height, name, offcut, outline } = sheet.kind;
  const line = mm(most) * 0.002;
  const edge = Math.max(mm(thickness), mm(most) * 0.018);
  const over = carried?.over === number - 1 && parts.has(carried.part) ? carried : null;
  const whence = offcut !== null ? 'an offcut' : sheet.bought ? name : `${name}, at hand`;
  return (
    <figure className="min-w-0">
      <svg
        viewBox={`${-line} ${-line} ${mm(width) + 2 * line} ${mm(height) + edge + 2 * line}`}
        style={{ width: `${(width / most) * 100}%` }}
        className="block select-none"
        data-sheet={number - 1}
        role="img"
        aria-label={`Sheet ${number}, ${whence}: ${sheet.placements.map(({ id }) => parts.get(id)?.tag).join(', ')}`}
      >
        <rect
          y={mm(height)}
          width={mm(outline?.reduce((most, [x, y]) => (y === 0 ? Math.max(most, x) : most), 0) ?? width)}
          height={edge}
          fill="var(--leaf)"
          stroke="var(--graphite)"
          strokeWidth={line}
        />
        <path
          d={`M${(outline ?? rectRing(0, 0, width, height)).map(([x, y]) => `${mm(x)} ${mm(height - y)}`).join('L')}Z`}
          fill="var(--paper)"
          stroke="var(--graphite)"
          strokeWidth={line}
        />
        {sheet.placements.map((placement) => {
          const part = parts.get(placement.id);
          return (
            part && (
              <PartOn
                key={placement.id}
                part={part}
                placement={placement}
                sheet={sheet}
                line={line}
                most={most}
                units={units}
                picked={picked === placement.id}
                carried={carried?.part === placement.id}
                onTake={(event) => onTake?.(event, placement)}
              />
            )
          );
        })}
        {over && <Ghost carried={over} part={parts.get(over.part) as SheetPart} sheet={sheet} line={line} />}
      </svg>
      <figcaption className="text-small text-graphite mt-1">
        {number} · {whence}
        <br />
        {Math.min(sheet.offcut.width, sheet.offcut.height) < 1_000 ? 'nothing is left' : `largest rest ${sizesText(sheet.offcut, units)}`}
        {straight && sheet.cuts === null && sheet.pinned !== null && (
          <span className="block font-hand text-rose">As it was laid by hand, no cuts from edge to edge part this sheet.</span>
        )}
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
        <SheetTable sheet={sheet} parts={parts} units={units} number={number} onPick={onPick} />
      </div>
    </figure>
  );
};
