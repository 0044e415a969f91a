import { Checkbox } from 'radix-ui';
import { type ReactNode, useId } from 'react';

type Props = { readonly checked: boolean; readonly onChange: (checked: boolean) => void; readonly children: ReactNode };

/** A box to tick, with words beside it that tick it too. */
export const Check = ({ checked, onChange, children }: Props) => {
  const id = useId();
  return (
    <label htmlFor={id} className="flex items-center gap-2.5 min-h-touch cursor-pointer min-w-0">
      <Checkbox.Root
        id={id}
        checked={checked}
        onCheckedChange={(next) => onChange(next === true)}
        className="size-6 shrink-0 rounded-nick border-2 border-line bg-leaf grid place-items-center data-[state=checked]:bg-moss data-[state=checked]:border-moss text-leaf"
      >
        <Checkbox.Indicator>✓</Checkbox.Indicator>
      </Checkbox.Root>
      {children}
    </label>
  );
};
