import { afterEach, describe, expect, it } from 'vitest'
import { faultFor, isKey, KEY_MAP, type KeyContext, keyLines, keysOf, pressed, verdictFor } from './key-map.ts'
import { faultKeys, letterKeys, verdictKeys } from './letters.ts'

const press = (key: string, more: Partial<KeyboardEventInit> = {}) => ({ key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...more })
afterEach(() => {
  letterKeys.value = true
  verdictKeys.value = { keep: 'k', maybe: 'm', drop: 'd' }
})

describe('a key', () => {
  it('is told with its modifiers', () => {
    expect(isKey(press('z', { ctrlKey: true }), 'Ctrl Z')).toBe(true)
    expect(isKey(press('z', { metaKey: true }), 'Ctrl Z')).toBe(true)
    expect(isKey(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl Z')).toBe(false)
    expect(isKey(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl Shift Z')).toBe(true)
    expect(isKey(press('F8'), 'Shift F8')).toBe(false)
    expect(isKey(press('ArrowUp', { altKey: true }), 'Alt Up')).toBe(true)
    expect(isKey(press('ArrowUp'), 'Alt Up')).toBe(false)
  })

  it('is the same letter with and without Shift, and the plus sign on every board', () => {
    expect(isKey(press('K', { shiftKey: true }), 'K')).toBe(true)
    expect(isKey(press('='), '+')).toBe(true)
    expect(isKey(press('+', { shiftKey: true }), '+')).toBe(true)
  })

  it('is no command as a bare letter where letters are switched off; the question mark and named keys stay', () => {
    letterKeys.value = false
    expect(pressed('finding', press('f'))).toBeUndefined()
    expect(pressed('finding', press('ArrowDown'))).toBe('next')
    expect(pressed('everywhere', press('?', { shiftKey: true }))).toBe('keys')
  })

  it('with a command key held is not the letter', () => {
    expect(pressed('phrase', press('r', { ctrlKey: true }))).toBeUndefined()
    expect(verdictFor(press('d', { ctrlKey: true }))).toBeUndefined()
  })
})

describe('the map of keys', () => {
  it('has no key twice in one place', () => {
    for (const [name, { commands }] of Object.entries(KEY_MAP)) {
      const keys = Object.values(commands as Record<string, { keys: readonly string[] }>).flatMap((command) => command.keys)
      expect(new Set(keys).size, name).toBe(keys.length)
    }
  })

  it('lists every command under “?”, and no command is listed that has no key', () => {
    const listed = keyLines()
    expect(listed.map(({ where }) => where)).toEqual(Object.values(KEY_MAP).map(({ where }) => where))
    for (const { lines } of listed) for (const { keys, does } of lines) expect([keys, does].every(Boolean)).toBe(true)
  })

  it('answers each command to each of its keys', () => {
    const codes: Record<string, string> = { Left: 'ArrowLeft', Right: 'ArrowRight', Up: 'ArrowUp', Down: 'ArrowDown', Space: ' ' }
    // Of any place, not of one that is known when this is compiled.
    const ask = pressed as (context: KeyContext, event: ReturnType<typeof press>) => string | undefined
    for (const name of Object.keys(KEY_MAP) as KeyContext[]) {
      for (const [command, { keys }] of Object.entries(KEY_MAP[name].commands as Record<string, { keys: readonly string[] }>)) {
        for (const written of keys) {
          const parts = written.split(' ')
          const key = parts.at(-1)!
          const found = ask(name, press(codes[key] ?? key, { ctrlKey: parts.includes('Ctrl'), altKey: parts.includes('Alt'), shiftKey: parts.includes('Shift') }))
          expect(found, `${name} ${written}`).toBe(command)
        }
      }
    }
  })

  it('names a command’s keys for its tooltip', () => {
    expect(keysOf('desk', 'nextFinding')).toBe('F8')
    expect(keysOf('phrase', 'remove')).toBe('Delete or Backspace')
  })

  it('follows the letters that the writer gave verdicts', () => {
    verdictKeys.value = { keep: 'y', maybe: 'm', drop: 'n' }
    expect([verdictFor(press('y')), verdictFor(press('k')), faultFor(press(faultKeys.value.clutter))]).toEqual(['keep', undefined, 'clutter'])
    expect(keyLines().find(({ where }) => where === 'On a picture')?.lines.find(({ does }) => does.startsWith('Keep'))?.keys).toBe('Y')
  })
})
