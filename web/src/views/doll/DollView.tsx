import { nearestRatio } from '@parlor/core/doll';
import { timesSmaller, UM, USUAL_RATIOS } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { useEdit, useScale, useSet } from '../../state/index.ts';
import { Choice, SizeField, Spread, TextField } from '../../ui/index.ts';
import { BodyFields } from './BodyFields.tsx';
import { Company } from './Company.tsx';
import { Consequences } from './Consequences.tsx';
import { StandsFor } from './StandsFor.tsx';

type Doll = SetDocument['doll'];

const useChangeDoll = () => {
  const { doll } = useSet();
  const edit = useEdit();
  return (words: string, change: Partial<Doll>) => edit(words, { kind: 'change-set', change: { doll: { ...doll, ...change } } });
};

const ScaleChoice = ({ doll }: { readonly doll: Doll }) => {
  const change = useChangeDoll();
  const own = `1 : ${Number((doll.stature / doll.height).toFixed(2))}`;
  const ratio = doll.scale.by === 'ratio' ? doll.scale.ratio : nearestRatio(doll);
  return (
    <div className="space-y-3">
      <Choice
        label="How the scale is taken"
        value={doll.scale.by}
        options={[
          { value: 'ratio', label: 'a usual ratio' },
          { value: 'stature', label: `the doll's own, ${own}` },
        ]}
        onChange={(by) => change('how the scale is taken', { scale: by === 'ratio' ? { by, ratio: nearestRatio(doll) } : { by } })}
      />
      {doll.scale.by === 'ratio' && (
        <Choice
          label="Ratio"
          value={String(ratio)}
          options={[...new Set([...USUAL_RATIOS, ratio])]
            .sort((a, b) => a - b)
            .map((each) => ({ value: String(each), label: `1 : ${each}` }))}
          onChange={(value) => change(`scale 1 : ${value}`, { scale: { by: 'ratio', ratio: Number(value) } })}
          hint={`The nearest to the doll's own ${own} is 1 : ${nearestRatio(doll)}. A usual ratio fits what others make.`}
        />
      )}
    </div>
  );
};

const Decided = () => {
  const { doll } = useSet();
  const change = useChangeDoll();
  return (
    <div className="max-w-md space-y-5">
      <header>
        <TextField title label="The doll's name" value={doll.name} onChange={(name) => change(`the doll's name`, { name })} />
        <p className="text-graphite">who lives here · what you decide</p>
      </header>
      <SizeField
        label="How tall the doll is"
        world="doll"
        lengthUm={doll.height}
        min={20 * UM.mm}
        max={1200 * UM.mm}
        onChange={(height) => change('how tall the doll is', { height: height as Doll['height'] })}
        hint="Measured standing, without shoes or hair that stands up."
      />
      <div className="grid grid-cols-2 gap-4">
        <StandsFor doll={doll} label="Whom the doll stands for" onChange={change} />
        <SizeField
          label="How tall that person is"
          world="real"
          lengthUm={doll.stature}
          min={300 * UM.mm}
          max={2500 * UM.mm}
          onChange={(stature) => change('how tall that person is', { stature: stature as Doll['stature'] })}
        />
      </div>
      <ScaleChoice doll={doll} />
      <BodyFields doll={doll} onChange={change} />
      <Company />
    </div>
  );
};

/** Who lives in the set, and what that height means for everything real. */
export const DollView = () => {
  const scale = useScale();
  return (
    <Spread
      leftLabel="What you decide about the doll"
      rightLabel="What follows"
      left={<Decided />}
      right={scale && <Consequences scale={scale} ratio={timesSmaller(scale)} />}
    />
  );
};
