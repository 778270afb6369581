import { expect, it } from 'vitest'
import { borrowedText } from './borrow.ts'

it('says phrases in writing order, each marked with its facet and the picture it came from', () => {
  const { text, marks } = borrowedText([
    { facet: 'light', text: 'low-key light', reference: 'r1' },
    { facet: 'subject', text: 'a teapot.' },
    { facet: 'colour', text: '  ' },
    { facet: 'medium', text: 'photograph', reference: 'r1' },
  ])
  expect(text).toBe('a teapot, low-key light, photograph')
  expect(marks.map((mark) => [text.slice(mark.from, mark.to), mark.kind])).toEqual([
    ['a teapot', 'facet'],
    ['low-key light', 'facet'],
    ['low-key light', 'from'],
    ['photograph', 'facet'],
    ['photograph', 'from'],
  ])
})
