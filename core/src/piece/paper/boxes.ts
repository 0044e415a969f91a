// µm, doll size. Boxes and bags, round what they hold. A net is drawn by the middle of its paper, so that the outside comes out as stated.
import {
  awningNet,
  bagNet,
  boxSolid,
  cartonNet,
  handleNet,
  hingedNet,
  houseOf,
  type Net,
  type NetFace,
  type NetRing,
  type Polyhedron,
  poseOfFace,
  prismOf,
  pyramidOf,
  ringNet,
  sheetNet,
  sleeveNet,
  unfold,
} from '../../net/index.ts';
import { add, type Point, type Pose, type Vec3, vec3 } from '../../shape/index.ts';
import {
  type CopyResult,
  copyOf,
  facing,
  type GoodNet,
  lacks,
  lyingDown,
  lyingUp,
  type Making,
  netOf,
  refused,
  standingEnvelope,
} from './copy.ts';

/** A box is at least so many thicknesses of its paper in each direction. */
const LEAST = 6;

const room = ({ width, depth, height, paper }: Making) =>
  lacks(['its width', width, LEAST * paper], ['its depth', depth, LEAST * paper], ['its height', height, LEAST * paper]);

type Folded = { readonly net: Net; readonly pose: Pose };

/** A solid unfolded from one of its faces, moved in space; sides that no tree lays out are refused. */
const unfolded = (solid: Polyhedron, tab: number, at: Vec3, root = 0): Folded | undefined => {
  const net = unfold(solid, root, tab);
  const face = solid.faces[root];
  if (!net || !face) return undefined;
  const pose = poseOfFace(solid, face);
  return { net, pose: { ...pose, origin: add(pose.origin, at) } };
};

const NO_NET = { code: 'does-not-fit', what: 'a net in one piece', available: 0, needed: 1 } as const;

/** Faces called otherwise. */
const called = (net: Net, names: Readonly<Record<string, string>>): Net => ({
  ...net,
  faces: net.faces.map((face): NetFace => ({ ...face, name: names[face.name] ?? face.name })),
});

/** The middle of the paper of a tray so large outside, standing from the floor at a corner. */
const trayAt = ({ paper, piece }: Making, [w, h, d]: Vec3, [x, y, z]: Vec3): Folded | undefined => {
  const half = paper / 2;
  return unfolded(boxSolid(w - paper, d - paper, h - half, true), piece.tab, [x + half, y + half, z + half]);
};

const tray = (making: Making): CopyResult => {
  const { width, height, depth } = making;
  const size: Vec3 = [width, height, depth];
  const problem = room(making);
  const folded = problem ? undefined : trayAt(making, size, [0, 0, 0]);
  if (problem || !folded) return refused(problem ?? NO_NET);
  return copyOf([netOf(making, 'tray', folded.net, folded.pose)], size);
};

const LID = { bottom: 'lid', front: 'lid back', back: 'lid front', left: 'lid left', right: 'lid right' };

/** A box, and a lid that goes over it with some play; the size is that of the box with its lid on. */
const lidded = (making: Making): CopyResult => {
  const { width, height, depth, lid, paper, piece } = making;
  const rim = paper + piece.play;
  const high = Math.min(height, lid);
  const problem =
    room(making) ??
    lacks(
      ['the box within its lid', Math.min(width, depth) - 2 * rim, LEAST * paper],
      ['the lid’s walls', high, LEAST * paper],
      ['the box under its lid', height - paper, LEAST * paper],
    );
  if (problem) return refused(problem);
  const box = trayAt(making, [width - 2 * rim, height - paper, depth - 2 * rim], [rim, 0, rim]);
  const half = paper / 2;
  const cap = unfold(boxSolid(width - paper, depth - paper, high - half, true), 0, piece.tab);
  if (!box || !cap) return refused(NO_NET);
  return copyOf(
    [netOf(making, 'box', box.net, box.pose), netOf(making, 'lid', called(cap, LID), lyingUp(half, height - half, depth - half))],
    [width, height, depth],
  );
};

const carton = (making: Making): CopyResult => {
  const { width, height, depth, paper, piece, lid } = making;
  const problem = room(making);
  if (problem) return refused(problem);
  const net = cartonNet(width - paper, depth - paper, height - paper, piece.tab, Math.max(lid, 4 * paper));
  return copyOf([netOf(making, 'carton', net, facing(paper / 2, paper / 2, depth - paper / 2))], [width, height, depth]);
};

