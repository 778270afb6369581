<script setup lang="ts">
import type { OutlinePhrase, TextRange } from '@idolon/core'
import { computed, onMounted, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import TermEntry from '../glossary/TermEntry.vue'
import WordCompanions from '../glossary/WordCompanions.vue'
import { useGlossary } from '../stores/glossary.ts'

/** What the glossary says of a phrase, term by term, what its words bring along, and how to say them without. */
const props = defineProps<{ phrase: OutlinePhrase; target: HTMLElement }>()
const emit = defineEmits<{ close: []; say: [range: TextRange, text: string] }>()
const store = useGlossary()
const router = useRouter()
const root = useTemplateRef<HTMLElement>('root')

const terms = computed(() => {
  const found = store.glossary?.saidIn(props.phrase.text) ?? []
  return found.flatMap(({ value }) => [...value].sort((a, b) => Number(b.facet === props.phrase.facet) - Number(a.facet === props.phrase.facet)).slice(0, 1))
})
const words = computed(() => store.associations?.termsIn(props.phrase.text) ?? [])
const isKnown = computed(() => terms.value.length > 0 || words.value.length > 0)
const close = (): void => {
  emit('close')
  props.target.focus()
}
const say = ({ start, end }: TextRange, text: string) => emit('say', { start: props.phrase.start + start, end: props.phrase.start + end }, text)
const go = (name: string) => void router.push({ path: '/glossary', query: { term: name } })
onMounted(() => setTimeout(() => root.value?.focus(), 30))
</script>

<template>
  <v-menu :model-value="true" attach="main" :target="target" :close-on-content-click="false" location="bottom start" :offset="4" @update:model-value="close">
    <div ref="root" class="entry-of" role="dialog" tabindex="-1" :aria-label="`Glossary: ${phrase.text}`" @keydown.escape.stop.prevent="close">
      <p v-if="!store.glossary" class="soft" role="status">Opening the glossary …</p>
      <p v-else-if="!isKnown" class="soft">Nothing in the glossary about “{{ phrase.text }}”. <v-btn variant="text" @click="router.push({ path: '/glossary', query: { q: phrase.text } })">Look further</v-btn></p>
      <TermEntry v-for="term in terms" :key="term.facet + term.term" :term="term" heading="h3" :brings="!words.length" @go="go" />
      <template v-if="store.associations">
        <WordCompanions v-for="word in words" :key="word.start" :word="word.term" :associations="store.associations" use @use="say(word, $event)" />
      </template>
      <p class="row-actions"><v-btn variant="text" @click="close">Close</v-btn></p>
    </div>
  </v-menu>
</template>

<style scoped>
.entry-of {
  display: grid;
  gap: 14px;
  width: 420px;
  max-height: 60vh;
  overflow: auto;
  padding: 14px 18px;
  background: var(--sheet);
  border: 1px solid var(--rule-strong);
  outline: none;
}
</style>
