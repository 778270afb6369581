import { Mapping } from '@idolon/core'
import { type TSchema, Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText } from './primitives.ts'
import { route } from './route.ts'

/** A file that came in, from being read to being imported. */
export const Import = Type.Object(
  {
    id: Id,
    name: Type.String({ description: 'Of the file.' }),
    format: Type.Union([Type.Literal('csv'), Type.Literal('json'), Type.Literal('markdown'), Type.Literal('text'), Type.Literal('bundle')]),
    state: Type.Union([Type.Literal('read'), Type.Literal('asked'), Type.Literal('done'), Type.Literal('failed')]),
    columns: Type.Array(Type.Object({ name: Type.String(), sample: Type.String({ description: 'What stands first in it.' }) }), { description: 'None where prompts come whole.' }),
    rows: Type.Integer({ description: 'Prompts in it, before any is looked at.' }),
    mapping: Mapping,
    progress: Type.Integer({ description: 'Prompts written so far; none is there before all are.' }),
    made: orNull(Type.Integer({ description: 'Prompts that were imported.' })),
    tag: Type.String({ description: 'Given to all that came in; may be empty.' }),
    problem: orNull(Type.String()),
    at: Instant,
  },
  { title: 'Import' },
)
export type Import = Static<typeof Import>

const Listed = <T extends TSchema>(of: T) => Type.Object({ count: Type.Integer(), first: Type.Array(of, { description: 'The first hundred.' }) })
/** What would come in, what not, and why. */
export const ImportPreview = Type.Object(
  {
    coming: Type.Object({ count: Type.Integer(), first: Type.Array(Type.Object({ place: Type.String(), title: Type.String(), text: Type.String(), project: Type.String(), tags: Type.Array(Type.String()), says: Type.String({ description: 'What else comes with it, in words.' }) })) }),
    duplicates: Listed(Type.Object({ place: Type.String(), title: Type.String(), of: Type.Object({ promptId: orNull(Id), title: Type.String() }, { description: 'A prompt that is here, or a place in the same file.' }) })),
    rejected: Listed(Type.Object({ place: Type.String(), reason: Type.String() })),
    notes: Listed(Type.Object({ place: Type.String(), note: Type.String() })),
    beside: Type.Array(Type.String({ description: 'What comes in beside prompts, in words.' })),
  },
  { title: 'ImportPreview' },
)
export type ImportPreview = Static<typeof ImportPreview>

const params = Type.Object({ import: Id }, closed)
export const readImport = route({ id: 'readImport', method: 'get', path: '/api/imports/:import', summary: 'A file that came in, and how far it is.', params, answer: Import })
export const previewImport = route({ id: 'previewImport', method: 'post', path: '/api/imports/:import/preview', summary: 'What would come in with columns read so; nothing is imported yet.', params, body: Type.Object({ mapping: Mapping }, closed), answer: ImportPreview })
export const startImport = route({
  id: 'startImport',
  method: 'post',
  path: '/api/imports/:import/start',
  summary: 'Brings prompts in, all of them or none: into a project, or, without one, into those that the file names, which are made where they are missing.',
  params,
  body: Type.Object({ mapping: Mapping, project: orNull(Id), duplicates: Type.Boolean({ description: 'Whether duplicates come in too.' }), tag: plainText(60) }, closed),
  answer: Import,
})
export const deleteImport = route({ id: 'deleteImport', method: 'delete', path: '/api/imports/:import', summary: 'Deletes a file that came in; what was imported from it stays.', params })
