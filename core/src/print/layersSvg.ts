import type { Point, Ring } from '../shape/index.ts';
import { escaped, mm } from './svgText.ts';

/** Lines and words that belong together: a layer of a file, by its name. µm, y up. */
export type FileLayer = {
  readonly id: string;
  readonly lines: readonly { readonly points: Ring; readonly closed: boolean }[];
  readonly texts: readonly { readonly at: Point; readonly high: number; readonly text: string; readonly from?: 'start' | 'middle' }[];
};

/** Layers as one SVG at true size, a millimetre to the unit, which the file says. `styles` gives each layer's attributes. */
export const layersSvg = (
  width: number,
  height: number,
  layers: readonly FileLayer[],
  styles: Readonly<Record<string, string>>,
): string => {
  const place = ([x, y]: Point): string => `${mm(x)} ${mm(height - y)}`;
  const groups = layers.map(({ id, lines, texts }) => {
    const paths = lines.map(({ points, closed }) => `<path d="M${points.map(place).join('L')}${closed ? 'Z' : ''}"/>`);
    const words = texts.map(({ at, high, text, from }) => {
      const [x, y] = place(at).split(' ');
      return `<text x="${x}" y="${y}" font-size="${mm(high)}"${from === 'start' ? ' text-anchor="start"' : ''}>${escaped(text)}</text>`;
    });
    return `<g id="${id}" ${styles[id] ?? ''}>${[...paths, ...words].join('')}</g>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}"><desc>Millimetres, at true size.</desc>${groups.join('\n')}</svg>\n`;
};

/** How words stand in such files. */
export const WORD_STYLE = 'fill="#2b2440" stroke="none" text-anchor="middle" dominant-baseline="central" font-family="sans-serif"';
