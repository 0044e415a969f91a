// What can be built of a piece that cannot be built as it is decided: without the openings, or the bays, for which there is no room. Each that is
// left out is named, with why, and with what would mend it.
import { err, ok, type Result } from '../kit/index.ts';
import { dollUm, isDollSize, type Measure, realUm } from '../measure/index.ts';
import { buildPiece } from './building.ts';
import type { Casework } from './casework/casework.ts';
import { type Cell, type CellPath, childrenOf, newCell, withCellAt } from './casework/cell.ts';
import type { Piece } from './families.ts';
import type { Built } from './kit/built.ts';
import type { Means } from './kit/means.ts';
import type { PieceProblem } from './kit/problem.ts';
import { OPENING_WORDS } from './room/fields.ts';
import { type Room, sideName } from './room/room.ts';
import type { Wall, WallOpening } from './room/wall.ts';

/** What mends it: moved along its wall, lowered, made smaller, or taken out. */
export type LeftMend = 'opening-moved' | 'opening-lowered' | 'opening-smaller' | 'take-out';

/** Something that was left out: what it is, the bay it is where it is one, why it cannot be built, and the piece with it mended. */
export type LeftOut = {
  readonly name: string;
  readonly bay: CellPath | null;
  /** The opening it is, where it is one of an outer wall: its shell, the wall of that, which of the wall's. */
  readonly opening: { readonly shell: number; readonly wall: number; readonly index: number } | null;
  readonly problem: PieceProblem;
  readonly mend: LeftMend;
  readonly mended: Piece;
};

/** A piece as far as it can be built, and what was left out. */
export type BuiltWithout = { readonly piece: Piece; readonly built: Built; readonly left: readonly LeftOut[] };

/** Where an opening is: in which shell, in the wall of which list, and which of that wall's. */
type Ref = { readonly shell: number; readonly list: 'walls' | 'between'; readonly wall: number; readonly opening: number };

const same = (a: Ref, b: Ref): boolean => a.shell === b.shell && a.list === b.list && a.wall === b.wall && a.opening === b.opening;

/** A room in which every opening is changed, or dropped where nothing is given back. */
const withOpenings = (room: Room, change: (ref: Ref, opening: WallOpening) => WallOpening | null): Room => {
  const inWalls = (walls: readonly Wall[], shell: number, list: Ref['list']): readonly Wall[] =>
    walls.map((wall, at) => ({
      ...wall,
      openings: wall.openings.flatMap((each, opening) => change({ shell, list, wall: at, opening }, each) ?? []),
    }));
  const inShell = <S extends Pick<Room, 'walls' | 'between'>>(shell: S, number: number): S => ({
    ...shell,
    walls: inWalls(shell.walls, number, 'walls'),
    between: inWalls(shell.between, number, 'between'),
  });
  return inShell({ ...room, shells: room.shells.map((joined, at) => ({ ...joined, shell: inShell(joined.shell, at + 1) })) }, 0);
};

const times = (measure: Measure, share: number): Measure =>
  isDollSize(measure) ? { doll: dollUm(Math.round(measure.doll * share)) } : realUm(Math.round(measure * share));

/** Ways to make an opening fit, what changes least first. */
const easings = (opening: WallOpening): readonly (readonly [LeftMend, WallOpening])[] => [
  ...[0.5, 1.5, 0.25, 2, 3].map((share) => ['opening-moved', { ...opening, from: times(opening.from, share) }] as const),
  ...[0.75, 0.5, 0.25].map((share) => ['opening-lowered', { ...opening, up: times(opening.up, share) }] as const),
  ...[0.9, 0.75, 0.6, 0.45, 0.3].map(
    (share) => ['opening-smaller', { ...opening, width: times(opening.width, share), height: times(opening.height, share) }] as const,
  ),
];

const nameOf = (room: Room, { shell, list, wall, opening }: Ref, form: WallOpening['form']): string => {
  const of = shell === 0 ? '' : ` of shell ${shell + 1}`;
  const owner = shell === 0 ? room : { plan: room.shells[shell - 1]?.shell.plan ?? room.plan };
  const count = (shell === 0 ? room : room.shells[shell - 1]?.shell)?.[list][wall]?.openings.length ?? 1;
  const which = count > 1 ? `, opening ${opening + 1}` : '';
  return `the ${OPENING_WORDS[form].replace(/^an? /, '')} in the ${list === 'between' ? 'wall between' : sideName(owner, wall)}${of}${which}`;
};

const roomWithout = (room: Room, means: Means): Result<BuiltWithout, PieceProblem> => {
  const refs: { readonly ref: Ref; readonly opening: WallOpening }[] = [];
  let kept = withOpenings(room, (ref, opening) => {
    refs.push({ ref, opening });
    return null;
  });
  if (refs.length === 0) return err({ code: 'too-small', direction: 'width', available: 0, needed: 0 });
  let built = buildPiece(kept, means);
  if (!built.ok) return built;
  const held: Ref[] = [];
  const withOnly = (more: Ref): Room =>
    withOpenings(room, (ref, opening) => (same(ref, more) || held.some((each) => same(each, ref)) ? opening : null));
  const left: LeftOut[] = [];
  for (const { ref, opening } of refs) {
    const tried = withOnly(ref);
    const found = buildPiece(tried, means);
    if (found.ok) {
      held.push(ref);
      [kept, built] = [tried, found];
      continue;
    }
    const eased = easings(opening).find(
      ([, easier]) =>
        buildPiece(
          withOpenings(tried, (_, each) => (each === opening ? easier : each)),
          means,
        ).ok,
    );
    const mended = withOpenings(room, (at, each) => (same(at, ref) ? (eased?.[1] ?? null) : each));
    left.push({
      name: nameOf(room, ref, opening.form),
      bay: null,
      opening: ref.list === 'walls' ? { shell: ref.shell, wall: ref.wall, index: ref.opening } : null,
      problem: found.error,
      mend: eased?.[0] ?? 'take-out',
      mended,
    });
  }
  return built.ok ? ok({ piece: kept, built: built.value, left }) : built;
};

/** The front as far as it can be built: from above downwards, each cell as it is decided, else with its inner cells open, else open itself. */
const caseWithout = (piece: Casework, means: Means): Result<BuiltWithout, PieceProblem> => {
  const open = newCell('open');
  const put = (front: Cell): Casework => ({ ...piece, front });
  let front: Cell = open;
  let built = buildPiece(put(front), means);
  if (!built.ok) return built;
  const left: LeftOut[] = [];
  const take = (path: CellPath, cell: Cell): PieceProblem | null => {
    const tried = withCellAt(front, path, cell);
    const found = buildPiece(put(tried), means);
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

/** Builds what can be built of a piece that cannot be built whole.
 *  Shape: piece, means → it without what does not fit, and what that is. Errors: where nothing of it can be built, or its family has no parts to do without. */
export const buildWithout = (piece: Piece, means: Means, problem: PieceProblem): Result<BuiltWithout, PieceProblem> => {
  const found = piece.family === 'room' ? roomWithout(piece, means) : piece.family === 'casework' ? caseWithout(piece, means) : undefined;
  return found?.ok && found.value.left.length > 0 ? found : err(problem);
};
