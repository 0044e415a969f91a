import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { type FileLayer, mm } from '../print/index.ts';

/** Layers as one drawing in millimetres at true size, which the file says. `colours` gives each layer's number of the index that every reader of
 *  the format knows. */
export const layersDxf = (layers: readonly FileLayer[], colours: Readonly<Record<string, number>>): string => {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const { id } of layers) dxf.addLayer(id, colours[id] ?? 7, 'Continuous');
  for (const { id: layerName, lines, texts } of layers) {
    for (const { points, closed } of lines)
      dxf.addLWPolyline(
        points.map(([x, y]) => ({ point: point2d(mm(x), mm(y)) })),
        { flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName },
      );
    for (const { at, high, text } of texts) dxf.addText(point3d(mm(at[0]), mm(at[1])), mm(high), text, { layerName });
  }
  return dxf.stringify();
};
