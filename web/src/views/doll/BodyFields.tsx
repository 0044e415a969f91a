import { BODY_MEASURES, type Doll, MEASURE_WORDS, STANDS, shareOf } from '@parlor/core/doll';
import { dollUm, UM } from '@parlor/core/measure';
import { Minus } from 'lucide-react';
import { useUnits } from '../../state/index.ts';
import { Button, Check, Choice, SizeField } from '../../ui/index.ts';

const JOINTS = [
  ['knees', 'knees bend'],
  ['hips', 'hips bend'],
  ['elbows', 'elbows bend'],
] as const;

const STANDS_WORDS = { alone: 'by herself', leaning: 'leaning', stand: 'in a stand' } as const;

type Props = { readonly doll: Doll; readonly onChange: (words: string, change: Partial<Doll>) => void };

/** What bends of a doll, how she stands, and what was measured on her: the rest follows from her height. */
export const BodyFields = ({ doll, onChange }: Props) => {
  const units = useUnits();
  const without = (measure: (typeof BODY_MEASURES)[number]): Doll['measures'] => {
    const { [measure]: _gone, ...rest } = doll.measures;
    return rest;
  };
  return (
    <div className="space-y-2">
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="text-small text-graphite">What bends</legend>
        {JOINTS.map(([joint, label]) => (
          <Check
            key={joint}
            checked={doll.bends[joint]}
            onChange={(bends) => onChange(`whether the ${joint} of ${doll.name} bend`, { bends: { ...doll.bends, [joint]: bends } })}
          >
            {label}
          </Check>
        ))}
      </fieldset>
      <Choice
        label="She stands"
        value={doll.stands}
        options={STANDS.map((value) => ({ value, label: STANDS_WORDS[value] }))}
        onChange={(stands) => onChange(`how ${doll.name} stands`, { stands })}
      />
      <details data-group="measures">
        <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
          What you measured on her{Object.keys(doll.measures).length > 0 ? `: ${Object.keys(doll.measures).length}` : ''}
        </summary>
        <p className="text-small text-graphite mb-1">
          Taken from her height until you lay a rule to her; chubby dolls need it. Your own measure wins.
        </p>
        <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-end">
          {BODY_MEASURES.map((measure) => {
            const own = doll.measures[measure];
            return (
              <div key={measure} className="flex items-end gap-1">
                <div className="flex-1 min-w-0">
                  <SizeField
                    label={MEASURE_WORDS[measure]}
                    world="doll"
                    fine={units.fine}
                    lengthUm={own ?? shareOf(doll, measure)}
                    min={UM.mm}
                    max={1.5 * UM.m}
                    hint={own === undefined ? 'from her height' : 'measured'}
                    onChange={(um) =>
                      onChange(`${MEASURE_WORDS[measure]} of ${doll.name}`, {
                        measures: { ...doll.measures, [measure]: dollUm(um) },
                      })
                    }
                  />
                </div>
                {own !== undefined && (
                  <Button
                    look="quiet"
                    className="px-2! mb-5"
                    aria-label={`${MEASURE_WORDS[measure]}: from her height again`}
                    onClick={() => onChange(`${MEASURE_WORDS[measure]} of ${doll.name} from her height`, { measures: without(measure) })}
                  >
                    <Minus size={15} />
                  </Button>
                )}
              </div>
            );
          })}
        </div>
      </details>
    </div>
  );
};
