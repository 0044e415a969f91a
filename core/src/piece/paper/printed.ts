// µm, doll size. What is read: books, leaves that fold, maps, sheets, envelopes and folders.

import type { Part } from '../../assembly/index.ts';
import { leavesOf } from '../../cover/index.ts';
import { seededRandom } from '../../kit/index.ts';
import { boxSolid, coverNet, foldedSheetNet, folderNet, leafNet, pocketNet, rect, rowNet, sheetNet, unfold } from '../../net/index.ts';
import type { Point, Pose, Vec3 } from '../../shape/index.ts';
import { PRINT_STOCKS } from '../../stock/index.ts';
import { foundThing, type Space } from '../parts/panels.ts';
import { frameStrips, single } from '../parts/put.ts';
import { type CopyResult, copyOf, facing, type GoodNet, lacks, lyingUp, type Making, netOf, refused } from './copy.ts';

/** What lies flat is at least so thick: a found thing of no thickness could not be seen on an edge. */
const THIN = 200;

const envelope = (making: Making): CopyResult => {
  const { width, height, lid, paper, piece } = making;
  const flap = Math.min(lid, height);
  const problem = lacks(['its width', width, 20 * paper], ['its height', height, 20 * paper]);
  if (problem) return refused(problem);
  const net = pocketNet(width, height, piece.tab, flap, !piece.open);
  const thick = Math.max(THIN, 4 * paper);
  const whole = piece.open ? height + flap : height;
  return piece.lies
    ? copyOf([netOf(making, 'envelope', net, lyingUp(0, thick, whole))], [width, thick, whole])
    : copyOf([netOf(making, 'envelope', net, facing(0, 0, thick))], [width, whole, thick]);
};

const folder = (making: Making): CopyResult => {
  const { width, height, depth, paper, lid } = making;
  const problem = lacks(['its width', width, 20 * paper], ['its height', height, 20 * paper], ['its back', depth, 4 * paper]);
  if (problem) return refused(problem);
  const net = folderNet(width - paper, height, depth - paper, lid);
  return copyOf([netOf(making, 'folder', net, facing(paper, 0, depth - paper / 2))], [width + lid, height, depth]);
};

/** Boards under a hard cover, and how thick they are: card, and the paper that is glued over it. */
const COVER_BOARD = PRINT_STOCKS.card.thickness;

/** A paper box with one side open stands for the pages between the covers; its three edges are printed. */
const pageBox = (making: Making, [w, h, d]: Vec3, at: Vec3): GoodNet | undefined => {
  const { paper, piece } = making;
  const half = paper / 2;
  // Open towards the spine: a tray that lies on its fore-edge, which is its bottom.
  const net = unfold(boxSolid(w - paper, h - paper, d - half, true), 0, piece.tab);
  if (!net) return undefined;
  const names: Readonly<Record<string, string>> = { bottom: 'fore-edge', front: 'foot', back: 'head', left: 'inside', right: 'inside' };
  const faces = net.faces.map((face) => ({ ...face, name: names[face.name] ?? face.name }));
  // Its bottom looks back, from where the pages' edges are seen; x runs to the right as it is seen from the front.
  const pose: Pose = { origin: [at[0] + half, at[1] + h - half, at[2] + half], u: [1, 0, 0], v: [0, -1, 0] };
  return netOf(making, 'pages', { ...net, faces }, pose, { on: 'plain' });
};

/** Leaves that are nested and folded once, the outermost first; each stands out less than the one round it by the creep, and is cut as much narrower.
 *  Creep: a leaf goes round those within it, half a turn for each thickness, so each inner one would stand out by π/2 thicknesses more (worked out for round
 *  folds; printers' handbooks give one to two thicknesses a sheet, recalled). */
export const creepOf = (leaf: number, thickness: number): number => Math.round((leaf * Math.PI * thickness) / 2);

const pageName = (place: number | null): string => (place === null ? 'blank' : `page ${place + 1}`);

type Laid = { readonly pages: number; readonly width: number; readonly height: number; readonly paper: number; readonly on: GoodNet['on'] };

