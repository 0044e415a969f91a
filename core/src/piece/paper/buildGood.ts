// µm, doll size. Copies of a small good where they stand: in a row, on one another, in rows, or filling a shelf.
import { alike, type Part } from '../../assembly/index.ts';
import { err, ok, type Result, seededRandom } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { add, type Vec3, vec3 } from '../../shape/index.ts';
import { PRINT_STOCKS } from '../../stock/index.ts';
import { type Means, type ShelfSpace, sheetsFor } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Built, StandingNet } from '../parts/built.ts';
import { movedParts } from '../parts/parts.ts';
import { putFor } from '../parts/put.ts';
import { BOXES } from './boxes.ts';
import type { Copy, CopyResult, Making } from './copy.ts';
import { GOOD_ROLES, type Good, type GoodForm, MOST_COPIES } from './good.ts';
import { PRINTED, shares } from './printed.ts';
import { ROLLED } from './rolled.ts';

const MAKE: Readonly<Record<GoodForm, (making: Making) => CopyResult>> = { ...BOXES, ...ROLLED, ...PRINTED };

/** How thick the paper of a good is: as it was measured, else as such paper usually is. */
export const paperOf = ({ on, thickness }: Pick<Good, 'on' | 'thickness'>): number => thickness ?? PRINT_STOCKS[on].thickness;

const makingOf = (piece: Good, means: Means): Making => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  return {
    piece,
    width: doll(piece.width),
    height: doll(piece.height),
    depth: doll(piece.depth),
    above: doll(piece.above),
    lid: doll(piece.lid),
    hole: doll(piece.hole),
    border: doll(piece.border),
    paper: paperOf(piece),
    id: piece.id,
    sheets: sheetsFor(piece, GOOD_ROLES, means),
    put: putFor(piece.id),
  };
};

/** Forms whose width, seen as they stand in a row, is their depth: books. */
const bookish = ({ form }: Good): boolean => form === 'book';

type Sizes = Pick<Making, 'width' | 'height' | 'depth'>;

/** The sizes of each copy: alike, or different by chance. A row of books fills its shelf to the micrometre. */
const sizesOf = (making: Making, shelf: ShelfSpace | undefined): readonly Sizes[] => {
  const { piece, width, height, depth } = making;
  const vary = piece.vary / 100;
  const random = seededRandom(piece.seed * 31 + 7);
  const about = (size: number): number => Math.round(size * (1 + vary * (2 * random() - 1)));
  const one = (): Sizes => (vary === 0 ? { width, height, depth } : { width: about(width), height: about(height), depth: about(depth) });
  if (!shelf) return Array.from({ length: piece.count }, one);
  const low = (sizes: Sizes): Sizes => ({ ...sizes, height: Math.min(sizes.height, Math.max(shelf.height, Math.round(height * 0.6))) });
  if (bookish(piece) && !piece.lies) return shares(shelf.width, depth, vary, piece.seed).map((thick) => ({ ...low(one()), depth: thick }));
  return Array.from({ length: MOST_COPIES }, one);
};

type Stood = { readonly copy: Copy; readonly at: Vec3 };

/** Copies side by side, their fronts in one line; as many as a length takes. */
const inRow = (copies: readonly Copy[], most: number, deep: number): readonly Stood[] => {
  let x = 0;
  const stood: Stood[] = [];
  for (const copy of copies) {
    if (x + copy.size[0] > most) break;
    stood.push({ copy, at: [x, 0, deep - copy.size[2]] });
    x += copy.size[0];
  }
  return stood;
};

const onOneAnother = (copies: readonly Copy[], most: number, deep: number): readonly Stood[] => {
  let y = 0;
  const stood: Stood[] = [];
  for (const copy of copies) {
    if (y + copy.size[1] > most) break;
    stood.push({ copy, at: [0, y, deep - copy.size[2]] });
    y += copy.size[1];
  }
  return stood;
};

/** Rows one behind the other and, where they are told to be stacked, one above the other; as many as a space takes. */
const inRows = (copies: readonly Copy[], columns: number, ranks: number): readonly Stood[] => {
  const cell = vec3((axis) => Math.max(...copies.map(({ size }) => size[axis])));
  return copies.map((copy, index) => {
    const [column, rank, floor] = [index % columns, Math.floor(index / columns) % ranks, Math.floor(index / (columns * ranks))];
    return { copy, at: [column * cell[0], floor * cell[1], (ranks - 1 - rank) * cell[2]] };
  });
};

const times = (room: number, each: number): number => Math.max(0, Math.floor(room / Math.max(1, each)));

