<script setup lang="ts">
import { mdiExport, mdiImport, mdiPencilOutline } from '@mdi/js'
import { promptsThatSay, type PromptSummary } from '@idolon/contract'
import { FACETS, type Facet, type GlossaryEntry, readEntries, type Term } from '@idolon/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useActions } from '../go-to/actions.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { download } from '../shared/download.ts'
import PromptRow from '../shared/PromptRow.vue'
import { counted } from '../shared/said.ts'
import { useGlossary } from '../stores/glossary.ts'
import { useProjects } from '../stores/projects.ts'
import TermEntry from './TermEntry.vue'
import TermForm from './TermForm.vue'
import WordCompanions from './WordCompanions.vue'
import { JSON_FILES, usePickFiles } from '../shared/pick-files.ts'

/** The vocabulary: found by typing or by facet, read term by term, added to and corrected. */
const route = useRoute()
const router = useRouter()
const store = useGlossary()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
/** Terms shown before more are asked for. */
const PAGE = 150
const most = ref(PAGE)
const form = ref<{ entry?: GlossaryEntry | undefined }>()

const one = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
const asked = computed(() => one('q'))
const facet = computed(() => FACETS.find((name) => name === one('facet')))
const go = (query: { q?: string; facet?: string | undefined; term?: string }) => {
  form.value = undefined
  void router.replace({ query: { ...route.query, ...query } })
}
watch(() => projects.current?.id, (id) => void task(() => store.load(id)), { immediate: true })
watch([asked, facet], () => (most.value = PAGE))

const found = computed(() => store.glossary?.search(asked.value, facet.value) ?? [])
const counts = computed(() => new Map(FACETS.map((name) => [name, store.glossary?.terms.filter((term) => term.facet === name).length ?? 0])))
const term = computed((): Term | undefined => {
  const [name = '', of = ''] = one('term').split('|')
  return (name && store.glossary?.named(name, of as Facet)[0]) || found.value[0]
})
const list = useTemplateRef<HTMLElement>('list')
watch([term, found], async ([shown, all]) => {
  const at = shown ? all.indexOf(shown) : -1
  if (at >= most.value) most.value = at + PAGE
  await nextTick()
  list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })
})
const own = computed(() => store.own.find(({ entry }) => entry.term === term.value?.term && entry.facet === term.value.facet))
const keyOf = ({ term: name, facet: of }: Term) => `${name}|${of}`

const uses = ref<{ rows: PromptSummary[]; total: number }>()
watch(
  [term, () => projects.current?.id],
  async ([shown, project]) => {
    uses.value = undefined
    if (!shown || !project) return
    const answer = await task(() => call(promptsThatSay, { query: { words: [shown.term, ...shown.also].join('\n').slice(0, 1_000), project } }))
    if (shown === term.value) uses.value = answer
  },
  { immediate: true },
)

async function save(entry: GlossaryEntry, forProject: boolean): Promise<void> {
  const project = projects.current
  await task(async () => {
    await store.add(forProject && project ? project.id : null, [entry])
    go({ term: `${entry.term}|${entry.facet}`, q: '', facet: undefined })
    notices.show(`“${entry.term}” is in the glossary${forProject && project ? ` of ${project.name}` : ''}.`)
  })
}
const remove = () =>
  task(async () => {
    const gone = own.value
    if (!gone) return
    await store.remove(gone)
    notices.show(`“${gone.entry.term}” is removed.`, { action: { label: 'Restore', run: () => void task(() => store.add(gone.projectId, [gone.entry])) } })
  })
const exportOwn = () => download('glossary.json', `${JSON.stringify(store.own.map(({ entry }) => entry), null, 2)}\n`)
const pickFile = usePickFiles({ accept: JSON_FILES }, ([given]) => void (given && importFile(given)))
async function importFile(given: File): Promise<void> {
  const read = readEntries(await given.text())
  if ('wrong' in read) {
    notices.show(`${given.name}: ${read.wrong} Nothing was imported.`, { problem: true })
    return
  }
  const project = projects.current
  await task(async () => {
    await store.add(project?.id ?? null, read.entries)
    notices.show(`${counted(read.entries.length, 'term')} imported${project ? ` for ${project.name}` : ''}.`)
  })
}
const correct = (shown: Term): GlossaryEntry => {
  const { own: _own, narrower: _narrower, broader, ...entry } = shown
  return { ...entry, ...(broader ? { broader } : {}) }
}
function step(event: KeyboardEvent): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (!by) return
  const links = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('button')]
  links[links.indexOf(document.activeElement as HTMLElement) + by]?.focus()
  event.preventDefault()
}
useActions(() => [{ name: 'Add a term to the glossary', words: 'vocabulary word', run: () => (form.value = {}) }])
</script>

