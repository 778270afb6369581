<script setup lang="ts">
import { FACETS, type Facet, slotsFor, type TemplateBody, templateProblems, type TemplateSlot } from '@idolon/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useProjects } from '../stores/projects.ts'
import SlotOptions from './SlotOptions.vue'
import { needed } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'

/** Writes a template: its text with slots, and what is known of each slot. */
const props = defineProps<{ body: TemplateBody; projectId: string | null; isNew: boolean; problem?: string | undefined }>()
const emit = defineEmits<{ save: [body: TemplateBody, projectId: string | null, why: string]; cancel: [] }>()
const projects = useProjects()
const body = ref<TemplateBody>(structuredClone(props.body))
const project = ref(props.projectId ?? '')
const why = ref('')
const opened = ref('')
const area = useTemplateRef<HTMLTextAreaElement>('area')
/** Slots that the text has; what was said of one that was taken out is kept until the template is saved. */
const known = ref<TemplateSlot[]>([...body.value.slots])
const slots = computed(() => slotsFor(body.value.text, known.value))
const problems = computed(() => templateProblems({ text: body.value.text, slots: slots.value }))
const leaveOut = computed({ get: () => body.value.leaveOut.join(', '), set: (text: string) => (body.value.leaveOut = [...new Set(text.split(',').map((one) => one.trim()).filter(Boolean))]) })

function describe(name: string, change: Partial<TemplateSlot>): void {
  const slot = { ...slots.value.find((one) => one.name === name)!, ...change }
  if (slot.facet === undefined) delete slot.facet
  known.value = [...known.value.filter((one) => one.name !== name), slot]
}
/** What is marked in the text becomes a slot, with what stood there as its first option. */
function makeSlot(): void {
  const field = area.value
  if (!field) return
  const said = field.value.slice(field.selectionStart, field.selectionEnd)
  let n = 1
  while (slots.value.some(({ name }) => name === (n === 1 ? 'slot' : `slot ${n}`))) n++
  const name = n === 1 ? 'slot' : `slot ${n}`
  field.setRangeText(`{{ ${name} }}`, field.selectionStart, field.selectionEnd, 'end')
  body.value.text = field.value
  if (said.trim()) describe(name, { options: [said.trim()], fallback: said.trim() })
  // The new name is marked, to be written over.
  const at = field.value.lastIndexOf(`{{ ${name} }}`)
  field.focus()
  field.setSelectionRange(at + 3, at + 3 + name.length)
}
const { check, whenSound } = useFormCheck()
const save = whenSound(() => emit('save', { ...body.value, name: body.value.name.trim(), slots: slots.value }, project.value || null, why.value.trim()))
</script>

<template>
  <v-form ref="check" class="editor" @submit.prevent="save">
    <div class="pair">
      <v-text-field v-model="body.name" label="Name" maxlength="120" :rules="[needed]" />
      <v-text-field v-model="body.does" label="What it is for, in a sentence" maxlength="500" />
      <v-select v-model="project" label="For" :items="[{ title: 'all projects', value: '' }, ...projects.open.map((one) => ({ title: one.name, value: one.id }))]" />
    </div>
    <v-textarea ref="area" v-model="body.text" :label="`Text, with a slot as ${'{' + '{ name }' + '}'}`" rows="3" maxlength="20000" spellcheck="true" auto-grow class="text" :rules="[needed]" :error-messages="body.text.trim() ? problems : []" :max-errors="4" />
    <p class="row-actions"><v-btn variant="text" @click="makeSlot">Make what is marked a slot</v-btn></p>
    <v-table v-if="slots.length">
      <thead><tr><th scope="col">Slot</th><th scope="col">Facet</th><th scope="col">Says by itself</th><th scope="col">Hint</th><th scope="col">Options</th></tr></thead>
      <tbody>
        <template v-for="slot in slots" :key="slot.name">
          <tr>
            <th scope="row">{{ slot.name }}</th>
            <td><v-select :aria-label="`Facet of ${slot.name}`" :model-value="slot.facet ?? ''" :items="[{ title: 'as read', value: '' }, ...FACETS]" @update:model-value="describe(slot.name, { facet: ($event || undefined) as Facet })" /></td>
            <td><v-text-field :aria-label="`What ${slot.name} says by itself`" :model-value="slot.fallback" placeholder="nothing" maxlength="500" @change="describe(slot.name, { fallback: ($event.target as HTMLInputElement).value.trim() })" /></td>
            <td><v-text-field :aria-label="`Hint for ${slot.name}`" :model-value="slot.hint" maxlength="300" @change="describe(slot.name, { hint: ($event.target as HTMLInputElement).value.trim() })" /></td>
            <td><v-btn variant="text" :aria-expanded="opened === slot.name" @click="opened = opened === slot.name ? '' : slot.name">{{ slot.options.length ? `${slot.options.slice(0, 2).join(', ').slice(0, 40)}${slot.options.length > 2 ? `, ${(slot.options.length - 2).toLocaleString('en')} more` : ''}` : 'none' }}</v-btn></td>
          </tr>
          <tr v-if="opened === slot.name"><td colspan="5"><SlotOptions :of="slot" @change="describe(slot.name, { options: $event })" /></td></tr>
        </template>
      </tbody>
    </v-table>
    <v-text-field v-model="leaveOut" label="Always left out, with commas" />
    <div class="keep">
      <v-text-field v-if="!isNew" v-model="why" label="Why this version" maxlength="2000" placeholder="what it is to do better" />
      <v-btn color="primary" variant="flat" type="submit">{{ isNew ? 'Save the template' : 'Save as a new version' }}</v-btn>
      <v-btn @click="emit('cancel')">Cancel</v-btn>
    </div>
    <p v-if="problem" class="problems" role="alert">{{ problem }}</p>
  </v-form>
</template>

<style scoped>
.editor {
  display: grid;
  gap: 10px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1.6fr 170px;
  gap: 12px;
}
.text {
  width: 100%;
  font-family: var(--serif);
  font-size: 17px;
  line-height: 1.5;
}
th,
td {
  padding: 3px 10px 3px 0;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}
thead th {
  font-size: 12px;
  font-weight: 400;
  color: var(--soft);
}
.keep {
  display: flex;
  gap: 14px;
  align-items: end;
}
.problems {
  padding-left: 11px;
  border-left: 2px solid var(--accent);
}
</style>
