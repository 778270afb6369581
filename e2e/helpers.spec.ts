import { randomUUID } from 'node:crypto'
import type { Locator, Page } from '@playwright/test'
import { api, choose, expect, models, newPrompt, promptNow, saved, test, textOf } from './application.ts'

test.beforeEach(async ({ page }) => {
  await models({ misbehaviour: 'none', gullible: false, delayMs: 0 })
  // Seeds are drawn in the page: with the same ones the simulated models answer the same each time.
  await page.addInitScript(() => {
    let state = 7
    Math.random = () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647
  })
})

const place = (page: Page): Locator => page.getByRole('region', { name: /^What .* answers$/ })
/** Opens a helper beside the text. */
async function open(page: Page, name: string): Promise<Locator> {
  const panel = page.getByRole('region', { name: 'Helpers' })
  if (!(await panel.isVisible())) await page.getByRole('tab', { name: 'Helpers' }).click()
  const helper = panel.getByRole('button', { name: new RegExp(`^${name} `) })
  if ((await helper.getAttribute('aria-expanded')) !== 'true') await helper.click()
  return panel
}
const takeButtons = (page: Page) => place(page).getByRole('button', { name: /^Accept: / })
const leaveButtons = (page: Page) => place(page).getByRole('button', { name: /^Reject: / })
/** Takes the first changes and leaves the rest. */
async function takeSome(page: Page, count: number): Promise<void> {
  await expect(takeButtons(page).first()).toBeEnabled()
  for (let i = 0; i < count; i++) {
    const before = await takeButtons(page).count()
    await takeButtons(page).first().click()
    await expect.poll(() => takeButtons(page).count()).toBeLessThan(before)
  }
  if ((await leaveButtons(page).count()) > 0) await place(page).getByRole('button', { name: 'Reject all' }).click()
  await expect(place(page).getByText(/^Decided: /)).toBeVisible()
  await place(page).getByRole('button', { name: 'Close', exact: true }).click()
}

test('from one word to a kept proof with four helpers on the way, each proposal partly taken', async ({ page }) => {
  test.setTimeout(120_000)
  const id = await newPrompt(page, 'ferry')

  // Two questions are answered, the others stay unanswered.
  await (await open(page, 'Ask me')).getByRole('button', { name: 'Ask', exact: true }).click()
  const question = place(page).locator('ol > li')
  await expect(question.filter({ hasText: 'medium' })).toBeVisible()
  await question.nth(0).getByRole('button').first().click()
  await question.nth(1).getByRole('button').first().click()
  await expect.poll(async () => (await promptNow(id)).draft.text.split(', ').length).toBeGreaterThan(2)
  await place(page).getByRole('button', { name: 'Close', exact: true }).click()

  // A full prompt comes as changes, of which some are taken.
  await (await open(page, 'Fill out')).getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(takeButtons(page).first()).toBeVisible({ timeout: 20_000 })
  const offered = await takeButtons(page).count()
  expect(offered).toBeGreaterThan(4)
  const before = (await promptNow(id)).draft.text
  expect((await textOf(page).innerText()).trim()).toBe(before)
  await takeSome(page, Math.min(5, offered - 1))
  expect((await promptNow(id)).draft.text.length).toBeGreaterThan(before.length)

  const over = await open(page, 'Change throughout')
  await over.getByLabel('The same, but').fill('at night in rain')
  await over.getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(takeButtons(page).first()).toBeVisible({ timeout: 20_000 })
  await place(page).getByRole('button', { name: /^Accept: .*(?:night|rain)/ }).first().click()
  await expect.poll(async () => (await promptNow(id)).draft.text).toMatch(/night|rain/)
  if ((await leaveButtons(page).count()) > 0) await place(page).getByRole('button', { name: 'Reject all' }).click()
  await place(page).getByRole('button', { name: 'Close', exact: true }).click()

  await (await open(page, 'Tighten')).getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(takeButtons(page).first().or(place(page).getByText('says all of it already'))).toBeVisible({ timeout: 20_000 })
  if ((await takeButtons(page).count()) > 0) await takeSome(page, 1)
  else await place(page).getByRole('button', { name: 'Close', exact: true }).click()

  await expect(saved(page)).toBeVisible()
  await page.getByRole('button', { name: 'Try it' }).click()
  const anyway = page.getByRole('button', { name: 'Try it anyway' })
  const proof = page.getByRole('button', { name: /version 1, .*result 1/ }).first()
  await expect(proof.or(anyway)).toBeVisible({ timeout: 30_000 })
  if (await anyway.isVisible()) await anyway.click()
  await expect(proof).toBeVisible({ timeout: 30_000 })
  await proof.focus()
  await page.keyboard.press('k')
  await expect.poll(async () => (await promptNow(id)).bestProof).not.toBeNull()
  // Words that came from a helper know it.
  const { draft } = await api<{ draft: { marks: { kind: string; source?: { type: string } }[] } }>('GET', `/api/prompts/${id}`)
  expect(draft.marks.some(({ kind, source }) => kind === 'from' && source?.type === 'helper')).toBe(true)
})

