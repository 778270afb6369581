import { act, api, choose, expect, promptNow, promptOnDesk, test, textOf } from './application.ts'

interface Sheet {
  proofs: { id: string; state: string; options: Record<string, string> | null }[]
}
const VARIANTS = ['A red fox sleeps in a snowy forest at dusk, gouache', 'A grey heron stands in a reed bed at dawn, gouache', 'A brown hare runs across a stubble field at noon, gouache', 'A barn owl lands on a fence post at night, gouache'].join('\n\n')
const ROWS = ['subject\taction\tsetting\tmoment', 'old badger\tdigs\tunder an oak\tdusk', 'two roe deer\tgraze\tin a clearing\tdawn', 'otter\tfloats\ton a slow river\tnoon', 'kingfisher\tdives\tinto a stream\tnoon', 'hedgehog\twalks\tacross a lawn\tnight', 'three swans\tsleep\ton a pond\tdawn', 'snow hare\tlistens\ton a ridge\tdusk', 'tawny owl\tlooks\tfrom a barn\tnight'].join('\n')

test('four variants become a template, a sheet of values eight drafts, a plan over its options runs on two engines, and the best is used in another project', async ({ page }) => {
  test.setTimeout(180_000)
  await page.goto('/shelf/templates?do=learn')
  await page.getByRole('textbox', { name: /variants/ }).fill(VARIANTS)
  await expect(page.getByRole('columnheader', { name: 'moment' })).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Go on with this template' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Animal at its hour')
  await page.getByRole('button', { name: 'Save the template' }).click()
  await page.waitForURL(/\/shelf\/templates\/[0-9a-f-]{36}/)
  const template = page.url()

  await page.getByRole('button', { name: 'Paste a sheet' }).click()
  await page.getByLabel('A sheet of values').fill(ROWS)
  await page.getByRole('button', { name: 'Use these rows' }).click()
  await page.getByLabel('subject, row 2').focus()
  await expect(page.getByText('Two roe deer graze in a clearing at dawn, gouache')).toBeVisible()
  await page.getByRole('button', { name: 'Make 8 drafts' }).click()
  await expect(page.getByRole('heading', { name: /Made from it 8 drafts/ })).toBeVisible()
  const { made } = await api<{ made: { promptId: string }[] }>('GET', `/api/templates/${template.split('/').at(-1)}`)
  expect(await Promise.all(made.slice(0, 2).map(async ({ promptId }) => (await promptNow(promptId)).draft.text))).toEqual(['An old badger digs under an oak at dusk, gouache', 'Two roe deer graze in a clearing at dawn, gouache'])

  // A changed template offers its change to what was made from it.
  await page.getByRole('button', { name: 'Edit' }).click()
  await page.getByRole('textbox', { name: /Text, with a slot/ }).fill('A {{ subject }} {{ action }} {{ setting }} at {{ moment }}, linocut')
  await page.getByRole('button', { name: 'Save as a new version' }).click()
  await expect(page.getByText('The template has changed since 8 drafts were made.')).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Accept the change in all that it fits' }).click()
  await expect(page.getByText('The template has changed')).toBeHidden()
  expect((await promptNow(made[0]!.promptId)).draft.text).toBe('An old badger digs under an oak at dusk, linocut')

  // A plan of pairs over subject and moment on two engines.
  await page.getByLabel('subject, row 1').fill('otter')
  await page.getByRole('button', { name: 'Plan trials over its options' }).click()
  await page.waitForURL(/\/plan/)
  await page.getByRole('button', { name: 'Do not vary action' }).click({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Do not vary setting' }).click()
  await page.getByRole('button', { name: 'Vary the engine' }).click()
  await expect(page.getByText(/fewer than 20 cannot have every pair/)).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: /^Start 2\d pictures/ }).click()
  await page.waitForURL(/\/proofs\/sheet\?trial=/)
  const trial = new URL(page.url()).searchParams.get('trial')!
  const results = async () => (await api<Sheet>('GET', `/api/sheet?trial=${trial}`)).proofs
  await expect.poll(async () => (await results()).every(({ state }) => state === 'stored'), { timeout: 60_000 }).toBe(true)
  const { rows: two } = { rows: new Set((await results()).map(({ options }) => options!['engine'])) }
  expect(two.size).toBe(2)
  // Verdicts tell what each option did.
  const proofs = await results()
  const of = (subject: string) => proofs.filter(({ options }) => options!['subject'] === subject).map(({ id }) => id)
  await api('POST', '/api/proofs/change', { proofs: of('otter'), verdict: 'keep' })
  await api('POST', '/api/proofs/change', { proofs: proofs.map(({ id }) => id).filter((id) => !of('otter').includes(id)), verdict: 'drop' })
  await expect(page.getByText(/Subject: “otter” did best/)).toBeVisible({ timeout: 20_000 })
  const kept = of('otter')[0]!
  await page.goto(`/proofs/${kept}`)
  await act(page, 'This proof', /^Use in another project/)
  await choose(page, 'In which project', 'Tarrow Line')
  await page.getByRole('button', { name: 'Use it there' }).click()
  await page.waitForURL(/\/desk\//)
  await expect(textOf(page)).toContainText('otter')
})

test('five prompts become a writing style, and one word is written in it', async ({ page }) => {
  await page.goto('/shelf/writing-styles')
  await page.getByRole('button', { name: 'Learn one from prompts' }).first().click()
  await page.getByRole('textbox', { name: /prompts that are written/ }).fill(['linocut, an owl on a fence post, moonlit night, thick black outlines, hushed', 'linocut, a fox in a wheat field, harvest moon, thick black outlines, watchful', 'linocut, a heron in a reed bed, misty dawn, thick black outlines, calm', 'linocut, two hares on a hill, starry night, thick black outlines, playful', 'linocut, an otter in a mill stream, dusk, thick black outlines, quiet'].join('\n\n'))
  await page.getByRole('button', { name: 'Learn from 5 prompts' }).click()
  await expect(page.getByLabel('Always said, word for word, one a line')).toHaveValue(/thick black outlines/, { timeout: 20_000 })
  await page.getByRole('button', { name: 'Save the writing style' }).click()
  await page.getByLabel('A word, a line or a draft').fill('badger')
  await page.getByRole('button', { name: 'Write it' }).click()
  await expect(page.getByText(/^linocut, a badger/)).toBeVisible({ timeout: 20_000 })
  await expect(page.getByText(/as close as [01]\.\d\d; the examples themselves/)).toBeVisible()
  await page.getByRole('button', { name: 'Begin a prompt with it' }).click()
  await page.waitForURL(/\/desk\//)
  expect((await promptNow(promptOnDesk(page))).draft.text).toMatch(/^linocut, a badger .*thick black outlines/)
})
