// The tools of a bay: what each does in words, and the key that does it while the bay is focused.
import { type Bay, type Cell, type CellPath, cellAt, type DoorCell, newCell } from '@parlor/core/piece';
import { addShelf, type BayEdit, removeBay, split, takeShelf, toggleDoor } from './bayEdits.ts';

export type BayTool = {
  readonly name: 'more' | 'less' | 'columns' | 'rows' | 'door' | 'remove';
  readonly label: string;
  readonly words: string;
  /** A word or two beside its key. */
  readonly short: string;
  readonly keys: readonly string[];
  readonly made: BayEdit | null;
};

const NEW_DOOR: DoorCell = newCell('door');

/** Every tool for a bay; `made` is null where it cannot be used. */
export const toolsFor = (front: Cell, path: CellPath): readonly BayTool[] => {
  const door = cellAt(front, path)?.kind === 'door';
  return [
    { name: 'more', label: 'shelf', words: 'a shelf more', short: 'shelf', keys: ['+', '='], made: addShelf(front, path) },
    { name: 'less', label: 'shelf', words: 'a shelf less', short: 'one less', keys: ['-', '−'], made: takeShelf(front, path) },
    {
      name: 'columns',
      label: 'split',
      words: 'an upright through the bay',
      short: 'columns',
      keys: ['c'],
      made: split(front, path, 'columns'),
    },
    { name: 'rows', label: 'split', words: 'a cross panel through the bay', short: 'rows', keys: ['r'], made: split(front, path, 'rows') },
    {
      name: 'door',
      label: door ? 'no door' : 'door',
      words: door ? 'the door taken off' : 'a door',
      short: door ? 'no door' : 'door',
      keys: ['d'],
      made: toggleDoor(front, path, NEW_DOOR),
    },
    {
      name: 'remove',
      label: 'bay',
      words: 'the bay taken out',
      short: 'take out',
      keys: ['Delete', 'Backspace'],
      made: removeBay(front, path),
    },
  ];
};

/** The tool that a key stands for. */
export const toolOfKey = (front: Cell, path: CellPath, key: string): BayTool | undefined =>
  toolsFor(front, path).find(({ keys }) => keys.some((each) => each.toLowerCase() === key.toLowerCase()));

const WAYS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

const middle = ({ space }: Bay): readonly [number, number] => [(space.x0 + space.x1) / 2, (space.y0 + space.y1) / 2];

/** The bay that lies nearest in the way an arrow points; what lies aside counts three times. */
export const bayBeside = (bays: readonly Bay[], from: Bay, key: string): Bay | undefined => {
  const way = WAYS[key];
  if (!way) return undefined;
  const [x, y] = middle(from);
  const reach = (bay: Bay): number => {
    const [dx, dy] = [middle(bay)[0] - x, middle(bay)[1] - y];
    const ahead = dx * way[0] + dy * way[1];
    return ahead <= 0 ? Number.POSITIVE_INFINITY : ahead + 3 * Math.abs(dx * way[1] + dy * way[0]);
  };
  const [best] = bays.filter((bay) => bay !== from && reach(bay) < Number.POSITIVE_INFINITY).sort((a, b) => reach(a) - reach(b));
  return best;
};
