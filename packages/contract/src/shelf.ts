import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, plainText, Tag } from './primitives.ts'
import { PromptSummary, Status } from './prompt.ts'
import { route } from './route.ts'

export const TagCount = Type.Object({ tag: Type.String(), count: Type.Integer() }, { title: 'TagCount' })
export type TagCount = Static<typeof TagCount>

/** A prompt that was found, and why. */
export const FoundPrompt = Type.Composite([PromptSummary, Type.Object({
    why: Type.Array(Type.String({ description: 'In words: where what was looked for stands.' })),
    family: Type.Union([Id, Type.Null()], { description: 'Of prompts that say the same in other words; null for one by itself.' }),
    alike: Type.Integer({ description: 'How many others that were found are of its family.' }),
  })], { title: 'FoundPrompt' })
export type FoundPrompt = Static<typeof FoundPrompt>

/** A template or a writing style that was found by its name or its words. */
export const FoundFrame = Type.Object({ kind: Type.Union([Type.Literal('template'), Type.Literal('writing-style')]), id: Id, name: Type.String() }, { title: 'FoundFrame' })
export type FoundFrame = Static<typeof FoundFrame>

const Day = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' })
const filters = {
  q: Type.Optional(plainText(500, { description: 'Words of text, title, tags and notes; or what a facet says, as in “light: rim light”.' })),
  by: Type.Optional(Type.Union([Type.Literal('words'), Type.Literal('meaning')], { description: 'By the words themselves, which is usual, or by what they mean.' })),
  project: Type.Optional(Id),
  tag: Type.Optional(plainText(60)),
  status: Type.Optional(Status),
  kept: Type.Optional(Type.Integer({ minimum: 0, maximum: 1_000_000, description: 'Only prompts with so many keepers or more.' })),
  tried: Type.Optional(Type.Boolean({ description: 'Only prompts with a picture, or only those without.' })),
  engine: Type.Optional(plainText(60)),
  colour: Type.Optional(plainText(20, { description: 'Of the best proof, by its plain name.' })),
  template: Type.Optional(Id),
  part: Type.Optional({ ...Id, description: 'A character, place or style that it says.' }),
  family: Type.Optional(Id),
  ids: Type.Optional(Type.String({ pattern: '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}(,[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}){0,199}$', description: 'Only these, at most two hundred, divided by commas.' })),
  each: Type.Optional(Type.Boolean({ description: 'Every prompt in a row of its own; else one stands for its family.' })),
  since: Type.Optional(Day),
  until: Type.Optional(Day),
}

