// Every wrap is folded round its part by `fold.testing.ts`, which knows only outlines and scores; what it then lies on is asked of the parts as
// solids. patterns and scales of bodies are checked on pieces that the families build.
import { describe, expect, it } from 'vitest';
import { type Assembly, inspect, type Part } from '../assembly/index.ts';
import { seededRandom } from '../kit/index.ts';
import { dollUm, scaleFromRatio, UM } from '../measure/index.ts';
import { buildPiece, fromPreset, PRESETS } from '../piece/index.ts';
import { boardOf as boardOfThickness, randomPiece } from '../piece/randomDecisions.testing.ts';
import { add, areaOf, bounds, ellipseRing, mapVec, normalOf, type Region, rectRing, scaled, toPlane, type Vec3 } from '../shape/index.ts';
import { boardSchema } from '../stock/index.ts';
import { type Covering, coverPiece } from './cover.ts';
import { type Dress, UNDRESSED, type Wear, type WornAt } from './dress.ts';
import { artOn } from './dressed.ts';
import { inSpace } from './exposed.ts';
import { type Finish, finishSchema } from './finish.ts';
import { folded, isIn, type Laid, onPanel, onPanelFlat, pointIn } from './fold.testing.ts';
import { moveBy } from './iso.ts';
import { onSurface, outlineOfPaper, type Paper, sizeOfPaper } from './paper.ts';
import { isBent } from './strips.ts';

const finish = (change: Partial<Record<keyof Finish, unknown>> = {}): Finish =>
  finishSchema.parse({ id: 'f', art: { kind: 'plain', ink: 'moss' }, ...change });

const wear = (at: WornAt, id: string | null = 'f'): Wear => ({ at, finish: id, runs: 'as drawn', upTo: null });
const WHOLE: Dress = { ...UNDRESSED, behind: true, underneath: true, wears: [wear({ kind: 'piece' })] };
const PAGE = () => ({ width: 180 * UM.mm, height: 250 * UM.mm });

const cover = (assembly: Assembly, dress: Dress, ...finishes: readonly Finish[]): Covering =>
  coverPiece(assembly, inspect(assembly), dress, new Map(finishes.map((each) => [each.id, each])), PAGE);

/** One board lying free, its lower left back corner at the origin. */
const boardOf = (region: Region, thickness: number): Assembly => {
  const part: Part = {
    id: 'p/board',
    role: 'panel',
    name: 'board',
    stuff: 'board',
    stock: 'b',
    thickness,
    region,
    pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
    grain: 'x',
    held: 'glue',
    length: null,
    centres: [],
  };
  const { x1, y1 } = bounds(region.outline);
  const box = { min: [0, 0, 0] as Vec3, max: [x1, y1, thickness] as Vec3 };
  return { parts: [part], outside: box, clear: { min: [0, 0, 0], max: [0, 0, 0] }, motions: [] };
};

const assemblyOf = (key: string, ratio: number, thicknessMm: number): Assembly | undefined => {
  const scale = scaleFromRatio(ratio);
  const preset = PRESETS.find((each) => each.key === key);
  if (!preset) throw new Error(key);
  const board = boardSchema.parse({ id: 'white', nominal: `${thicknessMm} mm` });
  const built = buildPiece(fromPreset(preset, 'p', 1), { scale, body: scale, boards: [board] });
  return built.ok ? built.value.assembly : undefined;
};

/** How far paper may stand off: the chord of a tab, and roundings. */
const GIVE = 130;

/** Whether a point lies so near a sharp corner of a part's outline that a little behind it may be outside: 7 µm from a tip of 45° was met. */
const isAtTip = ({ pose, region: { outline } }: Part, at: Vec3): boolean => {
  const [x, y] = toPlane(pose, at);
  return outline.some(([a, b], index) => {
    if (Math.hypot(a - x, b - y) > GIVE + 30) return false;
    const [p, q] = [outline.at(index - 1), outline[(index + 1) % outline.length]].map((end) => [(end?.[0] ?? a) - a, (end?.[1] ?? b) - b]);
    const [px = 0, py = 0, qx = 0, qy = 0] = [...(p ?? []), ...(q ?? [])];
    return px * qx + py * qy > Math.cos(Math.PI / 3) * Math.hypot(px, py) * Math.hypot(qx, qy);
  });
};

