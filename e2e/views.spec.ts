import { api, expect, newPrompt, test } from './application.ts'
import { addresses, type ShelfAnswer } from './view-addresses.ts'

test('nothing scrolls sideways at 1024, 1280 and 1920', async ({ page }) => {
  // Every view in every width: minutes on a machine that is busy with other work.
  test.setTimeout(900_000)
  for (const [name, address] of await addresses()) {
    await page.goto(address)
    await expect(page.getByRole('main')).toBeVisible()
    await page.waitForTimeout(250)
    for (const width of [1024, 1280, 1920]) {
      await page.setViewportSize({ width, height: 800 })
      await page.waitForTimeout(60)
      const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
      expect(over, `${name} at ${width}`).toBeLessThanOrEqual(0)
    }
  }
})

test('an unknown address, prompt or proof gets a page that helps', async ({ page }) => {
  for (const address of ['/nowhere', '/desk/00000000-0000-4000-8000-000000000000', '/desk/x', '/proofs/00000000-0000-4000-8000-000000000000', '/projects/00000000-0000-4000-8000-000000000000', '/references/00000000-0000-4000-8000-000000000000', '/references/x']) {
    await page.goto(address)
    await expect(page.getByRole('heading', { name: /There is no such/ })).toBeVisible()
    await expect(page.getByRole('main').getByRole('link', { name: 'Look on the Shelf' })).toBeVisible()
  }
})

test('markup in any text is shown as the text it is', async ({ page }) => {
  const markup = '<img src=x onerror="document.title=\'owned\'"><b>bold</b>'
  const id = await newPrompt(page, markup)
  await page.getByLabel('Title').fill(markup)
  await page.getByLabel('Title').blur()
  await page.getByRole('combobox', { name: 'Tags' }).fill('<i>tag</i>,')
  await page.getByLabel('Title').click()
  await page.goto('/shelf?q=onerror')
  await expect(page.getByRole('article').getByRole('link', { name: markup })).toBeVisible()
  await expect(page.getByRole('article').getByText('<i>tag</i>')).toBeVisible()
  await page.goto(`/desk/${id}`)
  await expect(page.getByRole('textbox', { name: 'Text of the prompt' })).toHaveText(markup)
  expect(await page.title()).not.toBe('owned')
})

test('a project is made, renamed, archived and taken back', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Name one' }).click()
  await page.getByLabel('Name of the project').fill('Upper Valley')
  await page.getByRole('button', { name: 'Create it' }).click()
  await expect(page.locator('.navigation .project')).toContainText('Upper Valley')
  await page.getByRole('link', { name: 'Project page' }).click()
  await page.waitForURL(/\/projects\//)
  await expect(page.getByLabel('Name of the project')).toHaveValue('Upper Valley')
  await page.getByLabel('Name of the project').fill('Upper Valley Guide')
  await page.getByLabel('Name of the project').press('Enter')
  await expect(page.locator('.navigation .project')).toContainText('Upper Valley Guide')
  await page.getByRole('button', { name: 'Archive' }).click()
  await expect(page.getByText('Archived. Its prompts can be read')).toBeVisible()
  await expect(page.locator('.navigation .project')).not.toContainText('Upper Valley Guide')
  await page.getByRole('button', { name: 'Restore from the archive' }).click()
  await expect(page.getByText('Archived. Its prompts can be read')).toBeHidden()
})

test('keys are listed under ?, and letters can be changed or switched off', async ({ page }) => {
  const { rows } = await api<ShelfAnswer>('GET', '/api/shelf?q=valley%20asleep')
  await page.goto(`/proofs?prompt=${rows[0]?.id}`)
  const tile = page.getByRole('button', { name: /result 1/ }).first()
  await tile.focus()
  await page.keyboard.press('?')
  await page.getByRole('dialog').getByLabel('keep').fill('y')
  await page.getByRole('dialog').getByLabel('keep').blur()
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await tile.focus()
  await page.keyboard.press('k')
  await page.keyboard.press('y')
  await expect(page.getByRole('button', { name: /result 1, keep/ })).toBeVisible()
  await page.keyboard.press('y')
  await page.keyboard.press('?')
  await page.getByLabel(/Single letters act/).uncheck()
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await page.getByRole('button', { name: /result 1/ }).first().focus()
  await page.keyboard.press('m')
  await page.waitForTimeout(300)
  await expect(page.getByRole('button', { name: /result 1, maybe/ })).toHaveCount(0)
})
