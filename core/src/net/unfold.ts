// µm, doll size. From a solid to its net: one face stays, the others are laid out round it along a tree of edges, so that nothing lies on anything else;
// sides that meet again get a tab on one of them, narrower than what it is glued to and cut at a slant.
import { areaOf, common, cross, dot, minus, type Point, type Region, scaled, type Vec3 } from '../shape/index.ts';
import type { Net, NetFace, NetHinge, NetRing, NetSeam, NetSide, NetTab } from './net.ts';
import { normalOfFace, type PolyFace, type Polyhedron } from './polyhedron.ts';

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

const asRegion = (ring: NetRing): Region => ({ outline: ring.map(([x, y]): Point => [Math.round(x), Math.round(y)]), holes: [] });

type Span = readonly [x0: number, y0: number, x1: number, y1: number];

const spanOf = (ring: NetRing): Span => {
  const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
};

/** Two figures share area: more than a hair along a side that both have. */
const overlap = (one: NetRing, other: NetRing): boolean => {
  const [a, b] = [spanOf(one), spanOf(other)];
  if (a[0] >= b[2] - 1 || b[0] >= a[2] - 1 || a[1] >= b[3] - 1 || b[1] >= a[3] - 1) return false;
  const shared = areaOf(common(asRegion(one), [asRegion(other)]));
  return shared > 4 * Math.max(...[...one, ...other].flat().map(Math.abs), 1_000);
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

/** A tab may be no deeper than this share of what it is glued to. Common practice, no source. */
const SHARE = 0.6;

const inside = (ring: NetRing, [x, y]: Point, margin: number): boolean =>
  ring.every(([ax, ay], index) => {
    const [bx, by] = ring[(index + 1) % ring.length] as Point;
    return ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay) >= margin;
  });

/** A tab on a side, so deep and with ends so slanted: its outline out of the face. */
const tabRing = ([ax, ay]: Point, [bx, by]: Point, deep: number): NetRing => {
  const length = Math.hypot(bx - ax, by - ay);
  const [wx, wy] = [(bx - ax) / length, (by - ay) / length];
  const slant = Math.min(deep, length / 3);
  // Out of a face that runs counter-clockwise is on the right.
  const at = (along: number, out: number): Point => [ax + wx * along + wy * out, ay + wy * along - wx * out];
  return [at(0, 0), at(slant, deep), at(length - slant, deep), at(length, 0)];
};

/** Where a tab comes to lie on the face that its side meets: the same figure, mirrored at the side. */
const onTarget = (deep: number, [ax, ay]: Point, [bx, by]: Point): NetRing => {
  const length = Math.hypot(bx - ax, by - ay);
  const [wx, wy] = [(bx - ax) / length, (by - ay) / length];
  const slant = Math.min(deep, length / 3);
  // Into a face that runs counter-clockwise is on the left.
  const at = (along: number, into: number): Point => [ax + wx * along - wy * into, ay + wy * along + wx * into];
  return [at(0, 0), at(slant, deep), at(length - slant, deep), at(length, 0)];
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
    const seam = seams[index] as NetSeam;
    for (const [on, to] of [
      [seam.one, seam.other],
      [seam.other, seam.one],
    ] as const) {
      const target = faces[to.face]?.outline as NetRing;
      const taken = [...faces.map(({ outline }) => outline), ...tabs.map(({ outline }) => outline)];
      const fits = (deep: number): boolean =>
        onTarget(deep, to.from, to.to).every((point) => inside(target, point, -1)) &&
        taken.every((ring) => !overlap(tabRing(on.from, on.to, deep), ring));
      const depth = [1, SHARE, 0.4, 0.25].map((share) => Math.round(tab * share)).find((deep) => deep >= 1_000 && fits(deep));
      if (depth === undefined) continue;
      tabs.push({ outline: tabRing(on.from, on.to, depth), on, to: to.face, angle: angleAt(solid, edge) });
      break;
    }
  });
  return { faces, hinges, seams, tabs };
};
