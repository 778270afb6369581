import { WritingStyleBody } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull } from './primitives.ts'
import { route } from './route.ts'

/** A way of writing, learned from examples and corrected; for a project or for all. */
export const WritingStyle = Type.Object({ id: Id, projectId: orNull(Id), body: WritingStyleBody, savedAt: Instant }, { title: 'WritingStyle' })
export type WritingStyle = Static<typeof WritingStyle>

const params = Type.Object({ writingStyle: Id }, closed)
export const listWritingStyles = route({ id: 'listWritingStyles', method: 'get', path: '/api/writing-styles', summary: 'Writing styles of a project and those for all, or all there are, the last saved first.', query: Type.Object({ project: Type.Optional(Id) }, closed), answer: Type.Array(WritingStyle) })
export const saveWritingStyle = route({ id: 'saveWritingStyle', method: 'put', path: '/api/writing-styles/:writingStyle', summary: 'Keeps a writing style, new or corrected. It has the id given.', params, body: Type.Object({ projectId: orNull(Id), body: WritingStyleBody }, closed), answer: WritingStyle })
export const deleteWritingStyle = route({ id: 'deleteWritingStyle', method: 'delete', path: '/api/writing-styles/:writingStyle', summary: 'Puts a writing style in the bin.', params })
