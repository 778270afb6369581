<script setup lang="ts">
import type { AnswerOf, QueryOf, searchShelf } from '@idolon/contract'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { counted } from '../shared/said.ts'
import type { SearchName } from './shelf-query.ts'

/** What a search came to, in a line, and other ways to see it. */
const props = defineProps<{ text: (name: SearchName) => string; query: NonNullable<QueryOf<typeof searchShelf>>; answer: Omit<AnswerOf<typeof searchShelf>, 'rows'> | undefined; looking: boolean; some: boolean; families: boolean; filtered: boolean }>()
const emit = defineEmits<{ set: [name: SearchName, value: string]; tags: [] }>()
const router = useRouter()
const TAKEN_OUT = [['csv', 'CSV'], ['json', 'JSON'], ['md', 'Markdown'], ['texts.zip', 'texts'], ['bundle.zip', 'a bundle']] as const
/** The search as an address says it, for the files it is taken out as. */
const address = computed(() => new URLSearchParams(Object.entries(props.query).filter(([, value]) => value !== '').map(([name, value]) => [name, String(value)])).toString())
const byMeaning = computed(() => props.text('by') === 'meaning')
const each = computed(() => props.text('each') === 'yes')
const found = computed(() => {
  const { total = 0, more = false } = props.answer ?? {}
  const kind = byMeaning.value && props.text('q') ? ' close in meaning' : ''
  return `${more ? 'more than ' : ''}${counted(total, 'prompt')}${kind}`
})
</script>

<template>
  <p class="line" role="status">
    <span>{{ looking ? 'Looking …' : found }}</span>
    <span v-for="word in answer?.read" :key="word.typed">“{{ word.typed }}” was read as {{ word.as }}.</span>
    <span v-if="answer?.unread">{{ counted(answer.unread, 'prompt') }} still to be read for {{ byMeaning ? 'what they mean' : 'what facets say' }}.</span>
    <v-btn variant="text" v-if="text('q')" @click="emit('set', 'by', byMeaning ? '' : 'meaning')">{{ byMeaning ? 'Look by the words' : 'Look by meaning' }}</v-btn>
    <v-btn variant="text" v-if="families || each" @click="emit('set', 'each', each ? '' : 'yes')">{{ each ? 'Group duplicates' : 'Show duplicates one by one' }}</v-btn>
    <v-btn variant="text" v-if="filtered" @click="router.replace({ query: {} })">Clear the search</v-btn>
    <RouterLink class="end" to="/shelf/in">Import</RouterLink>
    <span v-if="some">Export as <template v-for="([ending, name], i) in TAKEN_OUT" :key="ending"><template v-if="i">, </template><a :href="`/api/shelf.${ending}?${address}`" download>{{ name }}</a></template></span>
    <v-btn variant="text" @click="emit('tags')">Tags</v-btn>
    <RouterLink to="/bin">The bin</RouterLink>
  </p>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 16px;
  min-height: 24px;
  margin: 4px 0;
}
.end {
  margin-left: auto;
}
</style>
