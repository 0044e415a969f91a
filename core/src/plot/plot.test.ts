// Files for a cutting machine, read back by other libraries than those that wrote them, and run on the simulated one.
import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { derive, deriveCoverings, drawingsOf, readSet, templatesOf } from '../set/index.ts';
import { type Point, type Ring, ringArea } from '../shape/index.ts';
import {
  type Bedful,
  layOnBeds,
  type MachineBed,
  paperCutout,
  plotDxf,
  plotSvg,
  readDxfPlot,
  readSvgPlot,
  templateCutout,
  tryPlot,
} from './index.ts';

const set = (() => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: 'Cutting trial',
    finishes: [{ id: 'brick', art: { kind: 'pattern', pattern: 'running bond' } }],
    pieces: [
      {
        name: 'rack',
        width: '720 mm',
        height: '900 mm',
        depth: '300 mm',
        front: {
          kind: 'columns',
          slots: [{ cell: { kind: 'shelves', count: 3 } }, { cell: { kind: 'door', behind: { kind: 'shelves', count: 1 } } }],
        },
        dress: { wears: [{ at: { kind: 'piece' }, finish: 'brick' }] },
      },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
})();
const derived = derive(set);
const { papers } = drawingsOf(set, derived, { pieces: null, what: 'coverings' }, deriveCoverings(set, derived));
const cutouts = [...templatesOf(set, derived, { pieces: null }).map(templateCutout), ...papers.map(paperCutout)];
const BED: MachineBed = { width: 304_800, height: 304_800, margin: 6_000 };
const { beds, tooLarge } = layOnBeds(cutouts, BED);

const areas = (rings: readonly Ring[]): readonly number[] => rings.map((ring) => Math.round(ringArea(ring) / 100)).sort((a, b) => a - b);
const closedOn = (layer: string, { strokes }: Bedful): readonly Ring[] =>
  strokes.filter((stroke) => stroke.layer === layer && stroke.closed).map(({ points }) => points);

const value = <T>(result: { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: string }): T => {
  if (!result.ok) throw new Error(result.error);
  return result.value;
};

describe('beds', () => {
  it('take every cutout once, inside the margin, three millimetres apart; folds, scores, guides and glue beside the cuts', () => {
    expect([...beds.flatMap(({ tags }) => tags), ...tooLarge].sort()).toEqual(cutouts.map(({ tag }) => tag).sort());
    expect(new Set(beds.flatMap(({ strokes }) => strokes.map(({ layer }) => layer)))).toEqual(
      new Set(['cut', 'fold', 'score', 'glue', 'guide']),
    );
    for (const { strokes, width, height } of beds)
      for (const [x, y] of strokes.flatMap(({ points }) => points))
        expect(x >= BED.margin && y >= BED.margin && x <= width - BED.margin && y <= height - BED.margin).toBe(true);
    const cut = areas(beds.flatMap((bed) => closedOn('cut', bed)));
    const small = cutouts.filter(({ tag }) => !tooLarge.includes(tag));
    expect(cut).toEqual(areas(small.flatMap(({ strokes }) => strokes.filter(({ layer }) => layer === 'cut').map(({ points }) => points))));
  });

  it('a bed smaller than a part leaves it out and names it', () => {
    const { beds: few, tooLarge: left } = layOnBeds(cutouts, { width: 100_000, height: 100_000, margin: 5_000 });
    expect(left.length).toBeGreaterThan(0);
    for (const tag of left) {
      const cutout = cutouts.find((each) => each.tag === tag);
      expect(Math.max(cutout?.width ?? 0, cutout?.height ?? 0)).toBeGreaterThan(90_000);
    }
    expect(few.flatMap(({ tags }) => tags).length + left.length).toBe(cutouts.length);
  });
});