<template>
  <main class="page glossary">
    <header>
      <h1 class="view-title">Glossary <span class="scope">{{ projects.current ? `what ships, and the terms of ${projects.current.name}` : 'what ships' }}</span></h1>
      <div class="finding">
        <v-text-field label="Find a term" type="search" :model-value="asked" placeholder="a term, or what it does" maxlength="80" class="search" @input="go({ q: ($event.target as HTMLInputElement).value, term: '' })" />
        <v-select label="Facet" :model-value="facet ?? ''" :clearable="facet !== undefined" :items="[{ title: 'every facet', value: '' }, ...FACETS.map((name) => ({ title: `${name} (${counts.get(name) ?? 0})`, value: name }))]" class="facet" @update:model-value="go({ facet: $event || undefined, term: '' })" />
        <span class="soft" role="status">{{ counted(found.length, 'term') }}</span>
        <v-btn color="primary" variant="flat" @click="form = {}">Add a term</v-btn>
        <v-btn v-if="store.own.length" :prepend-icon="mdiExport" @click="exportOwn">Export your {{ counted(store.own.length, 'term') }}</v-btn>
        <v-btn :prepend-icon="mdiImport" @click="pickFile()">Import terms</v-btn>
      </div>
    </header>
    <div class="columns">
      <div ref="list" class="list" @keydown="step">
        <template v-if="!store.glossary"><p class="visually-hidden" role="status">Opening the glossary …</p><v-skeleton-loader type="list-item@8" /></template>
        <p v-else-if="found.length === 0" class="soft">No term is written like that or says so. <v-btn variant="text" @click="form = { entry: { term: asked, facet: facet ?? 'subject', does: '' } }">Add “{{ asked }}”</v-btn></p>
        <ul aria-label="Terms">
          <li v-for="row in found.slice(0, most)" :key="keyOf(row)">
            <v-btn variant="text" :aria-current="row === term ? 'true' : undefined" class="choice lines" @click="go({ term: keyOf(row) })"><span class="name">{{ row.term }}</span><span v-if="!facet" class="soft">{{ row.facet }}</span><span v-if="row.own" class="soft">own</span></v-btn>
          </li>
        </ul>
        <p v-if="found.length > most"><v-btn variant="text" @click="most += PAGE">{{ counted(Math.min(PAGE, found.length - most), 'more term') }}</v-btn></p>
      </div>
      <div class="read">
        <TermForm v-if="form" :key="form.entry?.term ?? ''" :entry="form.entry" :project-name="projects.current?.name" @save="save" @cancel="form = undefined" />
        <template v-else-if="term">
          <TermEntry :term="term" heading="h2" :brings="!store.associations?.companions(term.term).length" @go="(name) => go({ term: name, q: '', facet: undefined })" />
          <WordCompanions v-if="store.associations" :word="term.term" :associations="store.associations" />
          <p class="row-actions">
            <v-btn v-tooltip="own ? '' : 'Your wording stands in place of the one that ships'" :prepend-icon="mdiPencilOutline" @click="form = { entry: correct(term) }">Edit</v-btn>
            <v-btn v-if="own" variant="text" @click="remove">Remove yours</v-btn>
            <span v-if="own" class="soft">{{ own.projectId ? 'for this project' : 'for all projects' }}</span>
          </p>
          <section v-if="uses" aria-labelledby="uses">
            <h2 id="uses">{{ uses.total ? `In ${counted(uses.total, 'prompt')} of this project` : 'In no prompt of this project yet' }}</h2>
            <PromptRow v-for="prompt in uses.rows.slice(0, 12)" :key="prompt.id" :prompt="prompt" :to="`/desk/${prompt.id}`" :project="false" />
          </section>
        </template>
      </div>
    </div>
  </main>
</template>

<style scoped>
.glossary {
  display: grid;
  gap: 14px;
}
.search {
  width: 300px;
}
.facet {
  flex: 0 0 190px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(240px, 320px) minmax(0, 1fr);
  gap: 34px;
  align-items: start;
}
.list {
  max-height: calc(100vh - 132px);
  overflow: auto;
  /* Scrolled without being drawn again. */
  background: var(--paper);
  border-top: 1px solid var(--rule);
}
.read {
  display: grid;
  gap: 16px;
  padding-top: 2px;
  max-width: 760px;
}
section h2 {
  margin-bottom: 8px;
}
</style>
