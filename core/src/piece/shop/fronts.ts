// µm, doll size. Fronts of shops: bays of display windows, awnings.
import type { Part } from '../../assembly/index.ts';
import { err, evenly, ok } from '../../kit/index.ts';
import { chordsOf, type Point, type Ring, rectRing, type Vec3 } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import { leaningBoard, leaningDepth } from '../parts/leaning.ts';
import { panel, type Space } from '../parts/panels.ts';
import { single } from '../parts/put.ts';
import { type PartsResult, paneOf, type ShopPlan } from './plan.ts';

/** Three upright boards or panes along the sides and the front of a floor whose sides run in: what slants stands turned about the upright. */
const threeSides = (plan: ShopPlan, id: string, y0: number, y1: number, made: ReturnType<typeof paneOf>): readonly Part[] => {
  const { width, depth, top: cant, piece } = plan;
  const t = made.one * made.layers;
  const length = Math.hypot(cant, depth);
  const [cos, sin] = [cant / length, depth / length];
  const rough = { role: 'panel', held: 'glue', grain: 'y', centres: [], length: null } as const;
  const front = panel(
    { x0: cant + t, x1: width - cant - t, y0, y1, z0: depth - t, z1: depth },
    { id: `${piece.id}/${id}-front`, role: 'panel', name: `${id} front`, shows: 'front' },
    made.board,
  );
  // The outer face runs from the back corner to the front one; it stops short where the front one begins.
  const stop = t + Math.ceil((t * cos) / sin) + 1;
  const long = Math.floor(length - stop - (t * cos) / sin);
  const lead = Math.ceil((t * cos) / sin);
  const cheek = (which: 'left' | 'right'): Part => {
    const left = which === 'left';
    const u: Vec3 = left ? [cos, 0, sin] : [cos, 0, -sin];
    const [ox, oz] = left ? [cos * lead, sin * lead] : [width - cos * (lead + long), sin * (lead + long)];
    // Outwards is to the left of the left one's run and to the right of the right one's.
    const n: Vec3 = left ? [-sin, 0, cos] : [sin, 0, cos];
    return {
      ...rough,
      id: `${piece.id}/${id}-${which}`,
      name: `${id} side`,
      stuff: made.stuff,
      stock: made.board,
      thickness: t,
      region: { outline: rectRing(0, 0, long, y1 - y0), holes: [] },
      pose: { origin: [ox - n[0] * t, y0, oz - n[2] * t], u, v: [0, 1, 0] },
    };
  };
  return [{ ...front, stuff: made.stuff, thickness: t }, cheek('left'), cheek('right')];
};

export const bay = (plan: ShopPlan): PartsResult => {
  const { piece, sheets, width, height, depth, low, top: cant, put } = plan;
  const { carcass, front } = sheets;
  const t = carcass.one;
  const s = single(carcass);
  const pane = paneOf({ ...plan, piece: { ...piece, glazing: piece.glazing === 'open' ? 'clear' : piece.glazing } });
  const board = { stuff: 'board', board: front.board, one: front.one, layers: 1 } as const;
  const thick = Math.max(board.one, pane.one * pane.layers);
  const problem =
    lack('the front between its slanting sides', width - 2 * cant, 6 * thick) ??
    lack('the sides before the wall', depth, 4 * thick + 2_000) ??
    lack('sides that run outwards rather than along', depth, cant * 0.7) ??
    lack('the window above its base', height - low, 3 * t + 2_000) ??
    lack('the base above the floor', low, t + 2_000);
  if (problem) return err(problem);
  // Seen from above, across to the right and along to the back.
  const plate: Ring =
    cant === 0
      ? rectRing(0, 0, width, depth)
      : [
          [cant, 0],
          [width - cant, 0],
          [width, depth],
          [0, depth],
        ];
  const level = (y0: number): Space => ({ x0: 0, x1: width, y0, y1: y0 + t, z0: 0, z1: depth });
  const parts = [
    ...threeSides(plan, 'base', 0, low - t, board),
    ...put('floor', ['bottom', 'window floor', 'up'], level(low - t), s, { outline: plate }),
    ...(piece.glazing === 'open' ? [] : threeSides(plan, 'window', low, height - t, pane)),
    ...put('roof', ['worktop', 'roof', 'up'], level(height - t), s, { outline: plate }),
    ...(piece.back || piece.glazing === 'open'
      ? put('back', ['back', 'back', 'front'], { x0: 2 * t + cant, x1: width - 2 * t - cant, y0: low, y1: height - t, z0: 0, z1: t }, s)
      : []),
  ];
  return ok({ parts, outside: [width, height, depth] });
};

