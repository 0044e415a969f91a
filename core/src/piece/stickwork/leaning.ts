// µm, doll size. What leans: racks like an A, ladders, easels. Legs are cut level on the floor and upright where they meet.
import type { Part } from '../../assembly/index.ts';
import { err, ok } from '../../kit/index.ts';
import { ellipseRing, type Vec3 } from '../../shape/index.ts';
import type { StickName } from '../../stock/index.ts';
import { lack, unless } from '../family/problem.ts';
import { evenSlats } from '../parts/evenSlats.ts';
import { stickBetween } from '../parts/leaning.ts';
import { layered, roundIn, stickIn } from '../parts/panels.ts';
import { inRow, kind, type PartsResult, type StickworkPlan } from './plan.ts';

const LEVEL: Vec3 = [0, 1, 0];
const UPRIGHT: Vec3 = [0, 0, 1];

/** A leg in the plane of z and y by its outer edge: from the floor at `foot` to where it meets the upright plane z = `meet` at height `top`.
 *  `axis` gives the middle of its section at a height. */
type Leg = { readonly foot: number; readonly meet: number; readonly top: number; readonly deep: number };

const axisOf = ({ foot, meet, top, deep }: Leg) => {
  const run = meet - foot;
  const length = Math.hypot(run, top);
  const inwards = Math.sign(run);
  // The outer edge moved inwards by half the stick, square to itself.
  const [dz, dy] = [(inwards * (top * deep)) / 2 / length, -(Math.abs(run) * deep) / 2 / length];
  const at = (y: number): number => foot + dz + (run * (y - dy)) / top;
  const yAt = (z: number): number => dy + (top * (z - foot - dz)) / run;
  return {
    at,
    end: yAt(meet),
    slope: [0, top / length, run / length] as Vec3,
    face: [0, -Math.abs(run) / length, (inwards * top) / length] as Vec3,
  };
};

const legPart = (plan: StickworkPlan, leg: Leg, x: number, id: string, name: string, stick: StickName = plan.piece.post): Part => {
  const { at, end, face } = axisOf(leg);
  return stickBetween(
    { from: [x, 0, at(0)], to: [x, end, leg.meet], wide: face, stick, cuts: [LEVEL, UPRIGHT] },
    kind(plan, id, 'post', name),
  );
};

/** What legs of this slope need to be cut as they are: they must not be so flat that a cut runs on for ever. */
const steep = (what: string, { foot, meet, top, deep }: Leg) =>
  lack(what, top, 0.6 * Math.abs(meet - foot)) ?? lack(what, Math.abs(meet - foot), deep * 1.2) ?? lack(what, top, deep * 4);

