import { randomUUID } from 'node:crypto'
import { AxeBuilder } from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { api, choose, expect, type PromptAnswer, promptNow, saved, test, textOf } from './application.ts'

const TEXT = 'A brass heron, a clockwork bird, by a lake at night, gouache picture book illustration'
const CEILING = 400

/** A prompt in a project of its own, under a ceiling. */
async function begin(): Promise<{ prompt: string; project: string }> {
  const project = await api<{ id: string }>('POST', '/api/projects', { name: `Afternoon ${randomUUID().slice(0, 8)}` })
  await api('PUT', `/api/projects/${project.id}/money`, { currency: 'EUR', rates: [{ unit: 'credit', price: 0.04 }], ceiling: { unit: 'credit', amount: CEILING } })
  const prompt = await api<PromptAnswer>('POST', '/api/prompts', { projectId: project.id, title: 'The heron' })
  await api('POST', `/api/prompts/${prompt.id}/edits`, { client: randomUUID(), first: 1, base: 0, edits: [{ text: [{ from: 0, to: 0, insert: TEXT }], settings: { count: 2, seed: 318 } }] })
  return { prompt: prompt.id, project: project.id }
}
const runRow = (page: Page, version: number) => page.getByRole('group', { name: new RegExp(`^Version ${version} of`) }).first()
/** All tries of the prompt stand beside the text. */
const allTries = (page: Page) => page.getByRole('tab', { name: 'Proofs' }).click()
const tiles = (page: Page, version: number, engine = '') => runRow(page, version).getByRole('button', { name: new RegExp(`version ${version}, ${engine}.*result`) })
async function isBack(page: Page, version: number, results: number): Promise<void> {
  await expect(tiles(page, version)).toHaveCount(results, { timeout: 40_000 })
}
async function write(page: Page, words: string): Promise<void> {
  await textOf(page).press('ControlOrMeta+End')
  await page.keyboard.insertText(words)
  await expect(saved(page)).toBeVisible()
}

