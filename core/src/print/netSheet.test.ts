import { describe, expect, it } from 'vitest';
import { scaleFromRatio } from '../measure/index.ts';
import { foldedNet } from '../net/index.ts';
import {
  buildPiece,
  type FamilyName,
  fromPreset,
  type Good,
  type Means,
  MOTIFS,
  PRESETS,
  panelNames,
  type StandingNet,
} from '../piece/index.ts';
import { boardOf } from '../piece/randomDecisions.testing.ts';
import { cross, type Point, type Pose, type Vec3, vec3 } from '../shape/index.ts';
import {
  drawMotif,
  drawNet,
  type Mark,
  type NetSheet,
  netArt,
  outlineOfNet,
  type PanelLook,
  panelAcross,
  panelsOf,
  wordsIn,
} from './index.ts';

const MEANS: Means = { scale: scaleFromRatio(6), body: scaleFromRatio(6), boards: [boardOf(4_800)] };
const GOODS = PRESETS.filter(({ piece }) => (piece as { family: FamilyName }).family === 'paper');

const netsOf = (key: string, over: Partial<Good> = {}): readonly StandingNet[] => {
  const preset = PRESETS.find((each) => each.key === key) as (typeof PRESETS)[number];
  const made = buildPiece({ ...fromPreset(preset, 'p', 1), ...over } as Good, MEANS);
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value.nets ?? [];
};

const poseOf = ({ copies }: StandingNet): Pose => (copies[0] as StandingNet['copies'][number]).pose;

/** A way on the net as it points in space once the net is folded and stands. */
const inSpace = (net: StandingNet, face: number, [x, y]: Point, behind = false): Vec3 => {
  const own = foldedNet(net.net, 1)[face] as Pose;
  const across = behind ? -x : x;
  const flat: Vec3 = vec3((axis) => across * own.u[axis] + y * own.v[axis]);
  const { u, v } = poseOf(net);
  const n = cross(u, v);
  return vec3((axis) => flat[0] * u[axis] + flat[1] * v[axis] + flat[2] * n[axis]);
};

const look = (panel: string, over: Partial<PanelLook> = {}): PanelLook => ({
  panel,
  across: [],
  ground: null,
  look: null,
  motif: 'none',
  lines: ['words'],
  face: 'text',
  align: 'middle',
  ink: '#000000',
  high: null,
  turn: 0,
  ...over,
});

const sheet = (net: StandingNet, looks: readonly PanelLook[], over: Partial<NetSheet> = {}): NetSheet => ({
  tag: '1-1',
  name: 'thing',
  net: net.net,
  pose: poseOf(net),
  on: net.on,
  ground: null,
  looks,
  cells: net.cells,
  tears: net.tears,
  seed: 1,
  number: 0,
  real: 1 / 6,
  ...over,
});

describe('which way is up once it is folded', () => {
  it('words stand upright on every panel that stands, and read from the front on every one that lies', () => {
    let [stood, lay] = [0, 0];
    for (const { key } of GOODS)
      for (const net of netsOf(key, { count: 1 }).slice(0, 3))
        for (const behind of [false, true])
          for (const frame of panelsOf(net.net, poseOf(net), behind)) {
            const faces = net.net.faces.flatMap((face, index) => ((behind ? face.behind : face.name) === frame.name ? [index] : []));
            const up = inSpace(net, faces[Math.floor(faces.length / 2)] as number, frame.up, behind);
            // Up never points down, and what lies has its upper edge away from the viewer.
            if (Math.abs(frame.looks[1]) > 0.77) {
              expect(up[2], `${key}: ${frame.name}`).toBeLessThan(0.65);
              lay += 1;
            } else {
              expect(up[1], `${key}: ${frame.name}`).toBeGreaterThan(0.6);
              stood += 1;
            }
            expect(frame.right[0] * frame.up[0] + frame.right[1] * frame.up[1]).toBeCloseTo(0, 9);
            expect(frame.width).toBeGreaterThan(0);
          }
    expect(stood).toBeGreaterThan(150);
    expect(lay).toBeGreaterThan(40);
  });

  it('reads from left to right as one looks at it: right × up looks out of the paper', () => {
    for (const net of [...netsOf('carton'), ...netsOf('lidded-box'), ...netsOf('house-box')])
      for (const frame of panelsOf(net.net, poseOf(net))) {
        const face = net.net.faces.findIndex(({ name }) => name === frame.name);
        const out = cross(inSpace(net, face, frame.right), inSpace(net, face, frame.up));
        for (const axis of [0, 1, 2] as const) expect(out[axis]).toBeCloseTo(frame.looks[axis], 6);
      }
  });

  it('the back of an envelope, folded up behind its front, is printed on its head on the sheet', () => {
    const [net] = netsOf('letter-c6', { lies: false, open: false }) as readonly [StandingNet];
    const up = (name: string): Point => panelsOf(net.net, poseOf(net)).find((frame) => frame.name === name)?.up as Point;
    expect(up('front')[1]).toBeCloseTo(1, 9);
    expect(up('back')[1]).toBeCloseTo(-1, 9);
  });

  it('art laid across panels takes the room of all of them, and the way up of the first', () => {
    const [net] = netsOf('carton') as readonly [StandingNet];
    const alone = panelAcross(net.net, poseOf(net), ['front'], 0);
    const both = panelAcross(net.net, poseOf(net), ['front', 'right'], 0);
    const right = panelAcross(net.net, poseOf(net), ['right'], 0);
    expect(both?.width).toBeCloseTo((alone?.width ?? 0) + (right?.width ?? 0), 6);
    expect(both?.height).toBeCloseTo(alone?.height ?? 0, 6);
    const turned = panelAcross(net.net, poseOf(net), ['front'], 1);
    expect([turned?.width, turned?.height]).toEqual([alone?.height, alone?.width]);
  });
});

