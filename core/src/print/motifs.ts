// µm, doll size. Drawings that ship for small goods, each in a box from the origin: areas in a colour, and words.

import type { SignFace } from '../cover/index.ts';
import { seededRandom } from '../kit/index.ts';
import type { Motif } from '../piece/index.ts';
import { type Point, type Ring, rectRing } from '../shape/index.ts';

/** What may be drawn on a panel. */
export type MotifName = Exclude<Motif, 'none'>;

export type MotifWords = {
  readonly lines: readonly string[];
  readonly face: SignFace;
  readonly align: 'left' | 'middle';
  readonly box: readonly [x0: number, y0: number, x1: number, y1: number];
};

/** Areas by how dark they are: the ink itself, or a share of it over the ground. */
export type MotifArea = { readonly share: number; readonly rings: readonly Ring[] };

export type DrawnMotif = { readonly areas: readonly MotifArea[]; readonly words: readonly MotifWords[] };

type Draw = (width: number, height: number, seed: number, real: number) => DrawnMotif;

const bar = (x0: number, y0: number, x1: number, y1: number): Ring => rectRing(x0, y0, x1, y1);
const border = (x0: number, y0: number, x1: number, y1: number, wide: number): readonly Ring[] => [
  bar(x0, y0, x1, y1),
  bar(x0 + wide, y0 + wide, x1 - wide, y1 - wide),
];
const areas = (...each: readonly (readonly [share: number, rings: readonly Ring[]])[]): readonly MotifArea[] =>
  each.flatMap(([share, rings]) => (rings.length > 0 ? [{ share, rings }] : []));

/** A line thinner than this is not printed. Common practice, no source. */
const HAIR = 90;

/** Columns of print: lines of words as grey bars, with a heading over them and a picture now and then. */
const print: Draw = (width, height, seed, real) => {
  const random = seededRandom(seed + 17);
  const air = Math.min(width, height) * 0.06;
  const columns = Math.max(1, Math.min(6, Math.round(width / (real * 55_000))));
  const gap = air * 0.6;
  const wide = (width - 2 * air - gap * (columns - 1)) / columns;
  const step = Math.max(3.4 * HAIR, real * 4_200);
  const lines: Ring[] = [];
  const pictures: Ring[] = [];
  for (let column = 0; column < columns; column += 1) {
    const x = air + column * (wide + gap);
    const pictured = random() < 0.35 ? air + (height - 2 * air) * (0.2 + random() * 0.5) : -1;
    const high = wide * 0.62;
    if (pictured > 0 && pictured + high < height - air) pictures.push(bar(x, pictured, x + wide, pictured + high));
    for (let y = height - air - step; y > air; y -= step) {
      if (pictured > 0 && y > pictured - step && y < pictured + high + step) continue;
      const ends = random() < 0.12;
      lines.push(bar(x, y, x + wide * (ends ? 0.4 + random() * 0.4 : 1), y + step * 0.4));
      if (ends) y -= step * 0.5;
    }
  }
  return { areas: areas([0.55, lines], [0.3, pictures]), words: [] };
};

const staves: Draw = (width, height, seed, real) => {
  const random = seededRandom(seed + 29);
  const air = Math.min(width, height) * 0.08;
  const gap = Math.max(2.2 * HAIR, real * 2_000);
  const system = gap * 10;
  const lines: Ring[] = [];
  const heads: Ring[] = [];
  for (let top = height - air; top - 4 * gap > air; top -= system) {
    for (let line = 0; line < 5; line += 1) lines.push(bar(air, top - line * gap - HAIR / 2, width - air, top - line * gap + HAIR / 2));
    for (let x = air + gap * 4; x < width - air - gap; x += gap * (1.6 + random() * 1.6)) {
      const y = top - gap * (Math.floor(random() * 9) / 2);
      heads.push(
        bar(x - gap * 0.55, y - gap * 0.4, x + gap * 0.55, y + gap * 0.4),
        bar(x + gap * 0.4, y, x + gap * 0.4 + HAIR, y + gap * 3),
      );
    }
  }
  return { areas: areas([0.8, lines], [1, heads]), words: [] };
};

/** A month of thirty days on a grid, its first day by chance; no month's name, no year. */
const month: Draw = (width, height, seed) => {
  const first = Math.floor(seededRandom(seed)() * 7);
  const air = Math.min(width, height) * 0.06;
  const [left, top] = [air, height * 0.62];
  const [w, h] = [(width - 2 * air) / 7, (top - air) / 6];
  const lines = [
    ...Array.from({ length: 7 }, (_, row) => bar(left, air + row * h - HAIR / 2, width - air, air + row * h + HAIR / 2)),
    ...Array.from({ length: 8 }, (_, column) => bar(left + column * w - HAIR / 2, air, left + column * w + HAIR / 2, top)),
  ];
  const words = Array.from({ length: 30 }, (_, day): MotifWords => {
    const [column, row] = [(day + first) % 7, Math.floor((day + first) / 7)];
    const [x, y] = [left + column * w, top - (row + 1) * h];
    return { lines: [String(day + 1)], face: 'text', align: 'middle', box: [x + w * 0.15, y + h * 0.15, x + w * 0.85, y + h * 0.85] };
  });
  return { areas: areas([0.6, lines], [0.25, [bar(air, height * 0.68, width - air, height - air)]]), words };
};

const squares: Draw = (width, height) => {
  const air = Math.min(width, height) * 0.04;
  const side = (Math.min(width, height) - 2 * air) / 8;
  const [x0, y0] = [(width - 8 * side) / 2, (height - 8 * side) / 2];
  const dark = Array.from({ length: 64 }, (_, index) => [index % 8, Math.floor(index / 8)] as const)
    .filter(([column, row]) => (column + row) % 2 === 0)
    .map(([column, row]) => bar(x0 + column * side, y0 + row * side, x0 + (column + 1) * side, y0 + (row + 1) * side));
  const edge = Math.max(HAIR, side * 0.08);
  return { areas: areas([1, dark], [1, border(x0 - edge, y0 - edge, x0 + 8 * side + edge, y0 + 8 * side + edge, edge)]), words: [] };
};

