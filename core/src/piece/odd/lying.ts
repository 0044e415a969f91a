// µm, doll size. Food, plates, trays, pencils, hangers, keys, frames.
import type { Part } from '../../assembly/index.ts';
import { err } from '../../kit/index.ts';
import { UM } from '../../measure/index.ts';
import { discNet } from '../../net/index.ts';
import { grown, type Point, type Ring } from '../../shape/index.ts';
import { STICKS, WIRE } from '../../stock/index.ts';
import type { Extra } from '../kit/built.ts';
import { roundIn, sectionOf, stickIn } from '../kit/panels.ts';
import { lack, type PieceProblem } from '../kit/problem.ts';
import { axisFor, bodyPart, boxPart, type Doing, lyingTube, type Made, made, netOn, polygon, strip } from './recipe.ts';

const extra = (what: string, length: number, more: Partial<Extra> = {}): Extra => ({ what, length: Math.round(length), count: 1, ...more });

/** Corners of a round cake that is cut with a knife. */
const ROUND = 32;

/** A slice of a regular figure or a disc: its two straight cuts meet in the middle. */
const sliceRing = (radius: number, sides: number, from: number, to: number): Ring => {
  const angle = (share: number): number => 2 * Math.PI * share;
  const onEdge = (share: number): Point => {
    // Along the chord between two corners.
    const at = share * sides;
    const [low, rest] = [Math.floor(at + 1e-9), at - Math.floor(at + 1e-9)];
    const [a, b] = [angle(low / sides), angle((low + 1) / sides)];
    return [radius * (Math.cos(a) * (1 - rest) + Math.cos(b) * rest), radius * (Math.sin(a) * (1 - rest) + Math.sin(b) * rest)];
  };
  const corners: Point[] = [];
  for (let corner = Math.floor(from * sides + 1e-9) + 1; corner < to * sides - 1e-9; corner += 1) corners.push(onEdge(corner / sides));
  return [[0, 0] as Point, onEdge(from), ...corners, onEdge(to)].map(([x, y]): Point => [Math.round(x) + 0, Math.round(y) + 0]);
};

