<script setup lang="ts">
import { ANSWERS, type AnswerKind, type HelperBody, type HelperInput, instructionProblems, SLOTS } from '@idolon/core/helper'
import { computed, ref, useTemplateRef } from 'vue'
import { useModels } from '../stores/models.ts'

/** Writes the next version of a helper: its instruction with slots, what it asks for, the shape of its answer. */
const props = defineProps<{ body: HelperBody; isNew?: boolean }>()
const emit = defineEmits<{ save: [body: HelperBody, why: string, use: boolean]; cancel: [] }>()
const models = useModels()
const body = ref<HelperBody>(structuredClone(props.body))
const why = ref('')
const use = ref(true)
const area = useTemplateRef<HTMLTextAreaElement>('area')
const problems = computed(() => instructionProblems(body.value))
const lineOf = (at: number) => body.value.instruction.slice(0, at).split('\n').length
const slots = computed(() => [...body.value.inputs.map(({ key, label }) => ({ name: key, says: `“${label}”, as it was given` })), ...Object.entries(SLOTS).map(([name, says]) => ({ name, says }))])
const changed = computed(() => props.isNew || JSON.stringify(body.value) !== JSON.stringify(props.body))
const examples = computed({ get: () => body.value.examples.join('\n---\n'), set: (text: string) => (body.value.examples = text.split(/\n---\n/).map((one) => one.trim()).filter(Boolean)) })
const tags = computed({ get: () => body.value.tags.join(', '), set: (text: string) => (body.value.tags = [...new Set(text.split(',').map((one) => one.trim()).filter(Boolean))]) })
const KINDS: Record<HelperInput['kind'], string> = { text: 'words', number: 'a number', choice: 'a choice', phrase: 'a phrase of the draft', engine: 'an engine', picture: 'a reference' }

function put(name: string): void {
  const field = area.value
  if (!field) return
  field.setRangeText(`{{ ${name} }}`, field.selectionStart, field.selectionEnd, 'end')
  body.value.instruction = field.value
  field.focus()
}
function addInput(): void {
  const taken = new Set(body.value.inputs.map(({ key }) => key))
  let n = 1
  while (taken.has(`input${n}`)) n++
  body.value.inputs = [...body.value.inputs, { key: `input${n}`, label: 'What it asks for', kind: 'text' }]
}
function kindOf(place: number, kind: HelperInput['kind']): void {
  const { key, label } = body.value.inputs[place]!
  const fresh: Record<HelperInput['kind'], HelperInput> = { text: { key, label, kind: 'text' }, number: { key, label, kind: 'number', min: 1, max: 100, default: 10 }, choice: { key, label, kind: 'choice', values: ['one', 'another'], default: 'one' }, phrase: { key, label, kind: 'phrase' }, engine: { key, label, kind: 'engine' }, picture: { key, label, kind: 'picture' } }
  body.value.inputs = body.value.inputs.with(place, fresh[kind])
}
function choices(place: number, text: string): void {
  const input = body.value.inputs[place]!
  const values = text.split(',').map((one) => one.trim()).filter(Boolean)
  if (input.kind === 'choice' && values.length) body.value.inputs = body.value.inputs.with(place, { ...input, values, default: values.includes(input.default) ? input.default : values[0]! })
}
const unsound = computed(() => problems.value.length > 0 || body.value.name.trim() === '' || body.value.instruction.trim() === '' || body.value.inputs.some(({ key, label }) => !/^[a-z][A-Za-z0-9]{0,29}$/.test(key) || label.trim() === ''))
</script>

