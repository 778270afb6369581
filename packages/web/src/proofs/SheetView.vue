<script setup lang="ts">
import { type ChangeEvent, changeProofs, readSheet, readTrial, type SheetProof, type Verdict } from '@idolon/contract'
import { type Fault, factorName, FAULTS, optionName } from '@idolon/core'
import { useLocalStorage } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useActions } from '../go-to/actions.ts'
import { pressed } from '../keys/key-map.ts'
import { useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import TrialLine from '../trial/TrialLine.vue'
import ImportButton from './ImportButton.vue'
import FaultRow from './FaultRow.vue'
import ProofsParts from './ProofsParts.vue'
import VerdictButtons from './VerdictButtons.vue'
import VerdictFilter from './VerdictFilter.vue'
import { binProofs, manyChangeFor, sharedVerdict, turned } from './mark-proofs.ts'
import ProofSheet from './ProofSheet.vue'
import type { Arrangement } from './sheet-layout.ts'
import { useSheetFilter } from './sheet-filter.ts'

const TrialEffects = defineAsyncComponent(() => import('../trial/TrialEffects.vue'))
const ClientDialog = defineAsyncComponent(() => import('./ClientDialog.vue'))
/** The first are there at once; the rest follows. */
const FIRST = 120
const REST = 2_000
/** Pictures come in bursts; a sheet is read once for each. */
const GATHER_MS = 400
/** Two to four stand side by side. */
const BESIDE = 4
const JUDGED = 100

const router = useRouter()
const projects = useProjects()
const task = useTask()
const sheet = useTemplateRef<InstanceType<typeof ProofSheet>>('sheet')
const height = useLocalStorage('idolon.sheet-height', 120)
const { text, set, filter, arrangement: kind } = useSheetFilter()
const selected = ref<Set<string>>(new Set())
const client = ref(false)
const writing = ref(false)
const note = ref('')
const noteField = ref<HTMLInputElement>()

const CHANGES = ({ kind: what }: ChangeEvent) => what === 'proof' || what === 'run'
/** The trial plan whose sheet this is, and what its options did. */
const { data: trial, load: loadTrial } = usePageData({ key: () => (filter.value.trial ? ['trial', filter.value.trial] : undefined), read: (signal) => call(readTrial, { params: { trial: filter.value.trial! }, signal }), on: CHANGES, gatherMs: GATHER_MS })
const effects = useLocalStorage('idolon.trial-effects', true)
const factors = computed(() => trial.value?.trial.body.factors.map(factorName) ?? [])
/** Options in the order of the plan; engines go by name. */
const order = computed(() => Object.fromEntries((trial.value?.trial.body.factors ?? []).flatMap((factor) => (factor.kind === 'engine' ? [] : [[factorName(factor), factor.options.map((_, i) => optionName(factor, i))]]))))
/** Engines across, where they vary; else the second thing. */
const layout = computed(() => {
  const columns = text('columns') || (factors.value.includes('engine') ? 'engine' : (factors.value[1] ?? ''))
  return { columns, rows: text('rows') || (factors.value.find((name) => name !== columns) ?? '') }
})

interface Read {
  of: string
  list: SheetProof[]
  total: number
}
const wanted = computed(() => JSON.stringify(filter.value))
const AT_LATEST_MS = 1_000
const untilIdle = () => new Promise<void>((resolve) => (window.requestIdleCallback ? window.requestIdleCallback(() => resolve(), { timeout: AT_LATEST_MS }) : resolve()))
/** What of a long sheet is there already. */
const begun = shallowRef<Read>()
async function readAll(signal: AbortSignal): Promise<Read> {
  const of = wanted.value
  const first = begun.value?.of === of ? REST : FIRST
  let all: Read = { of, list: [], total: 0 }
  do {
    const page = await call(readSheet, { query: { ...filter.value, limit: all.list.length === 0 ? first : REST, offset: all.list.length }, signal })
    all = { of, list: [...all.list, ...page.proofs], total: page.total }
    begun.value = all
    if (page.proofs.length === 0) break
    // The pictures in sight come before what is below them.
    if (all.list.length < all.total) await untilIdle()
  } while (all.list.length < all.total)
  return all
}
const { data: whole, problem, load, put } = usePageData({ key: () => ['sheet', wanted.value], read: readAll, on: CHANGES, gatherMs: GATHER_MS, keepBefore: true })
// What is there already stays in sight until the new list has come; of what was not there, the beginning is shown at once.
const shownNow = computed(() => (whole.value?.of === wanted.value ? whole.value : begun.value?.of === wanted.value ? begun.value : whole.value))
const proofs = computed(() => shownNow.value?.list ?? (problem.value ? [] : undefined))
const total = computed(() => shownNow.value?.total ?? 0)
const list = computed(() => proofs.value ?? [])
watch(list, (now) => {
  const there = new Set(now.map(({ id }) => id))
  if ([...selected.value].some((id) => !there.has(id))) selected.value = new Set([...selected.value].filter((id) => there.has(id)))
})
const versions = computed(() => [...new Set(list.value.map(({ version }) => version))].sort((a, b) => a - b))
const engines = computed(() => new Map(list.value.map(({ engine }) => [`${engine.id} ${engine.revision}`, `${engine.name} ${engine.revision}`])))
/** Settings that are not the same for all: worth laying out by. */
const varied = computed(() => {
  const values = new Map<string, Set<unknown>>()
  for (const { settings } of list.value) for (const [key, value] of Object.entries(settings)) values.set(key, (values.get(key) ?? new Set()).add(value))
  return [...values].filter(([key, own]) => own.size > 1 && !['count', 'width', 'height', 'seed'].includes(key)).map(([key]) => key)
})
const arrangement = computed((): Arrangement => {
  const [name = 'free', setting] = kind.value.split(' ')
  if (name === 'options' && factors.value.length) return { kind: name, ...layout.value, order: order.value }
  if (name === 'setting-seed' && setting) return { kind: name, setting }
  return name === 'version-engine' || name === 'prompt-engine' ? { kind: name } : { kind: 'free' }
})
const scope = computed(() => {
  const [first] = list.value
  if (trial.value) return `a trial plan of ${trial.value.trial.promptTitle}`
  if (filter.value.run && first) return `a run of ${first.promptTitle}`
  if (filter.value.prompt && first) return first.promptTitle
  return filter.value.project ? (projects.byId(filter.value.project)?.name ?? '') : 'all projects'
})

/** What is acted on: the selection, else the one that was reached. */
const chosen = computed(() => list.value.filter(({ id }) => selected.value.has(id)))
const same = computed(() => sharedVerdict(chosen.value))
const shared = computed(() => (Object.keys(FAULTS) as Fault[]).filter((fault) => chosen.value.length && chosen.value.every(({ faults }) => faults.includes(fault))))
type Change = { verdict?: Verdict | null; addFaults?: Fault[]; removeFaults?: Fault[]; note?: string }
/** Shown at once; what the server then says replaces it. */
function show(ids: ReadonlySet<string>, { verdict, addFaults = [], removeFaults = [] }: Change): void {
  const before = shownNow.value
  if (!before) return
  put({
    ...before,
    list: before.list.map((proof) =>
      ids.has(proof.id) && proof.picture ? { ...proof, ...(verdict === undefined ? {} : { verdict }), faults: [...new Set([...proof.faults, ...addFaults])].filter((fault) => !removeFaults.includes(fault)) } : proof,
    ),
  })
}
const change = (of: readonly SheetProof[], body: Change) =>
  task(async () => {
    if (of.length === 0) return
    show(new Set(of.map(({ id }) => id)), body)
    try {
      await call(changeProofs, { body: { proofs: of.map(({ id }) => id), ...body } })
    } finally {
      // What was being read when it was shown was dropped; where it was refused, what the server has is shown again.
      void load()
    }
  })
const toggle = (fault: Fault) => change(chosen.value, shared.value.includes(fault) ? { removeFaults: [fault] } : { addFaults: [fault] })
const judge = (verdict: Verdict) => change(chosen.value, { verdict: turned(same.value, verdict) })
const remove = (of: readonly SheetProof[]) => task(() => binProofs(of.map(({ id }) => id), () => void load()))
function onKey(event: KeyboardEvent, focused: SheetProof): void {
  const of = chosen.value.length ? chosen.value : [focused]
  const body = manyChangeFor(event, of)
  if (body) void change(of, body)
  else if (pressed('picture', event) === 'note') void beginNote(focused)
  else if (pressed('picture', event) === 'remove') void remove(of)
  else return
  event.preventDefault()
}
async function beginNote(focused?: SheetProof): Promise<void> {
  if (selected.value.size === 0 && focused) selected.value = new Set([focused.id])
  writing.value = true
  await nextTick()
  noteField.value?.focus()
}
function endNote(keep: boolean): void {
  if (keep && note.value.trim()) void change(chosen.value, { note: note.value.trim() })
  note.value = ''
  writing.value = false
  sheet.value?.focus()
}
const ids = () => chosen.value.filter(({ picture }) => picture).map(({ id }) => id).join(',')
const besides = computed(() => chosen.value.length >= 2 && chosen.value.length <= BESIDE)
const judgeable = computed(() => {
  const of = (chosen.value.length > 1 ? chosen.value : list.value).filter(({ picture }) => picture)
  return of.length >= 2 && of.length <= JUDGED ? of : []
})
const beside = () => router.push({ path: '/proofs/side-by-side', query: { ids: ids() } })
const blind = () => router.push({ path: '/proofs/judge', query: { ids: judgeable.value.map(({ id }) => id).join(',') } })
useActions(() => [
  ...(besides.value ? [{ name: 'Side by side', words: 'compare difference', run: () => void beside() }] : []),
  ...(judgeable.value.length ? [{ name: 'Judge blind', words: 'rank compare', run: () => void blind() }] : []),
  ...(chosen.value.length ? [{ name: 'For a client', words: 'export pdf png print', run: () => (client.value = true) }] : []),
])
</script>

<template>
  <main class="sheet-view">
    <header>
      <h1 class="view-title">Proofs <span class="scope">{{ scope }}</span> <span class="scope" role="status">{{ proofs === undefined ? 'Looking …' : list.length < total ? `${list.length.toLocaleString('en')} of ${counted(total, 'proof')}` : counted(total, 'proof') }}</span></h1>
      <ProofsParts />
      <div class="finding">
        <ImportButton />
        <v-select v-if="!filter.prompt && !filter.run && !filter.trial" label="Project" :model-value="text('project')" :clearable="text('project') !== ''" :items="[{ title: 'every project', value: '' }, ...projects.all.map((project) => ({ title: project.name, value: project.id }))]" @update:model-value="set('project', $event ?? '')" />
        <RouterLink v-else to="/proofs/sheet">All proofs</RouterLink>
        <v-select v-if="filter.prompt" label="Version" :model-value="text('version')" :clearable="text('version') !== ''" :items="[{ title: 'every version', value: '' }, ...versions.map((version) => ({ title: `version ${version}`, value: version }))]" @update:model-value="set('version', $event ?? '')" />
        <v-select label="Engine" :model-value="text('engine')" :clearable="text('engine') !== ''" :items="[{ title: 'every engine', value: '' }, ...[...engines].map(([key, name]) => ({ title: name, value: key }))]" @update:model-value="set('engine', $event ?? '')" />
        <VerdictFilter :verdict="text('verdict')" @change="set('verdict', $event)" />
        <v-select label="Fault" :model-value="text('fault')" :clearable="text('fault') !== ''" :items="[{ title: 'any or no fault', value: '' }, ...Object.entries(FAULTS).map(([fault, words]) => ({ title: words, value: fault })), { title: 'some fault', value: 'any' }, { title: 'no fault', value: 'none' }]" @update:model-value="set('fault', $event ?? '')" />
        <v-select label="Rows and columns" :model-value="kind" :items="[...(factors.length ? [{ title: 'by options', value: 'options' }] : []), { title: 'as they came', value: 'free' }, { title: 'versions by engines', value: 'version-engine' }, { title: 'prompts by engines', value: 'prompt-engine' }, ...varied.map((setting) => ({ title: `${setting} by seeds`, value: `setting-seed ${setting}` }))]" @update:model-value="set('by', $event)" />
        <template v-if="arrangement.kind === 'options' && factors.length > 1">
          <v-select v-for="side in (['rows', 'columns'] as const)" :key="side" :label="side" :model-value="layout[side]" :items="factors" @update:model-value="set(side, $event)" />
        </template>
        <v-slider v-model="height" label="Size" name="Size" :min="56" :max="320" :step="8" class="size" />
      </div>
      <div v-if="trial" class="trial">
        <TrialLine :trial="trial.trial" @changed="loadTrial" />
        <v-btn variant="text" :aria-expanded="effects" @click="effects = !effects">{{ effects ? 'Close what the options did' : 'What the options did' }}</v-btn>
        <RouterLink :to="`/desk/${trial.trial.promptId}`">Open the draft</RouterLink>
      </div>
      <TrialEffects v-if="trial && effects && (trial.trial.judged || trial.ranking)" :whole="trial" />
    </header>
    <v-skeleton-loader v-if="proofs === undefined" type="image@2" class="coming" />
    <p v-if="proofs && list.length === 0" class="empty">No proof is like that. <RouterLink v-if="Object.keys(filter).length" to="/proofs/sheet">Show all</RouterLink><RouterLink v-else to="/desk">Try a prompt on the Desk</RouterLink></p>
    <ProofSheet v-else ref="sheet" :proofs="list" :arrangement="arrangement" :height="height" :selected="selected" @select="selected = $event" @open="router.push(`/proofs/${$event.id}`)" @key="onKey" />
    <footer class="acts" :class="{ idle: chosen.length === 0 }">
      <template v-if="chosen.length">
        <p class="row-actions">
          <strong>{{ counted(chosen.length, 'proof') }} selected</strong>
          <VerdictButtons :verdict="same" of="the selected" @judge="judge" />
          <v-btn variant="text" @click="beginNote()">Note</v-btn>
          <v-btn v-tooltip="besides ? '' : 'Select two to four'" :disabled="!besides" @click="beside">Side by side</v-btn>
          <v-btn :disabled="judgeable.length === 0" color="primary" variant="flat" @click="blind">Judge blind</v-btn>
          <v-btn variant="text" @click="client = true">For a client</v-btn>
          <v-btn variant="text" @click="remove(chosen)">Delete</v-btn>
          <v-btn variant="text" class="end" @click="selected = new Set()">Select none</v-btn>
        </p>
        <FaultRow :faults="shared" @toggle="toggle" />
        <p v-if="writing" class="note"><v-text-field ref="noteField" v-model="note" label="Note to add" maxlength="4000" placeholder="Added to each note" @keydown.enter="endNote(true)" @keydown.escape.stop="endNote(false)" /><v-btn @click="endNote(true)">Add</v-btn></p>
      </template>
      <p v-else class="row-actions soft">
        <span>Click or Space selects, Shift or Ctrl more of them, Enter opens.</span>
        <v-btn v-tooltip="judgeable.length ? '' : 'A sitting has two to a hundred pictures; narrow the sheet down or select some'" :disabled="judgeable.length === 0" color="primary" variant="flat" class="end" @click="blind">Judge all of these blind</v-btn>
      </p>
    </footer>
    <ClientDialog v-if="client" v-model="client" :proofs="chosen" />
  </main>
</template>

<style scoped>
.sheet-view {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100vh;
}
header {
  padding: 18px 28px 0;
}
.finding {
  gap: 8px 10px;
}
.trial {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
  margin-bottom: 8px;
}
.size {
  flex: 0 0 210px;
}
.sheet-view > :deep(.scroller) {
  margin-left: 28px;
}
/* Where the pictures come. */
.coming {
  grid-area: 2 / 1;
  width: 400px;
  margin: 8px 28px;
}
.empty {
  padding: 12px 28px;
}
.acts {
  display: grid;
  gap: 8px;
  padding: 10px 28px;
  border-top: 1px solid var(--rule);
  background: var(--sheet);
}
.end {
  margin-left: auto;
}
.note {
  display: flex;
  gap: 8px;
}
</style>
