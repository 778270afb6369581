import fc from 'fast-check'
import { expect, it } from 'vitest'
import { printApart, PRINT_BITS } from '../print.ts'
import { structureAlike } from './layout.ts'

const tones = fc.array(fc.integer({ min: 0, max: 99 }), { minLength: 1024, maxLength: 1024 })
const drawn = (tone: (x: number, y: number) => number) => Array.from({ length: 1024 }, (_, i) => Math.round(tone((i % 32) / 31, Math.floor(i / 32) / 31)))

it('is whole of a picture and itself, and the same both ways', () => {
  fc.assert(fc.property(tones, (x) => Math.abs(structureAlike(x, x) - 1) < 1e-9 && printApart(x, x) === 0), { numRuns: 20 })
  fc.assert(fc.property(tones, tones, (x, y) => Math.abs(structureAlike(x, y) - structureAlike(y, x)) < 1e-9 && printApart(x, y) === printApart(y, x) && printApart(x, y) <= PRINT_BITS), { numRuns: 20 })
})

it('survives another brightness, and sees a thing on the other side', () => {
  const left = drawn((x, y) => (Math.hypot(x - 0.25, y - 0.5) < 0.2 ? 85 : 30 + 10 * y))
  const dimmer = left.map((tone) => Math.round(tone * 0.8))
  const right = drawn((x, y) => (Math.hypot(x - 0.75, y - 0.5) < 0.2 ? 85 : 30 + 10 * y))
  expect(printApart(left, dimmer)).toBeLessThan(6)
  expect(printApart(left, right)).toBeGreaterThan(20)
  expect(structureAlike(left, dimmer)).toBeGreaterThan(structureAlike(left, right) + 0.3)
})
