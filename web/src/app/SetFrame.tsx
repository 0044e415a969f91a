import { useEffect, useState } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import { loadSet, useAppDispatch, useAppSelector } from '../state/index.ts';
import { Button } from '../ui/index.ts';
import { StaleChoice } from './StaleChoice.tsx';

type Opening = 'opening' | Awaited<ReturnType<typeof loadSet>>;

const WORDS = {
  missing: 'This set is no longer on the shelf. It may have been taken down on another page.',
  unreadable: 'This set was written by a newer program, and cannot be read here.',
  offline: 'Bashful Parlor cannot be reached. Is it still running? Nothing is lost; try again in a moment.',
} as const;

/** Opens the set that the address names, and shows its views once it lies open. */
export const SetFrame = () => {
  const { setId = '' } = useParams();
  const dispatch = useAppDispatch();
  const openId = useAppSelector((state) => state.openSet.id);
  const [opening, setOpening] = useState<Opening>('opening');
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let wanted = true;
    if (openId !== setId || tries > 0) {
      setOpening('opening');
      void loadSet(setId, dispatch).then((outcome) => wanted && setOpening(outcome));
    }
    return () => {
      wanted = false;
    };
  }, [setId, openId, tries, dispatch]);
  if (openId === setId) {
    return (
      <>
        <StaleChoice />
        <Outlet />
      </>
    );
  }
  if (opening === 'opening' || opening === 'open') return <p className="p-10 font-hand text-graphite">fetching it from the shelf …</p>;
  return (
    <div className="p-10 max-w-lg space-y-4">
      <h1 className="text-2xl">It cannot be opened</h1>
      <p>{WORDS[opening]}</p>
      <div className="flex gap-3">
        {opening === 'offline' && (
          <Button look="main" onClick={() => setTries(tries + 1)}>
            Try again
          </Button>
        )}
        <Link to="/sets" className="underline self-center">
          To the shelf of sets
        </Link>
      </div>
    </div>
  );
};