const nested = (
  making: Making,
  { pages, width, height, paper, on }: Laid,
  stand: (leaf: number, wide: number) => Pose,
): readonly GoodNet[] =>
  leavesOf(pages).map(({ outside, inside }, leaf) => {
    const wide = width - creepOf(leaf, paper);
    const net = leafNet(wide, height, [pageName(outside[0]), pageName(outside[1])], [pageName(inside[0]), pageName(inside[1])]);
    return netOf(making, `leaf ${leaf + 1}`, net, stand(leaf, wide), { on });
  });

const MOST_LEAVES = 16;

const leaves = (making: Making): CopyResult => {
  const { width, height, paper, piece } = making;
  const count = leavesOf(piece.pages).length;
  const problem = lacks(
    ['its pages, nested', MOST_LEAVES, count],
    ['its width beside the creep of its leaves', width - creepOf(count - 1, paper), 20 * paper],
    ['its height', height, 20 * paper],
  );
  if (problem) return refused(problem);
  const thick = Math.max(THIN, 2 * count * paper);
  // The fold is on the left; every leaf begins there.
  const laid = { pages: piece.pages, width, height, paper, on: piece.on };
  const nets = nested(making, laid, (leaf) => (piece.lies ? lyingUp(0, thick - leaf * paper, height) : facing(0, 0, thick - leaf * paper)));
  return copyOf(nets, piece.lies ? [width, thick, height] : [width, height, thick]);
};

const map = (making: Making): CopyResult => {
  const { width, height, paper, piece } = making;
  const { across, up } = piece;
  const problem = lacks(
    ['fields as wide as they are thick when folded', width / across, 4 * across * up * paper],
    ['fields as high as they are thick when folded', height / up, 4 * across * up * paper],
  );
  if (problem) return refused(problem);
  if (piece.open) {
    const net = sheetNet('map', rect(width, height), 'map, behind');
    return piece.lies
      ? copyOf([netOf(making, 'map', net, lyingUp(0, THIN, height))], [width, THIN, height])
      : copyOf([netOf(making, 'map', net, facing(0, 0, THIN))], [width, height, THIN]);
  }
  const [w, h] = [Math.ceil(width / across), Math.ceil(height / up)];
  const net = foldedSheetNet('map', width, height, across, up, 'map, behind');
  const thick = Math.max(THIN, Math.ceil(across * up * paper));
  return piece.lies
    ? copyOf([netOf(making, 'map', net, lyingUp(0, thick, h))], [w, thick, h])
    : copyOf([netOf(making, 'map', net, facing(0, 0, thick))], [w, h, thick]);
};

/** Lines between the fields of a sheet: to tear, or to cut. */
const grid = (width: number, height: number, across: number, up: number): GoodNet['tears'] => [
  ...Array.from({ length: across - 1 }, (_, index): readonly [Point, Point] => {
    const x = (width * (index + 1)) / across;
    return [
      [x, 0],
      [x, height],
    ];
  }),
  ...Array.from({ length: up - 1 }, (_, index): readonly [Point, Point] => {
    const y = (height * (index + 1)) / up;
    return [
      [0, y],
      [width, y],
    ];
  }),
];

/** A sheet that stands, hangs or lies: a card, a poster in its frame, stamps, tickets, a playing board. */
const sheet = (making: Making): CopyResult => {
  const { width, height, border, paper, piece, put, sheets } = making;
  const problem = lacks(
    ['its width', width, Math.max(4 * paper, 2_000)],
    ['its height', height, Math.max(4 * paper, 2_000)],
    ['its frame’s strips within it', Math.min(width, height) / 2, border + (border > 0 ? 1_000 : 0)],
    ['a strip that can be cut', border === 0 ? 1 : border, border === 0 ? 1 : 600],
  );
  if (problem) return refused(problem);
  const net = sheetNet('front', rect(width, height), 'behind');
  const more = { tears: grid(width, height, piece.across, piece.up), cells: [piece.across, piece.up] as const };
  // What lies has no frame round it.
  if (border === 0 || piece.lies) {
    const thick = Math.max(THIN, paper);
    return piece.lies
      ? copyOf([netOf(making, 'sheet', net, lyingUp(0, thick, height), more)], [width, thick, height])
      : copyOf([netOf(making, 'sheet', net, facing(0, 0, thick), more)], [width, height, thick]);
  }
  const { block, frame } = sheets;
  const back = block.one;
  const face: Space = { x0: 0, x1: width, y0: 0, y1: height, z0: back, z1: back + frame.one };
  const parts: readonly Part[] = [
    ...put('back', ['back', 'backing', 'front'], { ...face, z0: 0, z1: back }, single(block)),
    ...frameStrips(put, 'frame', face, border, 'mitred', single(frame)),
  ];
  // The paper lies on the backing, under the frame's strips.
  return copyOf([netOf(making, 'sheet', net, facing(0, 0, back + 20), more)], [width, height, back + frame.one], null, { parts });
};

