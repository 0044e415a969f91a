// µm. What a careful maker would notice about one piece.
import { type Box, stuckIn } from '../../assembly/index.ts';
import { dollOf, inWorld, UM } from '../../measure/index.ts';
import { cellAt, type FamilyName, frontOf, type LeftOut, type PieceProblem, type Table } from '../../piece/index.ts';
import { AXES, normalOf } from '../../shape/index.ts';
import type { Piece } from '../document/document.ts';
import { changeBetween } from '../document/edit.ts';
import { largerThanBoard, layersOff, littleJoints, partsJoined, tooNarrow } from './boardFindings.ts';
import { openingsOverBays, shelfDepths, shelfGaps, thicknessOffScale, tipsOver } from './caseworkFindings.ts';
import { clothFindings, oddFindings, placeGone } from './clothFindings.ts';
import type { Finding, Mend } from './finding.ts';
import { unsuited } from './fitFindings.ts';
import { goodFindings } from './goodFindings.ts';
import { idsOf, type Judged, mendPiece, tagged } from './judged.ts';
import { stoppedMotionFindings } from './motionFindings.ts';
import { tooFine } from './outlineFindings.ts';
import { rolledTooTight } from './rollFindings.ts';
import { floorsUneven } from './roomFindings.ts';
import { legsOutside, looseSlots, seatsNotLevel, slenderSticks, unevenFeet } from './shapeFindings.ts';
import { longSpans } from './spanFindings.ts';

/** A lamp is reached from either of its sides by a straight way out, past doors and drawers that are opened. */
const lampsShutIn = ({ piece, built, inspection: { boxes } }: Judged): readonly Finding[] => {
  const { parts, motions } = built.assembly;
  if (!parts.some(({ role }) => role === 'light')) return [];
  const moves = new Set(motions.flatMap((motion) => motion.parts));
  const stands = boxes.filter((_, index) => parts[index]?.role !== 'light' && !moves.has(parts[index]?.id ?? ''));
  const free = (from: readonly number[]): boolean =>
    AXES.some((axis) =>
      [1, -1].some((way) =>
        stands.every(({ min, max }) => {
          const beside = AXES.some(
            (other) => other !== axis && ((from[other] as number) <= min[other] || (from[other] as number) >= max[other]),
          );
          return beside || (way > 0 ? max[axis] <= (from[axis] as number) : min[axis] >= (from[axis] as number));
        }),
      ),
    );
  const shut = parts.filter((part, index) => {
    if (part.role !== 'light') return false;
    const { min, max } = boxes[index] as Box;
    const n = normalOf(part.pose);
    const middle = min.map((value, axis) => (value + (max[axis] as number)) / 2);
    return ![1, -1].some((side) => free(middle.map((value, axis) => value + side * (n[axis] as number) * (part.thickness / 2 + 500))));
  });
  if (shut.length === 0) return [];
  return [
    {
      code: 'lamp-shut-in',
      severity: 'warning',
      numbers: { lamps: shut.length },
      where: { pieceId: piece.id, partIds: shut.map(({ id }) => id) },
      mend: null,
    },
  ];
};

const goesUnder = ({ piece, means, built }: Judged<Table>): readonly Finding[] => {
  if (piece.under === null) return [];
  const [height, under] = [built.assembly.outside.max[1], dollOf(piece.under, means.scale)];
  if (height <= under) return [];
  const lower = inWorld({ doll: (under - 1 * UM.mm) as never }, 'real', piece.bodyScale === 'set' ? means.scale : means.body);
  return [
    {
      code: 'goes-not-under',
      severity: 'warning',
      numbers: { height, under },
      where: { pieceId: piece.id },
      mend: mendPiece(piece, 'lower', { height: lower }),
    },
  ];
};

/** The truth test's own verdicts. On what our families build they stay silent; free panels may break them, and it must be seen. */
const untrue = (judged: Judged): readonly Finding[] => {
  const { piece, built, inspection } = judged;
  const { interference, closes, clearIsFree, loose } = inspection;
  const found: Finding[] = [];
  const base = { severity: 'error', mend: null } as const;
  const at = (indices: readonly number[]) => ({ pieceId: piece.id, partIds: idsOf(built.assembly, indices) });
  if (interference.length > 0) {
    const [first] = interference;
    found.push({
      ...base,
      code: 'parts-interfere',
      parts: first ? [tagged(judged, first.a), tagged(judged, first.b)] : [],
      numbers: { pairs: interference.length },
      where: at(interference.flatMap(({ a, b }) => [a, b])),
    });
  }
  if (!closes || !clearIsFree) found.push({ ...base, code: 'does-not-close', numbers: {}, where: { pieceId: piece.id } });
  if (loose.length > 0)
    found.push({
      ...base,
      code: 'part-is-loose',
      part: tagged(judged, loose[0] as number),
      numbers: { parts: loose.length },
      where: at(loose),
    });
  return found;
};

