<script setup lang="ts">
import { FACETS, type Facet, slotsFor, type TemplateBody, templateProblems, type TemplateSlot } from '@idolon/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useProjects } from '../stores/projects.ts'
import SlotOptions from './SlotOptions.vue'

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
const unsound = computed(() => problems.value.length > 0 || !body.value.name.trim())
const save = () => unsound.value || emit('save', { ...body.value, name: body.value.name.trim(), slots: slots.value }, project.value || null, why.value.trim())
</script>

<template>
  <form class="editor" @submit.prevent="save">
    <div class="pair">
      <label class="labelled"><span>Name</span><input v-model="body.name" class="field" maxlength="120" required /></label>
      <label class="labelled"><span>What it is for, in a sentence</span><input v-model="body.does" class="field" maxlength="500" /></label>
      <label class="labelled"><span>For</span><select v-model="project" class="field"><option value="">all projects</option><option v-for="one in projects.open" :key="one.id" :value="one.id">{{ one.name }}</option></select></label>
    </div>
    <label class="labelled"><span>Text, with a slot as {{ '{' + '{ name }' + '}' }}</span><textarea ref="area" v-model="body.text" class="field text" rows="3" maxlength="20000" spellcheck="true" /></label>
    <p class="row-actions"><button type="button" class="plain" @click="makeSlot">Make what is marked a slot</button></p>
    <ul v-if="problems.length && body.text.trim()" class="problems" role="alert"><li v-for="one in problems.slice(0, 4)" :key="one">{{ one }}</li></ul>
    <table v-if="slots.length">
      <thead><tr><th scope="col">Slot</th><th scope="col">Facet</th><th scope="col">Says by itself</th><th scope="col">Hint</th><th scope="col">Options</th></tr></thead>
      <tbody>
        <template v-for="slot in slots" :key="slot.name">
          <tr>
            <th scope="row">{{ slot.name }}</th>
            <td><select class="field" :value="slot.facet ?? ''" :aria-label="`Facet of ${slot.name}`" @change="describe(slot.name, { facet: (($event.target as HTMLSelectElement).value || undefined) as Facet })"><option value="">as read</option><option v-for="facet in FACETS" :key="facet">{{ facet }}</option></select></td>
            <td><input class="field" :value="slot.fallback" :aria-label="`What ${slot.name} says by itself`" placeholder="nothing" maxlength="500" @change="describe(slot.name, { fallback: ($event.target as HTMLInputElement).value.trim() })" /></td>
            <td><input class="field" :value="slot.hint" :aria-label="`Hint for ${slot.name}`" maxlength="300" @change="describe(slot.name, { hint: ($event.target as HTMLInputElement).value.trim() })" /></td>
            <td><button type="button" class="plain" :aria-expanded="opened === slot.name" @click="opened = opened === slot.name ? '' : slot.name">{{ slot.options.length ? `${slot.options.slice(0, 2).join(', ').slice(0, 40)}${slot.options.length > 2 ? `, ${(slot.options.length - 2).toLocaleString('en')} more` : ''}` : 'none' }}</button></td>
          </tr>
          <tr v-if="opened === slot.name"><td colspan="5"><SlotOptions :of="slot" @change="describe(slot.name, { options: $event })" /></td></tr>
        </template>
      </tbody>
    </table>
    <label class="labelled"><span>Always left out, with commas</span><input v-model="leaveOut" class="field" /></label>
    <div class="keep">
      <label v-if="!isNew" class="labelled"><span>Why this version</span><input v-model="why" class="field" maxlength="2000" placeholder="what it is to do better" /></label>
      <button class="do" :disabled="unsound">{{ isNew ? 'Keep the template' : 'Save as a new version' }}</button>
      <button type="button" class="quiet" @click="emit('cancel')">Leave it</button>
    </div>
    <p v-if="problem" class="problems" role="alert">{{ problem }}</p>
  </form>
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
table {
  border-collapse: collapse;
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
td input {
  width: 100%;
}
.keep {
  display: flex;
  gap: 14px;
  align-items: end;
}
.keep .labelled {
  flex: 1;
}
.problems {
  padding-left: 11px;
  border-left: 2px solid var(--accent);
}
</style>
