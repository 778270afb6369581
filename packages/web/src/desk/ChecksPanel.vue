<script setup lang="ts">
import { addMark, type Draft, type Finding, marksWithout, type Mark, type Severity } from '@idolon/core'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { useActions } from '../go-to/actions.ts'
import { pressed } from '../keys/key-map.ts'
import { useNotices } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import type { DraftSession } from './draft-session.ts'
import FindingRow from './FindingRow.vue'
import type { Findings } from './use-findings.ts'

/** What is wrong with the draft, gravest first: a line each, with its reason and what fixes it. */
const props = defineProps<{ session: DraftSession; findings: Findings }>()
const notices = useNotices()
const root = useTemplateRef<HTMLElement>('root')
const allTips = ref(false)
/** The finding that is being dismissed: the text may change meanwhile, and its place with it. */
const dismissing = ref('')
/** No draft has more to mend at once; were a fix to bring its own finding back, this ends it. */
const MOST = 60
const keyOf = ({ kind, reason }: Finding) => `${kind} ${reason}`
const fixing = ref(false)

const GROUPS: { severity: Severity; name: string; says: string }[] = [
  { severity: 'stop', name: 'Stops', says: 'the try would be wasted' },
  { severity: 'caution', name: 'Cautions', says: 'likely to come out wrong' },
  { severity: 'tip', name: 'Tips', says: '' },
]
const all = computed(() => props.findings.all.value)
const of = (severity: Severity) => all.value.filter((finding) => finding.severity === severity)
/** Of a draft with nothing graver one tip shows unasked; the others are a press away. */
const tipsShown = computed(() => (allTips.value ? of('tip') : all.value.some(({ severity }) => severity !== 'tip') ? [] : of('tip').slice(0, 1)))
const groups = computed(() => GROUPS.map((group) => ({ ...group, list: group.severity === 'tip' ? tipsShown.value : of(group.severity) })).filter(({ list }) => list.length))
const hidden = computed(() => of('tip').length - tipsShown.value.length)
const house = computed(() => all.value.filter(({ kind, fix }) => kind === 'house-rule' && fix))
const nextSafe = () => safe.value[0]
const nextOfHouse = () => house.value[0]
/** What takes nothing from the picture. */
const safe = computed(() => all.value.filter(({ fix }) => fix?.safe))
const dismissed = computed(() => props.session.draft.value.marks.filter((mark): mark is Mark & { kind: 'dismissed' } => mark.kind === 'dismissed'))
const said = ({ from, to }: { from: number; to: number }) => props.session.draft.value.text.slice(from, to)
const setMarks = (marks: Draft['marks']) => props.session.change({ marks })

const placeOf = ({ where }: Finding) => (where?.in === 'text' ? where : undefined)
function show(finding: Finding, focus = true): void {
  const place = placeOf(finding)
  const { view } = props.session
  if (finding.where?.in === 'leaveOut') document.getElementById('leave-out')?.focus()
  if (!place || !props.findings.current.value) return
  view.dispatch({ selection: { anchor: place.start, head: place.end }, scrollIntoView: true })
  if (focus) view.focus()
}
/** The finding as it stands in the text now; one that was found before the last key is looked for again. */
async function asItStands(finding: Finding): Promise<Finding | undefined> {
  if (props.findings.current.value) return finding
  await props.findings.check()
  return props.findings.current.value ? all.value.find((one) => keyOf(one) === keyOf(finding)) : undefined
}
async function fix(found: Finding): Promise<void> {
  const finding = await asItStands(found)
  if (!finding?.fix) return
  for (const edit of finding.fix.edits) props.session.apply(edit)
  await props.findings.check()
}
/** Fixes one finding after another, each an edit of its own, for as long as there is a next. */
async function fixAll(next: () => Finding | undefined): Promise<void> {
  fixing.value = true
  let fixed = 0
  // Written on meanwhile: what was found is of another text.
  for (let finding = next(); finding && props.findings.current.value && fixed < MOST; finding = next()) {
    await fix(finding)
    fixed++
  }
  fixing.value = false
  notices.show(`${counted(fixed, 'thing')} fixed. Undo takes the fixes back one by one.`, { action: { label: 'Undo', run: props.session.undo } })
}
async function dismiss(found: Finding, reason: string): Promise<void> {
  dismissing.value = ''
  const finding = await asItStands(found)
  if (!finding) return
  const { text, marks } = props.session.draft.value
  const place = placeOf(finding)
  setMarks(addMark(marks, { from: place?.start ?? 0, to: place?.end ?? text.length, kind: 'dismissed', check: finding.kind, reason }))
}
const takeBack = (mark: Mark) => setMarks(marksWithout(props.session.draft.value.marks, [mark]))

