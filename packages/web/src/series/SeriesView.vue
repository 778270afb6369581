<script setup lang="ts">
import { listSeries } from '@idolon/contract'
import { blankScene } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useActions } from '../go-to/actions.ts'
import SavedText from '../shared/SavedText.vue'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import ContinuityPanel from './ContinuityPanel.vue'
import DeliverPanel from './DeliverPanel.vue'
import NewSeries from './NewSeries.vue'
import PartsPanel from './PartsPanel.vue'
import RunSeries from './RunSeries.vue'
import ScenePanel from './ScenePanel.vue'
import SceneRows from './SceneRows.vue'
import StoryPanel from './StoryPanel.vue'
import { useAsked } from '../shared/asked.ts'
import { useSeries } from './use-series.ts'
import { mdiDeleteOutline, mdiPlay, mdiPlus } from '@mdi/js'
import ActsMenu from '../shared/ActsMenu.vue'

/** A story as scenes, with its characters, places and style beside it and the story behind it. */
const route = useRoute()
const router = useRouter()
const projects = useProjects()

const making = ref(false)
useAsked(new Map([['new', () => (making.value = true)]]))
const id = computed(() => String(route.params['series'] ?? '') || undefined)
const open = useSeries(id)
const series = open.series
const PANELS = [
  { name: 'scene', title: 'Scene' },
  { name: 'story', title: 'Story' },
  { name: 'parts', title: 'Parts' },
  { name: 'continuity', title: 'Continuity' },
  { name: 'run', title: 'Try' },
  { name: 'deliver', title: 'Deliver' },
] as const
type Panel = (typeof PANELS)[number]['name']
const panel = ref<Panel>('scene')
const chosenId = ref<string>()
const scene = computed(() => series.value?.scenes.find((one) => one.id === chosenId.value) ?? series.value?.scenes[0])
const number = computed(() => (scene.value ? open.placeOf(scene.value.id) + 1 : 0))

const { data: all, loading } = usePageData({
  key: () => ['series of', projects.current?.id],
  read: (signal) => call(listSeries, { query: projects.current ? { project: projects.current.id } : {}, signal }),
  on: ({ kind }) => kind === 'series',
})
watch([all, id, making], () => {
  const [newest] = all.value ?? []
  if (newest && !id.value && !making.value && route.name === 'series') void router.replace(`/series/${newest.id}`)
}, { immediate: true })
// Another project has other series.
watch(() => projects.current?.id, (now, before) => {
  if (before && now && series.value && series.value.projectId !== now) void router.replace('/series')
})
watch(id, () => (chosenId.value = undefined))
// A series of another project, opened by its address, takes the project along.
watch(() => series.value?.id, () => {
  const project = series.value?.projectId
  if (project && projects.byId(project) && projects.current?.id !== project) projects.chosen = project
})
function choose(which: string): void {
  chosenId.value = which
  if (panel.value !== 'story') panel.value = 'scene'
}
async function addScene(): Promise<void> {
  const which = crypto.randomUUID()
  if (await open.add(scene.value?.id ?? null, [{ id: which, body: blankScene(), story: null }])) choose(which)
  panel.value = 'scene'
}
async function made(which: string): Promise<void> {
  await router.push(`/series/${which}`)
  making.value = false
}
async function remove(): Promise<void> {
  if (series.value && (await open.removeSeries(series.value))) await router.push('/series')
}
const waiting = computed(() => series.value?.scenes.filter(({ behind }) => behind.length).length ?? 0)
const stale = computed(() => series.value?.scenes.filter((one) => one.stale).length ?? 0)
const facts = computed(() => {
  const whole = series.value
  if (!whole) return ''
  const chosen = whole.scenes.filter((one) => one.chosen).length
  const seconds = whole.scenes.reduce((sum, { body }) => sum + body.motion.seconds, 0)
  return [counted(whole.scenes.length, 'scene'), `${chosen} with a chosen proof`, ...(stale.value ? [`${stale.value} stale`] : []), `${Math.round(seconds)} seconds`].join(', ')
})
useActions(() => [
  ...(series.value ? [{ name: 'Add a scene to this series', words: 'shot panel page', run: () => void addScene() }] : []),
])
</script>

