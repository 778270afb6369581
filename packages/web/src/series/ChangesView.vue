<script setup lang="ts">
import { readSceneOffers, type SceneOffer } from '@idolon/contract'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { useDeciding } from './decide-offers.ts'
import SceneEffects from './SceneEffects.vue'
import { useSeries } from './use-series.ts'

/** All that newer versions of its parts would change in the scenes of a series. */
const route = useRoute()
const task = useTask()
const id = computed(() => String(route.params['series']))
const open = useSeries(id)
const decideOffers = useDeciding(() => id.value)
const offers = shallowRef<SceneOffer[]>()
const busy = ref(false)
const load = () => task(async () => (offers.value = await call(readSceneOffers, { params: { series: id.value } })))
watch(id, () => void load(), { immediate: true })
async function decide(take: SceneOffer[], leave: SceneOffer[]): Promise<void> {
  busy.value = true
  await decideOffers(take, leave)
  await Promise.all([open.load(), load()])
  busy.value = false
}
</script>

<template>
  <main class="page">
    <p><RouterLink :to="`/series/${id}`">{{ open.series.value?.name ?? 'Series' }}</RouterLink></p>
    <h1 class="view-title">What has changed</h1>
    <SceneEffects v-if="open.series.value && offers?.length" :series="open.series.value" :offers="offers" decides :busy="busy" @decide="decide" />
    <p v-else-if="offers">Every scene has its characters, places and style as they are now.</p>
  </main>
</template>
