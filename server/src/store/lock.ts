// The database does not refuse a second process on its directory, and two of them destroy data. So a file of our own says who is there.
import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { err, ok, type Result } from '@parlor/core/kit';

/** The process that holds a directory. `started` tells it from a later process with the same number. */
type Holder = { readonly pid: number; readonly started: string };

export type LockError = { readonly code: 'data-directory-in-use'; readonly pid: number; readonly path: string };

/** A held lock; `release` gives the directory free. */
export type Lock = { readonly release: () => void };

/** What the kernel says of a process: its state, and when it started; nothing where the system does not tell. */
const statusOf = (pid: number): { readonly state: string; readonly started: string } => {
  try {
    const status = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const fields = status.slice(status.lastIndexOf(')') + 2).split(' ');
    return { state: fields[0] ?? '', started: fields[19] ?? '' };
  } catch {
    return { state: '', started: '' };
  }
};

const isRunning = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (problem) {
    // Somebody else's process may not be signalled, but it is there.
    return (problem as NodeJS.ErrnoException).code === 'EPERM';
  }
};

/** A process that was killed but that nobody has waited for still has a number; it holds nothing any more. */
const isGone = (state: string): boolean => state === 'Z' || state === 'X';

const isAlive = ({ pid, started }: Holder): boolean => {
  const now = statusOf(pid);
  return isRunning(pid) && !isGone(now.state) && (started === '' || now.started === '' || now.started === started);
};

const readHolder = (path: string): Holder | undefined => {
  try {
    const { pid, started } = JSON.parse(readFileSync(path, 'utf8'));
    return typeof pid === 'number' && typeof started === 'string' ? { pid, started } : undefined;
  } catch {
    return undefined;
  }
};

/** Links `own` to `path`, which succeeds for one process only, however many try. */
const claim = (own: string, path: string): boolean => {
  try {
    linkSync(own, path);
    return true;
  } catch (problem) {
    if ((problem as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw problem;
  }
};

/** Moves a dead holder's lock out of the way. If, in between, a live process had taken it, its lock is put back. */
const clearStale = (path: string): void => {
  const aside = `${path}.${process.pid}.stale`;
  try {
    renameSync(path, aside);
  } catch {
    return;
  }
  const moved = readHolder(aside);
  if (moved && isAlive(moved)) claim(aside, path);
  rmSync(aside, { force: true });
};

/** Takes the data directory for this process.
 *  Errors: 'data-directory-in-use', naming the process that has it. A lock whose process is gone is taken over. */
export const takeLock = (directory: string): Result<Lock, LockError> => {
  mkdirSync(directory, { recursive: true });
  const path = join(directory, 'parlor.lock');
  const own = `${path}.${process.pid}.own`;
  writeFileSync(own, JSON.stringify({ pid: process.pid, started: statusOf(process.pid).started }));
  try {
    for (let tries = 0; tries < 5; tries += 1) {
      if (claim(own, path)) return ok({ release: () => rmSync(path, { force: true }) });
      const holder = readHolder(path);
      if (holder && isAlive(holder)) return err({ code: 'data-directory-in-use', pid: holder.pid, path });
      clearStale(path);
    }
    return err({ code: 'data-directory-in-use', pid: readHolder(path)?.pid ?? 0, path });
  } finally {
    rmSync(own, { force: true });
  }
};
