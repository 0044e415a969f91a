// From derived pieces to sticks, one kind after another.
import { cutSticks, type Solver, type StickItem, type StickLayout } from '../cut/index.ts';
import { STICK_NAMES, STICKS, type StickName } from '../stock/index.ts';
import type { DerivedSet } from './derive.ts';
import type { SetDocument } from './document.ts';

/** The sticks of one kind, and how their pieces are cut from them. */
export type StickPlan = { readonly key: string; readonly stick: StickName; readonly layout: StickLayout };

/** Craft sticks end in half circles, which are cut off first; dowels end straight. */
export const roundedEnd = (stick: StickName): number => (STICKS[stick].section === 'flat' ? Math.ceil(STICKS[stick].width / 2) : 0);

const itemsFor = (derived: DerivedSet, stick: StickName): readonly StickItem[] =>
  derived.pieces.flatMap(({ made }) =>
    (made?.assembly.parts ?? [])
      .filter((part) => part.stuff === 'stick' && part.stock === stick)
      .map((part): StickItem => ({ id: part.id, length: Math.round(part.length ?? 0) })),
  );

/** Cuts the sticks of a set.
 *  Shape: derived set → a plan for each kind of stick that it uses. A kind whose pieces did not change keeps its plan; one that was planned
 *  without a solver is planned anew when there is one. */
export const planSticks = (
  { cutting }: SetDocument,
  derived: DerivedSet,
  previous: readonly StickPlan[] = [],
  solve?: Solver,
): readonly StickPlan[] =>
  STICK_NAMES.flatMap((stick): readonly StickPlan[] => {
    const items = itemsFor(derived, stick);
    if (items.length === 0) return [];
    const key = JSON.stringify([stick, cutting.kerf, items]);
    const known = previous.find((plan) => plan.key === key);
    if (known && (!solve || known.layout.sticks.length === known.layout.least)) return [known];
    const stock = { length: STICKS[stick].length, ends: roundedEnd(stick), kerf: cutting.kerf };
    return [{ key, stick, layout: cutSticks(items, stock, solve) }];
  });
