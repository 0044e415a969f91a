// The schema of documents as other programs read it.
import { z } from 'zod';
import { setSchema } from './document.ts';

/** A JSON Schema of draft 2020-12, as far as it is read here. */
export type JsonSchema = { readonly [key: string]: unknown };

const isLength = (value: unknown): boolean => JSON.stringify(value) === '{"type":["number","string"]}';

/** The same with every length as a reference to the one definition of what a length may be. */
const withLengths = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(withLengths);
  if (typeof value !== 'object' || value === null) return value;
  if (isLength(value)) return { $ref: '#/$defs/length' };
  const { default: usual, ...rest } = value as JsonSchema;
  // With a default that is a length a length is still one.
  if ('default' in value && isLength(rest)) return { $ref: '#/$defs/length', default: usual };
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, key === 'default' ? each : withLengths(each)]));
};

const LENGTH: JsonSchema = {
  description:
    'Whole micrometres, or text with its unit as people type it: "35 cm", "12 1/4 in", "2\' 6\\"". Bounds are told when the file is read.',
  anyOf: [{ type: 'integer' }, { type: 'string', minLength: 1 }],
};

/** The JSON Schema of a document of the newest version, as a file may hold it: made from the schema that stands at every door. What depends on more than one field
 *  (names that must be there, numbers of parts) is not in it. */
export const documentJsonSchema = (): JsonSchema => {
  const whole = JSON.stringify(z.toJSONSchema(setSchema, { io: 'input', unrepresentable: 'any' }));
  // The one shape that holds itself is a bay of a case.
  const made = withLengths(JSON.parse(whole.replaceAll('__schema0', 'bay'))) as JsonSchema & { readonly $defs?: JsonSchema };
  return { ...made, title: 'A set of Bashful Parlor', $defs: { ...made.$defs, length: LENGTH } };
};
