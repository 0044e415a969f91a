// µm, doll size. Seats on boards: two sides that may be arms, and boxes that are closed, open with a lid, or hold boxes.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { insetDrawer } from '../parts/drawer.ts';
import { layered, type Space, sectionOf, stickIn } from '../parts/panels.ts';
import { boardBack, padsOf } from './back.ts';
import { idIn, type PartsResult, type SeatPlan } from './plan.ts';

/** Blocks in the corners that stand out below the carcass. */
const feetOf = (plan: SeatPlan, up: number, x0: number, x1: number, z0: number, z1: number): readonly Part[] => {
  const { piece, boardTop, sheets } = plan;
  if (up === 0) return [];
  const stick = sectionOf(piece.stick);
  const high = Math.min(boardTop - sheets.seat.thickness, up + 2 * stick.width);
  return [false, true].flatMap((front) =>
    [false, true].map((right) =>
      stickIn(
        {
          y0: 0,
          y1: high,
          ...(right ? { x0: x1 - stick.width, x1 } : { x0, x1: x0 + stick.width }),
          ...(front ? { z0: z1 - stick.thickness, z1 } : { z0, z1: z0 + stick.thickness }),
        },
        { id: idIn(plan, `foot-${right ? 'right' : 'left'}-${front ? 'front' : 'back'}`), role: 'foot', name: 'foot', shows: 'right' },
        piece.stick,
      ),
    ),
  );
};

/** Sides, boards before and behind between them, the seat's board on those, the back on the seat. */
export const onSides = (plan: SeatPlan): Result<PartsResult, PieceProblem> => {
  const { piece, width, depth, boardTop, sheets, hasBack } = plan;
  const { carcass, seat } = sheets;
  const t = carcass.thickness;
  const one = { ...carcass, layers: 1, thickness: carcass.one };
  const under = boardTop - seat.thickness;
  const up = plan.doll(piece.feet);
  const arms = piece.arms === null ? null : plan.doll(piece.arms);
  const stick = sectionOf(piece.stick);
  const problem =
    lack('the arms above the seat', arms ?? boardTop, boardTop) ??
    lack('the back above the arms', hasBack && arms !== null ? plan.height : (arms ?? 0), arms ?? 0) ??
    lack('the seat between its sides', width - 2 * t, 6 * carcass.one) ??
    lack('the boards under the seat', under - up, 2 * carcass.one) ??
    lack(
      'the feet in the corners',
      up === 0 ? 0 : Math.min((width - 2 * t) / 2 - stick.width, depth / 2 - one.thickness - stick.thickness),
      0,
    ) ??
    lack('the feet under the carcass', up === 0 ? 1 : under - up, 1);
  if (problem) return err(problem);
  const high = arms ?? under;
  const [x0, x1] = arms === null ? [0, width] : [t, width - t];
  const sides = (['left', 'right'] as const).flatMap((side) =>
    layered(
      { ...(side === 'left' ? { x0: 0, x1: t } : { x0: width - t, x1: width }), y0: up, y1: high, z0: 0, z1: depth },
      { id: idIn(plan, side), role: 'side', name: arms === null ? 'side' : 'arm', shows: side === 'left' ? 'right' : 'left' },
      carcass,
    ),
  );
  const board = (word: string, space: Space): readonly Part[] =>
    layered(space, { id: idIn(plan, word), role: word === 'front' ? 'front' : 'strip', name: `${word} board`, shows: 'front' }, one);
  const between: Space = { x0: t, x1: width - t, y0: up, y1: under, z0: 0, z1: depth };
  const seats = layered(
    { x0, x1, y0: under, y1: boardTop, z0: 0, z1: depth },
    { id: idIn(plan, 'seat'), role: 'shelf', name: 'seat', shows: 'up' },
    seat,
  );
  const back = hasBack ? boardBack(plan, x0, x1) : null;
  const parts = [
    ...sides,
    ...board('rear', { ...between, z1: carcass.one }).map((part): Part => ({ ...part, role: 'rail' })),
    ...board('front', { ...between, z0: depth - carcass.one }),
    ...feetOf(plan, up, t, width - t, carcass.one, depth - carcass.one),
    ...seats,
    ...(back?.parts ?? []),
    ...padsOf(plan, x0, x1, back?.face ?? null),
  ];
  return ok({ parts, motions: [] });
};

/** How wide a leaf of a lid's hinge is. Common practice, no source. */
const LEAF = 10_000;

