import { GlossaryEntry } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, orNull, plainText } from './primitives.ts'
import { PromptSummary } from './prompt.ts'
import { route } from './route.ts'

/** A term that the writer added or corrected, for one project or for all. */
export const OwnTerm = Type.Object({ id: Id, projectId: orNull(Id), entry: GlossaryEntry }, { title: 'OwnTerm' })
export type OwnTerm = Static<typeof OwnTerm>

const project = Type.Object({ project: Type.Optional(Id) }, closed)
const params = Type.Object({ term: Id }, closed)

export const listTerms = route({
  id: 'listTerms',
  method: 'get',
  path: '/api/terms',
  summary: 'Own terms for all projects, and with a project those of it; kept apart from what ships.',
  query: project,
  answer: Type.Array(OwnTerm),
})
export const addTerms = route({
  id: 'addTerms',
  method: 'post',
  path: '/api/terms',
  summary: 'Adds terms, all or none; one that is there already, by facet and name, is replaced.',
  body: Type.Object({ projectId: orNull(Id), entries: Type.Array(GlossaryEntry, { minItems: 1, maxItems: 5_000 }) }, closed),
  answer: Type.Array(OwnTerm),
})
export const removeTerm = route({
  id: 'removeTerm',
  method: 'delete',
  path: '/api/terms/:term',
  summary: 'Removes an own term; the shipped one of its name, if there is one, holds again.',
  params,
})
export const promptsThatSay = route({
  id: 'promptsThatSay',
  method: 'get',
  path: '/api/terms/prompts',
  summary: 'Prompts whose draft says any of some words, whole and in any case, the last changed first.',
  query: Type.Object({ words: plainText(1_000, { minLength: 1, description: 'Ways to write a term, separated by line ends.' }), project: Type.Optional(Id) }, closed),
  answer: Type.Object({ rows: Type.Array(PromptSummary), total: Type.Integer() }),
})
