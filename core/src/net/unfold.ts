// µm, doll size. From a solid to its net: one face stays, the others are laid out round it along a tree of edges, so that nothing lies on anything else;
// sides that meet again get a tab on one of them, narrower than what it is glued to and cut at a slant.
import { cross, dot, minus, type Point, scaled, type Vec3 } from '../shape/index.ts';
import type { Net, NetFace, NetHinge, NetRing, NetSeam, NetSide, NetTab } from './net.ts';
import { normalOfFace, type PolyFace, type Polyhedron } from './polyhedron.ts';
import { overlap, tabOn } from './tabs.ts';

/** An edge that two faces share, as the first of them runs along it. */
type Edge = { readonly one: number; readonly other: number; readonly from: number; readonly to: number };

const edgesOf = ({ faces }: Polyhedron): readonly Edge[] => {
  const known = new Map<string, number>();
  const found: Edge[] = [];
  faces.forEach(({ ring }, face) => {
    ring.forEach((from, index) => {
      const to = ring[(index + 1) % ring.length] as number;
      const other = known.get(`${to} ${from}`);
      if (other !== undefined) found.push({ one: other, other: face, from: to, to: from });
      known.set(`${from} ${to}`, face);
    });
  });
  return found;
};

/** A tree of edges from one face over all others: nearest first, or along chains. */
const treeFrom = (root: number, count: number, edges: readonly Edge[], deep: boolean): readonly Edge[] => {
  const seen = new Set([root]);
  const waiting: number[] = [root];
  const tree: Edge[] = [];
  while (waiting.length > 0 && seen.size < count) {
    const face = (deep ? waiting.pop() : waiting.shift()) as number;
    for (const edge of edges) {
      const turned =
        edge.one === face ? edge : edge.other === face ? { one: edge.other, other: edge.one, from: edge.to, to: edge.from } : undefined;
      if (!turned || seen.has(turned.other)) continue;
      seen.add(turned.other);
      waiting.push(turned.other);
      tree.push(turned);
    }
  }
  return tree;
};

type Laid = ReadonlyMap<number, Point>;

/** How far a face turns down along an edge, as the face it hangs on runs along it. */
const angleAt = (solid: Polyhedron, { one, other, from, to }: Edge): number => {
  const way = minus(solid.corners[to] as Vec3, solid.corners[from] as Vec3);
  const unit = scaled(way, 1 / Math.hypot(...way));
  const [a, b] = [normalOfFace(solid, solid.faces[one] as PolyFace), normalOfFace(solid, solid.faces[other] as PolyFace)];
  return Math.atan2(dot(cross(a, b), unit), dot(a, b));
};

/** A face laid in the plane: its corners, given where two of them lie; the face is on the right of the way from the first to the second. */
const laidBeside = (solid: Polyhedron, face: PolyFace, [i, j]: readonly [number, number], [pi, pj]: readonly [Point, Point]): Laid => {
  const at = (corner: number): Vec3 => solid.corners[corner] as Vec3;
  const way = minus(at(j), at(i));
  const length = Math.hypot(...way);
  const e = scaled(way, 1 / length);
  // The face runs from j to i, and lies on the left of that.
  const inwards = cross(normalOfFace(solid, face), scaled(e, -1));
  const [dx, dy] = [(pj[0] - pi[0]) / length, (pj[1] - pi[1]) / length];
  return new Map(
    face.ring.map((corner) => {
      const rel = minus(at(corner), at(i));
      const [along, off] = [dot(rel, e), dot(rel, inwards)];
      return [corner, [pi[0] + dx * along + dy * off, pi[1] + dy * along - dx * off] as const];
    }),
  );
};

/** The first face: its first side lies along x, itself above that. */
const laidFirst = (solid: Polyhedron, face: PolyFace): Laid => {
  const [i, j] = face.ring as readonly [number, number];
  const length = Math.hypot(...minus(solid.corners[j] as Vec3, solid.corners[i] as Vec3));
  return laidBeside(
    solid,
    face,
    [j, i],
    [
      [length, 0],
      [0, 0],
    ],
  );
};

