<script setup lang="ts">
import { mdiArrowLeft } from '@mdi/js'
import { changePrompt, readSheet, type SheetProof } from '@idolon/contract'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { messageOf } from '../api/problem.ts'
import { pressed } from '../keys/key-map.ts'
import { letterKeys } from '../keys/letters.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import RankChart from './RankChart.vue'
import { type Answer, useSitting } from './sitting.ts'

const route = useRoute()
const router = useRouter()
const notices = useNotices()
const task = useTask()
const MOST = 100

const proofs = shallowRef<SheetProof[]>()
const sitting = shallowRef<ReturnType<typeof useSitting>>()
const trouble = ref('')
const done = ref(false)
const area = ref<HTMLElement>()

async function load(): Promise<void> {
  trouble.value = ''
  done.value = false
  const ids = String(route.query['ids'] ?? '').split(',').filter(Boolean).slice(0, MOST)
  try {
    proofs.value = ids.length < 2 ? [] : (await call(readSheet, { query: { ids: ids.join(','), limit: MOST } })).proofs.filter(({ picture }) => picture)
    if (proofs.value.length < 2) return
    sitting.value = useSitting(proofs.value.map(({ id }) => id))
    await sitting.value.begin()
  } catch (error) {
    proofs.value ??= []
    trouble.value = messageOf(error)
  }
}
watch(() => route.query['ids'], () => void load(), { immediate: true })
watch(area, (element) => element?.focus({ preventScroll: true }))

const pair = computed(() => sitting.value?.pair.value?.map((i) => proofs.value![i]!))
const compared = computed(() => sitting.value?.judgements.value.length ?? 0)
const before = computed(() => compared.value - (sitting.value?.mine.value.length ?? 0))
const enough = computed(() => compared.value >= (sitting.value?.most ?? 0) || (sitting.value?.settled.value ?? false))
const together = computed(() => sitting.value?.apart.value.some((apart) => !apart) ?? false)

const answer = (better: Answer) => task(async () => sitting.value?.answer(better))
const takeBack = () => task(async () => sitting.value?.takeBack())
function onKey(event: KeyboardEvent): void {
  const command = pressed('judging', event)
  if (command === 'left' || command === 'right') void answer(command)
  else if (command === 'neither') void answer(null)
  else if (command === 'undo') void takeBack()
  else if (command === 'leave') router.back()
  else if (event.key === 'Enter' && event.target === area.value) done.value = true
  else return
  event.preventDefault()
}
const best = computed(() => (sitting.value && proofs.value ? proofs.value[sitting.value.order.value[0]!] : undefined))
const makeBest = () =>
  task(async () => {
    if (!best.value) return
    await call(changePrompt, { params: { prompt: best.value.promptId }, body: { bestProofId: best.value.id } })
    notices.show(`It is now the best proof of ${best.value.promptTitle}.`)
  })
</script>

<template>
  <main class="judge">
    <header>
      <h1 class="view-title">Judging blind</h1>
      <p class="row-actions">
        <v-btn variant="text" :prepend-icon="mdiArrowLeft" @click="router.back()">Back</v-btn>
        <span v-if="sitting" class="soft" role="status">{{ counted(compared, 'comparison') }} of at most {{ sitting.most }}<template v-if="before">, {{ before }} from earlier sittings</template></span>
        <template v-if="sitting && !done">
          <strong v-if="enough">{{ sitting.settled.value ? 'The best can be told from the second.' : 'More would tell little.' }}</strong>
          <v-btn variant="text" :disabled="sitting.mine.value.length === 0" @click="takeBack">Undo the last</v-btn>
          <v-btn :variant="enough ? 'flat' : 'text'" :color="enough ? 'primary' : undefined" class="end" @click="done = true">Show the ranking</v-btn>
        </template>
      </p>
    </header>
    <p v-if="trouble" class="away">{{ trouble }} <v-btn variant="text" @click="load">Try again</v-btn></p>
    <p v-else-if="proofs && proofs.length < 2" class="away">A sitting has two to a hundred pictures. <v-btn color="primary" variant="flat" to="/proofs/sheet">Select them on a sheet</v-btn></p>
    <template v-else-if="sitting && !done">
      <div v-if="pair" ref="area" class="two" tabindex="0" role="group" aria-label="Two pictures; Left, Right or Down for cannot tell" @keydown="onKey">
        <img v-for="(proof, i) in pair" :key="`${compared} ${proof.id}`" :src="`/api/pictures/${proof.picture!.sha256}`" :alt="i === 0 ? 'Left picture' : 'Right picture'" @click="answer(i === 0 ? 'left' : 'right')" />
      </div>
      <p class="answers">
        <v-btn @click="answer('left')">Left<kbd v-if="letterKeys">←</kbd></v-btn>
        <v-btn @click="answer(null)">Cannot tell<kbd v-if="letterKeys">↓</kbd></v-btn>
        <v-btn @click="answer('right')">Right<kbd v-if="letterKeys">→</kbd></v-btn>
      </p>
    </template>
    <div v-else-if="sitting && proofs" class="results">
      <p v-if="together">{{ sitting.apart.value[0] ? 'The best can be told from the rest; some of the others cannot be told apart yet.' : 'The first two cannot be told apart yet; a few more comparisons may do it.' }}</p>
      <p class="row-actions"><v-btn color="primary" variant="flat" @click="done = false">Go on judging</v-btn><v-btn @click="makeBest">Make the first the best proof</v-btn><RouterLink v-if="proofs.length >= 2" :to="{ path: '/proofs/side-by-side', query: { ids: sitting.order.value.slice(0, 2).map((i) => proofs![i]!.id).join(',') } }">The first two side by side</RouterLink></p>
      <RankChart :proofs="proofs" :ranking="sitting.ranking.value" :order="sitting.order.value" :apart="sitting.apart.value" />
    </div>
    <p v-else class="away soft" role="status">Looking …</p>
  </main>
</template>

<style scoped>
.judge {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100vh;
}
header {
  display: flex;
  gap: 24px;
  align-items: baseline;
  padding: 18px 28px 10px;
}
header .row-actions {
  flex: 1;
}
.end {
  margin-left: auto;
}
.away {
  padding: 0 28px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 14px;
  padding: 4px 28px;
  min-height: 0;
  outline-offset: -2px;
}
.two:focus-visible {
  outline-color: var(--rule-strong);
}
.two img {
  width: 100%;
  height: 100%;
  min-height: 0;
  object-fit: contain;
  background: var(--wash);
  cursor: pointer;
}
.answers {
  display: flex;
  justify-content: space-between;
  padding: 12px 28px 18px;
}
kbd {
  margin-left: 8px;
  font-family: var(--mono);
  font-size: 12px;
}
.results {
  display: grid;
  gap: 14px;
  align-content: start;
  padding: 4px 28px 28px;
  overflow: auto;
}
</style>
