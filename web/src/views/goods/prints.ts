// What is printed on a net, as pictures.
import type { Net } from '@parlor/core/net';
import { netArt } from '@parlor/core/print';
import type { GoodSheet } from '@parlor/core/set';
import { bounds, type Rect } from '@parlor/core/shape';
import { paintedMarks } from '../../ui/index.ts';

/** Pictures of this many pixels a side are sharp from near by; small things are looked at from nearer, but a millimetre needs no more than this many. */
const MOST = 1400;
const FINE = 60;

/** What is printed on a net, and the window of the net that the picture shows. */
export type Print = { readonly window: Rect; readonly front: HTMLCanvasElement; readonly back: HTMLCanvasElement | null };

const windowOf = (net: Net): Rect => bounds([...net.faces, ...net.tabs].flatMap(({ outline }) => outline));

/** Pictures of both sides of a sheet; the back only where something is printed there. */
export const printOf = ({ sheet }: GoodSheet, paper: string, most = MOST): Print => {
  const window = windowOf(sheet.net);
  const behind = netArt(sheet, true);
  const mirrored: Rect = { ...window, x0: -window.x1, x1: -window.x0 };
  return {
    window,
    front: paintedMarks(netArt(sheet), window, paper, FINE, most),
    back: behind.length > 0 ? paintedMarks(behind, mirrored, paper, FINE, most) : null,
  };
};
