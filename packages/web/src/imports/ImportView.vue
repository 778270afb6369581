<script setup lang="ts">
import { deleteImport, type Import, type ImportPreview, previewImport, readImport, startImport } from '@idolon/contract'
import type { Encoding, Mapping } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import { ApiProblem } from '../api/problem.ts'
import { useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import ChooseFile from './ChooseFile.vue'
import ColumnsTable from './ColumnsTable.vue'
import ComingList from './ComingList.vue'
import { asOne, sendFile } from './send-file.ts'

/** Brings prompts in: a file is read and shown, and then comes in as a whole or not at all. */
const route = useRoute()
const router = useRouter()
const projects = useProjects()
const task = useTask()
const file = shallowRef<Import>()
const preview = shallowRef<ImportPreview>()
const mapping = shallowRef<Mapping>({})
const reading = ref(false)
const looking = ref(false)
const problem = ref('')
const project = ref('')
const duplicates = ref(false)
const tag = ref('')
const id = computed(() => (typeof route.params['import'] === 'string' ? route.params['import'] : ''))
const KINDS = { csv: 'CSV', json: 'JSON', markdown: 'Markdown', text: 'texts', bundle: 'a bundle' } as const
const isBundle = computed(() => file.value?.format === 'bundle')
/** Whether the file itself says which project its prompts are of. */
const saysProject = computed(() => isBundle.value || mapping.value.project !== undefined || file.value?.columns.length === 0)
const coming = computed(() => (preview.value ? preview.value.coming.count + (duplicates.value ? preview.value.duplicates.count : 0) : 0))

function show(now: Import): void {
  file.value = now
  mapping.value = now.mapping
  project.value = saysProject.value ? '' : (projects.current?.id ?? projects.open[0]?.id ?? '')
  tag.value = isBundle.value ? '' : now.name.replace(/\.[^.]+$/, '').replace(/[,\n]+/g, ' ').slice(0, 60)
}
async function choose(files: File[], encoding: Encoding | ''): Promise<void> {
  reading.value = true
  problem.value = ''
  try {
    const now = await sendFile(await asOne(files), encoding)
    show(now)
    await router.push(`/shelf/in/${now.id}`)
  } catch (error) {
    problem.value = error instanceof ApiProblem ? error.message : 'The file could not be read in this browser. Nothing was imported.'
  } finally {
    reading.value = false
  }
}
watch(id, (now) => {
  if (!now) {
    file.value = undefined
    preview.value = undefined
  } else if (file.value?.id !== now) void task(async () => show(await call(readImport, { params: { import: now } })))
}, { immediate: true })
let newest = 0
watch(() => (file.value?.state === 'read' || file.value?.state === 'failed' ? JSON.stringify([file.value.id, mapping.value]) : ''), async (asked) => {
  const mine = ++newest
  if (!asked) return
  looking.value = true
  const found = await task(() => call(previewImport, { params: { import: file.value!.id }, body: { mapping: mapping.value } }))
  if (mine !== newest) return
  looking.value = false
  if (found) preview.value = found
}, { immediate: true })
const start = () =>
  task(async () => {
    file.value = await call(startImport, { params: { import: file.value!.id }, body: { mapping: mapping.value, project: project.value || null, duplicates: duplicates.value, tag: tag.value } })
  })
onChange((event) => {
  const own = file.value
  if (own && (event === 'reset' || (event.kind === 'import' && event.importId === own.id))) void task(async () => (file.value = await call(readImport, { params: { import: own.id } })))
})
const leave = () =>
  task(async () => {
    if (file.value && file.value.state !== 'done') await call(deleteImport, { params: { import: file.value.id } })
    file.value = undefined
    await router.push('/shelf/in')
  })
</script>

<template>
  <main class="page import">
    <h1 class="view-title">Import prompts <span class="scope">to the Shelf</span></h1>
    <ChooseFile v-if="!file" :reading="reading" :problem="problem" @choose="choose" />
    <template v-else>
      <p class="titled"><strong>{{ file.name }}</strong> <span class="soft">{{ KINDS[file.format] }}, {{ counted(file.rows, 'entry', 'entries') }}</span></p>
      <template v-if="file.state === 'done'">
        <p role="status">{{ counted(file.made ?? 0, 'prompt is', 'prompts are') }} on the Shelf{{ file.tag ? `, tagged “${file.tag}”` : '' }}. What they say and mean is read in the background; by their words they are found at once.</p>
        <p class="row-actions"><v-btn color="primary" variant="flat" :to="{ path: '/shelf', query: file.tag ? { tag: file.tag } : {} }">See them</v-btn><v-btn @click="leave">Import more</v-btn></p>
      </template>
      <template v-else-if="file.state === 'asked'">
        <p role="status">Coming in: {{ file.progress.toLocaleString('en') }} of {{ coming.toLocaleString('en') }} written. They are there when all of them are; you can go elsewhere meanwhile.</p>
        <v-progress-linear :model-value="file.progress" :max="Math.max(1, coming)" aria-label="Prompts written" />
      </template>
      <template v-else>
        <p v-if="file.problem" class="problem" role="alert">{{ file.problem }}</p>
        <ColumnsTable v-if="file.columns.length" :columns="file.columns" :mapping="mapping" @map="mapping = $event" />
        <form class="how" @submit.prevent="start">
          <v-select v-model="project" label="Into" :items="[...(saysProject ? [{ title: 'the projects the file names', value: '' }] : []), ...projects.open.map((one) => ({ title: one.name, value: one.id }))]" />
          <v-text-field v-model="tag" label="Tag them all" maxlength="60" placeholder="no tag" />
          <v-checkbox v-if="preview?.duplicates.count" v-model="duplicates" :label="preview.duplicates.count === 1 ? 'the one that is here already too' : `the ${preview.duplicates.count.toLocaleString('en')} that are here already too`" />
          <v-btn color="primary" variant="flat" :disabled="!preview || looking || coming === 0 || (!saysProject && !project)" type="submit">{{ coming ? `Import ${counted(coming, 'prompt')}` : 'Nothing to import' }}</v-btn>
          <v-btn @click="leave">Cancel</v-btn>
        </form>
        <p v-if="looking || !preview" role="status">Looking through it …</p>
        <ComingList v-if="preview" :preview="preview" :duplicates-too="duplicates" />
      </template>
    </template>
  </main>
</template>

<style scoped>
.import {
  display: grid;
  gap: 16px;
  justify-items: stretch;
}
.how {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 18px;
  padding: 12px 0;
  border-block: 1px solid var(--rule);
}
.problem {
  padding-left: 12px;
  border-left: 3px solid var(--accent);
}
</style>
