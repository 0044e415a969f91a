// µm. Doors that do not swing and drawers that do not slide, and what would free them.

import { edgeClearance, type Motion, type Part, type Stopped } from '../../assembly/index.ts';
import { dollUm, UM } from '../../measure/index.ts';
import { cellAt, type DoorCell, frontOf } from '../../piece/index.ts';
import { bounds } from '../../shape/index.ts';
import type { Piece } from '../document/document.ts';
import type { Finding, Mend } from './finding.ts';
import { indexOf, type Judged, tagged } from './judged.ts';

/** The path of the cell that a part's id was made from: `piece/door-0-1-left` stands at 0, 1. */
const pathOf = (id: string): readonly number[] =>
  (/\/door((?:-\d+)*)-(?:left|right|bottom|top)$/.exec(id)?.[1] ?? '').split('-').slice(1).map(Number);

const tenthUp = (um: number): number => Math.ceil(um / 100) * 100;

const thicknessOfGroup = (motion: Motion, parts: readonly Part[]): number =>
  parts.filter((part) => motion.parts.includes(part.id) && part.role !== 'fitting').reduce((sum, part) => sum + part.thickness, 0);

/** What frees a door: pins further in or a wider gap where its corner sticks, sitting inside where it hits its neighbour. */
const freeing = (piece: Piece, cell: DoorCell, path: readonly number[], door: Part, thick: number): Mend | null => {
  const put = (kind: Mend['kind'], change: Partial<DoorCell>, size?: number): Mend => ({
    kind,
    detail: '',
    size,
    edit: { kind: 'put-cell', id: piece.id, path, cell: { ...cell, ...change } },
  });
  const { x1, y1 } = bounds(door.region.outline);
  const wide = cell.hinge === 'bottom' || cell.hinge === 'top' ? y1 : x1;
  if (cell.hang === 'pins') {
    // √(a² + (t/2)²) = a + gap  ⇒  a = ((t/2)² − gap²) ÷ (2·gap).
    const gap = Math.max(cell.gap, 300);
    const pin = tenthUp(((thick / 2) ** 2 - gap ** 2) / (2 * gap)) + 100;
    return pin > cell.pin && pin < wide / 2 ? put('move-pin', { pin: dollUm(pin) }, pin) : null;
  }
  const gap = tenthUp(edgeClearance(wide, thick)) + 100;
  if (cell.fit === 'overlay') return put('sit-inside', { fit: 'inset', gap: dollUm(Math.max(gap, cell.gap)) });
  return gap > cell.gap && gap <= 5 * UM.mm ? put('widen-gap', { gap: dollUm(gap) }, gap) : null;
};

const stoppedOne = (judged: Judged, stopped: Stopped): Finding => {
  const { piece, built } = judged;
  const motion = built.assembly.motions[stopped.motion] as Motion;
  const door = built.assembly.parts.find(({ id }) => id === motion.door) as Part;
  const thick = thicknessOfGroup(motion, built.assembly.parts);
  const path = pathOf(motion.door);
  const front = frontOf(piece);
  const cell = front && cellAt(front, path);
  const swings = motion.kind === 'swing' && cell?.kind === 'door';
  const { x1, y1 } = bounds(door.region.outline);
  return {
    code: 'door-stopped',
    severity: 'warning',
    part: tagged(judged, indexOf(judged, motion.door)),
    by: tagged(judged, indexOf(judged, stopped.by)),
    slides: motion.kind === 'slide',
    numbers: {
      degrees: Math.round((stopped.after * 180) / Math.PI),
      needed: Math.ceil(edgeClearance(cell?.kind === 'door' && (cell.hinge === 'bottom' || cell.hinge === 'top') ? y1 : x1, thick)),
      has: cell?.kind === 'door' ? cell.gap : 0,
    },
    where: { pieceId: piece.id, partIds: [motion.door, stopped.by], ...(swings && { bay: path }) },
    mend: swings ? freeing(piece, cell, path, door, thick) : null,
  };
};

/** A finding for each door, drawer and tray that something stops. */
export const stoppedMotionFindings = (judged: Judged): readonly Finding[] =>
  judged.inspection.stopped.map((each) => stoppedOne(judged, each));
