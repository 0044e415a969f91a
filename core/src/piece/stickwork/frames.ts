// µm, doll size. What stands square: fences, cots, shelves, racks for plates.
import type { Part } from '../../assembly/index.ts';
import { err, ok } from '../../kit/index.ts';
import { ellipseRing, type Point, type Ring } from '../../shape/index.ts';
import { lack, unless } from '../family/problem.ts';
import { evenSlats } from '../parts/evenSlats.ts';
import { layered, roundIn, type Space, stickIn } from '../parts/panels.ts';
import { inRow, kind, type PartsResult, type StickworkPlan } from './plan.ts';

/** Something upright with a section of its own on a spot: a stick, round or not. */
const upright = (plan: StickworkPlan, x: number, z: number, y0: number, y1: number, id: string, name: string): Part => {
  const [stick, section] = [plan.piece.slat, plan.slat];
  const [w, d] = [Math.round(section.width / 2), Math.round(section.thickness / 2)];
  const space: Space = { x0: x - w, x1: x - w + section.width, y0, y1, z0: z - d, z1: z - d + section.thickness };
  const r = section.width / 2;
  return section.section === 'round'
    ? roundIn(space, { ...kind(plan, id, 'slat', name), shows: 'up' }, ellipseRing(r, r, r), {
        stuff: 'stick',
        stock: stick,
        length: y1 - y0,
      })
    : stickIn(space, { ...kind(plan, id, 'slat', name), shows: 'front' }, stick);
};

/** Posts, rails across them, slats across those: each glued flat on the one behind. */
export const fence = (plan: StickworkPlan): PartsResult => {
  const { piece, width, height, post, rail, slat, gap, low } = plan;
  const posts = Math.max(2, Math.ceil(width / (8 * height)) + 1);
  const problem =
    lack('posts side by side', width, posts * post.width + 2_000) ??
    lack('the rails on the posts', height - low, piece.count * (rail.width + 1_000)) ??
    lack('a post above its lowest rail', height, low + rail.width) ??
    lack('slats side by side', width, 2 * slat.width) ??
    unless('slats with a flat side', slat.section !== 'round');
  if (problem) return err(problem);
  const [back, mid] = [post.thickness, post.thickness + rail.thickness];
  const levels = inRow(low, height - (piece.count > 1 ? Math.round(low / 2) : 0), piece.count, rail.width);
  const { count, gap: true_ } = evenSlats(width, slat.width, gap);
  const parts = [
    ...inRow(0, width, posts, post.width).map((x, index) => {
      const x0 = x - Math.round(post.width / 2);
      const space = { x0, x1: x0 + post.width, y0: 0, y1: height, z0: 0, z1: back };
      return stickIn(space, { ...kind(plan, `post-${index}`, 'post', 'post'), shows: 'front' }, piece.post);
    }),
    ...levels.map((y, index) => {
      const y0 = y - Math.round(rail.width / 2);
      const space = { x0: 0, x1: width, y0, y1: y0 + rail.width, z0: back, z1: mid };
      return stickIn(space, { ...kind(plan, `rail-${index}`, 'rail', 'rail'), shows: 'front' }, piece.rail);
    }),
    ...Array.from({ length: count }, (_, index) => {
      const x = Math.round((index + 1) * true_ + index * slat.width + slat.width / 2);
      return upright(plan, x, mid + Math.round(slat.thickness / 2), 0, height, `slat-${index}`, 'slat');
    }),
  ];
  return ok({ parts, outside: [width, height, count > 0 ? mid + slat.thickness : mid] });
};

/** The board that a mattress lies on, its corners cut out for the posts. */
const notched = (width: number, depth: number, x: number, z: number): Ring =>
  x <= 0 || z <= 0
    ? [
        [0, 0],
        [width, 0],
        [width, depth],
        [0, depth],
      ]
    : ([
        [x, 0],
        [width - x, 0],
        [width - x, z],
        [width, z],
        [width, depth - z],
        [width - x, depth - z],
        [width - x, depth],
        [x, depth],
        [x, depth - z],
        [0, depth - z],
        [0, z],
        [x, z],
      ] as readonly Point[]);

