// µm. Board that is rolled tighter than it bends.
import type { Part } from '../../assembly/index.ts';
import { UM } from '../../measure/index.ts';
import { bounds, type Region } from '../../shape/index.ts';
import { type Board, boardsToGet, thicknessOf } from '../../stock/index.ts';
import type { Finding, Mend } from './finding.ts';
import { idsOf, type Judged, mendPiece, tagged } from './judged.ts';

/** From here on a board has a core of foam. */
const FOAM = 2.5 * UM.mm;
/** The inside of a roll is so many thicknesses from its middle at the least: foam board that is scored side by side on one face; card and paperboard as they
 *  are. Common practice, no source. */
const ROLLS = { foam: 8, card: 6 };

/** The least radius, in µm, that a board so thick is rolled to. */
export const leastRadius = (thickness: number): number => thickness * (thickness >= FOAM ? ROLLS.foam : ROLLS.card);

const insideOf = ({ holes }: Region): number => {
  if (!holes[0]) return Number.POSITIVE_INFINITY;
  const { x0, x1 } = bounds(holes[0]);
  return (x1 - x0) / 2;
};

/** How far the inside of a rolled part is from its middle, at its narrower end; nothing for what is not rolled of board. */
const radiusOf = (part: Part): number | undefined =>
  part.flat && part.stuff === 'board' ? Math.min(insideOf(part.region), insideOf(part.upper ?? part.region)) : undefined;

/** The thickest board that rolls within an outside radius, one that the set has before one to get. */
const rollsBetter = ({ piece, means }: Judged, outer: number): Mend | null => {
  const rolls = (boards: readonly Board[]): Board | undefined =>
    boards
      .filter((board) => leastRadius(thicknessOf(board)) <= outer - thicknessOf(board))
      .toSorted((a, b) => thicknessOf(b) - thicknessOf(a))[0];
  const has = rolls(means.boards);
  const board = has ?? rolls(boardsToGet(means.boards));
  if (!board || !('sections' in piece)) return null;
  const change = { boards: { ...piece.boards, wall: board.id }, thick: { ...piece.thick, wall: null } };
  const mend = mendPiece(piece, 'other-board', change, board.name, thicknessOf(board));
  return has ? mend : { ...mend, edit: { kind: 'all', edits: [{ kind: 'add-board', at: means.boards.length, board }, mend.edit] } };
};

export const rolledTooTight = (judged: Judged): readonly Finding[] => {
  const { parts } = judged.built.assembly;
  const tight = parts.flatMap((part, index) => {
    const [radius, thickness] = [radiusOf(part), part.flat?.thickness ?? 0];
    return radius !== undefined && radius < leastRadius(thickness) ? [{ index, radius, thickness }] : [];
  });
  const [worst] = tight.toSorted((a, b) => a.radius / leastRadius(a.thickness) - b.radius / leastRadius(b.thickness));
  if (!worst) return [];
  return [
    {
      code: 'rolled-too-tight',
      severity: 'warning',
      part: tagged(judged, worst.index),
      foam: worst.thickness >= FOAM,
      numbers: { radius: Math.round(worst.radius), least: leastRadius(worst.thickness), thickness: worst.thickness },
      where: {
        pieceId: judged.piece.id,
        partIds: idsOf(
          judged.built.assembly,
          tight.map(({ index }) => index),
        ),
      },
      mend: rollsBetter(judged, Math.min(...tight.map(({ radius, thickness }) => radius + thickness))),
    },
  ];
};
