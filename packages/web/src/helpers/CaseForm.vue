<script setup lang="ts">
import type { HelperBody, HelperCase } from '@idolon/core/helper'
import { computed, ref } from 'vue'
import { useEngines } from '../stores/engines.ts'
import { freshCriterion } from './criterion-words.ts'
import CriterionRow from './CriterionRow.vue'

/** A case: what the helper is given, and what a good answer must satisfy. */
const props = defineProps<{ body: HelperBody; start: HelperCase }>()
const emit = defineEmits<{ save: [one: HelperCase]; cancel: [] }>()
const engines = useEngines()
const one = ref<HelperCase>(structuredClone(props.start))
const lines = (field: 'fixed' | 'leaveOut' | 'existing') => computed({ get: () => one.value[field].join('\n'), set: (text: string) => (one.value = { ...one.value, [field]: text.split('\n').map((line) => line.trim()).filter(Boolean) }) })
const fixed = lines('fixed')
const leaveOut = lines('leaveOut')
const existing = lines('existing')
const engine = computed({ get: () => one.value.engine?.engine ?? '', set: (id: string) => (one.value = { ...one.value, engine: id ? { engine: id } : null }) })
/** Fixed words that the text does not have would be passed over in silence. */
const notThere = computed(() => one.value.fixed.filter((words) => !one.value.text.includes(words)))
const problem = computed(() => (one.value.name.trim() === '' ? 'Give it a name.' : one.value.criteria.length === 0 ? 'Add what a good answer must satisfy.' : notThere.value.length ? `The text does not say “${notThere.value[0]}”.` : ''))
const asksText = computed(() => props.body.inputs.filter(({ kind }) => kind !== 'engine' && kind !== 'picture'))
</script>

<template>
  <form class="case-form" @submit.prevent="problem || emit('save', one)">
    <label class="labelled"><span>Name of the case</span><input v-model="one.name" class="field" maxlength="120" required /></label>
    <label class="labelled"><span>The draft it is about</span><textarea v-model="one.text" class="field words" rows="3" maxlength="20000" /></label>
    <div class="columns">
      <label class="labelled"><span>Fixed words, a line each</span><textarea v-model="fixed" class="field" rows="2" /></label>
      <label class="labelled"><span>Leave-out list, a line each</span><textarea v-model="leaveOut" class="field" rows="2" /></label>
      <label class="labelled"><span>What the project has, a line each</span><textarea v-model="existing" class="field" rows="2" /></label>
    </div>
    <div class="columns">
      <label class="labelled"><span>Engine</span><select v-model="engine" class="field"><option value="">none in particular</option><option v-for="profile in engines.newest" :key="profile.id" :value="profile.id">{{ profile.name }}</option></select></label>
      <label v-for="input in asksText" :key="input.key" class="labelled">
        <span>{{ input.label }}</span>
        <input v-if="input.kind === 'number'" v-model.number="one.values[input.key]" class="field" type="number" :min="input.min" :max="input.max" :placeholder="String(input.default)" />
        <select v-else-if="input.kind === 'choice'" v-model="one.values[input.key]" class="field"><option v-for="value in input.values" :key="value">{{ value }}</option></select>
        <input v-else v-model="one.values[input.key]" class="field" maxlength="4000" />
      </label>
    </div>
    <fieldset>
      <legend>A good answer</legend>
      <ul>
        <CriterionRow v-for="(criterion, place) in one.criteria" :key="place" :model-value="criterion" @update:model-value="one.criteria = one.criteria.with(place, $event)" @remove="one.criteria = one.criteria.filter((_, i) => i !== place)" />
      </ul>
      <p><button type="button" class="plain" @click="one.criteria = [...one.criteria, freshCriterion('no-stops')]">Add a criterion</button></p>
    </fieldset>
    <p class="row-actions"><button class="do" :disabled="problem !== ''">Save the case</button><button type="button" class="quiet" @click="emit('cancel')">Leave it</button><span class="soft">{{ problem }}</span></p>
  </form>
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
