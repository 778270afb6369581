import { MannerBody } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull } from './primitives.ts'
import { route } from './route.ts'

/** A way of writing, learned from examples and corrected; for a project or for all. */
export const Manner = Type.Object({ id: Id, projectId: orNull(Id), body: MannerBody, savedAt: Instant }, { title: 'Manner' })
export type Manner = Static<typeof Manner>

const params = Type.Object({ manner: Id }, closed)
export const listManners = route({ id: 'listManners', method: 'get', path: '/api/manners', summary: 'Manners of a project and those for all, or all there are, the last saved first.', query: Type.Object({ project: Type.Optional(Id) }, closed), answer: Type.Array(Manner) })
export const saveManner = route({ id: 'saveManner', method: 'put', path: '/api/manners/:manner', summary: 'Keeps a manner, new or corrected. It has the id given.', params, body: Type.Object({ projectId: orNull(Id), body: MannerBody }, closed), answer: Manner })
export const deleteManner = route({ id: 'deleteManner', method: 'delete', path: '/api/manners/:manner', summary: 'Puts a manner in the bin.', params })
