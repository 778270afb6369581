<script setup lang="ts">
import { readContinuity, saveEdits, type SeriesSlip } from '@idolon/contract'
import type { SlipKind } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import type { OpenSeries } from './use-series.ts'
import DismissForm from '../shared/DismissForm.vue'
import FoldOut from '../shared/FoldOut.vue'

/** Where the series does not hold together: a line each with its reason, the scene it shows in, and what would fix it. */
const props = defineProps<{ open: OpenSeries }>()
const emit = defineEmits<{ choose: [scene: string] }>()
const task = useTask()
const NAMES: Record<SlipKind, string> = { trait: 'Always said', dress: 'Dress', time: 'Time of day', season: 'Season', weather: 'Weather', place: 'Place', absent: 'Missing', alike: 'Too alike', direction: 'Direction', style: 'Style', engine: 'Engine', 'aspect-ratio': 'Aspect ratio', framing: 'Framing', palette: 'Colours', key: 'Light and dark', medium: 'Kind of picture' }
const busy = ref(false)
/** Pictures of which nothing is known yet are being read. */
const UNREAD_MS = 1_500
const seriesId = computed(() => props.open.series.value?.id)
const { data: found, load } = usePageData({
  key: () => (seriesId.value ? ['continuity', seriesId.value] : undefined),
  read: (signal) => call(readContinuity, { params: { series: seriesId.value! }, signal }),
  againMs: (now) => (now?.unread ? UNREAD_MS : undefined),
})
watch(() => props.open.series.value, (now, before) => now && before?.id === now.id && void load())
const slips = computed(() => found.value?.slips)
const unread = computed(() => found.value?.unread ?? 0)
const numberOf = (scene: string) => props.open.placeOf(scene) + 1
const standing = computed(() => slips.value?.filter(({ dismissed }) => dismissed === undefined) ?? [])
const dismissed = computed(() => slips.value?.filter((slip) => slip.dismissed !== undefined) ?? [])
const byScene = computed(() => {
  const groups = new Map<string, SeriesSlip[]>()
  for (const slip of standing.value) groups.set(slip.sceneId, [...(groups.get(slip.sceneId) ?? []), slip])
  return [...groups].sort(([a], [b]) => numberOf(a) - numberOf(b))
})
const sceneOf = (id: string) => props.open.series.value?.scenes.find((scene) => scene.id === id)
async function fix({ sceneId, fix, revision }: SeriesSlip): Promise<void> {
  const scene = sceneOf(sceneId)
  if (!fix || !scene) return
  busy.value = true
  if (fix.body) await props.open.changeScene(sceneId, { body: fix.body })
  else if (fix.edit) {
    const { edit } = fix
    await task(() => call(saveEdits, { params: { prompt: scene.promptId }, body: { client: crypto.randomUUID(), first: 1, base: revision, edits: [edit] } }))
    await props.open.load()
  }
  busy.value = false
}
/** The slip that is being dismissed, by what it says: the list may be another by the time it is sent. */
const dismissing = ref('')
const keyOf = ({ sceneId, kind, reason }: SeriesSlip) => `${sceneId} ${kind} ${reason}`
/** Characters that a scene keeps of why a slip is right. */
const MOST_WHY = 300
async function dismiss({ sceneId, kind, reason }: SeriesSlip, because: string): Promise<void> {
  const scene = sceneOf(sceneId)
  dismissing.value = ''
  if (!scene) return
  const list = [...(scene.body.dismissed ?? []), { kind, reason, because }]
  await props.open.changeScene(sceneId, { body: { ...scene.body, dismissed: list } })
}
async function takeBack({ sceneId, kind, dismissed: because }: SeriesSlip): Promise<void> {
  const scene = sceneOf(sceneId)
  if (!scene) return
  // The reason may name other scenes by now; what was said of it is as it was.
  const at = scene.body.dismissed?.findIndex((one) => one.kind === kind && one.because === because) ?? -1
  await props.open.changeScene(sceneId, { body: { ...scene.body, dismissed: scene.body.dismissed?.filter((_, i) => i !== at) ?? [] } })
}
</script>

<template>
  <section class="continuity" aria-label="Continuity">
    <p role="status"><template v-if="!slips">Looking through the scenes …</template><strong v-else>{{ standing.length ? `${counted(standing.length, 'place')} where it does not hold together` : 'It holds together' }}</strong><span v-if="unread" class="soft unread">{{ counted(unread, 'chosen proof') }} still being looked at.</span></p>
    <p v-if="slips && !standing.length" class="soft">Traits, dress, time, seasons, weather, places, directions, style, engine and framing agree from scene to scene, and so do the chosen proofs that were looked at.</p>
    <div v-for="[scene, list] in byScene" :key="scene" class="of-scene">
      <p><v-btn variant="text" @click="emit('choose', scene)">Scene {{ numberOf(scene) }}</v-btn> <span class="soft">{{ sceneOf(scene)?.body.beat }}</span></p>
      <ul>
        <li v-for="(slip, i) in list" :key="i">
          <span class="kind">{{ NAMES[slip.kind] }}</span> {{ slip.reason }}
          <DismissForm v-if="dismissing === keyOf(slip)" :most="MOST_WHY" @dismiss="dismiss(slip, $event)" @leave="dismissing = ''" />
          <span v-else class="row-actions"><v-btn v-if="slip.fix" variant="text" :disabled="busy" @click="fix(slip)">{{ slip.fix.label }}</v-btn><v-btn variant="text" :aria-label="`Dismiss: ${slip.reason}`" @click="dismissing = keyOf(slip)">Dismiss</v-btn></span>
        </li>
      </ul>
    </div>
    <FoldOut v-if="dismissed.length" :title="`${counted(dismissed.length, 'slip')} dismissed`">
      <ul>
        <li v-for="(slip, i) in dismissed" :key="i"><v-btn variant="text" @click="emit('choose', slip.sceneId)">Scene {{ numberOf(slip.sceneId) }}</v-btn> <span class="soft">{{ slip.reason }}{{ slip.dismissed ? ` Dismissed: ${slip.dismissed}` : '' }}</span> <v-btn variant="text" :aria-label="`Look at it again: ${slip.reason}`" @click="takeBack(slip)">Look at it again</v-btn></li>
      </ul>
    </FoldOut>
  </section>
</template>

<style scoped>
.continuity {
  display: grid;
  gap: 12px;
}
.unread {
  margin-left: 8px;
}
.of-scene {
  display: grid;
  gap: 2px;
}
li {
  padding: 4px 0 4px 10px;
  border-left: 2px solid var(--rule-strong);
}
.kind {
  margin-right: 4px;
  color: var(--soft);
  font-size: 12.5px;
}
</style>
