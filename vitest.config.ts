import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // Two cores, two hands: every file brings an application and a browser of its own.
    maxWorkers: 2,
    projects: [
      { test: { name: 'unit', include: ['{core,server,cli,web}/src/**/*.test.ts'], testTimeout: 60_000, typecheck: { enabled: false } } },
      { test: { name: 'e2e', include: ['e2e/src/**/*.test.ts'], testTimeout: 120_000, hookTimeout: 120_000 } },
    ],
  },
});
