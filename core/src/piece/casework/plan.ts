// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer. The measures from which a casework follows.
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import { bodyHeight, layersFor, type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Space } from '../parts/panels.ts';
import { BOARD_ROLES, type BoardRole, type Casework } from './casework.ts';
import { cellsOf, type DoorCell } from './cell.ts';

export type Sheetings = Readonly<Record<BoardRole, Sheeting>>;

export type CarcassPlan = {
  readonly piece: Casework;
  readonly means: Means;
  readonly sheets: Sheetings;
  /** The box of the whole piece. */
  readonly outside: Space;
  /** The box of the carcass, from the bottom panel to the top, from the back to its front edges. */
  readonly body: Space;
  /** The clear space between its panels. */
  readonly clear: Space;
  /** How high the base is, and in how many layers where it is stacked. */
  readonly base: number;
  readonly baseLayers: number;
  readonly setback: number;
  /** Where the front of the face frame lies, or of the carcass where there is none. */
  readonly face: number;
  /** How far a face frame reaches over each bay's edges; 0 without one. */
  readonly lip: number;
  /** How far inset doors and fronts reach in behind the carcass's front. */
  readonly inside: number;
};

/** How thick a door is: a slab, with a raised border on it, or two frames with clear sheet between. */
export const doorDepth = (cell: Pick<DoorCell, 'style'>, door: Sheeting): number =>
  ({ slab: 1, framed: 2, glazed: 2 })[cell.style] * door.thickness + (cell.style === 'glazed' ? CLEAR_SHEET.thickness : 0);

type Front = { readonly fit: 'overlay' | 'inset'; readonly gap: number; readonly depth: number };

/** Everything that closes a bay at the front. False drawers are a blank with plates on it. */
const frontsOf = (piece: Casework, door: Sheeting): readonly Front[] =>
  cellsOf(piece.front).flatMap(({ cell, doorsBefore }): readonly Front[] => {
    // What is behind a door takes nothing from the piece's own depth.
    if (doorsBefore > 0) return [];
    if (cell.kind === 'door') return [{ fit: cell.fit, gap: cell.gap, depth: doorDepth(cell, door) }];
    if (cell.kind === 'plate') return [{ fit: cell.fit, gap: 0, depth: door.thickness }];
    if (cell.kind !== 'drawers') return [];
    // The plates of an inset blank stand out before the carcass.
    return cell.make === 'running'
      ? [{ fit: cell.fit, gap: cell.gap, depth: door.thickness }]
      : cell.fit === 'overlay'
        ? [{ fit: 'overlay', gap: 0, depth: 2 * door.thickness }]
        : [
            { fit: 'inset', gap: 0, depth: door.thickness },
            { fit: 'overlay', gap: 0, depth: door.thickness },
          ];
  });

const depthsOf = (fronts: readonly Front[], frame: number): { readonly before: number; readonly inside: number } => {
  const [over, inset] = [fronts.filter(({ fit }) => fit === 'overlay'), fronts.filter(({ fit }) => fit === 'inset')];
  return {
    before: frame + Math.max(0, ...over.map(({ depth }) => depth)),
    inside: Math.max(0, ...inset.map(({ depth, gap }) => depth + gap - frame)),
  };
};

type Shell = { readonly sides: number; readonly back: number; readonly low: number; readonly high: number };

/** What walls take between the carcass's box and its clear space. */
const shellOf = (piece: Casework, sheets: Sheetings): Shell => {
  const lining = piece.lining ? sheets.lining.thickness : 0;
  const hollow = piece.lining ? piece.lining.cavity + lining : 0;
  const back = piece.back === 'none' ? 0 : sheets.back.thickness;
  return {
    sides: sheets.carcass.thickness + hollow,
    back: back === 0 ? 0 : back + hollow,
    low: sheets.carcass.thickness + lining,
    high: sheets.carcass.thickness + lining,
  };
};

