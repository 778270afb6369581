<script setup lang="ts">
import { type CloseTry, closeTries, type Reference, readPrompt, saveEdits } from '@idolon/contract'
import { borrowedText, type Closing, type RespectName } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'

/** Tries that borrow from a reference: how close each came, what still differs, and the words that would close it. */
const props = defineProps<{ reference: Reference }>()
const task = useTask()
const notices = useNotices()
const tries = shallowRef<CloseTry[]>([])
const chosen = ref<string>()
const load = async () => {
  if (props.reference.stage === 'read') tries.value = await call(closeTries, { params: { reference: props.reference.id } })
}
watch(() => [props.reference.id, props.reference.stage], () => void task(load), { immediate: true })
onChange((event) => {
  if (event === 'reset' || event.kind === 'reference' || event.kind === 'proof') void load().catch(() => undefined)
})

const NAMES: Record<RespectName, string> = { medium: 'medium', palette: 'palette', key: 'key', temperature: 'temperature', framing: 'framing', things: 'things', focus: 'depth of field', horizon: 'horizon', lettering: 'lettering' }
const percent = (share: number) => Math.round(share * 100)
const one = computed(() => tries.value.find(({ proofId }) => proofId === chosen.value) ?? tries.value.at(-1))
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
/** What the draft says and leaves out by now, so that nothing is proposed that it has. */
const has = ref('')
const readDraft = async (promptId: string) => {
  const { draft } = await call(readPrompt, { params: { prompt: promptId } })
  if (promptId === one.value?.promptId) has.value = `${draft.text}\n${draft.leaveOut.join('\n')}`.toLowerCase()
}
watch(() => one.value?.promptId, (promptId) => promptId && void readDraft(promptId).catch(() => undefined), { immediate: true })
const isSaid = (closing: Closing) => has.value.includes(said(closing).toLowerCase())
const said = (closing: Closing) => ('say' in closing ? closing.say : closing.leaveOut)
const add = (closing: Closing) =>
  task(async () => {
    if (!one.value) return
    const prompt = await call(readPrompt, { params: { prompt: one.value.promptId } })
    const { text, leaveOut } = prompt.draft
    if ('say' in closing) {
      const borrowed = borrowedText([{ facet: closing.facet, text: closing.say, reference: props.reference.id }])
      // A sentence ends before what is added; a list goes on.
      const bare = text.trimEnd()
      const joint = bare === '' ? '' : /[.!?]$/.test(bare) ? ' ' : ', '
      const insert = joint + (joint === ' ' ? `${borrowed.text.charAt(0).toUpperCase()}${borrowed.text.slice(1)}.` : borrowed.text)
      const from = bare.length + joint.length
      await call(saveEdits, { params: { prompt: prompt.id }, body: { client: crypto.randomUUID(), first: 1, base: prompt.revision, edits: [{ text: [{ from: bare.length, to: text.length, insert }], marks: { remove: [], add: borrowed.marks.map((mark) => ({ ...mark, from: mark.from + from, to: mark.to + from })) } }] } })
    } else await call(saveEdits, { params: { prompt: prompt.id }, body: { client: crypto.randomUUID(), first: 1, base: prompt.revision, edits: [{ leaveOut: { at: leaveOut.length, remove: 0, insert: [closing.leaveOut] } }] } })
    await readDraft(prompt.id)
    notices.show(`“${said(closing)}” ${'say' in closing ? 'is in the draft' : 'is on the leave-out list'} now. Try it, and see here whether the difference shrank.`)
  })
</script>

<template>
  <section v-if="tries.length" aria-labelledby="closing-title" class="closing">
    <h2 id="closing-title">Closing in</h2>
    <ul class="tries" aria-label="Tries that borrow from it, oldest first">
      <li v-for="item in tries" :key="item.proofId">
        <button class="try" :aria-pressed="item.proofId === one?.proofId" :title="`${item.promptTitle}, version ${item.version}, ${item.engine}`" @click="chosen = item.proofId">
          <img :src="`/api/pictures/${item.sha256}/small`" :alt="`${item.promptTitle}, version ${item.version}`" loading="lazy" />
          <span>{{ item.closeness?.whole != null ? `${percent(item.closeness.whole)} %` : item.stage === 'failed' ? 'not read' : '…' }}</span>
          <span class="soft">version {{ item.version }}</span>
        </button>
      </li>
    </ul>
    <template v-if="one">
      <p class="soft"><RouterLink :to="`/proofs/${one.proofId}`">{{ one.promptTitle }}, version {{ one.version }}</RouterLink>, {{ one.engine }}. <RouterLink :to="`/desk/${one.promptId}`">Open the draft</RouterLink></p>
      <p v-if="!one.closeness" class="soft" role="status">{{ one.stage === 'failed' ? 'It could not be read.' : 'Its picture is being read …' }}</p>
      <table v-else>
        <thead class="visually-hidden"><tr><th>In what</th><th>How close</th><th>What differs and what would close it</th></tr></thead>
        <tbody>
          <tr v-for="row in one.closeness.by" :key="row.respect">
            <th scope="row">{{ NAMES[row.respect] }}</th>
            <td class="bar"><span class="track"><span :style="{ width: `${percent(row.close)}%` }"></span></span> {{ percent(row.close) }} %</td>
            <td>
              {{ row.says }}<span v-if="moved(row.respect, row.close)" class="soft">; {{ moved(row.respect, row.close) }}</span>
              <div v-if="row.close < 0.85 && row.closing.length" class="row-actions">
                <button v-for="closing in row.closing" :key="said(closing)" class="plain strong" :disabled="isSaid(closing)" @click="add(closing)">{{ isSaid(closing) ? `“${said(closing)}” is in the draft` : 'say' in closing ? `Say “${closing.say}”` : `Leave out “${closing.leaveOut}”` }}</button>
              </div>
            </td>
          </tr>
        </tbody>
      </table>
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
  gap: 8px;
  overflow-x: auto;
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
  width: 84px;
  height: 60px;
  object-fit: cover;
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
