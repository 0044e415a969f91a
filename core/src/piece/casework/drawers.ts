// µm, doll size. Drawers: false ones are plates on a blank front; running ones are trays on boards of their own.
import { err, ok, type Result } from '../../kit/index.ts';
import { dollUm } from '../../measure/index.ts';
import { ellipseRing } from '../../shape/index.ts';
import type { PieceProblem } from '../family/problem.ts';
import { gripOn, runningDrawer } from '../parts/drawer.ts';
import { layered, roundIn, type Space } from '../parts/panels.ts';
import { share } from '../parts/share.ts';
import type { DrawersCell, PlateCell } from './cell.ts';
import { fixedFront } from './doors.ts';
import {
  type BayFill,
  type BayFilled,
  behindFront,
  type FrontPlace,
  filledWith,
  frontField,
  idOf,
  isFlat,
  joined,
  NOTHING,
  sits,
  sizeIn,
  stretch,
} from './place.ts';
import type { CarcassPlan } from './plan.ts';

const noRoom = (place: FrontPlace, available: number, needed: number): { readonly ok: false; readonly error: PieceProblem } =>
  err({ code: 'no-room', available, needed, path: place.path });

/** The heights of n plates and the gaps between and round them: plates as high as stated with equal gaps, or gaps as stated. */
const plateStack = (
  cell: DrawersCell,
  height: number,
  plan: CarcassPlan,
): Result<readonly { readonly from: number; readonly to: number }[], { readonly needed: number }> => {
  const stated = cell.plate === null ? null : sizeIn(plan, cell.plate);
  const needed = stated === null ? (cell.count + 1) * cell.gap + cell.count * 1_000 : cell.count * stated;
  if (needed > height) return err({ needed });
  const gap = stated === null ? cell.gap : (height - cell.count * stated) / (cell.count + 1);
  const each = stated ?? (height - (cell.count + 1) * gap) / cell.count;
  return ok(
    Array.from({ length: cell.count }, (_, index) => {
      const from = Math.round(gap + index * (each + gap));
      return { from, to: stated === null ? Math.round((index + 1) * (gap + each)) : from + stated };
    }),
  );
};

const fillFalse = (cell: DrawersCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const blank = fixedFront(cell, place, plan);
  const height = blank.y1 - blank.y0;
  const stack = plateStack(cell, height, plan);
  const behind = behindFront({ ...cell, gap: dollUm(0) }, place, plan.sheets.door.thickness);
  if (!stack.ok) return noRoom(place, height, stack.error.needed);
  const [depth, left] = [place.space.z1 - place.space.z0, behind.z1 - behind.z0];
  if (left <= 0) return noRoom(place, depth, depth - left + 1);
  if (isFlat(blank) || blank.x1 - blank.x0 <= 2 * cell.gap) return noRoom(place, blank.x1 - blank.x0, 2 * cell.gap + 1);
  const id = idOf(plan, 'drawers', place.path);
  const sheet = plan.sheets.door;
  const plates = stack.value.flatMap(({ from, to }, index) => {
    const plate: Space = {
      x0: blank.x0 + cell.gap,
      x1: blank.x1 - cell.gap,
      y0: blank.y0 + from,
      y1: blank.y0 + to,
      z0: blank.z1,
      z1: blank.z1 + sheet.thickness,
    };
    const middle = [Math.round((plate.x0 + plate.x1) / 2), Math.round((plate.y0 + plate.y1) / 2)] as const;
    return [
      ...layered(plate, { id: `${id}/plate-${index}`, role: 'border', name: 'false drawer', shows: 'front' }, sheet),
      ...gripOn(cell.grip, plate, middle, true, `${id}/plate-${index}`, sheet),
    ];
  });
  return ok(filledWith([...layered(blank, { id, role: 'front', name: 'drawer front', shows: 'front' }, sheet), ...plates]));
};

const fillRunning = (cell: DrawersCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const { space } = place;
  const { door: front, drawer: tray } = plan.sheets;
  // A frame that reaches over the bay's edges would stop the tray at its floor and sides.
  const wide = space.x1 - space.x0;
  if (plan.lip > 0 && !place.behindDoor)
    return err({
      code: 'does-not-fit',
      what: 'a drawer that slides out past the face frame',
      available: wide - 2 * plan.lip,
      needed: wide,
    });
  const made = runningDrawer({
    id: idOf(plan, 'drawer', place.path),
    space,
    field: frontField(cell, place, plan, front.thickness),
    clearance: cell.clearance,
    stop: cell.stops && sits(cell.fit, place) === 'inset',
    grip: cell.grip,
    tray,
    front,
  });
  return 'motion' in made ? ok(filledWith(made.parts, [made.motion])) : noRoom(place, made.available, made.needed);
};

