// µm, doll size. Things that go round an upright axis, at its middle: discs, rings, tubes, cones, dowels.
import type { FlatBlank, Part, Role } from '../../assembly/index.ts';
import { chordsOf, ellipseRing, type Point, type Pose, type Region, type Ring, rectRing } from '../../shape/index.ts';
import type { StickName } from '../../stock/index.ts';
import { sectionOf } from './panels.ts';

/** An axis by where it stands, and how many chords everything round it has, so that surfaces that touch lie on one another. */
export type RoundAxis = { readonly x: number; readonly z: number; readonly chords: number };

/** The axis for things of so great a radius at the most. */
export const axisAt = (x: number, z: number, radius: number): RoundAxis => ({ x, z, chords: chordsOf(radius) });

export type RoundKind = { readonly id: string; readonly role: Role; readonly name: string; readonly held?: Part['held'] };
type Made = Pick<Part, 'stuff' | 'stock' | 'length'>;

const region = (chords: number, outer: number, inner: number, hollow: boolean): Region => ({
  outline: ellipseRing(0, 0, outer, outer, chords),
  // The inside of what is rolled has the chords of its outside; a hole in a board only what it needs.
  holes: inner > 0 ? [[...ellipseRing(0, 0, inner, inner, hollow ? chords : chordsOf(inner))].reverse()] : [],
});

/** Something that goes round from one height to another: so far out and in below, and the same above unless it tapers. */
export const roundPart = (
  { x, z, chords }: RoundAxis,
  [y0, y1]: readonly [number, number],
  low: { readonly outer: number; readonly inner: number },
  high: { readonly outer: number; readonly inner: number },
  kind: RoundKind,
  made: Made & { readonly flat?: FlatBlank },
): Part => {
  const pose: Pose = { origin: [x, y0, z], u: [1, 0, 0], v: [0, 0, -1] };
  const hollow = made.flat !== undefined || made.stuff === 'found';
  const tapers = low.outer !== high.outer || low.inner !== high.inner;
  return {
    id: kind.id,
    role: kind.role,
    name: kind.name,
    held: kind.held ?? 'glue',
    grain: 'any',
    centres: made.stuff === 'board' && !made.flat ? [[0, 0]] : [],
    thickness: y1 - y0,
    region: region(chords, low.outer, low.inner, hollow),
    ...(tapers ? { upper: region(chords, high.outer, high.inner, hollow) } : {}),
    pose,
    ...made,
  };
};

/** A strip that is rolled to a tube: as long as the middle of its thickness goes round, and what overlaps. Source: plane geometry, π·d. */
export const tubeStrip = (diameter: number, wall: number, height: number, overlap: number): FlatBlank => ({
  region: { outline: rectRing(0, 0, Math.round(Math.PI * (diameter - wall)) + overlap, height), holes: [] },
  thickness: wall,
});

/** The development of a frustum of a cone: radii and angle of the sector of a ring. Source: plane geometry, for radii R > r and height h the
 *  slant s = √(h² + (R − r)²), outer radius s·R ÷ (R − r), angle 2π(R − r) ÷ s. */
export const frustumSector = (
  R: number,
  r: number,
  h: number,
): { readonly slant: number; readonly outer: number; readonly inner: number; readonly angle: number } => {
  const slant = Math.hypot(h, R - r);
  const outer = (slant * R) / (R - r);
  return { slant, outer, inner: outer - slant, angle: (2 * Math.PI * (R - r)) / slant };
};

const arc = (radius: number, from: number, to: number): Ring => {
  const count = Math.max(2, Math.ceil((chordsOf(radius) * Math.abs(to - from)) / (2 * Math.PI)));
  return Array.from({ length: count + 1 }, (_, index): Point => {
    const angle = from + ((to - from) * index) / count;
    return [Math.round(radius * Math.cos(angle)) + 0, Math.round(radius * Math.sin(angle)) + 0];
  });
};

/** The sector that is rolled to a frustum, its middle upwards, and a strip along one end that is glued under the other. Measured in the middle of
 *  its thickness. */
export const frustumFlat = (low: number, high: number, height: number, wall: number, overlap: number): FlatBlank => {
  const [R, r] = [Math.max(low, high), Math.min(low, high)].map((radius) => radius - wall / 2) as [number, number];
  if (R - r < 1) return tubeStrip(2 * R + wall, wall, height, overlap);
  const { outer, inner, angle } = frustumSector(R, r, height);
  const [start, end] = [Math.PI / 2 - angle / 2, Math.PI / 2 + angle / 2];
  const [far, near] = [arc(outer, start, end), arc(Math.max(1, inner), end, start)];
  // The lap runs alongside the end, so wide all along.
  const [dx, dy] = [-Math.sin(end) * overlap, Math.cos(end) * overlap];
  const lap = ([x, y]: Point): Point => [Math.round(x + dx), Math.round(y + dy)];
  const tab: Ring = overlap > 0 ? [lap(far.at(-1) as Point), lap(near[0] as Point)] : [];
  return { region: { outline: [...far, ...tab, ...near], holes: [] }, thickness: wall };
};

/** A dowel that stands upright. */
export const dowel = ({ x, z }: RoundAxis, [y0, y1]: readonly [number, number], stick: StickName, kind: RoundKind): Part => {
  const radius = sectionOf(stick).width / 2;
  const axis = axisAt(x, z, radius);
  const girth = { outer: radius, inner: 0 };
  return roundPart(axis, [y0, y1], girth, girth, kind, { stuff: 'stick', stock: stick, length: y1 - y0 });
};
