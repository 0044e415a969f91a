import { err, ok, type Result } from '@parlor/core/kit';
import { describeChange, type ReadIssue, readSet, type SetDocument } from '@parlor/core/set';

/** A document that passed its door, how many bytes it has written out, and what changed in words since the one before it. */
export type ReadDocument = { readonly document: SetDocument; readonly bytes: number; readonly words: string };

const wordsFor = (before: string, document: SetDocument): string => {
  const read = readSet(JSON.parse(before));
  return read.ok ? describeChange(read.value, document) : 'everything anew';
};

/** Reads a document; with the text of the one before it, says what changed. */
export const readAndDescribe = (data: unknown, before: string | null): Result<ReadDocument, readonly ReadIssue[]> => {
  const read = readSet(data);
  if (!read.ok) return err(read.error);
  const document = read.value;
  return ok({ document, bytes: Buffer.byteLength(JSON.stringify(document)), words: before === null ? '' : wordsFor(before, document) });
};