/** A board whose lower edge hangs in so many round scallops. */
const scalloped = (width: number, height: number, count: number): Ring => {
  if (count === 0) return rectRing(0, 0, width, height);
  const arcs = evenly(0, width, count).flatMap(([from, to]): Ring => {
    const [middle, radius] = [(from + to) / 2, (to - from) / 2];
    const rise = Math.min(radius, height * 0.6);
    const half = chordsOf(radius) / 2;
    return Array.from({ length: half + 1 }, (_, index): Point => {
      const angle = Math.PI + (Math.PI * index) / half;
      return [Math.round(middle + radius * Math.cos(angle)), Math.round(rise + rise * Math.sin(angle))];
    });
  });
  const ring: Ring = [...arcs, [width, height], [0, height]];
  return ring.filter(([x, y], index) => {
    const [px, py] = ring[(index + ring.length - 1) % ring.length] as Point;
    return x !== px || y !== py;
  });
};

export const awning = (plan: ShopPlan): PartsResult => {
  const { piece, sheets, width, height, depth, doll, put } = plan;
  const { carcass, trim } = sheets;
  const t = carcass.one;
  const s = single(carcass);
  const hang = doll(piece.strip);
  const lip = trim.one;
  const pane = paneOf({ ...plan, piece: { ...piece, glazing: 'board' } });
  const problem =
    lack('the slope of the awning', height - hang, Math.max(0.4 * depth, 4 * t)) ??
    lack('the awning between its cheeks', width, 2 * t + 4_000) ??
    lack('the awning before the wall', depth, 4 * t + lip) ??
    lack('a valance that can be cut', hang, 1_500) ??
    lack('scallops side by side', width, piece.count * 2_500);
  if (problem) return err(problem);
  const cheek: Ring = [
    [0, 0],
    [depth, 0],
    [depth, height - hang],
  ];
  const cheeks = (['left', 'right'] as const).flatMap((which) => {
    const space: Space = {
      ...(which === 'left' ? { x0: 0, x1: t } : { x0: width - t, x1: width }),
      y0: hang,
      y1: height,
      z0: 0,
      z1: depth,
    };
    return put(`cheek-${which}`, ['side', 'cheek', 'right'], space, s, { outline: cheek });
  });
  const deep = leaningDepth(pane.one * pane.layers, height - hang, depth);
  const sheet = leaningBoard(
    { x0: t, x1: width - t, y0: hang, y1: height, z: depth - deep, lean: depth },
    { id: `${piece.id}/slope`, role: 'front', name: 'awning', stuff: pane.stuff },
    pane,
  );
  const outline = scalloped(width, hang, piece.count);
  const valance = put(
    'valance',
    ['rail', 'valance', 'front'],
    { x0: 0, x1: width, y0: 0, y1: hang, z0: depth - lip, z1: depth },
    single(trim),
    { outline },
  );
  // The upper edge of what slopes is cut level, and reaches behind the wall's face: it is shortened to end there.
  return ok({ parts: [...valance, ...cheeks, ...sheet.map((part) => shortened(part, deep, depth))], outside: [width, height, depth] });
};

/** A sloping board that would reach behind z = 0 above: cut so that its hidden face ends there. */
const shortened = (part: Part, deep: number, lean: number): Part => {
  const share = Math.max(0.2, 1 - deep / lean);
  const cut = (ring: Ring, low: number): Ring => ring.map(([x, y]): Point => [x, Math.round(low + (y - low) * (y > low + 1 ? share : 1))]);
  const lowest = (ring: Ring): number => Math.min(...ring.map(([, y]) => y));
  const [region, upper] = [part.region.outline, part.upper?.outline];
  return {
    ...part,
    region: { outline: cut(region, lowest(region)), holes: [] },
    ...(upper && { upper: { outline: cut(upper, lowest(upper)), holes: [] } }),
  };
};
