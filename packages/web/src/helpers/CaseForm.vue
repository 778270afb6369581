<script setup lang="ts">
import type { HelperBody, HelperCase } from '@idolon/core/helper'
import { computed, ref } from 'vue'
import { useEngines } from '../stores/engines.ts'
import { freshCriterion } from './criterion-words.ts'
import CriterionRow from './CriterionRow.vue'
import { needed } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'

/** A case: what the helper is given, and what a good answer must satisfy. */
const props = defineProps<{ body: HelperBody; start: HelperCase }>()
const emit = defineEmits<{ save: [one: HelperCase]; cancel: [] }>()
const engines = useEngines()
const one = ref<HelperCase>(structuredClone(props.start))
const lines = (field: 'locked' | 'leaveOut' | 'existing') => computed({ get: () => one.value[field].join('\n'), set: (text: string) => (one.value = { ...one.value, [field]: text.split('\n').map((line) => line.trim()).filter(Boolean) }) })
const locked = lines('locked')
const leaveOut = lines('leaveOut')
const existing = lines('existing')
const engine = computed({ get: () => one.value.engine?.engine ?? '', set: (id: string) => (one.value = { ...one.value, engine: id ? { engine: id } : null }) })
/** Locked words that the text does not have would be passed over in silence. */
const notThere = computed(() => one.value.locked.filter((words) => !one.value.text.includes(words)))
const said = () => notThere.value.length === 0 || `The text does not say “${notThere.value[0]}”.`
const problem = computed(() => (one.value.criteria.length === 0 ? 'Add what a good answer must satisfy.' : ''))
const { check, whenSound } = useFormCheck()
const save = whenSound(() => problem.value || emit('save', one.value))
const asksText = computed(() => props.body.inputs.filter(({ kind }) => kind !== 'engine' && kind !== 'picture'))
</script>

<template>
  <v-form ref="check" class="case-form" @submit.prevent="save">
    <v-text-field v-model="one.name" label="Name of the case" maxlength="120" :rules="[needed]" />
    <v-textarea v-model="one.text" label="The draft it is about" rows="3" maxlength="20000" auto-grow class="words" />
    <div class="columns">
      <v-textarea v-model="locked" label="Locked words, a line each" rows="2" auto-grow :rules="[said]" />
      <v-textarea v-model="leaveOut" label="Leave-out list, a line each" rows="2" auto-grow />
      <v-textarea v-model="existing" label="What the project has, a line each" rows="2" auto-grow />
    </div>
    <div class="columns">
      <v-select v-model="engine" label="Engine" :items="[{ title: 'none in particular', value: '' }, ...engines.newest.map((profile) => ({ title: profile.name, value: profile.id }))]" />
      <template v-for="input in asksText" :key="input.key">
        <v-text-field v-if="input.kind === 'number'" v-model.number="one.values[input.key]" :label="input.label" type="number" :min="input.min" :max="input.max" :placeholder="String(input.default)" />
        <v-select v-else-if="input.kind === 'choice'" :model-value="String(one.values[input.key] ?? '')" :label="input.label" :items="input.values" @update:model-value="one.values[input.key] = $event ?? ''" />
        <v-text-field v-else v-model="one.values[input.key]" :label="input.label" maxlength="4000" />
      </template>
    </div>
    <fieldset>
      <legend>A good answer</legend>
      <ul>
        <CriterionRow v-for="(criterion, place) in one.criteria" :key="place" :model-value="criterion" @update:model-value="one.criteria = one.criteria.with(place, $event)" @remove="one.criteria = one.criteria.filter((_, i) => i !== place)" />
      </ul>
      <p><v-btn variant="text" @click="one.criteria = [...one.criteria, freshCriterion('no-stops')]">Add a criterion</v-btn></p>
    </fieldset>
    <p class="row-actions"><v-btn color="primary" variant="flat" :disabled="problem !== ''" type="submit">Save the case</v-btn><v-btn @click="emit('cancel')">Cancel</v-btn><span class="soft">{{ problem }}</span></p>
  </v-form>
</template>

<style scoped>
.case-form,
fieldset ul {
  display: grid;
  gap: 10px;
}
.case-form {
  padding: 14px;
  border: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px;
}
.words {
  font-family: var(--serif);
  font-size: 15px;
}
fieldset {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 8px 0 0;
  border: 0;
  border-top: 1px solid var(--rule);
}
legend {
  padding-right: 8px;
  font-weight: 600;
}
</style>
