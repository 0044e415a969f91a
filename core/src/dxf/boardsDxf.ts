import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { type BoardPlan, PLAN_GAP, PLAN_LAYERS, stacked } from '../print/index.ts';

const mm = (micrometres: number): number => Number((micrometres / 1000).toFixed(3));

/** Colours of the index that every reader of the format knows: grey, white (black on paper), red, green, blue. */
const COLORS = { sheet: 8, cut: 7, score: 1, guide: 3, text: 5 } as const;

/** All boards one above the other in one drawing in millimetres at true size, each kind of line on a layer of its own. */
export const boardsDxf = (plans: readonly BoardPlan[]): string => {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const layer of PLAN_LAYERS) dxf.addLayer(layer, COLORS[layer], 'Continuous');
  const { lows } = stacked(plans);
  plans.forEach(({ rings, texts, heading, height }, plan) => {
    const [left, low] = [PLAN_GAP, lows[plan] as number];
    for (const { layer, ring } of rings) {
      dxf.addLWPolyline(
        ring.map(([x, y]) => ({ point: point2d(mm(left + x), mm(low + y)) })),
        { flags: LWPolylineFlags.Closed, layerName: layer },
      );
    }
    dxf.addText(point3d(mm(left), mm(low + height + 4_000)), 8, heading, { layerName: 'text' });
    for (const { at, high, text } of texts) dxf.addText(point3d(mm(left + at[0]), mm(low + at[1])), mm(high), text, { layerName: 'text' });
  });
  return dxf.stringify();
};
