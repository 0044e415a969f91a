// What can be built of casework that cannot be built as it is decided.
import { ok, type Result } from '../../kit/index.ts';
import type { BuiltWithout, LeftOut } from '../family/leftOut.ts';
import type { Means } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import { buildCasework } from './buildCasework.ts';
import type { Casework } from './casework.ts';
import { type Cell, type CellPath, childrenOf, newCell, withCellAt } from './cell.ts';

/** The front as far as it can be built: from above downwards, each cell as it is decided, else with its inner cells open, else open itself. */
export const caseworkWithout = (piece: Casework, means: Means): Result<BuiltWithout<Casework>, PieceProblem> => {
  const open = newCell('open');
  const put = (front: Cell): Casework => ({ ...piece, front });
  let front: Cell = open;
  let built = buildCasework(put(front), means);
  if (!built.ok) return built;
  const left: LeftOut<Casework>[] = [];
  const take = (path: CellPath, cell: Cell): PieceProblem | null => {
    const tried = withCellAt(front, path, cell);
    const found = buildCasework(put(tried), means);
    if (!found.ok) return found.error;
    [front, built] = [tried, found];
    return null;
  };
  const fill = (path: CellPath, cell: Cell): void => {
    const problem = take(path, cell);
    if (!problem) return;
    const inner = childrenOf(cell);
    const bare = inner.reduce<Cell>((shell, _, index) => withCellAt(shell, [index], open), cell);
    if (inner.length > 0 && take(path, bare) === null) {
      for (const [index, child] of inner.entries()) fill([...path, index], child);
      return;
    }
    const mended = put(withCellAt(piece.front, path, open));
    left.push({
      name: path.length === 0 ? 'the front' : `bay ${path.map((at) => at + 1).join('.')}`,
      bay: path,
      opening: null,
      problem,
      mend: 'take-out',
      mended,
    });
  };
  fill([], piece.front);
  return built.ok ? ok({ piece: put(front), built: built.value, left }) : built;
};