/** A box: walls, what lies in it, and the seat as its lid. */
export const onBox = (plan: SeatPlan): Result<PartsResult, PieceProblem> => {
  const { piece, width, depth, boardTop, sheets, hasBack } = plan;
  const { carcass, seat } = sheets;
  const t = carcass.thickness;
  const under = boardTop - seat.thickness;
  const open = piece.box === 'boxes';
  const bay = (width - 2 * t - (piece.boxes - 1) * carcass.one) / piece.boxes;
  const tray = sheets.tray.one;
  const problem =
    lack('the box under the seat', under, (piece.box === 'closed' ? 1 : 2) * carcass.one + (open ? 5 * tray : 2_000)) ??
    lack('the walls side by side', width, 2 * t + 4_000) ??
    lack('the walls one behind the other', depth, 2 * t + (open ? 4 * tray + 6_000 : 4_000)) ??
    lack('the boxes side by side', open ? bay : 1, open ? 4 * tray + 2_000 : 1);
  if (problem) return err(problem);
  const sides = (['left', 'right'] as const).flatMap((side) =>
    layered(
      { ...(side === 'left' ? { x0: 0, x1: t } : { x0: width - t, x1: width }), y0: 0, y1: under, z0: 0, z1: depth },
      { id: idIn(plan, side), role: 'side', name: 'side', shows: side === 'left' ? 'right' : 'left' },
      carcass,
    ),
  );
  const one = { ...carcass, layers: 1, thickness: carcass.one };
  const inside: Space = { x0: t, x1: width - t, y0: 0, y1: under, z0: 0, z1: depth };
  const bottom = piece.box === 'closed' ? 0 : carcass.one;
  const floor =
    bottom > 0 ? layered({ ...inside, y1: bottom }, { id: idIn(plan, 'bottom'), role: 'bottom', name: 'bottom', shows: 'up' }, one) : [];
  const above: Space = { ...inside, y0: bottom };
  const rear = layered({ ...above, z1: t }, { id: idIn(plan, 'rear'), role: 'rail', name: 'rear wall', shows: 'front' }, carcass);
  const motions: Motion[] = [];
  const within: Part[] = [];
  if (!open) {
    within.push(
      ...layered({ ...above, z0: depth - t }, { id: idIn(plan, 'front'), role: 'front', name: 'front wall', shows: 'front' }, carcass),
    );
  } else {
    for (let index = 0; index < piece.boxes; index += 1) {
      const from = t + Math.round(index * (bay + carcass.one));
      const to = index === piece.boxes - 1 ? width - t : t + Math.round(index * (bay + carcass.one) + bay);
      const made = insetDrawer(idIn(plan, `box-${index}`), { ...above, x0: from, x1: to, z0: t }, piece.grip, sheets.tray, sheets.tray);
      if (!('motion' in made)) return err({ code: 'does-not-fit', what: 'a box under the seat', ...made });
      within.push(...made.parts);
      motions.push(made.motion);
      const upright: Space = { ...above, x0: to, x1: to + carcass.one, z0: t };
      if (index < piece.boxes - 1)
        within.push(...layered(upright, { id: idIn(plan, `divider-${index}`), role: 'divider', name: 'upright', shows: 'right' }, one));
    }
  }
  const lid = piece.box === 'lid';
  const kind = { id: idIn(plan, 'seat'), name: lid ? 'lid' : 'seat', shows: 'up' as const };
  const seats = layered(
    { x0: 0, x1: width, y0: under, y1: boardTop, z0: 0, z1: depth },
    lid ? { ...kind, role: 'door', held: 'hinge' } : { ...kind, role: 'top' },
    seat,
  );
  const back = hasBack ? boardBack(plan, 0, width) : null;
  const pads = padsOf(plan, 0, width, back?.face ?? null);
  if (lid) {
    const moving = [...seats, ...pads].map(({ id }) => id);
    motions.push({
      kind: 'swing',
      door: (seats[0] as Part).id,
      parts: moving,
      aside: [],
      at: [0, under, 0],
      along: [1, 0, 0],
      angle: -Math.PI / 2,
      hinge: { kind: 'paper', leaf: Math.min(LEAF, Math.round(depth / 4), Math.round(under / 2)), length: width },
    });
  }
  return ok({ parts: [...sides, ...floor, ...rear, ...within, ...seats, ...(back?.parts ?? []), ...pads], motions });
};
