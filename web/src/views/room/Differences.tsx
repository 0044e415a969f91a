import { showLength } from '@parlor/core/measure';
import type { Room } from '@parlor/core/piece';
import { differencesOfShells } from '@parlor/core/set';
import { useMemo } from 'react';
import { useSet, useUnits } from '../../state/index.ts';

/** What the shells of a room lack to be one: what lies under each floor, how far its walls are filled up, how much shallower it is. */
export const Differences = ({ room }: { readonly room: Room }) => {
  const set = useSet();
  const units = useUnits();
  const shells = useMemo(() => differencesOfShells(set, room), [set, room]);
  const show = (um: number): string => (um === 0 ? '–' : showLength(um, { ...units, fine: true }));
  const boardOf = (id: string): string => set.boards.find((board) => board.id === id)?.name ?? id;
  return (
    <section aria-label="How the joined shells differ" className="overflow-x-auto">
      <h3 className="text-note text-graphite">How the joined shells differ, and what makes them one</h3>
      <table className="w-full text-note" data-testid="differences">
        <thead>
          <tr className="text-left text-small text-graphite">
            <th className="font-normal pr-3">shell</th>
            <th className="font-normal pr-3">floor begins at</th>
            <th className="font-normal pr-3">under its floor</th>
            <th className="font-normal pr-3">walls filled up by</th>
            <th className="font-normal pr-3">shallower by</th>
            <th className="font-normal">gap on its left</th>
          </tr>
        </thead>
        <tbody>
          {shells.map(({ from, packing, raise, shallower, gap }, index) => (
            <tr key={index} className="border-t border-tab align-top">
              <th scope="row" className="font-hand font-normal text-left pr-3">
                {index + 1}
              </th>
              <td className="pr-3">{show(from)}</td>
              <td className="pr-3">
                {packing.length === 0
                  ? '–'
                  : packing.map(({ board, one }) => `${showLength(one, { ...units, fine: true })} of ${boardOf(board)}`).join(', ')}
              </td>
              <td className="pr-3">{room.fill ? show(raise) : '–'}</td>
              <td className="pr-3">{show(shallower)}</td>
              <td>{show(gap)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
};
