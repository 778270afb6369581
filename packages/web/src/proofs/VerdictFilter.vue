<script setup lang="ts">
import { VERDICTS } from '../keys/letters.ts'

/** Proofs of one verdict, of none yet, or all. */
defineProps<{ verdict: string }>()
const emit = defineEmits<{ change: [verdict: string] }>()
</script>

<template>
  <v-select label="Verdict" :model-value="verdict" :clearable="verdict !== ''" :items="[{ title: 'any verdict', value: '' }, ...VERDICTS, { title: 'no verdict yet', value: 'none' }]" @update:model-value="emit('change', $event ?? '')" />
</template>
