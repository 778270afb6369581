<script setup lang="ts">
import { chatConnection, type ModelConnection, type ModelProfile } from '@idolon/core/helper'
import { computed, ref, watch } from 'vue'
import FoldOut from '../shared/FoldOut.vue'
import { between, needed, shaped } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'

/** How a language model is spoken to and what it costs: by address, key and name, or by a shape of its own as JSON. */
const props = defineProps<{ profile: ModelProfile; isNew: boolean }>()
const emit = defineEmits<{ save: [profile: ModelProfile]; cancel: [] }>()
const { connection } = props.profile
const isUsual = (one: ModelConnection) => JSON.stringify({ ...chatConnection(one.url, one.headers !== undefined), timeoutSeconds: one.timeoutSeconds }) === JSON.stringify({ ...one, timeoutSeconds: one.timeoutSeconds })

const form = ref({
  ...structuredClone(props.profile),
  least: props.profile.temperature?.least ?? '',
  most: props.profile.temperature?.most ?? '',
  address: connection?.url ?? '',
  key: connection?.headers !== undefined || props.isNew,
  shape: connection && !isUsual(connection) ? JSON.stringify(connection, null, 2) : '',
})
const other = ref(form.value.shape !== '')
/** Until it is written by hand, the short name follows the name. */
const ownId = ref(!props.isNew)
watch(() => form.value.name, (name) => {
  if (!ownId.value) form.value.id = name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60)
})

const isJson = (text: unknown) => {
  if (String(text ?? '').trim() === '') return true
  try {
    JSON.parse(String(text))
    return true
  } catch (error) {
    return `This is not JSON yet: ${(error as Error).message}.`
  }
}
const isAddress = (text: unknown) => form.value.shape.trim() !== '' || form.value.simulated || URL.canParse(String(text ?? '')) || 'An address with https:// or http://.'
const cost = between(0, 1_000_000_000)
/** Both ends of the range, or none. */
const temperature = (end: 'least' | 'most') => (value: unknown) => {
  const other = end === 'least' ? form.value.most : form.value.least
  const given = String(value ?? '').trim()
  if (given === '') return String(other).trim() === '' || 'Both ends, or none.'
  const sound = between(0, 10)(value)
  if (sound !== true) return sound
  return end === 'least' || String(other).trim() === '' || Number(given) > Number(other) || 'More than the lowest.'
}
const { check, whenSound } = useFormCheck()
const save = whenSound(() => {
  const { address, key, shape, least, most, temperature: _range, connection: _, ...profile } = form.value
  const spoken = shape.trim() ? (JSON.parse(shape) as ModelConnection) : address ? chatConnection(address, key) : undefined
  emit('save', { ...profile, cost: { request: Number(profile.cost.request), thousandIn: Number(profile.cost.thousandIn), thousandOut: Number(profile.cost.thousandOut) }, ...(String(least).trim() === '' ? {} : { temperature: { least: Number(least), most: Number(most) } }), ...(spoken ? { connection: spoken } : {}) })
})
const usual = computed(() => JSON.stringify(chatConnection(form.value.address || 'https://', true), null, 2))
</script>

<template>
  <v-form ref="check" class="writing" @submit.prevent="save" @keydown.escape.stop="emit('cancel')">
    <div class="pair">
      <v-text-field v-model="form.name" label="Name" maxlength="60" :rules="[needed]" />
      <v-text-field v-model="form.id" label="Short name, for good" maxlength="60" :disabled="!isNew" :rules="[needed, shaped(/^[a-z0-9][a-z0-9-]{0,59}$/, 'Small letters, digits and hyphens.')]" @input="ownId = true" />
      <v-text-field v-model="form.model" label="What the service calls it" maxlength="200" :rules="[needed]" />
    </div>
    <v-text-field v-model="form.address" label="Address that messages are posted to" :disabled="form.shape.trim() !== ''" placeholder="https://models.example/messages" :rules="[isAddress]" />
    <div class="row-actions">
      <v-checkbox v-model="form.key" label="it needs an API key, given once it is saved" />
      <v-checkbox v-model="form.sees" label="it takes pictures" />
    </div>
    <div class="pair">
      <v-text-field v-model="form.costUnit" label="Counts in" maxlength="60" :rules="[needed]" />
      <v-text-field v-model.number="form.cost.request" label="A question" type="number" min="0" :rules="[cost]" />
      <v-text-field v-model.number="form.cost.thousandIn" label="A thousand tokens sent" type="number" min="0" :rules="[cost]" />
      <v-text-field v-model.number="form.cost.thousandOut" label="A thousand answered" type="number" min="0" :rules="[cost]" />
    </div>
    <div class="pair">
      <v-text-field v-model="form.least" label="Lowest temperature it takes" type="number" min="0" max="10" step="0.1" :rules="[temperature('least')]" hint="Empty: any is sent as a helper asks." persistent-hint />
      <v-text-field v-model="form.most" label="Highest temperature" type="number" min="0" max="10" step="0.1" :rules="[temperature('most')]" />
    </div>
    <v-textarea v-model="form.notes" label="Notes" maxlength="4000" />
    <FoldOut v-model="other" title="A service of another shape">
      <p class="soft">As JSON: url, headers, a body that names {messages} or {system} and {user}, and where in its answer the text stands. Empty for the usual shape.</p>
      <v-textarea v-model="form.shape" label="How it is spoken to, as JSON" rows="6" :rules="[isJson]" class="exact" />
      <v-btn v-if="!form.shape" variant="text" @click="form.shape = usual">Begin with the usual shape</v-btn>
    </FoldOut>
    <p class="row-actions"><v-btn color="primary" variant="flat" type="submit">Save</v-btn><v-btn variant="text" @click="emit('cancel')">Cancel</v-btn></p>
  </v-form>
</template>

<style scoped>
.writing {
  display: grid;
  gap: 12px;
  padding: 16px 14px 14px;
  border: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
}
</style>
