import { describe, expect, it } from 'vitest'
import { aReading } from './reading.test-support.ts'
import { evidenceOf } from './evidence.ts'
import { factWords } from './fact-words.ts'

const reading = aReading()

describe('what bears a fact out', () => {
  it.each([
    ['object 0', { kind: 'boxes', boxes: [{ name: 'dog, 0.70' }] }],
    ['horizon', { kind: 'line', y: 0.6, tilt: 0 }],
    ['palette', { kind: 'colours', hexes: ['#2850a0', '#e09040'] }],
    ['colour 1', { kind: 'cells', columns: 2, sharp: [false, false, true, true] }],
    ['contrast', { kind: 'tones', tones: 'ends' }],
    ['lightSide', { kind: 'from', degrees: -45 }],
    ['space', { kind: 'boxes', boxes: [{ name: 'room for lettering' }] }],
    ['layout', { kind: 'blocks' }],
    ['things', { kind: 'boxes', boxes: [{ name: 'dog' }] }],
  ])('of %s is drawn over the picture', (fact, evidence) => {
    expect(evidenceOf(fact, reading, reading)).toMatchObject(evidence)
  })

  it('is not there before the picture is read, and not of what nobody knows', () => {
    for (const fact of ['object 0', 'horizon', 'palette', 'lettering', 'layout', 'made up']) expect(evidenceOf(fact, null, null)).toBeUndefined()
  })
})

it('says each fact in words, and leaves open what is not settled', () => {
  const whole = { reference: {} as never, facts: reading, reading, metadata: [] }
  const said = Object.fromEntries(factWords(whole).map(({ fact, says }) => [fact, says]))
  expect(said).toMatchObject({ lightSide: 'from the upper left', horizon: 'at 60 % of the height', saturation: 'vivid', people: 'none', grain: undefined })
})
