import { ToggleGroup } from 'radix-ui';
import { cx } from './cx.ts';

type Props<T extends string> = {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  readonly hideLabel?: boolean;
  readonly hint?: string;
};

/** One of a few, all in sight. */
export const Choice = <T extends string>({ label, value, options, onChange, hideLabel = false, hint }: Props<T>) => (
  <div>
    {!hideLabel && (
      <div className="text-[13px] text-graphite mb-0.5" aria-hidden="true">
        {label}
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
            'min-h-11 px-3.5 rounded-full border text-[14px] transition-colors',
            option.value === value ? 'bg-ink text-paper border-ink' : 'border-tab text-ink hover:bg-oat',
          )}
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
    {hint && <p className="text-[13px] text-graphite mt-1">{hint}</p>}
  </div>
);