/** A book stands with its spine to the viewer and its front on the right, or lies on its back with its spine to the viewer. Poses turn with it. */
const laidDown = (pose: Pose): Pose => {
  // A quarter turn about the way to the viewer: what was up goes to the left, the front cover comes to lie above.
  const turn = ([x, y, z]: Vec3): Vec3 => [-y, x, z];
  return { origin: turn(pose.origin), u: turn(pose.u), v: turn(pose.v) };
};

const shifted = (pose: Pose, by: number): Pose => ({ ...pose, origin: [pose.origin[0] + by, pose.origin[1], pose.origin[2]] });

const book = (making: Making): CopyResult => {
  const { width, height, depth, paper, piece, id, put, sheets } = making;
  const sheetThick = PRINT_STOCKS.plain.thickness;
  const cover = paper + (piece.hard ? COVER_BOARD : 0);
  const count = leavesOf(Math.min(piece.pages, 4 * MOST_LEAVES)).length;
  const layers = Math.max(1, Math.round((depth - 2 * cover) / sheets.block.one));
  const inner = piece.body === 'pages' ? 2 * count * sheetThick : piece.body === 'boards' ? layers * sheets.block.one : depth - 2 * cover;
  const thick = inner + 2 * cover;
  const [deep, high] = [width - piece.play - cover, height - 2 * piece.play];
  const problem = lacks(
    ['pages between its covers', inner, piece.body === 'hollow' ? 4 * paper : 1],
    ['its pages, nested', piece.body === 'pages' ? 4 * MOST_LEAVES : piece.pages, piece.pages],
    ['pages within its cover', Math.min(deep, high), 20 * paper],
    ['its turn-ins', Math.min(width, height) / 2, piece.hard ? piece.tab + 500 : 1],
  );
  if (problem) return refused(problem);
  const half = cover / 2;
  const wrap = coverNet(width - half, height, thick - cover, piece.hard ? piece.tab : 0);
  const nets: GoodNet[] = [netOf(making, 'cover', wrap, facing(half, 0, width - half))];
  if (piece.hard) {
    // Boards lie inside the cover's paper; they are cut from card, and not seen.
    const board = (name: string, w: number, pose: Pose): GoodNet =>
      netOf(making, name, sheetNet('board', rect(w, height)), pose, { on: 'card' });
    const beside = (x: number): Pose => ({ origin: [x, 0, width - cover], u: [0, 0, -1], v: [0, 1, 0] });
    nets.push(
      board('board of the front', width - cover, beside(thick - cover + 20)),
      board('board of the back', width - cover, beside(cover - 20)),
      board('board of the spine', thick - 2 * cover, facing(cover, 0, width - cover + 20)),
    );
  }
  const at: Vec3 = [cover, piece.play, piece.play];
  if (piece.body === 'hollow') {
    const box = pageBox(making, [inner, high, deep], at);
    if (!box) return refused({ code: 'does-not-fit', what: 'a net in one piece', available: 0, needed: 1 });
    nets.push(box);
  }
  if (piece.body === 'pages') {
    const laid = { pages: piece.pages, width: deep, height: high, paper: sheetThick, on: 'plain' as const };
    // Folded leaves stand with their fold in the spine, their fronts to the right.
    nets.push(
      ...nested(making, laid, (leaf) => ({
        origin: [thick - cover - leaf * sheetThick, piece.play, width - cover],
        u: [0, 0, -1],
        v: [0, 1, 0],
      })),
    );
  }
  const size: Vec3 = piece.lies ? [height, thick, width] : [thick, height, width];
  const stood = piece.lies ? nets.map((net) => ({ ...net, pose: shifted(laidDown(net.pose), height) })) : nets;
  if (piece.body !== 'boards') return copyOf(stood, size);
  // Boards glued together between two covers and a spine.
  const space = (x0: number, x1: number, y0: number, y1: number, z0: number, z1: number): Space =>
    piece.lies ? { x0: height - y1, x1: height - y0, y0: x0, y1: x1, z0, z1 } : { x0, x1, y0, y1, z0, z1 };
  const shows = piece.lies ? 'up' : 'right';
  const leafOf = (name: string, x0: number, x1: number, z0: number, z1: number): Part =>
    foundThing(
      space(x0, x1, 0, height, z0, z1),
      { id: `${id}/${name}`, role: 'found', name: `${name} of the cover`, shows, held: 'slides' },
      'folded paper',
    );
  const block = put(
    'block',
    ['panel', 'block', shows],
    space(cover, thick - cover, piece.play, height - piece.play, piece.play, width - cover),
    { ...sheets.block, layers, thickness: inner },
  );
  const parts = [
    leafOf('back', 0, cover, 0, width),
    ...block,
    leafOf('front', thick - cover, thick, 0, width),
    leafOf('spine', cover, thick - cover, width - cover, width),
  ];
  return copyOf(stood, size, null, { parts });
};

