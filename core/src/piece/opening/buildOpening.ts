// µm, doll size. The wall stands in the plane of x and y; z runs from the room outwards. The unit's lower left back corner is the origin.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import type { Point, Ring, Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import { type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Built, SizeMark } from '../parts/built.ts';
import { gripOn } from '../parts/drawer.ts';
import { clearPane, type Space } from '../parts/panels.ts';
import { frameStrips, type Put, putFor, single } from '../parts/put.ts';
import { OPENING_ROLES, type Opening, type OpeningRole } from './opening.ts';

type Plan = {
  readonly piece: Opening;
  readonly sheets: Readonly<Record<OpeningRole, Sheeting>>;
  readonly border: number;
  /** The opening in the wall, its lower left corner where the strips' outside is the origin. */
  readonly hole: { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number };
  readonly doll: (measure: Measure) => number;
  readonly put: Put;
};

type Drawn = Result<{ readonly parts: readonly Part[]; readonly outside: Vec3; readonly motions: readonly Motion[] }, PieceProblem>;

/** The strips of a door's frame: two that stand on the floor and one over them. */
const doorStrips = ({ put, hole, border, piece, sheets }: Plan, id: string, z0: number): readonly Part[] => {
  const sheet = single(sheets.frame);
  const z1 = z0 + sheet.one;
  const [w, h] = [hole.x1 - hole.x0 + 2 * border, hole.y1 + border];
  // Strips lie on the lining's edge too, and are glued to it.
  const wide = border + sheet.one;
  const mitred = piece.corners === 'mitred';
  const over: Ring = [
    [0, wide],
    [wide, 0],
    [w - wide, 0],
    [w, wide],
  ];
  const left: Ring = [
    [0, 0],
    [wide, 0],
    [wide, h - wide],
    [0, h],
  ];
  const mirrored = left.map(([x, y]): Point => [wide - x, y]).toReversed();
  const high = mitred ? h : h - wide;
  const strip = ['border', 'frame strip', 'front'] as const;
  return [
    ...put(`${id}-left`, strip, { x0: 0, x1: wide, y0: 0, y1: high, z0, z1 }, sheet, mitred ? { outline: left } : {}),
    ...put(`${id}-right`, strip, { x0: w - wide, x1: w, y0: 0, y1: high, z0, z1 }, sheet, mitred ? { outline: mirrored } : {}),
    ...put(`${id}-above`, strip, { x0: 0, x1: w, y0: h - wide, y1: h, z0, z1 }, sheet, mitred ? { outline: over } : {}),
  ];
};

/** What lines the opening through the wall, all round or but for the floor. */
const lining = ({ put, hole, sheets }: Plan, z0: number, z1: number, floor: boolean): readonly Part[] => {
  const sheet = single(sheets.frame);
  const t = sheet.one;
  const low = floor ? hole.y0 + t : hole.y0;
  return [
    ...put('liner-left', ['lining', 'lining', 'right'], { x0: hole.x0, x1: hole.x0 + t, y0: low, y1: hole.y1 - t, z0, z1 }, sheet),
    ...put('liner-right', ['lining', 'lining', 'left'], { x0: hole.x1 - t, x1: hole.x1, y0: low, y1: hole.y1 - t, z0, z1 }, sheet),
    ...put('liner-above', ['lining', 'lining', 'down'], { x0: hole.x0, x1: hole.x1, y0: hole.y1 - t, y1: hole.y1, z0, z1 }, sheet),
    ...(floor ? put('liner-below', ['lining', 'lining', 'up'], { x0: hole.x0, x1: hole.x1, y0: hole.y0, y1: low, z0, z1 }, sheet) : []),
  ];
};

/** How wide a leaf of a door's hinge is at the most. Common practice, no source. */
const LEAF = 10_000;

/** Raised panels on a leaf, in rows with even borders. */
const raised = ({ piece, put, sheets }: Plan, leaf: Space): Result<readonly Part[], PieceProblem> => {
  const { panelsAcross: across, panelsUp: up } = piece;
  if (across === 0) return ok([]);
  const sheet = single(sheets.bar);
  const border = Math.round((leaf.x1 - leaf.x0) / 7);
  const [w, h] = [(leaf.x1 - leaf.x0 - (across + 1) * border) / across, (leaf.y1 - leaf.y0 - (up + 1) * border) / up];
  const problem = lack('the panels on the leaf', Math.min(w, h), 1_000);
  if (problem) return err(problem);
  return ok(
    Array.from({ length: across * up }, (_, index) => {
      const [column, row] = [index % across, Math.floor(index / across)];
      const x0 = Math.round(leaf.x0 + border + column * (w + border));
      const y0 = Math.round(leaf.y0 + border + row * (h + border));
      const space = { x0, x1: x0 + Math.round(w), y0, y1: y0 + Math.round(h), z0: leaf.z1, z1: leaf.z1 + sheet.one };
      return put(`panel-${index}`, ['border', 'panel', 'front'], space, sheet);
    }).flat(),
  );
};

