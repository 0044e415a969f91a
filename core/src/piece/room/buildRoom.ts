// µm, doll size. A room's shell: floors, walls, what is in the walls, strips on them, a ceiling.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { asSimple, type Point, type Region, type Vec3 } from '../../shape/index.ts';
import type { Built, SizeMark } from '../kit/built.ts';
import type { Means, Sheeting } from '../kit/means.ts';
import { movedParts } from '../kit/parts.ts';
import { lack, type PieceProblem } from '../kit/problem.ts';
import { single } from '../kit/put.ts';
import { OPENING_WORDS } from './fields.ts';
import { cutsFor, lampProblem, type Opened, openedIn, putInto } from './holes.ts';
import { type At, betweenOf, isWalled, movedOut, planOf, pointAt, type RoomPlan, type Side, sideBetween, sidesOf, turnOf } from './plan.ts';
import { type Room, sideName, type Wall } from './room.ts';
import { type Seen, trimsOf } from './trims.ts';
import { type Span, spanOfWall, wallBoards } from './walls.ts';

type Made = { readonly parts: Part[]; readonly motions: Motion[]; readonly reach: Vec3[] };

/** A board that lies: a ring of the plan, from a height on. */
const lying = (ring: readonly At[], y: number, sheet: Sheeting, id: string, role: 'bottom' | 'top', name: string): readonly Part[] => {
  const outline = ring.map(([x, z]): Point => [x, 0 - z]).toReversed();
  return Array.from({ length: sheet.layers }, (_, layer): Part => {
    const several = sheet.layers > 1 ? `, layer ${layer + 1}` : '';
    return {
      id: sheet.layers > 1 ? `${id}~${layer + 1}` : id,
      role,
      name: `${name}${several}`,
      stuff: 'board',
      stock: sheet.board,
      thickness: sheet.one,
      region: { outline, holes: [] },
      pose: { origin: [0, y + layer * sheet.one, 0], u: [1, 0, 0], v: [0, 0, -1] },
      grain: 'x',
      held: 'glue',
      length: null,
      centres: [],
    };
  });
};

/** One wall of one storey as it will be built. */
type Standing = {
  readonly wall: Wall;
  readonly id: string;
  readonly name: string;
  readonly side: Side;
  readonly span: Span;
  readonly thick: number;
  readonly opened: readonly Opened[];
};

/** How far in front of a side its face stands. */
const faceOf = (plan: RoomPlan, wall: Wall): number => (wall.cavity > 0 && isWalled(wall) ? wall.cavity + plan.sheets.wall.one : 0);

