// µm, doll size. The wall is the plane z = 0; y up from the lowest point.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { ellipseRing, type Ring, type Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import { type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Built } from '../parts/built.ts';
import { extra } from '../parts/extra.ts';
import { stickBetween } from '../parts/leaning.ts';
import { clearPane, type Space, sectionOf } from '../parts/panels.ts';
import { frameStrips, type Put, putFor, single } from '../parts/put.ts';
import { WALL_ROLES, type WallForm, type WallRole, type WallThing } from './wallThing.ts';

type Plan = {
  readonly piece: WallThing;
  readonly sheets: Readonly<Record<WallRole, Sheeting>>;
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  readonly doll: (measure: Measure) => number;
  readonly put: Put;
};

type Drawn = Result<{ readonly parts: readonly Part[]; readonly outside: Vec3 }, PieceProblem>;

/** A bracket seen from the right: across runs from its point to the wall. */
const bracketRing = (kind: WallThing['bracket'], reach: number, high: number): Ring => {
  const corner: Ring = [
    [reach, 0],
    [reach, high],
    [0, high],
  ];
  if (kind === 'triangle') return corner;
  if (kind === 'square') return [[0, 0], ...corner];
  // A quarter of an ellipse is cut out; the ends stay as broad as a fifth of the bracket.
  const [lip, foot] = [Math.round(high / 5), Math.round(reach / 5)];
  const curve = ellipseRing(0, 0, reach - foot, high - lip);
  const quarter = curve.slice(0, curve.length / 4 + 1).toReversed();
  return [...corner, ...quarter];
};

const share = (count: number, from: number, to: number): readonly number[] =>
  Array.from({ length: count }, (_, index) =>
    count === 1 ? Math.round((from + to) / 2) : Math.round(from + ((to - from) * index) / (count - 1)),
  );

const shelf = ({ piece, sheets, width, height, depth, put }: Plan): Drawn => {
  const { board, bracket } = sheets;
  const under = height - board.thickness;
  const t = bracket.one;
  const back = piece.backed ? t : 0;
  const reach = Math.round((depth - back) * 0.85);
  const problem =
    lack('the brackets under the shelf', under, 2 * t + 1_000) ??
    lack('the brackets before the wall', reach, 2 * t) ??
    lack('the brackets side by side', width, piece.count * t * 1.5 + 1_000);
  if (problem) return err(problem);
  const inset = piece.count === 1 ? 0 : Math.min(Math.round(width / 10), Math.floor((width - piece.count * t) / 3));
  const brackets = share(piece.count, inset + t / 2, width - inset - t / 2).flatMap((x, index) => {
    const x0 = Math.round(x - t / 2);
    const outline = bracketRing(piece.bracket, reach, under);
    const space: Space = { x0, x1: x0 + t, y0: 0, y1: under, z0: back, z1: back + reach };
    return put(`bracket-${index}`, ['post', 'bracket', 'right'], space, single(bracket), { outline });
  });
  const rail = piece.backed
    ? put('rail', ['back', 'wall board', 'front'], { x0: 0, x1: width, y0: 0, y1: under, z0: 0, z1: back }, single(bracket))
    : [];
  const top = put('shelf', ['top', 'shelf', 'up'], { x0: 0, x1: width, y0: under, y1: height, z0: 0, z1: depth }, board);
  return ok({ parts: [...rail, ...brackets, ...top], outside: [width, height, depth] });
};

const pegs = ({ piece, sheets, width, height, depth, doll, put }: Plan): Drawn => {
  const { board } = sheets;
  const t = board.thickness;
  const peg = sectionOf(piece.peg);
  const rise = doll(piece.rise);
  const over = piece.backed ? single(board) : null;
  const high = height - (over?.one ?? 0);
  const middle = Math.round(high / 2 - Math.min(rise / 2, high / 6));
  const half = (peg.width / 2) * 1.5;
  const problem =
    lack('pegs before their board', depth - t, 2 * peg.width) ??
    lack('pegs side by side', width, piece.count * peg.width * 2) ??
    lack('pegs that rise less than they reach', depth - t, rise) ??
    lack('pegs within the height of their board', high, middle + rise + half) ??
    lack('pegs on their board', middle, half);
  if (problem) return err(problem);
  const each = width / piece.count;
  const rail = put('board', ['back', 'board', 'front'], { x0: 0, x1: width, y0: 0, y1: high, z0: 0, z1: t }, board);
  const sticks = Array.from({ length: piece.count }, (_, index): Part => {
    const x = Math.round((index + 0.5) * each);
    const upright: Vec3 = [0, 0, 1];
    return stickBetween(
      { from: [x, middle, t], to: [x, middle + rise, depth], wide: [1, 0, 0], stick: piece.peg, cuts: [upright, upright] },
      { id: `${piece.id}/peg-${index}`, role: 'rail', name: 'peg' },
    );
  });
  const top = over ? put('shelf', ['top', 'shelf', 'up'], { x0: 0, x1: width, y0: high, y1: height, z0: 0, z1: depth }, over) : [];
  return ok({ parts: [...rail, ...sticks, ...top], outside: [width, height, depth] });
};

