<script setup lang="ts">
import type { Version } from '@idolon/contract'
import { computed } from 'vue'
import { useNotices } from '../notices/notices.ts'
import { sayDifference } from '../proofs/difference-words.ts'
import type { DraftSession } from './draft-session.ts'
import { type Change, useDifferences } from './use-differences.ts'

/** Each thing in which the draft differs from a version, to be taken over from it by itself. */
const props = defineProps<{ version: Version; session: DraftSession }>()
const notices = useNotices()
const found = useDifferences(props.session, () => ({ before: props.session.draft.value, after: { ...props.session.draft.value, ...props.version.body } }))
const changes = computed(() => found.value?.changes ?? [])
function take({ edit, difference }: Change): void {
  // Edits are of the draft as it was when they were made out.
  if (props.session.draft.value !== found.value?.before) return
  props.session.apply(edit)
  notices.show(`Taken from version ${props.version.number}: ${sayDifference(difference)}.`, { action: { label: 'Undo', run: props.session.undo } })
}
</script>

<template>
  <ul v-if="changes.length" :aria-label="`From version ${version.number}`">
    <li v-for="(change, i) in changes" :key="i"><span class="words" :title="sayDifference(change.difference)">{{ sayDifference(change.difference) }}</span><v-btn variant="text" @click="take(change)">Use this</v-btn></li>
  </ul>
</template>

<style scoped>
ul {
  min-width: 0;
}
li {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
.words {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