/** Whether there is board behind a point of a laid panel, or within the give beside it. */
const isOn = (part: Part, { pose }: Laid, at: Vec3): boolean => {
  // Just behind what slants the edge is elsewhere already; behind a tip it may be.
  const depths = part.upper ? [-40] : isAtTip(part, at) ? [-GIVE - 30, -40] : [-GIVE - 30];
  return depths.some((depth) => {
    const behind = add(at, scaled(normalOf(pose), depth));
    return [0, GIVE, -GIVE].some((x) => [0, GIVE, -GIVE].some((y) => isIn(part, add(behind, add(scaled(pose.u, x), scaled(pose.v, y))))));
  });
};

/** What is round touches a face along a line, which no paper need spare. */
const isRound = ({ stuff, region }: Part): boolean => stuff === 'stick' && region.outline.length > 12;

/** What is wrong with a covering, in words. Exposed faces thinner than a third of a millimetre need no paper. */
const faultsOf = (covering: Covering, { parts }: Assembly, seed: number): readonly string[] => {
  const random = seededRandom(seed);
  const faults: string[] = [];
  const { surfaces, papers } = covering;
  const laid = papers.flatMap((paper) => folded(paper, surfaces, parts));
  const surfaceOf = ({ panel }: Laid) => surfaces[panel.surface] as (typeof surfaces)[number];
  for (const each of laid) {
    const surface = surfaceOf(each);
    if (isBent(surface) && each.panel.kind === 'strip') continue;
    const out = normalOf(each.pose);
    const part = parts[surface.part] as Part;
    for (let count = 0; count < 3; count += 1) {
      const [x, y] = pointIn(each.panel.region, random);
      const at = add(each.pose.origin, add(scaled(each.pose.u, x), scaled(each.pose.v, y)));
      if (!isOn(part, each, at)) faults.push(`${each.panel.kind} of ${part.id} ${surface.id} lies on nothing`);
      // What is turned in over a bend is folded on chords, and may come to lie off by so much.
      const off = each.panel.kind === 'turn-in' ? [0, GIVE, -GIVE] : [0];
      const before = add(at, scaled(out, 25));
      const around = off.flatMap((dx) => off.map((dy) => add(before, add(scaled(each.pose.u, dx), scaled(each.pose.v, dy)))));
      const glued = parts.find(
        (other) =>
          other !== part && !isRound(other) && other.held === 'glue' && part.held === 'glue' && around.every((point) => isIn(other, point)),
      );
      if (glued) faults.push(`${each.panel.kind} of ${part.id} ${surface.id} lies where ${glued.id} is glued`);
    }
  }
  surfaces.forEach((surface, index) => {
    if (!covering.worn[index]) return;
    for (const region of surface.exposed) {
      const { x0, y0, x1, y1 } = bounds(region.outline);
      if (areaOf([region]) / Math.max(x1 - x0, y1 - y0) < 330) continue;
      for (let count = 0; count < 4; count += 1) {
        const flat = pointIn(region, random);
        const at = inSpace(surface, parts[surface.part] as Part, flat);
        const on = laid.filter((each) => {
          if (each.panel.surface !== index) return false;
          return isBent(surface) && each.panel.kind === 'strip' ? onPanelFlat(each.panel, flat) : onPanel(each, at, GIVE);
        });
        const where = `${parts[surface.part]?.id} ${surface.id} at ${flat.map(Math.round)}`;
        if (on.length === 0) faults.push(`${where} is bare`);
        // Only flaps may lie under another paper.
        if (on.filter(({ panel }) => panel.kind === 'face' || panel.kind === 'strip').length > 1) faults.push(`${where} is covered twice`);
      }
    }
  });
  return faults;
};

