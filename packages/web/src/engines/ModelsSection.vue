<script setup lang="ts">
import { setModelApiKey, MISBEHAVIOURS, type Model, practiseModels, removeModel, saveModel, switchModel, tryModel } from '@idolon/contract'
import { takesApiKey } from '@idolon/core'
import type { ModelProfile } from '@idolon/core/helper'
import { ref, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayAmounts } from '../shared/said.ts'
import { useModels } from '../stores/models.ts'
import ApiKeyForm from './ApiKeyForm.vue'
import ModelForm from './ModelForm.vue'
import PracticeForm from './PracticeForm.vue'

/** The language models that helpers are sent to: each by address, key and name, or by a profile of its own shape. */
const models = useModels()
const notices = useNotices()
const task = useTask()
void models.load()
const open = ref('')
const tried = shallowRef<{ id: string; said: string | null; tookMs: number; problem: string | null }>()
const trying = ref('')

const stateOf = ({ off, profile, connected }: Model) => (off ? 'switched off' : profile.simulated ? 'simulated' : connected ? 'connected' : 'no address')
const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`
const soFar = ({ usage: { answered, failed, medianMs, spent }, profile }: Model) => (answered + failed === 0 ? 'Nothing was asked of it yet.' : `${answered} answered${medianMs === null ? '' : `, half within ${seconds(medianMs)}`}; ${failed ? `${failed} failed` : 'none failed'}; ${sayAmounts([{ unit: profile.costUnit, amount: spent }])} spent.`)
const costs = ({ costUnit, cost }: ModelProfile) => [cost.request ? `${sayAmounts([{ unit: costUnit, amount: cost.request }])} a question` : '', `${sayAmounts([{ unit: costUnit, amount: cost.thousandIn }])} for a thousand tokens sent, ${sayAmounts([{ unit: costUnit, amount: cost.thousandOut }])} answered`].filter(Boolean).join('; ')

const FRESH: ModelProfile = { id: '', name: '', simulated: false, model: '', sees: false, costUnit: 'token', cost: { request: 0, thousandIn: 1_000, thousandOut: 1_000 }, mostOut: 2_000, notes: '' }
const writing = shallowRef<{ isNew: boolean; profile: ModelProfile }>()
const write = (model?: Model) => (writing.value = { isNew: !model, profile: model?.profile ?? FRESH })
const save = (profile: ModelProfile) =>
  task(async () => {
    await call(saveModel, { params: { model: profile.id }, body: profile })
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
async function saveApiKey(id: string, apiKey: string | null): Promise<void> {
  await call(setModelApiKey, { params: { model: id }, body: { apiKey } })
  await models.read()
}
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
const misbehave = (how: keyof typeof MISBEHAVIOURS, times: number) =>
  task(async () => {
    await call(practiseModels, { body: how === 'none' ? { misbehaviour: 'none', gullible: false } : { misbehaviour: how, times } })
    notices.show(how === 'none' ? 'The simulated models behave again.' : `The next ${times === 1 ? 'answer' : `${times} answers`} of the simulated models: they ${MISBEHAVIOURS[how]}.`)
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
        <v-btn variant="text" :aria-expanded="open === model.profile.id" class="choice lines" @click="(open = open === model.profile.id ? '' : model.profile.id), (writing = undefined)"><span class="name">{{ model.profile.name }}</span> <span class="soft">{{ stateOf(model) }}{{ model.usage.answered ? `, ${model.usage.answered} answered` : '' }}</span></v-btn>
        <div v-if="open === model.profile.id && !writing" class="model">
          <p class="notes">{{ model.profile.notes }}</p>
          <p>{{ soFar(model) }}<span v-if="model.usage.lastFailure" class="soft"> The last that failed: {{ model.usage.lastFailure }}</span></p>
          <p class="soft">Costs {{ costs(model.profile) }}. {{ model.profile.connection ? `Spoken to at ${model.profile.connection.url}.` : model.profile.simulated ? 'Simulated: it writes here, by rule.' : '' }}</p>
          <p class="row-actions">
            <v-btn :disabled="!model.connected || trying !== ''" @click="tryIt(model.profile.id)">{{ trying === model.profile.id ? 'Asking ...' : 'Ask it a few words' }}</v-btn>
            <v-btn @click="write(model)">Edit the profile</v-btn>
            <v-btn variant="text" @click="setOff(model.profile.id, !model.off)">{{ model.off ? 'Switch on' : 'Switch off' }}</v-btn>
            <v-btn v-if="model.origin !== 'shipped'" variant="text" @click="remove(model)">{{ model.origin === 'own' ? 'Remove it' : 'Reset to what ships' }}</v-btn>
          </p>
          <p v-if="tried?.id === model.profile.id" role="status">{{ tried.problem ?? tried.said }} <span class="soft">after {{ seconds(tried.tookMs) }}</span></p>
          <ApiKeyForm v-if="takesApiKey(model.profile.connection)" :kept="model.hasApiKey" :save="(apiKey) => saveApiKey(model.profile.id, apiKey)" />
          <PracticeForm v-if="model.profile.simulated" label="For practice, the simulated models" act="Have them misbehave" :faults="MISBEHAVIOURS" first="prose" @misbehave="misbehave" @behave="misbehave('none', 1)"><v-btn variant="text" @click="makeGullible">Make them gullible</v-btn></PracticeForm>
        </div>
      </li>
    </ul>
    <ModelForm v-if="writing" :key="writing.profile.id" :profile="writing.profile" :is-new="writing.isNew" @save="save" @cancel="writing = undefined" />
    <p v-else><v-btn @click="write()">Add a model</v-btn></p>
  </section>
</template>

<style scoped>
.models,
.model {
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
</style>