/** A box with its lid on its back wall: the lid's walls go in, or over the box. */
const hinged =
  (over: boolean) =>
  (making: Making): CopyResult => {
    const { width, height, depth, paper, piece, lid } = making;
    const rim = paper + piece.play;
    const problem = room(making) ?? lacks(['the box within its lid', Math.min(width, depth) - 3 * rim, LEAST * paper]);
    if (problem) return refused(problem);
    const half = paper / 2;
    const net = over
      ? hingedNet(width - paper - 2 * rim, depth - paper - rim, height - paper, piece.tab, height - paper, rim)
      : hingedNet(width - paper, depth - paper, height - paper, piece.tab, Math.max(4 * paper, Math.min(lid, height - 2 * paper)), -rim);
    const x = over ? half + rim : half;
    return copyOf([netOf(making, over ? 'case' : 'box', net, lyingDown(x, half, half))], [width, height, depth]);
  };

const drawerBox = (making: Making): CopyResult => {
  const { width, height, depth, paper, piece } = making;
  const rim = paper + piece.play;
  const problem =
    room(making) ??
    lacks(
      ['the drawer within its sleeve', width - 2 * rim, LEAST * paper],
      ['the drawer under its sleeve', height - 2 * rim, LEAST * paper],
    );
  if (problem) return refused(problem);
  const half = paper / 2;
  const sleeve = sleeveNet(width - paper, depth, height - paper, piece.tab);
  const drawer = trayAt(making, [width - 2 * rim, height - 2 * rim, depth], [rim, rim, 0]);
  if (!drawer) return refused(NO_NET);
  const names = { front: 'drawer front', back: 'drawer back', left: 'drawer left', right: 'drawer right', bottom: 'drawer bottom' };
  return copyOf(
    [
      netOf(making, 'sleeve', called(sleeve, { right: 'sleeve right', left: 'sleeve left' }), lyingUp(half, height - half, depth)),
      netOf(making, 'drawer', called(drawer.net, names), drawer.pose),
    ],
    [width, height, depth],
  );
};

/** Slots are wider than the paper by this much. */
const SLACK = 100;

/** A strip with slots half as deep as it is high, from above or from below. */
const slotted = (long: number, high: number, at: readonly number[], wide: number, fromAbove: boolean): NetRing => {
  const deep = Math.round(high / 2);
  const notch = (x: number): readonly Point[] => {
    const [a, b] = [Math.round(x - wide / 2), Math.round(x + wide / 2)];
    return fromAbove
      ? [
          [b, high],
          [b, high - deep],
          [a, high - deep],
          [a, high],
        ]
      : [
          [a, 0],
          [a, deep],
          [b, deep],
          [b, 0],
        ];
  };
  const slots = fromAbove ? [...at].reverse().flatMap(notch) : at.flatMap(notch);
  return fromAbove ? [[0, 0], [long, 0], [long, high], ...slots, [0, high]] : [[0, 0], ...slots, [long, 0], [long, high], [0, high]];
};

const within = (count: number, from: number, to: number): readonly number[] =>
  Array.from({ length: count - 1 }, (_, index) => from + ((to - from) * (index + 1)) / count);

/** A hand hole in the middle of a wall's upper half, in the net's own places. */
const handHole = (outline: NetRing, wide: number): NetRing => {
  const [a, b, c] = outline as unknown as readonly [Point, Point, Point];
  const [long, high] = [Math.hypot(b[0] - a[0], b[1] - a[1]), Math.hypot(c[0] - b[0], c[1] - b[1])];
  const at = (along: number, up: number): Point => [
    a[0] + ((b[0] - a[0]) * along) / long + ((c[0] - b[0]) * up) / high,
    a[1] + ((b[1] - a[1]) * along) / long + ((c[1] - b[1]) * up) / high,
  ];
  const [x0, x1] = [(long - wide) / 2, (long + wide) / 2];
  const [y0, y1] = [high * 0.6, high * 0.6 + Math.min(wide * 0.35, high * 0.25)];
  return [at(x0, y0), at(x0, y1), at(x1, y1), at(x1, y0)];
};

