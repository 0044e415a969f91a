/** Closed outlines by name. Apart from what draws them, which needs the clipper. */
export const FIGURES = ['rectangle', 'rounded', 'circle', 'polygon', 'star', 'heart', 'cloud', 'crown', 'arch'] as const;
export type OutlineName = (typeof FIGURES)[number];
