import { err, ok, type Result } from '@parlor/core/kit';
import type { Piece } from '@parlor/core/set';
import { eq, sql } from 'drizzle-orm';
import { presets } from './schema.ts';
import { change, type Store, type StoreError } from './store.ts';

/** A maker's own preset; its piece is checked again at its door when it is read. */
export type StoredPreset = { readonly id: string; readonly name: string; readonly piece: unknown };

export const MOST_PRESETS = 200;

/** Any number that no other program uses for its advisory locks on this database. */
const PRESET_LOCK = 7_204_512;

/** The maker's own presets, the oldest first. */
export const listPresets = ({ db }: Store): Promise<readonly StoredPreset[]> =>
  db.select({ id: presets.id, name: presets.name, piece: presets.piece }).from(presets).orderBy(presets.createdAt, presets.id);

/** Keeps a piece to start others from. Errors: 'too-many-presets', 'storage-full'. */
export const keepPreset = (store: Store, id: string, piece: Piece, at: Date): Promise<Result<StoredPreset, StoreError>> =>
  change(store, async (tx) => {
    // Of two processes on one database server the second waits here, so that the count is right.
    await tx.execute(sql`select pg_advisory_xact_lock(${PRESET_LOCK})`);
    const [row] = await tx.select({ count: sql<number>`count(*)::int` }).from(presets);
    if ((row?.count ?? 0) >= MOST_PRESETS) return err({ code: 'too-many-presets', most: MOST_PRESETS });
    const { name } = piece;
    await tx.insert(presets).values({ id, name, piece, createdAt: at });
    await store.record(tx, { kind: 'preset', id, name, at: at.toISOString(), piece });
    return ok({ id, name, piece });
  });

/** Forgets a preset; pieces that were begun from it stay as they are. Errors: 'preset-not-found'. */
export const forgetPreset = (store: Store, id: string): Promise<Result<{ readonly id: string }, StoreError>> =>
  change(store, async (tx) => {
    const [row] = await tx.delete(presets).where(eq(presets.id, id)).returning({ id: presets.id });
    if (!row) return err({ code: 'preset-not-found', id });
    await store.record(tx, { kind: 'forget', id });
    return ok(row);
  });
