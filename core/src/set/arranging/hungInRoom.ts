// µm, doll size. What hangs at a room's windows: whether its rod and brackets have room between the walls and the things there.
import { type Boxed, boxed, boxesOverlap } from '../../assembly/index.ts';
import { dollOf, dollUm, inWorld, isDollSize, type Scale, UM } from '../../measure/index.ts';
import { belongs } from '../../piece/index.ts';
import { type RoomSpace, type StandingThing, shares } from '../../room/index.ts';
import type { Piece, SetDocument } from '../document/document.ts';
import type { Finding, Mend } from '../findings/finding.ts';
import { mendPiece } from '../findings/judged.ts';

type Hung = { readonly piece: Piece; readonly hard: Boxed };

/** Cloth gives way; rods, brackets and boards do not. */
const hardOf = (body: Boxed): Boxed => boxed(body.parts.filter(({ stuff }) => stuff === 'board' || stuff === 'stick' || stuff === 'wire'));

/** A rod ends so far before a wall. Common practice, no source. */
const SHORT_OF = 1 * UM.mm;

/** The rod of a curtain cut short of what it runs into; nothing where it would be shorter than its window. */
const shorterRod = (piece: Piece, hard: Boxed, other: Boxed, scale: Scale): Mend | null => {
  if (!('beyond' in piece) || piece.form !== 'curtain') return null;
  const { min, max } = hard.whole;
  const long = max[0] - min[0] > max[2] - min[2] ? 0 : 2;
  const into = hard.boxes.flatMap((mine) =>
    other.boxes.flatMap((its) => (boxesOverlap(mine, its) ? [Math.min(max[long] - its.min[long], its.max[long] - min[long])] : [])),
  );
  const beyond = Math.floor((dollOf(piece.beyond, scale) - Math.max(...into) - SHORT_OF) / UM.mm) * UM.mm;
  if (beyond < 0) return null;
  const decided = inWorld({ doll: dollUm(beyond) }, isDollSize(piece.beyond) ? 'doll' : 'real', scale);
  return mendPiece(piece, 'shorter-rod', { beyond: decided });
};

/** What of a room's curtains, blinds and the like runs into its walls, into things that stand there, or into each other. */
export const hungFindings = (
  document: SetDocument,
  roomId: string,
  space: RoomSpace,
  standing: readonly StandingThing[],
  onThings: readonly { readonly piece: string; readonly body: Boxed }[],
  scale: Scale,
): readonly Finding[] => {
  const hung = onThings.flatMap(({ piece: id, body }): readonly Hung[] => {
    const piece = document.pieces.find((each) => each.id === id);
    return piece && belongs(piece) && piece.on?.piece === roomId ? [{ piece, hard: hardOf(body) }] : [];
  });
  const nameOf = (id: string): string => document.pieces.find((piece) => piece.id === id)?.name ?? '';
  const clash = ({ piece, hard }: Hung, other: string, body: Boxed): readonly Finding[] =>
    shares(hard, body)
      ? [
          {
            code: 'things-clash',
            severity: 'error',
            one: piece.name,
            other,
            numbers: {},
            where: { pieceId: piece.id },
            mend: shorterRod(piece, hard, body, scale),
          },
        ]
      : [];
  return hung.flatMap((one, index) => [
    ...clash(one, '', space.shell),
    ...standing.flatMap(({ placed, body }) => clash(one, nameOf(placed.piece), body)),
    ...hung.slice(index + 1).flatMap((other) => clash(one, other.piece.name, other.hard)),
  ]);
};