/** Goes to the next place in the text with something wrong, or the one before. */
function walk(by: 1 | -1): void {
  const places = all.value.filter((finding) => placeOf(finding)).sort((a, b) => placeOf(a)!.start - placeOf(b)!.start)
  if (places.length === 0) return
  const { from, to } = props.session.view.state.selection.main
  const next = by > 0 ? (places.find((one) => placeOf(one)!.start > from || (from === to && placeOf(one)!.start === from)) ?? places[0]) : (places.findLast((one) => placeOf(one)!.end <= from) ?? places.at(-1))
  show(next!)
  const line = root.value?.querySelector(`[data-finding="${all.value.indexOf(next!)}"]`)
  line?.scrollIntoView({ block: 'nearest' })
}
/** Fixes the finding that was gone to: what is selected in the text. */
function fixHere(): void {
  const { from, to } = props.session.view.state.selection.main
  const here = all.value.find((finding) => finding.fix && placeOf(finding)?.start === from && placeOf(finding)?.end === to)
  if (here) void fix(here)
}
const ask = (finding: Finding) => (dismissing.value = keyOf(finding))
const leave = () => (dismissing.value = '')
function onKey(event: KeyboardEvent, finding: Finding): void {
  const lines = [...(root.value?.querySelectorAll<HTMLElement>('button.reason') ?? [])]
  const at = lines.indexOf(event.target as HTMLElement)
  const command = pressed('finding', event)
  if (command === 'next') lines[at + 1]?.focus()
  else if (command === 'previous') lines[at - 1]?.focus()
  else if (command === 'fix' && finding.fix) void fix(finding).then(() => nextTick(() => root.value?.querySelectorAll<HTMLElement>('button.reason')[at]?.focus()))
  else if (command === 'dismiss') ask(finding)
  else return
  event.preventDefault()
}
useActions(() => [
  { name: 'Next finding', words: 'check problem walk', run: () => walk(1) },
  { name: 'Fix this finding', words: 'check problem repair', run: fixHere },
  ...(safe.value.length ? [{ name: 'Fix what is safe to fix', words: 'fix all checks', run: () => void fixAll(nextSafe) }] : []),
  ...(house.value.length ? [{ name: 'Apply the house rules', words: 'brand project', run: () => void fixAll(nextOfHouse) }] : []),
])
defineExpose({ walk, fixHere, focus: () => root.value?.querySelector<HTMLElement>('button.reason')?.focus() })
</script>

<template>
  <section ref="root" class="checks" aria-label="Checks" :aria-busy="!findings.current.value">
    <p v-if="all.length === 0" class="soft">{{ session.draft.value.text.trim() ? 'Nothing stands in the way of a try.' : 'What would go wrong with a try is said here while you write.' }}</p>
    <p v-if="safe.length > 1 || house.length" class="row-actions">
      <v-btn v-if="house.length" :disabled="fixing" @click="fixAll(nextOfHouse)">Apply the house rules</v-btn>
      <v-btn v-if="safe.length > 1" :disabled="fixing" @click="fixAll(nextSafe)">Fix the {{ safe.length }} that are safe to fix</v-btn>
    </p>
    <section v-for="group in groups" :key="group.severity" :aria-labelledby="`checks-${group.severity}`">
      <h2 :id="`checks-${group.severity}`">{{ group.name }}<span v-if="group.says" class="soft">: {{ group.says }}</span></h2>
      <ul>
        <FindingRow v-for="finding in group.list" :key="keyOf(finding)" :data-finding="all.indexOf(finding)" :finding="finding" :dismissing="dismissing === keyOf(finding)" @show="show" @fix="fix" @ask="ask" @dismiss="dismiss" @leave="leave" @keyed="onKey" />
      </ul>
    </section>
    <p v-if="hidden > 0"><v-btn variant="text" @click="allTips = true">{{ counted(hidden, 'tip') }}{{ tipsShown.length ? ' more' : '' }}</v-btn></p>
    <section v-if="dismissed.length" aria-labelledby="checks-dismissed">
      <h2 id="checks-dismissed">Dismissed</h2>
      <ul>
        <li v-for="mark in dismissed" :key="`${mark.check} ${mark.from}`" class="tip">
          <span class="soft">“{{ said(mark).slice(0, 60) }}”{{ mark.reason ? `: ${mark.reason}` : '' }}</span> <v-btn variant="text" @click="takeBack(mark)">Check it again</v-btn>
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.checks,
.checks section,
ul {
  display: grid;
  gap: 10px;
}
.checks {
  gap: 18px;
}
h2 {
  font-size: 14px;
}
h2 .soft {
  font-weight: 400;
}
li {
  padding-left: 12px;
  border-left: 1px solid var(--rule-strong);
}
</style>
