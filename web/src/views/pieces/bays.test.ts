import { scaleFromRatio } from '@parlor/core/measure';
import { type Bay, buildPiece, type Casework, type Cell, cellAt, cellsOf, MODELS, newCell } from '@parlor/core/piece';
import { AXES } from '@parlor/core/shape';
import { boardSchema } from '@parlor/core/stock';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addShelf, type BayEdit, removeBay, sizeSlot, split, takeShelf, toggleDoor } from './bayEdits.ts';
import { bayBeside, toolOfKey, toolsFor } from './bayTools.ts';

const built = (front: Cell): readonly Bay[] => {
  const piece = { ...MODELS.casework.schema.parse({ width: '3 m', height: '3 m' }), id: 'p', mark: 1, front } as Casework;
  const scale = scaleFromRatio(6);
  const done = buildPiece(piece, { scale, body: scale, boards: [boardSchema.parse({ id: 'white' })] });
  return done.ok ? done.value.bays : [];
};

const open: Cell = newCell('open');
const grid: Cell = {
  kind: 'columns',
  slots: AXES.map(() => ({
    size: { share: 1 },
    cell: { kind: 'rows', slots: [0, 1].map(() => ({ size: { share: 1 }, cell: open })) } as const,
  })),
};
const valid = (front: Cell): boolean => MODELS.casework.schema.safeParse({ front }).success;

describe('tools on bays', () => {
  it('whatever is pressed in whatever order, the front stays one that the schema takes', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ tool: fc.nat(5), at: fc.nat(30) }), { maxLength: 25 }), (presses) => {
        let front: Cell = open;
        for (const { tool, at } of presses) {
          const bays = built(front);
          const path = bays[at % Math.max(1, bays.length)]?.path ?? [];
          const made: BayEdit | null | undefined = toolsFor(front, path)[tool]?.made;
          if (!made) continue;
          expect(cellAt(made.front, made.chosen), 'the chosen bay is there').toBeDefined();
          front = made.front;
          expect(valid(front)).toBe(true);
        }
      }),
      { seed: 3, numRuns: 150 },
    );
  });

  it('a shelf more and a shelf less is what it was; so are a door hung and taken off', () => {
    for (const { path } of built(grid)) {
      const more = addShelf(grid, path);
      if (more) expect(takeShelf(more.front, path)?.front).toEqual(grid);
      const door = toggleDoor(grid, path, newCell('door'));
      if (door) expect(toggleDoor(door.front, path, newCell('door'))?.front).toEqual(grid);
    }
  });

  it('splitting along a row adds a bay to it, across it makes a row of two', () => {
    expect(split(grid, [1], 'columns')?.front).toMatchObject({ slots: { length: 4 } });
    expect(cellAt(split(grid, [0, 0], 'columns')?.front ?? open, [0, 0])).toMatchObject({ kind: 'columns', slots: { length: 2 } });
    expect(removeBay(grid, [])).toBeNull();
    expect(removeBay(removeBay(grid, [2])?.front ?? open, [0])?.front).toMatchObject({ kind: 'rows' });
  });

  it('a row of fixed sizes always keeps one bay that yields', () => {
    let front: Cell = grid;
    for (const index of [0, 1, 2]) front = sizeSlot(front, [index], { clear: 300_000 as never })?.front ?? front;
    expect(cellsOf(front)[0]?.cell).toMatchObject({ kind: 'columns' });
    expect(front.kind === 'columns' && front.slots.filter(({ size }) => 'share' in size)).toHaveLength(1);
  });

  it('each tool has keys of its own', () => {
    const keys = toolsFor(grid, [0, 0]).flatMap((tool) => tool.keys);
    expect(new Set(keys).size).toBe(keys.length);
    expect(toolOfKey(grid, [0, 0], 'C')?.name).toBe('columns');
    expect(toolOfKey(grid, [0, 0], 'q')).toBeUndefined();
  });
});

describe('arrows between bays', () => {
  const leaves = built(grid).filter(({ kind }) => kind === 'open');
  const at = (path: string) => leaves.find((bay) => bay.path.join('.') === path) as Bay;
  const beside = (path: string, key: string) => bayBeside(leaves, at(path), key)?.path.join('.');

  it('go to the bay that lies there, and nowhere at the edge', () => {
    expect(beside('0.0', 'ArrowRight')).toBe('1.0');
    expect(beside('1.0', 'ArrowUp')).toBe('1.1');
    expect(beside('1.1', 'ArrowLeft')).toBe('0.1');
    expect(beside('1.1', 'ArrowDown')).toBe('1.0');
    expect(beside('0.0', 'ArrowLeft')).toBeUndefined();
    expect(beside('0.0', 'x')).toBeUndefined();
  });

  it('and back again lead to where they came from', () => {
    for (const bay of leaves) {
      for (const [there, back] of [
        ['ArrowRight', 'ArrowLeft'],
        ['ArrowUp', 'ArrowDown'],
      ] as const) {
        const next = bayBeside(leaves, bay, there);
        if (next) expect(bayBeside(leaves, next, back)).toBe(bay);
      }
    }
  });
});
