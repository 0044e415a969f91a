// What a piece wears as triangles and pictures, for the model. Triangles in millimetres, pictures from the very patterns that are printed.
import type { Assembly } from '@parlor/core/assembly';
import { artOn, type Covering, fitOn, type Iso, inSpace, type Look, moveBy, poseOfSide, type Surface, type Wear } from '@parlor/core/cover';
import {
  common,
  cross,
  mapVec,
  minus,
  normalOf,
  type Point,
  type Rect,
  type Region,
  toSpace,
  trianglesOf,
  unit,
  type Vec3,
} from '@parlor/core/shape';
import { drawLook } from './lookCanvas.ts';

/** One finish on one face. */
export type WornCloth = {
  readonly part: number;
  readonly positions: Float32Array;
  readonly uvs: Float32Array;
  readonly canvas: HTMLCanvasElement | null;
  readonly colour: string;
};

/** So far before its face: the thickness of paper, in µm. */
const BEFORE = 100;

type Corner = { readonly at: Vec3; readonly pattern: Point };

const flatCorners = (surface: Surface, art: Iso): readonly Corner[] =>
  surface.exposed.flatMap((region) =>
    trianglesOf(region)
      .flat()
      .map((point) => ({ at: toSpace(surface.pose, point, BEFORE), pattern: moveBy(art, point) })),
  );

/** What was unrolled, plane stretch by stretch as it goes round again. */
const rolledCorners = (surface: Surface, { parts }: Assembly, art: Iso): readonly Corner[] => {
  const part = parts[surface.part];
  const quads = surface.run?.quads ?? [];
  const whole = surface.exposed.length === 1 && surface.exposed[0] === surface.region;
  if (!part) return [];
  return quads.flatMap(({ flat, space: [a, b, c, d] }) => {
    const out = unit(cross(minus(c, a), minus(d, b)));
    const stretch: Region = { outline: flat.map(([x, y]): Point => [Math.round(x), Math.round(y)]), holes: [] };
    const shown = whole ? [stretch] : common(stretch, surface.exposed);
    return shown.flatMap((region) =>
      trianglesOf(region)
        .flat()
        .map((point) => ({
          at: mapVec(inSpace(surface, part, point), (value, axis) => value + out[axis] * BEFORE),
          pattern: moveBy(art, point),
        })),
    );
  });
};

/** A bent edge, side by side. */
const bentCorners = (surface: Surface, assembly: Assembly, art: Iso): readonly Corner[] => {
  const part = assembly.parts[surface.part];
  const { run } = surface;
  if (!part || !run) return [];
  if (run.quads) return rolledCorners(surface, assembly, art);
  const xs: number[] = [0];
  run.points.slice(1).forEach(([x, y], index) => {
    const [px, py] = run.points[index] as Point;
    xs.push((xs.at(-1) as number) + Math.hypot(x - px, y - py));
  });
  return surface.exposed.flatMap(({ outline }: Region) => {
    const [low, high] = [Math.min(...outline.map(([x]) => x)), Math.max(...outline.map(([x]) => x))];
    const [bottom, top] = [Math.min(...outline.map(([, y]) => y)), Math.max(...outline.map(([, y]) => y))];
    return xs.slice(1).flatMap((to, index) => {
      const from = xs[index] as number;
      if (to <= low || from >= high) return [];
      const [a, b] = [Math.max(from, low), Math.min(to, high)];
      const [p, q] = [run.points[index] as Point, run.points[index + 1] as Point];
      const out = normalOf(poseOfSide(part.pose, p, q));
      const corner = (point: Point): Corner => ({
        at: mapVec(inSpace(surface, part, point), (value, axis) => value + out[axis] * BEFORE),
        pattern: moveBy(art, point),
      });
      const [lowA, lowB, highB, highA] = [corner([a, bottom]), corner([b, bottom]), corner([b, top]), corner([a, top])];
      return [lowA, lowB, highB, lowA, highB, highA];
    });
  });
};

type Dressed = { readonly surface: Surface; readonly wear: Wear; readonly corners: readonly Corner[]; readonly fit: Rect };

const around = (corners: readonly Corner[], grown: Rect | undefined): Rect => {
  let { x0, y0, x1, y1 } = grown ?? { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };
  for (const { pattern } of corners) {
    x0 = Math.min(x0, pattern[0]);
    x1 = Math.max(x1, pattern[0]);
    y0 = Math.min(y0, pattern[1]);
    y1 = Math.max(y1, pattern[1]);
  }
  return { x0, y0, x1, y1 };
};

