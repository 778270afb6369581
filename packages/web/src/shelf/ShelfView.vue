<script setup lang="ts">
import { deletePrompt, type FoundPrompt, listTags, putBackPrompt, searchShelf, type TagCount } from '@idolon/contract'
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { computed, defineAsyncComponent, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import ReuseDialog from '../desk/ReuseDialog.vue'
import { useActions } from '../go-to/actions.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import PromptRow from '../shared/PromptRow.vue'
import { counted } from '../shared/said.ts'
import EvidenceOf from './EvidenceOf.vue'
import KeptSearches from './KeptSearches.vue'
import ManyActs from './ManyActs.vue'
import ShelfFilters from './ShelfFilters.vue'
import ShelfParts from './ShelfParts.vue'
import { useShelfQuery } from './shelf-query.ts'

const TagsDialog = defineAsyncComponent(() => import('./TagsDialog.vue'))
const PAGE = 40
/** Rows from the end of what is there when the next are asked for. */
const AHEAD = 15
const ROW = 116

const router = useRouter()
const notices = useNotices()
const task = useTask()
const { fromNothing } = useNewPrompt()
const { text, set, query, given } = useShelfQuery()
const rows = shallowRef<FoundPrompt[]>()
const answer = shallowRef<{ total: number; more: boolean; read: { typed: string; as: string }[]; unread: number }>()
const tags = shallowRef<TagCount[]>([])
const slow = ref(false)
const complete = ref(false)
const reusing = ref<FoundPrompt>()
const reuseOpen = ref(false)
const tagsOpen = ref(false)
const opened = ref('')
const selected = ref<Set<string>>(new Set())
const TAKEN_OUT = [['csv', 'CSV'], ['json', 'JSON'], ['md', 'Markdown']] as const
/** The search as an address says it, for the files it is taken out as. */
const address = computed(() => new URLSearchParams(Object.entries(query.value).filter(([, value]) => value !== '').map(([name, value]) => [name, String(value)])).toString())
const filtered = computed(() => Object.keys(given.value).length > 0)
const chosen = computed(() => (rows.value ?? []).filter(({ id }) => selected.value.has(id)))

let newest: AbortController | undefined
let soon: ReturnType<typeof setTimeout> | undefined
/** Reads the first rows, or the next ones; as many as there were, when something changed. */
async function load(what: 'first' | 'next' | 'again' = 'first'): Promise<void> {
  newest?.abort()
  clearTimeout(soon)
  const mine = new AbortController()
  newest = mine
  const late = setTimeout(() => (slow.value = true), 250)
  const before = what === 'next' ? (rows.value ?? []) : []
  try {
    const found = await call(searchShelf, { query: { ...query.value, limit: what === 'again' ? Math.min(200, Math.max(PAGE, rows.value?.length ?? 0)) : PAGE, offset: before.length }, signal: mine.signal })
    const known = new Set(before.map(({ id }) => id))
    rows.value = [...before, ...found.rows.filter(({ id }) => !known.has(id))]
    complete.value = found.rows.length === 0 || (!found.more && rows.value.length >= found.total)
    answer.value = found
    // What facets say is still being read: there may be more in a moment.
    if (found.unread) soon = setTimeout(() => void load('again'), 1_500)
  } catch (error) {
    if ((error as Error).name !== 'AbortError') notices.showError(error)
  } finally {
    clearTimeout(late)
    if (newest === mine) {
      slow.value = false
      newest = undefined
    }
  }
}
const loadTags = () => task(async () => (tags.value = await call(listTags, {})))
watch(() => JSON.stringify(query.value), () => {
  selected.value = new Set()
  void load()
}, { immediate: true })
void loadTags()
onChange((event) => {
  if (event !== 'reset' && event.kind !== 'prompt' && event.kind !== 'proof') return
  clearTimeout(soon)
  soon = setTimeout(() => {
    void load('again')
    void loadTags()
  }, 500)
})

// Only rows in sight are drawn, however long the list is.
const list = useTemplateRef<HTMLElement>('list')
const top = ref(0)
onMounted(() => (top.value = list.value?.offsetTop ?? 0))
const virtual = useWindowVirtualizer(computed(() => ({ count: rows.value?.length ?? 0, estimateSize: () => ROW, overscan: 6, scrollMargin: top.value, getItemKey: (i: number) => rows.value?.[i]?.id ?? i })))
const shown = computed(() => virtual.value.getVirtualItems())
watch(shown, (items) => {
  if (!complete.value && !newest && rows.value && (items.at(-1)?.index ?? 0) > rows.value.length - AHEAD) void load('next')
})
watch(() => [text('engine'), text('kept'), rows.value === undefined], () => setTimeout(() => (top.value = list.value?.offsetTop ?? 0)))
const measure = (element: unknown) => virtual.value.measureElement(element as Element | null)

const remove = (prompt: FoundPrompt) =>
  task(async () => {
    await call(deletePrompt, { params: { prompt: prompt.id } })
    notices.show(`“${prompt.title}” is in the bin.`, { action: { label: 'Put it back', run: () => void task(() => call(putBackPrompt, { params: { prompt: prompt.id } })) } })
    await load('again')
  })
function toggle(id: string): void {
  const next = new Set(selected.value)
  if (!next.delete(id)) next.add(id)
  selected.value = next
}
useActions(() => [
  { name: 'Tags: rename and join', words: 'labels merge', run: () => (tagsOpen.value = true) },
  { name: 'Templates', words: 'frames slots', run: () => void router.push('/shelf/templates') },
  { name: 'Manners', words: 'style voice', run: () => void router.push('/shelf/manners') },
])
</script>

<template>
  <main class="page shelf">
    <header>
      <h1 class="view-title">Shelf <span class="scope">prompts of all projects</span></h1>
      <ShelfParts />
      <ShelfFilters :text="text" :tags="tags" @set="set" />
      <KeptSearches :given="given" />
      <p class="line" role="status">
        <span>{{ rows === undefined || slow ? 'Looking …' : answer?.more ? `more than ${counted(answer.total, 'prompt')}` : counted(answer?.total ?? 0, 'prompt') }}</span>
        <span v-for="word in answer?.read" :key="word.typed">“{{ word.typed }}” was read as {{ word.as }}.</span>
        <span v-if="answer?.unread">{{ counted(answer.unread, 'prompt') }} still to be read for what facets say.</span>
        <button v-if="filtered" class="plain" @click="router.replace({ query: {} })">Clear the search</button>
        <span v-if="rows?.length" class="end">Take out as <template v-for="([ending, name], i) in TAKEN_OUT" :key="ending"><template v-if="i">, </template><a :href="`/api/shelf.${ending}?${address}`" download>{{ name }}</a></template></span>
        <button class="plain" :class="{ end: !rows?.length }" @click="tagsOpen = true">Tags</button>
        <RouterLink to="/bin">The bin</RouterLink>
      </p>
    </header>
    <p v-if="rows?.length === 0 && filtered" class="soft">Nothing fits. Take a word or a filter away.</p>
    <p v-else-if="rows?.length === 0">Nothing on the Shelf yet. <button class="do" @click="fromNothing">New prompt</button></p>
    <div ref="list" class="list" :style="{ height: `${virtual.getTotalSize()}px` }">
      <div v-for="item in shown" :key="String(item.key)" :ref="measure" class="item" :data-index="item.index" :style="{ transform: `translateY(${item.start - top}px)` }">
        <template v-if="rows?.[item.index]">
          <label class="select"><input type="checkbox" :checked="selected.has(rows[item.index]!.id)" :aria-label="`Select ${rows[item.index]!.title}`" @change="toggle(rows[item.index]!.id)" /></label>
          <PromptRow :prompt="rows[item.index]!" :to="`/desk/${rows[item.index]!.id}`" :why="rows[item.index]!.why" heading="h2">
            <button class="plain" :aria-expanded="opened === rows[item.index]!.id" :aria-label="`What ${rows[item.index]!.title} has shown`" @click="opened = opened === rows[item.index]!.id ? '' : rows[item.index]!.id">Evidence</button>
            <button class="quiet" :aria-label="`Use ${rows[item.index]!.title} again`" @click="(reusing = rows[item.index]), (reuseOpen = true)">Use again</button>
            <button class="plain" :aria-label="`Delete ${rows[item.index]!.title}`" @click="remove(rows[item.index]!)">Delete</button>
          </PromptRow>
          <EvidenceOf v-if="opened === rows[item.index]!.id" :prompt-id="rows[item.index]!.id" />
        </template>
      </div>
    </div>
    <ManyActs v-if="chosen.length" :chosen="chosen" :rows="rows ?? []" :tags="tags" @none="selected = new Set()" @all="selected = new Set((rows ?? []).map(({ id }) => id))" />
    <ReuseDialog v-if="reusing" v-model="reuseOpen" :prompt-id="reusing.id" :title="reusing.title" />
    <TagsDialog v-if="tagsOpen" :tags="tags" @changed="loadTags" @close="tagsOpen = false" />
  </main>
</template>

<style scoped>
.line {
  display: flex;
  gap: 16px;
  min-height: 24px;
  margin: 4px 0;
}
.end {
  margin-left: auto;
}
.list {
  position: relative;
}
.item {
  position: absolute;
  inset: 0 0 auto;
}
.select {
  position: absolute;
  left: -24px;
  top: 0;
  bottom: 0;
  display: grid;
  align-items: start;
  padding: 14px 6px 0 4px;
}
</style>
