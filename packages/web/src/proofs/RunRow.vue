<script setup lang="ts">
import { type Proof, type Run, stopRun } from '@idolon/contract'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { counted, sayAmounts, sayExactly, sayWhen } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import { useNow } from '../shared/use-now.ts'
import ImportPictures from './ImportPictures.vue'
import { engineName } from './proof-name.ts'
import ProofTile from './ProofTile.vue'
import { useTileSteps } from './tile-steps.ts'

/** The proofs of one run in one row, with what was asked for. */
const props = withDefaults(defineProps<{ run: Run; proofs?: Proof[] | undefined; height?: number; titled?: boolean }>(), { height: 150, proofs: undefined })
const emit = defineEmits<{ changed: [run: Run]; proofChanged: [proof: Proof] }>()
const task = useTask()
const now = useNow()
const shown = computed(() => props.proofs ?? props.run.proofs)
const named = useEngines()
const engines = computed(() => props.run.proofs.length === 0 ? props.run.engines.map(({ engine, revision }) => `${named.find(engine, revision)?.name ?? engine} ${revision ?? ''}`).join(', ') : [...new Set(props.run.proofs.map(({ engine }) => `${engine.name} ${engine.revision}${engine.simulated ? ' (simulated)' : ''}`))].join(', '))
/** A row an engine where there are several, each with its name. */
const rows = computed(() => {
  const byEngine = new Map<string, Proof[]>()
  for (const proof of shown.value) {
    const name = engineName(proof)
    byEngine.set(name, [...(byEngine.get(name) ?? []), proof])
  }
  return [...byEngine].map(([name, proofs]) => ({ name, proofs, back: proofs.filter(({ state }) => state !== 'asked' && state !== 'sent').length }))
})
const { keep, move } = useTileSteps(() => rows.value.flatMap(({ proofs }) => proofs))
const done = computed(() => props.run.proofs.filter(({ state }) => state !== 'asked' && state !== 'sent').length)
const running = computed(() => done.value < props.run.proofs.length)
const line = computed(() => {
  const ratio = props.run.proofs[0]?.output.settings['aspectRatio']
  return [engines.value, props.run.byHand ? 'made elsewhere' : '', props.run.sweep ? `${props.run.sweep.key} ${props.run.sweep.values.join(', ')}` : '', ratio, counted(props.run.proofs.length, 'result'), sayAmounts(props.run.cost)].filter(Boolean).join(' · ')
})
const stop = () =>
  task(async () => {
    emit('changed', await call(stopRun, { params: { run: props.run.id } }))
  })
</script>

<template>
  <section class="run" role="group" :aria-label="`Version ${run.version} of ${run.promptTitle}, asked for ${sayExactly(run.askedAt)}`">
    <header>
      <h2 v-if="titled">
        <RouterLink :to="`/desk/${run.promptId}`">{{ run.promptTitle }}</RouterLink>
      </h2>
      <p class="heading">
        <RouterLink class="strong" :to="{ path: '/proofs', query: { run: run.id } }" title="The sheet of this run">Version {{ run.version }}</RouterLink>
        <span class="soft">{{ line }}</span>
        <time class="soft" :datetime="run.askedAt" :title="sayExactly(run.askedAt)">{{ sayWhen(run.askedAt, now) }}</time>
        <span v-if="running" role="status">{{ done }} of {{ run.proofs.length }} are back</span>
        <v-btn v-if="running && !run.stoppedAt" variant="text" @click="stop">Stop</v-btn>
        <span v-if="running && run.stoppedAt" class="soft">Stopped; what the engine already has still arrives.</span>
        <v-btn v-if="run.byHand && !run.stoppedAt" variant="text" @click="stop">No more pictures</v-btn>
        <slot name="actions" />
      </p>
    </header>
    <ImportPictures v-if="run.byHand && !run.stoppedAt" :run="run" @changed="emit('changed', $event)" />
    <div v-for="row in rows" :key="row.name" class="engine">
      <p v-if="rows.length > 1" class="name">{{ row.name }}<span v-if="row.back < row.proofs.length" class="soft">, {{ row.back }} of {{ row.proofs.length }} back</span></p>
      <div class="tiles">
        <ProofTile v-for="proof in row.proofs" :key="proof.id" :ref="(tile) => keep(proof.id, tile)" :proof="proof" :height="height" @changed="emit('proofChanged', $event)" @move="move(proof, $event)" />
      </div>
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-family: var(--serif);
  font-size: 17px;
  margin-bottom: 2px;
}
h2 a {
  text-decoration: none;
}
h2 a:hover {
  text-decoration: underline;
}
.heading {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
  margin-bottom: 8px;
}
.engine + .engine {
  margin-top: 8px;
}
.name {
  margin-bottom: 8px;
  font-size: 12.5px;
  font-weight: 600;
}
.tiles {
  display: flex;
  gap: 12px;
  overflow-x: auto;
  padding: 6px;
  margin: -6px;
}
</style>
