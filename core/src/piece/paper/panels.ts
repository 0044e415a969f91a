import type { StandingNet } from '../parts/built.ts';
import type { PrintedArt } from './art.ts';

/** The panels of a net, in order: outside and, where it is printed behind, inside. */
export const panelNames = ({ net }: StandingNet): readonly string[] => [
  ...new Set(net.faces.flatMap(({ name, behind }) => (behind === undefined ? [name] : [name, behind]))),
];

/** The art of a panel: its own, or what all panels of its kind have (“back” for “back 1”, “back 2” …). */
export const artFor = (art: readonly PrintedArt[], panel: string): PrintedArt | undefined =>
  art.find((each) => each.panel === panel) ?? art.find((each) => panel.replace(/ \d+$/, '') === each.panel && panel !== each.panel);
