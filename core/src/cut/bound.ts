// µm, doll size. A lower bound on the number of sheets, by dual feasible functions: maps f with Σ f(xᵢ) ≤ f(C) whenever Σ xᵢ ≤ C,
// so that the mapped areas still bound the sheets. Source: Fekete & Schepers, "A general framework for bounds for higher-dimensional
// orthogonal packing problems" (2004), the families u(k) and U(ε); recalled from memory, tested against enumeration.

/** A rectangle to be cut `count` times; `turns` when it may also lie on its side. */
export type BoundItem = { readonly width: number; readonly height: number; readonly count: number; readonly turns: boolean };

type Feasible = (length: number) => number;

/** u(k): lengths that are a whole multiple of C/(k+1) keep their share, others round down to k-ths. */
const stepped =
  (capacity: number, k: number): Feasible =>
  (length) => {
    const scaled = (length * (k + 1)) / capacity;
    return Number.isInteger(scaled) ? length / capacity : Math.floor(scaled) / k;
  };

/** U(ε): what is larger than C − ε counts whole, what is smaller than ε not at all. */
const threshold =
  (capacity: number, least: number): Feasible =>
  (length) => {
    if (length > capacity - least) return 1;
    return length >= least ? length / capacity : 0;
  };

const families = (capacity: number, lengths: readonly number[]): readonly Feasible[] => {
  const halves = [...new Set(lengths.filter((length) => length <= capacity / 2))].sort((a, b) => b - a).slice(0, 24);
  return [
    (length) => length / capacity,
    ...[1, 2, 3, 4, 5].map((k) => stepped(capacity, k)),
    ...halves.map((least) => threshold(capacity, least)),
  ];
};

/** The least number of sheets that could hold the items: no layout uses fewer.
 *  Units: µm; knife gaps are to be added to items and sheet alike beforehand. An item that may turn counts the cheaper way. */
export const leastSheets = (items: readonly BoundItem[], sheet: { readonly width: number; readonly height: number }): number => {
  const lengths = (pick: (item: BoundItem) => number) => items.flatMap((item) => (item.turns ? [item.width, item.height] : [pick(item)]));
  const across = families(
    sheet.width,
    lengths((item) => item.width),
  );
  const along = families(
    sheet.height,
    lengths((item) => item.height),
  );
  let best = 0;
  for (const f of across) {
    for (const g of along) {
      const total = items.reduce((sum, { width, height, count, turns }) => {
        const upright = fitsIn(width, height, sheet) ? f(width) * g(height) : Number.POSITIVE_INFINITY;
        const turned = turns && fitsIn(height, width, sheet) ? f(height) * g(width) : Number.POSITIVE_INFINITY;
        return sum + count * Math.min(upright, turned);
      }, 0);
      // The last digits of the sum are noise: 2.0000000001 sheets are two.
      best = Math.max(best, Math.ceil(total - 1e-9));
    }
  }
  return best;
};

const fitsIn = (width: number, height: number, sheet: { readonly width: number; readonly height: number }): boolean =>
  width <= sheet.width && height <= sheet.height;
