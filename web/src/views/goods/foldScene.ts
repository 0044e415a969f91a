// A small good as it folds, in three dimensions: each face a sheet with what is printed on it. Millimetres.

import type { Part } from '@parlor/core/assembly';
import { foldedNet, foldedTab, type Net } from '@parlor/core/net';
import type { GoodSheet } from '@parlor/core/set';
import { cross, normalOf, type Point, type Pose, type Rect, type Vec3 } from '@parlor/core/shape';
import {
  AmbientLight,
  BackSide,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  DirectionalLight,
  EdgesGeometry,
  ExtrudeGeometry,
  FrontSide,
  Group,
  LineBasicMaterial,
  LineLoop,
  LineSegments,
  type Material,
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
import type { Print } from './prints.ts';
import { farFor, middleOf } from './seen.ts';

export type FoldColours = {
  readonly paper: string;
  readonly inside: string;
  readonly board: string;
  readonly ink: string;
  readonly tab: string;
};

type Leaf = { readonly group: Group; readonly face: number | null; readonly tab: number | null };

/** One copy of a net in the scene. */
export type Folding = { readonly sheet: GoodSheet; readonly pose: Pose; readonly leaves: readonly Leaf[] };

/** A flat shape as triangles, with where each corner is on the picture. */
const geometryOf = (outline: readonly Point[], holes: readonly (readonly Point[])[], window: Rect, behind: boolean): BufferGeometry => {
  const flat = (ring: readonly Point[]): Vector2[] => ring.map(([x, y]) => new Vector2(x / 1000, y / 1000));
  const [rim, inner] = [flat(outline), holes.map(flat)];
  const triangles = ShapeUtils.triangulateShape(rim, inner);
  const corners = [...rim, ...inner.flat()];
  const positions = triangles.flatMap((triangle) => triangle.flatMap((corner) => [corners[corner]?.x ?? 0, corners[corner]?.y ?? 0, 0]));
  const uvs = triangles.flatMap((triangle) =>
    triangle.flatMap((corner) => {
      const { x, y } = corners[corner] ?? { x: 0, y: 0 };
      const across = (x * 1000 - window.x0) / (window.x1 - window.x0 || 1);
      return [behind ? 1 - across : across, (y * 1000 - window.y0) / (window.y1 - window.y0 || 1)];
    }),
  );
  const shape = new BufferGeometry();
  shape.setAttribute('position', new BufferAttribute(Float32Array.from(positions), 3));
  shape.setAttribute('uv', new BufferAttribute(Float32Array.from(uvs), 2));
  shape.computeVertexNormals();
  return shape;
};

const textureOf = (canvas: HTMLCanvasElement): CanvasTexture => {
  const made = new CanvasTexture(canvas);
  made.colorSpace = SRGBColorSpace;
  made.anisotropy = 8;
  return made;
};

type Stuffs = { readonly front: Material; readonly back: Material; readonly tab: Material; readonly line: LineBasicMaterial };

const stuffsOf = (print: Print, colours: FoldColours): Stuffs => ({
  front: new MeshLambertMaterial({ map: textureOf(print.front), side: FrontSide }),
  back: print.back
    ? new MeshLambertMaterial({ map: textureOf(print.back), side: BackSide })
    : new MeshLambertMaterial({ color: colours.inside, side: BackSide }),
  tab: new MeshLambertMaterial({ color: colours.tab, side: FrontSide }),
  line: new LineBasicMaterial({ color: colours.ink, transparent: true, opacity: 0.55 }),
});

const leafOf = (
  outline: readonly Point[],
  holes: readonly (readonly Point[])[],
  window: Rect,
  stuffs: Stuffs,
  isTab: boolean,
  edged: boolean,
): Group => {
  const group = new Group();
  group.matrixAutoUpdate = false;
  group.add(new Mesh(geometryOf(outline, holes, window, false), isTab ? stuffs.tab : stuffs.front));
  group.add(new Mesh(geometryOf(outline, holes, window, true), stuffs.back));
  if (edged)
    for (const ring of [outline, ...holes]) {
      const rim = new BufferGeometry().setFromPoints(ring.map(([x, y]) => new Vector3(x / 1000, y / 1000, 0)));
      group.add(new LineLoop(rim, stuffs.line));
    }
  return group;
};

const rolled = (net: Net): boolean => net.hinges.some(({ how }) => how === 'rolled');

/** Boards that belong to a good: the block of a book, the frame round a poster. */
export const addBoards = (scene: Group, parts: readonly Part[], colours: FoldColours): void => {
  for (const part of parts) {
    const ring = (points: readonly Point[]): Vector2[] => points.map(([x, y]) => new Vector2(x / 1000, y / 1000));
    const shape = new Shape(ring(part.region.outline));
    shape.holes.push(...part.region.holes.map((hole) => new Path(ring(hole))));
    const solid = new ExtrudeGeometry(shape, { depth: part.thickness / 1000, bevelEnabled: false });
    solid.applyMatrix4(matrixOf(part.pose, NOWHERE));
    scene.add(new Mesh(solid, new MeshLambertMaterial({ color: colours.board })));
    const edges = new LineSegments(
      new EdgesGeometry(solid, 24),
      new LineBasicMaterial({ color: colours.ink, transparent: true, opacity: 0.55 }),
    );
    scene.add(edges);
  }
};

/** Puts a copy of a net into a scene. */
export const addFolding = (scene: Group, sheet: GoodSheet, pose: Pose, print: Print, colours: FoldColours): Folding => {
  const { net } = sheet.sheet;
  const stuffs = stuffsOf(print, colours);
  const edged = !rolled(net);
  const leaves: Leaf[] = [
    ...net.faces.map(
      ({ outline, holes = [] }, face): Leaf => ({ group: leafOf(outline, holes, print.window, stuffs, false, edged), face, tab: null }),
    ),
    ...net.tabs.map(({ outline }, tab): Leaf => ({ group: leafOf(outline, [], print.window, stuffs, true, true), face: null, tab })),
  ];
  for (const { group } of leaves) scene.add(group);
  return { sheet, pose, leaves };
};

/** Paper that lies on paper is drawn this far apart, in µm. */
const APART = 40;

/** Faces that come to lie inside when all is closed. */
const isInside = (name: string): boolean => name.includes('flap') || name.includes('tuck') || name.includes('turn-in');

/** How far each face is moved so that faces that come to lie on one another are seen in their order. */
const partedBy = (net: Net, poses: readonly Pose[]): readonly Vec3[] => {
  const moves: Vec3[] = net.faces.map(() => [0, 0, 0]);
  for (const { parent, child, angle, between = 0 } of net.hinges) {
    const from = moves[parent] as Vec3;
    const flat = Math.abs(angle) > 3;
    const inside = isInside(net.faces[child]?.name ?? '');
    const n = normalOf(poses[child] as Pose);
    const by = flat ? Math.sign(angle) * APART * (1 + between) : inside ? -2 * APART : 0;
    moves[child] = [from[0] + n[0] * by, from[1] + n[1] * by, from[2] + n[2] * by];
  }
  return moves;
};

const matrixOf = ({ origin, u, v }: Pose, [dx, dy, dz]: Vec3): Matrix4 => {
  const n = cross(u, v);
  const matrix = new Matrix4().makeBasis(new Vector3(...u), new Vector3(...v), new Vector3(...n));
  return matrix.setPosition((origin[0] + dx) / 1000, (origin[1] + dy) / 1000, (origin[2] + dz) / 1000);
};

const NOWHERE: Vec3 = [0, 0, 0];

/** Folds a copy by a share of the whole way: one fold after the other, tabs first. */
export const foldBy = ({ sheet, pose, leaves }: Folding, share: number): void => {
  const { net } = sheet.sheet;
  const poses = foldedNet(net, share, true);
  const moves = partedBy(net, poses);
  const stand = matrixOf(pose, NOWHERE);
  for (const { group, face, tab } of leaves) {
    if (face !== null) group.matrix.multiplyMatrices(stand, matrixOf(poses[face] as Pose, moves[face] as Vec3));
    else {
      const own = net.tabs[tab ?? 0];
      if (!own) continue;
      // Tabs are folded while the first tenth goes by, and come to lie under what closes over them.
      const at = foldedTab(own, poses, Math.min(1, share * 10));
      const n = normalOf(at);
      const far = -2 * APART * Math.min(1, share * 10);
      group.matrix.multiplyMatrices(stand, matrixOf(at, [n[0] * far, n[1] * far, n[2] * far]));
    }
    // What lies closed under something is not drawn through it: a line has no thickness that could hide it.
    if (tab !== null && rolled(net)) group.visible = share < 1;
    const covered = share === 1 && (tab !== null || isInside(net.faces[face ?? 0]?.name ?? ''));
    for (const child of group.children) if (child instanceof LineLoop) child.visible = !covered;
    group.matrixWorldNeedsUpdate = true;
  }
};

/** A scene with its light. */
export const emptyScene = (): { readonly scene: Scene; readonly things: Group } => {
  const scene = new Scene();
  const things = new Group();
  const sun = new DirectionalLight('#ffffff', 1.5);
  sun.position.set(200, 500, 700);
  scene.add(things, new AmbientLight('#ffffff', 1.85), sun);
  return { scene, things };
};

/** Gives back the memory of what is in a scene. */
export const freeThings = (things: Group): void => {
  things.traverse((object) => {
    if (!(object instanceof Mesh) && !(object instanceof LineLoop) && !(object instanceof LineSegments)) return;
    object.geometry.dispose();
    const material = object.material as MeshLambertMaterial;
    material.map?.dispose();
    material.dispose();
  });
  things.clear();
};

/** The corners of a copy folded by a share, in mm. */
const cornersOf = (sheet: GoodSheet, pose: Pose, share: number): readonly Vector3[] => {
  const { net } = sheet.sheet;
  const poses = foldedNet(net, share, true);
  const stand = matrixOf(pose, NOWHERE);
  return net.faces.flatMap(({ outline }, face) => {
    const matrix = new Matrix4().multiplyMatrices(stand, matrixOf(poses[face] as Pose, NOWHERE));
    return outline.map(([x, y]) => new Vector3(x / 1000, y / 1000, 0).applyMatrix4(matrix));
  });
};

/** The corners of boards, in mm. */
const cornersOfBoards = (parts: readonly Part[]): readonly Vector3[] =>
  parts.flatMap(({ pose, region, thickness }) => {
    const matrix = matrixOf(pose, NOWHERE);
    return region.outline.flatMap(([x, y]) => [0, thickness].map((z) => new Vector3(x / 1000, y / 1000, z / 1000).applyMatrix4(matrix)));
  });

/** Where the middle of what is shown lies, and from how far away all of it is seen, in mm. Folded things are seen from near by; while they fold there is room for the flat
 *  net. */
export const seenFrom = (
  foldings: readonly Folding[],
  boards: readonly Part[],
  share: number,
  lens: { readonly fov: number; readonly aspect: number },
): { readonly middle: Vector3; readonly far: number } => {
  const opened = share < 1 ? foldings.flatMap(({ sheet, pose }) => [0, 0.35, 0.7].flatMap((each) => cornersOf(sheet, pose, each))) : [];
  const folded = [...foldings.flatMap(({ sheet, pose }) => cornersOf(sheet, pose, 1)), ...cornersOfBoards(boards)];
  const open = Math.min(1, (1 - share) * 6);
  const middle = middleOf(folded);
  if (opened.length > 0) middle.lerp(middleOf([...opened, ...folded]), open);
  const [near, wide] = [farFor(folded, middle, lens), opened.length > 0 ? farFor(opened, middle, lens) : 0];
  return { middle, far: (near + Math.max(0, wide - near) * open) * 1.12 };
};
