<script setup lang="ts">
import { keepModelSecret, MISBEHAVIOURS, type Model, practiseModels, removeModel, saveModel, switchModel, tryModel } from '@idolon/contract'
import { chatConnection, type ModelConnection, type ModelProfile } from '@idolon/core/helper'
import { computed, ref, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayAmounts } from '../shared/said.ts'
import { useModels } from '../stores/models.ts'

/** The language models that helpers are sent to: each by address, key and name, or by a profile of its own shape. */
const models = useModels()
const notices = useNotices()
const task = useTask()
void models.load().catch(notices.showError)
const open = ref('')
const tried = shallowRef<{ id: string; said: string | null; tookMs: number; problem: string | null }>()
const trying = ref('')
const secret = ref('')
const misbehaviour = ref<keyof typeof MISBEHAVIOURS>('prose')
const times = ref(1)
const writing = shallowRef<{ isNew: boolean; profile: ModelProfile; address: string; key: boolean; shape: string }>()

const stateOf = ({ off, profile, connected }: Model) => (off ? 'switched off' : profile.simulated ? 'simulated' : connected ? 'connected' : 'no address')
const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`
const soFar = ({ usage: { answered, failed, medianMs, spent }, profile }: Model) => (answered + failed === 0 ? 'Nothing was asked of it yet.' : `${answered} answered${medianMs === null ? '' : `, half within ${seconds(medianMs)}`}; ${failed ? `${failed} failed` : 'none failed'}; ${sayAmounts([{ unit: profile.costUnit, amount: spent }])} spent.`)
const costs = ({ costUnit, cost }: ModelProfile) => [cost.request ? `${sayAmounts([{ unit: costUnit, amount: cost.request }])} a question` : '', `${sayAmounts([{ unit: costUnit, amount: cost.thousandIn }])} for a thousand pieces sent, ${sayAmounts([{ unit: costUnit, amount: cost.thousandOut }])} answered`].filter(Boolean).join('; ')
const takesSecret = ({ profile }: Model) => Object.values(profile.connection?.headers ?? {}).some((value) => value.includes('{secret}'))

const FRESH: ModelProfile = { id: '', name: '', simulated: false, model: '', sees: false, costUnit: 'piece', cost: { request: 0, thousandIn: 1_000, thousandOut: 1_000 }, mostOut: 2_000, notes: '' }
function write(model?: Model): void {
  const { profile } = model ?? { profile: FRESH }
  const { connection } = profile
  const usual = connection && JSON.stringify({ ...chatConnection(connection.url, connection.headers !== undefined), timeoutSeconds: connection.timeoutSeconds }) === JSON.stringify({ ...connection, timeoutSeconds: connection.timeoutSeconds })
  writing.value = { isNew: !model, profile: structuredClone(profile), address: connection?.url ?? '', key: connection?.headers !== undefined || !model, shape: connection && !usual ? JSON.stringify(connection, null, 2) : '' }
}
const change = (more: Partial<ModelProfile>) => writing.value && (writing.value = { ...writing.value, profile: { ...writing.value.profile, ...more } })
const set = (more: Partial<NonNullable<typeof writing.value>>) => writing.value && (writing.value = { ...writing.value, ...more })
const shapeProblem = computed(() => {
  const shape = writing.value?.shape.trim()
  if (!shape) return ''
  try {
    JSON.parse(shape)
    return ''
  } catch (error) {
    return error instanceof Error ? error.message : 'not JSON'
  }
})
const problem = computed(() => {
  const now = writing.value
  if (!now) return ''
  if (!/^[a-z0-9][a-z0-9-]{0,59}$/.test(now.profile.id)) return 'The short name is small letters, digits and hyphens.'
  if (!now.profile.name.trim() || !now.profile.model.trim()) return 'It wants a name, and what the service calls the model.'
  if (!now.shape.trim() && !now.profile.simulated && !URL.canParse(now.address)) return 'Give the address, with https:// or http://.'
  return shapeProblem.value && `The shape: ${shapeProblem.value}`
})
const save = () =>
  task(async () => {
    const now = writing.value
    if (!now || problem.value) return
    const { connection: _, ...profile } = now.profile
    const connection = now.shape.trim() ? (JSON.parse(now.shape) as ModelConnection) : now.address ? chatConnection(now.address, now.key) : undefined
    await call(saveModel, { params: { model: profile.id }, body: { ...profile, ...(connection ? { connection } : {}) } })
    await models.read()
    open.value = profile.id
    writing.value = undefined
    notices.show(`${profile.name} is saved.`)
  })
async function tryIt(id: string): Promise<void> {
  trying.value = id
  tried.value = undefined
  const answer = await task(() => call(tryModel, { params: { model: id } }))
  if (answer) tried.value = { id, ...answer }
  trying.value = ''
}
const setOff = (id: string, off: boolean) =>
  task(async () => {
    await call(switchModel, { params: { model: id }, body: { off } })
    await models.read()
  })
const keep = (id: string, value: string | null) =>
  task(async () => {
    await call(keepModelSecret, { params: { model: id }, body: { secret: value } })
    secret.value = ''
    await models.read()
    notices.show(value === null ? 'The key is forgotten.' : 'The key is kept, sealed. It is not shown again.')
  })
const put = (profile: ModelProfile) =>
  task(async () => {
    await call(saveModel, { params: { model: profile.id }, body: profile })
    await models.read()
  })
const remove = ({ profile, origin }: Model) =>
  task(async () => {
    await call(removeModel, { params: { model: profile.id } })
    await models.read()
    notices.show(origin === 'own' ? `${profile.name} is removed.` : `${profile.name} is as it ships.`, { action: { label: 'Undo', run: () => void put(profile) } })
  })
const misbehave = (how: keyof typeof MISBEHAVIOURS) =>
  task(async () => {
    await call(practiseModels, { body: how === 'none' ? { misbehaviour: 'none', gullible: false } : { misbehaviour: how, times: times.value } })
    notices.show(how === 'none' ? 'The simulated models behave again.' : `The next ${times.value === 1 ? 'answer' : `${times.value} answers`} of the simulated models: they ${MISBEHAVIOURS[how]}.`)
  })
const makeGullible = () =>
  task(async () => {
    await call(practiseModels, { body: { gullible: true } })
    notices.show('The simulated models now follow whatever stands in a draft, until they behave again.')
  })
</script>

<template>
  <section id="models" class="models" aria-labelledby="models-title">
    <h2 id="models-title" class="titled">Language models <span class="soft">for helpers</span></h2>
    <ul>
      <li v-for="model in models.all" :key="model.profile.id">
        <button class="choice" :aria-expanded="open === model.profile.id" @click="(open = open === model.profile.id ? '' : model.profile.id), (writing = undefined)">
          <span class="name">{{ model.profile.name }}</span> <span class="soft">{{ stateOf(model) }}{{ model.usage.answered ? `, ${model.usage.answered} answered` : '' }}</span>
        </button>
        <div v-if="open === model.profile.id && !writing" class="model">
          <p class="notes">{{ model.profile.notes }}</p>
          <p>{{ soFar(model) }}<span v-if="model.usage.lastFailure" class="soft"> The last that failed: {{ model.usage.lastFailure }}</span></p>
          <p class="soft">Costs {{ costs(model.profile) }}. {{ model.profile.connection ? `Spoken to at ${model.profile.connection.url}.` : model.profile.simulated ? 'Simulated: it writes here, by rule.' : '' }}</p>
          <p class="row-actions">
            <button class="quiet" :disabled="!model.connected || trying !== ''" @click="tryIt(model.profile.id)">{{ trying === model.profile.id ? 'Asking ...' : 'Ask it a few words' }}</button>
            <button class="plain" @click="write(model)">Change the profile</button>
            <button class="plain" @click="setOff(model.profile.id, !model.off)">{{ model.off ? 'Switch it on' : 'Switch it off' }}</button>
            <button v-if="model.origin !== 'shipped'" class="plain" @click="remove(model)">{{ model.origin === 'own' ? 'Remove it' : 'Take the changes back' }}</button>
          </p>
          <p v-if="tried?.id === model.profile.id" role="status">{{ tried.problem ?? tried.said }} <span class="soft">after {{ seconds(tried.tookMs) }}</span></p>
          <form v-if="takesSecret(model)" class="line" @submit.prevent="keep(model.profile.id, secret)">
            <label class="labelled"><span>{{ model.hasSecret ? 'A key is kept; a new one takes its place' : 'Its key' }}</span><input v-model="secret" class="field" type="password" autocomplete="off" maxlength="4000" /></label>
            <button class="quiet" :disabled="secret === ''">Keep the key</button>
            <button v-if="model.hasSecret" type="button" class="plain" @click="keep(model.profile.id, null)">Forget it</button>
          </form>
          <form v-if="model.profile.simulated" class="line" @submit.prevent="misbehave(misbehaviour)">
            <label class="labelled"><span>For practice, the simulated models</span><select v-model="misbehaviour" class="field"><option v-for="(says, key) in MISBEHAVIOURS" :key="key" :value="key">{{ says }}</option></select></label>
            <label class="labelled"><span>so many times</span><input v-model.number="times" class="field short" type="number" min="1" max="100" /></label>
            <button class="quiet">Have them misbehave</button>
            <button type="button" class="plain" @click="makeGullible">Make them gullible</button>
            <button type="button" class="plain" @click="misbehave('none')">Behave again</button>
          </form>
        </div>
      </li>
    </ul>
    <form v-if="writing" class="writing" @submit.prevent="save">
      <div class="pair">
        <label class="labelled"><span>Name</span><input class="field" maxlength="60" :value="writing.profile.name" @input="change({ name: ($event.target as HTMLInputElement).value, ...(writing.isNew ? { id: ($event.target as HTMLInputElement).value.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') } : {}) })" /></label>
        <label class="labelled"><span>Short name, for good</span><input class="field" maxlength="60" :disabled="!writing.isNew" :value="writing.profile.id" @input="change({ id: ($event.target as HTMLInputElement).value })" /></label>
        <label class="labelled"><span>What the service calls it</span><input class="field" maxlength="200" :value="writing.profile.model" @input="change({ model: ($event.target as HTMLInputElement).value })" /></label>
      </div>
      <label class="labelled"><span>Address of its chat completions</span><input class="field" :value="writing.address" :disabled="writing.shape.trim() !== ''" placeholder="https://" @input="set({ address: ($event.target as HTMLInputElement).value })" /></label>
      <p><label><input type="checkbox" :checked="writing.key" @change="set({ key: ($event.target as HTMLInputElement).checked })" /> it wants a key, given once it is saved</label> <label><input type="checkbox" :checked="writing.profile.sees" @change="change({ sees: ($event.target as HTMLInputElement).checked })" /> it takes pictures</label></p>
      <div class="pair">
        <label class="labelled"><span>Counts in</span><input class="field" maxlength="60" :value="writing.profile.costUnit" @input="change({ costUnit: ($event.target as HTMLInputElement).value })" /></label>
        <label class="labelled"><span>A question</span><input class="field" type="number" min="0" :value="writing.profile.cost.request" @input="change({ cost: { ...writing.profile.cost, request: Number(($event.target as HTMLInputElement).value) } })" /></label>
        <label class="labelled"><span>A thousand pieces sent</span><input class="field" type="number" min="0" :value="writing.profile.cost.thousandIn" @input="change({ cost: { ...writing.profile.cost, thousandIn: Number(($event.target as HTMLInputElement).value) } })" /></label>
        <label class="labelled"><span>A thousand answered</span><input class="field" type="number" min="0" :value="writing.profile.cost.thousandOut" @input="change({ cost: { ...writing.profile.cost, thousandOut: Number(($event.target as HTMLInputElement).value) } })" /></label>
      </div>
      <label class="labelled"><span>Notes</span><textarea class="field" rows="2" maxlength="4000" :value="writing.profile.notes" @input="change({ notes: ($event.target as HTMLTextAreaElement).value })" /></label>
      <details :open="writing.shape !== ''">
        <summary>A service of another shape</summary>
        <label class="labelled"><span>How it is spoken to, as JSON: url, headers, a body that names {messages} or {system} and {user}, and where in its answer the text stands. Empty for the usual shape.</span><textarea class="field exact" rows="8" :value="writing.shape" @input="set({ shape: ($event.target as HTMLTextAreaElement).value })" /></label>
        <button v-if="!writing.shape" type="button" class="plain" @click="set({ shape: JSON.stringify(chatConnection(writing.address || 'https://', true), null, 2) })">Begin with the usual shape</button>
      </details>
      <p class="row-actions"><button class="do" :disabled="problem !== ''">Save</button><button type="button" class="quiet" @click="writing = undefined">Leave it</button><span class="soft">{{ problem }}</span></p>
    </form>
    <p v-else><button class="quiet" @click="write()">Add a model</button></p>
  </section>
</template>

<style scoped>
.models,
.model,
.writing {
  display: grid;
  gap: 10px;
}
.models {
  max-width: 860px;
  padding-top: 18px;
  border-top: 1px solid var(--rule-strong);
}
.model {
  padding: 10px 0 16px 12px;
}
.notes {
  font-family: var(--serif);
  font-size: 16px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
}
.line .plain {
  align-self: center;
}
.short {
  width: 84px;
}
.writing {
  padding: 14px;
  border: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
}
.writing p {
  display: flex;
  gap: 18px;
}
textarea.field {
  width: 100%;
}
summary {
  cursor: pointer;
  width: max-content;
}
</style>
