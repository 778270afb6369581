import { MAX_SERIES_SCENES, type Series } from '@idolon/contract'
import { blankScene, type SceneBody } from '@idolon/core'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { insertPrompt } from '../prompts/store.ts'
import { Composer } from './composer.ts'
import { recompose } from './recompose.ts'
import { sceneRows, type SeriesRow, seriesRow, wholeSeries } from './store.ts'

interface NewScene {
  id: string
  body: SceneBody
  story: { start: number; end: number } | null
}
interface SceneChange {
  body?: SceneBody
  story?: { start: number; end: number } | null
  chosen?: string | null
  seen?: true
  anew?: true
}

/** The scenes of series: added, changed, split, joined, doubled and taken out. */
export class Scenes {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  async add(actor: Actor, seriesId: string, { after, scenes }: { after: string | null; scenes: readonly NewScene[] }): Promise<Series> {
    const series = await this.#series(seriesId)
    const composer = await Composer.of(this.db, this.engines, series.project_id)
    await this.#changed(series, async (trx) => {
      const rows = await trx('scenes').where({ series_id: seriesId }).whereNull('deleted_at').orderBy('place').select<{ id: string; place: number }[]>('id', 'place')
      if (rows.length + scenes.length > MAX_SERIES_SCENES) throw new ProblemError('too-large', `A series has up to ${MAX_SERIES_SCENES} scenes; this one would have ${rows.length + scenes.length}. Nothing was added.`)
      const at = after === null ? rows.length : rows.findIndex(({ id }) => id === after) + 1
      if (after !== null && at === 0) throw notFound('scene')
      const fresh: string[] = []
      for (const scene of scenes) {
        if (await trx('scenes').where({ id: scene.id }).first('id')) continue
        await this.#insert(trx, actor, series, composer, scene)
        fresh.push(scene.id)
      }
      const order = [...rows.slice(0, at).map(({ id }) => id), ...fresh, ...rows.slice(at).map(({ id }) => id)]
      for (const [place, id] of order.entries()) await trx('scenes').where({ id }).update({ place })
    })
    return this.#whole(seriesId)
  }

  async #insert(trx: Knex.Transaction, actor: Actor, series: SeriesRow, composer: Composer, { id, body, story }: NewScene): Promise<void> {
    const { draft, left } = composer.compose(body, series.style)
    const promptId = randomUUID()
    await insertPrompt(trx, { id: promptId, projectId: series.project_id, title: titleOf(series, body), draft, tags: [], copiedFrom: null, createdBy: actor.id })
    await trx('scenes').insert({ id, series_id: series.id, place: 100_000, prompt_id: promptId, body: JSON.stringify(body), story_start: story?.start ?? null, story_end: story?.end ?? null, composed: JSON.stringify(draft), left_out: JSON.stringify(left) })
  }

  async change(actor: Actor, id: string, change: SceneChange): Promise<Series> {
    const [scene] = await sceneRows(this.db, { scene: id })
    if (!scene) throw notFound('scene')
    const series = await this.#series(scene.series_id)
    if (change.chosen && !(await this.db('proofs').where({ id: change.chosen, prompt_id: scene.prompt_id, state: 'stored' }).whereNull('deleted_at').first('id'))) throw notFound('proof of this scene')
    const body = change.body ?? scene.body
    await this.#changed(series, async (trx) => {
      await trx('scenes')
        .where({ id })
        .update({
          body: JSON.stringify(body),
          ...(change.story === undefined ? {} : { story_start: change.story?.start ?? null, story_end: change.story?.end ?? null }),
          ...(change.chosen === undefined ? {} : { chosen: change.chosen }),
          ...(change.seen ? { touched: false } : {}),
        })
      // The prompt is called what the scene is until the writer gives it a name of its own.
      if (body.beat !== scene.body.beat) await trx('prompts').where({ id: scene.prompt_id, title: titleOf(series, scene.body) }).update({ title: titleOf(series, body) })
    }, false)
    if (change.anew || saysOtherwise(scene.body, body)) await recompose(this.db, actor, await Composer.of(this.db, this.engines, series.project_id), scene, body, series.style, change.anew === true)
    return this.#whole(series.id)
  }

  /** Chooses proofs for many scenes, all of them or none. */
  async choose(seriesId: string, chosen: readonly { sceneId: string; proofId: string }[]): Promise<Series> {
    await this.#changed(await this.#series(seriesId), async (trx) => {
      for (const { sceneId, proofId } of chosen) {
        const done = await trx('scenes')
          .where({ id: sceneId, series_id: seriesId })
          .whereNull('deleted_at')
          .whereExists(trx('proofs').where({ 'proofs.id': proofId, state: 'stored' }).whereRaw('proofs.prompt_id = scenes.prompt_id').whereNull('proofs.deleted_at').select('proofs.id'))
          .update({ chosen: proofId })
        if (!done) throw notFound('proof of its scene')
      }
    }, false)
    return this.#whole(seriesId)
  }

  async split(actor: Actor, id: string, { id: second, at }: { id: string; at: number }): Promise<Series> {
    const [scene] = await sceneRows(this.db, { scene: id })
    if (!scene) throw notFound('scene')
    const series = await this.#series(scene.series_id)
    const { story_start: start, story_end: end } = scene
    if (start === null || end === null || at <= start || at >= end) throw new ProblemError('invalid', 'A scene is split within its passage of the story. Nothing was changed.')
    const [passage] = (await promptReader()).scenes(series.story.slice(at, end), [0]).scenes
    const body: SceneBody = { ...blankScene(), beat: passage?.beat ?? '', words: passage?.beat ?? '', cast: scene.body.cast, place: scene.body.place, where: scene.body.where, moment: passage?.moment?.text ?? scene.body.moment }
    await this.add(actor, series.id, { after: id, scenes: [{ id: second, body, story: { start: at + leading(series.story.slice(at, end)), end } }] })
    return this.change(actor, id, { story: { start, end: start + series.story.slice(start, at).trimEnd().length } })
  }

  async join(actor: Actor, id: string): Promise<Series> {
    const [scene] = await sceneRows(this.db, { scene: id })
    if (!scene) throw notFound('scene')
    const rows = await sceneRows(this.db, { series: scene.series_id })
    const next = rows[rows.findIndex((row) => row.id === id) + 1]
    if (!next) throw new ProblemError('invalid', 'There is no scene after this one to join it with. Nothing was changed.')
    const cast = [...scene.body.cast, ...next.body.cast.filter(({ part }) => !scene.body.cast.some((one) => one.part === part))]
    const both = (a: string, b: string, between: string) => [a.trim(), b.trim()].filter(Boolean).join(between)
    const body: SceneBody = {
      ...scene.body,
      cast,
      place: scene.body.place ?? next.body.place,
      where: scene.body.where || next.body.where,
      moment: scene.body.moment || next.body.moment,
      caption: both(scene.body.caption, next.body.caption, ' ').slice(0, 1_000),
      note: both(scene.body.note, next.body.note, '\n').slice(0, 4_000),
      motion: { ...scene.body.motion, seconds: Math.min(120, scene.body.motion.seconds + next.body.motion.seconds) },
    }
    const passages = [scene, next].flatMap(({ story_start: start, story_end: end }) => (start === null || end === null ? [] : [{ start, end }]))
    const story = passages.length ? { start: Math.min(...passages.map(({ start }) => start)), end: Math.max(...passages.map(({ end }) => end)) } : null
    await this.change(actor, id, { body, story })
    return this.delete(actor, next.id)
  }

  async duplicate(actor: Actor, id: string, copy: string): Promise<Series> {
    const [scene] = await sceneRows(this.db, { scene: id })
    if (!scene) throw notFound('scene')
    const story = scene.story_start === null || scene.story_end === null ? null : { start: scene.story_start, end: scene.story_end }
    const series = await this.add(actor, scene.series_id, { after: id, scenes: [{ id: copy, body: scene.body, story }] })
    // The copy says what the scene says, what was written by hand too.
    const made = series.scenes.find((one) => one.id === copy)
    if (made) await this.db('drafts').where({ prompt_id: made.promptId, revision: 0 }).update({ body: JSON.stringify(scene.draft) })
    return this.#whole(scene.series_id)
  }

  async delete(_actor: Actor, id: string): Promise<Series> {
    const [scene] = await sceneRows(this.db, { scene: id })
    if (!scene) throw notFound('scene')
    const series = await this.#series(scene.series_id)
    await this.#changed(series, async (trx) => {
      await trx('scenes').where({ id }).update({ deleted_at: trx.fn.now() })
      await trx('prompts').where({ id: scene.prompt_id }).whereNull('deleted_at').update({ deleted_at: trx.fn.now() })
      await recordEvent(trx, { kind: 'bin' })
    })
    return this.#whole(series.id)
  }

  async #series(id: string): Promise<SeriesRow> {
    const series = await seriesRow(this.db, id)
    if (!series) throw notFound('series')
    return series
  }

  async #whole(id: string): Promise<Series> {
    const series = await wholeSeries(this.db, id)
    if (!series) throw notFound('series')
    return series
  }

  /** Changes a series in one transaction and tells the pages; `moves` where the order of its scenes is another afterwards. */
  #changed({ id, project_id }: SeriesRow, work: (trx: Knex.Transaction) => Promise<void>, moves = true): Promise<void> {
    return this.db.transaction(async (trx) => {
      await seriesRow(trx, id, true)
      await work(trx)
      await trx('series').where({ id }).update({ changed_at: trx.fn.now(), ...(moves ? { revision: trx.raw('revision + 1') } : {}) })
      await recordEvent(trx, { kind: 'series', seriesId: id, projectId: project_id })
      await recordEvent(trx, { kind: 'prompt', projectId: project_id })
    })
  }
}

const titleOf = ({ name }: Pick<SeriesRow, 'name'>, { beat }: SceneBody): string => (beat ? `${name}: ${beat}` : `${name}: a scene`).slice(0, 200)
const leading = (said: string): number => said.length - said.trimStart().length

/** Whether two bodies of a scene compose otherwise. */
const saysOtherwise = (a: SceneBody, b: SceneBody): boolean => {
  const said = ({ words, cast, place, where, moment, framing }: SceneBody) => JSON.stringify([words, cast, place, where, moment, framing])
  return said(a) !== said(b)
}
