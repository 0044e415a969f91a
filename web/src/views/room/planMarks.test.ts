import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { marksOnPlan, type PlanMark, type SeenMark, wallLines } from './planMarks.ts';

const thing = (id: string, x0: number, y0: number, x1: number, y1: number): SeenMark => ({ id, mark: id, x0, y0, x1, y1 });
const apart = (a: PlanMark, b: PlanMark, tall: number): boolean =>
  Math.abs(a.y - b.y) >= tall * 0.99 || Math.abs(a.x - b.x) >= (tall * 0.62 * (a.mark.length + b.mark.length)) / 2 - 1e-9;

describe('numbers on the plan', () => {
  it('stand in the middle of what is seen whole, aside where something lies over it', () => {
    const [table, lamp] = marksOnPlan([thing('2', 0, 0, 100, 40), thing('14', 40, 10, 60, 30)], 8) as [PlanMark, PlanMark];
    expect([lamp.x, lamp.y, lamp.from]).toEqual([50, 20, null]);
    expect(table.from).toBeNull();
    expect(apart(table, lamp, 8)).toBe(true);
    expect(table.x < 40 - 2 || table.x > 60 + 2 || table.y < 6 || table.y > 34).toBe(true);
  });

  it('of what lies wholly under something stand beside it, with the point that they name', () => {
    const [chair] = marksOnPlan([thing('12', 40, 10, 60, 30), thing('2', 0, 0, 100, 40)], 8) as [PlanMark];
    expect(chair.from).toEqual([50, 20]);
    expect(chair.y < 0 || chair.y > 40 || chair.x < 0 || chair.x > 100).toBe(true);
  });

  it('never stand on the line of a wall, straight or slanting', () => {
    const [a, b, c, d] = [[0, 0] as const, [200, 0] as const, [150, 150] as const, [0, 150] as const];
    const walls = wallLines(
      [
        [a, b],
        [b, c],
        [c, d],
        [d, a],
      ],
      2,
    );
    // Thin things along the walls: shelves, a fence, a clock, one of them along the slant.
    const things = [thing('15', 20, 0, 60, 3), thing('6', 0, 60, 3, 100), thing('7', 40, 147, 90, 150), thing('8', 168, 70, 178, 90)];
    for (const { x, y, mark } of marksOnPlan(things, 8, walls)) {
      const half = (8 * 0.62 * mark.length) / 2;
      const on = walls.filter((wall) => x - half < wall.x1 && wall.x0 < x + half && y - 4 < wall.y1 && wall.y0 < y + 4);
      expect(on, mark).toEqual([]);
    }
  });

  it('of rooms in which there is room for them never touch', () => {
    const cell = fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 2 }));
    fc.assert(
      fc.property(fc.uniqueArray(cell, { maxLength: 12, selector: ([x, y]) => `${x} ${y}` }), (cells) => {
        const things = cells.map(([x, y, size], index) =>
          thing(`${index + 1}`, x * 40, y * 40, x * 40 + 10 + size * 25, y * 40 + 10 + size * 25),
        );
        const marks = marksOnPlan(things, 5);
        expect(marks.map(({ id }) => id)).toEqual(things.map(({ id }) => id));
        for (const [index, mark] of marks.entries()) for (const other of marks.slice(index + 1)) expect(apart(mark, other, 5)).toBe(true);
      }),
    );
  });
});
