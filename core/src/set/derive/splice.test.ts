import { describe, expect, it } from 'vitest';
import { PRESETS } from '../../piece/index.ts';
import { readSet } from '../document/readSet.ts';
import { templatePages } from '../pages/pages.ts';
import { layOutSet } from '../plans/boards.ts';
import { derive, orderOfPiece } from './derive.ts';

const small = (piece: object, splice: 'join' | 'leave', grain: 'none' | 'along' = 'none') => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: 'small sheets',
    boards: [{ id: 'white', measured: '4.8 mm', sheets: ['A4'], grain }],
    cutting: { splice, trim: '3 mm' },
    pieces: [piece],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

describe('every preset from sheets that are too small for it', () => {
  let joined = 0;

  it.each(PRESETS.map((each) => [each.key, each.piece] as const))(
    '%s stands, closes and goes together, joined where it must be',
    (_, piece) => {
      for (const grain of ['none', 'along'] as const) {
        const document = small(piece, 'join', grain);
        const derived = derive(document);
        const made = derived.pieces[0]?.made;
        if (!made) throw new Error('not made');
        const { inspection, assembly } = made;
        expect(inspection).toMatchObject({ interference: [], closes: true, clearIsFree: true, loose: [] });
        // A strip has to be on one face or the other; where both look into a room it may stop a door, and is named for it.
        expect(inspection.stopped.filter(({ by }) => !/ strip \d/.test(by))).toEqual([]);
        expect(orderOfPiece(made).stuck).toEqual([]);
        expect(new Set(assembly.parts.map(({ id }) => id)).size).toBe(assembly.parts.length);
        joined += made.joined.length;
        // What was joined lies on sheets; only what moves, is rolled or is cut at a slant may still be too large, and is named then.
        const layout = layOutSet(document, derived)[0]?.layout;
        const moving = new Set(assembly.motions.flatMap(({ parts }) => parts));
        const whole = new Set(assembly.parts.flatMap(({ id, flat, upper }) => (flat || upper ? [id] : [])));
        const large = layout?.tooLarge ?? [];
        expect(large.filter((id) => !moving.has(id) && !whole.has(id))).toEqual([]);
        const named = derived.pieces[0]?.findings.flatMap(({ code, where }) =>
          code === 'part-larger-than-board' ? (where.partIds ?? []) : [],
        );
        expect(large.filter((id) => !named?.includes(id))).toEqual([]);
        for (const { pieces } of made.joined)
          expect(pieces.every((id) => made.tags[assembly.parts.findIndex((part) => part.id === id)])).toBeTruthy();
      }
    },
  );

  it('so many had to be, and each piece has a template of its own with the strip as a guide', () => {
    expect(joined).toBeGreaterThan(20);
    const document = small(PRESETS.find(({ key }) => key === 'wardrobe')?.piece ?? {}, 'join');
    const derived = derive(document);
    const { made } = derived.pieces[0] as (typeof derived.pieces)[number];
    const pieces = made?.joined.flatMap((each) => each.pieces) ?? [];
    expect(pieces.length).toBeGreaterThan(1);
    const pages = JSON.stringify(templatePages(document, derived, { pieces: null }));
    for (const id of pieces) expect(pages).toContain(made?.tags[made.assembly.parts.findIndex((part) => part.id === id)]);
    expect(pages).toContain('strip behind the');
  });

  it('are left whole when the maker says so, and then named', () => {
    const document = small(PRESETS.find(({ key }) => key === 'wardrobe')?.piece ?? {}, 'leave');
    const [piece] = derive(document).pieces;
    expect(piece?.made?.joined).toEqual([]);
    expect(piece?.findings.some(({ code }) => code === 'part-larger-than-board')).toBe(true);
  });
});