describe('the files', () => {
  it('DXF by another library: millimetres, layers, every outline within a micrometre', () => {
    for (const bed of beds) {
      const file = new DxfParser().parseSync(plotDxf(bed));
      expect(file?.header.$INSUNITS).toBe(4);
      const cuts = (file?.entities ?? []).filter(({ layer, type }) => layer === 'cut' && type === 'LWPOLYLINE');
      const rings = cuts.map((entity) =>
        (entity as unknown as { vertices: { x: number; y: number }[] }).vertices.map(({ x, y }): Point => [x * 1000, y * 1000]),
      );
      expect(areas(rings)).toEqual(areas(closedOn('cut', bed)));
    }
  });

  it('SVG by another library: it is as large as the bed, and its ink lies where the blade goes', async () => {
    const bed = beds[0] as Bedful;
    const file = plotSvg(bed);
    expect(file).toContain(`width="${bed.width / 1000}mm" height="${bed.height / 1000}mm"`);
    const { data, info } = await sharp(Buffer.from(file), { density: 120 })
      .flatten({ background: '#fff' })
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const perMm = info.width / (bed.width / 1000);
    expect(Math.abs(info.height / (bed.height / 1000) - perMm)).toBeLessThan(0.01);
    for (const { points, layer } of bed.strokes.filter(({ layer }) => layer === 'cut')) {
      const [[xa, ya], [xb, yb]] = points as unknown as [Point, Point];
      const [x, y] = [((xa + xb) / 2000) * perMm, info.height - ((ya + yb) / 2000) * perMm];
      let darkest = 255;
      for (let dy = -2; dy <= 2; dy += 1)
        for (let dx = -2; dx <= 2; dx += 1)
          darkest = Math.min(darkest, data[(Math.round(y) + dy) * info.width + Math.round(x) + dx] ?? 255);
      expect(darkest, layer).toBeLessThan(200);
    }
  });

  it('read back by the simulated machine, SVG and DXF say the same, within a micrometre', () => {
    for (const bed of beds) {
      const [fromSvg, fromDxf] = [value(readSvgPlot(plotSvg(bed))), value(readDxfPlot(plotDxf(bed)))];
      expect([fromSvg.unit, fromDxf.unit]).toEqual(['mm', 'mm']);
      expect(fromSvg.size).toEqual({ width: bed.width / 1000, height: bed.height / 1000 });
      expect(fromSvg.strokes.length).toBe(bed.strokes.length);
      fromSvg.strokes.forEach((stroke, index) => {
        const other = fromDxf.strokes[index];
        expect([stroke.layer, stroke.closed, stroke.points.length]).toEqual([other?.layer, other?.closed, other?.points.length]);
        stroke.points.forEach(([x, y], at) => {
          expect(Math.abs(x - (other?.points[at]?.[0] ?? 0)) < 0.0011 && Math.abs(y - (other?.points[at]?.[1] ?? 0)) < 0.0011).toBe(true);
        });
      });
      const trial = tryPlot(fromSvg, { width: 304.8, height: 304.8 });
      expect(trial.beyond).toBe(0);
      const around = bed.strokes
        .filter(({ layer }) => layer === 'cut')
        .reduce(
          (sum, { points }) =>
            sum +
            points.reduce((all, [x, y], at) => {
              const [nx, ny] = points[(at + 1) % points.length] as Point;
              return all + Math.hypot(nx - x, ny - y);
            }, 0),
          0,
        );
      expect(trial.cut).toBeCloseTo(around / 1000, 1);
      // What is scored comes before what is cut.
      const doings = trial.strokes.map(({ doing }) => doing).filter((doing) => doing !== 'leaves');
      expect(doings.lastIndexOf('scores')).toBeLessThan(doings.indexOf('cuts') === -1 ? Number.POSITIVE_INFINITY : doings.indexOf('cuts'));
    }
  });
});