/** Two A's: legs that meet in an upright joint, a tie across each, a rod between them under the ridge, slats on the ties. */
export const rack = (plan: StickworkPlan): PartsResult => {
  const { piece, width, height, depth, post, rail, rod, slat, gap, low } = plan;
  const middle = Math.round(depth / 2);
  const back: Leg = { foot: 0, meet: middle, top: height, deep: post.width };
  const front: Leg = { foot: depth, meet: middle, top: height, deep: post.width };
  const [behind, before] = [axisOf(back), axisOf(front)];
  const half = (post.width / 2) * (1 / behind.slope[1]);
  const [inner, outer] = [behind.at(low) + half, before.at(low) - half];
  // The rod ends where both legs are broad: under the ridge, half a rod below where their inner edges part.
  const parting = behind.end - (post.width / 2) * (1 / Math.abs(behind.slope[2]));
  const rodAt = Math.round(Math.max(parting - rod.width, behind.end - post.width * 1.5));
  const problem =
    steep('legs that meet under the ridge', back) ??
    lack('the two frames side by side', width, 2 * post.thickness + 10_000) ??
    lack('the ties between the legs', outer - inner, 4_000 + 2 * slat.width) ??
    lack('the ties on their legs', post.thickness, rail.thickness) ??
    lack('the ties above the floor', low, rail.width / 2) ??
    lack('the slats under the rod', rodAt - rod.width / 2, low + rail.width / 2 + slat.thickness + 1_000) ??
    unless('slats with a flat side', slat.section !== 'round');
  if (problem) return err(problem);
  const frames = (['left', 'right'] as const).flatMap((sideWord) => {
    const x = sideWord === 'left' ? post.thickness / 2 : width - post.thickness / 2;
    const [from, to]: [Vec3, Vec3] = [
      [x, low, inner],
      [x, low, outer],
    ];
    return [
      legPart(plan, back, x, `leg-${sideWord}-back`, 'leg'),
      legPart(plan, front, x, `leg-${sideWord}-front`, 'leg'),
      stickBetween(
        { from, to, wide: LEVEL, stick: piece.rail, cuts: [behind.face, before.face] },
        kind(plan, `tie-${sideWord}`, 'rail', 'tie'),
      ),
    ];
  });
  const r = rod.width / 2;
  const space = { x0: post.thickness, x1: width - post.thickness, y0: rodAt - r, y1: rodAt + r, z0: middle - r, z1: middle + r };
  const bar = roundIn(space, { ...kind(plan, 'rod', 'rail', 'rod'), shows: 'right' }, ellipseRing(r, r, r), {
    stuff: 'stick',
    stock: piece.rod,
    length: width - 2 * post.thickness,
  });
  const top = low + Math.round(rail.width / 2);
  // At the slats' own height the legs have come nearer to each other.
  const [z0, z1] = [Math.ceil(behind.at(top + slat.thickness) + half) + 20, Math.floor(before.at(top + slat.thickness) - half) - 20];
  const { count, gap: true_ } = evenSlats(z1 - z0, slat.width, gap);
  const shelf = Array.from({ length: count }, (_, index) => {
    const from = Math.round(z0 + (index + 1) * true_ + index * slat.width);
    const lies = { x0: 0, x1: width, y0: top, y1: top + slat.thickness, z0: from, z1: from + slat.width };
    return stickIn(lies, { ...kind(plan, `slat-${index}`, 'slat', 'shelf slat'), shows: 'up' }, piece.slat);
  });
  return ok({ parts: [...frames, bar, ...shelf], outside: [width, height, depth] });
};

/** Two stiles that lean on a wall, rungs between them. */
export const ladder = (plan: StickworkPlan): PartsResult => {
  const { piece, width, height, depth, post, rod, gap } = plan;
  const stile: Leg = { foot: depth, meet: 0, top: height, deep: post.width };
  const { at, end } = axisOf(stile);
  const count = Math.max(1, Math.ceil((end - post.width) / gap) - 1);
  const each = (end - post.width) / (count + 1);
  const problem =
    steep('stiles that lean on the wall', stile) ??
    lack('the stiles side by side', width, 2 * post.thickness + 5_000) ??
    lack('rungs between the stiles', gap, 1.5 * rod.width) ??
    lack('rungs on their stiles', post.width, rod.width) ??
    lack('the highest rung before the wall', at(count * each), rod.width / 2);
  if (problem) return err(problem);
  const stiles = (['left', 'right'] as const).map((sideWord) =>
    legPart(plan, stile, sideWord === 'left' ? post.thickness / 2 : width - post.thickness / 2, `stile-${sideWord}`, 'stile'),
  );
  const r = rod.width / 2;
  const rungs = Array.from({ length: count }, (_, index) => {
    const y = Math.round((index + 1) * each);
    const z = Math.round(at(y));
    const space = { x0: post.thickness, x1: width - post.thickness, y0: y - r, y1: y + r, z0: z - r, z1: z + r };
    return roundIn(space, { ...kind(plan, `rung-${index}`, 'rail', 'rung'), shows: 'right' }, ellipseRing(r, r, r), {
      stuff: 'stick',
      stock: piece.rod,
      length: width - 2 * post.thickness,
    });
  });
  return ok({ parts: [...stiles, ...rungs], outside: [width, height, depth] });
};

