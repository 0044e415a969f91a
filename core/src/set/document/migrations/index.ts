// The chain that opens documents of every version there was: each version has the migration that makes it the next, and a fixture that is read for ever.
import { bodyScale } from './0001-body-scale.ts';
import type { Migration } from './migration.ts';

/** From version 1 on, in order. */
const MIGRATIONS: readonly Migration[] = [bodyScale];

/** The version that is written. */
export const VERSION = 2;

/** A document as the version that is written has it.
 *  Shape: anything → the same where it is no document of an earlier version; else with its version and all that was called otherwise as they are now. */
export const migrated = (data: unknown): unknown => {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) return data;
  const { version } = data as { readonly version?: unknown };
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version >= VERSION) return data;
  return {
    ...MIGRATIONS.slice(version - 1).reduce((document, next) => next(document), data as Parameters<Migration>[0]),
    version: VERSION,
  };
};