/** A crate: a tray with dividers that are slotted into one another, and holes for hands in its sides. */
const crate = (making: Making): CopyResult => {
  const { width, height, depth, paper, hole, piece } = making;
  const wall = 2 * paper;
  const [inner, deep, high] = [width - 2 * wall, depth - 2 * wall, height - wall];
  const slot = paper + SLACK;
  const problem =
    room(making) ??
    lacks(
      ['its dividers side by side', inner, piece.across * 4 * slot],
      ['its dividers one behind the other', deep, piece.up * 4 * slot],
      ['the holes for hands in its sides', depth - 4 * paper, hole],
    );
  const folded = problem ? undefined : trayAt(making, [width, height, depth], [0, 0, 0]);
  if (problem || !folded) return refused(problem ?? NO_NET);
  const net: Net =
    hole === 0
      ? folded.net
      : {
          ...folded.net,
          faces: folded.net.faces.map((face) =>
            face.name === 'left' || face.name === 'right' ? { ...face, holes: [handHole(face.outline, hole)] } : face,
          ),
        };
  const [columns, rows] = [within(piece.across, wall, width - wall), within(piece.up, wall, depth - wall)];
  const running = slotted(deep, high - paper, within(piece.up, 0, deep), slot, true);
  const crossing = slotted(inner, high - paper, within(piece.across, 0, inner), slot, false);
  const dividers = [
    ...columns.map((x): GoodNet => {
      const pose: Pose = { origin: [x, wall, depth - wall], u: [0, 0, -1], v: [0, 1, 0] };
      return netOf(
        making,
        'divider, front to back',
        sheetNet('divider', piece.up > 1 ? running : slotted(deep, high - paper, [], slot, true)),
        pose,
      );
    }),
    ...rows.map((z) =>
      netOf(
        making,
        'divider, across',
        sheetNet('divider', piece.across > 1 ? crossing : slotted(inner, high - paper, [], slot, false)),
        facing(wall, wall, z),
      ),
    ),
  ];
  return copyOf([netOf(making, 'crate', net, folded.pose), ...dividers], [width, height, depth]);
};

/** The handles of a bag stand a sixth of its width in from its sides. Common practice, no source. */
const bag = (making: Making): CopyResult => {
  const { width, height, depth, paper, piece, lid } = making;
  const problem = room(making);
  if (problem) return refused(problem);
  const half = paper / 2;
  const net = bagNet(width - paper, depth - paper, height - half, piece.tab);
  const wide = Math.max(2_000, Math.round(width * 0.07));
  const across = Math.round(width * 0.4);
  const handle = handleNet(across, lid + piece.tab, wide);
  const over = (z: number): GoodNet => netOf(making, 'handle', handle, lyingUp((width - across) / 2, height + lid - half, z + wide / 2));
  const handles = lid > 0 ? [over(depth - 2 * paper - wide / 2), over(2 * paper + wide / 2)] : [];
  const whole = height + lid;
  return copyOf([netOf(making, 'bag', net, facing(half, half, depth - half)), ...handles], [width, whole, depth]);
};

/** String once round each way with a knot, and a sheet to wrap a block of that size. Common practice, no source. */
const KNOT = 60_000;

const parcel = (making: Making): CopyResult => {
  const { width, height, depth, paper, piece } = making;
  const problem = room(making);
  const half = paper / 2;
  const folded = problem ? undefined : unfolded(boxSolid(width - paper, depth - paper, height - paper), piece.tab, [half, half, half]);
  if (problem || !folded) return refused(problem ?? NO_NET);
  return copyOf([netOf(making, 'parcel', folded.net, folded.pose)], [width, height, depth], undefined, {
    extras: [
      { what: 'string', length: 2 * width + 2 * depth + 4 * height + KNOT },
      // Once round the girth with an overlap; at the ends it is folded in over three quarters of the height.
      {
        what: 'paper to wrap a block of that size instead',
        length: 2 * (depth + height) + 3 * piece.tab,
        wide: Math.round(width + 1.5 * height),
      },
    ],
  });
};

const house = (making: Making): CopyResult => {
  const { width, height, depth, paper, piece, lid } = making;
  const problem = room(making) ?? lacks(['its roof above its walls', height - lid, LEAST * paper], ['its walls', lid, LEAST * paper]);
  const half = paper / 2;
  const folded = problem
    ? undefined
    : unfolded(houseOf(width - paper, depth - paper, lid - half, height - paper), piece.tab, [half, half, half]);
  if (problem || !folded) return refused(problem ?? NO_NET);
  const gable: readonly Point[] = [
    [0, 0],
    [width, 0],
    [width, lid],
    [Math.round(width / 2), height],
    [0, lid],
  ];
  const envelope = { region: { outline: gable, holes: [] }, thickness: depth, pose: facing(0, 0, 0) };
  return copyOf([netOf(making, 'house', folded.net, folded.pose)], [width, height, depth], envelope);
};

