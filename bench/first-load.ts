import { chromium } from '@playwright/test'
import { build } from 'esbuild'
import { gzipSync } from 'node:zlib'
import { type Bench } from './figure.ts'
import { measuredServer } from './server.ts'

export const CHROMIUM_FLAGS = ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync']

const LIBRARIES = `
import { createApp } from 'vue'
import { createRouter } from 'vue-router'
import { createPinia } from 'pinia'
import { createVuetify } from 'vuetify'
import { VApp, VDialog } from 'vuetify/components'
import { EditorView } from '@codemirror/view'
import { history } from '@codemirror/commands'
console.log(createApp, createRouter, createPinia, createVuetify, VApp, VDialog, EditorView, history)`

async function librariesAlone(): Promise<number> {
  const { outputFiles } = await build({
    stdin: { contents: LIBRARIES, resolveDir: `${process.env['IDOLON_ROOT'] ?? '.'}/packages/web` },
    bundle: true,
    minify: true,
    format: 'esm',
    write: false,
    outdir: 'out',
    define: { 'process.env.NODE_ENV': '"production"', __VUE_OPTIONS_API__: 'true', __VUE_PROD_DEVTOOLS__: 'false', __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: 'false' },
  })
  return outputFiles.reduce((sum, { contents }) => sum + gzipSync(contents).length, 0)
}

/** JavaScript and CSS that the browser asks for when the Desk is opened first, gzipped; fonts apart. */
export const firstLoad: Bench = async () => {
  const { server, address, post } = await measuredServer()
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS })
  try {
    const project = await post<{ id: string }>('/api/projects', { name: 'Bench' })
    const prompt = await post<{ id: string }>('/api/prompts', { projectId: project.id })
    const page = await browser.newPage()
    const bodies: Promise<number>[] = []
    page.on('response', (response) => {
      const { pathname } = new URL(response.url())
      // The reading's worker comes beside the page and holds nothing up.
      if (/\.(js|css)$/.test(pathname) && !pathname.includes('reading.worker')) bodies.push(response.body().then((body) => gzipSync(body).length))
    })
    await page.goto(`${address}/desk/${prompt.id}`)
    await page.getByRole('textbox', { name: 'Text of the prompt' }).waitFor()
    const total = (await Promise.all(bodies)).reduce((sum, size) => sum + size, 0)
    return [{ what: 'JavaScript and CSS of the first load of the Desk, gzip', value: total / 1000, unit: 'kB', baseline: { what: 'the libraries alone, bundled', value: (await librariesAlone()) / 1000 }, limit: 430 }]
  } finally {
    await browser.close()
    await server.close()
  }
}
