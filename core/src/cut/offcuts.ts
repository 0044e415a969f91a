// µm, doll size, origin at the lower left of the room inside the trim.

type Place = Size & { readonly x: number; readonly y: number };

type Lying = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
type Size = { readonly width: number; readonly height: number };

/** The largest rectangle of a sheet that nothing lies on, one knife gap away from every part.
 *  Source: every largest empty rectangle is held on all four sides; so between each two lower and upper limits the gaps across are looked at. */
export const largestOffcut = (room: Size, parts: readonly Lying[], gap: number): Place => {
  const grown = parts.map(({ x, y, width, height }) => ({ x0: x - gap, y0: y - gap, x1: x + width + gap, y1: y + height + gap }));
  const lows = [...new Set([0, ...grown.map(({ y1 }) => y1)])].filter((y) => y < room.height);
  let best: Place = { x: 0, y: 0, width: 0, height: 0 };
  for (const low of lows) {
    // What is free across shrinks as the upper limit rises past one part after another.
    const above = grown.filter(({ y1 }) => y1 > low).sort((a, b) => a.y0 - b.y0);
    let free: (readonly [from: number, to: number])[] = [[0, room.width]];
    const look = (high: number): void => {
      for (const [from, to] of free)
        if ((to - from) * (high - low) > best.width * best.height) best = { x: from, y: low, width: to - from, height: high - low };
    };
    for (const { x0, x1, y0 } of above) {
      if (y0 > low) look(Math.min(y0, room.height));
      free = free.flatMap(([from, to]): (readonly [number, number])[] => {
        if (x1 <= from || x0 >= to) return [[from, to]];
        return [[from, Math.min(to, x0)] as const, [Math.max(from, x1), to] as const].filter(([start, end]) => end > start);
      });
    }
    look(room.height);
  }
  return best;
};
