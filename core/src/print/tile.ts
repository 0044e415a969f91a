// µm. Cuts a drawing larger than a page's field into tiles that overlap.

import { letters } from '../cut/index.ts';
import { bounds, type Rect, rectRing } from '../shape/index.ts';
import { type Drawing, line, type Mark } from './page.ts';
import { clipped, moved, turned } from './place.ts';
import type { Sheetful } from './sheet.ts';

type Grid = { readonly columns: number; readonly rows: number; readonly stepX: number; readonly stepY: number };

const countFor = (length: number, room: number, overlap: number): number => Math.max(1, Math.ceil((length - overlap) / (room - overlap)));

const gridFor = ({ width, height }: Pick<Drawing, 'width' | 'height'>, field: Rect, overlap: number): Grid => {
  const [roomX, roomY] = [field.x1 - field.x0, field.y1 - field.y0];
  return {
    columns: countFor(width, roomX, overlap),
    rows: countFor(height, roomY, overlap),
    stepX: roomX - overlap,
    stepY: roomY - overlap,
  };
};

const upright = (drawing: Drawing, field: Rect, overlap: number): Drawing => {
  const lying: Drawing = { ...drawing, width: drawing.height, height: drawing.width, marks: turned(drawing.marks, drawing.height) };
  const tiles = (each: Drawing) => gridFor(each, field, overlap).columns * gridFor(each, field, overlap).rows;
  return tiles(lying) < tiles(drawing) ? lying : drawing;
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
  line('cut', [
    [x - CROSS, y],
    [x + CROSS, y],
  ]),
  line('cut', [
    [x, y - CROSS],
    [x, y + CROSS],
  ]),
];

/** Join lines in the middle of every overlap, with a match mark at a quarter and three quarters of each tile they pass. */
const joins = (grid: Grid, field: Rect, overlap: number): readonly Mark[] => {
  const [roomX, roomY] = [field.x1 - field.x0, field.y1 - field.y0];
  const middles = (count: number, step: number) => Array.from({ length: count - 1 }, (_, index) => (index + 1) * step + overlap / 2);
  const quarters = (count: number, step: number, room: number) =>
    Array.from({ length: count }, (_, index) => [index * step + room / 4, index * step + (room * 3) / 4]).flat();
  const [spanX, spanY] = [(grid.columns - 1) * grid.stepX + roomX, (grid.rows - 1) * grid.stepY + roomY];
  return [
    ...middles(grid.columns, grid.stepX).flatMap((x) => [
      line('join', [
        [x, 0],
        [x, spanY],
      ]),
      ...quarters(grid.rows, grid.stepY, roomY).flatMap((y) => matchMark(x, y)),
    ]),
    ...middles(grid.rows, grid.stepY).flatMap((y) => [
      line('join', [
        [0, y],
        [spanX, y],
      ]),
      ...quarters(grid.columns, grid.stepX, roomX).flatMap((x) => matchMark(x, y)),
    ]),
  ];
};

/** A map of the tiles in the foot of the page, with this one crossed out. */
const mapOf = (grid: Grid, column: number, row: number, field: Rect): readonly Mark[] => {
  const cell = Math.min(6_000, 7_500 / grid.rows, 40_000 / grid.columns);
  const [left, low] = [field.x1 - grid.columns * cell, field.y0 - 8_500];
  const cells = Array.from(
    { length: grid.rows * grid.columns },
    (_, index) => [index % grid.columns, Math.floor(index / grid.columns)] as const,
  );
  const box = (x: number, y: number) => rectRing(left + x * cell, low + y * cell, left + (x + 1) * cell, low + (y + 1) * cell);
  const here = bounds(box(column, row));
  return [
    ...cells.map(([x, y]) => line('map', box(x, y), true)),
    line('cut', [
      [here.x0, here.y0],
      [here.x1, here.y1],
    ]),
    line('cut', [
      [here.x0, here.y1],
      [here.x1, here.y0],
    ]),
    { kind: 'text', text: `tile ${tileName(column, row)}`, at: [left - 1_500, low + 3_000], size: 2_600, anchor: 'end', angle: 0 },
  ];
};

/** Columns by letter from the left, rows by number from the bottom: b2. */
const tileName = (column: number, row: number): string => `${letters(column).toLowerCase()}${row + 1}`;

/** Tiles of a drawing, one to a page, column by column from the bottom.
 *  Shape: a drawing → columns × rows sheetfuls that overlap by `overlap`, with join lines, match marks and a map. The way up that
 *  needs fewer tiles is taken. */
export const tile = (drawing: Drawing, field: Rect, overlap: number): readonly Sheetful[] => {
  const best = upright(drawing, field, overlap);
  const { tag, name: called } = drawing;
  const grid = gridFor(best, field, overlap);
  const all = [...best.marks, ...joins(grid, field, overlap)];
  const [roomX, roomY] = [field.x1 - field.x0, field.y1 - field.y0];
  return Array.from({ length: grid.columns * grid.rows }, (_, index): Sheetful => {
    const [column, row] = [Math.floor(index / grid.rows), index % grid.rows];
    const window: Rect = { x0: column * grid.stepX, y0: row * grid.stepY, x1: column * grid.stepX + roomX, y1: row * grid.stepY + roomY };
    const name: Mark = {
      kind: 'text',
      text: `${tag} · ${tileName(column, row)}`,
      at: [field.x0 + 12_000, field.y1 - 9_000],
      size: 3_600,
      anchor: 'start',
      angle: 0,
    };
    return {
      title: `${tag} ${called}, tile ${tileName(column, row)}`,
      marks: [...moved(clipped(all, window), field.x0 - window.x0, field.y0 - window.y0), name, ...mapOf(grid, column, row, field)],
    };
  });
};
