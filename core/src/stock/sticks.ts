import { type DollUm, dollUm, UM } from '../measure/index.ts';

/** A stick as it is bought: its section, and the length that one gives. A round one has its diameter twice. */
export type Stick = {
  readonly section: 'flat' | 'square' | 'round';
  readonly width: DollUm;
  readonly thickness: DollUm;
  readonly length: DollUm;
};

const stick = (section: Stick['section'], width: number, thickness: number, length: number): Stick => ({
  section,
  width: dollUm(width * UM.mm),
  thickness: dollUm(thickness * UM.mm),
  length: dollUm(length * UM.mm),
});

/** Craft sticks, skewers and dowels. Craft, jumbo and skinny sticks: recalled from memory of makers' labels; toothpick and the rest:
 *  common practice, no source. */
export const STICKS = {
  'skinny stick': stick('flat', 6, 1.3, 140),
  'craft stick': stick('flat', 10, 2, 114),
  'jumbo stick': stick('flat', 19, 2, 152),
  'square dowel, 3 mm': stick('square', 3, 3, 305),
  'square dowel, 5 mm': stick('square', 5, 5, 305),
  'square dowel, 8 mm': stick('square', 8, 8, 305),
  'square dowel, 10 mm': stick('square', 10, 10, 305),
  'round dowel, 3 mm': stick('round', 3, 3, 305),
  'round dowel, 5 mm': stick('round', 5, 5, 305),
  'round dowel, 8 mm': stick('round', 8, 8, 305),
  skewer: stick('round', 3, 3, 300),
  toothpick: stick('round', 2, 2, 65),
} as const;

export type StickName = keyof typeof STICKS;

export const STICK_NAMES = Object.keys(STICKS) as readonly StickName[];

const named = (test: (section: Stick['section']) => boolean) => STICK_NAMES.filter((name) => test(STICKS[name].section));

/** Sticks with flat sides, which others can be glued to, and round ones. */
export const EDGED_STICKS = named((section) => section !== 'round');
export const ROUND_STICKS = named((section) => section === 'round');

/** Other stuffs that parts are made of, with the thickness they usually have: common practice, no source. */
export const CLEAR_SHEET = { name: 'clear sheet', thickness: dollUm(0.3 * UM.mm) } as const;
/** Craft foam, felt or batting on a seat. */
export const PADDING = { name: 'padding' } as const;
export const WIRE = { name: 'wire', thickness: dollUm(1 * UM.mm) } as const;
