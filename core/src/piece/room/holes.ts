// µm, doll size. Openings in walls: what is cut, and what is put in.
import { movedMotion } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollUm } from '../../measure/index.ts';
import { add, ellipseRing, movedPose, type Point, type Ring, turnUpright, type Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { buildOpening } from '../opening/buildOpening.ts';
import { type Opening, openingSchema } from '../opening/opening.ts';
import { single } from '../parts/put.ts';
import { share } from '../parts/share.ts';
import { OPENING_WORDS } from './fields.ts';
import { framesRound } from './frames.ts';
import { lampsIn } from './lamps.ts';
import { MARGIN, type Opened, type PutIn, ringOf } from './opened.ts';
import { pointAt, type RoomPlan, type Side } from './plan.ts';
import { viewBehind } from './view.ts';
import type { Wall, WallOpening } from './wall.ts';
import type { Cut } from './walls.ts';

const FRAMED: ReadonlySet<WallOpening['form']> = new Set(['window', 'door', 'arch', 'round']);

const standsLow = ({ form }: WallOpening): boolean => form === 'door';

/** Where each opening of a wall is decided to be, whether there is room for it or not. */
export const openingsDecided = ({ doll }: Pick<RoomPlan, 'doll'>, wall: Wall, id: string, length: number): readonly Opened[] =>
  wall.openings.map((opening, index): Opened => {
    const play = opening.form === 'bought' ? 2 * opening.play : 0;
    const y0 = standsLow(opening) ? 0 : doll(opening.up);
    const width = doll(opening.width) + play;
    const x0 = opening.end === 'left' ? doll(opening.from) : length - doll(opening.from) - width;
    const height = (opening.form === 'round' ? doll(opening.width) : doll(opening.height)) + play;
    return {
      opening,
      id: `${id}/${opening.form}-${index}`,
      x0,
      x1: x0 + width,
      y0,
      y1: y0 + height,
      border: FRAMED.has(opening.form) ? doll(opening.border) : 0,
    };
  });

/** The openings of a wall as they are decided, those of a shop's front among them. `ends`: what stands in its corners;
 *  `beyond`: how far its outer face goes on beyond the clear room. */
export const openedIn = (
  plan: RoomPlan,
  wall: Wall,
  id: string,
  length: number,
  clear: number,
  ends: readonly [left: number, right: number],
  beyond: readonly [left: number, right: number] = [0, 0],
): Result<readonly Opened[], PieceProblem> => {
  if (wall.kind === 'shop') return shopBays(plan, wall, id, length, clear, ends, beyond);
  const opened = openingsDecided(plan, wall, id, length);
  const beside = (a: Opened, b: Opened): number => Math.max(b.x0 - a.x1, a.x0 - b.x1, b.y0 - a.y1, a.y0 - b.y1) - a.border - b.border;
  const least = 500;
  const problem = opened.reduce<PieceProblem | undefined>(
    (found, each, index) =>
      found ??
      lack(`${OPENING_WORDS[each.opening.form]} from the wall’s end`, each.x0, each.border + Math.max(least, ends[0])) ??
      lack(`${OPENING_WORDS[each.opening.form]} in the wall’s length`, length - each.x1, each.border + Math.max(least, ends[1])) ??
      lack(`${OPENING_WORDS[each.opening.form]} under the wall’s upper edge`, clear - each.y1, each.border + least) ??
      (each.y0 > 0 ? lack(`${OPENING_WORDS[each.opening.form]} above the floor`, each.y0, each.border + least) : undefined) ??
      opened
        .slice(0, index)
        .reduce<PieceProblem | undefined>(
          (clash, other) => clash ?? lack('openings beside each other', beside(each, other) + least, least),
          undefined,
        ),
    undefined,
  );
  return problem ? err(problem) : ok(opened);
};

/** Bays of a shop's front: even between pillars that are all as wide as they were decided when they are seen from the street; the outer ones stand at the
 *  ends of the wall's outer face. */
const shopBays = (
  plan: RoomPlan,
  wall: Wall,
  id: string,
  length: number,
  clear: number,
  ends: readonly [left: number, right: number],
  [left, right]: readonly [number, number],
): Result<readonly Opened[], PieceProblem> => {
  const { doll } = plan;
  const [pillar, riser, lintel] = [doll(wall.pillar), doll(wall.riser), doll(wall.lintel)];
  const widths = share(
    length + left + right - 2 * pillar,
    Array.from({ length: wall.bays }, () => ({ share: 1 })),
    pillar,
  );
  const problem =
    lack('bays between the pillars', widths.ok ? Math.min(...widths.value) : 0, 2 * MARGIN) ??
    lack('bays between what is closed below and above', clear - riser - lintel, 2 * MARGIN) ??
    lack('pillars wide enough for two clear sheets beside each other', pillar, 2 * MARGIN + 500) ??
    lack(
      'outer pillars wide enough for a clear sheet beside the next wall',
      pillar - Math.max(left + ends[0], right + ends[1]),
      MARGIN + 500,
    ) ??
    lack('what is closed above the bays', lintel, MARGIN + 500) ??
    (riser > 0 ? lack('what is closed below the bays', riser, MARGIN + 500) : undefined);
  if (problem || !widths.ok) return err(problem ?? { code: 'too-small', direction: 'width', available: 0, needed: 1 });
  let x = pillar - left;
  return ok(
    widths.value.map((width, index): Opened => {
      const x0 = x;
      x += width + pillar;
      const opening = { form: 'plain', glazed: true, view: 0 } as WallOpening;
      return { opening, id: `${id}/bay-${index}`, x0, x1: x0 + width, y0: riser, y1: clear - lintel, border: 0, inside: true };
    }),
  );
};

/** What a hole for a lamp must be away from every other edge. */
const BESIDE = 1_000;

/** Lamps that do not go where they are meant to. */
export const lampProblem = (
  plan: RoomPlan,
  wall: Wall,
  opened: readonly Opened[],
  length: number,
  clear: number,
  ends: readonly [left: number, right: number],
): PieceProblem | undefined => {
  const lamps = [...lampsIn(plan, wall, length)].sort((a, b) => a.at[0] - b.at[0]);
  const [first, next] = lamps;
  if (!first) return undefined;
  const half = Math.ceil(first.across / 2) + BESIDE;
  const clash = opened.some(({ x0, x1, y0, y1, border }) =>
    lamps.some(({ at: [x, y] }) => x > x0 - border - half && x < x1 + border + half && y > y0 - border - half && y < y1 + border + half),
  );
  return (
    (next ? lack('lamps beside each other', next.at[0] - first.at[0], 2 * half) : undefined) ??
    lack('the lamps from the wall’s left end', first.at[0], ends[0] + half) ??
    lack('the lamps in the wall’s length', length - (lamps.at(-1)?.at[0] ?? 0), ends[1] + half) ??
    lack('the lamps above the floor', first.at[1], half) ??
    lack('the lamps under the wall’s upper edge', clear - first.at[1], half) ??
    (clash ? lack('lamps beside the openings', 0, 1) : undefined)
  );
};

const raised = (ring: Ring, by: number): Ring => ring.map(([x, y]): Point => [x, y + by]);

/** What is cut from a wall for its openings; `floor` is how far up the floor lies in it. */
export const openingCuts = (opened: readonly Opened[], floor: number): readonly Cut[] =>
  opened.map((each): Cut => ({ ring: raised(ringOf(each), floor), low: each.y0 === 0 && floor === 0 }));

/** What is cut from a wall for its lamps. */
export const lampCuts = (plan: RoomPlan, wall: Wall, length: number, floor: number): readonly Cut[] =>
  lampsIn(plan, wall, length).map(
    ({ at: [x, y], across }): Cut => ({ ring: raised(ellipseRing(x, y, Math.round(across / 2)), floor), low: false }),
  );

const NOTHING: PutIn = { parts: [], motions: [], reach: [] };

/** The unit of a window or door, by the piece that makes one. */
const unitIn = (plan: RoomPlan, side: Side, opened: Opened, floor: number, out: number, thickness: number): Result<PutIn, PieceProblem> => {
  const { opening, id } = opened;
  const { boards } = plan.room;
  const form = opening.form as 'window' | 'door';
  const decided = openingSchema.parse({ family: 'opening', form, name: form });
  const piece = {
    ...decided,
    id,
    mark: 1,
    boards: { frame: boards.trim ?? boards.wall, leaf: boards.wall, bar: boards.trim ?? boards.wall },
    thick: { frame: null, leaf: null, bar: null },
    wall: dollUm(thickness),
    width: { doll: dollUm(opened.x1 - opened.x0) },
    height: { doll: dollUm(opened.y1 - opened.y0) },
    border: { doll: dollUm(opened.border) },
    corners: opening.corners,
    hinge: opening.hinge,
    panelsAcross: opening.panelsAcross,
    panelsUp: opening.panelsUp,
    barsUpright: opening.barsUpright,
    barsLying: opening.barsLying,
    sill: opening.sill,
  } as Opening;
  const built = buildOpening(piece, plan.means);
  if (!built.ok) return built;
  const { parts, motions, outside } = built.value.assembly;
  const frame = single(plan.sheets.trim).one;
  const behind = frame + (form === 'window' ? CLEAR_SHEET.thickness : 0);
  const low = form === 'window' ? opened.y0 - opened.border : 0;
  // What was built to stand before the viewer stands on the side: its x runs along it, its z into the room.
  const [ox, oz] = pointAt(side, opened.x0 - opened.border, -out - behind);
  const [turn, to] = [turnUpright(side.way[0], 0 - side.way[1]), [ox, floor + low, oz] as const];
  const point = (at: Vec3): Vec3 => add(to, turn(at));
  const [x, y, z] = outside.max;
  return ok({
    parts: parts.map((part) => ({ ...part, pose: movedPose(part.pose, turn, [0, 0, 0], to) })),
    motions: motions.map((motion) => movedMotion(motion, point, turn)),
    reach: [0, x].flatMap((a) => [0, y].flatMap((b) => [0, z].map((c) => point([a, b, c])))),
  });
};

/** What is put into one opening. `out`: how far behind the side's line the wall's outer face lies; `thickness`: from there to its inner face. */
export const putInto = (
  plan: RoomPlan,
  side: Side,
  opened: Opened,
  floor: number,
  out: number,
  thickness: number,
): Result<PutIn, PieceProblem> => {
  const { form } = opened.opening;
  const unit =
    form === 'window' || form === 'door'
      ? unitIn(plan, side, opened, floor, out, thickness)
      : form === 'bought'
        ? ok(NOTHING)
        : framesRound(plan, side, opened, floor, out, thickness);
  if (!unit.ok) return unit;
  const view = viewBehind(plan, side, opened, floor, out);
  if (!view.ok) return view;
  const both = [unit.value, view.value];
  return ok({
    parts: both.flatMap(({ parts }) => parts),
    motions: unit.value.motions,
    reach: both.flatMap(({ reach }) => reach),
  });
};
