<script setup lang="ts">
import { addMark, canJoin, type Draft, EMPHASIS, type Emphasis, emphasised, FACETS, type Facet, insertPhrase, joinPhrases, movePhrase, outlineOf, type OutlinePhrase, removePhrase, replacePhrase, splitPhrase, splitPlaces, type TextRange, toggledLocked, toggledOff, withoutMarks } from '@idolon/core'
import { useLocalStorage } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useActions } from '../go-to/actions.ts'
import { useTask } from '../notices/notices.ts'
import { usePhrases } from '../stores/phrases.ts'
import { type CommandOf, pressed } from '../keys/key-map.ts'
import { pointAt } from '../reading/phrase-highlight.ts'
import type { DraftSession } from './draft-session.ts'
import FillFacet from './FillFacet.vue'
import PhraseMenu from './PhraseMenu.vue'
import RewriteDraft from './RewriteDraft.vue'
import TidyOffer from './TidyOffer.vue'
import { vFocusFirst } from '../shared/focus-first.ts'

const PhraseEntry = defineAsyncComponent(() => import('./PhraseEntry.vue'))

/** The twelve facets in writing order with the phrases that the text says; text and outline are one thing. */
const props = defineProps<{ session: DraftSession }>()
const emit = defineEmits<{ rephrase: [phrase: OutlinePhrase]; slot: [phrase: OutlinePhrase] }>()
/** What is shown with the text: nothing, what it says, or all twelve facets for filling fast. */
const VIEWS = { text: 'Text only', outline: 'With outline', facets: 'By facet' } as const
const shown = useLocalStorage<keyof typeof VIEWS>('idolon.desk-view', 'outline')
const filling = ref<Facet>()
const replacing = ref<OutlinePhrase>()
const dragged = ref<OutlinePhrase>()
const menu = ref<{ phrase: OutlinePhrase; target: HTMLElement; splitting?: boolean }>()
const phrases = usePhrases()
const task = useTask()
const root = useTemplateRef<HTMLElement>('root')

const draft = computed(() => props.session.draft.value)
const read = computed(() => props.session.reading.reading.value)
/** Whether what is shown is the reading of the text as it now stands; only then can phrases be acted on. */
const current = computed(() => read.value?.text === draft.value.text)
const rows = computed(() => (read.value ? outlineOf(read.value.text, read.value.reading, draft.value.marks) : []))
const isOpen = ({ phrases, facet }: { phrases: unknown[]; facet: Facet }) => shown.value === 'facets' || phrases.length > 0 || facet === filling.value
const filled = computed(() => (shown.value === 'text' ? [] : rows.value.filter(isOpen)))
const empty = computed(() => (shown.value === 'text' ? [] : rows.value.filter((row) => !isOpen(row)).map(({ facet }) => facet)))
const all = computed(() => rows.value.flatMap(({ phrases }) => phrases))
const inOrder = computed(() => [...all.value].sort((a, b) => a.start - b.start))
const here = computed(() => all.value.find(({ start, end }) => start <= props.session.caret.value && props.session.caret.value <= end))
const wait = computed(() => ({ starting: 'The outline is being made ready …', reading: '', ready: '' })[props.session.reading.state.value])

const FACET_NAMES: Record<Facet, string> = Object.fromEntries(FACETS.map((facet) => [facet, facet.charAt(0).toUpperCase() + facet.slice(1)])) as Record<Facet, string>
const UNSURE = 'The reading is unsure; press to say what it is'
const kept = (phrase: OutlinePhrase) => phrases.keptAs(phrase.text, phrase.facet)
const said = (phrase: OutlinePhrase) => {
  const { emphasis, locked, byHand, fromReference, unsure } = phrase
  return [emphasis ? EMPHASIS.find(({ level }) => level === emphasis)?.said : '', locked ? 'locked' : '', kept(phrase) ? 'kept' : '', fromReference ? 'from a reference' : byHand ? 'set by you' : '', unsure ? 'unsure' : ''].filter(Boolean).join(', ')
}

function point(phrase: TextRange | undefined): void {
  props.session.view.dispatch({ effects: pointAt.of(phrase && current.value ? phrase : undefined) })
}
/** Puts the caret on a phrase in the text. */
function show(phrase: TextRange): void {
  const { view } = props.session
  view.dispatch({ selection: { anchor: phrase.start, head: phrase.end }, scrollIntoView: true })
  view.focus()
}
const setMarks = (marks: Draft['marks']) => props.session.change({ marks })

