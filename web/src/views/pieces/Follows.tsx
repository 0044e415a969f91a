import { timesSmaller } from '@parlor/core/measure';
import type { DerivedPiece, MadePiece } from '@parlor/core/set';
import { Slider } from 'radix-ui';
import { lazy, Suspense, useEffect, useState } from 'react';
import { deriveAgain, stopDeriving, useAppSelector, useScale, useSet } from '../../state/index.ts';
import { Button, MarginNote, Patience, useLong } from '../../ui/index.ts';
import { PartsTable } from './PartsTable.tsx';

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

const Model = ({ piece, made }: { readonly piece: DerivedPiece; readonly made: MadePiece }) => {
  const { doll } = useSet();
  const [apart, setApart] = useState(0);
  const { tag, night } = useAppSelector((state) => state.desk);
  const ready = useUnhurried();
  const building = <p className="p-6 font-hand text-graphite">building it …</p>;
  if (ready && !canDraw())
    return <p className="p-6 font-hand text-graphite">This browser cannot draw in three dimensions; the parts stand in the table below.</p>;
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

const verdict = ({ inspection, assembly }: MadePiece): string => {
  const right = inspection.closes && inspection.clearIsFree && inspection.interference.length === 0 && inspection.loose.length === 0;
  return `${assembly.parts.length} parts · ${right ? 'closes exactly' : 'does not close'}`;
};

/** A large set takes a moment when it is opened. */
const WorkingItOut = () => {
  const stopped = useAppSelector((state) => state.derived.stopped);
  const long = useLong(!stopped);
  if (stopped)
    return (
      <p className="flex flex-wrap items-center gap-3">
        Stopped before it was worked out.
        <Button onClick={deriveAgain}>Work it out</Button>
      </p>
    );
  return long ? <Patience what="working out the set" onStop={stopDeriving} /> : <p className="font-hand text-graphite">working it out …</p>;
};

/** What follows from a piece: its doll-size self, its parts, and the notes in the margin. */
export const Follows = ({ piece }: { readonly piece: DerivedPiece | undefined }) => {
  const { doll } = useSet();
  const scale = useScale();
  if (!piece) return <WorkingItOut />;
  const { made, findings } = piece;
  return (
    <div className="flex flex-col h-full">
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-head">
            for {doll.name || 'the doll'}, 1 : {scale && Number(timesSmaller(scale).toFixed(2))}
          </h2>
          <p className="text-graphite">what follows</p>
        </div>
        {made && (
          <p className="bg-oat rounded-full px-4 py-1.5 text-note whitespace-nowrap" data-testid="verdict">
            {verdict(made)}
          </p>
        )}
      </header>
      {made && <Model piece={piece} made={made} />}
      <div className="@container">
        <div className="grid @min-[31rem]:grid-cols-[minmax(0,1fr)_11.6rem] gap-5 mt-2 items-start pb-4">
          {made ? (
            <PartsTable made={made} />
          ) : (
            <p className="font-hand text-graphite">No parts yet: mend what the note says, and they come.</p>
          )}
          <ul className="space-y-3 @max-[31rem]:order-first" aria-label="Margin notes" data-testid="notes">
            {findings.map((finding) => (
              <MarginNote key={`${finding.code} ${JSON.stringify(finding.where)}`} finding={finding} />
            ))}
            {findings.length === 0 && <li className="font-hand text-body text-moss">Nothing to note: it fits, it stands, it closes.</li>}
          </ul>
        </div>
      </div>
    </div>
  );
};
