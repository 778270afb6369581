<script setup lang="ts">
import { deletePrompt, type Prompt, restorePrompt, readPrompt, unmergePrompt, type Version } from '@idolon/contract'
import { countOf, outlineOf, type OutlinePhrase, settingsFor, titleOf } from '@idolon/core'
import { mdiAccountBoxOutline, mdiContentDuplicate, mdiDeleteOutline, mdiExport, mdiFeather, mdiFormTextbox, mdiTableLarge } from '@mdi/js'
import { useEventListener, useLocalStorage, useMediaQuery } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, ref, toRaw, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useAsking } from '../asking/asking.ts'
import { useActions } from '../go-to/actions.ts'
import { type CommandOf, pressed } from '../keys/key-map.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import type { Around } from '../proposal/use-proposal.ts'
import type { Act } from '../shared/act.ts'
import SavedText from '../shared/SavedText.vue'
import { useEngines } from '../stores/engines.ts'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'
import { useProjects } from '../stores/projects.ts'
import { useRules } from '../stores/rules.ts'
import ChecksPanel from './ChecksPanel.vue'
import DeskHeader from './DeskHeader.vue'
import { useDraftSession } from './draft-session.ts'
import DraftText from './DraftText.vue'
import LastTry from './LastTry.vue'
import LeaveOutField from './LeaveOutField.vue'
import OutlineRows from './OutlineRows.vue'
import { usePromptFacts } from './prompt-facts.ts'
import { useSinceTried } from './since-tried.ts'
import type { Side } from './sides.ts'
import SideTabs from './SideTabs.vue'
import TrySettings from './TrySettings.vue'
import { useFindings } from './use-findings.ts'
import { useOutput } from './use-output.ts'
import { useTrying } from './use-trying.ts'

/** Loaded when they are first looked for: not needed to begin to write. */
const OutputPanel = defineAsyncComponent(() => import('./OutputPanel.vue'))
const HistoryPanel = defineAsyncComponent(() => import('./HistoryPanel.vue'))
const SinceTried = defineAsyncComponent(() => import('./SinceTried.vue'))
const RecentProofs = defineAsyncComponent(() => import('./RecentProofs.vue'))
const StopsDialog = defineAsyncComponent(() => import('./StopsDialog.vue'))
const ConflictDialog = defineAsyncComponent(() => import('./ConflictDialog.vue'))
const ReuseDialog = defineAsyncComponent(() => import('./ReuseDialog.vue'))
const HelpersPanel = defineAsyncComponent(() => import('./HelpersPanel.vue'))
const SlotsDialog = defineAsyncComponent(() => import('../templates/SlotsDialog.vue'))
const PartFromPhrases = defineAsyncComponent(() => import('../series/PartFromPhrases.vue'))
const ProposalPlace = defineAsyncComponent(() => import('../proposal/ProposalPlace.vue'))

const props = defineProps<{ prompt: Prompt }>()
const router = useRouter()
const route = useRoute()
const projects = useProjects()
const notices = useNotices()
const task = useTask()

