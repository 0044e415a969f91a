import { z } from 'zod';
import { type Booklet, bookletSchema, FIRST_PALETTE, type Finish, finishSchema, type Swatch, swatchSchema } from '../../cover/index.ts';
import { type Companion, companionSchema, type Doll, dollSchema } from '../../doll/index.ts';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, UM, type Units } from '../../measure/index.ts';
import { type FamilyName, MODELS, modelOf, type Piece } from '../../piece/index.ts';
import { LEAST_SHARE, MOST_SHARE, type Printer, SIDES, type Sides } from '../../print/index.ts';
import { layoutSchema, type RoomLayout } from '../../room/index.ts';
import {
  type Board,
  boardSchema,
  type Cloth,
  clothSchema,
  FIRST_CLOTHS,
  MOST_CLOTHS,
  type PaperName,
  PRINTER_KINDS,
  type PrinterKind,
} from '../../stock/index.ts';
import { type Cutting, cuttingSchema, MOST_PARTS } from './cutting.ts';
import { VERSION } from './migrations/index.ts';
import { sayIssue } from './sayIssue.ts';

/** All that a maker decides about a set; everything else is derived from it. */
export type SetDocument = {
  readonly format: 'bashful-parlor-set';
  readonly version: typeof VERSION;
  readonly name: string;
  /** Where it stands, what it is: a line for the shelf of sets. */
  readonly about: string;
  readonly units: Units;
  readonly doll: Doll;
  /** Others who live there. */
  readonly company: readonly Companion[];
  readonly boards: readonly Board[];
  /** Cloth at hand; what names none is of the first. */
  readonly cloths: readonly Cloth[];
  /** The colours of the set, and the tray of finishes that its pieces wear. */
  readonly palette: readonly Swatch[];
  readonly finishes: readonly Finish[];
  readonly booklets: readonly Booklet[];
  readonly cutting: Cutting;
  readonly printing: {
    readonly paper: PaperName;
    readonly margin: DollUm;
    readonly overlap: DollUm;
    readonly sides: Sides;
    readonly printer: Printer;
  };
  readonly pieces: readonly Piece[];
  /** How rooms are arranged. */
  readonly layouts: readonly RoomLayout[];
};

export type { CutSheet, Cutting, PinnedTo, StickWish } from './cutting.ts';
export type { Piece };

export const MOST_PIECES = 200;

const unitsSchema = z.strictObject({ unit: z.enum(['in', 'mm', 'cm']).default('mm'), fine: z.boolean().default(false) });

type FilePiece = Omit<Piece, 'id' | 'mark'> & { readonly id?: string | undefined; readonly mark?: number | undefined };

const families = Object.keys(MODELS) as readonly FamilyName[];

/** A piece of any family; one that names none is a casework. */
const pieceSchema = z.preprocess(
  (value) =>
    typeof value === 'object' && value !== null && !Array.isArray(value) && !('family' in value) ? { ...value, family: 'casework' } : value,
  z.discriminatedUnion(
    'family',
    families.map((family) => MODELS[family].schema) as never,
    `“family” must be one of ${families.join(', ')}.`,
  ),
) as unknown as z.ZodType<FilePiece>;

/** A printer as it stands in a file. */
export const printerSchema = z.strictObject({
  kind: z.enum(PRINTER_KINDS as [PrinterKind, ...PrinterKind[]]).default('own'),
  x: z.number().min(LEAST_SHARE).max(MOST_SHARE).default(1),
  y: z.number().min(LEAST_SHARE).max(MOST_SHARE).default(1),
  measured: z.iso.date().nullable().default(null),
  changed: z.iso.date().nullable().default(null),
});

