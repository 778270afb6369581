import { Type, type Static } from '@sinclair/typebox'
import { Facet } from '../facet.ts'

const closed = { additionalProperties: false } as const
const Words = Type.String({ minLength: 1, maxLength: 300, pattern: '^[^\\u0000\\n\\r]*$' })
/** Fewest and most examples that a writing style is learned from. */
export const MIN_EXAMPLES = 3
export const MAX_EXAMPLES = 20

/** How often a facet is said, and at what length. */
export const StyleFacet = Type.Object(
  {
    facet: Facet,
    share: Type.Number({ minimum: 0, maximum: 1, description: 'Of the examples that say it.' }),
    words: Type.Number({ minimum: 0, maximum: 200, description: 'Words it is said in, where it is.' }),
    joined: Type.Boolean({ description: 'Whether it follows what stands before it without a sign: “an owl on a post”.' }),
    terms: Type.Array(Words, { maxItems: 40, description: 'Favourite terms, the most frequent first.' }),
  },
  { title: 'StyleFacet', ...closed },
)
export type StyleFacet = Static<typeof StyleFacet>

/** A way of writing prompts, as it was learned and corrected. */
export const WritingStyleBody = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 120, pattern: '^[^\\u0000\\n]*$' }),
    style: Type.Union([Type.Literal('list'), Type.Literal('sentences')]),
    facets: Type.Array(StyleFacet, { maxItems: 12, description: 'In the order in which they are said; each once.' }),
    always: Type.Array(Type.Object({ text: Words, facet: Facet }, closed), { maxItems: 40, description: 'What every prompt of this writing style says, word for word.' }),
    words: Type.Object({ low: Type.Integer({ minimum: 1, maximum: 2_000 }), middle: Type.Integer({ minimum: 1, maximum: 2_000 }), high: Type.Integer({ minimum: 1, maximum: 2_000 }) }, { ...closed, description: 'Length: low and high hold four of five examples.' }),
    separator: Type.Union([Type.Literal(', '), Type.Literal('; '), Type.Literal('. '), Type.Literal(' | '), Type.Literal('\n')], { description: 'Between the parts of a list.' }),
    capital: Type.Boolean({ description: 'Whether a list begins with a capital.' }),
    stop: Type.Boolean({ description: 'Whether a list ends with a full stop.' }),
    examples: Type.Array(Type.String({ minLength: 1, maxLength: 20_000, pattern: '^[^\\u0000]*$' }), { maxItems: MAX_EXAMPLES }),
  },
  { title: 'WritingStyleBody', ...closed },
)
export type WritingStyleBody = Static<typeof WritingStyleBody>
