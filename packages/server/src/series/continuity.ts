import type { AnswerOf, readContinuity } from '@idolon/contract'
import { shownText, type Slip } from '@idolon/core'
import { continuityOf, type PictureSeen, type SeenScene } from '@idolon/core/reader'
import type { Database } from '../database/connect.ts'
import { notFound } from '../http/problem.ts'
import { partsNow } from '../parts/store.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { readingsOf } from '../references/rows.ts'
import { askForReading } from '../references/service.ts'
import { sceneRows, seriesRow } from './store.ts'

/** Where a series does not hold together. Chosen proofs that nobody has read yet are asked to be; until then only words are held against words. */
export async function continuity(db: Database, id: string): Promise<AnswerOf<typeof readContinuity>> {
  const series = await seriesRow(db, id)
  if (!series) throw notFound('series')
  const [rows, parts, reader] = await Promise.all([sceneRows(db, { series: id }), partsNow(db, series.project_id), promptReader()])
  const chosen = rows.flatMap(({ chosen: proof }) => proof ?? [])
  const pictures = new Map((await db('proofs').whereIn('id', chosen).whereNotNull('picture').select<{ id: string; picture: string }[]>('id', 'picture')).map((one) => [one.id, one.picture]))
  const readings = await readingsOf(db, [...pictures.values()])
  const unread = [...new Set(pictures.values())].filter((picture) => !readings.has(picture))
  for (const picture of unread) await db.transaction((trx) => askForReading(trx, picture))
  // The whole story is read, so that pronouns are followed from scene to scene.
  const starts = [...new Set(rows.flatMap(({ story_start: start }) => start ?? []))].sort((a, b) => a - b)
  const told = starts.length ? reader.scenes(series.story, starts).scenes : []
  const scenes = rows.map(({ body, draft, chosen: proof, story_start: start, story_end: end }): SeenScene => {
    const own = start === null ? undefined : told.find((scene) => scene.start <= start + 2 && scene.end > start)
    const picture = proof ? pictures.get(proof) : undefined
    const reading = picture ? readings.get(picture) : undefined
    const seen: PictureSeen | null = reading ? { palette: reading.palette, key: reading.key, medium: reading.medium } : null
    return { body, draft, shown: shownText(draft), story: own && start !== null && end !== null ? { text: series.story.slice(start, end), cast: own.cast, moment: own.moment?.text ?? null, carried: own.moment?.carried ?? false } : null, picture: seen }
  })
  const slips: Slip[] = continuityOf({ scenes, parts, style: series.style })
  return { slips: slips.map(({ scene, against, ...slip }) => ({ ...slip, sceneId: rows[scene]!.id, revision: rows[scene]!.revision, ...(against === undefined ? {} : { againstId: rows[against]!.id }) })), unread: unread.length }
}
