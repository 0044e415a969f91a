import { describe, expect, it } from 'vitest';
import { PRESETS } from '../../piece/index.ts';
import { derive, describeFinding, describeMend, readSet, type SetDocument, templatesOf } from '../index.ts';

const read = (file: Record<string, unknown>): SetDocument => {
  const result = readSet({ format: 'bashful-parlor-set', version: 1, ...file });
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

const notes = (file: Record<string, unknown>): readonly string[] => {
  const document = read(file);
  return derive(document).pieces.flatMap(({ findings }) =>
    findings.map((finding) => {
      const { title, reason } = describeFinding(finding, document.units);
      return `${title}. ${reason}${finding.mend ? ` [${describeMend(finding.mend, document.units)}]` : ''}`;
    }),
  );
};

const shallow = { width: '60 cm', height: '60 cm', depth: '40 cm', standing: 'fixed to the wall', hold: 'inside' };

describe('findings in words', () => {
  it('of a piece without fault say nothing', () => {
    expect(notes({ pieces: [shallow] })).toEqual([]);
  });

  it('name the object, both sizes and the mend, in the maker’s units', () => {
    const tight = { ...shallow, front: { kind: 'shelves', count: 4, holds: 'hardback' } };
    expect(notes({ pieces: [tight] })).toEqual([
      'Shelf gap too low. A hardback needs 40 mm at doll size; the gap is 16 mm. [one shelf only]',
    ]);
    expect(notes({ units: { unit: 'in' }, pieces: [tight] })[0]).toMatch(/needs ≈ 1 9\/16 in at doll size; the gap is ≈ 5\/8 in/);
  });

  it('say how a piece tips, and by how much a board is thick', () => {
    const found = notes({ pieces: [{ width: '90 cm', height: '180 cm', depth: '30 cm' }] });
    expect(found).toEqual([
      'It tips. 300 mm tall on 50 mm of depth is more than twice as tall as deep. [fix it to the wall]',
      'A thick board. White foam board is 5 mm where a usual furniture board of 18 mm would be 3 mm at this scale: the inside comes out tighter by 4 mm. [hold the inside]',
    ]);
  });

  it('say what does not fit on its board, and what would help', () => {
    const wide = { ...shallow, width: '500 cm', back: 'none' };
    const found = notes({ boards: [{ id: 'white', name: 'white board', sheets: ['A3'] }], cutting: { splice: 'leave' }, pieces: [wide] });
    expect(found[0]).toMatch(/^Larger than its board\. 1B top, bottom is .* no sheet of white board takes it\. \[get .* sheets too\]$/);
  });

  it.each([
    [{ width: '3 cm', height: '60 cm' }, /^Too small to build\. The boards alone are .* wide; the piece is .* \(doll size\)/],
    [{ width: '60 cm', height: '3 cm' }, /^Too small to build\. The boards alone are .* high; the piece is/],
    [{ width: '60 cm', height: '60 cm', depth: '3 cm' }, /^Too small to build\. The boards alone are .* deep; the piece is/],
    [
      { front: { kind: 'columns', slots: [{ size: { clear: '80 cm' } }, { size: { clear: '80 cm' } }] } },
      /^The bays don’t fit\. Fixed bays and dividers add up to .*; only .* is available .* \[share the room evenly\]$/,
    ],
  ])('say why %j cannot be built', (piece, words) => {
    expect(notes({ pieces: [piece] })[0]).toMatch(words);
  });
});

describe('units', () => {
  const words = (document: SetDocument): readonly string[] =>
    derive(document).pieces.flatMap(({ findings }) =>
      findings.flatMap((finding) => {
        const { title, reason } = describeFinding(finding, document.units);
        return [title, reason, ...(finding.mend ? [describeMend(finding.mend, document.units)] : [])];
      }),
    );
  // What is sold by a name keeps it: a dowel of 3 mm is called so in every shop.
  const named = (text: string): string => text.replaceAll(/(square|round) dowel, \d+ mm/g, '');

  it.each([
    ['in', /\b(mm|cm)\b|mm²/],
    ['mm', /\d in\b|\bcm\b|″/],
    ['cm', /\d in\b|\bmm\b|″/],
  ] as const)('in a set in %s no note and no mend speaks another one', (unit, other) => {
    const doll = { height: '29 cm', scale: { by: 'ratio', ratio: 12 } };
    const found = [0, 1, 2, 3].flatMap((part) =>
      words(read({ pieces: PRESETS.filter((_, index) => index % 4 === part).map(({ piece }) => piece), units: { unit }, doll })),
    );
    expect(found.length).toBeGreaterThan(50);
    expect(found.filter((text) => other.test(named(text)))).toEqual([]);
  });

  it.each([
    ['in', /\b(mm|cm)\b/],
    ['cm', /\d in\b|\bmm\b|″/],
  ] as const)('in a set in %s no template speaks another one, not even in the names of sticks', (unit, other) => {
    const document = read({ pieces: PRESETS.map(({ piece }) => piece).filter((_, index) => index % 2 === 0), units: { unit } });
    const sizes = templatesOf(document, derive(document), { pieces: null }).map((template) => `${template.name}: ${template.sizes}`);
    expect(sizes.some((text) => /dowel|skewer|stick/.test(text))).toBe(true);
    expect(sizes.filter((text) => other.test(text))).toEqual([]);
  });
});
