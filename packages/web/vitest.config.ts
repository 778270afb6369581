import vue from '@vitejs/plugin-vue'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { defineConfig } from 'vitest/config'
import { contractValidators } from './vite/contract-validators.ts'

/** The library as the one file it also comes in: a test file then reads one module, not four hundred. */
const library = join(dirname(createRequire(import.meta.url).resolve('vuetify/package.json')), 'dist/vuetify.esm.js')

export default defineConfig({
  root: import.meta.dirname,
  plugins: [contractValidators(), vue()],
  // The tables of the reading come into a test as they ship.
  assetsInclude: ['**/*.bin'],
  resolve: { alias: [{ find: /^vuetify$/, replacement: library }] },
  test: {
    name: 'web',
    include: ['src/**/*.test.ts'],
    environment: 'happy-dom',
    setupFiles: ['./testing.setup.ts'],
    // A busy machine takes its time; what never ends is found all the same.
    testTimeout: 180_000,
    isolate: false,
  },
})
