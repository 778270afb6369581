import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readEntries } from './read-entries.ts'

const entry = { term: 'kiln glow', facet: 'light', does: 'Red from below.' }
const wrong = (given: unknown) => {
  const read = readEntries(typeof given === 'string' ? given : JSON.stringify(given))
  return 'wrong' in read ? read.wrong : undefined
}

describe('terms from a file', () => {
  it('are taken as they are', () => {
    expect(readEntries(JSON.stringify([entry, { ...entry, term: 'soot light', brings: ['smoke'] }]))).toMatchObject({ entries: [{ term: 'kiln glow' }, { brings: ['smoke'] }] })
  })
  it('are refused with the place of what is wrong', () => {
    expect(wrong('{')).toBe('This is no JSON file.')
    expect(wrong(entry)).toBe('The file must hold a list of terms.')
    expect(wrong([entry, { ...entry, facet: 'smell' }])).toMatch(/^Term 2 \(“kiln glow”\), \/facet:/)
    expect(wrong([{ term: 'x', facet: 'light' }])).toBe('Term 1 (“x”), /does: this must be there.')
    expect(wrong([{ ...entry, onclick: 'x' }])).toMatch(/\/onclick/)
  })
  it('never make it throw', () => {
    fc.assert(fc.property(fc.jsonValue(), (given) => void readEntries(JSON.stringify(given))))
  })
})
