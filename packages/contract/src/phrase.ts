import { Facet } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, orNull, plainText } from './primitives.ts'
import { route } from './route.ts'

/** A phrase that a project has: kept by the writer, or said by one of its proven prompts. */
export const ProjectPhrase = Type.Object(
  {
    id: orNull(Id),
    text: Type.String(),
    facet: Facet,
    from: orNull(Type.Object({ promptId: Id, title: Type.String(), keepers: Type.Integer() })),
  },
  { title: 'ProjectPhrase', description: 'A kept phrase has an id; one from a prompt says from which.' },
)
export type ProjectPhrase = Static<typeof ProjectPhrase>

const params = Type.Object({ project: Id }, closed)

export const listPhrases = route({
  id: 'listPhrases',
  method: 'get',
  path: '/api/projects/:project/phrases',
  summary: 'Phrases of the project: those that were kept, newest first, then those of proven prompts and prompts with keepers, most kept pictures first.',
  params,
  answer: Type.Array(ProjectPhrase),
})
export const keepPhrase = route({
  id: 'keepPhrase',
  method: 'post',
  path: '/api/projects/:project/phrases',
  summary: 'Keeps a phrase among the project’s own. One that is kept already stays as it is.',
  params,
  body: Type.Object({ text: plainText(300, { minLength: 1 }), facet: Facet }, closed),
  answer: ProjectPhrase,
})
export const removePhrase = route({
  id: 'removePhrase',
  method: 'delete',
  path: '/api/projects/:project/phrases/:phrase',
  summary: 'No longer keeps a phrase.',
  params: Type.Object({ project: Id, phrase: Id }, closed),
})

/** How many proofs of versions that say a phrase were kept, of those that got a verdict, on one engine. */
export const PhraseCount = Type.Object({ phrase: Type.String(), engine: Type.String(), revision: Type.String(), kept: Type.Integer(), tried: Type.Integer() }, { title: 'PhraseCount' })
export type PhraseCount = Static<typeof PhraseCount>
export const countPhrases = route({
  id: 'countPhrases',
  method: 'post',
  path: '/api/projects/:project/phrase-counts',
  summary: 'Kept of tried for phrases, by engine, over all prompts of a project. Case, articles and punctuation make no difference.',
  params: Type.Object({ project: Id }, closed),
  body: Type.Object({ phrases: Type.Array(Type.String({ maxLength: 2_000 }), { maxItems: 300 }) }, closed),
  answer: Type.Array(PhraseCount),
  status: 200,
})
