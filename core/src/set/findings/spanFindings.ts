// µm. Lying boards that run farther than they carry themselves.
import { type Box, outlineOf, type Part } from '../../assembly/index.ts';
import { type DollUm, dollUm } from '../../measure/index.ts';
import { type Cell, hasBays, isRoom, spanRoleOf } from '../../piece/index.ts';
import { normalOf } from '../../shape/index.ts';
import type { Piece } from '../document/document.ts';
import type { PieceChange } from '../document/edit.ts';
import type { Finding, Mend } from './finding.ts';
import { idsOf, type Judged, mendPiece, tagged } from './judged.ts';

/** Foam board carries forty times its thickness between its ends, twice that along a glued edge, before it sags by itself. Common
 *  practice, no source. */
const SPAN = 40;

/** Clear sheet carries so many times its thickness. Common practice, no source. */
const CLEAR_SPAN = 60;
/** Thicknesses of clear sheet, in µm: film, packaging, acetate, and plastic that is scored and snapped. Common practice, no source. */
const CLEAR_SHEETS = [500, 1_000, 1_500, 2_000, 3_000, 4_000, 5_000, 6_000];

/** One that is glued along a long edge and no deeper than twenty times its thickness does not sag, however long. Common practice, no source. */
const LEDGE = 20;

type Gap = { readonly span: number; readonly edges: 0 | 1 | 2 };

/** The longest stretch of a lying board (all its layers) between what carries it, and how many of its long edges are carried too. */
const longestGap = ({ built, inspection }: Judged, mine: ReadonlySet<number>, box: Box): Gap => {
  const [axis, across] = box.max[0] - box.min[0] >= box.max[2] - box.min[2] ? ([0, 2] as const) : ([2, 0] as const);
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
    const middle = outline.reduce((sum, point) => sum + point[across], 0) / outline.length;
    return [{ from: Math.min(...along), to: Math.max(...along), low: middle < (box.min[across] + box.max[across]) / 2 }];
  });
  const long = spans.filter(({ from, to }) => to - from > (end - start) / 2);
  const edges = new Set(long.map(({ low }) => low)).size as Gap['edges'];
  const carried = spans.filter(({ from, to }) => to - from <= (end - start) / 2).sort((p, q) => p.from - q.from);
  let [reached, longest] = [start, 0];
  for (const { from, to } of carried) {
    longest = Math.max(longest, from - reached);
    reached = Math.max(reached, to);
  }
  return { span: Math.max(longest, end - reached), edges };
};

const withSheet = (cell: Cell, sheet: DollUm): Cell => {
  if (cell.kind === 'shelves') return cell.made === 'clear' && cell.sheet < sheet ? { ...cell, sheet } : cell;
  if (cell.kind === 'door') return { ...cell, behind: withSheet(cell.behind, sheet) };
  return 'slots' in cell ? { ...cell, slots: cell.slots.map((slot) => ({ ...slot, cell: withSheet(slot.cell, sheet) })) } : cell;
};

/** All glass shelves of a casework from sheet of this thickness, or the next that is to be had. */
const thickerSheet = (piece: Piece, wanted: number): Mend | null => {
  const sheet = CLEAR_SHEETS.find((each) => each >= wanted);
  if (!hasBays(piece) || !sheet) return null;
  return mendPiece(piece, 'thicker-sheet', { front: withSheet(piece.front, dollUm(sheet)) }, '', sheet);
};

type Sagging = { readonly span: number; readonly most: number; readonly layers: readonly number[]; readonly mend: Mend | null };

/** A board, by all its layers, that runs farther than it carries itself; what lies on the floor is carried everywhere. */
const saggingOf = (judged: Judged, layers: readonly number[]): Sagging | undefined => {
  const { piece, built } = judged;
  const part = built.assembly.parts[layers[0] as number] as Part;
  const thickness = part.thickness * layers.length;
  const bears = part.stuff === 'clear' ? CLEAR_SPAN : SPAN;
  const box = judged.inspection.boxes[layers[0] as number] as Box;
  const [size, deep] = [box.max[0] - box.min[0], box.max[2] - box.min[2]].toSorted((a, b) => b - a) as [number, number];
  if (size <= bears * thickness || box.min[1] <= 0) return undefined;
  const gap = longestGap(judged, new Set(layers), box);
  if (gap.edges > 0 && deep <= LEDGE * thickness) return undefined;
  // Carried on all sides it is as stiff as its shorter side lets it be.
  const span = gap.edges === 2 ? Math.min(gap.span, deep) : gap.span;
  const most = bears * thickness * (gap.edges > 0 ? 2 : 1);
  if (span <= most) return undefined;
  if (part.stuff === 'clear') return { span, most, layers, mend: thickerSheet(piece, (span / most) * thickness) };
  const role = spanRoleOf(piece, part);
  const thick = role
    ? ({ thick: { ...piece.thick, [role]: { doll: (layers.length + 1) * part.thickness } } } as unknown as PieceChange)
    : null;
  return { span, most, layers, mend: thick && layers.length < 6 ? mendPiece(piece, 'glue-up', thick, String(layers.length + 1)) : null };
};

const LYING = new Set(['shelf', 'top', 'bottom', 'worktop', 'divider']);

export const longSpans = (judged: Judged): readonly Finding[] => {
  const { piece, built } = judged;
  const { parts } = built.assembly;
  const boards = new Map<string, number[]>();
  parts.forEach((part, index) => {
    if (!LYING.has(part.role) || !(part.stuff === 'board' || part.stuff === 'clear') || Math.abs(normalOf(part.pose)[1]) !== 1) return;
    // A room's ground floor lies on the table, or on what lifts it to be level with the next one.
    if (isRoom(piece) && part.role === 'bottom' && !part.id.includes('/storey-')) return;
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
    clear: built.assembly.parts[layers[0] as number]?.stuff === 'clear',
    numbers: { span, most },
    where: { pieceId: piece.id, partIds: idsOf(built.assembly, layers) },
    mend,
  }));
};