test('a proposal by keyboard alone: asked, accepted and rejected by letters, undone step by step, gone on from', async ({ page }) => {
  const id = await newPrompt(page, 'heron')
  await page.keyboard.press('ControlOrMeta+k')
  await page.keyboard.type('helper: fill')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel(/Length in words/)).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(takeButtons(page).first()).toBeVisible({ timeout: 20_000 })
  const all = await takeButtons(page).count()
  await takeButtons(page).nth(1).focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('a')
  await expect.poll(() => takeButtons(page).count()).toBe(all - 1)
  await expect.poll(async () => (await promptNow(id)).draft.text).not.toBe('heron')
  await takeButtons(page).first().focus()
  await page.keyboard.press('r')
  await expect.poll(() => takeButtons(page).count()).toBe(all - 2)
  // Undo of what was taken proposes it again; what was left before it comes back with it.
  await textOf(page).focus()
  await page.keyboard.press('ControlOrMeta+z')
  await expect.poll(async () => (await promptNow(id)).draft.text).toBe('heron')
  await expect.poll(() => takeButtons(page).count()).toBe(all)

  await place(page).getByLabel('Go on from this answer').fill('shorter')
  await page.keyboard.press('Enter')
  await expect(place(page).getByRole('button', { name: '“shorter”' })).toHaveAttribute('aria-pressed', 'true')
  await expect(takeButtons(page).first()).toBeVisible({ timeout: 20_000 })
  await place(page).getByRole('button', { name: 'Two more answers' }).click()
  await expect(place(page).getByRole('group', { name: 'Answers' }).getByRole('button')).toHaveCount(4)
})

test('two models at once: both side by side by facet, a phrase taken from each; what is typed meanwhile stays', async ({ page }) => {
  const id = await newPrompt(page, 'a watchmaker')
  const panel = await open(page, 'Fill out')
  await choose(page, panel.getByRole('combobox', { name: 'Written as' }), 'a list')
  await choose(page, panel.getByRole('combobox', { name: 'And beside it' }), 'Flourish')
  await panel.getByRole('button', { name: 'Ask', exact: true }).click()
  const light = place(page).getByRole('region', { name: 'Light' })
  await expect(light.getByRole('list', { name: 'Quoin' }).getByRole('button', { name: /^Accept: / }).first()).toBeVisible({ timeout: 20_000 })
  const words = (await light.getByRole('list', { name: 'Quoin' }).locator('ins').first().innerText()).trim()
  await light.getByRole('list', { name: 'Quoin' }).getByRole('button', { name: /^Accept: / }).first().click()
  await expect.poll(async () => (await promptNow(id)).draft.text).toContain(words)
  const setting = place(page).getByRole('region', { name: 'Setting' }).getByRole('list', { name: 'Flourish' })
  const where = (await setting.locator('ins').first().innerText()).trim()
  await setting.getByRole('button', { name: /^Accept: / }).first().click()
  await expect.poll(async () => (await promptNow(id)).draft.text).toContain(where)
  await textOf(page).press('ControlOrMeta+End')
  await page.keyboard.insertText(', my own words')
  await expect(saved(page)).toBeVisible()
  const written = (await promptNow(id)).draft.text
  await takeButtons(page).last().click()
  await expect.poll(async () => (await promptNow(id)).draft.text.length).not.toBe(written.length)
  expect((await promptNow(id)).draft.text).toContain('my own words')

  // Both go on, each from its own answer, and the first pair is still there.
  await place(page).getByLabel('Go on, each from its own answer').fill('at night')
  await place(page).getByRole('button', { name: 'Ask for that' }).click()
  await expect(place(page).getByRole('button', { name: '“at night”' })).toHaveAttribute('aria-pressed', 'true')
  const moment = place(page).getByRole('region', { name: 'Moment' })
  for (const model of ['Quoin', 'Flourish']) await expect(moment.getByRole('list', { name: model }).locator('ins').filter({ hasText: 'night' })).toBeVisible({ timeout: 20_000 })
  await place(page).getByRole('button', { name: 'Answer 1' }).click()
  await expect(place(page).getByRole('strong').or(place(page).locator('.head strong'))).toHaveText(['Quoin', 'Flourish'])
})

