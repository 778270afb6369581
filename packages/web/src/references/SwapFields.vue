<script setup lang="ts">
import { SWAP_FACET, type SwapPart, SWAPS } from '@idolon/core'
import { computed } from 'vue'
import { useGlossary } from '../stores/glossary.ts'

/** The same picture with something of it swapped: what is filled in stands in the place of what the picture says, and the rest stays. */
defineProps<{ swaps: Readonly<Record<SwapPart, string>> }>()
const emit = defineEmits<{ swap: [part: SwapPart, text: string] }>()
const store = useGlossary()
const LABELS: Record<SwapPart, string> = { subject: 'another subject', dress: 'another outfit', hour: 'another time of day', colour: 'other colours', medium: 'another medium' }
const MOST = 60
/** Terms of the trade to choose from. */
const terms = computed(() => Object.fromEntries(SWAPS.map((part) => [part, part === 'subject' || part === 'dress' ? [] : (store.glossary?.terms ?? []).filter(({ facet }) => facet === SWAP_FACET[part]).slice(0, MOST).map(({ term }) => term)])))
</script>

<template>
  <fieldset class="swap">
    <legend>The same picture with</legend>
    <v-combobox v-for="part in SWAPS" :key="part" :model-value="swaps[part]" :label="LABELS[part]" :items="terms[part] ?? []" maxlength="400" placeholder="as in the picture" hide-no-data @update:model-value="emit('swap', part, String($event ?? ''))" />
  </fieldset>
</template>

<style scoped>
.swap {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
  margin: 0;
  padding: 10px 0 0;
  border: 0;
  border-top: 1px solid var(--rule-strong);
}
legend {
  float: left;
  grid-column: 1 / -1;
  font-size: 13.5px;
  font-weight: 600;
}
</style>
