import { chromium, type Page } from '@playwright/test'
import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { act, api, choose, engine, engineUsage, expect, newPrompt, promptNow, saved, test, textOf } from './application.ts'

interface RunAnswer {
  id: string
  proofs: { id: string; state: string; reason: string | null }[]
  cost: { amount: number }[]
}
const runsOf = (id: string) => api<RunAnswer[]>('GET', `/api/prompts/${id}/runs`)

/** Kills the process that serves the page, as its launcher noted it. */
async function killServer(): Promise<void> {
  process.kill(Number(await readFile(join(process.env['E2E_DATA'] ?? '', 'server-pid'), 'utf8')), 'SIGKILL')
}
/** Kills every process that was started with `argument`. */
async function killProcessesOf(argument: string): Promise<void> {
  for (const pid of (await readdir('/proc')).filter((name) => /^\d+$/.test(name))) {
    const command = await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '')
    if (!command.split('\0').includes(argument)) continue
    try {
      process.kill(Number(pid), 'SIGKILL')
    } catch {
      // Gone with its parent.
    }
  }
}
const serverIsBack = () =>
  expect
    .poll(() => fetch(`${process.env['E2E_ADDRESS'] ?? ''}/api/health`).then((r) => r.status, () => 0), { timeout: 20_000 })
    .toBe(200)

test.afterEach(() => engine({ fault: 'none', delayMs: 0 }))

test('undo and redo cover text, leave-out list and settings, step by step', async ({ page }) => {
  const id = await newPrompt(page, 'A jar of honey')
  await page.getByLabel('Leave out').pressSequentially('people')
  await choose(page, 'Aspect ratio', '2:3')
  await page.getByRole('button', { name: /^Settings of/ }).click()
  await page.getByLabel('Seed').fill('77')
  await page.keyboard.press('Escape')
  await expect(saved(page)).toBeVisible()
  expect((await promptNow(id)).draft).toMatchObject({ text: 'A jar of honey', leaveOut: ['people'], settings: { aspectRatio: '2:3', seed: 77 } })
  const undo = page.getByRole('button', { name: 'Undo', exact: true })
  await undo.click()
  await expect(page.getByRole('button', { name: /^Settings of/ })).toHaveText('Settings')
  await undo.click()
  await expect(page.getByRole('combobox', { name: 'Aspect ratio' })).toHaveValue('3:2')
  while (await undo.isEnabled()) await undo.click()
  await expect(page.getByLabel('Leave out')).toHaveValue('')
  await expect(textOf(page)).toHaveText('Say what the picture shows')
  const redo = page.getByRole('button', { name: 'Redo' })
  while (await redo.isEnabled()) await redo.click()
  await expect(saved(page)).toBeVisible()
  expect((await promptNow(id)).draft).toMatchObject({ text: 'A jar of honey', leaveOut: ['people'], settings: { aspectRatio: '2:3', seed: 77 } })
})

test('a reload in the middle of typing loses nothing', async ({ page }) => {
  const id = await newPrompt(page, 'A tower')
  await page.keyboard.type(' on the hill, and at once')
  await page.reload()
  await expect(textOf(page)).toHaveText('A tower on the hill, and at once')
  await expect.poll(async () => (await promptNow(id)).draft.text).toBe('A tower on the hill, and at once')
})

test('what is written while the server is away is kept, said, and sent when it is back', async ({ page, context }) => {
  const id = await newPrompt(page, 'A boat')
  await context.setOffline(true)
  await page.keyboard.type(' on the lake')
  await expect(page.getByText('Not saved on the server yet; kept in this browser')).toBeVisible()
  await context.setOffline(false)
  await expect(saved(page)).toBeVisible({ timeout: 15_000 })
  expect((await promptNow(id)).draft.text).toBe('A boat on the lake')
})

/** Waits until the browser's own store has this text: what a crash may not take. */
const keptInBrowser = (page: Page, text: string) =>
  expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<string[]>((resolve, reject) => {
            const opening = indexedDB.open('idolon')
            opening.onerror = () => reject(opening.error ?? new Error('no database'))
            opening.onsuccess = () => {
              const all = opening.result.transaction('drafts').objectStore('drafts').getAll()
              all.onsuccess = () => {
                opening.result.close()
                resolve((all.result as { draft: { text: string } }[]).map(({ draft }) => draft.text))
              }
            }
          }),
      ),
    )
    .toContain(text)

