import { spawn } from 'node:child_process';

/** Longer than the slowest start that was ever seen takes; whoever needs longer goes round and round. */
const SECONDS = 60;

/** Tries in a process of its own whether a database opens. */
export const probeWith =
  (program: string, migrations: string) =>
  (target: string): Promise<boolean> =>
    new Promise((resolve) => {
      const child = spawn(process.execPath, ['--liftoff-only', program, target, migrations], { stdio: 'ignore' });
      const timer = setTimeout(() => child.kill('SIGKILL'), SECONDS * 1000);
      child.once('error', () => resolve(false));
      child.once('exit', (status) => {
        clearTimeout(timer);
        resolve(status === 0);
      });
    });
