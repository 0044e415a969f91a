import { resolve } from 'node:path';
import { z } from 'zod';

const schema = z.object({
  PORT: z.coerce.number({ error: 'must be a number' }).int().min(0).max(65_000).default(5180),
  PARLOR_HOST: z.string().min(1).default('127.0.0.1'),
  PARLOR_DATA: z.string().min(1).default('data'),
  PARLOR_NAMES: z.string().default(''),
  PARLOR_PASSPHRASE: z.string().min(8, 'must have at least 8 characters').max(1000).optional(),
  PARLOR_LOG: z.enum(['info', 'warn', 'error'], 'must be info, warn or error').default('warn'),
  DATABASE_URL: z
    .string()
    .regex(/^postgres(ql)?:\/\//, 'must begin with postgres://')
    .optional(),
});

/** Where the application listens, who may come in, and where sets are kept. */
export type Config = {
  readonly port: number;
  readonly host: string;
  /** Further names, beside its addresses, under which others on the network reach it. */
  readonly names: readonly string[];
  readonly onNetwork: boolean;
  readonly phrase: string | null;
  readonly log: 'info' | 'warn' | 'error';
  readonly data: string;
  /** A PostgreSQL server instead of the data directory's own database. */
  readonly databaseUrl: string | null;
};

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|::1)$/;

/** Reads the settings; throws with the name of what cannot be used, or when others on the network could come in without a pass phrase. */
export const readConfig = (environment: Record<string, string | undefined>, root: string): Config => {
  const read = schema.safeParse(environment);
  if (!read.success) throw new Error(read.error.issues.map(({ path, message }) => `${path.join('.')} ${message}.`).join('\n'));
  const found = read.data;
  const onNetwork = !LOOPBACK.test(found.PARLOR_HOST);
  if (onNetwork && found.PARLOR_PASSPHRASE === undefined) {
    throw new Error(
      `With PARLOR_HOST set to ${found.PARLOR_HOST} others on the network can reach your sets.\nSet PARLOR_PASSPHRASE to a pass phrase of at least 8 characters, or leave PARLOR_HOST out.`,
    );
  }
  return {
    port: found.PORT,
    host: found.PARLOR_HOST,
    names: found.PARLOR_NAMES.split(/[\s,]+/).filter((name) => name !== ''),
    onNetwork,
    phrase: found.PARLOR_PASSPHRASE ?? null,
    log: found.PARLOR_LOG,
    data: resolve(root, found.PARLOR_DATA),
    databaseUrl: found.DATABASE_URL ?? null,
  };
};
