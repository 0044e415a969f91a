import { z } from 'zod';
import { type Dress, dressSchema, UNDRESSED } from '../../cover/index.ts';
import { textField } from '../../kit/index.ts';
import { type Measure, measureField, UM } from '../../measure/index.ts';
import { BODY_SCALES, type BodyScale } from './means.ts';

/** What every piece has, whatever its family. */
export type Piecelike = {
  readonly family: string;
  readonly id: string;
  /** The number that leads its parts' tags: 2 in 2B. It stays when other pieces come and go. */
  readonly mark: number;
  readonly name: string;
  /** Which way heights that touch the body are taken. */
  readonly bodyScale: BodyScale;
  /** A board for each role; null is the first role's board, and for that the set's first. */
  readonly boards: Readonly<Record<string, string | null>>;
  /** A thickness that layers of the board are glued up to; null is one board. */
  readonly thick: Readonly<Record<string, Measure | null>>;
  /** What covers it. */
  readonly dress: Dress;
  /** Judgements of it that do not hold for what it is for. */
  readonly aside: readonly Aside[];
};

/** A judgement that is set aside, by what it is about, and why. */
export type Aside = { readonly note: string; readonly why: string };

const aside = z
  .array(z.strictObject({ note: textField(120, 1), why: textField(200).default('') }))
  .max(60)
  .default([]);

const boardId = textField(60).nullable().default(null);
const thickness = measureField({ min: 0.2 * UM.mm, max: 500 * UM.mm })
  .nullable()
  .default(null);

const perRole = <Role extends string, T>(roles: readonly Role[], value: z.ZodType<T>, none: Record<Role, null>) =>
  z.strictObject(Object.fromEntries(roles.map((role) => [role, value]))).default(none as never) as unknown as z.ZodDefault<
    z.ZodType<Record<Role, T>>
  >;

/** The schema's fields for what every piece has, boards by the family's roles. */
export const pieceFields = <Role extends string>(roles: readonly Role[]) => {
  const none = Object.fromEntries(roles.map((role) => [role, null])) as Record<Role, null>;
  return {
    id: textField(80, 1).optional(),
    mark: z.number().int().min(1).max(9999).optional(),
    bodyScale: z.enum(BODY_SCALES).default('set'),
    boards: perRole(roles, boardId as z.ZodType<string | null>, none),
    thick: perRole(roles, thickness as z.ZodType<Measure | null>, none),
    dress: dressSchema.default(UNDRESSED),
    aside,
  };
};
