import { Draft, Edit } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText, Tag } from './primitives.ts'
import { Proof } from './proof.ts'
import { route } from './route.ts'

export const Status = Type.Union(
  [Type.Literal('rough'), Type.Literal('testing'), Type.Literal('proven'), Type.Literal('retired')],
  { title: 'Status' },
)
export type Status = Static<typeof Status>

const summary = {
  id: Id,
  projectId: Id,
  title: Type.String(),
  named: Type.Boolean({ description: 'False while the title is only the first words of the text.' }),
  excerpt: Type.String(),
  status: Status,
  tags: Type.Array(Tag),
  note: Type.String(),
  changedAt: Instant,
  versions: Type.Integer(),
  proofs: Type.Integer(),
  keepers: Type.Integer(),
  bestProof: orNull(Proof),
}

/** A row of the Shelf. */
export const PromptSummary = Type.Object(summary, { title: 'PromptSummary' })
export type PromptSummary = Static<typeof PromptSummary>

export const Prompt = Type.Object(
  {
    ...summary,
    bestProofId: orNull(Id),
    copiedFrom: orNull(Type.Object({ promptId: Id, title: Type.String(), version: orNull(Type.Integer()) })),
    template: orNull(Type.Object({ id: Id, name: Type.String(), behind: Type.Boolean({ description: 'Whether the template has changed since, and its change was neither taken nor left.' }) }, { description: 'What it was made from.' })),
    mergedInto: orNull(Type.Object({ id: Id, title: Type.String() })),
    deletedAt: orNull(Instant),
    draft: Draft,
    revision: Type.Integer({ minimum: 0 }),
    savedAt: Instant,
    parent: orNull(Type.Integer({ description: 'The version the draft goes on from.' })),
  },
  { title: 'Prompt' },
)
export type Prompt = Static<typeof Prompt>

/** Where a draft stands on the server. */
export const DraftState = Type.Object(
  { promptId: Id, revision: Type.Integer({ minimum: 0 }), savedAt: Instant },
  { title: 'DraftState' },
)
export type DraftState = Static<typeof DraftState>

const params = Type.Object({ prompt: Id }, closed)

export const createPrompt = route({
  id: 'createPrompt',
  method: 'post',
  path: '/api/prompts',
  summary: 'Makes a prompt: from nothing, or from another prompt, which it remembers.',
  body: Type.Object(
    {
      projectId: Id,
      title: Type.Optional(plainText(200)),
      from: Type.Optional(
        Type.Object({ promptId: Id, versionId: Type.Optional(Id) }, {
          ...closed,
          description: 'Without a version: the version of the best proof, else the newest, else the draft.',
        }),
      ),
      change: Type.Optional(Type.Object({ proof: Id, strength: Type.Integer({ minimum: 0, maximum: 100 }), text: Type.Optional(Type.String({ maxLength: 4_000 })) }, { ...closed, description: 'A change instruction: the draft says how to change this proof, which it starts from.' })),
    },
    closed,
  ),
  answer: Prompt,
  status: 201,
})
export const readPrompt = route({
  id: 'readPrompt',
  method: 'get',
  path: '/api/prompts/:prompt',
  summary: 'A prompt with its draft.',
  params,
  answer: Prompt,
})
export const changePrompt = route({
  id: 'changePrompt',
  method: 'patch',
  path: '/api/prompts/:prompt',
  summary: 'Changes what is known of a prompt, but not its draft.',
  params,
  body: Type.Object(
    {
      title: Type.Optional(plainText(200, { description: 'Empty: named by its first words again.' })),
      status: Type.Optional(Status),
      note: Type.Optional(plainText(10_000)),
      tags: Type.Optional(Type.Array(Tag, { maxItems: 60 })),
      bestProofId: Type.Optional(orNull(Id)),
    },
    closed,
  ),
  answer: Prompt,
})
export const deletePrompt = route({
  id: 'deletePrompt',
  method: 'delete',
  path: '/api/prompts/:prompt',
  summary: 'Puts a prompt in the bin.',
  params,
})
export const restorePrompt = route({
  id: 'restorePrompt',
  method: 'post',
  path: '/api/prompts/:prompt/restore',
  summary: 'Takes a prompt out of the bin.',
  params,
  answer: Prompt,
})
export const saveEdits = route({
  id: 'saveEdits',
  method: 'post',
  path: '/api/prompts/:prompt/edits',
  summary: 'Applies edits to the draft, in order. Sending the same edits twice applies them once.',
  params,
  body: Type.Object(
    {
      client: Id,
      first: Type.Integer({ minimum: 1, description: "The client's own number of the first edit; numbers run without gaps." }),
      base: Type.Integer({ minimum: 0, description: 'The revision the first edit was made on.' }),
      edits: Type.Array(Edit, { minItems: 1, maxItems: 500 }),
      goOnFrom: Type.Optional(Type.Integer({ minimum: 1, description: 'The version the draft now goes on from.' })),
    },
    closed,
  ),
  answer: DraftState,
})