test('an afternoon: six versions over three engines, faults turned into leave-outs, a branch, a blind ranking, under the ceiling', async ({ page }) => {
  test.setTimeout(240_000)
  const { prompt, project } = await begin()
  await page.goto(`/desk/${prompt}`)
  await page.getByRole('button', { name: 'Try it' }).click()
  await isBack(page, 1, 2)

  await page.getByRole('button', { name: 'Add an engine' }).click()
  await page.getByRole('button', { name: 'Add an engine' }).click()
  await expect(page.getByRole('group', { name: /^Asked of/ })).toHaveCount(3)
  await write(page, ', low angle')
  await page.getByRole('button', { name: 'Try it' }).click()
  await isBack(page, 2, 6)

  // The same fault twice on one engine is offered as an entry of the leave-out list, with its count.
  for (const i of [0, 1]) {
    await tiles(page, 2, 'Brayer').nth(i).focus()
    await page.keyboard.press('e')
    await page.keyboard.press('d')
  }
  await allTries(page)
  const against = page.getByRole('region', { name: 'Against repeated faults' })
  await expect(against.getByText('Brayer 2: extra people on 2 of 2')).toBeVisible()
  await against.getByRole('button', { name: 'Leave out “extra people” and “bystanders”' }).click()
  await expect.poll(async () => (await promptNow(prompt)).draft.leaveOut).toEqual(['extra people', 'bystanders'])
  await page.getByRole('button', { name: 'Try it' }).click()
  await isBack(page, 3, 6)

  // Two changes at once are said to be two; one is kept, the other waits.
  await write(page, ', rim light from the left, glowing bees')
  await page.getByRole('button', { name: '2 changes since' }).click()
  const since = page.getByRole('region', { name: 'Changes since the last try' })
  await expect(since.getByText('2 changes; what shows cannot be told apart.')).toBeVisible()
  await since.getByRole('listitem').filter({ hasText: 'rim light from the left' }).getByRole('button', { name: 'Keep only this' }).click()
  await expect(since.getByText('Put aside')).toBeVisible()
  await expect(textOf(page)).not.toContainText('glowing bees')
  await expect(saved(page)).toBeVisible()
  await page.getByRole('button', { name: 'Try it' }).click()
  await isBack(page, 4, 6)
  await since.getByRole('button', { name: 'Apply it' }).click()
  await expect(textOf(page)).toContainText('glowing bees')
  await expect(saved(page)).toBeVisible()
  await page.getByRole('button', { name: 'Try it' }).click()
  await isBack(page, 5, 6)

  // Back to the second version, and on from there: a branch.
  await page.getByRole('tab', { name: 'History' }).click()
  const history = page.getByRole('region', { name: 'History' })
  await history.getByRole('button', { name: /^Version 2/ }).click()
  await history.getByRole('button', { name: 'Go on from this version' }).click()
  await write(page, ', falling snow')
  await page.getByRole('button', { name: 'Try it' }).click()
  await isBack(page, 6, 6)
  await expect(history.getByText('branches from 2')).toBeVisible()
  await expect(history.getByRole('button', { name: /^Version 6/ })).toContainText('+ falling snow')

  // On the sheet, versions stand in rows and engines in columns; the keepers are ranked without knowing what made them.
  await page.getByRole('link', { name: 'As a sheet' }).click()
  const sheet = page.getByRole('listbox', { name: /^Proofs/ })
  await expect(sheet.getByText('Tympan 2', { exact: true })).toBeVisible()
  const option = (n: number) => sheet.getByRole('option').nth(n)
  await option(0).click()
  for (const n of [1, 2, 3]) await option(n).click({ modifiers: ['ControlOrMeta'] })
  await page.getByRole('button', { name: 'keep', exact: true }).click()
  await expect(sheet.getByRole('option', { name: /, keep/ })).toHaveCount(4)
  expect((await new AxeBuilder({ page }).analyze()).violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([])
  await page.getByRole('button', { name: 'Side by side' }).click()
  await expect(page.getByText(/thing(s)? differ|Nothing differs/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Back' }).click()
  await choose(page, 'Verdict', 'keep')
  await expect(page.getByText(/^4 proofs$/)).toBeVisible()
  await page.getByRole('button', { name: 'Judge all of these blind' }).click()
  await expect(page.getByRole('group', { name: /^Two pictures/ })).toBeVisible()
  await expect(page.getByText(/Burin|Brayer|Tympan/)).toHaveCount(0)
  for (let i = 0; i < 6; i++) await page.getByRole('button', { name: i % 3 === 2 ? 'Cannot tell' : 'Left' }).click()
  await expect(page.getByText(/^6 comparisons of at most 20/)).toBeVisible()
  await page.getByRole('button', { name: 'Show the ranking' }).click()
  await expect(page.getByRole('img', { name: /Strengths with intervals/ })).toBeVisible()
  await page.getByRole('button', { name: 'Make the first the best proof' }).click()
  await expect.poll(async () => (await promptNow(prompt)).bestProof?.id).toBeTruthy()

  // What it all cost, under the ceiling; and the best proof with all that made it.
  await page.goto(`/projects/${project}`)
  await expect(page.getByText(/of 400 credits spent or reserved/)).toBeVisible()
  const best = (await promptNow(prompt)).bestProof!.id
  await page.goto(`/proofs/${best}`)
  await expect(page.getByLabel('Text the engine was given')).toContainText('brass heron')
  await expect(page.getByText('Seed', { exact: true })).toBeVisible()
})

test('the same without the mouse', async ({ page }) => {
  test.setTimeout(180_000)
  const { prompt } = await begin()
  const goTo = async (words: string, name = words) => {
    await page.keyboard.press('ControlOrMeta+k')
    await page.keyboard.type(words)
    await expect(page.getByRole('dialog').getByRole('option').first()).toContainText(name)
    await page.keyboard.press('Enter')
  }
  /** Tab is all that leads to a button: from where the focus is, as often as it takes. */
  const tabTo = async (name: RegExp | string, most = 90) => {
    const wanted = page.getByRole('button', { name }).first()
    for (let i = 0; i < most; i++) {
      if (await wanted.evaluate((element) => element === document.activeElement).catch(() => false)) return
      await page.keyboard.press('Tab')
    }
    throw new Error(`Tab does not reach ${String(name)}`)
  }
  await page.goto(`/desk/${prompt}`)
  await textOf(page).focus()
  await page.keyboard.press('ControlOrMeta+Enter')
  await isBack(page, 1, 2)
  expect((await promptNow(prompt)).draft.text).toBe(TEXT)
  await textOf(page).focus()
  await tabTo('Add an engine')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('group', { name: /^Asked of/ })).toHaveCount(2)
  await textOf(page).press('ControlOrMeta+End')
  await page.keyboard.type(', low angle')
  await expect(saved(page)).toBeVisible()
  await page.keyboard.press('ControlOrMeta+Enter')
  await isBack(page, 2, 4)

  // Verdicts and faults from one picture to the next, then the suggestion.
  await tabTo(/version 2, Burin.*result 1/)
  await page.keyboard.press('k')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  for (let i = 0; i < 2; i++) {
    await page.keyboard.press('l')
    await page.keyboard.press('d')
    await page.keyboard.press('ArrowRight')
  }
  await goTo('tries of', 'Tries of this prompt')
  await expect(page.getByText('Brayer 2: clutter on 2 of 2')).toBeVisible()
  await textOf(page).focus()
  await tabTo('Leave out “clutter”')
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await promptNow(prompt)).draft.leaveOut).toEqual(['clutter'])
  await goTo('same seed', 'Try again, same seed')
  await isBack(page, 3, 4)

  // A proof, large: a note, a marked place, and back.
  await textOf(page).focus()
  await tabTo(/version 3, Burin.*result 1/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('group', { name: /^Picture 1/ })).toBeFocused()
  await page.keyboard.press('a')
  await page.keyboard.press('w')
  await expect(page.getByRole('group', { name: /^odd anatomy, middle/ })).toBeFocused()
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowLeft')
  await expect(page.getByRole('group', { name: /^odd anatomy, left/ })).toBeFocused()
  await page.keyboard.press('Escape')
  await page.goto(`/proofs/sheet?prompt=${prompt}&by=free`)
  const sheet = page.getByRole('listbox', { name: /^Proofs/ })
  await expect(sheet.getByRole('option')).toHaveCount(10)
  await sheet.getByRole('option').first().focus()
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('k')
  await expect(page.getByText('3 proofs selected')).toBeVisible()
  await expect(sheet.getByRole('option', { name: /, keep/ })).not.toHaveCount(0)
  await goTo('Judge blind')
  await expect(page.getByRole('group', { name: /^Two pictures/ })).toBeFocused()
  for (const key of ['ArrowLeft', 'ArrowRight', 'ArrowDown', 'ArrowLeft', 'Backspace']) await page.keyboard.press(key)
  await expect(page.getByText(/^3 comparisons/)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('img', { name: /Strengths with intervals/ })).toBeVisible()
})
