import { asRoom, asShell, isRoom, JOINED_FIELDS, MOST_SHELLS, type Room } from '@parlor/core/piece';
import { canJoin, joinRooms, takeOff } from '@parlor/core/set';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useEdit, useScale, useSet } from '../../state/index.ts';
import { Button, Choice, Decision, Picker } from '../../ui/index.ts';
import { type Meeting, meetingOf, withMeeting } from './shells.ts';

const MEETINGS: readonly { readonly value: Meeting; readonly label: string }[] = [
  { value: 'open', label: 'nothing' },
  { value: 'left', label: 'the left one’s wall' },
  { value: 'right', label: 'the right one’s' },
  { value: 'both', label: 'both' },
];

type Props = { readonly room: Room; readonly shell: number; readonly onShell: (shell: number) => void };

/** The shells that a room is joined of: which one is in hand, what stands between them, another one beside it, one taken off. */
export const Joining = ({ room, shell, onShell }: Props) => {
  const document = useSet();
  const scale = useScale();
  const edit = useEdit();
  const [next, setNext] = useState('');
  const count = room.shells.length + 1;
  const others = document.pieces.filter(isRoom).filter((piece) => canJoin(room, piece));
  const wanted = others.find(({ id }) => id === next) ?? others[0];
  const put = (words: string, change: Partial<Room>): void =>
    edit(`${words} of ${room.name}`, { kind: 'change-piece', id: room.id, change });
  const off = (): void => {
    const ids = { room: crypto.randomUUID(), layout: crypto.randomUUID() };
    const taken = takeOff(document, room.id, shell, ids);
    if (taken) edit(`shell ${shell + 1} taken off ${room.name}`, taken);
    onShell(0);
  };
  const joined = room.shells[shell - 1];
  const before = room.shells[shell - 1] ? shell - 1 : null;
  return (
    <section aria-label="Joined rooms" className="mt-2 space-y-2" data-testid="joining">
      {count > 1 && (
        <Choice
          label="Which shell is decided on"
          value={String(shell)}
          options={Array.from({ length: count }, (_, index) => ({ value: String(index), label: `shell ${index + 1}` }))}
          onChange={(value) => onShell(Number(value))}
        />
      )}
      {joined && scale && before !== null && (
        <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-end">
          <Choice
            label={`Between shell ${shell} and shell ${shell + 1} stands`}
            value={meetingOf(room, before)}
            options={MEETINGS}
            onChange={(meeting) => put(`what stands between shell ${shell} and shell ${shell + 1}`, withMeeting(room, before, meeting))}
          />
          {JOINED_FIELDS.map((field) => (
            <Decision
              key={field.label}
              field={field}
              owner={joined}
              scale={scale}
              onChange={(words, _path, gap) => put(words, { shells: room.shells.with(shell - 1, { ...joined, gap: gap as never }) })}
            />
          ))}
          <Button look="quiet" className="justify-self-start" onClick={off}>
            take shell {shell + 1} off, as a room by itself
          </Button>
        </div>
      )}
      {count <= MOST_SHELLS && room.plan === 'rectangle' && room.storeys === 1 && (
        <div className="flex flex-wrap items-end gap-2">
          {wanted && (
            <>
              <div className="min-w-44 flex-1">
                <Picker
                  label="Join to it, on its right"
                  value={wanted.id}
                  options={others.map(({ id, mark, name }) => ({ value: id, label: `${mark} ${name}` }))}
                  onChange={setNext}
                />
              </div>
              <Button
                onClick={() => {
                  const done = joinRooms(document, room.id, wanted.id);
                  if (done) edit(`${wanted.name} joined to ${room.name}`, done);
                }}
              >
                join
              </Button>
            </>
          )}
          <Button
            look="quiet"
            onClick={() => {
              const like = asShell(asRoom(room, count - 1));
              put('another shell', {
                shells: [
                  ...room.shells,
                  {
                    gap: 0 as never,
                    shell: { ...like, walls: like.walls.map((wall) => ({ ...wall, openings: [], battens: [], lights: null })) },
                  },
                ],
              });
              onShell(count);
            }}
          >
            <Plus size={15} /> a shell beside it
          </Button>
        </div>
      )}
    </section>
  );
};