test('a page that crashed without an answer is joined when the prompt is opened again', async ({ page, context }) => {
  const id = await newPrompt(page, 'A heron')
  await page.route('**/edits', (route) => route.abort())
  await page.keyboard.type(' of brass')
  await expect(page.getByText('Not saved on the server yet')).toBeVisible()
  await keptInBrowser(page, 'A heron of brass')
  // A crash, since a page that is closed still sends what it has.
  const crashed = page.waitForEvent('crash')
  const devtools = await context.newCDPSession(page)
  void devtools.send('Page.crash').catch(() => undefined)
  await crashed
  expect((await promptNow(id)).draft.text).toBe('A heron')
  const again = await context.newPage()
  await again.goto(`/desk/${id}`)
  await expect(textOf(again)).toHaveText('A heron of brass')
  await expect.poll(async () => (await promptNow(id)).draft.text).toBe('A heron of brass')
})

test('a browser that is killed in the middle of typing loses nothing', async () => {
  const profile = await mkdtemp(join(tmpdir(), 'idolon-profile-'))
  const launch = () => chromium.launchPersistentContext(profile, { ...test.info().project.use.launchOptions, baseURL: process.env['E2E_ADDRESS'] ?? '' })
  try {
    const first = await launch()
    const page = first.pages()[0] ?? (await first.newPage())
    const id = await newPrompt(page, 'A lantern')
    // The server hears no more of it: only the browser's own store has the rest.
    await page.route('**/edits', (route) => route.abort())
    await page.keyboard.type(' in the snow')
    await expect(page.getByText('Not saved on the server yet')).toBeVisible()
    await keptInBrowser(page, 'A lantern in the snow')
    await killProcessesOf(`--user-data-dir=${profile}`)
    await first.close().catch(() => undefined)
    expect((await promptNow(id)).draft.text).toBe('A lantern')
    const second = await launch()
    const again = second.pages()[0] ?? (await second.newPage())
    await again.goto(`/desk/${id}`)
    await expect(textOf(again)).toHaveText('A lantern in the snow')
    await expect.poll(async () => (await promptNow(id)).draft.text).toBe('A lantern in the snow')
    await second.close()
  } finally {
    await rm(profile, { recursive: true, force: true })
  }
})

test('of two windows the later writer is told and shown both', async ({ page, context }) => {
  const id = await newPrompt(page, 'A bee')
  const other = await context.newPage()
  await other.goto(`/desk/${id}`)
  await expect(textOf(other)).toHaveText('A bee')
  // The second window hears nothing for a while, and writes on what it still sees.
  await other.route('**/api/events', (route) => route.abort())
  // What it sends arrives after what the first window wrote is kept whole.
  let release: () => void = () => undefined
  const held = new Promise<void>((resolve) => (release = resolve))
  await other.route('**/edits', async (route) => {
    await held
    await route.continue()
  })
  await textOf(other).press('ControlOrMeta+End')
  await other.keyboard.type(' in clover')
  await textOf(page).press('ControlOrMeta+End')
  await page.keyboard.type(' at noon')
  await expect.poll(async () => (await promptNow(id)).draft.text).toBe('A bee at noon')
  release()
  const dialog = other.getByRole('dialog')
  await expect(dialog.getByText('This prompt was changed in two places')).toBeVisible()
  await expect(dialog.getByText('A bee in clover', { exact: true })).toBeVisible()
  await expect(dialog.getByText('A bee at noon', { exact: true })).toBeVisible()
  await other.unroute('**/edits')
  await dialog.getByRole('button', { name: 'Go on with this' }).first().click()
  await expect(textOf(other)).toHaveText('A bee in clover')
  await expect.poll(async () => (await promptNow(id)).draft.text).toBe('A bee in clover')
  // The first window follows, says so, and can take its own back.
  await expect(textOf(page)).toHaveText('A bee in clover')
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(textOf(page)).toHaveText('A bee at noon')
})