/** The outline's button of the phrase that begins at a place, once the outline has it. */
let focusAt: number | undefined
watch(rows, async () => {
  if (focusAt === undefined || !current.value) return
  const at = focusAt
  focusAt = undefined
  await nextTick()
  const places = [...(root.value?.querySelectorAll<HTMLElement>('li[data-start]') ?? [])]
  const nearest = places.sort((a, b) => Math.abs(Number(a.dataset['start']) - at) - Math.abs(Number(b.dataset['start']) - at))[0]
  if (nearest) buttonIn(nearest)?.focus()
})

const buttonIn = (place: EventTarget | null) => (place as HTMLElement | null)?.querySelector<HTMLElement>('button.phrase') ?? undefined
const placeOf = (phrase: TextRange) => inOrder.value.findIndex(({ start }) => start === phrase.start)
const actions = {
  remove(phrase: OutlinePhrase) {
    focusAt = phrase.start
    props.session.apply({ text: removePhrase(draft.value.text, phrase) })
  },
  off: (phrase: OutlinePhrase) => setMarks(toggledOff(draft.value.text, draft.value.marks, phrase)),
  locked: (phrase: OutlinePhrase) => setMarks(toggledLocked(draft.value.text, draft.value.marks, phrase)),
  emphasis: (phrase: OutlinePhrase, level: Emphasis) => setMarks(emphasised(draft.value.marks, phrase, level)),
  facet: (phrase: OutlinePhrase, facet: Facet | undefined) => {
    focusAt = phrase.start
    setMarks(facet ? addMark(draft.value.marks, { from: phrase.start, to: phrase.end, kind: 'facet', facet }) : withoutMarks(draft.value.marks, 'facet', phrase))
  },
  /** Moves a phrase past so many others of the text. */
  move(phrase: OutlinePhrase, by: number) {
    const at = placeOf(phrase)
    const to = Math.max(0, Math.min(inOrder.value.length - 1, at + by))
    if (at < 0 || to === at) return
    const { edit, range } = movePhrase(draft.value, inOrder.value, at, to)
    focusAt = range.end - (phrase.end - phrase.start)
    props.session.apply(edit)
  },
  split(phrase: OutlinePhrase, at: number) {
    focusAt = phrase.start
    props.session.apply({ text: splitPhrase(at) })
  },
  /** The phrase that can be joined to this one, if any. */
  next(phrase: OutlinePhrase) {
    const other = inOrder.value[placeOf(phrase) + 1]
    return other && canJoin(draft.value.text, phrase, other) ? other : undefined
  },
  join(phrase: OutlinePhrase) {
    const other = actions.next(phrase)
    if (!other) return
    focusAt = phrase.start
    props.session.apply(joinPhrases(draft.value, phrase, other))
  },
  kept,
  keep: (phrase: OutlinePhrase) =>
    task(async () => {
      const known = kept(phrase)
      await (known ? phrases.remove(known) : phrases.keep(phrase.text, phrase.facet))
    }),
  replace(phrase: OutlinePhrase, words: string) {
    replacing.value = undefined
    focusAt = phrase.start
    if (words.trim() && words.trim() !== phrase.text) props.session.apply(replacePhrase(draft.value, phrase, words))
  },
  show,
  entry: (phrase: OutlinePhrase) => openEntry(phrase),
  startReplacing: (phrase: OutlinePhrase) => (replacing.value = phrase),
  rephrase: (phrase: OutlinePhrase) => emit('rephrase', phrase),
  slot: (phrase: OutlinePhrase) => emit('slot', phrase),
}
export type PhraseActions = typeof actions

function fill(facet: Facet, words: string): void {
  filling.value = undefined
  if (!words.trim() || !read.value) return
  const { changes, start, end } = insertPhrase(draft.value.text, inOrder.value, facet, words)
  focusAt = start
  // The writer has said what it is, so the reading need not guess.
  props.session.apply({ text: changes, marks: { remove: [], add: [{ from: start, to: end, kind: 'facet', facet }] } })
}

const suggest = (facet: Facet) => (typed: string, most: number) => props.session.reading.ask('suggest', { facet, typed, most })

