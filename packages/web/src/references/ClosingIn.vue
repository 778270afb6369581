<script setup lang="ts">
import { type CloseTry, closeTries, readPrompt, readReading, type Reference } from '@idolon/contract'
import { type Closing, hasClosing, type PictureReading, type RespectName } from '@idolon/core'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { applyClosing, closingWords, goBackTo } from './apply-closing.ts'
import { evidenceOf } from './evidence.ts'
import PictureEvidence from './PictureEvidence.vue'

/** Tries that borrow from a reference: how close each came, what still differs with both evidences, and the changes that would close it. */
const props = defineProps<{ reference: Reference; reading: PictureReading | null }>()
const task = useTask()
const notices = useNotices()
const chosen = ref<string>()
const { data } = usePageData({
  key: () => (props.reference.stage === 'read' ? ['tries towards', props.reference.id] : undefined),
  read: (signal) => call(closeTries, { params: { reference: props.reference.id }, signal }),
  on: ({ kind }) => kind === 'reference' || kind === 'proof',
})
const tries = computed(() => data.value ?? [])

const NAMES: Record<RespectName, string> = { medium: 'medium', palette: 'palette', key: 'key', contrast: 'contrast', temperature: 'temperature', saturation: 'saturation', light: 'light', framing: 'framing', things: 'things', focus: 'depth of field', horizon: 'horizon', lettering: 'lettering', format: 'format', layout: 'the whole' }
const percent = (share: number) => Math.round(share * 100)
/** One prompt's tries at a time; that of the newest at first. */
const promptId = ref<string>()
const prompts = computed(() => [...new Map(tries.value.map((item) => [item.promptId, item.promptTitle]))].reverse())
const shownPrompt = computed(() => prompts.value.find(([id]) => id === promptId.value)?.[0] ?? tries.value.at(-1)?.promptId)
const own = computed(() => tries.value.filter((item) => item.promptId === shownPrompt.value))
const one = computed(() => own.value.find(({ proofId }) => proofId === chosen.value) ?? own.value.at(-1))
/** The try before it, of the same prompt: what the change did. */
const before = computed(() => {
  const at = tries.value.findIndex(({ proofId }) => proofId === one.value?.proofId)
  return tries.value.slice(0, Math.max(0, at)).findLast(({ promptId, version, closeness }) => promptId === one.value?.promptId && version < one.value.version && closeness)
})
const moved = (respect: RespectName, close: number): string => {
  const earlier = before.value?.closeness?.by.find((other) => other.respect === respect)?.close
  if (earlier === undefined) return ''
  const by = percent(close) - percent(earlier)
  return Math.abs(by) < 3 ? `as in version ${before.value?.version}` : `${Math.abs(by)} ${by > 0 ? 'closer' : 'further'} than version ${before.value?.version}`
}

/** What the draft has by now, so that nothing is proposed that it says. */
const { data: prompt, load: readDraft } = usePageData({
  key: () => one.value && ['prompt', one.value.promptId],
  read: (signal) => call(readPrompt, { params: { prompt: one.value!.promptId }, signal }),
  on: (event) => event.kind === 'draft' && event.promptId === one.value?.promptId,
})
const draft = computed(() => prompt.value?.draft)
/** So much further is no chance. */
const FURTHER = 0.015
const MOST_ADVICE = 5
const advice = computed(() => one.value?.advice.slice(0, MOST_ADVICE) ?? [])
const isDone = (closing: Closing) => (draft.value ? hasClosing(draft.value, closing) : false)
const pastWords = ({ tried, closer }: CloseTry['advice'][number]['past']) => (tried === 0 ? 'not tried here yet' : `came closer in ${closer} of ${tried} ${tried === 1 ? 'try' : 'tries'} here`)
const apply = (closing: Closing) =>
  task(async () => {
    if (!one.value) return
    const { promptId } = one.value
    await applyClosing(promptId, closing, props.reference)
    await readDraft()
    notices.show('It is in the draft now. Try it, and see here whether the difference shrank.')
  })

/** The closest earlier version of the same prompt, where the one that is shown came out further: its change is better taken back. */
const closer = computed(() => {
  const whole = one.value?.closeness?.whole
  if (whole == null) return undefined
  const earlier = tries.value.filter(({ promptId, version, closeness }) => promptId === one.value?.promptId && version < one.value.version && (closeness?.whole ?? 0) > whole + FURTHER)
  return earlier.reduce<CloseTry | undefined>((best, item) => (!best || item.closeness!.whole! > best.closeness!.whole! ? item : best), undefined)
})
const goBack = ({ promptId, version }: CloseTry) =>
  task(async () => {
    await goBackTo(promptId, version)
    await readDraft()
    notices.show(`The draft is as version ${version} was. Its history keeps what was undone.`)
  })

/** Each respect by the fact whose evidence shows it. */
const SHOWN_BY: Partial<Record<RespectName, string>> = { light: 'lightSide', framing: 'shot' }
const shown = ref<RespectName>()
const { data: proofReading } = usePageData({
  key: () => (shown.value && one.value?.sha256 ? ['reading', one.value.sha256] : undefined),
  read: (signal) => call(readReading, { params: { sha256: one.value!.sha256! }, signal }),
})
const evidence = (reading: PictureReading | null | undefined) => {
  if (!shown.value || !reading) return undefined
  const fact = SHOWN_BY[shown.value] ?? shown.value
  // Where no figure is sure, the eye's place stands for it.
  return evidenceOf(fact === 'shot' && !reading.figure ? 'side' : fact, reading, reading)
}
const show = (respect: RespectName) => (shown.value = shown.value === respect ? undefined : respect)
</script>

