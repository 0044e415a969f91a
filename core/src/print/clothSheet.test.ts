import { describe, expect, it } from 'vitest';
import { type ClothPiece, cutLineOf, cutSizeOf, discPiece, rectPiece } from '../cloth/index.ts';
import { bounds } from '../shape/index.ts';
import { type ClothSheet, clothMarks, drawCloth, type LineMark, type LineStyle, layerOf } from './index.ts';

const sheet = (piece: ClothPiece, openings: ClothSheet['openings'] = []): ClothSheet => ({
  tag: '7a',
  name: piece.name,
  piece,
  openings,
  words: ['cut 2 of cotton', 'seams 6 mm'],
});

const lines = (of: ClothSheet, style: LineStyle): readonly LineMark[] =>
  clothMarks(of).flatMap((mark) => (mark.kind === 'line' && mark.style === style ? [mark] : []));

describe('a piece of a sewing pattern on paper', () => {
  const front = rectPiece('front', 90_000, 60_000, {
    lower: ['seam', 6_000],
    right: ['seam', 6_000],
    upper: ['double hem', 10_000],
    left: ['raw', 0],
  });

  it('is cut beyond the line, sewn on it, and folded where it is hemmed', () => {
    const [cut] = lines(sheet(front), 'cut').filter(({ closed }) => closed);
    expect(cut?.points).toEqual(cutLineOf(front));
    expect(lines(sheet(front), 'stitch').map(({ points }) => points)).toEqual([
      [
        [0, 0],
        [90_000, 0],
      ],
      [
        [90_000, 0],
        [90_000, 60_000],
      ],
    ]);
    expect(lines(sheet(front), 'fold')).toHaveLength(1);
    expect(layerOf(lines(sheet(front), 'stitch')[0] as LineMark)).toBe('guide');
  });

  it('has a notch in the middle of each joined edge, from the cut inwards, and none where nothing is joined', () => {
    const notches = lines(sheet(front), 'cut').filter(({ closed }) => !closed);
    expect(notches.map(({ points }) => points)).toEqual([
      [
        [45_000, -6_000],
        [45_000, -2_500],
      ],
      [
        [96_000, 30_000],
        [92_500, 30_000],
      ],
    ]);
    // What goes round is marked at its quarters; the strip that is sewn to it at its middle.
    expect(lines(sheet(discPiece('end', 20_000, ['seam', 6_000])), 'cut').filter(({ closed }) => !closed)).toHaveLength(4);
  });

  it('marks the opening that is left, between two ticks', () => {
    const marks = clothMarks(sheet(front, [{ piece: 0, edge: 'lower', from: 30_000, to: 60_000 }]));
    const joins = marks.flatMap((mark) => (mark.kind === 'line' && mark.style === 'join' ? [mark.points] : []));
    expect(joins).toContainEqual([
      [30_000, 0],
      [60_000, 0],
    ]);
    expect(joins).toHaveLength(3);
    expect(marks.some((mark) => mark.kind === 'text' && mark.text === 'leave open')).toBe(true);
  });

  it('shows the grain where it matters, and says what is cut of it', () => {
    const words = (piece: ClothPiece): readonly string[] =>
      clothMarks(sheet(piece)).flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
    expect(words(front)).toEqual(expect.arrayContaining(['grain', '7a  front', 'cut 2 of cotton', 'seams 6 mm']));
    expect(words({ ...front, anyWay: true })).not.toContain('grain');
    expect(words(rectPiece('tiny', 6_000, 4_000, ['raw', 0]))).not.toContain('grain');
  });

  it('is drawn from the page’s corner at true size, its name below', () => {
    const drawing = drawCloth(sheet(front));
    const [w, h] = cutSizeOf(front);
    expect(drawing.width).toBe(w);
    const cut = drawing.marks.find((mark) => mark.kind === 'line' && mark.style === 'cut' && mark.closed) as LineMark;
    const box = bounds(cut.points);
    expect([box.x0, box.x1 - box.x0, box.y1 - box.y0]).toEqual([0, w, h]);
    expect(drawing.height - (box.y1 - box.y0)).toBe(box.y0);
    expect(box.y0).toBeGreaterThan(3_000);
  });
});
