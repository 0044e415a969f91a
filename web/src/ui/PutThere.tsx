import { useState } from 'react';
import { Button } from './Button.tsx';
import { Picker } from './Picker.tsx';

type Props<T extends string> = {
  readonly label: string;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onPut: (value: T) => void;
};

/** One more row of a list: which kind it is, and the button that puts it there. */
export const PutThere = <T extends string>({ label, options, onPut }: Props<T>) => {
  const [value, setValue] = useState<T>((options[0] as (typeof options)[number]).value);
  return (
    <div className="flex items-end gap-3">
      <div className="flex-1">
        <Picker label={label} value={value} options={options} onChange={(next) => setValue(next as T)} />
      </div>
      <Button look="quiet" onClick={() => onPut(value)}>
        put it there
      </Button>
    </div>
  );
};
