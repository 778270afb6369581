import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, plainText } from './primitives.ts'
import { PromptSummary, Status } from './prompt.ts'
import { route } from './route.ts'

export const TagCount = Type.Object({ tag: Type.String(), count: Type.Integer() }, { title: 'TagCount' })
export type TagCount = Static<typeof TagCount>

export const searchShelf = route({
  id: 'searchShelf',
  method: 'get',
  path: '/api/shelf',
  summary: 'Prompts of all projects: the best match first when words are given, else the last changed.',
  query: Type.Object(
    {
      q: Type.Optional(plainText(500)),
      project: Type.Optional(Id),
      tag: Type.Optional(plainText(60)),
      status: Type.Optional(Status),
      kept: Type.Optional(Type.Boolean({ description: 'Only prompts with a keeper.' })),
      limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
      offset: Type.Optional(Type.Integer({ minimum: 0 })),
    },
    closed,
  ),
  answer: Type.Object({
    rows: Type.Array(PromptSummary),
    total: Type.Integer(),
    read: Type.Array(Type.Object({ typed: Type.String(), as: Type.String() }), { description: 'Words taken for another spelling.' }),
  }),
})
export const listTags = route({
  id: 'listTags',
  method: 'get',
  path: '/api/tags',
  summary: 'All tags in use, the most used first.',
  query: Type.Object({ project: Type.Optional(Id) }, closed),
  answer: Type.Array(TagCount),
})
