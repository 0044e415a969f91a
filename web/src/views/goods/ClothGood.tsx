import { showExact, showLength } from '@parlor/core/measure';
import { type ClothThing, clothFor } from '@parlor/core/piece';
import { clothSheets, cutsOfCloth, type DerivedPiece, type PieceChange } from '@parlor/core/set';
import { clothThickness } from '@parlor/core/stock';
import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAppSelector, useDerivedPiece, useEdit, useScale, useSet, useUnits } from '../../state/index.ts';
import { Choice, MarginNotes, notesOf, Picker, Spread, Takes, usePicturesCame } from '../../ui/index.ts';
import { ClothFlat } from './ClothFlat.tsx';
import { Fields } from './Fields.tsx';
import { Head } from './Head.tsx';
import { Heading } from './Heading.tsx';
import { Place } from './Place.tsx';
import { useTakings } from './useGood.ts';
import { useThere } from './useThere.ts';
import { Ways } from './Ways.tsx';

const ClothStage = lazy(async () => ({ default: (await import('./ClothStage.tsx')).ClothStage }));

type Change = (words: string, change: PieceChange) => void;

const second: ReadonlySet<ClothThing['form']> = new Set(['quilt', 'comforter', 'pockets']);

/** The cloths that it is cut from. */
const Cloths = ({ thing, onChange }: { readonly thing: ClothThing; readonly onChange: Change }) => {
  const { cloths } = useSet();
  const { setId } = useParams();
  const options = cloths.map(({ id, name, kind }) => ({ value: id, label: name === kind ? name : `${name}, ${kind}` }));
  const put = (role: 'main' | 'second', id: string): void =>
    onChange(`the cloth of ${thing.name}`, { cloths: { ...thing.cloths, [role]: id } });
  return (
    <div className="grid grid-cols-2 gap-x-6 mt-2 items-end">
      <Picker label="Its cloth" value={clothFor(cloths, thing.cloths.main).id} options={options} onChange={(id) => put('main', id)} />
      {second.has(thing.form) ? (
        <Picker
          label={thing.form === 'pockets' ? 'Its pockets' : 'Its underside'}
          value={clothFor(cloths, thing.cloths.second ?? thing.cloths.main).id}
          options={options}
          onChange={(id) => put('second', id)}
        />
      ) : (
        <Link
          to={`/sets/${setId}/cutting#cloth`}
          className="text-note underline underline-offset-4 decoration-dotted min-h-touch inline-flex items-center"
        >
          cloth at hand
        </Link>
      )}
    </div>
  );
};

const Follows = ({ thing, piece, onChange }: { readonly thing: ClothThing; readonly piece: DerivedPiece; readonly onChange: Change }) => {
  const set = useSet();
  const units = useUnits();
  const came = usePicturesCame();
  const night = useAppSelector((state) => state.ui.night);
  const there = useThere(thing);
  const takings = useTakings(piece);
  const [show, setShow] = useState<'alone' | 'there'>('there');
  const { setId } = useParams();
  const made = piece.made;
  const own = useMemo(() => (made?.assembly.parts ?? []).filter(({ stuff }) => stuff === 'board' || stuff === 'stick'), [made]);
  const anchor = made?.anchor ?? null;
  const spot = useMemo(
    () => (there && anchor && show === 'there' ? { anchor, at: there.at, turn: there.place.turn } : null),
    [there, anchor, show],
  );
  const host = useMemo(() => there?.host ?? [], [there]);
  if (!made?.sewing) return <Notes piece={piece} />;
  const size = made.assembly.outside.max;
  const cloth = clothFor(set.cloths, thing.cloths.main);
  return (
    <div className="flex flex-col gap-3">
      <Head name={thing.name} size={size}>
        <Suspense fallback={<p className="p-6 font-hand text-graphite">sewing it …</p>}>
          <ClothStage thing={thing} sewing={made.sewing} own={own} host={host} spot={spot} label={thing.name} came={came} night={night} />
        </Suspense>
      </Head>
      {there && (
        <Choice
          label="Shown"
          hideLabel
          value={show}
          options={[
            { value: 'there', label: 'where it is' },
            { value: 'alone', label: 'by itself' },
          ]}
          onChange={setShow}
        />
      )}
      <Ways thing={thing} onTake={(way) => onChange(`how ${thing.name} is made`, { way })} />
      <section aria-label="What it takes">
        <h3 className="text-head">What it takes</h3>
        <p className="text-note">
          {cloth.name}, {showExact(clothThickness(cloth), units)} thick; how it lies on its cloth stands under{' '}
          <Link to={`/sets/${setId}/cutting#cloth`} className="underline underline-offset-4 decoration-dotted">
            Cutting
          </Link>
          , its pattern at true size under{' '}
          <Link
            to={`/sets/${setId}/printing?print=patterns&find=${encodeURIComponent(`${thing.mark}a`)}`}
            className="underline underline-offset-4 decoration-dotted"
          >
            Printing
          </Link>
          .
        </p>
        <Takes takings={takings} units={units} />
      </section>
      <Notes piece={piece} />
    </div>
  );
};

