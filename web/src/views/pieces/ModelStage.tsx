import type { DerivedPiece, MadePiece } from '@parlor/core/set';
import { Slider } from 'radix-ui';
import { lazy, Suspense, useEffect, useState } from 'react';
import { useAppSelector, useSet } from '../../state/index.ts';
import { NoModel } from './NoModel.tsx';

/** The model is large and only looked at, so it is fetched when everything that is read and typed in stands there. */
let unhurried = false;
const useUnhurried = (): boolean => {
  const [ready, setReady] = useState(unhurried);
  useEffect(() => {
    const go = () => {
      unhurried = true;
      setReady(true);
    };
    if (typeof requestIdleCallback === 'undefined') {
      const timer = setTimeout(go, 300);
      return () => clearTimeout(timer);
    }
    const asked = requestIdleCallback(go, { timeout: 2000 });
    return () => cancelIdleCallback(asked);
  }, []);
  return ready;
};

/** Whether this browser draws in three dimensions at all; asked once, before the model is fetched. */
let drawsInThree: boolean | undefined;
const canDraw = (): boolean => {
  drawsInThree ??= document.createElement('canvas').getContext('webgl2') !== null;
  return drawsInThree;
};

const Model3D = lazy(async () => ({ default: (await import('./Model3D.tsx')).Model3D }));

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

/** The model with its slider, where this browser can draw it. */
export const ModelStage = ({ piece, made }: { readonly piece: DerivedPiece; readonly made: MadePiece }) => {
  const { doll } = useSet();
  const [apart, setApart] = useState(0);
  const { tag, night } = useAppSelector((state) => state.desk);
  const ready = useUnhurried();
  const building = <p className="p-6 font-hand text-graphite">building it …</p>;
  if (ready && !canDraw()) return <NoModel />;
  return (
    <div className="relative h-80 shrink-0">
      <Suspense fallback={building}>
        <div className="absolute inset-0 right-12">
          {ready ? (
            <Model3D made={made} name={piece.name} dollHeightUm={doll.height} apart={apart} tag={tag} key={String(night)} />
          ) : (
            building
          )}
        </div>
      </Suspense>
      <ApartSlider apart={apart} onChange={setApart} />
    </div>
  );
};
