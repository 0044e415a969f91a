import { type RealUm, realUm, UM } from '../measure/index.ts';

/** A household object that stands on shelves: width and height as it stands, depth back to front. */
export type StandingObject = {
  readonly name: string;
  readonly width: RealUm;
  readonly height: RealUm;
  readonly depth: RealUm;
};

const standing = (name: string, width: number, height: number, depth: number): StandingObject => ({
  name,
  width: realUm(width * UM.mm),
  height: realUm(height * UM.mm),
  depth: realUm(depth * UM.mm),
});

/** What is named to stand on a shelf. Books and cans: usual trade sizes, recalled from memory of publishers' trim
 *  sizes and packaging handbooks. Letters: ISO 269 (C6, DL). The rest is common practice without source. */
export const STANDING_OBJECTS = {
  paperback: standing('paperback', 25, 178, 110),
  'trade paperback': standing('trade paperback', 25, 229, 152),
  hardback: standing('hardback', 40, 240, 160),
  'ring binder': standing('ring binder', 75, 318, 285),
  'drinks can': standing('drinks can', 66, 115, 66),
  'jam jar': standing('jam jar', 80, 110, 80),
  'flower pot': standing('flower pot', 140, 125, 140),
  'watering can': standing('watering can', 180, 320, 400),
  'letter, C6': standing('letter, C6', 162, 114, 1),
  'letter, DL': standing('letter, DL', 220, 110, 1),
  'parcel, small': standing('parcel, small', 350, 150, 250),
  'parcel, large': standing('parcel, large', 450, 350, 350),
  suitcase: standing('suitcase', 400, 550, 200),
  'coat on a hanger': standing('coat on a hanger', 450, 1200, 550),
} as const;

export type ObjectName = keyof typeof STANDING_OBJECTS;

export const OBJECT_NAMES = Object.keys(STANDING_OBJECTS) as readonly ObjectName[];
