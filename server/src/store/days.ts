// Days are counted one by one while the application is used: a clock that is wrong once moves the count by one, not by years.
import type { Db } from './database.ts';
import { noteMark, readMark } from './store.ts';

const DAYS = 'days';
const LAST_DAY = 'last-day';

/** So many days were counted. */
export const countedDays = async (db: Db): Promise<number> => Number((await readMark(db, DAYS)) ?? 0);

/** Counts today, if no other call has. `today` is the day by the clock (`2026-11-26`). */
export const countDay = async (db: Db, today: string): Promise<void> => {
  if ((await readMark(db, LAST_DAY)) === today) return;
  await noteMark(db, LAST_DAY, today);
  await noteMark(db, DAYS, String((await countedDays(db)) + 1));
};