describe('papers of flat parts', () => {
  // Wedges of a cake end in a point narrower than any flap; they are painted, and the icing is a strip.
  it.each(PRESETS.filter(({ kind }) => kind !== 'odd').map(({ key }) => key))(
    'fold round every part of a %s: each face covered once, nothing where glue must hold',
    (key) => {
      // Every other one at another scale, of another board.
      const number = PRESETS.findIndex((preset) => preset.key === key);
      const assembly = number % 2 === 0 ? assemblyOf(key, 6, 5) : assemblyOf(key, 12, 2.9);
      if (!assembly) return;
      const covering = cover(assembly, WHOLE, finish({ turn: '6 mm' }));
      expect(faultsOf(covering, assembly, 11)).toEqual([]);
      // Nothing that is folded is cut off: every paper is cut out in one.
      expect(covering.papers.filter((paper) => outlineOfPaper(paper).length !== 1)).toEqual([]);
    },
  );

  it('fold round pieces with decisions made anew, wrapped and in strips', () => {
    const random = seededRandom(2024);
    let covered = 0;
    const furniture = PRESETS.flatMap(({ kind }, number) => (kind === 'rooms' ? [] : [number]));
    for (let count = 0; count < 24; count += 1) {
      const scale = scaleFromRatio(6);
      const piece = randomPiece(furniture[Math.floor(random() * furniture.length)] as number, count + 100);
      const built = buildPiece(piece, { scale, body: scale, boards: [boardOfThickness(Math.round(2_000 + random() * 4_000))] });
      if (!built.ok) continue;
      const { assembly } = built.value;
      const edges = count % 3 === 0 ? 'strips' : 'wrapped';
      expect(faultsOf(cover(assembly, WHOLE, finish({ edges, turn: count % 2 === 0 ? '0 mm' : '9 mm' })), assembly, count)).toEqual([]);
      covered += 1;
    }
    expect(covered).toBeGreaterThan(10);
  });

  it.each([
    ['arch-panel', 103, 'wrapped'],
    ['heart-box', 101, 'wrapped'],
    ['awning', 100, 'wrapped'],
    ['chest', 101, 'strips'],
    ['pedestal', 103, 'strips'],
  ] as const)('hang together at their scores, whatever curve or corner cut them: %s, %i, %s', (key, seed, edges) => {
    const scale = scaleFromRatio(6);
    const number = PRESETS.findIndex((preset) => preset.key === key);
    const built = buildPiece(randomPiece(number, seed), {
      scale,
      body: scale,
      boards: [boardOfThickness(2_000 + ((seed * 977 + number * 331) % 4_000))],
    });
    if (!built.ok) throw new Error(JSON.stringify(built.error));
    const { assembly } = built.value;
    const covering = cover(assembly, WHOLE, finish({ edges, turn: '9 mm' }));
    for (const paper of covering.papers) {
      // Whoever folds it finds a score for every panel.
      expect(folded(paper, covering.surfaces, assembly.parts)).toHaveLength(paper.panels.length);
      expect(outlineOfPaper(paper)).toHaveLength(1);
    }
  });

  const only = (assembly: Assembly, change: Partial<Record<keyof Finish, unknown>> = {}): readonly Paper[] => {
    const covering = cover(
      assembly,
      { ...WHOLE, wears: [wear({ kind: 'face', part: 'p/board', face: 'front' }), ...EDGES] },
      finish(change),
    );
    return covering.papers;
  };
  const EDGES = [0, 1, 2, 3].map((number) => wear({ kind: 'face', part: 'p/board', face: `edge 0.${number}` as const }));

  it('a board of 100 × 60 × 5 mm turned in by 8 takes 126 × 86, its corners cut off and its flaps mitred', () => {
    const [paper] = only(boardOf({ outline: rectRing(0, 0, 100_000, 60_000), holes: [] }, 5_000));
    expect(sizeOfPaper(paper as Paper)).toEqual({ x0: 0, y0: 0, x1: 126_000, y1: 86_000 });
    const turnIns = paper?.panels.filter(({ kind }) => kind === 'turn-in') ?? [];
    expect(turnIns.length).toBe(4);
    // On the bisector of a right angle a flap 8 mm deep loses 8 mm at either end: (100 + 84) / 2 × 8.
    expect(areaOf(turnIns.map(({ region }) => region))).toBe(2 * ((100_000 + 84_000) / 2) * 8_000 + 2 * ((60_000 + 44_000) / 2) * 8_000);
    expect(paper?.scores.length).toBe(8);
    expect(outlineOfPaper(paper as Paper).length).toBe(1);
  });

  it('flaps on a narrow board reach to its middle and no further', () => {
    const [paper] = only(boardOf({ outline: rectRing(0, 0, 100_000, 10_000), holes: [] }, 3_000), { turn: '8 mm' });
    // 10 mm wide: each long flap turns in by 5 mm, and by 3 over the edge.
    expect(sizeOfPaper(paper as Paper)).toMatchObject({ y1: 10_000 + 2 * (3_000 + 5_000) });
  });

  it('an opening is slit to its corners and its flaps folded through; what the slits leave bare takes a strip under them', () => {
    const window = boardOf(
      { outline: rectRing(0, 0, 90_000, 70_000), holes: [[...rectRing(30_000, 20_000, 60_000, 50_000)].reverse()] },
      5_000,
    );
    const covering = cover(window, WHOLE, finish());
    expect(faultsOf(covering, window, 3)).toEqual([]);
    const [main] = covering.papers;
    const inner = main?.panels.filter(({ kind, surface }) => kind === 'flap' && covering.surfaces[surface]?.id.startsWith('edge 1')) ?? [];
    expect(inner.length).toBe(4);
    // A slit at 45° takes as much off a flap's far side as the board is thick, at both ends.
    for (const { region } of inner) expect(areaOf([region])).toBe(((30_000 + 20_000) / 2) * 5_000);
    const corners = covering.papers.filter(({ how }) => how === 'strip');
    expect(corners.length).toBe(4);
    for (const corner of corners) {
      expect(corner.scores.length).toBe(1);
      expect(sizeOfPaper(corner)).toMatchObject({ x1: 2 * (5_000 + 2_000), y1: 5_000 });
    }
  });

  it('a disc is snipped into tabs whose folds stand off the curve by less than a tenth of a millimetre', () => {
    const radius = 24_000;
    const disc = boardOf({ outline: ellipseRing(radius, radius, radius), holes: [] }, 5_000);
    const covering = cover(
      disc,
      {
        ...WHOLE,
        wears: [wear({ kind: 'face', part: 'p/board', face: 'front' }), wear({ kind: 'face', part: 'p/board', face: 'edge 0.0' })],
      },
      finish(),
    );
    const tabs = covering.papers[0]?.panels.filter(({ kind }) => kind === 'flap') ?? [];
    const widths = tabs.map((panel) => bounds(onSurface(panel).outline)).map(({ x0, x1 }) => x1 - x0);
    // Chord error s²/8r (engine's own small formula): s ≤ √(8 · 24 · 0.1) = 4.4 mm, and no more tabs than that needs.
    expect(Math.max(...widths)).toBeLessThanOrEqual(Math.sqrt(8 * 24 * 0.11) * 1000);
    expect(tabs.length).toBeLessThanOrEqual(Math.ceil((2 * Math.PI * 24) / 3.4));
    expect(widths.reduce((sum, each) => sum + each, 0)).toBeCloseTo(2 * Math.PI * radius, -3);
    expect(faultsOf(covering, disc, 4)).toEqual([]);
  });

  it('strips are as wide as the measured board and run round its corners in one, scored there', () => {
    const board = boardOf({ outline: rectRing(0, 0, 100_000, 60_000), holes: [] }, 4_600);
    const strips = cover(board, { ...WHOLE, wears: EDGES }, finish({ edges: 'strips' })).papers;
    expect(strips.length).toBe(1);
    expect(sizeOfPaper(strips[0] as Paper)).toEqual({ x0: 0, y0: 0, x1: 320_000, y1: 4_600 });
    expect(strips[0]?.scores.length).toBe(3);
  });

  it('film turns over by its margin; raw edges are left, measured and told', () => {
    const board = boardOf({ outline: rectRing(0, 0, 100_000, 60_000), holes: [] }, 5_000);
    const [film] = only(board, { how: 'film', turn: '3 mm' });
    expect(sizeOfPaper(film as Paper)).toMatchObject({ x1: 116_000, y1: 76_000 });
    const raw = cover(board, WHOLE, finish({ edges: 'raw' }));
    expect(raw.papers.map(({ panels }) => panels.length)).toEqual([1, 1]);
    expect(raw.raw).toEqual({ length: 320_000, area: 320_000 * 5_000 });
  });
});

