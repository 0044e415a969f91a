import { type ReactNode, useId } from 'react';

type Props = { readonly checked: boolean; readonly onChange: (checked: boolean) => void; readonly children: ReactNode };

/** A box to tick, with words beside it that tick it too. */
export const Check = ({ checked, onChange, children }: Props) => {
  const id = useId();
  return (
    <label htmlFor={id} className="flex items-center gap-2.5 min-h-touch cursor-pointer min-w-0">
      <input
        type="checkbox"
        id={id}
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
        className="appearance-none size-6 shrink-0 rounded-nick border-2 border-line bg-leaf grid place-items-center cursor-pointer checked:bg-moss checked:border-moss text-leaf checked:before:content-['✓']"
      />
      {children}
    </label>
  );
};
