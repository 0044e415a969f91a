// µm, doll size. Pairs of sticks on both walls, and what runs between them: trays, racks of sticks, bent wire.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import type { Ring } from '../../shape/index.ts';
import { type StickName, WIRE } from '../../stock/index.ts';
import type { PieceProblem } from '../family/problem.ts';
import { panel, type Space, sectionOf, stickIn } from '../parts/panels.ts';
import type { SlidesCell } from './cell.ts';
import { type BayFill, type FrontPlace, filledWith, idOf, sizeIn } from './place.ts';
import type { CarcassPlan } from './plan.ts';

/** What a wire bent in one plane takes: legs and spans measured outside, less at each right-angled bend what the corner is cut short by,
 *  2·r − π·r/2 on the middle line of a bend of radius r. A sharp bend (r = 0) takes nothing off. Source: plane geometry. */
export const wireLength = (stretches: readonly number[], bendRadius = 0): number =>
  stretches.reduce((sum, each) => sum + each, 0) - (stretches.length - 1) * (2 - Math.PI / 2) * bendRadius;

/** The stick that runs in the slides, and that racks are made of where it stays straight. */
const RACK: StickName = 'skinny stick';
/** Sticks for the bars of wider racks, the thinnest first. */
const STOUTER: readonly StickName[] = ['craft stick', 'square dowel, 3 mm', 'square dowel, 5 mm'];

/** A bar between two runners stays straight for about seventy times its thickness. Common practice, no source. */
const STRAIGHT = 70;

/** The thinnest stick that stays straight over a span, as long as so many of them have room. */
const barStick = (span: number, count: number, room: number): StickName =>
  [RACK, ...STOUTER].find((name) => STRAIGHT * sectionOf(name).thickness >= span && count * sectionOf(name).width <= room) ?? RACK;

/** A stick stands out from the wall by its thickness and is as high as it is wide. */
const railsAt = (cell: SlidesCell, space: Space, y0: number, id: string): readonly Part[] => {
  const { width, thickness } = sectionOf(cell.stick);
  const upper = y0 + width + cell.between;
  return [
    ['lower', y0],
    ['upper', upper],
  ].flatMap(([word, y]) =>
    (['left', 'right'] as const).map((side) => {
      const x = side === 'left' ? { x1: space.x0 + thickness } : { x0: space.x1 - thickness };
      const at: Space = { ...space, ...x, y0: y as number, y1: (y as number) + width };
      return stickIn(
        at,
        { id: `${id}/${word}-${side}`, role: 'slide', name: 'slide', shows: side === 'left' ? 'right' : 'left' },
        cell.stick,
      );
    }),
  );
};

const tray = (space: Space, id: string, plan: CarcassPlan): readonly Part[] => [
  panel(space, { id: `${id}/tray`, role: 'tray', name: 'tray', shows: 'up', held: 'slides' }, plan.sheets.drawer.board),
];

/** A rack: a stick along each side in the slides, and sticks across on top of them, clear of the upper slides. */
const rack = (cell: SlidesCell, space: Space, inner: number, id: string): readonly Part[] => {
  const { width, thickness } = sectionOf(RACK);
  const runner = { ...space, y1: space.y0 + thickness };
  const long = space.z1 - space.z0;
  const [x0, x1] = [space.x0 + inner, space.x1 - inner];
  const stick = barStick(x1 - x0, cell.count, long);
  const bar = sectionOf(stick);
  const across = { ...space, x0, x1, y0: runner.y1, y1: runner.y1 + bar.thickness };
  return [
    stickIn(
      { ...runner, x1: runner.x0 + width },
      { id: `${id}/runner-left`, role: 'tray', name: 'rack runner', shows: 'up', held: 'slides' },
      RACK,
    ),
    stickIn(
      { ...runner, x0: runner.x1 - width },
      { id: `${id}/runner-right`, role: 'tray', name: 'rack runner', shows: 'up', held: 'slides' },
      RACK,
    ),
    ...Array.from({ length: cell.count }, (_, index) => {
      const z0 = space.z0 + Math.round(((long - bar.width) * index) / (cell.count - 1));
      return stickIn(
        { ...across, z0, z1: z0 + bar.width },
        { id: `${id}/bar-${index}`, role: 'rack', name: 'rack bar', shows: 'up' },
        stick,
      );
    }),
  ];
};

