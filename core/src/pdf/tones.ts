// Looks of tones in a PDF: squares of their plane, each of which stands in the file once.
import { zlibSync } from 'fflate';
import { moveBy, paintTones, TONES_EDGE } from '../cover/index.ts';
import type { TonesMark } from '../print/index.ts';
import { rectRing } from '../shape/index.ts';
import { type Document, drawRings, points, type Ref, rawOf } from './raw.ts';

/** Sixty-four tones are more than paper tells apart, and take half the room and time of 256. */
const toSixtyFour = (tones: Uint8Array): Uint8Array => {
  for (let index = 0; index < tones.length; index += 1) tones[index] = (tones[index] as number) & 0xfc;
  return tones;
};

/** Squares of a look of tones that stand in the file already, by the look and their place in its plane. */
export type Squares = Map<TonesMark['look'], Plane>;

/** What of a look stands in the file: its colours, and its squares by column and row. */
type Plane = { colours: Ref | null; readonly squares: Map<string, { readonly name: string; readonly image: unknown }> };

/** A plane of tones is cut into squares of so many pixels, and each stands in the file once, however many papers show it. */
const SQUARE = 200;
/** Neighbours overlap by a pixel, so that no white shows between them. */
const LAP = 1;

/** A place in the plane as one on the paper that it is the mirror image of, counted in squares. */
const onPaper = (at: number, count: number): { readonly at: number; readonly mirrored: boolean } => {
  const within = ((at % (2 * count)) + 2 * count) % (2 * count);
  return within < count ? { at: within, mirrored: false } : { at: 2 * count - 1 - within, mirrored: true };
};

/** Turns the unit square that an image fills over, across or up (ISO 32000-1, 8.3.3). */
const turnedOver = (across: boolean, up: boolean): string => `${across ? -1 : 1} 0 0 ${up ? -1 : 1} ${across ? 1 : 0} ${up ? 1 : 0} cm`;

/** A square as an indexed image (ISO 32000-1, 8.9.5 and 8.6.6.3). */
const squareImage = (pdf: Document, look: TonesMark['look'], plane: Plane, column: number, row: number, pixel: number): unknown => {
  const edge = SQUARE * pixel;
  const lap = LAP * pixel;
  const window = { x0: column * edge - lap, y0: row * edge - lap, x1: (column + 1) * edge + lap, y1: (row + 1) * edge + lap };
  const tones = paintTones(look, window, pixel);
  if (!tones) return undefined;
  const raw = rawOf(pdf);
  if (!plane.colours) {
    plane.colours = raw.ref({});
    plane.colours.end(tones.palette);
  }
  const image = raw.ref({
    Type: 'XObject',
    Subtype: 'Image',
    Width: tones.width,
    Height: tones.height,
    BitsPerComponent: 8,
    ColorSpace: ['Indexed', 'DeviceRGB', 255, plane.colours],
    Filter: 'FlateDecode',
  });
  image.end(zlibSync(toSixtyFour(tones.pixels), { level: 1 }));
  return image;
};

/** Pictures of tones at 300 dots to the inch: those squares of the look's plane that the window shows. What of them lies beside it is clipped. */
export const drawTones = (pdf: Document, { look, window, place }: TonesMark, height: number, known: Squares, pixel: number): void => {
  const raw = rawOf(pdf);
  const edge = SQUARE * pixel;
  const plane: Plane = known.get(look) ?? { colours: null, squares: new Map() };
  known.set(look, plane);
  const { squares } = plane;
  const n = (value: number) => Number(value.toFixed(6));
  const { cos, sin } = place;
  const count = Math.round(TONES_EDGE / edge);
  if (Math.abs(count * edge - TONES_EDGE) > 1e-3) throw new Error(`squares of ${SQUARE} dots of ${pixel} µm do not fill a paper`);
  const size = points(edge + 2 * LAP * pixel);
  pdf.save();
  drawRings(pdf, [rectRing(window.x0, window.y0, window.x1, window.y1).map((point) => moveBy(place, point))], height);
  pdf.clip();
  for (let column = Math.floor(window.x0 / edge); column * edge < window.x1; column += 1) {
    for (let row = Math.floor(window.y0 / edge); row * edge < window.y1; row += 1) {
      const [across, up] = [onPaper(column, count), onPaper(row, count)];
      const key = `${across.at} ${up.at}`;
      let entry = squares.get(key);
      if (!entry) {
        const image = squareImage(pdf, look, plane, across.at, up.at, pixel);
        if (!image) continue;
        entry = { name: `Tones${[...known.values()].reduce((sum, its) => sum + its.squares.size, 1)}`, image };
        squares.set(key, entry);
      }
      raw.page.xobjects[entry.name] = entry.image;
      // The image's first row is the lowest of the plane, and its unit square's y runs up.
      const [x, y] = moveBy(place, [column * edge - LAP * pixel, row * edge - LAP * pixel]);
      pdf.save();
      pdf.transform(n(size * cos), n(-size * sin), n(-size * sin), n(-size * cos), n(points(x)), n(points(height - y)));
      if (across.mirrored || up.mirrored) raw.addContent(turnedOver(across.mirrored, up.mirrored));
      raw.addContent(`/${entry.name} Do`);
      pdf.restore();
    }
  }
  pdf.restore();
};
