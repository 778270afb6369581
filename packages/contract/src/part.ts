import { FACETS, PartBody } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText } from './primitives.ts'
import { route } from './route.ts'

/** A character, place or style of a project in its newest version. */
export const Part = Type.Object(
  { id: Id, projectId: Id, version: Type.Integer({ minimum: 1 }), body: PartBody, scenes: Type.Integer({ description: 'Scenes it is used in, or, of a style, scenes of the series that are in it.' }), changedAt: Instant },
  { title: 'Part' },
)
export type Part = Static<typeof Part>

export const PartVersion = Type.Object({ number: Type.Integer({ minimum: 1 }), body: PartBody, why: Type.String(), madeAt: Instant }, { title: 'PartVersion' })
export type PartVersion = Static<typeof PartVersion>

const params = Type.Object({ part: Id }, closed)
const sound = 'A part that says what must never be said of it is refused, and so is one that changes in a respect its kind has not.'

export const listParts = route({ id: 'listParts', method: 'get', path: '/api/parts', summary: 'Characters, places and styles of a project, by name.', query: Type.Object({ project: Id }, closed), answer: Type.Array(Part) })
export const readPart = route({
  id: 'readPart',
  method: 'get',
  path: '/api/parts/:part',
  summary: 'A part with its versions, newest first, the series it is used in, and its sheets.',
  params,
  answer: Type.Object({
    part: Part,
    versions: Type.Array(PartVersion),
    series: Type.Array(Type.Object({ id: Id, name: Type.String(), scenes: Type.Integer() }), { description: 'The most scenes first.' }),
    sheets: Type.Array(Type.Object({ promptId: Id, title: Type.String() }), { description: 'Prompts that show it by itself, newest first.' }),
  }),
})
export const addPart = route({ id: 'addPart', method: 'post', path: '/api/parts', summary: `Adds a character, place or style to a project. It has the id given: sending it twice makes one. ${sound}`, body: Type.Object({ id: Id, projectId: Id, body: PartBody, why: plainText(2_000) }, closed), answer: Part, status: 201 })
export const savePartVersion = route({
  id: 'savePartVersion',
  method: 'post',
  path: '/api/parts/:part/versions',
  summary: `Freezes a new version of a part. Scenes have the old one until they take the new. Refused when there is a newer one than \`on\`. ${sound}`,
  params,
  body: Type.Object({ on: Type.Integer({ minimum: 1 }), body: PartBody, why: plainText(2_000) }, closed),
  answer: Part,
  status: 201,
})
/** What a sheet goes through; the first option of each stands in its text. */
const SheetLists = Type.Array(Type.Object({ name: Type.Union([Type.Literal('pose'), Type.Literal('expression'), Type.Literal('dress'), Type.Literal('angle')]), facet: Type.Union(FACETS.map((facet) => Type.Literal(facet))), options: Type.Array(Type.String()) }))
export const makeSheet = route({ id: 'makeSheet', method: 'post', path: '/api/parts/:part/sheet', summary: 'Makes the prompt of a character’s sheet: poses, expressions, dress and angles, to be tried as a trial plan.', params, body: Type.Object({ style: orNull(Id, { description: 'The style it is drawn in.' }) }, closed), answer: Type.Object({ promptId: Id }), status: 201 })
export const readSheetLists = route({ id: 'readSheetLists', method: 'get', path: '/api/parts/:part/sheet', summary: 'What a sheet of a character goes through.', params, answer: SheetLists })
export const deletePart = route({ id: 'deletePart', method: 'delete', path: '/api/parts/:part', summary: 'Puts a part in the bin. Texts that were composed from it stay as they are; scenes name it until it is taken out of them.', params })
