<script setup lang="ts">
import { type Evidence, readEvidence } from '@idolon/contract'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { counted, sayRecord as record, sayWhen } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import SameOf from './SameOf.vue'

/** What a prompt has shown it can do: kept of tried by engine, when it was last used, what it came from and what came from it; and what says the same in other words. */
const props = defineProps<{ promptId: string; title: string }>()
const projects = useProjects()
const { data: evidence } = usePageData<Evidence>({
  key: () => ['evidence', props.promptId],
  read: (signal) => call(readEvidence, { params: { prompt: props.promptId }, signal }),
  on: ({ kind, promptId }) => promptId === props.promptId && (kind === 'prompt' || kind === 'proof'),
})
const ancestors = computed(() => evidence.value?.family.filter(({ steps }) => steps < 0) ?? [])
const offspring = computed(() => evidence.value?.family.filter(({ steps }) => steps > 0) ?? [])
</script>

<template>
  <div class="evidence">
    <p v-if="!evidence" class="soft">Looking …</p>
    <template v-else>
      <p v-if="evidence.engines.length">Kept of tried: {{ evidence.engines.map(({ name, tried, kept }) => `${kept} of ${tried} on ${name}`).join(', ') }}<template v-if="evidence.lastUsed">; last used {{ sayWhen(evidence.lastUsed) }}</template>.</p>
      <p v-else class="soft">Not tried yet: nothing bears it out.</p>
      <p v-if="ancestors.length">Came from <template v-for="(one, i) in ancestors" :key="one.promptId"><template v-if="i">, which led to </template><RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink> <span class="soft">({{ record(one) }})</span></template>.</p>
      <div v-if="offspring.length">
        <p>Used again {{ counted(offspring.length, 'time') }}:</p>
        <ul>
          <li v-for="one in offspring" :key="one.promptId" :style="{ paddingLeft: `${one.steps * 16}px` }"><RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink> <span class="soft">{{ projects.byId(one.projectId)?.name }}, {{ record(one) }}</span></li>
        </ul>
      </div>
      <SameOf :prompt-id="promptId" :title="title" alone />
    </template>
  </div>
</template>

<style scoped>
.evidence {
  display: grid;
  gap: 4px;
}
</style>
