import { describe, expect, it } from 'vitest';
import { PAPERS, USUAL_SHEETS } from './index.ts';

const mm = (name: string) => {
  const sheet = USUAL_SHEETS.find((each) => each.name === name);
  return sheet && [sheet.width / 1000, sheet.height / 1000];
};

describe('sheets and papers', () => {
  // ISO 216, A series.
  it.each([
    ['A1', [594, 841]],
    ['A2', [420, 594]],
    ['A3', [297, 420]],
    ['A4', [210, 297]],
  ])('%s', (name, sides) => {
    expect(mm(name)).toEqual(sides);
  });

  // Common practice, no source.
  it('foam board in inches', () => {
    expect(mm('20 × 30 in')).toEqual([508, 762]);
    expect(mm('18 × 24 in')).toEqual([457.2, 609.6]);
  });

  it('pages', () => {
    expect([PAPERS.a4.width, PAPERS.a4.height]).toEqual([210_000, 297_000]);
    // 8.5 × 11 in: ANSI/ASME Y14.1, size A.
    expect([PAPERS.letter.width, PAPERS.letter.height]).toEqual([215_900, 279_400]);
  });
});
