// What is wrong with a value at a door, in a sentence that says what may stand there.
import type { z } from 'zod';

type RawIssue = z.core.$ZodRawIssue;

const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  object: 'a group of fields',
  array: 'a list',
};

const kindOf = (name: string): string => KINDS[name] ?? name;

/** What came, shown as it stands in the file. */
const shown = (value: unknown): string => {
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object' && value !== null) return 'a group of fields';
  const text = String(value);
  const short = text.length > 40 ? `${text.slice(0, 40)}…` : text;
  return typeof value === 'string' ? `“${short}”` : short;
};

const listed = (values: readonly unknown[]): string => values.slice(0, 40).map(String).join(', ') + (values.length > 40 ? ' …' : '');

/** What is counted in a text, a list, a number. */
const sized = (origin: string, limit: number | bigint): string => {
  if (origin === 'string') return `${limit} ${limit === 1 ? 'character' : 'characters'}`;
  if (origin === 'array' || origin === 'set') return `${limit} ${limit === 1 ? 'entry' : 'entries'}`;
  return String(limit);
};

/** Of several kinds of thing none is called that: its name, and the names that there are. */
const ofKinds = (issue: RawIssue): string | undefined => {
  const { discriminator, input, inst } = issue as {
    readonly discriminator?: string;
    readonly input?: unknown;
    readonly inst?: z.core.$ZodType;
  };
  if (discriminator === undefined || typeof input !== 'object' || input === null) return undefined;
  const names = [...(inst?._zod.propValues?.[discriminator] ?? [])].map(String);
  const named = (input as Readonly<Record<string, unknown>>)[discriminator];
  const may = names.length > 0 ? `; it may be one of: ${listed(names)}` : '';
  return named === undefined ? `This is missing${may}.` : `${shown(named)} is not known here${may}.`;
};

/** A sentence for an issue that has no words of its own; undefined leaves it to the library. */
export const sayIssue = (issue: RawIssue): string | undefined => {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? `This is missing; it must be ${kindOf(issue.expected)}.`
        : `This must be ${kindOf(issue.expected)}; ${shown(issue.input)} stands there.`;
    case 'invalid_value':
      return issue.values.length === 1
        ? `This must be ${shown(issue.values[0])}; ${shown(issue.input)} stands there.`
        : `${shown(issue.input)} is not known here; it may be one of: ${listed(issue.values)}.`;
    case 'too_big':
      return `At most ${sized(issue.origin, issue.maximum)}${issue.inclusive === false ? ', not quite' : ''}; ${shown(issue.input)} stands there.`;
    case 'too_small':
      return issue.input === ''
        ? 'This must not be empty.'
        : `At least ${sized(issue.origin, issue.minimum)}; ${shown(issue.input)} stands there.`;
    case 'invalid_format':
      return `${shown(issue.input)} cannot stand here.`;
    case 'invalid_union':
      return ofKinds(issue) ?? `${shown(issue.input)} cannot stand here.`;
    default:
      return undefined;
  }
};
