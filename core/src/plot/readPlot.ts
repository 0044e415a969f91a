// Millimetres, y up. Files for cutting machines, this program's or another's, read as such a machine reads them.
import DxfParser, { type IEntity, type ILwpolylineEntity, type IPolylineEntity } from 'dxf-parser';
import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { err, ok, type Result } from '../kit/index.ts';
import type { Point } from '../shape/index.ts';

/** A line as the blade follows it, with the layer that it stands on. */
export type ReadStroke = { readonly layer: string; readonly points: readonly Point[]; readonly closed: boolean };

/** What a file says: how large it is, where it does; what a unit of it is, and the lines. Text is no line. */
export type ReadPlot = {
  readonly size: { readonly width: number; readonly height: number } | null;
  readonly unit: string;
  readonly strokes: readonly ReadStroke[];
};

/** Curves are followed in chords no further from them than this. */
const CHORD_ERROR = 0.01;

/** Beyond this many points a file is no drawing of ours or anybody's cardboard. */
const MOST_POINTS = 400_000;

/** How many millimetres CSS lengths are (CSS Values 3: an inch is 96 pixels). */
const MM_OF: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: 25.4 / 96, '': 25.4 / 96 };

const lengthOf = (text: string | undefined): { readonly mm: number; readonly unit: string } | null => {
  const [, number, unit] = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc|px)?\s*$/.exec(text ?? '') ?? [];
  return number ? { mm: Number(number) * (MM_OF[unit ?? ''] as number), unit: unit ?? 'px' } : null;
};

type Node = { readonly [name: string]: readonly Node[] | Readonly<Record<string, string>> | string };

const attributes = (node: Node): Readonly<Record<string, string>> => (node[':@'] ?? {}) as Readonly<Record<string, string>>;

const nameOf = (node: Node): string => Object.keys(node).find((key) => key !== ':@') ?? '';

/** What is drawn nowhere by itself. */
const HIDDEN = new Set(['defs', 'clipPath', 'mask', 'pattern', 'symbol', 'marker', 'title', 'desc', 'metadata', 'style', 'text', 'script']);

const number = (text: string | undefined): number => Number.parseFloat(text ?? '0') || 0;

/** The path that an element draws; nothing for those that draw none. */
const pathOf = (name: string, at: Readonly<Record<string, string>>): string | null => {
  const get = (key: string): number => number(at[key]);
  const ellipse = (rx: number, ry: number) =>
    `M${get('cx') - rx} ${get('cy')}A${rx} ${ry} 0 1 0 ${get('cx') + rx} ${get('cy')}A${rx} ${ry} 0 1 0 ${get('cx') - rx} ${get('cy')}Z`;
  switch (name) {
    case 'path':
      return at.d ?? null;
    case 'line':
      return `M${get('x1')} ${get('y1')}L${get('x2')} ${get('y2')}`;
    case 'rect':
      return `M${get('x')} ${get('y')}h${get('width')}v${get('height')}h${-get('width')}Z`;
    case 'polyline':
      return at.points ? `M${at.points}` : null;
    case 'polygon':
      return at.points ? `M${at.points}Z` : null;
    case 'circle':
      return get('r') > 0 ? ellipse(get('r'), get('r')) : null;
    case 'ellipse':
      return get('rx') > 0 && get('ry') > 0 ? ellipse(get('rx'), get('ry')) : null;
    default:
      return null;
  }
};

/** A point of a command's numbers. */
const pointOf = (numbers: readonly number[], at: number): Point => [numbers[at] ?? 0, numbers[at + 1] ?? 0];

/** Points of a cubic curve after its first, as many as its bend needs. */
const bent = (a: Point, b: Point, c: Point, d: Point, chord: number): readonly Point[] => {
  const off = Math.max(
    Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1]),
    Math.hypot(b[0] - 2 * c[0] + d[0], b[1] - 2 * c[1] + d[1]),
  );
  // The chords of a curve cut into n lie within 3/4 · off / n² of it.
  const count = Math.min(500, Math.max(1, Math.ceil(Math.sqrt((0.75 * off) / chord))));
  return Array.from({ length: count }, (_, index): Point => {
    const t = (index + 1) / count;
    const s = 1 - t;
    const mix = (axis: 0 | 1) => s * s * s * a[axis] + 3 * s * s * t * b[axis] + 3 * s * t * t * c[axis] + t * t * t * d[axis];
    return [mix(0), mix(1)];
  });
};

