// µm, doll size. A room's clear plan as things are placed in it; of several shells one plan, with what stands between them.
import { type Assembly, around, boxOf } from '../../assembly/index.ts';
import type { Measure } from '../../measure/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import type { Means } from '../family/means.ts';
import { openedIn, openingsDecided } from './holes.ts';
import type { Opened } from './opened.ts';
import { type At, betweenOf, isWalled, movedOut, type RoomPlan, type Side, sidesOf, wallAt } from './plan.ts';
import { type Room, sideName } from './room.ts';
import { faceOf } from './standing.ts';
import { frontEdgeOf, type StandingShell, standTogether } from './together.ts';
import type { Wall } from './wall.ts';
import { type WireAlong, wireOf } from './wire.ts';

const LOW: ReadonlySet<string> = new Set(['arch', 'plain', 'bought']);

/** What one walks through in a wall: from where to where along it. */
const doorsIn = (wall: Wall, length: number, doll: (measure: Measure) => number): readonly (readonly [number, number])[] =>
  wall.openings.flatMap(({ form, end, from, up, width }) => {
    const wide = doll(width);
    const x0 = end === 'left' ? doll(from) : length - doll(from) - wide;
    return form === 'door' || (LOW.has(form) && doll(up) === 0) ? [[x0, x0 + wide] as const] : [];
  });

/** What is in a side, along it and up from the floor, and where it is decided: which shell, which wall of it, which of that wall's openings. */
export type PlanOpening = {
  readonly shell: number;
  readonly wall: number;
  readonly index: number;
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
};

/** A side of the room: from its left end to its right one as it is seen from inside. `of` is the shell and the wall of it that it is, none where it is
 *  only the step between shells that are not equally deep. */
export type PlanSide = {
  readonly name: string;
  readonly from: At;
  readonly to: At;
  readonly walled: boolean;
  readonly doors: readonly (readonly [number, number])[];
  readonly of: readonly [shell: number, wall: number] | null;
  /** The walls that it is, one after the other, and from where to where each runs along it. */
  readonly runs: readonly { readonly shell: number; readonly wall: number; readonly from: number; readonly to: number }[];
  /** How far in front of it its face stands: a second wall. */
  readonly face: number;
  readonly wire: WireAlong | null;
  readonly openings: readonly PlanOpening[];
};

/** A wall that parts the room: the strip of the plan that it takes, and doors in it from its back end. */
export type PlanBetween = {
  readonly x0: number;
  readonly x1: number;
  readonly from: number;
  readonly to: number;
  readonly doors: readonly (readonly [number, number])[];
};

export type PlanOfRoom = {
  readonly ring: readonly At[];
  /** How far the first shell's floor reaches beyond the plan's back left corner. */
  readonly left: number;
  readonly back: number;
  readonly clear: number;
  readonly skirting: number;
  readonly between: readonly PlanBetween[];
  readonly sides: readonly PlanSide[];
};

const openedAlong = (plan: RoomPlan, wall: Wall, length: number): readonly Opened[] => {
  if (wall.kind !== 'shop') return openingsDecided(plan, wall, '', length);
  const opened = openedIn(plan, wall, '', length, plan.clear, [0, 0]);
  return opened.ok ? opened.value : [];
};

const sideOf = (plan: RoomPlan, shell: number, index: number, { from, to, length }: Side, named: string): PlanSide => {
  const wall = wallAt(plan, index);
  const walled = isWalled(wall);
  const doors = walled ? doorsIn(wall, length, plan.doll) : [];
  const opened = walled ? openedAlong(plan, wall, Math.round(length)) : [];
  return {
    name: named,
    from,
    to,
    walled,
    doors,
    of: [shell, index],
    runs: [{ shell, wall: index, from: 0, to: Math.round(length) }],
    face: faceOf(plan, wall),
    wire: walled ? wireOf(plan, wall, Math.round(length), opened) : null,
    openings:
      wall.kind === 'shop' ? [] : opened.map(({ x0, x1, y0, y1 }, number) => ({ shell, wall: index, index: number, x0, x1, y0, y1 })),
  };
};

/** The walls between the cells of one shell, from its back left corner. */
const cellsOf = (plan: RoomPlan): readonly PlanBetween[] =>
  betweenOf(plan).map((wall, index) => {
    const [x0, depth] = [plan.cells[index]?.x1 as number, plan.ring[2]?.[1] ?? 0];
    const doors = doorsIn(wall, depth, plan.doll).map(([a, b]) =>
      wall.seen === 'left' ? ([a, b] as const) : ([depth - b, depth - a] as const),
    );
    return { x0, x1: x0 + plan.sheets.wall.thickness, from: 0, to: depth, doors };
  });

