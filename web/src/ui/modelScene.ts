// The piece in three dimensions: board parts as paper-coloured solids with ink edges. Millimetres.

import { type OrderStep, type Part, upperOf } from '@parlor/core/assembly';
import { figureOutline } from '@parlor/core/doll';
import { normalOf, type Region, type Ring, toSpace } from '@parlor/core/shape';
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  ExtrudeGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  Path,
  Scene,
  Shape,
  ShapeUtils,
  SRGBColorSpace,
  Vector2,
  Vector3,
} from 'three';
import type { WornCloth } from './clothes.ts';

export type Colours = {
  readonly leaf: string;
  readonly oat: string;
  readonly blush: string;
  readonly ink: string;
  readonly lilac: string;
  readonly steel: string;
  readonly sprig: string;
};

const points = (ring: Ring): Vector2[] => ring.map(([x, y]) => new Vector2(x / 1000, y / 1000));

/** What tapers: its two broad faces, and sides between them. */
const taperOf = (part: Part): BufferGeometry => {
  const rings = ({ outline, holes }: Region): readonly Ring[] => [outline, ...holes];
  const [low, high] = [rings(part.region), rings(upperOf(part))];
  const flat = (these: readonly Ring[], height: number) => these.flat().map(([x, y]) => [x / 1000, y / 1000, height / 1000] as const);
  const corners = [...flat(low, 0), ...flat(high, part.thickness)];
  const count = corners.length / 2;
  const caps = ShapeUtils.triangulateShape(
    points(low[0] as Ring),
    low.slice(1).map((ring) => points(ring)),
  ) as [number, number, number][];
  let start = 0;
  const sides = low.flatMap((ring) => {
    const from = start;
    start += ring.length;
    return ring.flatMap((_, index) => {
      const [a, b] = [from + index, from + ((index + 1) % ring.length)];
      return [
        [a, b, b + count],
        [a, b + count, a + count],
      ];
    });
  });
  const triangles = [...caps.map(([a, b, c]) => [a, c, b]), ...caps.map((cap) => cap.map((corner) => corner + count)), ...sides];
  const positions = triangles.flatMap((triangle) => triangle.flatMap((corner) => corners[corner] as readonly number[]));
  const solid = new BufferGeometry().setAttribute('position', new BufferAttribute(Float32Array.from(positions), 3));
  solid.computeVertexNormals();
  return solid;
};

const plainOf = (part: Part): BufferGeometry => {
  const shape = new Shape(points(part.region.outline));
  shape.holes = part.region.holes.map((hole) => new Path(points(hole)));
  return new ExtrudeGeometry(shape, { depth: part.thickness / 1000, bevelEnabled: false });
};

const solidOf = (part: Part): BufferGeometry => {
  const solid = part.upper ? taperOf(part) : plainOf(part);
  const { origin, u, v } = part.pose;
  const matrix = new Matrix4().makeBasis(new Vector3(...u), new Vector3(...v), new Vector3(...normalOf(part.pose)));
  matrix.setPosition(origin[0] / 1000, origin[1] / 1000, origin[2] / 1000);
  return solid.applyMatrix4(matrix);
};

const BLUSH = new Set<Part['role']>(['door', 'border', 'front']);
const LILAC = new Set<Part['role']>(['pad']);
const OAT = new Set<Part['role']>(['back', 'plinth', 'foot', 'post', 'rail', 'slat', 'tray']);
const STEEL = new Set<Part['role']>(['slide', 'rack', 'found', 'fitting']);

const colourOf = (part: Part, colours: Colours): string => {
  if (part.stuff === 'clear' || LILAC.has(part.role)) return colours.lilac;
  if (BLUSH.has(part.role)) return colours.blush;
  if (STEEL.has(part.role)) return colours.steel;
  return OAT.has(part.role) ? colours.oat : colours.leaf;
};

/** How much of what is behind a part shows through it. */
const opacityOf = (part: Part): number => (part.stuff === 'clear' ? 0.3 : BLUSH.has(part.role) ? 0.88 : 1);

/** A part's solid with its tag, where it stands and which way it is pulled apart. */
export type SceneBody = {
  readonly group: Group;
  readonly tag: string;
  readonly mesh: Mesh<BufferGeometry, MeshLambertMaterial>;
  readonly colour: string;
  readonly opacity: number;
  readonly away: Vector3;
};

const middleOf = (part: Part): Vector3 => {
  const ring = part.region.outline;
  const sum = ring.reduce((total, point) => total.add(new Vector3(...toSpace(part.pose, point, part.thickness / 2))), new Vector3());
  return sum.divideScalar(ring.length * 1000);
};

