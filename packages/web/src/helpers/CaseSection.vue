<script setup lang="ts">
import { type CaseRun, type CaseSide, type HelperWhole, listCaseRuns, removeCase, saveCase, startCaseRun, stopCaseRun, type SavedCase } from '@idolon/contract'
import { costOf, type HelperCase } from '@idolon/core/helper'
import { computed, ref, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted, sayAmounts, sayWhen } from '../shared/said.ts'
import { useModels } from '../stores/models.ts'
import { useProjects } from '../stores/projects.ts'
import CaseForm from './CaseForm.vue'
import CaseRunTable from './CaseRunTable.vue'
import { sayCriterion } from './criterion-words.ts'

/** Saved inputs with what a good answer must satisfy, and what came of them on versions and models. */
const props = defineProps<{ whole: HelperWhole }>()
const emit = defineEmits<{ changed: [whole: HelperWhole] }>()
const models = useModels()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const id = computed(() => props.whole.helper.id)
const writing = shallowRef<{ id: string; start: HelperCase }>()
const { data, put: putAll } = usePageData({
  key: () => ['case runs', id.value],
  read: (signal) => call(listCaseRuns, { params: { helper: id.value }, signal }),
  on: (event, list) => event.caseRunId !== undefined && (list?.some((one) => one.id === event.caseRunId) ?? false),
  gatherMs: 150,
})
const runs = computed(() => data.value ?? [])
const put = (now: CaseRun) => putAll(runs.value.some((one) => one.id === now.id) ? runs.value.map((one) => (one.id === now.id ? now : one)) : [now, ...runs.value])
const shown = ref('')
const run = computed(() => runs.value.find((one) => one.id === shown.value) ?? runs.value[0])
const first = ref<CaseSide>({ version: props.whole.helper.current, model: models.usual })
/** Undefined for none: one side alone. */
const second = ref<CaseSide | undefined>(props.whole.versions.length > 1 ? { version: props.whole.versions.find(({ number }) => number !== props.whole.helper.current)?.number ?? props.whole.helper.current, model: models.usual } : undefined)
const sides = computed(() => [first.value, ...(second.value ? [second.value] : [])])
const alike = computed(() => second.value?.version === first.value.version && second.value.model === first.value.model)
/** About four hundred tokens in and two hundred out a case. */
const cost = computed(() => sayAmounts(sides.value.flatMap(({ model }) => {
  const profile = models.find(model)
  return profile ? [{ unit: profile.costUnit, amount: props.whole.cases.length * Math.round(costOf(profile, 650, 180) / 50) * 50 }] : []
}).reduce<{ unit: string; amount: number }[]>((sums, one) => (sums.some(({ unit }) => unit === one.unit) ? sums.map((sum) => (sum.unit === one.unit ? { ...sum, amount: sum.amount + one.amount } : sum)) : [...sums, one]), [])))

const start = () =>
  task(async () => {
    const project = await projects.currentOrFirst()
    const begun = await call(startCaseRun, { params: { helper: id.value }, body: { id: crypto.randomUUID(), projectId: project.id, sides: sides.value, seed: Math.floor(Math.random() * 1_000_000) } })
    put(begun)
    shown.value = begun.id
  })
const stop = (one: CaseRun) => task(async () => put(await call(stopCaseRun, { params: { run: one.id } })))
const keep = (one: HelperCase) =>
  task(async () => {
    if (!writing.value) return
    emit('changed', await call(saveCase, { params: { helper: id.value, case: writing.value.id }, body: one }))
    writing.value = undefined
  })
const takeAway = (one: SavedCase) =>
  task(async () => {
    emit('changed', await call(removeCase, { params: { helper: id.value, case: one.id } }))
    notices.show(`The case “${one.case.name}” is removed.`, { action: { label: 'Undo', run: () => void task(async () => emit('changed', await call(saveCase, { params: { helper: id.value, case: crypto.randomUUID() }, body: one.case }))) } })
  })
