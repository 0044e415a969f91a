import { describe, expect, it } from 'vitest';
import { cutLineOf, cutSizeOf, placerOf, type SewingPattern, stretchOf, volumeWithin } from '../../cloth/index.ts';
import { boxOfSewn, edgesAreWhole, gapsOfSeams, lengthSewn, tornApart, unequalSeams } from '../../cloth/sewn.testing.ts';
import { dollUm, realUm, scaleFromRatio, UM } from '../../measure/index.ts';
import { isInRing, signedArea } from '../../shape/index.ts';
import {
  buildPiece,
  CLOTH_FORMS,
  type ClothThing,
  CONSTRUCTIONS,
  fromPreset,
  isSmall,
  type Means,
  type PlaceSpace,
  PRESETS,
} from '../index.ts';
import { boardOf, randomPiece } from '../randomDecisions.testing.ts';

const CLOTHS = PRESETS.filter(({ kind }) => kind === 'cloth');

const means = (ratio: number, more: Partial<Means> = {}): Means => ({
  scale: scaleFromRatio(ratio),
  body: scaleFromRatio(ratio),
  boards: [boardOf(5_000)],
  ...more,
});

const thing = (key: string, over: Partial<ClothThing> = {}): ClothThing =>
  ({ ...fromPreset(CLOTHS.find((each) => each.key === key) as (typeof CLOTHS)[number], 'p', 1), ...over }) as ClothThing;

const sewn = (piece: ClothThing, by: Means = means(6)) => {
  const built = buildPiece(piece, by);
  if (!built.ok) throw new Error(JSON.stringify(built.error));
  const { sewing, assembly, extras = [], anchor } = built.value;
  if (!sewing) throw new Error('nothing is sewn');
  return { pattern: sewing.pattern, copies: sewing.copies, size: assembly.outside.max, parts: assembly.parts, extras, anchor };
};

const piece = ({ pieces }: SewingPattern, name: string) => {
  const found = pieces.find((each) => each.name === name);
  if (!found) throw new Error(`no ${name}`);
  return found;
};

/** Of a quilt's two cloths and a comforter's the edges are drawn the padding apart, and what its loft takes (0.57 of that) aside, both ways. */
const PADDED = 1.3;

/** How far apart what is sewn along an edge may be, in µm: curves are drawn in chords. */
const give = (each: ClothThing, pattern: SewingPattern, thick: number): number => {
  if (each.form === 'quilt' || each.form === 'comforter') return PADDED * thick;
  return pattern.pieces.some(({ line }) => line.length > 60) ? 60 : 10;
};