/** Four posts, long and short rails between them above and below, slats between those, a board within. */
export const cot = (plan: StickworkPlan): PartsResult => {
  const { piece, width, height, depth, post, rail, slat, gap, low, sheets } = plan;
  const base = sheets.base.thickness;
  const upper = height - rail.width;
  const problem =
    lack('long rails between their posts', width, 2 * post.width + 10_000) ??
    lack('short rails between their posts', depth, 2 * post.thickness + 10_000) ??
    lack('the rails on their posts', Math.min(post.width, post.thickness), rail.thickness) ??
    lack('slats between rails', Math.min(rail.thickness, rail.width), Math.max(slat.thickness, slat.section === 'flat' ? 0 : slat.width)) ??
    lack('the upper rails above the lower', upper - low, rail.width + Math.max(2_000, base)) ??
    lack('the board within its rails', rail.width, base);
  if (problem) return err(problem);
  const corners = (['left', 'right'] as const).flatMap((x) => (['back', 'front'] as const).map((z) => ({ x, z })));
  const posts = corners.map(({ x, z }) => {
    const space = {
      ...(x === 'left' ? { x0: 0, x1: post.width } : { x0: width - post.width, x1: width }),
      ...(z === 'back' ? { z0: 0, z1: post.thickness } : { z0: depth - post.thickness, z1: depth }),
      y0: 0,
      y1: height,
    };
    return stickIn(space, { ...kind(plan, `post-${x}-${z}`, 'post', 'post'), shows: 'right' }, piece.post);
  });
  const sides = (['back', 'front', 'left', 'right'] as const).flatMap((which): readonly Part[] => {
    const long = which === 'back' || which === 'front';
    const far = which === 'front' || which === 'right';
    const [from, to] = long ? [post.width, width - post.width] : [post.thickness, depth - post.thickness];
    const [near, beyond] = far ? [(long ? depth : width) - rail.thickness, long ? depth : width] : [0, rail.thickness];
    const place = (a0: number, a1: number, y0: number, y1: number, b0: number, b1: number): Space =>
      long ? { x0: a0, x1: a1, y0, y1, z0: b0, z1: b1 } : { x0: b0, x1: b1, y0, y1, z0: a0, z1: a1 };
    const railAt = (y0: number, word: string): Part =>
      stickIn(
        place(from, to, y0, y0 + rail.width, near, beyond),
        { ...kind(plan, `rail-${which}-${word}`, 'rail', `${long ? 'long' : 'short'} rail`), shows: long ? 'front' : 'right' },
        piece.rail,
      );
    const lower = railAt(low, 'low');
    if (which === 'front' && piece.front === 'open') return [lower];
    const { count, gap: true_ } = evenSlats(to - from, slat.width, gap);
    const middle = (near + beyond) / 2;
    const slats = Array.from({ length: count }, (_, index): Part => {
      const at = Math.round(from + (index + 1) * true_ + index * slat.width);
      const id = `slat-${which}-${index}`;
      if (slat.section === 'round') {
        const [x, z] = long ? [at + slat.width / 2, middle] : [middle, at + slat.width / 2];
        return upright(plan, Math.round(x), Math.round(z), low + rail.width, upper, id, 'slat');
      }
      const b0 = Math.round(middle - slat.thickness / 2);
      const space = place(at, at + slat.width, low + rail.width, upper, b0, b0 + slat.thickness);
      return stickIn(space, { ...kind(plan, id, 'slat', 'slat'), shows: long ? 'front' : 'right' }, piece.slat);
    });
    return [lower, ...slats, railAt(upper, 'top')];
  });
  const inner: Space = {
    x0: rail.thickness,
    x1: width - rail.thickness,
    y0: low,
    y1: low + base,
    z0: rail.thickness,
    z1: depth - rail.thickness,
  };
  const outline = notched(inner.x1 - inner.x0, inner.z1 - inner.z0, post.width - rail.thickness, post.thickness - rail.thickness);
  const board = layered(inner, { ...kind(plan, 'base', 'bottom', 'cot base'), shows: 'up', outline }, sheets.base);
  return ok({ parts: [...posts, ...board, ...sides], outside: [width, height, depth] });
};

