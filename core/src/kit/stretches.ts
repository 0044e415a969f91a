/** Part of a line, from one place on it to another. */
export type Stretch = readonly [from: number, to: number];

/** What is left of stretches of one line when another is taken from them. */
export const lessStretch = (whole: readonly Stretch[], [from, to]: Stretch): readonly Stretch[] =>
  whole.flatMap(([a, b]): readonly Stretch[] =>
    to <= a || from >= b ? [[a, b]] : [...(from > a ? [[a, from] as const] : []), ...(to < b ? [[to, b] as const] : [])],
  );
