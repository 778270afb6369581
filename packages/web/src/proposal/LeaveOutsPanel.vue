<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import type { LeaveOutsAnswer } from '@idolon/core/helper'
import { computed } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'

/** Entries for the leave-out list, each to take. */
const props = defineProps<{ turn: Turn; session: DraftSession }>()
const emit = defineEmits<{ decided: [taken: number, left: number] }>()
const entries = computed(() => (props.turn.value as LeaveOutsAnswer | null)?.leaveOut ?? [])
const isOn = (entry: string) => props.session.draft.value.leaveOut.some((own) => own.toLowerCase() === entry.toLowerCase())
const rest = computed(() => entries.value.filter((entry) => !isOn(entry)))
function take(list: readonly string[]): void {
  props.session.change({ leaveOut: [...props.session.draft.value.leaveOut, ...list.filter((entry) => !isOn(entry))] })
  emit('decided', entries.value.length - rest.value.length, rest.value.length)
}
</script>

<template>
  <div class="leave-outs">
    <ul>
      <li v-for="entry in entries" :key="entry" class="row-actions">
        <span class="words">{{ entry }}</span>
        <span v-if="isOn(entry)" class="soft">on the list</span>
        <v-btn v-else variant="text" :aria-label="`Leave out ${entry}`" @click="take([entry])">Accept</v-btn>
      </li>
    </ul>
    <p v-if="rest.length > 1"><v-btn @click="take(rest)">Accept all {{ rest.length }}</v-btn></p>
  </div>
</template>

<style scoped>
.leave-outs,
ul {
  display: grid;
  gap: 8px;
}
li {
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
}
.words {
  font-family: var(--serif);
  font-size: 15.5px;
}
</style>