const door = (plan: Plan): Drawn => {
  const { piece, sheets, border, hole, put } = plan;
  const { wall, gap } = piece;
  const t = sheets.frame.one;
  const thick = sheets.leaf.thickness;
  const [z0, z1] = [t, t + wall];
  const leaf: Space = { x0: hole.x0 + t + gap, x1: hole.x1 - t - gap, y0: gap, y1: hole.y1 - t - gap, z0: z1 - thick, z1 };
  const problem =
    lack('the leaf in its frame', Math.min(leaf.x1 - leaf.x0, leaf.y1 - leaf.y0), 6_000) ??
    lack('the leaf in the depth of the wall', wall, thick) ??
    lack('strips over the lining', border, 600);
  if (problem) return err(problem);
  const panels = raised(plan, leaf);
  if (!panels.ok) return panels;
  const boards = put('leaf', ['door', 'leaf', 'front'], leaf, sheets.leaf, { held: 'hinge' });
  const left = piece.hinge === 'left';
  const x = left ? leaf.x1 : leaf.x0;
  const reach = Math.min(6_000, Math.round((leaf.x1 - leaf.x0) / 8));
  const at: Point = [left ? x - reach : x + reach, Math.round((leaf.y0 + leaf.y1) * 0.47)];
  // The knob goes on the bare stile beside the panels.
  const stile: Space = { ...leaf, x0: left ? x - 2 * reach : x, x1: left ? x : x + 2 * reach, y0: at[1] - reach, y1: at[1] + reach };
  const knob = piece.knob ? gripOn('knob', stile, at, true, `${piece.id}/leaf`, single(sheets.bar)) : [];
  const clearOf = panels.value.filter(({ pose, region }) => {
    const [px, py] = [pose.origin[0], pose.origin[1]];
    const [w, h] = [Math.max(...region.outline.map(([u]) => u)), Math.max(...region.outline.map(([, v]) => v))];
    return knob.length === 0 || px > stile.x1 || px + w < stile.x0 || py > stile.y1 || py + h < stile.y0;
  });
  const moving = [...boards, ...clearOf, ...knob].map(({ id }) => id);
  const motion: Motion = {
    kind: 'swing',
    door: (boards[0] as Part).id,
    parts: moving,
    aside: [],
    at: [left ? leaf.x0 : leaf.x1, leaf.y0, z1],
    along: [0, 1, 0],
    angle: left ? -Math.PI / 2 : Math.PI / 2,
    hinge: { kind: 'paper', leaf: Math.min(LEAF, Math.round((leaf.x1 - leaf.x0) / 4)), length: leaf.y1 - leaf.y0 },
  };
  const parts = [
    ...doorStrips(plan, 'inner', 0),
    ...lining(plan, z0, z1, false),
    ...doorStrips(plan, 'outer', z1),
    ...boards,
    ...clearOf,
    ...knob,
  ];
  const thickest = clearOf.length > 0 ? Math.max(t, sheets.bar.one) : t;
  return ok({ parts, outside: [hole.x1 + border, hole.y1 + border, z1 + thickest], motions: [motion] });
};

/** Upright bars from edge to edge, and lying ones in pieces between them. */
const bars = ({ piece, sheets, doll, put }: Plan, inside: Space): Result<readonly Part[], PieceProblem> => {
  const { barsUpright: upright, barsLying: lying } = piece;
  const wide = doll(piece.bar);
  const [w, h] = [(inside.x1 - inside.x0 - upright * wide) / (upright + 1), (inside.y1 - inside.y0 - lying * wide) / (lying + 1)];
  const problem =
    lack('panes between the bars', Math.min(w, h), 1_500) ??
    lack('bars that can be cut', upright + lying > 0 ? wide : 600, 500) ??
    lack('bars in the depth of the wall', piece.wall, upright + lying > 0 ? sheets.bar.one : 0);
  if (problem) return err(problem);
  const sheet = single(sheets.bar);
  const z1 = inside.z0 + sheet.one;
  const columns = Array.from({ length: upright + 1 }, (_, index) => Math.round(inside.x0 + index * (w + wide)));
  const posts = columns
    .slice(1)
    .flatMap((x1, index) => put(`bar-upright-${index}`, ['border', 'glazing bar', 'front'], { ...inside, x0: x1 - wide, x1, z1 }, sheet));
  const between = Array.from({ length: lying }, (_, row) => {
    const y0 = Math.round(inside.y0 + (row + 1) * h + row * wide);
    return columns.flatMap((x0, index) => {
      const next = columns[index + 1];
      const x1 = next === undefined ? inside.x1 : next - wide;
      return put(`bar-lying-${row}-${index}`, ['border', 'glazing bar', 'front'], { x0, x1, y0, y1: y0 + wide, z0: inside.z0, z1 }, sheet);
    });
  }).flat();
  return ok([...posts, ...between]);
};