const shape = z.strictObject({
  /** Where an editor finds the schema; not kept. */
  $schema: textField(400).optional(),
  format: z.literal('bashful-parlor-set', 'This is not a Bashful Parlor set: "format" must be "bashful-parlor-set".'),
  version: z.literal(VERSION, {
    error: ({ input }) =>
      typeof input === 'number' && input > VERSION
        ? `This file is of version ${input}, which a newer program wrote; versions 1 to ${VERSION} are known here.`
        : `This version of the file is not known here; "version" must be from 1 to ${VERSION}.`,
  }),
  name: textField(120).default('Untitled set'),
  about: textField(500).default(''),
  units: unitsSchema.default({ unit: 'mm', fine: false }),
  doll: dollSchema.prefault({}),
  company: z.array(companionSchema).max(12).default([]),
  boards: z
    .array(boardSchema)
    .min(1)
    .max(30)
    .prefault([{ id: 'white', name: 'white foam board' }]),
  cloths: z
    .array(clothSchema)
    .min(1)
    .max(MOST_CLOTHS)
    .default([...FIRST_CLOTHS]),
  palette: z
    .array(swatchSchema)
    .max(60)
    .default([...FIRST_PALETTE]),
  finishes: z.array(finishSchema).max(100).default([]),
  booklets: z.array(bookletSchema).max(40).default([]),
  cutting: cuttingSchema,
  printing: z
    .strictObject({
      paper: z.enum(['a4', 'letter']).default('a4'),
      margin: dollField({ min: 3 * UM.mm, max: 25 * UM.mm }).default(dollUm(10 * UM.mm)),
      overlap: dollField({ min: 5 * UM.mm, max: 40 * UM.mm }).default(dollUm(12 * UM.mm)),
      sides: z.enum(SIDES).default('one'),
      printer: printerSchema.prefault({}),
    })
    .prefault({}),
  pieces: z.array(pieceSchema).max(MOST_PIECES).default([]),
  layouts: z.array(layoutSchema).max(60).default([]),
});

type Shape = z.output<typeof shape>;

const free = <T>(taken: Set<T>, make: (number: number) => T): T => {
  let number = 1;
  while (taken.has(make(number))) number += 1;
  taken.add(make(number));
  return make(number);
};

/** Gives pieces that came without one an id and a mark, the lowest that is free. */
const fillIn = ({ $schema: _schema, ...found }: Shape): SetDocument => {
  const ids = new Set(found.pieces.flatMap(({ id }) => (id === undefined ? [] : [id])));
  const marks = new Set(found.pieces.flatMap(({ mark }) => (mark === undefined ? [] : [mark])));
  const pieces = found.pieces.map(
    (piece) =>
      ({
        ...piece,
        id: piece.id ?? free(ids, (number) => `piece-${number}`),
        mark: piece.mark ?? free(marks, (number) => number),
      }) as Piece,
  );
  return { ...found, pieces };
};

const doubles = (values: readonly (string | number | undefined)[]): readonly number[] =>
  values.flatMap((value, index) => (value !== undefined && values.indexOf(value) !== index ? [index] : []));

const NAMED = {
  company: 'doll',
  boards: 'board',
  cloths: 'cloth',
  palette: 'colour',
  finishes: 'finish',
  booklets: 'booklet',
  pieces: 'piece',
  layouts: 'layout',
} as const;

const partsAbout = (pieces: readonly Shape['pieces'][number][]): number =>
  pieces.reduce((sum, piece) => sum + modelOf(piece).partsAbout(piece), 0);

const tooManyParts = (parts: number): string => `A set can hold at most ${MOST_PARTS} parts; this one would have about ${parts}.`;

/** No set is larger written out, in bytes. */
export const MOST_BYTES = 4_000_000;

const written = new TextEncoder();
const sizes = new WeakMap<object, number>();

const sizeOfPart = (part: unknown): number => {
  const known = typeof part === 'object' && part !== null ? sizes.get(part) : undefined;
  if (known !== undefined) return known;
  const size = written.encode(JSON.stringify(part) ?? '').length;
  if (typeof part === 'object' && part !== null) sizes.set(part, size);
  return size;
};