/** Widths that fill a length exactly, each near the usual one and different by chance; whole micrometres. */
export const shares = (length: number, usual: number, vary: number, seed: number): readonly number[] => {
  const random = seededRandom(seed);
  const count = Math.max(1, Math.round(length / usual));
  const wanted = Array.from({ length: count }, () => 1 + (random() * 2 - 1) * vary);
  const sum = wanted.reduce((all, each) => all + each, 0);
  let done = 0;
  let from = 0;
  return wanted.map((each) => {
    done += each;
    const to = Math.round((length * done) / sum);
    const width = to - from;
    from = to;
    return width;
  });
};

/** Backs of books in one strip before a block of board: they fill the length to the micrometre.
 *  The width is the whole row's, the depth the block's; `above` is how wide one back usually is. */
const spines = (making: Making): CopyResult => {
  const { width, height, depth, above, paper, piece, put, sheets } = making;
  const vary = Math.min(0.6, piece.vary / 100);
  const problem = lacks(['a back of a book', width, above], ['the width of one back', above, Math.max(2_000, 8 * paper)]);
  if (problem) return refused(problem);
  const random = seededRandom(piece.seed + 1);
  const fields = shares(width, above, vary, piece.seed).map((wide, index) => ({
    name: `back ${index + 1}`,
    width: wide,
    height: Math.round(height * (1 - vary * 0.5 * random())),
  }));
  const low = Math.min(...fields.map((field) => field.height));
  const high = Math.max(...fields.map((field) => field.height));
  const block = sheets.block.one;
  const layers = Math.max(1, Math.round((depth - THIN) / block));
  const deep = layers * block;
  const problems = lacks(
    ['backs that a knife cuts', Math.min(...fields.map((field) => field.width)), 1_200],
    ['the block behind the backs', low, 2_000],
  );
  if (problems) return refused(problems);
  const net = rowNet(fields);
  const parts = [
    ...put(
      'block',
      ['panel', 'block', 'front'],
      { x0: 0, x1: width, y0: 0, y1: low, z0: 0, z1: deep },
      { ...sheets.block, layers, thickness: deep },
    ),
    foundThing(
      { x0: 0, x1: width, y0: 0, y1: high, z0: deep, z1: deep + THIN },
      { id: `${making.id}/backs`, role: 'found', name: 'strip of backs', shows: 'front', held: 'slides' },
      'folded paper',
    ),
  ];
  return copyOf([netOf(making, 'backs', net, facing(0, 0, deep + THIN))], [width, high, deep + THIN], null, { parts });
};

export const PRINTED = { envelope, folder, book, spines, leaves, map, sheet } as const;
