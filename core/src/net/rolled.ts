// µm, doll size. What is rolled instead of folded: labels round cans, tubes, cones and the shades and cups that are cut from them.

/** A strip that goes round something, so long and so high; `overlap` of it is glued under its other end. */
export type Rolled = { readonly length: number; readonly height: number; readonly overlap: number };

/** The strip for a label or a tube: it lies with its middle on a circle of the given diameter and half the paper more. Source: circumference, as in any
 *  handbook of geometry. */
export const labelOf = (diameter: number, height: number, thickness: number, overlap: number): Rolled => ({
  length: Math.round(Math.PI * (diameter + thickness) + overlap),
  height,
  overlap,
});

/** A part of a ring that is rolled to a cone without its tip. */
export type Sector = { readonly inner: number; readonly outer: number; readonly angle: number };

/** The sector for a cone's mantle between two diameters, so high. The slant is √(h² + (R − r)²); the sector's radii are in the diameters' proportion, and
 *  its outer arc is the larger circumference. Source: Bronshtein & Semendyayev, Handbook of Mathematics, solids of
 *  revolution (lateral surface of a frustum of a cone: π (R + r) s), recalled. */
export const sectorOf = (low: number, high: number, height: number): Sector => {
  const [large, small] = [Math.max(low, high) / 2, Math.min(low, high) / 2];
  const slant = Math.hypot(height, large - small);
  if (large - small < 1) throw new RangeError('what does not taper is a tube');
  const outer = (slant * large) / (large - small);
  return { inner: outer - slant, outer, angle: (2 * Math.PI * large) / outer };
};

/** How long a strip rolled up on itself is for a roll so thick: a spiral of one layer after the other from a core. Source: area of the ring over the
 *  paper's thickness, L = π (D² − d²) / 4t, handbooks of paper making. */
export const spiralOf = (diameter: number, core: number, thickness: number): number =>
  Math.round((Math.PI * (diameter * diameter - core * core)) / (4 * thickness));
