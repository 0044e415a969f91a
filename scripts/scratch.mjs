// Where the tests lay out their files: in memory where there is room, each run in a folder of its own that goes when it ends. What a run that was
// killed has left goes when the next begins: on a disk it would grow by gigabytes, in memory by what the machine has.
import { chmodSync, mkdirSync, readdirSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const MEMORY = '/dev/shm';
const GIGABYTE = 2 ** 30;
const NAME = /^parlor-tests-(\d+)$/;

/** Memory that can be written like a disk and holds what some three test files at once lay out; else the system's temporary folder. */
const roomiest = () => {
  try {
    const { bavail, bsize } = statfsSync(MEMORY);
    return bavail * bsize > 4 * GIGABYTE ? MEMORY : tmpdir();
  } catch {
    return tmpdir();
  }
};

const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (problem) {
    return problem.code === 'EPERM';
  }
};

/** Empties and takes away a folder that processes which are just ending may still write in. */
export const away = (folder) => rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });

/** Called by the test runner before the first test; what it gives back, after the last. */
export default () => {
  const outside = roomiest();
  for (const name of readdirSync(outside)) {
    const pid = NAME.exec(name)?.[1];
    if (pid !== undefined && !isAlive(Number(pid))) away(join(outside, name));
  }
  const folder = join(outside, `parlor-tests-${process.pid}`);
  mkdirSync(folder, { recursive: true });
  // The tests of a database server run it as another user, who has to get through.
  chmodSync(folder, 0o711);
  process.env.PARLOR_SCRATCH = folder;
  return () => away(folder);
};
