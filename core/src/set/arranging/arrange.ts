// µm, doll size. A room with what stands in it, and what a careful maker would notice about that.
import { type Assembly, alike, type Boxed, boxed, type Part } from '../../assembly/index.ts';
import { bodyOf } from '../../doll/index.ts';
import { UM } from '../../measure/index.ts';
import { asRoom, belongs, isRoom, liesFlat, type PlaceAt, placesOf, type Room } from '../../piece/index.ts';
import {
  besideIt,
  judgeLayout,
  type LayoutJudged,
  layoutOf,
  type Placement,
  type RoomLayout,
  type RoomSpace,
  type StandingThing,
  spaceOf,
  standAt,
  type WalkField,
  type WallJoint,
  wallJointsOf,
  wayThrough,
} from '../../room/index.ts';
import type { Pose } from '../../shape/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import { meansOf } from '../derive/derive.ts';
import { placeNamed, putAt, spotOf } from '../derive/places.ts';
import { placeOnShelf, shelfAt } from '../derive/shelves.ts';
import type { SetDocument } from '../document/document.ts';
import type { Finding } from '../findings/finding.ts';
import { seamFindings } from '../findings/seamFindings.ts';
import { partedBy } from '../findings/setAside.ts';
import { hungFindings } from './hungInRoom.ts';
import { hungOtherwise, legsInTheWay, narrowWays, type Resident } from './roomUse.ts';

/** A room that is arranged: its space, its things where they stand, the verdicts, and the doll's way. */
export type Arranged = {
  readonly room: Room;
  readonly layout: RoomLayout | undefined;
  readonly space: RoomSpace;
  readonly standing: readonly StandingThing[];
  readonly judged: LayoutJudged;
  readonly way: WalkField;
  /** Where the boards of its walls meet, and what hides that. */
  readonly seams: readonly WallJoint[];
  /** What fills the shelves of things that stand there, what lies and hangs on them and at the room's windows, where it is in the room. */
  readonly onThings: readonly { readonly piece: string; readonly body: Boxed }[];
  /** Where what is sewn is: a point of one copy, as it was sewn, stands at its place in the frame and as far along its normal as it is deep. */
  readonly sewn: readonly { readonly piece: string; readonly frame: Pose }[];
  readonly findings: readonly Finding[];
};

/** What was put in its place stays the very same thing as long as neither it nor the room has changed, so that what was asked about it holds. */
const known = new WeakMap<Placement, { readonly assembly: Assembly; readonly corner: string; readonly standing: StandingThing }>();

const stand = (assembly: Assembly, placed: Placement, space: RoomSpace): StandingThing => {
  const corner = space.corner.join(' ');
  const before = known.get(placed);
  if (before && before.assembly === assembly && before.corner === corner) return before.standing;
  const standing = standAt(assembly, placed, space);
  known.set(placed, { assembly, corner, standing });
  return standing;
};

const spaces = new WeakMap<Assembly, RoomSpace>();

const nameIn = (document: SetDocument, id: string): string => document.pieces.find((piece) => piece.id === id)?.name ?? '';

/** How far a hand reaches into a room. Common practice, no source. */
const REACH = 300 * UM.mm;

/** Things under a ceiling that lie further from every side that opens than a hand reaches; infinitely far where none opens. */
const outOfReach = (
  room: Room,
  { sides, corner }: RoomSpace,
  standing: readonly StandingThing[],
): readonly { readonly piece: string; readonly away: number }[] => {
  if (!room.ceiling) return [];
  const open = sides.filter(({ walled, of }) => !walled || (of !== null && asRoom(room, of[0]).walls[of[1]]?.kind === 'removable'));
  return standing.flatMap(({ placed, body: { whole } }) => {
    const [x0, x1, z0, z1] = [whole.min[0] - corner[0], whole.max[0] - corner[0], whole.min[2] - corner[2], whole.max[2] - corner[2]];
    const nearest = Math.min(
      Infinity,
      ...open.map(({ from, to }) => {
        const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
        const off = ([x, z]: readonly [number, number]): number =>
          Math.abs((to[0] - from[0]) * (z - from[1]) - (to[1] - from[1]) * (x - from[0])) / length;
        return Math.min(off([x0, z0]), off([x1, z0]), off([x0, z1]), off([x1, z1]));
      }),
    );
    return nearest > REACH ? [{ piece: placed.piece, away: Math.round(Math.min(nearest, 10 * UM.m)) }] : [];
  });
};

