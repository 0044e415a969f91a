import { useId, useState } from 'react';
import { cx } from './cx.ts';

type Props = {
  readonly label: string;
  /** Null stands for not known, and is typed as nothing. */
  readonly value: number | null;
  readonly min: number;
  readonly max: number;
  readonly whole?: boolean;
  /** True when the field may be left blank. */
  readonly blank?: boolean;
  readonly onChange: (value: number | null) => void;
};

/** A plain number; written when it is left or with Enter, taken back with Escape. What cannot be read stays, with the reason below. */
export const NumberField = ({ label, value, min, max, whole = false, blank = false, onChange }: Props) => {
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const commit = () => {
    if (text === null) return;
    const written = text.trim().replace(',', '.');
    const number = written === '' && blank ? null : Number(written);
    const fault =
      number === null
        ? null
        : written === '' || Number.isNaN(number)
          ? 'A number, please.'
          : whole && !Number.isInteger(number)
            ? 'A whole number, please.'
            : number < min || number > max
              ? `Between ${min} and ${max}, please.`
              : null;
    setProblem(fault);
    if (fault) return;
    if (number !== value) onChange(number);
    setText(null);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="text-small text-graphite whitespace-nowrap">
        {label}
      </label>
      <input
        id={id}
        inputMode={whole ? 'numeric' : 'decimal'}
        value={text ?? (value === null ? '' : String(value))}
        placeholder={blank ? '–' : undefined}
        autoComplete="off"
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key !== 'Escape') return;
          setText(null);
          setProblem(null);
        }}
        className={cx(
          'bg-transparent w-full min-h-touch font-hand text-pencil tabular-nums border-b-2 border-dotted px-0.5 hover:border-moss',
          problem ? 'border-rose' : 'border-tab',
        )}
      />
      {problem && (
        <p id={`${id}-problem`} role="alert" className="text-small text-rose">
          {problem}
        </p>
      )}
    </div>
  );
};
