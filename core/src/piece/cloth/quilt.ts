// µm, doll size. Quilts with stiff panels, open or folded.
import type { Part } from '../../assembly/index.ts';
import { type ClothPiece, loftOf, type Patch, patch, plane, rectPiece } from '../../cloth/index.ts';
import type { Point, Vec3 } from '../../shape/index.ts';
import { lack } from '../family/problem.ts';
import { body, type ClothSizes, closing, made, openingOn, refused, type SewnResult, seam, spaceOf } from './sewn.ts';
import { BACK, FRONT, LEFT, X } from './ways.ts';

/** A quilt of stiff panels between two cloths, with gaps at which it folds. Finished width = n panels and n + 1 gaps. Common practice, no source. */
export const quilt = (sizes: ClothSizes): SewnResult => {
  const { piece, width, depth, sheets, put } = sizes;
  const { panels: n, gap, layers, loft } = piece;
  const each = Math.floor((width - (n + 1) * gap) / n);
  const deep = depth - gap;
  const problem =
    lack('the panels beside their gaps', width - (n + 1) * gap, n * 2_000) ?? lack('the panels within the cover', deep, 2_000);
  if (problem) return refused(problem);
  const thick = sheets.panel.thickness + layers * loft;
  const ease = Math.round(loftOf(thick));
  const [long, high] = [width + ease, depth + ease];
  const work = closing(piece);
  // The middle of each panel, along the cover; the first lies, each other stands where the fold before it brings it.
  const from = (index: number): number => gap + index * (each + gap);
  const up = (index: number): number => (piece.folded ? index * Math.max(gap, thick) : 0);
  const at = (index: number): number => (piece.folded ? gap : from(index));
  const parts = Array.from({ length: n }, (_, index): readonly Part[] => {
    const [x, y, z] = [at(index), up(index), Math.round(gap / 2)];
    return [
      ...put(
        `panel-${index + 1}`,
        ['panel', `stiff panel ${index + 1}`, 'up'],
        spaceOf([x, y, z], [x + each, y + sheets.panel.thickness, z + deep]),
        sheets.panel,
        { held: 'slides' },
      ),
    ];
  }).flat();
  const size: Vec3 = piece.folded ? [each + 2 * gap, up(n - 1) + thick, depth] : [width, thick, depth];
  const covers = Array.from({ length: n }, (_, index): Part => {
    const [x0, x1] = piece.folded
      ? [index === 0 ? 0 : gap, gap + each + (index === 0 ? gap : 0)]
      : [index === 0 ? 0 : from(index) - gap, from(index) + each + (index === n - 1 ? width - from(index) - each : 0)];
    const low = up(index) + sheets.panel.thickness;
    return body(sizes, `cover-${index + 1}`, spaceOf([x0, low, 0], [x1, up(index) + thick + (layers * loft === 0 ? 100 : 0), depth]));
  });
  const lift = layers * loft === 0 ? 100 : 0;
  return made({
    pattern: {
      pieces: [
        rectPiece('upper cloth', long, high, work, { stitches: stitchesOf(n, gap, each, high, ease) }),
        rectPiece('lower cloth', long, high, work, { role: 'second', stitches: stitchesOf(n, gap, each, high, ease) }),
        ...Array.from(
          { length: layers },
          (_, index): ClothPiece => rectPiece(`batting ${index + 1}`, width, depth, ['raw', 0], { role: 'batting', anyWay: true }),
        ),
      ],
      seams: [
        seam('lower edge', [0, 'lower'], [1, 'lower']),
        seam('right edge', [0, 'right'], [1, 'left']),
        seam('upper edge', [0, 'upper'], [1, 'upper']),
        seam('left edge', [0, 'left'], [1, 'right']),
      ],
      openings: [openingOn(0, 'left', high), openingOn(1, 'right', high)],
      patches: quiltPatches(sizes, { n, each, gap, thick, up }),
    },
    size: [size[0], size[1] + lift, size[2]],
    parts: [...parts, ...covers],
    extras: [],
    anchor: [size[0] / 2, 0, depth / 2],
  });
};

/** Stitched at both sides of every gap, so that panels stay where they are. */
const stitchesOf = (n: number, gap: number, each: number, high: number, ease: number): readonly (readonly [Point, Point])[] =>
  Array.from({ length: n }, (_, index) =>
    [gap + index * (each + gap), (index + 1) * (each + gap)].filter((_, side) => (side === 0 ? index > 0 : index < n - 1)),
  )
    .flat()
    .map((x) => [
      [x + ease / 2, 0],
      [x + ease / 2, high],
    ]);

type Panels = {
  readonly n: number;
  readonly each: number;
  readonly gap: number;
  readonly thick: number;
  readonly up: (index: number) => number;
};

/** The upper cloth, open or folded to and fro: panels lie one over the other, gaps stand between them. Open, the lower cloth too. */
const quiltPatches = ({ piece, width, depth }: ClothSizes, { n, each, gap, thick, up }: Panels): readonly Patch[] => {
  if (!piece.folded)
    return [
      patch(0, [0, 0, width, depth], plane([0, thick, depth], X, BACK), [6, 2]),
      patch(1, [0, 0, width, depth], plane([width, 0, depth], LEFT, BACK), [6, 2]),
    ];
  const patches: Patch[] = [];
  let x = 0;
  for (let index = 0; index < n; index += 1) {
    const y = up(index) + thick;
    const wide = each + (index === 0 ? gap : 0) + (index === n - 1 ? gap : 0);
    const right = index % 2 === 0;
    const start = right ? (index === 0 ? 0 : gap) : gap + each;
    patches.push(patch(0, [x, 0, x + wide, depth], right ? plane([start - x, y, depth], X, BACK) : plane([start + x, y, 0], LEFT, FRONT)));
    x += wide;
    if (index < n - 1) {
      const at = right ? start + wide : gap;
      patches.push(patch(0, [x, 0, x + gap, depth], plane([at, y - x, right ? depth : 0], [0, 1, 0], right ? BACK : FRONT)));
      x += gap;
    }
  }
  return patches;
};