test('an answer is stopped, goes on after a reload, and one that cannot be used leaves the draft untouched', async ({ page }) => {
  const id = await newPrompt(page, 'a lighthouse')
  await models({ delayMs: 120 })
  await (await open(page, 'Fill out')).getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(place(page).locator('.words')).toContainText(/\w+ \w+/)
  // The page is lost and comes back: the answer goes on where it is.
  await page.reload()
  await expect(place(page).locator('.words').or(takeButtons(page).first())).toBeVisible({ timeout: 20_000 })
  await expect(takeButtons(page).first()).toBeVisible({ timeout: 20_000 })
  await place(page).getByRole('button', { name: 'Reject all' }).click()
  await place(page).getByRole('button', { name: 'Close', exact: true }).click()

  await (await open(page, 'Fill out')).getByRole('button', { name: 'Ask', exact: true }).click()
  await place(page).getByRole('button', { name: 'Stop' }).click()
  await expect(place(page).getByText('It was stopped.')).toBeVisible()
  await models({ delayMs: 0, misbehaviour: 'other-language', times: 2 })
  await place(page).getByRole('button', { name: 'Send the question again' }).click()
  await expect(place(page).getByText(/not in English.*asked for twice.*draft is as it was/)).toBeVisible({ timeout: 20_000 })
  expect((await promptNow(id)).draft.text).toBe('a lighthouse')
  await place(page).getByRole('button', { name: 'Send the question again' }).click()
  await expect(takeButtons(page).first()).toBeVisible({ timeout: 20_000 })

  // Markup in an answer is nothing but words, if that.
  await models({ misbehaviour: 'markup', times: 1 })
  await place(page).getByRole('button', { name: 'Close', exact: true }).click()
  await (await open(page, 'Fill out')).getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(place(page).getByText('Markup and signs that are not words were removed.')).toBeVisible({ timeout: 20_000 })
  expect(await page.title()).not.toContain('taken')
})

