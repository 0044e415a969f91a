import { lazy, useEffect, useState } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import {
  api,
  closed,
  hearOtherPages,
  noticed,
  type Opening,
  openSet,
  saveAgain,
  takeNewest,
  useAppDispatch,
  useAppSelector,
} from '../state/index.ts';
import { Button } from '../ui/index.ts';

const TwoVersions = lazy(async () => ({ default: (await import('../views/versions/index.ts')).TwoVersions }));

const WORDS = {
  missing: 'This set is no longer on the shelf. If it was taken down, it waits under “off the shelf” for thirty days.',
  unreadable: 'This set was written by a newer program, and cannot be read here.',
  offline: 'Bashful Parlor cannot be reached. Is it still running? Nothing is lost; try again in a moment.',
  closed: 'The pass phrase is asked for first.',
} as const;

const Failed = ({ why, onAgain }: { readonly why: keyof typeof WORDS; readonly onAgain: () => void }) => (
  <div className="p-10 max-w-lg space-y-4">
    <h1 className="text-title">It cannot be opened</h1>
    <p>{WORDS[why]}</p>
    <div className="flex gap-3">
      {why === 'offline' && (
        <Button look="main" onClick={onAgain}>
          Try again
        </Button>
      )}
      <Link to="/sets" className="underline self-center min-h-touch inline-flex items-center">
        To the shelf of sets
      </Link>
    </div>
  </div>
);

/** The set was taken off the shelf elsewhere while it lay open here. */
const Gone = ({ id }: { readonly id: string }) => {
  const dispatch = useAppDispatch();
  const putBack = async () => {
    if ((await api.restore(id)).ok) saveAgain();
    else dispatch(noticed({ text: 'It could not be put back; is Bashful Parlor still running?', action: null }));
  };
  return (
    <div role="alert" className="mb-3 mr-4 p-4 rounded-soft bg-leaf border-l-4 border-rose flex flex-wrap items-center gap-3">
      <p className="flex-1 min-w-64">
        <strong>This set was taken off the shelf on another page.</strong> What you changed here is kept in this browser until you choose.
      </p>
      <Button look="main" onClick={() => void putBack()}>
        Put it back
      </Button>
      <Button onClick={() => dispatch(closed())}>Leave it off</Button>
    </div>
  );
};

/** Opens the set that the address names, and shows its views once it lies open. */
export const SetFrame = () => {
  const { setId = '' } = useParams();
  const dispatch = useAppDispatch();
  const { id: openId, save, document } = useAppSelector((state) => state.openSet);
  const [opening, setOpening] = useState<Opening | 'opening'>('opening');
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let wanted = true;
    if (openId !== setId || tries > 0) {
      setOpening('opening');
      void openSet(setId, dispatch).then((outcome) => wanted && setOpening(outcome));
    }
    return () => {
      wanted = false;
    };
  }, [setId, openId, tries, dispatch]);
  useEffect(
    () =>
      hearOtherPages(({ id, revision }) => {
        void takeNewest(id, revision, dispatch).then(
          (taken) => taken && dispatch(noticed({ text: 'This set was changed on another page; here is the newest.', action: null })),
        );
      }),
    [dispatch],
  );
  if (openId === setId && document && save === 'stale') return <TwoVersions id={setId} mine={document} />;
  if (openId === setId) {
    return (
      <>
        {save === 'gone' && <Gone id={setId} />}
        <Outlet />
      </>
    );
  }
  if (opening === 'opening' || opening === 'open') return <p className="p-10 font-hand text-graphite">fetching it from the shelf …</p>;
  return <Failed why={opening} onAgain={() => setTries(tries + 1)} />;
};
