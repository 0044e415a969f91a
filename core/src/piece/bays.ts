// µm, doll size. Walks the tree of cells through the clear space of a carcass and puts up dividers, shelves and doors.
import type { Part } from '../assembly/index.ts';
import { assertNever, err, ok, type Result } from '../kit/index.ts';
import { type Scale, toDoll } from '../measure/index.ts';
import type { Cell, CellPath, DoorCell, ShelvesCell, SplitCell } from './cell.ts';
import { type PanelKind, panel, type Space } from './panels.ts';
import { type NoRoom, share, type Wish } from './share.ts';

/** A bay or a divided field of the front: which cell it is and the clear space it has. */
export type Bay = { readonly path: CellPath; readonly kind: Cell['kind']; readonly space: Space };

/** How far an overlay door may reach over the panel on each side. */
export type Reach = { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number };

/** What every cell needs to know of its piece. */
export type Setting = {
  readonly pieceId: string;
  readonly scale: Scale;
  readonly inner: { readonly board: string; readonly thickness: number };
  readonly door: { readonly board: string; readonly thickness: number };
};

export type Filled = { readonly parts: readonly Part[]; readonly bays: readonly Bay[] };

/** A row or column whose fixed sizes leave no room, and where it is. */
export type BayProblem = NoRoom & { readonly path: CellPath };

type Place = { readonly space: Space; readonly reach: Reach; readonly path: CellPath };

const idOf = (setting: Setting, word: string, path: CellPath, number?: number): string =>
  [`${setting.pieceId}/${word}`, ...path, ...(number === undefined ? [] : [number])].join('-');

const joined = (one: Filled, two: Filled): Filled => ({ parts: [...one.parts, ...two.parts], bays: [...one.bays, ...two.bays] });

/** The part of `space` from `from` on, `length` long, along the way the split runs. */
const stretch = (space: Space, kind: 'columns' | 'rows', from: number, length: number): Space =>
  kind === 'columns'
    ? { ...space, x0: space.x0 + from, x1: space.x0 + from + length }
    : { ...space, y0: space.y0 + from, y1: space.y0 + from + length };

const innerPanel = (setting: Setting, kind: 'columns' | 'rows', role: 'divider' | 'shelf', id: string): PanelKind => ({
  id,
  role,
  board: setting.inner.board,
  shows: kind === 'columns' ? 'right' : 'up',
  name: role === 'shelf' ? 'shelf' : kind === 'columns' ? 'upright' : 'cross panel',
});

const fillSplit = (cell: SplitCell, place: Place, setting: Setting): Result<Filled, BayProblem> => {
  const { space, path, reach } = place;
  const across = cell.kind === 'columns';
  const { thickness } = setting.inner;
  const wishes = cell.slots.map(({ size }): Wish => ('share' in size ? size : { fixed: toDoll(size.clear, setting.scale) }));
  const lengths = share(across ? space.x1 - space.x0 : space.y1 - space.y0, wishes, thickness);
  if (!lengths.ok) return err({ ...lengths.error, path });
  let filled: Filled = { parts: [], bays: [] };
  let from = 0;
  const half = Math.floor(thickness / 2);
  for (const [index, slot] of cell.slots.entries()) {
    const length = lengths.value[index] as number;
    const last = index === cell.slots.length - 1;
    const [low, high] = across ? (['left', 'right'] as const) : (['bottom', 'top'] as const);
    const inside = { ...reach, ...(index > 0 && { [low]: half }), ...(!last && { [high]: half }) };
    const child = fill(slot.cell, { space: stretch(space, cell.kind, from, length), reach: inside, path: [...path, index] }, setting);
    if (!child.ok) return child;
    filled = joined(filled, child.value);
    from += length;
    if (last) break;
    const board = panel(
      stretch(space, cell.kind, from, thickness),
      innerPanel(setting, cell.kind, 'divider', idOf(setting, 'divider', path, index)),
    );
    filled = { ...filled, parts: [...filled.parts, board] };
    from += thickness;
  }
  return ok(filled);
};

