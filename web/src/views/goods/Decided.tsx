import { dollUm, showLength, UM } from '@parlor/core/measure';
import { type Field, fieldsOf, type Good, isFieldShown, withValueAt } from '@parlor/core/piece';
import { shelvesOf } from '@parlor/core/set';
import { PRINT_STOCKS } from '@parlor/core/stock';
import { useAppSelector, useScale, useSet, useUnits } from '../../state/index.ts';
import { Check, Decision, Picker, SizeField } from '../../ui/index.ts';

const GROUPS: readonly (readonly [Field['group'], string])[] = [
  ['shape', 'Its shape, and several of them'],
  ['build', 'Its paper'],
  ['boards', 'Boards'],
];

type Put = (words: string, change: Partial<Good>) => void;

/** Which shelf of which piece it fills. */
const Fills = ({ good, onChange }: { readonly good: Good; readonly onChange: Put }) => {
  const set = useAppSelector((state) => state.derived.set);
  const units = useUnits();
  const shelves = (set?.pieces ?? []).flatMap(({ id, name, made }) =>
    made && id !== good.id
      ? shelvesOf(made)
          .slice(0, 40)
          .map(({ bay, gap, box }, index) => ({
            value: JSON.stringify({ piece: id, bay, gap }),
            label: `${name}, shelf ${index + 1}: ${showLength(box.max[0] - box.min[0], units)} wide, ${showLength(box.max[1] - box.min[1], units)} high`,
          }))
      : [],
  );
  if (shelves.length === 0 && !good.fills) return null;
  return (
    <Picker
      label="It fills a shelf"
      value={good.fills ? JSON.stringify({ piece: good.fills.piece, bay: good.fills.bay, gap: good.fills.gap }) : ''}
      options={[{ value: '', label: 'no, as many as are said' }, ...shelves]}
      onChange={(value) => onChange(`the shelf of ${good.name}`, { fills: value === '' ? null : JSON.parse(value) })}
    />
  );
};

/** The colours that copies take in turn. */
const Grounds = ({ good, onChange }: { readonly good: Good; readonly onChange: Put }) => {
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

/** What is decided about a good besides what is printed on it. */
export const Decided = ({ good, onChange }: { readonly good: Good; readonly onChange: Put }) => {
  const scale = useScale();
  if (!scale) return null;
  const change = (words: string, path: readonly string[], value: unknown): void => {
    const key = path[0] as keyof Good;
    onChange(`${words} of ${good.name}`, { [key]: withValueAt(good, path, value)[key] });
  };
  const shown = fieldsOf(good).filter((field) => isFieldShown(field, good));
  const drawn = (group: Field['group']) =>
    shown
      .filter((field) => field.group === group)
      .map((field) => <Decision key={`${field.label}`} field={field} owner={good} scale={scale} onChange={change} />);
  return (
    <>
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start">
        {drawn('size')}
        {drawn('fittings')}
      </div>
      <Fills good={good} onChange={onChange} />
      <div className="mt-2">
        <Grounds good={good} onChange={onChange} />
      </div>
      {GROUPS.map(([group, title]) =>
        shown.some((field) => field.group === group) ? (
          <details key={group} className="mt-1" data-group={group}>
            <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">{title}</summary>
            <div className="grid grid-cols-2 gap-x-6 gap-y-3 pb-2 items-start">
              {drawn(group)}
              {group === 'build' && (
                <div>
                  <Check
                    checked={good.thickness !== null}
                    onChange={(on) =>
                      onChange(`the paper of ${good.name}`, { thickness: on ? dollUm(PRINT_STOCKS[good.on].thickness) : null })
                    }
                  >
                    its thickness was measured
                  </Check>
                  {good.thickness !== null && (
                    <SizeField
                      label="Paper, thick (ten sheets, divided)"
                      world="doll"
                      lengthUm={good.thickness}
                      min={20}
                      max={2 * UM.mm}
                      fine
                      onChange={(um) => onChange(`the thickness of the paper of ${good.name}`, { thickness: dollUm(um) })}
                    />
                  )}
                </div>
              )}
            </div>
          </details>
        ) : null,
      )}
    </>
  );
};
