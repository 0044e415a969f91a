// µm, doll size. Sticks that run from one point to another, and boards that lean back; both cut so that they lie on what they meet.
import type { Part, Role } from '../../assembly/index.ts';
import { add, cross, dot, ellipseRing, minus, type Point, type Pose, type Ring, scaled, unit, type Vec3 } from '../../shape/index.ts';
import type { StickName } from '../../stock/index.ts';
import type { Sheeting } from '../family/means.ts';
import { sectionOf } from './panels.ts';

const whole = ([x, y]: Point): Point => [Math.round(x) + 0, Math.round(y) + 0];

export type StickRun = {
  readonly from: Vec3;
  readonly to: Vec3;
  /** Roughly the way of the stick's wider side; made square to its run. */
  readonly wide: Vec3;
  readonly stick: StickName;
  /** The ways in which its end planes look; square to its run when left out. The axis meets the planes in `from` and `to`. */
  readonly cuts?: readonly [Vec3, Vec3];
};

type Kind = { readonly id: string; readonly role: Role; readonly name: string };

const base = (kind: Kind, stick: StickName) => ({
  ...kind,
  stuff: 'stick' as const,
  stock: stick,
  grain: 'any' as const,
  held: 'glue' as const,
  centres: [],
});

/** A round stick whose ends are cut by parallel planes: its section in that plane, drawn out along it. */
const roundBetween = ({ from, to, stick, cuts }: StickRun, kind: Kind): Part => {
  const run = minus(to, from);
  const along = unit(run);
  const up = dot(cuts?.[0] ?? along, run) < 0 ? scaled(cuts?.[0] as Vec3, -1) : (cuts?.[0] ?? along);
  const u = unit(Math.abs(up[0]) < 0.9 ? cross(cross(up, [1, 0, 0]), up) : cross(cross(up, [0, 0, 1]), up));
  const v = cross(up, u);
  const r = sectionOf(stick).width / 2;
  // A circle across the run, and where the lines through its points meet the plane.
  const one = unit(Math.abs(dot(along, u)) < 0.9 ? minus(u, scaled(along, dot(along, u))) : minus(v, scaled(along, dot(along, v))));
  const other = cross(along, one);
  const ring: Ring = ellipseRing(0, 0, r).map(([x, y]): Point => {
    const off = add(scaled(one, x), scaled(other, y));
    const onPlane = minus(off, scaled(along, dot(off, up) / dot(along, up)));
    return whole([dot(onPlane, u), dot(onPlane, v)]);
  });
  const [shiftX, shiftY] = whole([dot(run, u), dot(run, v)]);
  const straight = shiftX === 0 && shiftY === 0;
  const pose: Pose = { origin: from, u, v };
  const slanted = Math.acos(Math.min(1, Math.abs(dot(along, up))));
  return {
    ...base(kind, stick),
    thickness: Math.round(dot(run, up)),
    region: { outline: ring, holes: [] },
    ...(straight ? {} : { upper: { outline: ring.map(([x, y]): Point => [x + shiftX, y + shiftY]), holes: [] } }),
    pose,
    length: Math.round(Math.hypot(...run) + 2 * r * Math.tan(slanted)),
  };
};

/** A flat or square stick: its broad side, so long from point to point. */
const squareBetween = ({ from, to, wide, stick, cuts }: StickRun, kind: Kind): Part => {
  const { width, thickness } = sectionOf(stick);
  const run = minus(to, from);
  const [along, length] = [unit(run), Math.hypot(...run)];
  const v = unit(minus(wide, scaled(along, dot(wide, along))));
  const n = cross(along, v);
  /** How far beyond the axis's own end a corner's line goes until the plane cuts it. */
  const beyond = (cut: Vec3, y: number, h: number): number =>
    -((y - width / 2) * dot(cut, v) + (h - thickness / 2) * dot(cut, n)) / dot(cut, along);
  const [start, end] = cuts ?? [along, along];
  const corners = ([0, width] as const).flatMap((y) => ([0, thickness] as const).map((h) => ({ y, h })));
  const low = Math.min(...corners.map(({ y, h }) => beyond(start, y, h)));
  const face = (h: number): Ring =>
    (
      [
        [beyond(start, 0, h) - low, 0],
        [length + beyond(end, 0, h) - low, 0],
        [length + beyond(end, width, h) - low, width],
        [beyond(start, width, h) - low, width],
      ] as const
    ).map(whole);
  const [outline, upper] = [face(0), face(thickness)];
  const origin = add(add(add(from, scaled(along, low)), scaled(v, -width / 2)), scaled(n, -thickness / 2));
  const longest = Math.max(...[...outline, ...upper].map(([x]) => x));
  const same = outline.every(([x], index) => x === upper[index]?.[0]);
  return {
    ...base(kind, stick),
    thickness,
    region: { outline, holes: [] },
    ...(same ? {} : { upper: { outline: upper, holes: [] } }),
    pose: { origin, u: along, v },
    length: longest,
  };
};

/** A stick from one point to another, its axis between them, its ends cut square or along planes.
 *  Shape: a run → a part. Round sticks are cut by parallel planes only: the first is taken for both. */
export const stickBetween = (run: StickRun, kind: Kind): Part =>
  sectionOf(run.stick).section === 'round' ? roundBetween(run, kind) : squareBetween(run, kind);

export type Leaning = {
  readonly x0: number;
  readonly x1: number;
  /** Level below and above, where it is cut. */
  readonly y0: number;
  readonly y1: number;
  /** Where its hidden face stands below, and how far back that face is above. */
  readonly z: number;
  readonly lean: number;
};

/** A board that leans back, cut level below and above, in layers from its hidden face forwards; it shows its front. */
export const leaningBoard = (
  place: Leaning,
  kind: Kind & { readonly stuff?: Part['stuff'] },
  sheeting: Pick<Sheeting, 'board' | 'one' | 'layers'>,
): readonly Part[] => {
  const { x0, x1, y0, y1, z, lean } = place;
  const [high, width] = [y1 - y0, x1 - x0];
  const slope = Math.hypot(high, lean);
  const [cos, sin] = [high / slope, lean / slope];
  const drop = (height: number): number => Math.round((height * sin) / cos) + 0;
  return Array.from({ length: sheeting.layers }, (_, layer): Part => {
    const t = sheeting.one;
    const shift = -drop(t);
    const ring = (dy: number): Ring => [
      [0, dy],
      [width, dy],
      [width, Math.round(slope) + dy],
      [0, Math.round(slope) + dy],
    ];
    return {
      id: sheeting.layers === 1 ? kind.id : `${kind.id}~${layer + 1}`,
      role: kind.role,
      name: sheeting.layers === 1 ? kind.name : `${kind.name}, layer ${layer + 1}`,
      stuff: kind.stuff ?? 'board',
      stock: sheeting.board,
      thickness: t,
      region: { outline: ring(0), holes: [] },
      ...(shift === 0 ? {} : { upper: { outline: ring(shift), holes: [] } }),
      // Level cuts: the next layer's hidden face meets the lower level further forwards.
      pose: { origin: [x0, y0, z + (layer * t) / cos], u: [1, 0, 0], v: [0, cos, -sin + 0] },
      grain: 'y',
      held: 'glue',
      length: null,
      centres: [],
    };
  });
};

/** How far forwards a leaning board of this thickness reaches at one level. */
export const leaningDepth = (thickness: number, high: number, lean: number): number => (thickness * Math.hypot(high, lean)) / high;
