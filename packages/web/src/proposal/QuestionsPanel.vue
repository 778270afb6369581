<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { type Facet, insertPhrase } from '@idolon/core'
import type { QuestionsAnswer } from '@idolon/core/helper'
import { computed, ref } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'

/** Questions about what a draft does not say; an answer becomes a phrase of its facet. */
const props = defineProps<{ turn: Turn; session: DraftSession }>()
const emit = defineEmits<{ decided: [taken: number, left: number] }>()
const answered = ref<Record<number, string>>({})
const own = ref<Record<number, string>>({})
const questions = computed(() => (props.turn.value as QuestionsAnswer | null)?.questions ?? [])

function answer(place: number, facet: Facet, words: string): void {
  const said = words.trim()
  const read = props.session.reading.reading.value
  const { text } = props.session.draft.value
  if (!said) return
  const phrases = read?.text === text ? [...read.reading.phrases].sort((a, b) => a.start - b.start) : []
  const { changes, start, end } = insertPhrase(text, phrases, facet, said)
  const { id, version } = props.turn.helper
  props.session.apply({ text: changes, marks: { remove: [], add: [{ from: start, to: end, kind: 'facet', facet }, { from: start, to: end, kind: 'from', source: { type: 'helper', id, version } }] } })
  answered.value = { ...answered.value, [place]: said }
  const count = Object.keys(answered.value).length
  emit('decided', count, questions.value.length - count)
}
</script>

<template>
  <ol class="questions">
    <li v-for="({ facet, question, answers }, place) in questions" :key="place" :class="{ done: answered[place] }">
      <p>{{ question }} <span class="soft">{{ facet }}</span></p>
      <p v-if="answered[place]" class="answer">{{ answered[place] }}</p>
      <template v-else>
        <ul>
          <li v-for="one in answers" :key="one"><v-btn variant="text" class="words" @click="answer(place, facet, one)">{{ one }}</v-btn></li>
        </ul>
        <form class="row-actions" @submit.prevent="answer(place, facet, own[place] ?? '')">
          <v-text-field v-model="own[place]" :label="`Your own answer: ${question}`" maxlength="300" placeholder="or in your own words" />
          <v-btn variant="text" :disabled="!own[place]?.trim()" type="submit">Answer</v-btn>
        </form>
      </template>
    </li>
    <li v-if="questions.length === 0" class="soft">Nothing is missing: the draft says something of every facet that was asked for.</li>
  </ol>
</template>

<style scoped>
.questions,
.questions > li {
  display: grid;
  gap: 6px;
}
.questions {
  gap: 16px;
}
.questions ul {
  display: flex;
  flex-wrap: wrap;
  gap: 3px 18px;
}
.words,
.answer {
  font-family: var(--serif);
  font-size: 15px;
}
.answer {
  padding-left: 8px;
  border-left: 2px solid var(--kept);
}
</style>