/** Panels placed freely may hold each other in; every other family comes apart, whatever is decided (its tests show it). */
const noOrder = (judged: Judged): readonly Finding[] => {
  const { piece, built, inspection } = judged;
  // Parts that share space are in each other's way by nature.
  const stuck = inspection.interference.length === 0 ? stuckIn(built.assembly.parts, inspection.boxes) : [];
  return stuck.length === 0
    ? []
    : [
        {
          code: 'no-order',
          severity: 'error',
          parts: stuck.map((index) => tagged(judged, index)),
          numbers: {},
          where: { pieceId: piece.id, partIds: idsOf(built.assembly, stuck) },
          mend: null,
        },
      ];
};

type Judge<P extends Piece = Piece> = (judged: Judged<P>) => readonly Finding[];

/** What every piece is judged by. */
const JUDGES: readonly Judge[] = [
  untrue,
  largerThanBoard,
  partsJoined,
  stoppedMotionFindings,
  lampsShutIn,
  littleJoints,
  longSpans,
  tooNarrow,
  layersOff,
  slenderSticks,
  seatsNotLevel,
  unevenFeet,
  legsOutside,
  looseSlots,
  tooFine,
  rolledTooTight,
  unsuited,
  placeGone,
];

/** What the pieces of one family alone are judged by. */
const OWN: { readonly [F in FamilyName]?: readonly Judge<Extract<Piece, { readonly family: F }>>[] } = {
  casework: [openingsOverBays, shelfGaps, shelfDepths, tipsOver, thicknessOffScale],
  table: [goesUnder],
  room: [floorsUneven],
  paper: [goodFindings],
  cloth: [clothFindings],
  odd: [oddFindings],
  panels: [noOrder],
};

/** All findings about a piece that stands, the gravest kinds first. */
export const findingsOf = (judged: Judged): readonly Finding[] =>
  [...JUDGES, ...((OWN[judged.piece.family] ?? []) as readonly Judge[])].flatMap((judge) => judge(judged));

const shareOut = (piece: Piece, path: readonly number[]): Mend | null => {
  const front = frontOf(piece);
  const cell = front && cellAt(front, path);
  if (cell?.kind !== 'columns' && cell?.kind !== 'rows') return null;
  const slots = cell.slots.map((slot) => ({ ...slot, size: { share: 1 } }));
  return { kind: 'share-bays', detail: '', edit: { kind: 'put-cell', id: piece.id, path, cell: { ...cell, slots } } };
};

/** The finding that stands for something that a piece was built without. */
export const leftOutFinding = (piece: Piece, { name, bay, opening, problem, mend, mended }: LeftOut<Piece>): Finding => {
  const takeOut: Mend = { kind: mend, detail: name, edit: { kind: 'change-piece', id: piece.id, change: changeBetween(piece, mended) } };
  // A row without room is told as one, with the bays shared out as its mend.
  const shared = problem.code === 'no-room' ? problemFinding(piece, problem) : null;
  if (shared?.mend) return shared;
  return {
    code: 'left-out',
    severity: 'error',
    what: name,
    lacks: problem.code === 'does-not-fit' ? problem.what : null,
    numbers: 'needed' in problem ? { available: problem.available, needed: problem.needed } : { available: 0, needed: 0 },
    where: { pieceId: piece.id, ...(bay && { bay }), ...(opening && { opening }) },
    mend: takeOut,
  };
};

/** The finding that stands for a piece which cannot be built. */
export const problemFinding = (piece: Piece, problem: PieceProblem): Finding => {
  const where = { pieceId: piece.id };
  switch (problem.code) {
    case 'unknown-face':
      return { code: 'unknown-face', severity: 'error', what: problem.what, face: problem.face, numbers: {}, where, mend: null };
    case 'does-not-fit':
      return {
        code: 'does-not-fit',
        severity: 'error',
        what: problem.what,
        numbers: { available: problem.available, needed: problem.needed },
        where,
        mend: null,
      };
    case 'too-small':
      return {
        code: 'cannot-be-built',
        severity: 'error',
        direction: problem.direction,
        numbers: { available: problem.available, needed: problem.needed },
        where,
        mend: null,
      };
    default:
      return {
        code: 'cannot-be-built',
        severity: 'error',
        direction: 'bay',
        numbers: { available: problem.available, needed: problem.needed },
        where: { ...where, bay: problem.path },
        mend: shareOut(piece, problem.path),
      };
  }
};
