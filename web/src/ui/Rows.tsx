import type { Scale } from '@parlor/core/measure';
import { type Field, isFieldShown, withValueAt } from '@parlor/core/piece';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Button } from './Button.tsx';
import { Decision } from './Decision.tsx';

type Props<T extends object> = {
  readonly title: string;
  /** What one row is called: "section", "layer". */
  readonly word: string;
  readonly rows: readonly T[];
  readonly fields: readonly Field[];
  readonly nameOf: (row: T, index: number) => string;
  readonly scale: Scale;
  readonly most: number;
  /** How many there must be. */
  readonly least?: number;
  readonly onChange: (words: string, rows: readonly T[]) => void;
  /** How another one is begun. */
  readonly add: ReactNode;
};

/** A list that is decided row by row, from below upwards: each row's own fields, its place, and whether it is there at all. */
export const Rows = <T extends object>({ title, word, rows, fields, nameOf, scale, most, least = 1, onChange, add }: Props<T>) => {
  const [open, setOpen] = useState<number | null>(null);
  // One that has come is decided next.
  const [count, setCount] = useState(rows.length);
  if (count !== rows.length) {
    setCount(rows.length);
    if (rows.length > count) setOpen(rows.length - 1);
  }
  const moved = (from: number, to: number): void => {
    onChange(`the order of its ${word}s`, rows.toSpliced(from, 1).toSpliced(to, 0, rows[from] as T));
    setOpen(to);
  };
  return (
    <section aria-label={title} className="mt-3 space-y-1.5">
      <h3 className="text-note text-graphite">{title}</h3>
      <ol className="space-y-1.5">
        {rows.map((row, index) => (
          <li key={index}>
            <details
              open={open === index}
              onToggle={(event) => {
                const isOpen = event.currentTarget.open;
                setOpen((now) => (isOpen ? index : now === index ? null : now));
              }}
              className="border border-tab rounded-soft px-3"
              data-row={index}
            >
              <summary className="min-h-touch flex items-center gap-2">
                <span className="font-hand text-graphite w-5">{index + 1}</span> {nameOf(row, index)}
              </summary>
              {open === index && (
                <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start">
                  {fields
                    .filter((field) => isFieldShown(field, row))
                    .map((field) => (
                      <Decision
                        key={field.path.join('.')}
                        field={{ ...field, label: `${field.label}, ${word} ${index + 1}` }}
                        owner={row}
                        scale={scale}
                        onChange={(words, path, value) => onChange(words, rows.with(index, withValueAt(row, path, value)))}
                      />
                    ))}
                </div>
              )}
              <div className="flex flex-wrap gap-2 py-2">
                <Button
                  look="quiet"
                  disabled={index === 0}
                  aria-label={`${word} ${index + 1}: one down`}
                  onClick={() => moved(index, index - 1)}
                >
                  <ArrowDown size={15} /> one down
                </Button>
                <Button
                  look="quiet"
                  disabled={index === rows.length - 1}
                  aria-label={`${word} ${index + 1}: one up`}
                  onClick={() => moved(index, index + 1)}
                >
                  <ArrowUp size={15} /> one up
                </Button>
                <Button
                  look="quiet"
                  disabled={rows.length <= least}
                  aria-label={`${word} ${index + 1}: take it away`}
                  onClick={() => onChange(`a ${word} taken away`, rows.toSpliced(index, 1))}
                >
                  <Trash2 size={15} /> take it away
                </Button>
              </div>
            </details>
          </li>
        ))}
      </ol>
      {rows.length < most && add}
    </section>
  );
};
