import { dollUm, UM } from '@parlor/core/measure';
import { hostOf, isRoom } from '@parlor/core/piece';
import { freePlace, type Placement } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { RotateCcw, RotateCw, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useAppSelector, useEdit, useSet } from '../../state/index.ts';
import { Button, Choice, Picker, SizeField } from '../../ui/index.ts';
import { Distances } from './Distances.tsx';
import { newLayout, turnedBy, withChosen, withLayout, withoutLayout } from './layouts.ts';

type Props = {
  readonly arranged: Arranged;
  readonly chosen: string | null;
  readonly onChoose: (piece: string | null) => void;
  readonly onPlace: (words: string, ...placed: readonly Placement[]) => void;
  readonly onTakeOut: (piece: string) => void;
};

/** Ways to arrange the room, side by side: which one counts, another one like it, one taken away. */
export const Ways = ({ arranged: { room, layout } }: { readonly arranged: Arranged }) => {
  const { layouts } = useSet();
  const edit = useEdit();
  const mine = layouts.filter((each) => each.room === room.id);
  const put = (words: string, next: typeof layouts): void => edit(words, { kind: 'change-set', change: { layouts: next } });
  if (!layout || mine.length === 0) return null;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <Choice
        label="Arrangement"
        hideLabel
        value={layout.id}
        options={mine.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => put(`arrangement ${mine.find((each) => each.id === id)?.name ?? ''}`, withChosen(layouts, id))}
      />
      <Button
        look="quiet"
        disabled={mine.length >= 12}
        onClick={() => {
          const copy = { ...newLayout(layouts, room.id, crypto.randomUUID()), placed: layout.placed };
          put(`another arrangement of ${room.name}`, withChosen(withLayout(layouts, copy), copy.id));
        }}
      >
        another way
      </Button>
      {mine.length > 1 && (
        <Button
          look="quiet"
          aria-label={`Take arrangement ${layout.name} away`}
          onClick={() => put(`arrangement ${layout.name} taken away`, withoutLayout(layouts, layout.id))}
        >
          <Trash2 size={15} /> {layout.name}
        </Button>
      )}
    </div>
  );
};

/** What is put into the room, and what is done with the thing in hand. */
export const Things = ({ arranged, chosen, onChoose, onPlace, onTakeOut }: Props) => {
  const { pieces } = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  const [next, setNext] = useState('');
  const { standing, space } = arranged;
  const here = new Set(standing.map(({ placed }) => placed.piece));
  const outside = pieces.filter(
    (piece) =>
      !here.has(piece.id) &&
      !isRoom(piece) &&
      // What fills a shelf, lies or hangs on something comes with that.
      hostOf(piece) === null &&
      derived?.pieces.find((each) => each.id === piece.id)?.made,
  );
  const wanted = outside.find(({ id }) => id === next) ?? outside[0];
  const inHand = standing.find(({ placed }) => placed.piece === chosen);
  const name = pieces.find(({ id }) => id === chosen)?.name ?? '';
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
      {wanted ? (
        <div className="flex items-end gap-2 min-w-52 flex-1">
          <div className="flex-1 min-w-0">
            <Picker
              label="Put into the room"
              value={wanted.id}
              options={outside.map(({ id, mark, name: each }) => ({ value: id, label: `${mark} ${each}` }))}
              onChange={setNext}
            />
          </div>
          <Button
            onClick={() => {
              const made = derived?.pieces.find(({ id }) => id === wanted.id)?.made;
              if (made) onPlace(`${wanted.name} put into the room`, freePlace(space, standing, made.assembly, wanted.id));
              onChoose(wanted.id);
            }}
          >
            put it in
          </Button>
        </div>
      ) : (
        <p className="font-hand text-graphite flex-1">
          {pieces.some((piece) => !isRoom(piece))
            ? 'Everything of this set stands in the room.'
            : 'Pieces that you make can be put in here.'}
        </p>
      )}
      {inHand && (
        <div className="flex items-end gap-1" role="group" aria-label={`${name}, in hand`} data-testid="in-hand">
          <div className="w-32">
            <SizeField
              label={`${name}, up from the floor`}
              world="doll"
              lengthUm={inHand.placed.up}
              min={0}
              max={2 * UM.m}
              onChange={(up) => onPlace(`how high ${name} hangs`, { ...inHand.placed, up: dollUm(up) })}
            />
          </div>
          <Button
            look="quiet"
            className="px-2.5!"
            aria-label={`Turn ${name} to the left`}
            onClick={() => onPlace(`${name} turned`, turnedBy(inHand.placed, 45))}
          >
            <RotateCcw size={18} />
          </Button>
          <Button
            look="quiet"
            className="px-2.5!"
            aria-label={`Turn ${name} to the right`}
            onClick={() => onPlace(`${name} turned`, turnedBy(inHand.placed, -45))}
          >
            <RotateCw size={18} />
          </Button>
          <Button
            look="quiet"
            className="px-2.5!"
            aria-label={`Take ${name} out of the room`}
            onClick={() => onTakeOut(inHand.placed.piece)}
          >
            <Trash2 size={18} />
          </Button>
        </div>
      )}
      {inHand && <Distances arranged={arranged} placed={inHand.placed} name={name} onPlace={onPlace} />}
    </div>
  );
};