/** A path as lines. */
const linesOf = (path: InstanceType<typeof svgpath>, chord: number): readonly Omit<ReadStroke, 'layer'>[] => {
  const found: { points: Point[]; closed: boolean }[] = [];
  path.iterate((segment, _, x, y) => {
    const [kind, ...to] = segment as [string, ...number[]];
    const here: Point = [x, y];
    if (kind === 'M') found.push({ points: [[to[0] as number, to[1] as number]], closed: false });
    const last = found.at(-1);
    if (!last || kind === 'M') return;
    if (kind === 'Z') {
      last.closed = true;
      return;
    }
    // After a path was closed it goes on from where it began.
    if (last.closed) found.push({ points: [here], closed: false });
    const points = (found.at(-1) as (typeof found)[number]).points;
    if (kind === 'L') points.push([to[0] as number, to[1] as number]);
    else if (kind === 'H') points.push([to[0] as number, y]);
    else if (kind === 'V') points.push([x, to[0] as number]);
    else if (kind === 'C') points.push(...bent(here, pointOf(to, 0), pointOf(to, 2), pointOf(to, 4), chord));
    else if (kind === 'Q') {
      const [cx, cy, ex, ey] = to as [number, number, number, number];
      const third = (from: number, by: number) => from + (2 / 3) * (by - from);
      points.push(...bent(here, [third(x, cx), third(y, cy)], [third(ex, cx), third(ey, cy)], [ex, ey], chord));
    }
  });
  return found.filter(({ points }) => points.length > 1);
};

/** Reads an SVG: paths and shapes with their moves, in millimetres by the size and the window that the file names. A layer is the nearest group
 *  with a name. A file that names neither is refused, or read by its pixels. */
export const readSvgPlot = (
  text: string,
  { chord = CHORD_ERROR, unsized = 'refuse' }: { readonly chord?: number; readonly unsized?: 'refuse' | 'pixels' } = {},
): Result<ReadPlot, string> => {
  let nodes: readonly Node[];
  try {
    const parser = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '', preserveOrder: true, processEntities: false });
    nodes = parser.parse(text) as readonly Node[];
  } catch {
    return err('This is no SVG: its tags do not close.');
  }
  const root = nodes.find((node) => nameOf(node) === 'svg');
  if (!root) return err('This is no SVG: it has no drawing in it.');
  const at = attributes(root);
  const [wide, high] = [lengthOf(at.width), lengthOf(at.height)];
  const [x0, y0, w, h] = (at.viewBox ?? '').split(/[\s,]+/).map(Number);
  const box = at.viewBox && w && h ? { x0: x0 as number, y0: y0 as number, w, h } : null;
  if (!box && !wide && unsized === 'refuse') return err('This SVG does not say how large it is.');
  const perX = box ? (wide ? wide.mm / box.w : (MM_OF.px as number)) : (MM_OF.px as number);
  const perY = box ? (high ? high.mm / box.h : perX) : (MM_OF.px as number);
  const height = high?.mm ?? (box ? box.h * perY : 0);
  const strokes: ReadStroke[] = [];
  let points = 0;
  const walk = (node: Node, moves: readonly string[], layer: string): void => {
    const name = nameOf(node);
    if (HIDDEN.has(name) || name === '#text') return;
    const own = attributes(node);
    if (own.display === 'none') return;
    const all = own.transform ? [...moves, own.transform] : moves;
    const on = (name === 'g' && own.id) || layer;
    const d = pathOf(name, own);
    if (d) {
      const path = svgpath(d).unshort().unarc().abs();
      for (const move of [...all].reverse()) path.transform(move);
      path.translate(-(box?.x0 ?? 0), -(box?.y0 ?? 0)).scale(perX, perY);
      for (const line of linesOf(path, chord)) {
        points += line.points.length;
        strokes.push({ ...line, layer: on, points: line.points.map(([x, y]): Point => [x, height - y]) });
      }
    }
    const children = node[name];
    if (Array.isArray(children)) for (const child of children) if (points < MOST_POINTS) walk(child as Node, all, on);
  };
  for (const child of (root.svg ?? []) as readonly Node[]) walk(child, [], 'cut');
  if (points >= MOST_POINTS) return err(`This file has more than ${MOST_POINTS} points.`);
  const width = wide?.mm ?? (box ? box.w * perX : 0);
  return ok({ size: width > 0 && height > 0 ? { width, height } : null, unit: wide?.unit ?? 'px', strokes });
};

