<script setup lang="ts">
import { VERDICTS } from '../keys/keys.ts'

/** Proofs of one verdict, of none yet, or all. */
defineProps<{ verdict: string }>()
const emit = defineEmits<{ change: [verdict: string] }>()
</script>

<template>
  <select class="field" aria-label="Verdict" :value="verdict" @change="emit('change', ($event.target as HTMLSelectElement).value)">
    <option value="">any verdict</option>
    <option v-for="one in VERDICTS" :key="one" :value="one">{{ one }}</option>
    <option value="none">no verdict yet</option>
  </select>
</template>
