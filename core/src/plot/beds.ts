// µm, y up. Cutouts laid on the bed of a cutting machine, and the files that go to it.
import { FIRST_ANSWER, layOut, USUAL_WISHES } from '../cut/index.ts';
import { layersDxf } from '../dxf/index.ts';
import { seededRandom } from '../kit/index.ts';
import { type FileLayer, layersSvg, WORD_STYLE } from '../print/index.ts';
import { oriented, type Point } from '../shape/index.ts';
import { type Cutout, PLOT_LAYERS, type PlotLayer, type PlotText, type Stroke } from './cutout.ts';

/** A machine's bed, and the edge of it that its blade does not reach. */
export type MachineBed = { readonly width: number; readonly height: number; readonly margin: number };

/** Beds that machines and their mats have: common practice, no source. */
export const USUAL_BEDS = [
  { name: '12 × 12 in', width: 304_800, height: 304_800, margin: 6_000 },
  { name: '12 × 24 in', width: 304_800, height: 609_600, margin: 6_000 },
  { name: 'A4', width: 210_000, height: 297_000, margin: 6_000 },
  { name: 'A3', width: 297_000, height: 420_000, margin: 6_000 },
] as const;

/** What lies on a bed at once. */
export type Bedful = {
  readonly width: number;
  readonly height: number;
  readonly tags: readonly string[];
  readonly strokes: readonly Stroke[];
  readonly texts: readonly PlotText[];
};

/** Between two cutouts, so that a blade does not tear the bridge. */
const BETWEEN = 3_000;

/** Lays cutouts on beds.
 *  Shape: n cutouts → k beds, and the tags of those that are larger than the bed. Lines of a bed are in the order in which a blade takes them: what
 *  is only drawn, what is scored or folded, what is cut. */
export const layOnBeds = (
  cutouts: readonly Cutout[],
  bed: MachineBed,
): { readonly beds: readonly Bedful[]; readonly tooLarge: readonly string[] } => {
  const { width, height, margin } = bed;
  const items = cutouts.map((cutout, index) => ({
    id: String(index).padStart(5, '0'),
    width: Math.ceil(cutout.width),
    height: Math.ceil(cutout.height),
    lies: 'either' as const,
    outline: cutout.outline && cutout.outline.outline.length + cutout.outline.holes.flat().length <= 60 ? cutout.outline : undefined,
  }));
  const { sheets, tooLarge } = layOut(
    items,
    [{ name: 'bed', width, height, price: null, atHand: 0, offcut: null }],
    { gap: BETWEEN, trim: { left: margin, right: margin, top: margin, bottom: margin }, mode: 'free', wishes: USUAL_WISHES },
    { ...FIRST_ANSWER, random: seededRandom(1), tries: 40 },
  );
  const beds = sheets.map(({ placements }): Bedful => {
    const laid = placements.map((placement) => {
      const cutout = cutouts[Number(placement.id)] as Cutout;
      const lie = oriented(cutout, placement);
      const place = (point: Point): Point => {
        const [x, y] = lie(point);
        return [placement.x + x, placement.y + y];
      };
      return {
        tag: cutout.tag,
        strokes: cutout.strokes.map((stroke): Stroke => ({ ...stroke, points: stroke.points.map(place) })),
        texts: cutout.texts.map((text) => ({ ...text, at: place(text.at) })),
      };
    });
    const order = (layer: PlotLayer) => PLOT_LAYERS.indexOf(layer);
    return {
      width,
      height,
      tags: laid.map(({ tag }) => tag),
      strokes: laid.flatMap(({ strokes }) => strokes).sort((a, b) => order(a.layer) - order(b.layer)),
      texts: laid.flatMap(({ texts }) => texts),
    };
  });
  return { beds, tooLarge: tooLarge.map((id) => (cutouts[Number(id)] as Cutout).tag) };
};

/** Told apart by dash and weight as well as by colour. */
const STYLES: Readonly<Record<PlotLayer, string>> = {
  cut: 'fill="none" stroke="#2b2440" stroke-width="0.25"',
  score: 'fill="none" stroke="#b0435a" stroke-width="0.2" stroke-dasharray="4 1.5"',
  fold: 'fill="none" stroke="#b0435a" stroke-width="0.2" stroke-dasharray="1.4 1.4"',
  glue: 'fill="none" stroke="#55753f" stroke-width="0.1" stroke-dasharray="0.4 0.6"',
  guide: 'fill="none" stroke="#6b6278" stroke-width="0.15" stroke-dasharray="1.2 1.2"',
  text: WORD_STYLE,
};

/** White (black on paper), red, magenta, green, grey, blue. */
const COLOURS: Readonly<Record<PlotLayer, number>> = { cut: 7, score: 1, fold: 6, glue: 3, guide: 8, text: 5 };

const layersOf = ({ strokes, texts }: Bedful): readonly FileLayer[] =>
  PLOT_LAYERS.map((id) => ({ id, lines: strokes.filter(({ layer }) => layer === id), texts: id === 'text' ? texts : [] }));

/** A bed as SVG at true size, each kind of line in a layer of its own. */
export const plotSvg = (bed: Bedful): string => layersSvg(bed.width, bed.height, layersOf(bed), STYLES);

/** A bed as DXF in millimetres at true size, each kind of line on a layer of its own. */
export const plotDxf = (bed: Bedful): string => layersDxf(layersOf(bed), COLOURS);