const add = () => (writing.value = { id: crypto.randomUUID(), start: fresh() })
const fresh = (): HelperCase => ({ name: '', text: '', locked: [], leaveOut: [], engine: null, values: {}, existing: [], criteria: [{ kind: 'no-stops' }] })
</script>

<template>
  <section class="cases" aria-labelledby="cases-title">
    <h3 id="cases-title">Cases <span class="soft">{{ whole.cases.length ? '' : 'none yet: a case is an input with what a good answer to it must satisfy' }}</span></h3>
    <ul class="list">
      <li v-for="one in whole.cases" :key="one.id">
        <CaseForm v-if="writing?.id === one.id" :body="whole.helper.body" :start="writing.start" @save="keep" @cancel="writing = undefined" />
        <template v-else>
          <v-btn variant="text" class="name" @click="writing = { id: one.id, start: one.case }">{{ one.case.name }}</v-btn>
          <span class="soft">{{ one.case.criteria.map(sayCriterion).join('; ') }}</span>
          <v-btn variant="text" :aria-label="`Remove the case ${one.case.name}`" class="away" @click="takeAway(one)">Remove</v-btn>
        </template>
      </li>
      <li v-if="writing && !whole.cases.some(({ id: known }) => known === writing?.id)"><CaseForm :body="whole.helper.body" :start="writing.start" @save="keep" @cancel="writing = undefined" /></li>
    </ul>
    <p class="row-actions"><v-btn @click="add">Add a case</v-btn></p>

    <form v-if="whole.cases.length" class="start" @submit.prevent="start">
        <span class="row-actions"><span class="soft">Run them on</span>
          <v-select v-model.number="first.version" label="Version" :items="whole.versions.map(({ number }) => ({ title: `version ${number}${number === whole.helper.current ? ', used' : ''}`, value: number }))" />
          <v-select v-model="first.model" label="Model" :items="models.usable.map(({ profile }) => ({ title: profile.name, value: profile.id }))" />
        </span>
        <span v-if="second" class="row-actions"><span class="soft">and on</span>
          <v-select v-model.number="second.version" label="Second version" :items="whole.versions.map(({ number }) => ({ title: `version ${number}${number === whole.helper.current ? ', used' : ''}`, value: number }))" />
          <v-select v-model="second.model" label="Second model" :items="models.usable.map(({ profile }) => ({ title: profile.name, value: profile.id }))" />
          <v-btn variant="text" @click="second = undefined">on one alone</v-btn>
        </span>
      <v-btn v-else variant="text" class="beside" @click="second = { ...first }">and beside it on another</v-btn>
      <span class="row-actions go"><v-btn color="primary" variant="flat" :disabled="alike || models.usable.length === 0" type="submit">Run {{ counted(whole.cases.length * sides.length, 'case') }}</v-btn><span class="soft">{{ alike ? 'Both are the same.' : `about ${cost}, to ${projects.current?.name ?? 'the first project'}` }}</span></span>
    </form>

    <template v-if="run">
      <p v-if="runs.length > 1" class="row-actions">
        <v-select v-model="shown" label="Run" :items="runs.map((one) => ({ title: `${sayWhen(one.askedAt)}: ${one.sides.map(({ version, model }) => `version ${version}, ${models.find(model)?.name ?? model}`).join(' and ')}`, value: one.id }))" />
      </p>
      <CaseRunTable :key="run.id" :run="run" @stop="stop(run)" />
    </template>
  </section>
</template>

<style scoped>
.cases {
  display: grid;
  gap: 12px;
}
h3 .soft {
  font-weight: 400;
}
.list {
  display: grid;
}
.list > li {
  display: grid;
  grid-template-columns: minmax(140px, 24%) minmax(0, 1fr) auto;
  gap: 4px 14px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.list > li:has(form) {
  display: block;
}
.name {
  justify-self: start;
  text-align: left;
}
.away {
  font-size: 13px;
}
.start {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
  align-items: end;
  padding-top: 8px;
}
.start .row-actions {
  gap: 8px;
}
.beside {
  align-self: center;
}
</style>
