// Paints what is printed on a canvas: the very marks that go to the printer.
import { paintTones } from '@parlor/core/cover';
import { fittedWords, type Mark, type WordsMark } from '@parlor/core/print';
import type { Point, Rect, Ring } from '@parlor/core/shape';
import { fontOf, widthsOf } from './lookCanvas.ts';
import { pictureImage } from './pictures.ts';

type Paper = { readonly pen: CanvasRenderingContext2D; readonly window: Rect; readonly scale: number };

const at = ({ window, scale }: Paper, [x, y]: Point): Point => [(x - window.x0) * scale, (window.y1 - y) * scale];

const trace = (paper: Paper, rings: readonly Ring[]): void => {
  const { pen } = paper;
  pen.beginPath();
  for (const ring of rings) {
    ring.forEach((point, index) => {
      const [x, y] = at(paper, point);
      if (index === 0) pen.moveTo(x, y);
      else pen.lineTo(x, y);
    });
    pen.closePath();
  }
};

/** Letters are set in tenths of a millimetre: fonts of thousands of pixels are slow. */
const UNIT = 100;

const words = ({ pen, window, scale }: Paper, { lines, face, align, colour, width, height, matrix }: WordsMark): void => {
  const [a, b, c, d, e, f] = matrix;
  const widths = widthsOf(lines, face);
  const { size, middles } = fittedWords(widths, { width, height });
  pen.save();
  const by = scale * UNIT;
  pen.transform(a * by, -b * by, -c * by, d * by, (c * height + e - window.x0) * scale, (window.y1 - d * height - f) * scale);
  pen.fillStyle = colour;
  pen.font = fontOf(face, size / UNIT);
  pen.textBaseline = 'middle';
  lines.forEach((line, index) => {
    const x = align === 'middle' ? (width - (widths[index] as number) * size) / 2 : 0;
    pen.fillText(line, x / UNIT, (height - (middles[index] as number)) / UNIT);
  });
  pen.restore();
};

const paint = (paper: Paper, mark: Mark): void => {
  const { pen, window, scale } = paper;
  switch (mark.kind) {
    case 'fill':
      pen.fillStyle = mark.colour;
      trace(paper, mark.rings);
      pen.fill('evenodd');
      return;
    case 'group':
      pen.save();
      trace(paper, mark.clip);
      pen.clip('evenodd');
      for (const each of mark.marks) paint(paper, each);
      pen.restore();
      return;
    case 'words':
      words(paper, mark);
      return;
    case 'picture': {
      const image = pictureImage(mark.picture);
      const [a, b, c, d, e, f] = mark.matrix;
      if (!image) return;
      pen.save();
      // The unit square's y runs up, the picture's down.
      pen.transform(a * scale, -b * scale, -c * scale, d * scale, (c + e - window.x0) * scale, (window.y1 - d - f) * scale);
      pen.drawImage(image, 0, 0, 1, 1);
      pen.restore();
      return;
    }
    case 'tones': {
      const tones = paintTones(mark.look, mark.window, 1 / scale);
      if (!tones) return;
      const image = new ImageData(tones.width, tones.height);
      tones.pixels.forEach((pixel, index) => {
        for (let part = 0; part < 3; part += 1) image.data[index * 4 + part] = tones.palette[pixel * 3 + part] as number;
        image.data[index * 4 + 3] = 255;
      });
      const sheet = document.createElement('canvas');
      [sheet.width, sheet.height] = [tones.width, tones.height];
      sheet.getContext('2d')?.putImageData(image, 0, 0);
      const { cos, sin, dx, dy } = mark.place;
      const { x0, y0, x1, y1 } = mark.window;
      pen.save();
      pen.transform(cos * scale, -sin * scale, sin * scale, cos * scale, (dx - window.x0) * scale, (window.y1 - dy) * scale);
      pen.drawImage(sheet, x0, -y1, x1 - x0, y1 - y0);
      pen.restore();
      return;
    }
    default:
  }
};

/** Marks within a window of their sheet, on paper of a colour; so many pixels to the millimetre, fewer where a side would be longer than a graphics card takes. */
export const paintedMarks = (marks: readonly Mark[], window: Rect, ground: string, fine: number, most: number): HTMLCanvasElement => {
  const canvas = document.createElement('canvas');
  const [width, height] = [window.x1 - window.x0, window.y1 - window.y0];
  const scale = Math.min(fine / 1000, most / Math.max(width, height, 1));
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const pen = canvas.getContext('2d');
  if (!pen) return canvas;
  pen.fillStyle = ground;
  pen.fillRect(0, 0, canvas.width, canvas.height);
  for (const mark of marks) paint({ pen, window, scale: canvas.width / width }, mark);
  return canvas;
};
