// µm. Cuts a drawing larger than a page's field into tiles that overlap.

import { letters } from '../cut/index.ts';
import { bounds, type Rect, rectRing } from '../shape/index.ts';
import { type Drawing, line, type Mark, type Repeat, type TextMark, textBox } from './page.ts';
import { clipped, moved, turned } from './place.ts';
import type { Sheetful } from './sheet.ts';

/** Where tiles begin, across and up, and where two of them meet. */
type Rows = { readonly starts: readonly number[]; readonly joins: readonly number[] };
type Grid = { readonly x: Rows; readonly y: Rows };

/** The last line of a pattern that lies before a place, and after another; nothing when none does. */
const lineBefore = (repeat: Repeat | null | undefined, last: number, least: number): number | undefined => {
  if (!repeat || repeat.step <= 0) return undefined;
  const at = repeat.from + Math.floor((last - repeat.from) / repeat.step + 1e-9) * repeat.step;
  return at > least ? at : undefined;
};

/** Tiles along one way: each as long as there is room, joined in the middle of the overlap, or on the last line of the pattern before that. */
const rowsFor = (length: number, room: number, overlap: number, repeat: Repeat | null | undefined): Rows => {
  const [starts, joins]: [number[], number[]] = [[0], []];
  for (;;) {
    const start = starts.at(-1) as number;
    if (start + room >= length) return { starts, joins };
    const last = start + room - overlap / 2;
    // A line that would make the tile shorter than half a page is not worth the paper.
    const join = lineBefore(repeat, last, start + room / 2) ?? last;
    joins.push(join);
    starts.push(join - overlap / 2);
  }
};

const gridFor = ({ width, height, repeats }: Drawing, field: Rect, overlap: number): Grid => ({
  x: rowsFor(width, field.x1 - field.x0, overlap, repeats?.x),
  y: rowsFor(height, field.y1 - field.y0, overlap, repeats?.y),
});

const tilesIn = ({ x, y }: Grid): number => x.starts.length * y.starts.length;

/** Lines of a pattern on a drawing that was turned a quarter counter-clockwise. */
const turnedRepeats = ({ repeats, height }: Drawing): Drawing['repeats'] =>
  repeats && {
    x: repeats.y && { from: height - repeats.y.from, step: repeats.y.step },
    y: repeats.x,
  };

const upright = (drawing: Drawing, field: Rect, overlap: number): Drawing => {
  const { width, height } = drawing;
  const repeats = turnedRepeats(drawing);
  const lying: Drawing = {
    ...drawing,
    width: height,
    height: width,
    marks: turned(drawing.marks, height),
    ...(repeats ? { repeats } : {}),
  };
  return tilesIn(gridFor(lying, field, overlap)) < tilesIn(gridFor(drawing, field, overlap)) ? lying : drawing;
};

const CROSS = 2_500;

/** A match mark: an upright cross in a diamond, the same on both tiles that share it. */
const matchMark = (x: number, y: number): readonly Mark[] => [
  line(
    'join',
    [
      [x - CROSS, y],
      [x, y - CROSS],
      [x + CROSS, y],
      [x, y + CROSS],
    ],
    true,
  ),
  line('join', [
    [x - CROSS, y],
    [x + CROSS, y],
  ]),
  line('join', [
    [x, y - CROSS],
    [x, y + CROSS],
  ]),
];

/** Join lines where tiles meet, with a match mark at a quarter and three quarters of each tile they pass. */
const joins = (grid: Grid, field: Rect): readonly Mark[] => {
  const [roomX, roomY] = [field.x1 - field.x0, field.y1 - field.y0];
  const quarters = ({ starts }: Rows, room: number) => starts.flatMap((start) => [start + room / 4, start + (room * 3) / 4]);
  const span = ({ starts }: Rows, room: number) => (starts.at(-1) as number) + room;
  return [
    ...grid.x.joins.flatMap((x) => [
      line('join', [
        [x, 0],
        [x, span(grid.y, roomY)],
      ]),
      ...quarters(grid.y, roomY).flatMap((y) => matchMark(x, y)),
    ]),
    ...grid.y.joins.flatMap((y) => [
      line('join', [
        [0, y],
        [span(grid.x, roomX), y],
      ]),
      ...quarters(grid.x, roomX).flatMap((x) => matchMark(x, y)),
    ]),
  ];
};

