import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // Two cores, three hands: every file brings an application and a browser of its own, and each waits for them half of the time.
    maxWorkers: 3,
    projects: [
      { test: { name: 'unit', include: ['{core,server,cli,web}/src/**/*.test.ts'], testTimeout: 60_000, typecheck: { enabled: false } } },
      { test: { name: 'e2e', include: ['e2e/src/**/*.test.ts'], testTimeout: 120_000, hookTimeout: 120_000 } },
    ],
  },
});
