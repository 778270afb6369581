import { expect, it } from 'vitest'
import { type Slip, withWaived } from './slip.ts'

const dress: Slip = { kind: 'dress', scene: 1, against: 0, reason: 'Corin has “coat” in scene 1 and “shirt” here.' }

it('marks a slip that its scene lets stand, though scenes have other numbers by now', () => {
  const waived = [{ kind: 'dress' as const, reason: 'Corin has “coat” in scene 4 and “shirt” here.', because: 'He changes at the door.' }]
  expect(withWaived([dress], [{}, { waived }])[0]!.waived).toBe('He changes at the door.')
})

it('does not take another slip for one that was let stand: of another scene, kind or wording', () => {
  const own = { kind: 'dress' as const, reason: dress.reason, because: '' }
  expect(withWaived([dress], [{ waived: [own] }, {}])[0]!.waived).toBeUndefined()
  expect(withWaived([dress], [{}, { waived: [{ ...own, kind: 'trait' }] }])[0]!.waived).toBeUndefined()
  expect(withWaived([dress], [{}, { waived: [{ ...own, reason: 'Corin has “coat” in scene 1 and “vest” here.' }] }])[0]!.waived).toBeUndefined()
})
