// The thread that reads documents: whatever stands in them, it is this thread that it takes time and memory of.
import { parentPort } from 'node:worker_threads';
import { readAndDescribe } from './reading/readAndDescribe.ts';

parentPort?.on('message', ({ data, before }: { readonly data: unknown; readonly before: string | null }) => {
  parentPort?.postMessage(readAndDescribe(data, before));
});
