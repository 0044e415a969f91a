// Two worlds of lengths, both in whole micrometres, that do not mix: what the imitated thing measures (real)
// and what is cut and printed (doll). Board thickness, knife gap and paper are born doll-size.

declare const world: unique symbol;

/** A length of the real object, in whole micrometres. */
export type RealUm = number & { readonly [world]: 'real' };

/** A length at doll size, as it is cut and printed, in whole micrometres. */
export type DollUm = number & { readonly [world]: 'doll' };

export type Um = RealUm | DollUm;

/** Micrometres to a unit. The inch is 25.4 mm exactly (International Yard and Pound Agreement, 1959). */
export const UM = { mm: 1_000, cm: 10_000, m: 1_000_000, in: 25_400, ft: 304_800 } as const;

export type UnitName = keyof typeof UM;

// Adding nought makes -0 an ordinary 0, which is all that a file can hold.

/** A number of micrometres (rounded to a whole one) as a real size. */
export const realUm = (micrometres: number): RealUm => (Math.round(micrometres) + 0) as RealUm;

/** A number of micrometres (rounded to a whole one) as a doll size. */
export const dollUm = (micrometres: number): DollUm => (Math.round(micrometres) + 0) as DollUm;
