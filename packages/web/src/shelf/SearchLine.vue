<script setup lang="ts">
import type { AnswerOf, QueryOf, searchShelf } from '@idolon/contract'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { counted } from '../shared/said.ts'
import type { SearchName } from './shelf-query.ts'
import { mdiDeleteOutline, mdiExport, mdiFileOutline, mdiImport, mdiTagOutline } from '@mdi/js'
import type { Act } from '../shared/act.ts'
import ActsMenu from '../shared/ActsMenu.vue'

/** What a search came to, in a line, and other ways to see it. */
const props = defineProps<{ text: (name: SearchName) => string; query: NonNullable<QueryOf<typeof searchShelf>>; answer: Omit<AnswerOf<typeof searchShelf>, 'rows'> | undefined; looking: boolean; some: boolean; families: boolean; filtered: boolean }>()
const emit = defineEmits<{ set: [name: SearchName, value: string]; tags: [] }>()
const router = useRouter()
const FORMATS = [['csv', 'As CSV'], ['json', 'As JSON'], ['md', 'As Markdown'], ['texts.zip', 'As texts'], ['bundle.zip', 'As a bundle, with its pictures']] as const
/** The search as an address says it, for the files it is exported as. */
const address = computed(() => new URLSearchParams(Object.entries(props.query).filter(([, value]) => value !== '').map(([name, value]) => [name, String(value)])).toString())
const files = computed(() => FORMATS.map(([ending, name]): Act => ({ name, icon: mdiFileOutline, href: `/api/shelf.${ending}?${address.value}` })))
const more = computed((): Act[] => [
  { name: 'Tags: rename and join …', icon: mdiTagOutline, run: () => emit('tags') },
  { name: 'Open the bin', icon: mdiDeleteOutline, run: () => void router.push('/bin') },
])
const byMeaning = computed(() => props.text('by') === 'meaning')
const each = computed(() => props.text('each') === 'yes')
const found = computed(() => {
  const { total = 0, more = false } = props.answer ?? {}
  const kind = byMeaning.value && props.text('q') ? ' close in meaning' : ''
  return `${more ? 'more than ' : ''}${counted(total, 'prompt')}${kind}`
})
</script>

<template>
  <div class="line"><p role="status">
    <strong>{{ looking ? 'Looking …' : found }}</strong>
    <span v-for="word in answer?.read" :key="word.typed">“{{ word.typed }}” was read as {{ word.as }}.</span>
    <span v-if="answer?.unread">{{ counted(answer.unread, 'prompt') }} still to be read for {{ byMeaning ? 'what they mean' : 'what facets say' }}.</span></p>
    <v-btn v-if="text('q')" variant="text" @click="emit('set', 'by', byMeaning ? '' : 'meaning')">{{ byMeaning ? 'Look by the words' : 'Look by meaning' }}</v-btn>
    <v-btn v-if="families || each" variant="text" @click="emit('set', 'each', each ? '' : 'yes')">{{ each ? 'Group duplicates' : 'Show duplicates one by one' }}</v-btn>
    <v-btn v-if="filtered" variant="text" @click="router.replace({ query: {} })">Clear the search</v-btn>
    <slot />
    <span class="ends">
      <v-btn :prepend-icon="mdiImport" to="/shelf/in">Import</v-btn>
      <ActsMenu v-if="some" label="Export" :icon="mdiExport" :acts="files" />
      <ActsMenu label="More" variant="text" :acts="more" />
    </span>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
  margin: 2px 0 8px;
}
.ends {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
</style>
