// Draws looks on canvases, from the very patterns that are printed.
import { fillsOf, type Look, paintTones } from '@parlor/core/cover';
import type { Rect } from '@parlor/core/shape';

/** Fills a canvas with a window of a look, as finely as the canvas has pixels. */
export const drawLook = (canvas: HTMLCanvasElement, look: Look, window: Rect): void => {
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
