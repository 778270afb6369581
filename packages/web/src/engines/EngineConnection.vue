<script setup lang="ts">
import { type Engine, type EngineTry, setApiKey, practise, switchEngine, tryEngine } from '@idolon/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayAmounts } from '../shared/said.ts'
import { PRACTICE } from './profile-words.ts'
import RequestPreview from './RequestPreview.vue'
import FoldOut from '../shared/FoldOut.vue'

/** How an engine is spoken to: what it has done so far, what it would be sent, one picture to try it, its secret, and faults for practice. */
const props = defineProps<{ engine: Engine }>()
const notices = useNotices()
const task = useTask()
const text = ref('A red fox in a meadow at dusk, gouache.')
const tried = ref<EngineTry>()
const trying = ref(false)
const secret = ref('')
const fault = ref<keyof typeof PRACTICE>('busy')
const times = ref(1)

const params = computed(() => ({ engine: props.engine.profile.id, revision: props.engine.profile.revision }))
const amount = (value: number) => sayAmounts([{ unit: props.engine.profile.costUnit, amount: value }])
const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`
const takesSecret = computed(() => Object.values(props.engine.profile.connection?.headers ?? {}).some((value) => value.includes('{secret}')))
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
const keep = (value: string | null) =>
  task(async () => {
    await call(setApiKey, { params: params.value, body: { apiKey: value } })
    secret.value = ''
    notices.show(value === null ? 'The API key is removed.' : 'The API key is kept, sealed. It is not shown again.')
  })
const misbehave = (kind: keyof typeof PRACTICE) =>
  task(async () => {
    await call(practise, { body: { fault: kind, times: times.value } })
    notices.show(kind === 'none' ? 'The simulated engines behave again.' : `The next ${times.value === 1 ? 'request' : `${times.value} requests`} to a simulated engine: it ${PRACTICE[kind]}.`)
  })
</script>

<template>
  <section class="connection" aria-labelledby="connection">
    <h3 id="connection">Connection</h3>
    <p>{{ soFar }} <span v-if="engine.usage.lastFailure" class="soft">The last that failed: {{ engine.usage.lastFailure }}</span></p>
    <p v-if="engine.off" class="line"><span>It is switched off: nothing is asked of it.</span><v-btn @click="setOff(false)">Switch it on</v-btn></p>
    <FoldOut title="What it is sent">
      <RequestPreview v-model:text="text" :profile="engine.profile" />
    </FoldOut>
    <p class="line">
      <v-btn :disabled="!engine.connected || trying" @click="tryIt">{{ trying ? 'Asking ...' : 'Try it with one picture' }}</v-btn>
      <span class="soft">{{ engine.connected ? `costs ${amount(engine.profile.sizes[0]!.cost)}; shown here and not kept` : engine.off ? 'switched off' : 'its profile says no address' }}</span>
      <v-btn v-if="!engine.off && engine.connected" variant="text" class="off" @click="setOff(true)">Switch it off</v-btn>
    </p>
    <figure v-if="tried" class="tried" role="status">
      <img v-if="tried.picture" :src="tried.picture" :alt="`What ${engine.profile.name} made of the text`" />
      <figcaption>
        <template v-if="tried.problem">{{ tried.problem }} <span class="soft">after {{ seconds(tried.tookMs) }}{{ tried.cost ? `; ${amount(tried.cost)} counted` : '; nothing was charged' }}</span></template>
        <template v-else>{{ tried.width }} by {{ tried.height }} pixels in {{ seconds(tried.tookMs) }}, {{ amount(tried.cost) }}<span v-if="engine.profile.simulated" class="soft"> · simulated</span></template>
      </figcaption>
    </figure>
    <form v-if="takesSecret" class="line" @submit.prevent="keep(secret)">
      <v-text-field v-model="secret" :label="engine.hasApiKey ? 'An API key is kept; a new one takes its place' : 'API key, for {secret} in the headers'" type="password" autocomplete="off" maxlength="4000" />
      <v-btn :disabled="secret === ''" type="submit">Keep the API key</v-btn>
      <v-btn v-if="engine.hasApiKey" variant="text" @click="keep(null)">Remove the API key</v-btn>
    </form>
    <form v-if="engine.profile.simulated" class="line" @submit.prevent="misbehave(fault)">
      <v-select v-model="fault" label="For practice, a simulated engine" class="practice" :items="Object.entries(PRACTICE).map(([key, says]) => ({ title: says, value: key }))" />
      <v-text-field v-model.number="times" label="So many times" type="number" min="1" max="100" class="short" />
      <v-btn type="submit">Have it misbehave</v-btn>
      <v-btn variant="text" @click="misbehave('none')">Behave again</v-btn>
    </form>
  </section>
</template>

<style scoped>
.connection {
  display: grid;
  gap: 10px;
}
.practice {
  flex: 1 1 260px;
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
.short {
  width: 130px;
}
</style>