test('a helper improved: two versions on its cases, the better one kept, the reason written', async ({ page }) => {
  test.setTimeout(120_000)
  await page.goto('/helpers/tighten')
  await page.getByRole('button', { name: 'Copy', exact: true }).click()
  await expect(page.getByRole('heading', { name: /^Tighten \d/ })).toBeVisible()

  // An instruction that cannot be sent is said with its line, and not kept.
  await page.getByRole('button', { name: 'Edit' }).click()
  const instruction = page.getByLabel('Instruction')
  const first = await instruction.inputValue()
  await instruction.fill('Say it in other words.\n\n{{ prompt')
  await expect(page.getByText('Line 3: A slot is opened with {{ and not closed with }}.')).toBeVisible()
  await page.getByRole('button', { name: 'Save as a new version' }).click()
  await expect(instruction).toBeFocused()
  // A version that forgets to say what is wanted.
  await instruction.fill('Fill out this prompt into a full prompt.\n\n{{ prompt }}')
  await page.getByLabel('Why this version').fill('Fewer words of instruction')
  await page.getByRole('button', { name: 'Save as a new version' }).click()
  await expect(page.getByText('Version 2 is saved and used from now on.')).toBeVisible()
  expect(first).toContain('Tighten')

  // A case of one's own, then all of them on both.
  await page.getByRole('button', { name: 'Add a case' }).click()
  await page.getByLabel('Name of the case').fill('Said twice')
  await page.getByLabel('The draft it is about').fill('a goat on a roof, goat, rooftop, evening, in the evening, linocut')
  await choose(page, 'What a good answer must satisfy', 'its length lies between')
  await page.getByLabel('At most, in words').fill('12')
  await page.getByLabel('At least, in words').fill('4')
  await page.getByRole('button', { name: 'Save the case' }).click()
  await expect(page.getByRole('button', { name: 'Said twice', exact: true })).toBeVisible()
  await choose(page, 'Second version', /^version 1/)
  await page.getByRole('button', { name: /^Run 6 cases/ }).click()
  await expect(page.getByText(/Version 2, Quoin passes \d of 3, version 1, Quoin 3/)).toBeVisible({ timeout: 40_000 })
  await expect(page.getByText('fixed').first()).toBeVisible()
  // A failure can be read.
  await page.getByRole('rowheader', { name: /Said twice/ }).getByRole('button').click()
  await expect(page.locator('pre').filter({ hasText: 'goat' }).first()).toBeVisible()

  const versions = page.getByRole('region', { name: 'Versions' })
  await versions.getByRole('button', { name: 'Use it' }).click()
  await expect(page.getByText('Version 1 is used from now on.')).toBeVisible()
  await versions.getByLabel('Why version 2').fill('Broke all three cases: it lengthens')
  await versions.getByLabel('Why version 2').blur()
  await page.reload()
  await expect(page.getByLabel('Why version 2')).toHaveValue('Broke all three cases: it lengthens')
})

test('ideas for a theme become prompts by number; more like one, unlike others', async ({ page }) => {
  const project = await api<{ id: string; name: string }>('POST', '/api/projects', { name: `Ideas ${randomUUID().slice(0, 6)}` })
  await page.addInitScript((id) => localStorage.setItem('idolon.project', id), project.id)
  await page.goto('/')
  await choose(page, 'Project', project.name)
  await page.getByLabel('Theme or brief').fill('late autumn')
  await page.getByRole('button', { name: 'Ten ideas' }).click()
  await expect(page.getByRole('checkbox')).toHaveCount(10, { timeout: 20_000 })
  await page.getByLabel('Or by number').fill('1, 3-4')
  await page.getByLabel('Or by number').press('Enter')
  await page.getByRole('button', { name: 'Make 3 prompts' }).click()
  await expect(page.getByText(/^3 prompts made in Ideas/)).toBeVisible()
  await page.getByRole('button', { name: 'Not like idea 2' }).click()
  await page.getByRole('button', { name: 'More like idea 5' }).click()
  await expect(page.getByRole('checkbox')).toHaveCount(10, { timeout: 20_000 })
})

test('a model of one’s own is added by address and name; what its profile lacks is said', async ({ page }) => {
  await page.goto('/engines')
  await page.getByRole('button', { name: 'Add a model' }).click()
  const form = page.getByRole('region', { name: 'Language models for helpers' })
  await form.getByLabel('Name', { exact: true }).fill('Own model')
  await form.getByLabel('What the service calls it').fill('quoin-1')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form.getByText('An address with https:// or http://.')).toBeVisible()
  await form.getByLabel('Address that messages are posted to').fill(`${process.env['E2E_MODELS'] ?? ''}/v1/chat/completions`)
  await form.getByLabel(/it needs an API key/).uncheck()
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form.getByRole('button', { name: /^Own model/ })).toBeVisible()
  await form.getByRole('button', { name: 'Ask it a few words' }).click()
  await expect(form.getByText(/heron/)).toBeVisible()
  await form.getByRole('button', { name: 'Remove it' }).click()
  await expect(form.getByRole('button', { name: /^Own model/ })).toHaveCount(0)
})
