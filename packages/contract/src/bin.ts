import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, Sha256 } from './primitives.ts'
import { route } from './route.ts'

export const BinKind = Type.Union([Type.Literal('prompt'), Type.Literal('proof'), Type.Literal('phrase'), Type.Literal('term'), Type.Literal('engine'), Type.Literal('model'), Type.Literal('helper'), Type.Literal('reference'), Type.Literal('template'), Type.Literal('writing-style'), Type.Literal('part'), Type.Literal('series'), Type.Literal('scene')], { title: 'BinKind' })
export type BinKind = Static<typeof BinKind>

/** Something deleted. It stays for 30 days at least, and then until it is removed by hand. */
export const BinEntry = Type.Object(
  {
    kind: BinKind,
    id: Id,
    name: Type.String(),
    project: orNull(Type.String()),
    deletedAt: Instant,
    picture: orNull(Sha256),
    removable: Type.Boolean({ description: 'Whether it has lain here for 30 days and may be deleted for good.' }),
  },
  { title: 'BinEntry' },
)
export type BinEntry = Static<typeof BinEntry>

const params = Type.Object({ kind: BinKind, id: Id }, closed)
export const listBin = route({ id: 'listBin', method: 'get', path: '/api/bin', summary: 'Everything that was deleted, newest first.', answer: Type.Array(BinEntry) })
export const restoreFromBin = route({ id: 'restoreFromBin', method: 'post', path: '/api/bin/:kind/:id/restore', summary: 'Takes something out of the bin to where it was.', params })
export const deleteForGood = route({ id: 'deleteForGood', method: 'delete', path: '/api/bin/:kind/:id', summary: 'Removes something that has lain in the bin for 30 days. What was spent on it stays in the ledger.', params })
