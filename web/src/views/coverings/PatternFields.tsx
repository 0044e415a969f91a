import { type Art, type Finish, PATTERNS } from '@parlor/core/cover';
import { realUm, showLength, UM } from '@parlor/core/measure';
import { rulerGrid } from '@parlor/core/set';
import { Shuffle } from 'lucide-react';
import { useScale, useSet, useUnits } from '../../state/index.ts';
import { Button, InkChoice, SizeField } from '../../ui/index.ts';
import { type Change, realSizes, wholeCourses } from './dressing.ts';
import { lookOfArt } from './looks.ts';

/** The pattern's real sizes, its inks, and whole courses for the piece that lies open. */
export const PatternFields = ({
  finish,
  art,
  change,
  heightUm,
}: {
  readonly finish: Finish;
  readonly art: Extract<Art, { kind: 'pattern' }>;
  readonly change: Change;
  readonly heightUm: number | null;
}) => {
  const { palette } = useSet();
  const scale = useScale();
  const units = useUnits();
  const pattern = PATTERNS[art.pattern];
  const real = realSizes(art);
  const whole = scale && heightUm ? wholeCourses(art, heightUm, scale) : null;
  const grid = scale && finish.how === 'paint' ? rulerGrid(lookOfArt(art, palette, scale)) : null;
  return (
    <>
      <div className="grid grid-cols-2 gap-x-5 gap-y-3">
        {Object.entries(pattern.sizes).map(([key, { label, min, max, source }]) => (
          <SizeField
            key={key}
            label={`${label}, real`}
            world="real"
            lengthUm={real[key] as number}
            min={min * UM.mm}
            max={max * UM.mm}
            hint={source.startsWith('common') ? undefined : source}
            onChange={(um) => change(`${label} of ${finish.name}`, { art: { ...art, sizes: { ...art.sizes, [key]: realUm(um) } } })}
          />
        ))}
      </div>
      {whole && (
        <p className="font-hand text-body">
          {whole.now.toFixed(1)} {pattern.kind === 'floor' ? 'rows' : 'courses'} to this piece’s height.{' '}
          <button
            type="button"
            className="underline underline-offset-4 decoration-2 font-semibold min-h-touch"
            onClick={() => change(`whole courses of ${finish.name}`, { art: { ...art, sizes: whole.sizes } })}
          >
            make it {whole.whole} whole ones
          </button>
        </p>
      )}
      {grid && (
        <p className="font-hand text-body">
          To draw it by hand: lines every {showLength(Math.round(grid.up), units)} up, every {showLength(Math.round(grid.across), units)}{' '}
          across
          {grid.shift > 0 && <>, every other row shifted by {showLength(Math.round(grid.shift), units)}</>}.
        </p>
      )}
      <div className="space-y-1.5">
        {pattern.inks.map(({ label, usual }, index) => (
          <InkChoice
            key={label}
            label={label}
            usual={usual}
            value={art.inks[index] ?? null}
            onChange={(ink) => {
              const inks = pattern.inks.map((_, each) => (each === index ? ink : (art.inks[each] ?? null)));
              change(`${label} of ${finish.name}`, { art: { ...art, inks } });
            }}
          />
        ))}
      </div>
      {pattern.repeat(Object.fromEntries(Object.entries(real))) === null && (
        <Button
          look="quiet"
          className="-ml-3"
          onClick={() => change(`${finish.name} shuffled`, { art: { ...art, seed: (art.seed * 7919 + 13) % 999_983 } })}
        >
          <Shuffle size={16} /> shuffle its chance
        </Button>
      )}
    </>
  );
};
