<script setup lang="ts">
import { addReference, askAgain, changePrompt, changeProof, type Proof, readProof, readRun, type Region, type Verdict } from '@idolon/contract'
import type { Fault } from '@idolon/core'
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { messageOf } from '../api/problem.ts'
import NotFoundView from '../app/NotFoundView.vue'
import ReuseDialog from '../desk/ReuseDialog.vue'
import { useActions } from '../go-to/actions.ts'
import { faultFor, keysOf, pressed, verdictFor } from '../keys/key-map.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayAmounts, sayExactly } from '../shared/said.ts'
import SavedText from '../shared/SavedText.vue'
import { settingLines } from '../shared/setting-words.ts'
import { useEngines } from '../stores/engines.ts'
import ChangeDialog from './ChangeDialog.vue'
import FaultRow from './FaultRow.vue'
import { binProofs, isMarking, markProof, toggled, turned } from './mark-proofs.ts'
import RegionList from './RegionList.vue'
import VerdictButtons from './VerdictButtons.vue'
import { useZoom } from './zoom.ts'
import { mdiArrowLeft, mdiChevronLeft, mdiChevronRight, mdiContentDuplicate, mdiDeleteOutline, mdiDownload, mdiImageEditOutline, mdiImageMultipleOutline, mdiPinOutline, mdiRepeat } from '@mdi/js'
import type { Act } from '../shared/act.ts'
import ActsMenu from '../shared/ActsMenu.vue'
import ZoomControls from './ZoomControls.vue'

// Drawing on pictures is a part of its own, loaded when a picture has marks or gets them.
const RegionLayer = defineAsyncComponent(() => import('./RegionLayer.vue'))

const route = useRoute()
const router = useRouter()
const notices = useNotices()
const task = useTask()
const engines = useEngines()
const frame = ref<HTMLElement>()
const reuse = ref(false)
const zoom = useZoom(frame)
const changing = ref(false)
const marking = ref<Fault>()
/** The marked place that the keys move. */
const atRegion = ref<number>()
const regionList = useTemplateRef<InstanceType<typeof RegionList>>('regionList')
const noteField = ref<HTMLElement>()
const frameSize = useElementSize(frame)
/** The picture as large as the frame holds it. */
const box = computed(() => {
  const { width = 3, height = 2 } = proof.value?.picture ?? {}
  const scale = Math.min(frameSize.width.value / width, frameSize.height.value / height)
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) }
})

const wanted = computed(() => String(route.params['proof'] ?? ''))
// From one to the next the picture stays in sight, and keeps the focus.
const { data: proof, missing, problem, put } = usePageData({ key: () => ['proof', wanted.value], read: (signal) => call(readProof, { params: { proof: wanted.value }, signal }), on: ({ proofId }) => proofId === wanted.value && !isMarking(), keepBefore: true, tells: true })
const { data: run, load: loadRun } = usePageData({ key: () => (proof.value ? ['run', proof.value.runId] : undefined), read: (signal) => call(readRun, { params: { run: proof.value!.runId }, signal }), keepBefore: true })
const trouble = computed(() => (problem.value && !proof.value ? messageOf(problem.value) : ''))
watch(() => proof.value?.id, () => {
  marking.value = undefined
  zoom.whole()
})
/** Shows what became of a proof, unless another is open by now. */
const show = (next: Proof): void => void (next.id === wanted.value && put(next))

const ready = computed(() => run.value?.proofs.filter(({ picture }) => picture) ?? [])
const place = computed(() => ready.value.findIndex(({ id }) => id === proof.value?.id))
function step(by: number): void {
  const next = ready.value[place.value + by]
  if (next) void router.replace(`/proofs/${next.id}`)
}
const set = (change: { verdict?: Verdict | null; faults?: Fault[]; regions?: Region[] }) =>
  task(async () => {
    const before = proof.value
    if (!before) return
    // Shown at once, so that the next key goes on from it; what the server says then replaces it.
    const shown = { ...before, ...change }
    show(shown)
    try {
      const changed = await markProof(before.id, change)
      if (proof.value === shown) show(changed)
    } catch (error) {
      if (proof.value === shown) show(before)
      throw error
    }
  })
