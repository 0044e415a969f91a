// Pictures from anybody are read in a process of its own, one after the other, with bounds of time and memory.
import { type ChildProcess, fork } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { err, type Result } from '@parlor/core/kit';
import type { PictureProblem, Upright } from './upright.ts';
import { waitingLine } from './waitingLine.ts';

export type ReadingProblem = PictureProblem | { readonly code: 'picture-too-slow' | 'picture-too-heavy' | 'busy' };

/** Reads pictures; `gone` ends the reading when whoever asked has left. */
export type PictureReader = {
  readonly read: (file: Uint8Array, gone: AbortSignal) => Promise<Result<Upright, ReadingProblem>>;
  readonly close: () => void;
};

const PICTURE_SECONDS = 5;
const MOST_MEMORY = 900_000_000;
const MOST_WAITING = 12;
/** How long an idle process is kept for the next picture. */
const KEPT_FOR = 60_000;
const LOOK_EVERY = 50;
const PAGE = 4_096;

/** What a process has in memory, in bytes; 0 where the system does not tell. */
const memoryOf = (pid: number | undefined): number => {
  try {
    return Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1]) * PAGE;
  } catch {
    return 0;
  }
};

/** Starts the process when it is first needed; `program` is its built file. */
export const pictureReader = (program: string, seconds = PICTURE_SECONDS): PictureReader => {
  let child: ChildProcess | null = null;
  let idle: NodeJS.Timeout | undefined;
  const line = waitingLine(MOST_WAITING);
  const end = (): void => {
    child?.kill('SIGKILL');
    child = null;
  };
  const ready = (): ChildProcess => {
    clearTimeout(idle);
    if (child && child.exitCode === null && child.signalCode === null && child.connected) return child;
    // What it inherits it could be made to tell: it gets nothing but what libraries need to be found.
    const { PATH = '', HOME = '' } = process.env;
    child = fork(program, [], {
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      env: { PATH, HOME },
      execArgv: ['--max-old-space-size=200'],
    });
    child.unref();
    child.channel?.unref();
    return child;
  };
  const readOne = (file: Uint8Array, gone: AbortSignal): Promise<Result<Upright, ReadingProblem>> =>
    new Promise((resolve) => {
      if (gone.aborted) return resolve(err({ code: 'busy' }));
      const reader = ready();
      const started = performance.now();
      const done = (result: Result<Upright, ReadingProblem>, kill: boolean): void => {
        clearInterval(look);
        reader.off('message', answered).off('exit', broken).off('error', broken);
        gone.removeEventListener('abort', left);
        if (kill) end();
        else {
          idle = setTimeout(end, KEPT_FOR);
          idle.unref();
        }
        resolve(result);
      };
      const answered = (message: unknown): void => done(message as Result<Upright, PictureProblem>, false);
      const broken = (): void => done(err({ code: 'picture-unreadable' }), true);
      const left = (): void => done(err({ code: 'busy' }), true);
      const look = setInterval(() => {
        if (memoryOf(reader.pid) > MOST_MEMORY) done(err({ code: 'picture-too-heavy' }), true);
        else if (performance.now() - started > seconds * 1000) done(err({ code: 'picture-too-slow' }), true);
      }, LOOK_EVERY);
      reader.once('message', answered).once('exit', broken).once('error', broken);
      gone.addEventListener('abort', left);
      reader.send(file, (problem) => problem && broken());
    });
  return {
    read: (file, gone) => line(() => readOne(file, gone)) ?? Promise.resolve(err({ code: 'busy' })),
    close: end,
  };
};