export const Notes = ({ piece }: { readonly piece: DerivedPiece }) => (
  <MarginNotes notes={notesOf(piece.findings)} piece={piece}>
    Nothing to note.
  </MarginNotes>
);

/** A thing of cloth: its pattern flat on one page, sewn on the other. */
export const ClothGood = ({ thing }: { readonly thing: ClothThing }) => {
  const set = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  const piece = useDerivedPiece(thing.id);
  const scale = useScale();
  const units = useUnits();
  const edit = useEdit();
  const change = useCallback<Change>((words, to) => edit(words, { kind: 'change-piece', id: thing.id, change: to }), [edit, thing.id]);
  const [chosen, setChosen] = useState<string | null>(null);
  // The picture of a moment ago may still hold for the piece; its words are made of both.
  const sheets = useMemo(() => (derived && piece?.made ? clothSheets(set, derived, [thing.id]) : []), [set, derived, piece, thing.id]);
  const cuts = useMemo(() => (derived && piece?.made ? cutsOfCloth(set, derived, thing.id) : []), [set, derived, piece, thing.id]);
  const cut = cuts.find(({ tag }) => tag === chosen) ?? cuts[0];
  const sheet = sheets.find(({ tag }) => tag === cut?.tag);
  return (
    <Spread
      leftLabel="What you decide about the thing of cloth"
      rightLabel="What follows"
      left={
        <div className="flex flex-col h-full">
          <Heading good={thing} />
          {sheets.length > 0 ? (
            <>
              <div className="relative h-72 shrink-0 my-1">
                <ClothFlat sheets={sheets} chosen={cut?.tag ?? null} onChoose={setChosen} label={`The pattern of ${thing.name}, flat`} />
              </div>
              {cut && sheet && (
                <p className="text-note mb-1" data-testid="cut">
                  <span className="font-hand">{cut.tag}</span> {cut.name}: {sheet.words.join('; ')}. Cut {showLength(cut.size[0], units)} ×{' '}
                  {showLength(cut.size[1], units)}.
                </p>
              )}
            </>
          ) : (
            <p className="font-hand text-graphite p-8">
              {piece ? 'It cannot be cut as it is; see the note on the right.' : 'drawing it …'}
            </p>
          )}
          {scale && (
            <Fields
              piece={thing}
              scale={scale}
              folded={[
                ['shape', 'Its shape, and how it hangs'],
                ['build', 'How it is made'],
                ['boards', 'Boards in it'],
              ]}
              onChange={change}
            >
              <Place thing={thing} onChange={change} />
              <Cloths thing={thing} onChange={change} />
            </Fields>
          )}
        </div>
      }
      right={piece ? <Follows key={thing.id} thing={thing} piece={piece} onChange={change} /> : null}
    />
  );
};
