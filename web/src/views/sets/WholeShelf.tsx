import { Archive, DoorClosed, FolderInput } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { type ApiError, api, doorClosed, type Restored, type ShelfState, useAppDispatch } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';

const WHY: Readonly<Record<string, (error: ApiError) => string>> = {
  'copy-unreadable': () => 'This file is not a copy of a shelf.',
  'copy-damaged': () => 'The copy is incomplete or damaged; nothing was restored.',
  'copy-of-newer-version': () => 'The copy was made by a newer Bashful Parlor. Update this one first.',
  'copy-row': ({ row, reason }) => `Row ${row} of the copy can’t be used: ${reason}. Nothing was restored.`,
  'copy-too-large': ({ megabytes }) => `The copy is larger than ${megabytes} MB. Restore it on the command line.`,
  'storage-full': () => 'The disk is full. Make room and restore it again; what is back already stays.',
  'too-many-sets': () => 'The shelf is full. Delete sets that you no longer need.',
};

const count = (many: number, one: string, more: string): string => `${many} ${many === 1 ? one : more}`;

const restoredWords = ({ sets, besides, already, presets, pictures }: Restored): string =>
  [
    `Restored: ${count(sets + besides, 'set', 'sets')}`,
    besides > 0 ? `, ${besides} of them beside a changed set of the same name` : '',
    presets > 0 ? `, ${count(presets, 'template', 'templates')}` : '',
    pictures > 0 ? `, ${count(pictures, 'picture', 'pictures')}` : '',
    already > 0 ? `; ${already} ${already === 1 ? 'thing was' : 'things were'} here already` : '',
    '.',
  ].join('');

type State = { readonly tone: 'busy' | 'good' | 'bad'; readonly words: string } | null;

const newestWords = (shelf: ShelfState): string =>
  shelf.newestCopy
    ? `Beside the shelf the last copy was made on ${new Date(shelf.newestCopy).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}; a new one is made each day that you work.`
    : '';

/** The way out for whoever came in by a pass phrase. */
const Leave = () => {
  const dispatch = useAppDispatch();
  const [needed, setNeeded] = useState(false);
  useEffect(() => {
    let wanted = true;
    void api.door().then((answer) => wanted && answer.ok && setNeeded(answer.value.needed));
    return () => {
      wanted = false;
    };
  }, []);
  if (!needed) return null;
  const leave = async (everywhere: boolean) => {
    const left = everywhere ? await api.endSessions() : await api.leave();
    if (left.ok) dispatch(doorClosed());
  };
  return (
    <div className="flex flex-wrap gap-2 pt-2">
      <Button onClick={() => void leave(false)}>
        <DoorClosed size={18} />
        Log out
      </Button>
      <Button look="quiet" onClick={() => void leave(true)}>
        Log out everywhere
      </Button>
    </div>
  );
};

/** The browser takes it from the server as it comes; no page holds all of it at once. */
const download = (): void => {
  const link = document.createElement('a');
  link.href = '/api/shelf/copy';
  link.download = '';
  link.click();
};

/** A copy of everything into a file, back from one, and the way out. */
export const WholeShelf = ({ shelf, onChanged }: { readonly shelf: ShelfState | null; readonly onChanged: () => void }) => {
  const chooser = useRef<HTMLInputElement>(null);
  const [state, setState] = useState<State>(null);
  const restore = async (file: File | undefined) => {
    if (!file) return;
    setState({ tone: 'busy', words: `Checking ${file.name} …` });
    const restored = await api.sendCopy(file);
    if (restored.ok) {
      setState({ tone: 'good', words: restoredWords(restored.value) });
      return onChanged();
    }
    const why = WHY[restored.error.code]?.(restored.error) ?? 'Bashful Parlor cannot be reached. Is it still running?';
    return setState({ tone: 'bad', words: `${file.name}: ${why}` });
  };
  return (
    <section aria-label="The whole shelf" className="space-y-3">
      <h2 className="text-head">The whole shelf</h2>
      <p className="text-graphite">
        One file with every set and its history, your pictures and templates. Keep it on another disk. {shelf && newestWords(shelf)}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={download}>
          <Archive size={18} />
          Keep a copy of everything
        </Button>
        <Button disabled={state?.tone === 'busy'} onClick={() => chooser.current?.click()}>
          <FolderInput size={18} />
          Restore from a copy
        </Button>
        <input
          ref={chooser}
          type="file"
          accept=".parlor-shelf,application/gzip"
          className="sr-only"
          tabIndex={-1}
          aria-label="A copy of a shelf"
          onChange={(event) => {
            void restore(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </div>
      {state && (
        <p
          role={state.tone === 'bad' ? 'alert' : 'status'}
          data-testid="restored"
          className={state.tone === 'bad' ? 'font-hand text-rose' : 'font-hand text-ink'}
        >
          {state.words}
        </p>
      )}
      <Leave />
    </section>
  );
};