const skirtingOf = ({ room, doll, strip }: RoomPlan): number => (doll(room.skirting) > 0 ? strip.thick : 0);

const floorOf = ({ room, ring, thick }: RoomPlan): readonly At[] => (room.stands === 'beside' ? ring : movedOut(ring, thick));

const least = (points: readonly At[], axis: 0 | 1): number => Math.min(...points.map((point) => point[axis]));

/** The clear floor of one shell in the plan of all: from where to where, and the side that it begins with. */
type Field = { readonly shell: StandingShell; readonly x0: number; readonly x1: number; readonly z0: number; readonly z1: number };

const fieldsOf = (shells: readonly StandingShell[]): readonly Field[] =>
  shells.map((shell, index) => {
    const [width, depth] = [shell.plan.ring[1]?.[0] ?? 0, shell.plan.ring[2]?.[1] ?? 0];
    const [x, , z] = shell.at;
    const next = shells[index + 1];
    // Where both are open to each other the floor goes on over the gap that they leave.
    const open = next && !isWalled(wallAt(shell.plan, 1)) && !isWalled(wallAt(next.plan, 3));
    return { shell, x0: x, x1: open ? next.at[0] : x + width, z0: z, z1: frontEdgeOf(shell, shells) ?? z + depth };
  });

const goesOn = (last: PlanSide, side: PlanSide): boolean =>
  last.to[0] === side.from[0] &&
  last.to[1] === side.from[1] &&
  last.walled === side.walled &&
  last.face === side.face &&
  (last.to[0] - last.from[0]) * (side.to[1] - side.from[1]) === (last.to[1] - last.from[1]) * (side.to[0] - side.from[0]);

const asOne = (last: PlanSide, side: PlanSide): PlanSide => {
  const by = Math.hypot(last.to[0] - last.from[0], last.to[1] - last.from[1]);
  return {
    ...last,
    name: last.name.replace(/ \d+$/, ''),
    to: side.to,
    runs: [...last.runs, ...side.runs.map((run) => ({ ...run, from: run.from + by, to: run.to + by }))],
    doors: [...last.doors, ...side.doors.map(([a, b]) => [a + by, b + by] as const)],
    openings: [...last.openings, ...side.openings.map((each) => ({ ...each, x0: each.x0 + by, x1: each.x1 + by }))],
    wire: last.wire ?? (side.wire && { ...side.wire, path: side.wire.path.map(([x, y]) => [x + by, y] as const) }),
  };
};

/** Runs of sides that go on in one line and are of one kind are one side. */
const merged = (sides: readonly PlanSide[]): readonly PlanSide[] => {
  const found: PlanSide[] = [];
  for (const side of sides) {
    const last = found.at(-1);
    if (last && goesOn(last, side)) found[found.length - 1] = asOne(last, side);
    else found.push(side);
  }
  return found;
};

