import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      // A busy machine takes its time; what never ends is found all the same.
      { test: { name: 'unit', include: ['packages/{core,contract,standins}/src/**/*.test.ts', 'packages/core/training/**/*.test.ts', 'launcher/**/*.test.ts'], testTimeout: 30_000 } },
      {
        test: {
          name: 'server',
          include: ['packages/server/src/**/*.test.ts'],
          // Each file has a database of its own in the cluster the launcher started.
          testTimeout: 30_000,
          hookTimeout: 60_000,
          maxWorkers: 2,
        },
      },
      './packages/web/vitest.config.ts',
    ],
  },
})
