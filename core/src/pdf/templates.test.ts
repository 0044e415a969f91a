import { beforeAll, describe, expect, it } from 'vitest';
import { drawTemplate, impose } from '../print/index.ts';
import { derive, readSet, type SetDocument, templatePages } from '../set/index.ts';
import { bounds, type Point, rectRing } from '../shape/index.ts';
import { writePdf } from './index.ts';
import { type Drawn, type ReadPage, readPdf, shippedFonts } from './readPdf.testing.ts';

const read = (file: Record<string, unknown>): SetDocument => {
  const result = readSet({ format: 'bashful-parlor-set', version: 1, ...file });
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

const CUT = 0.25;
const JOIN = 0.15;
const near = (a: number, b: number, within: number): boolean => Math.abs(a - b) < within;
const sides = ({ points }: Drawn): readonly [number, number] => {
  const { x0, y0, x1, y1 } = bounds(points as readonly Point[]);
  return [x1 - x0, y1 - y0];
};
const closedCuts = (page: ReadPage): readonly Drawn[] => page.paths.filter(({ closed, weight }) => closed && near(weight, CUT, 0.01));

const document = read({
  name: 'Hafenpost · Почта · 郵便',
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
    },
    { name: 'wall unit', width: '2400 mm', height: '2100 mm', depth: '300 mm', front: { kind: 'open' } },
  ],
});
const derived = derive(document);
const pages = templatePages(document, derived, { pieces: null });
let bytes: Uint8Array;
let seen: readonly ReadPage[];
beforeAll(async () => {
  bytes = await writePdf(pages, shippedFonts(), 'templates');
  seen = await readPdf(bytes);
});

describe('pages read back by another library', () => {
  it('are A4 (ISO 216), as many as were made up', () => {
    expect(seen).toHaveLength(pages.length);
    for (const { width, height } of seen) expect([near(width, 210, 0.01), near(height, 297, 0.01)]).toEqual([true, true]);
  });

  it('carry every outline of a piece within 0.01 mm, at least once for each kind of part', () => {
    const drawn = seen.flatMap(closedCuts).map(sides);
    const parts = derived.pieces[0]?.made?.assembly.parts ?? [];
    expect(parts.length).toBeGreaterThan(8);
    for (const part of parts) {
      const { x1, y1 } = bounds(part.region.outline);
      const [w, h] = [x1 / 1000, y1 / 1000];
      const found = drawn.some(([a, b]) => (near(a, w, 0.01) && near(b, h, 0.01)) || (near(a, h, 0.01) && near(b, w, 0.01)));
      expect(found, `${part.name} ${w} × ${h}`).toBe(true);
    }
  });

  it('carry bars of 100 mm in x and in y on each page', () => {
    for (const { paths } of seen) {
      const spans = paths.filter(({ points }) => points.length === 2).map(sides);
      expect(spans.some(([w, h]) => near(w, 100, 0.01) && h < 0.01)).toBe(true);
      expect(spans.some(([w, h]) => near(h, 100, 0.01) && w < 0.01)).toBe(true);
    }
  });

  it('keep every line inside the printer’s margin', () => {
    for (const { paths } of seen) {
      for (const [x, y] of paths.flatMap(({ points }) => points)) {
        expect(x > 9.99 && x < 200.01 && y > 9.99 && y < 287.01).toBe(true);
      }
    }
  });

  it('say set, tags, sizes, page numbers and how to print', () => {
    const all = seen.map(({ texts }) => texts.join(' '));
    all.forEach((text, index) => {
      expect(text).toContain('Hafenpost · Почта ·');
      expect(text).toContain(`print at 100 % · page ${index + 1} of ${seen.length}`);
    });
    for (const tag of new Set(derived.pieces[0]?.made?.tags)) expect(all.some((text) => text.includes(tag))).toBe(true);
    expect(all.some((text) => text.includes('45 mm × 150 mm'))).toBe(true);
  });

  it('embed their fonts, and lean on none that a reader would have to bring', () => {
    const text = Buffer.from(bytes).toString('latin1');
    expect(text.match(/\/FontFile2/g)?.length).toBeGreaterThanOrEqual(2);
    expect(text).not.toContain('/Subtype /Type1');
  });

  it('are equal bytes for equal input, however often', async () => {
    const again = await writePdf(
      templatePages(read(JSON.parse(JSON.stringify(document))), derive(document), { pieces: null }),
      shippedFonts(),
      'templates',
    );
    expect(Buffer.compare(again, bytes)).toBe(0);
  });
});

/** The tiles of a part, by their name on the page. */
const tilesOf = (tag: string): ReadonlyMap<string, ReadPage> =>
  new Map(
    seen.flatMap((page) =>
      page.texts.flatMap((text) => (text.startsWith(`${tag} · tile `) ? [[text.slice(`${tag} · tile `.length), page] as const] : [])),
    ),
  );

