// Draws looks on canvases, from the very patterns that are printed.
import { fillsOf, type Look, paintTones, picturePlacements, type SignFace, type SignLook } from '@parlor/core/cover';
import { fittedWords } from '@parlor/core/print';
import type { Rect } from '@parlor/core/shape';
import { pictureImage } from './pictures.ts';

/** The faces that signs are written in, as the page knows them; the PDF has the same. */
const FACES = {
  text: '400 100px "Atkinson Hyperlegible Next Variable"',
  name: '600 100px "Fraunces Variable"',
  hand: '400 100px "Shantell Sans Variable"',
} as const;

export const fontOf = (face: SignFace, size: number): string => FACES[face].replace('100px', `${size}px`);

let ruler: CanvasRenderingContext2D | null = null;

/** How wide lines are at size 1, measured with the very face. */
export const widthsOf = (lines: readonly string[], face: SignFace): readonly number[] => {
  ruler ??= document.createElement('canvas').getContext('2d');
  if (!ruler) return lines.map((line) => line.length * 0.54);
  ruler.font = FACES[face];
  return lines.map((line) => (ruler?.measureText(line).width ?? 0) / 100);
};

const drawSign = (pen: CanvasRenderingContext2D, look: SignLook, fit: Rect, window: Rect, scale: number): void => {
  const { width, height, border, lines, face, align } = look;
  const [left, top] = [((fit.x0 + fit.x1 - width) / 2 - window.x0) * scale, (window.y1 - (fit.y0 + fit.y1 + height) / 2) * scale];
  const edge = Math.min(width, height) * 0.025 * scale;
  pen.strokeStyle = look.ink;
  pen.lineWidth = edge;
  if (border) pen.strokeRect(left + edge * 1.5, top + edge * 1.5, width * scale - edge * 3, height * scale - edge * 3);
  const room = border ? edge * 4 : edge;
  const box = { width: width * scale - 2 * room, height: height * scale - 2 * room };
  const widths = widthsOf(lines, face);
  const { size, middles } = fittedWords(widths, box);
  pen.fillStyle = look.ink;
  pen.font = fontOf(face, size);
  pen.textBaseline = 'middle';
  lines.forEach((line, index) => {
    const x = align === 'middle' ? (box.width - (widths[index] as number) * size) / 2 : 0;
    pen.fillText(line, left + room + x, top + room + box.height - (middles[index] as number));
  });
};

const drawPicture = (pen: CanvasRenderingContext2D, look: Look & { kind: 'picture' }, fit: Rect, window: Rect, scale: number): void => {
  const image = pictureImage(look.picture.id);
  if (!image) return;
  const at = ([x, y]: readonly [number, number]) => [(x - window.x0) * scale, (window.y1 - y) * scale] as const;
  for (const { matrix, clip } of picturePlacements(look, window, fit)) {
    pen.save();
    pen.beginPath();
    for (const point of clip) pen.lineTo(...at(point));
    pen.clip();
    const [a, b, c, d, e, f] = matrix;
    // The unit square's y runs up, the picture's down.
    pen.transform(a * scale, -b * scale, -c * scale, d * scale, (c + e - window.x0) * scale, (window.y1 - d - f) * scale);
    pen.drawImage(image, 0, 0, 1, 1);
    pen.restore();
  }
};

/** Fills a canvas with a window of a look, as finely as the canvas has pixels. `fit` is what pictures are fitted to and signs stand in the
 *  middle of. */
export const drawLook = (canvas: HTMLCanvasElement, look: Look, window: Rect, fit: Rect = window): void => {
  const pen = canvas.getContext('2d');
  if (!pen) return;
  const scale = canvas.width / (window.x1 - window.x0 || 1);
  const fills = fillsOf(look, window);
  if (!fills) {
    drawTones(canvas, pen, look, window, 1 / scale);
    return;
  }
  for (const { colour, rings } of fills) {
    pen.fillStyle = colour;
    pen.beginPath();
    for (const ring of rings) {
      ring.forEach(([x, y], index) => {
        const [px, py] = [(x - window.x0) * scale, (window.y1 - y) * scale];
        if (index === 0) pen.moveTo(px, py);
        else pen.lineTo(px, py);
      });
      pen.closePath();
    }
    pen.fill('evenodd');
  }
  if (look.kind === 'sign') drawSign(pen, look, fit, window, scale);
  if (look.kind === 'picture') drawPicture(pen, look, fit, window, scale);
};

const drawTones = (canvas: HTMLCanvasElement, pen: CanvasRenderingContext2D, look: Look, window: Rect, pixel: number): void => {
  const tones = paintTones(look, window, pixel);
  if (!tones) return;
  const { width, height, pixels, palette } = tones;
  const image = pen.createImageData(width, height);
  for (let index = 0; index < pixels.length; index += 1) {
    const colour = (pixels[index] as number) * 3;
    image.data[index * 4] = palette[colour] as number;
    image.data[index * 4 + 1] = palette[colour + 1] as number;
    image.data[index * 4 + 2] = palette[colour + 2] as number;
    image.data[index * 4 + 3] = 255;
  }
  canvas.width = width;
  canvas.height = height;
  pen.putImageData(image, 0, 0);
};

/** A picture of tones for an image element, at screen fineness; remembered by its look and window. */
const known = new Map<string, string>();
const SCREEN_PIXEL = 25_400 / 60;

export const tonesUrl = (look: Look, window: Rect): string => {
  const key = JSON.stringify([look, window]);
  const url = known.get(key);
  if (url) return url;
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round((window.x1 - window.x0) / SCREEN_PIXEL));
  canvas.height = Math.max(1, Math.round((window.y1 - window.y0) / SCREEN_PIXEL));
  drawLook(canvas, look, window);
  const made = canvas.toDataURL('image/png');
  if (known.size > 200) known.clear();
  known.set(key, made);
  return made;
};
