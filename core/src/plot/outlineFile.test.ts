// Drawings from elsewhere as outlines: units, moves, arcs, holes; what is mended, and what is refused with its reason.
import { describe, expect, it } from 'vitest';
import { areaOf, bounds, type Ring, ringArea } from '../shape/index.ts';
import { crossingIn, type ReadOutline, readOutline } from './outlineFile.ts';

const svg = (inside: string, frame = 'viewBox="0 0 100 100"'): string => `<svg xmlns="http://www.w3.org/2000/svg" ${frame}>${inside}</svg>`;

const read = (text: string): ReadOutline => {
  const result = readOutline(text);
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

const refused = (text: string) => {
  const result = readOutline(text);
  if (result.ok) throw new Error('it was read');
  return result.error;
};

/** What the outline holds less its holes, as a share of its box. */
const filled = ({ rings }: ReadOutline): number => {
  const [outline, ...holes] = rings as [Ring, ...Ring[]];
  const { x0, y0, x1, y1 } = bounds(outline);
  return areaOf([{ outline, holes }]) / ((x1 - x0) * (y1 - y0));
};

describe('an outline from a file', () => {
  it('has the size that its units say: millimetres, inches, points, pixels, a window of its own', () => {
    const square = '<rect x="10" y="10" width="50" height="25"/>';
    const sizes = (frame: string) => {
      const { width, height } = read(svg(square, frame));
      return [width, height].map((um) => Math.round(um / 10) / 100);
    };
    expect(sizes('width="100mm" height="100mm" viewBox="0 0 100 100"')).toEqual([50, 25]);
    expect(sizes('width="1in" height="1in" viewBox="0 0 100 100"')).toEqual([12.7, 6.35]);
    expect(sizes('width="72pt" height="72pt" viewBox="0 0 100 100"')).toEqual([12.7, 6.35]);
    // CSS Values 3: 96 pixels to the inch.
    expect(sizes('width="96" height="96" viewBox="0 0 100 100"')).toEqual([12.7, 6.35]);
    expect(sizes('')).toEqual([13.23, expect.closeTo(6.61, 1)]);
  });

  it('follows arcs and curves: a circle holds π ÷ 4 of its box, whichever way it is drawn', () => {
    const circles = [
      '<circle cx="50" cy="50" r="40"/>',
      '<ellipse cx="50" cy="50" rx="40" ry="20"/>',
      '<path d="M10 50A40 40 0 0 1 90 50A40 40 0 0 1 10 50Z"/>',
      '<path d="M10,50a40,40 0 1,0 80,0a40,40 0 1,0 -80,0z"/>',
    ];
    for (const circle of circles) {
      const outline = read(svg(circle));
      expect(filled(outline)).toBeCloseTo(Math.PI / 4, 3);
      expect(outline.mends).toEqual([]);
    }
  });

  it('is moved, turned and stretched as its groups say', () => {
    const plain = read(svg('<path d="M0 0H40V20H20V30H0Z"/>'));
    const moved = read(svg('<g transform="translate(30 5) rotate(90)"><g transform="scale(2)"><path d="M0 0H20V10H10V15H0Z"/></g></g>'));
    expect(filled(moved)).toBeCloseTo(filled(plain), 6);
    expect(moved.width / moved.height).toBeCloseTo(plain.height / plain.width, 3);
    const skewed = read(svg('<g transform="matrix(1 0 0.5 1 0 0)"><rect width="40" height="20"/></g>'));
    expect(skewed.width / skewed.height).toBeCloseTo(50 / 20, 3);
  });

  it('keeps holes, whichever way they run and whether they are one path or two', () => {
    for (const inside of [
      '<path fill-rule="evenodd" d="M0 0H100V100H0ZM25 25H75V75H25Z"/>',
      '<path d="M0 0H100V100H0ZM25 25V75H75V25Z"/>',
      '<rect width="100" height="100"/><circle cx="50" cy="50" r="28.2095"/>',
    ]) {
      const outline = read(svg(inside));
      expect(outline.rings).toHaveLength(2);
      expect(filled(outline)).toBeCloseTo(0.75, 3);
    }
  });

  it('may be the bare text of a path, and stands upright: y runs up', () => {
    const { rings } = read('M 0 0 L 100 0 L 50 80 Z');
    const [outline] = rings as [Ring];
    const top = outline.reduce((best, point) => (point[1] > best[1] ? point : best));
    // Drawn point downwards (y runs down in the file): the two upper corners are the highest.
    expect(outline.filter(([, y]) => y === top[1])).toHaveLength(2);
    expect(bounds(outline)).toMatchObject({ x0: 0, y0: 0, x1: 1e6, y1: 800_000 });
  });

  it('is mended where that is safe, and says so: a small gap, a small loop, crumbs beside it', () => {
    expect(read('M0 0L100 0L100 60L0 60L0 1').mends).toEqual([{ code: 'gap-closed', share: expect.closeTo(0.01, 6) }]);
    const looped = read('M0 0L100 0L100 60L49 60L52 63L49 63L52 60L0 60Z');
    expect(looped.mends).toEqual([{ code: 'loop-taken-away' }]);
    expect(crossingIn(looped.rings[0] as Ring)).toBeUndefined();
    expect(read(svg('<rect width="90" height="90"/><rect x="95" y="1" width="2" height="2"/>')).mends).toEqual([
      { code: 'crumbs-left-out' },
    ]);
  });

  it('is refused with the reason: open, crossing itself, several, empty, no drawing at all', () => {
    expect(refused('M0 0L100 0L100 60L0 60L0 20')).toEqual({ code: 'open', share: expect.closeTo(0.2, 6) });
    expect(refused('M0 0L100 100L100 0L0 100Z')).toEqual({
      code: 'crosses',
      at: [expect.closeTo(500_000, -1), expect.closeTo(500_000, -1)],
    });
    expect(refused(svg('<rect width="40" height="40"/><rect x="50" width="40" height="40"/>'))).toEqual({ code: 'several', count: 2 });
    expect(refused(svg('<text>words</text>'))).toEqual({ code: 'empty' });
    expect(refused(svg('<line x1="0" y1="0" x2="9" y2="9"/>')).code).toBe('empty');
    expect(refused('no drawing').code).toBe('unreadable');
    expect(refused('').code).toBe('unreadable');
  });

  it('of very many points is made coarser rather than refused, and stays what it is', () => {
    const wavy = Array.from({ length: 6_000 }, (_, index) => {
      const angle = (2 * Math.PI * index) / 6_000;
      const radius = 40 + Math.sin(angle * 12);
      return `${(50 + radius * Math.cos(angle)).toFixed(4)} ${(50 + radius * Math.sin(angle)).toFixed(4)}`;
    });
    const straight = read(`M${wavy.join('L')}Z`);
    expect(ringArea(straight.rings[0] as Ring)).toBeGreaterThan(0);
    const curves = Array.from({ length: 60 }, (_, index) => `q 3 8 6 0 q 3 -8 6 0${index % 2 ? '' : ''}`).join(' ');
    const fringe = read(`M0 0 ${curves} V40 H0 Z`);
    expect(fringe.rings.reduce((sum, ring) => sum + ring.length, 0)).toBeLessThanOrEqual(5_000);
  });
});