describe('what is chosen', () => {
  const built = assemblyOf('bookcase', 6, 5) as Assembly;
  const worn = (dress: Dress, ...finishes: readonly Finish[]) => {
    const covering = cover(built, dress, ...finishes);
    return (part: string, face: string) =>
      covering.worn[covering.surfaces.findIndex((surface) => built.parts[surface.part]?.id === part && surface.id === face)]?.finish;
  };

  it('the nearest wins: a face before its part, a part before its role, a role before the piece; bare is a choice too', () => {
    const wears = [
      wear({ kind: 'face', part: 'p/side-left', face: 'front' }, 'face'),
      wear({ kind: 'part', part: 'p/side-left' }, 'part'),
      wear({ kind: 'role', role: 'side' }, 'role'),
      wear({ kind: 'piece' }, 'piece'),
      wear({ kind: 'role', role: 'back' }, null),
    ];
    const at = worn({ ...WHOLE, wears }, ...['face', 'part', 'role', 'piece'].map((id) => finish({ id })));
    expect(at('p/side-left', 'front')).toBe('face');
    expect(at('p/side-left', 'back')).toBe('part');
    expect(at('p/side-right', 'front') ?? at('p/side-right', 'back')).toMatch(/role|piece/);
    expect(at('p/back', 'front')).toBeUndefined();
  });

  it('what stands against the wall and on the floor stays bare unless it is wanted, or is chosen by itself', () => {
    const shy = { ...WHOLE, behind: false, underneath: false };
    expect(worn(shy, finish())('p/back', 'back')).toBeUndefined();
    expect(worn(WHOLE, finish())('p/back', 'back')).toBe('f');
    const chosen = { ...shy, wears: [wear({ kind: 'face', part: 'p/back', face: 'back' })] };
    expect(worn(chosen, finish())('p/back', 'back')).toBe('f');
  });

  it('a finish that stops at a rail goes no higher', () => {
    const upTo = dollUm(120 * UM.mm);
    const railed = cover(built, { ...WHOLE, wears: [{ ...wear({ kind: 'piece' }), upTo }] }, finish());
    const whole = cover(built, WHOLE, finish());
    const heights = railed.surfaces.flatMap((surface, index) =>
      railed.worn[index] && !isBent(surface)
        ? surface.exposed.flatMap(({ outline }) => outline.map((point) => inSpace(surface, built.parts[surface.part] as Part, point)[1]))
        : [],
    );
    expect(Math.max(...heights)).toBeLessThanOrEqual(upTo + 1);
    expect(railed.surfaces.reduce((sum, { area }) => sum + area, 0)).toBeLessThan(
      whole.surfaces.reduce((sum, { area }) => sum + area, 0) / 2,
    );
    expect(faultsOf(railed, built, 8)).toEqual([]);
  });

  it('paint: area by coats by what a litre covers, in millilitres; edges are painted with their board', () => {
    const plate = boardOf({ outline: rectRing(0, 0, 1_000_000, 490_000), holes: [] }, 10_000);
    const paint = finish({ how: 'paint', coats: 2, spread: 10 });
    // 2 × 0.49 m² of faces and 2.98 m of edge 10 mm high are 1.0098 m²; at 10 m² to the litre that is 101 ml to a coat.
    const covering = cover(plate, WHOLE, paint);
    expect(covering.paints).toEqual([{ finish: 'f', area: 1.0098e12, ml: expect.closeTo(201.96, 6) }]);
    expect(covering.papers).toEqual([]);
  });

  it('sticks are painted, and never papered', () => {
    const table = assemblyOf('round-table', 6, 5) as Assembly;
    const stickAreas = (covering: Covering) =>
      covering.surfaces.filter(({ part }, index) => table.parts[part]?.stuff === 'stick' && covering.worn[index]).length;
    expect(stickAreas(cover(table, WHOLE, finish({ how: 'paint' })))).toBeGreaterThan(0);
    expect(stickAreas(cover(table, WHOLE, finish()))).toBe(0);
  });
});

