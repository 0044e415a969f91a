// µm, doll size. One shell: floors, walls, what is in the walls, strips on them, beams, a ceiling; the clear plan's back left corner at the origin.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { asSimple, type Point } from '../../shape/index.ts';
import type { Sheeting } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { boardAt, layerKind } from '../parts/boardAt.ts';
import { addWall, type RoomSoFar } from './addWall.ts';
import { beamProblem, beamsOf } from './beams.ts';
import { MARGIN, type Opened } from './opened.ts';
import { type At, isWalled, movedOut, type RoomPlan, sidesOf, stripWide } from './plan.ts';
import type { Rail } from './room.ts';
import { battensOf, dividers, faceOf, partingClear, type Standing, standingWalls } from './standing.ts';
import { type SeenWall, type TrimKind, trimsOf } from './trims.ts';
import type { Wall } from './wall.ts';
import type { Span } from './walls.ts';

/** A board that lies: a ring of the plan, from a height on. */
export const lying = (
  ring: readonly At[],
  y: number,
  sheet: Sheeting,
  id: string,
  role: 'bottom' | 'top',
  name: string,
): readonly Part[] => {
  const outline = ring.map(([x, z]): Point => [x, 0 - z]).toReversed();
  return Array.from({ length: sheet.layers }, (_, layer) =>
    boardAt(
      layerKind({ id, role, name }, sheet, layer),
      sheet,
      { outline, holes: [] },
      { origin: [0, y + layer * sheet.one, 0], u: [1, 0, 0], v: [0, 0, -1] },
      'x',
    ),
  );
};

const ROLE = ['back', 'side', 'last side', 'side'] as const;

type Along = Pick<Opened, 'x0' | 'x1'>;

/** How far round an opening the wall's inner face is taken: by its frame, or by a clear sheet that lies there. */
const coveredRound = ({ border, inside = false }: Opened): number => (inside ? MARGIN : border);

/** The walls round one cell as they are seen from inside it. */
const seenFrom = (
  plan: RoomPlan,
  walls: readonly Standing[],
  parting: readonly Standing[],
  cell: number,
  depth: number,
): readonly SeenWall[] => {
  const { x0, x1 } = plan.cells[cell] as { x0: number; x1: number };
  const width = plan.cells.at(-1)?.x1 ?? 0;
  const of = ({ wall, side, opened }: Standing, id: string, move: (each: Along) => readonly [number, number]): SeenWall => ({
    id,
    walled: isWalled(wall),
    face: faceOf(plan, wall),
    opened: opened.map((each) => {
      const [from, to] = move(each);
      return { x0: from, x1: to, y0: each.y0, y1: each.y1, border: coveredRound(each) };
    }),
    battens: battensOf(plan, wall, Math.round(side.length)).map(([x0, x1]) => move({ x0, x1 })),
    kept: id.startsWith('back') ? [cell === 0 ? plan.seamed[0] : 0, cell === plan.cells.length - 1 ? plan.seamed[1] : 0] : [0, 0],
  });
  const [back, right, front, left] = walls as [Standing, Standing, Standing, Standing];
  const same = ({ x0: from, x1: to }: Along): readonly [number, number] => [from, to];
  const from =
    ({ wall }: Standing, end: 'left' | 'right') =>
    (each: Along) =>
      wall.seen === end ? same(each) : ([depth - each.x1, depth - each.x0] as const);
  // A clear sheet without a frame lies on the side that a wall between is not seen from, and reaches beyond its opening there.
  const through = (divider: Standing, end: 'left' | 'right'): Standing => ({
    ...divider,
    wall: { ...divider.wall, kind: 'wall', cavity: 0 as never },
    opened: divider.opened.map((each) =>
      divider.wall.seen !== end && each.border === 0 && each.opening.form === 'plain' && each.opening.glazed
        ? { ...each, border: MARGIN }
        : each,
    ),
  });
  const onRight = parting[cell];
  const onLeft = parting[cell - 1];
  return [
    of(back, `back-${cell}`, (each) => [each.x0 - x0, each.x1 - x0]),
    onRight ? of(through(onRight, 'left'), `right-${cell}`, from(onRight, 'left')) : of(right, `right-${cell}`, same),
    of(front, `front-${cell}`, (each) => [each.x0 - (width - x1), each.x1 - (width - x1)]),
    onLeft ? of(through(onLeft, 'right'), `left-${cell}`, from(onLeft, 'right')) : of(left, `left-${cell}`, same),
  ];
};

