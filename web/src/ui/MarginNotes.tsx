import { type DerivedPiece, isOfUse, onlySeen, setAside } from '@parlor/core/set';
import { lazy, type ReactNode, Suspense } from 'react';
import { useAppSelector, useEdit } from '../state/index.ts';
import { cx } from './cx.ts';
import { MarginNote } from './MarginNote.tsx';
import { keyed, type Noted } from './noted.ts';

type Props = {
  readonly notes: readonly Noted[];
  /** The piece whose notes they are, where they may be set aside for it. */
  readonly piece?: DerivedPiece | undefined;
  readonly children?: ReactNode;
  readonly className?: string;
  readonly label?: string;
};

const SetAside = lazy(async () => ({ default: (await import('./SetAside.tsx')).SetAside }));

/** The notes in a margin; the children are what is said when there are none. */
export const MarginNotes = ({ notes, piece: own, children, className, label = 'Margin notes' }: Props) => {
  const edit = useEdit();
  const piece = useAppSelector((state) => state.openSet.document?.pieces.find(({ id }) => id === own?.id));
  return (
    <ul className={cx('space-y-3', className)} aria-label={label} data-testid="notes">
      {keyed(notes).map(([key, { finding, of }]) => (
        <MarginNote
          key={key}
          finding={finding}
          of={of}
          onAside={
            piece && finding.severity !== 'error' && finding.where.pieceId === piece.id
              ? () => edit(`a note of ${piece.name} set aside`, setAside(piece, finding, ''))
              : undefined
          }
          onSeen={
            piece && isOfUse(finding) && finding.severity !== 'error' && finding.where.pieceId === piece.id
              ? () => edit(`what ${piece.name} is for`, onlySeen(piece))
              : undefined
          }
        />
      ))}
      {notes.length === 0 && children && <li className="font-hand text-body text-moss">{children}</li>}
      {piece && own && own.aside.length > 0 && (
        <Suspense>
          <SetAside piece={piece} own={own} />
        </Suspense>
      )}
    </ul>
  );
};
