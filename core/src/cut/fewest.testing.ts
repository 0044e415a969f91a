/** The fewest stretches of one capacity that hold all lengths, by trying every way; for a dozen lengths at the most. */
export const fewest = (lengths: readonly number[], capacity: number): number => {
  const sorted = [...lengths].sort((a, b) => b - a);
  let best = sorted.length;
  const lay = (at: number, rests: readonly number[]): void => {
    if (rests.length >= best) return;
    const length = sorted[at];
    if (length === undefined) {
      best = rests.length;
      return;
    }
    rests.forEach((rest, index) => {
      if (rest < length || rests.indexOf(rest) !== index) return;
      const after = rests.map((each, other) => (other === index ? each - length : each));
      lay(at + 1, after);
    });
    lay(at + 1, [...rests, capacity - length]);
  };
  lay(0, []);
  return best;
};
