import { AxeBuilder } from '@axe-core/playwright'
import { api, expect, newPrompt, test } from './application.ts'

interface ShelfAnswer {
  rows: { id: string; projectId: string; bestProof: { id: string } | null }[]
}
interface SheetAnswer {
  proofs: { id: string }[]
}

async function addresses(): Promise<[string, string][]> {
  const { rows } = await api<ShelfAnswer>('GET', '/api/shelf?q=hedda%20opens')
  const [prompt] = rows
  const { proofs } = await api<SheetAnswer>('GET', `/api/sheet?prompt=${prompt?.id ?? ''}`)
  const ids = proofs.slice(0, 3).map(({ id }) => id).join(',')
  const file = (await (await fetch(`${process.env['E2E_ADDRESS'] ?? ''}/api/imports?name=birds.csv`, { method: 'POST', body: 'Name,Prompt,Topics\nOwl,an owl at dusk,night\nAgain,an owl at dusk,\nEmpty,,\n' })).json()) as { id: string }
  const [series] = (await api<{ id: string; name: string }[]>('GET', '/api/series')).filter(({ name }) => name === 'The Lantern Bees')
  const { parts } = await api<{ parts: { id: string; body: { name: string } }[] }>('GET', `/api/series/${series?.id ?? ''}`)
  return [
    ['Series', `/series/${series?.id ?? ''}`],
    ['A character', `/series/${series?.id ?? ''}/parts/${parts.find(({ body }) => body.name === 'Corin')?.id ?? ''}`],
    ['What has changed', `/series/${series?.id ?? ''}/changes`],
    ['Played', `/series/${series?.id ?? ''}/play`],
    ['Begin', '/'],
    ['Desk', `/desk/${prompt?.id}`],
    ['Proofs', '/proofs'],
    ['Sheet', `/proofs/sheet?prompt=${prompt?.id ?? ''}`],
    ['Side by side', `/proofs/side-by-side?ids=${ids}`],
    ['Judging blind', `/proofs/judge?ids=${ids}`],
    ['Proof', `/proofs/${prompt?.bestProof?.id}`],
    ['Shelf', '/shelf?tried=yes'],
    ['Bringing in', '/shelf/in'],
    ['Bringing a file in', `/shelf/in/${file.id}`],
    ['Templates', '/shelf/templates'],
    ['Learning a template', '/shelf/templates?do=learn'],
    ['Writing a template', '/shelf/templates?do=new'],
    ['Manners', '/shelf/manners'],
    ['Trial plan', `/desk/${prompt?.id}/plan`],
    ['References', '/references'],
    ['Bin', '/bin'],
    ['Project', `/projects/${prompt?.projectId}`],
    ['Helpers', '/helpers/fill-out'],
    ['Glossary', '/glossary?q=rim'],
    ['Engines', '/engines'],
    ['Not found', '/nowhere'],
  ]
}