/** A cake, pie, cheese, pizza or flat loaf: layers of board, round or of many sides, whole or in slices, some of them gone; a strip of icing round it, decoration on its rim. */
export const cake = (doing: Doing): Made => {
  const { piece, width, sheets, height } = doing;
  const [one, radius] = [sheets.body.one, Math.round(width / 2)];
  const layers = Math.max(1, Math.round(height / one));
  const sides = piece.sides === 0 ? ROUND : piece.sides;
  const gone = Math.min(piece.gone, piece.slices - 1);
  const problem = lack('a slice to cut', Math.floor((Math.PI * width) / piece.slices), 2 * UM.mm);
  if (problem) return err(problem);
  const rings =
    piece.slices === 1
      ? [polygon(radius, sides)]
      : Array.from({ length: piece.slices - gone }, (_, index) =>
          sliceRing(radius, sides, (index + gone) / piece.slices, (index + gone + 1) / piece.slices),
        );
  const parts = piece.found
    ? [bodyPart(doing, axisFor(width), [0, layers * one], radius, radius, 'found')]
    : rings.flatMap((outline, slice) =>
        Array.from(
          { length: layers },
          (_, layer): Part => ({
            id: `${piece.id}/${rings.length === 1 ? 'layer' : `slice-${slice + 1}`}-${layer + 1}`,
            role: 'panel',
            name: rings.length === 1 ? `layer ${layer + 1}` : `slice, layer ${layer + 1}`,
            stuff: 'board',
            stock: sheets.body.board,
            thickness: one,
            region: { outline, holes: [] },
            pose: { origin: [radius, layer * one, radius], u: [1, 0, 0], v: [0, 0, -1] },
            grain: 'any',
            held: 'slides',
            length: null,
            centres: [],
          }),
        ),
      );
  // Round the rim, a little inside it, beads stand side by side with half of one between two.
  const round =
    piece.sides === 0 ? Math.PI * (width - 1.5 * piece.bead) : sides * 2 * (radius - piece.bead * 0.75) * Math.sin(Math.PI / sides);
  const left = (piece.slices - gone) / piece.slices;
  const beads = piece.extras === 0 ? 0 : Math.min(piece.extras, Math.max(1, Math.floor((round * left) / (1.5 * piece.bead))));
  const long = piece.sides === 0 ? Math.PI * width : sides * 2 * radius * Math.sin(Math.PI / sides);
  const xs = rings.flat().map(([x]) => x);
  const ys = rings.flat().map(([, y]) => y);
  const reach = { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
  const shift = piece.found ? [0, 0] : [-(radius + reach.x0), -(radius - reach.y1)];
  return made({
    parts: parts.map((part) => ({
      ...part,
      pose: { ...part.pose, origin: [part.pose.origin[0] + (shift[0] ?? 0), part.pose.origin[1], part.pose.origin[2] + (shift[1] ?? 0)] },
    })),
    nets: [],
    extras: [
      extra('strip of icing or crust round it', long * left + piece.tab, { wide: layers * one }),
      ...(beads > 0 ? [extra(`beads or berries of ${(piece.bead / 1000).toFixed(1)} mm on its rim`, 0, { count: beads })] : []),
    ],
    size: piece.found ? [2 * radius, layers * one, 2 * radius] : [reach.x1 - reach.x0, layers * one, reach.y1 - reach.y0],
    wanted: [{ as: 'the whole', shapes: ['disc', 'cup'], across: width, high: height }],
  });
};

/** A loaf in section: straight sides, a round top. */
const loafRing = (wide: number, high: number): Ring => {
  const STEPS = 10;
  const side = Math.round(high * 0.6);
  const arc = Array.from({ length: STEPS + 1 }, (_, index): Point => {
    const angle = (Math.PI * index) / STEPS;
    return [Math.round((wide / 2) * (1 + Math.cos(angle))), Math.round(side + (high - side) * Math.sin(angle))];
  });
  return [[0, 0], [wide, 0], ...arc];
};

/** A loaf: slices of board of one outline, side by side; a strip of crust as long as its outline. */
export const loaf = (doing: Doing): Made => {
  const { piece, width: long, height, depth, sheets } = doing;
  const one = sheets.body.one;
  const all = Math.max(1, Math.round(long / one));
  const left = Math.max(1, all - Math.min(piece.gone, all - 1));
  const outline = loafRing(depth, height);
  const round = outline.reduce((sum, [x, y], index) => {
    const [a, b] = outline[(index + 1) % outline.length] as Point;
    return sum + Math.hypot(a - x, b - y);
  }, 0);
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: all * one, y0: 0, y1: height, z0: 0, z1: depth })]
      : Array.from(
          { length: left },
          (_, index): Part => ({
            id: `${piece.id}/slice-${index + 1}`,
            role: 'panel',
            name: 'slice',
            stuff: 'board',
            stock: sheets.body.board,
            thickness: one,
            region: { outline, holes: [] },
            pose: { origin: [index * one, 0, depth], u: [0, 0, -1], v: [0, 1, 0] },
            grain: 'any',
            held: 'slides',
            length: null,
            centres: [],
          }),
        ),
    nets: [],
    extras: [extra('strip of crust round the loaf', round + piece.tab, { wide: left * one })],
    size: [(piece.found ? all : left) * one, height, depth],
    wanted: [{ as: 'the loaf', shapes: ['box'], across: long, high: height }],
  });
};

