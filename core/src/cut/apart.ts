// µm, doll size. A lower bound by pairs: parts of which no two can be cut from one sheet.
/** A rectangle to be cut `count` times; `turns` when it may also lie on its side. */
export type BoundItem = { readonly width: number; readonly height: number; readonly count: number; readonly turns: boolean };

export type BoundSheet = { readonly width: number; readonly height: number };

export type OneItem = Omit<BoundItem, 'count'>;

const waysOf = ({ width, height, turns }: OneItem): readonly (readonly [number, number])[] =>
  turns && width !== height
    ? [
        [width, height],
        [height, width],
      ]
    : [[width, height]];

/** Whether two rectangles can be cut from one sheet: then they lie side by side, or one above the other. */
const pairFits = (one: OneItem, other: OneItem, sheet: BoundSheet): boolean =>
  waysOf(one).some(([w, h]) =>
    waysOf(other).some(
      ([v, g]) => (w + v <= sheet.width && Math.max(h, g) <= sheet.height) || (h + g <= sheet.height && Math.max(w, v) <= sheet.width),
    ),
  );

/** How many there are of which no two can share a sheet of any kind, gathered from the largest on: so many sheets are needed at least. */
export const apartFromAll = (items: readonly BoundItem[], kinds: readonly BoundSheet[]): number => {
  const share = (one: OneItem, other: OneItem): boolean => kinds.some((kind) => pairFits(one, other, kind));
  const apart: BoundItem[] = [];
  let found = 0;
  for (const item of items.toSorted((a, b) => b.width * b.height - a.width * a.height)) {
    if (apart.some((other) => share(item, other))) continue;
    apart.push(item);
    found += share(item, item) ? 1 : item.count;
  }
  return found;
};
