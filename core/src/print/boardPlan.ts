// µm, y up, origin at the sheet's lower left corner.
import type { Point, Ring } from '../shape/index.ts';
import type { FileLayer } from './layersSvg.ts';

/** What a line on a board means: the sheet's own edge; cut through; scored half through for a fold; a pencil line where another part stands; the
 *  centre of a hole. What is scored or pencilled on the face that lies down has a layer of its own. */
export const PLAN_LAYERS = ['sheet', 'cut', 'score', 'score-behind', 'guide', 'guide-behind', 'centre', 'text'] as const;
export type PlanLayer = (typeof PLAN_LAYERS)[number];

export type PlanLine = { readonly layer: Exclude<PlanLayer, 'text'>; readonly points: Ring; readonly closed: boolean };

/** Words in the middle of a part, as high as said; the part's sizes in the maker's units, and what it takes up as it lies. */
export type PlanText = {
  readonly at: Point;
  readonly high: number;
  readonly text: string;
  readonly sizes: string;
  readonly width: number;
  readonly height: number;
};

/** A sheet as it is cut, at true size. */
export type BoardPlan = {
  readonly heading: string;
  /** The sheet's own size, in the maker's units. */
  readonly size: string;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly PlanLine[];
  readonly texts: readonly PlanText[];
};

/** Between two sheets, and round all of them. */
export const PLAN_GAP = 20_000;

/** Where each plan's lower left corner stands when all stand one above the other, the first at the top; and how large all of them are. */
export const stacked = (
  plans: readonly BoardPlan[],
): { readonly width: number; readonly height: number; readonly lows: readonly number[] } => {
  const width = Math.max(100_000, ...plans.map((plan) => plan.width)) + 2 * PLAN_GAP;
  const height = plans.reduce((sum, plan) => sum + plan.height + PLAN_GAP, PLAN_GAP);
  let top = height;
  const lows = plans.map((plan) => {
    top -= PLAN_GAP + plan.height;
    return top;
  });
  return { width, height, lows };
};

/** Plans one above the other, as the layers of a file: each sheet's heading above it, tags in their parts. */
export const planLayers = (plans: readonly BoardPlan[], layers: readonly PlanLayer[]): readonly FileLayer[] => {
  const { lows } = stacked(plans);
  const placed = plans.map((plan, index) => {
    const place = ([x, y]: Point): Point => [PLAN_GAP + x, (lows[index] as number) + y];
    return { plan, place };
  });
  return layers.map((id): FileLayer => {
    if (id !== 'text')
      return {
        id,
        lines: placed.flatMap(({ plan, place }) =>
          plan.lines.filter(({ layer }) => layer === id).map(({ points, closed }) => ({ points: points.map(place), closed })),
        ),
        texts: [],
      };
    const texts = placed.flatMap(({ plan: { heading, height, texts }, place }): FileLayer['texts'] => [
      { at: place([0, height + 4_000]), high: 8_000, text: heading, from: 'start' },
      ...texts.map(({ at, high, text }) => ({ at: place(at), high, text })),
    ]);
    return { id, lines: [], texts };
  });
};