const findingsOf = (
  document: SetDocument,
  judged: LayoutJudged,
  way: WalkField,
  far: ReturnType<typeof outOfReach>,
): readonly Finding[] => {
  const name = (id: string): string => nameIn(document, id);
  return [
    ...judged.clashes.map(
      ([one, other]): Finding => ({
        code: 'things-clash',
        severity: 'error',
        one: name(one),
        other: other === '' ? '' : name(other),
        numbers: {},
        where: { pieceId: one },
        mend: null,
      }),
    ),
    ...judged.outside.map(
      (id): Finding => ({ code: 'stands-outside', severity: 'error', thing: name(id), numbers: {}, where: { pieceId: id }, mend: null }),
    ),
    ...judged.floating.map(
      (id): Finding => ({ code: 'hangs-free', severity: 'warning', thing: name(id), numbers: {}, where: { pieceId: id }, mend: null }),
    ),
    ...judged.stopped.map(
      ([piece, by]): Finding => ({
        code: 'opens-into',
        severity: 'warning',
        thing: name(piece),
        by: by === '' ? '' : name(by),
        numbers: {},
        where: { pieceId: piece },
        mend: null,
      }),
    ),
    ...far.map(
      ({ piece, away }): Finding => ({
        code: 'out-of-reach',
        severity: 'note',
        thing: name(piece),
        numbers: { away, reach: REACH },
        where: { pieceId: piece },
        mend: null,
      }),
    ),
    ...way.unreached.map(
      (id): Finding => ({
        code: 'no-way-to',
        severity: 'warning',
        thing: name(id),
        doll: document.doll.name,
        numbers: { shoulders: bodyOf(document.doll).shoulderBreadth },
        where: { pieceId: id },
        mend: null,
      }),
    ),
  ];
};

const shifted = (parts: readonly Part[], [dx, dy, dz]: readonly [number, number, number]): readonly Part[] =>
  parts.map((part) => {
    const [x, y, z] = part.pose.origin;
    return { ...part, pose: { ...part.pose, origin: [x + dx, y + dy, z + dz] as const } };
  });

/** A part that is nowhere: moved with a thing it tells where that came to. */
const PROBE: Part = alike({
  id: 'probe',
  role: 'found',
  name: '',
  stuff: 'found',
  stock: '',
  thickness: 1,
  region: { outline: [[0, 0]], holes: [] },
  pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
  grain: 'any',
  held: 'slides',
  length: null,
  centres: [],
});

const frameOf = (parts: readonly Part[]): Pose => (parts[0] ?? PROBE).pose;

/** What belongs to a piece of the set, in that piece's own space: goods on its shelves, what lies and hangs on its places. Probed, only where what is sewn comes to. */
export const belongingTo = (
  document: SetDocument,
  derived: DerivedSet,
  id: string,
  probed = false,
): readonly { readonly piece: string; readonly parts: readonly Part[] }[] => {
  const made = derived.pieces.find((piece) => piece.id === id)?.made;
  const host = document.pieces.find((piece) => piece.id === id);
  if (!made || !host) return [];
  let places: readonly PlaceAt[] | undefined;
  return document.pieces.flatMap((thing): readonly { readonly piece: string; readonly parts: readonly Part[] }[] => {
    const own = derived.pieces.find((piece) => piece.id === thing.id)?.made;
    if (!own) return [];
    if (probed && !own.sewing) return [];
    if ('fills' in thing && thing.fills?.piece === id) {
      const shelf = shelfAt(made, thing.fills);
      return shelf ? [{ piece: thing.id, parts: shifted(own.assembly.parts, placeOnShelf(shelf, own.assembly)) }] : [];
    }
    if (!belongs(thing) || thing.on?.piece !== id || !own.anchor) return [];
    places ??= placesOf(host, made.assembly, meansOf(document));
    const place = placeNamed(places, thing.on);
    return place
      ? [{ piece: thing.id, parts: putAt(probed ? [PROBE] : own.assembly.parts, own.anchor, spotOf(place, thing), place.turn) }]
      : [];
  });
};

