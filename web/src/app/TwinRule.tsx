import {
  type DollUm,
  dollUm,
  type RealUm,
  realUm,
  type Scale,
  scaleFromRatio,
  showLength,
  timesSmaller,
  toDoll,
  toReal,
  type Units,
} from '@parlor/core/measure';
import { drivingSizes } from '@parlor/core/piece';
import { type KeyboardEvent, type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { type Pointed, useAppSelector, useEdit, useScale, useUnits } from '../state/index.ts';
import { Check, Choice } from '../ui/index.ts';
import { ruleTicks } from './ruleTicks.ts';

const useWidth = () => {
  const ref = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1000);
  useEffect(() => {
    const host = ref.current;
    if (!host) return undefined;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(host);
    return () => observer.disconnect();
  }, []);
  return { ref, width };
};

const LEFT = 52;

/** As long as the largest thing of the set and a fifth more. */
const useSpan = (): RealUm => {
  const document = useAppSelector((state) => state.openSet.document);
  return useMemo(() => {
    const sizes = document ? [document.doll.stature, ...document.pieces.flatMap(drivingSizes)] : [1_800_000];
    return realUm(Math.max(...sizes) * 1.2);
  }, [document]);
};

type EdgeProps = { readonly world: 'real' | 'doll'; readonly width: number; readonly perPx: number; readonly units: Units };

const Edge = ({ world, width, perPx, units }: EdgeProps) => {
  const ticks = useMemo(() => ruleTicks(width - LEFT, perPx, units), [width, perPx, units]);
  const real = world === 'real';
  const reach = [6, 10, 15] as const;
  return (
    <g fill={real ? 'var(--rose)' : 'var(--ink)'} stroke={real ? 'var(--rose)' : 'var(--ink)'}>
      {ticks.map(({ x, rank, label }) => (
        <g key={x} transform={`translate(${LEFT + x} ${real ? 0 : 68})`}>
          <line y2={real ? reach[rank] : -reach[rank]} strokeWidth={rank === 2 ? 1.2 : 0.8} />
          {label && LEFT + x < width - 18 && (
            <text y={real ? 28 : -19} textAnchor="middle" stroke="none" fontSize="13">
              {label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
};

const lengthInDoll = (pointed: Pointed, scale: Scale): DollUm =>
  pointed.world === 'doll' ? dollUm(pointed.lengthUm) : toDoll(realUm(pointed.lengthUm), scale);

const UNIT_OPTIONS = [
  { value: 'in', label: 'in' },
  { value: 'mm', label: 'mm' },
  { value: 'cm', label: 'cm' },
] as const;

const UnitSwitch = () => {
  const units = useUnits();
  const edit = useEdit();
  return (
    <div className="flex items-center gap-3 px-3 bg-table">
      <Choice
        label="Units"
        hideLabel
        value={units.unit}
        options={UNIT_OPTIONS}
        onChange={(unit) => edit(`units: ${unit}`, { kind: 'change-set', change: { units: { ...units, unit } } })}
      />
      <Check
        checked={units.fine}
        onChange={(fine) => edit(fine ? 'finer rule' : 'coarser rule', { kind: 'change-set', change: { units: { ...units, fine } } })}
      >
        <span className="text-small">fine</span>
      </Check>
    </div>
  );
};

/** The twin rule: real sizes along its upper edge, doll sizes along its lower one. Whatever size is pointed at lights up its span; drag
 *  along it, or use the arrow keys, to convert. */
export const TwinRule = () => {
  const { ref, width } = useWidth();
  const units = useUnits();
  const setScale = useScale();
  const scale = setScale ?? scaleFromRatio(6);
  const span = useSpan();
  const pointed = useAppSelector((state) => state.ui.pointed);
  const open = useAppSelector((state) => state.openSet.document !== null);
  const [mark, setMark] = useState<DollUm | null>(null);
  const perPx = toDoll(span, scale) / (width - LEFT);
  const lit = pointed ? lengthInDoll(pointed, scale) : mark;
  const at = lit === null ? null : Math.min(width, LEFT + lit / perPx);

  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (event.type === 'pointermove' && event.buttons === 0) return;
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    setMark(dollUm(Math.max(0, event.clientX - event.currentTarget.getBoundingClientRect().left - LEFT) * perPx));
  };
  const nudge = (event: KeyboardEvent<HTMLDivElement>) => {
    const step = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (event.key === 'Escape') setMark(null);
    if (!step) return;
    event.preventDefault();
    setMark(dollUm(Math.max(0, (mark ?? 0) + step * (units.unit === 'in' ? 25_400 / 16 : 1000) * (event.shiftKey ? 10 : 1))));
  };
  const said =
    lit === null
      ? `real above, doll below, 1 : ${Number(timesSmaller(scale).toFixed(2))}`
      : `real ${showLength(toReal(lit, scale), units)}, doll ${showLength(lit, units)}`;
  return (
    <div className="col-span-full flex h-[70px] border-t border-steel max-md:hidden">
      <div
        ref={ref}
        role="slider"
        tabIndex={0}
        aria-label="Twin rule"
        aria-valuemin={0}
        aria-valuemax={Math.round(toDoll(span, scale) / 1000)}
        aria-valuenow={Math.round((lit ?? 0) / 1000)}
        aria-valuetext={said}
        onPointerDown={drag}
        onPointerMove={drag}
        onKeyDown={nudge}
        className="relative flex-1 min-w-0 bg-[linear-gradient(var(--rule),var(--steel))] touch-none select-none cursor-ew-resize overflow-hidden"
      >
        <svg width={width} height="68" aria-hidden="true" className="block font-text">
          <text x="8" y="20" fontSize="13" fill="var(--rose)">
            real
          </text>
          <text x="8" y="58" fontSize="13" fill="var(--ink)">
            doll
          </text>
          {at !== null && <rect x={LEFT} width={Math.max(0, at - LEFT)} height="68" fill="var(--moss)" opacity="0.2" />}
          <Edge world="real" width={width} perPx={span / (width - LEFT)} units={units} />
          <Edge world="doll" width={width} perPx={perPx} units={units} />
          {at !== null && <line x1={at} x2={at} y2="68" stroke="var(--moss)" strokeWidth="2.5" />}
        </svg>
        {at !== null && (
          <span
            className="absolute top-1/2 -translate-y-1/2 font-hand text-body whitespace-nowrap px-2.5 py-0.5 rounded-nick bg-leaf text-ink"
            style={at > width * 0.7 ? { right: width - at + 8 } : { left: at + 8 }}
            data-testid="rule-reading"
          >
            {said}
          </span>
        )}
      </div>
      {open && <UnitSwitch />}
    </div>
  );
};
