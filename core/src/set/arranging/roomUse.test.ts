import { describe, expect, it } from 'vitest';
import { applyEdit, arrangedIn, derive, describeFinding, describeMend, type Finding, type SetDocument } from '../index.ts';
import { roomSet, type Thing } from './roomSet.testing.ts';

const findingsIn = (document: SetDocument, code: Finding['code']): readonly Finding[] =>
  arrangedIn(document, derive(document), 'room')?.findings.filter((finding) => finding.code === code) ?? [];

const said = (document: SetDocument, finding: Finding): string => describeFinding(finding, document.units).reason;

/** The document with a finding's mend applied. */
const mended = (document: SetDocument, finding: Finding | undefined): SetDocument => {
  if (!finding?.mend) throw new Error('no mend');
  expect(describeMend(finding.mend, { unit: 'mm', fine: false })).toMatch(/\w/);
  return applyEdit(document, finding.mend.edit).document;
};

describe('what hangs where she uses it', () => {
  it('a mirror shows her face: too low and too high are said, and mended by hanging it otherwise', () => {
    // Eyes at 0.936 and chin at 0.870 of 290 mm: 271 and 252 mm (Drillis & Contini shares).
    const low = roomSet([{ key: 'mirror', x: 250, z: 3, up: 60, over: { height: { doll: '120 mm' } } }]);
    const [finding] = findingsIn(low, 'does-not-suit');
    expect(finding).toMatchObject({ rule: 'mirrorTop', off: 'low', severity: 'warning', numbers: { value: 180_000 } });
    expect(said(low, finding as Finding)).toContain('the eyes');
    expect(findingsIn(mended(low, finding), 'does-not-suit')).toEqual([]);
    const high = roomSet([{ key: 'mirror', x: 250, z: 3, up: 280, over: { height: { doll: '60 mm' } } }]);
    expect(findingsIn(high, 'does-not-suit')).toMatchObject([{ rule: 'mirrorLow', off: 'high' }]);
    // A picture is hung as one likes.
    expect(findingsIn(roomSet([{ key: 'picture-frame', x: 250, z: 3, up: 60 }]), 'does-not-suit')).toEqual([]);
  });

  it('hooks hang as high as a coat is long, and no higher than she reaches; nothing is said of what stands on the floor', () => {
    const at = (up: number) => roomSet([{ key: 'peg-rail', x: 250, z: 10, up }]);
    expect(findingsIn(at(100), 'does-not-suit')).toMatchObject([{ rule: 'hooks', off: 'low' }]);
    expect(findingsIn(at(270), 'does-not-suit')).toEqual([]);
    expect(findingsIn(at(360), 'does-not-suit')).toMatchObject([{ rule: 'hooks', off: 'high' }]);
    expect(findingsIn(at(0), 'does-not-suit')).toEqual([]);
    expect(findingsIn(mended(at(100), findingsIn(at(100), 'does-not-suit')[0]), 'does-not-suit')).toEqual([]);
  });

  it('a shelf that hangs over her reach', () => {
    expect(findingsIn(roomSet([{ key: 'bracket-shelf', x: 250, z: 20, up: 370 }]), 'does-not-suit')).toMatchObject([
      { rule: 'reach', off: 'high' },
    ]);
  });
});

describe('ways and legs', () => {
  it('a way as wide as her shoulders but no wider is squeezed through; a wider one is walked', () => {
    // Shoulders 0.259 of 290 mm: 75 mm; she would like 1.3 of that: 98 mm.
    const gap = (wide: number) =>
      roomSet(
        [
          { key: 'bookcase', x: 90, z: 30 },
          {
            key: 'wardrobe',
            x: 200 + wide,
            z: 250,
            over: { width: { doll: '400 mm' }, depth: { doll: '60 mm' }, height: { doll: '300 mm' } },
          },
        ],
        { width: { doll: `${400 + wide} mm` }, depth: { doll: '400 mm' }, height: { doll: '400 mm' } },
      );
    expect(findingsIn(gap(85), 'narrow-way')).toMatchObject([{ thing: 'Bookcase', doll: 'Marisol' }].map((each) => ({ doll: each.doll })));
    expect(findingsIn(gap(85), 'no-way-to')).toEqual([]);
    expect(findingsIn(gap(130), 'narrow-way')).toEqual([]);
    expect(findingsIn(gap(50), 'no-way-to').length).toBeGreaterThan(0);
    expect(findingsIn(gap(50), 'narrow-way')).toEqual([]);
  });

  it('legs that do not bend need their room before a seat; legs that bend do not', () => {
    const room = (z: number, knees: boolean) =>
      roomSet(
        [
          { key: 'side-chair', x: 150, z: 60 },
          { key: 'box', x: 150, z, over: { width: { doll: '80 mm' }, depth: { doll: '40 mm' }, height: { doll: '120 mm' } } },
        ],
        {},
        { bends: { knees, hips: true, elbows: true } },
      );
    const [finding] = findingsIn(room(160, false), 'legs-in-the-way');
    expect(finding).toMatchObject({ severity: 'warning', doll: 'Marisol' });
    // From hip to sole 0.530 of 290 mm, less what the seat carries.
    expect(finding?.code === 'legs-in-the-way' && finding.numbers.needed).toBeGreaterThan(60_000);
    expect(said(room(160, false), finding as Finding)).toContain('straight');
    expect(findingsIn(room(160, true), 'legs-in-the-way')).toEqual([]);
    expect(findingsIn(room(330, false), 'legs-in-the-way')).toEqual([]);
    // Turned to a wall it is the wall.
    const turned = roomSet([{ key: 'side-chair', x: 440, z: 200, turn: 90 }], {}, { bends: { knees: false, hips: true, elbows: true } });
    expect(findingsIn(turned, 'legs-in-the-way')).toMatchObject([{ by: '' }]);
    expect(said(turned, findingsIn(turned, 'legs-in-the-way')[0] as Finding)).toContain('the wall');
  });
});