const facts = usePromptFacts(props.prompt)
const { known, runs, versions, tags } = facts
const session = useDraftSession(props.prompt)
const { draft } = session
const side = useLocalStorage<Side>('idolon.desk-side', 'checks')
const engines = useEngines()
const house = useRules()
const profiles = computed(() => draft.value.engines.flatMap(({ engine, revision }) => engines.find(engine, revision) ?? []))
/** Whose output is shown, of several that are asked. */
const shownEngine = ref(0)
const profile = computed(() => profiles.value[shownEngine.value] ?? profiles.value[0])
const findings = useFindings(session, profiles)
const output = useOutput(session, profile)
const { copyFor, lastSeed, starting, stops, stopsOpen, tryAnyway, tryIt } = useTrying(props.prompt, session, findings, facts)
const checks = useTemplateRef<InstanceType<typeof ChecksPanel>>('checks')
const outline = useTemplateRef<InstanceType<typeof OutlineRows>>('outline')
const helping = useTemplateRef<{ open: (id: string) => Promise<void> }>('helping')
const helpers = useHelpers()
void Promise.all([helpers.load(), useModels().load()])
const asking = useAsking({ projectId: props.prompt.projectId, promptId: props.prompt.id, draft: () => toRaw(draft.value) })
void asking.reopen().catch(() => undefined)
/** A proposal has the place beside the text until it is decided. */
const deciding = computed(() => asking.turn.value !== undefined)
const around = computed((): Around => ({ engine: profile.value, rules: house.rules, ownWords: findings.ownWords.value }))
const phrases = computed((): OutlinePhrase[] => {
  const read = session.reading.reading.value
  return read ? outlineOf(read.text, read.reading, draft.value.marks).flatMap((row) => row.phrases).sort((a, b) => a.start - b.start) : []
})
const hereOf = ref<OutlinePhrase>()
const firstEngine = computed(() => {
  const [choice] = draft.value.engines
  const found = choice && engines.find(choice.engine, choice.revision)
  return found && `${found.id} ${found.revision}`
})
/** Opens a helper beside the text; of a phrase, what is to be said otherwise. */
async function openHelper(id: string, phrase?: OutlinePhrase): Promise<void> {
  asking.close()
  side.value = 'helpers'
  hereOf.value = phrase ?? phrases.value.find(({ start, end }) => start <= session.caret.value && session.caret.value <= end)
  // The panel may still be on its way.
  if (!helping.value) await new Promise<void>((resolve) => watch(helping, () => resolve(), { once: true, flush: 'post' }))
  await helping.value?.open(id)
}
const reuse = ref(false)
/** Phrases that are to become slots, while that is chosen. */
const slotting = ref<OutlinePhrase[]>()
const makingPart = ref(false)
const reuseVersion = ref<Version>()

const title = computed(() => (known.value.named ? known.value.title : titleOf(draft.value.text)))
if (props.prompt.projectId !== projects.chosen) projects.chosen = props.prompt.projectId
const params = { prompt: props.prompt.id }

// A proof's seed may have been brought along, to see with it what was changed.
if (/^\d{1,10}$/.test(String(route.query['seed'] ?? ''))) {
  const seed = Number(route.query['seed'])
  session.change({ settings: { ...draft.value.settings, seed } })
  notices.show(`The seed is ${seed} now, as that proof had it.`, { action: { label: 'Undo', run: session.undo } })
  void router.replace({ query: {} })
}

const since = useSinceTried(session, versions, runs)

function goOn(version: Version): void {
  session.change(version.body, version.number)
  known.value = { ...known.value, parent: version.number }
  notices.show(`The draft now stands as version ${version.number}.`, { action: { label: 'Undo', run: session.undo } })
  session.view.focus()
}
async function planTrials(): Promise<void> {
  await session.saver.settled()
  await router.push(`/desk/${props.prompt.id}/plan`)
}
const unmerge = () => task(() => call(unmergePrompt, { params }).then(async () => (known.value = await call(readPrompt, { params }))))
const restore = () => task(() => call(restorePrompt, { params }).then((prompt) => (known.value = prompt)))
const remove = () =>
  task(async () => {
    await session.saver.settled()
    // Left first: a page that hears of its own deletion would offer to put it back while it is being left.
    await router.push('/shelf')
    await call(deletePrompt, { params })
    notices.show(`“${title.value}” is in the bin.`, {
      action: { label: 'Restore', run: () => void restore().then(() => router.push(`/desk/${props.prompt.id}`)) },
    })
  })

async function lookAtStops(): Promise<void> {
  side.value = 'checks'
  await nextTick()
  checks.value?.focus()
}
async function walkFindings(by: 1 | -1): Promise<void> {
  side.value = 'checks'
  await nextTick()
  checks.value?.walk(by)
}
/** Pictures that a try with these settings brings, to keep their places before they come. */
const expected = computed(() => draft.value.engines.reduce((sum, choice) => sum + countOf(settingsFor(draft.value, choice)), 0))
const wide = useMediaQuery('(min-width: 1680px)')
const STRIP = 104
const STRIP_WIDE = 150

