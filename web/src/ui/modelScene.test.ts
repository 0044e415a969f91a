import { derive, readSet } from '@parlor/core/set';
import { type BufferGeometry, type Mesh, type MeshLambertMaterial, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import type { WornCloth } from './clothes.ts';
import {
  buildModel,
  type Colours,
  dispose,
  dressModel,
  foretell,
  light,
  pullApart,
  type SceneModel,
  seeThrough,
  showAll,
  showStep,
} from './modelScene.ts';

const COLOURS: Colours = {
  leaf: '#fffffe',
  oat: '#d8c7a2',
  blush: '#f0b0b8',
  ink: '#222222',
  lilac: '#c9b9d0',
  steel: '#8899aa',
  sprig: '#00ff00',
};

/** A bookcase of 900 × 1800 × 300 mm at 1 : 6, as the page gets it. */
const bookcase = () => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    doll: { scale: { by: 'ratio', ratio: 6 } },
    pieces: [{ name: 'Bookcase', width: '900 mm', height: '1800 mm', depth: '300 mm', front: { kind: 'shelves', count: 2 } }],
  });
  const made = read.ok ? derive(read.value).pieces[0]?.made : null;
  if (!made) throw new Error('not built');
  return made;
};

const made = bookcase();
const { parts, outside } = made.assembly;
const size = new Vector3(...outside.max).divideScalar(1000);
const modelOf = (plain = true): SceneModel => buildModel(parts, made.tags, size, 290_000, COLOURS, plain);
const left = parts.findIndex(({ name }) => name === 'left side');

/** The area of all triangles of a shape, in mm². */
const areaOf = (shape: BufferGeometry): number => {
  const at = shape.getAttribute('position');
  const corner = (index: number) => new Vector3().fromBufferAttribute(at, index);
  let sum = 0;
  for (let index = 0; index + 2 < at.count; index += 3) {
    const [a, b, c] = [corner(index), corner(index + 1), corner(index + 2)];
    sum += b.sub(a).cross(c.sub(a)).length() / 2;
  }
  return sum;
};

const wornOn = (model: SceneModel, part: number) =>
  (model.bodies[part]?.group.children ?? []).filter(({ name }) => name === 'worn') as Mesh<BufferGeometry, MeshLambertMaterial>[];

const clothOn = (part: number): WornCloth => ({
  part,
  positions: Float32Array.from([0, 0, 0, 10, 0, 0, 0, 10, 0]),
  uvs: Float32Array.from([0, 0, 1, 0, 0, 1]),
  canvas: null,
  colour: '#336699',
});

