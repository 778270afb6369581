<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { between, whole } from './field-rules.ts'

/** A number that is set while it is typed, as long as it is one that may be set; of any other the bounds are said under the field, and nothing is set. Empty is none. */
const props = defineProps<{ value: number | string | undefined; label: string; min: number; max: number; integer?: boolean }>()
const emit = defineEmits<{ set: [value: number | undefined] }>()
const shown = (value: number | string | undefined) => (value === undefined ? '' : String(value))
const text = ref(shown(props.value))
watch(
  () => props.value,
  (value) => {
    // What is being typed is not written over by what it means: “1.” is 1 already.
    if (text.value.trim() === '' ? value !== undefined : Number(text.value) !== Number(value)) text.value = shown(value)
  },
)
const rules = computed(() => [between(props.min, props.max), ...(props.integer ? [whole] : [])])
function take(typed: unknown): void {
  text.value = String(typed ?? '')
  if (text.value.trim() === '') emit('set', undefined)
  else if (rules.value.every((rule) => rule(text.value) === true)) emit('set', Number(text.value))
}
</script>

<template>
  <v-text-field :model-value="text" :label="label" inputmode="decimal" :rules="rules" @update:model-value="take" />
</template>
