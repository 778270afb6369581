<script setup lang="ts">
import { deletePart, previewPart, restoreFromBin, readPart, readSceneOffers, savePartVersion, type SceneOffer } from '@idolon/contract'
import type { PartBody } from '@idolon/core'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import NotFoundView from '../app/NotFoundView.vue'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted, sayExactly, sayWhen } from '../shared/said.ts'
import { useNow } from '../shared/use-now.ts'
import { useEngines } from '../stores/engines.ts'
import { useDeciding } from './decide-offers.ts'
import PartEditor from './PartEditor.vue'
import PartSheet from './PartSheet.vue'
import SceneEffects from './SceneEffects.vue'
import { useSeries } from './use-series.ts'
import FoldOut from '../shared/FoldOut.vue'

/** A character, place or style of a series: what it says, and what a change of it would change, shown while it is written. */
const route = useRoute()
const router = useRouter()
const notices = useNotices()
const task = useTask()
const now = useNow()
const engines = useEngines()
void engines.load()
const partId = computed(() => String(route.params['part']))
// A sheet that was made, deleted or tagged; the editor keeps what is being written.
const { data: found, missing, loading, load: loadPart } = usePageData({ key: () => ['part', partId.value], read: (signal) => call(readPart, { params: { part: partId.value }, signal }), on: ({ kind }) => kind === 'prompt', tells: true })
const usedIn = computed(() => found.value?.series ?? [])
/** The series it is looked at from; of a part that was opened by itself, the one that has it most. */
const seriesId = computed(() => (typeof route.params['series'] === 'string' && route.params['series']) || usedIn.value[0]?.id)
const elsewhere = computed(() => usedIn.value.filter(({ id }) => id !== seriesId.value))
const sheets = computed(() => found.value?.sheets ?? [])
const open = useSeries(seriesId)
const decideOffers = useDeciding(() => seriesId.value!)
const editor = useTemplateRef('editor')

const part = computed(() => found.value?.part)
const versions = computed(() => found.value?.versions ?? [])
/** What is shown in the editor: the newest version, or an older one that is to become it again. */
const shown = shallowRef<PartBody>()
const offers = shallowRef<SceneOffer[]>([])
const previewing = ref(false)
const busy = ref(false)

const readOffers = async () => (offers.value = !seriesId.value ? [] : (await call(readSceneOffers, { params: { series: seriesId.value } })).filter((one) => one.partId === partId.value))
/** The version that is written on from: what another window keeps meanwhile must neither take the words away nor be written over unseen. */
const writtenOn = ref(0)
function begin(): void {
  shown.value = part.value?.body
  writtenOn.value = part.value?.version ?? 0
  previewing.value = false
}
watch(() => part.value?.id, begin, { immediate: true })
watch([seriesId, partId], () => void task(readOffers), { immediate: true })

/** What was written last and is still to be asked about: one question is on its way at a time, and the next is about the newest words. */
let waiting: PartBody | undefined
let asking = false
async function preview(body: PartBody): Promise<void> {
  waiting = body
  if (asking) return
  asking = true
  while (waiting) {
    const now: PartBody = waiting
    waiting = undefined
    const series = seriesId.value
    const about = partId.value
    if (!series) break
    if (JSON.stringify(now) === JSON.stringify(part.value?.body)) {
      previewing.value = false
      await task(readOffers)
      continue
    }
    const found = await task(() => call(previewPart, { params: { series }, body: { part: about, body: now } }))
    if (!found || about !== partId.value) continue
    offers.value = found
    previewing.value = true
  }
  asking = false
}
async function save(body: PartBody): Promise<void> {
  busy.value = true
  await task(async () => {
    await call(savePartVersion, { params: { part: partId.value }, body: { on: writtenOn.value, body, why: '' } })
    await Promise.all([loadPart(), open.load(), readOffers()])
    begin()
    if (!offers.value.length) notices.show(`“${body.name}” has version ${part.value!.version}.`)
  })
  busy.value = false
}
async function decide(take: SceneOffer[], leave: SceneOffer[]): Promise<void> {
  busy.value = true
  await decideOffers(take, leave)
  await Promise.all([open.load(), task(readOffers)])
  busy.value = false
}
const remove = () =>
  task(async () => {
    const { id, body } = part.value!
    await call(deletePart, { params: { part: id } })
    const from = seriesId.value
    await router.push(from ? `/series/${from}` : '/series')
    notices.show(`“${body.name}” is in the bin. Texts that came from it stay as they are.`, { action: { label: 'Restore', run: () => void task(async () => {
      await call(restoreFromBin, { params: { kind: 'part', id } })
      await router.push(from ? `/series/${from}/parts/${id}` : `/parts/${id}`)
    }) } })
  })
