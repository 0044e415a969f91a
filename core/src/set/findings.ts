// µm. What a careful maker would notice about one piece.
import { type Box, orderOf, outlineOf, type Part } from '../assembly/index.ts';
import type { CutGroup } from '../cut/index.ts';
import { dollOf, inWorld, UM } from '../measure/index.ts';
import { boardFor, type Casework, cellAt, layersFor, type PieceProblem } from '../piece/index.ts';
import { normalOf } from '../shape/index.ts';
import { type Board, thicknessOf, USUAL_SHEETS, type UsualSheet } from '../stock/index.ts';
import { openingsOverBays, shelfDepths, shelfGaps, thicknessOffScale, tipsOver } from './caseworkFindings.ts';
import type { Piece } from './document.ts';
import type { PieceChange } from './edit.ts';
import type { Finding, Mend } from './finding.ts';
import { idsOf, type Judged, mendPiece, tagged } from './judged.ts';
import { stoppedMotionFindings } from './motionFindings.ts';

const fits = (group: CutGroup, sheet: { readonly width: number; readonly height: number }, trim: number): boolean => {
  const [across, along] = [Math.min(sheet.width, sheet.height) - 2 * trim, Math.max(sheet.width, sheet.height) - 2 * trim];
  return (group.width <= across && group.height <= along) || (!group.grained && group.height <= across && group.width <= along);
};

const addSheet = (board: Board, sheet: UsualSheet): Mend => ({
  kind: 'add-sheet',
  detail: sheet.name,
  edit: { kind: 'change-board', id: board.id, change: { sheets: [...board.sheets, sheet] } },
});

const largerThanBoard = ({ piece, means, groups, built, trim }: Judged): readonly Finding[] =>
  groups.flatMap((group): readonly Finding[] => {
    const board = group.stuff === 'board' ? means.boards.find(({ id }) => id === group.stock) : undefined;
    if (!board || board.sheets.some((sheet) => fits(group, sheet, trim))) return [];
    const helps = [...USUAL_SHEETS].sort((a, b) => a.width * a.height - b.width * b.height).find((sheet) => fits(group, sheet, trim));
    return [
      {
        code: 'part-larger-than-board',
        severity: 'error',
        part: `${group.tag} ${group.name}`,
        board: board.name,
        numbers: { width: group.width, height: group.height },
        where: { pieceId: piece.id, partIds: idsOf(built.assembly, group.parts) },
        mend: helps ? addSheet(board, helps) : null,
      },
    ];
  });

/** A strip of board under twice its thickness crumbles under the knife. Common practice, no source. */
const NARROW = 2;

const tooNarrow = ({ piece, built, groups }: Judged): readonly Finding[] =>
  groups.flatMap((group): readonly Finding[] => {
    const [width, least] = [Math.min(group.width, group.height), NARROW * group.thickness];
    const first = built.assembly.parts[group.parts[0] as number] as Part;
    if (group.stuff !== 'board' || first.role === 'fitting' || width >= least) return [];
    const where = { pieceId: piece.id, partIds: idsOf(built.assembly, group.parts) };
    return [
      { code: 'part-too-narrow', severity: 'note', part: `${group.tag} ${group.name}`, numbers: { width, least }, where, mend: null },
    ];
  });

/** The board's role that a lying part is cut from, where layers of it can be glued up. */
const ROLE_OF: Readonly<Record<string, string>> = {
  shelf: 'inner',
  divider: 'inner',
  worktop: 'worktop',
  top: 'carcass',
  bottom: 'carcass',
};

const roleFor = (piece: Piece, part: Part): string | undefined => {
  if (piece.family === 'table') return part.role === 'top' ? 'top' : undefined;
  if (piece.family === 'bed') return part.role === 'bottom' ? 'base' : undefined;
  return piece.family === 'casework' ? ROLE_OF[part.role] : undefined;
};

/** Foam board carries forty times its thickness between its ends, twice that along a glued edge, before it sags by itself. Common
 *  practice, no source. */
const SPAN = 40;

type Gap = { readonly span: number; readonly edge: boolean };

