import { addScenes, addSeries, changeScene, changeSeries, chooseProofs, deleteScene, deleteSeries, duplicateScene, joinScene, listBin, restoreFromBin, readSeries, type Scene, type Series, splitScene } from '@idolon/contract'
import type { SceneBody } from '@idolon/core'
import { computed, type Ref } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'

/** A series that is open, and everything that is done with its scenes. Answers come whole, so that what is shown is what is kept. */
export function useSeries(id: Ref<string | undefined>) {
  const notices = useNotices()
  const task = useTask()
  const { data: series, missing: gone, loading, load, put } = usePageData<Series>({
    key: () => (id.value ? ['series', id.value] : undefined),
    read: (signal) => call(readSeries, { params: { series: id.value! }, signal }),
    on: (event, open) => (event.kind === 'series' ? event.seriesId === open?.id : event.kind === 'parts' ? event.projectId === open?.projectId : event.kind === 'run' || event.kind === 'proof' || event.kind === 'draft' ? (open?.scenes.some(({ promptId }) => promptId === event.promptId) ?? false) : false),
  })
  const take = (next: Series | undefined) => {
    if (next && next.id === id.value) put(next)
    return next
  }

  const placeOf = (scene: string) => series.value?.scenes.findIndex((one) => one.id === scene) ?? -1
  const order = (ids: string[]) => task(async () => take(await call(changeSeries, { params: { series: series.value!.id }, body: { revision: series.value!.revision, order: ids } })))

  /** Moves a scene by places; it stays within the series. */
  function move(scene: string, by: number) {
    const ids = series.value!.scenes.map((one) => one.id)
    const from = ids.indexOf(scene)
    const to = Math.min(ids.length - 1, Math.max(0, from + by))
    if (from < 0 || to === from) return Promise.resolve(undefined)
    ids.splice(to, 0, ...ids.splice(from, 1))
    return order(ids)
  }
  const back = (kind: 'scene' | 'series', which: string) =>
    task(async () => {
      const entry = (await call(listBin, {})).find((one) => one.kind === kind && one.id === which)
      if (entry) await call(restoreFromBin, { params: { kind, id: entry.id } })
      await load()
    })
  return {
    series,
    gone,
    loading,
    load,
    placeOf,
    order,
    move,
    begin: (projectId: string, name: string, story: string) => task(() => call(addSeries, { body: { id: crypto.randomUUID(), projectId, name, story } })),
    change: (change: { name?: string; story?: string; style?: string | null }) => task(async () => take(await call(changeSeries, { params: { series: series.value!.id }, body: { revision: series.value!.revision, ...change } }))),
    add: (after: string | null, scenes: { id: string; body: SceneBody; story: Scene['story'] }[]) => task(async () => take(await call(addScenes, { params: { series: series.value!.id }, body: { after, scenes } }))),
    changeScene: (scene: string, body: { body?: SceneBody; story?: Scene['story']; chosen?: string | null; seen?: true; anew?: true }) => task(async () => take(await call(changeScene, { params: { scene }, body }))),
    choose: (chosen: { sceneId: string; proofId: string }[]) => task(async () => take(await call(chooseProofs, { params: { series: series.value!.id }, body: { chosen } }))),
    split: (scene: string, at: number) => task(async () => take(await call(splitScene, { params: { scene }, body: { id: crypto.randomUUID(), at } }))),
    join: (scene: string) => task(async () => take(await call(joinScene, { params: { scene } }))),
    duplicate: (scene: string) =>
      task(async () => {
        const copy = crypto.randomUUID()
        take(await call(duplicateScene, { params: { scene }, body: { id: copy } }))
        return copy
      }),
    remove: (scene: Scene) =>
      task(async () => {
        take(await call(deleteScene, { params: { scene: scene.id } }))
        notices.show(`“${scene.body.beat || 'The scene'}” is in the bin, with its prompt and proofs.`, { action: { label: 'Restore', run: () => void back('scene', scene.id) } })
      }),
    removeSeries: (whole: Series) =>
      task(async () => {
        await call(deleteSeries, { params: { series: whole.id } })
        notices.show(`“${whole.name}” is in the bin, with its scenes. Its characters, places and style stay.`, { action: { label: 'Restore', run: () => void back('series', whole.id) } })
        return true
      }),
    partOf: (part: string) => series.value?.parts.find((one) => one.id === part),
    characters: computed(() => series.value?.parts.filter(({ body }) => body.kind === 'character') ?? []),
    places: computed(() => series.value?.parts.filter(({ body }) => body.kind === 'place') ?? []),
    styles: computed(() => series.value?.parts.filter(({ body }) => body.kind === 'style') ?? []),
  }
}
export type OpenSeries = ReturnType<typeof useSeries>
