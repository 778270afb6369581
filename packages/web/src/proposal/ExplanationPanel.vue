<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { covered, toggledOff } from '@idolon/core'
import type { ExplanationAnswer } from '@idolon/core/helper'
import { computed } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'

/** What each phrase is for, and what could go: that is switched off and on again by one press. */
const props = defineProps<{ turn: Turn; session: DraftSession }>()
const phrases = computed(() => {
  const { text, marks } = props.session.draft.value
  let from = 0
  return ((props.turn.value as ExplanationAnswer | null)?.phrases ?? []).map((one) => {
    // The same words may stand twice: each is the next place of them.
    const start = text.toLowerCase().indexOf(one.phrase.toLowerCase(), from)
    const at = start >= 0 ? start : text.toLowerCase().indexOf(one.phrase.toLowerCase())
    const range = at < 0 ? undefined : { start: at, end: at + one.phrase.length }
    if (start >= 0) from = start + 1
    return { ...one, range, off: range !== undefined && covered(text, marks, 'off', range) }
  })
})
const goes = computed(() => phrases.value.filter(({ canGo, range, off }) => canGo && range && !off))
function toggle(range: { start: number; end: number } | undefined): void {
  const { text, marks } = props.session.draft.value
  if (range) props.session.change({ marks: toggledOff(text, marks, range) })
}
function show(range: { start: number; end: number } | undefined): void {
  if (range) props.session.view.dispatch({ selection: { anchor: range.start, head: range.end }, scrollIntoView: true })
}
</script>

<template>
  <div class="explanation">
    <p v-if="goes.length" class="soft">{{ goes.length === 1 ? 'One phrase could go.' : `${goes.length} phrases could go.` }} What is switched off stays in the text, struck through, and is not sent.</p>
    <ul>
      <li v-for="(one, place) in phrases" :key="place">
        <v-btn variant="text" :class="{ off: one.off }" :disabled="!one.range" class="phrase lines" @click="show(one.range)">{{ one.phrase }}</v-btn>
        <p>{{ one.purpose }}</p>
        <p v-if="one.canGo && one.range" class="row-actions"><span class="soft">It could go.</span><v-btn variant="text" @click="toggle(one.range)">{{ one.off ? 'Switch on' : 'Switch off' }}</v-btn></p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.explanation,
ul {
  display: grid;
  gap: 12px;
}
li {
  display: grid;
  gap: 2px;
}
.phrase {
  padding: 0;
  border: 0;
  background: none;
  font-family: var(--serif);
  font-size: 15.5px;
  text-align: left;
  cursor: pointer;
}
.phrase.off {
  text-decoration: line-through;
  color: var(--soft);
}
</style>
