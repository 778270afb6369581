import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cleanText, isPicture } from './clean-text.ts'

describe('words as plain text', () => {
  it.each([
    ['“a fox on a wall”', 'a fox on a wall'],
    ['Prompt: a fox', 'a fox'],
    ['3. a fox', 'a fox'],
    ['**a fox** on a __wall__', 'a fox on a wall'],
    ['```text\na fox\n```', 'a fox'],
    ['a [fox](https://example.invalid/x) on a wall', 'a fox on a wall'],
    ['a fox , on a wall .', 'a fox, on a wall.'],
    ['a\u200Bfox\u202E', 'afox'],
    ['a <b>red</b> fox<img src=x onerror=a()>', 'a red fox'],
    ['a sign reads "Tarrow Line"', 'a sign reads "Tarrow Line"'],
    ['snow < 3 feet', 'snow < 3 feet'],
  ])('%j is %j', (text, clean) => {
    expect(cleanText(text)).toBe(clean)
  })

  it('has no tag of a script left in it, and is clean already when it is cleaned', () => {
    const piece = fc.constantFrom('<script>', '</script>', '<img src=x>', 'a fox', ' ', '<', '>', '“', '”', '**', '\u200B', '```', 'Prompt: ')
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 14 }), (pieces) => {
        const once = cleanText(pieces.join(''))
        expect(once).not.toMatch(/<script\b[^<>]*>/i)
      }),
    )
  })
})

it('a picture is told from words', () => {
  expect(isPicture('![a fox](https://example.invalid/fox.png)')).toBe(true)
  expect(isPicture('a fox, as in ![this](x.png), on a wall')).toBe(false)
})