/** The longest stretch of a lying board (all its layers) between what carries it, and whether a long edge is carried too. */
const longestGap = ({ built, inspection }: Judged, mine: ReadonlySet<number>, box: Box): Gap => {
  const axis = box.max[0] - box.min[0] >= box.max[2] - box.min[2] ? 0 : 2;
  const [start, end] = [box.min[axis], box.max[axis]];
  const spans = inspection.contacts.flatMap((contact) => {
    const { a, b } = contact;
    const other = mine.has(a) ? b : mine.has(b) ? a : -1;
    if (other < 0 || mine.has(other)) return [];
    const part = built.assembly.parts[other] as Part;
    const outline = outlineOf(contact);
    // What lies on top carries nothing, and a door only rests.
    if (part.held !== 'glue' || outline.every((point) => point[1] >= box.max[1])) return [];
    const along = outline.map((point) => point[axis]);
    return [{ from: Math.min(...along), to: Math.max(...along) }];
  });
  const edge = spans.some(({ from, to }) => to - from > (end - start) / 2);
  const carried = spans.filter(({ from, to }) => to - from <= (end - start) / 2).sort((p, q) => p.from - q.from);
  let [reached, longest] = [start, 0];
  for (const { from, to } of carried) {
    longest = Math.max(longest, from - reached);
    reached = Math.max(reached, to);
  }
  return { span: Math.max(longest, end - reached), edge };
};

type Sagging = { readonly span: number; readonly most: number; readonly layers: readonly number[]; readonly mend: Mend | null };

/** A board, by all its layers, that runs farther than it carries itself; what lies on the floor is carried everywhere. */
const saggingOf = (judged: Judged, layers: readonly number[]): Sagging | undefined => {
  const { piece, built } = judged;
  const part = built.assembly.parts[layers[0] as number] as Part;
  const thickness = part.thickness * layers.length;
  const box = judged.inspection.boxes[layers[0] as number] as Box;
  const size = Math.max(box.max[0] - box.min[0], box.max[2] - box.min[2]);
  if (size <= SPAN * thickness || box.min[1] <= 0) return undefined;
  const { span, edge } = longestGap(judged, new Set(layers), box);
  const most = SPAN * thickness * (edge ? 2 : 1);
  if (span <= most) return undefined;
  const role = roleFor(piece, part);
  const thick = role
    ? ({ thick: { ...piece.thick, [role]: { doll: (layers.length + 1) * part.thickness } } } as unknown as PieceChange)
    : null;
  return { span, most, layers, mend: thick && layers.length < 6 ? mendPiece(piece, 'glue-up', thick, String(layers.length + 1)) : null };
};

const LYING = new Set(['shelf', 'top', 'bottom', 'worktop', 'divider']);

const longSpans = (judged: Judged): readonly Finding[] => {
  const { piece, built } = judged;
  const { parts } = built.assembly;
  const boards = new Map<string, number[]>();
  parts.forEach((part, index) => {
    if (!LYING.has(part.role) || part.stuff !== 'board' || Math.abs(normalOf(part.pose)[1]) !== 1) return;
    const key = part.id.split('~')[0] as string;
    boards.set(key, [...(boards.get(key) ?? []), index]);
  });
  // Shelves of one tag are one thing to say; the longest of them is said.
  const worst = new Map<string, Sagging>();
  for (const layers of boards.values()) {
    const sagging = saggingOf(judged, layers);
    if (!sagging) continue;
    const tag = tagged(judged, layers[0] as number);
    const known = worst.get(tag);
    const all = [...(known?.layers ?? []), ...layers];
    worst.set(tag, known && known.span >= sagging.span ? { ...known, layers: all } : { ...sagging, layers: all });
  }
  return [...worst].map(([part, { span, most, layers, mend }]) => ({
    code: 'long-span',
    severity: 'warning',
    part,
    numbers: { span, most },
    where: { pieceId: piece.id, partIds: idsOf(built.assembly, layers) },
    mend,
  }));
};

/** Layers come in whole boards; what they are off the wanted thickness is said from a fifth of a millimetre on. */
const layersOff = ({ piece, means }: Judged): readonly Finding[] =>
  Object.entries(piece.thick as Readonly<Record<string, Casework['width'] | null>>).flatMap(([role, thick]): readonly Finding[] => {
    if (thick === null) return [];
    const board = boardFor(piece.boards, role, means.boards);
    const wanted = dollOf(thick, means.scale);
    const { layers, error } = layersFor(wanted, thicknessOf(board));
    if (Math.abs(error) < 0.2 * UM.mm) return [];
    return [
      {
        code: 'layers-off',
        severity: 'note',
        part: role,
        numbers: { wanted, gets: wanted + error, layers },
        where: { pieceId: piece.id },
        mend: null,
      },
    ];
  });