const bodyOf = (part: Part, tag: string, centre: Vector3, colours: Colours, plain: boolean): SceneBody => {
  const solid = solidOf(part);
  const colour = plain && part.stuff === 'board' ? colours.leaf : colourOf(part, colours);
  const opacity = plain && part.stuff !== 'clear' ? 1 : opacityOf(part);
  const mesh = new Mesh(solid, new MeshLambertMaterial({ color: colour, transparent: opacity < 1, opacity }));
  const edges = new LineSegments(new EdgesGeometry(solid, 24), new LineBasicMaterial({ color: colours.ink }));
  const group = new Group().add(mesh, edges);
  return { group, tag, mesh, colour, opacity, away: middleOf(part).sub(centre) };
};

const figure = (heightUm: number, colours: Colours): Mesh => {
  const height = heightUm / 1000;
  const solid = new ExtrudeGeometry(new Shape(points(figureOutline(heightUm))), {
    depth: height * 0.05,
    bevelEnabled: true,
    bevelSize: height * 0.008,
    bevelThickness: height * 0.012,
    bevelSegments: 3,
  });
  return new Mesh(solid, new MeshLambertMaterial({ color: colours.lilac }));
};

export type SceneModel = { readonly scene: Scene; readonly bodies: readonly SceneBody[]; readonly size: Vector3; readonly middle: Vector3 };

/** Builds the scene of a piece with the doll's figure standing to its right, or where she is in a room (mm); `plain` shows all board alike, as it is bought. */
export const buildModel = (
  parts: readonly Part[],
  tags: readonly string[],
  size: Vector3,
  dollHeightUm: number,
  colours: Colours,
  plain = false,
  dollAt: readonly [number, number, number] | null = null,
): SceneModel => {
  const scene = new Scene();
  const centre = size.clone().multiplyScalar(0.5);
  const bodies = parts.map((part, index) => bodyOf(part, tags[index] ?? '', centre, colours, plain));
  for (const { group } of bodies) scene.add(group);
  const doll = figure(dollHeightUm, colours);
  if (dollAt) doll.position.set(...dollAt);
  else doll.position.set(size.x + (dollHeightUm / 1000) * 0.32, 0, size.z * 0.5);
  scene.add(doll);
  const sun = new DirectionalLight('#ffffff', 1.7);
  sun.position.set(size.x * 0.2 + 200, size.y + 400, size.z + 700);
  scene.add(new AmbientLight('#ffffff', 1.75), sun);
  const beside = dollAt ? 0 : (dollHeightUm / 1000) * 0.5;
  const whole = new Vector3(size.x + beside, Math.max(size.y, dollHeightUm / 1000), size.z);
  return { scene, bodies, size: whole, middle: whole.clone().multiplyScalar(0.5) };
};

/** Cloth that hangs and lies in a scene: corners in mm, three to a triangle by their numbers, its colour. */
export type Drape = { readonly corners: Float32Array; readonly triangles: readonly number[]; readonly colour: string };

/** Puts cloth into a scene. */
export const addDrapes = ({ scene }: SceneModel, drapes: readonly Drape[]): void => {
  for (const { corners, triangles, colour } of drapes) {
    const shape = new BufferGeometry();
    shape.setAttribute('position', new BufferAttribute(corners, 3));
    shape.setIndex([...triangles]);
    shape.computeVertexNormals();
    scene.add(new Mesh(shape, new MeshLambertMaterial({ color: colour, side: DoubleSide })));
  }
};

/** Pulls the parts apart: 0 stands assembled, 1 lies well clear of one another. */
export const pullApart = (model: SceneModel, amount: number): void => {
  for (const { group, away } of model.bodies) group.position.copy(away).multiplyScalar(amount * 0.75);
};

/** Lets everything be seen through, or only what is glass and doors. */
export const seeThrough = (model: SceneModel, on: boolean): void => {
  for (const { mesh, opacity } of model.bodies) {
    const now = on ? Math.min(opacity, 0.22) : opacity;
    mesh.material.transparent = now < 1;
    mesh.material.opacity = now;
    mesh.material.depthWrite = !on;
    mesh.material.needsUpdate = true;
  }
};

/** Shows the piece, or what of it is made apart, as far as it has been put together: the parts before the step in their places, those of
 *  the step on their way (0 far off, 1 there), the others not yet. */
export const showStep = (model: SceneModel, steps: readonly OrderStep[], step: number, share: number): void => {
  const reach = Math.max(model.size.x, model.size.y, model.size.z) * 0.45;
  model.bodies.forEach(({ group }) => {
    group.visible = false;
  });
  steps.slice(0, step + 1).forEach(({ parts, along, unit }, index) => {
    if (unit !== steps[step]?.unit) return;
    for (const part of parts) {
      const group = model.bodies[part]?.group;
      if (!group) continue;
      group.visible = true;
      group.position.set(...along).multiplyScalar(index === step ? -reach * (1 - share) : 0);
    }
  });
};

