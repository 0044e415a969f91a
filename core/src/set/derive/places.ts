// µm, doll size. Places of a piece that something may lie, stand or hang on: mattresses, padding, seats, tops, windows.
import { type Assembly, boxOf, type Part } from '../../assembly/index.ts';
import { dollOf, showLength, type Units } from '../../measure/index.ts';
import { asRoom, type Means, mattressesOf, type Piece, type PlaceOf, type PlaceSpace, roomPlan } from '../../piece/index.ts';
import { spaceOf } from '../../room/index.ts';
import { normalOf, regionArea, turnUpright, type Vec3 } from '../../shape/index.ts';

/** A place: its name within its piece, its measures, its middle (of the upper side; of a window's upper frame edge, at the face that is seen) in the piece's own space, and the
 *  turn about the upright by which what hangs there faces outwards, as cosine and sine. */
export type PlaceAt = {
  readonly at: string;
  readonly label: string;
  readonly space: PlaceSpace;
  readonly middle: Vec3;
  /** Where what is itself the mattress lies: on the bed's base. */
  readonly base: Vec3;
  readonly turn: readonly [cos: number, sin: number];
};

const AHEAD: PlaceAt['turn'] = [1, 0];

const flatPlace = (
  at: string,
  label: string,
  kind: PlaceSpace['kind'],
  box: ReturnType<typeof boxOf>,
  round: boolean,
  thick: number,
): PlaceAt => {
  const { min, max } = box;
  const middle: Vec3 = [(min[0] + max[0]) / 2, max[1], (min[2] + max[2]) / 2];
  return {
    at,
    label,
    space: { kind, width: max[0] - min[0], depth: max[2] - min[2], thick, above: max[1], round },
    middle,
    base: [middle[0], min[1], middle[2]],
    turn: AHEAD,
  };
};

const lies = (part: Part): boolean => part.stuff !== 'found' && Math.abs(normalOf(part.pose)[1]) > 0.99;

const isRound = ({ region: { outline } }: Part): boolean => outline.length > 16;

/** A surface is one that something is put on when it is nearly as large as the largest. */
const NEARLY = 0.6;

const highest = (parts: readonly Part[]): Part | undefined => {
  const lying = parts.filter(lies).map((part) => ({ part, area: regionArea(part.region) }));
  const largest = Math.max(0, ...lying.map(({ area }) => area));
  return lying.filter(({ area }) => area >= NEARLY * largest).sort((a, b) => boxOf(b.part).max[1] - boxOf(a.part).max[1])[0]?.part;
};

const topPlace = (assembly: Assembly, kind: 'top' | 'seat'): readonly PlaceAt[] => {
  const top = highest(assembly.parts);
  return top ? [flatPlace(kind, kind === 'top' ? 'its top' : 'its seat', kind, boxOf(top), isRound(top), 0)] : [];
};

const padPlaces = (assembly: Assembly): readonly PlaceAt[] => {
  const pads = assembly.parts.filter((part) => part.stuff === 'pad' && lies(part));
  return pads.map((part, index) =>
    flatPlace(
      `pad ${index + 1}`,
      pads.length === 1 ? 'its padding' : `cushion ${index + 1} of ${pads.length}`,
      'pad',
      boxOf(part),
      isRound(part),
      part.thickness,
    ),
  );
};

/** Windows in the walls of a room, where their frames are seen from inside. */
const roomWindows = (piece: Piece & { family: 'room' }, assembly: Assembly, means: Means): readonly PlaceAt[] => {
  const space = spaceOf(piece, assembly, means);
  if (!space) return [];
  const [cx, cy, cz] = space.corner;
  return roomPlan(piece, means).sides.flatMap(({ name, from, to, face, openings }) =>
    openings.flatMap(({ shell, wall, index, x0, x1, y0, y1 }): readonly PlaceAt[] => {
      const opening = asRoom(piece, shell).walls[wall]?.openings[index];
      if (!opening || opening.form === 'door') return [];
      const border = opening.form === 'window' ? dollOf(opening.border, means.scale) : 0;
      const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
      const [wx, wz] = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
      const along = (x0 + x1) / 2;
      // The room lies to the right of who walks along a side from its left end: what hangs there looks that way.
      const middle: Vec3 = [cx + from[0] + wx * along - wz * face, cy + y1 + border, cz + from[1] + wz * along + wx * face];
      return [
        {
          at: `window ${shell}.${wall}.${index}`,
          label: `window ${index + 1} of the ${name}`,
          space: { kind: 'window', width: x1 - x0 + 2 * border, depth: y1 - y0 + 2 * border, thick: 0, above: y0 - border, round: false },
          middle,
          base: middle,
          turn: [wx, -wz],
        },
      ];
    }),
  );
};

