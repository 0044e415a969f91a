// µm, doll size. Cans, tubes, shades and cups, rolls, discs.
import { coneNet, coneStands, discNet, facetsOf, spiralOf, tubeNet, tubeStands } from '../../net/index.ts';
import { ellipseRing, type Point, type Vec3 } from '../../shape/index.ts';
import {
  type CopyResult,
  copyOf,
  type Envelope,
  type GoodNet,
  lacks,
  lyingDown,
  lyingUp,
  type Making,
  netOf,
  refused,
  standingEnvelope,
} from './copy.ts';

/** What is rolled is at least so many thicknesses across: tighter paper springs open or cracks. Common practice, no source. */
const TIGHT = 12;

const round = (across: number, centre: number, about: number): readonly Point[] => {
  const count = Math.min(48, facetsOf(about));
  return Array.from({ length: count }, (_, index): Point => {
    const angle = (2 * Math.PI * index) / count;
    return [centre + (across / 2) * Math.cos(angle), centre + (across / 2) * Math.sin(angle)];
  });
};

const cylinder = (across: number, height: number): Envelope => {
  const half = Math.round(across / 2);
  return standingEnvelope(ellipseRing(half, half, half), height, 2 * half);
};

/** A disc that lies with its printed side up or down, its middle over a point. */
const discAt = (making: Making, name: string, across: number, [x, y, z]: Vec3, up: boolean, hole = 0): GoodNet =>
  netOf(making, name, discNet(name, across, hole), up ? lyingUp(x, y, z) : lyingDown(x, y, z));

/** A can or a jar: a label that goes round once, discs above and below; a hole above for a straw or a wick. */
const can = (making: Making): CopyResult => {
  const { width, height, hole, paper, piece } = making;
  const problem = lacks(
    ['what is rolled so tightly', width, TIGHT * paper],
    ['its height', height, 6 * paper],
    ['the hole in its lid', width - 4 * paper, hole],
  );
  if (problem) return refused(problem);
  const half = Math.round(width / 2);
  const label = tubeNet('label', width - paper, height, piece.tab);
  const inside = width - 2 * paper;
  const across = 2 * half;
  return copyOf(
    [
      netOf(making, 'label', label, tubeStands(width - paper, [half, 0, half])),
      ...(piece.open ? [] : [discAt(making, 'top', inside, [half, height - paper / 2, half], true, hole)]),
      discAt(making, 'bottom', inside, [half, paper / 2, half], false),
    ],
    [across, height, across],
    cylinder(across, height),
  );
};

/** A tube with a cap at each end: a disc and a strip round it that goes over the tube. */
const tube = (making: Making): CopyResult => {
  const { width, height, lid, paper, piece } = making;
  const inner = width - 2 * (paper + piece.play);
  const problem = lacks(
    ['what is rolled so tightly', inner, TIGHT * paper],
    ['its caps one above the other', height, 2 * lid],
    ['the strips of its caps', lid, 6 * paper],
  );
  if (problem) return refused(problem);
  const half = Math.round(width / 2);
  const body = tubeNet('tube', inner - paper, height - 2 * paper, piece.tab);
  const cap = tubeNet('cap', width - paper, lid, piece.tab);
  const end = (name: string, up: boolean): readonly GoodNet[] => [
    netOf(making, `${name} strip`, cap, tubeStands(width - paper, [half, up ? height - lid : 0, half])),
    discAt(making, name, width, [half, up ? height - paper / 2 : paper / 2, half], up),
  ];
  const across = 2 * half;
  return copyOf(
    [netOf(making, 'tube', body, tubeStands(inner - paper, [half, paper, half])), ...end('top cap', true), ...end('bottom cap', false)],
    [across, height, across],
    cylinder(across, height),
  );
};

/** A mantle between two circles, with a bottom or without: a shade, a cup, a pot, a cone. Where both are alike it is a tube. */
const cone = (making: Making): CopyResult => {
  const { width, above, height, paper, piece } = making;
  const [large, small] = [Math.max(width, above), Math.min(width, above)];
  const problem = lacks(
    ['what is rolled so tightly', large, TIGHT * paper],
    ['its height', height, 6 * paper],
    ['a bottom to stand on', piece.open ? 1 : width, piece.open ? 1 : 6 * paper],
  );
  if (problem) return refused(problem);
  const half = Math.round(large / 2);
  // What comes nearly to a point comes to one: nobody rolls a hole smaller than the paper is stiff.
  const tip = small < TIGHT * paper ? 0 : small;
  const straight = large - tip < 400;
  const middle: Vec3 = [half, 0, half];
  const mantle = straight
    ? netOf(making, 'mantle', tubeNet('mantle', large - paper, height, piece.tab), tubeStands(large - paper, middle))
    : netOf(making, 'mantle', coneNet('mantle', large, tip, height, piece.tab), coneStands(large, tip, height, middle, above > width));
  const foot = above > width ? tip : large;
  const bottom = piece.open || foot < 6 * paper ? [] : [discAt(making, 'bottom', foot - 2 * paper, [half, paper / 2, half], false)];
  const across = 2 * half;
  const count = Math.max(tip, Math.round(large / 50));
  const rings = [round(large, half, large), round(straight ? large : count, half, large)] as const;
  const envelope = straight
    ? cylinder(across, height)
    : standingEnvelope(above > width ? rings[1] : rings[0], height, across, above > width ? rings[0] : rings[1]);
  return copyOf([mantle, ...bottom], [across, height, across], envelope);
};

/** Tickets or tape on a roll: the outermost turn is printed, the rest is a plain strip that is wound up from the core. */
const roll = (making: Making): CopyResult => {
  const { width, height, depth, hole, paper, piece } = making;
  const problem = lacks(
    ['what is rolled so tightly', width, TIGHT * paper],
    ['the roll round its core', width - hole, 8 * paper],
    ['the width of its strip', height, 6 * paper],
    ['one field in the outermost turn', Math.PI * width, depth],
  );
  if (problem) return refused(problem);
  const half = Math.round(width / 2);
  const across = 2 * half;
  const fields = Math.max(1, Math.floor((Math.PI * (width - paper)) / depth));
  const long = Math.PI * (width - paper);
  const tears = Array.from({ length: fields - 1 }, (_, index): readonly [Point, Point] => {
    const x = (long * (index + 1)) / fields;
    return [
      [x, 0],
      [x, height],
    ];
  });
  return copyOf(
    [
      netOf(making, 'outer turn', tubeNet('strip', width - paper, height, piece.tab), tubeStands(width - paper, [half, 0, half]), {
        tears,
        cells: [fields, 1],
      }),
      discAt(making, 'top', width - 2 * paper, [half, height - paper / 2, half], true, hole),
      discAt(making, 'bottom', width - 2 * paper, [half, paper / 2, half], false, hole),
    ],
    [across, height, across],
    cylinder(across, height),
    { extras: [{ what: 'plain strip to wind', length: spiralOf(width - 2 * paper, hole, paper) }] },
  );
};

/** A disc that lies: a plate, a counter, a coaster. */
const disc = (making: Making): CopyResult => {
  const { width, paper } = making;
  const problem = lacks(['a disc that can be cut or punched', width, 2_000]);
  if (problem) return refused(problem);
  const half = Math.round(width / 2);
  const high = Math.max(100, paper);
  const net = netOf(making, 'disc', discNet('disc', 2 * half, 0, 'behind'), lyingUp(half, high, half));
  return copyOf([net], [2 * half, high, 2 * half], cylinder(2 * half, high));
};

export const ROLLED = { can, tube, cone, roll, disc } as const;