const fillShelves = (cell: ShelvesCell, place: Place, setting: Setting): Result<Filled, BayProblem> => {
  const { space, path } = place;
  const gaps = share(
    space.y1 - space.y0,
    Array.from({ length: cell.count + 1 }, () => ({ share: 1 })),
    setting.inner.thickness,
  );
  if (!gaps.ok) return err({ ...gaps.error, path });
  let from = 0;
  const parts = gaps.value.slice(0, -1).map((gap, index) => {
    from += gap + setting.inner.thickness;
    const lying = stretch(space, 'rows', from - setting.inner.thickness, setting.inner.thickness);
    return panel(lying, innerPanel(setting, 'rows', 'shelf', idOf(setting, 'shelf', path, index)));
  });
  return ok({ parts, bays: [] });
};

/** The field that a door or pair closes, in the plane of the front. */
const doorField = (cell: DoorCell, { space, reach }: Place): Space => {
  if (cell.fit === 'inset') {
    return { ...space, x0: space.x0 + cell.gap, x1: space.x1 - cell.gap, y0: space.y0 + cell.gap, y1: space.y1 - cell.gap };
  }
  // Two doors on one panel keep the gap between them, so each may cover half the panel less half the gap.
  const over = (limit: number) => Math.max(0, Math.min(cell.lap, limit - Math.ceil(cell.gap / 2)));
  return {
    ...space,
    x0: space.x0 - over(reach.left),
    x1: space.x1 + over(reach.right),
    y0: space.y0 - over(reach.bottom),
    y1: space.y1 + over(reach.top),
  };
};

const hang = (cell: DoorCell, place: Place, setting: Setting): readonly Part[] => {
  const { thickness, board } = setting.door;
  const front = place.space.z1;
  const field = {
    ...doorField(cell, place),
    ...(cell.fit === 'inset' ? { z0: front - thickness, z1: front } : { z0: front, z1: front + thickness }),
  };
  const leaf = (space: Space, side: 'left' | 'right') =>
    panel(space, {
      id: `${idOf(setting, 'door', place.path)}-${side}`,
      role: 'door',
      name: `door hinged ${side}`,
      board,
      shows: 'front',
      held: 'hinge',
    });
  if (cell.hinge !== 'pair') return [leaf(field, cell.hinge)];
  const middle = Math.round((field.x0 + field.x1 - cell.gap) / 2);
  return [leaf({ ...field, x1: middle }, 'left'), leaf({ ...field, x0: middle + cell.gap }, 'right')];
};

const fillDoor = (cell: DoorCell, place: Place, setting: Setting): Result<Filled, BayProblem> => {
  const doors = hang(cell, place, setting);
  const narrow = doors.some((part) => part.region.outline.some(([x, y], index) => index === 2 && (x <= 0 || y <= 0)));
  const space = cell.fit === 'inset' ? { ...place.space, z1: place.space.z1 - setting.door.thickness - cell.gap } : place.space;
  if (narrow || space.z1 <= space.z0) {
    const needed = narrow ? 2 * cell.gap + 1 : setting.door.thickness + cell.gap + 1;
    return err({
      code: 'no-room',
      available: narrow ? place.space.x1 - place.space.x0 : place.space.z1 - place.space.z0,
      needed,
      path: place.path,
    });
  }
  const behind = fill(cell.behind, { ...place, space, path: [...place.path, 0] }, setting);
  return behind.ok ? ok(joined({ parts: doors, bays: [] }, behind.value)) : behind;
};

const fillInside = (cell: Cell, place: Place, setting: Setting): Result<Filled, BayProblem> => {
  switch (cell.kind) {
    case 'open':
      return ok({ parts: [], bays: [] });
    case 'shelves':
      return fillShelves(cell, place, setting);
    case 'columns':
    case 'rows':
      return fillSplit(cell, place, setting);
    case 'door':
      return fillDoor(cell, place, setting);
    default:
      return assertNever(cell);
  }
};

/** Fills a clear space with a cell and all that is inside it.
 *  Shape: a cell tree → its parts, and a bay for every cell, parents before children. */
export const fill = (cell: Cell, place: Place, setting: Setting): Result<Filled, BayProblem> => {
  const inside = fillInside(cell, place, setting);
  return inside.ok ? ok(joined({ parts: [], bays: [{ path: place.path, kind: cell.kind, space: place.space }] }, inside.value)) : inside;
};
