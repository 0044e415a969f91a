// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { type Ring, rectRing } from '../../shape/index.ts';
import { bodyHeight, type Means, sheetsFor } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Built, SizeMark } from '../parts/built.ts';
import type { Space } from '../parts/panels.ts';
import { putFor, single } from '../parts/put.ts';
import { awning, bay } from './fronts.ts';
import { type PartsResult, paneOf, type ShopPlan, slope } from './plan.ts';
import { SHOP_ROLES, type Shop, type ShopForm } from './shop.ts';

const counter = (plan: ShopPlan): PartsResult => {
  const { piece, sheets, width, height, depth, low, top, put } = plan;
  const { carcass } = sheets;
  const t = carcass.one;
  const s = single(carcass);
  const y1 = height - t;
  const pane = paneOf(plan);
  const deep = pane.one * pane.layers * (Math.hypot(y1 - low, depth - top) / Math.max(1, y1 - low));
  const problem =
    lack('the slope between its low front and its top', y1 - low, Math.max(3 * t, (depth - top) * 0.5)) ??
    lack('the low front above the floor', low, 3 * t) ??
    lack('the top before the back', top, 2 * t + deep) ??
    lack('the slope from the front to the top', depth, top) ??
    lack('the counter between its sides', width, 4 * t + 4_000);
  if (problem) return err(problem);
  // Seen from the right, across runs from the front to the back.
  const cheek: Ring = [
    [0, 0],
    [depth, 0],
    [depth, y1],
    [depth - top, y1],
    [0, low],
  ];
  const cheeks = (['left', 'right'] as const).flatMap((which) => {
    const space: Space = { ...(which === 'left' ? { x0: 0, x1: t } : { x0: width - t, x1: width }), y0: 0, y1, z0: 0, z1: depth };
    return put(`cheek-${which}`, [which === 'left' ? 'side' : 'last side', 'side', 'right'], space, s, {
      outline: top === depth ? cheek.filter((_, index) => index !== 3) : cheek,
    });
  });
  const inside: Space = { x0: t, x1: width - t, y0: 0, y1, z0: piece.back ? t : 0, z1: depth };
  const parts = [
    ...put('bottom', ['bottom', 'bottom', 'up'], { ...inside, y1: t, z0: 0 }, s),
    ...cheeks,
    ...put('low-front', ['rail', 'low front', 'front'], { ...inside, y0: t, y1: low, z0: depth - t }, s),
    ...put('shelf', ['shelf', 'display shelf', 'up'], { ...inside, y0: low - t, y1: low, z1: depth - t }, s),
    ...(piece.back ? put('back', ['back', 'back', 'front'], { ...inside, y0: t, z0: 0, z1: t }, s) : []),
    ...(piece.glazing === 'open' ? [] : slope(plan, t, width - t, low, y1, top, depth)),
    ...put('top', ['worktop', 'top', 'up'], { x0: 0, x1: width, y0: y1, y1: height, z0: 0, z1: top }, s),
  ];
  return ok({ parts, outside: [width, height, depth] });
};

const pillar = ({ piece, sheets, width, height, depth, top: out, doll, put }: ShopPlan): PartsResult => {
  const { carcass, trim } = sheets;
  const t = carcass.one;
  const s = single(carcass);
  const strip = doll(piece.strip);
  const [foot, face] = [carcass.thickness, trim.one];
  // The strips stand out from the core, the foot and head beyond those.
  const edge = Math.max(out, face);
  const core: Space = { x0: edge, x1: width - edge, y0: foot, y1: height - foot, z0: edge, z1: depth - edge };
  const problem =
    lack('the core within its foot', Math.min(core.x1 - core.x0, core.z1 - core.z0), 2 * t + 2_000) ??
    lack('the pillar between foot and head', height, 2 * foot + 4_000) ??
    lack('strips side by side', core.x1 - core.x0, piece.count * (strip + 200)) ??
    lack('strips before and behind', core.z1 - core.z0, piece.count * (strip + 200)) ??
    lack('a strip that can be cut', strip, 500);
  if (problem) return err(problem);
  const between: Space = { ...core, z0: core.z0 + t, z1: core.z1 - t };
  const at = (from: number, to: number): readonly number[] => {
    const gap = (to - from - piece.count * strip) / (piece.count + 1);
    return Array.from({ length: piece.count }, (_, index) => Math.round(from + (index + 1) * gap + index * strip));
  };
  const strips = [
    ...at(core.x0, core.x1).flatMap((x0, index) =>
      put(
        `strip-front-${index}`,
        ['border', 'strip', 'front'],
        { ...core, x0, x1: x0 + strip, z0: core.z1, z1: core.z1 + face },
        single(trim),
      ),
    ),
    ...(['left', 'right'] as const).flatMap((which) =>
      at(core.z0, core.z1).flatMap((z0, index) =>
        put(
          `strip-${which}-${index}`,
          ['border', 'strip', which],
          {
            ...core,
            ...(which === 'left' ? { x0: core.x0 - face, x1: core.x0 } : { x0: core.x1, x1: core.x1 + face }),
            z0,
            z1: z0 + strip,
          },
          single(trim),
        ),
      ),
    ),
  ];
  const whole: Space = { x0: 0, x1: width, y0: 0, y1: foot, z0: 0, z1: depth };
  const parts = [
    ...put('foot', ['bottom', 'foot', 'up'], whole, carcass),
    ...put('back', ['back', 'back', 'front'], { ...core, z1: core.z0 + t }, s),
    ...put('left', ['side', 'side', 'right'], { ...between, x1: core.x0 + t }, s),
    ...put('right', ['side', 'side', 'left'], { ...between, x0: core.x1 - t }, s),
    ...put('front', ['front', 'front', 'front'], { ...core, z0: core.z1 - t }, s),
    ...strips,
    ...put('head', ['worktop', 'head', 'up'], { ...whole, y0: height - foot, y1: height }, carcass),
  ];
  return ok({ parts, outside: [width, height, depth] });
};

