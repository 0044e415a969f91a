import { UM } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { STICKS, type StickName } from '@parlor/core/stock';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';
import { Check, SizeField } from '../../ui/index.ts';

type Wish = NonNullable<SetDocument['cutting']['sticks'][StickName]>;

/** How long the sticks are that the set uses, and whether longer pieces may be joined. */
export const SticksAtHand = () => {
  const { cutting } = useSet();
  const edit = useEdit();
  const plans = useAppSelector((state) => state.derived.sticks);
  if (plans.length === 0) return null;
  return (
    <section aria-label="Sticks at hand" className="space-y-3 max-w-md">
      <h2 className="text-head">Sticks at hand</h2>
      <ul className="space-y-1">
        {plans.map(({ stick }) => {
          const wish: Wish = cutting.sticks[stick] ?? { length: STICKS[stick].length, joins: false };
          const change = (words: string, part: Partial<Wish>) =>
            edit(`${words} of ${stick}`, {
              kind: 'change-set',
              change: { cutting: { ...cutting, sticks: { ...cutting.sticks, [stick]: { ...wish, ...part } } } },
            });
          return (
            <li key={stick} className="grid grid-cols-2 gap-5 items-end">
              <SizeField
                label={`${stick}, one is`}
                world="doll"
                lengthUm={wish.length}
                min={20 * UM.mm}
                max={3 * UM.m}
                onChange={(length) => change('the length', { length: length as Wish['length'] })}
              />
              <Check checked={wish.joins} onChange={(joins) => change('joining', { joins })}>
                join where too short
              </Check>
            </li>
          );
        })}
      </ul>
    </section>
  );
};
