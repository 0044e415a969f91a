// µm. Which way is up on each panel of a net once it is folded, and how large a panel is as one then sees it.
import { foldedNet, type Net, type NetRing } from '../net/index.ts';
import { cross, dot, type Point, type Pose, scaled, type Vec3, vec3 } from '../shape/index.ts';

/** A panel on its net: its lower left corner and the ways to its right and up, as it is seen once it is folded; its size; the rings of its faces; how far its own
 *  way up leans from upright, 0 where it stands and no way up counts where it lies. */
export type PanelFrame = {
  readonly name: string;
  readonly origin: Point;
  readonly right: Point;
  readonly up: Point;
  readonly width: number;
  readonly height: number;
  readonly rings: readonly NetRing[];
  /** Which way it looks, folded: unit normal. */
  readonly looks: Vec3;
  /** It goes round: only the middle of it is seen at once. */
  readonly round: boolean;
};

/** A face that looks up or down by more than this lies, and its upper edge is the one away from the viewer: about 50°. */
const LYING = 0.77;

/** So many faces of one panel are the facets of what is rolled. */
const ROUND = 16;

/** Up, in space, for a face that looks some way. */
const upFor = (looks: Vec3): Vec3 => (Math.abs(looks[1]) > LYING ? [0, 0, -1] : [0, 1, 0]);

const turnedInto = ({ u, v }: Pose, vector: Vec3): Vec3 => {
  const n = cross(u, v);
  return vec3((axis) => vector[0] * u[axis] + vector[1] * v[axis] + vector[2] * n[axis]);
};

type Faced = { readonly ring: NetRing; readonly u: Vec3; readonly v: Vec3; readonly holes: readonly NetRing[] };

const frameOf = (name: string, faces: readonly Faced[], quarters: number): PanelFrame | undefined => {
  // What is rolled has many faces: the one in the middle stands for all.
  const middle = faces[Math.floor(faces.length / 2)];
  if (!middle) return undefined;
  const looks = cross(middle.u, middle.v);
  const wanted = upFor(looks);
  const [a, b] = [dot(wanted, middle.u), dot(wanted, middle.v)];
  const long = Math.hypot(a, b);
  const upright: Point = long < 1e-6 ? [0, 1] : [a / long, b / long];
  const turned = ([x, y]: Point, times: number): Point => (times === 0 ? [x, y] : turned([-y, x], times - 1));
  const up = turned(upright, quarters);
  const right: Point = [up[1], -up[0]];
  const corners = faces.flatMap(({ ring }) => ring);
  const along = (way: Point): readonly number[] => corners.map(([x, y]) => x * way[0] + y * way[1]);
  const [xs, ys] = [along(right), along(up)];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  return {
    name,
    origin: [right[0] * x0 + up[0] * y0, right[1] * x0 + up[1] * y0],
    right,
    up,
    width: Math.max(...xs) - x0,
    height: Math.max(...ys) - y0,
    rings: faces.flatMap(({ ring, holes }) => [ring, ...holes]),
    looks,
    round: faces.length >= ROUND,
  };
};

const facesOf = (net: Net, pose: Pose, behind: boolean): ReadonlyMap<string, readonly Faced[]> => {
  const poses = foldedNet(net, 1);
  const panels = new Map<string, Faced[]>();
  net.faces.forEach(({ name, behind: back, outline, holes = [] }, face) => {
    const called = behind ? back : name;
    const own = poses[face];
    if (called === undefined || !own) return;
    const [u, v] = [turnedInto(pose, own.u), turnedInto(pose, own.v)];
    // Seen from behind a sheet is mirrored.
    const seen = (ring: NetRing): NetRing => (behind ? ring.map(([x, y]): Point => [-x, y]) : ring);
    panels.set(called, [...(panels.get(called) ?? []), { ring: seen(outline), holes: holes.map(seen), u: behind ? scaled(u, -1) : u, v }]);
  });
  return panels;
};

/** The panels of a net, in the order of its faces.
 *  Shape: net, where its first face stands, printed side or behind → a frame for each panel; behind, places are those of the sheet turned over (x mirrored). */
export const panelsOf = (net: Net, pose: Pose, behind = false): readonly PanelFrame[] =>
  [...facesOf(net, pose, behind)].flatMap(([name, faces]) => frameOf(name, faces, 0) ?? []);

/** One panel, and others that art is laid across with it, as one frame turned by quarters. */
export const panelAcross = (net: Net, pose: Pose, names: readonly string[], quarters: number, behind = false): PanelFrame | undefined => {
  const faces = facesOf(net, pose, behind);
  const [first] = names;
  const own = faces.get(first ?? '');
  if (first === undefined || !own) return undefined;
  const frame = frameOf(first, own, quarters);
  const others = names.slice(1).flatMap((name) => faces.get(name) ?? []);
  if (!frame || others.length === 0) return frame;
  const corners = [...own, ...others].flatMap(({ ring }) => ring);
  const along = (way: Point): readonly number[] => corners.map(([x, y]) => x * way[0] + y * way[1]);
  const [xs, ys] = [along(frame.right), along(frame.up)];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const { right, up } = frame;
  return {
    ...frame,
    origin: [right[0] * x0 + up[0] * y0, right[1] * x0 + up[1] * y0],
    width: Math.max(...xs) - x0,
    height: Math.max(...ys) - y0,
    rings: [...own, ...others].flatMap(({ ring, holes }) => [ring, ...holes]),
  };
};
