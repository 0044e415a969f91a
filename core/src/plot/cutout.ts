// µm, doll size, y up. What a knife or a blade needs of a part or a paper: lines, each on the layer of what is done along it.
import { outlineOfPaper, sizeOfPaper } from '../cover/index.ts';
import type { PaperSheet, Template } from '../print/index.ts';
import { bounds, type Point, type Region, type Ring } from '../shape/index.ts';

/** What is done along a line: cut through; cut half through, in board; folded, in paper; glued within; pencilled. Or words. */
export const PLOT_LAYERS = ['guide', 'glue', 'score', 'fold', 'cut', 'text'] as const;
export type PlotLayer = (typeof PLOT_LAYERS)[number];

export type Stroke = { readonly layer: Exclude<PlotLayer, 'text'>; readonly points: Ring; readonly closed: boolean };

/** Words in the middle of something. */
export type PlotText = { readonly at: Point; readonly high: number; readonly text: string };

/** Something to be cut out, its lower left corner at the origin. */
export type Cutout = {
  readonly tag: string;
  readonly width: number;
  readonly height: number;
  readonly outline: Region | undefined;
  readonly strokes: readonly Stroke[];
  readonly texts: readonly PlotText[];
};

const closed = (layer: Stroke['layer'], points: Ring): Stroke => ({ layer, points, closed: true });

const named = (tag: string, width: number, height: number): PlotText => ({
  at: [width / 2, height / 2],
  high: Math.max(1_200, Math.min(6_000, width / 4, height / 3)),
  text: tag,
});

/** A template as a cutout: what is inside an outline is cut before it, so that it does not move. */
export const templateCutout = ({ tag, region, scores, guides }: Template): Cutout => {
  const { x1: width, y1: height } = bounds(region.outline);
  const rings = ({ region: { outline, holes } }: Template['guides'][number]) => [outline, ...holes];
  return {
    tag,
    width,
    height,
    outline: region,
    strokes: [
      ...guides.flatMap((guide) => rings(guide).map((ring) => closed(guide.face === 'front' && guide.glued ? 'glue' : 'guide', ring))),
      ...scores.map((points): Stroke => ({ layer: 'score', points, closed: false })),
      ...region.holes.map((hole) => closed('cut', hole)),
      closed('cut', region.outline),
    ],
    texts: [named(tag, width, height)],
  };
};

/** A paper as a cutout, folded along the whole of its scores. */
export const paperCutout = ({ tag, paper }: PaperSheet): Cutout => {
  const { x1: width, y1: height } = sizeOfPaper(paper);
  const outline = outlineOfPaper(paper);
  return {
    tag,
    width,
    height,
    outline: outline.length === 1 ? outline[0] : undefined,
    strokes: [
      ...paper.scores.map((points): Stroke => ({ layer: 'fold', points, closed: false })),
      ...outline.flatMap((region) => region.holes.map((hole) => closed('cut', hole))),
      ...outline.map((region) => closed('cut', region.outline)),
    ],
    texts: [named(tag, width, height)],
  };
};