describe('every thing of cloth', () => {
  it('there is a preset of every form', () => {
    const forms = new Set(CLOTHS.map((preset) => (preset.piece as ClothThing).form));
    expect([...forms].sort()).toEqual([...CLOTH_FORMS].sort());
  });

  it.each(CLOTHS.map((preset) => [preset.key, preset] as const))(
    '%s: joined edges are equally long and lie on one another',
    (_, preset) => {
      for (const ratio of [3, 6, 12])
        for (const way of CONSTRUCTIONS) {
          const each = { ...fromPreset(preset, 'p', 1), way } as ClothThing;
          const built = buildPiece(each, means(ratio));
          if (!built.ok) {
            // At the smallest scale some are smaller than their seams; they say so.
            expect(ratio).toBe(12);
            continue;
          }
          const { pattern, size } = sewn(each, means(ratio));
          expect(edgesAreWhole(pattern)).toBe(true);
          expect(unequalSeams(pattern)).toEqual([]);
          const { asked, worst, where } = gapsOfSeams(pattern);
          expect(worst, where).toBeLessThan(give(each, pattern, size[1]));
          if (pattern.seams.length > 0 && each.form !== 'comforter') expect(asked).toBeGreaterThan(3);
          expect(tornApart(pattern)).toBeLessThan(10);
          for (const cut of pattern.pieces) expect(signedArea(cutLineOf(cut))).toBeGreaterThanOrEqual(signedArea(cut.line) * 0.999);
        }
    },
  );

  it('with any of its decisions made anew is sewn as it was cut, or says what does not fit', () => {
    let [made, refused] = [0, 0];
    for (const [number, preset] of PRESETS.entries()) {
      if (preset.kind !== 'cloth') continue;
      for (let seed = 0; seed < 14; seed += 1) {
        const each = randomPiece(number, seed) as ClothThing;
        const built = buildPiece(each, means([3, 4, 6, 8][seed % 4] as number));
        if (!built.ok) {
          refused += 1;
          expect(built.error).toMatchObject({ code: 'does-not-fit' });
          continue;
        }
        made += 1;
        const { pattern, size } = sewn(each, means([3, 4, 6, 8][seed % 4] as number));
        const told = `${preset.key} ${seed}`;
        expect(edgesAreWhole(pattern), told).toBe(true);
        expect(unequalSeams(pattern), told).toEqual([]);
        expect(gapsOfSeams(pattern).worst, told).toBeLessThan(give(each, pattern, size[1] / each.count) * 2);
        for (const { piece: at, from, to, edge } of pattern.openings)
          expect(from >= 0 && to <= stretchOf(pattern.pieces, { piece: at, edge }) + 1, told).toBe(true);
        for (const extra of built.value.extras ?? []) expect(extra.length >= 0 && extra.count > 0, told).toBe(true);
      }
    }
    expect(made).toBeGreaterThan(250);
    expect(refused).toBeGreaterThan(3);
  });

  it('is as large as was said once it is sewn', () => {
    for (const preset of CLOTHS) {
      const each = fromPreset(preset, 'p', 1) as ClothThing;
      const { pattern, size } = sewn(each);
      const { min, max } = boxOfSewn(pattern);
      // Corners of cushions and of cloth that hangs free stand out; what is drawn together hangs in folds.
      const free = ['cushion', 'table cloth', 'flat sheet', 'comforter', 'seat cover', 'runner'].includes(each.form);
      for (const axis of [0, 1, 2] as const) {
        const wide = max[axis] - min[axis];
        if (free) expect(wide, preset.key).toBeGreaterThan(size[axis] * 0.8 - 400);
        else if (each.form === 'curtain') expect(wide, preset.key).toBeLessThan(size[axis] + 3_500);
        else expect(Math.abs(wide - size[axis]), `${preset.key} ${axis}`).toBeLessThan(each.form === 'blind' || wide === 0 ? 12_000 : 400);
      }
    }
  });
});

