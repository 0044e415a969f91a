import type { Point, Ring } from '../shape/index.ts';
import { type BoardPlan, PLAN_GAP, PLAN_LAYERS, type PlanLayer, stacked } from './boardPlan.ts';
import { escaped, mm } from './svgText.ts';

/** Told apart by dash and weight as well as by colour. */
const STYLES: Readonly<Record<PlanLayer, string>> = {
  sheet: 'fill="#fffefb" stroke="#6b6278" stroke-width="0.6"',
  cut: 'fill="none" stroke="#2b2440" stroke-width="0.4"',
  score: 'fill="none" stroke="#b0435a" stroke-width="0.3" stroke-dasharray="4 1.5"',
  guide: 'fill="none" stroke="#6b6278" stroke-width="0.2" stroke-dasharray="1.2 1.2"',
  text: 'fill="#2b2440" stroke="none" text-anchor="middle" dominant-baseline="central" font-family="sans-serif"',
};

/** All boards one above the other in one SVG at true size, a millimetre to the unit, each kind of line in a layer of its own. */
export const boardsSvg = (plans: readonly BoardPlan[]): string => {
  const { width, height, lows } = stacked(plans);
  const place = ([x, y]: Point, plan: number): string => `${mm(PLAN_GAP + x)} ${mm(height - (lows[plan] as number) - y)}`;
  const path = (ring: Ring, plan: number): string => `<path d="M${ring.map((point) => place(point, plan)).join('L')}Z"/>`;
  const layers = PLAN_LAYERS.map((layer) => {
    const drawn = plans.flatMap(({ rings, texts, heading, height: high }, plan) => {
      if (layer !== 'text') return rings.filter((each) => each.layer === layer).map(({ ring }) => path(ring, plan));
      return [
        { at: [0, high + 4_000] as Point, high: 8_000, text: heading, start: true },
        ...texts.map((text) => ({ ...text, start: false })),
      ].map(({ at, high: size, text, start }) => {
        const [x, y] = place(at, plan).split(' ');
        return `<text x="${x}" y="${y}" font-size="${mm(size)}"${start ? ' text-anchor="start"' : ''}>${escaped(text)}</text>`;
      });
    });
    return `<g id="${layer}" ${STYLES[layer]}>${drawn.join('')}</g>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}">${layers.join('\n')}</svg>\n`;
};
