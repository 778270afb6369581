import { api, expect, test } from './application.ts'

interface Whole {
  id: string
  scenes: { id: string; promptId: string; text: string; stale: boolean; chosen: { id: string } | null; behind: unknown[] }[]
}
const STORY = `At dawn Orla filled sacks in the mill. She sang, and Pim the dog slept on the flour.

At noon Orla carried a sack down to the bridge. Pim ran ahead.

In the evening they sat by the fire in the kitchen. Orla mended her coat, and Pim watched the door.`

test('a story becomes scenes, a changed character is followed in every one, the series is tried, chosen and played', async ({ page }) => {
  test.setTimeout(180_000)
  await page.goto('/series')
  await page.getByRole('button', { name: /Begin from a story|A new series/ }).click()
  await page.getByLabel('Its name').fill('The Mill')
  await page.getByLabel(/The story, from two lines/).fill(STORY)
  await page.getByRole('button', { name: 'Split it into scenes' }).click()
  await expect(page.getByRole('heading', { name: /^3 scenes/ })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('Orla, Pim · kitchen · evening')).toBeVisible()
  await page.getByRole('button', { name: 'Make 3 scenes' }).click()
  await expect(page.getByLabel('Name of the series')).toHaveValue('The Mill')
  await expect(page.getByRole('button', { name: /^Scene 3:/ })).toBeVisible()
  const id = page.url().split('/').at(-1)!
  const whole = () => api<Whole>('GET', `/api/series/${id}`)

  // What is said of somebody is shown in every scene while it is written, and taken by all of them at once.
  await page.getByRole('button', { name: 'Parts', exact: true }).click()
  await page.getByRole('link', { name: 'Orla' }).click()
  await page.getByRole('button', { name: 'Add a phrase' }).click()
  await page.getByLabel('What it is', { exact: true }).fill('a tall miller')
  await expect(page.getByText('Changes 3 scenes')).toBeVisible()
  await page.getByRole('button', { name: 'Keep as version 2' }).click()
  await page.getByRole('button', { name: 'Take it in all' }).click()
  await expect.poll(async () => (await whole()).scenes.map(({ text }) => /a tall miller/i.test(text))).toEqual([true, true, true])
  await page.getByRole('link', { name: 'The Mill' }).click()
  await page.getByRole('button', { name: 'Try', exact: true }).click()
  await expect(page.getByText(/proofs?, \d+ credits in all/)).toBeVisible()
  await page.getByRole('button', { name: 'Try 3 scenes' }).click()
  await page.getByRole('button', { name: 'Choose the newest in all of them' }).click({ timeout: 60_000 })
  await expect.poll(async () => (await whole()).scenes.filter(({ chosen }) => chosen).length, { timeout: 60_000 }).toBe(3)

  await page.getByRole('button', { name: 'Parts', exact: true }).click()
  await page.getByRole('link', { name: 'Orla' }).click()
  await page.getByLabel('What it is', { exact: true }).fill('a tall miller in a red coat')
  await expect(page.getByText('Changes 3 scenes')).toBeVisible()
  await expect(page.getByText('3 chosen proofs would be stale')).toBeVisible()
  expect((await whole()).scenes.some(({ text }) => text.includes('red coat'))).toBe(false)
  await page.getByRole('button', { name: 'Keep as version 3' }).click()
  await page.getByRole('button', { name: 'Take it in all' }).click()
  await expect.poll(async () => (await whole()).scenes.map(({ text, stale }) => [text.includes('red coat'), stale])).toEqual([[true, true], [true, true], [true, true]])

  // By keys alone: the last scene goes first.
  await page.getByRole('link', { name: 'The Mill' }).click()
  const before = (await whole()).scenes.map((scene) => scene.id)
  await page.getByRole('button', { name: /^Scene 3:/ }).focus()
  await page.keyboard.press('Control+ArrowUp')
  await expect(page.getByRole('button', { name: /^Scene 2:/ })).toBeFocused()
  await page.keyboard.press('Control+ArrowUp')
  await expect.poll(async () => (await whole()).scenes.map((scene) => scene.id)).toEqual([before[2], before[0], before[1]])
  await page.getByRole('button', { name: 'Continuity', exact: true }).click()
  await expect(page.getByText(/dawn after evening|hold/).first()).toBeVisible({ timeout: 30_000 })

  await page.getByRole('link', { name: 'Play it' }).click()
  await expect(page.getByText('Scene 1 of 3')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('Scene 2 of 3')).toBeVisible()
  await page.getByRole('button', { name: /Play|Go on/ }).click()
  await expect(page.getByText('Scene 3 of 3')).toBeVisible({ timeout: 15_000 })
})
