/** A stretch cut into so many of about the same length: the running sums are rounded, so no micrometre is lost. */
export const evenly = (from: number, to: number, count: number): readonly (readonly [number, number])[] =>
  Array.from({ length: count }, (_, index) => {
    const at = (number: number): number => from + Math.round(((to - from) * number) / count);
    return [at(index), at(index + 1)] as const;
  });
