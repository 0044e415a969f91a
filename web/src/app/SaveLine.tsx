import { Link } from 'react-router';
import { type SaveState, saveAgain, useAppSelector } from '../state/index.ts';
import { cx } from '../ui/index.ts';

const WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'saved',
  unsaved: 'not saved yet',
  saving: 'saving …',
  offline: 'offline, kept here',
  full: 'disk full, kept here',
  refused: 'not accepted, kept here',
  stale: 'two versions: choose',
  gone: 'off the shelf: choose',
  closed: 'locked, kept here',
};

const WHY: Readonly<Partial<Record<SaveState, string>>> = {
  offline: 'Bashful Parlor cannot be reached. What you do is kept in this browser, and sent as soon as it answers again.',
  full: 'There is no room on the disk where sets are kept. What you do is kept in this browser; make room, and it is saved.',
  refused: 'The shelf did not accept this version. It is kept in this browser; save it as a file from the page of sets to be sure.',
  closed: 'The pass phrase is asked for again. What you do is kept in this browser until then.',
};

/** How things stand between this page and where sets are kept; leads to the history. */
export const SaveLine = ({ className }: { readonly className?: string }) => {
  const { id, save, keptHere, reasons } = useAppSelector((state) => state.openSet);
  if (!id) return null;
  const waiting = save === 'offline' || save === 'full';
  // What the shelf has needs no keeping here.
  const words = keptHere || save === 'saved' ? WORDS[save] : 'NOT kept: save as a file';
  return (
    <div className={cx('font-hand text-note leading-tight', className)}>
      <p
        role="status"
        data-save={save}
        title={WHY[save]}
        className={cx((save === 'saved' || save === 'saving') && (keptHere || save === 'saved') ? 'text-ink' : 'text-rose')}
      >
        {words}
      </p>
      {(waiting || reasons.length > 0) && <p className="sr-only">{[WHY[save], ...reasons].join(' ')}</p>}
      {waiting && (
        <button type="button" className="underline underline-offset-2 min-h-7" onClick={saveAgain}>
          try now
        </button>
      )}
      <Link to={`/sets/${id}/history`} className="underline underline-offset-2 decoration-dotted inline-block min-h-7 leading-7">
        history
      </Link>
    </div>
  );
};
