// µm, doll size, origin at the lower left of the room inside the trim. Every cut runs from edge to edge of the piece that lies there.

export type Lying = { readonly id: string; readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** A piece of board: a part as it is, a rest, or strips side by side, from left to right (across) or from below (along), a knife gap apart. */
export type CutNode = { readonly width: number; readonly height: number } & (
  | { readonly kind: 'part'; readonly id: string }
  | { readonly kind: 'rest' }
  | { readonly kind: 'strips'; readonly way: 'across' | 'along'; readonly strips: readonly CutNode[] }
);

export type CutSize = { readonly width: number; readonly height: number };
type Span = { readonly from: number; readonly to: number };

/** Parts that no straight line could part, side by side along an axis. */
export const bandsOf = (
  parts: readonly Lying[],
  spanOf: (part: Lying) => Span,
): readonly (Span & { readonly parts: readonly Lying[] })[] => {
  const bands: { from: number; to: number; parts: Lying[] }[] = [];
  for (const part of [...parts].sort((a, b) => spanOf(a).from - spanOf(b).from)) {
    const { from, to } = spanOf(part);
    const last = bands.at(-1);
    if (last && from < last.to) {
      last.to = Math.max(last.to, to);
      last.parts.push(part);
    } else bands.push({ from, to, parts: [part] });
  }
  return bands;
};

export const SPANS = {
  across: ({ x, width }: Lying): Span => ({ from: x, to: x + width }),
  along: ({ y, height }: Lying): Span => ({ from: y, to: y + height }),
} as const;

export const sideOf = (size: CutSize, way: 'across' | 'along'): number => (way === 'across' ? size.width : size.height);

const restOf = (size: CutSize): CutNode => ({ ...size, kind: 'rest' });

const areaOfRest = (node: CutNode): number => {
  if (node.kind === 'part') return 0;
  if (node.kind === 'rest') return node.width * node.height;
  return Math.max(...node.strips.map(areaOfRest));
};

/** Everything that is left over, from the largest to the smallest. */
export const cutRests = (node: CutNode): readonly CutSize[] =>
  (node.kind === 'rest' ? [{ width: node.width, height: node.height }] : node.kind === 'strips' ? node.strips.flatMap(cutRests) : []).sort(
    (a, b) => b.width * b.height - a.width * a.height,
  );

/** How many cuts take a piece apart. */
export const cutsIn = (node: CutNode): number =>
  node.kind === 'strips' ? node.strips.length - 1 + node.strips.reduce((sum, strip) => sum + cutsIn(strip), 0) : 0;

/** Cuts a piece into strips one way; undefined where no line goes between the parts and nothing is left over that way. */
const stripsOf = (size: CutSize, parts: readonly Lying[], gap: number, way: 'across' | 'along', depth: number): CutNode | undefined => {
  const bands = bandsOf(parts, SPANS[way]);
  const used = bands.reduce((sum, { from, to }) => sum + to - from + gap, 0) - gap;
  const left = sideOf(size, way) - used - gap;
  if (bands.length < 2 && sideOf(size, way) === used) return undefined;
  const strips = bands.map(({ from, to, parts: mine }) => {
    const piece: CutSize = way === 'across' ? { width: to - from, height: size.height } : { width: size.width, height: to - from };
    const home = mine.map((part) => (way === 'across' ? { ...part, x: part.x - from } : { ...part, y: part.y - from }));
    return cutPiece(piece, home, gap, depth + 1);
  });
  if (strips.some((strip) => strip === undefined)) return undefined;
  // The widest first, so that equal settings of the rule follow each other, and what is left stays in one piece at the far end.
  const ordered = (strips as CutNode[]).sort((a, b) => sideOf(b, way) - sideOf(a, way));
  // Less than a knife gap is left over as dust: it is cut off all the same.
  const over = Math.max(0, left);
  const rest =
    sideOf(size, way) > used ? [restOf(way === 'across' ? { width: over, height: size.height } : { width: size.width, height: over })] : [];
  return { ...size, kind: 'strips', way, strips: [...ordered, ...rest] };
};

const cutPiece = (size: CutSize, parts: readonly Lying[], gap: number, depth: number): CutNode | undefined => {
  const [only] = parts;
  if (!only) return restOf(size);
  if (parts.length === 1 && only.width === size.width && only.height === size.height) return { ...size, kind: 'part', id: only.id };
  const ways = (['along', 'across'] as const).flatMap((way) => stripsOf(size, parts, gap, way, depth) ?? []);
  // The larger rest is worth more than a cut saved.
  return ways.sort((a, b) => areaOfRest(b) - areaOfRest(a) || cutsIn(a) - cutsIn(b))[0];
};

/** The cuts that part what lies on a sheet, as a tree, with strips put in the order in which they are cut best; undefined when it cannot be cut
 *  with edge-to-edge cuts.
 *  Shape: room, parts a gap apart → a tree that holds each part once. */
export const cutTree = (room: CutSize, parts: readonly Lying[], gap: number): CutNode | undefined => cutPiece(room, parts, gap, 0);

/** Where each part of a tree lies. */
export const treePlacements = (tree: CutNode, gap: number, x = 0, y = 0): readonly Lying[] => {
  if (tree.kind === 'part') return [{ id: tree.id, x, y, width: tree.width, height: tree.height }];
  if (tree.kind === 'rest') return [];
  let at = 0;
  return tree.strips.flatMap((strip) => {
    const [dx, dy] = tree.way === 'across' ? [at, 0] : [0, at];
    at += sideOf(strip, tree.way) + gap;
    return treePlacements(strip, gap, x + dx, y + dy);
  });
};
