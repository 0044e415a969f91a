// Pieces as makers might decide them: a preset with any of its fields changed, by seed.
import { seededRandom } from '../kit/index.ts';
import { dollUm, realUm } from '../measure/index.ts';
import { type Board, EDGED_STICKS, ROUND_STICKS, STICK_NAMES } from '../stock/index.ts';
import {
  BATTEN_FIELDS,
  CELL_FIELDS,
  type Cell,
  CORNERS,
  type Field,
  fieldsOf,
  fromPreset,
  isFieldShown,
  LAYER_FIELDS,
  newCell,
  type Piece,
  PRESETS,
  ROOM_FIELDS,
  SECTION_FIELDS,
  type Shell,
  valueAt,
  WALL_FIELDS,
  WALL_OPENING_FIELDS,
  type Wall,
  withValueAt,
} from './index.ts';

type Random = () => number;
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

/** A value for a field: sizes stretched about as it was, everything else from all it may be. */
const another = (field: Field, value: unknown, random: Random): unknown => {
  const { kind } = field;
  const stretched = (um: number): number => Math.round(um * (0.75 + random() * 0.6));
  switch (kind.kind) {
    case 'size': {
      const doll = typeof value === 'object' && value !== null ? (value as { doll: number }).doll : null;
      if (doll !== null) return { doll: dollUm(stretched(doll)) };
      const next = Math.min(kind.max, Math.max(kind.min, value === 0 ? Math.round(random() * 90_000) : stretched(value as number)));
      return random() < 0.1 && next > 600 ? { doll: dollUm(Math.round(next / 6)) } : realUm(next);
    }
    case 'sizes':
      return (value as readonly number[]).map((each) => (typeof each === 'number' ? realUm(stretched(each)) : each));
    case 'doll-size':
      return dollUm(Math.min(kind.max, Math.max(kind.min, Math.round((value as number) * (0.5 + random()) + random() * 400))));
    case 'count':
      return Math.min(kind.max, kind.min + Math.floor(random() * 5));
    case 'choice':
      return pick(random, kind.options).value;
    case 'yes':
      return random() < 0.5;
    case 'stick':
      return pick(random, kind.only === 'edged' ? EDGED_STICKS : kind.only === 'round' ? ROUND_STICKS : STICK_NAMES);
    case 'layers':
      return random() < 0.8 ? null : { doll: dollUm(Math.round(3_000 + random() * 9_000)) };
    case 'optional':
      return random() < 0.5 ? null : kind.make;
    case 'board':
      return value;
  }
};

const changed = <T>(owner: T, fields: readonly Field[], random: Random, share: number): T =>
  fields.reduce((now, field) => {
    if (random() > share || !isFieldShown(field, now)) return now;
    const value = valueAt(now, field.path);
    return value === undefined || (value === null && field.kind.kind === 'size')
      ? now
      : withValueAt(now, field.path, another(field, value, random));
  }, owner);

const LEAVES = ['open', 'shelves', 'drawers', 'slides', 'plate'] as const;

const changedCell = (cell: Cell, random: Random, behindDoor = false): Cell => {
  if (cell.kind === 'columns' || cell.kind === 'rows')
    return { ...cell, slots: cell.slots.map((slot) => ({ ...slot, cell: changedCell(slot.cell, random, behindDoor) })) };
  // Now and then a bay becomes one of another kind; no fixed front goes behind a door.
  const swapped = cell.kind !== 'door' && random() < 0.2 ? newCell(pick(random, LEAVES.slice(0, behindDoor ? 4 : 5))) : cell;
  const now = changed(swapped, CELL_FIELDS[swapped.kind], random, 0.3);
  return now.kind === 'door' ? { ...now, behind: changedCell(now.behind, random, true) } : now;
};

const changedWall = (wall: Wall, random: Random): Wall => ({
  ...changed(wall, WALL_FIELDS, random, 0.15),
  battens: wall.battens.map((batten) => changed(batten, BATTEN_FIELDS, random, 0.3)),
  openings: wall.openings.map((opening) => changed(opening, WALL_OPENING_FIELDS, random, 0.2)),
});

const changedShell = <S extends Shell>(shell: S, random: Random): S => ({
  ...shell,
  walls: shell.walls.map((wall) => changedWall(wall, random)),
  between: shell.between.map((wall) => changedWall(wall, random)),
  corners: shell.corners.map((corner) => (random() < 0.2 ? pick(random, CORNERS) : corner)),
});

/** A preset, by its number, with a share of its decisions made anew. */
export const randomPiece = (preset: number, seed: number): Piece => {
  const random = seededRandom(seed * 7919 + preset);
  const piece = fromPreset(PRESETS[preset % PRESETS.length] as (typeof PRESETS)[number], 'p', 1);
  const now = changed(piece, fieldsOf(piece), random, 0.25);
  if (now.family === 'casework') return { ...now, front: changedCell(now.front, random) };
  if (now.family === 'round') return { ...now, sections: now.sections.map((section) => changed(section, SECTION_FIELDS, random, 0.3)) };
  if (now.family === 'room')
    return {
      ...changedShell(now, random),
      shells: now.shells.map(({ gap, shell }) => ({
        gap: random() < 0.5 ? gap : dollUm(Math.round(random() * 9_000)),
        shell: changedShell(changed(shell, ROOM_FIELDS, random, 0.2), random),
      })),
    };
  if (now.family === 'stack') return { ...now, layers: now.layers.map((layer) => changed(layer, LAYER_FIELDS, random, 0.2)) };
  return now;
};

/** A board of this thickness in micrometres. */
export const boardOf = (thickness: number, id = 'white'): Board => ({
  id,
  name: id,
  faces: 'alike',
  nominal: dollUm(thickness),
  measured: null,
  grain: 'none',
  sheets: [{ name: '20 × 30 in', width: dollUm(20 * 25_400), height: dollUm(30 * 25_400), price: null, atHand: 0 }],
  offcuts: [],
});
