// The built-in database. As it is shipped it never syncs; here it syncs as PostgreSQL does, so that what a power cut leaves of it is whole: the
// log before the pages, the checkpoint before what it makes needless. A commit does not wait for the disk; the journal does that.
import { chmodSync, closeSync, cpSync, existsSync, fsyncSync, openSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { renameDurably, syncTree } from '../disk/index.ts';

/** A database by whichever driver: the one that is built in, or a PostgreSQL server. */
export type Db = PgDatabase<PgQueryResultHKT, Record<string, never>>;

/** An open database and the way to close it. */
export type Database = { readonly db: Db; readonly close: () => Promise<void> };

/** Where the built-in database lies inside a data directory. */
export const databaseIn = (directory: string): string => join(directory, 'database');

/** What the compiled database knows of a file that is open, as far as it is asked. */
type OpenFile = { readonly nfd?: number; readonly node: unknown };
type Compiled = {
  readonly NODEFS: { readonly stream_ops: { fsync?: (file: OpenFile) => number }; readonly realPath: (node: unknown) => string };
  readonly FS: { readonly ErrnoError: new (errno: number) => Error };
};

/** "Input/output error" as the compiled C library numbers it. */
const EIO = 29;

const syncOpen = ({ NODEFS, FS }: Compiled, { nfd, node }: OpenFile): number => {
  const handle = nfd ?? openSync(NODEFS.realPath(node), 'r');
  try {
    fsyncSync(handle);
    return 0;
  } catch {
    throw new FS.ErrnoError(EIO);
  } finally {
    // A directory has no handle of its own there.
    if (nfd === undefined) closeSync(handle);
  }
};

/** Files of the system's own, with the one thing that the shipped ones leave out: what the database asks to be synced is synced. */
class SyncedFiles extends NodeFS {
  override async init(...words: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const made = await super.init(...words);
    made.emscriptenOpts.preRun?.push((module: unknown) => {
      const compiled = module as Compiled;
      compiled.NODEFS.stream_ops.fsync = (file) => syncOpen(compiled, file);
    });
    return made;
  }
}

/** "-F" is what turns syncing off. */
const START = [...PGlite.defaultStartParams.filter((word) => word !== '-F'), '-c', 'synchronous_commit=off', '-c', 'wal_sync_method=fsync'];

/** Copies the database that was prepared at build time, which is six times faster than making one. The copy is on the disk before it gets its
 *  name, so a start that was broken off leaves nothing half-made behind. */
export const copyPrepared = (prepared: string, target: string): void => {
  const unfinished = `${target}.unfinished`;
  rmSync(unfinished, { recursive: true, force: true });
  cpSync(prepared, unfinished, { recursive: true });
  chmodSync(unfinished, 0o700);
  syncTree(unfinished);
  renameDurably(unfinished, target);
};

/** What is wrong with the files of a database, seen from outside; null where it can be tried. */
export const faultOfFiles = (target: string): 'missing' | 'not a database' | null => {
  if (!existsSync(target)) return 'missing';
  return existsSync(join(target, 'PG_VERSION')) && statSync(target).isDirectory() ? null : 'not a database';
};

const connect = async (target: string): Promise<PGlite> => {
  // Of the 13,000 functions of the database a start calls a few hundred: each is compiled when it is first called.
  setFlagsFromString('--wasm-lazy-compilation');
  // Our own lock is held; the database's would be empty after a power cut, and keep it from opening.
  rmSync(join(target, 'postmaster.pid'), { force: true });
  const client = new PGlite({ fs: new SyncedFiles(target), startParams: START });
  try {
    await client.waitReady;
    return client;
  } catch (problem) {
    await client.close().catch(() => undefined);
    throw problem;
  }
};

/** Opens a database that stands at a place and brings it to the newest schema. The caller holds the lock. */
export const openAt = async (target: string, migrations: string): Promise<Database> => {
  const client = await connect(target);
  try {
    const db = drizzle(client);
    await migrate(db, { migrationsFolder: migrations });
    return { db: db as unknown as Db, close: () => client.close() };
  } catch (problem) {
    await client.close().catch(() => undefined);
    throw problem;
  }
};
