// What can be built of a room that cannot be built as it is decided.
import { err, ok, type Result } from '../../kit/index.ts';
import { dollUm, isDollSize, type Measure, realUm } from '../../measure/index.ts';
import type { BuiltWithout, LeftMend, LeftOut } from '../family/leftOut.ts';
import type { Means } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import { buildRoom } from './buildRoom.ts';
import { OPENING_WORDS } from './fields.ts';
import { type Room, sideName } from './room.ts';
import type { Wall, WallOpening } from './wall.ts';

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

/** The room without the openings that there is no room for. */
export const roomWithout = (room: Room, means: Means): Result<BuiltWithout<Room>, PieceProblem> => {
  const refs: { readonly ref: Ref; readonly opening: WallOpening }[] = [];
  let kept = withOpenings(room, (ref, opening) => {
    refs.push({ ref, opening });
    return null;
  });
  if (refs.length === 0) return err({ code: 'too-small', direction: 'width', available: 0, needed: 0 });
  let built = buildRoom(kept, means);
  if (!built.ok) return built;
  const held: Ref[] = [];
  const withOnly = (more: Ref): Room =>
    withOpenings(room, (ref, opening) => (same(ref, more) || held.some((each) => same(each, ref)) ? opening : null));
  const left: LeftOut<Room>[] = [];
  for (const { ref, opening } of refs) {
    const tried = withOnly(ref);
    const found = buildRoom(tried, means);
    if (found.ok) {
      held.push(ref);
      [kept, built] = [tried, found];
      continue;
    }
    const eased = easings(opening).find(
      ([, easier]) =>
        buildRoom(
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
