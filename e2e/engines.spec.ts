import { api, choose, engine, expect, newPrompt, test } from './application.ts'

test.afterEach(() => engine({ fault: 'none', delayMs: 0 }))

test('an engine is tried with one picture, its request seen before; switched off, nothing is asked of it', async ({ page }) => {
  await page.goto('/engines?engine=brayer%7C2')
  await page.getByText('What it is sent').click()
  await page.getByLabel('A text to try it with').fill('a heron, reeds, dawn, engraving')
  await expect(page.getByLabel('The request')).toContainText('"prompt": "a heron, reeds, dawn')
  await page.getByRole('button', { name: 'Try it with one picture' }).click()
  await expect(page.getByText(/768 by 512 pixels in .* simulated/)).toBeVisible({ timeout: 20_000 })
  await expect(page.getByText(/picture.* credits? spent/)).toBeVisible()
  await page.getByRole('button', { name: 'Switch off' }).click()
  await expect(page.getByText('It is switched off: nothing is asked of it.')).toBeVisible()
  await newPrompt(page, 'a heron, engraving')
  await choose(page, 'Engine', /^Brayer 2/)
  await expect(page.getByRole('button', { name: 'Try it' })).toBeDisabled()
  await page.goto('/engines?engine=brayer%7C2')
  await page.getByRole('button', { name: 'Switch on' }).click()
  await expect(page.getByRole('button', { name: 'Try it with one picture' })).toBeEnabled()
})

test('each fault for practice ends in a plain message and a proof that can be asked for again; nothing is charged twice', async ({ page }) => {
  const id = await newPrompt(page, 'A teapot in a studio')
  await page.getByLabel('Results').fill('1')
  await page.getByLabel('Results').blur()
  const faults: [name: string, says: RegExp][] = [
    ['refuses on grounds of policy', /refused the request \(status 422\)\. It said: The request goes against/],
    ['answers with plain text', /answered, but not in JSON/],
    ['sends a picture of another shape', /the picture is 64 by 64 pixels and 768 by 512 were asked for/],
    ['sends no picture at all', /there is no picture at \/pictures\/0\/png/],
    ['sends half a picture', /what came is damaged or cut off/],
  ]
  for (const [name, says] of faults) {
    await page.goto('/engines?engine=burin%7C2')
    await choose(page, 'For practice, a simulated engine', name)
    await page.getByRole('button', { name: 'Have it misbehave' }).click()
    await expect(page.getByText(`The next request to a simulated engine: it ${name}.`)).toBeVisible()
    await page.goto(`/desk/${id}`)
    await page.getByRole('button', { name: 'Try it' }).click()
    await expect(page.getByText(says).first()).toBeVisible({ timeout: 30_000 })
  }
  // The last is asked for again, and comes.
  await page.getByRole('button', { name: 'Ask again' }).first().click()
  await expect(page.getByRole('button', { name: /result/ })).toHaveCount(1, { timeout: 30_000 })
  const runs = await api<{ proofs: { state: string; cost: { amount: number } | null }[] }[]>('GET', `/api/prompts/${id}/runs`)
  expect(runs).toHaveLength(5)
  expect(runs.flatMap(({ proofs }) => proofs).filter(({ state }) => state === 'stored')).toHaveLength(1)
})

test('a service is connected by its profile; what contradicts itself is said with its place', async ({ page }) => {
  await page.goto('/engines')
  await page.getByRole('button', { name: 'Add an engine' }).click()
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Press')
  await page.getByLabel('Short name').fill('press')
  await page.getByRole('button', { name: 'Begin with an example' }).click()
  await expect(page.getByLabel('The request')).toContainText('authorization: Bearer {apiKey}')
  await expect(page.getByText(/Nothing was sent to pictures\.example.*IDOLON_ENGINE_HOSTS/)).toBeVisible()
  const connection = page.getByLabel('The connection, as JSON')
  const written = await connection.inputValue()
  await connection.fill(written.replace('{prompt}', '{promt}'))
  await expect(page.getByText('Nothing fills in {promt}.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Save the profile' })).toBeDisabled()
  await connection.fill(written)
  await page.getByRole('button', { name: 'Save the profile' }).click()
  await expect(page.getByRole('heading', { name: /Press 1/ })).toBeVisible()
  await page.getByLabel('API key').fill('tok-123')
  await page.getByRole('button', { name: 'Save the API key' }).click()
  await expect(page.getByLabel('An API key is saved; a new one takes its place')).toBeVisible()
  expect(await page.content()).not.toContain('tok-123')
  await page.getByRole('button', { name: 'Try it with one picture' }).click()
  await expect(page.getByText(/Nothing was sent to pictures\.example/).last()).toBeVisible()
  await page.getByRole('button', { name: 'Remove it' }).click()
  await expect(page.getByText('Press is removed.')).toBeVisible()
})