/** A plate: two discs of card, the smaller one is where one eats; its rim is what is left. */
export const plate = (doing: Doing): Made => {
  const { piece, width, above, paper } = doing;
  const axis = axisFor(width);
  const problem = lack('what is eaten off within its rim', width, above + 2 * UM.mm);
  if (problem) return err(problem);
  const lying = (y: number) => ({ origin: [axis.x, y, axis.z] as const, u: [1, 0, 0] as const, v: [0, 0, -1] as const });
  const thick = Math.max(200, Math.round(2 * paper));
  return made({
    parts: [bodyPart(doing, axis, [0, thick], width / 2, width / 2, 'plate')],
    nets: piece.found
      ? []
      : [
          netOn(doing, 'plate', discNet('plate', width), lying(paper / 2)),
          ...(above > UM.mm ? [netOn(doing, 'rim', discNet('rim', width, above), lying(1.5 * paper))] : []),
        ],
    extras: [],
    size: [2 * axis.x, thick, 2 * axis.z],
    wanted: [{ as: 'the plate', shapes: ['disc'], across: width, high: Math.max(thick, 1_500) }],
  });
};

/** Strips that are glued on a board have a flat side. */
const NO_EDGE: PieceProblem = {
  code: 'does-not-fit',
  what: 'a flat side on its strips (take a stick with edges)',
  available: 0,
  needed: 1,
};

/** A tray of board with a rim of sticks round it. */
export const tray = (doing: Doing): Made => {
  const { piece, width, depth, put, sheets } = doing;
  const board = sheets.body.thickness;
  const stick = sectionOf(piece.stick);
  const [wide, high] = [Math.min(stick.width, stick.thickness), Math.max(stick.width, stick.thickness)];
  const problem = lack('its board within its rim', Math.min(width, depth), 2 * wide + 5 * UM.mm);
  if (problem) return err(problem);
  if (stick.section === 'round') return err(NO_EDGE);
  const bar = (id: string, x0: number, x1: number, z0: number, z1: number, facing: 'front' | 'right'): Part =>
    stickIn(
      { x0, x1, y0: board, y1: board + high, z0, z1 },
      { id: `${piece.id}/${id}`, role: 'rail', name: 'strip of the rim', shows: facing },
      piece.stick,
    );
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: width, y0: 0, y1: board + high, z0: 0, z1: depth })]
      : [
          ...put('bottom', ['bottom', 'board of the tray', 'up'], { x0: 0, x1: width, y0: 0, y1: board, z0: 0, z1: depth }, sheets.body),
          bar('front', 0, width, depth - wide, depth, 'front'),
          bar('back', 0, width, 0, wide, 'front'),
          bar('left', 0, wide, wide, depth - wide, 'right'),
          bar('right', width - wide, width, wide, depth - wide, 'right'),
        ],
    nets: [],
    extras: [],
    size: [width, board + high, depth],
    wanted: [{ as: 'the tray', shapes: ['disc', 'box'], across: width, high: board + high }],
  });
};

/** A pencil: a stick cut to length, its end sharpened, a strip of paper round it. */
export const pencil = (doing: Doing): Made => {
  const { piece, width: long, part, paper } = doing;
  const across = sectionOf(piece.stick).width;
  const problem = lack('its point', long, part + 2 * UM.mm) ?? lack('paper so stiff round it', across, 8 * paper);
  if (problem) return err(problem);
  const radius = Math.floor(across / 2);
  const ring = polygon(radius, 12).map(([x, y]): Point => [x + radius, y + radius]);
  return made({
    parts: [
      roundIn(
        { x0: 0, x1: long, y0: 0, y1: 2 * radius, z0: 0, z1: 2 * radius },
        { id: `${piece.id}/pencil`, role: 'rail', name: 'pencil', shows: 'right', held: 'slides' },
        ring,
        { stuff: 'stick', stock: piece.stick, length: long },
      ),
    ],
    nets: piece.found ? [] : [lyingTube(doing, 'its colour', across + paper, long - part, [0, radius, radius])],
    extras: [],
    size: [long, 2 * radius, 2 * radius],
    wanted: [{ as: 'the pencil', shapes: ['rod'], across, high: long }],
  });
};

