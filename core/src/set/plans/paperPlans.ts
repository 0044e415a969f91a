// µm. Sheets and lengths of a roll that no printer prints: what is cut from each, and where the pattern begins on it.
import { formatNumber } from '../../measure/index.ts';
import type { BoardPlan } from '../../print/index.ts';
import { rectRing } from '../../shape/index.ts';
import type { SetDocument } from '../document/document.ts';
import type { PaperNeed } from './paperNeeds.ts';

/** A plan for each sheet, or for the length of a roll.
 *  Shape: what finishes need → plans in the order of the tray. */
export const paperPlans = (document: SetDocument, needs: readonly PaperNeed[]): readonly BoardPlan[] => {
  const { units } = document;
  const sizes = (width: number, height: number): string =>
    `${formatNumber(width, units).text} × ${formatNumber(height, units).text} ${units.unit}`;
  const short = (width: number, height: number): string => `${formatNumber(width, units).text} × ${formatNumber(height, units).text}`;
  return needs.flatMap((need) => {
    if (!('laid' in need)) return [];
    const finish = document.finishes.find(({ id }) => id === need.finish);
    return need.laid.map(({ width, height, cuts }, index): BoardPlan => {
      const which = need.kind === 'roll' ? 'off the roll' : `sheet ${index + 1} of ${need.laid.length}`;
      return {
        heading: `${finish?.name ?? ''} · ${which}${cuts.some(({ begins }) => begins) ? ' · from: where the pattern’s first lines run' : ''}`,
        size: sizes(width, height),
        width,
        height,
        lines: [
          { layer: 'sheet', points: rectRing(0, 0, width, height), closed: true },
          ...cuts.map((cut) => ({
            layer: 'cut' as const,
            points: rectRing(cut.x, cut.y, cut.x + cut.width, cut.y + cut.height),
            closed: true,
          })),
        ],
        texts: cuts.map((cut) => ({
          at: [cut.x + cut.width / 2, cut.y + cut.height / 2],
          high: Math.min(12_000, Math.min(cut.width, cut.height) * 0.4),
          text: cut.tag,
          sizes: cut.begins ? `${short(cut.width, cut.height)}, from ${short(cut.begins.x, cut.begins.y)}` : short(cut.width, cut.height),
          width: cut.width,
          height: cut.height,
        })),
      };
    });
  });
};
