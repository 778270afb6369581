import { Draft, Edit } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant } from './primitives.ts'
import { route } from './route.ts'

/** A change that was put aside for another try: an edit, with the draft it was an edit of. */
export const Aside = Type.Object({ id: Id, promptId: Id, says: Type.String({ maxLength: 1_000 }), base: Draft, edit: Edit, putAt: Instant }, { title: 'Aside' })
export type Aside = Static<typeof Aside>

const ofPrompt = Type.Object({ prompt: Id }, closed)
export const listAsides = route({ id: 'listAsides', method: 'get', path: '/api/prompts/:prompt/asides', summary: 'Changes put aside with a prompt, newest first.', params: ofPrompt, answer: Type.Array(Aside) })
export const putAside = route({
  id: 'putAside',
  method: 'post',
  path: '/api/prompts/:prompt/asides',
  summary: 'Puts changes aside, to be taken up again later. Each has the id given: sending it twice keeps it once.',
  params: ofPrompt,
  body: Type.Object({ base: Draft, asides: Type.Array(Type.Object({ id: Id, says: Type.String({ maxLength: 1_000 }), edit: Edit }, closed), { minItems: 1, maxItems: 200 }) }, closed),
  answer: Type.Array(Aside),
  status: 201,
})
export const dropAside = route({ id: 'dropAside', method: 'delete', path: '/api/asides/:aside', summary: 'Forgets a change that was put aside, since it was taken up or is wanted no more.', params: Type.Object({ aside: Id }, closed) })
