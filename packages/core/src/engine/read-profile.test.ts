import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { burin1 } from './burin.ts'
import { SHIPPED_ENGINES } from './index.ts'
import type { EngineProfile } from './profile.ts'
import { readProfile } from './read-profile.ts'

const places = (given: unknown) => {
  const read = readProfile(given)
  return 'problems' in read ? read.problems.map(({ at }) => at) : []
}
const changed = (change: Partial<EngineProfile>) => places({ ...burin1, ...change })
const number = { key: 'grain', label: 'Grain', kind: 'number', min: 0, max: 10, step: 1, default: 5, says: '' } as const

describe('a profile from outside', () => {
  it('is taken as it is when it is whole and says one thing', () => {
    for (const profile of SHIPPED_ENGINES) expect(readProfile(JSON.parse(JSON.stringify(profile)))).toEqual({ profile })
    expect(changed({ limit: { unit: 'words', max: 1 } })).toEqual([])
  })
  it('is refused with the place of what is missing, unknown or of the wrong kind', () => {
    expect(places(null)).toEqual(['/'])
    expect(places({ ...burin1, reads: 'poems', secret: 1 })).toEqual(expect.arrayContaining(['/reads', '/secret']))
    expect(places({ ...burin1, limit: { unit: 'words', max: 0 } })).toEqual(['/limit/max'])
    const { sizes: _, ...without } = burin1
    expect(places(without)).toEqual(['/sizes'])
  })
  it('is refused where it contradicts itself', () => {
    expect(changed({ settings: [{ ...number, min: 20 }] })).toEqual(['/settings/0/min'])
    expect(changed({ settings: [{ ...number, default: 11 }] })).toEqual(['/settings/0/default'])
    expect(changed({ settings: [number, number] })).toEqual(['/settings/1/key'])
    expect(changed({ settings: [{ ...number, key: 'seed' }] })).toEqual(['/settings/0/key'])
    expect(changed({ settings: [{ key: 'k', label: 'K', kind: 'choice', values: ['a'], default: 'b', says: '' }] })).toEqual(['/settings/0/default'])
    expect(changed({ sizes: [{ aspectRatio: '3:2', width: 512, height: 512, cost: 1 }] })).toEqual(['/sizes/0'])
    expect(changed({ facetOrder: ['subject', 'subject'] })).toEqual(['/facetOrder/1'])
    expect(changed({ refuses: ['steps'] })).toEqual(['/refuses'])
  })
  it('never makes it throw', () => {
    fc.assert(fc.property(fc.anything(), (given) => void readProfile(given)))
  })
})