const byKey: Readonly<Record<CommandOf<'desk'>, () => void>> = {
  tryIt: () => void tryIt(),
  undo: session.undo,
  redo: session.redo,
  nextFinding: () => void walkFindings(1),
  previousFinding: () => void walkFindings(-1),
  fixFinding: () => void checks.value?.fixHere(),
  entry: () => void outline.value?.openEntry(),
}
useEventListener('keydown', (event: KeyboardEvent) => {
  const command = pressed('desk', event)
  // Undo reaches the whole draft from outside the text, too, but not from a field that has an undo of its own.
  const inField = event.target instanceof HTMLElement && (event.target.isContentEditable || /^(INPUT|TEXTAREA)$/.test(event.target.tagName))
  if (!command || ((command === 'undo' || command === 'redo') && inField)) return
  event.preventDefault()
  byKey[command]()
})
/** What is done with the prompt as a whole: one list for its menu and for Go to. */
const empty = computed(() => draft.value.text.trim() === '')
const unread = computed(() => phrases.value.length === 0)
const acts = computed(() => {
  const list: Act[] = [
    { name: 'Use in another project …', icon: mdiContentDuplicate, words: 'reuse copy duplicate variation', run: () => ((reuseVersion.value = undefined), (reuse.value = true)) },
    { name: 'Make a template of it …', says: 'Phrases become slots', icon: mdiFormTextbox, words: 'slots frame placeholder reuse', disabled: unread.value, run: () => (slotting.value = []) },
    { name: 'Plan trials …', says: 'Many options at once, on one sheet', icon: mdiTableLarge, words: 'batch matrix grid combinations experiment', disabled: empty.value, run: () => void planTrials() },
    { name: 'Write it in a writing style …', icon: mdiFeather, words: 'voice rewrite tone', disabled: empty.value, run: () => void router.push(`/shelf/writing-styles?from=${props.prompt.id}`) },
    { name: 'Make a character, place or style of it …', says: 'A part of a series', icon: mdiAccountBoxOutline, words: 'series part consistent actor look', disabled: unread.value, run: () => (makingPart.value = true) },
    { name: 'Export …', says: 'This prompt with its versions and pictures, as a bundle', icon: mdiExport, words: 'download file zip', href: `/api/shelf.bundle.zip?ids=${props.prompt.id}` },
    ...(known.value.deletedAt ? [] : [{ name: 'Delete this prompt', says: 'It goes to the bin, with its pictures', icon: mdiDeleteOutline, words: 'remove bin', last: true, run: () => void remove() }]),
  ]
  return list
})
const goTo = (place: Side) => void (asking.close(), (side.value = place))
useActions(() => [
  { name: 'Try it', words: 'run generate make pictures', run: () => void tryIt() },
  { name: 'Try again, same seed', words: 'repeat run', run: () => void tryIt(lastSeed.value === undefined ? {} : { seed: lastSeed.value }) },
  { name: 'Try again, new seeds', words: 'repeat run variation', run: () => void tryIt({ seed: null }) },
  ...draft.value.engines.slice(0, 4).map((choice) => ({ name: `Copy for ${engines.find(choice.engine, choice.revision)?.name ?? choice.engine}`, words: 'clipboard by hand paste', run: () => void copyFor(choice) })),
  { name: 'Undo', run: session.undo },
  { name: 'Redo', run: session.redo },
  { name: 'Leave-out list', words: 'negative unwanted exclude without', run: () => document.getElementById('leave-out')?.focus() },
  { name: 'Outline', words: 'phrases facets', run: () => void outline.value?.focus() },
  { name: 'Glossary entry of this phrase', words: 'term meaning companions', run: () => void outline.value?.openEntry() },
  { name: 'Checks', words: 'problems errors findings', run: () => void lookAtStops() },
  { name: 'Output', words: 'what is sent', run: () => goTo('output') },
  { name: 'History', words: 'versions compare', run: () => goTo('history') },
  { name: 'Tries of this prompt', words: 'proofs pictures runs results', run: () => goTo('proofs') },
  { name: 'Helpers', words: 'language model assistant', run: () => goTo('helpers') },
  ...helpers.forDrafts.map(({ id, body }) => ({ name: `Helper: ${body.name}`, words: `language model ask ${body.does} ${body.tags.join(' ')}`, run: () => void openHelper(id) })),
  ...acts.value.map(({ name, words = '', href, run = () => window.location.assign(href ?? '') }) => ({ name, words, run })),
])
</script>

