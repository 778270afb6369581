<script setup lang="ts">
import { listRuns, type Proof, readRun, recentRuns, type Run } from '@idolon/contract'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import TrialLines from '../trial/TrialLines.vue'
import ImportButton from './ImportButton.vue'
import RunRow from './RunRow.vue'
import ProofsParts from './ProofsParts.vue'
import VerdictFilter from './VerdictFilter.vue'

const PAGE = 15
/** So many are asked for by one request. */
const AT_ONCE = 90
const OF_A_PROMPT = 200
const route = useRoute()
const router = useRouter()
const projects = useProjects()
const height = useLocalStorage('idolon.proof-height', 168)

const text = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
const set = (name: string, value: string) => void router.replace({ query: { ...route.query, [name]: value || undefined } })
const promptId = computed(() => text('prompt'))
const runId = computed(() => text('run'))
const verdict = computed(() => text('verdict'))

/** How many pages of runs are shown; another set of them begins with one. */
const pages = ref(1)
watch(() => [promptId.value, runId.value, text('project')], () => (pages.value = 1))
const { data: runs, loading, put } = usePageData({
  key: () => ['runs', runId.value, promptId.value, text('project'), pages.value],
  read: async (signal): Promise<Run[]> => {
    if (runId.value) return [await call(readRun, { params: { run: runId.value }, signal })]
    if (promptId.value) return call(listRuns, { params: { prompt: promptId.value }, query: { limit: OF_A_PROMPT }, signal })
    const found: Run[] = []
    for (let offset = 0; offset < PAGE * pages.value; offset += AT_ONCE) found.push(...(await call(recentRuns, { query: { limit: Math.min(AT_ONCE, PAGE * pages.value - offset), offset, ...(text('project') ? { project: text('project') } : {}) }, signal })))
    return found
  },
  on: ({ kind, runId: changed }, shown) => kind === 'run' || (kind === 'proof' && (shown?.some(({ id }) => id === changed) ?? false)),
  keepBefore: true,
})
const more = computed(() => !runId.value && !promptId.value && runs.value?.length === PAGE * pages.value)
const replace = (run: Run) => runs.value && put(runs.value.map((old) => (old.id === run.id ? run : old)))
const proofChanged = (proof: Proof) => runs.value && put(runs.value.map((run) => (run.id === proof.runId ? { ...run, proofs: run.proofs.map((old) => (old.id === proof.id ? proof : old)) } : run)))

/** A picture that waits for a verdict. */
const waits = ({ verdict: given, picture }: Proof) => given === null && picture !== null
const fits = (proof: Proof) => !verdict.value || (verdict.value === 'none' ? waits(proof) : proof.verdict === verdict.value)
const sheets = computed(() => (runs.value ?? []).map((run) => ({ run, proofs: run.proofs.filter(fits) })).filter(({ proofs }) => proofs.length > 0))
const unjudged = computed(() => (runs.value ?? []).flatMap(({ proofs }) => proofs).filter(waits).length)
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
      <ProofsParts />
      <div class="finding">
        <v-btn v-if="unjudged" color="primary" variant="flat" :to="{ path: '/proofs/sheet', query: { ...route.query, verdict: 'none' } }">Judge {{ counted(unjudged, 'proof') }} without a verdict</v-btn>
        <ImportButton />
        <v-select v-if="!promptId && !runId" label="Project" :model-value="text('project')" :clearable="text('project') !== ''" :items="[{ title: 'every project', value: '' }, ...projects.all.map((project) => ({ title: project.name, value: project.id }))]" @update:model-value="set('project', $event ?? '')" />
        <RouterLink v-else to="/proofs">All proofs</RouterLink>
        <VerdictFilter :verdict="verdict" @change="set('verdict', $event)" />
        <v-slider v-model="height" label="Size" name="Size" :min="96" :max="320" :step="8" class="size" />
        <span class="soft" role="status">{{ runs === undefined ? 'Looking …' : counted(shown, 'proof') }}</span>
      </div>
    </header>
    <TrialLines v-if="!runId" v-bind="promptId ? { prompt: promptId } : text('project') ? { project: text('project') } : {}" />
    <v-skeleton-loader v-if="loading" type="heading, image@2" class="coming" />
    <p v-else-if="runs?.length === 0">No proofs here yet. Try a prompt on the <RouterLink to="/desk">Desk</RouterLink>, and its pictures stay here with all that made them.</p>
    <p v-else-if="runs && sheets.length === 0">No proof on this page has that verdict.</p>
    <div class="sheets">
      <RunRow v-for="sheet in sheets" :key="sheet.run.id" titled :run="sheet.run" :proofs="sheet.proofs" :height="height" @changed="replace" @proof-changed="proofChanged">
        <template #actions>
          <span v-if="sheet.run.changes.length" class="soft">{{ sheet.run.changes.join('; ') }}</span>
        </template>
      </RunRow>
    </div>
    <v-btn v-if="more" class="more" @click="pages++">Show earlier runs</v-btn>
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
.coming {
  max-width: 520px;
}
.more {
  margin-top: 20px;
}
</style>
