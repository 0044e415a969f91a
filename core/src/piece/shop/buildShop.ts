// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { chordsOf, type Point, type Ring, rectRing, type Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import type { Built, SizeMark } from '../kit/built.ts';
import { leaningBoard, leaningDepth } from '../kit/leaning.ts';
import { bodyOf, type Means, type Sheeting, sheetsFor } from '../kit/means.ts';
import { panel, type Space } from '../kit/panels.ts';
import { evenly } from '../kit/parts.ts';
import { lack, type PieceProblem } from '../kit/problem.ts';
import { type Put, putFor, single } from '../kit/put.ts';
import { SHOP_ROLES, type Shop, type ShopForm, type ShopRole } from './shop.ts';

type Plan = {
  readonly piece: Shop;
  readonly sheets: Readonly<Record<ShopRole, Sheeting>>;
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  readonly low: number;
  readonly top: number;
  readonly doll: (measure: Measure) => number;
  readonly put: Put;
};

type Drawn = Result<{ readonly parts: readonly Part[]; readonly outside: Vec3 }, PieceProblem>;

/** What a sloping or upright pane is made of: clear sheet, or the front's board. */
const paneOf = ({
  piece,
  sheets,
}: Plan): { readonly stuff: Part['stuff']; readonly board: string; readonly one: number; readonly layers: number } =>
  piece.glazing === 'clear'
    ? { stuff: 'clear', board: CLEAR_SHEET.name, one: CLEAR_SHEET.thickness, layers: 1 }
    : { stuff: 'board', board: sheets.front.board, one: sheets.front.one, layers: sheets.front.layers };

/** A pane that slopes from the front below to the top's edge above, between two cheeks; its front lies in their slope. */
const slope = (plan: Plan, x0: number, x1: number, y0: number, y1: number, z0: number, z1: number): readonly Part[] => {
  const pane = paneOf(plan);
  const deep = leaningDepth(pane.one * pane.layers, y1 - y0, z1 - z0);
  return leaningBoard(
    { x0, x1, y0, y1, z: z1 - deep, lean: z1 - z0 },
    { id: `${plan.piece.id}/slope`, role: 'front', name: 'sloping front', stuff: pane.stuff },
    pane,
  );
};

const counter = (plan: Plan): Drawn => {
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

const pillar = ({ piece, sheets, width, height, depth, top: out, doll, put }: Plan): Drawn => {
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

/** Three upright boards or panes along the sides and the front of a floor whose sides run in: what slants stands turned about the upright. */
const threeSides = (plan: Plan, id: string, y0: number, y1: number, made: ReturnType<typeof paneOf>): readonly Part[] => {
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

const bay = (plan: Plan): Drawn => {
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

const awning = (plan: Plan): Drawn => {
  const { piece, sheets, width, height, depth, doll, put } = plan;
  const { carcass, trim } = sheets;
  const t = carcass.one;
  const s = single(carcass);
  const hang = doll(piece.strip);
  const lip = trim.one;
  const pane = {
    ...paneOf(plan),
    ...(piece.glazing === 'open' ? { stuff: 'board' as const, board: sheets.front.board, one: sheets.front.one } : {}),
  };
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

const stand = ({ piece, sheets, width, height, depth, doll, put }: Plan): Drawn => {
  const { carcass, front } = sheets;
  const [t, thick] = [carcass.thickness, front.thickness];
  const count = Math.max(1, piece.count);
  const play = piece.play;
  const slot = thick + play;
  const wide = Math.round(width * 0.5);
  const high = Math.min(doll(piece.strip), height - t);
  const each = depth / count;
  const problem =
    lack('the slots one behind the other', depth, count * (slot + 3 * thick)) ??
    lack('the tabs between the ends of the board', width, wide + 4 * thick) ??
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

const BUILD: Readonly<Record<ShopForm, (plan: Plan) => Drawn>> = { counter, pillar, bay, awning, stand };

/** Builds a fitting of a shop.
 *  Shape: piece, means → parts; slopes are cut level where they stand and lie between their sides. Errors: 'does-not-fit' for slopes, strips, slots. */
export const buildShop = (piece: Shop, means: Means): Result<Built, PieceProblem> => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const plan: Plan = {
    piece,
    sheets: sheetsFor(piece, SHOP_ROLES, means),
    width: doll(piece.width),
    height: bodyOf(piece.height, piece.school, means),
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
