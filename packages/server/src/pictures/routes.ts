import { Sha256 } from '@idolon/contract'
import { Type } from '@sinclair/typebox'
import type { IRouter } from 'express'
import type { Database } from '../database/connect.ts'
import { notFound } from '../http/problem.ts'
import { demand } from '../http/validators.ts'
import { pictureBytes } from './store.ts'

const Params = Type.Object({ sha256: Sha256 })
const TYPES = { bytes: 'image/png', thumbnail: 'image/webp' } as const

/** Pictures by content: the address names the bytes, so they never change. */
export function pictureRoutes(router: IRouter, db: Database): void {
  const serve = (path: string, which: keyof typeof TYPES) => {
    router.get(path, async (request, response) => {
      demand(Params, request.params, 'path')
      const { sha256 } = request.params as { sha256: string }
      const etag = `"${sha256}-${which}"`
      response.set({ 'cache-control': 'private, max-age=31536000, immutable', etag })
      if (request.headers['if-none-match'] === etag) {
        response.status(304).end()
        return
      }
      const bytes = await pictureBytes(db, sha256, which)
      if (!bytes) throw notFound('picture')
      response.type(TYPES[which]).send(bytes)
    })
  }
  serve('/api/pictures/:sha256', 'bytes')
  serve('/api/pictures/:sha256/thumbnail', 'thumbnail')
}
