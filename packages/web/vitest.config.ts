import { mergeConfig } from 'vite'
import { defineConfig } from 'vitest/config'
import base from './vite.config.ts'

export default mergeConfig(
  base,
  defineConfig({
    test: {
      name: 'web',
      include: ['src/**/*.test.ts'],
      environment: 'happy-dom',
      // A busy machine takes its time; what never ends is found all the same.
      testTimeout: 30_000,
      server: { deps: { inline: ['vuetify'] } },
    },
  }),
)
