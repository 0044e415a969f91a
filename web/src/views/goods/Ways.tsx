import { showLength } from '@parlor/core/measure';
import { type ClothThing, CONSTRUCTION_WORDS, CONSTRUCTIONS, type Construction } from '@parlor/core/piece';
import { inWay, type MadeInWay } from '@parlor/core/set';
import { useMemo, useState } from 'react';
import { useAppSelector, useSet, useUnits } from '../../state/index.ts';
import { Button, Picker, takenWords } from '../../ui/index.ts';

const CAUTIONS: Readonly<Record<Construction, string>> = {
  sewn: 'Count the pins before and after. A sewing machine only with a grown-up beside it.',
  glued: 'Hot glue burns, and comes through thin cloth: a grown-up holds the gun, or take cloth glue and patience.',
  tape: 'An iron is hot for as long as it stands there; a damp cloth goes between. Follow the packet.',
  felt: 'Small scissors with points: cut away from the other hand.',
};

const Column = ({ made, way, mine }: { readonly made: MadeInWay | undefined; readonly way: Construction; readonly mine: boolean }) => {
  const units = useUnits();
  return (
    <section
      aria-label={CONSTRUCTION_WORDS[way]}
      data-way={way}
      className={mine ? 'border-l-3 border-moss pl-3' : 'border-l-3 border-tab pl-3'}
    >
      <h4 className="font-name text-body font-semibold">
        {CONSTRUCTION_WORDS[way]}
        {mine && <span className="text-graphite font-text font-normal text-small"> · as it is decided</span>}
      </h4>
      {made ? (
        <>
          <ul className="text-note my-1" aria-label="What is cut">
            {made.cuts.map(({ tag, name, count, size: [w, h] }) => (
              <li key={tag} className="border-b border-dotted border-tab py-0.5">
                <span className="font-hand">{tag}</span> {count} × {name}
                <span className="block text-right tabular-nums">
                  {showLength(w, units)} × {showLength(h, units)}
                </span>
              </li>
            ))}
          </ul>
          <ul className="text-note text-graphite">
            {made.extras.map((extra) => (
              <li key={extra.what}>{takenWords(extra, units)}</li>
            ))}
          </ul>
        </>
      ) : (
        <p className="font-hand text-graphite">It cannot be made so at this size.</p>
      )}
      <p className="text-small text-rose mt-1">{CAUTIONS[way]}</p>
    </section>
  );
};

/** The way it is made beside another: what is cut and what it takes. */
export const Ways = ({ thing, onTake }: { readonly thing: ClothThing; readonly onTake: (way: Construction) => void }) => {
  const set = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  const usual: Construction = thing.way === 'sewn' ? 'glued' : 'sewn';
  const [asked, setAsked] = useState<Construction | null>(null);
  const other = asked && asked !== thing.way ? asked : usual;
  const [mine, its] = useMemo(
    () => (derived ? [inWay(set, derived, thing, thing.way), inWay(set, derived, thing, other)] : [undefined, undefined]),
    [set, derived, thing, other],
  );
  if (!derived) return null;
  return (
    <section aria-label="Sewn and no-sew" data-testid="ways">
      <h3 className="text-head">Sewn and no-sew, side by side</h3>
      <div className="grid sm:grid-cols-2 gap-4 mt-1">
        <Column made={mine} way={thing.way} mine />
        <Column made={its} way={other} mine={false} />
      </div>
      <div className="flex items-end gap-3 mt-2">
        <div className="flex-1 min-w-0">
          <Picker
            label="Beside it"
            value={other}
            options={CONSTRUCTIONS.filter((way) => way !== thing.way).map((way) => ({ value: way, label: CONSTRUCTION_WORDS[way] }))}
            onChange={(way) => setAsked(way as Construction)}
          />
        </div>
        <Button onClick={() => onTake(other)} disabled={!its}>
          make it so
        </Button>
      </div>
    </section>
  );
};
