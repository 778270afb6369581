import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { madeWith } from './made-with.ts'

const KNOWN = [{ key: 'guidance', label: 'Guidance' }, { key: 'steps', label: 'Steps' }, { key: 'latitude', label: 'Latitude' }]

describe('what metadata tells of how a picture was made', () => {
  it('reads pairs in a comment, under any name', () => {
    expect(madeWith([{ name: 'UserComment', value: 'a heron over a mill pond at dusk\nSeed: 4411, Steps: 24, guidance = 6.5' }], KNOWN)).toEqual({ text: 'a heron over a mill pond at dusk', seed: 4411, settings: { guidance: 6.5, steps: 24 } })
  })
  it('reads JSON, however deep', () => {
    const value = JSON.stringify({ request: { prompt: 'a lantern in the fog', options: { noise_seed: 99, latitude: 'some' } } })
    expect(madeWith([{ name: 'job', value }], KNOWN)).toEqual({ text: 'a lantern in the fog', seed: 99, settings: { latitude: 'some' } })
  })
  it('takes what is to be left out for no text', () => {
    expect(madeWith([{ name: 'negative words', value: 'people and lettering everywhere' }, { name: 'prompt', value: 'a quiet quay' }]).text).toBe('a quiet quay')
  })
  it('takes a date or a hash for no seed', () => {
    expect(madeWith([{ name: 'seed', value: '2026-11-26' }, { name: 'software', value: 'Seed: abc' }]).seed).toBeUndefined()
  })
  it('never fails', () => {
    fc.assert(fc.property(fc.array(fc.record({ name: fc.string(), value: fc.oneof(fc.string(), fc.json()) })), (fields) => void madeWith(fields, KNOWN)))
  })
})
