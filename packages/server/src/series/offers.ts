import type { SceneOffer, Series } from '@idolon/contract'
import { applyEdit, type Draft, isEmptyEdit, type PartBody, partMarks } from '@idolon/core'
import { followed, type Following, followPart, type PartNow } from '@idolon/core/reader'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { draftRow, writeDraft } from '../drafts/store.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound } from '../http/problem.ts'
import { partBodies } from '../parts/store.ts'
import { Composer, recomposed } from './composer.ts'
import { leftOf, sceneRows, type SceneRow, seriesRow, silentParts, staleScenes, variantsOf, versionsUsed, wholeSeries } from './store.ts'

/** What newer versions of characters, places and styles change in the scenes they are in. */
export class SceneOffers {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  /** What the newest versions would change, scene by scene; `instead` has a part say something that is not kept yet. */
  async list(seriesId: string, instead?: { part: string; body: PartBody }): Promise<SceneOffer[]> {
    const series = await seriesRow(this.db, seriesId)
    if (!series) throw notFound('series')
    const [rows, composer] = await Promise.all([sceneRows(this.db, { series: seriesId }), Composer.of(this.db, this.engines, series.project_id)])
    const stale = await staleScenes(this.db, rows)
    const parts = new Map(composer.parts)
    const now = instead && parts.get(instead.part)
    if (instead && now) parts.set(instead.part, { ...now, version: now.version + 1, body: instead.body })
    const pairs = rows.flatMap((row) => [...versionsUsed(row.draft)].filter(([part, number]) => (!instead || part === instead.part) && (parts.get(part)?.version ?? number) > number && (instead !== undefined || (row.parts_left[part] ?? 0) < parts.get(part)!.version)).map(([part, number]) => ({ row, part, number })))
    const bodies = await partBodies(this.db, pairs.map(({ part, number }) => [part, number] as const))
    const silent = rows.flatMap((row) => silentParts(row, series.style, parts).filter((part) => (!instead || part === instead.part) && (instead !== undefined || (row.parts_left[part] ?? 0) < parts.get(part)!.version)).map((part) => ({ row, part })))
    const stales = ({ id, draft }: SceneRow, after: Draft) => stale.get(id) === false && (after.text !== draft.text || besides(draft, after).length > 0)
    const spoken = silent.flatMap(({ row, part }): SceneOffer[] => {
      const after = recomposed(row.composed, composer.compose(row.body, series.style, parts).draft, row.draft)
      if (!after || after.text === row.draft.text) return []
      const said = partMarks(after.marks).filter(({ source }) => source.id === part).map(({ from, to }) => after.text.slice(from, to))
      return [{ sceneId: row.id, partId: part, revision: row.revision, changed: said.map((text) => ({ before: '', after: text })), besides: besides(row.draft, after), overrides: [], text: after.text, stales: stales(row, after) }]
    })
    const followedOffers = pairs.flatMap(({ row, part, number }): SceneOffer[] => {
      const body = bodies.get(`${part} ${number}`)
      if (!body) return []
      const following = this.#following(composer, row.draft, row, { id: part, number, body }, parts.get(part)!)
      const after = followed(row.draft, following)
      if (!after) return []
      return [{ sceneId: row.id, partId: part, revision: row.revision, changed: following.changed, besides: besides(row.draft, after), overrides: following.overrides, text: after.text, stales: stales(row, after) }]
    })
    return [...spoken, ...followedOffers]
  }

  #following(composer: Composer, draft: Draft, { body: scene, left_out }: SceneRow, was: { id: string; number: number; body: PartBody }, now: PartNow): Following {
    const variants = variantsOf(scene, was.id)
    return followPart(draft, { id: was.id, before: { version: was.number, body: was.body, variants }, now: { version: now.version, body: now.body, variants }, left: leftOf(left_out, was.id) }, composer.reader.words)
  }

  /** Writes what is taken into the drafts that are still at the revision it was offered for; nothing that was kept is altered. */
  async take(actor: Actor, seriesId: string, { take, leave }: { take: { sceneId: string; partId: string; revision: number }[]; leave: { sceneId: string; partId: string }[] }): Promise<{ taken: number; passedOver: string[]; series: Series }> {
    const series = await seriesRow(this.db, seriesId)
    if (!series) throw notFound('series')
    const composer = await Composer.of(this.db, this.engines, series.project_id)
    const rows = new Map((await sceneRows(this.db, { series: seriesId })).map((row) => [row.id, row]))
    let taken = 0
    const passedOver: string[] = []
    for (const sceneId of new Set(take.map((one) => one.sceneId))) {
      const row = rows.get(sceneId)
      if (!row) continue
      const list = take.filter((one) => one.sceneId === sceneId)
      const done = await this.#takeInto(actor, composer, row, list, series.style)
      if (done) taken += list.length
      else passedOver.push(row.body.beat || `Scene ${row.place + 1}`)
    }
    for (const { sceneId, partId } of leave) {
      const version = composer.parts.get(partId)?.version
      if (rows.has(sceneId) && version) await this.db('scenes').where({ id: sceneId }).update({ parts_left: this.db.raw(`parts_left || jsonb_build_object(?::text, ?::int)`, [partId, version]) })
    }
    await this.db.transaction((trx) => recordEvent(trx, { kind: 'series', seriesId, projectId: series.project_id }))
    return { taken, passedOver, series: (await wholeSeries(this.db, seriesId))! }
  }

  async #takeInto(actor: Actor, composer: Composer, row: SceneRow, list: readonly { partId: string; revision: number }[], style: string | null): Promise<boolean> {
    const draft = await draftRow(this.db, row.prompt_id)
    if (!draft || list.some(({ revision }) => revision !== draft.revision)) return false
    const used = versionsUsed(draft.body)
    const wanted = list.flatMap(({ partId }) => (used.has(partId) ? [[partId, used.get(partId)!] as const] : []))
    const bodies = await partBodies(this.db, wanted)
    let body = draft.body
    for (const [part, number] of wanted) {
      const was = bodies.get(`${part} ${number}`)
      const now = composer.parts.get(part)
      if (!was || !now) continue
      const { edit } = this.#following(composer, body, row, { id: part, number, body: was }, now)
      if (!isEmptyEdit(edit)) body = applyEdit(body, edit)
    }
    // Parts that had said nothing are composed in.
    if (list.some(({ partId }) => !used.has(partId))) body = recomposed(row.composed, composer.compose(row.body, style).draft, body) ?? body
    if (body !== draft.body && !(await writeDraft(this.db, row.prompt_id, draft.revision, { body, revision: draft.revision + 1, clients: draft.clients, parent: null, client: actor.id }))) return false
    const composed = composer.compose(row.body, style)
    await this.db('scenes').where({ id: row.id }).update({ composed: JSON.stringify(composed.draft), left_out: JSON.stringify(composed.left) })
    return true
  }
}

/** What changes beside the words. */
const besides = (before: Draft, after: Draft): SceneOffer['besides'] => [
  ...(JSON.stringify(before.references) === JSON.stringify(after.references) ? [] : ['reference pictures' as const]),
  ...(before.leaveOut.join('\n') === after.leaveOut.join('\n') ? [] : ['leave-out list' as const]),
]
