import { Type, type Static } from '@sinclair/typebox'
import { FACETS } from '../../facets.ts'
import type { Facet } from '../../facet.ts'
import type { AnswerShape } from './answer.ts'

const Said = Type.Union([Type.String({ maxLength: 2_000 }), Type.Array(Type.String({ maxLength: 600 }), { maxItems: 30 })])
type Said = Static<typeof Said>

export const FacetsAnswer = Type.Object(Object.fromEntries(FACETS.map((facet) => [facet, facet === 'subject' ? Said : Type.Optional(Said)])), { additionalProperties: false })
export type FacetsAnswer = { subject: Said } & Partial<Record<Facet, Said>>

/** The phrases of one facet. */
export const phrasesOfFacet = (said: Said | undefined): string[] => (said === undefined ? [] : Array.isArray(said) ? said : [said]).map((text) => text.trim()).filter(Boolean)

/** A JSON object by facet. */
export const facets: AnswerShape<FacetsAnswer> = {
  schema: FacetsAnswer,
  says: 'An object by facet: subject, action, detail and the others, each a phrase or a list of phrases.',
  prose: (value) => FACETS.flatMap((facet) => phrasesOfFacet(value[facet])),
  cleaned: (value, clean) => Object.fromEntries(FACETS.flatMap((facet) => (value[facet] === undefined ? [] : [[facet, Array.isArray(value[facet]) ? value[facet].map(clean) : clean(value[facet])]]))) as FacetsAnswer,
}
