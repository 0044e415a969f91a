import type { Slant } from '../../assembly/index.ts';
import { showLength, type Units } from '../../measure/index.ts';

/** Angles nearer than this, in degrees, are one to any saw. */
const SAME_ANGLE = 0.15;

/** Slanting cuts in words: the angle off square that saw or knife is set to, and the length to the short point where the long one is the part's own
 *  length. Equal ends are said once. */
export const slantWords = (slants: readonly Slant[], units: Units): readonly string[] => {
  const kinds = new Map<string, { readonly angles: number[]; readonly at: Slant['at']; readonly short: number }>();
  for (const { at, angle, short } of slants) {
    const kind = kinds.get(`${at} ${short}`) ?? { angles: [], at, short };
    kind.angles.push((angle * 180) / Math.PI);
    kinds.set(`${at} ${short}`, kind);
  }
  return [...kinds.values()].map(({ angles, at, short }) => {
    const told = angles.filter((angle, index) => !angles.slice(0, index).some((other) => Math.abs(other - angle) < SAME_ANGLE));
    const [different, plural] = [[...new Set(told.map((angle) => `${Number(angle.toFixed(1))}°`))], angles.length > 1 ? `${at}s` : at];
    return `${different.length < angles.length ? 'both ' : ''}${plural} at ${different.join(' and ')}, ${showLength(short, units)} at the short point`;
  });
};