/** A map of the tiles in the foot of the page, with this one crossed out. */
const mapOf = (grid: Grid, tag: string, column: number, row: number, field: Rect): readonly Mark[] => {
  const [columns, rows] = [grid.x.starts.length, grid.y.starts.length];
  const cell = Math.min(6_000, 7_500 / rows, 40_000 / columns);
  const [left, low] = [field.x1 - columns * cell, field.y0 - 8_500];
  const cells = Array.from({ length: rows * columns }, (_, index) => [index % columns, Math.floor(index / columns)] as const);
  const box = (x: number, y: number) => rectRing(left + x * cell, low + y * cell, left + (x + 1) * cell, low + (y + 1) * cell);
  const here = bounds(box(column, row));
  return [
    ...cells.map(([x, y]) => line('map', box(x, y), true)),
    line('bar', [
      [here.x0, here.y0],
      [here.x1, here.y1],
    ]),
    line('bar', [
      [here.x0, here.y1],
      [here.x1, here.y0],
    ]),
    { kind: 'text', text: `${tag} · tile ${tileName(column, row)}`, at: [left - 1_500, low + 3_000], size: 2_600, anchor: 'end', angle: 0 },
  ];
};

/** Columns by letter from the left, rows by number from the bottom: b2. */
const tileName = (column: number, row: number): string => `${letters(column).toLowerCase()}${row + 1}`;

/** Where tiles of a drawing meet, across and up, as it lies on them; none for what one page takes. */
export const tileJoins = (
  drawing: Drawing,
  field: Rect,
  overlap: number,
): { readonly lying: boolean; readonly x: readonly number[]; readonly y: readonly number[]; readonly tiles: number } => {
  const best = upright(drawing, field, overlap);
  const { x, y } = gridFor(best, field, overlap);
  return { lying: best !== drawing, x: x.joins, y: y.joins, tiles: x.starts.length * y.starts.length };
};

const within = (inner: Rect, outer: Rect): boolean =>
  inner.x0 >= outer.x0 && inner.x1 <= outer.x1 && inner.y0 >= outer.y0 && inner.y1 <= outer.y1;

/** How far a stretch must be moved to lie in another; as far as it goes when it is the longer one. */
const into = (from: number, to: number, low: number, high: number): number =>
  from < low ? low - from : to > high ? Math.max(high - to, low - from) : 0;

/** The words that a tile shows: those that lie on it whole; those that no tile has whole, on the one that has their middle, moved onto it. */
const wordsOf = (marks: readonly TextMark[], window: Rect, windows: readonly Rect[]): readonly Mark[] =>
  marks.flatMap((mark): readonly Mark[] => {
    const box = textBox(mark);
    if (within(box, window)) return [mark];
    const [x, y] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2];
    const isMine = windows.find(({ x0, y0, x1, y1 }) => x >= x0 && x <= x1 && y >= y0 && y <= y1) === window;
    if (!isMine || windows.some((other) => within(box, other))) return [];
    return moved([mark], into(box.x0, box.x1, window.x0, window.x1), into(box.y0, box.y1, window.y0, window.y1));
  });

/** Tiles of a drawing, one to a page, column by column from the bottom.
 *  Shape: a drawing → columns × rows sheetfuls that overlap by `overlap` at least, with join lines, match marks and a map. They meet on lines of
 *  the pattern where it has any. The way up that needs fewer tiles is taken. */
export const tile = (drawing: Drawing, field: Rect, overlap: number): readonly Omit<Sheetful, 'on'>[] => {
  const best = upright(drawing, field, overlap);
  const { tag, name: called } = drawing;
  const grid = gridFor(best, field, overlap);
  const [words, rest] = [best.marks.filter((mark) => mark.kind === 'text'), best.marks.filter((mark) => mark.kind !== 'text')];
  const all = [...rest, ...joins(grid, field)];
  const [roomX, roomY] = [field.x1 - field.x0, field.y1 - field.y0];
  const tiles = grid.x.starts.flatMap((x0, column) =>
    grid.y.starts.map((y0, row) => ({ column, row, window: { x0, y0, x1: x0 + roomX, y1: y0 + roomY } })),
  );
  const windows = tiles.map(({ window }) => window);
  return tiles.map(({ column, row, window }): Omit<Sheetful, 'on'> => {
    const shown = [...clipped(all, window), ...wordsOf(words, window, windows)];
    return {
      title: `${tag} ${called}, tile ${tileName(column, row)}`,
      parts: [tag],
      ink: (drawing.ink ?? 0) / tilesIn(grid),
      marks: [...moved(shown, field.x0 - window.x0, field.y0 - window.y0), ...mapOf(grid, tag, column, row, field)],
      back: null,
    };
  });
};
