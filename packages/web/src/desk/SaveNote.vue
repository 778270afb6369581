<script setup lang="ts">
import { computed } from 'vue'
import { sayExactly } from '../shared/said.ts'
import type { SaveState } from './draft-saver.ts'

const props = defineProps<{ state: SaveState; savedAt: string; keptLocally: boolean }>()
const words = computed(
  () =>
    ({
      saved: 'Saved',
      saving: 'Saving …',
      unsent: props.keptLocally ? 'Not saved on the server yet; kept in this browser' : 'Not saved yet, and this browser keeps no copy: leave this window open',
      moved: 'Changed elsewhere; both are kept',
      refused: 'Not saved: the server refused the last edit',
    })[props.state],
)
</script>

<template>
  <span class="save-note" :class="state" role="status" :title="state === 'saved' ? sayExactly(savedAt) : ''">{{ words }}</span>
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
