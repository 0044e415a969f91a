/** Even slats over a length: as many as keep every gap at most so large. Source: n = ceil((L − g) ÷ (w + g)), the true gap
 *  (L − n·w) ÷ (n + 1). */
export const evenSlats = (length: number, width: number, largestGap: number): { readonly count: number; readonly gap: number } => {
  const count = Math.max(0, Math.ceil((length - largestGap) / (width + largestGap)));
  return { count, gap: (length - count * width) / (count + 1) };
};
