// µm, doll size. What is put to a carcass: worktop with tub and burners, face frame, holes for lamps and switches.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import { bounds, ellipseRing, type Point, type Rect, type Ring, rectRing } from '../../shape/index.ts';
import type { PieceProblem } from '../family/problem.ts';
import { foundThing, roundIn, type Space } from '../parts/panels.ts';
import { drawerOf } from './carcass.ts';
import type { Hole, Tub, Worktop } from './casework.ts';
import { type Cell, type CellPath, childrenOf } from './cell.ts';
import { type Bay, sizeIn } from './place.ts';
import type { CarcassPlan } from './plan.ts';

const hole = (ring: Ring): Ring => [...ring].reverse();

const shapeOf = (tub: Tub, { x0, y0, x1, y1 }: Rect): Ring =>
  tub.shape === 'square' ? rectRing(x0, y0, x1, y1) : ellipseRing((x0 + x1) / 2, (y0 + y1) / 2, (x1 - x0) / 2, (y1 - y0) / 2);

type Sunk = { readonly top: Ring; readonly below: Ring; readonly part: Part };

/** A tub in the worktop: its body fills the worktop's hole, and under it its rim would be wider, so the board below is cut to the rim. Rings
 *  are in the worktop's plane, x from its left edge, y from its back. */
const sink = (tub: Tub, plan: CarcassPlan, lid: Space): Result<Sunk, PieceProblem> => {
  const [width, depth, height, rim] = [tub.width, tub.depth, tub.height, tub.rim].map((size) => sizeIn(plan, size)) as [
    number,
    number,
    number,
    number,
  ];
  const { body } = plan;
  const middle = tub.fromLeft === null ? Math.round((body.x0 + body.x1) / 2) : sizeIn(plan, tub.fromLeft);
  const z = Math.round((body.z0 + body.z1) / 2);
  const at: Space = {
    x0: middle - Math.round(width / 2),
    x1: middle - Math.round(width / 2) + width,
    y0: lid.y1 - height,
    y1: lid.y1,
    z0: z - Math.round(depth / 2),
    z1: z - Math.round(depth / 2) + depth,
  };
  const room = Math.min(at.x0 - rim - plan.clear.x0, plan.clear.x1 - at.x1 - rim, at.z0 - rim - plan.clear.z0, plan.clear.z1 - at.z1 - rim);
  if (room < 0)
    return err({ code: 'does-not-fit', what: 'the tub with its rim', available: width + 2 * rim + 2 * room, needed: width + 2 * rim });
  // Worktops show up: x from the left, y from the front. Tops show down: x from the left, y from the back.
  const seen: Rect = { x0: at.x0 - lid.x0, x1: at.x1 - lid.x0, y0: lid.z1 - at.z1, y1: lid.z1 - at.z0 };
  const under: Rect = { x0: at.x0 - rim, x1: at.x1 + rim, y0: at.z0 - rim, y1: at.z1 + rim };
  const outline = shapeOf(tub, { x0: 0, y0: 0, x1: width, y1: depth });
  const part = foundThing(
    at,
    { id: `${plan.piece.id}/tub`, role: 'found', name: 'tub, found', shows: 'up', held: 'slides', outline },
    'tub',
  );
  return ok({ top: hole(shapeOf(tub, seen)), below: shapeOf(tub, under), part });
};

const burnersOn = (worktop: Worktop, plan: CarcassPlan, lid: Space): Result<readonly Part[], PieceProblem> => {
  if (worktop.burners === 0) return ok([]);
  const across = sizeIn(plan, worktop.burner);
  const rows = worktop.burners > 2 ? 2 : 1;
  const columns = Math.ceil(worktop.burners / rows);
  const [wide, deep] = [(lid.x1 - lid.x0) / columns, (lid.z1 - lid.z0) / rows];
  if (across > Math.min(wide, deep))
    return err({ code: 'does-not-fit', what: 'the burners', available: Math.floor(Math.min(wide, deep)), needed: across });
  const radius = Math.round(across / 2);
  const { board, one } = plan.sheets.door;
  return ok(
    Array.from({ length: worktop.burners }, (_, index) => {
      const x = Math.round(lid.x0 + ((index % columns) + 0.5) * wide);
      const z = Math.round(lid.z0 + (Math.floor(index / columns) + 0.5) * deep);
      return roundIn(
        { x0: x - radius, x1: x + radius, y0: lid.y1, y1: lid.y1 + one, z0: z - radius, z1: z + radius },
        { id: `${plan.piece.id}/burner-${index}`, role: 'fitting', name: 'burner', shows: 'up' },
        ellipseRing(radius, radius, radius),
        { stuff: 'board', stock: board, length: null },
      );
    }),
  );
};