describe('a net as it is printed', () => {
  it('every net is cut out in one piece, and its drawing is as large as the net', () => {
    for (const { key } of GOODS)
      for (const net of netsOf(key, { count: 1 })) {
        const outline = outlineOfNet(net.net);
        expect(outline.length, `${key}: ${net.name}`).toBe(1);
        const drawing = drawNet(sheet(net, []));
        const xs = net.net.faces.flatMap((face) => face.outline.map(([x]) => x));
        expect(drawing.width).toBeGreaterThanOrEqual(Math.floor(Math.max(...xs) - Math.min(...xs)));
        expect(drawing.marks.some((mark) => mark.kind === 'line' && mark.style === 'cut')).toBe(true);
      }
  });

  it('folds, valleys, tabs and cuts are different lines; tabs are numbered in the order of gluing', () => {
    const [box] = netsOf('parcel') as readonly [StandingNet];
    const lines = (net: StandingNet) => drawNet(sheet(net, [])).marks.flatMap((mark) => (mark.kind === 'line' ? [mark.style] : []));
    expect(new Set(lines(box))).toEqual(new Set(['cut', 'fold', 'glue']));
    const [bag] = netsOf('paper-bag') as readonly [StandingNet];
    expect(lines(bag).filter((style) => style === 'valley')).toHaveLength(2);
    const [map] = netsOf('paper-map') as readonly [StandingNet];
    expect(new Set(lines(map))).toEqual(new Set(['cut', 'fold', 'valley']));
    const [stamps] = netsOf('stamps') as readonly [StandingNet];
    expect(lines(stamps).filter((style) => style === 'valley')).toHaveLength(4 + 5);
    const numbers = drawNet(sheet(box, [])).marks.flatMap((mark) => (mark.kind === 'text' && /^\d+$/.test(mark.text) ? [mark.text] : []));
    expect(numbers).toEqual(['1', '2', '3', '4', '5', '6', '7']);
    // What is rolled is not scored.
    const [can] = netsOf('drinks-can') as readonly [StandingNet];
    expect(lines(can).filter((style) => style === 'fold')).toHaveLength(1);
  });

  it('words are as high as they were told to be, to the micrometre, on every panel', () => {
    const [box] = netsOf('lidded-box') as readonly [StandingNet];
    for (const panel of panelNames(box)) {
      const marks = netArt(sheet(box, [look(panel, { lines: ['A', 'B'], high: 2_000 })]));
      const [words] = wordsIn(marks);
      expect(words?.height).toBeCloseTo(2 * 2_000 * 1.2, 6);
      const [a, b] = words?.matrix ?? [0, 0];
      expect(Math.hypot(a, b)).toBeCloseTo(1, 9);
    }
  });

  it('art stays on its panel: it is clipped by it, and its words lie in it', () => {
    for (const key of ['carton', 'house-box', 'party-cone', 'paper-pyramid', 'drinks-can']) {
      const [net] = netsOf(key) as readonly [StandingNet];
      for (const frame of panelsOf(net.net, poseOf(net))) {
        const [group] = netArt(sheet(net, [look(frame.name)])).filter((mark): mark is Mark & { kind: 'group' } => mark.kind === 'group');
        expect(group?.clip.length).toBe(frame.rings.length);
        const [words] = wordsIn(group?.marks ?? []);
        if (!words) throw new Error(frame.name);
        const [a, b, c, d, e, f] = words.matrix;
        for (const [x, y] of [
          [0, 0],
          [words.width, 0],
          [0, words.height],
          [words.width, words.height],
        ] as const) {
          const [px, py] = [a * x + c * y + e - frame.origin[0], b * x + d * y + f - frame.origin[1]];
          const [along, up] = [px * frame.right[0] + py * frame.right[1], px * frame.up[0] + py * frame.up[1]];
          expect(along).toBeGreaterThan(-1);
          expect(along).toBeLessThan(frame.width + 1);
          expect(up).toBeGreaterThan(-1);
          expect(up).toBeLessThan(frame.height + 1);
        }
      }
    }
  });

  it('what is printed inside is on the back of the sheet, mirrored into register', () => {
    const [leaf] = netsOf('magazine') as readonly [StandingNet];
    const drawing = drawNet(sheet(leaf, [look('page 2'), look('page 7')]));
    const words = wordsIn(drawing.back ?? []);
    expect(words).toHaveLength(2);
    // Page 2 lies behind page 1, which is on the right: on the back it is on the left.
    const middles = words.map(({ matrix: [a, , c, , e], width, height }) => e + (a * width + c * height) / 2);
    expect(middles[0] as number).toBeLessThan(drawing.width / 2);
    expect(middles[1] as number).toBeGreaterThan(drawing.width / 2);
    expect(drawNet(sheet(leaf, [look('page 1')])).back).toBeUndefined();
  });

  it('fields of a sheet are counted from the upper left', () => {
    const [stamps] = netsOf('stamps') as readonly [StandingNet];
    const words = wordsIn(netArt(sheet(stamps, [look('front', { lines: ['{n}'] })], { number: 2 })));
    expect(words.map(({ lines }) => lines[0])).toEqual(Array.from({ length: 30 }, (_, index) => String(2 * 30 + index + 1)));
    const [first, last] = [words[0], words.at(-1)];
    expect(first?.matrix[5] as number).toBeGreaterThan(last?.matrix[5] as number);
    expect(first?.matrix[4] as number).toBeLessThan(last?.matrix[4] as number);
  });
});

