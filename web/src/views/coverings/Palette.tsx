import { contrastOf } from '@parlor/core/cover';
import { Plus, Trash2 } from 'lucide-react';
import { useId } from 'react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button, TextField } from '../../ui/index.ts';

const MOST = 60;

/** The set's colours: each a dab that is mixed anew where it lies, with its name. */
export const Palette = () => {
  const { palette } = useSet();
  const edit = useEdit();
  const id = useId();
  const put = (words: string, next: typeof palette) => edit(words, { kind: 'change-set', change: { palette: next } });
  return (
    <section aria-labelledby={id}>
      <h2 id={id} className="text-lead font-semibold">
        Palette of the set
      </h2>
      <ul className="grid grid-cols-2 gap-x-5 gap-y-1.5 mt-1">
        {palette.map((swatch) => (
          <li key={swatch.id} className="flex items-center gap-2 min-w-0">
            <input
              type="color"
              value={swatch.colour}
              aria-label={`Mix ${swatch.name}`}
              onChange={(event) =>
                put(
                  `${swatch.name} mixed anew`,
                  palette.map((each) => (each.id === swatch.id ? { ...each, colour: event.target.value } : each)),
                )
              }
              className="size-11 shrink-0 rounded-full cursor-pointer bg-transparent"
            />
            <div className="flex-1 min-w-0">
              <TextField
                label={`Name of the colour ${swatch.name}`}
                title
                most={60}
                value={swatch.name}
                onChange={(name) =>
                  put(
                    'the name of a colour',
                    palette.map((each) => (each.id === swatch.id ? { ...each, name } : each)),
                  )
                }
              />
            </div>
            <Button
              look="quiet"
              className="px-2.5!"
              aria-label={`Wipe ${swatch.name} off`}
              onClick={() =>
                put(
                  `${swatch.name} wiped off`,
                  palette.filter((each) => each.id !== swatch.id),
                )
              }
            >
              <Trash2 size={15} />
            </Button>
          </li>
        ))}
      </ul>
      <Button
        look="quiet"
        className="-ml-3 mt-1"
        disabled={palette.length >= MOST}
        onClick={() =>
          put('a colour more', [...palette, { id: crypto.randomUUID(), name: `colour ${palette.length + 1}`, colour: '#8fa3b0' }])
        }
      >
        <Plus size={16} /> another colour
      </Button>
    </section>
  );
};

/** Two colours side by side, with how well they are told apart. */
export const Beside = ({
  one,
  other,
}: {
  readonly one: { readonly name: string; readonly colour: string };
  readonly other: { readonly name: string; readonly colour: string };
}) => (
  <li className="flex items-center gap-2.5 text-small">
    <span className="flex rounded-nick overflow-hidden border border-tab shrink-0" aria-hidden="true">
      <span className="w-7 h-7" style={{ background: one.colour }} />
      <span className="w-7 h-7" style={{ background: other.colour }} />
    </span>
    <span className="min-w-0">
      {one.name} by {other.name} <span className="text-graphite tabular-nums">· {contrastOf(one.colour, other.colour).toFixed(2)} : 1</span>
    </span>
  </li>
);
