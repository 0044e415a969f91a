import type { Slant } from '../assembly/index.ts';
import { showLength, type Units } from '../measure/index.ts';

/** Slanting cuts in words: the angle off square that saw or knife is set to, and the length at the short point; the long one is the part's own. Equal
 *  ends are said once. */
export const slantWords = (slants: readonly Slant[], units: Units): readonly string[] => {
  const said = slants.map(({ at, angle, long, short }) => {
    const degrees = `${Number(((angle * 180) / Math.PI).toFixed(1))}°`;
    return `${at === 'end' ? 'end' : 'edge'} ${degrees}: ${showLength(long, units)} to the long point, ${showLength(short, units)} to the short`;
  });
  return [...new Set(said)].map((words) =>
    said.filter((each) => each === words).length === 2 ? words.replace(/^(end|edge) /, 'both $1s ') : words,
  );
};