describe('papers of a piece that stands', () => {
  const keys = [
    'box',
    'toy-box',
    'bookcase',
    'night-stand',
    'pedestal',
    'lockers',
    'display',
    'dining-table',
    'castle-bed',
    'hood',
    'step-stool',
    'fridge',
  ];

  it.each(keys)('cover every face of a %s once, with the joints hidden', (key) => {
    const assembly = assemblyOf(key, 6, 5) as Assembly;
    const flat = cover(assembly, WHOLE, finish());
    const built = cover(assembly, { ...WHOLE, when: 'built' }, finish());
    const random = seededRandom(6);
    flat.surfaces.forEach((surface, index) => {
      if (!flat.worn[index] || isBent(surface)) return;
      for (const region of surface.exposed) {
        const at = inSpace(surface, assembly.parts[surface.part] as Part, pointIn(region, random));
        const n = normalOf(surface.pose);
        const on = built.papers.flatMap(({ panels }) =>
          panels.filter((panel) => {
            const { pose } = built.surfaces[panel.surface] as (typeof built.surfaces)[number];
            const from = mapVec(at, (value, axis) => value - pose.origin[axis]);
            const [x, y, off] = [pose.u, pose.v, normalOf(pose)].map((axis) =>
              axis.reduce((sum, value, each) => sum + value * (from[each] as number), 0),
            ) as [number, number, number];
            const same = normalOf(pose).every((value, axis) => Math.abs(value - (n[axis] as number)) < 1e-3);
            return same && Math.abs(off) < 30 && onPanelFlat(panel, [x, y]);
          }),
        );
        expect(on.length, `${assembly.parts[surface.part]?.id} ${surface.id}`).toBe(1);
      }
    });
    const area = ({ surfaces, worn }: Covering) => surfaces.reduce((sum, surface, index) => (worn[index] ? sum + surface.area : sum), 0);
    expect(area(built)).toBeCloseTo(area(flat), -7);
  });

  it('a closed box that fits a page is one net that folds shut', () => {
    const slab = boardOf({ outline: rectRing(0, 0, 60_000, 40_000), holes: [] }, 30_000);
    const covering = cover(slab, { ...WHOLE, when: 'built' }, finish());
    expect(covering.papers.length).toBe(1);
    const [net] = covering.papers as [Paper];
    expect(net).toMatchObject({ how: 'net' });
    expect(net.panels.length).toBe(6);
    expect(net.scores.length).toBe(5);
    expect(areaOf(outlineOfPaper(net))).toBe(2 * (60 * 40 + 60 * 30 + 40 * 30) * 1e6);
    expect(faultsOf(covering, slab, 9)).toEqual([]);
  });

  it('a box larger than a page is several', () => {
    const slab = boardOf({ outline: rectRing(0, 0, 300_000, 200_000), holes: [] }, 90_000);
    expect(cover(slab, { ...WHOLE, when: 'built' }, finish()).papers.length).toBeGreaterThan(1);
  });
});

