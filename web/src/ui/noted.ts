import type { Finding } from '@parlor/core/set';

/** A finding, and of what it is where the list is about several things. */
export type Noted = { readonly finding: Finding; readonly of?: string | undefined };

/** Notes that read the same are told apart by their number, so that none stays when another list comes. */
export const keyed = (notes: readonly Noted[]): readonly (readonly [key: string, note: Noted])[] => {
  const seen = new Map<string, number>();
  return notes.map((note) => {
    const key = `${note.finding.where.pieceId} ${note.finding.code} ${note.of ?? ''}`;
    const nth = seen.get(key) ?? 0;
    seen.set(key, nth + 1);
    return [`${key} ${nth}`, note];
  });
};

export const notesOf = (findings: readonly Finding[]): readonly Noted[] => findings.map((finding) => ({ finding }));
