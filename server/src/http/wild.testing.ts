// A request that nobody polite would send, and what is wrong with its answer.
import { wildRequest } from '../hostile.testing.ts';
import type { Served } from './serve.testing.ts';

export type WildAnswer = { readonly status: number; readonly fault: string | null };

/** Sends the request of a seed. No answer may be a fault of ours, or hold a stack or a path. */
export const sendWild = async (served: Served, seed: number): Promise<WildAnswer> => {
  const { method, path, headers, body } = wildRequest(seed, new URL(served.base).host);
  const { status, text } = await served.raw(method, path, headers, method === 'GET' || method === 'HEAD' ? undefined : body);
  const told = /node_modules|\.ts:\d|\/work\/|\/home\/| at \w+ \(/.test(text);
  const logged = status === 500 ? JSON.stringify(served.log.filter(({ event }) => event === 'fault').at(-1)) : '';
  const fault = status === 500 || told ? `seed ${seed}: ${method} ${path} ${status} ${text.slice(0, 200)} ${logged}` : null;
  return { status, fault };
};
