// µm, doll size. What a careful maker would notice about a room's shell itself.
import { type Room, standTogether } from '../../piece/index.ts';
import type { Finding } from './finding.ts';
import type { Judged } from './judged.ts';

/** Less than this under a floor is not felt. Common practice, no source. */
const FELT = 200;

/** Floors of joined shells that no boards at hand bring to one level. */
export const floorsUneven = ({ piece, means }: Judged<Room>): readonly Finding[] =>
  piece.shells.length === 0
    ? []
    : standTogether(piece, means).flatMap(({ uneven }, index): readonly Finding[] =>
        uneven < FELT
          ? []
          : [
              {
                code: 'floors-uneven',
                severity: 'note',
                numbers: { shell: index + 1, by: uneven },
                where: { pieceId: piece.id },
                mend: null,
              },
            ],
      );
