import { defineConfig } from 'vitest/config'

/** These start threads of their own, or take the database away. */
const APART = ['packages/server/src/references/**/*.test.ts', 'packages/server/src/pictures/**/*.test.ts', 'packages/server/src/runs/database-away.test.ts']
/** A busy machine takes its time; what never ends, or never becomes true, is found all the same. */
const PATIENT = { testTimeout: 180_000, hookTimeout: 180_000, expect: { poll: { timeout: 100_000 } } }
/** Each file has a database of its own in the cluster the launcher started. */
const server = (name: string, own: { include: string[]; exclude?: string[]; isolate?: boolean }) => ({ test: { name, ...own, ...PATIENT, maxWorkers: 2 } })

export default defineConfig({
  test: {
    projects: [
      // Modules keep nothing that a test changes, and are loaded once for all files of a worker.
      { test: { name: 'unit', isolate: false, include: ['packages/{core,contract,standins}/src/**/*.test.ts', 'packages/core/training/**/*.test.ts', 'launcher/**/*.test.ts'], ...PATIENT } },
      server('server', { include: ['packages/server/src/**/*.test.ts'], exclude: APART, isolate: false }),
      server('server-apart', { include: APART }),
      './packages/web/vitest.config.ts',
    ],
  },
})