/** How many bytes a set has written out. What an edit left alone is not written again for that. */
export const bytesOf = ({ pieces, ...rest }: SetDocument): number =>
  Object.entries(rest).reduce((sum, [key, value]) => sum + key.length + 4 + sizeOfPart(value), 0) +
  pieces.reduce((sum, piece) => sum + 1 + sizeOfPart(piece), 13);

/** Which limit a document breaks, in words; null where it breaks none. An edit that does is refused where it is made, for it could not be kept. */
export const brokenLimit = (document: SetDocument): string | null => {
  const { pieces } = document;
  if (pieces.length > MOST_PIECES) return `A set can hold at most ${MOST_PIECES} pieces; this one would have ${pieces.length}.`;
  const parts = partsAbout(pieces);
  if (parts > MOST_PARTS) return tooManyParts(parts);
  return bytesOf(document) > MOST_BYTES ? 'A set can hold at most 4 MB; this one would be larger.' : null;
};

type Found = Pick<Shape, keyof typeof NAMED>;

/** What is wrong between the parts of a document, each of which is right by itself. */
const checkNames = (found: Found, issue: (path: (string | number)[], message: string) => void): void => {
  for (const [list, word] of Object.entries(NAMED) as [keyof typeof NAMED, string][])
    for (const index of doubles(found[list].map(({ id }) => id))) issue([list, index, 'id'], `Another ${word} has this id.`);
  for (const index of doubles(found.pieces.map(({ mark }) => mark))) issue(['pieces', index, 'mark'], 'Another piece has this mark.');
  const parts = partsAbout(found.pieces);
  if (parts > MOST_PARTS) issue(['pieces'], tooManyParts(parts));
  found.pieces.forEach((piece, index) => {
    const known = (boards: Readonly<Record<string, string | null>>, path: readonly (string | number)[]): void => {
      for (const [role, id] of Object.entries(boards))
        if (id !== null && !found.boards.some((board) => board.id === id))
          issue(['pieces', index, ...path, 'boards', role], `There is no board with the id “${id}”.`);
    };
    known(piece.boards, []);
    for (const { path, boards } of modelOf(piece).boardsWithin?.(piece) ?? []) known(boards, path);
  });
};

/** The one schema of a set document, for files, requests and rows alike. Lengths may be whole micrometres or text with a unit;
 *  what is left out takes its default. */
export const setSchema = shape
  .superRefine((found, context) => checkNames(found, (path, message) => context.addIssue({ code: 'custom', path, message })))
  .transform(fillIn);

/** Reads what of a document is not the very same as in one that was read before, and what lies between its parts.
 *  Shape: two documents → the later one, as whole as if all of it had been read, or issues with their paths. */
export const readChanges = (
  before: SetDocument,
  after: SetDocument,
): { readonly document: SetDocument } | { readonly issues: readonly z.core.$ZodIssue[] } => {
  const issues: z.core.$ZodIssue[] = [];
  const read: Record<string, unknown> = { ...after };
  const part = (schema: z.ZodType, value: unknown, path: readonly PropertyKey[]): unknown => {
    const done = schema.safeParse(value, { error: sayIssue });
    if (!done.success) issues.push(...done.error.issues.map((issue) => ({ ...issue, path: [...path, ...issue.path] })));
    return done.data;
  };
  const known = new Set<unknown>(before.pieces);
  for (const [key, value] of Object.entries(after)) {
    if (value === before[key as keyof SetDocument]) continue;
    if (key === 'pieces')
      read[key] = after.pieces.map((piece, index) => (known.has(piece) ? piece : part(pieceSchema, piece, [key, index])));
    else read[key] = part(shape.shape[key as keyof typeof shape.shape], value, [key]);
  }
  if (after.pieces.length > MOST_PIECES) part(shape.shape.pieces, after.pieces, ['pieces']);
  if (issues.length > 0) return { issues };
  const found = read as Shape;
  checkNames(found, (path, message) => issues.push({ code: 'custom', path, message } as z.core.$ZodIssue));
  return issues.length > 0 ? { issues } : { document: fillIn(found) };
};
