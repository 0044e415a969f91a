// Which of a piece's boards it is cut from.
import { buildPiece, fieldsOf } from './families.ts';
import { type Field, isFieldShown, withValueAt } from './family/field.ts';
import { boardFor, type Means } from './family/means.ts';
import type { Piece } from './models.ts';

/** The roles from whose boards something of a piece is cut; those of a piece that cannot be built are all of them. */
export const rolesOf = (piece: Piece, means: Means): readonly string[] => {
  const roles = fieldsOf(piece).flatMap(({ path, kind }) => (kind.kind === 'board' ? [path[1] as string] : []));
  // Every role has a board of its own, as thick as the one that it has; what is cut from it bears its name.
  const boards = roles.map((role) => ({ ...boardFor(piece.boards, role, means.boards), id: `role ${role}` }));
  const apart = roles.reduce((made, role) => withValueAt(made, ['boards', role], `role ${role}`), piece);
  const built = buildPiece(apart, { ...means, boards });
  if (!built.ok || roles.length === 0) return roles;
  const stocks = new Set(built.value.assembly.parts.map(({ stock }) => stock));
  return roles.filter((role) => stocks.has(`role ${role}`));
};

/** What is decided about a piece as it is: fields that mean something, and of the boards those from which something is cut. `roles` are those of
 *  the piece as it is built, where that is known; `owner` is what the fields are read from, where that is only a part of the piece. */
export const shownFields = (piece: Piece, roles: readonly string[] | undefined, owner: unknown = piece): readonly Field[] =>
  fieldsOf(piece).filter(
    (field) =>
      isFieldShown(field, owner) &&
      (roles === undefined || !['board', 'layers'].includes(field.kind.kind) || roles.includes(field.path[1] ?? '')),
  );
