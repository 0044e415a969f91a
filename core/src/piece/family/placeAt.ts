// µm, doll size. Places of a piece that something may lie, stand or hang on: mattresses, padding, seats, tops, windows.
import { type Assembly, boxOf, type Part } from '../../assembly/index.ts';
import { normalOf, regionArea, type Vec3 } from '../../shape/index.ts';
import type { PlaceSpace } from './means.ts';

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

export const AHEAD: PlaceAt['turn'] = [1, 0];

/** A place on a surface: its middle is on the upper side of the box. */
export const flatPlace = (
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

/** The place on top of a piece, or its seat. */
export const topPlace = (assembly: Assembly, kind: 'top' | 'seat'): readonly PlaceAt[] => {
  const top = highest(assembly.parts);
  return top ? [flatPlace(kind, kind === 'top' ? 'its top' : 'its seat', kind, boxOf(top), isRound(top), 0)] : [];
};

/** A place on each cushion of a piece. */
export const padPlaces = (assembly: Assembly): readonly PlaceAt[] => {
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
