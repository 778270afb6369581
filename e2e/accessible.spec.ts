import { AxeBuilder } from '@axe-core/playwright'
import { expect, test } from './application.ts'
import { addresses } from './view-addresses.ts'

// First, and on both workers at once: nothing else takes as long.
test.describe.configure({ mode: 'parallel', timeout: 900_000 })
const PARTS = 2

for (let part = 0; part < PARTS; part++) test(`axe finds nothing to fault in any view, nor in the contrasts of its dark theme, part ${part + 1} of ${PARTS}`, async ({ page }) => {
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
  const mine = (await addresses()).filter((_, i) => i % PARTS === part)
  for (const [name, address] of mine) {
    await page.goto(address)
    await page.waitForLoadState('networkidle').catch(() => undefined)
    await expect(page.getByRole('main')).toBeVisible()
    await page.waitForTimeout(200)
    await look(name)
    if (name === 'Series') {
      for (const panel of ['Story', 'Parts', 'Continuity', 'Try', 'Deliver']) {
        await page.getByRole('tab', { name: panel, exact: true }).click()
        await page.waitForTimeout(500)
        await look(`Series, ${panel}`)
      }
    }
    if (name === 'Helpers') {
      await page.getByRole('button', { name: 'One word', exact: true }).click()
      await look('Helpers, a case')
      await page.getByRole('button', { name: 'Edit' }).click()
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
      await expect(page.getByRole('button', { name: 'Accept all' })).toBeVisible({ timeout: 20_000 })
      await look('Desk, proposal')
      await page.getByRole('button', { name: 'Reject all' }).click()
      await page.getByRole('button', { name: 'Close', exact: true }).click()
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
      await page.getByRole('button', { name: 'This prompt' }).click()
      await page.waitForTimeout(400)
      await look('Desk, its menu')
      await page.getByRole('menuitem', { name: /^Use in another project/ }).click()
      await expect(page.getByRole('dialog')).toBeVisible()
      await page.waitForTimeout(400)
      await look('Desk, use again')
      await page.keyboard.press('Escape')
    }
  }
  // What belongs to no view in particular goes with the part that has fewer panels to open.
  if (part === 1) {
    expect(found).toEqual([])
    return
  }
  await page.goto('/engines')
  await page.getByRole('button', { name: 'Edit the profile' }).click()
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
