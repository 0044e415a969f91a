// A checker that shares no code with the layout: it knows rectangles and nothing of how they came to lie where they do.

type Lying = { readonly id: string; readonly left: number; readonly low: number; readonly right: number; readonly high: number };

/** What may be wrong with a sheet, in words; nothing when it is right. `gap` must lie between any two parts, `trim` inside each edge. */
export const sheetFaults = (width: number, height: number, parts: readonly Lying[], gap: number, trim: number): readonly string[] => {
  const faults: string[] = [];
  for (const [index, one] of parts.entries()) {
    if (one.left < trim || one.low < trim || one.right > width - trim || one.high > height - trim) faults.push(`${one.id} over the edge`);
    for (const other of parts.slice(index + 1)) {
      const apart = Math.max(other.left - one.right, one.left - other.right, other.low - one.high, one.low - other.high);
      if (apart < gap) faults.push(`${one.id} and ${other.id} are ${apart} apart`);
    }
  }
  return faults;
};

/** True when knife and rule can part all pieces with cuts that each run from edge to edge: some line misses every part, and both
 *  sides of it can be cut apart in the same way. */
export const canBeCutStraight = (parts: readonly Lying[]): boolean => {
  if (parts.length <= 1) return true;
  for (const [from, to] of [
    ['left', 'right'],
    ['low', 'high'],
  ] as const) {
    for (const line of new Set(parts.map((part) => part[to]))) {
      const below = parts.filter((part) => part[to] <= line);
      const above = parts.filter((part) => part[from] >= line);
      if (below.length + above.length === parts.length && below.length > 0 && above.length > 0)
        return canBeCutStraight(below) && canBeCutStraight(above);
    }
  }
  return false;
};
