import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { api, type SetSummary, type ShelfState, unsentSets, useAppSelector } from '../../state/index.ts';
import { Button, Spread } from '../../ui/index.ts';
import { AwayShelf } from './AwayShelf.tsx';
import { KeptHere } from './KeptHere.tsx';
import { OpenSetCard } from './OpenSetCard.tsx';
import { ShelfNotices } from './ShelfNotices.tsx';
import { StartSet } from './StartSet.tsx';
import { Vignette } from './Vignette.tsx';
import { WholeShelf } from './WholeShelf.tsx';

type Shelf = readonly SetSummary[] | 'fetching' | 'offline';

const useShelf = () => {
  const [shelf, setShelf] = useState<Shelf>('fetching');
  const [looks, setLooks] = useState(0);
  const { key } = useLocation();
  // Each visit and each further look fetches the shelf anew.
  useEffect(() => {
    let wanted = true;
    void api.list().then((answer) => {
      if (wanted && looks >= 0 && key) setShelf(answer.ok ? answer.value.sets : 'offline');
    });
    return () => {
      wanted = false;
    };
  }, [looks, key]);
  return { shelf, looks, again: () => setLooks((count) => count + 1) };
};

/** The sets of which this browser keeps something that is not saved; the one that lies open says so itself. */
const useUnsent = (looks: number): ReadonlySet<string> => {
  const [unsent, setUnsent] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    let wanted = looks >= 0;
    void unsentSets().then((found) => wanted && setUnsent(found));
    return () => {
      wanted = false;
    };
  }, [looks]);
  return unsent;
};

const Right = ({ shelf, looks, again }: { readonly shelf: Shelf; readonly looks: number; readonly again: () => void }) => {
  const unsent = useUnsent(looks);
  const open = useAppSelector((state) => state.openSet.id);
  if (shelf === 'fetching') return <p className="font-hand text-graphite">looking along the shelf …</p>;
  if (shelf === 'offline') {
    return (
      <div className="space-y-3">
        <p>Bashful Parlor cannot be reached. Is it still running? What you typed is kept in this browser.</p>
        <Button look="main" onClick={again}>
          Look again
        </Button>
      </div>
    );
  }
  if (shelf.length === 0)
    return <p className="font-hand text-lead text-graphite mt-6">The shelf is empty. Begin a set on the left, or bring one from a file.</p>;
  return (
    <div className="grid gap-4">
      {shelf.map((set) => (
        <Vignette key={`${set.id} ${set.revision}`} set={set} unsent={unsent.has(set.id) && set.id !== open} />
      ))}
    </div>
  );
};

/** What the shelf tells of itself as a whole. */
const useShelfState = (looks: number): ShelfState | null => {
  const [state, setState] = useState<ShelfState | null>(null);
  useEffect(() => {
    let wanted = looks >= 0;
    void api.shelf().then((answer) => wanted && answer.ok && setState(answer.value));
    return () => {
      wanted = false;
    };
  }, [looks]);
  return state;
};

const STEPS = [
  ['The doll', 'how tall, and whom the doll stands for'],
  ['The real thing', 'what it measures; shelves, doors and bays on its drawing'],
  ['The board', 'what the ruler says it measures, in which sheets'],
  ['The page', 'print the templates, lay them on the board, cut'],
] as const;

/** What a newcomer will do, in the order of the work. */
const WayThrough = () => (
  <section aria-label="The way through">
    <h2 className="text-head mb-3">The way through</h2>
    <ol className="space-y-3">
      {STEPS.map(([name, words], index) => (
        <li key={name} className="flex gap-4 items-baseline">
          <span className="font-hand text-head text-rose w-5 text-right" aria-hidden="true">
            {index + 1}
          </span>
          <span>
            <strong className="font-name font-semibold text-lead">{name}</strong>
            <br />
            <span className="font-hand text-lead text-graphite">{words}</span>
          </span>
        </li>
      ))}
    </ol>
    <p className="mt-4 text-note text-graphite">Open a set from the shelf to see it done; change what you like, undo brings it back.</p>
  </section>
);

/** The shelf of sets: on the left what is being built, on the right every set as a vignette. */
export const SetsView = () => {
  const { shelf, looks, again } = useShelf();
  const state = useShelfState(looks);
  const open = useAppSelector((state) => state.openSet.id);
  return (
    <Spread
      leftLabel="What you are building"
      rightLabel="The sets on the shelf"
      left={
        <div className="max-w-md space-y-7">
          <header>
            <h1 className="text-name">Bashful Parlor</h1>
            <p className="mt-2 text-lead">
              From “I want that sideboard for this doll” to parts that fit: type what the real thing measures, choose the doll and the
              board, and take away a cut list, boards laid out, and templates at true size.
            </p>
          </header>
          {open && <OpenSetCard onChanged={again} />}
          <StartSet />
          {!open && <WayThrough />}
          <WholeShelf shelf={state} onChanged={again} />
        </div>
      }
      right={
        <>
          <h2 className="text-head mb-4">On the shelf</h2>
          <ShelfNotices notices={state?.notices ?? []} onChanged={again} />
          <KeptHere shelf={typeof shelf === 'string' ? null : shelf} onChanged={again} />
          <Right shelf={shelf} looks={looks} again={again} />
          <AwayShelf looks={looks} onChanged={again} />
        </>
      }
    />
  );
};
