import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { solve } from '../../cut/solver.testing.ts';
import { boardsDxf } from '../../dxf/index.ts';
import { boardsSvg, PLAN_LAYERS, stacked } from '../../print/index.ts';
import { regionArea } from '../../shape/index.ts';
import { boardPlans, cuttingFindings, derive, layOutSet, planSticks, readSet, type SetDocument } from '../index.ts';

const read = (more: object): SetDocument => {
  const found = readSet({ format: 'bashful-parlor-set', version: 1, name: 'A hall', boards: [{ id: 'white', nominal: '5 mm' }], ...more });
  if (!found.ok) throw new Error(JSON.stringify(found.error));
  return found.value;
};

const CASE = { name: 'case', width: '600 mm', height: '900 mm', depth: '300 mm', front: { kind: 'shelves', count: 3 } };
const BED = { family: 'bed', name: 'bed', mattressWidth: '1400 mm', head: { height: '1100 mm', edge: 'arch', rise: '220 mm' } };

const areaOf = (points: readonly { readonly x: number; readonly y: number }[]): number =>
  points.reduce((sum, { x, y }, index) => {
    const next = points[(index + 1) % points.length] as { x: number; y: number };
    return sum + (x * next.y - next.x * y) / 2;
  }, 0);

type Polyline = {
  readonly type: string;
  readonly layer: string;
  readonly shape?: boolean;
  readonly vertices?: readonly { x: number; y: number }[];
};

describe('boards at true size', () => {
  const document = read({ pieces: [CASE, BED], cutting: { gap: '1 mm', trim: '3 mm' } });
  const derived = derive(document);
  const layouts = layOutSet(document, derived);
  const plans = boardPlans(document, derived, layouts);
  const parts = derived.pieces.flatMap(({ made }) => made?.assembly.parts ?? []).filter(({ stuff }) => stuff === 'board');

  it('as DXF, read back by another library: every layer is there, and each part’s outline with its true area', () => {
    const drawing = new DxfParser().parseSync(boardsDxf(plans));
    expect(Object.keys(drawing?.tables?.layer?.layers ?? {})).toEqual(expect.arrayContaining([...PLAN_LAYERS]));
    const lines = (drawing?.entities ?? []) as unknown as readonly Polyline[];
    const cuts = lines.filter(({ layer, type }) => layer === 'cut' && type === 'LWPOLYLINE');
    const areas = cuts.map(({ vertices }) => Math.abs(areaOf(vertices ?? []))).sort((a, b) => a - b);
    const wanted = parts.map(({ region }) => regionArea(region) / 1e6).sort((a, b) => a - b);
    expect(areas).toHaveLength(wanted.length);
    areas.forEach((area, index) => {
      expect(Math.abs(area - (wanted[index] as number))).toBeLessThan(0.5);
    });
    expect(cuts.every(({ shape }) => shape)).toBe(true);
    // Any two points lie as far apart as the model says: the sheet is 508 × 762 mm to the thousandth.
    const sheet = lines.find(({ layer }) => layer === 'sheet')?.vertices ?? [];
    expect(Math.max(...sheet.map(({ x }) => x)) - Math.min(...sheet.map(({ x }) => x))).toBeCloseTo(508, 3);
    expect(Math.max(...sheet.map(({ y }) => y)) - Math.min(...sheet.map(({ y }) => y))).toBeCloseTo(762, 3);
    expect(lines.some(({ layer }) => layer === 'guide')).toBe(true);
  });

  it('as SVG: a millimetre to the unit, the kinds of line in layers, the same points', () => {
    const svg = boardsSvg(plans);
    const { width, height } = stacked(plans);
    expect(svg).toContain(`width="${width / 1000}mm" height="${height / 1000}mm"`);
    for (const layer of PLAN_LAYERS) expect(svg).toContain(`<g id="${layer}"`);
    const cut = svg.slice(svg.indexOf('<g id="cut"'), svg.indexOf('<g id="score"'));
    const areas = [...cut.matchAll(/d="M([^Z]+)Z"/g)].map(([, path]) =>
      Math.abs(
        areaOf(
          (path as string).split('L').map((pair) => {
            const [x, y] = pair.split(' ').map(Number);
            return { x: x as number, y: y as number };
          }),
        ),
      ),
    );
    const total = parts.reduce((sum, { region }) => sum + regionArea(region) / 1e6, 0);
    expect(areas.reduce((sum, area) => sum + area, 0)).toBeCloseTo(total, 0);
  });
});

