import type { SetDocument } from '@parlor/core/set';

/** The piece whose view is open, the first where a view begins with that: it is worked out first. */
export const lookedAt = ({ pieces }: SetDocument): string | null => {
  const [, view, named] = /\/(pieces|coverings|goods|room)(?:\/([^/]+))?/.exec(globalThis.location?.pathname ?? '') ?? [];
  return named ?? (view === 'pieces' ? (pieces[0]?.id ?? null) : null);
};