// By id: what was typed on one picture is saved to it, even when another is already shown.
const setNote = (id: string, note: string) =>
  task(async () => {
    show(await call(changeProof, { params: { proof: id }, body: { note }, keepalive: true }))
  })
const judge = (verdict: Verdict) => set({ verdict: turned(proof.value?.verdict ?? null, verdict) })
const blame = (fault: Fault) => set({ faults: toggled(proof.value?.faults ?? [], fault) })
const mark = (regions: Region[]) => set({ regions, faults: [...new Set([...(proof.value?.faults ?? []), ...regions.map(({ fault }) => fault)])] })
async function drawn(region: Region): Promise<void> {
  marking.value = undefined
  await mark([...(proof.value?.regions ?? []), region])
}
const remove = () =>
  task(async () => {
    const gone = proof.value
    if (!gone) return
    const next = ready.value[place.value + 1] ?? ready.value[place.value - 1]
    await binProofs([gone.id], () => void loadRun())
    if (next) await router.replace(`/proofs/${next.id}`)
    else back()
  })
const makeBest = () =>
  task(async () => {
    if (!proof.value) return
    await call(changePrompt, { params: { prompt: proof.value.promptId }, body: { bestProofId: proof.value.id } })
    notices.show('This is now the best proof of its prompt.')
  })
const keepAsReference = () =>
  task(async () => {
    if (!proof.value) return
    const { id, projectId, promptTitle, version } = proof.value
    const reference = await call(addReference, { body: { id: crypto.randomUUID(), projectId, picture: { proofId: id }, name: `${promptTitle}, version ${version}`.slice(0, 200), source: 'a proof', rights: 'own', note: '' } })
    notices.show('It is a reference of its project now.', { action: { label: 'See it', run: () => void router.push(`/references/${reference.id}`) } })
  })
const again = () =>
  task(async () => {
    if (proof.value) show(await call(askAgain, { params: { proof: proof.value.id } }))
  })

/** How far a key moves a picture that is larger than its frame, in pixels. */
const PANS: Readonly<Record<string, [number, number]>> = { ArrowUp: [0, 60], ArrowDown: [0, -60], ArrowLeft: [60, 0], ArrowRight: [-60, 0] }
function onKey(event: KeyboardEvent): void {
  const verdict = verdictFor(event)
  const fault = faultFor(event)
  const large = pressed('large', event)
  const picture = pressed('picture', event)
  const pan = zoom.scale.value > 1 ? PANS[event.key] : undefined
  if (verdict) void judge(verdict)
  else if (fault && proof.value?.picture) void blame(fault)
  else if (pan && (event.shiftKey || event.key === 'ArrowUp' || event.key === 'ArrowDown')) zoom.pan(...pan)
  else if (picture === 'note') noteField.value?.querySelector('textarea')?.focus()
  else if (picture === 'remove') void remove()
  else if (picture === 'previous') step(-1)
  else if (picture === 'next') step(1)
  else if (large === 'mark' && proof.value?.faults.length) void regionList.value?.add(proof.value.faults.at(-1)!)
  else if (large === 'zoomIn') zoom.by(1)
  else if (large === 'zoomOut') zoom.by(-1)
  else if (large === 'fit') zoom.whole()
  else return
  event.preventDefault()
}
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (event.key !== 'Escape' || document.querySelector('.v-overlay--active')) return
  // From the note and from what is being marked first back to the picture.
  if (event.target instanceof HTMLTextAreaElement || marking.value) {
    marking.value = undefined
    frame.value?.focus({ preventScroll: true })
  } else back()
})
// The picture has the focus from the start, so that keys act at once.
watch(frame, (element) => element?.focus({ preventScroll: true }))

