import { act, api, choose, chooseFiles, expect, promptNow, promptOnDesk, test } from './application.ts'

interface Row {
  id: string
  name: string
  stage: string
}
const references = () => api<Row[]>('GET', '/api/references')

test('a proof is kept as a reference, read, and only its colours and medium are borrowed for another subject', async ({ page }) => {
  const { rows } = await api<{ rows: { bestProof: { id: string } | null; title: string }[] }>('GET', '/api/shelf?q=brass%20heron')
  await page.goto(`/proofs/${rows.find(({ bestProof }) => bestProof)!.bestProof!.id}`)
  await act(page, 'This proof', 'Keep as a reference')
  await page.getByRole('button', { name: 'See it' }).click()
  await page.waitForURL(/\/references\//)
  const reference = page.url()
  await expect(page.getByRole('heading', { name: 'What is said of it' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Accept all that nothing contradicts' })).toBeVisible({ timeout: 40_000 })
  // What bears a fact out is drawn over the picture, by a press of its phrase.
  const colours = page.getByRole('button', { name: /^palette of/ })
  await colours.click()
  await expect(page.getByText('its colours, by how much of it they cover')).toBeVisible()
  await expect(page.locator('canvas')).toBeVisible()
  await page.getByRole('button', { name: 'colour', exact: true }).click()
  await page.getByLabel('another subject').fill('a red tram')
  await choose(page, 'Written for', 'Burin')
  await page.getByRole('button', { name: 'Begin a prompt with this' }).click()
  await page.waitForURL(/\/desk\//)
  const { draft } = await promptNow(promptOnDesk(page))
  expect(draft.text).toMatch(/^A red tram.*palette of/)
  expect(draft.text).not.toContain('heron')
  await expect(page.getByText('from a reference').first()).toBeVisible()
  // What comes back is held against the reference; the words that would close the largest difference go into the draft by one press.
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByRole('group', { name: /^Version 1 of/ }).getByRole('button', { name: /result/ }).first()).toBeVisible({ timeout: 30_000 })
  const prompt = promptOnDesk(page)
  await page.goto(reference)
  await expect(page.getByRole('heading', { name: 'Closing in' })).toBeVisible()
  await expect(page.getByRole('list', { name: /^Tries that borrow/ }).getByText(/\d %/).last()).toBeVisible({ timeout: 40_000 })
  // Pressed, a respect shows both pictures with what was measured in each.
  await page.getByRole('rowheader').getByRole('button', { name: 'palette' }).click()
  await expect(page.locator('figure canvas')).toHaveCount(2)
  const next = page.getByRole('button', { name: /^Say “/ }).first()
  const words = /“(.+)”/.exec(await next.innerText())![1]!
  await next.click()
  await expect(page.getByRole('listitem').filter({ hasText: `Say “${words}”` })).toContainText('in the draft')
  expect((await promptNow(prompt)).draft.text.toLowerCase()).toContain(words.toLowerCase())
})

test('two models are asked what it shows, and what measures contradict is not taken with the rest', async ({ page }) => {
  const { id } = (await references()).find(({ name }) => name === 'Light for the shelf pictures')!
  await page.goto(`/references/${id}`)
  await expect.poll(async () => (await references()).find((one) => one.id === id)?.stage, { timeout: 40_000 }).toBe('read')
  await page.getByRole('button', { name: /^Ask .+ what it shows/ }).click()
  await expect(page.getByText(/nothing is known yet of how often it is right/)).toHaveCount(2, { timeout: 20_000 })
  await expect(page.getByText(/nobody measured it/).first()).toBeVisible()
  await expect(page.getByText(/^measured, .*Quoin/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Accept all that nothing contradicts' }).click()
  for (const row of await page.getByRole('listitem').filter({ hasText: ', but ' }).all()) await expect(row.getByRole('button', { name: /^Accept / })).toBeVisible()
  await page.getByRole('button', { name: 'Accept none' }).click()
  // Another hour: the rest of what is borne out stays.
  await page.getByLabel('another time of day').fill('at midnight')
  await page.getByRole('button', { name: 'Begin a prompt with this' }).click()
  await page.waitForURL(/\/desk\//)
  expect((await promptNow(promptOnDesk(page))).draft.text).toMatch(/at midnight/)
})

test('several references are read together, and what they share becomes a rule of the house', async ({ page }) => {
  await page.goto('/references')
  await choose(page, 'Project', 'Skep & Cup')
  await expect.poll(async () => (await references()).filter(({ stage }) => stage !== 'read').length, { timeout: 60_000 }).toBe(0)
  await page.getByRole('button', { name: 'Read several together' }).click()
  for (const box of await page.getByRole('checkbox').all()) await box.check()
  await expect(page.getByRole('heading', { name: 'What they share' })).toBeVisible()
  await page.getByRole('button', { name: 'Make it a house rule' }).first().click()
  await expect(page.getByText(/^Every prompt of the project is to say “/)).toBeVisible()
  await page.getByRole('button', { name: 'Begin a prompt with what they share' }).click()
  await page.waitForURL(/\/desk\//)
  expect((await promptNow(promptOnDesk(page))).draft.text).not.toBe('')
  await expect(page.getByText('from a reference').first()).toBeVisible()
})

test('pictures are imported, what is none is refused, and one deleted is restored', async ({ page }) => {
  await page.goto('/references')
  await chooseFiles(page, page.getByRole('button', { name: 'Import pictures' }), [
    { name: 'not-a-picture.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') },
    { name: 'a_blue_ground.png', mimeType: 'image/png', buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAAEUlEQVR4nGNQCDiAFTEMLQkAintMAXLrfgQAAAAASUVORK5CYII=', 'base64') },
  ])
  await expect(page.getByText(/not-a-picture\.png: That is no picture Idolon takes in/)).toBeVisible()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('a blue ground')
  await page.getByLabel('Source', { exact: true }).fill('drawn for a test')
  await page.getByLabel('Source', { exact: true }).press('Tab')
  await choose(page, 'Rights', 'my own')
  await expect.poll(async () => (await references()).find(({ name }) => name === 'a blue ground')?.stage, { timeout: 40_000 }).toBe('read')
  await page.reload()
  await expect(page.getByLabel('Source', { exact: true })).toHaveValue('drawn for a test')
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(page.getByText('“a blue ground” lies in the bin.')).toBeVisible()
  await page.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('a blue ground')
})