/** A room of a set, arranged as its layout that counts says, or another.
 *  Shape: document, its derived pieces, the room's id → the room arranged; nothing where it is no room or cannot be built. */
export const arrangedIn = (document: SetDocument, derived: DerivedSet, roomId: string, layoutId?: string): Arranged | undefined => {
  const room = document.pieces.find(({ id }) => id === roomId);
  const shell = derived.pieces.find(({ id }) => id === roomId)?.made;
  if (!room || !isRoom(room) || !shell) return undefined;
  const space = spaces.get(shell.assembly) ?? spaceOf(room, shell.assembly, meansOf(document));
  if (!space) return undefined;
  spaces.set(shell.assembly, space);
  const layout = document.layouts.find(({ id }) => id === layoutId) ?? layoutOf(document.layouts, roomId);
  const residents = (layout?.placed ?? []).flatMap((placed): readonly Resident[] => {
    const made = derived.pieces.find(({ id }) => id === placed.piece)?.made;
    const piece = document.pieces.find(({ id }) => id === placed.piece);
    return made && piece ? [{ piece, assembly: made.assembly, standing: stand(made.assembly, placed, space) }] : [];
  });
  const standing = residents.map((each) => each.standing);
  // One walks on what lies flat on the floor, and things stand on it.
  const firm = residents.filter(({ piece }) => !liesFlat(piece)).map((each) => each.standing);
  const flat = standing.filter((each) => !firm.includes(each));
  const stood = judgeLayout(space, firm);
  const judged = flat.length === 0 ? stood : { ...stood, outside: [...stood.outside, ...judgeLayout(space, flat).outside] };
  const [body, means] = [bodyOf(document.doll), meansOf(document)];
  const way = wayThrough(space, firm, body);
  const seams = wallJointsOf(space, standing);
  const aside = new Map(document.pieces.map((piece) => [piece.id, piece.aside]));
  const onThings = [
    ...residents.flatMap(({ piece, assembly, standing: { placed } }) =>
      belongingTo(document, derived, piece.id).map((each) => ({ piece: each.piece, body: besideIt(assembly, placed, space, each.parts) })),
    ),
    ...belongingTo(document, derived, room.id).map((each) => ({ piece: each.piece, body: boxed(each.parts) })),
  ];
  const findings = [
    ...findingsOf(document, judged, way, outOfReach(room, space, standing)),
    ...narrowWays(space, residents, way, body, document.doll.name),
    ...legsInTheWay(space, residents, means),
    ...hungOtherwise(residents, means, document.layouts, layout),
    ...seamFindings(room, space, seams, means.scale),
    ...hungFindings(document, room.id, space, standing, onThings, means.scale),
  ].filter((finding) => partedBy(aside.get(finding.where.pieceId) ?? [], [finding]).aside.length === 0);
  const sewn = [
    ...residents.flatMap(({ piece, assembly, standing: { placed } }) => [
      ...('cloths' in piece ? [{ piece: piece.id, frame: frameOf(besideIt(assembly, placed, space, [PROBE]).parts) }] : []),
      ...belongingTo(document, derived, piece.id, true).map((each) => ({
        piece: each.piece,
        frame: frameOf(besideIt(assembly, placed, space, each.parts).parts),
      })),
    ]),
    ...belongingTo(document, derived, room.id, true).map((each) => ({ piece: each.piece, frame: frameOf(each.parts) })),
  ];
  return { room, layout, space, standing, judged, way, seams, onThings, sewn, findings };
};