/** Shows every part again. */
export const showAll = (model: SceneModel): void => {
  for (const { group } of model.bodies) group.visible = true;
};

/** Lights the parts of a tag. */
export const light = (model: SceneModel, tag: string | null, colours: Colours): void => {
  for (const body of model.bodies) body.mesh.material.color.set(body.tag === tag ? colours.sprig : body.colour);
};

/** Names what was put on a model, so that it can be taken off again. */
const WORN = 'worn';

const undress = ({ bodies }: SceneModel): readonly Mesh<BufferGeometry, MeshLambertMaterial>[] =>
  bodies.flatMap(({ group }) => {
    const worn = group.children.filter(({ name }) => name === WORN) as Mesh<BufferGeometry, MeshLambertMaterial>[];
    group.remove(...worn);
    return worn;
  });

/** What a touch will put on, for the moment until it is worked out: a colour, or the bare board, on the face that was touched or on whole parts. */
export type Foretaste = { readonly colour: string | null; readonly on: 'face' | readonly number[] };

/** The triangles of a solid that lie in one plane with one of its own. */
const inPlane = (solid: BufferGeometry, normal: Vector3, point: Vector3): BufferGeometry => {
  const from = solid.getAttribute('position');
  const corner = new Vector3();
  const flush = (at: number): boolean => Math.abs(corner.fromBufferAttribute(from, at).sub(point).dot(normal)) < 0.01;
  const kept: number[] = [];
  for (let at = 0; at + 2 < from.count; at += 3)
    if (flush(at) && flush(at + 1) && flush(at + 2))
      for (let side = 0; side < 3; side += 1) kept.push(...corner.fromBufferAttribute(from, at + side));
  return new BufferGeometry().setAttribute('position', new BufferAttribute(Float32Array.from(kept), 3));
};

/** Shows it in front of what is worn there. The next clothes take its place. */
export const foretell = ({ bodies }: SceneModel, part: number, normal: Vector3, point: Vector3, { colour, on }: Foretaste): void => {
  for (const index of on === 'face' ? [part] : on) {
    const body = bodies[index];
    if (!body) continue;
    if (on !== 'face') for (const child of body.group.children) if (child.name === WORN) child.visible = false;
    const shape = on === 'face' ? inPlane(body.mesh.geometry, normal, point) : body.mesh.geometry.clone();
    shape.computeVertexNormals();
    const lies = { side: DoubleSide, polygonOffset: true, polygonOffsetFactor: -4, polygonOffsetUnits: -64 };
    const mesh = new Mesh(shape, new MeshLambertMaterial({ color: colour ?? body.colour, ...lies }));
    mesh.name = WORN;
    body.group.add(mesh);
  }
};

/** Textures by the picture that they show, so that a picture goes to the graphics card once. */
const textures = new WeakMap<HTMLCanvasElement, CanvasTexture>();

const textureOf = (canvas: HTMLCanvasElement): CanvasTexture => {
  const known = textures.get(canvas);
  if (known) return known;
  const made = new CanvasTexture(canvas);
  made.colorSpace = SRGBColorSpace;
  made.anisotropy = 8;
  textures.set(canvas, made);
  return made;
};

/** Puts clothes on: each lies a hair before its part's face. Textures are shared by whatever wears the same. Gives what frees the clothes worn
 *  before: to be called once the new ones are drawn, for as long as they are there the graphics card keeps the programs that both are drawn by. */
export const dressModel = (model: SceneModel, clothes: readonly WornCloth[]): (() => void) => {
  const before = undress(model);
  const now = new Set<unknown>();
  for (const { part, positions, uvs, canvas, colour } of clothes) {
    const shape = new BufferGeometry();
    shape.setAttribute('position', new BufferAttribute(positions, 3));
    shape.setAttribute('uv', new BufferAttribute(uvs, 2));
    shape.computeVertexNormals();
    // Nearer to the eye than the face it lies on, so that the two do not fight for a pixel.
    const lies = { side: DoubleSide, polygonOffset: true, polygonOffsetFactor: -2, polygonOffsetUnits: -8 };
    const material = new MeshLambertMaterial(canvas ? { map: textureOf(canvas), ...lies } : { color: colour, ...lies });
    now.add(material.map);
    const mesh = new Mesh(shape, material);
    mesh.name = WORN;
    model.bodies[part]?.group.add(mesh);
  }
  return () => {
    for (const { geometry, material } of before) {
      geometry.dispose();
      if (!now.has(material.map)) material.map?.dispose();
      material.dispose();
    }
  };
};

/** Gives the memory of a scene back. */
export const dispose = ({ scene }: SceneModel): void => {
  scene.traverse((object) => {
    if (!(object instanceof Mesh) && !(object instanceof LineSegments)) return;
    object.geometry.dispose();
    if ('map' in object.material) object.material.map?.dispose();
    object.material.dispose();
  });
};
