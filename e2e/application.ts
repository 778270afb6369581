import { test as base, expect, type FileChooser, type Locator, type Page } from '@playwright/test'
import { startApplication } from './start-application.ts'

export { expect } from '@playwright/test'

const address = () => process.env['E2E_ADDRESS'] ?? ''

/** The page starts on the application, and any error or refused content in it fails the test. */
export const test = base.extend<{ strict: undefined }, { application: undefined }>({
  // Each worker has an application, a database and engines of its own, so that files do not disturb one another.
  application: [
    // eslint-disable-next-line no-empty-pattern -- the test runner reads the names of fixtures from this pattern
    async ({}, use) => {
      const end = await startApplication()
      await use(undefined)
      await end()
    },
    { scope: 'worker', auto: true, timeout: 480_000 },
  ],
  // eslint-disable-next-line no-empty-pattern -- as above
  baseURL: async ({}, use) => use(address()),
  strict: [
    async ({ page }, use) => {
      const faults: string[] = []
      page.on('pageerror', (error) => faults.push(error.message))
      page.on('console', (message) => {
        if (/Content Security Policy|Refused to/.test(message.text())) faults.push(message.text())
      })
      await use(undefined)
      if (faults.length) throw new Error(`The page had errors:\n${faults.join('\n')}`)
    },
    { auto: true },
  ],
})

export async function engine(settings: { delayMs?: number; fault?: string; times?: number }): Promise<void> {
  await fetch(`${process.env['E2E_ENGINE'] ?? ''}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(settings) })
}
export async function models(settings: { delayMs?: number; misbehaviour?: string; times?: number; gullible?: boolean }): Promise<void> {
  await fetch(`${process.env['E2E_MODELS'] ?? ''}/v1/standin`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(settings) })
}
export const engineUsage = async (): Promise<{ charged: number; pictures: number }> => (await fetch(`${process.env['E2E_ENGINE'] ?? ''}/v1/usage`)).json() as Promise<{ charged: number; pictures: number }>

export async function api<T>(method: string, path: string, body?: unknown): Promise<T> {
  const response = await fetch(address() + path, { method, ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }) })
  if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`)
  return (response.status === 204 ? undefined : await response.json()) as T
}

export interface PromptAnswer {
  id: string
  projectId: string
  draft: { text: string; leaveOut: string[]; settings: Record<string, unknown> }
  revision: number
  bestProof: { id: string } | null
}
export const promptNow = (id: string) => api<PromptAnswer>('GET', `/api/prompts/${id}`)
export const promptOnDesk = (page: Page): string => /\/desk\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? ''
export const saved = (page: Page) => page.getByText('Saved', { exact: true })
export const textOf = (page: Page) => page.getByRole('textbox', { name: 'Text of the prompt' })

/** Chooses in a field with a list: opened by a press, chosen by its words. */
export async function choose(page: Page, field: string | Locator, option: string | RegExp): Promise<void> {
  const box = typeof field === 'string' ? page.getByRole('combobox', { name: field, exact: true }).first() : field
  const wanted = page.getByRole('option', { name: option, ...(typeof option === 'string' ? { exact: true } : {}) }).last()
  await expect(async () => {
    // By key: what is chosen stands over the field that has the name, and a press there would not be the field's.
    if (!(await wanted.isVisible())) {
      await box.focus()
      await page.keyboard.press('ArrowDown')
    }
    await wanted.click({ timeout: 5_000 })
    // On a slow machine a press may come while the list is still being drawn, and go to nothing.
    await expect(wanted).toBeHidden({ timeout: 5_000 })
  }).toPass()
}
/** A press that opens the browser's own dialog for files. */
export async function chooseFiles(page: Page, button: Locator, files: Parameters<FileChooser['setFiles']>[0]): Promise<void> {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), button.click()])
  await chooser.setFiles(files)
}
/** An act of a menu, by the menu's and its own words. */
export async function act(page: Page, menu: string, name: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: menu, exact: true }).click()
  await page.getByRole('menuitem', { name }).click()
}

/** A new prompt on the Desk, with the caret in its text. */
export async function newPrompt(page: Page, text = ''): Promise<string> {
  await page.goto('/')
  await page.getByRole('button', { name: 'New prompt' }).click()
  await page.waitForURL(/\/desk\/[0-9a-f-]{36}/)
  await textOf(page).click()
  if (text) {
    await page.keyboard.insertText(text)
    await saved(page).waitFor()
  }
  return promptOnDesk(page)
}
