// µm, doll size. A running drawer: a tray with a front, that slides out of its place; and the grips that fronts have.
import type { Motion, Part } from '../../assembly/index.ts';
import { ellipseRing } from '../../shape/index.ts';
import type { StickName } from '../../stock/index.ts';
import type { Grip } from '../family/grips.ts';
import type { Sheeting } from '../family/means.ts';
import { layered, panel, roundIn, type Space, sectionOf, stickIn } from './panels.ts';

/** A grip on a front: a knob of two discs, or a bar of board, round a point where a hand takes hold of it. */
export const gripOn = (
  grip: Grip,
  field: Space,
  [x, y]: readonly [number, number],
  lies: boolean,
  id: string,
  { board, one }: Pick<Sheeting, 'board' | 'one'>,
): readonly Part[] => {
  if (grip === 'none') return [];
  const short = Math.min(field.x1 - field.x0, field.y1 - field.y0);
  const z = field.z1;
  if (grip === 'bar') {
    const edge = Math.min(...(lies ? [y - field.y0, field.y1 - y] : [x - field.x0, field.x1 - x]));
    const [long, thick] = [Math.round(Math.min(short * 0.5, 14_000)), Math.max(300, Math.round(Math.min(one, short / 4, edge * 1.6)))];
    const [w, h] = lies ? [long, thick] : [thick, long];
    const space = { x0: x - Math.round(w / 2), y0: y - Math.round(h / 2), z0: z, z1: z + one };
    return [
      panel({ ...space, x1: space.x0 + w, y1: space.y0 + h }, { id: `${id}/grip`, role: 'fitting', name: 'grip', shows: 'front' }, board),
    ];
  }
  const edge = Math.min(x - field.x0, field.x1 - x, y - field.y0, field.y1 - y);
  const radius = Math.max(300, Math.floor(Math.min(short * 0.2, 3_000, edge * 0.8)));
  return [0, 1].map((number) =>
    roundIn(
      { x0: x - radius, x1: x + radius, y0: y - radius, y1: y + radius, z0: z + number * one, z1: z + (number + 1) * one },
      { id: `${id}/knob-${number + 1}`, role: 'fitting', name: 'knob', shows: 'front' },
      ellipseRing(radius, radius, radius),
      { stuff: 'board', stock: board, length: null },
    ),
  );
};

/** A tray: sides on a floor, both ends between the sides. */
const trayParts = (box: Space, id: string, { board, one }: Sheeting): readonly Part[] => {
  const walls = { ...box, y0: box.y0 + one };
  const between = { ...walls, x0: box.x0 + one, x1: box.x1 - one };
  const kind = (word: string, name: string, shows: 'up' | 'right' | 'left' | 'front') =>
    ({ id: `${id}/${word}`, role: 'tray', name, shows }) as const;
  return [
    panel({ ...box, y1: box.y0 + one }, { ...kind('floor', 'drawer floor', 'up'), held: 'slides' }, board),
    panel({ ...walls, x1: box.x0 + one }, kind('left', 'drawer side', 'right'), board),
    panel({ ...walls, x0: box.x1 - one }, kind('right', 'drawer side', 'left'), board),
    panel({ ...between, z1: box.z0 + one }, kind('back', 'drawer end', 'front'), board),
    panel({ ...between, z0: box.z1 - one }, kind('end', 'drawer end', 'front'), board),
  ];
};

/** The stick that a tray runs against at the back. */
const STOP: StickName = 'square dowel, 3 mm';

export type DrawerPlan = {
  readonly id: string;
  /** The clear space of its compartment, and the field of its front. */
  readonly space: Space;
  readonly field: Space;
  readonly clearance: number;
  /** A strip at the back that the tray runs against, where its front lies inside. */
  readonly stop: boolean;
  readonly grip: Grip;
  readonly tray: Sheeting;
  readonly front: Sheeting;
};

/** What a running drawer lacks: too little of a direction, and how much it needs. */
export type DrawerLack = { readonly available: number; readonly needed: number };

/** A running drawer in its compartment: floor, sides, ends, front, grip and stop, and how it slides.
 *  Errors: a lack, when the compartment is too small for a tray of its board. */
export const runningDrawer = (plan: DrawerPlan): { readonly parts: readonly Part[]; readonly motion: Motion } | DrawerLack => {
  const { id, space, field, clearance, stop, tray, front, grip } = plan;
  const { one } = tray;
  const box: Space = {
    x0: space.x0 + clearance,
    x1: space.x1 - clearance,
    y0: space.y0,
    y1: space.y1 - clearance,
    z0: space.z0 + (stop ? sectionOf(STOP).thickness : clearance),
    z1: field.z0,
  };
  const needs: readonly (readonly [available: number, has: number, least: number])[] = [
    [space.x1 - space.x0, box.x1 - box.x0, 2 * one + 2_000],
    [space.y1 - space.y0, box.y1 - box.y0, 2 * one],
    [space.z1 - space.z0, box.z1 - box.z0, 2 * one + 2_000],
    [space.x1 - space.x0, field.x1 - field.x0, 1_000],
    [space.y1 - space.y0, field.y1 - field.y0, 1_000],
  ];
  const lack = needs.find(([, has, least]) => has < least);
  if (lack) return { available: lack[0], needed: lack[0] - lack[1] + lack[2] };
  const height = Math.max(2 * one, Math.round((box.y1 - box.y0) * 0.85));
  const middle = [Math.round((field.x0 + field.x1) / 2), Math.round((field.y0 + field.y1) / 2)] as const;
  const parts = [
    ...trayParts({ ...box, y1: box.y0 + height }, id, tray),
    ...layered(field, { id: `${id}/front`, role: 'border', name: 'drawer front', shows: 'front' }, front),
    ...gripOn(grip, field, middle, true, id, front),
  ];
  const stick = sectionOf(STOP);
  const stops = stop
    ? [
        stickIn(
          { ...space, y1: space.y0 + stick.width, z1: space.z0 + stick.thickness },
          { id: `${id}/stop`, role: 'slide', name: 'drawer stop', shows: 'up' },
          STOP,
        ),
      ]
    : [];
  const fronts = parts.find((part) => part.id.startsWith(`${id}/front`)) as Part;
  const by = box.z1 - box.z0 + 10_000;
  return {
    parts: [...stops, ...parts],
    motion: { kind: 'slide', door: fronts.id, parts: parts.map((part) => part.id), along: [0, 0, 1], by },
  };
};

/** The gap round an inset front and the clearance round its tray, where nobody decides them. Common practice, no source. */
const USUAL_GAP = 500;

/** A running drawer that fills its compartment, its front inside it, with the usual gap and a stop. */
export const insetDrawer = (id: string, space: Space, grip: Grip, tray: Sheeting, front: Sheeting): ReturnType<typeof runningDrawer> => {
  const field: Space = {
    x0: space.x0 + USUAL_GAP,
    x1: space.x1 - USUAL_GAP,
    y0: space.y0 + USUAL_GAP,
    y1: space.y1 - USUAL_GAP,
    z0: space.z1 - front.thickness,
    z1: space.z1,
  };
  return runningDrawer({ id, space, field, clearance: USUAL_GAP, stop: true, grip, tray, front });
};
