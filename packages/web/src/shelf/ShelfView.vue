<script setup lang="ts">
import { deletePrompt, type FoundPrompt, restorePrompt } from '@idolon/contract'
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { computed, defineAsyncComponent, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import ReuseDialog from '../desk/ReuseDialog.vue'
import { useActions } from '../go-to/actions.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import SavedSearches from './SavedSearches.vue'
import ManyActs from './ManyActs.vue'
import SearchLine from './SearchLine.vue'
import ShelfFilters from './ShelfFilters.vue'
import ShelfParts from './ShelfParts.vue'
import ShelfRow from './ShelfRow.vue'
import { useShelfQuery } from './shelf-query.ts'
import { useFound } from './use-found.ts'

const TagsDialog = defineAsyncComponent(() => import('./TagsDialog.vue'))
/** Rows from the end of what is there when the next are asked for. */
const AHEAD = 15
const ROW = 116

const router = useRouter()
const notices = useNotices()
const task = useTask()
const { fromNothing } = useNewPrompt()
const { text, set, query, given } = useShelfQuery()
const { rows, close, answer, tags, slow, failed, load, loadTags, further } = useFound(query)
const reusing = ref<FoundPrompt>()
const reuseOpen = ref(false)
const tagsOpen = ref(false)
const selected = ref<Set<string>>(new Set())
const filtered = computed(() => Object.keys(given.value).length > 0)
const all = computed(() => [...(rows.value ?? []), ...close.value])
const chosen = computed(() => all.value.filter(({ id }) => selected.value.has(id)))
watch(() => JSON.stringify(query.value), () => (selected.value = new Set()))

// Only rows in sight are drawn, however long the list is.
const list = useTemplateRef<HTMLElement>('list')
const top = ref(0)
onMounted(() => (top.value = list.value?.offsetTop ?? 0))
const virtual = useWindowVirtualizer(computed(() => ({ count: rows.value?.length ?? 0, estimateSize: () => ROW, overscan: 6, scrollMargin: top.value, getItemKey: (i: number) => rows.value?.[i]?.id ?? i })))
const shown = computed(() => virtual.value.getVirtualItems())
watch(shown, (items) => {
  if (rows.value && (items.at(-1)?.index ?? 0) > rows.value.length - AHEAD) further()
})
watch(() => [text('engine'), text('kept'), rows.value === undefined, answer.value?.frames.length], () => setTimeout(() => (top.value = list.value?.offsetTop ?? 0)))
const measure = (element: unknown) => virtual.value.measureElement(element as Element | null)

const remove = (prompt: FoundPrompt) =>
  task(async () => {
    await call(deletePrompt, { params: { prompt: prompt.id } })
    notices.show(`“${prompt.title}” is in the bin.`, { action: { label: 'Restore', run: () => void task(() => call(restorePrompt, { params: { prompt: prompt.id } })) } })
    await load('again')
  })
function toggle(id: string): void {
  const next = new Set(selected.value)
  if (!next.delete(id)) next.add(id)
  selected.value = next
}
function reuse(prompt: FoundPrompt): void {
  reusing.value = prompt
  reuseOpen.value = true
}
useActions(() => [
  { name: 'Tags: rename and join', words: 'labels merge', run: () => (tagsOpen.value = true) },
  { name: 'Templates', words: 'frames slots', run: () => void router.push('/shelf/templates') },
  { name: 'Writing styles', words: 'style voice', run: () => void router.push('/shelf/writing-styles') },
])
</script>

<template>
  <main class="page shelf">
    <header>
      <div class="head"><h1 class="view-title">Shelf <span class="scope">prompts of all projects</span></h1><v-btn color="primary" variant="flat" @click="fromNothing">New prompt</v-btn></div>
      <ShelfParts />
      <ShelfFilters :text="text" :tags="tags" @set="set" />
      <SearchLine :text="text" :query="query" :answer="answer" :looking="rows === undefined || slow" :some="!!rows?.length" :families="!!rows?.some(({ alike }) => alike)" :filtered="filtered" @set="set" @tags="tagsOpen = true"><SavedSearches :given="given" /></SearchLine>
      <p v-if="answer?.frames.length" class="frames">Beside prompts: <template v-for="(frame, i) in answer.frames" :key="frame.id"><template v-if="i">, </template>{{ frame.kind }} <RouterLink :to="`/shelf/${frame.kind}s/${frame.id}`">{{ frame.name }}</RouterLink></template></p>
    </header>
    <v-skeleton-loader v-if="rows === undefined && !failed" type="list-item-two-line@6" />
    <p v-else-if="rows?.length === 0 && filtered" class="soft">{{ close.length ? 'No prompt has these words.' : 'Nothing fits. Remove a word or a filter.' }}</p>
    <p v-else-if="rows?.length === 0">Nothing on the Shelf yet. <v-btn color="primary" variant="flat" @click="fromNothing">New prompt</v-btn> <RouterLink to="/shelf/in">Import prompts from a file</RouterLink></p>
    <div ref="list" class="list" :style="{ height: `${virtual.getTotalSize()}px` }">
      <div v-for="item in shown" :key="String(item.key)" :ref="measure" class="item" :data-index="item.index" :style="{ transform: `translateY(${item.start - top}px)` }">
        <ShelfRow v-if="rows?.[item.index]" :prompt="rows[item.index]!" :selected="selected.has(rows[item.index]!.id)" @toggle="toggle(rows[item.index]!.id)" @reuse="reuse(rows[item.index]!)" @remove="remove(rows[item.index]!)" />
      </div>
    </div>
    <section v-if="close.length" aria-labelledby="close-title">
      <h2 id="close-title" class="close">Close in meaning</h2>
      <ShelfRow v-for="prompt in close" :key="prompt.id" :prompt="prompt" :selected="selected.has(prompt.id)" @toggle="toggle(prompt.id)" @reuse="reuse(prompt)" @remove="remove(prompt)" />
    </section>
    <ManyActs v-if="chosen.length" :chosen="chosen" :rows="all" :tags="tags" @none="selected = new Set()" @all="selected = new Set(all.map(({ id }) => id))" />
    <ReuseDialog v-if="reusing" v-model="reuseOpen" :prompt-id="reusing.id" :title="reusing.title" />
    <TagsDialog v-if="tagsOpen" :tags="tags" @changed="loadTags" @close="tagsOpen = false" />
  </main>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: start;
}
.head .v-btn {
  margin-bottom: -12px;
}
.list {
  position: relative;
}
.item {
  position: absolute;
  inset: 0 0 auto;
}
.frames {
  margin: 4px 0 6px;
}
.close {
  margin-top: 18px;
  font-size: 15px;
}
</style>
