import { describe, expect, it } from 'vitest';
import { PRESETS } from '../piece/index.ts';
import { derive, readSet, templatesOf } from '../set/index.ts';
import { areaOf, boardWithEdge, bounds, ellipseRing, FIGURES, figureRing, type Ring, rectRing, regionArea } from '../shape/index.ts';
import { axisLine, printAxisOf } from './axis.ts';
import { onFold } from './halves.ts';
import { drawTemplate, type Template } from './template.ts';

const template = (outline: Ring, over: Partial<Template> = {}): Template => {
  const region = { outline, holes: [] };
  return {
    tag: '1A',
    name: 'sign',
    piece: 'sign',
    sizes: '',
    quantity: 1,
    region,
    guides: [],
    centres: [],
    scores: [],
    axis: printAxisOf(region),
    grain: null,
    ...over,
  };
};

const ROOM = { width: 180_000, height: 250_000 };

describe('the line about which an outline is the same on both sides', () => {
  it('stands upright in every outline that has a name, lies in none that is leaning, and plain rectangles need none', () => {
    for (const figure of FIGURES) {
      const outline = figureRing(figure, { width: 120_000, height: 90_000, corners: 5, round: 20_000 });
      // A cloud's lobes differ.
      expect(printAxisOf({ outline, holes: [] }), figure).toBe(figure === 'rectangle' || figure === 'cloud' ? null : 'x');
    }
    const leaning: Ring = [
      [0, 0],
      [100_000, 0],
      [120_000, 50_000],
      [60_000, 90_000],
      [20_000, 50_000],
    ];
    expect(printAxisOf({ outline: leaning, holes: [] })).toBeNull();
  });

  it('lies where only that does, and counts openings too', () => {
    const arrow: Ring = [
      [0, 0],
      [60_000, 0],
      [90_000, 20_000],
      [60_000, 40_000],
      [0, 40_000],
    ];
    expect(printAxisOf({ outline: arrow, holes: [] })).toBe('y');
    const ring = ellipseRing(50_000, 50_000, 50_000);
    const off = [...ellipseRing(30_000, 62_000, 9_000)].reverse();
    expect(printAxisOf({ outline: ring, holes: [off] })).toBeNull();
    expect(printAxisOf({ outline: ring, holes: [[...ellipseRing(50_000, 62_000, 9_000)].reverse()] })).toBe('x');
  });

  it('is drawn on the template in a dash of its own, out beyond the outline at both ends', () => {
    const drawn = drawTemplate(template(figureRing('heart', { width: 60_000, height: 50_000, corners: 5, round: 0 })));
    const centre = drawn.marks.find((mark) => mark.kind === 'line' && mark.style === 'axis');
    expect(centre).toMatchObject({ points: axisLine('x', 60_000, 50_000) });
  });
});

describe('a half on a fold', () => {
  const arch = boardWithEdge(240_000, 230_000, 'half-round', 0);

  it('is made where no page takes the whole and one takes a half: half of it, with its fold', () => {
    const whole = template(arch);
    const half = onFold(whole, ROOM);
    expect(areaOf([half.region]) / regionArea(whole.region)).toBeCloseTo(0.5, 4);
    const { x1, y1 } = bounds(half.region.outline);
    expect([x1, y1]).toEqual([120_000, 230_000]);
    expect(half.scores).toEqual([
      [
        [120_000, 0],
        [120_000, 230_000],
      ],
    ]);
    expect(half.name).toMatch(/half: lay the dashed edge on a fold/);
    // Unfolded it is the whole again.
    const mirror = half.region.outline.map(([x, y]) => [240_000 - x, y] as const).toReversed();
    expect(areaOf([half.region]) + areaOf([{ outline: mirror, holes: [] }])).toBeCloseTo(regionArea(whole.region), -7);
  });

  it('is not made where a page takes the whole, where no page takes a half, where guides stand on it, or where nothing is the same on both sides', () => {
    const small = template(figureRing('heart', { width: 100_000, height: 90_000, corners: 5, round: 0 }));
    expect(onFold(small, ROOM)).toBe(small);
    const huge = template(boardWithEdge(600_000, 580_000, 'half-round', 0));
    expect(onFold(huge, ROOM)).toBe(huge);
    const guided = template(arch, {
      guides: [{ face: 'front', region: { outline: rectRing(0, 0, 9_000, 9_000), holes: [] }, glued: true, tag: '1B' }],
    });
    expect(onFold(guided, ROOM)).toBe(guided);
    const plain = template(rectRing(0, 0, 240_000, 230_000));
    expect(onFold(plain, ROOM)).toBe(plain);
  });
});

describe('templates of what is no box', () => {
  const templates = (key: string): readonly Template[] => {
    const piece = PRESETS.find((each) => each.key === key)?.piece ?? {};
    const read = readSet({ format: 'bashful-parlor-set', version: 1, boards: [{ id: 'white', measured: '4.8 mm' }], pieces: [piece] });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return templatesOf(read.value, derive(read.value), { pieces: null });
  };

  it('a leg that leans is drawn with its slanting ends, and says their angle and short point', () => {
    const leg = templates('clothes-rack').find(({ name }) => name === 'leg') as Template;
    const { outline } = leg.region;
    const slanting = outline.filter(([x, y], index) => {
      const [nx, ny] = outline[(index + 1) % outline.length] as readonly [number, number];
      return x !== nx && y !== ny;
    });
    expect(slanting).toHaveLength(2);
    expect(leg.sizes).toMatch(/ends at [\d.]+° and [\d.]+°, .* at the short point/);
    // Where the tie is glued stands on it, so far from its end.
    expect(leg.guides.length).toBeGreaterThan(0);
  });

  it('a shade is drawn as its sector, a tube as its strip, a frame’s strip with its mitres', () => {
    const shade = templates('table-lamp').find(({ name }) => name === 'shade') as Template;
    expect(shade.region.outline.length).toBeGreaterThan(20);
    const tube = templates('round-pouf').find(({ name }) => name === 'tube') as Template;
    const { x1, y1 } = bounds(tube.region.outline);
    // 470 mm at 1 : 6 is 78.333 mm across; π(78.333 − 4.8) and 4 mm of lap.
    expect(x1 / 1000).toBeCloseTo(Math.PI * (78.333 - 4.8) + 4, 1);
    expect(y1 / 1000).toBeCloseTo(290 / 6, 1);
    const strip = templates('picture-frame').find(({ name }) => name === 'frame strip') as Template;
    expect(strip.sizes).toMatch(/both ends at 45°/);
  });

  it('clear sheet is larger than the light that it closes, by the margin all round', () => {
    const pieces = PRESETS.find((each) => each.key === 'sash-window')?.piece ?? {};
    const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [pieces] });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    const parts = derive(read.value).pieces[0]?.made?.assembly.parts ?? [];
    const box = bounds(parts.find(({ stuff }) => stuff === 'clear')?.region.outline ?? []);
    // An opening of 900 × 1200 mm at 1 : 6, 4 mm more on each side.
    expect([box.x1 - box.x0, box.y1 - box.y0]).toEqual([150_000 + 8_000, 200_000 + 8_000]);
  });
});
