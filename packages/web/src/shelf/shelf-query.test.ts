import { expect, it } from 'vitest'
import { queryOf, type SearchName } from './shelf-query.ts'

const of = (address: Partial<Record<SearchName, string>>) => queryOf((name) => address[name] ?? '')

it('takes from an address what a search can ask, and passes over the rest', () => {
  expect(of({})).toEqual({ q: '' })
  expect(of({ q: 'fox', status: 'proven', kept: '2', tried: 'no', colour: 'red', since: '2026-01-31' })).toEqual({ q: 'fox', status: 'proven', kept: 2, tried: false, colour: 'red', since: '2026-01-31' })
  expect(of({ status: 'splendid', kept: '-1', tried: 'maybe', since: 'yesterday' })).toEqual({ q: '' })
  expect(of({ q: 'x'.repeat(900) }).q).toHaveLength(500)
})
