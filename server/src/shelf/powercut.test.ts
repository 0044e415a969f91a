// The power is cut at a hundred moments; what was acknowledged is there every time. `npm run bench:trust` does so a thousand times.
import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

type Came = {
  readonly states: number;
  readonly acknowledged: number;
  readonly opened: number;
  readonly rebuilt: number;
  readonly failed: number;
};

const cut = (...words: string[]): Promise<{ readonly came: Came | null; readonly said: string }> =>
  new Promise((resolve) => {
    const program = join(import.meta.dirname, 'powercutMain.testing.ts');
    execFile(process.execPath, ['--liftoff-only', '--import', 'tsx', program, ...words], { maxBuffer: 64_000_000 }, (_, out, said) =>
      resolve({ came: out.startsWith('{') ? JSON.parse(out) : null, said }),
    );
  });

describe('a power cut at any moment', () => {
  it('in a hundred states loses nothing that was acknowledged, and none has to be made anew', { timeout: 600_000 }, async () => {
    const { came, said } = await cut('100', '1');
    expect(came, said).toMatchObject({ states: 100, failed: 0, rebuilt: 0, opened: 100 });
    expect(came?.acknowledged).toBeGreaterThan(150);
  });

  it('of a database that never synced, most have to be made anew, and nothing is lost either', { timeout: 600_000 }, async () => {
    const { came, said } = await cut('8', '2', 'deaf');
    expect(came, said).toMatchObject({ states: 8, failed: 0 });
    expect(came?.rebuilt).toBeGreaterThanOrEqual(3);
  });
});
