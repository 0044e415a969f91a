// µm. Making every cut land on the rule: the smallest change of the sizes that drive a piece which puts its cut sizes on a grid.
import { cutRegionOf } from '../../assembly/index.ts';
import { dollOf, dollUm, inWorld, isDollSize, type Measure } from '../../measure/index.ts';
import { buildPiece, fieldsOf, innerFieldsOf, isFieldShown, type Means, type Piece, valueAt, withValueAt } from '../../piece/index.ts';
import { bounds } from '../../shape/index.ts';
import { changeBetween, type Edit } from '../document/edit.ts';

/** One size that is changed: what it is called, and what it measures at doll size before and after. */
export type RuleChange = { readonly label: string; readonly from: number; readonly to: number };

/** What the fitting came to: how many cut sizes there are, how many were on the rule and how many are, and the edit that does it; null
 *  where nothing needs to be changed, or nothing helps. */
export type RuleFit = {
  readonly sizes: number;
  readonly before: number;
  readonly after: number;
  readonly changes: readonly RuleChange[];
  readonly edit: Edit | null;
};

/** A size that drives others: how it is read, and the piece with another one. */
type Driver = {
  readonly label: string;
  readonly read: (piece: Piece) => Measure;
  readonly write: (piece: Piece, measure: Measure) => Piece;
};

const driverAt = (piece: Piece, path: readonly string[], label: string): readonly Driver[] => {
  const value = valueAt(piece, path);
  if (value === null || value === 0) return [];
  return [{ label, read: (from) => valueAt(from, path) as Measure, write: (to, measure) => withValueAt(to, path, measure) }];
};

/** Sizes of the piece itself, then those of the members of its lists. */
const drivenBy = (piece: Piece): readonly Driver[] => [
  ...fieldsOf(piece).flatMap((field) =>
    field.kind.kind === 'size' && (field.kind.drives || field.group === 'size') && isFieldShown(field, piece)
      ? driverAt(piece, field.path, field.label)
      : [],
  ),
  ...innerFieldsOf(piece).flatMap(({ kind, path, label }) => (kind.kind === 'size' ? driverAt(piece, path, label) : [])),
];

/** Nearer than this a size is on the rule: no knife tells a hundredth of a millimetre. */
const ON = 10;

const offGrid = (size: number, grid: number): number => Math.abs(size - Math.round(size / grid) * grid);

type Sizes = ReadonlyMap<string, number>;

/** The sides of every board part but knobs and grips, and the length of every stick, by part and side. */
const sizesOf = (piece: Piece, means: Means): Sizes | undefined => {
  const built = buildPiece(piece, means);
  if (!built.ok) return undefined;
  const sizes = new Map<string, number>();
  for (const part of built.value.assembly.parts) {
    const { id, role, stuff } = part;
    if (stuff === 'stick' && part.length !== null) sizes.set(`${id} long`, part.length);
    if (stuff !== 'board' || role === 'fitting') continue;
    const { x0, y0, x1, y1 } = bounds(cutRegionOf(part).outline);
    sizes.set(`${id} x`, x1 - x0);
    sizes.set(`${id} y`, y1 - y0);
  }
  return sizes;
};

const offCount = (sizes: Sizes, grid: number): number => [...sizes.values()].filter((size) => offGrid(size, grid) > ON).length;

/** Offsets of a driver that bring at least one size onto the grid: from how fast each size follows it. */
const candidates = (sizes: Sizes, moved: Sizes, step: number, grid: number): readonly number[] => {
  const offsets = new Set<number>([0]);
  for (const [key, size] of sizes) {
    const rate = ((moved.get(key) ?? size) - size) / step;
    if (Math.abs(rate) < 0.01) continue;
    const below = Math.floor(size / grid) * grid;
    for (const on of [below, below + grid]) {
      const offset = Math.round((on - size) / rate);
      if (Math.abs(offset) <= 3 * grid) offsets.add(offset);
    }
  }
  return [...offsets].sort((a, b) => Math.abs(a) - Math.abs(b)).slice(0, 60);
};

type State = { readonly piece: Piece; readonly sizes: Sizes; readonly off: number };

const settled = (state: State, driver: Driver, means: Means, grid: number): State => {
  const now = driver.read(state.piece);
  const at = dollOf(now, means.scale);
  const put = (offset: number): Piece => {
    const doll = { doll: dollUm(at + offset) };
    return driver.write(state.piece, isDollSize(now) ? doll : inWorld(doll, 'real', means.scale));
  };
  const moved = sizesOf(put(grid), means);
  if (!moved || at <= grid) return state;
  return candidates(state.sizes, moved, grid, grid).reduce((best, offset) => {
    if (offset === 0) return best;
    const piece = put(offset);
    const sizes = sizesOf(piece, means);
    if (!sizes) return best;
    const off = offCount(sizes, grid);
    return off < best.off ? { piece, sizes, off } : best;
  }, state);
};

/** Finds the smallest changes of the driving sizes that put as many cut sizes as can be on the grid.
 *  Shape: piece, means, grid in µm → how many sizes land, the changes in words, and one edit. Driving sizes are settled one after another,
 *  outer ones first, each by the offsets that bring some size onto the rule, nearest first. Where boards of odd thickness stand between
 *  sizes, not all can land; then as many as can. */
export const fitRule = (piece: Piece, means: Means, grid: number): RuleFit => {
  const sizes = sizesOf(piece, means);
  if (!sizes) return { sizes: 0, before: 0, after: 0, changes: [], edit: null };
  const drivers = drivenBy(piece).slice(0, 24);
  const start: State = { piece, sizes, off: offCount(sizes, grid) };
  const once = drivers.reduce((state, driver) => settled(state, driver, means, grid), start);
  const end =
    once.off === 0 || once.off === start.off ? once : drivers.reduce((state, driver) => settled(state, driver, means, grid), once);
  const changes = drivers.flatMap((driver): readonly RuleChange[] => {
    const [from, to] = [dollOf(driver.read(piece), means.scale), dollOf(driver.read(end.piece), means.scale)];
    return from === to ? [] : [{ label: driver.label, from, to }];
  });
  return {
    sizes: sizes.size,
    before: sizes.size - start.off,
    after: end.sizes.size - end.off,
    changes,
    edit: changes.length > 0 ? { kind: 'change-piece', id: piece.id, change: changeBetween(piece, end.piece) } : null,
  };
};
