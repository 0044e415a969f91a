import { z } from 'zod';
import { type DollUm, dollUm, type RealUm, realUm, UM } from './length.ts';
import { explainLength, parseLength } from './parseLength.ts';

/** What a length may be, in micrometres, with the words for what lies outside. */
type Bounds = { readonly min: number; readonly max: number };

const inMm = (micrometres: number): string => `${Number((micrometres / UM.mm).toFixed(3))} mm`;

const readLength = (value: number | string, bounds: Bounds, context: z.RefinementCtx): number => {
  const fail = (message: string): never => {
    context.addIssue({ code: 'custom', message });
    return z.NEVER;
  };
  const parsed = typeof value === 'string' ? parseLength(value, undefined) : undefined;
  if (parsed && !parsed.ok) return fail(explainLength(parsed.error));
  const micrometres = parsed?.ok ? parsed.value : Number(value);
  if (!Number.isSafeInteger(micrometres))
    return fail('A bare number is whole micrometres; else write a size with its unit, such as "35 cm".');
  if (micrometres < bounds.min) return fail(`${inMm(micrometres)} is less than the least allowed here, ${inMm(bounds.min)}.`);
  if (micrometres > bounds.max) return fail(`${inMm(micrometres)} is more than the most allowed here, ${inMm(bounds.max)}.`);
  return micrometres;
};

const typed = z.union([z.number(), z.string()], 'A size is whole micrometres, or text with a unit, such as "35 cm".');

/** A real length at a door: whole micrometres, or text with its unit. */
export const realField = (bounds: Bounds): z.ZodType<RealUm> =>
  typed.transform((value, context) => realUm(readLength(value, bounds, context))) as unknown as z.ZodType<RealUm>;

/** A doll length at a door: whole micrometres, or text with its unit. */
export const dollField = (bounds: Bounds): z.ZodType<DollUm> =>
  typed.transform((value, context) => dollUm(readLength(value, bounds, context))) as unknown as z.ZodType<DollUm>;
