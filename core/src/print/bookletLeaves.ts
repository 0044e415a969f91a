// µm on paper, doll size. The leaves of a booklet as drawings that are printed on both sides, its name below each.
import { type Booklet, inkOf, leavesOf } from '../cover/index.ts';
import { type Rect, type Ring, rectRing } from '../shape/index.ts';
import { BLEED, NAME_ROOM, nameBelow, TICK } from './nameBelow.ts';
import { type Drawing, line, type Mark } from './page.ts';
import { moved } from './place.ts';

/** A booklet at doll size, with its colours. */
export type PrintedBooklet = Pick<Booklet, 'name' | 'pages' | 'face' | 'align' | 'on'> & {
  readonly tag: string;
  readonly width: number;
  readonly height: number;
  readonly ink: string;
  readonly ground: string;
};

/** White round the words, as a share of the shorter side. */
const AIR = 0.08;

/** Two pages side by side on a ground that goes on beyond the cut. */
const spread = (pages: readonly (number | null)[], booklet: PrintedBooklet): readonly Mark[] => {
  const { width, height, face, align, ink, ground } = booklet;
  const beyond: Rect = { x0: -BLEED, y0: -BLEED, x1: 2 * width + BLEED, y1: height + BLEED };
  const air = AIR * Math.min(width, height);
  const words = pages.flatMap((page, side): readonly Mark[] => {
    const lines = page === null ? [] : (booklet.pages[page] ?? '').split('\n');
    if (lines.every((each) => each.trim() === '')) return [];
    const matrix = [1, 0, 0, 1, side * width + air, air] as const;
    return [{ kind: 'words', lines, face, align, colour: ink, width: width - 2 * air, height: height - 2 * air, matrix }];
  });
  return [{ kind: 'fill', colour: ground, rings: [rectRing(beyond.x0, beyond.y0, beyond.x1, beyond.y1)] }, ...words];
};

/** The leaves of a booklet, outermost first: outside on the front, inside on the back, scored where they fold. */
export const bookletLeaves = (booklet: PrintedBooklet): readonly Drawing[] => {
  const { tag, name, width, height, on, ground } = booklet;
  const leaves = leavesOf(booklet.pages.length);
  const cut: Ring = rectRing(0, 0, 2 * width, height);
  const ticks = [
    line('score', [
      [width, 0],
      [width, TICK],
    ]),
    line('score', [
      [width, height],
      [width, height - TICK],
    ]),
  ];
  return leaves.map(({ outside, inside }, index): Drawing => {
    const called = `${name}, leaf ${index + 1} of ${leaves.length}, fold at the ticks`;
    return {
      tag,
      name,
      on,
      width: 2 * width,
      height: height + NAME_ROOM,
      ink: 2 * width * height * inkOf(ground),
      marks: [...moved([...spread(outside, booklet), line('cut', cut, true), ...ticks], 0, NAME_ROOM), nameBelow(called, 2 * width)],
      back: moved(spread(inside, booklet), 0, NAME_ROOM),
    };
  });
};
