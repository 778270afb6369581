import { addScenes, addSeries, changeScene, changeSeries, chooseProofs, deleteScene, deleteSeries, duplicateScene, joinScene, listSeries, previewPart, priceScenes, readContinuity, readSceneOffers, readSeries, runScenes, splitScene, splitStory, stopScenes, takeSceneOffers } from '@idolon/contract'
import type { Register } from '../http/register.ts'
import type { Database } from '../database/connect.ts'
import { continuity } from './continuity.ts'
import type { SceneOffers } from './offers.ts'
import type { SceneRuns } from './run-scenes.ts'
import type { Scenes } from './scenes.ts'
import type { SeriesService } from './service.ts'

export function seriesRoutes(on: Register, db: Database, series: SeriesService, scenes: Scenes, offers: SceneOffers, runs: SceneRuns): void {
  on(listSeries, ({ query }) => series.list(query.project))
  on(addSeries, ({ actor, body }) => series.add(actor, body))
  on(readSeries, ({ params }) => series.read(params.series))
  on(changeSeries, ({ actor, params, body }) => series.change(actor, params.series, body))
  on(deleteSeries, async ({ actor, params }) => {
    await series.delete(actor, params.series)
    return undefined
  })
  on(splitStory, ({ body }) => series.split(body.story, body.starts))
  on(addScenes, ({ actor, params, body }) => scenes.add(actor, params.series, body))
  on(changeScene, ({ actor, params, body }) => scenes.change(actor, params.scene, body))
  on(chooseProofs, ({ params, body }) => scenes.choose(params.series, body.chosen))
  on(splitScene, ({ actor, params, body }) => scenes.split(actor, params.scene, body))
  on(joinScene, ({ actor, params }) => scenes.join(actor, params.scene))
  on(duplicateScene, ({ actor, params, body }) => scenes.duplicate(actor, params.scene, body.id))
  on(deleteScene, ({ actor, params }) => scenes.delete(actor, params.scene))
  on(readSceneOffers, ({ params }) => offers.list(params.series))
  on(previewPart, ({ params, body }) => offers.list(params.series, body))
  on(takeSceneOffers, ({ actor, params, body }) => offers.take(actor, params.series, body))
  on(readContinuity, ({ params }) => continuity(db, params.series))
  on(priceScenes, ({ params, body }) => runs.price(params.series, body))
  on(stopScenes, ({ params }) => runs.stop(params.series))
  on(runScenes, ({ actor, params, body }) => runs.run(actor, params.series, body))
}
