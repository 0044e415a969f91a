import { useEffect, useState } from 'react';
import { type AwaySummary, api, noticed, useAppDispatch } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';

const DAY = 86_400_000;

const daysLeft = (until: string): string => {
  const days = Math.max(0, Math.ceil((Date.parse(until) - Date.now()) / DAY));
  return `${days} ${days === 1 ? 'day' : 'days'} left`;
};

/** Sets that were taken off the shelf: for thirty days each can be put back. */
export const AwayShelf = ({ looks, onChanged }: { readonly looks: number; readonly onChanged: () => void }) => {
  const dispatch = useAppDispatch();
  const [sets, setSets] = useState<readonly AwaySummary[]>([]);
  useEffect(() => {
    let wanted = looks >= 0;
    void api.listAway().then((answer) => wanted && answer.ok && setSets(answer.value.sets));
    return () => {
      wanted = false;
    };
  }, [looks]);
  if (sets.length === 0) return null;
  const putBack = async ({ id, name }: AwaySummary) => {
    const answer = await api.restore(id);
    dispatch(
      noticed({
        text: answer.ok ? `“${name}” is back on the shelf.` : 'It could not be put back; is Bashful Parlor still running?',
        action: null,
      }),
    );
    onChanged();
  };
  return (
    <details className="mt-5" data-testid="away">
      <summary className="min-h-touch flex items-center underline underline-offset-4 decoration-dotted">
        off the shelf: {sets.length} {sets.length === 1 ? 'set' : 'sets'}
      </summary>
      <ul>
        {sets.map((set) => (
          <li key={set.id} className="flex items-center gap-3 border-b border-dashed border-tab py-1">
            <span className="flex-1 min-w-0 truncate">{set.name || 'no name yet'}</span>
            <span className="text-small text-graphite whitespace-nowrap">{daysLeft(set.until)}</span>
            <Button look="quiet" onClick={() => void putBack(set)} aria-label={`Put ${set.name} back`}>
              put it back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
};