test('kill -9 of the server in the middle of a run and of typing: every word and picture is there, charged once', async ({ page }) => {
  const id = await newPrompt(page, 'A red train over a viaduct')
  await page.getByLabel('Results').fill('8')
  await page.getByLabel('Results').blur()
  await expect(saved(page)).toBeVisible()
  await engine({ delayMs: 900 })
  const before = await engineUsage()
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByText(/[1-7] of 8 pictures back/)).toBeVisible({ timeout: 20_000 })
  await textOf(page).press('ControlOrMeta+End')
  await page.keyboard.type(', linocut')
  await expect(saved(page)).toBeVisible()
  await page.keyboard.type(', snow')
  await killServer()
  await page.keyboard.type(' and fog')
  await serverIsBack()
  await expect(saved(page)).toBeVisible({ timeout: 20_000 })
  expect((await promptNow(id)).draft.text).toBe('A red train over a viaduct, linocut, snow and fog')
  await expect(page.getByRole('group', { name: /^Version 1 of/ }).getByRole('button', { name: /result/ })).toHaveCount(8, { timeout: 30_000 })
  const [asked] = await runsOf(id)
  expect(asked?.proofs.map(({ state }) => state)).toEqual(Array(8).fill('stored'))
  const after = await engineUsage()
  expect(after.charged - before.charged).toBe(8)
  expect(asked?.cost).toEqual([{ unit: 'credit', amount: 32 }])
})

test('a picture that fails says why, leaves the others, and can be asked again', async ({ page }) => {
  const id = await newPrompt(page, 'A teapot in a studio')
  await page.getByLabel('Results').fill('2')
  await page.getByLabel('Results').blur()
  await engine({ fault: 'not-a-picture', times: 1 })
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByText('The engine answered, but what came is not a PNG, JPEG, WebP, GIF, AVIF or TIFF picture.')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByRole('button', { name: /result/ })).toHaveCount(1)
  await page.getByRole('button', { name: 'Ask again' }).click()
  await expect(page.getByRole('button', { name: /result/ })).toHaveCount(2, { timeout: 30_000 })
  expect((await runsOf(id))[0]?.proofs.map(({ state }) => state)).toEqual(['stored', 'stored'])
})

test('a run is stopped; what was not asked for costs nothing', async ({ page }) => {
  const id = await newPrompt(page, 'A cup of tea on a table')
  await page.getByLabel('Results').fill('12')
  await page.getByLabel('Results').blur()
  await engine({ delayMs: 700 })
  await page.getByRole('button', { name: 'Try it' }).click()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('Stopped before the engine was asked; nothing was charged.').first()).toBeVisible()
  await expect.poll(async () => (await runsOf(id))[0]?.proofs.some(({ state }) => state === 'sent' || state === 'asked')).toBe(false)
  const [asked] = await runsOf(id)
  const stored = asked?.proofs.filter(({ state }) => state === 'stored').length ?? 0
  expect(asked?.cost[0]?.amount ?? 0).toBe(4 * stored)
  expect(stored).toBeLessThan(12)
})

test('a deleted prompt is restored with one press', async ({ page }) => {
  const id = await newPrompt(page, 'A loaf of bread')
  await act(page, 'This prompt', /^Delete this prompt/)
  await page.getByRole('button', { name: 'Restore' }).click()
  await page.waitForURL(`**/desk/${id}`)
  await expect(textOf(page)).toHaveText('A loaf of bread')
})

test('20,000 characters work; more is refused, and what is there is kept', async ({ page }) => {
  const id = await newPrompt(page)
  const long = 'A long prompt about honey. '.repeat(741).slice(0, 20_000)
  await page.keyboard.insertText(long)
  await expect(saved(page)).toBeVisible()
  expect((await promptNow(id)).draft.text).toBe(long)
  await page.keyboard.insertText('One more sentence.')
  await expect(page.getByText(/A draft holds 20,000 characters/)).toBeVisible()
  expect((await promptNow(id)).draft.text).toBe(long)
})