/** An address in four lines of writing, and a stamp in the upper right corner. */
const address: Draw = (width, height, seed) => {
  const random = seededRandom(seed + 5);
  const [w, h] = [Math.min(width * 0.14, height * 0.2), Math.min(width * 0.17, height * 0.25)];
  const air = Math.min(width, height) * 0.07;
  const lines = Array.from({ length: 4 }, (_, line) => {
    const y = height * (0.5 - line * 0.11);
    return bar(width * 0.42, y, width * (0.42 + 0.28 + random() * 0.22), y + Math.max(HAIR, height * 0.028));
  });
  const stamp = [width - air - w, height - air - h, width - air, height - air] as const;
  return {
    areas: areas([0.75, lines], [0.45, [bar(...stamp)]], [0.9, border(...stamp, Math.max(HAIR, w * 0.07))]),
    words: [],
  };
};

const stamp: Draw = (width, height) => {
  const air = Math.min(width, height) * 0.1;
  const edge = Math.max(HAIR, air * 0.35);
  const [cx, cy, r] = [width / 2, height * 0.56, Math.min(width, height) * 0.22];
  const sun: Ring = Array.from({ length: 24 }, (_, index): Point => {
    const angle = (2 * Math.PI * index) / 24;
    return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
  });
  return {
    areas: areas(
      [1, border(air, air, width - air, height - air, edge)],
      [0.5, [sun]],
      [0.8, [bar(air * 2, air * 2, width - air * 2, air * 3.2)]],
    ),
    words: [],
  };
};

/** Land and water: islands with a wandering shore, and a grid over them. */
const land: Draw = (width, height, seed) => {
  const random = seededRandom(seed + 41);
  const islands = Array.from({ length: 5 }, (): Ring => {
    const [cx, cy] = [width * (0.12 + 0.76 * random()), height * (0.15 + 0.7 * random())];
    const r = Math.min(width, height) * (0.08 + 0.2 * random());
    const [a, b, c] = [random() * 6, random() * 6, random() * 6];
    return Array.from({ length: 40 }, (_, index): Point => {
      const angle = (2 * Math.PI * index) / 40;
      const far = r * (1 + 0.22 * Math.sin(2 * angle + a) + 0.13 * Math.sin(3 * angle + b) + 0.07 * Math.sin(7 * angle + c));
      return [Math.min(width, Math.max(0, cx + far * 1.3 * Math.cos(angle))), Math.min(height, Math.max(0, cy + far * Math.sin(angle)))];
    });
  });
  const lines = [
    ...Array.from({ length: 7 }, (_, index) => bar((width * (index + 1)) / 8 - HAIR / 2, 0, (width * (index + 1)) / 8 + HAIR / 2, height)),
    ...Array.from({ length: 4 }, (_, index) => bar(0, (height * (index + 1)) / 5 - HAIR / 2, width, (height * (index + 1)) / 5 + HAIR / 2)),
  ];
  return { areas: [...islands.map((ring): MotifArea => ({ share: 0.4, rings: [ring] })), ...areas([0.25, lines])], words: [] };
};

/** Edges of pages: lines along the longer side. */
const pageEdges: Draw = (width, height, seed) => {
  const random = seededRandom(seed + 3);
  const upright = height >= width;
  const across = upright ? width : height;
  const lines: Ring[] = [];
  for (let at = 2 * HAIR; at < across - HAIR; at += HAIR * (3 + 3 * random()))
    lines.push(upright ? bar(at, 0, at + HAIR, height) : bar(0, at, width, at + HAIR));
  return { areas: areas([0.25, lines]), words: [] };
};

const ruled: Draw = (width, height, _, real) => {
  const step = Math.max(4 * HAIR, real * 8_000);
  const air = Math.min(width, height) * 0.08;
  const lines: Ring[] = [];
  for (let y = height - air - step; y > air; y -= step) lines.push(bar(air, y, width - air, y + HAIR));
  return { areas: areas([0.4, lines]), words: [] };
};

const frame: Draw = (width, height) => {
  const least = Math.min(width, height);
  const [air, wide] = [least * 0.06, Math.max(HAIR, least * 0.02)];
  return { areas: areas([1, border(air, air, width - air, height - air, wide)]), words: [] };
};

/** Stripes that run down, as on an awning. */
const stripes: Draw = (width, height, _, real) => {
  const count = Math.max(2, Math.round(width / (real * 200_000))) * 2 + 1;
  const each = width / count;
  return {
    areas: areas([1, Array.from({ length: Math.ceil(count / 2) }, (_, index) => bar(index * 2 * each, 0, (index * 2 + 1) * each, height))]),
    words: [],
  };
};

/** A dark board to write on. */
const slate: Draw = (width, height) => ({ areas: areas([1, [bar(0, 0, width, height)]]), words: [] });

const MOTIFS: Readonly<Record<MotifName, Draw>> = {
  print,
  staves,
  month,
  squares,
  address,
  stamp,
  land,
  'page edges': pageEdges,
  lines: ruled,
  frame,
  stripes,
  slate,
};

/** A motif in a box from the origin.
 *  Shape: its name, the box, the number that chance begins with, how many µm at doll size a real one is → areas, lowest first, and words over them. */
export const drawMotif = (name: MotifName, width: number, height: number, seed: number, real: number): DrawnMotif =>
  MOTIFS[name](width, height, seed, real);
