import { bundleSchema } from '@idolon/contract'
import type { IRouter } from 'express'
import { ZipAnswer } from '../archive/zip-writing.ts'
import type { Database } from '../database/connect.ts'
import { ProblemError } from '../http/problem.ts'
import { askedIds } from '../shelf/take-out.ts'
import type { ShelfSearch } from '../shelf/search.ts'
import { BUNDLE_FILE } from './bundle-file.ts'
import { gather } from './gather.ts'

/** Prompts in one bundle; a thousand with twenty pictures each fill a gigabyte. */
const MOST = 1_000
/** Archives beyond this need a later form of ZIP that is not written here. */
const MOST_BYTES = 2_000_000_000


/** What a search finds as a bundle, and the schema that its JSON follows. */
export function bundleRoutes(router: IRouter, db: Database, search: ShelfSearch): void {
  router.get('/api/bundle-schema.json', (_request, response) => {
    response.json(bundleSchema)
  })
  router.get('/api/shelf.bundle.zip', async (request, response) => {
    const ids = await askedIds(search, request, MOST + 1)
    if (ids.length > MOST) throw new ProblemError('too-large', `A bundle holds at most ${MOST.toLocaleString('en')} prompts. Narrow the search, or choose some of them.`)
    const bundle = await gather(db, ids)
    const { rows } = await db.raw<{ rows: { size: number }[] }>('select coalesce(sum(size), 0)::bigint as size from pictures where sha256 = any(?::text[])', [bundle.pictures.map(({ sha256 }) => sha256)])
    if ((rows[0]?.size ?? 0) > MOST_BYTES) throw new ProblemError('too-large', `The pictures of these prompts are more than ${MOST_BYTES / 1e9} GB together. Export them in several bundles.`)
    const zip = new ZipAnswer(response, 'prompts.bundle.zip')
    await zip.add(BUNDLE_FILE, JSON.stringify(bundle, null, 1))
    for (const { sha256, file } of bundle.pictures) {
      const picture = await db('pictures').where({ sha256 }).first<{ bytes: Buffer }>('bytes')
      await zip.add(file, picture.bytes)
    }
    zip.end()
  })
}
