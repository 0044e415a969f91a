// µm, doll size. Whether those who live in a set can use its pieces: what each piece offers a body, judged by the rules of fit.
import type { Assembly } from '../../assembly/index.ts';
import { type Judgement, judge, proposed } from '../../doll/index.ts';
import type { DollUm } from '../../measure/index.ts';
import { type Means, offersOf, satAt, seatHeightOf } from '../../piece/index.ts';
import type { Piece } from '../document/document.ts';
import type { PieceChange } from '../document/edit.ts';

/** A verdict about one piece and one doll. */
export type BodyFit = Judgement & {
  readonly pieceId: string;
  readonly piece: string;
  /** Which part of it, when it has several: "the back wall’s door". */
  readonly of: string;
  readonly doll: string;
  /** The size that the rule would take, and the change that brings it. */
  readonly better: DollUm;
  readonly change: PieceChange | null;
};

/** How a piece suits each doll who uses it.
 *  Shape: piece, assembly, means → a verdict for each size that a body meets, doll by doll. */
export const fitOf = (piece: Piece, assembly: Assembly, means: Means): readonly BodyFit[] =>
  (means.users ?? []).flatMap(({ name, body, uses }) =>
    uses !== 'all' && !uses.includes(piece.id)
      ? []
      : offersOf(piece, assembly, means, body).map(({ rule, value, of, change }): BodyFit => {
          const better = proposed(rule, body) as DollUm;
          return {
            ...judge(rule, value, body),
            pieceId: piece.id,
            piece: piece.name,
            of,
            doll: name,
            better,
            change: (change?.(better) ?? null) as PieceChange | null,
          };
        }),
  );

/** How high a table's top is over a seat, judged for each doll who uses both. */
export const seatUnder = (table: Piece, seat: Piece, means: Means): readonly BodyFit[] => {
  const at = satAt(table, means);
  const low = seatHeightOf(seat, means);
  if (!at || low === undefined) return [];
  const value = at.height - low;
  return (means.users ?? []).flatMap(({ name, body, uses }) => {
    const both = uses === 'all' || (uses.includes(table.id) && uses.includes(seat.id));
    if (!both || !body.bends.hips) return [];
    const better = (proposed('tableOverSeat', body) + low) as DollUm;
    const change = at.change(better) as PieceChange;
    return [
      {
        ...judge('tableOverSeat', value, body),
        pieceId: table.id,
        piece: table.name,
        of: `with the ${seat.name}`,
        doll: name,
        better,
        change,
      },
    ];
  });
};
