import type { Assembly, Inspection, Part, Spliced } from '../../assembly/index.ts';
import type { CutGroup, Trim } from '../../cut/index.ts';
import type { Built, Means } from '../../piece/index.ts';
import type { Piece } from '../document/document.ts';
import type { PieceChange } from '../document/edit.ts';
import type { Mend } from './finding.ts';

/** What the findings of a piece are made from. */
export type Judged<P extends Piece = Piece> = {
  readonly piece: P;
  readonly means: Means;
  readonly trim: Trim;
  readonly built: Built;
  readonly inspection: Inspection;
  readonly groups: readonly CutGroup[];
  readonly joined: readonly Spliced[];
};

/** A mend that changes the piece itself. */
export const mendPiece = (piece: Piece, kind: Mend['kind'], change: PieceChange, detail = '', size?: number): Mend => ({
  kind,
  detail,
  size,
  edit: { kind: 'change-piece', id: piece.id, change },
});

/** Ids of parts by index. */
export const idsOf = (assembly: Assembly, indices: readonly number[]): readonly string[] =>
  indices.map((index) => assembly.parts[index]?.id ?? '');

/** The tag and name of a part, as its template says. */
export const tagged = ({ built, groups }: Judged, index: number): string => {
  const name = built.assembly.parts[index]?.name ?? '';
  const group = groups.find(({ parts }) => parts.includes(index));
  return group ? `${group.tag} ${group.name}` : name;
};

export const indexOf = ({ built }: Judged, id: string): number => built.assembly.parts.findIndex((part: Part) => part.id === id);