describe('other people’s files', () => {
  const svg = (inner: string, head = 'width="4in" height="50mm" viewBox="0 0 200 100"') =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;

  it('units, windows and moves of groups are followed', () => {
    const { size, strokes, unit } = value(
      readSvgPlot(
        svg(
          '<g id="cut" transform="translate(10 20)"><g transform="scale(2) rotate(90)"><rect x="1" y="2" width="30" height="40"/></g></g>',
        ),
      ),
    );
    expect([size, unit]).toEqual([{ width: 101.6, height: 50 }, 'in']);
    // (1, 2) is turned to (-2, 1), doubled to (-4, 2), moved to (6, 22); a unit is 0.508 × 0.5 mm, and y runs up.
    const [first] = (strokes[0] as { readonly points: readonly Point[] }).points as [Point];
    expect([first[0], first[1]].map((each) => Number(each.toFixed(6)))).toEqual([3.048, 39]);
    expect(strokes[0]).toMatchObject({ layer: 'cut', closed: true });
  });

  it('curves are followed within a hundredth of a millimetre: a circle by arcs and by four cubics (π r², Euclid)', () => {
    const k = (4 / 3) * (Math.SQRT2 - 1) * 40;
    const cubic = `M140 50C140 ${50 + k} ${100 + k} 90 100 90C${100 - k} 90 60 ${50 + k} 60 50C60 ${50 - k} ${100 - k} 10 100 10C${100 + k} 10 140 ${50 - k} 140 50Z`;
    for (const shape of [
      '<circle cx="100" cy="50" r="40"/>',
      `<path d="${cubic}"/>`,
      '<path d="M140 50a40 40 0 1 1-80 0a40 40 0 1 1 80 0z"/>',
    ]) {
      const { strokes } = value(readSvgPlot(svg(shape, 'width="200mm" height="100mm" viewBox="0 0 200 100"')));
      const points = strokes[0]?.points ?? [];
      for (const [x, y] of points) expect(Math.abs(Math.hypot(x - 100, y - 50) - 40)).toBeLessThan(0.02);
      expect(Math.abs(ringArea(points) - Math.PI * 1600) / (Math.PI * 1600)).toBeLessThan(0.002);
    }
  });

  it('DXF in inches, with circles, arcs and bulges', () => {
    const pairs = (list: readonly (readonly [number, string | number])[]) =>
      `${list.map(([code, value]) => `${code}\n${value}`).join('\n')}\n`;
    const file = pairs([
      [0, 'SECTION'],
      [2, 'HEADER'],
      [9, '$INSUNITS'],
      [70, 1],
      [0, 'ENDSEC'],
      [0, 'SECTION'],
      [2, 'ENTITIES'],
      [0, 'CIRCLE'],
      [8, 'cut'],
      [10, 2],
      [20, 3],
      [30, 0],
      [40, 1],
      [0, 'ARC'],
      [8, 'score'],
      [10, 0],
      [20, 0],
      [30, 0],
      [40, 2],
      [50, 0],
      [51, 90],
      // Half a turn from (0, 0) to (2, 0): a bulge of 1 (the tangent of a quarter of 180°).
      [0, 'LWPOLYLINE'],
      [8, 'cut'],
      [90, 2],
      [70, 0],
      [10, 0],
      [20, 0],
      [42, 1],
      [10, 2],
      [20, 0],
      [42, 0],
      [0, 'ENDSEC'],
      [0, 'EOF'],
    ]);
    const { strokes, unit } = value(readDxfPlot(file));
    expect(unit).toBe('in');
    const [circle, quarter, half] = strokes;
    for (const [x, y] of circle?.points ?? []) expect(Math.hypot(x - 50.8, y - 76.2)).toBeCloseTo(25.4, 6);
    expect(quarter?.points.at(-1)?.map((each) => Number(each.toFixed(6)))).toEqual([0, 50.8]);
    // A positive bulge runs counter-clockwise: below the chord.
    expect(Math.min(...(half?.points.map(([, y]) => y) ?? []))).toBeCloseTo(-25.4, 1);
    const trial = tryPlot({ size: null, unit, strokes }, { width: 100, height: 110 });
    expect(trial.beyond).toBe(1);
    expect(trial.scored).toBeCloseTo((Math.PI / 2) * 50.8, 1);
  });

  it('what is no such file is refused with the reason, whatever it is', () => {
    for (const [read, text, words] of [
      [readSvgPlot, 'hello', /no SVG/],
      [readSvgPlot, '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0L1 1"/></svg>', /how large/],
      [readDxfPlot, 'hello', /DXF/],
      [readDxfPlot, '0\nSECTION\n2\nENTITIES\n0\nLINE', /DXF/],
    ] as const) {
      const result = read(text);
      expect(result.ok ? 'read' : result.error).toMatch(words);
    }
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        for (const read of [readSvgPlot, readDxfPlot]) expect(typeof read(text).ok).toBe('boolean');
        expect(typeof readSvgPlot(`<svg width="10mm" height="10mm"><path d="${text.replace(/[<>"&]/g, '')}"/></svg>`).ok).toBe('boolean');
      }),
      { numRuns: 200 },
    );
  });
});
