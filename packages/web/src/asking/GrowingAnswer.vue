<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { proseSoFar } from '@idolon/core/helper'
import { computed } from 'vue'

/** What a model has written so far. */
const props = defineProps<{ turn: Turn; text: string }>()
const shown = computed(() => proseSoFar(props.text, props.turn.kind) || (/[{[]/.test(props.text) ? '' : props.text))
</script>

<template>
  <div class="growing" aria-live="off">
    <p v-if="shown" class="words">{{ shown }}</p>
    <p class="soft" role="status">{{ shown ? `${turn.model.name} writes ...` : `${turn.model.name} is asked ...` }}</p>
  </div>
</template>

<style scoped>
.growing {
  display: grid;
  gap: 6px;
}
.words {
  font-family: var(--serif);
  font-size: 15.5px;
  line-height: 1.5;
  white-space: pre-line;
  overflow-wrap: anywhere;
}
</style>
