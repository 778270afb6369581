import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'
import { contractInBrowser } from './vite/contract-in-browser.ts'
import { contractValidators } from './vite/contract-validators.ts'

const server = process.env['IDOLON_SERVER'] ?? 'http://127.0.0.1:4173'

export default defineConfig(({ mode }) => ({
  root: import.meta.dirname,
  plugins: [contractInBrowser(), contractValidators(), vue(), vuetify({ autoImport: true })],
  worker: { format: 'es' },
  optimizeDeps: { exclude: ['vuetify'] },
  server: { host: '127.0.0.1', proxy: { '/api': { target: server, changeOrigin: true } } },
  // The development build is the page of all components; the application's own page is served from its sources then.
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      // The core's schemas are values that only the server checks by: they go where nothing uses them.
      treeshake: { manualPureFunctions: ['Type'] },
      ...(mode === 'development' ? { input: 'components.html' } : {}),
    },
  },
}))
