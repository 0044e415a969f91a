import { timesSmaller } from '@parlor/core/measure';
import { type DerivedPiece, findingsThere, type MadePiece, takingsOf } from '@parlor/core/set';
import { useMemo, useState } from 'react';
import { deriveAgain, stopDeriving, useAppSelector, useOrder, useScale, useSet } from '../../state/index.ts';
import { Button, MarginNotes, notesOf, Patience, useLong } from '../../ui/index.ts';
import { buildStepsOf } from './buildSteps.ts';
import { FitRule } from './FitRule.tsx';
import { ModelStage } from './ModelStage.tsx';
import { PartsTable } from './PartsTable.tsx';
import { Steps } from './Steps.tsx';

const verdict = ({ inspection, assembly }: MadePiece): string => {
  const right = inspection.closes && inspection.clearIsFree && inspection.interference.length === 0 && inspection.loose.length === 0;
  const count = assembly.parts.length;
  return `${count} ${count === 1 ? 'part' : 'parts'} · ${right ? 'closes exactly' : 'does not close'}`;
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
  const document = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  const scale = useScale();
  const [step, setStep] = useState<number | null>(null);
  const made = piece?.made ?? null;
  const order = useOrder(made ? piece?.key : undefined);
  const steps = useMemo(() => (made && order ? buildStepsOf(made, order) : []), [made, order]);
  const takings = useMemo(() => (derived && piece ? takingsOf(document, derived, piece) : []), [document, derived, piece]);
  const findings = useMemo(() => (derived && piece ? findingsThere(document, derived, piece) : []), [document, derived, piece]);
  if (!piece) return <WorkingItOut />;
  const at = step === null || step >= steps.length ? null : step;
  return (
    <div className="flex flex-col h-full">
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-head">
            for {document.doll.name || 'the doll'}, 1 : {scale && Number(timesSmaller(scale).toFixed(2))}
          </h2>
          <p className="text-graphite">what follows</p>
        </div>
        {made && (
          <p className="bg-oat rounded-full px-4 py-1.5 text-note whitespace-nowrap" data-testid="verdict">
            {verdict(made)}
          </p>
        )}
      </header>
      {made && <ModelStage piece={piece} made={made} steps={steps} step={at} onStep={setStep} />}
      <div className="@container">
        <div className="grid @min-[31rem]:grid-cols-[minmax(0,1fr)_11.6rem] gap-5 mt-2 items-start pb-4">
          {made ? (
            <div className="min-w-0">
              <PartsTable takings={takings} />
              <FitRule pieceId={piece.id} />
              <Steps steps={steps} step={at} onStep={setStep} />
            </div>
          ) : (
            <p className="font-hand text-graphite">No parts yet: mend what the note says, and they come.</p>
          )}
          <MarginNotes notes={notesOf(findings)} piece={piece} className="@max-[31rem]:order-first">
            Nothing to note: it fits, it stands, it closes.
          </MarginNotes>
        </div>
      </div>
    </div>
  );
};