<template>
  <main class="page series">
    <header>
      <h1 class="view-title">Series <span class="scope">{{ projects.current ? `of ${projects.current.name}` : 'of all projects' }}</span></h1>
      <v-btn v-if="all?.length" :prepend-icon="mdiPlus" :disabled="making" @click="making = true">New series</v-btn>
      <nav v-if="all && (all.length > 1 || (making && all.length))" aria-label="Series" class="row-actions">
        <RouterLink v-for="one in all" :key="one.id" :to="`/series/${one.id}`" :aria-current="one.id === id && !making ? 'page' : undefined" @click="making = false">{{ one.name }}</RouterLink>
      </nav>
    </header>
    <NewSeries v-if="making" :open="open" @made="made" @leave="making = false" />
    <div v-else-if="all && !all.length && !series" class="empty">
      <p>A series is a story told in scenes: the same people, places and look from the first picture to the last. Give it a story and it is split into scenes, each with a prompt of its own.</p>
      <p><v-btn color="primary" variant="flat" @click="making = true">Begin from a story</v-btn></p>
    </div>
    <v-skeleton-loader v-else-if="!series && (loading || open.loading.value)" type="heading, list-item-two-line@5" />
    <p v-else-if="open.gone.value" role="alert">There is no such series. It may be in the <RouterLink to="/bin">bin</RouterLink>.</p>
    <template v-else-if="series">
      <div class="named">
        <SavedText class="title" :value="series.name" label="Name of the series" :maxlength="120" @save="$event.trim() && open.change({ name: $event })" />
        <span class="soft">{{ facts }}</span>
        <span class="row-actions acts">
          <v-btn v-if="series.scenes.length" color="primary" variant="flat" :prepend-icon="mdiPlay" :to="`/series/${series.id}/play`">Play</v-btn>
          <v-btn :prepend-icon="mdiPlus" @click="addScene">Add a scene</v-btn>
          <ActsMenu label="This series" :acts="[{ name: 'Delete this series', says: 'It goes to the bin, with its scenes', icon: mdiDeleteOutline, last: true, run: () => void remove() }]" />
        </span>
      </div>
      <p v-if="waiting" class="waiting"><strong>{{ counted(waiting, 'scene has', 'scenes have') }} an older version of a character, place or style.</strong> <RouterLink :to="`/series/${series.id}/changes`">See what would change</RouterLink></p>
      <div class="columns">
        <div>
          <SceneRows :open="open" :chosen="scene?.id" @choose="choose" />
          <p v-if="!series.scenes.length">No scene yet. <v-btn variant="text" @click="addScene">Add the first</v-btn>{{ series.story ? ', or split the story again in a new series.' : '.' }}</p>
        </div>
        <aside>
          <v-tabs v-model="panel" aria-label="Beside the scenes" grow>
            <v-tab v-for="one in PANELS" :key="one.name" :value="one.name">{{ one.title }}</v-tab>
          </v-tabs>
          <StoryPanel v-if="panel === 'story'" :open="open" :chosen="scene?.id" @choose="choose" />
          <PartsPanel v-else-if="panel === 'parts'" :open="open" />
          <ContinuityPanel v-else-if="panel === 'continuity'" :open="open" @choose="(chosenId = $event), (panel = 'scene')" />
          <DeliverPanel v-else-if="panel === 'deliver'" :open="open" />
          <RunSeries v-else-if="panel === 'run'" :open="open" />
          <ScenePanel v-else-if="scene" :key="scene.id" :open="open" :scene="scene" :number="number" @story="panel = 'story'" />
        </aside>
      </div>
    </template>
  </main>
</template>

<style scoped>
.series {
  display: grid;
  gap: 12px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  align-items: baseline;
}
header nav {
  flex-basis: 100%;
}
header nav a {
  text-decoration: none;
}
header nav a[aria-current] {
  font-weight: 600;
  border-bottom: 2px solid var(--accent);
}
.empty {
  display: grid;
  gap: 12px;
  max-width: 620px;
}
.named {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
}
.named .title {
  flex: 1 1 240px;
}
.acts {
  margin-left: auto;
}
.waiting {
  padding-left: 10px;
  border-left: 3px solid var(--accent);
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(380px, 0.85fr);
  gap: 32px;
  align-items: start;
}
aside {
  position: sticky;
  top: 12px;
  display: grid;
  gap: 12px;
  max-height: calc(100vh - 24px);
  overflow: auto;
  padding: 0 4px 12px 20px;
  border-left: 1px solid var(--rule);
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: minmax(0, 1fr) 350px;
    gap: 18px;
  }
}
</style>
