// µm. Things from the house that stand in for made ones. Sizes: common practice, no source; each household's own differ, so each has a range.
import { UM } from '../measure/index.ts';

/** What a thing is like, as far as it stands in for another: hollow and open above; flat and round; a tube; a ball; a full round stick; a ring; a small box. */
export const THING_SHAPES = ['cup', 'disc', 'tube', 'ball', 'rod', 'ring', 'bottle', 'box'] as const;
export type ThingShape = (typeof THING_SHAPES)[number];

type Range = readonly [least: number, most: number];

/** A thing from the house: across and high (a rod's or tube's length), from the smallest to the largest that are usual. A length that can be cut off has no least. */
export type HouseThing = { readonly name: string; readonly shape: ThingShape; readonly across: Range; readonly high: Range };

const thing = (name: string, shape: ThingShape, across: Range, high: Range): HouseThing => ({
  name,
  shape,
  across: [across[0] * UM.mm, across[1] * UM.mm],
  high: [high[0] * UM.mm, high[1] * UM.mm],
});

export const HOUSE_THINGS: readonly HouseThing[] = [
  thing('screw cap of a drinks bottle', 'cup', [28, 31], [12, 21]),
  thing('cap of a milk bottle', 'cup', [36, 41], [12, 17]),
  thing('cap of a tube of toothpaste', 'cup', [13, 24], [12, 28]),
  thing('cap of a small tube', 'cup', [8, 14], [8, 18]),
  thing('cap of a glue stick', 'cup', [18, 32], [18, 32]),
  thing('cap of a spray can', 'cup', [45, 66], [35, 70]),
  thing('cup of a tea light', 'cup', [37, 39], [12, 22]),
  thing('medicine cup', 'cup', [30, 42], [28, 45]),
  thing('coffee capsule, empty and washed', 'cup', [29, 38], [26, 30]),
  thing('yoghurt pot', 'cup', [58, 95], [60, 100]),
  thing('thimble', 'cup', [15, 20], [18, 25]),
  thing('egg cup', 'cup', [40, 55], [45, 90]),
  thing('paper baking cup, mini', 'cup', [24, 35], [15, 22]),
  thing('crown cap', 'disc', [26, 32], [5, 7]),
  thing('coin', 'disc', [16, 31], [1.2, 3]),
  thing('button', 'disc', [8, 34], [1.5, 5]),
  thing('lid of a jar', 'disc', [43, 85], [8, 18]),
  thing('lid of a tub', 'disc', [60, 120], [3, 12]),
  thing('bottom of a drinks can lid, card disc', 'disc', [60, 66], [0.5, 3]),
  thing('washer', 'ring', [8, 40], [0.8, 3]),
  thing('curtain ring', 'ring', [20, 45], [2, 5]),
  thing('jump ring', 'ring', [4, 12], [0.6, 1.5]),
  thing('hair tie', 'ring', [25, 60], [2, 8]),
  thing('drinking straw', 'tube', [4, 12], [2, 240]),
  thing('cap of a felt pen', 'tube', [8, 14], [35, 60]),
  thing('cap of a lip balm', 'tube', [16, 19], [22, 35]),
  thing('middle of a roll of paper', 'tube', [38, 48], [20, 280]),
  thing('middle of a roll of tape', 'tube', [25, 80], [12, 50]),
  thing('wooden bead', 'ball', [4, 30], [4, 30]),
  thing('pearl or glass bead', 'ball', [2, 12], [2, 12]),
  thing('marble', 'ball', [12, 25], [12, 25]),
  thing('capsule from a vending machine, half', 'cup', [28, 55], [15, 30]),
  thing('table tennis ball', 'ball', [38, 40], [38, 40]),
  thing('wine cork', 'rod', [21, 26], [10, 50]),
  thing('pencil', 'rod', [6, 8], [10, 180]),
  thing('cotton bud stick', 'rod', [2, 3], [10, 70]),
  thing('toothpick', 'rod', [1.5, 2.2], [5, 65]),
  thing('skewer', 'rod', [2.5, 4], [10, 300]),
  thing('wooden spool', 'rod', [18, 40], [20, 55]),
  thing('birthday candle', 'rod', [4, 7], [15, 75]),
  thing('sample vial', 'bottle', [10, 18], [30, 55]),
  thing('dropper bottle', 'bottle', [22, 35], [55, 85]),
  thing('bottle of nail varnish', 'bottle', [18, 32], [50, 85]),
  thing('matchbox', 'box', [33, 56], [10, 18]),
  thing('box of a battery light', 'box', [40, 70], [15, 30]),
  thing('dice', 'box', [8, 19], [8, 19]),
];

/** What a recipe asks for: what it is for, what shapes will do, and its size. */
export type StandIn = { readonly as: string; readonly shapes: readonly ThingShape[]; readonly across: number; readonly high: number };

/** By how much a thing may be off and still pass for another: a quarter. Common practice, no source. */
export const PASSES = 0.25;

const meets = ([least, most]: Range, wanted: number): boolean => most >= wanted * (1 - PASSES) && least <= wanted * (1 + PASSES);

/** Things from the house that are near enough in shape and size, the nearest first. What has a length that is cut only needs to be long enough. */
export const standInsFor = ({ shapes, across, high }: StandIn): readonly HouseThing[] => {
  const off = ({ across: [least, most] }: HouseThing): number => (across < least ? least - across : across > most ? across - most : 0);
  return HOUSE_THINGS.filter((each) => shapes.includes(each.shape) && meets(each.across, across) && meets(each.high, high)).sort(
    (a, b) => off(a) - off(b),
  );
};
