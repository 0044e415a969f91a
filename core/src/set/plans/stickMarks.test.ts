import { describe, expect, it } from 'vitest';
import { boxOf } from '../../assembly/index.ts';
import { PRESETS } from '../../piece/index.ts';
import { derive, readSet, slantWords, stickMarks } from '../index.ts';
import { stickDrawn } from './stickMarks.ts';

const madeOf = (key: string, change: object = {}) => {
  const found = PRESETS.find((preset) => preset.key === key);
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: 'sticks',
    boards: [{ id: 'white', nominal: '5 mm' }],
    pieces: [{ ...found?.piece, ...change }],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const made = derive(read.value).pieces[0]?.made;
  if (!made) throw new Error(`${key} was not made`);
  return made;
};

describe('where things are glued to a stick', () => {
  it('a cot’s upright posts say how far above the floor each rail begins and ends, as the standing cot has it', () => {
    const made = madeOf('cot');
    const { parts } = made.assembly;
    const rails = parts.filter(({ name }) => /rail/.test(name)).map(boxOf);
    let seen = 0;
    parts.forEach((part, index) => {
      if (!/^post/.test(part.name)) return;
      const post = boxOf(part);
      for (const { from, to } of stickMarks(made, index)) {
        const isUp = rails.some(({ min, max }) => Math.abs(min[1] - post.min[1] - from) < 3 && Math.abs(max[1] - post.min[1] - to) < 3);
        const isDown = rails.some(({ min, max }) => Math.abs(post.max[1] - max[1] - from) < 3 && Math.abs(post.max[1] - min[1] - to) < 3);
        expect(isUp || isDown).toBe(true);
        seen += 1;
      }
    });
    // Four posts, two rails high, from two sides.
    expect(seen).toBeGreaterThanOrEqual(8);
  });

  it('a rail’s marks are its slats: equal gaps between them, within 0.05 mm', () => {
    const made = madeOf('cot', { gap: '55 mm' });
    const index = made.assembly.parts.findIndex(({ name }) => /long rail/.test(name));
    const marks = stickMarks(made, index);
    expect(marks.length).toBeGreaterThan(4);
    const gaps = marks.slice(1).map(({ from }, at) => from - (marks[at]?.to ?? 0));
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(50);
  });

  it('lie on the stick, from one end to the other, on every stick of every preset of sticks', () => {
    for (const { key } of PRESETS.filter(({ piece }) => 'family' in piece && piece.family === 'stickwork')) {
      const made = madeOf(key);
      made.assembly.parts.forEach((part, index) => {
        if (part.stuff !== 'stick') return;
        const marks = stickMarks(made, index);
        marks.forEach(({ from, to, tag }, at) => {
          expect(from).toBeGreaterThanOrEqual(0);
          expect(to).toBeGreaterThan(from);
          expect(to).toBeLessThanOrEqual(part.length ?? 0);
          expect(tag).not.toBe('');
          if (at > 0) expect(from).toBeGreaterThanOrEqual(marks[at - 1]?.from ?? 0);
        });
        const drawn = stickDrawn(made, index, part);
        const along = drawn.region.outline.map(([x]) => x);
        expect(Math.max(...along)).toBeLessThanOrEqual((part.length ?? 0) + 1);
        expect(drawn.guides.filter(({ face }) => face === 'front')).toHaveLength(marks.length);
      });
    }
  });
});

describe('slanting cuts in words', () => {
  const units = { unit: 'mm', fine: true } as const;
  const slant = (degrees: number, short = 58_000) => ({
    at: 'end' as const,
    angle: (degrees * Math.PI) / 180,
    long: 60_000,
    short,
  });

  it('equal ends are said once, with the angle off square and the short point', () => {
    expect(slantWords([slant(22.5), slant(22.5)], units)).toEqual([
      expect.stringMatching(/^both ends at 22\.5°, 58(\.0+)? mm at the short point$/),
    ]);
  });

  it('one end alone, and two that differ', () => {
    expect(slantWords([slant(45)], units)).toEqual([expect.stringMatching(/^end at 45°, 58/)]);
    // What only rounding tells apart is one angle.
    expect(slantWords([slant(4.24), slant(4.26)], units)).toEqual([expect.stringMatching(/^both ends at 4\.2°, 58/)]);
    expect(slantWords([slant(10), slant(20)], units)).toEqual([expect.stringMatching(/^ends at 10° and 20°, 58/)]);
  });

  it('edges and ends apart, and nothing for what is square', () => {
    expect(slantWords([slant(30), { ...slant(30), at: 'edge' }], units)).toHaveLength(2);
    expect(slantWords([], units)).toEqual([]);
  });
});
