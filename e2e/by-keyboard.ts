import { expect, type Locator, type Page } from '@playwright/test'

type Role = 'button' | 'textbox' | 'combobox' | 'link' | 'spinbutton' | 'tab' | 'option' | 'radio' | 'menuitem'
const MOST_STEPS = 120

/** The ways of somebody who has no mouse. */
export const byKeyboard = (page: Page) => {
  const find = async (words: string): Promise<void> => {
    await page.keyboard.press('ControlOrMeta+k')
    await expect(page.getByRole('combobox', { name: /Go to/ })).toBeFocused()
    await page.keyboard.type(words)
    await expect(page.getByRole('listbox', { name: 'Places and actions' }).getByRole('option').first()).toBeVisible()
  }
  const focused = (target: Locator) => target.evaluate((element) => element === document.activeElement || element.contains(document.activeElement)).catch(() => false)
  return {
    /** Tab, again and again, until it is reached. */
    tabTo: async (name: string | RegExp, role: Role = 'button'): Promise<void> => {
      const target = page.getByRole(role, { name }).first()
      for (let i = 0; i < MOST_STEPS; i++) {
        if (await focused(target)) return
        await page.keyboard.press('Tab')
      }
      throw new Error(`Tab never reaches ${String(name)}`)
    },
    /** “Go to”, by its key: what is found for the words, which Enter goes to. */
    find,
    goTo: async (words: string): Promise<void> => {
      await find(words)
      await page.keyboard.press('Enter')
    },
  }
}
