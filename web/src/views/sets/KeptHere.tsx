import { useCallback, useEffect, useState } from 'react';
import { api, dropAside, type KeptAside, listAside, noticed, type SetSummary, useAppDispatch } from '../../state/index.ts';
import { Button, saveAs } from '../../ui/index.ts';

const when = (at: number): string =>
  at > 0 ? new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' }) : 'some time ago';

/** Versions that this browser keeps because the shelf did not take them, or they could not be read: nothing becomes of them until the maker says. */
export const KeptHere = ({ shelf, onChanged }: { readonly shelf: readonly SetSummary[] | null; readonly onChanged: () => void }) => {
  const dispatch = useAppDispatch();
  const [kept, setKept] = useState<readonly KeptAside[]>([]);
  const look = useCallback(() => void listAside().then(setKept), []);
  useEffect(look, [look]);
  if (kept.length === 0) return null;
  const nameOf = ({ id, name }: KeptAside): string => name || shelf?.find((set) => set.id === id)?.name || 'a set without a name';
  const remove = async ({ key }: KeptAside) => {
    await dropAside(key);
    look();
  };
  const addAsSet = async (aside: KeptAside) => {
    const made = await api.create(aside.document, 'brought in');
    if (made.ok) {
      await remove(aside);
      onChanged();
      return dispatch(noticed({ text: `“${nameOf(aside)}” is on the shelf as a set of its own.`, action: null }));
    }
    const [issue] = made.error.issues ?? [];
    const why = issue ? `${issue.path ? `${issue.path}: ` : ''}${issue.message}` : 'Bashful Parlor cannot be reached.';
    return dispatch(noticed({ text: `It could not be added. ${why}`, action: null }));
  };
  return (
    <section aria-label="Kept in this browser" data-testid="kept-here" className="mb-5 p-4 rounded-soft bg-paper border-l-4 border-rose">
      <h3 className="text-lead font-semibold">Kept in this browser</h3>
      <p className="text-note text-graphite mt-1">These versions are not on the shelf. They stay here until you delete them.</p>
      <ul>
        {kept.map((aside) => (
          <li key={aside.key} className="flex flex-wrap items-center gap-x-1 border-b border-dashed border-tab py-1.5 last:border-b-0">
            <span className="basis-full">
              {nameOf(aside)} <span className="text-small text-graphite whitespace-nowrap">{when(aside.at)}</span>
            </span>
            <Button
              look="quiet"
              className="-ml-4"
              onClick={() => saveAs('kept.parlor.json', 'application/json', JSON.stringify(aside.document, null, 2))}
            >
              Save as a file
            </Button>
            <Button look="quiet" onClick={() => void addAsSet(aside)}>
              Add as a set
            </Button>
            <Button look="quiet" aria-label={`Delete the kept version of ${nameOf(aside)}`} onClick={() => void remove(aside)}>
              Delete
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
};