const joinedPlan = (shells: readonly StandingShell[]): Pick<PlanOfRoom, 'ring' | 'between' | 'sides'> => {
  const fields = fieldsOf(shells);
  const count = fields.length;
  const named = (word: string, index: number): string => `${word} ${index + 1}`;
  const step = (name: string, from: At, to: At, walled: boolean): readonly PlanSide[] =>
    from[1] === to[1] ? [] : [{ name, from, to, walled, doors: [], of: null, runs: [], face: 0, wire: null, openings: [] }];
  /** Where the floor of one goes over into that of the next: along the deeper one's edge. */
  const seam = (index: number, end: 'z0' | 'z1'): number => {
    const [one, next] = [fields[index] as Field, fields[index + 1] as Field];
    const deeper = end === 'z0' ? next.z0 < one.z0 : next.z1 > one.z1;
    return deeper ? next.x0 : one.x1;
  };
  const along = (index: number, wall: number, from: At, to: At, name: string): PlanSide => {
    const { plan } = (fields[index] as Field).shell;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const side = sideOf(plan, index, wall, sidesOf(plan.ring)[wall] as Side, name);
    return { ...side, from, to, runs: [{ shell: index, wall, from: 0, to: length }], ...(length === 0 && { doors: [], openings: [] }) };
  };
  const at = (index: number, end: 'z0' | 'z1'): number => (fields[index] as Field)[end];
  const edge = (index: number, end: 'z0' | 'z1'): number =>
    index < 0 ? (fields[0] as Field).x0 : index === count - 1 ? (fields[count - 1] as Field).x1 : seam(index, end);
  const backs = fields.flatMap((_, index) => {
    const z = at(index, 'z0');
    const [from, to] = [edge(index - 1, 'z0'), edge(index, 'z0')];
    const here = along(index, 0, [from, z], [to, z], named('back wall', index));
    const down = index < count - 1 ? step(`return ${index + 1}`, [to, z], [to, at(index + 1, 'z0')], true) : [];
    return [here, ...down];
  });
  const fronts = fields
    .map((_, index) => count - 1 - index)
    .flatMap((index) => {
      const z = at(index, 'z1');
      const [from, to] = [edge(index, 'z1'), edge(index - 1, 'z1')];
      const here = along(index, 2, [from, z], [to, z], named('front', index));
      const up = index > 0 ? step(`step ${index}`, [to, z], [to, at(index - 1, 'z1')], false) : [];
      return [here, ...up];
    });
  const [first, last] = [fields[0] as Field, fields[count - 1] as Field];
  const sides = merged([
    ...backs,
    along(count - 1, 1, [last.x1, last.z0], [last.x1, last.z1], 'right wall'),
    ...fronts,
    along(0, 3, [first.x0, first.z1], [first.x0, first.z0], 'left wall'),
  ]);
  const walls = fields.slice(0, -1).flatMap(({ shell, x1, z0, z1 }, index): readonly PlanBetween[] => {
    const next = fields[index + 1] as Field;
    const [mine, theirs] = [wallAt(shell.plan, 1), wallAt(next.shell.plan, 3)];
    if (!isWalled(mine) && !isWalled(theirs)) return [];
    const depthOf = (field: Field): number => field.shell.plan.ring[2]?.[1] ?? 0;
    const right = doorsIn(mine, depthOf(fields[index] as Field), shell.plan.doll).map(([a, b]) => [a, b] as const);
    const depth = depthOf(next);
    const left = doorsIn(theirs, depth, next.shell.plan.doll).map(
      ([a, b]) => [depth - b + next.z0 - z0, depth - a + next.z0 - z0] as const,
    );
    // One walks through where both let her.
    const through = !isWalled(mine)
      ? left
      : !isWalled(theirs)
        ? right
        : right.flatMap(([a, b]) => left.map(([c, d]) => [Math.max(a, c), Math.min(b, d)] as const).filter(([from, to]) => to > from));
    return [{ x0: x1, x1: next.x0, from: Math.min(z0, next.z0), to: Math.max(z1, next.z1), doors: through }];
  });
  const inside = shells.flatMap(({ plan, at: [x, , z] }) =>
    cellsOf(plan).map((each) => ({ ...each, x0: each.x0 + x, x1: each.x1 + x, from: each.from + z, to: each.to + z })),
  );
  return { ring: sides.map(({ from }) => from), sides, between: [...inside, ...walls] };
};

/** A room's clear plan as things are placed in it: its corners from the back left of the box round it, how far the floor reaches beyond that, and its
 *  sides with what one walks in by.
 *  Shape: room, means → plan; µm at doll size. Doors of what stands between are counted from its back end. */
export const roomPlan = (room: Room, means: Means): PlanOfRoom => {
  const shells = standTogether(room, means);
  const [{ plan, at }] = shells as readonly [StandingShell];
  const one = shells.length === 1;
  const floor = floorOf(plan);
  const alone = (): Pick<PlanOfRoom, 'ring' | 'between' | 'sides'> => ({
    ring: plan.ring,
    between: cellsOf(plan),
    sides: sidesOf(plan.ring).map((side, index) => sideOf(plan, 0, index, side, sideName(room, index))),
  });
  const { ring, between, sides } = one ? alone() : joinedPlan(shells);
  return {
    ring,
    between,
    sides,
    left: at[0] + least(one ? ring : plan.ring, 0) - least(floor, 0),
    back: (one ? least(ring, 1) : 0 - at[2] + Math.min(...shells.map((shell) => shell.at[2]))) - least(floor, 1),
    clear: Math.min(...shells.map((shell) => shell.plan.clear + shell.plan.raise)),
    skirting: Math.max(...shells.map((shell) => skirtingOf(shell.plan))),
  };
};

/** The back left corner of the clear plan, on the floor of a room that stands, in the space of its assembly; nothing where no floor is found. */
export const floorCorner = (room: Room, { parts }: Assembly, { left, back }: Pick<PlanOfRoom, 'left' | 'back'>): Vec3 | undefined => {
  const floor = `${room.id}/floor`;
  const floors = parts.filter(({ id }) => id === floor || id.startsWith(`${floor}~`) || id.startsWith(`${floor} piece`));
  if (floors.length === 0) return undefined;
  const { min, max } = around(floors.map(boxOf));
  return [min[0] + left, max[1], min[2] + back];
};
