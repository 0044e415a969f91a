import { type Scale, showLength, type Units } from '@parlor/core/measure';
import type { OddThing } from '@parlor/core/piece';
import type { DerivedPiece, MadePiece, PieceChange } from '@parlor/core/set';
import { standInsFor, type ThingShape } from '@parlor/core/stock';
import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { useAppSelector, useDerivedPiece, useEdit, useScale, useUnits } from '../../state/index.ts';
import { Check, Choice, Drawn, drawnFrom, Spread, Takes, usePicturesCame } from '../../ui/index.ts';
import { Notes } from './ClothGood.tsx';
import { Fields } from './Fields.tsx';
import { FlatNet } from './FlatNet.tsx';
import { Grounds } from './Grounds.tsx';
import { Head } from './Head.tsx';
import { Heading } from './Heading.tsx';
import { Place } from './Place.tsx';
import { useSheets, useTakings } from './useGood.ts';
import { useThere } from './useThere.ts';

const FoldStage = lazy(async () => ({ default: (await import('./FoldStage.tsx')).FoldStage }));

type Change = (words: string, change: PieceChange) => void;

/** What from the house could stand in for it, each with the sizes that such things have. */
const StandIns = ({
  made,
  thing,
  units,
  scale,
  onChange,
}: {
  readonly made: MadePiece;
  readonly thing: OddThing;
  readonly units: Units;
  readonly scale: Scale;
  readonly onChange: Change;
}) => {
  const asked = made.wanted.map((wanted) => ({ wanted, found: standInsFor(wanted) }));
  if (asked.length === 0) return null;
  const real = (um: number): string => showLength(Math.round((um * scale.real) / scale.doll), units);
  return (
    <section aria-label="From the house" data-testid="stand-ins">
      <h3 className="text-head">From the house instead</h3>
      {asked.map(({ wanted, found }) => (
        <div key={wanted.as} className="mb-2" data-for={wanted.as}>
          <p className="text-note">
            <span className="font-semibold">{wanted.as}</span>: about {showLength(Math.round(wanted.across), units)} across,{' '}
            {showLength(Math.round(wanted.high), units)} high{' '}
            <span className="text-graphite">
              (a real one {real(wanted.across)} × {real(wanted.high)})
            </span>
          </p>
          {found.length === 0 ? (
            <p className="text-note font-hand text-graphite">nothing usual in a house is of that size</p>
          ) : (
            <ul className="text-note columns-1 sm:columns-2 gap-5">
              {found.slice(0, 6).map(({ name, shape, across, high }) => (
                <li key={name} className="break-inside-avoid">
                  {name}{' '}
                  <span className="text-graphite">
                    ∅ {showLength(across[0], units)} to {showLength(across[1], units)},{' '}
                    {isCutToLength(shape)
                      ? `cut to ${showLength(Math.round(wanted.high), units)}`
                      : `${showLength(high[0], units)} to ${showLength(high[1], units)} high`}
                  </span>
                </li>
              ))}
            </ul>
          )}
        </div>
      ))}
      <Check checked={thing.found} onChange={(found) => onChange(`${thing.name} ${found ? 'found' : 'made'}`, { found })}>
        it was found: nothing is cut for it, it only takes its place
      </Check>
    </section>
  );
};

/** Straws, sticks and rolls are cut as long as they are wanted. */
const isCutToLength = (shape: ThingShape): boolean => shape === 'tube' || shape === 'rod';

const CAUTION =
  'Cut discs and slices with a new blade, away from the hand; a grown-up cuts for children. Lights only on cells, and cells out of the reach of small children.';

