import type { Part } from '../../assembly/index.ts';
import { differs } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import type { Field } from '../family/field.ts';
import { size } from '../family/fields.ts';
import { buildCasework } from './buildCasework.ts';
import { type Casework, caseworkModel } from './casework.ts';
import { type Cell, type CellPath, cellsOf, childrenOf, mirroredCell } from './cell.ts';
import { CASEWORK_FIELDS } from './fields.ts';
import { caseworkOffers } from './offers.ts';
import { CASEWORK_PRESETS } from './presets.ts';
import { caseworkWithout } from './without.ts';

const mirroredCasework = (piece: Casework): Casework => ({
  ...piece,
  front: mirroredCell(piece.front),
  worktop: piece.worktop && { ...piece.worktop, left: piece.worktop.right, right: piece.worktop.left },
  holes: piece.holes.map((hole) =>
    hole.panel === 'left' || hole.panel === 'right' ? { ...hole, panel: hole.panel === 'left' ? 'right' : 'left' } : hole,
  ),
});

/** How many bays, shelves, doors and drawers a front has, counted over the whole tree. */
const counts = (piece: Casework) => {
  const cells = cellsOf(piece.front).map(({ cell }) => cell);
  const shelves = cells.reduce((sum, cell) => sum + (cell.kind === 'shelves' ? cell.count : 0), 0);
  const doors = cells.reduce((sum, cell) => sum + (cell.kind === 'door' ? (cell.hinge === 'pair' ? 2 : 1) : 0), 0);
  const drawers = cells.reduce((sum, cell) => sum + (cell.kind === 'drawers' ? cell.count : 0), 0);
  const bays = cells.filter(({ kind }) => kind !== 'columns' && kind !== 'rows' && kind !== 'door').length;
  return { bays, shelves, doors, drawers };
};

const frontChanges = (was: Casework, is: Casework): readonly string[] => {
  const [before, after] = [counts(was), counts(is)];
  const counted = (['bays', 'shelves', 'doors', 'drawers'] as const)
    .filter((word) => before[word] !== after[word])
    .map((word) => `${word} ${before[word]} → ${after[word]}`);
  return counted.length > 0 ? counted : differs('the bays of its front', was.front, is.front);
};

/** The clear size of every bay that has one stated. */
const slotFields = (cell: Cell, path: CellPath = [], way: readonly string[] = ['front']): readonly Field[] =>
  childrenOf(cell).flatMap((child, index) => {
    const slot = cell.kind === 'columns' || cell.kind === 'rows' ? cell.slots[index] : undefined;
    const here = slot ? [...way, 'slots', String(index)] : way;
    const own: readonly Field[] =
      slot && 'clear' in slot.size
        ? [
            {
              path: [...here, 'size', 'clear'],
              label: `Clear ${cell.kind === 'columns' ? 'width' : 'height'} of bay ${[...path, index].join('.')}`,
              group: 'size',
              kind: size(1, 10_000),
            },
          ]
        : [];
    return [...own, ...slotFields(child, [...path, index], [...here, slot ? 'cell' : 'behind'])];
  });

/** The board's role that a lying part is cut from, where layers of it can be glued up. */
const SPAN_ROLES: Readonly<Record<string, string>> = {
  shelf: 'inner',
  divider: 'inner',
  worktop: 'worktop',
  top: 'carcass',
  bottom: 'carcass',
};

export const CASEWORK = defineFamily<Casework>({
  model: caseworkModel,
  fields: CASEWORK_FIELDS,
  presets: CASEWORK_PRESETS,
  editors: { fittings: ['openings', 'holes'] },
  groups: { build: 'How it is built: corners, back, base, standing', fittings: 'Worktop, frame, double walls, lamps' },
  build: buildCasework,
  mirrored: mirroredCasework,
  inner: ({ front }) => slotFields(front),
  without: caseworkWithout,
  offers: caseworkOffers,
  spanRole: ({ role }: Part) => SPAN_ROLES[role],
  changes: frontChanges,
});
