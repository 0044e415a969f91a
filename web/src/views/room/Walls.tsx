import type { Scale } from '@parlor/core/measure';
import {
  asRoom,
  BATTEN_FIELDS,
  isFieldShown,
  MOST_BATTENS,
  MOST_OPENINGS,
  newBatten,
  newOpening,
  newWall,
  OPENING_FORMS,
  OPENING_WORDS,
  type OpeningForm,
  type Room,
  sideName,
  WALL_FIELDS,
  WALL_OPENING_FIELDS,
  type Wall,
  type WhichWall,
  withValueAt,
} from '@parlor/core/piece';
import { shellChange } from '@parlor/core/set';
import { Plus } from 'lucide-react';
import { openingThere, useEdit, useSet } from '../../state/index.ts';
import { Button, Choice, Decision, PutThere, Rows } from '../../ui/index.ts';

const FORMS = OPENING_FORMS.map((form) => ({ value: form, label: OPENING_WORDS[form] }));

type Props = {
  readonly room: Room;
  /** Which of its shells, when it is joined of several. */
  readonly shell: number;
  readonly scale: Scale;
  readonly wall: number;
  readonly onWall: (wall: number) => void;
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** One wall: what it is, and what is in it. */
const WallFields = ({
  wall,
  room,
  which,
  name,
  scale,
  onChange,
}: {
  readonly wall: Wall;
  /** The shell whose wall it is, by itself. */
  readonly room: Room;
  readonly which: WhichWall;
  readonly name: string;
  readonly scale: Scale;
  readonly onChange: (words: string, wall: Wall) => void;
}) => {
  const document = useSet();
  const putIn = async (form: OpeningForm): Promise<void> => {
    const opening = await openingThere(document, room, which, form).catch(() => newOpening(form));
    onChange(`${OPENING_WORDS[form]} in the ${name}`, { ...wall, openings: [...wall.openings, opening] });
  };
  return (
    <div>
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start mt-2">
        {WALL_FIELDS.filter((field) => isFieldShown(field, wall)).map((field) => (
          <div key={field.path.join('.')} className={field.path[0] === 'kind' ? 'col-span-2' : undefined}>
            <Decision
              field={{ ...field, label: field.path.length === 1 && field.path[0] === 'kind' ? capital(name) : field.label }}
              owner={wall}
              scale={scale}
              onChange={(words, path, value) => onChange(`${words}, ${name}`, withValueAt(wall, path, value))}
            />
          </div>
        ))}
      </div>
      {(wall.kind === 'wall' || wall.kind === 'removable') && (
        <Rows
          title={`In the ${name}`}
          word="opening"
          least={0}
          rows={wall.openings}
          fields={WALL_OPENING_FIELDS}
          nameOf={({ form: each }) => OPENING_WORDS[each]}
          scale={scale}
          most={MOST_OPENINGS}
          onChange={(words, openings) => onChange(`${words}, ${name}`, { ...wall, openings })}
          add={<PutThere label="Put in" options={FORMS} onPut={(form) => void putIn(form)} />}
        />
      )}
      {(wall.kind === 'wall' || wall.kind === 'removable') && (
        <Rows
          title={`Strips that stand on the ${name}`}
          word="strip"
          least={0}
          rows={wall.battens}
          fields={BATTEN_FIELDS}
          nameOf={() => 'a strip'}
          scale={scale}
          most={MOST_BATTENS}
          onChange={(words, battens) => onChange(`${words}, ${name}`, { ...wall, battens })}
          add={
            <Button look="quiet" onClick={() => onChange(`a strip on the ${name}`, { ...wall, battens: [...wall.battens, newBatten()] })}>
              <Plus size={15} /> a strip
            </Button>
          }
        />
      )}
    </div>
  );
};

/** The walls of a room, one at a time: the one that was touched on the plan. */
export const Walls = ({ room: whole, shell, scale, wall: side, onWall: onSide }: Props) => {
  const edit = useEdit();
  const room = asRoom(whole, shell);
  const count = room.plan === 'own' ? room.points.length : 4;
  const wallOf = (index: number): Wall => room.walls[index] ?? newWall();
  const change = (words: string, walls: Partial<Room>): void =>
    edit(`${words} of ${whole.name}`, { kind: 'change-piece', id: whole.id, change: shellChange(whole, shell, walls) });
  const put = (words: string, wall: Wall): void =>
    change(words, { walls: Array.from({ length: count }, (_, index) => (index === side ? wall : wallOf(index))) });
  const before = (side + count - 1) % count;
  const sides = Array.from({ length: count }, (_, index) => ({ value: String(index), label: sideName(room, index) }));
  const dividers = room.plan === 'own' ? 0 : room.cells - 1;
  return (
    <section aria-label="Walls" className="mt-2">
      <Choice label="Wall" hideLabel value={String(side)} options={sides} onChange={(next) => onSide(Number(next))} />
      {wallOf(side).kind !== 'open' && wallOf(before).kind !== 'open' && (
        <Choice
          label={`Where the ${sideName(room, before)} meets the ${sideName(room, side)}`}
          value={room.corners[side] ?? 'mitred'}
          options={[
            { value: 'left', label: `the ${sideName(room, before)} runs over` },
            { value: 'right', label: `the ${sideName(room, side)} runs over` },
            { value: 'mitred', label: 'both are mitred' },
          ]}
          onChange={(corner) =>
            change(`the corner of the ${sideName(room, before)} and the ${sideName(room, side)}`, {
              corners: Array.from({ length: count }, (_, index) => (index === side ? corner : (room.corners[index] ?? 'mitred'))),
            })
          }
        />
      )}
      <WallFields
        key={side}
        wall={wallOf(side)}
        room={room}
        which={{ wall: side }}
        name={sideName(room, side)}
        scale={scale}
        onChange={put}
      />
      {Array.from({ length: dividers }, (_, index) => (
        <details key={index} className="mt-2">
          <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
            The wall between rooms {index + 1} and {index + 2}
          </summary>
          <WallFields
            wall={room.between[index] ?? newWall()}
            room={room}
            which={{ between: index }}
            name={`wall between rooms ${index + 1} and ${index + 2}`}
            scale={scale}
            onChange={(words, wall) =>
              change(words, {
                between: Array.from({ length: dividers }, (_unused, number) =>
                  number === index ? { ...wall, kind: 'wall' } : (room.between[number] ?? newWall()),
                ),
              })
            }
          />
        </details>
      ))}
    </section>
  );
};
