import type { Sheet } from '@parlor/core/cut';
import { formatNumber, type Units } from '@parlor/core/measure';
import type { partsById } from '@parlor/core/set';

/** The parts of a set by their ids. */
export type Parts = ReturnType<typeof partsById>;

/** The drawing in words: what lies where, from the sheet's lower left corner. */
export const SheetTable = ({
  sheet,
  parts,
  units,
  number,
  onPick,
}: {
  readonly sheet: Sheet;
  readonly parts: Parts;
  readonly units: Units;
  readonly number: number;
  readonly onPick: (part: string) => void;
}) => (
  <details>
    <summary className="text-small min-h-touch flex items-center underline underline-offset-4 decoration-dotted">as a table</summary>
    <table className="text-small w-full text-right mb-3">
      <caption className="text-left text-graphite">
        Sheet {number}, from its lower left corner, {units.unit}
      </caption>
      <thead>
        <tr className="text-graphite border-b border-tab">
          <th className="text-left font-normal">part</th>
          <th className="font-normal">size</th>
          <th className="font-normal">right</th>
          <th className="font-normal">up</th>
        </tr>
      </thead>
      <tbody>
        {sheet.placements.map(({ id, x, y, turn }) => {
          const part = parts.get(id);
          if (!part) return null;
          const [width, height] = turn % 2 === 1 ? [part.height, part.width] : [part.width, part.height];
          const show = (length: number) => formatNumber(length, units).text;
          return (
            <tr key={id} className="border-b border-dashed border-tab">
              <th scope="row" className="text-left font-normal">
                <button
                  type="button"
                  className="underline decoration-dotted underline-offset-4 text-left min-h-6"
                  onClick={() => onPick(id)}
                >
                  {part.tag} {part.name}
                </button>
              </th>
              <td className="whitespace-nowrap">
                {show(width)} × {show(height)}
              </td>
              <td>{show(x)}</td>
              <td>{show(y)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  </details>
);
