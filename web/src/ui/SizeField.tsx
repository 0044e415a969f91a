import { explainLength, formatLength, parseLength, ROUNDING_TOLERANCE_UM, ruleStep, type Units } from '@parlor/core/measure';
import { type KeyboardEvent, type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { pointedAt, undoGroupBegins, undoGroupEnds, useAppDispatch, useUnits } from '../state/index.ts';
import { cx } from './cx.ts';

type Props = {
  readonly label: string;
  readonly lengthUm: number;
  readonly world: 'real' | 'doll';
  readonly onChange: (lengthUm: number) => void;
  readonly min?: number;
  readonly max?: number;
  /** On a drawing: only the pencilled size, the label for those who cannot see where it stands. */
  readonly pencil?: boolean;
  readonly hint?: string | undefined;
  readonly help?: ReactNode;
  /** Stands at the end of its line. */
  readonly beside?: ReactNode;
  /** Shown on the finer rule whatever the set's is: a board's tenths of a millimetre matter. */
  readonly fine?: boolean;
};

/** The text of a length on the maker's rule; a size that the rule does not show exactly is led by ≈. */
const shown = (lengthUm: number, units: Units): string => {
  const { text, errorUm } = formatLength(lengthUm, units);
  return Math.abs(errorUm) > ROUNDING_TOLERANCE_UM ? `≈ ${text}` : text;
};

type Read = { readonly lengthUm: number } | { readonly error: string };

const readText = (text: string, units: Units, min: number, max: number): Read => {
  const parsed = parseLength(text, units.unit);
  if (!parsed.ok) return { error: explainLength(parsed.error) };
  if (parsed.value < min) return { error: `At least ${formatLength(min, units).text} here.` };
  if (parsed.value > max) return { error: `At most ${formatLength(max, units).text} here.` };
  return { lengthUm: parsed.value };
};

/** A size in a hand-lettered face that is changed where it stands. Takes everything a rule can say; what it cannot read stays as it was
 *  typed, with the reason. Arrow up and down step by the rule. */
export const SizeField = ({
  label,
  lengthUm,
  world,
  onChange,
  min = 0,
  max = 1e10,
  pencil = false,
  hint,
  help,
  beside,
  fine = false,
}: Props) => {
  const setUnits = useUnits();
  const units = fine ? { ...setUnits, fine } : setUnits;
  const dispatch = useAppDispatch();
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const value = text ?? shown(lengthUm, units);
  const point = (on: boolean) => dispatch(pointedAt(on ? { world, lengthUm } : null));
  const entered = useRef(false);
  // A field that goes away while the hand is in it is never left.
  useEffect(
    () => () => {
      if (!entered.current) return;
      undoGroupEnds();
      dispatch(pointedAt(null));
    },
    [dispatch],
  );

  // What is pointed at is the size as it is now, also when it was changed under the hand.
  useEffect(() => {
    if (entered.current) dispatch(pointedAt({ world, lengthUm }));
  }, [dispatch, world, lengthUm]);

  const commit = () => {
    if (text === null || text === shown(lengthUm, units)) return stop();
    const read = readText(text, units, min, max);
    if ('error' in read) return setError(read.error);
    stop();
    if (read.lengthUm !== lengthUm) onChange(read.lengthUm);
  };
  const stop = () => {
    setText(null);
    setError(null);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') commit();
    if (event.key === 'Escape') stop();
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const step = ruleStep(units) * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
    const next = Math.round(Math.round((lengthUm + step) / ruleStep(units)) * ruleStep(units));
    if (next >= min && next <= max) onChange(next);
    stop();
  };
  const input = (
    <input
      id={id}
      value={value}
      size={Math.max(4, value.length)}
      inputMode="text"
      autoComplete="off"
      spellCheck={false}
      aria-label={pencil ? label : undefined}
      aria-invalid={error !== null}
      aria-describedby={error ? `${id}-error` : hint ? `${id}-hint` : undefined}
      data-size={label}
      data-typed={text !== null}
      onChange={(event) => setText(event.target.value)}
      onFocus={(event) => {
        event.target.select();
        undoGroupBegins();
        entered.current = true;
        point(true);
      }}
      onBlur={() => {
        point(false);
        commit();
        undoGroupEnds();
        entered.current = false;
      }}
      onMouseEnter={() => point(true)}
      onMouseLeave={() => point(false)}
      onKeyDown={onKeyDown}
      className={cx(
        'font-hand bg-transparent rounded-nick min-h-touch focus-visible:outline-moss',
        pencil
          ? 'text-lead text-center px-1 field-sizing-content min-w-16 text-graphite hover:text-ink hover:bg-oat/70'
          : 'text-pencil w-full border-b-2 border-dotted border-tab rounded-b-none hover:border-moss px-0.5',
        beside ? 'pr-14' : null,
        error !== null && 'text-rose border-rose',
      )}
    />
  );
  const trouble = error && (
    <p
      id={`${id}-error`}
      role="alert"
      className={cx(
        'font-hand text-rose text-note leading-snug',
        pencil && 'absolute z-10 top-full left-0 w-56 bg-leaf p-2 rounded-slip shadow-slip',
      )}
    >
      {error}
    </p>
  );
  if (pencil)
    return (
      <span className="relative inline-block">
        {input}
        {trouble}
      </span>
    );
  return (
    <div>
      <div className="flex items-center">
        <label htmlFor={id} className="text-small text-graphite">
          {label}
        </label>
        {help}
      </div>
      <div className={beside ? 'relative' : undefined}>
        {input}
        {beside}
      </div>
      {hint && !error && (
        <p id={`${id}-hint`} className="text-small text-graphite">
          {hint}
        </p>
      )}
      {trouble}
    </div>
  );
};