test('axe finds nothing to fault in any view, nor in the contrasts of its dark theme', async ({ page }) => {
  test.setTimeout(300_000)
  const found: string[] = []
  const note = (name: string, { violations }: Awaited<ReturnType<AxeBuilder['analyze']>>) => {
    for (const { id, nodes } of violations) found.push(`${name}: ${id}: ${nodes.map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`).join(' | ')}`)
  }
  const theme = async (dark: boolean) => {
    await page.evaluate((newValue) => {
      localStorage.setItem('idolon.dark', newValue)
      window.dispatchEvent(new StorageEvent('storage', { key: 'idolon.dark', newValue, storageArea: localStorage }))
    }, String(dark))
    await expect(page.locator('.v-application')).toHaveClass(dark ? /v-theme--\w*dark/i : /v-theme--(?!\w*dark)/i)
  }
  const axe = () => new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  const look = async (name: string) => {
    note(name, await axe().analyze())
    // All that a theme changes is colours.
    await theme(true)
    await page.waitForTimeout(300)
    note(`${name}, dark`, await axe().withRules(['color-contrast']).analyze())
    await theme(false)
  }
  for (const [name, address] of await addresses()) {
    await page.goto(address)
    await page.waitForLoadState('networkidle').catch(() => undefined)
    await expect(page.getByRole('main')).toBeVisible()
    await page.waitForTimeout(600)
    await look(name)
    if (name === 'Series') {
      for (const panel of ['Story', 'Parts', 'Continuity', 'Try']) {
        await page.getByRole('button', { name: panel, exact: true }).click()
        await page.waitForTimeout(500)
        await look(`Series, ${panel}`)
      }
    }
    if (name === 'Helpers') {
      await page.getByRole('button', { name: 'One word', exact: true }).click()
      await look('Helpers, a case')
      await page.getByRole('button', { name: 'Change it' }).click()
      await look('Helpers, writing')
    }
    if (name === 'Engines') {
      await page.getByRole('button', { name: /^Quoin/ }).click()
      await look('Engines, a model')
    }
    if (name === 'Desk') {
      await page.locator('.outline .phrase').first().click()
      await expect(page.getByRole('menu')).toBeVisible()
      await page.waitForTimeout(400)
      await look('Desk, phrase menu')
      await page.keyboard.press('Escape')
      await page.locator('.outline .phrase').nth(1).focus()
      await page.keyboard.press('g')
      await expect(page.getByRole('dialog')).toBeVisible()
      await page.waitForTimeout(400)
      await look('Desk, entry of a phrase')
      await page.keyboard.press('Escape')
      await page.getByRole('tab', { name: 'Helpers' }).click()
      await page.locator('.helpers .name').first().click()
      await look('Desk, helpers')
      await page.getByRole('button', { name: 'Ask', exact: true }).click()
      await expect(page.getByRole('button', { name: 'Take all' })).toBeVisible({ timeout: 20_000 })
      await look('Desk, proposal')
      await page.getByRole('button', { name: 'Leave all' }).click()
      await page.getByRole('button', { name: 'Put away' }).click()
      await page.getByRole('tab', { name: 'Output' }).click()
      await page.getByRole('button', { name: 'Beside other engines' }).click()
      await page.waitForTimeout(600)
      await look('Desk, beside other engines')
      await page.keyboard.press('Escape')
      await page.locator('.outline .empty button').first().click()
      await look('Desk, filling a facet')
      await page.keyboard.press('Escape')
      await page.getByRole('tab', { name: 'History' }).click()
      await page.getByRole('button', { name: /Version 1/ }).click()
      await look('Desk, history')
      await page.getByRole('button', { name: 'Use in another project' }).click()
      await expect(page.getByRole('dialog')).toBeVisible()
      await page.waitForTimeout(400)
      await look('Desk, use again')
      await page.keyboard.press('Escape')
    }
  }
  await page.goto('/engines')
  await page.getByRole('button', { name: 'Change the profile' }).click()
  await look('Engines, a profile being changed')
  await page.goto('/glossary?q=rim')
  await page.getByRole('button', { name: 'Add a term' }).click()
  await look('Glossary, a term being written')
  await page.keyboard.press('ControlOrMeta+k')
  await page.waitForTimeout(500)
  await look('Go to')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Keys' }).click()
  await page.waitForTimeout(500)
  await look('Keys')
  expect(found).toEqual([])
})

test('nothing scrolls sideways at 1024, 1280 and 1920', async ({ page }) => {
  for (const width of [1024, 1280, 1920]) {
    await page.setViewportSize({ width, height: 800 })
    for (const [name, address] of await addresses()) {
      await page.goto(address)
      await expect(page.getByRole('main')).toBeVisible()
      await page.waitForTimeout(250)
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
  await page.getByRole('combobox', { name: 'Tags' }).fill('<i>tag</i>')
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
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByLabel('Project', { exact: true })).toContainText('Upper Valley')
  await page.getByRole('link', { name: 'Its page' }).click()
  await page.waitForURL(/\/projects\//)
  await expect(page.getByLabel('Name of the project')).toHaveValue('Upper Valley')
  await page.getByLabel('Name of the project').fill('Upper Valley Guide')
  await page.getByLabel('Name of the project').press('Enter')
  await expect(page.getByLabel('Project', { exact: true })).toContainText('Upper Valley Guide')
  await page.getByRole('button', { name: 'Archive it' }).click()
  await expect(page.getByText('Archived. Its prompts can be read')).toBeVisible()
  await expect(page.getByLabel('Project', { exact: true })).not.toContainText('Upper Valley Guide')
  await page.getByRole('button', { name: 'Take it from the archive' }).click()
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
  await page.getByRole('button', { name: 'Close' }).click()
  await tile.focus()
  await page.keyboard.press('k')
  await page.keyboard.press('y')
  await expect(page.getByRole('button', { name: /result 1, keep/ })).toBeVisible()
  await page.keyboard.press('y')
  await page.keyboard.press('?')
  await page.getByLabel(/Single letters act/).uncheck()
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: /result 1/ }).first().focus()
  await page.keyboard.press('m')
  await page.waitForTimeout(300)
  await expect(page.getByRole('button', { name: /result 1, maybe/ })).toHaveCount(0)
})
