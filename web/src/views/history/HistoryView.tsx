import { differences, type SetDocument } from '@parlor/core/set';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, noticed, type RevisionSummary, useAppDispatch, useAppSelector, useEdit, useLook, useSet } from '../../state/index.ts';
import { Button, cx, SetScene, Spread } from '../../ui/index.ts';
import { dayOf, momentOf, timeOf } from './moments.ts';

const useRevisions = (id: string, revision: number): readonly RevisionSummary[] | 'fetching' | 'offline' => {
  const [list, setList] = useState<readonly RevisionSummary[] | 'fetching' | 'offline'>('fetching');
  // A save adds a line, so the list is fetched anew with each revision.
  useEffect(() => {
    let wanted = revision > 0;
    void api.revisions(id).then((answer) => wanted && setList(answer.ok ? answer.value.revisions : 'offline'));
    return () => {
      wanted = false;
    };
  }, [id, revision]);
  return list;
};

const useOld = (id: string, revision: number | null): SetDocument | null => {
  const [old, setOld] = useState<{ readonly revision: number; readonly document: SetDocument } | null>(null);
  useEffect(() => {
    let wanted = true;
    if (revision !== null) void api.revision(id, revision).then((answer) => wanted && answer.ok && setOld(answer.value));
    return () => {
      wanted = false;
    };
  }, [id, revision]);
  return old?.revision === revision ? old.document : null;
};

const Save = ({ save, chosen, onChoose }: { readonly save: RevisionSummary; readonly chosen: boolean; readonly onChoose: () => void }) => (
  <li>
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      data-revision={save.revision}
      className={cx(
        'w-full min-h-touch text-left flex gap-3 items-baseline px-2 py-1.5 rounded-slip border',
        chosen ? 'bg-sprig border-moss' : 'border-transparent hover:bg-oat',
      )}
    >
      <time dateTime={save.savedAt} className={cx('shrink-0 w-12', !chosen && 'text-graphite')}>
        {timeOf(save.savedAt)}
      </time>
      <span className="min-w-0 wrap-break-word">{save.words}</span>
    </button>
  </li>
);

/** The saves by day, the newest first. */
const Saves = ({
  list,
  chosen,
  onChoose,
}: {
  readonly list: readonly RevisionSummary[];
  readonly chosen: number | null;
  readonly onChoose: (revision: number) => void;
}) =>
  [...new Set(list.map(({ savedAt }) => dayOf(savedAt)))].map((day) => (
    <section key={day}>
      <h2 className="text-lead mt-4 mb-1">{day}</h2>
      <ol>
        {list
          .filter(({ savedAt }) => dayOf(savedAt) === day)
          .map((save) => (
            <Save key={save.revision} save={save} chosen={save.revision === chosen} onChoose={() => onChoose(save.revision)} />
          ))}
      </ol>
    </section>
  ));

const Old = ({ save, old }: { readonly save: RevisionSummary; readonly old: SetDocument }) => {
  const now = useSet();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const look = useLook(old);
  const changed = differences(now, old, now.units);
  const bringBack = () => {
    edit(`the set as it was ${momentOf(save.savedAt)}`, { kind: 'replace', document: old });
    dispatch(noticed({ text: `The set is again as it was ${momentOf(save.savedAt)}; undo takes that back.`, action: null }));
  };
  const copy = async () => {
    const made = await api.create({ ...old, name: `${old.name} (as it was)`.slice(-120) }, 'a copy');
    if (made.ok) await navigate(`/sets/${made.value.id}/pieces`);
    else dispatch(noticed({ text: 'The copy could not be made; is Bashful Parlor still running?', action: null }));
  };
  return (
    <div className="space-y-5">
      <header>
        <h2 className="text-head">{old.name || 'no name yet'}</h2>
        <p className="text-graphite">as it was {momentOf(save.savedAt)}</p>
      </header>
      <div className="h-60">
        {look && look !== 'failed' ? (
          <SetScene document={old} derived={look} label={`${old.name} as it was: ${old.pieces.map(({ name }) => name).join(', ')}`} />
        ) : (
          <p className="font-hand text-graphite">setting it up …</p>
        )}
      </div>
      {changed.length === 0 ? (
        <p>It is just as it stands now.</p>
      ) : (
        <>
          <div>
            <h3 className="text-lead mb-1.5">Brought back, this would change</h3>
            <ul className="space-y-1 text-note" data-testid="differences">
              {changed.map(({ title, kind, words, part }) => (
                <li key={JSON.stringify(part)}>
                  <strong>{title || 'without a name'}</strong> {kind === 'changed' ? words.join(', ') : kind}
                </li>
              ))}
            </ul>
          </div>
          <div className="flex flex-wrap gap-2">
            <Button look="main" onClick={bringBack}>
              Bring this back
            </Button>
            <Button onClick={() => void copy()}>Make it a set of its own</Button>
          </div>
        </>
      )}
    </div>
  );
};

/** What was saved, when, and what changed; any of it can be looked at and brought back. */
export const HistoryView = () => {
  const { id, revision } = useAppSelector((state) => state.openSet);
  const [chosen, setChosen] = useState<number | null>(null);
  const list = useRevisions(id ?? '', revision);
  const old = useOld(id ?? '', chosen);
  const save = typeof list === 'string' ? undefined : list.find((each) => each.revision === chosen);
  return (
    <Spread
      leftLabel="Which save to look at"
      rightLabel="The set as it was"
      left={
        <div className="max-w-md">
          <h1 className="text-title">History</h1>
          <p className="text-graphite">every save is kept · which one to look at</p>
          {list === 'fetching' && <p className="font-hand text-graphite mt-4">leafing back …</p>}
          {list === 'offline' && <p className="mt-4">Bashful Parlor cannot be reached just now. Nothing is lost; come back in a moment.</p>}
          {typeof list !== 'string' && <Saves list={list} chosen={chosen} onChoose={setChosen} />}
        </div>
      }
      right={
        save && old ? (
          <Old save={save} old={old} />
        ) : (
          <p className="font-hand text-lead text-graphite mt-10">
            {chosen === null ? 'Choose a save on the left, and the set stands here as it was.' : 'fetching it …'}
          </p>
        )
      }
    />
  );
};
