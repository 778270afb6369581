import type { Series, SeriesSummary, StorySplit } from '@idolon/contract'
import { changesBetween, type TextChange } from '@idolon/core'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { demandOpenProject } from '../projects/open-project.ts'
import { Composer } from './composer.ts'
import { recompose } from './recompose.ts'
import { sceneRows, type SeriesRow, seriesIn, seriesRow, wholeSeries } from './store.ts'

/** Stories told in scenes. */
export class SeriesService {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  list(project?: string): Promise<SeriesSummary[]> {
    return seriesIn(this.db, project)
  }

  async read(id: string): Promise<Series> {
    const series = await wholeSeries(this.db, id)
    if (!series) throw notFound('series')
    return series
  }

  async split(story: string, starts?: readonly number[]): Promise<StorySplit> {
    const { scenes, cast } = (await promptReader()).scenes(story, starts)
    const said = (told: { text: string; carried: boolean } | null) => told && { text: told.text, carried: told.carried }
    return { scenes: scenes.map(({ start, end, text, beat, cast: own, place, moment }) => ({ start, end, text, beat, cast: own, place: said(place), moment: said(moment) })), cast }
  }

  async add(actor: Actor, { id, projectId, name, story }: { id: string; projectId: string; name: string; story: string }): Promise<Series> {
    await demandOpenProject(this.db, projectId)
    await this.db.transaction(async (trx) => {
      await trx('series').insert({ id, project_id: projectId, name: name.trim(), story, made_by: actor.id }).onConflict('id').ignore()
      await recordEvent(trx, { kind: 'series', seriesId: id, projectId })
    })
    return this.read(id)
  }

  async change(actor: Actor, id: string, change: { revision: number; name?: string; story?: string; style?: string | null; order?: string[] }): Promise<Series> {
    const restyled = await this.db.transaction(async (trx) => {
      const row = await seriesRow(trx, id, true)
      if (!row) throw notFound('series')
      const { name, story, style, order } = change
      if ((story !== undefined || order !== undefined) && change.revision !== row.revision) throw new ProblemError('draft-moved', 'This series was changed elsewhere meanwhile. What you wrote is still here: copy it, read the series again, and put it in.')
      if (style && !(await trx('parts').where({ id: style, project_id: row.project_id, kind: 'style' }).whereNull('deleted_at').first('id'))) throw notFound('style of this project')
      if (story !== undefined && story !== row.story) await this.#takePassagesAlong(trx, row, story)
      if (order) await this.#order(trx, id, order)
      const moved = (story !== undefined && story !== row.story) || order !== undefined
      await trx('series').where({ id }).update({ ...(name === undefined ? {} : { name: name.trim() }), ...(story === undefined ? {} : { story }), ...(style === undefined ? {} : { style }), ...(moved ? { revision: row.revision + 1 } : {}), changed_at: trx.fn.now() })
      await recordEvent(trx, { kind: 'series', seriesId: id, projectId: row.project_id })
      return style !== undefined && style !== row.style ? row.project_id : undefined
    })
    if (restyled !== undefined) {
      const composer = await Composer.of(this.db, this.engines, restyled)
      for (const scene of await sceneRows(this.db, { series: id })) await recompose(this.db, actor, composer, scene, scene.body, change.style ?? null)
    }
    return this.read(id)
  }

  /** Every passage moves with its words; what was rewritten in it marks its scene. */
  async #takePassagesAlong(trx: Knex.Transaction, { id, story: before }: SeriesRow, story: string): Promise<void> {
    const changes = changesBetween(before, story)
    for (const scene of await sceneRows(trx, { series: id })) {
      if (scene.story_start === null || scene.story_end === null) continue
      const passage = { start: scene.story_start, end: scene.story_end }
      const moved = movedPassage(passage, changes)
      await trx('scenes').where({ id: scene.id }).update({ story_start: moved?.start ?? null, story_end: moved?.end ?? null, ...(touches(passage, changes) ? { touched: true } : {}) })
    }
  }

  async #order(trx: Knex.Transaction, id: string, order: readonly string[]): Promise<void> {
    const rows = await trx('scenes').where({ series_id: id }).whereNull('deleted_at').select<{ id: string }[]>('id')
    const known = new Set(rows.map((row) => row.id))
    if (order.length !== known.size || new Set(order).size !== order.length || order.some((one) => !known.has(one))) throw new ProblemError('draft-moved', 'The scenes of this series were changed elsewhere meanwhile. Nothing was moved; read the series again.')
    for (const [place, scene] of order.entries()) await trx('scenes').where({ id: scene }).update({ place })
  }

  async delete(_actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const row = await seriesRow(trx, id, true)
      if (!row) throw notFound('series')
      await trx('series').where({ id }).update({ deleted_at: trx.fn.now() })
      await trx('prompts').whereNull('deleted_at').whereIn('id', trx('scenes').where({ series_id: id }).whereNull('deleted_at').select('prompt_id')).update({ deleted_at: trx.fn.now() })
      await recordEvent(trx, { kind: 'series', seriesId: id, projectId: row.project_id })
      await recordEvent(trx, { kind: 'prompt', projectId: row.project_id })
      await recordEvent(trx, { kind: 'bin' })
    })
  }
}

/** Whether a change of the story rewrites something within a passage. */
const touches = ({ start, end }: { start: number; end: number }, changes: readonly TextChange[]): boolean => changes.some(({ from, to, insert }) => (from < end && to > start) || (from === to && from > start && from < end && insert !== ''))

/** Where a passage is after the story was changed; undefined where nothing is left of it. What is written at its edges stays outside. */
function movedPassage({ start, end }: { start: number; end: number }, changes: readonly TextChange[]): { start: number; end: number } | undefined {
  const place = (at: number, side: -1 | 1): number => {
    let shift = 0
    for (const { from, to, insert } of changes) {
      if (to < at || (to === at && (side === 1 || from < to))) shift += insert.length - (to - from)
      else if (from < at) return from + shift + insert.length
      else break
    }
    return at + shift
  }
  const moved = { start: place(start, 1), end: place(end, -1) }
  return moved.end > moved.start ? moved : undefined
}
