// µm, doll size. Walks the tree of cells through the clear space of a carcass and puts up dividers, shelves, doors and what is inside.
import { assertNever, err, ok } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import { ellipseRing } from '../../shape/index.ts';
import { STANDING_OBJECTS } from '../../stock/index.ts';
import { clearPane, layered, type PanelKind, roundIn, type Space } from '../parts/panels.ts';
import { share, type Wish } from '../parts/share.ts';
import type { Cell, DoorCell, OpenCell, ShelvesCell, SplitCell } from './cell.ts';
import { hang } from './doors.ts';
import { fillDrawers, fillPlate } from './drawers.ts';
import { type BayFill, type BayFilled, type FrontPlace, filledWith, idOf, joined, NOTHING, sizeIn, stretch } from './place.ts';
import type { CarcassPlan } from './plan.ts';
import { fillSlides } from './slides.ts';

const innerPanel = (kind: 'columns' | 'rows', role: 'divider' | 'shelf', id: string): PanelKind => ({
  id,
  role,
  shows: kind === 'columns' ? 'right' : 'up',
  name: role === 'shelf' ? 'shelf' : kind === 'columns' ? 'upright' : 'cross panel',
});

const fillSplit = (cell: SplitCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const { space, path, reach } = place;
  const across = cell.kind === 'columns';
  const sheet = plan.sheets.inner;
  const { thickness } = sheet;
  const wishes = cell.slots.map(({ size }): Wish => ('share' in size ? size : { fixed: dollOf(size.clear, plan.means.scale) }));
  const lengths = share(across ? space.x1 - space.x0 : space.y1 - space.y0, wishes, thickness);
  if (!lengths.ok) return err({ ...lengths.error, path });
  const all: BayFilled[] = [];
  let from = 0;
  const half = Math.floor(thickness / 2);
  for (const [index, slot] of cell.slots.entries()) {
    const length = lengths.value[index] as number;
    const last = index === cell.slots.length - 1;
    const [low, high] = across ? (['left', 'right'] as const) : (['bottom', 'top'] as const);
    const inside = { ...reach, ...(index > 0 && { [low]: half }), ...(!last && { [high]: half }) };
    const child = fill(
      slot.cell,
      { ...place, space: stretch(space, cell.kind, from, length), reach: inside, path: [...path, index] },
      plan,
    );
    if (!child.ok) return child;
    all.push(child.value);
    from += length;
    if (last) break;
    const kind = innerPanel(cell.kind, 'divider', idOf(plan, 'divider', path, index));
    all.push(filledWith(layered(stretch(space, cell.kind, from, thickness), kind, sheet)));
    from += thickness;
  }
  return ok(joined(...all));
};

/** A finger's room above what stands on a shelf. Common practice, no source. */
const FINGER = 1.15;

/** The heights of shelves' undersides above the floor of their bay, lowest first. */
const shelfLevels = (cell: ShelvesCell, { space, path }: FrontPlace, plan: CarcassPlan, thickness: number): BayFill | readonly number[] => {
  const height = space.y1 - space.y0;
  if (cell.spacing === 'positions') {
    const tops = cell.at.map((at) => sizeIn(plan, at)).sort((a, b) => a - b);
    const levels = tops.map((top) => top - thickness);
    const crowded = levels.find((level, index) => level <= (tops[index - 1] ?? 0) || level + thickness >= height);
    return crowded === undefined
      ? levels
      : err({ code: 'no-room', path, available: height, needed: Math.max(height, crowded + thickness) + 1 });
  }
  if (cell.spacing === 'by what stands there') {
    const each = Math.round((cell.holds === null ? height : dollOf(STANDING_OBJECTS[cell.holds].height, plan.means.scale)) * FINGER);
    const count = Math.min(40, Math.floor(height / (each + thickness)));
    // The topmost gap takes what is over, and must itself take what stands there.
    const room = height - count * (each + thickness) >= each ? count : count - 1;
    return Array.from({ length: Math.max(0, room) }, (_, index) => (index + 1) * each + index * thickness);
  }
  const gaps = share(
    height,
    Array.from({ length: cell.count + 1 }, () => ({ share: 1 })),
    thickness,
  );
  if (!gaps.ok) return err({ ...gaps.error, path });
  let from = 0;
  return gaps.value.slice(0, -1).map((gap) => {
    from += gap + thickness;
    return from - thickness;
  });
};

