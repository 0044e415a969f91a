import { describe, expect, it } from 'vitest';
import { inspect, type Part } from '../../assembly/index.ts';
import { scaleFromRatio, UM } from '../../measure/index.ts';
import { regionArea } from '../../shape/index.ts';
import { like, sides, span } from '../decided.testing.ts';
import { boardOf } from '../randomDecisions.testing.ts';
import { buildFree } from './buildFree.ts';
import { type Free, freeSchema } from './free.ts';

const ONE = scaleFromRatio(1);

const read = (panels: readonly object[], room: object = {}) =>
  freeSchema.safeParse({ family: 'panels', width: '200 mm', height: '150 mm', depth: '100 mm', panels, ...room });

const build = (panels: readonly object[], room: object = {}) => {
  const piece = {
    ...(freeSchema.parse({ family: 'panels', width: '200 mm', height: '150 mm', depth: '100 mm', panels, ...room }) as object),
    id: 'p',
    mark: 1,
  } as Free;
  return buildFree(piece, { scale: ONE, body: ONE, boards: [boardOf(5_000)] });
};

const partsOf = (panels: readonly object[], room: object = {}): readonly Part[] => {
  const built = build(panels, room);
  if (!built.ok) throw new Error(JSON.stringify(built.error));
  return built.value.assembly.parts;
};

const back = { id: 'back', name: 'back', facing: 'front', against: { face: 'back' } };
const left = {
  id: 'left',
  name: 'left',
  facing: 'side',
  against: { face: 'left' },
  across: { from: { of: 'back', face: 'front' }, to: { face: 'front' } },
};

describe('free panels', () => {
  it('lie against a face of the room from inside, and against a panel from outside', () => {
    const parts = partsOf([back, left]);
    const [wall, side] = [like(parts, /^back$/)[0] as Part, like(parts, /^left$/)[0] as Part];
    expect(span(wall, 2)).toEqual([0, 5]);
    expect(sides(wall)).toEqual([200_000, 150_000]);
    // From the back's front face to the front of the room.
    expect(span(side, 2)).toEqual([5, 100]);
    expect(span(side, 0)).toEqual([0, 5]);
  });

  it('stand as far off a face as said: in from the room’s, out from a panel’s', () => {
    const parts = partsOf([
      back,
      { ...left, against: { face: 'left', away: '30 mm' } },
      {
        id: 'shelf',
        name: 'shelf',
        facing: 'up',
        against: { face: 'bottom', away: '40 mm' },
        across: { from: { of: 'left', face: 'right' } },
        along: { from: { of: 'back', face: 'front', away: '2 mm' }, to: { face: 'front', away: '12 mm' } },
      },
    ]);
    const shelf = like(parts, /^shelf$/)[0] as Part;
    expect(span(like(parts, /^left$/)[0] as Part, 0)).toEqual([30, 35]);
    expect([span(shelf, 0), span(shelf, 1), span(shelf, 2)]).toEqual([
      [35, 200],
      [40, 45],
      [7, 88],
    ]);
  });

  it.each([
    ['whole', 1],
    ['triangle', 0.5],
    ['round', Math.PI / 4],
  ])('cut %s have the share of their rectangle that geometry says', (outline, share) => {
    const [panel] = partsOf([{ ...back, outline }]);
    expect(regionArea((panel as Part).region) / (200_000 * 150_000)).toBeCloseTo(share, 3);
  });

  it('that slope lose a triangle as wide as their rise', () => {
    const [panel] = partsOf([
      {
        id: 'cheek',
        name: 'cheek',
        facing: 'side',
        against: { face: 'left' },
        across: { from: { face: 'back' }, to: { face: 'front' } },
        outline: 'slope',
        rise: '40 mm',
      },
    ]);
    expect(100_000 * 150_000 - regionArea((panel as Part).region)).toBeCloseTo((40_000 * 150_000) / 2, -3);
  });

  it('that lean are longer by Pythagoras, and lie on a slope of the same lean without a gap', () => {
    const panels = ['left', 'right'].map((face) => ({
      ...left,
      id: face,
      name: face,
      against: { face },
      outline: 'slope',
      rise: '40 mm',
      across: { from: { of: 'back', face: 'front' }, to: { face: 'front', away: '45 mm' } },
    }));
    const built = build([
      back,
      ...panels,
      { id: 'slant', name: 'slant', facing: 'front', lean: '40 mm', against: { of: 'left', face: 'front' } },
    ]);
    if (!built.ok) throw new Error(JSON.stringify(built.error));
    const { parts } = built.value.assembly;
    const slant = like(parts, /^slant$/)[0] as Part;
    expect(sides(slant)[1] / UM.mm).toBeCloseTo(Math.hypot(150, 40), 2);
    const seen = inspect(built.value.assembly);
    expect(seen.interference).toEqual([]);
    const touching = seen.contacts.filter(({ a, b }) => [a, b].includes(parts.indexOf(slant)));
    expect(touching).toHaveLength(2);
    // The slope's edge is as long as the slanted panel, and a board thick.
    for (const { area } of touching) expect(area / (5_000 * Math.hypot(150_000, 40_000))).toBeCloseTo(1, 3);
  });

  it('carry holes, with a lamp in them or without', () => {
    const hole = { across: '50 mm', along: '60 mm', diameter: '6 mm' };
    const parts = partsOf([{ ...back, holes: [hole, { ...hole, across: '120 mm', lamp: false }] }]);
    expect(parts[0]?.region.holes).toHaveLength(2);
    expect(parts[0]?.centres).toEqual([
      [50_000, 60_000],
      [120_000, 60_000],
    ]);
    expect(like(parts, /lamp/)).toHaveLength(1);
  });

  it('name the panel and the face when an anchor leads nowhere, and the hole that leaves no edge', () => {
    expect(build([{ ...back, against: { of: 'nobody', face: 'front' } }])).toMatchObject({
      ok: false,
      error: { code: 'unknown-face', what: 'back', face: 'front of nobody' },
    });
    // A face that runs along the panel is no place to lie against.
    expect(build([{ ...back, against: { face: 'left' } }])).toMatchObject({
      ok: false,
      error: { code: 'unknown-face', face: 'left of box' },
    });
    expect(build([{ ...back, holes: [{ across: '2 mm', along: '60 mm', diameter: '6 mm' }] }])).toMatchObject({
      ok: false,
      error: { code: 'does-not-fit', what: 'a hole in back' },
    });
    expect(build([{ ...back, across: { from: { face: 'left', away: '199.8 mm' } } }])).toMatchObject({
      ok: false,
      error: { code: 'does-not-fit', what: 'back' },
    });
  });

  it('are refused as data when two have one name, and none may be called as the room is', () => {
    for (const panels of [[back, back], [{ ...back, id: 'box' }]]) {
      const result = read(panels);
      expect(result.success).toBe(false);
      expect(result.error?.issues[0]?.message).toMatch(/is called/);
    }
  });
});
