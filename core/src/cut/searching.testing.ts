import { seededRandom } from '../kit/index.ts';
import { type CutRules, type Search, type SheetKind, USUAL_WISHES } from './index.ts';

/** A kind of sheet of which nothing but the size is said. */
export const kind = (width: number, height: number, more: Partial<SheetKind> = {}): SheetKind => ({
  name: `${width} × ${height}`,
  width,
  height,
  price: null,
  atHand: 0,
  offcut: null,
  ...more,
});

/** How boards are cut, the same off every edge. */
export const rules = (gap = 0, trim = 0, mode: CutRules['mode'] = 'straight'): CutRules => ({
  gap,
  trim: { left: trim, right: trim, bottom: trim, top: trim },
  mode,
  wishes: USUAL_WISHES,
});

/** A search that ends by counting: so many tries in all, and towards one goal. */
export const searching = (most = 3_000, tries = most): Search => {
  let made = 0;
  return {
    random: seededRandom(1),
    tries,
    goOn: () => {
      made += 1;
      return made < most;
    },
  };
};