const ringOf = (face: PolyFace, laid: Laid): NetRing => face.ring.map((corner) => laid.get(corner) as Point);

type Layout = { readonly tree: readonly Edge[]; readonly laid: readonly Laid[]; readonly order: readonly number[] };

const layOut = (solid: Polyhedron, root: number, edges: readonly Edge[], deep: boolean): Layout | undefined => {
  const tree = treeFrom(root, solid.faces.length, edges, deep);
  if (tree.length < solid.faces.length - 1) return undefined;
  const laid = new Map<number, Laid>([[root, laidFirst(solid, solid.faces[root] as PolyFace)]]);
  for (const { one, other, from, to } of tree) {
    const parent = laid.get(one) as Laid;
    laid.set(other, laidBeside(solid, solid.faces[other] as PolyFace, [from, to], [parent.get(from) as Point, parent.get(to) as Point]));
  }
  const order = [root, ...tree.map(({ other }) => other)];
  const rings = order.map((face) => ringOf(solid.faces[face] as PolyFace, laid.get(face) as Laid));
  if (rings.some((ring, index) => rings.slice(0, index).some((other) => overlap(ring, other)))) return undefined;
  return { tree, laid: order.map((face) => laid.get(face) as Laid), order };
};

/** Unfolds a solid.
 *  Shape: faces, which of them stays flat, how deep tabs should be → the net; each seam of two faces has one tab, which lies inside what it is glued to
 *  and on nothing else of the net, shallower where there is no room, none where even a millimetre is too much. Nothing where no tree of edges lays all
 *  faces beside each other. */
export const unfold = (solid: Polyhedron, root: number, tab: number): Net | undefined => {
  const edges = edgesOf(solid);
  const layout = [false, true].map((deep) => layOut(solid, root, edges, deep)).find((each) => each !== undefined);
  if (!layout) return undefined;
  const { tree, laid, order } = layout;
  const placeOf = (face: number): number => order.indexOf(face);
  const faces = order.map(
    (face, index): NetFace => ({
      name: solid.faces[face]?.name ?? '',
      outline: ringOf(solid.faces[face] as PolyFace, laid[index] as Laid),
    }),
  );
  const hinges = tree.map((edge): NetHinge => {
    const parent = laid[placeOf(edge.one)] as Laid;
    return {
      parent: placeOf(edge.one),
      child: placeOf(edge.other),
      from: parent.get(edge.from) as Point,
      to: parent.get(edge.to) as Point,
      angle: angleAt(solid, edge),
    };
  });
  const inTree = new Set(tree.map(({ from, to }) => [from, to].sort((a, b) => a - b).join(' ')));
  const open = edges.filter(({ from, to }) => !inTree.has([from, to].sort((a, b) => a - b).join(' ')));
  const sideOf = (face: number, from: number, to: number): NetSide => {
    const place = placeOf(face);
    return { face: place, from: laid[place]?.get(from) as Point, to: laid[place]?.get(to) as Point };
  };
  // The tab hangs on what is folded first, and the face that closes over it comes last.
  const turned = open.map((edge) =>
    placeOf(edge.one) <= placeOf(edge.other) ? edge : { one: edge.other, other: edge.one, from: edge.to, to: edge.from },
  );
  const glued = [...turned].sort((a, b) => placeOf(a.other) - placeOf(b.other) || placeOf(a.one) - placeOf(b.one));
  const seams = glued.map(({ one, other, from, to }): NetSeam => ({ one: sideOf(one, from, to), other: sideOf(other, to, from) }));
  const tabs: NetTab[] = [];
  glued.forEach((edge, index) => {
    const found = tabOn(seams[index] as NetSeam, faces, tabs, tab);
    if (found) tabs.push({ ...found, angle: angleAt(solid, edge) });
  });
  return { faces, hinges, seams, tabs };
};