/** How many millimetres a unit of a DXF is, by its $INSUNITS. */
const DXF_UNITS: Readonly<Record<number, readonly [mm: number, name: string]>> = {
  0: [1, 'no unit, taken as mm'],
  1: [25.4, 'in'],
  2: [304.8, 'ft'],
  4: [1, 'mm'],
  5: [10, 'cm'],
  6: [1000, 'm'],
};

/** Points of an arc from one angle to another, counter-clockwise, in chords no further from it than said. */
const arc = (x: number, y: number, radius: number, from: number, turn: number, within: number): readonly Point[] => {
  const step = 2 * Math.acos(Math.max(0, 1 - within / Math.max(radius, within)));
  const count = Math.min(2_000, Math.max(4, Math.ceil(Math.abs(turn) / step)));
  return Array.from({ length: count + 1 }, (_, index): Point => {
    const angle = from + (turn * index) / count;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });
};

type Corner = { readonly x: number; readonly y: number; readonly bulge?: number };

/** A polyline's corners; a bulge is the tangent of a quarter of the arc's angle. */
const corners = (vertices: readonly Corner[], isClosed: boolean, within: number): readonly Point[] =>
  vertices.flatMap((vertex, index): readonly Point[] => {
    const next = vertices[index + 1] ?? (isClosed ? vertices[0] : undefined);
    const here: Point = [vertex.x, vertex.y];
    if (!vertex.bulge || !next) return [here];
    const [dx, dy] = [next.x - vertex.x, next.y - vertex.y];
    const turn = 4 * Math.atan(vertex.bulge);
    const radius = Math.hypot(dx, dy) / 2 / Math.sin(Math.abs(turn) / 2);
    const off = (1 - vertex.bulge ** 2) / (4 * vertex.bulge);
    const [cx, cy] = [vertex.x + dx / 2 - dy * off, vertex.y + dy / 2 + dx * off];
    return arc(cx, cy, radius, Math.atan2(vertex.y - cy, vertex.x - cx), turn, within).slice(0, -1);
  });

const entityLines = (entity: IEntity, within: number): readonly Omit<ReadStroke, 'layer'>[] => {
  switch (entity.type) {
    case 'LINE':
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const { vertices, shape } = entity as ILwpolylineEntity & IPolylineEntity;
      const isClosed = shape === true;
      return vertices.length > 1 ? [{ points: corners(vertices as readonly Corner[], isClosed, within), closed: isClosed }] : [];
    }
    case 'CIRCLE':
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as unknown as {
        readonly center: { readonly x: number; readonly y: number };
        readonly radius: number;
        readonly startAngle?: number;
        readonly endAngle?: number;
      };
      const whole = entity.type === 'CIRCLE';
      const from = whole ? 0 : (startAngle ?? 0);
      const turn = whole ? 2 * Math.PI : ((endAngle ?? 0) - from + 4 * Math.PI) % (2 * Math.PI);
      const points = arc(center.x, center.y, radius, from, turn, within);
      return [{ points: whole ? points.slice(0, -1) : points, closed: whole }];
    }
    default:
      return [];
  }
};

/** Reads a DXF: lines, polylines with their bulges, circles and arcs, in millimetres by the unit that the file names. */
export const readDxfPlot = (text: string): Result<ReadPlot, string> => {
  try {
    const file = new DxfParser().parseSync(text);
    if (!file) return err('This is no DXF.');
    const [per, unit] = DXF_UNITS[Number(file.header?.$INSUNITS ?? 0)] ?? [1, 'an unknown unit, taken as mm'];
    const strokes = file.entities.flatMap((entity) =>
      entityLines(entity, CHORD_ERROR / per).map(
        (line): ReadStroke => ({ ...line, layer: entity.layer, points: line.points.map(([x, y]): Point => [x * per, y * per]) }),
      ),
    );
    if (strokes.reduce((sum, { points }) => sum + points.length, 0) > MOST_POINTS)
      return err(`This file has more than ${MOST_POINTS} points.`);
    return ok({ size: null, unit, strokes });
  } catch {
    return err('This DXF could not be read to its end.');
  }
};
