import { asRoom, type Field, isRoom, type Room, shownFields, withValueAt } from '@parlor/core/piece';
import type { Placement } from '@parlor/core/room';
import { type Arranged, shellChange } from '@parlor/core/set';
import { Plus, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { useDerivedPiece, useEdit, useScale, useSet } from '../../state/index.ts';
import { Button, cx, Decision, MarginNotes, notesOf, Sheet, Spread, TextField } from '../../ui/index.ts';
import { AsWide } from './AsWide.tsx';
import { Follows } from './Follows.tsx';
import { Joining } from './Joining.tsx';
import { withoutPlaced, withPlaced } from './layouts.ts';
import { OwnPlan } from './OwnPlan.tsx';
import { FloorPlan } from './Plan.tsx';
import { StartRoom } from './StartRoom.tsx';
import type { InHand } from './shells.ts';
import { Things, Ways } from './Things.tsx';
import { useArranged, useChangeLayout } from './useRoom.ts';
import { Walls } from './Walls.tsx';
import { whereSheStands } from './where.ts';

/** The rooms of the set as tickets, and the way to a new one. */
const RoomStrip = ({ rooms, current }: { readonly rooms: readonly Room[]; readonly current: string }) => {
  const { setId } = useParams();
  const [open, setOpen] = useState(false);
  return (
    <div className="flex items-center gap-2 mb-2">
      <Button look="main" className="px-3.5!" aria-haspopup="dialog" onClick={() => setOpen(true)}>
        <Plus size={18} />
        room
      </Button>
      <nav aria-label="Rooms of this set" className="flex gap-1.5 overflow-x-auto p-1 min-w-0">
        {rooms.map(({ id, mark, name }) => (
          <NavLink
            key={id}
            to={`/sets/${setId}/room/${id}`}
            aria-current={id === current ? 'page' : undefined}
            className={cx(
              'shrink-0 min-h-touch flex items-center gap-1.5 px-3 rounded-slip border text-note max-w-52',
              id === current ? 'bg-leaf border-rose text-rose font-semibold' : 'border-dashed border-tab hover:bg-oat',
            )}
          >
            <span className="font-hand">{mark}</span>
            <span className="truncate">{name || 'no name yet'}</span>
          </NavLink>
        ))}
      </nav>
      <Sheet title="A room to start from" open={open} onOpenChange={setOpen}>
        <StartRoom onTaken={() => setOpen(false)} />
      </Sheet>
    </div>
  );
};

const GROUPS: readonly (readonly [Field['group'], string])[] = [
  ['shape', 'Its shape'],
  ['build', 'How it is put together'],
  ['fittings', 'Strips that run round it'],
  ['boards', 'Boards, and how thick they are glued up'],
];

const RoomFields = ({ room, shell }: { readonly room: Room; readonly shell: number }) => {
  const scale = useScale();
  const edit = useEdit();
  const roles = useDerivedPiece(room.id)?.made?.roles;
  if (!scale) return null;
  // Of a shell that is joined to others its own sizes are decided; what joins them belongs to the first.
  const owner = shell === 0 ? room : asRoom(room, shell);
  const put = (words: string, change: Partial<Room>): void =>
    edit(words, { kind: 'change-piece', id: room.id, change: shellChange(room, shell, change) });
  const name = room.shells.length > 0 ? `shell ${shell + 1} of ${room.name}` : room.name;
  const change = (words: string, path: readonly string[], value: unknown): void => {
    const key = path[0] as keyof Room;
    put(`${words} of ${name}`, { [key]: withValueAt(owner, path, value)[key] });
  };
  const shown = shownFields(room, roles, owner);
  const drawn = (group: Field['group']) =>
    shown
      .filter((field) => field.group === group)
      .map((field) => <Decision key={field.label} field={field} owner={owner} scale={scale} onChange={change} />);
  return (
    <>
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start">{drawn('size')}</div>
      <AsWide room={owner} name={name} onChange={put} />
      {GROUPS.map(([group, title]) => (
        <details key={group} className="mt-1" data-group={group}>
          <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">{title}</summary>
          <div className="grid grid-cols-2 gap-x-6 gap-y-3 pb-2 items-start">{drawn(group)}</div>
        </details>
      ))}
    </>
  );
};

const Arranging = ({ room, rooms }: { readonly room: Room; readonly rooms: readonly Room[] }) => {
  const [held, setHeld] = useState<Placement | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [side, setSide] = useState(0);
  const [hand, setHand] = useState<InHand>({ shell: 0, wall: 0 });
  const [led, setLed] = useState<readonly [number, number] | null>(null);
  const piece = useDerivedPiece(room.id);
  const arranged = useArranged(room.id, held);
  const scale = useScale();
  const edit = useEdit();
  const navigate = useNavigate();
  const { setId } = useParams();
  const { pieces, layouts } = useSet();
  const shell = Math.min(hand.shell, room.shells.length);
  const dollAt = useMemo(() => led ?? (arranged ? whereSheStands(arranged) : ([0, 0] as const)), [led, arranged]);
  const takeSide = (next: number): void => {
    setSide(next);
    const of = arranged?.space.sides[next]?.of;
    if (of) setHand({ shell: of[0], wall: of[1] });
  };
  const takeWall = (next: InHand): void => {
    setHand(next);
    const found = arranged?.space.sides.findIndex(({ of }) => of?.[0] === next.shell && of[1] === next.wall) ?? -1;
    if (found >= 0) setSide(found);
  };
  const change = useChangeLayout(room.id, arranged?.layout);
  const place = (words: string, ...placed: readonly Placement[]): void => change(words, (layout) => placed.reduce(withPlaced, layout));
  const takeOut = (id: string): void => {
    change(`${pieces.find((each) => each.id === id)?.name ?? ''} taken out of the room`, (layout) => withoutPlaced(layout, id));
    setChosen(null);
  };
  const remove = (): void => {
    edit(`${room.name} taken away`, {
      kind: 'all',
      edits: [
        { kind: 'change-set', change: { layouts: layouts.filter((layout) => layout.room !== room.id) } },
        { kind: 'remove-piece', id: room.id },
      ],
    });
    void navigate(`/sets/${setId}/room`);
  };
  return (
    <Spread
      leftLabel="What you decide about the room"
      rightLabel="What follows"
      left={
        <div className="flex flex-col h-full">
          <RoomStrip rooms={rooms} current={room.id} />
          <header className="flex items-start gap-1">
            <div className="flex-1 min-w-0">
              <TextField
                title
                label="Name of the room"
                value={room.name}
                onChange={(name) => edit(`the name of ${room.name}`, { kind: 'change-piece', id: room.id, change: { name } })}
              />
            </div>
            <Button
              look="quiet"
              className="px-2.5!"
              aria-label={`Take ${room.name} away`}
              title="Take this room away; undo brings it back"
              onClick={remove}
            >
              <Trash2 size={18} />
            </Button>
          </header>
          {arranged ? (
            <>
              <Ways arranged={arranged} />
              <div className="relative max-h-[340px] shrink-0 my-1" style={{ aspectRatio: planShape(arranged) }}>
                <FloorPlan
                  arranged={arranged}
                  chosen={chosen}
                  side={side}
                  onChoose={setChosen}
                  onSide={takeSide}
                  dollAt={dollAt}
                  onDoll={setLed}
                  onHold={setHeld}
                  onPlace={place}
                  onTakeOut={takeOut}
                />
              </div>
              <Things arranged={arranged} chosen={chosen} onChoose={setChosen} onPlace={place} onTakeOut={takeOut} />
            </>
          ) : (
            <p className="font-hand text-graphite p-8">
              {piece ? 'It cannot be drawn as it is; see the note on the right.' : 'drawing it …'}
            </p>
          )}
          <h3 className="text-head mt-3">The room itself</h3>
          <Joining room={room} shell={shell} onShell={(next) => takeWall({ shell: next, wall: 0 })} />
          <RoomFields key={shell} room={room} shell={shell} />
          {scale && shell === 0 && <OwnPlan room={room} scale={scale} side={hand.wall} onSide={(wall) => takeWall({ shell: 0, wall })} />}
          {scale && <Walls room={room} shell={shell} scale={scale} wall={hand.wall} onWall={(wall) => takeWall({ shell, wall })} />}
        </div>
      }
      right={
        arranged && piece ? (
          <Follows
            arranged={arranged}
            piece={piece}
            side={side}
            chosen={chosen}
            dollAt={dollAt}
            onSide={takeSide}
            onChoose={setChosen}
            onHold={setHeld}
            onPlace={place}
          />
        ) : (
          piece && <Unbuilt piece={piece} />
        )
      }
    />
  );
};

/** How wide the plan is to its depth, its margins with it. */
const planShape = ({ space: { ring } }: Arranged): number => {
  const [width, depth] = [Math.max(...ring.map(([x]) => x)), Math.max(...ring.map(([, z]) => z))];
  const margin = Math.max(width, depth) * 0.2;
  return (width + margin) / (depth + margin);
};

const Unbuilt = ({ piece }: { readonly piece: NonNullable<ReturnType<typeof useDerivedPiece>> }) => (
  <div>
    <h2 className="text-head">{piece.name}</h2>
    <MarginNotes notes={notesOf(piece.findings)} piece={piece} className="mt-4" />
  </div>
);

/** A room as it is decided, with what stands in it, and as it follows. */
export const RoomView = () => {
  const { pieces } = useSet();
  const { pieceId } = useParams();
  const rooms = pieces.filter(isRoom);
  const room = rooms.find(({ id }) => id === pieceId) ?? rooms[0];
  if (room) return <Arranging key={room.id} room={room} rooms={rooms} />;
  return (
    <Spread
      leftLabel="What you decide about the room"
      rightLabel="What follows"
      left={
        <div>
          <h1 className="text-title mt-2">A room for them</h1>
          <p className="mt-1 mb-4 max-w-md">
            Choose a shell to begin with. Its walls, windows and doors are decided here, and what you have made is put into it.
          </p>
          <StartRoom />
        </div>
      }
      right={
        <p className="font-hand text-graphite p-8">Once there is a room, it can be walked round here, and each wall seen from inside.</p>
      }
    />
  );
};
