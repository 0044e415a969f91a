import { type ClothThing, type OddThing, placesOf, takesSize } from '@parlor/core/piece';
import { meansOf, type PieceChange, placeWords } from '@parlor/core/set';
import { useMemo } from 'react';
import { useAppSelector, useSet, useUnits } from '../../state/index.ts';
import { Check, Picker } from '../../ui/index.ts';

/** What each form may lie, stand or hang on; all but windows where nothing is said. */
const suits = (thing: ClothThing | OddThing, kind: string): boolean => {
  if (thing.family === 'odd') return kind === 'top';
  if (thing.form === 'curtain' || thing.form === 'blind') return kind === 'window';
  return kind !== 'window';
};

/** The piece on which a thing lies, stands or hangs, and whether it takes its size from there. */
export const Place = ({
  thing,
  onChange,
}: {
  readonly thing: ClothThing | OddThing;
  readonly onChange: (words: string, change: PieceChange) => void;
}) => {
  const set = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  const units = useUnits();
  const places = useMemo(() => {
    const means = meansOf(set);
    return set.pieces.flatMap((piece) => {
      const made = derived?.pieces.find(({ id }) => id === piece.id)?.made;
      if (!made || piece.id === thing.id) return [];
      return placesOf(piece, made.assembly, means)
        .filter(({ space }) => suits(thing, space.kind))
        .map((place) => ({
          value: JSON.stringify({ piece: piece.id, at: place.at }),
          label: `${piece.name}: ${placeWords(place, units)}`,
        }));
    });
  }, [set, derived, thing, units]);
  if (places.length === 0 && !thing.on) return null;
  const value = thing.on ? JSON.stringify({ piece: thing.on.piece, at: thing.on.at }) : '';
  const gone = thing.on && !places.some((place) => place.value === value) ? [{ value, label: 'a place that is gone' }] : [];
  return (
    <div className="mt-2">
      <Picker
        label={thing.family === 'odd' ? 'It stands on' : 'It lies or hangs on'}
        value={value}
        options={[{ value: '', label: 'nothing of this set' }, ...gone, ...places]}
        onChange={(next) => onChange(`where ${thing.name} is`, { on: next === '' ? null : JSON.parse(next) })}
      />
      {thing.family === 'cloth' && thing.on && takesSize(thing.form) && (
        <Check checked={thing.fits} onChange={(fits) => onChange(`the size of ${thing.name}`, { fits })}>
          it takes its size from there, and follows
        </Check>
      )}
    </div>
  );
};
