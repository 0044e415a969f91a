// From derived pieces to sticks, one kind after another.
import { cutSticks, type Solver, type StickItem, type StickLayout, usableOf } from '../../cut/index.ts';
import { dollUm } from '../../measure/index.ts';
import { STICK_NAMES, STICKS, type StickName } from '../../stock/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument, StickWish } from '../document/document.ts';
import { type MarkedStick, markedSticks } from './stickMarks.ts';

/** The sticks of one kind, how long one is, and how their pieces are cut from them. A piece that is joined of several has the part's id, a `#`
 *  and a number. */
export type StickPlan = {
  readonly key: string;
  readonly stick: StickName;
  readonly length: number;
  readonly layout: StickLayout;
  /** How each of its pieces is cut and marked. */
  readonly marked: readonly MarkedStick[];
};

/** The part that a piece of stick belongs to. */
export const partOfPiece = (id: string): string => id.split('#')[0] as string;

/** Pieces longer than a stick, as equal lengths to be joined end to end; all others as they are. */
const joined = (items: readonly StickItem[], usable: number): readonly StickItem[] =>
  items.flatMap((item): readonly StickItem[] => {
    const count = Math.ceil(item.length / usable);
    if (count <= 1) return [item];
    return Array.from({ length: count }, (_, index) => ({ id: `${item.id}#${index + 1}`, length: Math.ceil(item.length / count) }));
  });

/** Craft sticks end in half circles, which are cut off first; dowels end straight. */
export const roundedEnd = (stick: StickName): number => (STICKS[stick].section === 'flat' ? Math.ceil(STICKS[stick].width / 2) : 0);

const itemsFor = (derived: DerivedSet, stick: StickName): readonly StickItem[] =>
  derived.pieces.flatMap(({ made }) =>
    (made?.assembly.parts ?? [])
      .filter((part) => part.stuff === 'stick' && part.stock === stick)
      .map((part): StickItem => ({ id: part.id, length: Math.round(part.length ?? 0) })),
  );

/** A stick of which nothing else was said. */
export const usualStick = (stick: StickName): StickWish => ({ length: dollUm(STICKS[stick].length), joins: false, rests: [] });

/** The sticks that are bought new. */
export const bought = ({ sticks }: StickLayout): StickLayout['sticks'] => sticks.filter(({ from }) => from === null);

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
    const { length, joins, rests } = cutting.sticks[stick] ?? usualStick(stick);
    const stock = {
      length,
      ends: roundedEnd(stick),
      kerf: cutting.kerf,
      rests: rests.map((each, index) => ({ id: `rest ${index + 1}`, length: each })),
    };
    const whole = itemsFor(derived, stick);
    const items = joins ? joined(whole, usableOf(stock)) : whole;
    if (items.length === 0) return [];
    const key = JSON.stringify([stick, stock, items]);
    const known = previous.find((plan) => plan.key === key);
    const marked = markedSticks(derived, stick);
    if (known && (!solve || bought(known.layout).length === known.layout.least)) return [{ ...known, marked }];
    return [{ key, stick, length, layout: cutSticks(items, stock, solve), marked }];
  });
