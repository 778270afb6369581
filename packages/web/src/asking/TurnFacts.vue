<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { computed } from 'vue'
import { sayAmounts } from '../shared/said.ts'
import FoldOut from '../shared/FoldOut.vue'

/** What was done to an answer, what it cost and took, and how it came. */
const props = defineProps<{ turn: Turn }>()
const facts = computed(() => [props.turn.cost === null ? '' : sayAmounts([{ unit: props.turn.unit, amount: props.turn.cost }]), props.turn.tookMs === null ? '' : `${(props.turn.tookMs / 1000).toFixed(1)} s`, props.turn.tries > 1 ? 'asked twice' : ''].filter(Boolean).join(', '))
const raw = computed(() => [...props.turn.earlier, props.turn.text].filter(Boolean))
</script>

<template>
  <div class="facts">
    <p v-for="one in turn.mended" :key="one" class="soft">{{ one }}</p>
    <FoldOut v-if="raw.length" :title="`${facts}; as it came`">
      <pre v-for="(text, i) in raw" :key="i" class="exact">{{ text }}</pre>
    </FoldOut>
    <p v-else class="soft">{{ facts }}</p>
  </div>
</template>

<style scoped>
.facts {
  display: grid;
  gap: 4px;
  font-size: 13px;
}
pre {
  max-height: 260px;
  overflow: auto;
  padding: 8px;
  background: var(--wash);
}
</style>
