<script setup lang="ts">
import { type Engine, type EngineTry, setApiKey, practise, switchEngine, tryEngine } from '@idolon/contract'
import { takesApiKey } from '@idolon/core'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayAmounts } from '../shared/said.ts'
import { PRACTICE } from './profile-words.ts'
import ApiKeyForm from './ApiKeyForm.vue'
import PracticeForm from './PracticeForm.vue'
import RequestPreview from './RequestPreview.vue'
import FoldOut from '../shared/FoldOut.vue'

/** How an engine is spoken to: what it has done so far, what it would be sent, one picture to try it, its API key, and faults for practice. */
const props = defineProps<{ engine: Engine }>()
const notices = useNotices()
const task = useTask()
const text = ref('A red fox in a meadow at dusk, gouache.')
const tried = ref<EngineTry>()
const trying = ref(false)

const params = computed(() => ({ engine: props.engine.profile.id, revision: props.engine.profile.revision }))
const amount = (value: number) => sayAmounts([{ unit: props.engine.profile.costUnit, amount: value }])
const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`
const soFar = computed(() => {
  const { stored, failed, medianMs, spent } = props.engine.usage
  if (stored + failed === 0) return 'Nothing was asked of it yet.'
  return `${stored === 1 ? 'One picture' : `${stored} pictures`}${medianMs === null ? '' : `, half of them within ${seconds(medianMs)}`}; ${failed === 0 ? 'none failed' : failed === 1 ? 'one failed' : `${failed} failed`}; ${amount(spent)} spent.`
})

async function tryIt(): Promise<void> {
  trying.value = true
  tried.value = undefined
  tried.value = await task(() => call(tryEngine, { params: params.value, body: { text: text.value } }))
  trying.value = false
}
const setOff = (off: boolean) => task(() => call(switchEngine, { params: params.value, body: { off } }))
const saveApiKey = (apiKey: string | null) => call(setApiKey, { params: params.value, body: { apiKey } })
const misbehave = (kind: keyof typeof PRACTICE, times: number) =>
  task(async () => {
    await call(practise, { body: { fault: kind, times } })
    notices.show(kind === 'none' ? 'The simulated engines behave again.' : `The next ${times === 1 ? 'request' : `${times} requests`} to a simulated engine: it ${PRACTICE[kind]}.`)
  })
</script>

<template>
  <section class="connection" aria-labelledby="connection">
    <h3 id="connection">Connection</h3>
    <p>{{ soFar }} <span v-if="engine.usage.lastFailure" class="soft">The last that failed: {{ engine.usage.lastFailure }}</span></p>
    <p v-if="engine.off" class="line"><span>It is switched off: nothing is asked of it.</span><v-btn @click="setOff(false)">Switch on</v-btn></p>
    <FoldOut title="What it is sent">
      <RequestPreview v-model:text="text" :profile="engine.profile" />
    </FoldOut>
    <p class="line">
      <v-btn :disabled="!engine.connected || trying" @click="tryIt">{{ trying ? 'Asking ...' : 'Try it with one picture' }}</v-btn>
      <span class="soft">{{ engine.connected ? `costs ${amount(engine.profile.sizes[0]!.cost)}; shown here and not kept` : engine.off ? 'switched off' : 'its profile says no address' }}</span>
      <v-btn v-if="!engine.off && engine.connected" variant="text" class="off" @click="setOff(true)">Switch off</v-btn>
    </p>
    <figure v-if="tried" class="tried" role="status">
      <img v-if="tried.picture" :src="tried.picture" :alt="`What ${engine.profile.name} made of the text`" />
      <figcaption>
        <template v-if="tried.problem">{{ tried.problem }} <span class="soft">after {{ seconds(tried.tookMs) }}{{ tried.cost ? `; ${amount(tried.cost)} counted` : '; nothing was charged' }}</span></template>
        <template v-else>{{ tried.width }} by {{ tried.height }} pixels in {{ seconds(tried.tookMs) }}, {{ amount(tried.cost) }}<span v-if="engine.profile.simulated" class="soft"> · simulated</span></template>
      </figcaption>
    </figure>
    <ApiKeyForm v-if="takesApiKey(engine.profile.connection)" :kept="engine.hasApiKey" :save="saveApiKey" />
    <PracticeForm v-if="engine.profile.simulated" label="For practice, a simulated engine" act="Have it misbehave" :faults="PRACTICE" first="busy" @misbehave="misbehave" @behave="misbehave('none', 1)" />
  </section>
</template>

<style scoped>
.connection {
  display: grid;
  gap: 10px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
}
.line > .soft,
.line > span {
  align-self: center;
}
.off {
  margin-left: auto;
}
.tried {
  display: grid;
  gap: 4px;
  margin: 0;
}
.tried img {
  max-width: 360px;
  border: 1px solid var(--rule);
}
figcaption {
  font-size: 13.5px;
}
</style>