/** What stands on a regular polygon, moved so that nothing reaches below nought. */
const onPolygon = (making: Making, name: string, solid: Polyhedron, tip: boolean): CopyResult => {
  const { height, piece } = making;
  const low = vec3((axis) => Math.min(...solid.corners.map((corner) => corner[axis])));
  const high = vec3((axis) => Math.max(...solid.corners.map((corner) => corner[axis])));
  const folded = unfolded(solid, piece.tab, [-low[0], 0, -low[2]], piece.open && tip ? 1 : 0);
  if (!folded) return refused(NO_NET);
  const [x, z] = [Math.round(high[0] - low[0]), Math.round(high[2] - low[2])];
  // Seen from above, y runs away from the viewer.
  const foot = solid.corners.slice(0, piece.sides).map(([px, , pz]): Point => [px - low[0], high[2] - pz]);
  const peak = foot.map(([px, py]): Point => [-low[0] + (px + low[0]) / 50, high[2] + (py - high[2]) / 50]);
  const envelope = standingEnvelope(foot, height, z, tip ? peak : undefined);
  return copyOf([netOf(making, name, folded.net, folded.pose)], [x, height, z], envelope);
};

const pyramid = (making: Making): CopyResult => {
  const { width, height, paper, piece } = making;
  const problem = lacks(['its side', width, 3 * LEAST * paper], ['its height', height, 2 * LEAST * paper]);
  return problem ? refused(problem) : onPolygon(making, 'pyramid', pyramidOf(piece.sides, width, height), true);
};

const prism = (making: Making): CopyResult => {
  const { width, height, paper, piece } = making;
  const problem = lacks(['its side', width, LEAST * paper], ['its height', height, LEAST * paper]);
  return problem ? refused(problem) : onPolygon(making, 'box', prismOf(piece.sides, width, height, piece.open), false);
};

/** A strip folded into a polygon that stands on one of its sides, open in front: a shelf of six sides. */
const ring = (making: Making): CopyResult => {
  const { width, depth, paper, piece } = making;
  const count = piece.sides;
  const problem = lacks(['its side', width, LEAST * paper], ['its depth', depth, LEAST * paper]);
  if (problem) return refused(problem);
  const net = ringNet(count, width, depth, piece.tab);
  const radius = width / (2 * Math.sin(Math.PI / count));
  const corners = (by: number): readonly Point[] =>
    Array.from({ length: count }, (_, index): Point => {
      const angle = -Math.PI / 2 + (2 * Math.PI * (index - 0.5)) / count;
      return [by * Math.cos(angle), by * Math.sin(angle)];
    });
  const outer = corners(radius);
  const [x0, y0] = [Math.min(...outer.map(([x]) => x)), Math.min(...outer.map(([, y]) => y))];
  const at = (points: readonly Point[]): readonly Point[] =>
    points.map(([x, y]): Point => [Math.round(x - x0) + 0, Math.round(y - y0) + 0]);
  const outline = at(outer);
  const size: Vec3 = [Math.max(...outline.map(([x]) => x)), Math.max(...outline.map(([, y]) => y)), depth];
  const hole = [...at(corners(radius - paper / Math.cos(Math.PI / count)))].reverse();
  const envelope = { region: { outline, holes: [hole] }, thickness: depth, pose: facing(0, 0, 0) };
  // The first side lies below, its outside down.
  const [first] = outline as readonly [Point, ...Point[]];
  return copyOf([netOf(making, 'strip', net, lyingDown(first[0], 0, 0))], size, envelope);
};

const awning = (making: Making): CopyResult => {
  const { width, height, depth, paper, piece, lid } = making;
  const problem = room(making) ?? lacks(['its slope above the valance', height - lid, 2 * LEAST * paper]);
  if (problem) return refused(problem);
  const net = awningNet(width, depth, height, lid, piece.tab);
  const [rise, slope] = [height - lid, Math.hypot(depth, height - lid)];
  const pose: Pose = { origin: [0, lid, depth], u: [1, 0, 0], v: [0, rise / slope, -depth / slope] };
  const profile: readonly Point[] = [
    [0, 0],
    [depth, lid],
    [depth, height],
    [0, lid],
  ];
  const wedge = lid > 0 ? profile : [profile[0], profile[1], profile[2]];
  const envelope = {
    region: { outline: wedge as readonly Point[], holes: [] },
    thickness: width,
    pose: { origin: [0, 0, depth], u: [0, 0, -1], v: [0, 1, 0] } as const,
  };
  return copyOf([netOf(making, 'awning', net, pose)], [width, height, depth], envelope);
};

export const BOXES = {
  tray,
  'lidded box': lidded,
  carton,
  'flat box': hinged(false),
  case: hinged(true),
  'drawer box': drawerBox,
  crate,
  bag,
  parcel,
  house,
  pyramid,
  prism,
  ring,
  awning,
} as const;
