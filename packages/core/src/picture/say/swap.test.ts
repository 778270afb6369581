import { expect, it } from 'vitest'
import type { Facet } from '../../facet.ts'
import { partOf } from './swap.ts'

it.each<[Facet, string, ReturnType<typeof partOf>]>([
  ['subject', 'two boats', 'subject'],
  ['detail', 'a waxed canvas coat', 'dress'],
  ['detail', 'rough texture', null],
  ['moment', 'at dusk', 'hour'],
  ['moment', 'late autumn', null],
  ['colour', 'muted colours', 'colour'],
  ['technique', 'shallow depth of field', 'medium'],
  ['technique', 'rendered in great detail', null],
  ['light', 'low-key light', null],
])('%s “%s” goes when another %s is put there', (facet, text, part) => {
  expect(partOf({ facet, text })).toBe(part)
})
