<script setup lang="ts">
import { listRuns, type Proof, readRun, recentRuns, type Run } from '@idolon/contract'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import { useNotices } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import TrialLines from '../trial/TrialLines.vue'
import ImportButton from './ImportButton.vue'
import RunRow from './RunRow.vue'
import VerdictFilter from './VerdictFilter.vue'

const PAGE = 15
const route = useRoute()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const runs = ref<Run[]>()
const more = ref(false)
const height = useLocalStorage('idolon.proof-height', 168)

const text = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
const set = (name: string, value: string) => void router.replace({ query: { ...route.query, [name]: value || undefined } })
const promptId = computed(() => text('prompt'))
const runId = computed(() => text('run'))
const verdict = computed(() => text('verdict'))

async function fetchRuns(offset: number): Promise<Run[]> {
  if (runId.value) return [await call(readRun, { params: { run: runId.value } })]
  if (promptId.value) return call(listRuns, { params: { prompt: promptId.value }, query: { limit: 200 } })
  return call(recentRuns, { query: { limit: PAGE, offset, ...(text('project') ? { project: text('project') } : {}) } })
}
async function load(add = false): Promise<void> {
  try {
    const next = await fetchRuns(add ? (runs.value?.length ?? 0) : 0)
    runs.value = add ? [...(runs.value ?? []), ...next] : next
    more.value = !runId.value && !promptId.value && next.length === PAGE
  } catch (error) {
    runs.value ??= []
    notices.showError(error)
  }
}
watch(() => [promptId.value, runId.value, text('project')], () => void load(), { immediate: true })
onChange((event) => {
  if (event === 'reset') void load()
  else if (event.kind === 'proof' && event.runId) {
    const { runId: changed } = event
    if (runs.value?.some(({ id }) => id === changed)) void call(readRun, { params: { run: changed } }).then(replace).catch(() => undefined)
  } else if (event.kind === 'run') void load()
})
function replace(run: Run): void {
  runs.value = runs.value?.map((old) => (old.id === run.id ? run : old))
}
function proofChanged(proof: Proof): void {
  runs.value = runs.value?.map((run) => (run.id === proof.runId ? { ...run, proofs: run.proofs.map((old) => (old.id === proof.id ? proof : old)) } : run))
}

const fits = (proof: Proof) => !verdict.value || (verdict.value === 'none' ? proof.verdict === null && proof.picture !== null : proof.verdict === verdict.value)
const sheets = computed(() => (runs.value ?? []).map((run) => ({ run, proofs: run.proofs.filter(fits) })).filter(({ proofs }) => proofs.length > 0))
const shown = computed(() => sheets.value.reduce((sum, { proofs }) => sum + proofs.length, 0))
const scope = computed(() => {
  const [first] = runs.value ?? []
  if (runId.value && first) return `version ${first.version} of ${first.promptTitle}`
  if (promptId.value && first) return first.promptTitle
  return text('project') ? (projects.byId(text('project'))?.name ?? '') : 'all projects'
})
</script>

<template>
  <main class="page proofs">
    <header>
      <h1 class="view-title">Proofs <span class="scope">{{ scope }}</span></h1>
      <div class="finding">
        <RouterLink :to="{ path: '/proofs/sheet', query: route.query }">As a sheet</RouterLink>
        <ImportButton />
        <v-select v-if="!promptId && !runId" label="Project" :model-value="text('project')" :items="[{ title: 'every project', value: '' }, ...projects.all.map((project) => ({ title: project.name, value: project.id }))]" @update:model-value="set('project', $event)" />
        <RouterLink v-else to="/proofs">All proofs</RouterLink>
        <VerdictFilter :verdict="verdict" @change="set('verdict', $event)" />
        <v-slider v-model="height" label="Size" name="Size" :min="96" :max="320" :step="8" class="size" />
        <span class="soft" role="status">{{ runs === undefined ? 'Looking …' : counted(shown, 'proof') }}</span>
      </div>
    </header>
    <TrialLines v-if="!runId" v-bind="promptId ? { prompt: promptId } : text('project') ? { project: text('project') } : {}" />
    <p v-if="runs?.length === 0">No proofs here yet. Try a prompt on the <RouterLink to="/desk">Desk</RouterLink>, and its pictures stay here with all that made them.</p>
    <p v-else-if="runs && sheets.length === 0">No proof on this page has that verdict.</p>
    <div class="sheets">
      <RunRow v-for="sheet in sheets" :key="sheet.run.id" titled :run="sheet.run" :proofs="sheet.proofs" :height="height" @changed="replace" @proof-changed="proofChanged">
        <template #actions>
          <span v-if="sheet.run.changes.length" class="soft">{{ sheet.run.changes.join('; ') }}</span>
        </template>
      </RunRow>
    </div>
    <v-btn v-if="more" class="more" @click="load(true)">Show earlier runs</v-btn>
  </main>
</template>

<style scoped>
.size {
  flex: 0 0 210px;
}
.sheets {
  display: grid;
  gap: 22px;
}
.sheets > * {
  border-top: 1px solid var(--rule);
  padding-top: 14px;
  min-width: 0;
}
.more {
  margin-top: 20px;
}
</style>