/** What stands in the corners at a wall's ends: a second wall of the next one, and strips. */
const endsOf = (plan: RoomPlan, faces: readonly [number, number]): readonly [number, number] => {
  const strips = Math.max(
    plan.doll(plan.room.cornerStrips),
    plan.doll(plan.room.skirting) === 0 && !plan.room.rail ? 0 : single(plan.sheets.trim).one,
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

const standingWalls = (plan: RoomPlan, storey: number, sides: readonly Side[]): Result<readonly Standing[], PieceProblem> => {
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
    const opened = isWalled(wall) ? openedIn(plan, wall, id, Math.round(side.length), clear, endsOf(plan, faces)) : ok([]);
    if (!opened.ok) return opened;
    const problem =
      (isWalled(wall) ? lampProblem(plan, wall, opened.value, Math.round(side.length), clear) : undefined) ??
      secondProblem(plan, index, sides) ??
      foldProblem(plan, wall, side, opened.value);
    if (problem) return err(problem);
    found.push({ wall, id, name, side, span: spanOfWall(plan, index, sides), thick: plan.thick[index] as number, opened: opened.value });
  }
  return ok(found);
};

const dividers = (plan: RoomPlan, storey: number, depth: number): Result<readonly Standing[], PieceProblem> => {
  const found: Standing[] = [];
  for (const [index, wall] of betweenOf(plan).entries()) {
    const x = plan.cells[index]?.x1 as number;
    const far = x + plan.sheets.wall.thickness;
    const side = wall.seen === 'left' ? sideBetween([x, 0], [x, depth]) : sideBetween([far, depth], [far, 0]);
    const id = `${plan.room.id}/${storey > 0 ? `storey-${storey}-` : ''}between-${index}`;
    const faces = [faceOf(plan, plan.walls[0] as Wall), faceOf(plan, plan.walls[2] as Wall)] as const;
    const opened = openedIn(plan, { ...wall, kind: 'wall' }, id, depth, plan.clear, endsOf(plan, faces));
    if (!opened.ok) return opened;
    const problem = lampProblem(plan, wall, opened.value, depth, plan.clear);
    if (problem) return err(problem);
    const span: Span = { outer: [0, depth], inner: [0, depth] };
    found.push({ wall, id, name: 'wall between', side, span, thick: plan.sheets.wall.thickness, opened: opened.value });
  }
  return ok(found);
};

const ROLE = ['back', 'side', 'last side', 'side'] as const;

/** Where a wall is scored to fold, along its side from the left; nought when it is not. */
const foldOf = ({ doll }: RoomPlan, { fold, foldEnd }: Wall, { length }: Side): number => {
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

/** A wall, what is in it, and a second one before it. */
const addWall = (
  plan: RoomPlan,
  made: Made,
  standing: Standing,
  low: number,
  floor: number,
  ends: Span['inner'],
  role: Part['role'],
): PieceProblem | undefined => {
  const { wall, id, name, side, span, thick, opened } = standing;
  const { sheets, clear } = plan;
  const cuts = cutsFor(plan, wall, opened, Math.round(side.length), floor - low);
  const held = wall.kind === 'removable' ? ({ held: 'slides' } as const) : {};
  const fold = foldOf(plan, wall, side);
  const boards = wallBoards(side, span, [low, floor + clear], cuts, sheets.wall, thick, { id, role, name, ...held });
  const high = floor + clear - low;
  made.parts.push(
    ...(fold === 0
      ? boards
      : boards.map((board) => ({
          ...board,
          scores: [
            [
              [fold, 0],
              [fold, high],
            ],
          ] as const,
        }))),
  );
  for (const along of [...span.outer, ...span.inner])
    for (const into of [-thick, 0]) {
      const [x, z] = pointAt(side, along, into);
      made.reach.push([x, low, z], [x, floor + clear, z]);
    }
  if (wall.cavity > 0) {
    const one = single(sheets.wall);
    const before: Span = { outer: ends, inner: ends };
    const again = cutsFor(plan, wall, opened, Math.round(side.length), 0).slice(0, opened.length);
    made.parts.push(
      ...wallBoards(side, before, [floor, floor + clear], again, one, -wall.cavity, {
        id: `${id}/second`,
        role: 'panel',
        name: `${name}, second`,
      }),
      ...[ends[0], ends[1] - one.one].map((along, number) =>
        spacer(side, along, [floor, floor + clear], wall.cavity, one, `${id}/spacer-${number}`),
      ),
    );
  }
  const through = thick + faceOf(plan, wall);
  for (const each of opened) {
    const put = putInto(plan, side, each, floor, thick, through);
    if (!put.ok) return put.error;
    made.parts.push(...put.value.parts);
    made.motions.push(...put.value.motions);
    made.reach.push(...put.value.reach);
  }
  return wall.kind === 'shop' ? addPillars(plan, made, standing, floor) : undefined;
};

/** A strip on edge that keeps a second wall away from the first. */
const spacer = (side: Side, along: number, [y0, y1]: readonly [number, number], wide: number, sheet: Sheeting, id: string): Part => {
  const [x, z] = pointAt(side, along + sheet.one);
  const region: Region = {
    outline: [
      [0, 0],
      [wide, 0],
      [wide, y1 - y0],
      [0, y1 - y0],
    ],
    holes: [],
  };
  return {
    id,
    role: 'rail',
    name: 'spacer',
    stuff: 'board',
    stock: sheet.board,
    thickness: sheet.one,
    region,
    pose: { origin: [x, y0, z], u: [side.inward[0], 0, side.inward[1]], v: [0, 1, 0] },
    grain: 'y',
    held: 'glue',
    length: null,
    centres: [],
  };
};

/** Strips that face the pillars of a shop's front, on its outside. */
const addPillars = (plan: RoomPlan, made: Made, { side, span, id, thick, opened }: Standing, floor: number): undefined => {
  const sheet = single(plan.sheets.trim);
  const edges = [span.outer[0], ...opened.flatMap(({ x0, x1 }) => [x0, x1]), span.outer[1]];
  const pane = opened.length > 0 ? (made.parts.find(({ role }) => role === 'glass')?.thickness ?? 0) : 0;
  // Clear sheets lie on the wall under a margin; the strips stand between them.
  const margin = 4_000;
  for (let index = 0; index < edges.length; index += 2) {
    const [from, to] = [edges[index] as number, edges[index + 1] as number];
    const [low, high] = [index === 0 ? from : from + margin, index === edges.length - 2 ? to : to - margin];
    if (high - low < 1_000) continue;
    const outer: Span = { outer: [low, high], inner: [low, high] };
    const facing = { id: `${id}/pillar-${index / 2}`, role: 'border', name: 'pillar facing' } as const;
    made.parts.push(...wallBoards(side, outer, [floor, floor + plan.clear], [], sheet, thick + sheet.one, facing));
    for (const along of [low, high]) {
      const [x, z] = pointAt(side, along, -thick - Math.max(sheet.one, pane));
      made.reach.push([x, floor, z]);
    }
  }
  return undefined;
};

/** The walls round one cell as they are seen from inside it. */
const seenFrom = (
  plan: RoomPlan,
  walls: readonly Standing[],
  parting: readonly Standing[],
  cell: number,
  depth: number,
): readonly Seen[] => {
  const { x0, x1 } = plan.cells[cell] as { x0: number; x1: number };
  const width = plan.cells.at(-1)?.x1 ?? 0;
  const of = ({ wall, opened }: Standing, id: string, move: (each: Opened) => readonly [number, number]): Seen => ({
    id,
    walled: isWalled(wall),
    face: faceOf(plan, wall),
    opened: opened.map((each) => {
      const [from, to] = move(each);
      return { x0: from, x1: to, y0: each.y0, y1: each.y1, border: each.border };
    }),
  });
  const [back, right, front, left] = walls as [Standing, Standing, Standing, Standing];
  const same = ({ x0: from, x1: to }: Opened): readonly [number, number] => [from, to];
  const from =
    ({ wall }: Standing, end: 'left' | 'right') =>
    (each: Opened) =>
      wall.seen === end ? same(each) : ([depth - each.x1, depth - each.x0] as const);
  const through = (divider: Standing): Standing => ({ ...divider, wall: { ...divider.wall, kind: 'wall', cavity: 0 as never } });
  const onRight = parting[cell];
  const onLeft = parting[cell - 1];
  return [
    of(back, `back-${cell}`, (each) => [each.x0 - x0, each.x1 - x0]),
    onRight ? of(through(onRight), `right-${cell}`, from(onRight, 'left')) : of(right, `right-${cell}`, same),
    of(front, `front-${cell}`, (each) => [each.x0 - (width - x1), each.x1 - (width - x1)]),
    onLeft ? of(through(onLeft), `left-${cell}`, from(onLeft, 'right')) : of(left, `left-${cell}`, same),
  ];
};

const addTrims = (
  plan: RoomPlan,
  made: Made,
  walls: readonly Standing[],
  parting: readonly Standing[],
  storey: number,
  floor: number,
): void => {
  const { room, doll, clear, ring } = plan;
  const [skirting, cornice, corner] = [doll(room.skirting), doll(room.cornice), doll(room.cornerStrips)];
  const rail = room.rail && { y0: doll(room.rail.up), y1: doll(room.rail.up) + doll(room.rail.height) };
  const kinds = [
    ...(skirting > 0 ? [{ what: 'skirting', name: 'skirting', y0: 0, y1: skirting }] : []),
    ...(rail ? [{ what: 'rail', name: 'rail', ...rail }] : []),
    ...(cornice > 0 ? [{ what: 'cornice', name: 'cornice', y0: clear - cornice, y1: clear }] : []),
  ];
  const wish = { kinds, corner, cornerFrom: skirting, cornerTo: clear - cornice, corners: room.trims };
  const id = `${room.id}${storey > 0 ? `/storey-${storey}` : ''}`;
  const sheet = single(plan.sheets.trim);
  if (room.plan === 'own') {
    const seen = walls.map(
      ({ wall, opened }, index): Seen => ({ id: `${index}`, walled: isWalled(wall), face: faceOf(plan, wall), opened }),
    );
    made.parts.push(...trimsOf(ring, seen, floor, wish, sheet, id));
    return;
  }
  const depth = ring[2]?.[1] ?? 0;
  for (const [cell, { x0, x1 }] of plan.cells.entries()) {
    const own: readonly At[] = [
      [x0, 0],
      [x1, 0],
      [x1, depth],
      [x0, depth],
    ];
    made.parts.push(...trimsOf(own, seenFrom(plan, walls, parting, cell, depth), floor, wish, sheet, id));
  }
};

/** What cannot be built of a room as a whole. */
const problemOf = (plan: RoomPlan): PieceProblem | undefined => {
  const { room, ring, sheets, doll, clear } = plan;
  const t = sheets.wall.thickness;
  const rail = room.rail ? doll(room.rail.up) + doll(room.rail.height) : 0;
  const strips = doll(room.skirting) + doll(room.cornice);
  if (room.plan === 'own') {
    const simple = asSimple([ring]);
    const [first] = simple;
    const turns = ring.length >= 3 && first && simple.length === 1 && first.holes.length === 0 && first.outline.length <= ring.length;
    if (!turns)
      return {
        code: 'does-not-fit',
        what: 'a plan whose walls do not cross',
        available: simple.length === 1 ? 0 : simple.length,
        needed: simple.length + 1,
      };
  }
  const least = Math.min(...sidesOf(ring).map(({ length }) => length));
  const faces = Math.max(0, ...plan.walls.map((wall) => faceOf(plan, wall)));
  return (
    lack('the room inside its walls', least, Math.max(10_000, 2 * (faces + t) + 4_000)) ??
    lack('the room’s height', clear, 10_000) ??
    lack(
      'the cells beside each other',
      Math.min(...plan.cells.map(({ x0, x1 }) => x1 - x0)),
      Math.max(8_000, room.cells > 1 ? 2 * (faces + t) : 0),
    ) ??
    lack('skirting and cornice over each other', clear, strips + 2_000) ??
    (room.rail ? lack('the rail above the skirting', doll(room.rail.up), doll(room.skirting)) : undefined) ??
    (room.rail ? lack('the rail below the cornice', clear - doll(room.cornice), rail) : undefined) ??
    lack(
      'strips in both corners of a wall',
      Math.min(least, ...plan.cells.map(({ x0, x1 }) => x1 - x0)),
      2 * doll(room.cornerStrips) + 2 * faces + 2_000,
    ) ??
    (doll(room.cornerStrips) > 0 ? lack('strips in the corners', doll(room.cornerStrips), 2 * single(sheets.trim).one) : undefined)
  );
};

/** Walls between cells must not end in an opening of the wall behind them. */
const partingClear = (plan: RoomPlan, walls: readonly Standing[]): PieceProblem | undefined => {
  const t = plan.sheets.wall.thickness;
  const strip = single(plan.sheets.trim).one + plan.doll(plan.room.cornerStrips);
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

const addStorey = (plan: RoomPlan, made: Made, storey: number): PieceProblem | undefined => {
  const { room, ring, sheets, clear } = plan;
  const sides = sidesOf(ring);
  const ft = sheets.floor.thickness;
  const beside = room.stands === 'beside' && storey === 0;
  const y = storey * (ft + clear);
  const [floor, low] = [y + ft, beside ? y : y + ft];
  const outer = movedOut(ring, plan.thick);
  const ground = beside ? ring : outer;
  made.parts.push(
    ...lying(
      ground,
      y,
      sheets.floor,
      `${room.id}/${storey > 0 ? `storey-${storey}-` : ''}floor`,
      'bottom',
      storey > 0 ? 'upper floor' : 'floor',
    ),
  );
  for (const [x, z] of ground) made.reach.push([x, y, z], [x, floor, z]);
  const walls = standingWalls(plan, storey, sides);
  if (!walls.ok) return walls.error;
  const depth = ring[2]?.[1] ?? 0;
  const parting = room.plan === 'own' ? ok([]) : dividers(plan, storey, depth);
  if (!parting.ok) return parting.error;
  const clash = partingClear(plan, walls.value);
  if (clash) return clash;
  for (const [index, standing] of walls.value.entries()) {
    if (!isWalled(standing.wall)) continue;
    const count = walls.value.length;
    // A second wall runs from face to face; of two that meet, the one on the left runs into the corner.
    const left = faceOf(plan, walls.value[(index + count - 1) % count]?.wall as Wall);
    const last = index === count - 1 ? faceOf(plan, walls.value[0]?.wall as Wall) : 0;
    const ends: Span['inner'] = [index === 0 ? 0 : left, Math.round(standing.side.length) - last];
    const problem = addWall(plan, made, standing, low, floor, ends, room.plan === 'own' ? 'side' : (ROLE[index] ?? 'side'));
    if (problem) return problem;
  }
  for (const standing of parting.value) {
    const [back, front] = [faceOf(plan, plan.walls[0] as Wall), faceOf(plan, plan.walls[2] as Wall)];
    const reach: readonly [number, number] = standing.wall.seen === 'left' ? [back, depth - front] : [front, depth - back];
    const span: Span = { outer: reach, inner: reach };
    const problem = addWall(
      plan,
      made,
      { ...standing, span, wall: { ...standing.wall, kind: 'wall', cavity: 0 as never } },
      floor,
      floor,
      reach,
      'divider',
    );
    if (problem) return problem;
  }
  addTrims(plan, made, walls.value, parting.value, storey, floor);
  return undefined;
};

/** A point inside a plan: a little way in from the middle of its longest side. */
const insideOf = (ring: readonly At[], y: number): Vec3 => {
  const [side] = sidesOf(ring).toSorted((a, b) => b.length - a.length) as [Side];
  const [x, z] = pointAt(side, side.length / 2, 5_000);
  return [Math.round(x), y + 5_000, Math.round(z)];
};

/** Builds a room's shell.
 *  Shape: room, means → floor, walls with what is in them, strips, a ceiling; the clear room is exactly the stated one. Errors: 'does-not-fit' for
 *  walls that cross, openings, bays, strips, second walls, cells. */
export const buildRoom = (room: Room, means: Means): Result<Built, PieceProblem> => {
  const plan = planOf(room, means);
  const problem = problemOf(plan);
  if (problem) return err(problem);
  const made: Made = { parts: [], motions: [], reach: [] };
  for (let storey = 0; storey < room.storeys; storey += 1) {
    const lacking = addStorey(plan, made, storey);
    if (lacking) return err(lacking);
  }
  const { sheets, clear, ring } = plan;
  const ft = sheets.floor.thickness;
  const top = room.storeys * (ft + clear);
  if (room.ceiling) {
    const outer = movedOut(ring, plan.thick);
    made.parts.push(...lying(outer, top, sheets.floor, `${room.id}/ceiling`, 'top', 'ceiling'));
    for (const [x, z] of outer) made.reach.push([x, top + ft, z]);
  }
  const least = ([0, 1, 2] as const).map((axis) => Math.min(...made.reach.map((at) => at[axis]))) as unknown as Vec3;
  const most = ([0, 1, 2] as const).map((axis) => Math.max(...made.reach.map((at) => at[axis]))) as unknown as Vec3;
  const shift = least.map((value) => 0 - Math.floor(value)) as unknown as Vec3;
  const moved = ([x, y, z]: Vec3): Vec3 => [x + shift[0], y + shift[1], z + shift[2]];
  const inside = ring[2] ?? [0, 0];
  // Of rooms side by side the first is meant.
  const first = plan.cells[0]?.x1 ?? 0;
  const [back, right, front, left] = plan.walls.map((wall) => faceOf(plan, wall)) as [number, number, number, number];
  const clearBox =
    room.plan === 'rectangle'
      ? { min: moved([left, ft, back]), max: moved([first - (plan.cells.length > 1 ? 0 : right), ft + clear, inside[1] - front]) }
      : // Of a plan of its own only where its middle lies is told: which face of a wall looks into the room follows from that.
        { min: moved(insideOf(ring, ft)), max: moved(insideOf(ring, ft)) };
  const motions = made.motions.map((motion): Motion => (motion.kind === 'swing' ? { ...motion, at: moved(motion.at) } : motion));
  const marks: SizeMark[] =
    room.plan === 'rectangle' && room.hold === 'inside'
      ? [
          { path: ['width'], sight: 'front', way: 'across', from: shift[0], to: shift[0] + inside[0], at: moved(most)[1] },
          { path: ['height'], sight: 'front', way: 'up', from: shift[1] + ft, to: shift[1] + ft + clear, at: moved(most)[0] },
        ]
      : [];
  return ok({
    assembly: { parts: movedParts(made.parts, shift), outside: { min: [0, 0, 0], max: moved(most) }, clear: clearBox, motions },
    bays: [],
    openings: [],
    marks,
  });
};
