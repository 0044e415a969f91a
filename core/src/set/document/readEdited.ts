// The door of edits: what came through a request is done on a document, and judged with it.
import { z } from 'zod';
import { err, type Result } from '../../kit/index.ts';
import type { SetDocument } from './document.ts';
import { SETTINGS } from './edit.ts';
import { DEEPEST, plainNought, type ReadIssue, readAgain, tooDeep } from './readSet.ts';
import { doSentEdits, type SentEdits } from './sentEdit.ts';

const changed = { change: z.record(z.string(), z.unknown()), without: z.array(z.string()).max(200).optional() };
const id = z.string().max(1_000);
const at = z.number().int().min(0).max(1_000);
const whole = z.looseObject({ id });

const touchesNot = (
  ...keys: readonly string[]
): [(edit: { change: object; without?: readonly string[] | undefined }) => boolean, string] => [
  ({ change, without = [] }) => keys.every((key) => !Object.hasOwn(change, key) && !without.includes(key)),
  `What it changes must not be ${keys.join(' or ')}.`,
];

const one = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('change-set'), change: z.partialRecord(z.enum(SETTINGS), z.unknown()) }),
  z.strictObject({ kind: z.literal('change-piece'), id, ...changed }).refine(...touchesNot('id', 'family')),
  z.strictObject({ kind: z.literal('add-piece'), at, piece: whole }),
  z.strictObject({ kind: z.literal('remove-piece'), id }),
  z.strictObject({ kind: z.literal('change-board'), id, ...changed }).refine(...touchesNot('id')),
  z.strictObject({ kind: z.literal('add-board'), at, board: whole }),
  z.strictObject({ kind: z.literal('remove-board'), id }),
]);

const sentEdits = z.array(one).min(1).max(1_000);

/** Does edits that came through a door on a document that has passed its own. Only what they change is judged anew.
 *  Shape: a document, anything → the document that comes of it, as whole as if all of it had been read, or the issues with their paths. */
export const readEdited = (document: SetDocument, data: unknown): Result<SetDocument, readonly ReadIssue[]> => {
  if (tooDeep(data, DEEPEST)) return err([{ path: 'edits', message: `They are nested deeper than ${DEEPEST} levels.` }]);
  const sent = sentEdits.safeParse(data);
  if (!sent.success) {
    const { path = [], message = 'They cannot be read.' } = sent.error.issues[0] ?? {};
    return err([{ path: path.reduce<string>((text, key) => `${text}[${String(key)}]`, 'edits'), message }]);
  }
  const edits = plainNought(sent.data) as SentEdits;
  return readAgain(document, doSentEdits(document, edits) as SetDocument);
};