/** A phrase dropped on another takes its place in the text. */
function drop(target: OutlinePhrase): void {
  const phrase = dragged.value
  dragged.value = undefined
  if (phrase && current.value) actions.move(phrase, placeOf(target) - placeOf(phrase))
}
/** A phrase dropped on a facet's name is of that facet. */
function dropOn(facet: Facet): void {
  const phrase = dragged.value
  dragged.value = undefined
  if (phrase && current.value && phrase.facet !== facet) actions.facet(phrase, facet)
}

function step(from: HTMLElement, by: number): void {
  const buttons = [...(root.value?.querySelectorAll<HTMLElement>('button.phrase') ?? [])]
  buttons[buttons.indexOf(from) + by]?.focus()
}
function onKey(event: KeyboardEvent, phrase: OutlinePhrase): void {
  const button = event.target as HTMLElement
  // What is shown is a moment older than the text: its places would be wrong.
  if (!current.value) return
  const command = pressed('phrase', event)
  if (!command || command === 'menu') return
  const emphasis = (by: number) => actions.emphasis(phrase, Math.max(-2, Math.min(2, phrase.emphasis + by)) as Emphasis)
  const acts: Readonly<Record<Exclude<CommandOf<'phrase'>, 'menu'>, () => unknown>> = {
    previous: () => step(button, -1),
    next: () => step(button, 1),
    earlier: () => actions.move(phrase, -1),
    later: () => actions.move(phrase, 1),
    off: () => actions.off(phrase),
    replace: () => actions.startReplacing(phrase),
    more: () => emphasis(1),
    less: () => emphasis(-1),
    lock: () => actions.locked(phrase),
    keep: () => actions.keep(phrase),
    entry: () => openEntry(phrase),
    slot: () => actions.slot(phrase),
    split: () => open(phrase, event, true),
    join: () => actions.join(phrase),
    rephrase: () => actions.rephrase(phrase),
    remove: () => actions.remove(phrase),
    text: () => props.session.view.focus(),
  }
  void acts[command]()
  event.preventDefault()
}
const entry = ref<{ phrase: OutlinePhrase; target: HTMLElement }>()
/** Opens what the glossary says of a phrase, beside it. */
function openEntry(phrase: OutlinePhrase): void {
  const target = buttonIn(root.value?.querySelector(`li[data-start="${phrase.start}"]`) ?? null)
  if (target && current.value) entry.value = { phrase, target }
}
function say({ start, end }: TextRange, insert: string): void {
  entry.value = undefined
  focusAt = start
  props.session.apply(replacePhrase(draft.value, { start, end }, insert))
}
function open(phrase: OutlinePhrase, event: Event, splitting = false): void {
  if (!current.value || (splitting && splitPlaces(draft.value.text, phrase).length === 0)) return
  const target = buttonIn(event.currentTarget)
  if (target) menu.value = { phrase, target, splitting }
}
useActions(() => (Object.keys(VIEWS) as (keyof typeof VIEWS)[]).map((key) => ({ name: `Show ${VIEWS[key].toLowerCase()}`, words: 'view focus facets outline', run: () => (shown.value = key) })))
defineExpose({ openEntry: () => here.value && openEntry(here.value), focus: () => root.value?.querySelector<HTMLElement>('button.phrase')?.focus(), fill: (facet: Facet) => (filling.value = facet) })
</script>

