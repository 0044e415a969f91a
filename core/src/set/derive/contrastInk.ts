import { contrastOf } from '../../cover/index.ts';

const DARK = '#2b2440';
const LIGHT = '#fbf7ee';

/** The ink that is read best on a ground: the dark one on bare paper. Contrast: WCAG 2.2, relative luminance. */
export const contrastInk = (ground: string | null): string =>
  ground !== null && contrastOf(ground, LIGHT) > contrastOf(ground, DARK) ? LIGHT : DARK;
