// Documents from anybody are read in a thread of their own, with bounds of time and memory; small ones where they come in.
import { Worker } from 'node:worker_threads';
import { err, type Result } from '@parlor/core/kit';
import type { ReadIssue } from '@parlor/core/set';
import { type ReadDocument, readAndDescribe } from './readAndDescribe.ts';
import { waitingLine } from './waitingLine.ts';

export type DocumentProblem =
  | { readonly code: 'bad-document'; readonly issues: readonly ReadIssue[] }
  | { readonly code: 'document-too-heavy' | 'busy' };

/** `size` is about how many bytes the data came as. */
export type DocumentReader = {
  readonly read: (data: unknown, size: number, before?: string | null) => Promise<Result<ReadDocument, DocumentProblem>>;
  readonly close: () => void;
};

/** Larger ones go to the thread. */
const SMALL = 32_000;
const SECONDS = 10;
const MOST_MEMORY_MB = 900;
const MOST_WAITING = 40;

const judged = (read: Result<ReadDocument, readonly ReadIssue[]>): Result<ReadDocument, DocumentProblem> =>
  read.ok ? read : err({ code: 'bad-document', issues: read.error });

/** Starts its thread when it is first needed; `program` is its built file. */
export const documentReader = (program: string, seconds = SECONDS): DocumentReader => {
  let worker: Worker | null = null;
  const line = waitingLine(MOST_WAITING);
  const end = (): void => {
    void worker?.terminate();
    worker = null;
  };
  const ready = (): Worker => {
    worker ??= new Worker(program, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB } });
    worker.unref();
    return worker;
  };
  const readThere = (data: unknown, before: string | null): Promise<Result<ReadDocument, DocumentProblem>> =>
    new Promise((resolve) => {
      const reader = ready();
      const done = (result: Result<ReadDocument, DocumentProblem>, over: boolean): void => {
        clearTimeout(timer);
        reader.off('message', answered).off('error', broken).off('exit', broken);
        if (over) end();
        resolve(result);
      };
      const answered = (message: Result<ReadDocument, readonly ReadIssue[]>): void => done(judged(message), false);
      const broken = (): void => done(err({ code: 'document-too-heavy' }), true);
      const timer = setTimeout(broken, seconds * 1000);
      reader.once('message', answered).once('error', broken).once('exit', broken);
      try {
        reader.postMessage({ data, before });
      } catch {
        // Nested too deep to be handed over; it is too deep for a document too.
        done(judged(readAndDescribe(data, before)), false);
      }
    });
  return {
    read: (data, size, before = null) => {
      if (size + (before?.length ?? 0) <= SMALL) return Promise.resolve(judged(readAndDescribe(data, before)));
      return line(() => readThere(data, before)) ?? Promise.resolve(err({ code: 'busy' }));
    },
    close: end,
  };
};
