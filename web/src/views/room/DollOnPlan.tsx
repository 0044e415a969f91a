import { bodyOf, posed } from '@parlor/core/doll';
import { showLength } from '@parlor/core/measure';
import type { Arranged } from '@parlor/core/set';
import { useMemo } from 'react';
import { useSet, useUnits } from '../../state/index.ts';
import { mm } from '../../ui/index.ts';
import { ARROWS, gridOf, isFreeForHer } from './where.ts';

type Props = {
  readonly arranged: Arranged;
  readonly at: readonly [number, number];
  readonly onLed: (at: readonly [number, number]) => void;
  /** She was taken by the pointer of this number. */
  readonly onTaken: (pointer: number) => void;
};

/** The doll as she is seen from above, to be led about: where she does not fit she blushes. */
export const DollOnPlan = ({ arranged, at, onLed, onTaken }: Props) => {
  const { doll } = useSet();
  const units = useUnits();
  const figure = useMemo(() => posed(bodyOf(doll), 'above'), [doll]);
  const fits = isFreeForHer(arranged, at);
  const { ring } = arranged.space;
  const [width, depth] = [Math.max(...ring.map(([x]) => x)), Math.max(...ring.map(([, z]) => z))];
  return (
    <g
      transform={`translate(${mm(at[0])} ${mm(at[1])})`}
      className="cursor-grab outline-none group"
      role="button"
      tabIndex={0}
      data-testid="doll-on-plan"
      aria-label={`${doll.name || 'The doll'}, ${showLength(Math.round(at[0]), units)} from the left, ${showLength(Math.round(at[1]), units)} from the back${fits ? '' : ', where she does not fit'}; arrows lead her`}
      onKeyDown={(event) => {
        const arrow = ARROWS[event.key];
        if (!arrow || event.ctrlKey || event.metaKey || event.altKey) return;
        event.preventDefault();
        const step = gridOf(units.unit) * (event.shiftKey ? 10 : 1);
        onLed([Math.min(width, Math.max(0, at[0] + arrow[0] * step)), Math.min(depth, Math.max(0, at[1] + arrow[1] * step))]);
      }}
      onPointerDown={(event) => {
        event.stopPropagation();
        onTaken(event.pointerId);
      }}
    >
      {figure.map((outline, index) => (
        <path
          key={index}
          d={`M${outline.map(([x, y]) => `${mm(x)} ${-mm(y)}`).join('L')}Z`}
          fill={fits ? 'var(--lilac)' : 'var(--blush)'}
          stroke={fits ? 'var(--figure-line)' : 'var(--rose)'}
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
          className="group-focus-visible:stroke-[var(--ink)] group-focus-visible:stroke-[3px]"
        />
      ))}
    </g>
  );
};
