import { describe, expect, it } from 'vitest';
import { UM } from '../../measure/index.ts';
import { ringArea } from '../../shape/index.ts';
import { builtOf, decided, like, mm, partsOf, refusalOf, sides, span } from '../decided.testing.ts';

const BOARD = 5_000;
const table = { width: mm(260), depth: mm(140), height: mm(120), 'thick.top': null };

describe('tables', () => {
  it('are as high, wide and deep as said, and the top takes its layers off the legs', () => {
    for (const [layers, leg] of [
      [1, 115],
      [2, 110],
      [3, 105],
    ] as const) {
      const parts = partsOf(decided('dining-table', { ...table, inset: mm(6), apron: mm(15), 'thick.top': mm(layers * 5) }), BOARD);
      expect(like(parts, /^top/)).toHaveLength(layers);
      for (const each of like(parts, /^leg$/)) expect(each.length).toBe(leg * UM.mm);
      const [top] = like(parts, /^top/);
      expect(top && sides(top)).toEqual([260_000, 140_000]);
    }
  });

  it('of square sticks: legs stand in from the edge, aprons run between them flush with their outside', () => {
    const parts = partsOf(decided('dining-table', { ...table, inset: mm(6), apron: mm(15) }), BOARD);
    const legs = like(parts, /^leg$/);
    expect(legs).toHaveLength(4);
    expect(Math.min(...legs.map((leg) => span(leg, 0)[0]))).toBe(6);
    expect(Math.max(...legs.map((leg) => span(leg, 2)[1]))).toBe(134);
    const long = like(parts, /^apron$/);
    // 260 less twice the inset and twice the 10 mm stick.
    expect(long.map(sides)).toEqual(Array(2).fill([228_000, 15_000]));
    expect(like(parts, /^side apron$/).map(sides)).toEqual(Array(2).fill([108_000, 15_000]));
    expect(long.map((apron) => span(apron, 1))).toEqual(Array(2).fill([100, 115]));
  });

  it('of round sticks: the aprons close round the legs, at the corners of the square that a round top holds', () => {
    const parts = partsOf(
      decided('round-table', { width: mm(180), depth: mm(180), height: mm(120), inset: mm(0), apron: mm(15), stick: 'round dowel, 8 mm' }),
      BOARD,
    );
    const [top] = like(parts, /^top/);
    expect(ringArea(top?.region.outline ?? [])).toBeCloseTo(Math.PI * 90_000 ** 2, -7);
    for (const leg of like(parts, /^leg$/)) {
      const [x, z] = [span(leg, 0), span(leg, 2)];
      const corner = Math.max(...x.flatMap((at) => z.map((deep) => Math.hypot(at - 90, deep - 90))));
      expect(corner).toBeLessThan(90);
    }
    const [first] = like(parts, /^apron$/);
    // The chord of the square in a circle of 180 mm: 180 ÷ √2.
    expect((first ? sides(first)[0] : 0) / UM.mm).toBeCloseTo(180 / Math.SQRT2, 1);
  });

  it('on L legs: two boards at a right angle, together as wide as said on both sides', () => {
    const parts = partsOf(decided('coffee-table', { ...table, height: mm(70), legWidth: mm(15), inset: mm(0), apron: mm(10) }), BOARD);
    expect(like(parts, /leg-.*-face/).map(sides)).toEqual(Array(4).fill([15_000, 65_000]));
    // The flank stands behind the face and loses its board.
    expect(like(parts, /leg-.*-flank/).map(sides)).toEqual(Array(4).fill([10_000, 65_000]));
  });

  it('on end panels stand on whole boards, on trestles on a foot, a post and a bearer at each end', () => {
    const ends = like(partsOf(decided('panel-desk', { ...table, inset: mm(2), under: null, apron: mm(30) }), BOARD), /^end panel$/);
    expect(ends.map(sides)).toEqual(Array(2).fill([136_000, 115_000]));
    const trestle = partsOf(decided('trestle-table', { ...table, legWidth: mm(12), inset: mm(20), stretcherUp: mm(40) }), BOARD);
    expect(like(trestle, /trestle foot/).map(sides)).toEqual(Array(2).fill([100_000, 12_000]));
    expect(like(trestle, /trestle post/).map((post) => span(post, 1))).toEqual(Array(2).fill([12, 103]));
    expect(like(trestle, /^stretcher$/)).toHaveLength(1);
  });

  it('with stretchers all round have four at the height said, an H has two and one between', () => {
    const around = (stretchers: string) =>
      like(
        partsOf(
          decided('side-table', { ...table, stick: 'square dowel, 8 mm', inset: mm(4), apron: mm(12), stretchers, stretcherUp: mm(25) }),
          BOARD,
        ),
        /^stretcher$/,
      );
    expect(around('all round')).toHaveLength(4);
    expect(around('H')).toHaveLength(3);
    for (const rail of around('all round')) expect(span(rail, 1)[0]).toBe(25);
  });

  it('with drawers have one slide for each, and every one comes out to the front', () => {
    for (const drawers of [1, 2, 3]) {
      const { assembly } = builtOf(decided('desk', { ...table, drawers, apron: mm(30), inset: mm(4) }), BOARD);
      expect(assembly.motions.map(({ kind }) => kind)).toEqual(Array(drawers).fill('slide'));
      expect(assembly.motions.every((motion) => motion.kind === 'slide' && motion.along[2] === 1 && motion.by > 0)).toBe(true);
    }
  });

  it('on the wall: triangles under the top; one that folds turns its brackets aside before it comes down', () => {
    const fixed = partsOf(decided('wall-table', { ...table, brackets: 3, bracketHeight: mm(50), inset: mm(10) }), BOARD);
    const brackets = like(fixed, /bracket/);
    expect(brackets).toHaveLength(3);
    for (const { region } of brackets) expect(region.outline).toHaveLength(3);
    const { assembly } = builtOf(
      decided('folding-table', { ...table, width: mm(320), brackets: 2, bracketHeight: mm(60), inset: mm(8) }),
      BOARD,
    );
    const [aside, down] = [assembly.motions.slice(0, 2), assembly.motions[2]];
    expect(aside.every((motion) => motion.kind === 'swing' && motion.along[1] !== 0)).toBe(true);
    expect(down?.kind === 'swing' && down.along[0] !== 0 && down.aside.length >= 2).toBe(true);
  });

  it.each([
    ['the aprons under the top', 'dining-table', { apron: mm(130) }],
    ['legs side by side', 'dining-table', { width: mm(25), inset: mm(4), apron: mm(10) }],
    ['an L and its board', 'coffee-table', { legWidth: mm(4), height: mm(70), apron: mm(4) }],
    ['the stretchers between floor and aprons', 'side-table', { stretcherUp: mm(110), inset: mm(4), apron: mm(12) }],
  ])('are refused by name and number: %s', (what, key, decisions) => {
    const problem = refusalOf(decided(key, { ...table, ...decisions }), BOARD);
    expect(problem).toMatchObject({ code: 'does-not-fit', what });
    expect('available' in problem && problem.available < problem.needed).toBe(true);
  });
});