export const searchShelf = route({
  id: 'searchShelf',
  method: 'get',
  path: '/api/shelf',
  summary: 'Prompts of all projects: the best match first when words are given, else the last changed.',
  query: Type.Object({ ...filters, limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })), offset: Type.Optional(Type.Integer({ minimum: 0 })) }, closed),
  answer: Type.Object({
    rows: Type.Array(FoundPrompt),
    total: Type.Integer({ description: 'Counted up to 1,000.' }),
    more: Type.Boolean({ description: 'Whether there are more than were counted.' }),
    read: Type.Array(Type.Object({ typed: Type.String(), as: Type.String() }), { description: 'Words taken for another spelling.' }),
    frames: Type.Array(FoundFrame, { description: 'templates and writing styles that have all the words; with the first rows only, and where nothing but words is asked.' }),
    unread: Type.Integer({ description: 'Prompts of which what is looked by is not worked out yet: what facets say, or what they mean; else 0.' }),
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
export const renameTag = route({
  id: 'renameTag',
  method: 'post',
  path: '/api/tags/rename',
  summary: 'Gives a tag another name, in a project or everywhere; where the name is in use already, the two become one. An empty name takes the tag away.',
  body: Type.Object({ from: Tag, to: plainText(60), project: Type.Optional(Id) }, closed),
  answer: Type.Object({ changed: Type.Array(Id, { description: 'The prompts that had the tag.' }) }),
})
export const changePrompts = route({
  id: 'changePrompts',
  method: 'post',
  path: '/api/prompts/change',
  summary: 'Changes many prompts at once, all of them or none: tags added and removed, status, project, or into the bin.',
  body: Type.Object(
    {
      prompts: Type.Array(Id, { minItems: 1, maxItems: 1_000 }),
      addTags: Type.Optional(Type.Array(Tag, { maxItems: 20 })),
      removeTags: Type.Optional(Type.Array(Tag, { maxItems: 60 })),
      status: Type.Optional(Status),
      project: Type.Optional(Id),
      deleted: Type.Optional(Type.Boolean()),
    },
    closed,
  ),
  answer: Type.Object({ changed: Type.Integer() }),
})

/** A search saved under a name, as its address has it. */
export const SavedSearch = Type.Object({ id: Id, name: Type.String(), query: Type.Record(Type.String({ maxLength: 20 }), Type.String({ maxLength: 500 })), savedAt: Instant }, { title: 'SavedSearch' })
export type SavedSearch = Static<typeof SavedSearch>
export const listSearches = route({ id: 'listSearches', method: 'get', path: '/api/searches', summary: 'Searches saved under a name.', answer: Type.Array(SavedSearch) })
export const saveSearch = route({ id: 'saveSearch', method: 'put', path: '/api/searches/:search', summary: 'Saves a search under a name.', params: Type.Object({ search: Id }, closed), body: Type.Object({ name: plainText(80, { minLength: 1 }), query: SavedSearch.properties.query }, closed), answer: SavedSearch })
export const deleteSearch = route({ id: 'deleteSearch', method: 'delete', path: '/api/searches/:search', summary: 'Deletes a saved search; the prompts stay.', params: Type.Object({ search: Id }, closed) })

/** A prompt in the line of copies that it comes from, or that came from it. */
export const Relative = Type.Object({ promptId: Id, title: Type.String(), projectId: Id, steps: Type.Integer({ description: 'Copies between; below 0 for what it came from.' }), proofs: Type.Integer(), keepers: Type.Integer() }, { title: 'Relative' })
export type Relative = Static<typeof Relative>
/** What a prompt has shown it can do. */
export const Evidence = Type.Object(
  {
    engines: Type.Array(Type.Object({ name: Type.String(), tried: Type.Integer(), kept: Type.Integer() })),
    lastUsed: Type.Union([Instant, Type.Null()], { description: 'When it was last tried.' }),
    family: Type.Array(Relative, { description: 'Ancestors first, nearest last; then offspring.' }),
  },
  { title: 'Evidence' },
)
export type Evidence = Static<typeof Evidence>
export const readEvidence = route({ id: 'readEvidence', method: 'get', path: '/api/prompts/:prompt/evidence', summary: 'Kept of tried by engine, when it was last used, what it came from and what came from it.', params: Type.Object({ prompt: Id }, closed), answer: Evidence })

/** A prompt that says the same as another, in other words or another order; or of which the writer has said that it is the same, or is not. */
export const NearPrompt = Type.Object(
  {
    promptId: Id,
    title: Type.String(),
    projectId: Id,
    score: Type.Union([Type.Number({ minimum: 0, maximum: 1 }), Type.Null()], { description: 'How much of what they say is the same; null where they are not one by what they say.' }),
    proofs: Type.Integer(),
    keepers: Type.Integer(),
    differences: Type.Array(Type.String({ description: 'What differs all the same, in words.' })),
    said: Type.Union([Type.Literal('same'), Type.Literal('other'), Type.Null()], { description: 'What the writer says of the two.' }),
    merged: Type.Boolean({ description: 'Whether it is merged into the other.' }),
  },
  { title: 'NearPrompt' },
)
export type NearPrompt = Static<typeof NearPrompt>
const ofPrompt = Type.Object({ prompt: Id }, closed)
const Others = Type.Array(Id, { minItems: 1, maxItems: 200 })
const Changed = Type.Object({ changed: Type.Integer() })
export const readNear = route({ id: 'readNear', method: 'get', path: '/api/prompts/:prompt/near', summary: 'Prompts that are one with a prompt’s draft in other words or another order, of the same subject, number, place and medium; the most alike first.', params: ofPrompt, answer: Type.Array(NearPrompt) })
export const saySame = route({
  id: 'saySame',
  method: 'post',
  path: '/api/prompts/:prompt/same',
  summary: 'Says of other prompts that they are the same as one, or are not, whatever they say; or leaves it to what they say.',
  params: ofPrompt,
  body: Type.Object({ prompts: Others, as: Type.Union([Type.Literal('same'), Type.Literal('other'), Type.Null()]) }, closed),
  answer: Changed,
})
export const mergePrompts = route({
  id: 'mergePrompts',
  method: 'post',
  path: '/api/prompts/:prompt/merge',
  summary: 'Merges others into a prompt: it gets their tags and notes, and what they have shown counts for it. They stay as they are beneath it.',
  params: ofPrompt,
  body: Type.Object({ prompts: Others }, closed),
  answer: Changed,
})
export const unmergePrompt = route({ id: 'unmergePrompt', method: 'post', path: '/api/prompts/:prompt/unmerge', summary: 'Takes a prompt out of the one it was merged into.', params: ofPrompt })