<template>
  <section ref="root" class="outline" aria-label="Outline" :aria-busy="!current" @mouseleave="point(undefined)">
    <div class="tools">
      <RewriteDraft :session="session" :shown="shown !== 'text' && all.length > 1" />
      <v-btn-toggle v-model="shown" class="views" mandatory density="compact" variant="text" aria-label="What is shown with the text">
        <v-btn v-for="(name, key) in VIEWS" :key="key" size="small" :value="key">{{ name }}</v-btn>
      </v-btn-toggle>
    </div>
    <p v-if="wait && shown !== 'text'" class="soft" role="status">{{ wait }}</p>
    <div v-for="row in filled" :key="row.facet" class="row">
      <h2 :id="`facet-${row.facet}`" @dragover.prevent @drop.prevent="dropOn(row.facet)">{{ FACET_NAMES[row.facet] }}</h2>
      <ul :aria-labelledby="`facet-${row.facet}`">
        <!-- What hears of a phrase is the list's own item: a button of which nothing changed is not drawn again while one types. -->
        <template v-for="(phrase, place) in row.phrases" :key="place">
          <li v-if="replacing?.start === phrase.start">
            <v-text-field v-focus-first :label="`Instead of ${phrase.text}`" :model-value="phrase.text" class="words" @keydown.enter.prevent="actions.replace(phrase, ($event.target as HTMLInputElement).value)" @keydown.escape.stop="(replacing = undefined), (focusAt = phrase.start)" @blur="replacing = undefined" />
          </li>
          <li v-else :data-start="phrase.start" :class="{ here: here?.start === phrase.start }" @dragover.prevent @drop.prevent="drop(phrase)" @dragstart="dragged = phrase" @dragend="dragged = undefined" @click="open(phrase, $event)" @keydown="onKey($event, phrase)" @focusin="point(phrase)" @mouseenter="point(phrase)" @focusout="point(undefined)">
            <v-btn variant="text" class="phrase lines" :class="{ off: phrase.off, unsure: phrase.unsure }" :text="phrase.text" :title="phrase.unsure ? UNSURE : undefined" aria-haspopup="menu" draggable="true" /><span v-if="said(phrase)" class="said">{{ said(phrase) }}</span>
          </li>
        </template>
        <li v-if="filling === row.facet"><FillFacet :facet="row.facet" :text="draft.text" :suggest="suggest(row.facet)" @fill="fill(row.facet, $event)" @close="filling = undefined" /></li>
        <li v-else class="add" :class="{ always: shown === 'facets' }" @click="filling = row.facet"><v-btn variant="text" size="small" text="add" :aria-label="`Add to ${row.facet}`" /></li>
      </ul>
    </div>
    <p v-if="read && empty.length" class="row empty">
      <span class="soft">Not said yet</span>
      <span class="names"><span v-for="facet in empty" :key="facet" @click="filling = facet" @dragover.prevent @drop.prevent="dropOn(facet)"><v-btn variant="text" size="small" :text="facet" /></span></span>
    </p>
    <slot />
    <TidyOffer v-if="read && current" :draft="draft" :reading="read.reading" :session="session" />
    <PhraseMenu v-if="menu" :phrase="menu.phrase" :target="menu.target" :actions="actions" :places="splitPlaces(draft.text, menu.phrase)" :splitting="menu.splitting" @close="menu = undefined" />
    <PhraseEntry v-if="entry" :phrase="entry.phrase" :target="entry.target" @close="entry = undefined" @say="say" />
  </section>
</template>

<style scoped>
.outline {
  display: grid;
  gap: 2px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.tools {
  display: flex;
  align-items: center;
  min-height: 26px;
}
.views {
  height: 26px;
  margin-left: auto;
  border: 0;
}
.row {
  display: grid;
  grid-template-columns: 92px 1fr;
  align-items: baseline;
}
h2,
.empty > .soft {
  font-size: 13px;
  font-weight: 500;
  color: var(--soft);
}
.names {
  padding-left: 8px;
}
ul,
.names {
  display: flex;
  flex-wrap: wrap;
  gap: 1px 18px;
}
li {
  position: relative;
  padding-left: 8px;
}
/* The caret's phrase has a tick in the margin. */
li.here::before {
  content: '';
  position: absolute;
  left: 0;
  top: 5px;
  bottom: 5px;
  border-left: 2px solid var(--accent);
}
.phrase {
  padding: 1px 0;
  border: 0;
  background: none;
  font-family: var(--serif);
  font-size: 15.5px;
  text-align: left;
  cursor: pointer;
}
.phrase:hover {
  text-decoration: underline;
  text-decoration-color: var(--rule-strong);
  text-underline-offset: 3px;
}
.phrase.off {
  text-decoration: line-through;
  color: var(--soft);
}
.said {
  margin-left: 6px;
  font-size: 12px;
  font-style: italic;
  color: var(--soft);
}
.unsure + .said {
  color: var(--accent);
}
.words {
  min-width: 220px;
}
/* It takes no room, so that it never begins a line of its own. */
.add {
  width: 0;
  white-space: nowrap;
  opacity: 0;
}
.add.always,
.row:hover .add,
.add:focus-within {
  opacity: 1;
}
.add.always {
  width: auto;
}
</style>
