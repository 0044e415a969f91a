import { bringTogether, compareVersions, type Difference, type MergeSide, readSet, type SetDocument, type Strand } from '@parlor/core/set';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, broughtTogether, closed, forgetOpen, noticed, useAppDispatch, useAppSelector, useLook } from '../../state/index.ts';
import { Button, Choice, SetScene, Spread } from '../../ui/index.ts';

type Theirs = { readonly revision: number; readonly document: SetDocument; readonly base: SetDocument | null };

/** The version that was saved meanwhile, and the one that both began from, where it is still known. */
const useTheirs = (id: string, basedOn: number): Theirs | 'fetching' | 'offline' => {
  const [theirs, setTheirs] = useState<Theirs | 'fetching' | 'offline'>('fetching');
  useEffect(() => {
    let wanted = true;
    void Promise.all([api.read(id), api.revision(id, basedOn)]).then(([now, before]) => {
      if (!wanted) return;
      setTheirs(now.ok ? { ...now.value, base: before.ok ? before.value.document : null } : 'offline');
    });
    return () => {
      wanted = false;
    };
  }, [id, basedOn]);
  return theirs;
};

const SIDES = [
  { value: 'mine', label: 'mine' },
  { value: 'theirs', label: 'the saved one' },
] as const;

const said = (difference: Difference | null, otherwise: string): string => {
  if (!difference) return otherwise;
  return difference.kind === 'changed' ? difference.words.join(', ') : difference.kind;
};

const StrandChoice = ({
  strand,
  side,
  onChange,
}: {
  readonly strand: Strand;
  readonly side: MergeSide;
  readonly onChange: (side: MergeSide) => void;
}) => (
  <li className="border-b border-dashed border-tab pb-3" data-strand={strand.key}>
    <h3 className="text-lead">{strand.title || 'without a name'}</h3>
    <dl className="text-note grid grid-cols-[auto_1fr] gap-x-3 my-1.5">
      <dt className="text-graphite">mine</dt>
      <dd>{said(strand.mine, 'as it was')}</dd>
      <dt className="text-graphite">the saved one</dt>
      <dd>{said(strand.theirs, 'as it was')}</dd>
    </dl>
    <Choice label={`Which ${strand.title}`} hideLabel value={side} options={SIDES} onChange={onChange} />
  </li>
);

const Together = ({ document }: { readonly document: SetDocument }) => {
  const look = useLook(document);
  return (
    <div className="h-72">
      {look && look !== 'failed' ? (
        <SetScene document={document} derived={look} label={`${document.name}, both versions together: ${document.pieces.length} pieces`} />
      ) : (
        <p className="font-hand text-graphite">setting it up …</p>
      )}
    </div>
  );
};

const Choosing = ({ id, mine, theirs }: { readonly id: string; readonly mine: SetDocument; readonly theirs: Theirs }) => {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const strands = useMemo(() => compareVersions(theirs.base, mine, theirs.document), [mine, theirs]);
  const [chosen, setChosen] = useState<Readonly<Record<string, MergeSide>>>({});
  const sideOf = (key: string): MergeSide => chosen[key] ?? strands.find((strand) => strand.key === key)?.suggested ?? 'theirs';
  const together = useMemo(
    () => bringTogether(mine, theirs.document, (key) => chosen[key] ?? strands.find((strand) => strand.key === key)?.suggested ?? 'theirs'),
    [mine, theirs, chosen, strands],
  );
  const checked = readSet(together);
  const take = () => {
    forgetOpen(id);
    dispatch(broughtTogether({ document: together, revision: theirs.revision }));
    dispatch(noticed({ text: 'Both versions are one again; undo gives yours back.', action: null }));
  };
  const keepBoth = async () => {
    const made = await api.create({ ...mine, name: `${mine.name} (my copy)`.slice(-120) }, 'a copy');
    if (!made.ok) return dispatch(noticed({ text: 'The copy could not be made; is Bashful Parlor still running?', action: null }));
    forgetOpen(id);
    dispatch(closed());
    return navigate(`/sets/${made.value.id}/pieces`);
  };
  return (
    <Spread
      leftLabel="Which version of each part"
      rightLabel="What follows"
      left={
        <div className="max-w-md space-y-4">
          <header>
            <h1 className="text-title">Two versions</h1>
            <p className="text-graphite mt-1" role="alert">
              This set was saved on another page meanwhile. Nothing of either is lost: choose part by part, or keep both.
            </p>
          </header>
          <ul className="space-y-4">
            {strands.map((strand) => (
              <StrandChoice
                key={strand.key}
                strand={strand}
                side={sideOf(strand.key)}
                onChange={(side) => setChosen({ ...chosen, [strand.key]: side })}
              />
            ))}
          </ul>
          {strands.length === 0 && <p>They are the same; only who saved them differs.</p>}
        </div>
      }
      right={
        <div className="space-y-5">
          <header>
            <h2 className="text-head">Both together</h2>
            <p className="text-graphite">what follows from what is chosen on the left</p>
          </header>
          <Together document={together} />
          {!checked.ok && (
            <ul className="font-hand text-rose border-l-3 border-rose pl-3">
              {checked.error.map(({ path, message }) => (
                <li key={path + message}>{message}</li>
              ))}
            </ul>
          )}
          <div className="flex flex-wrap gap-2">
            <Button look="main" disabled={!checked.ok} onClick={take}>
              Bring them together
            </Button>
            <Button onClick={() => void keepBoth()}>Keep mine as a copy</Button>
          </div>
          <p className="text-small text-graphite max-w-sm">
            The saved version stays in the history whatever you choose, and undo gives yours back.
          </p>
        </div>
      }
    />
  );
};

/** Somebody saved this set elsewhere in the meantime. Until the maker has chosen, nothing is overwritten. */
export const TwoVersions = ({ id, mine }: { readonly id: string; readonly mine: SetDocument }) => {
  const revision = useAppSelector((state) => state.openSet.revision);
  const theirs = useTheirs(id, revision);
  if (theirs === 'fetching') return <p className="p-10 font-hand text-graphite">fetching the other version …</p>;
  if (theirs === 'offline')
    return <p className="p-10">The other version cannot be fetched just now. What you did is kept in this browser; reload to try again.</p>;
  return <Choosing id={id} mine={mine} theirs={theirs} />;
};
