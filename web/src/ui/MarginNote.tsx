import { describeFinding, describeMend, type Finding } from '@parlor/core/set';
import { Check, CircleAlert, StickyNote, TriangleAlert } from 'lucide-react';
import { useEdit, useUnits } from '../state/index.ts';
import { cx } from './cx.ts';

const SIGNS = { error: CircleAlert, warning: TriangleAlert, note: StickyNote } as const;
const KINDS = { error: 'must be mended', warning: 'look again', note: 'note' } as const;

type Props = {
  readonly finding: Finding;
  readonly of?: string | undefined;
  /** Sets the judgement aside, where that can be done. */
  readonly onAside?: (() => void) | undefined;
  /** Says that the thing is only looked at, where it was judged by how it is used. */
  readonly onSeen?: (() => void) | undefined;
};

/** A finding beside the thing it concerns: what is wrong, why and how much, and the mend underlined. */
export const MarginNote = ({ finding, of, onAside, onSeen }: Props) => {
  const units = useUnits();
  const edit = useEdit();
  const { title, reason } = describeFinding(finding, units);
  const Sign = SIGNS[finding.severity];
  const quiet = finding.severity === 'note';
  return (
    <li
      className={cx('font-hand text-body leading-snug border-l-3 pl-3', quiet ? 'border-steel text-graphite' : 'border-rose text-rose')}
      data-finding={finding.code}
    >
      <Sign size={15} className="inline mr-1.5 -mt-0.5" aria-label={KINDS[finding.severity]} />
      <strong className="font-bold">{title}.</strong> {of && <span>{of}: </span>}
      {reason}
      {finding.mend && (
        <button
          type="button"
          className="flex items-center gap-1 min-h-touch -my-1 text-left underline underline-offset-4 decoration-2 font-semibold hover:text-ink"
          onClick={() => finding.mend && edit(describeMend(finding.mend, units), finding.mend.edit)}
        >
          <Check size={15} className="shrink-0" aria-hidden="true" />
          {describeMend(finding.mend, units)}
        </button>
      )}
      {onAside && (
        <button
          type="button"
          className="block min-h-touch -my-1 text-small text-graphite underline underline-offset-4 decoration-dotted hover:text-ink"
          aria-label={`not for this one: ${title}`}
          onClick={onAside}
        >
          not for this one
        </button>
      )}
      {onSeen && (
        <button
          type="button"
          className="block min-h-touch -my-1 text-small text-graphite text-left underline underline-offset-4 decoration-dotted hover:text-ink"
          onClick={onSeen}
        >
          it is only looked at, never used
        </button>
      )}
    </li>
  );
};
