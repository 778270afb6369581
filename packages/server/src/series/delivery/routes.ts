import { Id } from '@idolon/contract'
import { captionsFile, shotList } from '@idolon/core'
import { Type } from '@sinclair/typebox'
import type { IRouter } from 'express'
import type { Database } from '../../database/connect.ts'
import { tellPassing } from '../../events/events.ts'
import { demand } from '../../http/validators.ts'
import { animaticHtml } from './animatic.ts'
import { type OutSeries, outSeries } from './delivered.ts'
import { bookPdf, contactPdf, contactPng, shotsPdf, type Step } from './documents.ts'
import { picturesZip, RATIO } from './pictures.ts'

interface Kind {
  type: string
  /** What the file is called after the series' name. */
  name: string
  make: (db: Database, series: OutSeries, step: Step, ratios: readonly string[]) => Promise<Buffer | string>
}
/** Everything that goes out of a series, by the end of its address. */
const KINDS: Readonly<Record<string, Kind>> = {
  'shots.csv': { type: 'text/csv; charset=utf-8', name: ' shot list.csv', make: (_db, { scenes }) => Promise.resolve(`\ufeff${shotList(scenes)}`) },
  'shots.pdf': { type: 'application/pdf', name: ' shot list.pdf', make: shotsPdf },
  'book.pdf': { type: 'application/pdf', name: ' prompts.pdf', make: bookPdf },
  'contact.pdf': { type: 'application/pdf', name: ' contact sheet.pdf', make: contactPdf },
  'contact.png': { type: 'image/png', name: ' contact sheet.png', make: contactPng },
  'animatic.html': { type: 'text/html; charset=utf-8', name: ' animatic.html', make: animaticHtml },
  'captions.vtt': { type: 'text/vtt; charset=utf-8', name: ' captions.vtt', make: (_db, { scenes }) => Promise.resolve(captionsFile(scenes)) },
  'pictures.zip': { type: 'application/zip', name: ' pictures.zip', make: (db, series, step, ratios) => picturesZip(db, series, ratios, step) },
}
const Params = Type.Object({ series: Id, what: Type.Union(Object.keys(KINDS).map((what) => Type.Literal(what))) })
const Query = Type.Object({ delivery: Type.Optional(Id), ratios: Type.Optional(Type.String({ pattern: `^(?:${RATIO.source.slice(1, -1)})(?:,(?:${RATIO.source.slice(1, -1)})){0,7}$` })) }, { additionalProperties: false })
/** A step is told no more often than this, in milliseconds. */
const TELL_EVERY = 400

/** What goes out of a series, as files. How far it is, is told as events that name the delivery. */
export function deliveryRoutes(router: IRouter, db: Database): void {
  router.get('/api/series/:series/delivery/:what', async (request, response) => {
    demand(Params, request.params, 'path')
    demand(Query, request.query, 'query')
    const { series: id, what } = request.params as { series: string; what: string }
    const { delivery, ratios } = request.query as { delivery?: string; ratios?: string }
    const kind = KINDS[what]!
    const series = await outSeries(db, id)
    let told = 0
    const step: Step = async (done, of) => {
      if (!delivery || (Date.now() - told < TELL_EVERY && done < of)) return
      told = Date.now()
      await tellPassing(db, { kind: 'delivery', deliveryId: delivery, done, of })
    }
    const file = await kind.make(db, series, step, ratios?.split(',') ?? [])
    response.attachment(`${series.name.replace(/[^\p{L}\p{N} -]+/gu, '').trim() || 'series'}${kind.name}`).type(kind.type).send(file)
  })
}
