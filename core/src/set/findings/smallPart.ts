// µm. What can be swallowed.
import type { Finding } from './finding.ts';

/** What goes whole into the cylinder of toy safety standards is a small part: 31.7 mm across, 57.1 mm deep at its deepest (ISO 8124-1; 16 CFR 1501;
 *  recalled). */
const CYLINDER = { across: 31_700, deep: 57_100 };

/** The note about a thing so large, where it is a small part. */
export const smallPart = ({ id }: { readonly id: string }, size: readonly number[]): readonly Finding[] => {
  const [a, b, c] = [...size].sort((p, q) => p - q) as [number, number, number];
  // Upright in it, its smaller sides lie within a circle.
  return c <= CYLINDER.deep && Math.hypot(a, b) <= CYLINDER.across
    ? [{ code: 'small-part', severity: 'note', numbers: { longest: Math.round(c) }, where: { pieceId: id }, mend: null }]
    : [];
};