/** What runs round a room: how high it is, and how far up it begins. */
export const lyingStrips = ({ room, doll, tall, strip }: RoomPlan): readonly TrimKind[] => {
  const wide = (decided: number): number => stripWide(strip, decided);
  const [skirting, cornice] = [wide(doll(room.skirting)), wide(doll(room.cornice))];
  const railOf = (rail: Rail | null, what: string, name: string): readonly TrimKind[] =>
    rail ? [{ what, name, y0: doll(rail.up), y1: doll(rail.up) + wide(doll(rail.height)) }] : [];
  return [
    ...(skirting > 0 ? [{ what: 'skirting', name: 'skirting', y0: 0, y1: skirting }] : []),
    ...railOf(room.rail, 'rail', 'rail'),
    ...railOf(room.pictureRail, 'picture-rail', 'picture rail'),
    ...(cornice > 0 ? [{ what: 'cornice', name: 'cornice', y0: tall - cornice, y1: tall }] : []),
  ];
};

const addTrims = (
  plan: RoomPlan,
  made: RoomSoFar,
  walls: readonly Standing[],
  parting: readonly Standing[],
  storey: number,
  floor: number,
): void => {
  const { room, doll, ring } = plan;
  const wide = (decided: number): number => stripWide(plan.strip, decided);
  const [skirting, cornice, corner] = [wide(doll(room.skirting)), wide(doll(room.cornice)), wide(doll(room.cornerStrips))];
  const kinds = lyingStrips(plan);
  const panelling = room.panelling && {
    form: room.panelling.form,
    up: doll(room.panelling.up),
    apart: doll(room.panelling.apart),
    width: doll(room.panelling.width),
  };
  const wish = { kinds, corner, cornerFrom: skirting, cornerTo: plan.tall - cornice, corners: room.trims, upright: { panelling } };
  const id = `${room.id}${storey > 0 ? `/storey-${storey}` : ''}`;
  if (room.plan === 'own') {
    const seen = walls.map(
      ({ wall, side, opened }, index): SeenWall => ({
        id: `${index}`,
        walled: isWalled(wall),
        face: faceOf(plan, wall),
        opened: opened.map((each) => ({ ...each, border: coveredRound(each) })),
        battens: battensOf(plan, wall, Math.round(side.length)),
        kept: [0, 0],
      }),
    );
    made.parts.push(...trimsOf(ring, seen, floor, wish, plan.strip, id));
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
    const seen = seenFrom(plan, walls, parting, cell, depth);
    made.parts.push(...trimsOf(own, seen, floor, wish, plan.strip, id), ...beamsOf(plan, own, seen, kinds, floor, `${id}/beam-${cell}`));
  }
};

/** What cannot be built of a room as a whole. */
const problemOf = (plan: RoomPlan): PieceProblem | undefined => {
  const { room, ring, sheets, doll, clear } = plan;
  const t = sheets.wall.thickness;
  const wide = (decided: number): number => stripWide(plan.strip, decided);
  const [skirting, cornice, corner] = [wide(doll(room.skirting)), wide(doll(room.cornice)), wide(doll(room.cornerStrips))];
  const strips = lyingStrips(plan);
  const low = strips.find(({ what }) => what === 'rail');
  const upper = strips.find(({ what }) => what === 'picture-rail');
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
    lack('skirting and cornice over each other', plan.tall, skirting + cornice + 2_000) ??
    (low ? lack('the rail above the skirting', low.y0, skirting) : undefined) ??
    (low ? lack('the rail below the cornice', plan.tall - cornice, low.y1) : undefined) ??
    (upper ? lack('the picture rail above the other', upper.y0, low?.y1 ?? skirting) : undefined) ??
    (upper ? lack('the picture rail below the cornice', plan.tall - cornice, upper.y1) : undefined) ??
    lack('strips in both corners of a wall', Math.min(least, ...plan.cells.map(({ x0, x1 }) => x1 - x0)), 2 * corner + 2 * faces + 2_000) ??
    (room.plan === 'own' ? undefined : beamProblem(plan)) ??
    (corner > 0 ? lack('strips in the corners', corner, 2 * plan.strip.thick) : undefined)
  );
};

const addStorey = (plan: RoomPlan, made: RoomSoFar, storey: number): PieceProblem | undefined => {
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

/** Builds one shell.
 *  Shape: plan → parts, motions, what it reaches to. Errors: 'does-not-fit' for walls that cross, openings, bays, strips, second walls, cells, beams. */
export const buildShell = (plan: RoomPlan): Result<RoomSoFar, PieceProblem> => {
  const problem = problemOf(plan);
  if (problem) return err(problem);
  const { room, sheets, clear, ring } = plan;
  const made: RoomSoFar = { parts: [], motions: [], reach: [] };
  for (let storey = 0; storey < room.storeys; storey += 1) {
    const lacking = addStorey(plan, made, storey);
    if (lacking) return err(lacking);
  }
  const ft = sheets.floor.thickness;
  const top = room.storeys * (ft + clear);
  if (room.ceiling) {
    const outer = movedOut(ring, plan.thick);
    made.parts.push(...lying(outer, top, sheets.floor, `${room.id}/ceiling`, 'top', 'ceiling'));
    for (const [x, z] of outer) made.reach.push([x, top + ft, z]);
  }
  return ok(made);
};