/** Two legs that lean back on a bar, a third behind it, and a ledge across the two. */
export const easel = (plan: StickworkPlan): PartsResult => {
  const { piece, width, height, depth, post, rail, low } = plan;
  const meet = Math.round(depth * 0.55);
  const front: Leg = { foot: depth, meet, top: height, deep: post.width };
  const back: Leg = { foot: 0, meet: meet - rail.thickness, top: height, deep: post.width };
  const { at, slope, face } = axisOf(front);
  // Out of the front: against where the legs' inner side looks.
  const out: Vec3 = [0, -face[1], -face[2]];
  const away = (post.width + rail.thickness) / 2;
  const ledge: Vec3 = [0, low + out[1] * away, at(low) + out[2] * away];
  const reach = ledge[2] + (rail.thickness / 2) * Math.abs(out[2]) + (rail.width / 2) * Math.abs(slope[2]);
  const problem =
    steep('the legs in front', front) ??
    steep('the leg behind', back) ??
    lack('legs side by side', width, 3 * post.thickness + 6_000) ??
    lack('the bar at the top', height, low + 3 * rail.width + 6_000) ??
    lack('the ledge above the floor', low, rail.width) ??
    lack('the ledge before the legs', depth, reach);
  if (problem) return err(problem);
  const bar = stickIn(
    { x0: 0, x1: width, y0: height - rail.width, y1: height, z0: meet - rail.thickness, z1: meet },
    { ...kind(plan, 'bar', 'rail', 'bar'), shows: 'front' },
    piece.rail,
  );
  const along = (x: number): Vec3 => [x, ledge[1], ledge[2]];
  return ok({
    parts: [
      ...inRow(0, width, 2, post.thickness).map((x, index) => legPart(plan, front, x, `leg-${index}`, 'leg')),
      bar,
      legPart(plan, back, Math.round(width / 2), 'leg-back', 'leg behind'),
      stickBetween({ from: along(0), to: along(width), wide: slope, stick: piece.rail }, kind(plan, 'ledge', 'rail', 'ledge')),
    ],
    outside: [width, height, depth],
  });
};

/** A rod through brackets on a wall, with a disc at either end. */
export const wallRail = (plan: StickworkPlan): PartsResult => {
  const { piece, width, depth, rod, sheets } = plan;
  const { base, finial } = sheets;
  const knob = Math.max(rod.width, 2 * Math.round(plan.doll(piece.knob) / 2));
  const t = base.thickness;
  const r = rod.width / 2;
  // Two boards of bracket round the rod, one where it hangs close to its wall.
  const close = 2 * Math.floor(depth - r - base.one);
  const high = Math.max(knob, rod.width + 2 * base.one, Math.min(rod.width + 4 * base.one, close));
  const [y, z] = [Math.round(high / 2), depth - Math.round(high / 2)];
  const long = width - 2 * finial.thickness;
  const problem =
    lack('the rod between its finials', long, 2 * (piece.count * t + 4_000)) ??
    lack('the rod before the wall', depth, Math.round(high / 2) + Math.max(r + base.one, knob / 2)) ??
    lack('a bracket round its rod', high, rod.width + 2_000);
  if (problem) return err(problem);
  const round = (x0: number, x1: number, radius: number) => ({ x0, x1, y0: y - radius, y1: y + radius, z0: z - radius, z1: z + radius });
  const inset = finial.thickness + Math.round(long / 12);
  const brackets = inRow(inset, width - inset, Math.max(2, piece.count), t).flatMap((x, index) => {
    const x0 = x - Math.round(t / 2);
    // Showing its right: across runs from the front to the wall.
    const hole = [...ellipseRing(depth - z, y, r)].reverse();
    return layered(
      { x0, x1: x0 + t, y0: 0, y1: high, z0: 0, z1: depth },
      { ...kind(plan, `bracket-${index}`, 'side', 'bracket'), shows: 'right', holes: [hole], centres: [[depth - z, y]] },
      base,
    );
  });
  const bar = roundIn(
    round(finial.thickness, width - finial.thickness, r),
    { ...kind(plan, 'rod', 'rail', 'rod'), shows: 'right' },
    ellipseRing(r, r, r),
    {
      stuff: 'stick',
      stock: piece.rod,
      length: long,
    },
  );
  const disc = knob / 2;
  const ends = (['left', 'right'] as const).flatMap((sideWord) =>
    layered(
      sideWord === 'left' ? round(0, finial.thickness, disc) : round(width - finial.thickness, width, disc),
      {
        ...kind(plan, `finial-${sideWord}`, 'front', 'finial'),
        shows: sideWord === 'left' ? 'left' : 'right',
        outline: ellipseRing(disc, disc, disc),
      },
      finial,
    ),
  );
  return ok({ parts: [...brackets, bar, ...ends], outside: [width, high, depth] });
};