/** The line of a wire as a band so wide: its two sides, for something that is bent in one plane. */
const bandOf = (line: readonly Point[], wide: number): Ring => {
  const at = (index: number, side: 1 | -1): Point => {
    const [before, after] = [line[Math.max(0, index - 1)] as Point, line[Math.min(line.length - 1, index + 1)] as Point];
    const long = Math.hypot(after[0] - before[0], after[1] - before[1]);
    const [nx, ny] = [(-(after[1] - before[1]) / long) * (wide / 2), ((after[0] - before[0]) / long) * (wide / 2)];
    const [x, y] = line[index] as Point;
    return [Math.round(x + side * nx) + 0, Math.round(y + side * ny) + 0];
  };
  return [...line.map((_, index) => at(index, -1)), ...line.map((_, index) => at(line.length - 1 - index, 1))];
};

/** How long a bent wire is: the sum of its straight lengths and arcs, along its middle. */
export const bentLength = (line: readonly Point[]): number =>
  line.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - (line[index] as Point)[0], y - (line[index] as Point)[1]), 0);

const arcLine = ([cx, cy]: Point, radius: number, from: number, to: number, steps = 16): readonly Point[] =>
  Array.from({ length: steps + 1 }, (_, index): Point => {
    const angle = from + ((to - from) * index) / steps;
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)];
  });

/** Twisted round itself at the neck, a hanger's wire needs so much more. Common practice, no source. */
const TWIST = 6 * UM.mm;

/** The line of a hanger: from the neck down one shoulder, along below, up the other, a neck, and a hook of three quarters of a circle. */
export const hangerLine = (wide: number, high: number, hook: number): readonly Point[] => {
  const radius = hook / 2;
  const neck: Point = [wide / 2, high - hook - radius * 0.6];
  return [neck, [0, 0], [wide, 0], neck, [wide / 2, high - hook], ...arcLine([wide / 2, high - radius], radius, -Math.PI / 2, Math.PI, 18)];
};

/** Wire bent round a figure and closed. */
const loopPart = (doing: Doing, name: string, corners: Ring, length: number): Part => {
  const half = Math.round(WIRE.thickness / 2);
  const inner = grown({ outline: corners, holes: [] }, -half)[0]?.outline;
  return {
    id: `${doing.piece.id}/${name}`,
    role: 'rail',
    name,
    stuff: 'wire',
    stock: WIRE.name,
    thickness: WIRE.thickness,
    region: { outline: grown({ outline: corners, holes: [] }, half)[0]?.outline ?? corners, holes: inner ? [inner.toReversed()] : [] },
    pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
    grain: 'any',
    held: 'slides',
    length: Math.round(length),
    centres: [],
  };
};

/** What is bent on from there, drawn only: its length is counted with the loop's. */
const hookPart = (doing: Doing, line: readonly Point[]): Part => ({
  id: `${doing.piece.id}/hook`,
  role: 'rail',
  name: 'hook',
  stuff: 'found',
  stock: WIRE.name,
  thickness: WIRE.thickness,
  region: { outline: bandOf(line, WIRE.thickness), holes: [] },
  pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
  grain: 'any',
  held: 'slides',
  length: null,
  centres: [],
});

/** A hanger of wire: so much is cut off before it is bent. */
export const hanger = (doing: Doing): Made => {
  const { width, height, part } = doing;
  const problem = lack('its shoulders below its hook', height, Math.round(part * 1.3 + 2 * UM.mm)) ?? lack('its hook', part, 3 * UM.mm);
  if (problem) return err(problem);
  const line = hangerLine(width, height, part);
  const corners = line.slice(0, 3).map(([x, y]): Point => [Math.round(x), Math.round(y)]);
  const loop = loopPart(doing, 'hanger', corners, bentLength(line) + TWIST);
  // The hook is drawn from where it is clear of the shoulders' bend.
  const from = Math.max(...loop.region.outline.map(([, y]) => y)) + WIRE.thickness;
  const hook = line.slice(4).filter(([, y], index) => index > 0 || y > from);
  return made({
    parts: [loop, ...(from < height - part * 0.9 ? [hookPart(doing, [[width / 2, from], ...hook])] : [])],
    nets: [],
    extras: [],
    size: [width, height, WIRE.thickness],
    wanted: [],
  });
};