describe('the scene of a piece', () => {
  it('has a solid for each part, in millimetres, and as large altogether as the piece', () => {
    const model = modelOf();
    expect(model.bodies).toHaveLength(parts.length);
    const low = new Vector3(Infinity, Infinity, Infinity);
    const high = new Vector3(-Infinity, -Infinity, -Infinity);
    for (const { mesh } of model.bodies) {
      mesh.geometry.computeBoundingBox();
      low.min(mesh.geometry.boundingBox?.min ?? low);
      high.max(mesh.geometry.boundingBox?.max ?? high);
    }
    for (const axis of ['x', 'y', 'z'] as const) {
      expect(low[axis]).toBeCloseTo(0, 3);
      expect(high[axis]).toBeCloseTo({ x: 150, y: 300, z: 50 }[axis], 3);
    }
    // The doll stands to the right and is nearly as high as the bookcase.
    expect(model.size.y).toBeCloseTo(300, 3);
    expect(model.size.x).toBeGreaterThan(150);
    dispose(model);
  });

  it('pulled apart, parts move away from the middle; put together they are where they were', () => {
    const model = modelOf();
    pullApart(model, 1);
    expect(model.bodies[left]?.group.position.x).toBeLessThan(-20);
    pullApart(model, 0);
    expect(model.bodies[left]?.group.position.length()).toBe(0);
  });

  it('shows as much as has been put together, the part of the step on its way', () => {
    const model = modelOf();
    const steps = parts.map((_, part) => ({ parts: [part], along: [0, -1, 0] as const, onto: [], unit: null }));
    showStep(model, steps, 1, 0);
    expect(model.bodies.map(({ group }) => group.visible)).toEqual(parts.map((_, index) => index <= 1));
    expect(model.bodies[1]?.group.position.y).toBeGreaterThan(50);
    showStep(model, steps, 1, 1);
    expect(model.bodies[1]?.group.position.length()).toBeCloseTo(0, 9);
    // What is made apart stands there by itself, and comes as one.
    const apart = [
      { parts: [0], along: [0, -1, 0] as const, onto: [], unit: 0 },
      { parts: [1], along: [0, -1, 0] as const, onto: [], unit: 0 },
      { parts: [2], along: [0, -1, 0] as const, onto: [], unit: null },
      { parts: [0, 1], along: [0, -1, 0] as const, onto: [], unit: null },
    ];
    const at = (step: number) => {
      showStep(model, apart, step, 0);
      return model.bodies.flatMap(({ group }, part) => (group.visible ? [part] : []));
    };
    expect([0, 1, 2, 3].map(at)).toEqual([[0], [0, 1], [2], [0, 1, 2]]);
    expect(model.bodies[0]?.group.position.y).toBeGreaterThan(50);
    showAll(model);
    expect(model.bodies.every(({ group }) => group.visible)).toBe(true);
  });

  it('lights the parts of a tag, and lets everything be seen through', () => {
    const model = modelOf(false);
    const tag = made.tags[left] as string;
    light(model, tag, COLOURS);
    for (const body of model.bodies) expect(body.mesh.material.color.getHexString() === '00ff00').toBe(body.tag === tag);
    seeThrough(model, true);
    expect(model.bodies.every(({ mesh }) => mesh.material.transparent && mesh.material.opacity < 0.3)).toBe(true);
    seeThrough(model, false);
    expect(model.bodies[left]?.mesh.material.opacity).toBe(1);
  });
});

describe('what is worn', () => {
  it('takes the place of what was worn before, which is given back once it is drawn', () => {
    const model = modelOf();
    dressModel(model, [clothOn(left), clothOn(left)]);
    const [before] = wornOn(model, left);
    let gone = 0;
    before?.geometry.addEventListener('dispose', () => {
      gone += 1;
    });
    const free = dressModel(model, [clothOn(left)]);
    expect([wornOn(model, left).length, gone]).toEqual([1, 0]);
    free();
    expect(gone).toBe(1);
  });

  it('a touch foretells on the face alone: all of it, and nothing of the others', () => {
    const model = modelOf();
    // The outer face of the left side lies at x = 0.
    foretell(model, left, new Vector3(-1, 0, 0), new Vector3(0, 100, 20), { colour: '#aa0000', on: 'face' });
    const [overlay] = wornOn(model, left);
    if (!overlay) throw new Error('nothing foretold');
    const at = overlay.geometry.getAttribute('position');
    for (let index = 0; index < at.count; index += 1) expect(at.getX(index)).toBeCloseTo(0, 3);
    const side = parts[left];
    const [wide, high] = [0, 1].map((axis) => {
      const along = (side?.region.outline ?? []).map((point) => (point[axis] as number) / 1000);
      return Math.max(...along) - Math.min(...along);
    }) as [number, number];
    expect(areaOf(overlay.geometry)).toBeCloseTo(wide * high, 1);
    expect(model.bodies.flatMap((_, part) => wornOn(model, part))).toHaveLength(1);
  });

  it('a touch foretells on whole parts in front of what they wear, and the next clothes end it', () => {
    const model = modelOf();
    dressModel(model, [clothOn(left)]);
    const all = parts.map((_, index) => index);
    foretell(model, left, new Vector3(-1, 0, 0), new Vector3(), { colour: null, on: all });
    expect(wornOn(model, left).map(({ visible }) => visible)).toEqual([false, true]);
    const [bare] = wornOn(model, left).filter(({ visible }) => visible);
    if (!bare) throw new Error('nothing foretold');
    // Bare board again: its own colour, over all of it.
    expect(`#${bare.material.color.getHexString()}`).toBe(COLOURS.leaf);
    expect(areaOf(bare.geometry)).toBeCloseTo(areaOf(model.bodies[left]?.mesh.geometry as BufferGeometry), 3);
    dressModel(model, [clothOn(left)])();
    expect(model.bodies.flatMap((_, part) => wornOn(model, part)).map(({ visible }) => visible)).toEqual([true]);
  });
});
