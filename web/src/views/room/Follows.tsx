import type { Box, Inspection } from '@parlor/core/assembly';
import { UM } from '@parlor/core/measure';
import { goesInto, type Placement, storedOf } from '@parlor/core/room';
import type { Arranged, DerivedPiece, MadePiece } from '@parlor/core/set';
import { mapVec, vec3 } from '@parlor/core/shape';
import { useMemo, useState } from 'react';
import { useAppSelector, useSet } from '../../state/index.ts';
import { Choice, canDrawModel, MarginNotes, PieceModel, Size, SizeField } from '../../ui/index.ts';
import { Differences } from './Differences.tsx';
import { drapesOf } from './drapes.ts';
import { OnTheWall } from './OnTheWall.tsx';
import { WallDress } from './WallDress.tsx';
import { WallElevation } from './WallElevation.tsx';

const NOTHING: Inspection = { boxes: [], interference: [], contacts: [], closes: true, clearIsFree: true, loose: [], stopped: [] };

/** The room and all that stands in it as one thing to look at. */
const togetherOf = ({ space, standing, onThings }: Arranged, shell: MadePiece): MadePiece => {
  const things = [space.shell, ...standing.map(({ body }) => body), ...onThings.map(({ body }) => body)];
  // What is sewn is seen as cloth, and not as the space that it takes.
  const seen = things.flatMap((body) => body.parts.map((part, index) => ({ part, box: body.boxes[index] as Box })));
  const solid = seen.filter(({ part }) => part.stuff !== 'found' || part.stock !== 'cloth');
  const [parts, boxes] = [solid.map(({ part }) => part), solid.map(({ box }) => box)];
  const most = vec3((axis) => Math.max(...boxes.map(({ max }) => max[axis])));
  return {
    ...shell,
    assembly: { ...shell.assembly, parts, outside: { min: [0, 0, 0], max: most }, motions: [] },
    inspection: NOTHING,
    tags: parts.map(() => ''),
    groups: [],
    joined: [],
  };
};

const Stored = ({ arranged, shell }: { readonly arranged: Arranged; readonly shell: MadePiece }) => {
  const stored = useMemo(() => storedOf(arranged.room, shell.assembly.parts), [arranged.room, shell]);
  const [place, setPlace] = useState<readonly [number, number, number]>([400_000, 300_000, 300_000]);
  return (
    <section aria-label="Putting it away">
      <p className="text-note text-graphite" data-testid="stored">
        {stored.apart ? (
          <>
            Put away it is {stored.boards} flat boards, the largest <Size world="doll" lengthUm={stored.width} /> by{' '}
            <Size world="doll" lengthUm={stored.depth} />, <Size world="doll" lengthUm={stored.height} /> high on one another.
          </>
        ) : (
          <>
            Glued for good: it is put away as it stands, <Size world="doll" lengthUm={stored.width} /> by{' '}
            <Size world="doll" lengthUm={stored.depth} /> and <Size world="doll" lengthUm={stored.height} /> high.
          </>
        )}
      </p>
      <details className="mt-1">
        <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
          Does it go into …
        </summary>
        <div className="grid grid-cols-3 gap-x-4">
          {(['wide', 'deep', 'high'] as const).map((word, index) => (
            <SizeField
              key={word}
              label={`The place, ${word}`}
              world="doll"
              lengthUm={place[index] as number}
              min={10 * UM.mm}
              max={5 * UM.m}
              onChange={(um) => setPlace(mapVec(place, (value, axis) => (axis === index ? um : value)))}
            />
          ))}
        </div>
        <p className="font-hand text-body" aria-live="polite" data-testid="goes">
          {goesInto(stored, place) ? 'It goes in.' : 'It does not go in, whichever way it lies.'}
        </p>
      </details>
    </section>
  );
};

type Props = {
  readonly arranged: Arranged;
  readonly piece: DerivedPiece;
  readonly side: number;
  readonly chosen: string | null;
  readonly dollAt: readonly [number, number];
  readonly onSide: (side: number) => void;
  readonly onChoose: (piece: string | null) => void;
  readonly onHold: (placed: Placement | null) => void;
  readonly onPlace: (words: string, placed: Placement) => void;
};

/** What follows from a room: the room to walk round, its walls one by one, what is to be minded. */
export const Follows = ({ arranged, piece, side, chosen, dollAt: at, onSide, onChoose, onHold, onPlace }: Props) => {
  const night = useAppSelector((state) => state.ui.night);
  const { made } = piece;
  const set = useSet();
  const { doll, pieces } = set;
  const derived = useAppSelector((state) => state.derived.set);
  const whole = useMemo(() => made && togetherOf(arranged, made), [arranged, made]);
  const drapes = useMemo(() => (derived ? drapesOf(set, derived, arranged) : undefined), [set, derived, arranged]);
  const dollAt = useMemo((): readonly [number, number, number] => {
    const [cx, cy, cz] = arranged.space.corner;
    return [(cx + at[0]) / 1000, cy / 1000, (cz + at[1]) / 1000];
  }, [arranged, at]);
  const sides = arranged.space.sides.flatMap(({ name, walled }, index) => (walled ? [{ value: String(index), label: name }] : []));
  const shown = arranged.space.sides[side];
  const nameOf = (id: string): string | undefined => pieces.find((each) => each.id === id)?.name;
  const notes = [...arranged.findings, ...piece.findings];
  return (
    <div className="flex flex-col gap-3">
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-head">
            {piece.name}, for {doll.name || 'the doll'}
          </h2>
          <p className="text-graphite">what follows</p>
        </div>
        {made && (
          <p className="bg-oat rounded-full px-4 py-1.5 text-note whitespace-nowrap" data-testid="verdict">
            {made.assembly.parts.length} parts · {arranged.standing.length} {arranged.standing.length === 1 ? 'thing' : 'things'}
          </p>
        )}
      </header>
      {whole && (
        <div className={canDrawModel() ? 'relative h-72 shrink-0' : 'relative'}>
          <div className={canDrawModel() ? 'absolute inset-0' : ''}>
            <PieceModel made={whole} name={piece.name} dollHeightUm={doll.height} dollAt={dollAt} drapes={drapes} key={String(night)} />
          </div>
        </div>
      )}
      <section aria-label="Walls from inside">
        <Choice label="Wall seen from inside" hideLabel value={String(side)} options={sides} onChange={(next) => onSide(Number(next))} />
        {shown?.walled ? (
          <>
            <div className="h-64 mt-2">
              <WallElevation
                arranged={arranged}
                side={shown}
                chosen={chosen}
                dollAt={at}
                onChoose={onChoose}
                onHold={onHold}
                onPlace={onPlace}
              />
            </div>
            <OnTheWall arranged={arranged} side={side} />
            <WallDress arranged={arranged} side={shown} />
          </>
        ) : (
          <p className="font-hand text-graphite p-4">This side is open. Choose a wall.</p>
        )}
      </section>
      {arranged.room.shells.length > 0 && <Differences room={arranged.room} />}
      {made && <Stored arranged={arranged} shell={made} />}
      <MarginNotes
        piece={piece}
        notes={notes.map((finding) => ({
          finding,
          of: finding.where.pieceId === piece.id ? undefined : nameOf(finding.where.pieceId),
        }))}
      >
        Nothing to note: all stands free, opens, and can be reached.
      </MarginNotes>
    </div>
  );
};
