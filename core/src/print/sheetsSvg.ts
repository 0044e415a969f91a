import type { Placement, SheetKind } from '../cut/index.ts';

/** A sheet to draw: its heading and what lies on it, µm, y up. */
export type SheetDrawing = {
  readonly heading: string;
  readonly kind: SheetKind;
  readonly placements: readonly (Placement & { readonly tag: string; readonly width: number; readonly height: number })[];
};

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

const mm = (micrometres: number): number => Number((micrometres / 1000).toFixed(3));

const drawSheet = ({ heading, kind, placements }: SheetDrawing, low: number): string => {
  const parts = placements.map(({ tag, x, y, width, height, rotated }) => {
    const [w, h] = rotated ? [height, width] : [width, height];
    const size = mm(Math.min(w, h)) * 0.4;
    const top = kind.height - y - h;
    return (
      `<rect x="${mm(x)}" y="${mm(top)}" width="${mm(w)}" height="${mm(h)}" fill="#efe6d3" stroke="#2b2440" stroke-width="0.4"/>` +
      `<text x="${mm(x + w / 2)}" y="${mm(top + h / 2)}" font-size="${Math.min(size, 12)}" text-anchor="middle" dominant-baseline="central">${escaped(tag)}</text>`
    );
  });
  return (
    `<g transform="translate(10 ${mm(low) + 12})"><text y="-3" font-size="8">${escaped(heading)}</text>` +
    `<rect width="${mm(kind.width)}" height="${mm(kind.height)}" fill="#fffefb" stroke="#6b6278" stroke-width="0.6"/>${parts.join('')}</g>`
  );
};

/** All sheets below one another in one SVG, a millimetre to the unit and at true size. */
export const sheetsSvg = (sheets: readonly SheetDrawing[]): string => {
  const width = Math.max(100_000, ...sheets.map(({ kind }) => kind.width)) + 20_000;
  let low = 0;
  const drawn = sheets.map((sheet) => {
    const at = low;
    low += sheet.kind.height + 20_000;
    return drawSheet(sheet, at);
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(low)}mm" viewBox="0 0 ${mm(width)} ${mm(low)}" font-family="sans-serif">${drawn.join('\n')}</svg>\n`;
};