describe('sizes that makers work out', () => {
  it('a cushion is cut as long as the bow over its middle, and is as wide as was said there', () => {
    const each = thing('cushion', {
      width: { doll: dollUm(60 * UM.mm) },
      depth: { doll: dollUm(60 * UM.mm) },
      height: { doll: dollUm(20 * UM.mm) },
    });
    const { pattern } = sewn(each);
    const front = piece(pattern, 'front');
    // Source: the circular segment of handbooks, r = (c² + 4h²) ÷ 8h, l = 2 r asin(c ÷ 2r), with c = 60 and h = 10 mm: r = 50, l = 100 asin 0.6 = 64.350 mm.
    expect(front.line[1]?.[0]).toBe(Math.round(100_000 * Math.asin(0.6)));
    expect(cutSizeOf(front)).toEqual([64_350 + 12_000, 64_350 + 12_000]);
    const bend = pattern.patches[0]?.bend;
    if (!bend) throw new Error('nothing bent');
    const place = placerOf(bend);
    const [left, right] = [place([0, 32_175]), place([64_350, 32_175])];
    expect(Math.abs(right[0] - left[0] - 60_000)).toBeLessThan(2);
    expect(lengthSewn(place, [0, 32_175], [64_350, 32_175])).toBeCloseTo(64_350, -1);
    // Felt keeps a rim in sight, and the finished size counts it.
    const felt = piece(sewn({ ...each, way: 'felt' }).pattern, 'front');
    expect(cutSizeOf(felt)[0]).toBeLessThan(cutSizeOf(front)[0]);
    expect(
      lengthSewn(
        placerOf((sewn({ ...each, way: 'felt' }).pattern.patches[0] as SewingPattern['patches'][number]).bend),
        [0, 1],
        [felt.line[1]?.[0] ?? 0, 1],
      ),
    ).toBeGreaterThan(48_000);
  });

  it('what is filled takes loose filling by its volume', () => {
    const { extras, pattern } = sewn(thing('bolster', { width: { doll: dollUm(100 * UM.mm) }, depth: { doll: dollUm(30 * UM.mm) } }));
    // A cylinder: π r² l = 70.686 cm³.
    expect(Math.abs(volumeWithin(pattern) / 1e12 / (Math.PI * 1.5 * 1.5 * 10) - 1)).toBeLessThan(0.01);
    expect(extras.find(({ what }) => what === 'loose filling')?.grams).toBeCloseTo(0.070686 * 18, 1);
  });

  it('a bolster’s strip is as long as its circle, its discs as round', () => {
    const { pattern } = sewn(thing('bolster', { depth: { doll: dollUm(30 * UM.mm) } }));
    // Source: circumference, π d.
    expect(piece(pattern, 'round it').line[1]?.[0]).toBe(Math.round(Math.PI * 30_000));
    expect(Math.abs(stretchOf(pattern.pieces, { piece: 1, edge: 'round' }) - Math.PI * 30_000)).toBeLessThan(12);
  });

  it('a mattress takes its board, twice its thickness with batting, and twice a tuck (common practice)', () => {
    const each = thing('mattress', { layers: 4, loft: dollUm(3 * UM.mm), tuck: dollUm(15 * UM.mm) });
    const { pattern, size, parts } = sewn(each);
    const high = 5_000 + 4 * 3_000;
    expect(size).toEqual([333_333, high, 150_000]);
    expect(cutSizeOf(piece(pattern, 'cover'))).toEqual([333_333 + 2 * (high + 15_000), 150_000 + 2 * (high + 15_000)]);
    expect(pattern.pieces.filter(({ role }) => role === 'batting')).toHaveLength(4);
    expect(parts.filter(({ stuff }) => stuff === 'board').map(({ thickness }) => thickness)).toEqual([5_000]);
    // Sewn, its corners are cut out and closed; glued, they are folded and no seam is left.
    expect(pattern.seams).toHaveLength(0);
    expect(sewn({ ...each, way: 'sewn' }).pattern.seams).toHaveLength(4);
  });

  it('a quilt in three: panels and gaps fill its cover (common practice)', () => {
    // Three panels, half an inch between and at the ends, in a cover of 11 1/2 by 4 1/2 in.
    const { parts, size } = sewn(
      thing('quilt', { width: { doll: dollUm(11.5 * UM.in) }, depth: { doll: dollUm(4.5 * UM.in) }, gap: dollUm(0.5 * UM.in), panels: 3 }),
    );
    const panels = parts.filter(({ stuff }) => stuff === 'board');
    expect(panels).toHaveLength(3);
    const wide = panels.map(({ region: { outline } }) => Math.max(...outline.map(([x]) => x)));
    for (const each of wide) expect(each).toBe(Math.floor((11.5 * 25_400 - 4 * 12_700) / 3));
    expect(size[0]).toBe(11.5 * 25_400);
    const folded = sewn(
      thing('quilt', { width: { doll: dollUm(11.5 * UM.in) }, depth: { doll: dollUm(4.5 * UM.in) }, panels: 3, folded: true }),
    );
    expect(folded.size[0]).toBe(Math.floor((11.5 * 25_400 - 4 * 12_700) / 3) + 2 * 12_700);
  });

  it('a table cloth is its top and twice its drop; a round one a circle so wide', () => {
    const square = sewn(
      thing('table-cloth', { width: realUm(1_200 * UM.mm), depth: realUm(600 * UM.mm), drop: realUm(240 * UM.mm), hem: dollUm(4 * UM.mm) }),
    );
    // 200 + 2 × 40, 100 + 2 × 40, hems turned twice.
    expect(cutSizeOf(square.pattern.pieces[0] as SewingPattern['pieces'][number])).toEqual([280_000 + 16_000, 180_000 + 16_000]);
    const round = sewn(thing('round-table-cloth', { width: realUm(900 * UM.mm), drop: realUm(240 * UM.mm), hem: dollUm(4 * UM.mm) }));
    const [w] = cutSizeOf(round.pattern.pieces[0] as SewingPattern['pieces'][number]);
    // Source: plane geometry: diameter d + 2 drops, and a hem once.
    expect(Math.abs(w - (150_000 + 80_000 + 8_000))).toBeLessThan(120);
  });

  it('curtains: the rod is a bit wider than the frame, the cloth so many times as wide (common practice)', () => {
    const each = thing('curtains', {
      width: realUm(900 * UM.mm),
      beyond: realUm(120 * UM.mm),
      fullness: 200,
      panels: 2,
      height: realUm(1_200 * UM.mm),
      hem: dollUm(5 * UM.mm),
    });
    const { pattern, parts, extras } = sewn(each);
    const rod = parts.find(({ stuff }) => stuff === 'stick');
    expect(rod?.length).toBe((900_000 + 2 * 120_000) / 6);
    expect(pattern.pieces).toHaveLength(2);
    // Each is half the rod, twice as wide, a double hem at both sides; above it a header, a pocket and a turn.
    const cut = cutSizeOf(pattern.pieces[0] as SewingPattern['pieces'][number]);
    expect(cut[0]).toBe(190_000 + 20_000);
    const pocket = Math.round((Math.PI * 3_000 + 4_000) / 2);
    expect(cut[1]).toBe(200_000 + 10_000 + each.header + pocket + 5_000);
    expect(extras.some(({ what }) => what.startsWith('rings'))).toBe(false);
    expect(sewn({ ...each, hang: 'rings' }).extras.find(({ what }) => what.startsWith('rings'))?.count).toBe(2 * (Math.round(95 / 22) + 1));
    expect(sewn({ ...each, brackets: false }).parts.filter(({ stuff }) => stuff === 'board')).toHaveLength(0);
    expect(parts.filter(({ stuff }) => stuff === 'board')).toHaveLength(2);
  });

  it('a round seat’s cover is its pad, its side, what goes under; tucks take up what is over', () => {
    const each = thing('stool-cover', {
      width: { doll: dollUm(60 * UM.mm) },
      height: { doll: dollUm(6 * UM.mm) },
      tuck: dollUm(10 * UM.mm),
      hem: dollUm(4 * UM.mm),
    });
    const { pattern, extras } = sewn(each);
    const [w] = cutSizeOf(pattern.pieces[0] as SewingPattern['pieces'][number]);
    expect(Math.abs(w - 2 * (30_000 + 6_000 + 10_000 + 8_000))).toBeLessThan(80);
    expect(extras.find(({ what }) => what === 'thin elastic')?.length).toBe(Math.round(2 * Math.PI * 20_000 * 0.85 + 15_000));
    const tucked = sewn({ ...each, edge: 'tucked', panels: 8 }).pattern.pieces[0];
    // Two notches for each tuck, within the cloth.
    expect(tucked?.stitches).toHaveLength(16);
    for (const [from] of tucked?.stitches ?? [])
      expect(isInRing(tucked?.line ?? [], from[0] * 0.999 + 46, from[1] * 0.999 + 46)).toBe(true);
  });

  it('ribbon goes round a rug and across a towel', () => {
    const rug = sewn(
      thing('rug', { width: { doll: dollUm(200 * UM.mm) }, depth: { doll: dollUm(100 * UM.mm) }, border: dollUm(6 * UM.mm) }),
    );
    expect(rug.extras.find(({ what }) => what.startsWith('ribbon'))).toMatchObject({ length: 610_000, wide: 6_000 });
    expect(cutSizeOf(rug.pattern.pieces[0] as SewingPattern['pieces'][number])).toEqual([200_000, 100_000]);
    expect(sewn(thing('towel', { count: 3 })).extras.find(({ what }) => what.startsWith('ribbon'))?.count).toBe(6);
  });

  it('pockets are as much wider as they stand out', () => {
    const { pattern } = sewn(thing('felt-pockets', { depth: { doll: dollUm(5 * UM.mm) }, panels: 2, rows: 2 }));
    const pockets = pattern.pieces.filter(({ role }) => role === 'second');
    expect(pockets).toHaveLength(4);
    const { max } = boxOfSewn(pattern);
    expect(max[2]).toBeCloseTo(5_000 + 2 * 250, -1);
  });

  it('a bag folds under its bottom, its corners boxed', () => {
    const { pattern, size } = sewn(
      thing('tote-bag', {
        width: { doll: dollUm(60 * UM.mm) },
        height: { doll: dollUm(70 * UM.mm) },
        depth: { doll: dollUm(20 * UM.mm) },
        seam: dollUm(6 * UM.mm),
        hem: dollUm(5 * UM.mm),
      }),
    );
    expect(cutSizeOf(pattern.pieces[0] as SewingPattern['pieces'][number])).toEqual([80_000 + 12_000, 160_000 + 20_000]);
    expect(size).toEqual([60_000, 70_000, 20_000]);
  });
});

