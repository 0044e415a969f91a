import { useId } from 'react';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  readonly onChange: (value: string) => void;
};

/** One of many: the system's own list, which works under every thumb and screen reader. */
export const Picker = ({ label, value, options, onChange }: Props) => {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="flex text-small text-graphite">
        {label}
      </label>
      <select
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="font-hand text-lead w-full min-h-touch bg-transparent text-ink border-b-2 border-dotted border-tab hover:border-moss text-ellipsis"
      >
        {options.map((option) => (
          <option key={option.value} value={option.value} className="bg-leaf text-ink">
            {option.label}
          </option>
        ))}
      </select>
    </div>
  );
};
