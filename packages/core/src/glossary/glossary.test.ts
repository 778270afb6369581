import { describe, expect, it } from 'vitest'
import type { GlossaryEntry } from './entry.ts'
import { Glossary } from './glossary.ts'

const entry = (term: string, rest: Partial<GlossaryEntry> = {}): GlossaryEntry => ({ term, facet: 'light', does: 'It lights.', ...rest })
const shipped = [
  entry('side light', { also: ['side lighting', 'sidelight'], near: ['raking light'] }),
  entry('raking light', { broader: 'side light', does: 'Skims a wall so that each pebble shows.' }),
  entry('snow', { facet: 'moment' }),
  entry('snow', { facet: 'setting' }),
]

describe('a glossary', () => {
  const glossary = new Glossary(shipped)
  it('finds a term by every way to write it, of the wanted facet first', () => {
    expect(glossary.named('Sidelight').map(({ term }) => term)).toEqual(['side light'])
    expect(glossary.named('snow', 'setting').map(({ facet }) => facet)).toEqual(['setting', 'moment'])
    expect(glossary.named('fog')).toEqual([])
  })
  it('knows kin from both sides', () => {
    const [side] = glossary.named('side light')
    const [raking] = glossary.named('raking light')
    expect(side).toMatchObject({ narrower: ['raking light'], near: ['raking light'] })
    expect(raking).toMatchObject({ broader: 'side light', near: ['side light'] })
  })
  it('finds the longest terms of a text', () => {
    expect(glossary.saidIn('a wall in raking light, some snow').map(({ term }) => term)).toEqual(['raking light', 'snow'])
  })
  it('searches names first, then what they do, with a slip of the finger', () => {
    expect(glossary.search('side').map(({ term }) => term)[0]).toBe('side light')
    expect(glossary.search('pebble').map(({ term }) => term)).toEqual(['raking light'])
    expect(glossary.search('rakeing light').map(({ term }) => term)).toEqual(['raking light'])
    expect(glossary.search('', 'light')).toHaveLength(2)
    expect(glossary.search('xyz')).toEqual([])
  })
  it('puts the writer’s own term in place of the shipped one', () => {
    const own = new Glossary(shipped, [entry('Side light', { does: 'Our way.' }), entry('lamp gold')])
    expect(own.named('side light')).toMatchObject([{ does: 'Our way.', own: true }])
    expect(own.terms).toHaveLength(shipped.length + 1)
  })
})
