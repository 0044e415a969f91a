import { ToggleGroup } from 'radix-ui';
import type { ReactNode } from 'react';
import { cx } from './cx.ts';

type Props<T extends string> = {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  readonly hideLabel?: boolean;
  readonly hint?: string;
  readonly help?: ReactNode;
};

/** One of a few, all in sight. */
export const Choice = <T extends string>({ label, value, options, onChange, hideLabel = false, hint, help }: Props<T>) => (
  <div>
    {!hideLabel && (
      <div className="text-small text-graphite mb-0.5">
        <span aria-hidden="true">{label}</span>
        {help}
      </div>
    )}
    <ToggleGroup.Root
      type="single"
      value={value}
      aria-label={label}
      onValueChange={(next) => next && onChange(next as T)}
      className="flex flex-wrap gap-1.5"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          className={cx(
            'min-h-touch px-3.5 rounded-full border text-note transition-colors duration-quick',
            option.value === value ? 'bg-ink text-paper border-ink' : 'border-tab text-ink hover:bg-oat',
          )}
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
    {hint && <p className="text-small text-graphite mt-1">{hint}</p>}
  </div>
);
