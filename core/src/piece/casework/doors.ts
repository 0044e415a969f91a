// µm, doll size. Doors: slabs, raised borders, clear sheet between two frames; what they hang on; grips and bins.
import type { Hinge, Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollUm } from '../../measure/index.ts';
import { bounds, ellipseRing, type Point, type Ring, rectRing, type Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import type { PieceProblem } from '../family/problem.ts';
import { gripOn } from '../parts/drawer.ts';
import { clearPane, layered, panel, type Space } from '../parts/panels.ts';
import { leafFor } from './carcass.ts';
import type { DoorCell, DoorFit } from './cell.ts';
import { type BayFilled, behindFront, type FrontPlace, filledWith, frontField, idOf, isFlat, joined, sizeIn } from './place.ts';
import { type CarcassPlan, doorDepth } from './plan.ts';

type Side = 'left' | 'right' | 'bottom' | 'top';

/** How far clear sheet reaches beyond its opening, for glue. Common practice, no source. */
const GLUE_MARGIN = 3_000;

const flip = (ring: Ring): Ring => [...ring].reverse();

/** The window of a frame: what its border leaves, square or round. */
const windowIn = (width: number, height: number, border: number, shape: DoorCell['window'], grow = 0): Ring => {
  if (shape === 'square') return rectRing(border - grow, border - grow, width - border + grow, height - border + grow);
  return ellipseRing(width / 2, height / 2, Math.min(width, height) / 2 - border + grow);
};

const frameParts = (cell: DoorCell, field: Space, id: string, plan: CarcassPlan): Result<readonly Part[], PieceProblem> => {
  const sheet = plan.sheets.door;
  const kind = { role: 'door', name: 'door', shows: 'front', held: 'hinge' } as const;
  if (cell.style === 'slab') return ok(layered(field, { ...kind, id }, sheet));
  const [width, height, border] = [field.x1 - field.x0, field.y1 - field.y0, sizeIn(plan, cell.border)];
  const needed = 2 * border + 2_000;
  if (Math.min(width, height) < needed)
    return err({ code: 'does-not-fit', what: 'the border of a door', available: Math.min(width, height), needed });
  const opening = flip(windowIn(width, height, border, cell.window));
  const t = sheet.thickness;
  if (cell.style === 'framed') {
    const raised = { ...field, z0: field.z0 + t };
    return ok([
      ...layered({ ...field, z1: field.z0 + t }, { ...kind, id }, sheet),
      ...layered(raised, { ...kind, id: `${id}/border`, name: 'raised border', role: 'border', held: 'glue', holes: [opening] }, sheet),
    ]);
  }
  const glass = { ...field, z0: field.z0 + t, z1: field.z0 + t + CLEAR_SHEET.thickness };
  const margin = Math.min(GLUE_MARGIN, Math.floor(border / 2));
  const pane = windowIn(width, height, border, cell.window, margin);
  const box = bounds(pane);
  const cut: Space = { ...glass, x0: field.x0 + box.x0, x1: field.x0 + box.x1, y0: field.y0 + box.y0, y1: field.y0 + box.y1 };
  const outline: Ring = pane.map(([x, y]): Point => [x - box.x0, y - box.y0]);
  return ok([
    ...layered({ ...field, z1: field.z0 + t }, { ...kind, id, name: 'door frame, inner', holes: [opening] }, sheet),
    clearPane(cut, { id: `${id}/glass`, role: 'glass', name: 'door window', shows: 'front', outline }),
    ...layered(
      { ...field, z0: glass.z1 },
      { ...kind, id: `${id}/front`, name: 'door frame, outer', role: 'border', held: 'glue', holes: [opening] },
      sheet,
    ),
  ]);
};

/** Where a hand takes hold of a leaf: near the edge across from its hinge, in the middle of its frame. */
const gripPlace = (cell: DoorCell, field: Space, hinge: Side, plan: CarcassPlan): readonly [number, number] => {
  const [width, height] = [field.x1 - field.x0, field.y1 - field.y0];
  const inset = cell.style === 'slab' ? Math.min(6_000, Math.min(width, height) / 4) : sizeIn(plan, cell.border) / 2;
  const [x, y] = [field.x0 + width / 2, field.y0 + height / 2];
  const places = {
    left: [field.x1 - inset, y],
    right: [field.x0 + inset, y],
    bottom: [x, field.y1 - inset],
    top: [x, field.y0 + inset],
  } as const;
  return places[hinge].map(Math.round) as unknown as readonly [number, number];
};

/** Bins on a door's inner side: floor, front and two ends, standing clear of the bay's edges. */
const binParts = (
  cell: DoorCell,
  field: Space,
  side: Side,
  space: Space,
  id: string,
  plan: CarcassPlan,
): Result<readonly Part[], PieceProblem> => {
  if (cell.bins === 0 || side === 'bottom' || side === 'top') return ok([]);
  const { board, one } = plan.sheets.drawer;
  const { lip } = plan;
  const [near, far] = [Math.max(field.x0, space.x0 + lip) + 2_000, Math.min(field.x1, space.x1 - lip) - 2_000];
  // The corner away from the hinge swings in a radius of its own, and must clear the bay's edge.
  const behind = binDepth(plan) + (cell.fit === 'inset' ? field.z1 - field.z0 : 0);
  const swing = (reach: number): number => Math.floor(Math.sqrt(Math.max(0, (reach - 500) ** 2 - behind ** 2)));
  const [x0, x1] =
    side === 'left'
      ? [near, Math.min(far, field.x0 + swing(space.x1 - lip - field.x0))]
      : [Math.max(near, field.x1 - swing(field.x1 - space.x0 - lip)), far];
  const [low, high] = [Math.max(field.y0, space.y0 + lip) + 1_000, Math.min(field.y1, space.y1 - lip) - 1_000];
  const each = Math.floor((high - low) / cell.bins);
  const [tall, deep] = [Math.floor(each * 0.4), binDepth(plan)];
  const needed = 2 * one + 2_000;
  if (tall < needed || x1 - x0 < needed)
    return err({ code: 'does-not-fit', what: 'the bins in a door', available: Math.min(tall, x1 - x0), needed });
  const z1 = field.z0;
  const word = (name: string, part: string, number: number, shows: 'up' | 'front' | 'right') =>
    ({ id: `${id}/bin-${number}-${part}`, role: 'border', name, shows }) as const;
  return ok(
    Array.from({ length: cell.bins }, (_, number) => {
      const y0 = low + number * each;
      const box: Space = { x0, x1, y0, y1: y0 + tall, z0: z1 - deep, z1 };
      const standing = { ...box, y0: y0 + one };
      return [
        panel({ ...box, y1: y0 + one }, word('bin floor', 'floor', number, 'up'), board),
        panel({ ...standing, z1: box.z0 + one }, word('bin front', 'front', number, 'front'), board),
        panel({ ...standing, x1: x0 + one, z0: box.z0 + one }, word('bin end', 'left', number, 'right'), board),
        panel({ ...standing, x0: x1 - one, z0: box.z0 + one }, word('bin end', 'right', number, 'right'), board),
      ];
    }).flat(),
  );
};

/** How far bins reach into the bay: a fifth of its depth, three boards at least. */
export const binDepth = (plan: CarcassPlan): number =>
  Math.max(3 * plan.sheets.drawer.one, Math.round((plan.clear.z1 - plan.clear.z0) / 5));

const HINGES: Readonly<Record<Side, { readonly along: Vec3; readonly sense: 1 | -1 }>> = {
  left: { along: [0, 1, 0], sense: -1 },
  right: { along: [0, 1, 0], sense: 1 },
  bottom: { along: [1, 0, 0], sense: 1 },
  top: { along: [1, 0, 0], sense: -1 },
};

const swingOf = (cell: DoorCell, field: Space, side: Side, ids: readonly string[]): Motion => {
  const upright = side === 'left' || side === 'right';
  const [width, length] = upright ? [field.x1 - field.x0, field.y1 - field.y0] : [field.y1 - field.y0, field.x1 - field.x0];
  const pins = cell.hang === 'pins';
  const inwards = pins ? cell.pin : 0;
  // An overlay door's paper is glued behind it, an inset one's over its front; pins stand in the middle of its thickness.
  const z = pins ? (field.z0 + field.z1) / 2 : cell.fit === 'inset' || cell.hang === 'paper outside' ? field.z1 : field.z0;
  const at: Readonly<Record<Side, Vec3>> = {
    left: [field.x0 + inwards, field.y0, z],
    right: [field.x1 - inwards, field.y0, z],
    bottom: [field.x0, field.y0 + inwards, z],
    top: [field.x0, field.y1 - inwards, z],
  };
  const hinge: Hinge = pins
    ? { kind: 'pins', fromEdge: cell.pin, length, diameter: 2_000 }
    : { kind: 'paper', leaf: leafFor(width), length };
  return {
    kind: 'swing',
    door: ids[0] as string,
    parts: ids,
    aside: [],
    at: at[side],
    along: HINGES[side].along,
    angle: (HINGES[side].sense * Math.PI) / 2,
    hinge,
  };
};

const leafParts = (cell: DoorCell, field: Space, side: Side, place: FrontPlace, plan: CarcassPlan): Result<BayFilled, PieceProblem> => {
  const id = `${idOf(plan, 'door', place.path)}-${side}`;
  const frame = frameParts(cell, field, id, plan);
  if (!frame.ok) return frame;
  const bins = binParts(cell, field, side, place.space, id, plan);
  if (!bins.ok) return bins;
  const named = frame.value.map((part) => (part.name === 'door' ? { ...part, name: `door hinged ${side}` } : part));
  const parts = [
    ...named,
    ...gripOn(cell.grip, field, gripPlace(cell, field, side, plan), side === 'bottom' || side === 'top', id, plan.sheets.door),
    ...bins.value,
  ];
  return ok(
    filledWith(parts, [
      swingOf(
        cell,
        field,
        side,
        parts.map((part) => part.id),
      ),
    ]),
  );
};

/** A door or a pair, and the space that is left behind it.
 *  Errors: 'no-room' when gaps or the door's own thickness leave nothing; 'does-not-fit' for its border or bins. */
export const hang = (cell: DoorCell, place: FrontPlace, plan: CarcassPlan): Result<BayFilled & { readonly space: Space }, PieceProblem> => {
  const depth = doorDepth(cell, plan.sheets.door);
  const field = frontField(cell, place, plan, depth);
  const behind = behindFront(cell, place, depth);
  const space = cell.bins > 0 ? { ...behind, z1: Math.min(behind.z1, field.z0) - binDepth(plan) - 1_000 } : behind;
  const middle = Math.round((field.x0 + field.x1 - cell.gap) / 2);
  const leaves: readonly (readonly [Space, Side])[] =
    cell.hinge === 'pair'
      ? [
          [{ ...field, x1: middle }, 'left'],
          [{ ...field, x0: middle + cell.gap }, 'right'],
        ]
      : [[field, cell.hinge]];
  const narrow = leaves.some(([leaf]) => leaf.x1 <= leaf.x0 || leaf.y1 <= leaf.y0);
  if (narrow || isFlat(space)) {
    const available = narrow ? place.space.x1 - place.space.x0 : place.space.z1 - place.space.z0;
    const needed = narrow ? 2 * (cell.gap + plan.lip) + 1 : available - (space.z1 - space.z0) + 1;
    return err({ code: 'no-room', available, needed, path: place.path });
  }
  const made = leaves.map(([leaf, side]) => leafParts(cell, leaf, side, place, plan));
  const failed = made.find((each) => !each.ok);
  if (failed && !failed.ok) return failed;
  return ok({ ...joined(...made.flatMap((each) => (each.ok ? [each.value] : []))), space });
};

/** The field of a fixed front: closed all round where it lies inside. */
export const fixedFront = (fit: DoorFit, place: FrontPlace, plan: CarcassPlan): Space =>
  frontField({ ...fit, gap: fit.fit === 'inset' ? dollUm(0) : fit.gap }, place, plan, plan.sheets.door.thickness);
