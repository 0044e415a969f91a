import { type DerivedPiece, describeFinding, type Finding, noteOf, type Piece, setAside, takeUp } from '@parlor/core/set';
import type { ReactNode } from 'react';
import { useAppSelector, useEdit, useUnits } from '../state/index.ts';
import { Button } from './Button.tsx';
import { cx } from './cx.ts';
import { MarginNote } from './MarginNote.tsx';
import { TextField } from './TextField.tsx';

/** A finding, and of what it is where the list is about several things. */
export type Noted = { readonly finding: Finding; readonly of?: string | undefined };

/** Notes that read the same are told apart by their number, so that none stays when another list comes. */
const keyed = (notes: readonly Noted[]): readonly (readonly [key: string, note: Noted])[] => {
  const seen = new Map<string, number>();
  return notes.map((note) => {
    const key = `${note.finding.where.pieceId} ${note.finding.code} ${note.of ?? ''}`;
    const nth = seen.get(key) ?? 0;
    seen.set(key, nth + 1);
    return [`${key} ${nth}`, note];
  });
};

type Props = {
  readonly notes: readonly Noted[];
  /** The piece whose notes they are, where they may be set aside for it. */
  readonly piece?: DerivedPiece | undefined;
  readonly children?: ReactNode;
  readonly className?: string;
  readonly label?: string;
};

/** What was set aside for a piece, each with why. */
const SetAside = ({ piece, own }: { readonly piece: Piece; readonly own: DerivedPiece }) => {
  const units = useUnits();
  const edit = useEdit();
  const why = (finding: Finding): string => piece.aside.find(({ note }) => note === noteOf(finding))?.why ?? '';
  return (
    <li>
      <details data-testid="set-aside">
        <summary className="min-h-touch flex items-center text-small text-graphite underline underline-offset-4 decoration-dotted">
          {own.aside.length === 1 ? 'one note set aside' : `${own.aside.length} notes set aside`}
        </summary>
        <ul className="space-y-3 border-l-3 border-tab pl-3">
          {keyed(notesOf(own.aside)).map(([key, { finding }]) => (
            <li key={key} className="text-small text-graphite">
              <p>
                <strong>{describeFinding(finding, units).title}.</strong> {describeFinding(finding, units).reason}
              </p>
              <TextField
                label="Why not for this one"
                value={why(finding)}
                most={200}
                onChange={(next) => edit(`why a note of ${piece.name} is set aside`, setAside(piece, finding, next))}
              />
              <Button look="quiet" className="px-0!" onClick={() => edit(`a note of ${piece.name} taken up again`, takeUp(piece, finding))}>
                let it count again
              </Button>
            </li>
          ))}
        </ul>
      </details>
    </li>
  );
};

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
        />
      ))}
      {notes.length === 0 && children && <li className="font-hand text-body text-moss">{children}</li>}
      {piece && own && own.aside.length > 0 && <SetAside piece={piece} own={own} />}
    </ul>
  );
};

export const notesOf = (findings: readonly Finding[]): readonly Noted[] => findings.map((finding) => ({ finding }));