describe('a thing of cloth on its place', () => {
  const place: PlaceSpace = { kind: 'mattress', width: 310_000, depth: 140_000, thick: 30_000, above: 90_000, round: false };
  const there = means(6, { place: ({ at }) => (at === 'mattress 1' ? place : undefined) });
  const on = { piece: 'bed', at: 'mattress 1' };

  it('takes its size from there where it is told to', () => {
    expect(sewn(thing('mattress', { on }), there).size.slice(0, 1)).toEqual([310_000]);
    expect(sewn(thing('fitted-sheet', { on }), there).size).toEqual([310_000, 30_000, 140_000]);
    expect(sewn(thing('comforter', { on, drops: { left: false, right: false, front: true, back: true } }), there).size[0]).toBe(310_000);
    expect(sewn(thing('mattress', { on, fits: false }), there).size[0]).toBe(333_333);
    expect(sewn(thing('mattress', { on: { piece: 'bed', at: 'gone' } }), there).size[0]).toBe(333_333);
    // A rug lies there too, and keeps its own.
    expect(sewn(thing('rug', { on }), there).size[0]).toBe(333_333);
  });

  it('a window gives a curtain its width and a blind both', () => {
    const window: PlaceSpace = { kind: 'window', width: 120_000, depth: 150_000, thick: 0, above: 140_000, round: false };
    const by = means(6, { place: () => window });
    expect(sewn(thing('curtains', { on, beyond: realUm(60 * UM.mm) }), by).size[0]).toBe(140_000);
    expect(sewn(thing('blind', { on }), by).size.slice(0, 2)).toEqual([120_000, 150_000]);
  });

  it('round places make round cloths', () => {
    const top: PlaceSpace = { kind: 'top', width: 90_000, depth: 90_000, thick: 0, above: 120_000, round: true };
    const { pattern } = sewn(thing('table-cloth', { on, drop: realUm(120 * UM.mm) }), means(6, { place: () => top }));
    expect(pattern.pieces[0]?.line.length).toBeGreaterThan(40);
  });

  it('several lie on one another, hangings side by side', () => {
    expect(sewn(thing('cushion', { count: 3 })).copies.map(([, y]) => y)).toEqual([0, 26_667, 53_334]);
    const aprons = sewn(thing('apron', { count: 2 }));
    expect(aprons.copies[1]?.[0]).toBe(100_000);
    expect(isSmall({ family: 'cloth' } as never)).toBe(true);
  });
});