<template>
  <main class="desk" :class="{ deciding }">
    <div class="writing">
      <DeskHeader :known="known" :title="title" :tags="tags" :session="session" :acts="acts" @change="facts.change" @restore="restore" @unmerge="unmerge" />
      <div class="sheet">
        <div class="manuscript">
          <DraftText :session="session" />
          <OutlineRows ref="outline" :session="session" @rephrase="openHelper('rephrase', $event)" @slot="slotting = [$event]">
            <LeaveOutField :entries="draft.leaveOut" :house="house.rules.leaveOut" @change="session.change({ leaveOut: $event })" />
          </OutlineRows>
        </div>
      </div>
      <div class="trying">
        <p v-if="stops.length && side !== 'checks'" class="open-stops">{{ stops[0]!.reason }}{{ stops.length > 1 ? ` And ${stops.length - 1} more.` : '' }} <v-btn variant="text" size="small" @click="lookAtStops">Look</v-btn></p>
        <TrySettings :draft="draft" :starting="starting" :last-seed="lastSeed" @change="session.change($event)" @try="tryIt" @copy-for="copyFor" />
      </div>
      <LastTry class="strip" :prompt-id="prompt.id" :run="runs[0]" :starting="starting" :expected="expected" :changes="since.changes.value.length" :height="wide ? STRIP_WIDE : STRIP" @changed="facts.runChanged" @proof-changed="facts.proofChanged" @older="goTo('proofs')" @since="goTo('history')" />
    </div>
    <aside class="side">
      <ProposalPlace v-if="deciding" :asking="asking" :session="session" :around="around" :project-id="prompt.projectId" @close="asking.putAway()" />
      <!-- Hidden by what they stand in: a component that is itself hidden or shown is drawn again with every key. -->
      <div v-show="!deciding"><SideTabs v-model="side" /></div>
      <div v-show="!deciding" id="side-panel" class="panel" role="tabpanel" tabindex="0" :aria-labelledby="`tab-${side}`">
        <div v-show="side === 'checks'"><ChecksPanel ref="checks" :session="session" :findings="findings" /></div>
        <OutputPanel v-if="side === 'output'" :session="session" :draft="draft" :output="output" :profile="profile" :asked="profiles" @show="shownEngine = $event" />
        <template v-else-if="side === 'history'">
          <SinceTried :prompt-id="prompt.id" :session="session" :version="since.version.value" :tried="since.tried.value" :changes="since.changes.value" />
          <HistoryPanel :session="session" :versions="versions" :draft="draft" :parent="known.parent" @go-on="goOn" @use="(version: Version) => ((reuseVersion = version), (reuse = true))" @changed="facts.versionChanged" />
        </template>
        <RecentProofs v-else-if="side === 'proofs'" :prompt-id="prompt.id" :project-id="prompt.projectId" :runs="runs" :session="session" @changed="facts.runChanged" @proof-changed="facts.proofChanged" />
        <HelpersPanel v-else-if="side === 'helpers'" ref="helping" :asking="asking" :prompt-id="prompt.id" :text="draft.text" :phrases="phrases" :here="hereOf" :engine="firstEngine" />
      </div>
      <SavedText class="note" multiline :value="known.note" label="Note" placeholder="what the client said, where it is used" :maxlength="10000" @save="facts.change({ note: $event })" />
    </aside>
    <StopsDialog v-if="stopsOpen" v-model="stopsOpen" :stops="stops" @look="lookAtStops" @try-anyway="tryAnyway" />
    <ConflictDialog v-if="session.conflict.value" :conflict="session.conflict.value" @decide="session.decide" />
    <SlotsDialog v-if="slotting" :text="draft.text" :leave-out="draft.leaveOut" :phrases="phrases" :chosen="slotting" :title="title" @close="slotting = undefined" />
    <PartFromPhrases v-if="makingPart" :phrases="phrases.filter(({ off }) => !off)" :project-id="prompt.projectId" :from="`the prompt “${title}”`" @close="makingPart = false" />
    <ReuseDialog v-if="reuse" v-model="reuse" :title="reuseVersion ? `${title}, version ${reuseVersion.number}` : title" :prompt-id="prompt.id" :version-id="reuseVersion?.id" />
  </main>