describe('the pattern', () => {
  it('runs on round the corners: where two sides of a box meet, both show the same of it', () => {
    const slab = boardOf({ outline: rectRing(0, 0, 90_000, 60_000), holes: [] }, 40_000);
    const { surfaces } = cover(slab, WHOLE, finish());
    const [part] = slab.parts as [Part];
    const shown = (id: string, at: Vec3): readonly [number, number] => {
      const surface = surfaces.find((each) => each.id === id) as (typeof surfaces)[number];
      const from = mapVec(at, (value, axis) => value - surface.pose.origin[axis]);
      const flat = [surface.pose.u, surface.pose.v].map((axis) =>
        axis.reduce((sum, value, each) => sum + value * (from[each] as number), 0),
      ) as [number, number];
      const [x, y] = moveBy(artOn(surface, part, wear({ kind: 'piece' }), slab.outside), flat);
      return [Math.round(x), Math.round(y)];
    };
    // The board lies on its back: its front looks to the viewer; edges 0 … 3 look down, to the right, up and to the left.
    const meet: readonly (readonly [string, string, Vec3])[] = [
      ['front', 'edge 0.1', [90_000, 20_000, 40_000]],
      ['front', 'edge 0.3', [0, 20_000, 40_000]],
      ['front', 'edge 0.2', [30_000, 60_000, 40_000]],
      ['front', 'edge 0.0', [30_000, 0, 40_000]],
      ['edge 0.1', 'back', [90_000, 20_000, 0]],
    ];
    for (const [one, other, at] of meet) expect(shown(one, at), `${one} and ${other}`).toEqual(shown(other, at));
    expect(shown('front', [0, 0, 40_000])).toEqual([0, 0]);
  });

  it('a flap shows what its side would: courses go on over the edge', () => {
    const slab = boardOf({ outline: rectRing(0, 0, 90_000, 60_000), holes: [] }, 5_000);
    const covering = cover(slab, WHOLE, finish());
    const [main] = covering.papers as [Paper];
    for (const panel of main.panels.filter(({ kind }) => kind === 'flap')) {
      const surface = covering.surfaces[panel.surface] as (typeof covering.surfaces)[number];
      const [corner] = panel.region.outline as [readonly [number, number]];
      const own = moveBy(artOn(surface, slab.parts[0] as Part, main.wear, slab.outside), moveBy(panel.place, corner));
      const printed = moveBy(main.art, corner);
      for (const axis of [0, 1] as const) expect(printed[axis]).toBeCloseTo(own[axis], 0);
    }
  });
});
