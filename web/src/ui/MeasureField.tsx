import { dollOf, dollUm, inWorld, isDollSize, type Measure, realOf, type Scale, showLength, toReal } from '@parlor/core/measure';
import { useUnits } from '../state/index.ts';
import { cx } from './cx.ts';
import { SizeField } from './SizeField.tsx';

type Props = {
  readonly label: string;
  readonly measure: Measure;
  readonly scale: Scale;
  readonly onChange: (measure: Measure) => void;
  /** Bounds of the real thing. */
  readonly min: number;
  readonly max: number;
  readonly hint?: string | undefined;
};

/** A size that is decided as the real thing's or as the doll's, whichever is known: the word beside it turns it over. */
export const MeasureField = ({ label, measure, scale, onChange, min, max, hint }: Props) => {
  const units = useUnits();
  const doll = isDollSize(measure);
  const world = doll ? 'doll' : 'real';
  const other = doll ? 'real' : 'doll';
  const lengthUm = doll ? dollOf(measure, scale) : realOf(measure, scale);
  const bound = (um: number) => (doll ? Math.round((um * scale.doll) / scale.real) : um);
  const turned = (
    <button
      type="button"
      aria-label={`${label} is the ${world === 'real' ? 'real thing’s' : 'doll’s'}; say it at ${other === 'real' ? 'the real thing’s' : 'the doll’s'} size instead`}
      title={
        doll ? `a doll size; the real thing would measure ${showLength(toReal(dollUm(lengthUm), scale), units)}` : 'the real thing’s size'
      }
      onClick={() => onChange(inWorld(measure, other, scale))}
      className={cx(
        'absolute right-0 bottom-1.5 rounded-full border px-2 h-7 text-small font-hand before:absolute before:-inset-2 before:content-[""]',
        doll ? 'bg-lilac/50 border-figure-line text-ink' : 'border-tab text-graphite hover:bg-oat',
      )}
    >
      {doll ? 'doll' : 'real'}
    </button>
  );
  return (
    <SizeField
      label={label}
      world={world}
      lengthUm={lengthUm}
      min={bound(min)}
      max={bound(max)}
      hint={hint}
      fine={doll}
      beside={turned}
      onChange={(um) => onChange(doll ? { doll: dollUm(um) } : (um as Measure))}
    />
  );
};
