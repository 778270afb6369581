<script setup lang="ts">
import { mdiArchiveOutline } from '@mdi/js'
import { type ChangeEvent, readLedger, searchShelf } from '@idolon/contract'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import NotFoundView from '../app/NotFoundView.vue'
import { useActions } from '../go-to/actions.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import PromptRow from '../shared/PromptRow.vue'
import { counted, sayAmounts } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { sayMoney } from './money.ts'
import HouseRules from './HouseRules.vue'
import KeptPhrases from './KeptPhrases.vue'
import LedgerChart from './LedgerChart.vue'
import LedgerEntries from './LedgerEntries.vue'
import ProjectMoney from './ProjectMoney.vue'

const route = useRoute()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const { fromNothing } = useNewPrompt()
const id = computed(() => String(route.params['project'] ?? ''))
const project = computed(() => projects.byId(id.value))
/** The rest is the Shelf’s. */
const NEWEST = 4
const worthOf = sayMoney.worth
const notDraft = ({ kind }: ChangeEvent) => kind !== 'draft'
const { data: ledger, missing } = usePageData({ key: () => ['ledger', id.value], read: (signal) => call(readLedger, { params: { project: id.value }, signal }), on: notDraft, gatherMs: 500, tells: true })
const { data: found, loading } = usePageData({ key: () => ['prompts of', id.value], read: (signal) => call(searchShelf, { query: { project: id.value, limit: NEWEST, each: true }, signal }), on: notDraft, gatherMs: 500 })
const prompts = computed(() => found.value?.rows ?? [])
const total = computed(() => found.value?.total ?? 0)
/** The name as it is being typed; what is read anew meanwhile must not take it away. */
const typed = ref<string>()
async function rename(): Promise<void> {
  const name = typed.value?.trim()
  if (name && name !== project.value?.name) await task(() => projects.change(id.value, { name }))
  typed.value = undefined
}
const archive = (archived: boolean) =>
  task(async () => {
    await projects.change(id.value, { archived })
    notices.show(archived ? 'The project is archived. Its prompts and pictures are kept.' : 'The project is back from the archive.')
  })
async function write(): Promise<void> {
  projects.chosen = id.value
  await fromNothing()
}
useActions(() => (project.value ? [{ name: project.value.archivedAt ? 'Restore this project from the archive' : 'Archive this project', run: () => void archive(!project.value?.archivedAt) }] : []))
</script>

<template>
  <NotFoundView v-if="missing" what="project" />
  <main v-else-if="project" class="page project">
    <header>
      <h1 class="visually-hidden">{{ project.name }}</h1>
      <v-text-field label="Name of the project" :model-value="typed ?? project.name" maxlength="120" class="title" @input="typed = ($event.target as HTMLInputElement).value" @blur="rename" @keydown.enter="($event.target as HTMLInputElement).blur()" />
      <p class="row-actions">
        <span>{{ counted(project.prompts, 'prompt') }}, {{ counted(project.proofs, 'proof') }}, <span class="kept">{{ project.keepers }} kept</span></span>
        <span>Spent so far: {{ sayAmounts(ledger?.totals ?? []) }}<template v-if="worthOf(ledger?.totals ?? [], project)">, {{ worthOf(ledger?.totals ?? [], project) }}</template></span>
        <RouterLink :to="{ path: '/shelf', query: { project: id } }">Prompts</RouterLink>
        <RouterLink :to="{ path: '/proofs', query: { project: id } }">Proofs</RouterLink>
        <span class="ends"><v-btn v-if="!project.archivedAt" color="primary" variant="flat" @click="write">New prompt</v-btn></span>
        <v-btn :prepend-icon="mdiArchiveOutline" @click="archive(!project.archivedAt)">{{ project.archivedAt ? 'Restore from the archive' : 'Archive' }}</v-btn>
      </p>
      <p v-if="project.archivedAt" class="archived">Archived. Its prompts can be read and used elsewhere, but not tried here.</p>
    </header>
    <section aria-labelledby="prompts-title">
      <h2 id="prompts-title">Prompts</h2>
      <v-skeleton-loader v-if="loading" type="list-item-two-line@3" />
      <p v-else-if="prompts.length === 0" class="soft">None yet. Write the first; it is tried, judged and kept here.</p>
      <PromptRow v-for="prompt in prompts" :key="prompt.id" :prompt="prompt" :to="`/desk/${prompt.id}`" :project="false" />
      <p class="row-actions after">
        <RouterLink v-if="total > prompts.length" :to="{ path: '/shelf', query: { project: id } }">All {{ total }} on the Shelf</RouterLink>
      </p>
    </section>
    <HouseRules :project="id" />
    <KeptPhrases :project="id" />
    <section aria-labelledby="ledger-title">
      <h2 id="ledger-title">Ledger</h2>
      <ProjectMoney :key="project.id" :project="project" @changed="projects.load()" />
      <LedgerChart :project="project" />
      <p class="soft">Cost is set aside when a picture or a helper is asked for, and settled when the answer is there, fails or is stopped. The newest entries:</p>
      <LedgerEntries :entries="ledger?.entries" />
    </section>
  </main>
  <main v-else class="page"><p class="visually-hidden" role="status">Opening …</p><v-skeleton-loader type="heading, list-item-two-line@4" /></main>
</template>

<style scoped>
.project {
  display: grid;
  gap: 30px;
  max-width: 1040px;
}
.title {
  font-size: 24px;
}
h2 {
  margin-bottom: 10px;
}
.archived {
  margin-top: 10px;
  padding-left: 12px;
  border-left: 3px solid var(--accent);
}
.ends {
  margin-left: auto;
}
.after {
  margin-top: 14px;
}
</style>
