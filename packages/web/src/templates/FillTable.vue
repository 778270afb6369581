<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { makeDrafts, type Template } from '@idolon/contract'
import { readTemplate, slotsOf, type SlotValues, type TemplateSlot } from '@idolon/core'
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
import { TABLE_FILES, usePickFiles } from '../shared/pick-files.ts'
import { pressed } from '../keys/key-map.ts'

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
const grid = useTemplateRef<HTMLElement>('grid')
/** What every cell has, with options to choose from or without. */
const cell = (values: SlotValues, row: number, { name, fallback }: Pick<TemplateSlot, 'name' | 'fallback'>) => ({ 'data-cell': `${row} ${name}`, modelValue: values[name] ?? '', 'aria-label': `${name}, row ${row + 1}`, placeholder: fallback, variant: 'plain' as const, maxlength: 500 })
const isHere = (row: number, slot: string) => at.value.row === row && at.value.slot === slot
/** Rows are drawn as they come into sight, however many a sheet has. */
const MOST_HEIGHT = 300
const HEAD_HEIGHT = 34
const ROW_HEIGHT = 36
/** What a wide table is scrolled sideways by. */
const BAR_HEIGHT = 12
const height = computed(() => Math.min(MOST_HEIGHT, HEAD_HEIGHT + table.rows.value.length * ROW_HEIGHT + BAR_HEIGHT))
const headers = computed(() => [{ key: 'row', title: 'Row', sortable: false, width: 54 }, ...names.value.map((name) => ({ key: name, title: name, sortable: false, minWidth: '150px' })), { key: 'remove', title: 'Remove', sortable: false, width: 80 }])
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
const pickFile = usePickFiles({ accept: TABLE_FILES }, ([given]) => void (given && fromFile(given)))
async function fromFile(given: File): Promise<void> {
  const text = await task(() => readText(given))
  if (text !== undefined) table.take(text)
}
function takeSheet(): void {
  table.take(pasting.value ?? '')
  pasting.value = undefined
}
function onKey(event: KeyboardEvent, row: number, slot: string): void {
  const command = pressed('values', event)
  if (command === 'make') return void make()
  if (!command) return
  const step = command === 'next' ? 1 : -1
  event.preventDefault()
  if (step > 0 && row === table.rows.value.length - 1) table.add()
  setTimeout(() => grid.value?.querySelector<HTMLInputElement>(`[data-cell="${row + step} ${CSS.escape(slot)}"] input`)?.focus())
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
    <div ref="grid">
      <v-data-table-virtual :headers="headers" :items="table.rows.value" item-value="id" :height="height" fixed-header class="values">
        <template v-for="slot in slots" :key="slot.name" #[`header.${slot.name}`]>
          {{ slot.name }}
          <v-btn v-if="slot.options.length > 1" v-tooltip="`A row for each of its ${slot.options.length} options`" variant="text" size="small" @click="table.eachOption(slot.name, slot.options)">each of {{ slot.options.length.toLocaleString('en') }}</v-btn>
        </template>
        <template #item="{ item, index }">
          <tr :class="{ here: index === at.row }">
            <th scope="row" class="soft">{{ index + 1 }}</th>
            <td v-for="slot in slots" :key="slot.name">
              <v-combobox v-if="slot.options.length" v-bind="cell(item.values, index, slot)" :items="isHere(index, slot.name) ? offered : []" hide-no-data menu-icon="" @update:search="table.set(index, slot.name, $event ?? '')" @focus="at = { row: index, slot: slot.name }" @paste="paste($event, index, slot.name)" @keydown="onKey($event, index, slot.name)" />
              <v-text-field v-else v-bind="cell(item.values, index, slot)" @update:model-value="table.set(index, slot.name, $event ?? '')" @focus="at = { row: index, slot: slot.name }" @paste="paste($event, index, slot.name)" @keydown="onKey($event, index, slot.name)" />
            </td>
            <td><v-btn v-if="table.rows.value.length > 1" v-tooltip="'Remove the row'" variant="text" size="small" :icon="mdiClose" :aria-label="`Remove row ${index + 1}`" @click="table.remove(index)" /></td>
          </tr>
        </template>
      </v-data-table-virtual>
    </div>
    <p class="row-actions">
      <v-btn variant="text" @click="table.add()">Add a row</v-btn>
      <v-btn variant="text" :aria-expanded="pasting !== undefined" @click="pasting = pasting === undefined ? '' : undefined">Paste a sheet</v-btn>
      <v-btn variant="text" @click="pickFile()">From a CSV file</v-btn>
      <v-btn v-if="table.rows.value.length > 1" variant="text" @click="table.clear()">Empty the table</v-btn>
    </p>
    <form v-if="pasting !== undefined" class="pasted" @submit.prevent="takeSheet">
      <v-textarea v-model="pasting" label="A sheet of values" rows="5" :placeholder="`${names.join('\t')}\n…`" auto-grow class="exact" />
      <v-btn :disabled="!pasting.trim()" type="submit">Use these rows</v-btn>
    </form>
    <ul v-if="table.said.value.length" class="said" role="status"><li v-for="line in table.said.value.slice(0, 6)" :key="line">{{ line }}</li></ul>
    <div class="reads">
      <p class="soft">{{ table.rows.value.length > 1 ? `Row ${at.row + 1} reads` : 'It reads' }}</p>
      <FrameText v-if="shown?.text" :parts="filledParts(shown)" :here="at.slot" />
      <p v-else class="soft">nothing yet</p>
    </div>
    <p class="row-actions make">
      <v-btn color="primary" variant="flat" :disabled="making || !projects.current" @click="make()">Make {{ ready.length === 1 ? 'the draft' : counted(ready.length, 'draft') }}</v-btn>
      <v-btn v-tooltip="'Makes the draft of the first row and plans trials over the options of its slots'" :disabled="making" @click="make(true)">Plan trials over its options</v-btn>
      <span>in {{ projects.current?.name ?? 'a first project' }}</span>
      <v-text-field v-model="tags" label="Tagged" placeholder="with commas" maxlength="200" />
    </p>
  </section>
</template>

<style scoped>
.fill {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
.values {
  border: 1px solid var(--rule);
  background: var(--sheet);
}
.values th {
  padding-left: 12px;
  font-weight: 400;
  font-size: 12.5px;
}
.values td :deep(.v-field__input) {
  padding: 2px 10px;
  font-family: var(--serif);
  font-size: 15px;
}
.values td {
  padding: 0 !important;
  border-left: 1px solid var(--rule);
}
.values td :deep(.v-field) {
  border-radius: 0;
  background: none;
}
.values .here td:focus-within {
  box-shadow: inset 0 -2px var(--accent);
}
.pasted {
  display: flex;
  gap: 12px;
  align-items: end;
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
