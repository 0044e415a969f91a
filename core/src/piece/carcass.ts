// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import type { Part } from '../assembly/index.ts';
import type { Casework } from './casework.ts';
import { type PanelKind, panel, type Space } from './panels.ts';

/** A board as the carcass needs it. */
export type Sheeting = { readonly board: string; readonly thickness: number };

/** The measures from which a carcass follows. `front` is where its panels end; overlay doors lie before that. */
export type CarcassPlan = {
  readonly piece: Casework;
  readonly width: number;
  readonly height: number;
  readonly front: number;
  readonly plinth: number;
  readonly setback: number;
  readonly carcass: Sheeting;
  readonly back: Sheeting;
  readonly base: Sheeting;
};

/** The clear space between the panels. */
export const clearSpace = (plan: CarcassPlan): Space => {
  const { thickness } = plan.carcass;
  return {
    x0: thickness,
    x1: plan.width - thickness,
    y0: plan.plinth + thickness,
    y1: plan.height - thickness,
    z0: plan.piece.back === 'none' ? 0 : plan.back.thickness,
    z1: plan.front,
  };
};

type Draw = (word: string, space: Space, kind: Omit<PanelKind, 'id'>) => Part;

const boxPanels = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  const {
    width,
    height,
    front,
    plinth,
    piece,
    carcass: { board, thickness },
  } = plan;
  const behind = piece.back === 'over' ? plan.back.thickness : 0;
  const full: Space = { x0: 0, x1: width, y0: 0, y1: height, z0: behind, z1: front };
  const sides = piece.corner === 'sides' ? full : { ...full, y0: plinth + thickness, y1: height - thickness };
  const across = piece.corner === 'sides' ? { ...full, x0: thickness, x1: width - thickness } : full;
  return [
    draw('side-left', { ...sides, x1: thickness }, { role: 'side', name: 'left side', board, shows: 'right' }),
    draw('side-right', { ...sides, x0: width - thickness }, { role: 'side', name: 'right side', board, shows: 'left' }),
    draw('top', { ...across, y0: height - thickness }, { role: 'top', name: 'top', board, shows: 'down' }),
    draw('bottom', { ...across, y0: plinth, y1: plinth + thickness }, { role: 'bottom', name: 'bottom', board, shows: 'up' }),
  ];
};

const backPanel = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  const { piece, back, width, height } = plan;
  if (piece.back === 'none') return [];
  const clear = clearSpace(plan);
  const space =
    piece.back === 'inset'
      ? { ...clear, z0: 0, z1: back.thickness }
      : { x0: 0, x1: width, y0: piece.corner === 'sides' ? 0 : plan.plinth, y1: height, z0: 0, z1: back.thickness };
  return [draw('back', space, { role: 'back', name: 'back', board: back.board, shows: 'front' })];
};

/** With sides to the floor one strip between them is enough; with the bottom running over, a frame stands under it. */
const plinthPanels = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  const {
    plinth,
    setback,
    width,
    front,
    carcass,
    base: { board, thickness },
    piece,
  } = plan;
  if (plinth === 0) return [];
  const behind = piece.back === 'over' ? plan.back.thickness : 0;
  const inset = piece.corner === 'sides' ? carcass.thickness : 0;
  const strip: Space = { x0: inset, x1: width - inset, y0: 0, y1: plinth, z0: front - setback - thickness, z1: front - setback };
  const kind = { role: 'plinth', board } as const;
  const face = draw('plinth', strip, { ...kind, name: 'plinth', shows: 'front' });
  if (piece.corner === 'sides') return [face];
  const ends = { ...strip, z0: behind + thickness, z1: strip.z0 };
  return [
    face,
    draw('plinth-back', { ...strip, z0: behind, z1: behind + thickness }, { ...kind, name: 'plinth back', shows: 'front' }),
    draw('plinth-left', { ...ends, x1: thickness }, { ...kind, name: 'plinth end', shows: 'right' }),
    draw('plinth-right', { ...ends, x0: width - thickness }, { ...kind, name: 'plinth end', shows: 'left' }),
  ];
};

/** The panels round the clear space: sides, top, bottom, back, plinth. */
export const carcassPanels = (plan: CarcassPlan): readonly Part[] => {
  const draw: Draw = (word, space, kind) => panel(space, { ...kind, id: `${plan.piece.id}/${word}` });
  return [...boxPanels(plan, draw), ...backPanel(plan, draw), ...plinthPanels(plan, draw)];
};
