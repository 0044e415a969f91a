import { showLength } from '@parlor/core/measure';
import { fromPreset, type Good, PRESETS, type ShelfOf } from '@parlor/core/piece';
import { type DerivedPiece, type MadePiece, type ShelfAt, shelvesOf } from '@parlor/core/set';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { nextPiece, useAppSelector, useEdit, useSet, useUnits } from '../../state/index.ts';
import { Button, Picker } from '../../ui/index.ts';

/** What shelves are filled with, by the preset that it begins from. */
const FILLINGS = [
  ['paperback', 'books'],
  ['book-backs', 'backs of books in one strip'],
  ['lidded-box', 'boxes with lids'],
  ['carton', 'cartons'],
  ['food-can', 'tins'],
  ['candle-jar', 'jars'],
] as const;

const FIRST = 8;

const same = (one: ShelfOf, piece: string, { bay, gap }: ShelfAt): boolean =>
  one.piece === piece && one.gap === gap && one.bay.join('.') === bay.join('.');

/** A piece's shelves, what fills them and how many of it, and the way to fill one. */
export const OnShelves = ({ piece, made }: { readonly piece: DerivedPiece; readonly made: MadePiece }) => {
  const { pieces } = useSet();
  const set = useAppSelector((state) => state.derived.set);
  const { setId } = useParams();
  const edit = useEdit();
  const units = useUnits();
  const [all, setAll] = useState(false);
  const shelves = shelvesOf(made);
  if (shelves.length === 0) return null;
  const goodOn = (shelf: ShelfAt): Good | undefined =>
    pieces.find((each): each is Good => 'fills' in each && each.fills !== null && same(each.fills, piece.id, shelf));
  const fill = (shelf: ShelfAt, number: number, key: string): void => {
    const preset = PRESETS.find((each) => each.key === key);
    if (!preset) return;
    const from = fromPreset(preset, preset.key, 1) as Good;
    const next = nextPiece({ ...from, name: `${from.name}, shelf ${number} of ${piece.name}`.slice(0, 80) }, pieces);
    const good: Good = {
      ...next,
      seed: next.mark,
      fills: { piece: piece.id, bay: shelf.bay, gap: shelf.gap },
    };
    edit(`shelf ${number} of ${piece.name} filled`, { kind: 'add-piece', at: pieces.length, piece: good });
  };
  const shown = all ? shelves : shelves.slice(0, FIRST);
  return (
    <details className="mt-2" data-testid="shelves">
      <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
        What stands on its shelves
      </summary>
      <ul className="space-y-1.5">
        {shown.map((shelf, index) => {
          const good = goodOn(shelf);
          const derived = good && set?.pieces.find(({ id }) => id === good.id);
          const nets = derived?.made?.nets ?? [];
          const copies = Math.max(0, ...nets.flatMap((net) => net.copies.map(({ number }) => number + 1)));
          // A strip of backs is one thing that stands for many.
          const count = good?.form === 'spines' ? `${nets[0]?.net.faces.length ?? 0} backs of ` : `${copies} × `;
          const { min, max } = shelf.box;
          const sizes = `${showLength(max[0] - min[0], units)} wide, ${showLength(max[1] - min[1], units)} high`;
          return (
            <li key={`${shelf.bay.join('.')} ${shelf.gap}`} data-shelf={index + 1} className="flex items-end gap-2">
              {good ? (
                <p className="text-note">
                  Shelf {index + 1}: {derived?.made ? count : 'not one fits: '}
                  <Link to={`/sets/${setId}/goods/${good.id}`} className="underline underline-offset-4 decoration-dotted">
                    {good.name}
                  </Link>
                </p>
              ) : (
                <div className="flex-1 min-w-0">
                  <Picker
                    label={`Fill shelf ${index + 1}, ${sizes}`}
                    value=""
                    options={[{ value: '', label: 'nothing yet' }, ...FILLINGS.map(([value, label]) => ({ value, label }))]}
                    onChange={(key) => key !== '' && fill(shelf, index + 1, key)}
                  />
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {shelves.length > FIRST && (
        <Button look="quiet" className="-ml-3" onClick={() => setAll(!all)}>
          {all ? 'only the first' : `all ${shelves.length} shelves`}
        </Button>
      )}
    </details>
  );
};
