import { resolve } from 'node:path';
import { z } from 'zod';

/** Phrases that are tried first by whoever guesses; longer ones than these are rarely among them. */
const COMMON =
  /^(.)\1*$|^(0?1234567890?)+|^(qwertz?u?iop|qwerty|asdfgh|password|passphrase|letmein|iloveyou|bashful ?parlor|changeme)[\W\d]*\w{0,3}$/i;

const LEAST_LETTERS = 12;
const PHRASE_RULE = `must have at least ${LEAST_LETTERS} letters and signs, spaces not counted, and be none that everybody tries`;

/** Long enough to be guessed by nobody at the pace at which the door lets guess. Source: NIST SP 800-63B and OWASP ASVS 2.1 (recalled from memory). */
const isStrong = (phrase: string): boolean => {
  const signs = [...phrase.normalize('NFC').replace(/\s+/g, '')];
  return signs.length >= LEAST_LETTERS && new Set(signs).size >= 5 && !COMMON.test(phrase.trim());
};

/** A setting that is there but empty is as one that is not. */
const setting = <T extends z.ZodType>(schema: T) => z.preprocess((value) => (value === '' ? undefined : value), schema);

const schema = z.object({
  PORT: setting(z.coerce.number({ error: 'must be a number' }).int().min(0).max(65_000).default(5180)),
  PARLOR_HOST: setting(z.string().default('127.0.0.1')),
  PARLOR_DATA: setting(z.string().default('data')),
  PARLOR_NAMES: setting(z.string().default('')),
  PARLOR_PROXY: setting(z.string().default('')),
  PARLOR_KEEP: setting(z.string().optional()),
  PARLOR_PASSPHRASE: setting(z.string().max(1000).refine(isStrong, PHRASE_RULE).optional()),
  PARLOR_LOG: setting(z.enum(['info', 'warn', 'error'], 'must be info, warn or error').default('warn')),
  DATABASE_URL: setting(
    z
      .string()
      .regex(/^postgres(ql)?:\/\//, 'must begin with postgres://')
      .optional(),
  ),
});

/** Where the application listens, who may come in, and where sets are kept. */
export type Config = {
  readonly port: number;
  readonly host: string;
  /** Further names, beside its addresses, under which others on the network reach it. */
  readonly names: readonly string[];
  /** Addresses of whoever passes requests on to it and is believed when they say for whom. */
  readonly proxies: readonly string[];
  readonly onNetwork: boolean;
  readonly phrase: string | null;
  readonly log: 'info' | 'warn' | 'error';
  readonly data: string;
  /** A directory into which a copy of everything is put each week. */
  readonly keep: string | null;
  /** A PostgreSQL server instead of the data directory's own database. */
  readonly databaseUrl: string | null;
};

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|::1)$/;

const listed = (text: string): readonly string[] => text.split(/[\s,]+/).filter((each) => each !== '');

/** Reads the settings; throws with the name of what cannot be used, or when others on the network could come in without a pass phrase. */
export const readConfig = (environment: Record<string, string | undefined>, root: string): Config => {
  const read = schema.safeParse(environment);
  if (!read.success) throw new Error(read.error.issues.map(({ path, message }) => `${path.join('.')} ${message}.`).join('\n'));
  const found = read.data;
  // Behind one who stands in front, others on the network reach it through that one.
  const onNetwork = !LOOPBACK.test(found.PARLOR_HOST) || found.PARLOR_PROXY !== '';
  if (onNetwork && found.PARLOR_PASSPHRASE === undefined) {
    throw new Error(
      `With ${found.PARLOR_PROXY === '' ? `PARLOR_HOST set to ${found.PARLOR_HOST}` : 'PARLOR_PROXY set'} others on the network can reach your sets.\nSet PARLOR_PASSPHRASE to a pass phrase (it ${PHRASE_RULE}), or leave that setting out.`,
    );
  }
  return {
    port: found.PORT,
    host: found.PARLOR_HOST,
    names: listed(found.PARLOR_NAMES),
    proxies: listed(found.PARLOR_PROXY),
    onNetwork,
    phrase: found.PARLOR_PASSPHRASE ?? null,
    log: found.PARLOR_LOG,
    data: resolve(root, found.PARLOR_DATA),
    keep: found.PARLOR_KEEP === undefined ? null : resolve(root, found.PARLOR_KEEP),
    databaseUrl: found.DATABASE_URL ?? null,
  };
};
