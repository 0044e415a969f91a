import type { Finding } from '@parlor/core/set';
import type { ReactNode } from 'react';
import { cx } from './cx.ts';
import { MarginNote } from './MarginNote.tsx';

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

type Props = { readonly notes: readonly Noted[]; readonly children?: ReactNode; readonly className?: string; readonly label?: string };

/** The notes in a margin; the children are what is said when there are none. */
export const MarginNotes = ({ notes, children, className, label = 'Margin notes' }: Props) => (
  <ul className={cx('space-y-3', className)} aria-label={label} data-testid="notes">
    {keyed(notes).map(([key, { finding, of }]) => (
      <MarginNote key={key} finding={finding} of={of} />
    ))}
    {notes.length === 0 && children && <li className="font-hand text-body text-moss">{children}</li>}
  </ul>
);

export const notesOf = (findings: readonly Finding[]): readonly Noted[] => findings.map((finding) => ({ finding }));
