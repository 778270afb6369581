import { expect, test } from '@playwright/test'
import { execFile } from 'node:child_process'
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { extname, join } from 'node:path'
import { promisify } from 'node:util'
import { ROOT } from './launched.ts'

const HERE = 'http://components.test'
const TYPES: Readonly<Record<string, string>> = { '.html': 'text/html', '.js': 'text/javascript', '.css': 'text/css', '.woff2': 'font/woff2' }
let built: string
test.beforeAll(async () => {
  test.setTimeout(240_000)
  built = await mkdtemp(join(tmpdir(), 'idolon-components-'))
  await promisify(execFile)(join(ROOT, 'node_modules/.bin/vite'), ['build', '--mode', 'development', '--outDir', built, '--emptyOutDir', '--logLevel', 'error'], { cwd: join(ROOT, 'packages/web') })
})
test.afterAll(() => rm(built, { recursive: true, force: true }))

for (const theme of ['light', 'dark']) {
  test(`every component looks as it was last agreed, ${theme}`, async ({ page }) => {
    await page.route(`${HERE}/**`, async (route) => {
      const { pathname } = new URL(route.request().url())
      await route.fulfill({ body: await readFile(join(built, pathname)), contentType: TYPES[extname(pathname)] ?? 'application/octet-stream' })
    })
    await page.goto(`${HERE}/components.html?theme=${theme}`)
    await expect(page.getByRole('heading', { name: /^Components/ })).toBeVisible()
    await page.evaluate(() => document.fonts.ready)
    // Letters are drawn a little otherwise from one build of the browser to the next; a control that looks otherwise is far more.
    await expect(page).toHaveScreenshot(`components-${theme}.png`, { fullPage: true, maxDiffPixelRatio: 0.01 })
  })
}
