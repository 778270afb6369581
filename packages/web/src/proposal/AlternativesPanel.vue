<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { replacePhrase } from '@idolon/core'
import type { AlternativesAnswer } from '@idolon/core/helper'
import { computed, ref } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'
import { useNotices } from '../notices/notices.ts'

/** Other ways to say a phrase; one takes its place. */
const props = defineProps<{ turn: Turn; session: DraftSession }>()
const emit = defineEmits<{ decided: [taken: number, left: number] }>()
const notices = useNotices()
const alternatives = computed(() => (props.turn.value as AlternativesAnswer | null)?.alternatives ?? [])
/** What stands in the draft where the phrase stood. */
const stands = ref(String(props.turn.values['phrase'] ?? ''))

function use(words: string): void {
  const draft = props.session.draft.value
  const start = draft.text.indexOf(stands.value)
  if (start < 0) {
    notices.show(`“${stands.value}” no longer stands in the draft. Nothing was changed.`, { problem: true })
    return
  }
  const range = { start, end: start + stands.value.length }
  if (draft.marks.some(({ kind, from, to }) => kind === 'locked' && from < range.end && to > range.start)) {
    notices.show('You locked these words, so a helper’s may not take their place. Let helpers change them in the phrase’s menu first.', { problem: true })
    return
  }
  props.session.apply(replacePhrase(draft, range, words))
  stands.value = words
  emit('decided', 1, alternatives.value.length - 1)
}
</script>

<template>
  <div class="alternatives">
    <p><span class="soft">Instead of</span> <span class="words">{{ stands }}</span></p>
    <ol>
      <li v-for="words in alternatives" :key="words" class="row-actions">
        <span class="words">{{ words }}</span>
        <v-btn variant="text" :disabled="words === stands" :aria-label="`Accept: ${words}`" @click="use(words)">{{ words === stands ? 'accepted' : 'Accept' }}</v-btn>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.alternatives,
ol {
  display: grid;
  gap: 8px;
}
.words {
  font-family: var(--serif);
  font-size: 15.5px;
}
li {
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 3px;
}
</style>
