<script setup lang="ts">
import { type Proof, type Run, stopRun } from '@idolon/contract'
import { mdiHistory, mdiStop, mdiViewGridOutline } from '@mdi/js'
import { computed, defineAsyncComponent } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { useTileSteps } from '../proofs/tile-steps.ts'
import ProofTile from '../proofs/ProofTile.vue'
import { counted, sayExactly, sayWhen } from '../shared/said.ts'
import { useNow } from '../shared/use-now.ts'
import { useEngines } from '../stores/engines.ts'

/** For runs whose pictures are made elsewhere. */
const ImportPictures = defineAsyncComponent(() => import('../proofs/ImportPictures.vue'))

/** What came back from the last try, always in sight: its pictures in one row, how far it is, and a way to stop it. */
const props = defineProps<{ promptId: string; run: Run | undefined; starting: boolean; expected: number; changes: number; height: number }>()
const emit = defineEmits<{ changed: [run: Run]; proofChanged: [proof: Proof]; older: []; since: [] }>()
const task = useTask()
const now = useNow()
const engines = useEngines()
const { keep, move } = useTileSteps(() => props.run?.proofs ?? [])
const MOST_EXPECTED = 12

const back = computed(() => props.run?.proofs.filter(({ state }) => state !== 'asked' && state !== 'sent').length ?? 0)
const all = computed(() => props.run?.proofs.length ?? 0)
const running = computed(() => back.value < all.value)
const asked = computed(() => {
  const { run } = props
  if (!run) return ''
  const names = run.proofs.length ? [...new Set(run.proofs.map(({ engine }) => `${engine.name} ${engine.revision}`))] : run.engines.map(({ engine, revision }) => engines.named(revision ? `${engine} ${revision}` : engine))
  return names.join(', ')
})
const stop = () =>
  task(async () => {
    if (props.run) emit('changed', await call(stopRun, { params: { run: props.run.id } }))
  })
</script>

<template>
  <section class="last-try" role="group" :aria-label="run && !starting ? `Version ${run.version} of ${run.promptTitle}, the last try` : 'The last try'">
    <p class="bar">
      <template v-if="starting"><strong>Asking …</strong></template>
      <template v-else-if="run">
        <strong>Version {{ run.version }}</strong>
        <span class="soft asked" :title="asked">{{ asked }}</span>
        <span v-if="running" role="status">{{ back }} of {{ counted(all, 'picture') }} back</span>
        <time v-else class="soft" :datetime="run.askedAt" :title="sayExactly(run.askedAt)">{{ sayWhen(run.askedAt, now) }}</time>
        <v-btn v-if="(running || run.byHand) && !run.stoppedAt" variant="outlined" size="small" :prepend-icon="mdiStop" @click="stop">{{ run.byHand ? 'No more pictures' : 'Stop' }}</v-btn>
        <span v-else-if="running" class="soft">Stopped; what the engine already has still arrives.</span>
      </template>
      <span v-else class="soft">Nothing tried yet. The pictures that come back stay here with all that made them.</span>
      <span class="ends">
        <v-btn v-if="changes" variant="text" size="small" @click="emit('since')">{{ counted(changes, 'change') }} since</v-btn>
        <v-btn v-if="run" variant="text" size="small" :prepend-icon="mdiHistory" @click="emit('older')">All tries</v-btn>
        <v-btn v-if="run" variant="text" size="small" :prepend-icon="mdiViewGridOutline" :to="{ path: '/proofs/sheet', query: { prompt: promptId } }">As a sheet</v-btn>
      </span>
    </p>
    <v-progress-linear v-if="running || starting" :model-value="starting ? 0 : back" :max="Math.max(1, all)" :indeterminate="starting" :aria-label="`${back} of ${all} pictures are back`" />
    <div v-if="starting" class="tiles">
      <v-skeleton-loader v-for="i in Math.min(MOST_EXPECTED, expected)" :key="i" type="image" :width="height * 1.5" :height="height" />
    </div>
    <ImportPictures v-else-if="run?.byHand && !run.stoppedAt && !run.proofs.length" :run="run" @changed="emit('changed', $event)" />
    <div v-else-if="run" class="tiles">
      <ProofTile v-for="proof in run.proofs" :key="proof.id" :ref="(tile) => keep(proof.id, tile)" :proof="proof" :height="height" @changed="emit('proofChanged', $event)" @move="move(proof, $event)" />
    </div>
  </section>
</template>

<style scoped>
.last-try {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  align-content: start;
  min-width: 0;
  padding-top: 6px;
  border-top: 1px solid var(--rule);
}
.bar {
  display: flex;
  gap: 4px 12px;
  align-items: center;
  min-height: 26px;
  white-space: nowrap;
}
.asked {
  overflow: hidden;
  text-overflow: ellipsis;
}
.ends {
  display: flex;
  gap: 2px;
  margin-left: auto;
}
.tiles {
  display: flex;
  gap: 12px;
  overflow-x: auto;
  padding: 5px 6px 0;
  margin: 0 -6px;
}
.tiles > * {
  flex: none;
}
</style>
