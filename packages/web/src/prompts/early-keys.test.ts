import { afterEach, expect, it } from 'vitest'
import { heldKeys, holdKeys } from './early-keys.ts'

afterEach(() => {
  heldKeys()
})
function press(key: string, more: KeyboardEventInit = {}) {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })
  document.body.dispatchEvent(event)
  return event
}

it('holds what is typed until it is asked for, and lets go then', () => {
  holdKeys()
  for (const key of 'a fox') press(key)
  expect(heldKeys()).toBe('a fox')
  expect(press('x').defaultPrevented).toBe(false)
  expect(heldKeys()).toBe('')
})

it('takes keys before anything on the page acts on them', () => {
  holdKeys()
  let heard = 0
  const hear = () => {
    heard++
  }
  document.body.addEventListener('keydown', hear)
  expect(press('k').defaultPrevented).toBe(true)
  document.body.removeEventListener('keydown', hear)
  expect(heard).toBe(0)
})

it('corrects what was mistyped, and keeps line ends but not the Enter that began it', () => {
  holdKeys()
  press('Enter', { repeat: true })
  for (const key of ['a', 'b', 'Backspace', 'Enter', 'c']) press(key)
  expect(heldKeys()).toBe('a\nc')
})

it('leaves commands and other keys alone', () => {
  holdKeys()
  expect([press('k', { ctrlKey: true }), press('Tab'), press('Escape'), press('ArrowDown')].map(({ defaultPrevented }) => defaultPrevented)).toEqual([false, false, false, false])
  expect(heldKeys()).toBe('')
})

it('a letter of more than one code unit is one letter', () => {
  holdKeys()
  press('é')
  press('𝒜')
  press('Backspace')
  expect(heldKeys()).toBe('é')
})