/** A ring in space (x, z) brought into a part's plane and cut out of it. */
const cutOut = (part: Part, ring: Ring): Part => {
  const { origin, u, v } = part.pose;
  const flat = ring.map(([x, z]): Point => [(x - origin[0]) * u[0], (z - origin[2]) * v[2]]);
  const twice = flat.reduce((sum, [x, y], index) => {
    const [nx, ny] = flat[(index + 1) % flat.length] as Point;
    return sum + x * ny - nx * y;
  }, 0);
  return { ...part, region: { ...part.region, holes: [...part.region.holes, twice > 0 ? hole(flat) : flat] } };
};

/** The worktop with what is let into it and lies on it, and the carcass below with room for the tub's rim.
 *  Errors: 'does-not-fit' for tub and burners. */
export const withWorktop = (parts: readonly Part[], plan: CarcassPlan): Result<readonly Part[], PieceProblem> => {
  const { worktop } = plan.piece;
  if (!worktop) return ok(parts);
  const { outside, sheets, piece } = plan;
  const lid: Space = { ...outside, y0: outside.y1 - sheets.worktop.thickness };
  const burners = burnersOn(worktop, plan, lid);
  if (!burners.ok) return burners;
  const sunk = worktop.tub ? sink(worktop.tub, plan, lid) : null;
  if (sunk && !sunk.ok) return sunk;
  const holes = sunk ? [sunk.value.top] : [];
  const tops = drawerOf(plan)('worktop', lid, { role: 'worktop', name: 'worktop', shows: 'up', holes }, sheets.worktop);
  const isUnder = ({ id }: Part) => id.startsWith(`${piece.id}/top`) || id.startsWith(`${piece.id}/lining-top`);
  const below = sunk ? parts.map((part) => (isUnder(part) ? cutOut(part, sunk.value.below) : part)) : parts;
  return ok([...below, ...tops, ...(sunk ? [sunk.value.part] : []), ...burners.value]);
};

/** The fields that a face frame opens: the topmost cells that are not divided. */
const frameFields = (cell: Cell, path: CellPath = []): readonly CellPath[] =>
  cell.kind === 'columns' || cell.kind === 'rows'
    ? childrenOf(cell).flatMap((child, index) => frameFields(child, [...path, index]))
    : [path];

/** An opening of the frame as it stands, in the assembly's x and y. */
export const frameOpeningsOf = (plan: CarcassPlan, bays: readonly Bay[]): readonly Rect[] => {
  const { frame, front } = plan.piece;
  if (!frame) return [];
  if (frame.openings)
    return frame.openings.map(({ x, y, width, height }) => {
      const [x0, y0] = [plan.body.x0 + sizeIn(plan, x), plan.body.y0 + sizeIn(plan, y)];
      return { x0, y0, x1: x0 + sizeIn(plan, width), y1: y0 + sizeIn(plan, height) };
    });
  return frameFields(front).flatMap((path): readonly Rect[] => {
    const bay = bays.find((each) => each.path.length === path.length && each.path.every((step, index) => step === path[index]));
    if (!bay) return [];
    const { x0, x1, y0, y1 } = bay.space;
    return [{ x0: x0 + plan.lip, x1: x1 - plan.lip, y0: y0 + plan.lip, y1: y1 - plan.lip }];
  });
};

/** The face frame: one board with an opening for each bay.
 *  Errors: 'does-not-fit' for an opening that the border leaves nothing of, or that runs over the frame's edge or into another. */
