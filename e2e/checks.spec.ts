import { expect, newPrompt, promptNow, saved, test, textOf } from './application.ts'

const FLAWED = 'Please draw a knight on a bicycle at high noon under a full moon, oil painting, masterpiece, seed 12'

test('findings are walked, fixed and dismissed by keyboard; each fix is one step back', async ({ page }) => {
  await newPrompt(page, FLAWED)
  const checks = page.getByRole('region', { name: 'Checks' })
  await expect(checks).toContainText('“high noon” and “under a full moon” are two hours of the day')
  await expect(checks).toContainText('There was no bicycle before about 1869')
  await expect(page.locator('.cm-found-stop')).toHaveCount(2)
  await page.keyboard.press('Control+Home')
  await page.keyboard.press('F8')
  await expect.poll(() => page.evaluate(() => getSelection()?.toString())).toBe('Please draw')

  const fix = checks.getByRole('button', { name: /^Fix the/ })
  await fix.focus()
  await page.keyboard.press('Enter')
  await expect(textOf(page)).toHaveText('A knight on a bicycle at high noon under a full moon, oil painting')
  await expect(page.getByText('3 things fixed')).toBeVisible()
  await textOf(page).focus()
  await page.keyboard.press('Control+z')
  await expect(textOf(page)).toHaveText('A knight on a bicycle at high noon under a full moon, oil painting, masterpiece')
  await expect(page.locator('.checks[aria-busy=false]')).toContainText('1 tip')

  await checks.getByRole('button', { name: /two hours of the day/ }).first().focus()
  await page.keyboard.press('d')
  await page.keyboard.type('an eclipse')
  await page.keyboard.press('Enter')
  await expect(checks).not.toContainText('two hours of the day')
  await expect(checks).toContainText('an eclipse')
})

test('a try over open stops asks once', async ({ page }) => {
  const id = await newPrompt(page, 'a miller at midday beneath a crescent moon, oil painting, mill yard')
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('two hours of the day')
  await page.getByRole('button', { name: 'Try it' }).click()
  await page.getByRole('button', { name: 'Look at it' }).click()
  await expect(page.getByRole('button', { name: /two hours of the day/ }).first()).toBeFocused()
  await page.getByRole('button', { name: 'Try it' }).click()
  await page.getByRole('button', { name: 'Try anyway' }).click()
  await expect(page.locator('.proof, figure, [class*=proof]').first()).toBeVisible()
  await expect(saved(page)).toBeVisible()
  expect((await promptNow(id)).draft.text).toContain('midday')
})