<template>
  <section v-if="tries.length" aria-labelledby="closing-title" class="closing">
    <h2 id="closing-title">Closing in</h2>
    <v-select v-if="prompts.length > 1" label="Tries of" :model-value="shownPrompt" :items="prompts.map(([id, title]) => ({ title: title || 'without a title', value: id }))" @update:model-value="promptId = $event" />
    <ul class="tries" aria-label="Tries that borrow from it, oldest first">
      <li v-for="item in own" :key="item.proofId">
        <v-btn v-tooltip="`${item.promptTitle}, version ${item.version}, ${item.engine}`" variant="text" :aria-pressed="item.proofId === one?.proofId" class="try lines" @click="chosen = item.proofId"><img :src="`/api/pictures/${item.sha256}/small`" :alt="`${item.promptTitle}, version ${item.version}`" loading="lazy" /><span>{{ item.closeness?.whole != null ? `${percent(item.closeness.whole)} %` : item.stage === 'failed' ? 'not read' : '…' }}</span><span class="soft">version {{ item.version }}</span></v-btn>
      </li>
    </ul>
    <template v-if="one">
      <p class="soft"><RouterLink :to="`/proofs/${one.proofId}`">{{ one.promptTitle }}, version {{ one.version }}</RouterLink>, {{ one.engine }}. <RouterLink :to="`/desk/${one.promptId}`">Open the draft</RouterLink></p>
      <p v-if="!one.closeness" class="soft" role="status">{{ one.stage === 'failed' ? 'It could not be read.' : 'Its picture is being read …' }}</p>
      <template v-else>
        <p v-if="closer">
          Version {{ closer.version }} was closer, {{ percent(closer.closeness!.whole!) }} %. <v-btn variant="text" @click="goBack(closer)">Go back to it in the draft</v-btn>
        </p>
        <h3>Change next</h3>
        <p v-if="advice.length === 0" class="soft">Nothing that words or settings of this engine could close is left.</p>
        <ol v-else class="advice">
          <li v-for="item in advice" :key="closingWords(item.closing)">
            <v-btn variant="text" :disabled="isDone(item.closing)" @click="apply(item.closing)">{{ closingWords(item.closing) }}</v-btn>
            <span class="soft">for {{ NAMES[item.respect] }}; {{ isDone(item.closing) ? 'in the draft' : pastWords(item.past) }}</span>
          </li>
        </ol>
        <div v-if="shown" class="both">
          <figure><PictureEvidence :picture="reference.picture" name="the reference" :evidence="evidence(reading)" /><figcaption class="soft">the reference</figcaption></figure>
          <figure><PictureEvidence :picture="{ sha256: one.sha256 }" :name="`version ${one.version}`" :evidence="evidence(proofReading)" /><figcaption class="soft">version {{ one.version }}</figcaption></figure>
        </div>
        <v-table>
          <thead class="visually-hidden"><tr><th>In what</th><th>How close</th><th>What differs</th></tr></thead>
          <tbody>
            <tr v-for="row in one.closeness.by" :key="row.respect">
              <th scope="row"><v-btn v-tooltip="'Show it in both pictures'" variant="text" :aria-pressed="shown === row.respect" @click="show(row.respect)">{{ NAMES[row.respect] }}</v-btn></th>
              <td class="bar"><span class="track"><span :style="{ width: `${percent(row.close)}%` }"></span></span> {{ percent(row.close) }} %</td>
              <td>{{ row.says }}<span v-if="moved(row.respect, row.close)" class="soft">; {{ moved(row.respect, row.close) }}</span></td>
            </tr>
          </tbody>
        </v-table>
      </template>
    </template>
  </section>
</template>

<style scoped>
.closing {
  display: grid;
  gap: 8px;
}
.tries {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.try {
  display: grid;
  padding: 3px;
  border: 1px solid transparent;
  background: none;
  text-align: left;
  font-size: 12px;
  cursor: pointer;
}
.try[aria-pressed='true'] {
  border-color: var(--accent);
}
.try img {
  width: 70px;
  height: 50px;
  object-fit: cover;
}
h3 {
  font-size: 13.5px;
}
.advice {
  display: grid;
  gap: 2px;
  padding-left: 20px;
  font-size: 13px;
}
.advice .soft {
  margin-left: 8px;
}
.both {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.both figure {
  margin: 0;
  min-width: 0;
}
.both figcaption {
  font-size: 12px;
}
table {
  border-collapse: collapse;
  font-size: 13px;
}
tr {
  border-top: 1px solid var(--rule);
}
th {
  padding: 4px 12px 4px 0;
  text-align: left;
  font-weight: 400;
  color: var(--soft);
  white-space: nowrap;
}
td {
  padding: 4px 12px 4px 0;
  vertical-align: baseline;
}
.bar {
  white-space: nowrap;
}
.track {
  display: inline-block;
  width: 70px;
  height: 6px;
  margin-right: 6px;
  background: var(--wash);
}
.track span {
  display: block;
  height: 100%;
  background: var(--rule-strong);
}
</style>
