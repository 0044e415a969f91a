// µm, doll size. The papers of a piece that is covered once it is built: what lies flush is one face, and faces that meet at an edge hang together
// in one net as far as a page or a sheet goes.
import type { Part } from '../assembly/index.ts';
import {
  areaOf,
  bounds,
  common,
  cross,
  dot,
  mapVec,
  merged,
  minus,
  normalOf,
  type Point,
  type Pose,
  type Rect,
  type Region,
  scaled,
  toSpace,
  type Vec3,
} from '../shape/index.ts';
import type { Wear } from './dress.ts';
import { artOn, type Dressed, finishOf, fitOn, sameWear, wearKey } from './dressed.ts';
import type { Surface } from './exposed.ts';
import { after, between, bringing, type Iso, inverse, moveBy, movedRegion, STAY } from './iso.ts';
import { LEAST_FOLD, type Panel, type Paper, type Score } from './paper.ts';
import { stripsOf } from './strips.ts';
import { ringsOf } from './surface.ts';

type Worn = { readonly surfaces: readonly Surface[]; readonly worn: readonly (Wear | undefined)[] };

const isFlat = ({ run }: Surface): boolean => run === null || run.points.length === 2;

/** Faces of one plane have one key: the way they look, and how far along it they lie. */
const planeKey = ({ pose }: Surface): string => {
  const n = normalOf(pose).map((value) => Math.round(value * 1000) + 0);
  return `${n.join(' ')} ${Math.round(dot(pose.origin, normalOf(pose)) / 20)}`;
};

/** Puts papered faces that lie flush together. Doors and drawers stay by themselves: they must open. */
export const joinedSurfaces = (
  { parts, surfaces, worn }: Dressed,
  moving: ReadonlySet<string>,
  isPapered: (wear: Wear | undefined) => boolean,
): Worn => {
  const groups = new Map<string, number[]>();
  const result: { surface: Surface; wear: Wear | undefined }[] = [];
  surfaces.forEach((surface, index) => {
    const wear = worn[index];
    if (!wear || !isPapered(wear) || !isFlat(surface)) {
      result.push({ surface, wear });
      return;
    }
    const { id } = parts[surface.part] as Part;
    const key = `${planeKey(surface)} ${wearKey(wear)} ${moving.has(id) ? id : ''}`;
    groups.set(key, [...(groups.get(key) ?? []), index]);
  });
  for (const group of groups.values()) {
    const largest = group.reduce((best, index) => ((surfaces[index] as Surface).area > (surfaces[best] as Surface).area ? index : best));
    const base = surfaces[largest] as Surface;
    const regions = group.flatMap((index) => {
      const surface = surfaces[index] as Surface;
      const move = between(surface.pose, base.pose);
      return index === largest ? surface.exposed : surface.exposed.map((region) => movedRegion(move, region));
    });
    for (const region of merged(regions)) {
      result.push({ surface: { ...base, region, exposed: [region], bare: [], run: null, area: areaOf([region]) }, wear: worn[largest] });
    }
  }
  return { surfaces: result.map(({ surface }) => surface), worn: result.map(({ wear }) => wear) };
};

/** A side of a face in space. */
type Side = {
  readonly surface: number;
  readonly a: Point;
  readonly b: Point;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly inwards: Vec3;
  readonly way: Vec3;
};

/** Shorter sides are chords of a curve, or too short to fold. */
const LEAST_SIDE = 1_500;

const lengthOf = (a: Point, b: Point): number => Math.hypot(b[0] - a[0], b[1] - a[1]);

const sidesOf = (surface: Surface, index: number): readonly Side[] =>
  surface.exposed.flatMap((region) =>
    ringsOf(region).flatMap((ring) =>
      ring.flatMap((a, corner): readonly Side[] => {
        const b = ring[(corner + 1) % ring.length] as Point;
        const length = lengthOf(a, b);
        if (length < LEAST_SIDE) return [];
        const [from, to] = [toSpace(surface.pose, a), toSpace(surface.pose, b)];
        const way = scaled(minus(to, from), 1 / length);
        return [{ surface: index, a, b, from, to, inwards: cross(normalOf(surface.pose), way), way }];
      }),
    ),
  );

/** How far a point may lie off a line, squared: three hundredths of a millimetre. */
const OFF_LINE = 30 * 30;