const back = () => (window.history.state as { back?: string | null } | null)?.back ? router.back() : void router.push({ path: '/proofs', query: { prompt: proof.value?.promptId } })
const acts = computed((): Act[] => {
  const shown = proof.value
  if (!shown) return []
  const { picture, seed, promptId } = shown
  return [
    ...(seed === null ? [] : [{ name: 'Try the draft with this seed', icon: mdiRepeat, run: () => void router.push({ path: `/desk/${promptId}`, query: { seed } }) }]),
    { name: 'Use in another project …', icon: mdiContentDuplicate, run: () => (reuse.value = true) },
    ...(picture
      ? [
          { name: 'Make it the best proof', says: 'Its prompt is shown by it', icon: mdiPinOutline, run: () => void makeBest() },
          { name: 'Keep as a reference', icon: mdiImageMultipleOutline, run: () => void keepAsReference() },
          { name: 'Download', icon: mdiDownload, href: `/api/pictures/${picture.sha256}` },
        ]
      : []),
    { name: 'Delete this proof', says: 'It goes to the bin', icon: mdiDeleteOutline, last: true, run: () => void remove() },
  ]
})
useActions(() => [
  { name: 'Keep this proof', words: 'verdict like favourite', run: () => void set({ verdict: 'keep' }) },
  { name: 'Change this picture', words: 'edit inpaint variation base', run: () => (changing.value = true) },
  { name: 'Delete this proof', words: 'remove bin', run: () => void remove() },
  { name: 'Keep this proof as a reference', words: 'measure describe', run: () => void keepAsReference() },
  { name: 'Make it the best proof', words: 'cover', run: () => void makeBest() },
  { name: 'Use this version in another project', words: 'reuse copy', run: () => (reuse.value = true) },
])
</script>

<template>
  <NotFoundView v-if="missing" what="proof" />
  <main v-else-if="trouble" class="page"><h1>The proof could not be opened</h1><p>{{ trouble }}</p></main>
  <main v-else-if="proof" class="proof">
    <div class="looking">
      <p class="bar">
        <v-btn variant="text" :prepend-icon="mdiArrowLeft" @click="back">Back</v-btn>
        <span class="soft">{{ place + 1 }} of {{ ready.length }} in this run</span>
        <v-btn v-tooltip="`Previous (${keysOf('picture', 'previous')})`" variant="text" size="small" :icon="mdiChevronLeft" aria-label="Previous" :disabled="place <= 0" @click="step(-1)" />
        <v-btn v-tooltip="`Next (${keysOf('picture', 'next')})`" variant="text" size="small" :icon="mdiChevronRight" aria-label="Next" :disabled="place < 0 || place >= ready.length - 1" @click="step(1)" />
        <ZoomControls class="end" :scale="zoom.scale.value" @by="zoom.by($event)" @fit="zoom.whole" />
      </p>
      <div ref="frame" class="frame" tabindex="0" role="group" :aria-label="`Picture ${place + 1} of ${ready.length}; arrows go from one to the next`" @keydown="onKey">
        <div v-if="proof.picture" class="held" :style="{ width: `${box.width}px`, height: `${box.height}px`, transform: zoom.transform.value }">
          <img :key="proof.picture.sha256" :src="`/api/pictures/${proof.picture.sha256}`" :alt="`${proof.promptTitle}, version ${proof.version}`" draggable="false" />
          <div v-if="marking || proof.regions.length" class="over" :class="{ marking }" @pointerdown="marking && $event.stopPropagation()"><RegionLayer :regions="proof.regions" :width="box.width" :height="box.height" :marking="marking" :at="atRegion" @drawn="drawn" /></div>
        </div>
        <p v-else class="soft">{{ proof.reason ?? 'Not back yet.' }} <v-btn v-if="proof.reason" variant="text" @click="again">Ask again</v-btn></p>
      </div>
    </div>
    <aside class="facts">
      <h1><RouterLink :to="`/desk/${proof.promptId}`">{{ proof.promptTitle }}</RouterLink></h1>
      <p class="soft">Version {{ proof.version }}, {{ proof.engine.name }} {{ proof.engine.revision }}<template v-if="proof.engine.simulated"> (simulated)</template><template v-if="proof.imported">, imported</template><template v-if="proof.rank">, ranked {{ proof.rank }}</template></p>
      <p v-if="proof.parentId"><RouterLink :to="`/proofs/${proof.parentId}`">The proof it started from</RouterLink></p>
      <VerdictButtons :verdict="proof.verdict" :disabled="!proof.picture" @judge="judge" />
      <FaultRow :faults="proof.faults" :disabled="!proof.picture" @toggle="blame" />
      <RegionList ref="regionList" :regions="proof.regions" :faults="proof.faults" :marking="marking" @change="mark" @mark="marking = $event" @at="atRegion = $event" />
      <div ref="noteField"><SavedText :key="proof.id" multiline :value="proof.note" label="Note" placeholder="the left hand; warmer" :maxlength="4000" @save="setNote(proof.id, $event)" /></div>
      <div class="row-actions">
        <v-btn color="primary" variant="flat" :to="`/desk/${proof.promptId}`">Open the draft</v-btn>
        <v-btn v-if="proof.picture" :prepend-icon="mdiImageEditOutline" @click="changing = true">Change this picture</v-btn>
        <ActsMenu label="This proof" :acts="acts" />
      </div>
      <h2>What made it</h2>
      <pre class="exact" tabindex="0" aria-label="Text the engine was given">{{ proof.output.text }}</pre>
      <dl class="exact">
        <template v-if="proof.output.leaveOut"><dt>Leave out</dt><dd>{{ proof.output.leaveOut }}</dd></template>
        <dt>Seed</dt><dd>{{ proof.seed }}</dd>
        <template v-for="line in settingLines(proof.output.settings, engines.find(proof.engine.id, proof.engine.revision)).filter((l) => l.name !== 'Seed' && l.name !== 'Results')" :key="line.name"><dt>{{ line.name }}</dt><dd>{{ line.value }}</dd></template>
        <template v-if="proof.cost"><dt>Cost</dt><dd>{{ sayAmounts([proof.cost]) }}</dd></template>
        <template v-if="proof.tookMs !== null"><dt>Time</dt><dd>{{ (proof.tookMs / 1000).toFixed(1) }} seconds</dd></template>
        <template v-if="proof.storedAt"><dt>Stored</dt><dd>{{ sayExactly(proof.storedAt) }}</dd></template>
        <template v-if="proof.picture"><dt>Picture</dt><dd>{{ Math.round(proof.picture.bytes / 1024).toLocaleString('en') }} kB, SHA-256 <span class="hash" :title="proof.picture.sha256">{{ proof.picture.sha256.slice(0, 12) }}…</span></dd></template>
      </dl>
      <ul v-if="proof.output.notes.length" class="notes"><li v-for="note in proof.output.notes" :key="note">{{ note }}</li></ul>
    </aside>
    <ChangeDialog v-model="changing" :proof="proof" />
    <ReuseDialog v-model="reuse" :title="`${proof.promptTitle}, version ${proof.version}`" :prompt-id="proof.promptId" :version-id="proof.versionId" />
  </main>
  <main v-else class="page"><p class="visually-hidden" role="status">Opening …</p><v-skeleton-loader type="heading, image@2" /></main>
