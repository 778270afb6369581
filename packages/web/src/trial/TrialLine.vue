<script setup lang="ts">
import { goOnWithTrial, stopTrial, type Trial } from '@idolon/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { counted, sayAmounts } from '../shared/said.ts'

/** A trial plan in a line: how far it is, what it has cost, and a way to stop it or to go on. */
const props = defineProps<{ trial: Trial; linked?: boolean }>()
const emit = defineEmits<{ changed: [trial: Trial] }>()
const task = useTask()
const busy = ref(false)
const all = computed(() => Object.values(props.trial.states).reduce((sum, count) => sum + count, 0))
const open = computed(() => props.trial.states.asked + props.trial.states.sent)
const missing = computed(() => props.trial.states.failed + props.trial.states.stopped + props.trial.states.unknown)
const act = async (goOn: boolean): Promise<void> => {
  busy.value = true
  const now = await task(() => call(goOn ? goOnWithTrial : stopTrial, { params: { trial: props.trial.id } }))
  if (now) emit('changed', now)
  busy.value = false
}
</script>

<template>
  <p class="trial-line">
    <RouterLink v-if="linked" :to="{ path: '/proofs/sheet', query: { trial: trial.id } }">{{ trial.body.name }}</RouterLink>
    <strong v-else>{{ trial.body.name }}</strong>
    <span class="soft">{{ counted(trial.combinations, 'combination') }}</span>
    <template v-if="open">
      <v-progress-linear :model-value="trial.states.stored + missing" :max="all" :aria-label="`${trial.states.stored} of ${all} pictures`" />
      <span role="status">{{ trial.states.stored }} of {{ counted(all, 'picture') }}</span>
      <v-btn variant="text" :disabled="busy" @click="act(false)">Stop</v-btn>
    </template>
    <span v-else>{{ counted(trial.states.stored, 'picture') }}{{ trial.keepers ? `, ${trial.keepers} kept` : trial.judged ? ', none kept' : '' }}</span>
    <template v-if="missing && !open">
      <span class="soft">{{ [trial.states.stopped ? `${trial.states.stopped} stopped` : '', trial.states.failed ? `${trial.states.failed} failed` : '', trial.states.unknown ? `${trial.states.unknown} may have been charged` : ''].filter(Boolean).join(', ') }}</span>
      <v-btn variant="text" :disabled="busy" @click="act(true)">Go on</v-btn>
    </template>
    <span class="soft cost">{{ sayAmounts(trial.cost) }}</span>
  </p>
</template>

<style scoped>
.trial-line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
}
a {
  font-weight: 600;
}
</style>
