import { PATTERNS } from '@parlor/core/cover';
import { scaleFromRatio, UM } from '@parlor/core/measure';
import { applyEdit, setSchema, VERSION } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { dropFinish, newFinish, patternArt, signArt, wearEdit, wholeCourses } from './dressing.ts';

const set = setSchema.parse({
  format: 'bashful-parlor-set',
  version: VERSION,
  finishes: [{ id: 'brick', art: patternArt('running bond') }],
  pieces: [
    {
      name: 'A',
      dress: {
        wears: [
          { at: { kind: 'piece' }, finish: 'brick' },
          { at: { kind: 'role', role: 'back' }, finish: null },
        ],
      },
    },
    { name: 'B' },
  ],
});

describe('whole courses', () => {
  it('at an odd scale the nearest size is offered that fits the height, all sizes by one share', () => {
    const scale = scaleFromRatio(7);
    const height = 200 * UM.mm;
    const offer = wholeCourses(patternArt('running bond'), height, scale);
    // 75 mm at 1 : 7 is 10.71 mm: 18.67 courses; nineteen need 73.7 mm.
    expect(offer).toMatchObject({ now: expect.closeTo(18.667, 3), whole: 19 });
    const { course } = PATTERNS['running bond'];
    const next = (course?.(offer?.sizes as never) ?? 0) / 7;
    expect((next * 19) / height).toBeCloseTo(1, 4);
    expect(offer?.sizes).toHaveProperty('length', Math.round(215_000 * (18.6667 / 19)));
  });

  it('nothing is offered where they fit already, where there are none, and where bounds forbid it', () => {
    expect(wholeCourses(patternArt('running bond'), 125 * UM.mm, scaleFromRatio(6))).toBeNull();
    expect(wholeCourses(patternArt('marble'), 130 * UM.mm, scaleFromRatio(6))).toBeNull();
    expect(wholeCourses({ kind: 'plain', ink: 'x' }, 130 * UM.mm, scaleFromRatio(6))).toBeNull();
    // A single tile of 30 cm would have to be 1.2 m.
    expect(wholeCourses(patternArt('chequer tile'), 1_400 * UM.mm, scaleFromRatio(1))).not.toBeNull();
    expect(wholeCourses(patternArt('panelling'), 10 * UM.mm, scaleFromRatio(1))).toBeNull();
  });
});

describe('swatches', () => {
  it('thrown away come off everything that wears them, and come back with it', () => {
    const { document, inverse } = applyEdit(set, dropFinish(set, 'brick'));
    expect(document.finishes).toEqual([]);
    expect(document.pieces[0]?.dress.wears).toEqual([expect.objectContaining({ finish: null })]);
    expect(applyEdit(document, inverse).document).toEqual(set);
  });

  it('a choice takes the place of the one before it, and leaves others alone', () => {
    const [piece] = set.pieces;
    if (!piece) throw new Error('no piece');
    const at = { kind: 'piece' } as const;
    const after = applyEdit(set, wearEdit(piece, at, { finish: 'other', runs: 'turned', upTo: null })).document.pieces[0];
    expect(after?.dress.wears.map(({ finish }) => finish)).toEqual([null, 'other']);
    expect(applyEdit(set, wearEdit(piece, at, undefined)).document.pieces[0]?.dress.wears.length).toBe(1);
  });

  it('begin with a name and a way that suits them, and a sign with colours that can be read', () => {
    expect(newFinish(patternArt('gingham'), set.palette)).toMatchObject({ name: 'gingham', how: 'paper', edges: 'wrapped' });
    expect(newFinish({ kind: 'plain', ink: 'moss' }, set.palette)).toMatchObject({ name: 'moss', how: 'paint' });
    expect(newFinish(signArt(set.palette), set.palette)).toMatchObject({
      name: 'sign',
      edges: 'raw',
      art: { ink: 'walnut', ground: 'chalk' },
    });
  });
});