export const faceFrame = (plan: CarcassPlan, bays: readonly Bay[]): Result<readonly Part[], PieceProblem> => {
  if (!plan.piece.frame) return ok([]);
  const { body, face } = plan;
  const space: Space = { x0: body.x0, x1: body.x1, y0: body.y0, y1: body.y1, z0: body.z1, z1: face };
  const openings = frameOpeningsOf(plan, bays);
  const wrong = openings.find(
    (one, index) =>
      one.x1 - one.x0 < 1_000 ||
      one.y1 - one.y0 < 1_000 ||
      Math.min(one.x0 - space.x0, space.x1 - one.x1, one.y0 - space.y0, space.y1 - one.y1) < 1_000 ||
      openings.some((other, each) => each < index && one.x0 < other.x1 && other.x0 < one.x1 && one.y0 < other.y1 && other.y0 < one.y1),
  );
  if (wrong)
    return err({
      code: 'does-not-fit',
      what: 'an opening of the face frame',
      available: Math.max(0, Math.min(wrong.x1 - wrong.x0, space.x1 - space.x0)),
      needed: 1_000,
    });
  const holes = openings.map(({ x0, y0, x1, y1 }) => hole(rectRing(x0 - space.x0, y0 - space.y0, x1 - space.x0, y1 - space.y0)));
  return ok(drawerOf(plan)('frame', space, { role: 'frame', name: 'face frame', shows: 'front', holes }, plan.sheets.frame));
};

const PANEL_ID: Readonly<Record<string, string>> = { left: 'side-left', right: 'side-right' };

const WORDS = { lamp: 'a lamp hole', switch: 'a switch hole', wire: 'a hole for a wire' } as const;

/** Cuts one hole through every layer of its panel; a lamp sits in it.
 *  Errors: 'does-not-fit' when the hole is not wholly inside the panel, or there is no such panel. */
const pierce = (parts: readonly Part[], one: Hole, number: number, plan: CarcassPlan): Result<readonly Part[], PieceProblem> => {
  const id = `${plan.piece.id}/${PANEL_ID[one.panel] ?? one.panel}`;
  const isMine = (part: Part) => part.stuff === 'board' && part.held === 'glue' && (part.id === id || part.id.startsWith(`${id}~`));
  const [x, y] = [dollOf(one.across, plan.means.scale), dollOf(one.up, plan.means.scale)];
  const radius = one.diameter / 2;
  const mine = parts.filter(isMine);
  const room = mine.map(({ region }) => {
    const { x0, y0, x1, y1 } = bounds(region.outline);
    return Math.min(x - x0, x1 - x, y - y0, y1 - y);
  });
  const available = Math.round(2 * Math.min(...room));
  if (mine.length === 0 || available < one.diameter)
    return err({
      code: 'does-not-fit',
      what: mine.length === 0 ? `${WORDS[one.what]}: there is no panel “${one.panel}”` : `${WORDS[one.what]} in the ${one.panel} panel`,
      available: mine.length === 0 ? 0 : Math.max(0, available),
      needed: one.diameter,
    });
  const ring = ellipseRing(x, y, radius);
  const pierced = parts.map((part) =>
    isMine(part)
      ? { ...part, region: { ...part.region, holes: [...part.region.holes, hole(ring)] }, centres: [...part.centres, [x, y] as const] }
      : part,
  );
  if (one.what !== 'lamp') return ok(pierced);
  const lamps = mine.map(
    (part, layer): Part => ({
      ...part,
      id: `${plan.piece.id}/lamp-${number}${layer > 0 ? `~${layer + 1}` : ''}`,
      role: 'light',
      name: 'lamp, found',
      stuff: 'found',
      stock: 'lamp',
      region: { outline: ring, holes: [] },
      held: 'slides',
      centres: [],
    }),
  );
  return ok([...pierced, ...lamps]);
};

/** The panels with their holes, and the lamps in them. */
export const withHoles = (parts: readonly Part[], plan: CarcassPlan): Result<readonly Part[], PieceProblem> =>
  plan.piece.holes.reduce<Result<readonly Part[], PieceProblem>>(
    (now, each, number) => (now.ok ? pierce(now.value, each, number, plan) : now),
    ok(parts),
  );