/** Two uprights on either side, shelves of sticks side by side and on one another between them. */
export const shelves = (plan: StickworkPlan): PartsResult => {
  const { piece, width, height, post, rail, low } = plan;
  const clear = plan.doll(piece.clear);
  const thick = piece.layers * rail.thickness;
  const rows = Math.max(1, Math.round(plan.depth / rail.width));
  const depth = rows * rail.width;
  const uprights = Math.max(1, Math.floor(depth / post.width));
  const need = low + piece.count * thick + (piece.count - 1) * clear;
  const problem =
    lack('shelves between their uprights', width, 2 * post.thickness + 5_000) ??
    lack('the shelves above one another', height, need) ??
    lack('an upright within the depth', depth, post.width);
  if (problem) return err(problem);
  const ups = (['left', 'right'] as const).flatMap((sideWord) =>
    inRow(0, depth, uprights, post.width).map((z, index) => {
      const z0 = z - Math.round(post.width / 2);
      const space = {
        ...(sideWord === 'left' ? { x0: 0, x1: post.thickness } : { x0: width - post.thickness, x1: width }),
        y0: 0,
        y1: height,
        z0,
        z1: z0 + post.width,
      };
      const role = sideWord === 'left' ? 'side' : 'last side';
      return stickIn(space, { ...kind(plan, `upright-${sideWord}-${index}`, role, 'upright'), shows: 'right' }, piece.post);
    }),
  );
  const boards = Array.from({ length: piece.count }, (_, number) => low + number * (thick + clear)).flatMap((y0, number) =>
    Array.from({ length: rows }, (_, row) =>
      Array.from({ length: piece.layers }, (__, layer) => {
        const space = {
          x0: post.thickness,
          x1: width - post.thickness,
          y0: y0 + layer * rail.thickness,
          y1: y0 + (layer + 1) * rail.thickness,
          z0: row * rail.width,
          z1: (row + 1) * rail.width,
        };
        return stickIn(space, { ...kind(plan, `shelf-${number}-${row}-${layer}`, 'shelf', 'shelf stick'), shows: 'up' }, piece.rail);
      }),
    ).flat(),
  );
  return ok({ parts: [...ups, ...boards], outside: [width, height, depth] });
};

/** Two rails with pegs upright on them, between which plates stand, and ties between the rails. */
export const plateRack = (plan: StickworkPlan): PartsResult => {
  const { piece, width, height, depth, rail, slat, gap } = plan;
  const problem =
    lack('the rails one behind the other', depth, 2 * rail.width + 5_000) ??
    lack('the pegs above the rails', height, rail.thickness + 2_000) ??
    lack('pegs on their rail', rail.width, slat.section === 'round' ? slat.width : slat.thickness) ??
    lack('pegs side by side', width, 3 * slat.width + 2 * rail.width);
  if (problem) return err(problem);
  const { count, gap: true_ } = evenSlats(width, slat.width, gap);
  const tie = (sideWord: 'left' | 'right'): Part =>
    stickIn(
      {
        ...(sideWord === 'left' ? { x0: 0, x1: rail.width } : { x0: width - rail.width, x1: width }),
        y0: 0,
        y1: rail.thickness,
        z0: rail.width,
        z1: depth - rail.width,
      },
      { ...kind(plan, `tie-${sideWord}`, 'rail', 'tie'), shows: 'up' },
      piece.rail,
    );
  const rails = (['back', 'front'] as const).flatMap((which) => {
    const z0 = which === 'back' ? 0 : depth - rail.width;
    const space = { x0: 0, x1: width, y0: 0, y1: rail.thickness, z0, z1: z0 + rail.width };
    const pegs = Array.from({ length: Math.max(2, count) }, (_, index) => {
      const x = Math.round((index + 1) * true_ + index * slat.width + slat.width / 2);
      return upright(plan, x, z0 + Math.round(rail.width / 2), rail.thickness, height, `peg-${which}-${index}`, 'peg');
    });
    return [stickIn(space, { ...kind(plan, `rail-${which}`, 'bottom', 'rail'), shows: 'up' }, piece.rail), ...(count < 2 ? [] : pegs)];
  });
  return ok({ parts: [...rails, tie('left'), tie('right')], outside: [width, count < 2 ? rail.thickness : height, depth] });
};
