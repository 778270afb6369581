<script setup lang="ts">
import { computed } from 'vue'
import { sayExactly } from '../shared/said.ts'
import type { DraftSession } from './draft-session.ts'

/** Where the draft is kept. It asks the session itself: it changes with every key, and nothing about it does. */
const props = defineProps<{ session: Pick<DraftSession, 'saveState' | 'saver'> }>()
const state = computed(() => props.session.saveState.value)
const words = computed(
  () =>
    ({
      saved: 'Saved',
      saving: 'Saving …',
      unsent: props.session.saver.keptLocally.value ? 'Not saved on the server yet; kept in this browser' : 'Not saved yet, and this browser keeps no copy: leave this window open',
      moved: 'Changed elsewhere; both are kept',
      refused: 'Not saved: the server refused the last edit',
    })[state.value],
)
</script>

<template>
  <span class="save-note" :class="state" role="status" :title="state === 'saved' ? sayExactly(session.saver.savedAt.value) : ''">{{ words }}</span>
</template>

<style scoped>
.save-note {
  color: var(--soft);
  font-size: 13px;
}
.unsent,
.moved,
.refused {
  color: var(--accent);
  font-weight: 600;
}
</style>