<template>
  <form class="editor" @submit.prevent="unsound || emit('save', body, why.trim(), use)">
    <div class="pair">
      <label class="labelled"><span>Name</span><input v-model="body.name" class="field" maxlength="60" required /></label>
      <label class="labelled"><span>What it does, in a sentence</span><input v-model="body.does" class="field" maxlength="300" /></label>
    </div>
    <label class="labelled"><span>Instruction</span><textarea ref="area" v-model="body.instruction" class="field exact" rows="16" maxlength="20000" spellcheck="true" /></label>
    <ul v-if="problems.length" class="problems" role="alert"><li v-for="one in problems" :key="`${one.at} ${one.says}`">Line {{ lineOf(one.at) }}: {{ one.says }}</li></ul>
    <details>
      <summary>Slots it may name</summary>
      <ul class="slots"><li v-for="slot in slots" :key="slot.name"><button type="button" class="plain exact" @click="put(slot.name)">{{ '{' + '{ ' + slot.name + ' }' + '}' }}</button> <span class="soft">{{ slot.says }}</span></li></ul>
      <p class="soft">A part between {{ '{' + '{#name}' + '}' }} and {{ '{' + '{/name}' + '}' }} goes when the slot is empty. What comes from a draft or from fields stands between tags as material; the model is told to follow nothing that stands there.</p>
    </details>
    <fieldset>
      <legend>What it asks for</legend>
      <ul>
        <li v-for="(input, place) in body.inputs" :key="place" class="input">
          <input v-model="input.key" class="field key" aria-label="Name of the slot" maxlength="30" />
          <input v-model="input.label" class="field" aria-label="Label" maxlength="60" />
          <select class="field" aria-label="Kind" :value="input.kind" @change="kindOf(place, ($event.target as HTMLSelectElement).value as HelperInput['kind'])"><option v-for="(says, kind) in KINDS" :key="kind" :value="kind">{{ says }}</option></select>
          <span v-if="input.kind === 'number'" class="row-actions"><input v-model.number="input.min" class="field number" type="number" aria-label="From" /> to <input v-model.number="input.max" class="field number" type="number" aria-label="To" /> usually <input v-model.number="input.default" class="field number" type="number" aria-label="Usually" /></span>
          <input v-else-if="input.kind === 'choice'" class="field wide" aria-label="Choices, with commas" :value="input.values.join(', ')" @change="choices(place, ($event.target as HTMLInputElement).value)" />
          <input v-else-if="input.kind === 'text'" v-model="input.default" class="field wide" aria-label="What stands there at first" placeholder="nothing at first" />
          <button type="button" class="plain" @click="body.inputs = body.inputs.filter((_, i) => i !== place)">Take away</button>
        </li>
      </ul>
      <p><button type="button" class="plain" @click="addInput">Ask for one thing more</button></p>
    </fieldset>
    <div class="pair">
      <label class="labelled"><span>Shape of the answer</span><select v-model="body.answer" class="field"><option v-for="(shape, kind) in ANSWERS" :key="kind" :value="kind as AnswerKind">{{ shape.says }}</option></select></label>
      <label class="labelled"><span>Model</span><select v-model="body.model" class="field"><option :value="null">the one the writer uses</option><option v-for="{ profile } in models.all" :key="profile.id" :value="profile.id">{{ profile.name }}</option></select></label>
      <label class="labelled"><span>How freely, 0 to 2</span><input v-model.number="body.temperature" class="field number" type="number" min="0" max="2" step="0.1" /></label>
    </div>
    <div class="pair">
      <label class="labelled"><span>Examples, with --- between them</span><textarea v-model="examples" class="field" rows="3" /></label>
      <label class="labelled"><span>Tags, with commas</span><input v-model="tags" class="field" /></label>
    </div>
    <div class="keep">
      <label class="labelled"><span>Why this version</span><input v-model="why" class="field" maxlength="2000" placeholder="what it is to do better" /></label>
      <label><input v-model="use" type="checkbox" /> use it from now on</label>
      <button class="do" :disabled="unsound || !changed">{{ isNew ? 'Make the helper' : 'Save as a new version' }}</button>
      <button type="button" class="quiet" @click="emit('cancel')">Leave it</button>
    </div>
  </form>
</template>

<style scoped>
.editor,
fieldset,
fieldset ul,
.slots {
  display: grid;
  gap: 10px;
}
.slots {
  gap: 2px;
  margin: 6px 0;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 12px;
}
.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: end;
  padding-top: 10px;
  border-top: 1px solid var(--rule);
}
.keep .labelled {
  flex: 1 1 260px;
}
.keep label:not(.labelled) {
  align-self: center;
}
textarea.exact {
  width: 100%;
}
fieldset {
  margin: 0;
  padding: 8px 0 0;
  border: 0;
  border-top: 1px solid var(--rule);
}
legend {
  padding-right: 8px;
  font-weight: 600;
}
.input {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.key {
  width: 96px;
  font-family: var(--mono);
  font-size: 12.5px;
}
.number {
  width: 74px;
}
.wide {
  flex: 1 1 160px;
}
.problems {
  padding-left: 11px;
  border-left: 2px solid var(--accent);
}
summary {
  cursor: pointer;
  width: max-content;
}
</style>
