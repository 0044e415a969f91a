// µm, doll size. What does not suit those who use a piece.

import { fitOf } from '../fit/fit.ts';
import type { Finding } from './finding.ts';
import { type Judged, mendPiece } from './judged.ts';

/** Sizes of a piece that do not suit a doll who uses it: what is wrong is warned of, what is odd is noted. */
export const unsuited = ({ piece, built, means }: Judged): readonly Finding[] =>
  fitOf(piece, built.assembly, means).flatMap((fit): readonly Finding[] => {
    if (fit.off === null) return [];
    return [
      {
        code: 'does-not-suit',
        severity: fit.verdict === 'wrong' ? 'warning' : 'note',
        rule: fit.rule,
        of: fit.of,
        doll: fit.doll,
        off: fit.off,
        numbers: { value: fit.value, low: fit.low ?? -1, high: fit.high ?? -1 },
        where: { pieceId: piece.id },
        mend: fit.change && mendPiece(piece, 'suit', fit.change, fit.doll, fit.better),
      },
    ];
  });
