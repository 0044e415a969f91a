import type { DerivedPiece, MadePiece } from '@parlor/core/set';
import { Hammer, ScanEye, StepBack, StepForward } from 'lucide-react';
import { Slider } from 'radix-ui';
import { useState } from 'react';
import { useAppSelector, useSet } from '../../state/index.ts';
import { Button, canDrawModel, PieceModel } from '../../ui/index.ts';
import type { BuildStep } from './buildSteps.ts';

const ApartSlider = ({ apart, onChange }: { readonly apart: number; readonly onChange: (apart: number) => void }) => (
  <div className="absolute right-0 top-2 bottom-2 w-11 flex flex-col items-center gap-1 text-small text-graphite">
    <span aria-hidden="true">apart</span>
    <Slider.Root
      orientation="vertical"
      min={0}
      max={1}
      step={0.05}
      value={[apart]}
      onValueChange={([value]) => onChange(value ?? 0)}
      className="relative flex flex-col items-center flex-1 w-11 touch-none cursor-pointer"
    >
      <Slider.Track className="relative flex-1 w-1 bg-tab rounded-full">
        <Slider.Range className="absolute w-full bg-moss rounded-full" />
      </Slider.Track>
      <Slider.Thumb aria-label="Pull the parts apart" className="block size-6 rounded-full bg-leaf border-2 border-moss" />
    </Slider.Root>
    <span aria-hidden="true">whole</span>
  </div>
);

/** Turns the build back and forth: at the first part, one back, one on, and out of it. */
const BuildBar = ({
  steps,
  step,
  onStep,
}: {
  readonly steps: readonly BuildStep[];
  readonly step: number | null;
  readonly onStep: (step: number | null) => void;
}) => {
  const now = step === null ? undefined : steps[step];
  const last = steps.length - 1;
  if (step === null || !now)
    return (
      <Button look="quiet" onClick={() => onStep(0)} disabled={steps.length === 0}>
        <Hammer size={16} /> build it
      </Button>
    );
  return (
    <div className="flex items-center gap-1 pr-3" role="group" aria-label="Building it, step by step">
      <Button look="quiet" className="px-2.5!" aria-label="One step back" disabled={step === 0} onClick={() => onStep(step - 1)}>
        <StepBack size={16} />
      </Button>
      <Button look="quiet" className="px-2.5!" aria-label="The next step" disabled={step === last} onClick={() => onStep(step + 1)}>
        <StepForward size={16} />
      </Button>
      <p className="font-hand text-body leading-tight" aria-live="polite" data-testid="build-step">
        {step + 1} of {steps.length}: {now.tag} {now.name}
        <span className="text-graphite">{now.from}</span>
      </p>
      <Button look="quiet" className="px-2.5! ml-1" aria-label="Show it whole again" onClick={() => onStep(null)}>
        ✕
      </Button>
    </div>
  );
};

type Props = {
  readonly piece: DerivedPiece;
  readonly made: MadePiece;
  readonly steps: readonly BuildStep[];
  readonly step: number | null;
  readonly onStep: (step: number | null) => void;
};

/** The model with its slider, its x-ray and its build, where this browser can draw it. */
export const ModelStage = ({ piece, made, steps, step, onStep }: Props) => {
  const { doll } = useSet();
  const [apart, setApart] = useState(0);
  const [xray, setXray] = useState(false);
  const { tag, night } = useAppSelector((state) => state.ui);
  const lit = step === null ? tag : (tag ?? steps[step]?.tag ?? null);
  return (
    <>
      <div className={canDrawModel() ? 'relative h-80 shrink-0' : 'relative'}>
        <div className={canDrawModel() ? 'absolute inset-0 right-12' : ''}>
          <PieceModel
            made={made}
            name={piece.name}
            dollHeightUm={doll.height}
            apart={apart}
            tag={lit}
            xray={xray}
            steps={steps}
            step={step}
            key={String(night)}
          />
        </div>
        {step === null && canDrawModel() && <ApartSlider apart={apart} onChange={setApart} />}
      </div>
      <div className="flex flex-wrap items-center gap-1.5 -ml-3">
        <Button look="quiet" className={xray ? 'bg-ink! text-paper!' : ''} aria-pressed={xray} onClick={() => setXray(!xray)}>
          <ScanEye size={16} /> x-ray
        </Button>
        <BuildBar steps={steps} step={step} onStep={onStep} />
      </div>
    </>
  );
};
