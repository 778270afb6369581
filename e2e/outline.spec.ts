import type { Page } from '@playwright/test'
import { expect, newPrompt, promptNow, saved, test, textOf } from './application.ts'

const TWELVE = 'an old ferryman, poling a raft, patched coat, reed-choked river, misty dawn, low angle, soft backlight, muted greens, gouache, dry brush, hushed, sign reads "Last Crossing"'
const settled = (page: Page) => expect(page.locator('.outline[aria-busy=false] .phrase').first()).toBeVisible()
const phrase = (page: Page, words: string) => page.locator('.outline .phrase', { hasText: words })
const press = async (page: Page, ...keys: string[]) => {
  for (const key of keys) {
    await page.keyboard.press(key)
    // A reading begins a moment after the key.
    await page.waitForTimeout(100)
    await settled(page)
  }
}

test('the outline is read as the text is typed, and the caret’s phrase is marked', async ({ page }) => {
  await newPrompt(page, 'a potter throws a tall vase in a whitewashed yard at noon')
  await settled(page)
  await expect(page.locator('.outline .row')).toContainText(['potter', 'throws a tall vase', 'whitewashed yard', 'noon', 'framing'])
  await page.keyboard.press('Control+Home')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('.outline .here')).toContainText('potter')
  await phrase(page, 'whitewashed yard').hover()
  await expect(page.locator('.cm-pointed')).toHaveText('whitewashed yard')
})

test('twelve phrases are reordered, switched off, emphasised, filled, replaced and undone, by keyboard alone', async ({ page }) => {
  const id = await newPrompt(page, TWELVE)
  await settled(page)
  const before = await page.locator('.outline .phrase').count()
  expect(before).toBeGreaterThanOrEqual(11)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('outline')
  await page.keyboard.press('Enter')
  await expect(page.locator('.outline .phrase').first()).toBeFocused()
  const texts = [await textOf(page).textContent()]
  const step = async (...keys: string[]) => {
    await press(page, ...keys)
    texts.push(await textOf(page).textContent())
  }

  await step('Control+ArrowRight')
  expect(texts.at(-1)).toMatch(/^poling a raft, an old ferryman, patched coat/)
  await page.keyboard.press('ArrowDown')
  await step('o')
  await expect(page.locator('.outline .phrase.off')).toHaveCount(1)
  await page.keyboard.press('ArrowDown')
  await step('+')
  await expect(page.locator('.outline .said')).toContainText(['more'])
  await step('Delete')
  await expect(page.locator('.outline .phrase')).toHaveCount(before - 1)
  const empty = page.locator('.outline .empty button').first()
  await empty.focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('woven basket')
  await step('Enter')
  expect(texts.at(-1)).toContain('woven basket')
  await expect(phrase(page, 'woven basket')).toBeFocused()
  await page.keyboard.press('r')
  await page.keyboard.type('frayed rope')
  await step('Enter')
  expect(texts.at(-1)).toContain('frayed rope')
  await expect(saved(page)).toBeVisible()

  for (let i = texts.length - 2; i >= 0; i--) {
    await page.keyboard.press('Control+z')
    await settled(page)
    await expect(textOf(page)).toHaveText(texts[i] ?? '')
  }
  await expect(textOf(page)).toHaveText(TWELVE)
  await expect.poll(async () => (await promptNow(id)).draft).toMatchObject({ text: TWELVE, marks: [] })
})

test('what the writer says a phrase is, wins, and stays when the text around it changes', async ({ page }) => {
  const id = await newPrompt(page, 'an oriel, gouache')
  await settled(page)
  await phrase(page, 'oriel').click()
  await page.getByRole('menuitemradio', { name: 'mood', exact: true }).click()
  await expect(page.locator('.outline .row', { hasText: 'Mood' })).toContainText('oriel')
  await textOf(page).click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(', deep snow')
  await settled(page)
  await expect(page.locator('.outline .row', { hasText: 'Mood' })).toContainText('oriel')
  await expect(page.locator('.outline .row', { hasText: 'Mood' }).locator('.said')).toContainText('set by you')
  await expect.poll(async () => (await promptNow(id)).draft).toMatchObject({ marks: [{ kind: 'facet', facet: 'mood', from: 3, to: 8 }] })
})

