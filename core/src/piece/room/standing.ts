// µm, doll size. The walls of one storey as they will be built: what is in them, how they meet, and what cannot be.
import { err, ok, type Result } from '../../kit/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { OPENING_WORDS } from './fields.ts';
import { lampProblem, openedIn } from './holes.ts';
import type { Opened } from './opened.ts';
import { betweenOf, isWalled, type RoomPlan, type Side, sideBetween, stripWide, turnOf } from './plan.ts';
import { sideName } from './room.ts';
import type { Wall } from './wall.ts';
import { type Span, spanOfWall } from './walls.ts';
import { boxProblem } from './wire.ts';

/** One wall of one storey as it will be built. */
export type Standing = {
  readonly wall: Wall;
  readonly id: string;
  readonly name: string;
  readonly side: Side;
  readonly span: Span;
  readonly thick: number;
  readonly opened: readonly Opened[];
};

/** How far in front of a side its face stands. */
export const faceOf = (plan: RoomPlan, wall: Wall): number => (wall.cavity > 0 && isWalled(wall) ? wall.cavity + plan.sheets.wall.one : 0);

/** Where strips were told to stand on a wall, from where to where along it. */
export const battensOf = ({ doll, strip }: RoomPlan, { battens }: Wall, length: number): readonly (readonly [number, number])[] =>
  battens.map(({ end, from, width }) => {
    const wide = stripWide(strip, doll(width));
    const left = end === 'left' ? doll(from) : length - doll(from) - wide;
    return [left, left + wide];
  });

/** Strips on a wall that stand beyond its ends, or in one another. */
const battenProblem = (plan: RoomPlan, wall: Wall, length: number, ends: readonly [number, number]): PieceProblem | undefined => {
  const battens = [...battensOf(plan, wall, length)].sort((a, b) => a[0] - b[0]);
  return battens.reduce<PieceProblem | undefined>(
    (found, [from, to], index) =>
      found ??
      lack('a strip on the wall from its end', from, ends[0]) ??
      lack('a strip on the wall in its length', length - to, ends[1]) ??
      (index > 0 ? lack('strips on the wall beside each other', from, battens[index - 1]?.[1] as number) : undefined),
    undefined,
  );
};

/** What stands in the corners at a wall's ends: a second wall of the next one, and strips. */
const endsOf = (plan: RoomPlan, faces: readonly [number, number]): readonly [number, number] => {
  const strips = Math.max(
    stripWide(plan.strip, plan.doll(plan.room.cornerStrips)),
    plan.doll(plan.room.skirting) === 0 && !plan.room.rail && !plan.room.pictureRail ? 0 : plan.strip.thick,
  );
  return [faces[0] + strips, faces[1] + strips];
};

/** A second wall runs into both corners, and these must be square and ordinary for that. */
const secondProblem = (plan: RoomPlan, index: number, sides: readonly Side[]): PieceProblem | undefined => {
  const count = sides.length;
  const [before, after] = [(index + count - 1) % count, (index + 1) % count];
  if (faceOf(plan, plan.walls[index] as Wall) === 0) return undefined;
  const square = (one: number, other: number): boolean => {
    const { sin, cos } = turnOf(sides[one] as Side, sides[other] as Side);
    return sin > 0 && Math.abs(cos) < 1e-9;
  };
  return square(before, index) && square(index, after) ? undefined : lack('a second wall between square corners', 0, 1);
};

