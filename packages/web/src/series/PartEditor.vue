<script setup lang="ts">
import { type Aspect, ASPECTS, freeKey, MAX_SEED, type PartBody, partProblems } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import LookFromReference from './LookFromReference.vue'
import PartReferences from './PartReferences.vue'
import { needed } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'
import NumberField from '../shared/NumberField.vue'

/** What a character, place or style says: always, by variant, and never. */
const props = defineProps<{ body: PartBody; projectId: string; version: number; busy: boolean }>()
const emit = defineEmits<{ change: [body: PartBody]; save: [body: PartBody]; leave: [] }>()
const body = ref<PartBody>(structuredClone(props.body))
watch(() => props.body, (next) => (body.value = structuredClone(next)))
const clean = computed<PartBody>(() => ({
  ...body.value,
  name: body.value.name.trim(),
  also: body.value.also.map((one) => one.trim()).filter(Boolean),
  says: body.value.says.filter(({ text }) => text.trim()),
  variants: body.value.variants.filter(({ text, name }) => text.trim() && name.trim()),
  never: body.value.never.map((one) => one.trim()).filter(Boolean),
}))
const changed = computed(() => JSON.stringify(clean.value) !== JSON.stringify(props.body))
const problems = computed(() => partProblems(clean.value))
watch(clean, (next) => {
  if (problems.value.length === 0 && next.name) emit('change', next)
}, { deep: true })

const lines = (key: 'also' | 'never') => computed({ get: () => body.value[key].join('\n'), set: (text: string) => (body.value[key] = [...new Set(text.split('\n').map((line) => line.slice(0, 120)))].slice(0, key === 'also' ? 20 : 60)) })
const also = lines('also')
const never = lines('never')
const { check, whenSound } = useFormCheck()
const save = whenSound(() => problems.value.length || !changed.value || emit('save', clean.value))
const KIND = computed(() => body.value.kind)
const FIRST = { character: 'What it is: an old beekeeper', place: 'What it is: a mossy stone bridge', style: 'What kind of picture: gouache illustration' } as const
/** What an aspect is called where one more of it is added. */
const ADDS: Readonly<Record<Aspect, string>> = { dress: 'an outfit', age: 'an age', state: 'a state', season: 'a season', light: 'a time of day' }
const NEXT = { character: 'build, hair, face, bearing', place: 'what is in it, what is around it', style: 'palette, light, technique' } as const
const put = (next: PartBody) => (body.value = structuredClone(next))
/** Takes a picture along; of a role that only one picture has it takes the place of the one before. */
defineExpose({ takeAlong: (use: PartBody['references'][number]) => (body.value.references = [...body.value.references.filter(({ role, reference }) => role !== use.role && reference !== use.reference), use].slice(-6)) })
function leave(): void {
  body.value = structuredClone(props.body)
  emit('leave')
}
const addPhrase = () => body.value.says.push({ key: freeKey(body.value), text: '' })
const addVariant = (aspect: Aspect) => body.value.variants.push({ key: freeKey(body.value), aspect, name: '', text: '' })
function moveUp(place: number): void {
  const [one] = body.value.says.splice(place, 1)
  if (one) body.value.says.splice(place - 1, 0, one)
}
</script>

<template>
  <v-form ref="check" class="part-editor" @submit.prevent="save">
    <v-text-field v-model="body.name" label="Name, as the scenes’ words call it" maxlength="120" :rules="[needed]" />
    <fieldset class="grouped">
      <legend>Always said</legend>
      <ol>
        <li v-for="(phrase, i) in body.says" :key="phrase.key"><v-text-field v-model="phrase.text" :label="i === 0 ? 'What it is' : `Phrase ${i + 1}`" maxlength="500" :placeholder="i === 0 ? FIRST[KIND] : NEXT[KIND]" class="serif" /><v-btn variant="text" :disabled="i === 0" :aria-label="`Phrase ${i + 1} earlier`" @click="moveUp(i)">Up</v-btn><v-btn variant="text" :aria-label="`Remove phrase ${i + 1}`" @click="body.says.splice(i, 1)">Remove</v-btn></li>
      </ol>
      <v-btn variant="text" @click="addPhrase">Add a phrase</v-btn>
    </fieldset>
    <fieldset class="grouped">
      <legend>May change</legend>
      <ul>
        <li v-for="(variant, i) in body.variants" :key="variant.key" class="variant"><v-select v-model="variant.aspect" :label="`What variant ${i + 1} changes`" :items="ASPECTS[KIND]" /><v-text-field v-model="variant.name" :label="`Name of variant ${i + 1}`" maxlength="120" placeholder="its name" /><v-text-field v-model="variant.text" :label="`What variant ${i + 1} says`" maxlength="500" placeholder="what is said" class="serif" /><v-btn variant="text" :aria-label="`Remove variant ${i + 1}`" @click="body.variants.splice(i, 1)">Remove</v-btn></li>
      </ul>
      <p class="row-actions"><v-btn v-for="aspect in ASPECTS[KIND]" :key="aspect" variant="text" @click="addVariant(aspect)">Add {{ ADDS[aspect] }}</v-btn></p>
    </fieldset>
    <LookFromReference :project-id="projectId" :body="body" @put="put" />
    <PartReferences :project-id="projectId" :kind="KIND" :references="body.references" @change="body.references = $event" />
    <v-textarea v-model="never" label="Never said, one a line; it goes on the leave-out list" rows="2" auto-grow />
    <div v-if="KIND !== 'style'" class="two">
      <v-text-field v-model="body.again" label="Spoken of again as" maxlength="200" :placeholder="KIND === 'character' ? 'the beekeeper' : 'the bridge'" />
      <NumberField label="Seed, if it has one" :min="0" :max="MAX_SEED" integer :value="body.seed ?? undefined" @set="body.seed = $event ?? null" />
    </div>
    <v-textarea v-if="KIND !== 'style'" v-model="also" label="What else the story calls it, one a line" rows="2" auto-grow />
    <div v-else class="two">
      <v-text-field label="Aspect ratio" maxlength="20" placeholder="3:2" :model-value="body.settings['aspectRatio'] ?? ''" @change="($event.target as HTMLInputElement).value.trim() ? (body.settings['aspectRatio'] = ($event.target as HTMLInputElement).value.trim()) : delete body.settings['aspectRatio']" />
      <slot name="engine" :body="body" />
    </div>
    <v-textarea v-model="body.note" label="Notes" rows="2" maxlength="4000" auto-grow />
    <p v-for="problem in problems" :key="problem" class="problem" role="alert">{{ problem }}</p>
    <p class="row-actions"><v-btn color="primary" variant="flat" :disabled="busy || !changed || problems.length > 0" type="submit">Save as version {{ version + 1 }}</v-btn><v-btn v-if="changed" @click="leave">Cancel</v-btn></p>
  </v-form>
</template>

<style scoped>
.part-editor {
  display: grid;
  gap: 12px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px;
  align-items: center;
  padding: 6px 0;
}
.variant {
  grid-template-columns: 90px minmax(80px, 0.6fr) minmax(0, 1fr) auto;
}
.serif {
  font-family: var(--serif);
  font-size: 15.5px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.problem {
  padding-left: 10px;
  border-left: 2px solid var(--accent);
}
</style>