const fillShelves = (cell: ShelvesCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const sheet = plan.sheets.inner;
  const thickness = cell.made === 'clear' ? cell.sheet : sheet.thickness;
  const levels = shelfLevels(cell, place, plan, thickness);
  if ('ok' in levels) return levels;
  const back = sizeIn(plan, cell.back);
  const depth = place.space.z1 - place.space.z0;
  if (back >= depth) return err({ code: 'no-room', path: place.path, available: depth, needed: back + 1 });
  const parts = levels.flatMap((level, index) => {
    const lying = { ...stretch(place.space, 'rows', level, thickness), z1: place.space.z1 - back };
    const id = idOf(plan, 'shelf', place.path, index);
    if (cell.made === 'clear') return [clearPane(lying, { id, role: 'shelf', name: 'glass shelf', shows: 'up' })];
    return layered(lying, innerPanel('rows', 'shelf', id), sheet);
  });
  return ok(filledWith(parts));
};

const fillDoor = (cell: DoorCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const hung = hang(cell, place, plan);
  if (!hung.ok) return hung;
  const { space } = hung.value;
  const behind = fill(cell.behind, { ...place, space, path: [...place.path, 0], face: space.z1, behindDoor: true }, plan);
  return behind.ok ? ok(joined(hung.value, behind.value)) : behind;
};

const fillOpen = (cell: OpenCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  if (cell.turntable === null) return ok(NOTHING);
  const { x0, x1, y0, z0, z1 } = place.space;
  const across = sizeIn(plan, cell.turntable);
  const room = Math.min(x1 - x0, z1 - z0);
  if (across > room) return err({ code: 'does-not-fit', what: 'the turntable', available: room, needed: across });
  const radius = Math.round(across / 2);
  const [x, z] = [Math.round((x0 + x1) / 2), Math.round((z0 + z1) / 2)];
  const { board, one } = plan.sheets.drawer;
  const space: Space = { x0: x - radius, x1: x + radius, y0, y1: y0 + one, z0: z - radius, z1: z + radius };
  const kind: PanelKind = {
    id: idOf(plan, 'turntable', place.path),
    role: 'rack',
    name: 'turntable',
    shows: 'up',
    held: 'slides',
    centres: [[radius, radius]],
  };
  return ok(filledWith([roundIn(space, kind, ellipseRing(radius, radius, radius), { stuff: 'board', stock: board, length: null })]));
};

const fillInside = (cell: Cell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  switch (cell.kind) {
    case 'open':
      return fillOpen(cell, place, plan);
    case 'shelves':
      return fillShelves(cell, place, plan);
    case 'columns':
    case 'rows':
      return fillSplit(cell, place, plan);
    case 'door':
      return fillDoor(cell, place, plan);
    case 'drawers':
      return fillDrawers(cell, place, plan);
    case 'slides':
      return fillSlides(cell, place, plan);
    case 'plate':
      return fillPlate(cell, place, plan);
    default:
      return assertNever(cell);
  }
};

/** Fills a clear space with a cell and all that is inside it.
 *  Shape: a cell tree → its parts, and a bay for every cell, parents before children. */
export const fill = (cell: Cell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const inside = fillInside(cell, place, plan);
  const bay = { path: place.path, kind: cell.kind, space: place.space };
  return inside.ok ? ok(joined({ ...NOTHING, bays: [bay] }, inside.value)) : inside;
};
