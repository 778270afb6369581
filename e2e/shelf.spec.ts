import { readFile } from 'node:fs/promises'
import { act, api, choose, chooseFiles, expect, test } from './application.ts'

const CSV = `Name,Prompt,Unwanted,Topics
Otter,"An otter asleep on a flat stone by the river at dusk, gouache illustration",people,"night, river"
Otter again,"gouache illustration of an otter sleeping on a flat stone beside the river, dusk",,night
Two otters,"Two otters asleep on a flat stone by the river at dusk, gouache illustration",,night
Empty,,,
Otter twice,"An otter asleep on a flat stone by the river at dusk, gouache illustration",,
`
interface Found {
  rows: { id: string; title: string; alike: number }[]
}

test('prompts come in from a file, are found by meaning, stand together where they say the same, and are merged', async ({ page }) => {
  test.setTimeout(120_000)
  await page.goto('/shelf')
  await page.getByRole('link', { name: 'Import', exact: true }).click()
  // A file that cannot be read says where, and what to do.
  await chooseFiles(page, page.getByRole('button', { name: 'Choose a file' }), { name: 'broken.csv', mimeType: 'text/csv', buffer: Buffer.from('text\n"an owl\nend') })
  await expect(page.getByRole('alert')).toContainText('Line 2: a quote is opened and never closed')
  await chooseFiles(page, page.getByRole('button', { name: 'Choose a file' }), { name: 'otters.csv', mimeType: 'text/csv', buffer: Buffer.from(CSV) })
  await expect(page.getByRole('combobox', { name: 'Prompt is', exact: true })).toHaveValue('text')
  await expect(page.getByRole('combobox', { name: 'Unwanted is' })).toHaveValue('leave-out list')
  await expect(page.getByText('it has no text')).toBeVisible()
  await expect(page.getByText('line 2 of this file')).toBeVisible()
  await page.getByRole('button', { name: 'Import 3 prompts' }).click()
  await expect(page.getByText('3 prompts are on the Shelf, tagged “otters”')).toBeVisible({ timeout: 20_000 })
  await page.getByRole('link', { name: 'See them' }).click()
  await expect(page.getByText('1 more prompt says the same')).toBeVisible({ timeout: 60_000 })

  // No prompt has these words; one means this.
  await page.goto('/shelf')
  await page.getByLabel('Find', { exact: true }).fill('sleepy river animal in the evening')
  await expect(page.getByRole('heading', { name: 'Close in meaning' })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText('close in meaning', { exact: true }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Look by meaning' }).click()
  await expect(page).toHaveURL(/by=meaning/)
  // Meaning within a filter: other prompts may have families of their own.
  await choose(page, 'Tag', /^otters/)
  await expect(page.getByText(/^2 prompts close in meaning/)).toBeVisible()
  await page.getByText('1 more prompt says the same').click()
  await page.getByRole('button', { name: /^Merge Otter.* into this one/ }).click()
  await expect(page.getByText(/is merged into/)).toBeVisible()
  const { rows } = await api<Found>('GET', '/api/shelf?tag=otters&each=true')
  expect(rows).toHaveLength(2)
  // The merged one still has its own place, and goes back.
  await page.getByText('Merged into this:').waitFor()
  await page.getByRole('button', { name: /^Remove Otter.* from the merge/ }).click()
  await expect.poll(async () => (await api<Found>('GET', '/api/shelf?tag=otters&each=true')).rows.length).toBe(3)
})

test('prompts leave as a bundle, which knows them again', async ({ page }) => {
  await page.goto('/shelf?status=proven')
  await page.getByRole('checkbox', { name: /^Select / }).first().check()
  const [download] = await Promise.all([page.waitForEvent('download'), act(page, 'More with these', 'Export as a bundle')])
  const bytes = await readFile(await download.path())
  await page.goto('/shelf/in')
  await chooseFiles(page, page.getByRole('button', { name: 'Choose a file' }), { name: download.suggestedFilename(), mimeType: 'application/zip', buffer: bytes })
  await expect(page.getByText('1 prompt is here already: left out')).toBeVisible({ timeout: 20_000 })
  await page.getByRole('checkbox', { name: /here already too/ }).check()
  await page.getByRole('button', { name: 'Import 1 prompt' }).click()
  await expect(page.getByText('1 prompt is on the Shelf')).toBeVisible({ timeout: 20_000 })
})

test('templates are found beside prompts, and from Go to', async ({ page }) => {
  await page.goto('/shelf')
  await page.getByLabel('Find', { exact: true }).fill('portrait')
  await expect(page.getByText('Beside prompts:')).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.getByRole('combobox', { name: /Go to/ }).fill('portrait')
  await page.getByRole('option', { name: /Template$/ }).first().click()
  await page.waitForURL(/\/shelf\/templates\//)
})

test('a half-remembered prompt is found by what a facet says, and tags are given to many at once', async ({ page }) => {
  await page.goto('/shelf')
  await page.getByLabel('Find', { exact: true }).fill('medium: linocut')
  await expect(page.getByText(/medium: linocut/).first()).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Save this search' }).click()
  await page.getByLabel('Name of the search').fill('Linocuts')
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByRole('checkbox', { name: /^Select / }).first().check()
  await page.getByLabel('Tag to add').fill('evening')
  await page.getByLabel('Tag to add').press('Enter')
  await expect(page.getByText('Tagged “evening”: 1 prompt.')).toBeVisible()
  await page.goto('/shelf')
  await page.getByRole('link', { name: 'Linocuts' }).click()
  await expect(page.getByRole('article').getByText(/evening/).first()).toBeVisible()
  await act(page, 'More', /^Tags/)
  await page.getByLabel('Name of the tag evening').fill('by night')
  await page.getByLabel('Name of the tag evening').press('Tab')
  await expect(page.getByText(/“evening” is “by night” now in 1 prompt/)).toBeVisible()
})
