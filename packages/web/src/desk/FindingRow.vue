<script setup lang="ts">
import type { Finding } from '@idolon/core'
import DismissForm from '../shared/DismissForm.vue'

/** One thing that is wrong with the draft: its reason, what fixes it, and a way to say that it is right here. */
defineProps<{ finding: Finding; dismissing: boolean }>()
/** Each with the finding, so that a row of which nothing changed is not drawn again while one types. */
const emit = defineEmits<{ show: [finding: Finding]; fix: [finding: Finding]; ask: [finding: Finding]; dismiss: [finding: Finding, reason: string]; leave: []; keyed: [event: KeyboardEvent, finding: Finding] }>()
</script>

<template>
  <li :class="finding.severity">
    <v-btn variant="text" class="reason lines" :text="finding.reason" :title="finding.where?.in === 'text' ? 'Show it in the text' : undefined" @click="emit('show', finding)" @keydown="emit('keyed', $event, finding)" />
    <DismissForm v-if="dismissing" @dismiss="emit('dismiss', finding, $event)" @leave="emit('leave')" />
    <p v-else class="row-actions">
      <v-btn v-if="finding.fix" variant="text" @click="emit('fix', finding)">{{ finding.fix.label }}</v-btn>
      <v-btn variant="text" :aria-label="`Dismiss: ${finding.reason}`" @click="emit('ask', finding)">Dismiss</v-btn>
    </p>
  </li>
</template>

<style scoped>
li {
  display: grid;
  gap: 3px;
  padding-left: 12px;
  border-left: 1px solid var(--rule-strong);
}
li.stop {
  padding-left: 11px;
  border-left: 2px solid var(--accent);
}
.reason {
  overflow-wrap: anywhere;
}
</style>