const stand = (piece: Good, copies: readonly Copy[], shelf: ShelfSpace | undefined): readonly Stood[] => {
  const deepest = Math.max(...copies.map(({ size }) => size[2]));
  if (!shelf) {
    if (piece.stands === 'row') return inRow(copies, Infinity, deepest);
    if (piece.stands === 'stack') return onOneAnother(copies, Infinity, deepest);
    const columns = Math.ceil(Math.sqrt(copies.length));
    return inRows(copies, columns, Math.ceil(copies.length / columns));
  }
  if (piece.stands === 'row') return inRow(copies, shelf.width, deepest);
  const cell = vec3((axis) => Math.max(...copies.map(({ size }) => size[axis])));
  const [columns, floors, ranks] = [times(shelf.width, cell[0]), times(shelf.height, cell[1]), times(shelf.depth, cell[2])];
  const all = columns * ranks * (piece.stands === 'stack' ? floors : 1);
  return inRows(copies.slice(0, Math.min(all, copies.length)), Math.max(1, columns), Math.max(1, ranks));
};

const partsOf = (piece: Good, { copy, at }: Stood, number: number): readonly Part[] => {
  const own = copy.parts.map((part) => ({ ...part, id: part.id.replace(`${piece.id}/`, `${piece.id}/${number + 1}-`) }));
  const { envelope } = copy;
  const space: readonly Part[] = envelope
    ? [
        alike({
          id: `${piece.id}/${number + 1}`,
          role: 'found',
          name: piece.form,
          stuff: 'found',
          stock: 'folded paper',
          thickness: envelope.thickness,
          region: envelope.region,
          ...(envelope.upper && { upper: envelope.upper }),
          pose: envelope.pose,
          grain: 'any',
          held: 'slides',
          length: null,
          centres: [],
        }),
      ]
    : [];
  return movedParts([...own, ...space], at);
};

/** The nets of all copies: those of copies that are alike are one, with a place for each. */
const netsOf = (stood: readonly Stood[]): readonly StandingNet[] => {
  const nets = new Map<string, StandingNet>();
  const numbers = new Map<Copy, number>();
  stood.forEach(({ copy, at }, number) => {
    const kind = numbers.get(copy) ?? numbers.size;
    numbers.set(copy, kind);
    copy.nets.forEach((net, index) => {
      const key = `${kind} ${index}`;
      const known = nets.get(key);
      const place = { number, pose: { ...net.pose, origin: add(net.pose.origin, at) } };
      nets.set(key, known ? { ...known, copies: [...known.copies, place] } : { ...net, key, copies: [place] });
    });
  });
  return [...nets.values()];
};

const extrasOf = (stood: readonly Stood[]): NonNullable<Built['extras']> => {
  const all = stood.flatMap(({ copy }) => copy.extras);
  return [...new Set(all.map(({ what }) => what))].map((what) => {
    const its = all.filter((extra) => extra.what === what);
    const wide = Math.max(0, ...its.map((extra) => extra.wide ?? 0));
    return { what, length: its.reduce((sum, { length }) => sum + length, 0), count: its.length, ...(wide > 0 && { wide }) };
  });
};

/** Builds a small good in all its copies.
 *  Shape: piece, means → the space it takes as parts, boards where it has some, and its nets with where each stands. Errors: 'does-not-fit' for what paper so
 *  thick cannot be folded or rolled to, and for a shelf that takes not one. */
export const buildGood = (piece: Good, means: Means): Result<Built, PieceProblem> => {
  const shelf = piece.fills ? means.shelf?.(piece.fills) : undefined;
  const making = makingOf(piece, means);
  const wide = shelf && piece.form === 'spines' ? { ...making, width: shelf.width } : making;
  const copies: Copy[] = [];
  let [last, same]: readonly [Sizes | undefined, Copy | undefined] = [undefined, undefined];
  for (const sizes of piece.form === 'spines' ? [wide] : sizesOf(making, shelf)) {
    const alikeAsLast = last && last.width === sizes.width && last.height === sizes.height && last.depth === sizes.depth;
    if (!alikeAsLast || !same) {
      const made = MAKE[piece.form]({ ...wide, ...sizes });
      if (!made.ok) return made;
      same = made.value;
      last = sizes;
    }
    copies.push(same);
  }
  const stood = stand(piece, copies, shelf);
  if (stood.length === 0)
    return err(
      lack('one of them on its shelf', shelf?.width ?? 0, copies[0]?.size[0] ?? 1) ?? {
        code: 'does-not-fit',
        what: 'one of them on its shelf',
        available: 0,
        needed: 1,
      },
    );
  const parts = stood.flatMap((each, number) => partsOf(piece, each, number));
  const outside = vec3((axis) => Math.max(...stood.map(({ copy, at }) => at[axis] + copy.size[axis])));
  // What stands in front of the deepest is nothing; the least corner is where the first stands.
  const least = vec3((axis) => Math.min(...stood.map(({ at }) => at[axis])));
  const back: Vec3 = [-least[0] + 0, -least[1] + 0, -least[2] + 0];
  const nets = netsOf(stood.map(({ copy, at }) => ({ copy, at: add(at, back) })));
  return ok({
    assembly: {
      parts: movedParts(parts, back),
      outside: { min: [0, 0, 0], max: add(outside, back) },
      clear: { min: [0, 0, 0], max: [0, 0, 0] },
      motions: [],
    },
    bays: [],
    openings: [],
    marks: [],
    nets,
    extras: extrasOf(stood),
  });
};
