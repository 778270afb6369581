import { Id, Sha256 } from '@idolon/contract'
import { madeWith } from '@idolon/core'
import { Type } from '@sinclair/typebox'
import express, { type IRouter } from 'express'
import sharp from 'sharp'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { demand } from '../http/validators.ts'
import { pictureOf } from '../proofs/references.ts'
import { metadataOf } from './metadata.ts'
import { keepPicture, pictureBytes, type PictureSize } from './store.ts'
import { NotAPicture } from './not-a-picture.ts'
import { MAX_PIXELS, takeIn } from './take-in.ts'

const Params = Type.Object({ sha256: Sha256 })
const ProofParams = Type.Object({ proof: Id })
/** What is shown as it is, and otherwise how large. */
const SHOWN = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/avif'])
const VIEW_BYTES = 3_000_000
const VIEW_EDGE = 1_600
/** Of one picture from outside. */
const MOST_BYTES = 60_000_000

/** Pictures by content: the address names the bytes, so they never change. */
export function pictureRoutes(router: IRouter, db: Database, engines: Engines): void {
  const serve = (path: string, which: PictureSize) => {
    router.get(path, async (request, response) => {
      demand(Params, request.params, 'path')
      const { sha256 } = request.params as { sha256: string }
      const etag = `"${sha256}-${which}"`
      response.set({ 'cache-control': 'private, max-age=31536000, immutable', etag })
      if (request.headers['if-none-match'] === etag) {
        response.status(304).end()
        return
      }
      const found = await pictureBytes(db, sha256, which)
      if (!found) throw notFound('picture')
      response.type(found.type).send(found.bytes)
    })
  }
  serve('/api/pictures/:sha256', 'bytes')
  serve('/api/pictures/:sha256/thumbnail', 'thumbnail')
  serve('/api/pictures/:sha256/small', 'small')

  // Large enough to look at, in a kind that every browser shows.
  router.get('/api/pictures/:sha256/view', async (request, response) => {
    demand(Params, request.params, 'path')
    const { sha256 } = request.params as { sha256: string }
    const found = await pictureBytes(db, sha256, 'bytes')
    if (!found) throw notFound('picture')
    response.set({ 'cache-control': 'private, max-age=31536000, immutable' })
    if (SHOWN.has(found.type) && found.bytes.length < VIEW_BYTES) response.type(found.type).send(found.bytes)
    else response.type('image/webp').send(await sharp(found.bytes, { limitInputPixels: MAX_PIXELS }).rotate().resize(VIEW_EDGE, VIEW_EDGE, { fit: 'inside', withoutEnlargement: true }).webp({ quality: 86, effort: 2 }).toBuffer())
  })

  // A proof may be named where its picture is not known.
  router.get('/api/proofs/:proof/thumbnail', async (request, response) => {
    demand(ProofParams, request.params, 'path')
    const sha256 = await pictureOf(db, (request.params as { proof: string }).proof)
    if (!sha256) throw notFound('picture')
    response.redirect(`/api/pictures/${sha256}/thumbnail`)
  })

  // The bytes of one picture as the body; the answer names it, and says what it tells of how it was made.
  router.post('/api/pictures', express.raw({ type: () => true, limit: MOST_BYTES }), async (request, response) => {
    const bytes: unknown = request.body
    if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw new ProblemError('not-a-picture', 'Nothing came with the request. Choose a picture and send it again.')
    try {
      const taken = await takeIn(bytes)
      await keepPicture(db, taken)
      const known = (await engines.list()).flatMap(({ profile }) => profile.settings.map(({ key, label }) => ({ key, label })))
      const { sha256, width, height } = taken
      response.status(201).json({ sha256, width, height, bytes: bytes.length, made: madeWith(await metadataOf(bytes), known) })
    } catch (error) {
      if (error instanceof NotAPicture) throw new ProblemError('not-a-picture', `That is no picture Idolon takes in: it is ${error.message}. Nothing was kept of it.`)
      throw error
    }
  })
}