/** A graphics card takes pictures of this many pixels a side; this many to the millimetre is what an eye sees on a screen. */
const MOST = 2048;
const FINE = 6;

const pictureOf = (look: Look, window: Rect, fit: Rect): HTMLCanvasElement => {
  const [width, height] = [(window.x1 - window.x0) / 1000, (window.y1 - window.y0) / 1000];
  const scale = Math.min(FINE, MOST / Math.max(width, height, 1));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  drawLook(canvas, look, window, fit);
  return canvas;
};

/** Pictures of looks that were drawn already, with the part of the pattern that each shows: a face more is dressed from what is there. */
const drawn = new WeakMap<Look, { readonly window: Rect; readonly canvas: HTMLCanvasElement; readonly came: number }>();

const covers = (outer: Rect, inner: Rect): boolean =>
  outer.x0 <= inner.x0 && outer.y0 <= inner.y0 && outer.x1 >= inner.x1 && outer.y1 >= inner.y1;

/** A look drawn over a window at least. */
const sharedPicture = (look: Look, window: Rect, came: number): { readonly window: Rect; readonly canvas: HTMLCanvasElement } => {
  const known = drawn.get(look);
  if (known && known.came === came && covers(known.window, window)) return known;
  const made = { window, canvas: pictureOf(look, window, window), came };
  drawn.set(look, made);
  return made;
};

/** The clothes of a piece. Shape: what covers it and the looks of its finishes → a cloth for each face that wears something. Faces that wear the
 *  same share one picture, as large as the part of the pattern that they show. `came` counts the maker's own pictures that have come. */
export const clothesOf = (
  assembly: Assembly,
  { surfaces, worn }: Pick<Covering, 'surfaces' | 'worn'>,
  looks: ReadonlyMap<string, Look>,
  came: number,
): readonly WornCloth[] => {
  const dressed = surfaces.flatMap((surface, index): readonly Dressed[] => {
    const wear = worn[index];
    const part = assembly.parts[surface.part];
    if (!wear?.finish || !part || !looks.has(wear.finish)) return [];
    const art = artOn(surface, part, wear, assembly.outside);
    const bent = surface.run !== null && surface.run.points.length > 2;
    return [{ surface, wear, corners: bent ? bentCorners(surface, assembly, art) : flatCorners(surface, art), fit: fitOn(surface, art) }];
  });
  // What is fitted to a face has a picture of its own for each; everything else shares one for each finish.
  const keyOf = ({ wear }: Dressed, index: number): string => {
    const look = looks.get(wear.finish ?? '');
    const fitted = look?.kind === 'sign' || (look?.kind === 'picture' && look.width === null);
    return fitted ? `${wear.finish} ${index}` : (wear.finish ?? '');
  };
  const shown = dressed.filter(({ corners }) => corners.length > 0);
  const windows = new Map<string, Rect>();
  shown.forEach((each, index) => {
    const key = keyOf(each, index);
    windows.set(key, around(each.corners, windows.get(key)));
  });
  const pictures = new Map<string, { readonly window: Rect; readonly canvas: HTMLCanvasElement }>();
  return shown.map((each, index): WornCloth => {
    const { surface, wear, corners } = each;
    const key = keyOf(each, index);
    const look = looks.get(wear.finish ?? '') as Look;
    const asked = windows.get(key) as Rect;
    if (look.kind !== 'plain' && !pictures.has(key)) {
      const own = key !== wear.finish;
      pictures.set(key, own ? { window: asked, canvas: pictureOf(look, asked, each.fit) } : sharedPicture(look, asked, came));
    }
    const { window, canvas } = pictures.get(key) ?? { window: asked, canvas: null };
    return {
      part: surface.part,
      positions: Float32Array.from(corners.flatMap(({ at }) => at.map((value) => value / 1000))),
      uvs: Float32Array.from(
        corners.flatMap(({ pattern: [x, y] }) => [
          (x - window.x0) / (window.x1 - window.x0 || 1),
          (y - window.y0) / (window.y1 - window.y0 || 1),
        ]),
      ),
      canvas,
      colour: look.kind === 'plain' ? look.colour : '#ffffff',
    };
  });
};
