// µm, doll size. Where flat cloth comes to stand once it is sewn.
import { add, cross, type Point, scaled, toSpace, unit, type Vec3 } from '../shape/index.ts';
import { halfAngleOf, waveOf } from './arcs.ts';
import type { Bend, Patch } from './pattern.ts';

type Placer = (point: Point) => Vec3;

const rolled = ({ pose, radius }: Bend & { kind: 'roll' }): Placer => {
  const n = cross(pose.u, pose.v);
  return ([x, y]) => {
    const angle = x / radius;
    const across = scaled(pose.u, radius * Math.sin(angle));
    const up = scaled(n, radius * (1 - Math.cos(angle)));
    return add(add(pose.origin, scaled(pose.v, y)), add(across, up));
  };
};

/** Half of an arc of a filled cover: x or y from its middle, and how far it stands out there. */
const onArc = (length: number, sagitta: number, share: number): readonly [at: number, out: number] => {
  const half = halfAngleOf(length, sagitta);
  if (half === 0) return [(share * length) / 2, 0];
  const radius = length / (2 * half);
  return [radius * Math.sin(half * share), radius * (Math.cos(half * share) - Math.cos(half))];
};

/** The pose's origin is the middle. Rows keep their length: where it is filled they draw the sides in, and the corners stay out. */
const pillow = ({ pose, flat: [w, h], bulge }: Bend & { kind: 'pillow' }): Placer => {
  const n = cross(pose.u, pose.v);
  return ([x, y]) => {
    const [u, v] = [(2 * x) / w - 1, (2 * y) / h - 1];
    const [, middle] = onArc(h, bulge, v);
    const [across, out] = onArc(w, middle, u);
    const [, side] = onArc(w, bulge, u);
    const [up] = onArc(h, side, v);
    return add(add(pose.origin, scaled(n, out)), add(scaled(pose.u, across), scaled(pose.v, up)));
  };
};

const waved = ({ pose, flat, span, waves }: Bend & { kind: 'wave' }): Placer => {
  const n = cross(pose.u, pose.v);
  const [one, long] = [span / waves, flat / waves];
  const { amplitude, along } = waveOf(one, long);
  const steps = along.length - 1;
  const whole = along[steps] as number;
  return ([x, y]) => {
    const wave = Math.min(waves - 1, Math.max(0, Math.floor((x / flat) * waves)));
    const rest = Math.min(1, Math.max(0, (x - wave * long) / long)) * whole;
    let step = 0;
    while (step < steps - 1 && (along[step + 1] as number) < rest) step += 1;
    const [from, to] = [along[step] as number, along[step + 1] as number];
    const share = (step + (to > from ? (rest - from) / (to - from) : 0)) / steps;
    const across = scaled(pose.u, (wave + share) * one);
    return add(add(pose.origin, across), add(scaled(n, amplitude * Math.sin(2 * Math.PI * share)), scaled(pose.v, y)));
  };
};

/** A circle on a sphere, a quarter of a turn long, through the way down: what the free corner of a cloth hangs in. Its half angle is asin(¼). */
const TILT = Math.asin(0.25);

const DOWN: Vec3 = [0, -1, 0];

const cone = ({ apex, from, to, at, ways: [along, aside] }: Bend & { kind: 'cone' }): Placer => {
  const outwards = unit(add(along, aside));
  const axis = add(scaled(DOWN, Math.cos(TILT)), scaled(outwards, Math.sin(TILT)));
  const first = scaled(add(DOWN, scaled(axis, -Math.cos(TILT))), 1 / Math.sin(TILT));
  const second = unit(add(along, scaled(aside, -1)));
  const begins = Math.atan2(from[1], from[0]);
  const turns = Math.sign(from[0] * to[1] - from[1] * to[0]);
  return ([x, y]) => {
    const [dx, dy] = [x - apex[0], y - apex[1]];
    const away = Math.hypot(dx, dy);
    if (away === 0) return at;
    let angle = (Math.atan2(dy, dx) - begins) * turns;
    if (angle < -1e-9) angle += 2 * Math.PI;
    const way = add(
      scaled(axis, Math.cos(TILT)),
      add(scaled(first, Math.sin(TILT) * Math.cos(4 * angle)), scaled(second, Math.sin(TILT) * Math.sin(4 * angle))),
    );
    return add(at, scaled(way, away));
  };
};

/** How far a fluted edge stands out for its way round to be so long: between its narrowest and its widest. */
const fluteOf = (radius: number, length: number, folds: number): number => {
  const around = (out: number): number => {
    const steps = 24;
    let sum = 0;
    let last: readonly [number, number] = [radius, 0];
    for (let step = 1; step <= steps; step += 1) {
      const angle = (2 * Math.PI * step) / (steps * folds);
      const r = radius + (out / 2) * (1 - Math.cos((2 * Math.PI * step) / steps));
      const next = [r * Math.cos(angle), r * Math.sin(angle)] as const;
      sum += Math.hypot(next[0] - last[0], next[1] - last[1]);
      last = next;
    }
    return sum * folds;
  };
  let [low, high] = [0, length / 2];
  for (let step = 0; step < 40; step += 1) {
    const middle = (low + high) / 2;
    if (around(middle) < length) low = middle;
    else high = middle;
  }
  return low;
};

