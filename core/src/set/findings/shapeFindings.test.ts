// What a careful maker would notice about sticks, legs, slots and outlines, and that each mend does away with what it mends.
import { describe, expect, it } from 'vitest';
import { fromPreset, PRESETS } from '../../piece/index.ts';
import { applyEdit, derive, describeFinding, describeMend, type Finding, readSet, type SetDocument } from '../index.ts';

const read = (piece: object, ratio = 6): SetDocument => {
  const result = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    doll: { scale: { by: 'ratio', ratio } },
    boards: [{ id: 'white', nominal: '5 mm', measured: '4.8 mm', sheets: ['A1'] }],
    pieces: [piece],
  });
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

const preset = (key: string, over: object = {}): object => {
  const found = PRESETS.find((each) => each.key === key);
  if (!found) throw new Error(key);
  return { ...found.piece, ...over };
};

const find = (document: SetDocument, code: Finding['code']): Finding | undefined =>
  derive(document)
    .pieces.flatMap(({ findings }) => findings)
    .find((each) => each.code === code);

const said = (document: SetDocument, code: Finding['code']): string => {
  const finding = find(document, code);
  if (!finding) throw new Error(`${code} is not noticed`);
  const { title, reason } = describeFinding(finding, document.units);
  return `${title}. ${reason}`;
};

describe('sticks', () => {
  it('that nothing holds for more than seventy times their thickness are too thin; held in between they are not', () => {
    // 3 mm stay straight for 210 mm. The rod is 250 mm long between brackets at either end; a third one in the middle holds it.
    const rod = (count: number) => read(preset('curtain-rod', { width: '1900 mm', count }));
    expect(said(rod(2), 'stick-too-thin')).toMatch(/rod is held by nothing for .*mm; .*about 210 mm/);
    expect(find(rod(3), 'stick-too-thin')).toBeUndefined();
  });
});

describe('seats and legs', () => {
  it('every seat that comes with the application is level, stands on the floor, and has its feet under it', () => {
    for (const each of PRESETS.filter(({ kind }) => kind === 'seats')) {
      const document = read(each.piece);
      for (const code of ['seat-not-level', 'feet-not-level', 'leg-outside'] as const)
        expect(find(document, code), each.key).toBeUndefined();
    }
  });

  const panels = (over: object, side: object = {}) => ({
    family: 'panels',
    width: '400 mm',
    height: '450 mm',
    depth: '400 mm',
    panels: [
      { id: 'left', facing: 'side', against: { face: 'left' }, across: { from: { face: 'back' }, to: { face: 'front' } }, ...side },
      { id: 'right', facing: 'side', against: { face: 'right' }, across: { from: { face: 'back' }, to: { face: 'front' } } },
      {
        id: 'seat',
        name: 'seat',
        facing: 'up',
        against: { face: 'bottom', away: '300 mm' },
        across: { from: { of: 'left', face: 'right' }, to: { of: 'right', face: 'left' } },
        along: { from: { face: 'front' }, to: { face: 'back' } },
        ...over,
      },
    ],
  });

  it('a seat that slopes is noticed with its slope', () => {
    expect(find(read(panels({})), 'seat-not-level')).toBeUndefined();
    // 24 mm on 400: atan(0.06) = 3.4°.
    expect(said(read(panels({ lean: '24 mm' })), 'seat-not-level')).toMatch(/slopes by 3\.4°/);
  });

  it('a side that ends a little above the floor rocks', () => {
    const uneven = read(panels({}, { along: { from: { face: 'bottom', away: '6 mm' }, to: { face: 'top' } } }));
    expect(said(uneven, 'feet-not-level')).toMatch(/ends up to ≈? ?1 mm above the floor/);
    expect(find(read(panels({})), 'feet-not-level')).toBeUndefined();
  });

  it('feet that spread beyond the seat are noticed; the mend lets them stand under its edge', () => {
    const document = read(preset('bar-stool', { splay: '90 mm' }));
    expect(said(document, 'leg-outside')).toMatch(/reaches .*mm beyond what it carries/);
    const mend = find(document, 'leg-outside')?.mend;
    if (!mend) throw new Error('no mend');
    expect(describeMend(mend, { unit: 'mm', fine: false })).toBe('let the feet stand under the edge');
    const mended = applyEdit(document, mend.edit);
    expect(find(mended.document, 'leg-outside')).toBeUndefined();
    expect(applyEdit(mended.document, mended.inverse).document).toEqual(document);
  });
});

describe('slots and outlines', () => {
  it('a slot looser than its tab is noticed with its play; the mend tightens it', () => {
    expect(find(read(preset('card-stand')), 'slot-too-loose')).toBeUndefined();
    const document = read(preset('card-stand', { play: '0.9 mm' }));
    expect(said(document, 'slot-too-loose')).toMatch(/0\.9 mm of play in its slot; beyond 0\.4 mm/);
    const mend = find(document, 'slot-too-loose')?.mend;
    if (!mend) throw new Error('no mend');
    expect(describeMend(mend, { unit: 'mm', fine: false })).toBe('make the slots tighter');
    expect(find(applyEdit(document, mend.edit).document, 'slot-too-loose')).toBeUndefined();
  });

  it('a rim or neck narrower than the board is thick breaks; wider it does not', () => {
    const rim = (wide: string) => read(preset('hexagon-tray', { layers: [{}, { rim: wide }] }));
    expect(said(rim('20 mm'), 'outline-too-fine')).toMatch(/neck or rim narrower than its board is thick, 4\.8 mm/);
    expect(find(rim('40 mm'), 'outline-too-fine')).toBeUndefined();
    // Two squares that hang together by 2 mm.
    const bone = [
      [
        [0, 0],
        [40, 0],
        [40, 19],
        [60, 19],
        [60, 0],
        [100, 0],
        [100, 40],
        [60, 40],
        [60, 21],
        [40, 21],
        [40, 40],
        [0, 40],
      ],
    ];
    expect(
      said(
        read({ family: 'stack', outline: 'own', points: bone, width: { doll: '100 mm' }, height: { doll: '40 mm' } }),
        'outline-too-fine',
      ),
    ).toMatch(/neck/);
  });

  it('an inward curve tighter than the board is thick is noticed with its radius; an inward corner is cut from both sides', () => {
    const notch = (radius: number) => {
      const arc = Array.from({ length: 13 }, (_, index) => {
        const angle = Math.PI - (Math.PI * index) / 12;
        return [5_000 + Math.round(100 * radius * Math.cos(angle)), 4_000 - Math.round(100 * radius * Math.sin(angle))] as [number, number];
      });
      const points = [[[0, 0], [10_000, 0], [10_000, 4_000], ...arc.toReversed(), [0, 4_000]]];
      return read({ family: 'stack', outline: 'own', points, width: { doll: '100 mm' }, height: { doll: '40 mm' } });
    };
    expect(said(notch(3), 'outline-too-fine')).toMatch(/inward curve of (2\.9|3)\d* ?mm radius/);
    expect(find(notch(8), 'outline-too-fine')).toBeUndefined();
    expect(find(read(preset('star-sign')), 'outline-too-fine')).toBeUndefined();
  });

  it('no piece that comes with the application is too fine for its usual board', () => {
    for (const each of PRESETS) expect(find(read(fromPreset(each, 'p', 1)), 'outline-too-fine'), each.key).toBeUndefined();
  });
});
