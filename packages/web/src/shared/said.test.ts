import { expect, it } from 'vitest'
import { sayAmounts, sayWhen } from './said.ts'

it('says amounts in their unit', () => {
  expect(sayAmounts([])).toBe('nothing')
  expect(sayAmounts([{ unit: 'credit', amount: 1 }, { unit: 'token', amount: 1200 }])).toBe('1 credit and 1,200 tokens')
})

it('says when as people do, and the date when it is long past', () => {
  const now = Date.parse('2026-11-25T12:00:00Z')
  expect(sayWhen('2026-11-25T11:59:40Z', now)).toBe('just now')
  expect(sayWhen('2026-11-25T11:57:00Z', now)).toBe('3 minutes ago')
  expect(sayWhen('2026-11-24T12:00:00Z', now)).toBe('yesterday')
  expect(sayWhen('2026-06-01T12:00:00Z', now)).toBe('1 June 2026')
})
