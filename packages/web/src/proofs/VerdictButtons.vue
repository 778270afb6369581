<script setup lang="ts">
import type { Verdict } from '@idolon/contract'
import { letterKeys, VERDICTS, verdictKeys } from '../keys/letters.ts'

/** Keep, maybe or drop: the one that holds is filled, and each says its key. */
defineProps<{ verdict: Verdict | null; disabled?: boolean; of?: string }>()
const emit = defineEmits<{ judge: [verdict: Verdict] }>()
</script>

<template>
  <div class="verdicts" role="group" :aria-label="of ? `Verdict on ${of}` : 'Verdict'">
    <v-btn v-for="one in VERDICTS" :key="one" :class="{ on: verdict === one, [one]: true }" :aria-pressed="verdict === one" :aria-keyshortcuts="letterKeys ? verdictKeys[one] : undefined" :disabled="disabled ?? false" @click="emit('judge', one)">{{ one }}<kbd v-if="letterKeys" aria-hidden="true">{{ verdictKeys[one] }}</kbd></v-btn>
  </div>
</template>

<style scoped>
.verdicts {
  display: flex;
  gap: 8px;
}
kbd {
  margin-left: 8px;
  font-family: var(--mono);
  font-size: 11px;
  color: inherit;
}
.verdicts .on {
  border-color: var(--ink);
  background: var(--ink);
  color: var(--paper);
}
.verdicts .keep.on {
  border-color: var(--kept);
  background: var(--kept);
}
</style>