</template>

<style scoped>
.proof {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 352px;
  height: 100vh;
}
.looking {
  display: grid;
  grid-template-rows: auto 1fr;
  gap: 12px;
  padding: 18px 24px 24px;
  min-width: 0;
  min-height: 0;
}
.bar {
  display: flex;
  gap: 16px;
  align-items: center;
}
.end {
  margin-left: auto;
}
.frame {
  display: grid;
  place-items: center;
  min-height: 0;
  overflow: hidden;
  background: var(--wash);
  touch-action: none;
}
.frame:focus-visible {
  outline-color: var(--rule-strong);
}
.held {
  position: relative;
}
.over {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.over.marking {
  pointer-events: auto;
}
.frame img {
  width: 100%;
  height: 100%;
  object-fit: contain;
  user-select: none;
}
.facts {
  display: grid;
  gap: 12px;
  align-content: start;
  /* What scrolls by itself, such as the text, would else be pressed to nothing. */
  grid-auto-rows: max-content;
  padding: 20px 22px;
  border-left: 1px solid var(--rule);
  overflow-y: auto;
}
h1 {
  font-family: var(--serif);
  font-size: 20px;
}
h1 a {
  text-decoration: none;
}
h1 a:hover {
  text-decoration: underline;
}
pre {
  max-height: 30vh;
  overflow: auto;
}
dl {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 2px 10px;
  margin: 0;
}
dt {
  font-family: var(--grotesque);
  font-size: 14px;
  color: var(--soft);
}
.notes li {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
}
</style>