const KINDS = { character: 'Character', place: 'Place', style: 'Style' } as const
</script>

<template>
  <NotFoundView v-if="missing" what="character, place or style" />
  <main v-else class="page part">
    <p><RouterLink :to="seriesId ? `/series/${seriesId}` : '/series'">{{ open.series.value?.name ?? 'Series' }}</RouterLink></p>
    <h1 v-if="part" class="view-title">{{ part.body.name }} <span class="scope">{{ KINDS[part.body.kind] }}, version {{ part.version }}, in {{ counted(part.scenes, 'scene') }}</span></h1>
    <v-skeleton-loader v-if="loading" type="heading, list-item-two-line@4" />
    <div v-else-if="part && shown" class="columns">
      <div class="left">
        <PartEditor ref="editor" :body="shown" :project-id="part.projectId" :version="writtenOn" :busy="busy" @change="preview" @save="save" @leave="preview(part.body)">
          <template #engine="{ body }"><v-select label="Engine" :model-value="body.engines[0]?.engine ?? ''" :items="[{ title: 'the project’s usual one', value: '' }, ...engines.newest.map((one) => ({ title: one.name, value: one.id }))]" @update:model-value="body.engines = $event ? [{ engine: $event }] : []" /></template>
        </PartEditor>
        <PartSheet v-if="part.body.kind === 'character'" :part="part" :look="open.series.value?.style ?? null" :sheets="sheets" :references="part.body.references" @reference="editor?.takeAlong($event)" />
        <FoldOut v-if="versions.length > 1" :title="counted(versions.length, 'version')">
          <ul class="versions">
            <li v-for="one in versions" :key="one.number"><span>{{ one.number }}</span> <span class="serif">{{ one.body.says.map(({ text }) => text).join(', ') || 'nothing said' }}</span> <time class="soft" :datetime="one.madeAt" :title="sayExactly(one.madeAt)">{{ sayWhen(one.madeAt, now) }}</time> <v-btn v-if="one.number !== part.version" variant="text" @click="(shown = one.body), preview(one.body)">Write on from it</v-btn></li>
          </ul>
        </FoldOut>
        <p><v-btn variant="text" @click="remove">Delete {{ part.body.name }}</v-btn></p>
      </div>
      <div class="right">
        <SceneEffects v-if="open.series.value && (previewing || offers.length)" :series="open.series.value" :offers="offers" :decides="!previewing" :busy="busy" @decide="decide" />
        <p v-else class="soft">{{ !seriesId ? 'No series has it yet. Add it to a scene, under “Who is there” or “Where”.' : part.scenes ? `Change something: every scene it reaches is shown here, the new text against the old, before anything is kept.` : 'No scene has it yet. Add it to a scene, under “Who is there” or “Where”.' }}</p>
        <p v-if="elsewhere.length" class="soft">It is also in <template v-for="(one, i) in elsewhere" :key="one.id">{{ i ? ', ' : '' }}{{ counted(one.scenes, 'scene') }} of <RouterLink :to="`/series/${one.id}/parts/${part.id}`">{{ one.name }}</RouterLink></template>, where a change is offered, too.</p>
      </div>
    </div>
  </main>
</template>

<style scoped>
.part {
  display: grid;
  gap: 10px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(380px, 0.9fr) minmax(0, 1fr);
  gap: 36px;
  align-items: start;
}
.left {
  display: grid;
  gap: 14px;
}
.versions li {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 3px 0;
  border-top: 1px solid var(--rule);
}
.serif {
  flex: 1;
  font-family: var(--serif);
}
</style>
