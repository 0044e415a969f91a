import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** What takes the longest begins first, so that no hand is idle in the end: those that drive the interface, the largest files before the others. */
const LONG = [
  'powercut',
  'openOwn',
  'start',
  'trust',
  'kept',
  'access',
  'model',
  'coverings',
  'printing',
  'pieces',
  'story',
  'crash',
  'hostile',
  'keyboard',
  'cutting',
];

class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification): number => {
      const at = LONG.findIndex((name) => moduleId.endsWith(`/${name}.test.ts`));
      return at < 0 ? LONG.length : at;
    };
    return [...files].sort((a, b) => rank(a) - rank(b));
  }
}

const SCRATCH = { globalSetup: ['scripts/scratch.mjs'], setupFiles: ['scripts/scratchOfFile.mjs'] };

export default defineConfig({
  test: {
    // Two cores, three hands: every file brings an application and a browser of its own, and each waits for them half of the time.
    maxWorkers: 3,
    sequence: { sequencer: LongestFirst },
    projects: [
      { test: { ...SCRATCH, name: 'unit', include: ['{core,server,cli,web}/src/**/*.test.ts'], testTimeout: 60_000, isolate: false } },
      // A browser that stands still for half a minute, seen about once in three runs on a busy machine and in none of a hundred rounds made to bring
      // it about, is asked a second time; what is wrong is wrong again.
      { test: { ...SCRATCH, name: 'e2e', include: ['e2e/src/**/*.test.ts'], testTimeout: 120_000, hookTimeout: 120_000, retry: 1 } },
    ],
  },
});