/** The middles of a page's match marks. */
const marks = (page: ReadPage): readonly Point[] =>
  page.paths
    .filter(
      ({ closed, weight, points }) =>
        closed && points.length === 4 && near(weight, JOIN, 0.01) && near(sides({ points, closed, weight })[0], 5, 0.01),
    )
    .map(({ points }) => [points.reduce((sum, [x]) => sum + x, 0) / 4, points.reduce((sum, [, y]) => sum + y, 0) / 4]);

describe('tiles', () => {
  it('re-joined by their match marks give back the part within 0.02 mm', () => {
    const back = derived.pieces[1]?.made?.assembly.parts.findIndex(({ role }) => role === 'back') ?? -1;
    const part = derived.pieces[1]?.made?.assembly.parts[back];
    const tag = derived.pieces[1]?.made?.tags[back] ?? '';
    const tiles = tilesOf(tag);
    expect(tiles.size).toBeGreaterThan(3);
    // Laid on the table one after another: each new tile is moved until a mark of it lies on the same mark of one that lies there already.
    const placed = new Map<string, Point>([['a1', [0, 0]]]);
    const next = (name: string): readonly string[] => {
      const [column, row] = [name.charCodeAt(0), Number(name.slice(1))];
      return [`${String.fromCharCode(column + 1)}${row}`, `${name[0]}${row + 1}`].filter((each) => tiles.has(each));
    };
    for (const [name, [dx, dy]] of placed) {
      for (const other of next(name)) {
        const beside = other[0] !== name[0];
        const [mine, theirs] = [marks(tiles.get(name) as ReadPage), marks(tiles.get(other) as ReadPage)];
        const far = (list: readonly Point[], most: boolean): Point =>
          [...list].sort(
            (a, b) => (beside ? (a[0] - b[0]) * 1e6 + a[1] - b[1] : (a[1] - b[1]) * 1e6 + a[0] - b[0]) * (most ? -1 : 1),
          )[0] as Point;
        const edge = far(mine, true);
        const same = theirs.filter(([x, y]) => (beside ? near(y, edge[1], 0.02) : near(x, edge[0], 0.02)));
        const touch = far(same, false);
        const at: Point = [dx + edge[0] - touch[0], dy + edge[1] - touch[1]];
        const known = placed.get(other);
        if (known) expect([near(known[0], at[0], 0.02), near(known[1], at[1], 0.02)]).toEqual([true, true]);
        else placed.set(other, at);
      }
    }
    expect(placed.size).toBe(tiles.size);
    const long = [...placed].flatMap(([name, [dx, dy]]) =>
      (tiles.get(name) as ReadPage).paths
        .filter((path) => near(path.weight, CUT, 0.01) && Math.max(...sides(path)) > 8)
        .flatMap(({ points }) => points.map(([x, y]): Point => [x + dx, y + dy])),
    );
    const whole = bounds(long);
    const { x1, y1 } = bounds(part?.region.outline ?? []);
    const found = [whole.x1 - whole.x0, whole.y1 - whole.y0].sort((a, b) => a - b);
    const wanted = [x1 / 1000, y1 / 1000].sort((a, b) => a - b);
    expect(
      near(found[0] as number, wanted[0] as number, 0.02) && near(found[1] as number, wanted[1] as number, 0.02),
      `${found} for ${wanted}`,
    ).toBe(true);
  });
});

describe('making up pages', () => {
  it('gives each tile no more than its page’s field, whatever the size, and keeps rows straight', () => {
    for (const size of [150_000, 181_000, 181_001, 400_000, 1_200_000]) {
      const template = {
        tag: '1A',
        name: 'wall',
        piece: 'x',
        sizes: '',
        quantity: 1,
        region: { outline: rectRing(0, 0, size, size), holes: [] },
        guides: [],
        centres: [],
        scores: [],
        axis: null,
        grain: null,
      };
      const made = impose([drawTemplate(template)], { paper: 'a4', margin: 10_000, overlap: 12_000 }, 'set');
      expect(made.length).toBe(size <= 181_000 ? 1 : Math.ceil((size - 12_000) / 169_000) * Math.ceil((size - 12_000) / 247_000));
      const outside = made
        .flatMap(({ marks: drawn }) => drawn.flatMap((mark) => (mark.kind === 'line' ? mark.points : [])))
        .filter(([x, y]) => x < 9_999.999 || x > 200_000.001 || y < 9_999.999 || y > 287_000.001);
      expect(outside).toEqual([]);
    }
  });

  it('prints nothing for a set of nothing', () => {
    expect(impose([], { paper: 'letter', margin: 10_000, overlap: 12_000 }, 'set')).toEqual([]);
  });
});