/** How far plates and grips stand out before their front. */
const standOut = (cell: DrawersCell, plan: CarcassPlan): number => {
  const { one, thickness } = plan.sheets.door;
  return (cell.make === 'false' ? thickness : 0) + { none: 0, bar: 1, knob: 2 }[cell.grip] * one;
};

/** Fills a bay with drawers, one above the other; running ones have a board between each two. Behind a door they stand back, so that it
 *  shuts over their plates and grips. */
export const fillDrawers = (cell: DrawersCell, at: FrontPlace, plan: CarcassPlan): BayFill => {
  const place = at.behindDoor ? { ...at, face: at.face - standOut(cell, plan) } : at;
  if (cell.make === 'false') return fillFalse(cell, place, plan);
  const inner = plan.sheets.inner;
  const { space, reach, path } = place;
  const heights = share(
    space.y1 - space.y0,
    Array.from({ length: cell.count }, () => ({ share: 1 })),
    inner.thickness,
  );
  if (!heights.ok) return err({ ...heights.error, path });
  let filled: BayFilled = NOTHING;
  let from = 0;
  const half = Math.floor(inner.thickness / 2);
  for (const [index, height] of heights.value.entries()) {
    const last = index === cell.count - 1;
    const inside = { ...reach, ...(index > 0 && { bottom: half }), ...(!last && { top: half }) };
    const one = fillRunning(cell, { ...place, space: stretch(space, 'rows', from, height), reach: inside, path: [...path, index] }, plan);
    if (!one.ok) return one.error.code === 'no-room' ? err({ ...one.error, path }) : one;
    from += height;
    const rail = last
      ? []
      : layered(
          stretch(space, 'rows', from, inner.thickness),
          { id: idOf(plan, 'runner', path, index), role: 'shelf', name: 'drawer runner', shows: 'up' },
          inner,
        );
    filled = joined(filled, filledWith(rail), one.value);
    from += inner.thickness;
  }
  return ok(filled);
};

/** A fixed front with its discs in a row.
 *  Errors: 'no-room' when the front leaves no room behind it, 'does-not-fit' when its discs need more than it has. */
export const fillPlate = (cell: PlateCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const sheet = plan.sheets.door;
  const field = fixedFront(cell, place, plan);
  const behind = behindFront({ ...cell, gap: dollUm(0) }, place, sheet.thickness);
  const [depth, left] = [place.space.z1 - place.space.z0, behind.z1 - behind.z0];
  if (left <= 0) return noRoom(place, depth, depth - left + 1);
  if (isFlat(field)) return noRoom(place, Math.min(place.space.x1 - place.space.x0, place.space.y1 - place.space.y0), 2 * plan.lip + 1);
  const id = idOf(plan, 'plate', place.path);
  const [width, height, across] = [field.x1 - field.x0, field.y1 - field.y0, sizeIn(plan, cell.disc)];
  const upright = height > width;
  const [long, short] = upright ? [height, width] : [width, height];
  if (cell.discs > 0 && (across > short || cell.discs * across > long))
    return err({
      code: 'does-not-fit',
      what: 'the discs on a front',
      available: Math.min(short, Math.floor(long / cell.discs)),
      needed: across,
    });
  const radius = Math.round(across / 2);
  const discs = Array.from({ length: cell.discs }, (_, index) => {
    const along = Math.round(((index + 0.5) * long) / cell.discs);
    const [x, y] = upright ? [field.x0 + Math.round(width / 2), field.y0 + along] : [field.x0 + along, field.y0 + Math.round(height / 2)];
    return Array.from({ length: cell.layers }, (_layer, layer) =>
      roundIn(
        {
          x0: x - radius,
          x1: x + radius,
          y0: y - radius,
          y1: y + radius,
          z0: field.z1 + layer * sheet.one,
          z1: field.z1 + (layer + 1) * sheet.one,
        },
        { id: `${id}/disc-${index}-${layer}`, role: 'fitting', name: 'disc', shows: 'front' },
        ellipseRing(radius, radius, radius),
        { stuff: 'board', stock: sheet.board, length: null },
      ),
    );
  }).flat();
  return ok(filledWith([...layered(field, { id, role: 'front', name: 'fixed front', shows: 'front' }, sheet), ...discs]));
};