describe('joints of walls', () => {
  /** A back wall of 700 mm from sheets of A3: joined once. */
  const long = (things: readonly Thing[] = [], back: object = {}, over: object = {}) =>
    roomSet(
      things,
      {
        width: { doll: '700 mm' },
        depth: { doll: '280 mm' },
        height: { doll: '280 mm' },
        walls: [back, {}, { kind: 'open' }, {}],
        ...over,
      },
      { height: '200 mm' },
      { sheets: [{ name: 'own', width: '400 mm', height: '300 mm' }] },
    );
  const seamsIn = (document: SetDocument) => arrangedIn(document, derive(document), 'room')?.seams ?? [];

  it('are found where the wall was joined, over its whole height, and said once', () => {
    const document = long();
    const seams = seamsIn(document).filter(({ side }) => side === 0);
    expect(seams).toHaveLength(1);
    const [seam] = seams;
    expect(seam).toMatchObject({ stands: true, from: 0, seen: 280_000, behind: [] });
    // No piece is longer than the sheet, so the joint lies in between.
    expect(seam?.at).toBeGreaterThanOrEqual(700_000 - 400_000 - 10_000);
    expect(seam?.at).toBeLessThanOrEqual(400_000);
    const findings = findingsIn(document, 'seam-in-sight').filter(({ mend }) => mend);
    expect(findings[0]).toMatchObject({ wall: 'back wall', stands: true, severity: 'note' });
    expect(said(document, findings[0] as Finding)).toMatch(/joined .* from its left end/);
  });

  it('are hidden by a strip that the mend puts there, told by one click', () => {
    const document = long();
    const before = findingsIn(document, 'seam-in-sight').filter(
      (finding) => finding.code === 'seam-in-sight' && finding.wall === 'back wall',
    );
    const after = mended(document, before[0]);
    expect(seamsIn(after).filter(({ side }) => side === 0)).toMatchObject([{ seen: 0 }]);
    expect(findingsIn(after, 'seam-in-sight').some((finding) => finding.code === 'seam-in-sight' && finding.wall === 'back wall')).toBe(
      false,
    );
  });

  it('are hidden as far up as what stands before them, and named with it; what stands far off hides nothing', () => {
    const [{ at }] = seamsIn(long()).filter(({ side }) => side === 0) as unknown as readonly [{ readonly at: number }];
    const over = { width: { doll: '120 mm' }, depth: { doll: '40 mm' }, height: { doll: '150 mm' } };
    const near = seamsIn(long([{ key: 'box', x: at / 1000, z: 21, over }])).find(({ side }) => side === 0);
    expect(near?.behind).toEqual(['box-0']);
    expect(near?.seen).toBeLessThan(280_000);
    expect(near?.seen).toBeGreaterThan(100_000);
    const far = seamsIn(long([{ key: 'box', x: at / 1000, z: 200, over }])).find(({ side }) => side === 0);
    expect(far).toMatchObject({ seen: 280_000, behind: [] });
    const beside = seamsIn(long([{ key: 'box', x: at / 1000 - 80, z: 21, over }])).find(({ side }) => side === 0);
    expect(beside).toMatchObject({ seen: 280_000, behind: [] });
  });

  it('that lie are hidden by a rail, or near the upper edge by a cornice', () => {
    const shell = (height: string) => ({
      shells: [
        {
          shell: {
            width: { doll: '300 mm' },
            depth: { doll: '280 mm' },
            height: { doll: height },
            walls: [{}, {}, { kind: 'open' }, { kind: 'open' }],
          },
        },
      ],
      walls: [{}, { kind: 'open' }, { kind: 'open' }, {}],
      width: { doll: '350 mm' },
    });
    const lying = (document: SetDocument) =>
      findingsIn(document, 'seam-in-sight').filter((finding) => finding.code === 'seam-in-sight' && !finding.stands);
    for (const [height, kind] of [
      ['268 mm', 'cornice-over'],
      ['200 mm', 'rail-over'],
    ] as const) {
      const document = long([], {}, shell(height));
      const found = lying(document);
      expect(found.length).toBeGreaterThan(0);
      expect(found[0]?.mend?.kind).toBe(kind);
      if (kind === 'cornice-over') expect(lying(mended(document, found[0]))).toEqual([]);
    }
  });

  it('floors that no boards bring to one level are told', () => {
    const document = roomSet(
      [],
      {
        walls: [{}, { kind: 'open' }, { kind: 'open' }, {}],
        shells: [{ shell: { walls: [{}, {}, { kind: 'open' }, { kind: 'open' }], boards: { wall: null, floor: 'odd', trim: null } } }],
      } as object,
      {},
      {},
    );
    const found = derive(document).pieces[0]?.findings.find(({ code }) => code === 'floors-uneven');
    expect(found).toMatchObject({ numbers: { shell: 1, by: 1_700 } });
    expect(describeFinding(found as Finding, document.units).reason).toContain('1.7 mm');
  });
});
