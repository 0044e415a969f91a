import type { z } from 'zod';
import { scaleOf } from '../../doll/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { valueAt } from '../../piece/index.ts';
import { usualBoard } from '../../stock/index.ts';
import { type Piece, readChanges, type SetDocument, setSchema } from './document.ts';
import { migrated } from './migrations/index.ts';
import { sayIssue } from './sayIssue.ts';

/** What is wrong with a file, and where: `pieces[0].width`. An empty path is the file as a whole. */
export type ReadIssue = { readonly path: string; readonly message: string };

/** No document of ours is nested deeper; what is would only exhaust the stack. */
export const DEEPEST = 60;

const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) => (typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`),
    '',
  );

type Issue = z.core.$ZodIssue;

/** So many issues are told; whoever mends them hears of the next. */
const MOST_ISSUES = 100;

/** Of a union's failed readings, the one that got furthest: where the value's kind matches, its own issues tell most. */
const furthest = (branches: readonly (readonly Issue[])[]): readonly Issue[] => {
  const depth = (branch: readonly Issue[]) =>
    branch.reduce(
      (most, each) => Math.max(most, each.path.length + (each.code === 'unrecognized_keys' ? -1 : 0)),
      Number.NEGATIVE_INFINITY,
    );
  return [...branches].sort((a, b) => depth(b) - depth(a))[0] ?? [];
};

/** The issues one by one, as somebody asks for them: a file can have millions. */
function* flatten(issues: readonly Issue[], before: readonly PropertyKey[]): Generator<ReadIssue> {
  for (const issue of issues) {
    const path = [...before, ...issue.path];
    if (issue.code === 'invalid_union' && issue.errors.length > 0) yield* flatten(furthest(issue.errors), path);
    else if (issue.code === 'unrecognized_keys') {
      for (const key of issue.keys) yield { path: pathText([...path, key]), message: 'This field is not known here; is it spelled right?' };
    } else yield { path: pathText(path), message: issue.message };
  }
}

const LONGEST_PATH = 300;
const shortened = (path: string): string => (path.length > LONGEST_PATH ? `${path.slice(0, LONGEST_PATH)}…` : path);

/** The first hundred issues, and that there are more. */
const firstIssues = (issues: readonly Issue[]): readonly ReadIssue[] => {
  const told: ReadIssue[] = [];
  for (const { path, message } of flatten(issues, [])) {
    if (told.length === MOST_ISSUES)
      return [...told, { path: '', message: `There is more that is wrong; these are the first ${MOST_ISSUES}.` }];
    told.push({ path: shortened(path), message });
  }
  return told;
};

export const tooDeep = (value: unknown, left: number): boolean => {
  if (typeof value !== 'object' || value === null) return false;
  return left === 0 || Object.values(value).some((each) => tooDeep(each, left - 1));
};

/** A file of four megabytes that says something has fewer values; more only keep everybody waiting. */
const MOST_VALUES = 1_000_000;

/** How many values there are, counted up to a number. */
const countValues = (value: unknown, most: number): number => {
  if (typeof value !== 'object' || value === null) return 1;
  let count = 1;
  for (const each of Object.values(value)) {
    count += countValues(each, most - count);
    if (count > most) break;
  }
  return count;
};

/** Nought is one number in a file, whatever sign it came with. What has no such number is given back as it is. */
export const plainNought = (value: unknown): unknown => {
  if (typeof value === 'number') return value === 0 ? 0 : value;
  if (typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value)) {
    const list = value.map(plainNought);
    return list.some((each, index) => !Object.is(each, value[index])) ? list : value;
  }
  const entries = Object.entries(value);
  const plain = entries.map(([key, each]) => [key, plainNought(each)] as const);
  return plain.some(([, each], index) => !Object.is(each, entries[index]?.[1])) ? Object.fromEntries(plain) : value;
};

/** Reads a set document from data that came through a door.
 *  Shape: anything → a document, or the issues with their paths, a hundred at the most. Nothing is changed when there is one. */
export const readSet = (data: unknown): Result<SetDocument, readonly ReadIssue[]> => {
  if (tooDeep(data, DEEPEST)) return err([{ path: '', message: `The file is nested deeper than ${DEEPEST} levels.` }]);
  if (countValues(data, MOST_VALUES) > MOST_VALUES)
    return err([{ path: '', message: `The file holds more than ${MOST_VALUES.toLocaleString('en')} values; no set does.` }]);
  const read = setSchema.safeParse(migrated(plainNought(data)), { error: sayIssue });
  if (!read.success) return err(firstIssues(read.error.issues));
  // A file that names no board is cut from what is usual for its scale; one in inches that names no paper is printed on letter.
  const boards = valueAt(data, ['boards']) === undefined ? [usualBoard(scaleOf(read.data.doll))] : read.data.boards;
  const paper = valueAt(data, ['printing', 'paper']) === undefined && read.data.units.unit === 'in' ? 'letter' : read.data.printing.paper;
  return ok({ ...read.data, boards, printing: { ...read.data.printing, paper } });
};

/** Reads what became of a document that was read before: only what is not the very same in it.
 *  Shape: two documents → the later one, or every issue with its path. */
export const readAgain = (before: SetDocument, after: SetDocument): Result<SetDocument, readonly ReadIssue[]> => {
  const read = readChanges(before, after);
  return 'issues' in read ? err(firstIssues(read.issues)) : ok(read.document);
};

/** Reads one piece by itself, of any version, as it is kept for a preset: its boards are those of whatever set it comes to, so it names none.
 *  Shape: anything → a piece, or every issue with its path. */
export const readPiece = (data: unknown): Result<Piece, readonly ReadIssue[]> => {
  const bare = typeof data === 'object' && data !== null && !Array.isArray(data) ? { ...data, boards: {} } : data;
  const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [bare] });
  if (!read.ok) return err(read.error.map(({ path, message }) => ({ path: path.replace(/^pieces\[0\]\.?/, ''), message })));
  return ok(read.value.pieces[0] as Piece);
};

/** Reads the text of a `.parlor.json` file. */
export const readSetFile = (text: string): Result<SetDocument, readonly ReadIssue[]> => {
  try {
    return readSet(JSON.parse(text));
  } catch (problem) {
    return err([{ path: '', message: `This is not JSON: ${problem instanceof Error ? problem.message : 'it cannot be read'}.` }]);
  }
};

/** The text of a `.parlor.json` file: everything written out, lengths in whole micrometres. */
export const writeSetFile = (document: SetDocument): string => `${JSON.stringify(document, null, 2)}\n`;
