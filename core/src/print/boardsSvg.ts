import { type BoardPlan, PLAN_LAYERS, type PlanLayer, planLayers, stacked } from './boardPlan.ts';
import { layersSvg, WORD_STYLE } from './layersSvg.ts';

/** Told apart by dash and weight as well as by colour. */
const STYLES: Readonly<Record<PlanLayer, string>> = {
  sheet: 'fill="#fffefb" stroke="#6b6278" stroke-width="0.6"',
  cut: 'fill="none" stroke="#2b2440" stroke-width="0.4"',
  score: 'fill="none" stroke="#b0435a" stroke-width="0.3" stroke-dasharray="4 1.5"',
  'score-behind': 'fill="none" stroke="#b0435a" stroke-width="0.2" stroke-dasharray="1.5 1.5"',
  guide: 'fill="none" stroke="#6b6278" stroke-width="0.2" stroke-dasharray="1.2 1.2"',
  'guide-behind': 'fill="none" stroke="#6b6278" stroke-width="0.15" stroke-dasharray="0.4 1"',
  centre: 'fill="none" stroke="#2b2440" stroke-width="0.15"',
  text: WORD_STYLE,
};

/** All boards one above the other in one SVG at true size, each kind of line in a layer of its own. */
export const boardsSvg = (plans: readonly BoardPlan[]): string => {
  const { width, height } = stacked(plans);
  return layersSvg(width, height, planLayers(plans, PLAN_LAYERS), STYLES);
};
