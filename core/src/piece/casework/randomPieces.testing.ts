import fc from 'fast-check';
import type { z } from 'zod';
import { type Casework, caseworkSchema } from './casework.ts';

type FileCell = Record<string, unknown>;

/** Trees of bays with rows in columns in rows, shelves, and doors that never hang behind doors. */
const cells = (depth: number, doorAllowed: boolean): fc.Arbitrary<FileCell> => {
  const open = fc.constant<FileCell>({ kind: 'open' });
  const shelves = fc.integer({ min: 1, max: 5 }).map((count): FileCell => ({ kind: 'shelves', count }));
  if (depth === 0) return fc.oneof(open, shelves);
  const slot = fc.record({
    size: fc.oneof(
      { weight: 4, arbitrary: fc.integer({ min: 1, max: 4 }).map((share) => ({ share })) },
      { weight: 1, arbitrary: fc.integer({ min: 60_000, max: 140_000 }).map((clear) => ({ clear })) },
    ),
    cell: cells(depth - 1, doorAllowed),
  });
  // A first slot that shares keeps rows of fixed sizes solvable.
  const split = fc
    .record({ kind: fc.constantFrom('columns', 'rows'), slots: fc.array(slot, { minLength: 1, maxLength: 4 }) })
    .map(({ kind, slots }): FileCell => ({ kind, slots: [{ cell: { kind: 'open' } }, ...slots] }));
  const door = fc
    .record({
      hinge: fc.constantFrom('left', 'right', 'pair'),
      fit: fc.constantFrom('overlay', 'inset'),
      lap: fc.integer({ min: 0, max: 4000 }),
      gap: fc.integer({ min: 0, max: 1500 }),
      behind: cells(depth - 1, false),
    })
    .map((each): FileCell => ({ kind: 'door', ...each }));
  return doorAllowed ? fc.oneof(open, shelves, split, split, split, door) : fc.oneof(open, shelves, split, split);
};

/** Pieces as a maker might decide them, from a night stand to a wall of lockers. */
export const pieces = (depth: number): fc.Arbitrary<Casework> =>
  fc
    .record({
      width: fc.integer({ min: 900_000, max: 3_000_000 }),
      height: fc.integer({ min: 900_000, max: 3_000_000 }),
      depth: fc.integer({ min: 250_000, max: 900_000 }),
      hold: fc.constantFrom('outside', 'inside'),
      corner: fc.constantFrom('sides', 'top'),
      back: fc.constantFrom('inset', 'over', 'none'),
      plinth: fc.constantFrom(0, 80_000, 123_457),
      setback: fc.constantFrom(0, 20_000),
      front: cells(depth, true),
    })
    .map((piece): Casework => ({ ...caseworkSchema.parse(piece as z.input<typeof caseworkSchema>), id: 'p', mark: 1 }) as Casework);

/** Walls of bays with hundreds of parts: columns of rows of shelves, doors among them. */
export const walls: fc.Arbitrary<Casework> = fc
  .record({
    columns: fc.integer({ min: 5, max: 10 }),
    rows: fc.integer({ min: 4, max: 8 }),
    shelves: fc.integer({ min: 1, max: 4 }),
    doorEvery: fc.integer({ min: 2, max: 9 }),
    corner: fc.constantFrom('sides', 'top'),
    fit: fc.constantFrom('overlay', 'inset'),
  })
  .map(({ columns, rows, shelves, doorEvery, corner, fit }): Casework => {
    const bay = (index: number): FileCell => ({ kind: 'shelves', count: 1 + (index % shelves) });
    const cell = (index: number): FileCell => (index % doorEvery === 0 ? { kind: 'door', fit, behind: bay(index) } : bay(index));
    const row = (column: number): FileCell => ({
      kind: 'rows',
      slots: Array.from({ length: rows }, (_, index) => ({ size: { share: 1 + ((index * 7) % 3) }, cell: cell(column * rows + index) })),
    });
    const front = { kind: 'columns', slots: Array.from({ length: columns }, (_, index) => ({ cell: row(index) })) };
    return {
      ...caseworkSchema.parse({ width: '9 m', height: '6 m', depth: '500 mm', corner, front } as z.input<typeof caseworkSchema>),
      id: 'wall',
      mark: 1,
    } as Casework;
  });
