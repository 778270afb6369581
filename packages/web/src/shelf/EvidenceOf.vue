<script setup lang="ts">
import { type Evidence, type NearPrompt, readEvidence, readNear, type Relative } from '@idolon/contract'
import { computed, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { counted, sayWhen } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'

/** What a prompt has shown it can do: kept of tried by engine, when it was last used, what it came from and what came from it, and what says the same in other words. */
const props = defineProps<{ promptId: string }>()
const projects = useProjects()
const task = useTask()
const evidence = shallowRef<Evidence>()
void task(async () => (evidence.value = await call(readEvidence, { params: { prompt: props.promptId } })))
const near = shallowRef<NearPrompt[]>()
void task(async () => (near.value = await call(readNear, { params: { prompt: props.promptId } })))
const ancestors = computed(() => evidence.value?.family.filter(({ steps }) => steps < 0) ?? [])
const offspring = computed(() => evidence.value?.family.filter(({ steps }) => steps > 0) ?? [])
const record = ({ proofs, keepers }: Pick<Relative, 'proofs' | 'keepers'>) => (proofs ? `${keepers} of ${proofs} kept` : 'not tried')
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
      <div v-if="near?.length">
        <p>The same in other words:</p>
        <ul>
          <li v-for="one in near" :key="one.promptId"><RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink> <span class="soft">{{ projects.byId(one.projectId)?.name }}, {{ record(one) }}{{ one.differences.length ? `; ${one.differences.slice(0, 4).join('; ')}` : '' }}</span></li>
        </ul>
      </div>
    </template>
  </div>
</template>

<style scoped>
.evidence {
  display: grid;
  gap: 4px;
  padding: 0 0 12px 150px;
}
</style>
