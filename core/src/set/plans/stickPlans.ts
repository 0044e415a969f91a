// From derived pieces to sticks, one kind after another.
import { cutStickJobs, type Solver, type StickItem, type StickJob, type StickLayout, usableOf } from '../../cut/index.ts';
import { dollUm } from '../../measure/index.ts';
import { STICK_NAMES, STICKS, type StickName } from '../../stock/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument, StickWish } from '../document/document.ts';
import { type MarkedStick, markedSticks } from './stickMarks.ts';

/** What is cut from the sticks of one kind, how long one is, and how each piece is cut and marked. A piece that is joined of several has the part's
 *  id, a `#` and a number. */
export type StickKindJob = StickJob & { readonly stick: StickName; readonly length: number; readonly marked: readonly MarkedStick[] };

/** The sticks of one kind, and how their pieces are cut from them. */
export type StickPlan = StickKindJob & { readonly layout: StickLayout };

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

/** What is cut from each kind of stick that the set uses. */
export const stickJobs = ({ cutting }: SetDocument, derived: DerivedSet): readonly StickKindJob[] =>
  STICK_NAMES.flatMap((stick): readonly StickKindJob[] => {
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
    return [{ key: JSON.stringify([stick, stock, items]), stick, length, stock, items, marked: markedSticks(derived, stick) }];
  });

/** Cuts the sticks of a set.
 *  Shape: derived set → a plan for each kind of stick that it uses. A kind whose pieces did not change keeps its layout; one that was planned
 *  without a solver is planned anew when there is one. */
export const planSticks = (
  document: SetDocument,
  derived: DerivedSet,
  previous: readonly StickPlan[] = [],
  solve?: Solver,
): readonly StickPlan[] => cutStickJobs(stickJobs(document, derived), previous, solve);
