<script setup lang="ts">
import { compareProofs, type ProofComparison, readSheet, type SheetProof, type Verdict } from '@idolon/contract'
import { counts, FAULTS } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { messageOf } from '../api/problem.ts'
import { useActions } from '../go-to/actions.ts'
import { pressed } from '../keys/key-map.ts'
import { letterKeys } from '../keys/letters.ts'
import { useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import { sayDifference } from './difference-words.ts'
import { changeFor, markProof, turned } from './mark-proofs.ts'
import { proofName } from './proof-name.ts'
import VerdictButtons from './VerdictButtons.vue'
import ZoomPane from './ZoomPane.vue'
import { zoomState } from './zoom.ts'
import { mdiArrowLeft } from '@mdi/js'
import ZoomControls from './ZoomControls.vue'

const MOST = 4
const STEP = 1.25
const route = useRoute()
const router = useRouter()
const engines = useEngines()
const task = useTask()
const proofs = shallowRef<SheetProof[]>()
const comparisons = shallowRef<(ProofComparison | undefined)[]>([])
const trouble = ref('')
const state = zoomState()
/** Flipped: two stand in the same place, and one of them is seen. */
const flip = ref(false)
const seen = ref(0)
const at = ref(0)

let asked = 0
async function load(): Promise<void> {
  const mine = ++asked
  trouble.value = ''
  const ids = String(route.query['ids'] ?? '').split(',').filter(Boolean).slice(0, MOST)
  if (ids.length < 2) {
    proofs.value = []
    comparisons.value = []
    return
  }
  try {
    const { proofs: found } = await call(readSheet, { query: { ids: ids.join(',') } })
    // In the order in which they were chosen.
    const chosen = ids.flatMap((id) => found.find((proof) => proof.id === id && proof.picture) ?? [])
    const [first, ...others] = chosen
    const compared = first ? await Promise.all(others.map(({ id }) => call(compareProofs, { params: { proof: first.id, other: id } }))) : []
    if (mine !== asked) return
    // Together: a comparison without its proofs cannot be shown.
    proofs.value = chosen
    comparisons.value = compared
  } catch (error) {
    if (mine !== asked) return
    proofs.value ??= []
    trouble.value = messageOf(error)
  }
}
watch(() => route.query['ids'], () => void load(), { immediate: true })

const list = computed(() => proofs.value ?? [])
const said = computed(() =>
  comparisons.value.map((comparison) => {
    const all = comparison?.differences ?? []
    const differences = all.filter(counts)
    const verdict =
      differences.length === 0
        ? 'Nothing differs in what made them; what you see is the engine’s own.'
        : differences.length === 1
          ? 'One thing differs.'
          : `${counted(differences.length, 'thing')} differ; which of them made what you see cannot be told.`
    return { verdict, differences, small: all.length - differences.length, near: comparison?.near ?? true }
  }),
)
const shown = computed(() => (flip.value ? [list.value[seen.value]].flatMap((proof) => proof ?? []) : list.value))

function zoomBy(steps: number): void {
  const next = Math.min(12, Math.max(1, state.scale.value * STEP ** steps))
  const ratio = next / state.scale.value
  state.x.value = next === 1 ? 0 : state.x.value * ratio
  state.y.value = next === 1 ? 0 : state.y.value * ratio
  state.scale.value = next
}
const whole = () => zoomBy(-99)
const turn = () => (seen.value = seen.value === 0 ? 1 : 0)
function drop(i: number): void {
  void router.replace({ query: { ids: list.value.filter((_, k) => k !== i).map(({ id }) => id).join(',') } })
}
const set = (id: string, change: Parameters<typeof markProof>[1]) => task(async () => mark(await markProof(id, change)))
const judge = (proof: SheetProof, verdict: Verdict) => set(proof.id, { verdict: turned(proof.verdict, verdict) })
const first = (i: number) => void router.replace({ query: { ids: [list.value[i]!, ...list.value.filter((_, k) => k !== i)].map(({ id }) => id).join(',') } })
function onKey(event: KeyboardEvent): void {
  const pans: Record<string, [number, number]> = { ArrowUp: [0, 60], ArrowDown: [0, -60], ArrowLeft: [60, 0], ArrowRight: [-60, 0] }
  const proof = shown.value[flip.value ? 0 : at.value]
  const pan = pans[event.key]
  const large = pressed('large', event)
  const picture = pressed('picture', event)
  const change = proof && changeFor(event, proof)
  if (change) void set(proof.id, change)
  else if (large === 'flip') {
    flip.value = !flip.value
    seen.value = 0
  } else if (large === 'turn' && flip.value) turn()
  else if (pan && state.scale.value > 1) {
    state.x.value += pan[0]
    state.y.value += pan[1]
  } else if (picture === 'previous' || picture === 'next') at.value = Math.min(list.value.length - 1, Math.max(0, at.value + (picture === 'previous' ? -1 : 1)))
  else if (large === 'zoomIn') zoomBy(1)
  else if (large === 'zoomOut') zoomBy(-1)
  else if (large === 'fit') whole()
  else if (pressed('everywhere', event) === 'close') router.back()
  else return
  event.preventDefault()
}
const mark = ({ id, verdict, faults }: Pick<SheetProof, 'id' | 'verdict' | 'faults'>) => (proofs.value = list.value.map((proof) => (proof.id === id ? { ...proof, verdict, faults } : proof)))
const area = ref<HTMLElement>()
watch(area, (element) => element?.focus({ preventScroll: true }))
useActions(() => [
  { name: 'Flip between the two', words: 'blink toggle', run: () => (flip.value = !flip.value) },
  { name: 'Judge these blind', words: 'rank', run: () => void router.push({ path: '/proofs/judge', query: route.query }) },
])
</script>

<template>
  <main class="beside">
    <header>
      <h1 class="view-title">Side by side</h1>
      <p class="row-actions">
        <v-btn variant="text" :prepend-icon="mdiArrowLeft" @click="router.back()">Back</v-btn>
        <v-btn v-if="list.length >= 2" :aria-pressed="flip" @click="(flip = !flip), (seen = 0)">{{ flip ? 'Beside each other' : 'Flip in place' }}<kbd v-if="letterKeys">F</kbd></v-btn>
        <v-btn v-if="flip" @click="turn">Show the other<kbd>Space</kbd></v-btn>
        <ZoomControls class="end" :scale="state.scale.value" @by="zoomBy($event)" @fit="whole" />
      </p>
    </header>
    <p v-if="trouble" class="away">{{ trouble }} <v-btn variant="text" @click="load">Try again</v-btn></p>
    <p v-else-if="proofs && list.length < 2" class="away">Two to four proofs stand here. <v-btn color="primary" variant="flat" to="/proofs/sheet">Select them on a sheet</v-btn></p>
    <template v-else-if="proofs">
      <div ref="area" class="panes" tabindex="0" role="group" aria-label="Pictures; plus and minus zoom all, arrows pan or go from one to the next" :class="{ four: shown.length === 4 }" @keydown="onKey">
        <figure v-for="(proof, i) in shown" :key="flip ? 'flip' : proof.id" :class="{ at: !flip && i === at }" @click="at = i">
          <ZoomPane :sha256="proof.picture!.sha256" :alt="proofName(proof)" :state="state" />
          <figcaption>
            <RouterLink :to="`/proofs/${proof.id}`">{{ proofName(proof) }}</RouterLink><span class="soft">{{ proof.engine.simulated ? 'simulated' : '' }}</span>
            <span v-if="proof.faults.length" class="faults">{{ proof.faults.map((fault) => FAULTS[fault]).join(', ') }}</span>
            <VerdictButtons class="ends" :verdict="proof.verdict" :of="proofName(proof)" @judge="judge(proof, $event)" />
            <span v-if="list.length > 2 && !flip" class="row-actions"><v-btn v-if="i > 0" v-tooltip="'The others are then compared with it'" variant="text" @click.stop="first(i)">Compare with it</v-btn><v-btn variant="text" @click.stop="drop(i)">Remove</v-btn></span>
          </figcaption>
        </figure>
      </div>
      <aside class="differences" aria-label="What differs" aria-live="polite">
        <section v-for="(one, i) in said" :key="i">
          <h2 v-if="said.length > 1">{{ proofName(list[i + 1]!) }}</h2>
          <p :class="{ many: one.differences.length > 1 }">{{ one.verdict }}<template v-if="!one.near">{{ ' ' }}The prompts ask for different pictures.</template></p>
          <dl v-if="one.differences.length">
            <template v-for="(difference, d) in one.differences" :key="d"><dt class="soft">{{ difference.facet ?? difference.kind }}</dt><dd>{{ sayDifference(difference, engines.named) }}</dd></template>
          </dl>
          <p v-if="one.small" class="soft">{{ counted(one.small, 'more difference') }} that no picture shows, such as spacing.</p>
        </section>
      </aside>
    </template>
    <p v-else class="away soft" role="status">Looking …</p>
  </main>
</template>

<style scoped>
.beside {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100vh;
}
header {
  display: flex;
  gap: 24px;
  align-items: baseline;
  padding: 18px 28px 10px;
}
header .row-actions {
  flex: 1;
}
kbd {
  margin-left: 6px;
  font-family: var(--mono);
  font-size: 11px;
}
.end {
  margin-left: auto;
}
.away {
  padding: 0 28px;
}
.panes {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  gap: 12px;
  padding: 4px 28px 0;
  min-height: 0;
  outline-offset: -2px;
}
.panes:focus-visible {
  outline-color: var(--rule-strong);
}
.panes.four {
  grid-template: 1fr 1fr / 1fr 1fr;
  grid-auto-flow: row;
}
figure {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  margin: 0;
  min-width: 0;
  min-height: 0;
}
figure.at figcaption {
  border-color: var(--ink);
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
  padding: 5px 0 4px;
  border-top: 2px solid transparent;
  font-size: 12.5px;
}
.faults {
  color: var(--accent);
}
.ends {
  margin-left: auto;
}
.differences {
  display: flex;
  gap: 28px;
  max-height: 32vh;
  overflow: auto;
  padding: 12px 28px 16px;
  border-top: 1px solid var(--rule);
  background: var(--sheet);
}
.differences section {
  display: grid;
  gap: 4px;
  align-content: start;
  flex: 1;
}
.many {
  color: var(--accent);
}
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 4px 18px;
  align-items: baseline;
  margin: 0;
}
dd {
  margin: 0;
  font-family: var(--serif);
  font-size: 15.5px;
  overflow-wrap: anywhere;
}
</style>