/** Sides are the same when they run against one another along one line; gives where the second lies on the first. */
const sharedSpan = (one: Side, other: Side): readonly [number, number] | undefined => {
  if (dot(one.way, other.way) > -0.9999) return undefined;
  const length = lengthOf(one.a, one.b);
  const [ox, oy, oz] = one.from;
  const [wx, wy, wz] = one.way;
  const at = ([x, y, z]: Vec3) => {
    const [dx, dy, dz] = [x - ox, y - oy, z - oz];
    const on = dx * wx + dy * wy + dz * wz;
    return dx * dx + dy * dy + dz * dz - on * on > OFF_LINE ? undefined : on;
  };
  const start = at(other.to);
  if (start === undefined) return undefined;
  const end = at(other.from);
  if (end === undefined || end <= start) return undefined;
  const span = [Math.max(0, start), Math.min(length, end)] as const;
  return span[1] - span[0] > LEAST_FOLD ? span : undefined;
};

/** Whether a face turns away beyond the side that it shares with another: an outside corner of the piece. */
const turnsAway = (pose: Pose, { inwards }: Side): boolean => dot(normalOf(pose), inwards) < -0.1;

type Room = { readonly width: number; readonly height: number };

const fits = (boxes: readonly Rect[], { width, height }: Room): boolean => {
  const [w, h] = [
    Math.max(...boxes.map(({ x1 }) => x1)) - Math.min(...boxes.map(({ x0 }) => x0)),
    Math.max(...boxes.map(({ y1 }) => y1)) - Math.min(...boxes.map(({ y0 }) => y0)),
  ];
  return (w <= width && h <= height) || (w <= height && h <= width);
};

type Joint = { readonly side: Side; readonly other: Side; readonly span: readonly [number, number] };

/** A way, or its opposite, as text; slanted ones are rounded until those that were rounded twice agree. */
const wayKey = (way: Vec3, sign: 1 | -1): string => way.map((value) => Math.round(value * sign * 50) + 0).join(' ');

/** Every pair of faces of one wear that meet at an outside corner. */
const jointsOf = (surfaces: readonly Surface[], these: readonly number[]): ReadonlyMap<number, readonly Joint[]> => {
  const sides = these.flatMap((index) => sidesOf(surfaces[index] as Surface, index));
  // Only sides of opposite ways can meet.
  const byWay = new Map<string, Side[]>();
  for (const side of sides) byWay.set(wayKey(side.way, 1), [...(byWay.get(wayKey(side.way, 1)) ?? []), side]);
  const found = new Map<number, Joint[]>();
  for (const side of sides) {
    for (const other of byWay.get(wayKey(side.way, -1)) ?? []) {
      if (side.surface === other.surface) continue;
      const span = sharedSpan(side, other);
      if (!span || !turnsAway((surfaces[side.surface] as Surface).pose, other)) continue;
      found.set(side.surface, [...(found.get(side.surface) ?? []), { side, other, span }]);
    }
  }
  return found;
};

const alongOf = ({ a, b }: Side): Point => {
  const length = lengthOf(a, b);
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
};

/** The point of a side so far along it. */
const pointOn = (side: Side, at: number): Vec3 => {
  const length = lengthOf(side.a, side.b);
  return mapVec(side.from, (value, axis) => value + ((side.to[axis] - value) * at) / length);
};

/** Where a neighbour lies when it is folded flat beside a panel: its side lies on the panel's, the other way round. */
const unfolded = ({ side, other, span }: Joint, panel: Panel): Iso => {
  const [along, its] = [alongOf(side), alongOf(other)];
  const toPaper = inverse(panel.place);
  const start: Point = [side.a[0] + along[0] * span[0], side.a[1] + along[1] * span[0]];
  // The point of the other side that meets it: as far from its end as the span begins.
  const beyond = Math.hypot(...minus(other.to, pointOn(side, span[0])));
  const meets: Point = [other.b[0] - its[0] * beyond, other.b[1] - its[1] * beyond];
  const way = moveBy({ ...toPaper, dx: 0, dy: 0 }, along);
  return bringing(moveBy(toPaper, start), way, meets, [-its[0], -its[1]]);
};

