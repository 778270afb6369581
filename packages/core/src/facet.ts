import { Type, type Static } from '@sinclair/typebox'

/** The twelve kinds of thing a phrase can say, in the order a prompt is usually written. */
export const FACETS = [
  'subject',
  'action',
  'detail',
  'setting',
  'moment',
  'framing',
  'light',
  'colour',
  'medium',
  'technique',
  'mood',
  'lettering',
] as const

export const Facet = Type.Union(FACETS.map((facet) => Type.Literal(facet)), { title: 'Facet' })
export type Facet = Static<typeof Facet>
