import type { Good, OddThing } from '@parlor/core/piece';
import { useSet } from '../../state/index.ts';

/** The colours that copies take in turn. */
export const Grounds = ({
  good,
  onChange,
}: {
  readonly good: Good | OddThing;
  readonly onChange: (words: string, change: { readonly grounds: readonly string[] }) => void;
}) => {
  const { palette } = useSet();
  if (palette.length === 0) return null;
  return (
    <fieldset className="flex flex-wrap items-center gap-1.5">
      <legend className="text-small text-graphite">Printed all over with; of several colours each copy takes one by chance</legend>
      {palette.map(({ id, name, colour }) => {
        const on = good.grounds.includes(id);
        return (
          <button
            key={id}
            type="button"
            aria-pressed={on}
            aria-label={`printed all over with ${name}`}
            title={name}
            onClick={() =>
              onChange(`the colours of ${good.name}`, {
                grounds: on ? good.grounds.filter((each) => each !== id) : [...good.grounds, id].slice(0, 12),
              })
            }
            className={`size-9 rounded-full border-2 ${on ? 'border-ink ring-2 ring-paper ring-inset' : 'border-tab'}`}
            style={{ background: colour }}
          />
        );
      })}
    </fieldset>
  );
};
