import { resolve } from 'node:path';
import { z } from 'zod';

const schema = z.object({
  PORT: z.coerce.number({ error: 'PORT must be a number' }).int().min(0).max(65_000).default(5180),
  PARLOR_HOST: z.string().min(1).default('127.0.0.1'),
  PARLOR_DATA: z.string().min(1).default('data'),
});

/** Where the application listens and keeps its data. */
export type Config = { readonly port: number; readonly host: string; readonly data: string };

/** Reads PORT, PARLOR_HOST and PARLOR_DATA; throws with the name of what cannot be used. */
export const readConfig = (environment: Record<string, string | undefined>, root: string): Config => {
  const read = schema.safeParse(environment);
  if (!read.success) throw new Error(read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).join('; '));
  return { port: read.data.PORT, host: read.data.PARLOR_HOST, data: resolve(root, read.data.PARLOR_DATA) };
};
