// Who is inside. A ticket is known by its sum alone, so what is kept here opens nothing.
import { ok, type Result } from '@parlor/core/kit';
import { and, desc, eq, gt, lt, ne, or } from 'drizzle-orm';
import { sessions } from './schema.ts';
import { change, type Store, type StoreError } from './store.ts';

const DAY = 86_400_000;

/** A session ends so long after it began, and so long after it was used last. */
export const SESSION_DAYS = 30;
export const IDLE_DAYS = 7;

/** How exactly it is known when a session was used last. */
const SEEN_EVERY = 3_600_000;

const living = (phrase: string, now: Date) =>
  and(
    eq(sessions.phrase, phrase),
    gt(sessions.createdAt, new Date(now.getTime() - SESSION_DAYS * DAY)),
    gt(sessions.seenAt, new Date(now.getTime() - IDLE_DAYS * DAY)),
  );

/** Lets a ticket in, by its sum; sessions that have ended are forgotten. */
export const beginSession = (store: Store, id: string, phrase: string, at: Date): Promise<Result<null, StoreError>> =>
  change(store, async (tx) => {
    const ended = or(
      lt(sessions.createdAt, new Date(at.getTime() - SESSION_DAYS * DAY)),
      lt(sessions.seenAt, new Date(at.getTime() - IDLE_DAYS * DAY)),
      ne(sessions.phrase, phrase),
    );
    await tx.delete(sessions).where(ended);
    await tx.insert(sessions).values({ id, phrase, createdAt: at, seenAt: at });
    await store.record(tx, { kind: 'session', id, phrase, at: at.toISOString() });
    return ok(null);
  });

/** Whether a session lives, opened by the phrase that is asked for now; notes that it was used. */
export const isSession = async ({ db }: Store, id: string, phrase: string, now: Date): Promise<boolean> => {
  const [found] = await db
    .select({ seenAt: sessions.seenAt })
    .from(sessions)
    .where(and(eq(sessions.id, id), living(phrase, now)));
  if (found && now.getTime() - found.seenAt.getTime() > SEEN_EVERY)
    await db.update(sessions).set({ seenAt: now }).where(eq(sessions.id, id));
  return found !== undefined;
};

/** The sessions that live, the one that was used last first. */
export const listSessions = ({ db }: Store, phrase: string, now: Date) =>
  db
    .select({ id: sessions.id, createdAt: sessions.createdAt, seenAt: sessions.seenAt })
    .from(sessions)
    .where(living(phrase, now))
    .orderBy(desc(sessions.seenAt));

/** Ends a session, or all of them (null). */
export const endSession = (store: Store, id: string | null): Promise<Result<null, StoreError>> =>
  change(store, async (tx) => {
    await (id === null ? tx.delete(sessions) : tx.delete(sessions).where(eq(sessions.id, id)));
    await store.record(tx, { kind: 'session-end', id });
    return ok(null);
  });
