import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'unit', include: ['packages/{core,contract,standins}/src/**/*.test.ts', 'packages/core/training/**/*.test.ts', 'launcher/**/*.test.ts'] } },
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