describe('drawings that ship', () => {
  const NAMES = MOTIFS.filter((name) => name !== 'none');

  it.each(NAMES)('%s stays in its box, at every size, and is the same every time', (name) => {
    for (const [width, height] of [
      [8_000, 5_000],
      [30_000, 42_000],
      [200_000, 90_000],
    ] as const) {
      const drawn = drawMotif(name, width, height, 7, 1 / 6);
      const points = [
        ...drawn.areas.flatMap(({ rings }) => rings.flat()),
        ...drawn.words.flatMap(({ box: [x0, y0, x1, y1] }) => [[x0, y0] as const, [x1, y1] as const]),
      ];
      expect(points.length).toBeGreaterThan(0);
      for (const [x, y] of points) {
        expect(x).toBeGreaterThan(-1_500);
        expect(x).toBeLessThan(width + 1_500);
        expect(y).toBeGreaterThan(-1_500);
        expect(y).toBeLessThan(height + 1_500);
      }
      expect(drawMotif(name, width, height, 7, 1 / 6)).toEqual(drawn);
    }
  });

  it('a month has thirty days, a board thirty-two dark squares, a stave five lines', () => {
    expect(drawMotif('month', 40_000, 60_000, 3, 1 / 6).words.map(({ lines }) => lines[0])).toEqual(
      Array.from({ length: 30 }, (_, day) => String(day + 1)),
    );
    expect(drawMotif('squares', 60_000, 60_000, 1, 1 / 6).areas[0]?.rings).toHaveLength(32);
    expect((drawMotif('staves', 40_000, 60_000, 1, 1 / 6).areas[0]?.rings.length ?? 1) % 5).toBe(0);
  });
});
