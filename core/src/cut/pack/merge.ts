// Zero waste: a sheet that was cut apart from edge to edge is put together again by laying parts with an equal side against each other.
import type { Kind } from './construct.ts';
import type { Packed, PackItem } from './items.ts';

/** A rectangle put together: of one item, or of two blocks one beside or above the other. A block may lie turned in the next. */
type Block = { readonly width: number; readonly height: number } & (
  | { readonly item: number }
  | { readonly first: Block; readonly second: Block; readonly firstTurned: boolean; readonly secondTurned: boolean }
);

type Pair = { readonly a: number; readonly b: number; readonly block: Block };

/** The ways to lay one block above another: turned or not, so that they are equally wide. Beside each other is the same, turned. */
const joins = (first: Block, second: Block): readonly Block[] => {
  const found: Block[] = [];
  for (const firstTurned of [false, true]) {
    for (const secondTurned of [false, true]) {
      const [w, h] = firstTurned ? [first.height, first.width] : [first.width, first.height];
      const [v, i] = secondTurned ? [second.height, second.width] : [second.width, second.height];
      if (w === v) found.push({ width: w, height: h + i, first, second, firstTurned, secondTurned });
    }
  }
  return found;
};

const fitsIn = ({ width, height }: Block, room: Kind): boolean =>
  (width <= room.width && height <= room.height) || (height <= room.width && width <= room.height);

/** So many pairs are looked at before it is given up; a step looks at as many as the square of the blocks. */
const MOST_PAIRS = 1.2e7;

/** Puts all items together to exactly one sheet.
 *  Shape: n items whose areas come to the sheet's → where each lies, or undefined. All items must turn. The pair with the fewest other
 *  partners goes first, the smaller before the larger. */
export const mergeAll = (list: readonly PackItem[], room: Kind): readonly Packed[] | undefined => {
  if (list.reduce((sum, { width, height }) => sum + width * height, 0) !== room.width * room.height) return undefined;
  if (!list.every(({ turns, width, height }) => turns || width === height)) return undefined;
  let steps = 0;
  const dead = new Set<string>();
  const from = (blocks: readonly Block[]): Block | undefined => {
    const [only] = blocks;
    if (only && blocks.length === 1) return fitsIn(only, room) ? only : undefined;
    const key = blocks
      .map(({ width, height }) => (width < height ? `${width} ${height}` : `${height} ${width}`))
      .sort()
      .join(';');
    if (dead.has(key)) return undefined;
    const pairs: Pair[] = [];
    const partners = blocks.map(() => 0);
    for (let a = 0; a < blocks.length; a += 1) {
      for (let b = a + 1; b < blocks.length; b += 1) {
        for (const block of joins(blocks[a] as Block, blocks[b] as Block)) {
          if (!fitsIn(block, room)) continue;
          pairs.push({ a, b, block });
          partners[a] = (partners[a] as number) + 1;
          partners[b] = (partners[b] as number) + 1;
        }
      }
    }
    const rank = ({ a, b, block }: Pair): number => ((partners[a] as number) + (partners[b] as number)) * 1e14 + block.width * block.height;
    pairs.sort((p, q) => rank(p) - rank(q));
    for (const { a, b, block } of pairs) {
      steps += blocks.length ** 2;
      if (steps > MOST_PAIRS) return undefined;
      const found = from([...blocks.filter((_, index) => index !== a && index !== b), block]);
      if (found) return found;
    }
    dead.add(key);
    return undefined;
  };
  const whole = from(list.map(({ width, height }, item): Block => ({ width, height, item })));
  if (!whole) return undefined;
  const placed: Packed[] = [];
  const lay = (block: Block, x: number, y: number, turned: boolean): void => {
    if ('item' in block) {
      placed.push({ item: block.item, x, y, turned });
      return;
    }
    const { first, second, firstTurned, secondTurned } = block;
    const high = firstTurned ? first.width : first.height;
    // Turned by a quarter, what lay above lies to the right.
    lay(first, x, y, firstTurned !== turned);
    if (turned) lay(second, x + high, y, secondTurned !== turned);
    else lay(second, x, y + high, secondTurned !== turned);
  };
  lay(whole, 0, 0, whole.width !== room.width);
  return placed;
};