test('a messy paste is tidied in one step, after showing what goes where, and undone in one', async ({ page }) => {
  const paste = 'Create an image of a red fox, masterpiece, snowy wood, 8k, gouache, seed 12, no people. --aspect 3:2'
  const id = await newPrompt(page, paste)
  await settled(page)
  await page.getByRole('button', { name: 'Tidy', exact: true }).click()
  for (const said of ['an engine draws without being told to', 'says nothing about the picture', 'goes to the settings: seed 12', 'goes to the leave-out list: people', 'aspect ratio 3:2']) await expect(page.locator('.tidy')).toContainText(said)
  await page.getByRole('button', { name: 'Tidy the text' }).click()
  await expect(textOf(page)).toHaveText('A red fox, snowy wood, gouache.')
  await expect.poll(async () => (await promptNow(id)).draft).toMatchObject({ text: 'A red fox, snowy wood, gouache.', leaveOut: ['people'], settings: { seed: 12, aspectRatio: '3:2' } })
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(textOf(page)).toHaveText(paste)
  await expect.poll(async () => (await promptNow(id)).draft).toMatchObject({ text: paste, leaveOut: [] })
})

test('the way of looking is remembered', async ({ page }) => {
  await newPrompt(page, 'a red fox, dusk')
  await page.getByRole('button', { name: 'By facet' }).click()
  await expect(page.locator('.outline h2')).toHaveCount(12)
  await page.reload()
  await expect(page.locator('.outline h2')).toHaveCount(12)
  await page.getByRole('button', { name: 'Text only' }).click()
  await expect(page.locator('.outline h2')).toHaveCount(0)
})

test('a draft is written as sentences and as a list again; a phrase is split and joined; each undone by one step', async ({ page }) => {
  await newPrompt(page, 'an old ferryman, poling a raft, patched coat, reed-choked river, misty dawn, gouache')
  await settled(page)
  await page.keyboard.press('Control+k')
  await page.keyboard.type('as sentences')
  await page.keyboard.press('Enter')
  await expect(textOf(page)).toHaveText('An old ferryman in a patched coat is poling a raft on a reed-choked river at misty dawn. It is done in gouache.')
  await settled(page)
  await page.getByRole('button', { name: 'as a list' }).click()
  await expect(textOf(page)).toHaveText('old ferryman, patched coat, poling a raft, reed-choked river, misty dawn, gouache')
  await settled(page)
  await phrase(page, 'reed-choked river').focus()
  await press(page, 's', 'Enter')
  await expect(textOf(page)).toContainText('reed-choked, river')
  await phrase(page, 'reed-choked').focus()
  await press(page, 'j')
  await expect(textOf(page)).toContainText('raft, reed-choked river, misty')
  await expect(phrase(page, 'reed-choked river')).toHaveCount(1)
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(textOf(page)).toHaveText('an old ferryman, poling a raft, patched coat, reed-choked river, misty dawn, gouache')
})

test('a kept phrase comes first in filling a facet and in completion, in another prompt of the project', async ({ page }) => {
  await newPrompt(page, 'an old ferryman, zinc-grey river at low water')
  await settled(page)
  const river = page.locator('.outline .phrase', { hasText: 'zinc-grey river' })
  const kept = await river.textContent()
  await river.focus()
  await press(page, 'k')
  await expect(page.locator('.outline .said')).toContainText(['kept'])
  await newPrompt(page, 'a heron waits')
  await settled(page)
  await page.locator('.outline .empty button', { hasText: 'setting' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('.fill [role=option]').first()).toHaveText((kept ?? '').trim())
  await page.keyboard.press('Escape')
  await textOf(page).click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(', zinc')
  await expect(page.locator('.cm-tooltip-autocomplete')).toContainText('kept')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(textOf(page)).toHaveText(`a heron waits, ${(kept ?? '').trim()}`)
})
