import { expect, it } from 'vitest'
import { paletteWords } from './phrases.ts'

it('names the colour that covers most, also where three others are more vivid', () => {
  expect(paletteWords([{ hex: '#8a8a88', name: 'grey', share: 0.6 }, { hex: '#d01818', name: 'red', share: 0.14 }, { hex: '#1840d0', name: 'blue', share: 0.13 }, { hex: '#18a030', name: 'green', share: 0.13 }])).toEqual(['red', 'blue', 'grey'])
})

it('leaves a grey out that covers little, and adds up shares of one name', () => {
  expect(paletteWords([{ hex: '#d01818', name: 'red', share: 0.3 }, { hex: '#c02020', name: 'red', share: 0.2 }, { hex: '#1840d0', name: 'blue', share: 0.46 }, { hex: '#222222', name: 'black', share: 0.04 }])).toEqual(['red', 'blue'])
})

it('says nothing of no colours', () => {
  expect(paletteWords([])).toEqual([])
})
