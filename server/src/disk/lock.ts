// The database does not refuse a second process on its directory, and two of them destroy data. So a file of our own says who is there, and a
// socket beside it is open for as long as that process lives: the kernel knows of it whatever the two can see of each other.
import { randomBytes } from 'node:crypto';
import { closeSync, linkSync, lstatSync, openSync, readFileSync, readlinkSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { connect, createServer, type Server } from 'node:net';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { err, ok, type Result } from '@parlor/core/kit';
import { makeDirectory } from './files.ts';

/** Who holds a directory. `started` tells a process from a later one with its number; `boot` and `space` say whether its number means
 *  anything here; `place` is the directory that it took, which a copy of it is not. */
type Holder = {
  readonly pid: number;
  readonly started: string;
  readonly boot: string;
  readonly space: string;
  readonly host: string;
  readonly place: string;
  readonly socket: boolean;
};

export type LockError = { readonly code: 'data-directory-in-use'; readonly pid: number; readonly host: string; readonly path: string };

/** A held lock; `stale` is true where it was taken from a process that ended without giving it up. `release` gives the directory free. */
export type Lock = { readonly stale: boolean; readonly release: () => void };

const LOCK = 'parlor.lock';
/** A file beside the lock that changes for as long as its holder lives. */
const BEAT = 'parlor.beat';
const BEAT_EVERY = 4_000;
/** A holder of whom nothing can be asked is watched for so long: three beats, and what a file over the network may lag behind. */
const WATCH = 15_000;

const readText = (path: string): string => {
  try {
    return readFileSync(path, 'utf8').trim();
  } catch {
    return '';
  }
};

/** What the kernel says of a process: its state, and when it started; nothing where the system does not tell. */
const statusOf = (pid: number): { readonly state: string; readonly started: string } => {
  const status = readText(`/proc/${pid}/stat`);
  const fields = status.slice(status.lastIndexOf(')') + 2).split(' ');
  return { state: fields[0] ?? '', started: fields[19] ?? '' };
};

/** This start of this machine, and the space that process numbers count in; empty where the system does not tell. */
const bootOf = (): string => readText('/proc/sys/kernel/random/boot_id');
const spaceOf = (): string => {
  try {
    return readlinkSync('/proc/self/ns/pid');
  } catch {
    return '';
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

/** Whether a process of this very space lives and is the one that took the lock. Where the system tells when processes started, a lock that does
 *  not say so was not taken here. */
const livesHere = ({ pid, started }: Holder): boolean => {
  const now = statusOf(pid);
  return isRunning(pid) && !isGone(now.state) && now.started === started;
};

const readHolder = (path: string): Holder | undefined => {
  try {
    const found = JSON.parse(readFileSync(path, 'utf8'));
    const { pid, started = '', boot = '', space = '', host = '', place = '', socket = false } = found;
    // Number 0 is every process of a group, and no holder.
    return Number.isSafeInteger(pid) && pid > 0 ? { pid, started, boot, space, host, place, socket } : undefined;
  } catch {
    return undefined;
  }
};

/** Names of sockets are short; a directory that is open has a short one. */
const socketPath = (handle: number): string => `/proc/self/fd/${handle}/parlor.socket`;

const answers = (handle: number): Promise<boolean> =>
  new Promise((resolve) => {
    const asked = connect(socketPath(handle));
    asked.once('connect', () => {
      asked.destroy();
      resolve(true);
    });
    asked.once('error', ({ code }: NodeJS.ErrnoException) => resolve(code === 'EAGAIN' || code === 'EACCES'));
  });

const pause = (ms: number): Promise<void> => new Promise((later) => setTimeout(later, ms));

/** Watches the beat of a holder of whom nothing else can be asked. */
const beats = async (directory: string): Promise<boolean> => {
  const before = readText(join(directory, BEAT));
  for (let waited = 0; waited < WATCH; waited += 1_000) {
    await pause(1_000);
    if (readText(join(directory, BEAT)) !== before) return true;
  }
  return false;
};

type Here = { readonly boot: string; readonly space: string; readonly place: string; readonly handle: number };

/** Whether whoever holds the lock lives: asked of the process table where its number means something here, of its socket where the same kernel
 *  runs both, and otherwise of its beat. */
const isAlive = async (directory: string, holder: Holder, here: Here, onWait: () => void): Promise<boolean> => {
  // A copy of a directory has a copy of its lock.
  if (holder.place !== '' && holder.place !== here.place) return false;
  if (holder.boot === here.boot && holder.space === here.space) return livesHere(holder);
  if (holder.boot === '') return livesHere(holder);
  if (holder.boot === here.boot && holder.socket) return answers(here.handle);
  // The same machine, started anew since.
  if (holder.boot !== here.boot && holder.host === hostname()) return false;
  onWait();
  return beats(directory);
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

/** Moves a dead holder's lock out of the way. If, in between, another process had taken it, its lock is put back. */
const clearStale = (path: string, dead: string): void => {
  const aside = `${path}.${process.pid}.stale`;
  try {
    renameSync(path, aside);
  } catch {
    return;
  }
  if (lstatSync(aside).isFile() && readText(aside) !== dead) claim(aside, path);
  rmSync(aside, { force: true, recursive: true });
};

const listen = (handle: number): Promise<Server | null> =>
  new Promise((resolve) => {
    const server = createServer((asked) => asked.destroy());
    rmSync(socketPath(handle), { force: true });
    server.once('error', () => resolve(null));
    server.listen(socketPath(handle), () => resolve(server.unref()));
  });

/** Opens the socket and lets the beat begin; `holder` is what already stands in the lock, but for the socket. */
const hold = async (directory: string, own: string, holder: Holder, here: Here, stale: boolean): Promise<Lock> => {
  const path = join(directory, LOCK);
  const server = await listen(here.handle);
  if (server) {
    writeFileSync(own, JSON.stringify({ ...holder, socket: true }), { mode: 0o600 });
    renameSync(own, path);
  }
  const beat = () => {
    try {
      writeFileSync(join(directory, BEAT), randomBytes(6).toString('hex'), { mode: 0o600 });
    } catch {
      // A disk without room or rights keeps the last beat; the socket is open still.
    }
  };
  beat();
  const timer = setInterval(beat, BEAT_EVERY).unref();
  return {
    stale,
    release: () => {
      clearInterval(timer);
      server?.close();
      rmSync(join(directory, BEAT), { force: true });
      rmSync(path, { force: true });
      closeSync(here.handle);
    },
  };
};

const inUse = (path: string): Result<Lock, LockError> => {
  const found = readHolder(path);
  return err({ code: 'data-directory-in-use', pid: found?.pid ?? 0, host: found?.host ?? '', path });
};

/** Takes the data directory for this process; `onWait` hears when that takes some seconds.
 *  Errors: 'data-directory-in-use', naming the process that has it. A lock whose process is gone is taken over. */
export const takeLock = async (directory: string, onWait: () => void = () => undefined): Promise<Result<Lock, LockError>> => {
  makeDirectory(directory);
  const path = join(directory, LOCK);
  const own = `${path}.${process.pid}.${randomBytes(4).toString('hex')}.own`;
  const here: Here = { boot: bootOf(), space: spaceOf(), place: String(statSync(directory).ino), handle: openSync(directory, 'r') };
  const { boot, space, place } = here;
  const holder: Holder = { pid: process.pid, started: statusOf(process.pid).started, host: hostname(), boot, space, place, socket: false };
  let taken = false;
  try {
    writeFileSync(own, JSON.stringify(holder), { mode: 0o600 });
    for (let tries = 0; tries < 5; tries += 1) {
      taken = claim(own, path);
      if (taken) return ok(await hold(directory, own, holder, here, tries > 0));
      const text = readText(path);
      const found = readHolder(path);
      // A lock that may not be read, or that was torn, says nothing; its socket does.
      if (await (found ? isAlive(directory, found, here, onWait) : answers(here.handle))) return inUse(path);
      clearStale(path, text);
    }
    return inUse(path);
  } finally {
    rmSync(own, { force: true });
    if (!taken) closeSync(here.handle);
  }
};
