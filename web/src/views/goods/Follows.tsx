import type { Part } from '@parlor/core/assembly';
import { showExact } from '@parlor/core/measure';
import type { Good } from '@parlor/core/piece';
import { type DerivedPiece, type GoodSheet, placeOnShelf, shelfAt } from '@parlor/core/set';
import { PRINT_STOCKS } from '@parlor/core/stock';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAppSelector, useGoodPaper, useUnits } from '../../state/index.ts';
import { Choice, MarginNotes, notesOf, Takes, usePicturesCame } from '../../ui/index.ts';
import { Head } from './Head.tsx';
import { Player } from './Player.tsx';
import { useTakings } from './useGood.ts';

// Three dimensions are fetched when all that is read and typed in stands there.
const FoldStage = lazy(async () => ({ default: (await import('./FoldStage.tsx')).FoldStage }));

const SHOW = [
  { value: 'one', label: 'one, folding' },
  { value: 'all', label: 'all where they stand' },
] as const;

type Props = {
  readonly good: Good;
  readonly piece: DerivedPiece;
  readonly sheets: readonly GoodSheet[];
  /** The net in hand. */
  readonly sheet: GoodSheet;
  readonly folds: number;
  readonly onTouch: (panel: string, sheet: GoodSheet) => void;
};

/** Pages that the good takes by itself, and those that all small goods of the set take together. */
const Pages = ({ good }: { readonly good: Good }) => {
  const { setId } = useParams();
  const paper = useGoodPaper(good.id);
  if (!paper) return <p className="text-note font-hand text-graphite">counting pages …</p>;
  return (
    <ul className="text-note space-y-1" data-testid="pages-taken">
      {paper.map(({ on, nets, pages, together }) => (
        <li key={on}>
          <Link
            to={`/sets/${setId}/printing?print=coverings&find=${encodeURIComponent(`${good.mark}-1`)}`}
            className="underline underline-offset-4 decoration-dotted"
          >
            {pages} {pages === 1 ? 'page' : 'pages'} of {PRINT_STOCKS[on].name}
          </Link>
          , {PRINT_STOCKS[on].weight} g/m², for {nets} {nets === 1 ? 'net' : 'nets'}
          {together > pages && <span className="text-graphite">; {together} for all small goods of the set</span>}
        </li>
      ))}
    </ul>
  );
};

/** What follows from a good: it folds, what it takes, what is to be minded. */
export const Follows = ({ good, piece, sheets, sheet, folds, onTouch }: Props) => {
  const [share, setShare] = useState(1);
  const [show, setShow] = useState<'one' | 'all'>('one');
  const came = usePicturesCame();
  const night = useAppSelector((state) => state.ui.night);
  const units = useUnits();
  // Its nets are counted by the page above.
  const bought = useTakings(piece).filter(({ kind }) => kind !== 'flat');
  const made = piece.made;
  const several =
    (made?.nets[0]?.copies.length ?? 0) > 1 || sheets.some(({ net }) => net.copies[0]?.number !== sheet.net.copies[0]?.number);
  const whole = show === 'all' && several;
  // All nets of one copy are seen once it is folded; while it folds, the one in hand.
  const number = sheet.net.copies[sheet.copies[0] ?? 0]?.number ?? 0;
  const folded = share === 1 || whole;
  const shown = useMemo(() => {
    const placed = sheets.flatMap((each) => each.copies.map((copy) => ({ sheet: each, copy })));
    if (whole) return placed;
    const its = placed.filter(({ sheet: each, copy }) => each.net.copies[copy]?.number === number);
    return folded ? its : its.filter(({ sheet: each }) => each === sheet);
  }, [sheets, sheet, number, whole, folded]);
  // Boards are named by the copy that they belong to; round what fills a shelf stands the piece that has it.
  const shelf = useAppSelector((state) => (good.fills ? state.derived.set?.pieces.find(({ id }) => id === good.fills?.piece)?.made : null));
  const boards = useMemo(() => {
    const own = (made?.assembly.parts ?? []).filter(({ stuff }) => stuff !== 'found');
    if (!folded) return [];
    if (!whole) return own.filter(({ id }) => id.startsWith(`${good.id}/${number + 1}-`));
    const at = shelf && good.fills ? shelfAt(shelf, good.fills) : undefined;
    if (!shelf || !at || !made) return own;
    const [dx, dy, dz] = placeOnShelf(at, made.assembly);
    const round = shelf.assembly.parts.map((part): Part => {
      const [x, y, z] = part.pose.origin;
      return { ...part, pose: { ...part.pose, origin: [x - dx, y - dy, z - dz] } };
    });
    return [...own, ...round.filter(({ stuff, role }) => stuff === 'board' && role !== 'door' && role !== 'front')];
  }, [made, shelf, folded, whole, good.id, good.fills, number]);
  const size = made?.assembly.outside.max ?? [0, 0, 0];
  return (
    <div className="flex flex-col gap-3">
      <Head name={good.name} size={size}>
        <Suspense fallback={<p className="p-6 font-hand text-graphite">folding it …</p>}>
          <FoldStage
            sheets={shown}
            boards={boards}
            share={whole ? 1 : share}
            label={good.name}
            came={came}
            night={night}
            onTouch={onTouch}
          />
        </Suspense>
      </Head>
      {!whole && <Player share={share} folds={folds} onShare={setShare} />}
      {several && <Choice label="Shown" hideLabel value={show} options={SHOW} onChange={setShow} />}
      <p className="text-note border-l-3 border-steel pl-3 text-graphite">
        Score each fold with a blunt point before it is cut out. A sharp knife is for a grown-up: cut away from the hand, on a mat, along a
        metal rule.
      </p>
      <section aria-label="What it takes">
        <h3 className="text-head">What it takes</h3>
        <Pages good={good} />
        <Takes takings={bought} units={units} />
        {good.form === 'can' && sizeOfHole(sheets) > 0 && (
          <p className="text-note mt-1">a straw or wick of at most {showExact(sizeOfHole(sheets), units)} across</p>
        )}
      </section>
      <MarginNotes notes={notesOf(piece.findings)} piece={piece}>
        Nothing to note: it folds, it closes, it can be read.
      </MarginNotes>
    </div>
  );
};

const sizeOfHole = (sheets: readonly GoodSheet[]): number => {
  const hole = sheets.flatMap(({ net }) => net.net.faces.flatMap(({ holes = [] }) => holes))[0] ?? [];
  const xs = hole.map(([x]) => x);
  return hole.length > 0 ? Math.round(Math.max(...xs) - Math.min(...xs)) : 0;
};
