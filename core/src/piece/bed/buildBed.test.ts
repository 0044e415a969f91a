import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOf } from '../../assembly/index.ts';
import { UM } from '../../measure/index.ts';
import { bounds } from '../../shape/index.ts';
import { builtOf, decided, like, mm, partsOf, refusalOf, sides, span } from '../decided.testing.ts';
import { evenSlats } from '../parts/evenSlats.ts';

const BOARD = 5_000;
const bed = {
  mattressLength: mm(300),
  mattressWidth: mm(140),
  mattressThickness: mm(25),
  lies: mm(50),
  recess: mm(10),
  rail: mm(30),
};

describe('beds', () => {
  it('hold the mattress: the clear place is its size and its play on every side', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 120, max: 400 }),
        fc.integer({ min: 60, max: 220 }),
        fc.integer({ min: 0, max: 6 }),
        (long, wide, play) => {
          const piece = decided('panel-bed', {
            ...bed,
            mattressLength: mm(long),
            mattressWidth: mm(wide),
            play: play * UM.mm,
            'head.height': mm(120),
            'foot.height': mm(90),
          });
          const { clear } = builtOf(piece, BOARD).assembly;
          expect(clear.max[0] - clear.min[0]).toBe((long + 2 * play) * UM.mm);
          expect(clear.max[2] - clear.min[2]).toBe((wide + 2 * play) * UM.mm);
        },
      ),
      { seed: 5, numRuns: 25 },
    );
  });

  it('lie as high as said, rails reach as far above that as the mattress is sunk', () => {
    const parts = partsOf(decided('panel-bed', { ...bed, 'head.height': mm(120), 'foot.height': mm(90) }), BOARD);
    const [base] = like(parts, /^bed base$/);
    expect(base && span(base, 1)).toEqual([45, 50]);
    for (const rail of like(parts, /^(front|back|side)? ?rail$/)) expect(span(rail, 1)).toEqual([30, 60]);
    const [head] = like(parts, /head ?board/);
    expect(head && span(head, 1)).toEqual([0, 120]);
  });

  it('have head boards of any outline, whose highest point is the height said', () => {
    const areas = ['straight', 'arch', 'half-round', 'battlements'].map((edge) => {
      const parts = partsOf(
        decided('arch-bed', {
          ...bed,
          'head.height': mm(150),
          'head.edge': edge,
          'head.rise': mm(25),
          'foot.height': mm(0),
          base: 'board',
        }),
        BOARD,
      );
      const [head] = like(parts, /head ?board/);
      const { y0, y1 } = bounds(head?.region.outline ?? []);
      expect(y1 - y0).toBe(150 * UM.mm);
      return head?.region.outline.length ?? 0;
    });
    expect(areas[0]).toBe(4);
    expect(areas[1]).toBeGreaterThan(12);
    expect(areas[2]).toBeGreaterThan(12);
    expect(areas[3]).toBeGreaterThanOrEqual(8);
  });

  it('on slats leave no gap larger than said, all gaps even', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 6, max: 19 }),
        fc.integer({ min: 3, max: 40 }),
        (length, width, largest) => {
          const { count, gap } = evenSlats(length * UM.mm, width * UM.mm, largest * UM.mm);
          expect(count * width * UM.mm + (count + 1) * gap).toBeCloseTo(length * UM.mm, 3);
          expect(gap).toBeLessThanOrEqual(largest * UM.mm + 1e-6);
        },
      ),
      { seed: 6 },
    );
    const slats = like(
      partsOf(decided('arch-bed', { ...bed, slatGap: mm(12), 'head.height': mm(150), 'foot.height': mm(100) }), BOARD),
      /^slat$/,
    );
    const starts = slats.map((slat) => span(slat, 0)).sort((a, b) => a[0] - b[0]);
    const gaps = starts.slice(1).map(([from], index) => from - (starts[index]?.[1] ?? 0));
    expect(Math.max(...gaps)).toBeLessThanOrEqual(12);
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThan(0.002);
  });

  it('up high leave the clear height said under them, and their ladder leans on the front rail', () => {
    const piece = decided('loft-bed', { ...bed, clear: mm(220), rail: mm(60), recess: mm(40), rungs: mm(45) });
    const { assembly } = builtOf(piece, BOARD);
    const lowest = Math.min(...like(assembly.parts, /base|slat|rail|cleat/).map((part) => span(part, 1)[0]));
    expect(lowest).toBe(220);
    const lean = like(assembly.parts, /ladder side/);
    expect(lean.length).toBeGreaterThanOrEqual(2);
    const rungs = like(assembly.parts, /^rung$/)
      .map((rung) => span(rung, 1)[0])
      .sort((a, b) => a - b);
    expect(rungs.length).toBeGreaterThan(2);
    const steps = rungs.slice(1).map((at, index) => at - (rungs[index] as number));
    expect(Math.max(...steps)).toBeLessThanOrEqual(45.01);
  });

  it('one above the other keep the clear height above the lower mattress', () => {
    const { assembly } = builtOf(
      decided('bunk-bed', { ...bed, clear: mm(150), recess: mm(20), rail: mm(40), rungs: mm(45), base: 'board' }),
      BOARD,
    );
    const bases = like(assembly.parts, /^bed base$/)
      .map((part) => span(part, 1))
      .sort((a, b) => a[0] - b[0]);
    expect(bases).toHaveLength(2);
    const over = Math.min(...like(assembly.parts, /-upper/).map((part) => span(part, 1)[0]), bases[1]?.[0] ?? 0);
    expect(over - ((bases[0]?.[1] ?? 0) + 25)).toBe(150);
  });

  it('by day have a back to the floor and drawers that come out under the front rail', () => {
    const { assembly } = builtOf(
      decided('daybed', {
        ...bed,
        lies: mm(70),
        rail: mm(20),
        recess: mm(5),
        drawers: 2,
        'head.height': mm(110),
        'foot.height': mm(110),
        'backBoard.height': mm(130),
      }),
      BOARD,
    );
    expect(assembly.motions).toHaveLength(2);
    const [back] = like(assembly.parts, /back ?board/);
    expect(back && span(back, 1)).toEqual([0, 130]);
    // Closed, what is drawn stays inside the bed.
    const out = like(assembly.parts, /drawer (front|bottom)/);
    expect(out.every((part) => boxOf(part).max[2] <= assembly.outside.max[2])).toBe(true);
  });

  it('cut end boards to the width of the frame', () => {
    const parts = partsOf(decided('panel-bed', { ...bed, play: 0, 'head.height': mm(120), 'foot.height': mm(90) }), BOARD);
    const [head] = like(parts, /head ?board/);
    // The mattress and a rail's board on either side.
    expect(head && sides(head)[0]).toBe(150_000);
  });

  it.each([
    ['the rails above the floor', { rail: mm(90) }],
    ['the base behind its rail', { recess: mm(28) }],
    ['the posts along the bed', { mattressLength: mm(12), 'head.height': mm(0) }],
  ])('are refused by name and number: %s', (what, decisions) => {
    const problem = refusalOf(decided('platform-bed', { ...bed, ...decisions }), BOARD);
    expect(problem).toMatchObject({ code: 'does-not-fit', what });
    expect('available' in problem && problem.available < problem.needed).toBe(true);
  });
});