/** Where each of some levels of a fluted drop stands: how far down it is once its cloth has gone outwards too, and how far its folds stand out. */
const LEVELS = 12;

const fluted = ({ centre, at, radius, folds }: Bend & { kind: 'flute' }): Placer => {
  const known = new Map<number, number>();
  const out = (down: number): number => {
    const key = Math.round(down);
    const found = known.get(key) ?? fluteOf(radius, 2 * Math.PI * (radius + down), folds);
    known.set(key, found);
    return found;
  };
  return ([x, y]) => {
    const [dx, dy] = [x - centre[0], y - centre[1]];
    const away = Math.hypot(dx, dy);
    const angle = Math.atan2(dy, dx);
    const down = away - radius;
    if (down <= 0) return add(at, [dx, 0, -dy]);
    const share = (1 - Math.cos(folds * angle)) / 2;
    // The cloth goes outwards as it goes down: along each of its threads it is as long as it lay flat.
    let [level, r, low] = [0, radius, 0];
    for (let step = 1; step <= LEVELS; step += 1) {
      const next = (down * step) / LEVELS;
      const wide = radius + out(next) * share;
      low += Math.sqrt(Math.max(0, (next - level) ** 2 - (wide - r) ** 2));
      [level, r] = [next, wide];
    }
    return add(at, [r * Math.cos(angle), -low, -r * Math.sin(angle)]);
  };
};

const ringed = ({ at, radius, tube, squash }: Bend & { kind: 'torus' }): Placer => {
  return ([x, y]) => {
    const [round, across] = [x / radius, y / tube];
    const r = radius + tube * Math.cos(across);
    return add(at, [r * Math.cos(round), tube * squash * Math.sin(across), -r * Math.sin(round)]);
  };
};

/** Brings points of a flat piece to where they stand once it is sewn. */
export const placerOf = (bend: Bend): Placer => {
  switch (bend.kind) {
    case 'plane':
      return (point) => toSpace(bend.pose, point);
    case 'roll':
      return rolled(bend);
    case 'pillow':
      return pillow(bend);
    case 'wave':
      return waved(bend);
    case 'cone':
      return cone(bend);
    case 'flute':
      return fluted(bend);
    case 'torus':
      return ringed(bend);
  }
};

/** A patch as it is drawn: corners flat and in space, and the triangles between them. */
export type Mesh = {
  readonly flat: readonly Point[];
  readonly space: readonly Vec3[];
  readonly triangles: readonly (readonly [number, number, number])[];
};

/** A mesh over a patch: a grid over a rectangle, rings round the middle of everything else that is convex. */
export const meshOf = ({ ring, bend, fine: [across, up], rings = [] }: Patch): Mesh => {
  const place = placerOf(bend);
  const flat: Point[] = [];
  const triangles: [number, number, number][] = [];
  if (ring.length === 4) {
    const [a, b, c, d] = ring as unknown as readonly [Point, Point, Point, Point];
    for (let row = 0; row <= up; row += 1)
      for (let column = 0; column <= across; column += 1) {
        const [s, t] = [column / across, row / up];
        const mix = (axis: 0 | 1): number => (a[axis] * (1 - s) + b[axis] * s) * (1 - t) + (d[axis] * (1 - s) + c[axis] * s) * t;
        flat.push([mix(0), mix(1)]);
      }
    for (let row = 0; row < up; row += 1)
      for (let column = 0; column < across; column += 1) {
        const at = row * (across + 1) + column;
        triangles.push([at, at + 1, at + across + 2], [at, at + across + 2, at + across + 1]);
      }
  } else {
    const n = ring.length;
    const middle: Point = [ring.reduce((sum, [x]) => sum + x, 0) / n, ring.reduce((sum, [, y]) => sum + y, 0) / n];
    flat.push(middle);
    const shares = [...new Set([...rings, ...Array.from({ length: up }, (_, step) => (step + 1) / up)])].sort((a, b) => a - b);
    for (const share of shares)
      for (const [x, y] of ring) flat.push([middle[0] + (x - middle[0]) * share, middle[1] + (y - middle[1]) * share]);
    for (let index = 0; index < n; index += 1) {
      const next = (index + 1) % n;
      triangles.push([0, 1 + index, 1 + next]);
      for (let step = 1; step < shares.length; step += 1) {
        const [inner, outer] = [1 + (step - 1) * n, 1 + step * n];
        triangles.push([inner + index, outer + index, outer + next], [inner + index, outer + next, inner + next]);
      }
    }
  }
  return { flat, space: flat.map(place), triangles };
};
