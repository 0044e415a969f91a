// The same store on a PostgreSQL server, for several application processes at once. It syncs by itself, so no journal is kept.
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import type { Database, Db } from './database.ts';

/** Any number that no other program uses for its advisory locks on this database. */
const MIGRATION_LOCK = 7_204_511;

/** Brings the schema up to date while no other process does. */
const migrateAlone = async (pool: pg.Pool, migrations: string): Promise<void> => {
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle(client), { migrationsFolder: migrations });
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    client.release();
  }
};

/** Opens a PostgreSQL server's database and brings it to the newest schema; `onFault` hears of connections that break, idle or at work. */
export const openServer = async (url: string, migrations: string, onFault: (problem: Error) => void): Promise<Database> => {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 10_000 });
  pool.on('error', onFault);
  // A connection that is out for a transaction has listeners of its own; without one its end would be the application's.
  pool.on('connect', (client) => client.on('error', onFault));
  try {
    await migrateAlone(pool, migrations);
  } catch (problem) {
    await pool.end();
    throw problem;
  }
  return { db: drizzle(pool) as unknown as Db, close: () => pool.end() };
};
