// A size as a maker decides it: of the real thing, or as it is to be cut, whichever is known.
import { z } from 'zod';
import type { DollUm, RealUm } from './length.ts';
import { dollField, realField } from './lengthField.ts';
import { type Scale, toDoll, toReal } from './scale.ts';

/** A decided size: whole micrometres of the real thing, or `{ doll }` where the doll's own size was typed. */
export type Measure = RealUm | { readonly doll: DollUm };

/** True when the doll size was typed and the real one follows from it. */
export const isDollSize = (measure: Measure): measure is { readonly doll: DollUm } => typeof measure === 'object';

/** What a decided size measures at doll size. */
export const dollOf = (measure: Measure, scale: Scale): DollUm => (isDollSize(measure) ? measure.doll : toDoll(measure, scale));

/** What a decided size measures in the real world. */
export const realOf = (measure: Measure, scale: Scale): RealUm => (isDollSize(measure) ? toReal(measure.doll, scale) : measure);

/** The same size kept in the other world; changes nothing that is cut, but for the micrometre that rounding costs. */
export const inWorld = (measure: Measure, world: 'real' | 'doll', scale: Scale): Measure =>
  world === 'doll' ? { doll: dollOf(measure, scale) } : realOf(measure, scale);

/** A decided size at a door: a real length, or `{ doll: length }`. Bounds are those of the real thing; a doll size may be anything
 *  above a hundredth of the least and below the most. */
export const measureField = (bounds: { readonly min: number; readonly max: number }): z.ZodType<Measure> =>
  z.union([
    realField(bounds),
    z.strictObject({ doll: dollField({ min: bounds.min <= 0 ? bounds.min : Math.ceil(bounds.min / 100), max: bounds.max }) }),
  ]) as unknown as z.ZodType<Measure>;
