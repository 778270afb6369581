<script setup lang="ts">
import { makeDrafts, type Template } from '@idolon/contract'
import { slotsOf, readTemplate } from '@idolon/core'
import type { Filled } from '@idolon/core/reader'
import { computed, onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { ReadingClient, startReadingWorker } from '../reading/reading-client.ts'
import { readText } from '../shared/read-text.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { filledParts } from './frame-parts.ts'
import FrameText from './FrameText.vue'
import { useValueRows } from './value-rows.ts'

/** Fills a template: a row of values a draft, with what the row that is being written reads. */
const props = defineProps<{ template: Template }>()
const emit = defineEmits<{ made: [] }>()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const reading = new ReadingClient(startReadingWorker)
onScopeDispose(() => reading.stop())

const names = computed(() => slotsOf(readTemplate(props.template.body.text).parts))
const slots = computed(() => names.value.map((name) => props.template.body.slots.find((slot) => slot.name === name) ?? { name, hint: '', options: [], fallback: '' }))
const table = useValueRows(names)
const at = ref({ row: 0, slot: '' })
const tags = ref('')
const making = ref(false)
const pasting = ref<string>()
const file = useTemplateRef<HTMLInputElement>('file')
const grid = useTemplateRef<HTMLElement>('grid')
/** What the row at hand gives, as far as it is worked out. */
const shown = shallowRef<Filled>()

let asked = 0
watch([() => table.rows.value, () => at.value.row, () => props.template], async () => {
  const mine = ++asked
  const { text, slots: own } = props.template.body
  const [filled] = await reading.ask('fill', { text, slots: own, rows: [table.rows.value[at.value.row]?.values ?? {}] })
  if (mine === asked) shown.value = filled
}, { immediate: true })
watch(() => props.template.id, table.clear)

/** Options that begin with or have what is typed; a list of ten thousand is never put on the page. */
const offered = computed(() => {
  const slot = slots.value.find(({ name }) => name === at.value.slot)
  const typed = (table.rows.value[at.value.row]?.values[at.value.slot] ?? '').toLowerCase()
  if (!slot) return []
  const fits = slot.options.filter((option) => option.toLowerCase().includes(typed))
  return (typed && fits.length === 1 && fits[0]!.toLowerCase() === typed ? slot.options : fits.length ? fits : slot.options).slice(0, 60)
})
function paste(event: ClipboardEvent, row: number, slot: string): void {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[\t\n]/.test(text.trim())) return
  event.preventDefault()
  table.take(text, { row, slot })
}
async function fromFile(input: HTMLInputElement): Promise<void> {
  const [given] = input.files ?? []
  input.value = ''
  const text = given && (await task(() => readText(given)))
  if (text !== undefined) table.take(text)
}
function takeSheet(): void {
  table.take(pasting.value ?? '')
  pasting.value = undefined
}
function onKey(event: KeyboardEvent, row: number, slot: string): void {
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) return void make()
  const step = event.key === 'Enter' ? 1 : event.altKey && event.key === 'ArrowDown' ? 1 : event.altKey && event.key === 'ArrowUp' ? -1 : 0
  if (!step) return
  event.preventDefault()
  if (step > 0 && row === table.rows.value.length - 1) table.add()
  setTimeout(() => grid.value?.querySelector<HTMLInputElement>(`[data-cell="${row + step} ${CSS.escape(slot)}"]`)?.focus())
}
const ready = computed(() => (table.filled.value.length ? table.filled.value : table.rows.value.slice(0, 1)))
/** Makes the drafts; to plan trials, the first alone. */
async function make(planned = false): Promise<void> {
  if (making.value) return
  making.value = true
  await task(async () => {
    const project = await projects.currentOrFirst()
    const made: { promptId: string }[] = []
    const rows = ready.value.slice(0, planned ? 1 : undefined).map(({ id, values }) => ({ id, values }))
    for (let i = 0; i < rows.length; i += 500) {
      made.push(...(await call(makeDrafts, { params: { template: props.template.id }, body: { projectId: project.id, version: props.template.version, rows: rows.slice(i, i + 500), tags: tags.value.split(',').map((tag) => tag.trim()).filter(Boolean) } })))
    }
    table.clear()
    emit('made')
    const [only, second] = made
    if (only && planned) await router.push(`/desk/${only.promptId}/plan?vary=slots`)
    else if (only && !second) await router.push(`/desk/${only.promptId}`)
    else notices.show(`${counted(made.length, 'draft')} made in ${project.name}.`, { action: { label: 'See them', run: () => void router.push(`/shelf?template=${props.template.id}`) } })
  })
  making.value = false
}
</script>

