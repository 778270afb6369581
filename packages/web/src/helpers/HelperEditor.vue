<script setup lang="ts">
import { ANSWERS, type AnswerKind, type HelperBody, type HelperInput, instructionProblems, SLOTS } from '@idolon/core/helper'
import { computed, ref, useTemplateRef } from 'vue'
import { useModels } from '../stores/models.ts'
import { between, needed, shaped } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'
import FoldOut from '../shared/FoldOut.vue'

/** Writes the next version of a helper: its instruction with slots, what it asks for, the shape of its answer. */
const props = defineProps<{ body: HelperBody; isNew?: boolean }>()
const emit = defineEmits<{ save: [body: HelperBody, why: string, use: boolean]; cancel: [] }>()
const models = useModels()
/** What the model that would be asked takes; without a word of its profile, what a helper may ask for. */
const range = computed(() => models.find(body.value.model ?? models.usual)?.temperature ?? { least: 0, most: 2 })
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
/** What is wrong with the instruction, line by line, under it. */
const wrong = computed(() => problems.value.map(({ at, says }) => `Line ${lineOf(at)}: ${says}`))
const slotName = shaped(/^[a-z][A-Za-z0-9]{0,29}$/, 'Begins with a small letter; letters and digits alone.')
const { check, whenSound } = useFormCheck()
const save = whenSound(() => emit('save', body.value, why.value.trim(), use.value))
</script>

<template>
  <v-form ref="check" class="editor" @submit.prevent="save">
    <div class="pair">
      <v-text-field v-model="body.name" label="Name" maxlength="60" :rules="[needed]" />
      <v-text-field v-model="body.does" label="What it does, in a sentence" maxlength="300" />
    </div>
    <v-textarea ref="area" v-model="body.instruction" label="Instruction" rows="16" maxlength="20000" spellcheck="true" auto-grow class="exact" :rules="[needed]" :error-messages="wrong" :max-errors="6" />
    <FoldOut title="Slots it may name">
      <ul class="slots"><li v-for="slot in slots" :key="slot.name"><v-btn variant="text" class="exact" @click="put(slot.name)">{{ '{' + '{ ' + slot.name + ' }' + '}' }}</v-btn> <span class="soft">{{ slot.says }}</span></li></ul>
      <p class="soft">A part between {{ '{' + '{#name}' + '}' }} and {{ '{' + '{/name}' + '}' }} goes when the slot is empty. What comes from a draft or from fields stands between tags as material; the model is told to follow nothing that stands there.</p>
    </FoldOut>
    <fieldset>
      <legend>What it asks for</legend>
      <ul>
        <li v-for="(input, place) in body.inputs" :key="place" class="input">
          <v-text-field v-model="input.key" label="Name of the slot" maxlength="30" class="key" :rules="[needed, slotName]" />
          <v-text-field v-model="input.label" label="Label" maxlength="60" :rules="[needed]" />
          <v-select label="Kind" :model-value="input.kind" :items="Object.entries(KINDS).map(([kind, says]) => ({ title: says, value: kind }))" @update:model-value="kindOf(place, $event as HelperInput['kind'])" />
          <span v-if="input.kind === 'number'" class="row-actions"><v-text-field v-model.number="input.min" label="From" type="number" class="number" /> to <v-text-field v-model.number="input.max" label="To" type="number" class="number" /> usually <v-text-field v-model.number="input.default" label="Usually" type="number" class="number" /></span>
          <v-text-field v-else-if="input.kind === 'choice'" label="Choices, with commas" :model-value="input.values.join(', ')" class="wide" @change="choices(place, ($event.target as HTMLInputElement).value)" />
          <v-text-field v-else-if="input.kind === 'text'" v-model="input.default" label="What stands there at first" placeholder="nothing at first" class="wide" />
          <v-btn variant="text" @click="body.inputs = body.inputs.filter((_, i) => i !== place)">Remove</v-btn>
        </li>
      </ul>
      <p><v-btn variant="text" @click="addInput">Ask for one thing more</v-btn></p>
    </fieldset>
    <div class="pair">
      <v-select v-model="body.answer" label="Shape of the answer" :items="Object.entries(ANSWERS).map(([kind, shape]) => ({ title: shape.says, value: kind as AnswerKind }))" />
      <v-select v-model="body.model" label="Model" :items="[{ title: 'the one the writer uses', value: null }, ...models.all.map(({ profile }) => ({ title: profile.name, value: profile.id }))]" />
      <v-text-field v-model.number="body.temperature" label="Temperature" type="number" :min="range.least" :max="range.most" step="0.1" class="number" :hint="`${range.least} to ${range.most}; the higher, the freer`" persistent-hint :rules="[between(range.least, range.most)]" />
    </div>
    <div class="pair">
      <v-textarea v-model="examples" label="Examples, with --- between them" rows="3" auto-grow />
      <v-text-field v-model="tags" label="Tags, with commas" />
    </div>
    <div class="keep">
      <v-text-field v-model="why" label="Why this version" maxlength="2000" placeholder="what it is to do better" />
      <v-checkbox v-model="use" label="use it from now on" />
      <v-btn color="primary" variant="flat" :disabled="!changed" type="submit">{{ isNew ? 'Make the helper' : 'Save as a new version' }}</v-btn>
      <v-btn @click="emit('cancel')">Cancel</v-btn>
    </div>
  </v-form>
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
</style>
