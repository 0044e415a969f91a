// µm, doll size. Boards at the ends and rails along the sides of a bed.
import type { Part } from '../../assembly/index.ts';
import { dollOf } from '../../measure/index.ts';
import { boardWithEdge, type Ring } from '../../shape/index.ts';
import { type Facing, layered, type Space } from '../parts/panels.ts';
import type { EndBoard } from './bed.ts';
import { type BedPlan, type Level, railLow, railTop, word } from './plan.ts';

/** The board at an end: from the floor where it is a head or foot board, else a rail across like the others. */
export const endParts = (plan: BedPlan, which: 'head' | 'foot'): readonly Part[] => {
  const { piece, frame, bed, sheets, means } = plan;
  const left = which === 'head';
  const across: Space = left ? { ...frame, x1: bed.x0 } : { ...frame, x0: bed.x1 };
  const shows: Facing = left ? 'right' : 'left';
  const board = piece[which];
  const height = dollOf(board.height, means.scale);
  const top = plan.levels.at(-1) as Level;
  if (height > railTop(plan, top))
    return layered(
      { ...across, y1: height },
      word(plan, which, { role: 'side', name: `${which} board`, shows, ...shaped(board, frame.z1, height, plan) }),
      sheets.head,
    );
  return plan.levels.flatMap((level) =>
    layered(
      { ...across, y0: railLow(plan, level), y1: railTop(plan, level) },
      word(plan, `${which}-rail-${level.word}`, { role: left ? 'side' : 'last side', name: 'end rail', shows }),
      sheets.head,
    ),
  );
};

/** A board's shaped edge rises above the rails that are glued to it. */
const shaped = (board: EndBoard, width: number, height: number, plan: BedPlan): { outline?: Ring } =>
  board.edge === 'straight'
    ? {}
    : {
        outline: boardWithEdge(width, height, board.edge, dollOf(board.rise, plan.means.scale), railTop(plan, plan.levels.at(-1) as Level)),
      };

/** Rails along both sides of every level; a back board takes the back rail's place and goes to the floor. */
export const sideRails = (plan: BedPlan): readonly Part[] => {
  const { piece, frame, bed, sheets, means } = plan;
  const along: Space = { ...frame, x0: bed.x0, x1: bed.x1 };
  const front = plan.levels.flatMap((level) =>
    layered(
      { ...along, y0: railLow(plan, level), y1: railTop(plan, level), z0: bed.z1 },
      word(plan, `rail-front-${level.word}`, { role: 'rail', name: 'side rail', shows: 'front' }),
      sheets.frame,
    ),
  );
  const { backBoard } = piece;
  const height = backBoard ? dollOf(backBoard.height, means.scale) : 0;
  if (backBoard && height > railTop(plan, plan.levels.at(-1) as Level)) {
    const kind = word(plan, 'back', {
      role: 'back',
      name: 'back board',
      shows: 'front',
      ...shaped(backBoard, bed.x1 - bed.x0, height, plan),
    });
    return [...front, ...layered({ ...along, y1: height, z1: bed.z0 }, kind, sheets.frame)];
  }
  return [
    ...front,
    ...plan.levels.flatMap((level) =>
      layered(
        { ...along, y0: railLow(plan, level), y1: railTop(plan, level), z1: bed.z0 },
        word(plan, `rail-back-${level.word}`, { role: 'rail', name: 'side rail', shows: 'front' }),
        sheets.frame,
      ),
    ),
  ];
};