const stand = ({ piece, sheets, width, height, depth, doll, put }: ShopPlan): PartsResult => {
  const { carcass, front } = sheets;
  const [t, thick] = [carcass.thickness, front.thickness];
  const count = Math.max(1, piece.count);
  const play = piece.play;
  const slot = thick + play;
  const wide = Math.round(Math.min(width * 0.5, width - 4 * thick));
  const high = Math.min(doll(piece.strip), height - t);
  const each = depth / count;
  const problem =
    lack('the slots one behind the other', depth, count * (slot + 2 * thick)) ??
    lack('the tabs between the ends of the board', width, 4 * thick + 4 * play + 2_000) ??
    lack('what stands above the board', height - t, Math.max(high, 1_500)) ??
    lack('a tab that is wider than its play', wide, 4 * play + 2_000);
  if (problem) return err(problem);
  const x0 = Math.round((width - wide) / 2);
  const places = Array.from({ length: count }, (_, index) => Math.round((index + 0.5) * each - slot / 2));
  // Seen from above: along runs from the front to the back.
  const holes = places.map((z): Ring => [...rectRing(x0, depth - z - slot, x0 + wide, depth - z)].reverse());
  const base = put('base', ['bottom', 'board with slots', 'up'], { x0: 0, x1: width, y0: 0, y1: t, z0: 0, z1: depth }, carcass, { holes });
  const half = Math.round(play / 2);
  const ring: Ring = [
    [x0 + half, 0],
    [x0 + wide - (play - half), 0],
    [x0 + wide - (play - half), t],
    [width, t],
    [width, height],
    [0, height],
    [0, t],
    [x0 + half, t],
  ];
  const boards = places.flatMap((z, index) =>
    put(
      `card-${index}`,
      ['panel', 'board in its slot', 'front'],
      { x0: 0, x1: width, y0: 0, y1: height, z0: z + half, z1: z + half + thick },
      front,
      { outline: ring },
    ),
  );
  return ok({ parts: [...base, ...boards], outside: [width, height, depth] });
};

const BUILD: Readonly<Record<ShopForm, (plan: ShopPlan) => PartsResult>> = { counter, pillar, bay, awning, stand };

/** Builds a fitting of a shop.
 *  Shape: piece, means → parts; slopes are cut level where they stand and lie between their sides. Errors: 'does-not-fit' for slopes, strips, slots. */
export const buildShop = (piece: Shop, means: Means): Result<Built, PieceProblem> => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const plan: ShopPlan = {
    piece,
    sheets: sheetsFor(piece, SHOP_ROLES, means),
    width: doll(piece.width),
    height: bodyHeight(piece.height, piece.bodyScale, means),
    depth: doll(piece.depth),
    low: doll(piece.low),
    top: doll(piece.top),
    doll,
    put: putFor(piece.id),
  };
  const drawn = BUILD[piece.form](plan);
  if (!drawn.ok) return drawn;
  const { parts, outside } = drawn.value;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  const marks: SizeMark[] = [
    ...(piece.form === 'counter' || piece.form === 'bay'
      ? [{ path: ['low'], sight: 'side', way: 'up', from: 0, to: plan.low, at: outside[2] } as const]
      : []),
  ];
  return ok({ assembly: { parts, outside: { min: [0, 0, 0], max: outside }, clear, motions: [] }, bays: [], openings: [], marks });
};