/** Feet are stacked from whole boards, so they are as high as their layers. */
const baseOf = (piece: Casework, sheets: Sheetings, means: Means): { readonly base: number; readonly baseLayers: number } => {
  const wanted = dollOf(piece.plinth, means.scale);
  if (piece.base !== 'feet' || wanted === 0) return { base: wanted, baseLayers: 1 };
  const { layers } = layersFor(wanted, sheets.plinth.one);
  return { base: layers * sheets.plinth.one, baseLayers: layers };
};

const tooSmall = (plan: CarcassPlan): PieceProblem | undefined => {
  const { clear, outside, body, piece, sheets } = plan;
  const legs = piece.base === 'plinth' || piece.base === 'toe-kick';
  const behind = piece.back === 'over' ? sheets.back.thickness : 0;
  const around = plan.base === 0 || !legs ? 0 : behind + plan.setback + sheets.plinth.thickness * (piece.corner === 'top' ? 2 : 1);
  const lacks = (direction: 'width' | 'height' | 'depth', available: number, room: number): PieceProblem | undefined =>
    room > 0 ? undefined : { code: 'too-small', direction, available, needed: available - room + 1 };
  return (
    lacks('width', outside.x1, clear.x1 - clear.x0) ??
    lacks('height', outside.y1, clear.y1 - clear.y0) ??
    lacks('depth', outside.z1, Math.min(clear.z1 - clear.z0 - plan.inside, body.z1 - body.z0 - around))
  );
};

/** Takes the measures of a casework. Outside held: the stated sizes are the box. Inside held: boards are added to the stated clear space.
 *  Errors: 'too-small' when boards leave no clear space. */
export const planCarcass = (piece: Casework, means: Means): Result<CarcassPlan, PieceProblem> => {
  const sheets = sheetsFor(piece, BOARD_ROLES, means);
  const doll = (measure: Casework['width']) => dollOf(measure, means.scale);
  const frame = piece.frame ? sheets.frame.thickness : 0;
  const { before, inside } = depthsOf(frontsOf(piece, sheets.door), frame);
  const shell = shellOf(piece, sheets);
  const { base, baseLayers } = baseOf(piece, sheets, means);
  const over = piece.worktop
    ? {
        left: doll(piece.worktop.left),
        right: doll(piece.worktop.right),
        front: doll(piece.worktop.front),
        back: doll(piece.worktop.back),
        up: sheets.worktop.thickness,
      }
    : { left: 0, right: 0, front: 0, back: 0, up: 0 };
  const grown = piece.hold === 'inside';
  const stated = {
    width: doll(piece.width),
    // Where people stand at it, a counter is as high as suits the body.
    height: piece.worktop && !grown ? bodyHeight(piece.height, piece.bodyScale, means) : doll(piece.height),
    depth: doll(piece.depth),
  };
  const width = stated.width + (grown ? 2 * shell.sides + over.left + over.right : 0);
  const height = stated.height + (grown ? shell.low + shell.high + base + over.up : 0);
  const depth = stated.depth + (grown ? shell.back + inside + before + over.back + over.front : 0);
  const body: Space = {
    x0: over.left,
    x1: width - over.right,
    y0: base,
    y1: height - over.up,
    z0: over.back,
    z1: depth - before - over.front,
  };
  const clear: Space = {
    x0: body.x0 + shell.sides,
    x1: body.x1 - shell.sides,
    y0: body.y0 + shell.low,
    y1: body.y1 - shell.high,
    z0: body.z0 + shell.back,
    z1: body.z1,
  };
  const plan: CarcassPlan = {
    piece,
    means,
    sheets,
    outside: { x0: 0, x1: width, y0: 0, y1: height, z0: 0, z1: depth },
    body,
    clear,
    base,
    baseLayers,
    setback: doll(piece.setback),
    face: body.z1 + frame,
    lip: piece.frame ? Math.max(0, doll(piece.frame.border) - shell.sides) : 0,
    inside,
  };
  const problem = tooSmall(plan);
  return problem ? err(problem) : ok(plan);
};