const window = (plan: Plan): Drawn => {
  const { piece, sheets, border, hole, doll, put } = plan;
  const { wall, margin } = piece;
  const sheet = single(sheets.frame);
  const t = sheet.one;
  const pane = CLEAR_SHEET.thickness;
  const sill = doll(piece.sill);
  const [back, front] = [t + pane, t + pane + wall];
  const inside: Space = { x0: hole.x0 + t, x1: hole.x1 - t, y0: hole.y0 + t, y1: hole.y1 - t, z0: back, z1: front };
  const problem =
    lack('the clear sheet under its strips', border, margin + 500) ??
    lack('the light within the lining', Math.min(inside.x1 - inside.x0, inside.y1 - inside.y0), 4_000) ??
    lack('the sill before its strips', sill === 0 ? t : sill, t);
  if (problem) return err(problem);
  const glazing = bars(plan, inside);
  if (!glazing.ok) return glazing;
  const around: Space = { x0: 0, x1: hole.x1 + border, y0: 0, y1: hole.y1 + border, z0: 0, z1: t };
  const sheetSpace: Space = { x0: hole.x0 - margin, x1: hole.x1 + margin, y0: hole.y0 - margin, y1: hole.y1 + margin, z0: t, z1: back };
  const outer: Space = { ...around, z0: front, z1: front + t };
  const wide = border + t;
  const strips =
    sill === 0
      ? frameStrips(put, 'outer', outer, wide, piece.corners, sheet)
      : [
          ...put('outer-left', ['border', 'frame strip', 'front'], { ...outer, x1: wide, y0: hole.y0 + t, y1: hole.y1 - t }, sheet),
          ...put('outer-right', ['border', 'frame strip', 'front'], { ...outer, x0: hole.x1 - t, y0: hole.y0 + t, y1: hole.y1 - t }, sheet),
          ...put('outer-above', ['border', 'frame strip', 'front'], { ...outer, y0: hole.y1 - t }, sheet),
          ...put('sill', ['shelf', 'sill', 'up'], { ...outer, y0: hole.y0, y1: hole.y0 + t, z1: front + sill }, sheet),
        ];
  const parts = [
    ...frameStrips(put, 'inner', around, wide, piece.corners, sheet),
    clearPane(sheetSpace, { id: `${piece.id}/glass`, role: 'glass', name: 'clear sheet', shows: 'front' }),
    ...lining(plan, back, front, true),
    ...glazing.value,
    ...strips,
  ];
  return ok({ parts, outside: [hole.x1 + border, hole.y1 + border, front + Math.max(t, sill)], motions: [] });
};

/** Builds the unit of a door or window.
 *  Shape: piece, means → lining, strips on both sides, leaf or clear sheet with bars; the opening in the wall is exactly the stated one. Errors:
 *  'does-not-fit' for leaf, panels, bars, clear sheet, sill. */
export const buildOpening = (piece: Opening, means: Means): Result<Built, PieceProblem> => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const border = doll(piece.border);
  const [width, height] = [doll(piece.width), doll(piece.height)];
  const low = piece.form === 'door' ? 0 : border;
  const hole = { x0: border, x1: border + width, y0: low, y1: low + height };
  const plan: Plan = { piece, sheets: sheetsFor(piece, OPENING_ROLES, means), border, hole, doll, put: putFor(piece.id) };
  const drawn = piece.form === 'door' ? door(plan) : window(plan);
  if (!drawn.ok) return drawn;
  const { parts, outside, motions } = drawn.value;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  const marks: SizeMark[] = [
    { path: ['width'], sight: 'front', way: 'across', from: hole.x0, to: hole.x1, at: outside[1] },
    { path: ['height'], sight: 'front', way: 'up', from: hole.y0, to: hole.y1, at: outside[0] },
  ];
  return ok({ assembly: { parts, outside: { min: [0, 0, 0], max: outside }, clear, motions }, bays: [], openings: [], marks });
};
