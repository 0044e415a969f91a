import { z } from 'zod';

/** Control signs and halves of surrogate pairs: no pen writes them, and not every database takes them. */
const UNWRITABLE = /[\p{Cc}\p{Cs}]/u;

/** A line of words at a door: at most so long, and nothing in it that cannot be written. */
export const textField = (most: number, least = 0): z.ZodString =>
  z
    .string()
    .min(least)
    .max(most)
    .refine((text) => !UNWRITABLE.test(text), 'There is a sign in these words that cannot be written (a control sign, or half a letter).');
