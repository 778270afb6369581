import { expect, it } from 'vitest'
import { type Slip, withDismissed } from './slip.ts'

const dress: Slip = { kind: 'dress', scene: 1, against: 0, reason: 'Corin has “coat” in scene 1 and “shirt” here.' }

it('marks a slip that its scene lets stand, though scenes have other numbers by now', () => {
  const dismissed = [{ kind: 'dress' as const, reason: 'Corin has “coat” in scene 4 and “shirt” here.', because: 'He changes at the door.' }]
  expect(withDismissed([dress], [{}, { dismissed }])[0]!.dismissed).toBe('He changes at the door.')
})

it('does not take another slip for one that was let stand: of another scene, kind or wording', () => {
  const own = { kind: 'dress' as const, reason: dress.reason, because: '' }
  expect(withDismissed([dress], [{ dismissed: [own] }, {}])[0]!.dismissed).toBeUndefined()
  expect(withDismissed([dress], [{}, { dismissed: [{ ...own, kind: 'trait' }] }])[0]!.dismissed).toBeUndefined()
  expect(withDismissed([dress], [{}, { dismissed: [{ ...own, reason: 'Corin has “coat” in scene 1 and “vest” here.' }] }])[0]!.dismissed).toBeUndefined()
})
