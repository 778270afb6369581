import { Type, type Static } from '@sinclair/typebox'
import { FACETS } from './facets.ts'

export const Facet = Type.Union(FACETS.map((facet) => Type.Literal(facet)), { title: 'Facet' })
export type Facet = Static<typeof Facet>
