<script setup lang="ts">
import { deletePrompt, listTags, type PromptSummary, putBackPrompt, searchShelf, type Status, type TagCount } from '@idolon/contract'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import ReuseDialog from '../desk/ReuseDialog.vue'
import { useNotices, useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import PromptRow from '../shared/PromptRow.vue'
import { counted } from '../shared/said.ts'
import ShelfParts from './ShelfParts.vue'
import { useProjects } from '../stores/projects.ts'

const PAGE = 40
const STATUSES: Status[] = ['rough', 'testing', 'proven', 'retired']

const route = useRoute()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const { fromNothing } = useNewPrompt()

const text = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
const q = ref(text('q'))
const rows = ref<PromptSummary[]>()
const total = ref(0)
const read = ref<{ typed: string; as: string }[]>([])
const tags = ref<TagCount[]>([])
const slow = ref(false)
const reusing = ref<PromptSummary>()
const reuseOpen = ref(false)
const filtered = computed(() => Boolean(q.value || text('project') || text('tag') || text('status') || text('kept')))

// The filters live in the address, so that a search can be kept, shared and gone back to.
const set = (name: string, value: string) => void router.replace({ query: { ...route.query, [name]: value || undefined } })
const query = computed(() => ({
  q: text('q'),
  ...(text('project') ? { project: text('project') } : {}),
  ...(text('tag') ? { tag: text('tag') } : {}),
  ...(STATUSES.includes(text('status') as Status) ? { status: text('status') as Status } : {}),
  ...(text('kept') ? { kept: true } : {}),
}))

let newest: AbortController | undefined
async function load(more = false): Promise<void> {
  newest?.abort()
  const mine = new AbortController()
  newest = mine
  const late = setTimeout(() => (slow.value = true), 250)
  try {
    const answer = await call(searchShelf, { query: { ...query.value, limit: PAGE, offset: more ? (rows.value?.length ?? 0) : 0 }, signal: mine.signal })
    rows.value = more ? [...(rows.value ?? []), ...answer.rows] : answer.rows
    total.value = answer.total
    read.value = answer.read
  } catch (error) {
    if ((error as Error).name !== 'AbortError') notices.showError(error)
  } finally {
    clearTimeout(late)
    if (newest === mine) slow.value = false
  }
}
const loadTags = () => task(async () => (tags.value = await call(listTags, {})))

let typing: ReturnType<typeof setTimeout> | undefined
watch(q, (now) => {
  clearTimeout(typing)
  typing = setTimeout(() => set('q', now.slice(0, 500)), 90)
})
watch(query, () => void load(), { immediate: true, deep: true })
void loadTags()
let soon: ReturnType<typeof setTimeout> | undefined
onChange((event) => {
  if (event !== 'reset' && event.kind !== 'prompt' && event.kind !== 'proof') return
  clearTimeout(soon)
  soon = setTimeout(() => {
    void load()
    void loadTags()
  }, 500)
})

const remove = (prompt: PromptSummary) =>
  task(async () => {
    await call(deletePrompt, { params: { prompt: prompt.id } })
    notices.show(`“${prompt.title}” is in the bin.`, { action: { label: 'Put it back', run: () => void putBack(prompt) } })
    await load()
  })
const putBack = (prompt: PromptSummary) =>
  task(async () => {
    await call(putBackPrompt, { params: { prompt: prompt.id } })
    await load()
  })
function clear(): void {
  q.value = ''
  void router.replace({ query: {} })
}
</script>

<template>
  <main class="page shelf">
    <header>
      <h1 class="view-title">Shelf <span class="scope">prompts of all projects</span></h1>
      <ShelfParts />
      <div class="finding">
        <input v-model="q" class="field words" type="search" aria-label="Find by words in text, title, tags and notes" placeholder="Words in text, title, tags, notes" maxlength="500" />
        <select class="field" aria-label="Project" :value="text('project')" @change="set('project', ($event.target as HTMLSelectElement).value)">
          <option value="">every project</option>
          <option v-for="project in projects.all" :key="project.id" :value="project.id">{{ project.name }}{{ project.archivedAt ? ' (archived)' : '' }}</option>
        </select>
        <select class="field" aria-label="Tag" :value="text('tag')" @change="set('tag', ($event.target as HTMLSelectElement).value)">
          <option value="">any tag</option>
          <option v-for="tag in tags" :key="tag.tag" :value="tag.tag">{{ tag.tag }} ({{ tag.count }})</option>
        </select>
        <select class="field" aria-label="Status" :value="text('status')" @change="set('status', ($event.target as HTMLSelectElement).value)">
          <option value="">any status</option>
          <option v-for="status in STATUSES" :key="status">{{ status }}</option>
        </select>
        <label class="kept-only"><input type="checkbox" :checked="text('kept') !== ''" @change="set('kept', ($event.target as HTMLInputElement).checked ? '1' : '')" /> with a keeper</label>
      </div>
      <p class="line" role="status">
        <span>{{ rows === undefined || slow ? 'Looking …' : counted(total, 'prompt') }}</span>
        <span v-for="word in read" :key="word.typed">“{{ word.typed }}” was read as {{ word.as }}.</span>
        <button v-if="filtered" class="plain" @click="clear">Clear the search</button>
        <RouterLink class="bin" to="/bin">The bin</RouterLink>
      </p>
    </header>
    <p v-if="rows?.length === 0 && filtered" class="soft">Nothing fits. Take a word or a filter away.</p>
    <p v-else-if="rows?.length === 0">Nothing on the Shelf yet. <button class="do" @click="fromNothing">New prompt</button></p>
    <PromptRow v-for="prompt in rows" :key="prompt.id" :prompt="prompt" :to="`/desk/${prompt.id}`" heading="h2">
      <button class="quiet" :aria-label="`Use ${prompt.title} again`" @click="(reusing = prompt), (reuseOpen = true)">Use again</button>
      <button class="plain" :aria-label="`Delete ${prompt.title}`" @click="remove(prompt)">Delete</button>
    </PromptRow>
    <button v-if="rows && rows.length < total" class="quiet more" @click="load(true)">Show {{ Math.min(PAGE, total - rows.length) }} more</button>
    <ReuseDialog v-if="reusing" v-model="reuseOpen" :prompt-id="reusing.id" :title="reusing.title" />
  </main>
</template>

<style scoped>
.words {
  flex: 1 1 280px;
  padding: 7px 10px;
  font-size: 15px;
}
.finding select {
  max-width: 190px;
}
.kept-only {
  display: flex;
  gap: 6px;
  align-items: center;
}
.line {
  display: flex;
  gap: 16px;
  min-height: 24px;
  margin-bottom: 4px;
}
.bin {
  margin-left: auto;
}
.more {
  margin-top: 16px;
}
</style>
