import type { DerivedPiece } from '@parlor/core/set';
import { PiecePicture } from './PiecePicture.tsx';

type Props = {
  readonly preset: string;
  readonly name: string;
  readonly hint: string;
  /** What it looks like at the set's scale; not known yet when left out. */
  readonly look: DerivedPiece | undefined;
  readonly disabled?: boolean;
  readonly onTake: () => void;
};

/** Whether it could be built with a thinner board; whoever begins it gets that too. */
const byThinnerBoard = ({ findings }: DerivedPiece): boolean =>
  findings.some(({ mend }) => mend?.kind === 'thinner-board' || mend?.kind === 'other-board');

/** Something to start from, with a picture drawn from itself. */
export const StartTicket = ({ preset, name, hint, look, disabled = false, onTake }: Props) => (
  <button
    type="button"
    data-preset={preset}
    disabled={disabled}
    onClick={onTake}
    className="w-full text-left rounded-soft border border-tab bg-paper hover:border-moss hover:bg-sprig/40 p-2.5 flex flex-col h-full"
  >
    <span className="block h-32 w-full">
      {look?.made ? (
        <PiecePicture parts={look.made.assembly.parts} label={name} />
      ) : (
        <span className="font-hand text-small text-graphite grid place-items-center h-full text-center px-2">
          {look ? (byThinnerBoard(look) ? 'it comes with a thinner board at this scale' : 'its boards are too thick for this scale') : '…'}
        </span>
      )}
    </span>
    <span className="font-name text-body font-semibold leading-tight mt-1.5">{name}</span>
    <span className="text-small text-graphite leading-snug">{hint}</span>
  </button>
);
