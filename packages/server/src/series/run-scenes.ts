import type { AnswerOf, priceScenes, Series } from '@idolon/contract'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { notFound } from '../http/problem.ts'
import type { Runs } from '../runs/service.ts'
import { sceneRows, wholeSeries } from './store.ts'

/** Tries scenes of a series together, under one cost. */
export class SceneRuns {
  constructor(
    private readonly db: Database,
    private readonly runs: Runs,
  ) {}

  async price(seriesId: string, { scenes, ratios }: { scenes: readonly string[]; ratios?: readonly string[] }): Promise<AnswerOf<typeof priceScenes>> {
    const rows = await this.#rows(seriesId, scenes)
    return this.runs.price(rows.map(({ draft }) => draft), inRatios(ratios))
  }

  /** Each scene in each of the ratios, or in its own. */
  async run(actor: Actor, seriesId: string, { scenes, ratios }: { scenes: readonly { sceneId: string; run: string; revision: number }[]; ratios?: readonly string[] }): Promise<Series> {
    const sweep = inRatios(ratios)
    const rows = new Map((await this.#rows(seriesId, scenes.map(({ sceneId }) => sceneId))).map((row) => [row.id, row]))
    await this.runs.startAll(actor, scenes.map(({ sceneId, run, revision }) => ({ promptId: rows.get(sceneId)!.prompt_id, asked: { id: run, revision, ...(sweep ? { sweep } : {}) } })))
    return (await wholeSeries(this.db, seriesId))!
  }

  /** Stops what no engine was asked for yet, of all scenes; what an engine has already still comes. */
  async stop(seriesId: string): Promise<Series> {
    await this.runs.stopOf((await sceneRows(this.db, { series: seriesId })).map(({ prompt_id }) => prompt_id))
    const series = await wholeSeries(this.db, seriesId)
    if (!series) throw notFound('series')
    return series
  }

  async #rows(seriesId: string, scenes: readonly string[]) {
    const wanted = new Set(scenes)
    const rows = (await sceneRows(this.db, { series: seriesId })).filter(({ id }) => wanted.has(id))
    if (rows.length < wanted.size) throw notFound('scene of this series')
    return rows
  }
}

const inRatios = (ratios: readonly string[] | undefined) => (ratios?.length ? { key: 'aspectRatio', values: [...new Set(ratios)] } : undefined)
