<script setup lang="ts">
import type { Helper } from '@idolon/contract'
import type { OutlinePhrase } from '@idolon/core'
import { type HelperInput, type HelperValues, withDefaults, wrongWithValues } from '@idolon/core/helper'
import { computed, ref, watch } from 'vue'
import { useEngines } from '../stores/engines.ts'
import { between } from '../shared/field-rules.ts'
import { useModels } from '../stores/models.ts'
import { costAbout } from './cost-words.ts'
import ReferenceField from './ReferenceField.vue'

/** What a helper asks for before it is sent, which model it goes to, and what that costs. */
const props = defineProps<{ helper: Helper; text: string; phrases?: readonly OutlinePhrase[]; here?: OutlinePhrase | undefined; engine?: string | undefined; busy: boolean; two?: boolean }>()
const emit = defineEmits<{ ask: [models: string[], values: HelperValues] }>()
const models = useModels()
const engines = useEngines()
const values = ref<HelperValues>({})
const second = ref('')
watch(
  () => [props.helper.id, props.helper.current],
  () => {
    const first = withDefaults(props.helper.body, {})
    for (const { key, kind } of props.helper.body.inputs) {
      if (kind === 'phrase') first[key] = props.here?.text ?? props.phrases?.[0]?.text ?? ''
      if (kind === 'engine') first[key] = props.engine ?? ''
    }
    values.value = first
  },
  { immediate: true },
)
const model = computed({ get: () => props.helper.body.model ?? models.usual, set: (id: string) => (models.usual = id) })
const asked = computed(() => [model.value, ...(second.value && second.value !== model.value ? [second.value] : [])])
const profiles = computed(() => asked.value.flatMap((id) => models.find(id) ?? []))
const wrong = computed(() => wrongWithValues(props.helper.body, values.value))
/** The engine's limit beside a length. */
const limit = computed(() => {
  const key = props.helper.body.inputs.find(({ kind }) => kind === 'engine')?.key
  const [id = '', revision] = String((key && values.value[key]) || props.engine || '').split(' ')
  const profile = id ? engines.find(id, revision) : undefined
  return profile?.limit ? `${profile.name} reads ${profile.limit.max.toLocaleString('en')} ${profile.limit.unit}` : ''
})
const labelOf = ({ key, label }: HelperInput) => (key === 'length' && limit.value ? `${label}; ${limit.value}` : label)
const textOf = ({ key }: HelperInput) => String(values.value[key] ?? '')
function send(): void {
  if (!wrong.value && !props.busy) emit('ask', asked.value, { ...values.value })
}
</script>

<template>
  <form class="helper-form" @submit.prevent="send">
    <template v-for="input in helper.body.inputs" :key="input.key">
      <v-text-field v-if="input.kind === 'number'" v-model.number="values[input.key]" :label="labelOf(input)" type="number" :rules="[between(input.min, input.max)]" :min="input.min" :max="input.max" class="short" />
      <v-select v-else-if="input.kind === 'choice'" :model-value="textOf(input)" :label="labelOf(input)" :items="input.values" @update:model-value="values[input.key] = $event ?? ''" />
      <v-select v-else-if="input.kind === 'engine'" :model-value="textOf(input)" :label="labelOf(input)" :items="[{ title: 'no engine in particular', value: '' }, ...engines.profiles.map((profile) => ({ title: `${profile.name} ${profile.revision}`, value: `${profile.id} ${profile.revision}` }))]" @update:model-value="values[input.key] = $event ?? ''" />
      <ReferenceField v-else-if="input.kind === 'picture'" v-model="values[input.key] as string" :label="labelOf(input)" />
      <v-select v-else-if="input.kind === 'phrase' && phrases?.length" :model-value="textOf(input)" :label="labelOf(input)" :items="phrases.map((phrase) => phrase.text)" @update:model-value="values[input.key] = $event ?? ''" />
      <v-textarea v-else-if="input.kind === 'text' && input.key === 'theme'" v-model="values[input.key] as string" :label="labelOf(input)" rows="2" maxlength="4000" :placeholder="input.hint" @keydown.enter.exact.prevent="send" />
      <v-text-field v-else v-model="values[input.key]" :label="labelOf(input)" maxlength="4000" :placeholder="input.kind === 'text' ? input.hint : ''" />
    </template>
    <div class="models">
      <v-select v-model="model" label="Model" :disabled="helper.body.model !== null" :items="models.usable.map((one) => ({ title: `${one.profile.name}${one.profile.simulated ? ', simulated' : ''}`, value: one.profile.id }))" />
      <v-select v-if="two && models.usable.length > 1" v-model="second" label="And beside it" :items="[{ title: 'no other', value: '' }, ...models.usable.filter(({ profile }) => profile.id !== model).map((one) => ({ title: one.profile.name, value: one.profile.id }))]" />
    </div>
    <p v-if="models.usable.length === 0" class="soft">No language model is connected. Switch one on, or give its address, on the <RouterLink to="/engines#models">Engines page</RouterLink>.</p>
    <p class="row-actions">
      <v-btn color="primary" variant="flat" :disabled="wrong !== undefined || busy || profiles.length === 0" type="submit">Ask</v-btn>
      <span class="soft">{{ wrong ?? costAbout(helper.body, text, profiles) }}</span>
    </p>
  </form>
</template>

<style scoped>
.helper-form {
  display: grid;
  gap: 10px;
}
.short {
  width: 96px;
}
.models {
  display: flex;
  gap: 14px;
}
</style>