/** Bends of wire that stand on a tray: up, across, and down again. */
const tines = (cell: SlidesCell, space: Space, id: string, plan: CarcassPlan): readonly Part[] => {
  const [up, across, d] = [sizeIn(plan, cell.tineUp), sizeIn(plan, cell.tineAcross), WIRE.thickness];
  const x0 = Math.round((space.x0 + space.x1 - across) / 2);
  const outline: Ring = [
    [0, 0],
    [d, 0],
    [d, up - d],
    [across - d, up - d],
    [across - d, 0],
    [across, 0],
    [across, up],
    [0, up],
  ];
  const long = space.z1 - space.z0;
  return Array.from({ length: cell.count }, (_, index): Part => {
    const z0 = space.z0 + Math.round(((long - d) * (index + 0.5)) / cell.count);
    return {
      id: `${id}/tine-${index}`,
      role: 'rack',
      name: 'tine',
      stuff: 'wire',
      stock: WIRE.name,
      thickness: d,
      region: { outline, holes: [] },
      pose: { origin: [x0, space.y1, z0], u: [1, 0, 0], v: [0, 1, 0] },
      grain: 'any',
      held: 'glue',
      length: wireLength([up, across, up]),
      centres: [],
    };
  });
};

const carried = (cell: SlidesCell, space: Space, y0: number, id: string, plan: CarcassPlan): Result<readonly Part[], PieceProblem> => {
  if (cell.carries === 'nothing') return ok([]);
  const { clearance } = cell;
  const rail = sectionOf(cell.stick).thickness;
  const thick = cell.carries === 'rack' ? sectionOf(RACK).thickness : plan.sheets.drawer.one;
  const fits = (what: string, available: number, needed: number): PieceProblem | undefined =>
    available < needed ? { code: 'does-not-fit', what, available, needed } : undefined;
  const [up, across] = cell.carries === 'tines' ? [sizeIn(plan, cell.tineUp), sizeIn(plan, cell.tineAcross)] : [0, 0];
  const wide = space.x1 - space.x0 - 2 * clearance;
  const bars = cell.carries === 'rack' ? cell.count * sectionOf(RACK).width : 0;
  const problem =
    fits('what runs between a pair of slides', cell.between, thick) ??
    fits('a tray between the walls', wide, 2 * rail + 4 * WIRE.thickness) ??
    fits('the tines between the slides', wide - 2 * rail, across) ??
    fits('the bars of a rack', space.z1 - space.z0 - clearance, bars) ??
    (cell.carries === 'rack'
      ? fits('a runner beyond the slide that carries it', sectionOf(RACK).width + clearance, rail + clearance + 1_000)
      : undefined) ??
    (up > 0 ? fits('a bend of wire', Math.min(up, across), 3 * WIRE.thickness) : undefined);
  if (problem) return err(problem);
  const at: Space = { ...space, x0: space.x0 + clearance, x1: space.x1 - clearance, y0, y1: y0 + thick, z0: space.z0 + clearance };
  if (cell.carries === 'rack') return ok(rack(cell, at, rail, id));
  return ok([...tray(at, id, plan), ...(cell.carries === 'tines' ? tines(cell, at, id, plan) : [])]);
};

/** Slides at their heights above the floor of a bay, and what they carry.
 *  Errors: 'no-room' when the slides need more height than there is, 'does-not-fit' for what does not go between them. */
export const fillSlides = (cell: SlidesCell, place: FrontPlace, plan: CarcassPlan): BayFill => {
  const { space, path } = place;
  const { width, thickness } = sectionOf(cell.stick);
  const available = space.y1 - space.y0;
  if (space.x1 - space.x0 < 4 * thickness) return err({ code: 'no-room', available: space.x1 - space.x0, needed: 4 * thickness, path });
  const heights = cell.at.map((height) => sizeIn(plan, height)).sort((a, b) => a - b);
  const parts: Part[] = [];
  const motions: Motion[] = [];
  for (const [index, height] of heights.entries()) {
    const id = idOf(plan, 'slides', path, index);
    const y0 = space.y0 + height + width;
    const up = cell.carries === 'tines' ? plan.sheets.drawer.one + sizeIn(plan, cell.tineUp) : 0;
    const top = height + width + Math.max(cell.between + width, up);
    const next = heights[index + 1] ?? available;
    if (top > next) return err({ code: 'no-room', available: next - height, needed: top - height, path });
    const runs = carried(cell, space, y0, id, plan);
    if (!runs.ok) return runs;
    parts.push(...railsAt(cell, space, space.y0 + height, id), ...runs.value);
    if (runs.value.length === 0) continue;
    const ids = runs.value.map((part) => part.id);
    motions.push({ kind: 'slide', door: ids[0] as string, parts: ids, along: [0, 0, 1], by: space.z1 - space.z0 + 10_000 });
  }
  return ok(filledWith(parts, motions));
};
