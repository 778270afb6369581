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
      server: { deps: { inline: ['vuetify'] } },
    },
  }),
)
