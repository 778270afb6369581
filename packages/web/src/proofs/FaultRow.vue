<script setup lang="ts">
import { type Fault, FAULTS } from '@idolon/core'
import { faultKeys, letterKeys } from '../keys/letters.ts'

/** The faults that a proof may have, each a switch with its letter. */
defineProps<{ faults: readonly Fault[]; disabled?: boolean }>()
const emit = defineEmits<{ toggle: [fault: Fault] }>()
</script>

<template>
  <div class="faults" role="group" aria-label="Faults">
    <v-btn v-for="(words, fault) in FAULTS" :key="fault" variant="text" :class="{ on: faults.includes(fault) }" :aria-pressed="faults.includes(fault)" :disabled="disabled" @click="emit('toggle', fault)">{{ words }}<kbd v-if="letterKeys">{{ faultKeys[fault] }}</kbd></v-btn>
  </div>
</template>

<style scoped>
.faults {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.on {
  color: var(--accent);
  font-weight: 600;
  text-decoration-color: currentcolor;
}
kbd {
  margin-left: 5px;
  font-family: var(--mono);
  font-size: 11px;
  color: var(--soft);
}
</style>
