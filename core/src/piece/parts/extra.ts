import type { Extra } from './built.ts';

/** Something that is taken besides: so much of it in length, or so many where it has none. */
export const extra = (what: string, length: number, more: Partial<Extra> = {}): Extra => ({
  what,
  length: Math.round(length),
  count: 1,
  ...more,
});