export const standingWalls = (plan: RoomPlan, storey: number, sides: readonly Side[]): Result<readonly Standing[], PieceProblem> => {
  const { room, clear } = plan;
  const found: Standing[] = [];
  const count = sides.length;
  for (const [index, wall] of plan.walls.entries()) {
    const side = sides[index] as Side;
    const name = sideName(room, index);
    const id = `${room.id}/${storey > 0 ? `storey-${storey}-` : ''}wall-${index}`;
    const faces = [(index + count - 1) % count, (index + 1) % count].map((next) => faceOf(plan, plan.walls[next] as Wall)) as [
      number,
      number,
    ];
    const length = Math.round(side.length);
    const [left, right] = endsOf(plan, faces);
    const ends: readonly [number, number] = index === 0 ? [Math.max(left, plan.seamed[0]), Math.max(right, plan.seamed[1])] : [left, right];
    const span = spanOfWall(plan, index, sides);
    // Seen from the street a wall is as long as its outer face, with the ends of those that run past it at square corners.
    const past = (next: number): number => (room.plan === 'rectangle' ? (plan.thick[(next + count) % count] as number) : 0);
    const beyond = [Math.max(0 - span.outer[0], past(index - 1)), Math.max(span.outer[1] - length, past(index + 1))] as const;
    const opened = isWalled(wall) ? openedIn(plan, wall, id, length, clear, ends, beyond) : ok([]);
    if (!opened.ok) return opened;
    const problem =
      (isWalled(wall) ? lampProblem(plan, wall, opened.value, length, clear, ends) : undefined) ??
      (isWalled(wall) ? (battenProblem(plan, wall, length, ends) ?? boxProblem(plan, wall, opened.value, length, ends)) : undefined) ??
      secondProblem(plan, index, sides) ??
      foldProblem(plan, wall, side, opened.value);
    if (problem) return err(problem);
    found.push({ wall, id, name, side, span, thick: plan.thick[index] as number, opened: opened.value });
  }
  return ok(found);
};

export const dividers = (plan: RoomPlan, storey: number, depth: number): Result<readonly Standing[], PieceProblem> => {
  const found: Standing[] = [];
  for (const [index, wall] of betweenOf(plan).entries()) {
    const x = plan.cells[index]?.x1 as number;
    const far = x + plan.sheets.wall.thickness;
    const side = wall.seen === 'left' ? sideBetween([x, 0], [x, depth]) : sideBetween([far, depth], [far, 0]);
    const id = `${plan.room.id}/${storey > 0 ? `storey-${storey}-` : ''}between-${index}`;
    const faces = [faceOf(plan, plan.walls[0] as Wall), faceOf(plan, plan.walls[2] as Wall)] as const;
    const ends = endsOf(plan, faces);
    const opened = openedIn(plan, { ...wall, kind: 'wall' }, id, depth, plan.clear, ends);
    if (!opened.ok) return opened;
    const problem = lampProblem(plan, wall, opened.value, depth, plan.clear, ends) ?? battenProblem(plan, wall, depth, ends);
    if (problem) return err(problem);
    const span: Span = { outer: [0, depth], inner: [0, depth] };
    found.push({ wall, id, name: 'wall between', side, span, thick: plan.sheets.wall.thickness, opened: opened.value });
  }
  return ok(found);
};

/** Where a wall is scored to fold, along its side from the left; nought when it is not. */
export const foldOf = ({ doll }: RoomPlan, { fold, foldEnd }: Wall, { length }: Side): number => {
  const from = doll(fold);
  return from === 0 ? 0 : Math.round(foldEnd === 'left' ? from : length - from);
};

/** A fold that is not in its wall, or goes through what is in it. */
const foldProblem = (plan: RoomPlan, wall: Wall, side: Side, opened: readonly Opened[]): PieceProblem | undefined => {
  const at = foldOf(plan, wall, side);
  if (at === 0 || wall.kind === 'shop') return undefined;
  const t = plan.sheets.wall.thickness;
  const through = opened.find(({ x0, x1, border }) => at > x0 - border - t && at < x1 + border + t);
  return (
    lack('the fold from the wall’s end', Math.min(at, Math.round(side.length) - at), t) ??
    (through ? lack(`the fold beside ${OPENING_WORDS[through.opening.form]}`, 0, 1) : undefined)
  );
};

/** Walls between cells must not end in an opening of the wall behind them. */
export const partingClear = (plan: RoomPlan, walls: readonly Standing[]): PieceProblem | undefined => {
  const t = plan.sheets.wall.thickness;
  const strip = plan.strip.thick + stripWide(plan.strip, plan.doll(plan.room.cornerStrips));
  const width = plan.cells.at(-1)?.x1 ?? 0;
  for (const { x1 } of plan.cells.slice(0, -1)) {
    for (const index of [0, 2]) {
      for (const { opening, x0: from, x1: to, border } of walls[index]?.opened ?? []) {
        const [a, b] = index === 0 ? [from, to] : [width - to, width - from];
        const room = Math.max(x1 - strip - (b + border), a - border - (x1 + t + strip));
        const problem = lack(`${OPENING_WORDS[opening.form]} beside a wall between cells`, room + strip, strip);
        if (problem) return problem;
      }
    }
  }
  return undefined;
};