const frame = ({ piece, sheets, width, height, doll, put }: Plan): Drawn => {
  const { board, strip } = sheets;
  const border = doll(piece.border);
  const problem =
    lack('the frame’s strips within it', Math.min(width, height) / 2, border + (border > 0 ? 1_000 : 0)) ??
    lack('a strip that can be cut', border === 0 ? 1 : border, border === 0 ? 1 : 600);
  if (problem) return err(problem);
  const back = put('board', ['back', 'backing', 'front'], { x0: 0, x1: width, y0: 0, y1: height, z0: 0, z1: board.thickness }, board);
  const pane = piece.glazed ? CLEAR_SHEET.thickness : 0;
  const z0 = board.thickness + pane;
  const face: Space = { x0: 0, x1: width, y0: 0, y1: height, z0: board.thickness, z1: z0 };
  const glass = piece.glazed ? [clearPane(face, { id: `${piece.id}/glass`, role: 'glass', name: 'clear sheet', shows: 'front' })] : [];
  const z1 = border > 0 ? z0 + strip.thickness : z0;
  const strips = border > 0 ? frameStrips(put, 'strip', { ...face, z0, z1 }, border, piece.corners, strip) : [];
  return ok({ parts: [...back, ...glass, ...strips], outside: [width, height, z1] });
};

const clock = ({ piece, sheets, width, doll, put }: Plan): Drawn => {
  const { board, strip } = sheets;
  const radius = Math.round(width / 2);
  const border = doll(piece.border);
  const t = strip.one;
  const problem =
    lack('the rim within the clock', radius, border + 3_000) ??
    lack('a rim that can be cut', border === 0 ? 1 : border, border === 0 ? 1 : 600);
  if (problem) return err(problem);
  const face = ellipseRing(radius, radius, radius);
  const flat = (z0: number, z1: number): Space => ({ x0: 0, x1: 2 * radius, y0: 0, y1: 2 * radius, z0, z1 });
  const z0 = board.thickness;
  const dial = put('dial', ['back', 'dial', 'front'], flat(0, z0), board, { outline: face, centres: [[radius, radius]] });
  const hole = [...ellipseRing(radius, radius, radius - border, radius - border, face.length)].reverse();
  const rim = border > 0 ? put('rim', ['border', 'rim', 'front'], flat(z0, z0 + t), single(strip), { outline: face, holes: [hole] }) : [];
  const room = radius - border - 500;
  const wide = Math.max(300, Math.round(room / 12));
  const hand = (id: string, long: number, upright: boolean, level: number): readonly Part[] => {
    const [w, h] = upright ? [wide, long] : [long, wide];
    const [x0, y0] = upright ? [radius - Math.round(wide / 2), radius] : [radius, radius - Math.round(wide / 2)];
    return put(
      id,
      ['fitting', 'hand', 'front'],
      { x0, x1: x0 + w, y0, y1: y0 + h, z0: z0 + level * t, z1: z0 + (level + 1) * t },
      single(strip),
    );
  };
  const hands = [...hand('minute', Math.round(room * 0.9), true, 0), ...hand('hour', Math.round(room * 0.6), false, 1)];
  return ok({ parts: [...dial, ...rim, ...hands], outside: [2 * radius, 2 * radius, border > 0 ? z0 + t : z0] });
};

const BUILD: Readonly<Record<WallForm, (plan: Plan) => Drawn>> = { shelf, pegs, frame, clock };

/** Builds something for a wall.
 *  Shape: piece, means → parts; frames are mitred or butted, with both lengths of each strip. Errors: 'does-not-fit' for brackets, pegs, strips. */
export const buildWall = (piece: WallThing, means: Means): Result<Built, PieceProblem> => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const plan: Plan = {
    piece,
    sheets: sheetsFor(piece, WALL_ROLES, means),
    width: doll(piece.width),
    height: doll(piece.height),
    depth: doll(piece.depth),
    doll,
    put: putFor(piece.id),
  };
  const drawn = BUILD[piece.form](plan);
  if (!drawn.ok) return drawn;
  const { parts, outside } = drawn.value;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  const film = piece.form === 'frame' && piece.holds === 'mirror' ? [extra('mirror film', outside[0], { wide: outside[1] })] : [];
  return ok({
    assembly: { parts, outside: { min: [0, 0, 0], max: outside }, clear, motions: [] },
    ...{ bays: [], openings: [], marks: [], extras: film },
  });
};
