<script setup lang="ts">
import { priceScenes, runScenes, type Scene, stopScenes } from '@idolon/contract'
import { computed, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted, sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import type { OpenSeries } from './use-series.ts'

/** Tries many scenes together under one cost, which stands beside the button; what comes back lands at its scene. */
const props = defineProps<{ open: OpenSeries }>()
const notices = useNotices()
const task = useTask()
const WHICH = [
  { name: 'stale', title: 'whose chosen proof is stale or missing', takes: (scene: Scene) => scene.stale || !scene.chosen },
  { name: 'missing', title: 'without a chosen proof', takes: (scene: Scene) => !scene.chosen },
  { name: 'all', title: 'all of them', takes: () => true },
  { name: 'some', title: 'chosen by hand', takes: (scene: Scene) => picked.value.has(scene.id) },
] as const
const which = ref<(typeof WHICH)[number]['name']>('stale')
const picked = ref(new Set<string>())
const scenes = computed(() => props.open.series.value?.scenes ?? [])
// An empty text cannot be tried.
const taken = computed(() => scenes.value.filter((scene) => scene.text.trim() && WHICH.find(({ name }) => name === which.value)!.takes(scene)))
const price = shallowRef<{ said: string; proofs: number }>()
let latest = 0
const engines = useEngines()
void engines.load()
/** Ratios that every engine of the scenes can make. */
const offered = computed(() => {
  const lists = [...new Set(scenes.value.map(({ engine }) => engine))].flatMap((id) => {
    const profile = id === null ? undefined : engines.find(id)
    return profile ? [profile.sizes.map(({ aspectRatio }) => aspectRatio)] : []
  })
  return [...new Set(lists[0] ?? [])].filter((ratio) => lists.every((list) => list.includes(ratio)))
})
const ratios = ref<string[]>([])
const asked = computed(() => (ratios.value.length ? { ratios: ratios.value } : {}))
watch(() => [...taken.value.map(({ id, revision }) => `${id} ${revision}`), ...ratios.value].join(), async () => {
  const mine = ++latest
  price.value = undefined
  if (!taken.value.length) return
  const found = await task(() => call(priceScenes, { params: { series: props.open.series.value!.id }, body: { scenes: taken.value.map(({ id }) => id), ...asked.value } }))
  if (found && mine === latest) price.value = { said: sayAmounts(found.costs), proofs: found.proofs }
}, { immediate: true })

const busy = ref(false)
const total = ref(0)
const coming = computed(() => scenes.value.reduce((sum, scene) => sum + scene.coming, 0))
async function run(): Promise<void> {
  busy.value = true
  total.value = price.value?.proofs ?? 0
  await task(async () => {
    await call(runScenes, { params: { series: props.open.series.value!.id }, body: { scenes: taken.value.map(({ id, revision }) => ({ sceneId: id, run: crypto.randomUUID(), revision })), ...asked.value } })
    await props.open.load()
  })
  busy.value = false
}
const stopping = ref(false)
async function stop(): Promise<void> {
  stopping.value = true
  const before = coming.value
  await task(async () => {
    await call(stopScenes, { params: { series: props.open.series.value!.id } })
    await props.open.load()
    notices.show(coming.value ? `${counted(before - coming.value, 'proof')} stopped; nothing was charged for ${before - coming.value === 1 ? 'it' : 'them'}. ${counted(coming.value, 'proof')} that an engine has already still ${coming.value === 1 ? 'comes' : 'come'}.` : `${counted(before, 'proof')} stopped; nothing was charged for ${before === 1 ? 'it' : 'them'}.`)
  })
  stopping.value = false
}
const newer = computed(() => scenes.value.filter(({ newest, chosen }) => newest && (!chosen || newest.storedAt! > chosen.storedAt!)))
async function chooseNewest(): Promise<void> {
  const list = newer.value
  if (await props.open.choose(list.map(({ id, newest }) => ({ sceneId: id, proofId: newest!.id })))) notices.show(`The newest proof is chosen in ${counted(list.length, 'scene')}. The ones before are still at their scenes.`)
}
const toggle = (id: string) => (picked.value = picked.value.has(id) ? new Set([...picked.value].filter((one) => one !== id)) : new Set([...picked.value, id]))
</script>

<template>
  <section class="run" aria-label="Try the series">
    <v-select v-model="which" label="Try the scenes" :items="WHICH.map((one) => ({ title: one.title, value: one.name }))" />
    <ul v-if="which === 'some'" class="some"><li v-for="(scene, i) in scenes" :key="scene.id"><v-checkbox :label="`${i + 1} ${scene.body.beat || 'a scene without words'}`" :model-value="picked.has(scene.id)" @update:model-value="toggle(scene.id)" /></li></ul>
    <p v-if="offered.length > 1" class="row-actions"><span class="soft">Each in its own aspect ratio, or in</span><v-checkbox v-for="ratio in offered" :key="ratio" v-model="ratios" :label="ratio" :value="ratio" /></p>
    <p class="row-actions">
      <v-btn color="primary" variant="flat" :disabled="busy || !price" @click="run">Try {{ counted(taken.length, 'scene') }}</v-btn>
      <span class="soft">{{ !taken.length ? 'None is like that.' : price ? `${counted(price.proofs, 'proof')}, ${price.said} in all` : 'Reckoning …' }}</span>
    </p>
    <p v-if="coming" role="status"><v-progress-linear :max="Math.max(total, coming)" :model-value="Math.max(total, coming) - coming" aria-label="Proofs that have come" /> {{ counted(coming, 'proof') }} to come; they land at their scenes, also when this page is closed. <v-btn :disabled="stopping" @click="stop">Stop the rest</v-btn></p>
    <p v-if="newer.length" class="row-actions"><span>{{ counted(newer.length, 'scene has', 'scenes have') }} a proof newer than the chosen one.</span><v-btn @click="chooseNewest">Choose the newest in {{ newer.length === 1 ? 'it' : 'all of them' }}</v-btn></p>
    <ol class="contact" aria-label="All chosen proofs">
      <li v-for="(scene, i) in scenes" :key="scene.id"><img v-if="scene.chosen?.picture" :src="`/api/pictures/${scene.chosen.picture.sha256}/thumbnail`" :alt="scene.body.beat" loading="lazy" :class="{ stale: scene.stale }" /><span v-else class="none" /><span class="soft">{{ i + 1 }}{{ scene.stale ? ' stale' : '' }}</span></li>
    </ol>
  </section>
</template>

<style scoped>
.run {
  display: grid;
  gap: 12px;
}
.some {
  max-height: 240px;
  overflow: auto;
}
.contact {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.contact li {
  display: grid;
  font-size: 12px;
}
.contact img,
.none {
  width: 100%;
  aspect-ratio: 3 / 2;
  object-fit: cover;
  background: var(--wash);
}
img.stale {
  outline: 2px dashed var(--accent);
  outline-offset: -2px;
}
</style>