<template>
  <section class="fill" aria-labelledby="fill-title">
    <h3 id="fill-title">Fill it</h3>
    <div class="scroll" tabindex="-1">
      <table ref="grid">
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">Row</span></th>
            <th v-for="slot in slots" :key="slot.name" scope="col">
              {{ slot.name }}
              <button v-if="slot.options.length > 1" class="plain each" :title="`A row for each of its ${slot.options.length} options`" @click="table.eachOption(slot.name, slot.options)">each of {{ slot.options.length.toLocaleString('en') }}</button>
            </th>
            <th scope="col"><span class="visually-hidden">Take the row away</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, r) in table.rows.value" :key="row.id" :class="{ here: r === at.row }">
            <th scope="row" class="soft">{{ r + 1 }}</th>
            <td v-for="slot in slots" :key="slot.name">
              <input
                :data-cell="`${r} ${slot.name}`"
                :value="row.values[slot.name] ?? ''"
                :aria-label="`${slot.name}, row ${r + 1}`"
                :placeholder="slot.fallback"
                :title="[row.values[slot.name] || slot.fallback, slot.hint].filter(Boolean).join(' · ')"
                :list="at.row === r && at.slot === slot.name ? 'offered-values' : undefined"
                maxlength="500"
                @focus="at = { row: r, slot: slot.name }"
                @input="table.set(r, slot.name, ($event.target as HTMLInputElement).value)"
                @paste="paste($event, r, slot.name)"
                @keydown="onKey($event, r, slot.name)"
              />
            </td>
            <td><button v-if="table.rows.value.length > 1" class="plain" :aria-label="`Take row ${r + 1} away`" @click="table.remove(r)">Take away</button></td>
          </tr>
        </tbody>
      </table>
      <datalist id="offered-values"><option v-for="option in offered" :key="option" :value="option" /></datalist>
    </div>
    <p class="row-actions">
      <button class="plain" @click="table.add()">Add a row</button>
      <button class="plain" :aria-expanded="pasting !== undefined" @click="pasting = pasting === undefined ? '' : undefined">Paste a sheet</button>
      <button class="plain" @click="file?.click()">From a CSV file</button>
      <button v-if="table.rows.value.length > 1" class="plain" @click="table.clear()">Empty the table</button>
      <input ref="file" type="file" accept=".csv,.tsv,.txt,text/csv,text/plain" class="visually-hidden" tabindex="-1" aria-hidden="true" @change="fromFile($event.target as HTMLInputElement)" />
    </p>
    <form v-if="pasting !== undefined" class="pasted" @submit.prevent="takeSheet">
      <textarea v-model="pasting" class="field exact" rows="5" aria-label="A sheet of values" :placeholder="`${names.join('\t')}\n…`" />
      <button class="quiet" :disabled="!pasting.trim()">Take it over</button>
    </form>
    <ul v-if="table.said.value.length" class="said" role="status"><li v-for="line in table.said.value.slice(0, 6)" :key="line">{{ line }}</li></ul>
    <div class="reads">
      <p class="soft">{{ table.rows.value.length > 1 ? `Row ${at.row + 1} reads` : 'It reads' }}</p>
      <FrameText v-if="shown?.text" :parts="filledParts(shown)" :here="at.slot" />
      <p v-else class="soft">nothing yet</p>
    </div>
    <p class="row-actions make">
      <button class="do" :disabled="making || !projects.current" @click="make()">Make {{ ready.length === 1 ? 'the draft' : counted(ready.length, 'draft') }}</button>
      <button class="quiet" :disabled="making" title="Makes the draft of the first row and plans trials over the options of its slots" @click="make(true)">Plan trials over its options</button>
      <span>in {{ projects.current?.name ?? 'a first project' }}</span>
      <label>tagged <input v-model="tags" class="field" placeholder="with commas" maxlength="200" /></label>
    </p>
  </section>
</template>

<style scoped>
.fill {
  display: grid;
  gap: 8px;
}
.scroll {
  overflow-x: auto;
  max-height: 300px;
  border: 1px solid var(--rule);
  background: var(--sheet);
}
table {
  border-collapse: collapse;
  width: 100%;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--paper);
  font-size: 12.5px;
  text-align: left;
  white-space: nowrap;
}
th,
td {
  padding: 3px 6px;
  border-bottom: 1px solid var(--rule);
}
tbody th {
  width: 30px;
  font-weight: 400;
  font-size: 12.5px;
  text-align: right;
}
.each {
  margin-left: 6px;
  font-weight: 400;
  color: var(--soft);
}
td input {
  width: 100%;
  min-width: 132px;
  padding: 3px 4px;
  border: 1px solid transparent;
  background: none;
  font-family: var(--serif);
  font-size: 15px;
}
td input::placeholder {
  font-style: italic;
}
td input:hover {
  border-color: var(--rule-strong);
}
.here td input {
  border-color: var(--rule);
}
td .plain {
  white-space: nowrap;
  font-size: 12.5px;
}
.pasted {
  display: flex;
  gap: 12px;
  align-items: end;
}
.pasted textarea {
  flex: 1;
}
.said {
  padding-left: 11px;
  border-left: 2px solid var(--accent);
}
.reads {
  padding: 8px 14px 10px;
  border-left: 2px solid var(--rule-strong);
}
.reads .soft {
  font-size: 12.5px;
}
</style>