const windowPlace = ({ outside: { min, max } }: Assembly): readonly PlaceAt[] => {
  const middle: Vec3 = [(min[0] + max[0]) / 2, max[1], max[2]];
  return [
    {
      at: 'window',
      label: 'its frame',
      space: { kind: 'window', width: max[0] - min[0], depth: max[1] - min[1], thick: 0, above: null, round: false },
      middle,
      base: middle,
      turn: AHEAD,
    },
  ];
};

/** The places of a piece that stands.
 *  Shape: piece, its assembly, means → places by name; none for cloth, paper and what is itself put somewhere. */
export const placesOf = (piece: Piece, assembly: Assembly, means: Means): readonly PlaceAt[] => {
  switch (piece.family) {
    case 'bed':
      return mattressesOf(piece, means).map(({ word, space }, index, all) =>
        flatPlace(
          `mattress ${index + 1}`,
          all.length === 1 ? 'its mattress' : `the ${word} mattress`,
          'mattress',
          { min: [space.x0, space.y0, space.z0], max: [space.x1, space.y1, space.z1] },
          false,
          space.y1 - space.y0,
        ),
      );
    case 'seat': {
      const pads = padPlaces(assembly);
      return pads.length > 0 ? pads : topPlace(assembly, 'seat');
    }
    case 'opening':
      return piece.form === 'window' ? windowPlace(assembly) : [];
    case 'room':
      return roomWindows(piece, assembly, means);
    case 'paper':
    case 'cloth':
    case 'odd':
      return [];
    default:
      return topPlace(assembly, 'top');
  }
};

/** What goes round a block: it stands where the block does, and not on it. */
const GOES_ROUND: ReadonlySet<string> = new Set(['mattress cover', 'upholstery', 'fitted sheet']);

/** Where the middle of a place is for a thing: what is itself the mattress, or goes round it, begins where the mattress does; a seat's cover where its padding does. */
export const spotOf = ({ middle, base, space }: PlaceAt, thing: Piece): Vec3 =>
  thing.family === 'cloth' && (GOES_ROUND.has(thing.form) || (thing.form === 'seat cover' && space.kind === 'pad')) ? base : middle;

/** Parts of a thing moved to its place, in the space of the piece that has the place: its anchor comes to the middle, and it faces outwards. */
export const putAt = (parts: readonly Part[], anchor: Vec3, spot: Vec3, [cos, sin]: PlaceAt['turn']): readonly Part[] => {
  const turn = turnUpright(cos, sin);
  const whole = ([x, y, z]: Vec3): Vec3 => [Math.round(x), Math.round(y), Math.round(z)];
  return parts.map((part) => {
    const { origin, u, v } = part.pose;
    const [dx, dy, dz] = turn([origin[0] - anchor[0], origin[1] - anchor[1], origin[2] - anchor[2]]);
    return { ...part, pose: { origin: whole([spot[0] + dx, spot[1] + dy, spot[2] + dz]), u: turn(u), v: turn(v) } };
  });
};

/** What a place is called where it is chosen. */
export const placeWords = ({ label, space }: PlaceAt, units: Units): string =>
  `${label}, ${showLength(Math.round(space.width), units)} × ${showLength(Math.round(space.depth), units)}`;

export const placeNamed = (places: readonly PlaceAt[], { at }: Pick<PlaceOf, 'at'>): PlaceAt | undefined =>
  places.find((place) => place.at === at);
