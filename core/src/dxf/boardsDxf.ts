import { type BoardPlan, PLAN_LAYERS, type PlanLayer, planLayers } from '../print/index.ts';
import { layersDxf } from './layersDxf.ts';

/** Grey, white (black on paper), red, magenta, green, light grey, cyan, blue. */
const COLOURS: Readonly<Record<PlanLayer, number>> = {
  sheet: 8,
  cut: 7,
  score: 1,
  'score-behind': 6,
  guide: 3,
  'guide-behind': 9,
  centre: 4,
  text: 5,
};

/** All boards one above the other in one drawing at true size, each kind of line on a layer of its own. */
export const boardsDxf = (plans: readonly BoardPlan[]): string => layersDxf(planLayers(plans, PLAN_LAYERS), COLOURS);
