/** What a hand takes hold of on a front. */
export const GRIPS = ['none', 'knob', 'bar'] as const;
export type Grip = (typeof GRIPS)[number];
