import { showLength, UM } from '@parlor/core/measure';
import { type SetDocument, usualStick } from '@parlor/core/set';
import { type StickName, stockWords } from '@parlor/core/stock';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useAppSelector, useEdit, useSet, useUnits } from '../../state/index.ts';
import { Button, Check, SizeField } from '../../ui/index.ts';

type Wish = NonNullable<SetDocument['cutting']['sticks'][StickName]>;

/** Lengths that lie there from other work; they are used before a new stick. */
const Rests = ({
  stick,
  wish,
  onChange,
}: {
  readonly stick: StickName;
  readonly wish: Wish;
  readonly onChange: (rests: Wish['rests']) => void;
}) => {
  const units = useUnits();
  const name = stockWords(stick, units);
  const [length, setLength] = useState<number>(100 * UM.mm);
  return (
    <div className="col-span-2">
      {wish.rests.length > 0 && (
        <ul className="flex flex-wrap gap-x-3" aria-label={`${name}, lengths at hand`}>
          {wish.rests.map((rest, index) => (
            <li key={index} className="flex items-center font-hand text-note">
              {showLength(rest, units)}
              <Button
                look="quiet"
                className="px-2!"
                aria-label={`Put the ${name} of ${showLength(rest, units)} away`}
                onClick={() => onChange(wish.rests.filter((_, at) => at !== index))}
              >
                <X size={16} />
              </Button>
            </li>
          ))}
        </ul>
      )}
      <details>
        <summary className="text-note underline underline-offset-4 decoration-dotted min-h-touch flex items-center">
          a length of it that lies there
        </summary>
        <div className="flex gap-4 items-end pb-2">
          <SizeField
            label={`${name}, what lies there`}
            world="doll"
            lengthUm={length}
            min={10 * UM.mm}
            max={3 * UM.m}
            onChange={setLength}
          />
          <Button onClick={() => onChange([...wish.rests, length as Wish['length']])} aria-label={`add the length of ${name}`}>
            <Plus size={16} /> add
          </Button>
        </div>
      </details>
    </div>
  );
};

/** How long the sticks are that the set uses, and whether longer pieces may be joined. */
export const SticksAtHand = () => {
  const { cutting } = useSet();
  const edit = useEdit();
  const units = useUnits();
  const plans = useAppSelector((state) => state.derived.sticks);
  if (plans.length === 0) return null;
  return (
    <section aria-label="Sticks at hand" className="space-y-3 max-w-md">
      <h2 className="text-head">Sticks at hand</h2>
      <ul className="space-y-1">
        {plans.map(({ stick }) => {
          const name = stockWords(stick, units);
          const wish: Wish = cutting.sticks[stick] ?? usualStick(stick);
          const change = (words: string, part: Partial<Wish>) =>
            edit(`${words} of ${name}`, {
              kind: 'change-set',
              change: { cutting: { ...cutting, sticks: { ...cutting.sticks, [stick]: { ...wish, ...part } } } },
            });
          return (
            <li key={stick} className="grid grid-cols-2 gap-5 items-end">
              <SizeField
                label={`${name}, one is`}
                world="doll"
                lengthUm={wish.length}
                min={20 * UM.mm}
                max={3 * UM.m}
                onChange={(length) => change('the length', { length: length as Wish['length'] })}
              />
              <Check checked={wish.joins} onChange={(joins) => change('joining', { joins })}>
                join where too short
              </Check>
              <Rests stick={stick} wish={wish} onChange={(rests) => change('what lies there', { rests })} />
            </li>
          );
        })}
      </ul>
    </section>
  );
};
