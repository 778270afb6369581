import fc from 'fast-check'
import { expect, it } from 'vitest'
import { scan } from './scan.ts'

const words = (text: string) => scan(text).map((token) => token.text)

it('keeps compounds, lens openings, ratios, sizes and years whole', () => {
  expect(words("wet-on-wet, bird's-eye view")).toEqual(['wet-on-wet', ',', "bird's-eye", 'view'])
  expect(words('85mm f/2.8 1/1000 16:9 768x512 1920s 50%')).toEqual(['85mm', 'f/2.8', '1/1000', '16:9', '768x512', '1920s', '50%'])
  expect(words('sky/sea (dusk)')).toEqual(['sky', '/', 'sea', '(', 'dusk', ')'])
})

it('covers every character but spaces, in order, for any text', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.string({ unit: 'binary' })), (text) => {
      let at = 0
      for (const { start, end, text: said } of scan(text)) {
        expect(text.slice(at, start).trim()).toBe('')
        expect(text.slice(start, end)).toBe(said)
        at = end
      }
      expect(text.slice(at).trim()).toBe('')
    }),
    { seed: 4, numRuns: 300 },
  )
})
