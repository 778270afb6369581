<script setup lang="ts">
import type { Helper } from '@idolon/contract'
import type { OutlinePhrase } from '@idolon/core'
import { type HelperValues, withDefaults, wrongWithValues } from '@idolon/core/helper'
import { computed, ref, watch } from 'vue'
import { useEngines } from '../stores/engines.ts'
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
function send(): void {
  if (!wrong.value && !props.busy) emit('ask', asked.value, { ...values.value })
}
</script>

<template>
  <form class="helper-form" @submit.prevent="send">
    <template v-for="input in helper.body.inputs" :key="input.key">
      <label class="labelled">
        <span>{{ input.label }}<template v-if="input.key === 'length' && limit">; {{ limit }}</template></span>
        <input v-if="input.kind === 'number'" v-model.number="values[input.key]" class="field short" type="number" :min="input.min" :max="input.max" />
        <select v-else-if="input.kind === 'choice'" v-model="values[input.key]" class="field">
          <option v-for="value in input.values" :key="value">{{ value }}</option>
        </select>
        <select v-else-if="input.kind === 'engine'" v-model="values[input.key]" class="field">
          <option value="">no engine in particular</option>
          <option v-for="profile in engines.profiles" :key="`${profile.id} ${profile.revision}`" :value="`${profile.id} ${profile.revision}`">{{ profile.name }} {{ profile.revision }}</option>
        </select>
        <ReferenceField v-else-if="input.kind === 'picture'" v-model="values[input.key] as string" />
        <select v-else-if="input.kind === 'phrase' && phrases?.length" v-model="values[input.key]" class="field">
          <option v-for="phrase in phrases" :key="phrase.start" :value="phrase.text">{{ phrase.text }}</option>
        </select>
        <textarea v-else-if="input.kind === 'text' && input.key === 'theme'" v-model="values[input.key] as string" class="field" rows="2" maxlength="4000" :placeholder="input.hint" @keydown.enter.exact.prevent="send" />
        <input v-else v-model="values[input.key]" class="field" maxlength="4000" :placeholder="input.kind === 'text' ? input.hint : ''" />
      </label>
    </template>
    <div class="models">
      <label class="labelled">
        <span>Model</span>
        <select v-model="model" class="field" :disabled="helper.body.model !== null">
          <option v-for="one in models.usable" :key="one.profile.id" :value="one.profile.id">{{ one.profile.name }}{{ one.profile.simulated ? ', simulated' : '' }}</option>
        </select>
      </label>
      <label v-if="two && models.usable.length > 1" class="labelled">
        <span>and beside it</span>
        <select v-model="second" class="field">
          <option value="">no other</option>
          <option v-for="one in models.usable.filter(({ profile }) => profile.id !== model)" :key="one.profile.id" :value="one.profile.id">{{ one.profile.name }}</option>
        </select>
      </label>
    </div>
    <p v-if="models.usable.length === 0" class="soft">No language model is connected. Switch one on, or give its address, on the <RouterLink to="/engines#models">Engines page</RouterLink>.</p>
    <p class="row-actions">
      <button class="do" :disabled="wrong !== undefined || busy || profiles.length === 0">Ask</button>
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
.models .labelled {
  flex: 1;
  min-width: 0;
}
select.field,
.labelled > input:not(.short),
textarea {
  width: 100%;
}
</style>