</template>

<style scoped>
/* The window is the desk: the sheet takes what height is left, and scrolls by itself where a text is long. */
.desk {
  display: grid;
  grid-template-columns: minmax(520px, 1fr) minmax(300px, 380px);
  height: 100vh;
}
/* Old beside new wants room; the text keeps its own. */
.desk.deciding {
  grid-template-columns: minmax(520px, 1fr) minmax(360px, 500px);
}
.writing {
  display: grid;
  grid-template: 'header' auto 'sheet' minmax(160px, 1fr) 'trying' auto 'strip' auto / minmax(0, 1fr);
  gap: 10px;
  height: 100vh;
  padding: 12px 24px 8px;
  min-width: 0;
}
.writing > header {
  grid-area: header;
}
.sheet {
  grid-area: sheet;
  position: relative;
  display: grid;
  min-height: 0;
  margin-top: 4px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
.manuscript {
  display: grid;
  gap: 8px;
  align-content: start;
  padding: 10px 22px 8px;
  overflow-y: auto;
}
.trying {
  grid-area: trying;
}
.strip {
  grid-area: strip;
  min-height: 163px;
}
/* Registration marks at the sheet's upper corners. */
.sheet::before,
.sheet::after {
  content: '';
  position: absolute;
  top: -7px;
  width: 13px;
  height: 13px;
  background:
    linear-gradient(var(--rule-strong), var(--rule-strong)) center / 1px 100% no-repeat,
    linear-gradient(var(--rule-strong), var(--rule-strong)) center / 100% 1px no-repeat;
}
.sheet::before {
  left: -7px;
}
.sheet::after {
  right: -7px;
}
.side {
  display: flex;
  flex-direction: column;
  gap: 12px;
  height: 100vh;
  padding: 10px 20px 12px;
  border-left: 1px solid var(--rule);
  min-width: 0;
}
.panel {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 2px 4px;
  margin: 0 -4px;
}
.open-stops {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
}
/* Wide: text, outline, place and the last try stand beside one another. */
@media (min-width: 1680px) {
  .desk {
    grid-template-columns: minmax(0, 1fr) 420px;
  }
  .desk.deciding {
    grid-template-columns: minmax(0, 1fr) 520px;
  }
  .writing {
    grid-template: 'header header' auto 'sheet strip' minmax(160px, 1fr) 'trying strip' auto / minmax(0, 1fr) 300px;
    gap: 12px 24px;
    padding: 18px 28px 14px;
  }
  .manuscript {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 28px;
    padding: 18px 26px;
  }
  .manuscript :deep(.outline) {
    border-top: 0;
    padding-top: 0;
  }
  .strip {
    padding: 0 0 0 24px;
    border-top: 0;
    border-left: 1px solid var(--rule);
    overflow-y: auto;
  }
  .strip :deep(.bar) {
    flex-wrap: wrap;
    white-space: normal;
  }
  .strip :deep(.tiles) {
    flex-direction: column;
    overflow: visible;
  }
}
</style>