describe('findings about boards', () => {
  const judged = (more: object) => {
    const document = read(more);
    const derived = derive(document);
    return cuttingFindings(document, derived, layOutSet(document, derived));
  };

  it('say what must be bought where the maker counts what is there, and nothing where she does not', () => {
    const sheets = (atHand: number) => [
      { id: 'white', nominal: '5 mm', sheets: [{ name: 'A3', width: '297 mm', height: '420 mm', atHand }] },
    ];
    const pieces = [CASE, { ...CASE, name: 'another' }, { ...CASE, name: 'a third' }];
    const [found] = judged({ boards: sheets(1), pieces });
    expect(found).toMatchObject({ code: 'boards-to-buy', board: 'foam board' });
    expect(judged({ boards: sheets(0), pieces }).filter(({ code }) => code === 'boards-to-buy')).toEqual([]);
    expect(judged({ boards: sheets(99), pieces }).filter(({ code }) => code === 'boards-to-buy')).toEqual([]);
  });

  it('name the one small part that a sheet is for, and a change that really saves it', () => {
    // Two panels fill an A4 to the edge but for the trim; a strip is left over.
    const panel = (id: string, wide: string, high: string) => ({
      family: 'panels',
      name: id,
      width: { doll: wide },
      height: { doll: high },
      depth: { doll: '60 mm' },
      panels: [{ id, name: id, facing: 'front' }],
    });
    const more = {
      boards: [{ id: 'white', nominal: '5 mm', sheets: ['A4'] }],
      cutting: { trim: '3 mm' },
    };
    const document = read({ ...more, pieces: [panel('wide', '204 mm', '270 mm'), panel('strip', '204 mm', '24 mm')] });
    const derived = derive(document);
    const found = cuttingFindings(document, derived, layOutSet(document, derived)).find(({ code }) => code === 'sheet-for-little');
    expect(found).toMatchObject({ numbers: { parts: 1 } });
    expect(found?.code === 'sheet-for-little' && found.parts[0]).toMatch(/strip/);
    expect(found?.mend?.kind).toBe('no-trim');
  });
});

describe('sticks of a set', () => {
  it('are planned kind by kind, proven; longer ones are joined only where that is allowed', () => {
    const bed = { ...BED, levels: 'loft', head: { height: '0 mm' }, ladder: 'left', recess: '300 mm', rail: '420 mm', clear: '1350 mm' };
    const document = read({ pieces: [bed] });
    const plans = planSticks(document, derive(document), [], solve);
    expect(plans.length).toBeGreaterThan(1);
    for (const { layout } of plans) expect(layout.sticks.length).toBe(layout.least);
    const short = {
      ...document,
      cutting: { ...document.cutting, sticks: { 'square dowel, 8 mm': { length: 60_000 as never, joins: false, rests: [] } } },
    };
    const refused = planSticks(short, derive(short)).find(({ stick }) => stick === 'square dowel, 8 mm');
    expect(refused?.layout.tooLong.length).toBeGreaterThan(0);
    const joins = {
      ...short,
      cutting: { ...short.cutting, sticks: { 'square dowel, 8 mm': { length: 60_000 as never, joins: true, rests: [] } } },
    };
    const joined = planSticks(joins, derive(joins)).find(({ stick }) => stick === 'square dowel, 8 mm');
    expect(joined?.layout.tooLong).toEqual([]);
    expect(joined?.layout.sticks.flatMap(({ pieces }) => pieces).every(({ id }) => /#\d+$/.test(id))).toBe(true);
  });
});
