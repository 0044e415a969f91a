// A sewn thing in three dimensions: each patch of cloth bent as it is once it is sewn. Millimetres.
import { type Mesh as ClothMesh, type ClothPiece, edgeOfSides, meshOf, type Patch, placerOf, type SewingPattern } from '@parlor/core/cloth';
import type { Point, Vec3 } from '@parlor/core/shape';
import {
  BufferAttribute,
  BufferGeometry,
  type CanvasTexture,
  DoubleSide,
  Group,
  Line,
  LineBasicMaterial,
  Mesh,
  MeshLambertMaterial,
  Vector3,
} from 'three';

/** What cloth looks like: its colour, and its print with how wide one picture of it is, in µm. */
export type ClothLook = { readonly colour: string; readonly print: { readonly texture: CanvasTexture; readonly across: number } | null };

const geometryOf = ({ flat, space, triangles }: ClothMesh, across: number): BufferGeometry => {
  const shape = new BufferGeometry();
  shape.setAttribute('position', new BufferAttribute(Float32Array.from(space.flatMap((point) => point.map((um) => um / 1000))), 3));
  shape.setAttribute('uv', new BufferAttribute(Float32Array.from(flat.flatMap(([x, y]) => [x / across, y / across])), 2));
  shape.setIndex(triangles.flat());
  shape.computeVertexNormals();
  return shape;
};

const near = ([x, y]: Point, [a, b]: Point, [c, d]: Point): boolean => {
  const long = Math.hypot(c - a, d - b);
  if (long === 0) return false;
  const along = ((x - a) * (c - a) + (y - b) * (d - b)) / long;
  return along > -2 && along < long + 2 && Math.abs((x - a) * (d - b) - (y - b) * (c - a)) / long < 20;
};

/** Sides of a patch that lie on its piece's line: there it is sewn or ends. */
const rims = (piece: ClothPiece, { ring }: Patch): readonly (readonly [Point, Point])[] =>
  ring.flatMap((from, index) => {
    const to = ring[(index + 1) % ring.length] as Point;
    const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
    return piece.line.some((corner, at) => near(middle, corner, piece.line[(at + 1) % piece.line.length] as Point))
      ? [[from, to] as const]
      : [];
  });

const STEPS = 24;

/** Puts one copy of a pattern into a scene. Which of its pieces each mesh is stands in `userData`. */
export const addSewn = (
  scene: Group,
  pattern: SewingPattern,
  at: Vec3,
  looks: Readonly<Record<'main' | 'second', ClothLook>>,
  ink: string,
): Group => {
  const group = new Group();
  const line = new LineBasicMaterial({ color: ink, transparent: true, opacity: 0.5 });
  for (const patch of pattern.patches) {
    const piece = pattern.pieces[patch.piece];
    if (!piece || piece.role === 'batting') continue;
    const look = looks[piece.role];
    const stuff = new MeshLambertMaterial({
      color: look.print ? '#ffffff' : look.colour,
      ...(look.print && { map: look.print.texture }),
      side: DoubleSide,
      // What lies on a board or on foam is seen before it.
      polygonOffset: true,
      polygonOffsetFactor: -2,
      polygonOffsetUnits: -2,
    });
    const mesh = new Mesh(geometryOf(meshOf(patch), look.print?.across ?? 10_000), stuff);
    mesh.userData.piece = patch.piece;
    group.add(mesh);
    if (edgeOfSides(piece).length > 60) continue;
    const place = placerOf(patch.bend);
    for (const [from, to] of rims(piece, patch)) {
      const points = Array.from({ length: STEPS + 1 }, (_, step) => {
        const share = step / STEPS;
        const [x, y, z] = place([from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]);
        return new Vector3(x / 1000, y / 1000, z / 1000);
      });
      group.add(new Line(new BufferGeometry().setFromPoints(points), line));
    }
  }
  group.position.set(at[0] / 1000, at[1] / 1000, at[2] / 1000);
  scene.add(group);
  return group;
};

/** Points of a sewn copy that its picture must hold. */
export const pointsOfSewn = (pattern: SewingPattern, at: Vec3): readonly Vector3[] =>
  pattern.patches.flatMap((patch) =>
    meshOf({ ...patch, fine: [Math.min(6, patch.fine[0]), Math.min(4, patch.fine[1])] }).space.map(
      ([x, y, z]) => new Vector3((x + at[0]) / 1000, (y + at[1]) / 1000, (z + at[2]) / 1000),
    ),
  );