const scoreOf = ({ side, span }: Joint, panel: Panel): Score => {
  const along = alongOf(side);
  const toPaper = inverse(panel.place);
  const on = (at: number): Point =>
    moveBy(toPaper, [side.a[0] + along[0] * at, side.a[1] + along[1] * at]).map(Math.round) as unknown as Point;
  return [on(span[0]), on(span[1])];
};

/** Grows a net from a face: a neighbour is taken on when the two share nearly a whole side, when it lies clear, and while there is room. */
const netFrom = (
  seed: number,
  surfaces: readonly Surface[],
  joints: ReadonlyMap<number, readonly Joint[]>,
  used: Set<number>,
  room: Room,
): { readonly panels: Panel[]; readonly scores: Score[] } => {
  used.add(seed);
  const panels: Panel[] = [{ kind: 'face', surface: seed, region: (surfaces[seed] as Surface).exposed[0] as Region, place: STAY }];
  const scores: Score[] = [];
  for (let at = 0; at < panels.length; at += 1) {
    const panel = panels[at] as Panel;
    for (const joint of joints.get(panel.surface) ?? []) {
      const { side, other, span } = joint;
      const neighbour = surfaces[other.surface] as Surface;
      if (used.has(other.surface)) continue;
      const whole = Math.max(lengthOf(side.a, side.b), lengthOf(other.a, other.b));
      if (span[1] - span[0] < 0.97 * whole) continue;
      const place = unfolded(joint, panel);
      const region = movedRegion(inverse(place), neighbour.exposed[0] as Region);
      const boxes = [...panels.map((each) => bounds(each.region.outline)), bounds(region.outline)];
      if (
        !fits(boxes, room) ||
        areaOf(
          common(
            region,
            panels.map((each) => each.region),
          ),
        ) > 1e4
      )
        continue;
      used.add(other.surface);
      panels.push({ kind: 'face', surface: other.surface, region, place });
      scores.push(scoreOf(joint, panel));
    }
  }
  return { panels, scores };
};

/** The papers of a piece that is built: nets over what is flat, strips over what is bent. */
export const builtPapers = (dressed: Dressed, roomFor: (finish: string) => Room): readonly Paper[] => {
  const { parts, surfaces, worn, finishes, outside } = dressed;
  const papered = surfaces.flatMap((surface, index) => {
    const finish = finishOf(worn[index], finishes);
    return finish && finish.how !== 'paint' && surface.exposed.length > 0 ? [index] : [];
  });
  const flat = papered
    .filter((index) => isFlat(surfaces[index] as Surface))
    .sort((a, b) => (surfaces[b] as Surface).area - (surfaces[a] as Surface).area);
  const used = new Set<number>();
  const joints = new Map<number, readonly Joint[]>();
  const kinds = flat.reduce<number[][]>((all, index) => {
    const kind = all.find(([first]) => sameWear(worn[first as number], worn[index]));
    if (kind) kind.push(index);
    else all.push([index]);
    return all;
  }, []);
  for (const kind of kinds) {
    if (finishOf(worn[kind[0] as number], finishes)?.edges === 'raw') continue;
    for (const [surface, its] of jointsOf(surfaces, kind)) joints.set(surface, its);
  }
  const paperOf = (how: Paper['how'], panels: readonly Panel[], scores: readonly Score[]): Paper => {
    const first = panels[0] as Panel;
    const surface = surfaces[first.surface] as Surface;
    const wear = worn[first.surface] as Wear;
    const art = artOn(surface, parts[surface.part] as Part, wear, outside);
    return { how, wear, panels, scores, art: after(first.place, art), fit: fitOn(surface, art) };
  };
  const nets = flat.flatMap((index): readonly Paper[] => {
    if (used.has(index)) return [];
    const { panels, scores } = netFrom(index, surfaces, joints, used, roomFor((worn[index] as Wear).finish as string));
    return [paperOf(panels.length > 1 ? 'net' : 'cover', panels, scores)];
  });
  const bent = papered.filter((index) => !isFlat(surfaces[index] as Surface));
  const strips = bent.flatMap((index) =>
    stripsOf([{ surface: surfaces[index] as Surface, index }], [], () => undefined).map(({ panels, scores }) =>
      paperOf('strip', panels, scores),
    ),
  );
  return [...nets, ...strips];
};
