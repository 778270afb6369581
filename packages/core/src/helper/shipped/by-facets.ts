import { aCase, ENGINE, helper, LOCKED_AND_UNLIKE } from './shipped-helper.ts'

/** The draft as a JSON object by facet. */
export const byFacets = helper(
  'by-facets',
  {
    name: 'By facets',
    does: 'The draft as an object by facet, for engines and people who work that way.',
    answer: 'facets',
    inputs: [ENGINE],
    tags: ['engines'],
    instruction: `Put this prompt in order by facet.

{{ prompt }}

Its phrases as they were read:
{{ phrases }}

Give each facet that it says something of as a phrase or a list of phrases, in the prompt's own words. Add nothing.
${LOCKED_AND_UNLIKE}`,
  },
  [aCase('A sentence', 'An old beekeeper lifts a frame from the hive at dawn, in soft rim light, gouache', [{ kind: 'first-answer-valid' }, { kind: 'facets-present', facets: ['subject', 'action', 'moment', 'light', 'medium'] }])],
)
