import { useId, useState } from 'react';
import { cx } from './cx.ts';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly most?: number;
  readonly title?: boolean;
};

/** A line of words that is changed where it stands; written when it is left or with Enter, taken back with Escape. */
export const TextField = ({ label, value, onChange, most = 80, title = false }: Props) => {
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const commit = () => {
    // What no pen writes is left out, as the set document would refuse it.
    const written = text?.replace(/[\p{Cc}\p{Cs}]/gu, '').trim();
    if (written !== undefined && written !== value) onChange(written);
    setText(null);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={title ? 'sr-only' : 'text-small text-graphite'}>
        {label}
      </label>
      <input
        id={id}
        value={text ?? value}
        maxLength={most}
        data-typed={text !== null}
        autoComplete="off"
        placeholder={title ? 'a name' : undefined}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') setText(null);
        }}
        className={cx(
          'bg-transparent w-full rounded-nick min-h-touch text-ellipsis',
          title
            ? 'font-name text-title font-semibold leading-tight hover:bg-oat/60 -ml-1.5 px-1.5'
            : 'font-hand text-pencil border-b-2 border-dotted border-tab rounded-b-none px-0.5 hover:border-moss',
        )}
        style={title ? { fontVariationSettings: '"SOFT" 100' } : undefined}
      />
    </div>
  );
};