/** A key: a ring and a shank of wire, a bit of card. */
export const key = (doing: Doing): Made => {
  const { piece, width: long, height: ring } = doing;
  const problem = lack('its shank beyond its ring', long, ring + 2 * UM.mm) ?? lack('its ring', ring, 2 * UM.mm);
  if (problem) return err(problem);
  const wire = Math.round(Math.PI * ring + (long - ring) + 1.5 * UM.mm);
  const bit = Math.max(UM.mm, Math.round((long - ring) * 0.28));
  const half = Math.round(ring / 2);
  const middle = half - Math.round(WIRE.thickness / 2);
  const circle = polygon(half - Math.round(WIRE.thickness / 2), 24).map(([x, y]): Point => [x + half, y + half]);
  const shank: Ring = [
    [2 * half + 200, middle],
    [long, middle],
    [long, middle + WIRE.thickness],
    [2 * half + 200, middle + WIRE.thickness],
  ];
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: long, y0: 0, y1: ring, z0: 0, z1: WIRE.thickness })]
      : [
          loopPart(doing, 'key', circle, wire),
          {
            ...hookPart(doing, [
              [0, 0],
              [1, 0],
            ]),
            id: `${piece.id}/shank`,
            name: 'shank',
            region: { outline: shank, holes: [] },
          },
        ],
    nets: piece.found
      ? []
      : [
          netOn(doing, 'bit', strip('bit', 2 * bit, bit), {
            origin: [long - bit, middle - bit, WIRE.thickness],
            u: [1, 0, 0],
            v: [0, 1, 0],
          }),
        ],
    extras: [],
    size: [long, ring, WIRE.thickness],
    wanted: [{ as: 'its ring', shapes: ['ring'], across: ring, high: WIRE.thickness }],
  });
};

/** A frame of sticks, butted: the upper and lower one across; a back of board within it to glue a picture on. */
export const frame = (doing: Doing): Made => {
  const { piece, width, height, put, sheets } = doing;
  const stick = STICKS[piece.stick];
  const [wide, thick] = [stick.width, stick.thickness];
  const problem = lack('a picture within its strips', Math.min(width, height), 2 * wide + 2 * UM.mm);
  if (problem) return err(problem);
  if (stick.section === 'round') return err(NO_EDGE);
  const board = sheets.body.thickness;
  const bar = (id: string, x0: number, x1: number, y0: number, y1: number): Part =>
    stickIn(
      { x0, x1, y0, y1, z0: board, z1: board + thick },
      { id: `${piece.id}/${id}`, role: 'border', name: 'strip of the frame', shows: 'front' },
      piece.stick,
    );
  return made({
    parts: piece.found
      ? [boxPart(doing, 'found', { x0: 0, x1: width, y0: 0, y1: height, z0: 0, z1: board + thick })]
      : [
          ...put('back', ['back', 'back of the frame', 'front'], { x0: 0, x1: width, y0: 0, y1: height, z0: 0, z1: board }, sheets.body),
          bar('below', 0, width, 0, wide),
          bar('above', 0, width, height - wide, height),
          bar('left', 0, wide, wide, height - wide),
          bar('right', width - wide, width, wide, height - wide),
        ],
    nets: piece.found
      ? []
      : [
          netOn(doing, 'picture', strip('picture', width - 2 * wide, height - 2 * wide), {
            origin: [wide, wide, board + 50],
            u: [1, 0, 0],
            v: [0, 1, 0],
          }),
        ],
    extras: [],
    size: [width, height, board + thick],
    wanted: [{ as: 'the frame', shapes: ['ring', 'box'], across: width, high: height }],
  });
};