/** A lamp is reached from either of its sides by a straight way out, past doors and drawers that are opened. */
const lampsShutIn = ({ piece, built, inspection: { boxes } }: Judged): readonly Finding[] => {
  const { parts, motions } = built.assembly;
  if (!parts.some(({ role }) => role === 'light')) return [];
  const moves = new Set(motions.flatMap((motion) => motion.parts));
  const stands = boxes.filter((_, index) => parts[index]?.role !== 'light' && !moves.has(parts[index]?.id ?? ''));
  const free = (from: readonly number[]): boolean =>
    [0, 1, 2].some((axis) =>
      [1, -1].some((way) =>
        stands.every(({ min, max }) => {
          const beside = [0, 1, 2].some(
            (other) =>
              other !== axis && ((from[other] as number) <= (min[other] as number) || (from[other] as number) >= (max[other] as number)),
          );
          return beside || (way > 0 ? (max[axis] as number) <= (from[axis] as number) : (min[axis] as number) >= (from[axis] as number));
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

/** Less glue than a square of the board's thickness holds nothing. Common practice, no source. */
const littleJoints = (judged: Judged): readonly Finding[] => {
  const { piece, built, inspection } = judged;
  const area = built.assembly.parts.map(() => 0);
  for (const contact of inspection.contacts) {
    area[contact.a] = (area[contact.a] as number) + contact.area;
    area[contact.b] = (area[contact.b] as number) + contact.area;
  }
  return built.assembly.parts.flatMap((part, index): readonly Finding[] => {
    const [has, least] = [area[index] as number, part.thickness ** 2];
    if (part.held !== 'glue' || part.stuff !== 'board' || part.role === 'fitting' || has === 0 || has >= least) return [];
    return [
      {
        code: 'little-joint',
        severity: 'warning',
        part: tagged(judged, index),
        numbers: { area: Math.round(has), least },
        where: { pieceId: piece.id, partIds: [part.id] },
        mend: null,
      },
    ];
  });
};

const goesUnder = ({ piece, means, built }: Judged): readonly Finding[] => {
  if (piece.family !== 'table' || piece.under === null) return [];
  const [height, under] = [built.assembly.outside.max[1], dollOf(piece.under, means.scale)];
  if (height <= under) return [];
  const lower = inWorld({ doll: (under - 1 * UM.mm) as never }, 'real', piece.school === 'strict' ? means.scale : means.body);
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
  // Every other family comes apart, whatever is decided (its tests show it), and parts that share space are in each other's way by nature.
  const stuck =
    piece.family === 'panels' && interference.length === 0
      ? orderOf(built.assembly.parts, inspection.contacts, inspection.boxes).stuck
      : [];
  if (stuck.length > 0)
    found.push({ ...base, code: 'no-order', parts: stuck.map((index) => tagged(judged, index)), numbers: {}, where: at(stuck) });
  return found;
};

const onCasework =
  (judge: (judged: Judged<Casework>) => readonly Finding[]) =>
  (judged: Judged): readonly Finding[] =>
    judged.piece.family === 'casework' ? judge(judged as Judged<Casework>) : [];

const JUDGES: readonly ((judged: Judged) => readonly Finding[])[] = [
  untrue,
  largerThanBoard,
  stoppedMotionFindings,
  onCasework(openingsOverBays),
  onCasework(shelfGaps),
  onCasework(shelfDepths),
  goesUnder,
  lampsShutIn,
  littleJoints,
  longSpans,
  onCasework(tipsOver),
  tooNarrow,
  layersOff,
  onCasework(thicknessOffScale),
];

/** All findings about a piece that stands, the gravest kinds first. */
export const findingsOf = (judged: Judged): readonly Finding[] => JUDGES.flatMap((judge) => judge(judged));

const shareOut = (piece: Piece, path: readonly number[]): Mend | null => {
  const cell = piece.family === 'casework' ? cellAt(piece.front, path) : undefined;
  if (cell?.kind !== 'columns' && cell?.kind !== 'rows') return null;
  const slots = cell.slots.map((slot) => ({ ...slot, size: { share: 1 } }));
  return { kind: 'share-bays', detail: '', edit: { kind: 'put-cell', id: piece.id, path, cell: { ...cell, slots } } };
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
