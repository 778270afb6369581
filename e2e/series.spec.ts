import { act, api, expect, test } from './application.ts'

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
  await page.getByRole('button', { name: /Begin from a story|New series/ }).click()
  await page.getByLabel('Its name').fill('The Mill')
  await page.getByLabel(/The story, from two lines/).fill(STORY)
  await page.getByRole('button', { name: 'Split it into scenes' }).click()
  await expect(page.getByRole('heading', { name: /^3 scenes/ })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('Orla, Pim · kitchen · evening')).toBeVisible()
  // A model's split stands beside ours; where the two part, the boundary is moved from the list.
  await page.getByRole('button', { name: 'Join with the one before' }).first().click()
  await expect(page.getByRole('heading', { name: /^2 scenes/ })).toBeVisible()
  await page.getByRole('button', { name: 'Ask a helper for another split' }).click()
  await expect(page.getByText(/sees 3 scenes, here are 2/)).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: /^Begin a scene at “At noon/ }).click()
  await expect(page.getByRole('heading', { name: /^3 scenes/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Accept its split' })).toBeDisabled()
  await page.getByRole('button', { name: 'Make 3 scenes' }).click()
  await expect(page.getByLabel('Name of the series')).toHaveValue('The Mill')
  await expect(page.getByRole('button', { name: /^Scene 3:/ })).toBeVisible()
  const id = page.url().split('/').at(-1)!
  const whole = () => api<Whole>('GET', `/api/series/${id}`)

  // What is said of somebody is shown in every scene while it is written, and taken by all of them at once.
  await page.getByRole('tab', { name: 'Parts', exact: true }).click()
  await page.getByRole('link', { name: 'Orla' }).click()
  await page.getByRole('button', { name: 'Add a phrase' }).click()
  await page.getByLabel('What it is', { exact: true }).fill('a tall miller')
  await expect(page.getByText('Changes 3 scenes')).toBeVisible()
  await page.getByRole('button', { name: 'Save as version 2' }).click()
  await page.getByRole('button', { name: 'Accept all' }).click()
  await expect.poll(async () => (await whole()).scenes.map(({ text }) => /a tall miller/i.test(text))).toEqual([true, true, true])
  await page.getByRole('link', { name: 'The Mill' }).click()
  await page.getByRole('tab', { name: 'Try', exact: true }).click()
  await expect(page.getByText(/proofs?, \d+ credits in all/)).toBeVisible()
  await page.getByRole('button', { name: 'Try 3 scenes' }).click()
  await expect(page.getByText('3 scenes have a proof newer')).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Choose the newest in all of them' }).click()
  await expect.poll(async () => (await whole()).scenes.filter(({ chosen }) => chosen).length, { timeout: 60_000 }).toBe(3)

  await page.getByRole('tab', { name: 'Parts', exact: true }).click()
  await page.getByRole('link', { name: 'Orla' }).click()
  await page.getByLabel('What it is', { exact: true }).fill('a tall miller in a red coat')
  await expect(page.getByText('Changes 3 scenes')).toBeVisible()
  await expect(page.getByText('3 chosen proofs would be stale')).toBeVisible()
  expect((await whole()).scenes.some(({ text }) => text.includes('red coat'))).toBe(false)
  await page.getByRole('button', { name: 'Save as version 3' }).click()
  await page.getByRole('button', { name: 'Accept all' }).click()
  await expect.poll(async () => (await whole()).scenes.map(({ text, stale }) => [text.includes('red coat'), stale])).toEqual([[true, true], [true, true], [true, true]])

  // By keys alone: the last scene goes first.
  await page.getByRole('link', { name: 'The Mill' }).click()
  const before = (await whole()).scenes.map((scene) => scene.id)
  await page.getByRole('button', { name: /^Scene 3:/ }).focus()
  await page.keyboard.press('Control+ArrowUp')
  await expect(page.getByRole('button', { name: /^Scene 2:/ })).toBeFocused()
  await page.keyboard.press('Control+ArrowUp')
  await expect.poll(async () => (await whole()).scenes.map((scene) => scene.id)).toEqual([before[2], before[0], before[1]])
  await page.getByRole('button', { name: /^Scene 3:/ }).focus()
  await page.keyboard.press('Control+ArrowUp')
  await expect.poll(async () => (await whole()).scenes.map((scene) => scene.id)).toEqual([before[2], before[1], before[0]])
  await page.getByRole('tab', { name: 'Continuity', exact: true }).click()
  await page.getByRole('button', { name: /^Dismiss: It is noon after evening/ }).click({ timeout: 30_000 })
  await page.getByLabel('Why it is right here').fill('Told backwards')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 slip dismissed')).toBeVisible()

  await page.getByRole('link', { name: 'Play', exact: true }).click()
  await expect(page.getByText('Scene 1 of 3')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('Scene 2 of 3')).toBeVisible()
  await page.getByRole('button', { name: /Play|Go on/ }).click()
  await expect(page.getByText('Scene 3 of 3')).toBeVisible({ timeout: 15_000 })
})

test('a character comes from a draft, gets a sheet, and one of its proofs goes along in every scene', async ({ page }) => {
  test.setTimeout(120_000)
  const { rows } = await api<{ rows: { id: string; projectId: string }[] }>('GET', '/api/shelf?q=hedda%20opens')
  await page.goto(`/desk/${rows[0]!.id}`)
  await act(page, 'This prompt', /^Make a character, place or style/)
  await page.getByLabel(/Its name/).fill('Straw Hat Hedda')
  await page.getByRole('button', { name: 'Make a character', exact: true }).click()
  await page.getByRole('button', { name: 'Open it' }).click()
  await expect(page.getByRole('heading', { name: /Straw Hat Hedda/ })).toBeVisible()
  const part = page.url().split('/').at(-1)!
  const body = { beat: 'Hedda walks', words: 'Straw Hat Hedda walks', cast: [{ part, variants: [] }], place: null, where: '', moment: '', framing: '', motion: { camera: 'still', subject: '', seconds: 4 }, sound: '', caption: '', note: '' }
  const series = crypto.randomUUID()
  await api('POST', '/api/series', { id: series, projectId: rows[0]!.projectId, name: 'Hats', story: '' })
  await api('POST', `/api/series/${series}/scenes`, { after: null, scenes: [{ id: crypto.randomUUID(), body, story: null }] })

  await page.getByRole('button', { name: 'Make a sheet' }).click()
  await expect(page.getByText(/combinations of/)).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: /^Do not vary expression/ }).click()
  await page.getByRole('button', { name: /^Start 8 pictures/ }).click()
  await page.waitForURL(/proofs\/sheet/)
  await page.goto(`/series/${series}/parts/${part}`)
  await page.getByRole('button', { name: 'Make it the reference' }).first().click({ timeout: 60_000 })
  await expect(page.getByText('Changes 1 scene')).toBeVisible()
  await expect(page.getByText('Its reference pictures change, too.')).toBeVisible()
  await page.getByRole('button', { name: 'Save as version 2' }).click()
  await page.getByRole('button', { name: 'Accept all' }).click()
  const [{ promptId }] = (await api<Whole>('GET', `/api/series/${series}`)).scenes as [Whole['scenes'][number]]
  await expect.poll(async () => (await api<{ draft: { references: { role: string }[] } }>('GET', `/api/prompts/${promptId}`)).draft.references.map(({ role }) => role)).toEqual(['person'])
  // The Shelf finds what says it.
  await page.goto(`/shelf?part=${part}&each=yes`)
  await expect(page.getByRole('article')).toHaveCount(2)
})
