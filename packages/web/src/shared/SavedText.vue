<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { onBeforeUnmount, ref, watch } from 'vue'

/** A text that saves itself as it is typed, within half a second, and at once when it is left. What comes from elsewhere never disturbs typing. */
const props = withDefaults(defineProps<{ value: string; label: string; maxlength: number; multiline?: boolean; placeholder?: string }>(), { placeholder: '' })
const emit = defineEmits<{ save: [text: string] }>()
const SAVE_AFTER_MS = 400

const text = ref(props.value)
const focused = ref(false)
let saved = props.value
let timer: ReturnType<typeof setTimeout> | undefined

watch(
  () => props.value,
  (value) => {
    saved = value
    if (!focused.value) text.value = value
  },
)
function flush(): void {
  clearTimeout(timer)
  if (text.value === saved) return
  saved = text.value
  emit('save', text.value)
}
function onInput(): void {
  clearTimeout(timer)
  timer = setTimeout(flush, SAVE_AFTER_MS)
}
function onBlur(): void {
  focused.value = false
  flush()
}
useEventListener(window, 'pagehide', flush)
onBeforeUnmount(flush)
</script>

<template>
  <v-textarea v-if="multiline" v-model="text" :label="label" :placeholder="placeholder" :maxlength="maxlength" @input="onInput" @focus="focused = true" @blur="onBlur" />
  <v-text-field v-else v-model="text" :label="label" :placeholder="placeholder" :maxlength="maxlength" @input="onInput" @focus="focused = true" @blur="onBlur" @keydown.enter="($event.target as HTMLInputElement).blur()" />
</template>
