// µm, doll size. What of each face can be covered: the face less what is glued to it, and less what is shut in.
import { type Box, type Contact, outlineOf, type Part } from '../assembly/index.ts';
import {
  areaOf,
  bounds,
  dot,
  less,
  merged,
  normalOf,
  type Point,
  type Pose,
  type Region,
  type Ring,
  signedArea,
  toPlane,
  toSpace,
  type Vec3,
} from '../shape/index.ts';
import { shutIn } from './shutIn.ts';
import { type Face, facesOf, poseOfSide } from './surface.ts';
import { ontoRolled, rolledUp } from './taper.ts';

/** A face as it is to be covered. */
export type Surface = Face & {
  /** What shows or can be reached. */
  readonly exposed: readonly Region[];
  /** Where something is glued on: no paint and no paper may go there. */
  readonly bare: readonly Region[];
  /** Of `exposed`, in µm². */
  readonly area: number;
};

/** Points of slanted faces are rounded twice. */
const ON_PLANE = 15;

const regionFrom = (points: Ring): Region => ({ outline: signedArea(points) < 0 ? [...points].reverse() : points, holes: [] });

/** Whether a figure in space lies in a plane. */
const liesOn = (pose: Pose, outline: readonly Vec3[]): boolean => {
  const n = normalOf(pose);
  const at = dot(pose.origin, n);
  return outline.every((point) => Math.abs(dot(point, n) - at) <= ON_PLANE);
};

/** A figure in space as it lies on a face; nothing when it lies elsewhere. On an edge the side is looked for that carries it. */
const ontoFace = (face: Face, part: Part, outline: readonly Vec3[]): Region | undefined => {
  const { run } = face;
  if (!run) return liesOn(face.pose, outline) ? regionFrom(outline.map((point) => toPlane(face.pose, point))) : undefined;
  if (run.quads) {
    const flat = ontoRolled(run.quads, outline, ON_PLANE);
    return flat && regionFrom(flat);
  }
  if (part.upper) {
    if (!liesOn(face.pose, outline)) return undefined;
    const flat = outline.map((point) => toPlane(face.pose, point));
    const { x0, x1 } = bounds(face.region.outline);
    return flat.every(([x]) => x >= x0 - ON_PLANE && x <= x1 + ON_PLANE) ? regionFrom(flat) : undefined;
  }
  let from = 0;
  for (let side = 0; side + 1 < run.points.length; side += 1) {
    const [a, b] = [run.points[side] as Point, run.points[side + 1] as Point];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const pose = side === 0 ? face.pose : poseOfSide(part.pose, a, b);
    if (liesOn(pose, outline)) {
      const flat = outline.map((point) => toPlane(pose, point));
      if (flat.every(([x]) => x >= -ON_PLANE && x <= length + ON_PLANE)) {
        return regionFrom(flat.map(([x, y]): Point => [Math.round(from + x), y]));
      }
    }
    from += length;
  }
  return undefined;
};

type Touch = { readonly by: number; readonly outline: readonly Vec3[]; readonly adds: boolean };
type Kind = 'front' | 'back' | 'edge';

/** What is glued to a part, by the kind of face that it touches. */
type Glued = Readonly<Record<Kind, Touch[]>>;

/** What is glued to each part, by index. What only hangs on a hinge or lies on slides is not glued, and its place can be covered. */
const gluedTo = (parts: readonly Part[], contacts: readonly Contact[]): readonly Glued[] => {
  const found = parts.map((): Glued => ({ front: [], back: [], edge: [] }));
  for (const contact of contacts) {
    const { a, b, faceA, faceB, area } = contact;
    if (parts[a]?.held !== 'glue' || parts[b]?.held !== 'glue') continue;
    const touch = { outline: outlineOf(contact), adds: area > 0 };
    found[a]?.[faceA].push({ ...touch, by: b });
    found[b]?.[faceB].push({ ...touch, by: a });
  }
  return found;
};

const kindOf = ({ id }: Face): Kind => (id === 'front' || id === 'back' ? id : 'edge');

/** Zones of what leans are rounded, and leave slivers of what they cover wholly. */
const isMoreThanSliver = (region: Region): boolean => {
  const { x0, y0, x1, y1 } = bounds(region.outline);
  return areaOf([region]) > ON_PLANE * Math.max(x1 - x0, y1 - y0);
};

const NONE: readonly Region[] = [];

/** The zones that are glued on a face, openings in them left open, unless something else is glued in there. */
const bareOn = (face: Face, part: Part, glued: Glued): readonly Region[] => {
  const touches = glued[kindOf(face)];
  if (touches.length === 0) return NONE;
  const added: Region[] = [];
  const openings = new Map<number, { readonly in: Region[]; readonly of: Region[] }>();
  const hollow = new Set(touches.flatMap(({ adds, by }) => (adds ? [] : [by])));
  for (const { outline, adds, by } of touches) {
    const zone = ontoFace(face, part, outline);
    if (!zone) continue;
    if (!hollow.has(by)) {
      added.push(zone);
      continue;
    }
    const mine = openings.get(by) ?? { in: [], of: [] };
    (adds ? mine.in : mine.of).push(zone);
    openings.set(by, mine);
  }
  for (const mine of openings.values()) added.push(...merged(mine.in).flatMap((zone) => less(zone, mine.of)));
  return added.length === 0 ? NONE : merged(added);
};

/** Every face of every part with what of it is to be covered.
 *  Shape: parts, their contacts and boxes → surfaces, part by part. Doors, drawers and trays are thought open: what they close can be
 *  reached. Law: exposed, bare and shut in together are the face, and no two of them overlap. */
export const surfacesOf = (
  parts: readonly Part[],
  contacts: readonly Contact[],
  boxes: readonly Box[],
  moving: ReadonlySet<string>,
): readonly Surface[] => {
  const glued = gluedTo(parts, contacts);
  const hidden = shutIn(parts, boxes, moving);
  return parts.flatMap((part, index) =>
    part.stuff === 'found' || part.stuff === 'wire'
      ? []
      : facesOf(part, index).map((face): Surface => {
          const bare = bareOn(face, part, glued[index] as Glued);
          const open = bare.length === 0 ? [face.region] : less(face.region, bare).filter(isMoreThanSliver);
          const shut = hidden?.(face) ?? [];
          const exposed = shut.length === 0 ? open : open.flatMap((region) => less(region, shut));
          // Field by field: thousands of them are made at once, and spreading takes longer than all the rest.
          const { part: number, id, region, pose, run } = face;
          return { part: number, id, region, pose, run, exposed, bare, area: areaOf(exposed) };
        }),
  );
};

/** The point of space that a point of a face is. */
export const inSpace = (face: Face, part: Part, [x, y]: Point): Vec3 => {
  if (face.run?.quads) return rolledUp(face.run.quads, [x, y]);
  if (!face.run || part.upper) return toSpace(face.pose, [x, y]);
  let from = 0;
  const { points } = face.run;
  for (let side = 0; side + 1 < points.length; side += 1) {
    const [a, b] = [points[side] as Point, points[side + 1] as Point];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (x <= from + length || side + 2 === points.length) {
      const share = Math.min(1, Math.max(0, (x - from) / length));
      return toSpace(part.pose, [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share], y);
    }
    from += length;
  }
  throw new Error('a stretch of edge has two points at least');
};