const Follows = ({
  thing,
  piece,
  scale,
  onChange,
}: {
  readonly thing: OddThing;
  readonly piece: DerivedPiece;
  readonly scale: Scale;
  readonly onChange: Change;
}) => {
  const units = useUnits();
  const came = usePicturesCame();
  const night = useAppSelector((state) => state.ui.night);
  const sheets = useSheets(piece);
  const takings = useTakings(piece);
  const there = useThere(thing);
  const [show, setShow] = useState<'alone' | 'there'>('alone');
  const made = piece.made;
  const shown = useMemo(() => sheets.flatMap((sheet) => sheet.copies.map((copy) => ({ sheet, copy }))), [sheets]);
  // What is rolled of paper is seen as paper; its place as a body is not.
  const own = useMemo(
    () =>
      (made?.assembly.parts ?? []).filter(
        ({ stuff, stock }) => stuff !== 'found' || (stock !== 'paper' && stock !== 'found thing') || sheets.length === 0,
      ),
    [made, sheets],
  );
  const moved = useMemo(() => {
    if (!there || !made?.anchor || show === 'alone') return own;
    const [ax, ay, az] = made.anchor;
    const [dx, dy, dz] = [ax - there.at[0], ay - there.at[1], az - there.at[2]];
    return [
      ...own,
      ...there.host.map((part) => {
        const [x, y, z] = part.pose.origin;
        return { ...part, pose: { ...part.pose, origin: [x + dx, y + dy, z + dz] as const } };
      }),
    ];
  }, [own, there, made, show]);
  if (!made) return <Notes piece={piece} />;
  const size = made.assembly.outside.max;
  return (
    <div className="flex flex-col gap-3">
      <Head name={thing.name} size={size}>
        <Suspense fallback={<p className="p-6 font-hand text-graphite">putting it together …</p>}>
          <FoldStage sheets={shown} boards={moved} whole share={1} label={thing.name} came={came} night={night} onTouch={() => undefined} />
        </Suspense>
      </Head>
      {there && (
        <Choice
          label="Shown"
          hideLabel
          value={show}
          options={[
            { value: 'alone', label: 'by itself' },
            { value: 'there', label: 'where it stands' },
          ]}
          onChange={setShow}
        />
      )}
      {!thing.found && <p className="text-note border-l-3 border-steel pl-3 text-graphite">{CAUTION}</p>}
      {takings.length > 0 && (
        <section aria-label="What it takes">
          <h3 className="text-head">What it takes</h3>
          <Takes takings={takings} units={units} />
        </section>
      )}
      <StandIns made={made} thing={thing} units={units} scale={scale} onChange={onChange} />
      <Notes piece={piece} />
    </div>
  );
};

/** A found or mixed thing: what is rolled or cut of it flat, its sizes, and what it comes to. */
export const OddGood = ({ thing }: { readonly thing: OddThing }) => {
  const piece = useDerivedPiece(thing.id);
  const sheets = useSheets(piece);
  const scale = useScale();
  const came = usePicturesCame();
  const edit = useEdit();
  const change = useCallback<Change>((words, to) => edit(words, { kind: 'change-piece', id: thing.id, change: to }), [edit, thing.id]);
  const [key, setKey] = useState<string | null>(null);
  const sheet = sheets.find((each) => each.key === key) ?? sheets[0];
  const front = useMemo(() => (piece?.made ? drawnFrom(piece.made.assembly.parts, 'front') : null), [piece]);
  const outside = piece?.made?.assembly.outside.max ?? [1, 1, 1];
  return (
    <Spread
      leftLabel="What you decide about the thing"
      rightLabel="What follows"
      left={
        <div className="flex flex-col h-full">
          <Heading good={thing} />
          <div className="relative h-64 shrink-0 my-1">
            {sheet ? (
              <FlatNet sheet={sheet} panel={null} came={came} onPanel={() => setKey(sheet.key)} />
            ) : front ? (
              <svg
                viewBox={`${-outside[0] * 0.00005} ${-outside[1] * 0.00105} ${outside[0] * 0.0011} ${outside[1] * 0.0011}`}
                className="w-full h-full"
                preserveAspectRatio="xMidYMid meet"
                role="img"
                aria-label={`${thing.name} from the front`}
              >
                <Drawn drawings={front} />
              </svg>
            ) : (
              <p className="font-hand text-graphite p-8">
                {piece ? 'It cannot be made as it is; see the note on the right.' : 'drawing it …'}
              </p>
            )}
          </div>
          {sheets.length > 1 && sheet && (
            <Choice
              label="Paper in hand"
              hideLabel
              value={sheet.key}
              options={sheets.map((each) => ({ value: each.key, label: each.net.name }))}
              onChange={setKey}
            />
          )}
          {scale && (
            <Fields
              piece={thing}
              scale={scale}
              folded={[
                ['shape', 'Its shape'],
                ['build', 'What it is rolled or cut of'],
                ['boards', 'Boards'],
              ]}
              onChange={change}
            >
              <Place thing={thing} onChange={change} />
              {sheets.length > 0 && (
                <div className="mt-2">
                  <Grounds good={thing} onChange={change} />
                </div>
              )}
            </Fields>
          )}
        </div>
      }
      right={piece && scale ? <Follows key={thing.id} thing={thing} piece={piece} scale={scale} onChange={change} /> : null}
    />
  );
};
