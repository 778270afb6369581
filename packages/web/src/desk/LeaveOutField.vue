<script setup lang="ts">
import { MAX_LEAVE_OUT } from '@idolon/core'
import { computed, ref, watch } from 'vue'

/** The leave-out list as plain words with commas. */
const props = defineProps<{ entries: string[]; house?: readonly string[] }>()
const emit = defineEmits<{ change: [entries: string[]] }>()
const text = ref('')
const split = (value: string) => value.split(/[,\n]/).map((entry) => entry.trim().slice(0, 300)).filter(Boolean).slice(0, MAX_LEAVE_OUT)

watch(
  () => props.entries,
  (entries) => {
    if (split(text.value).join('\n') !== entries.join('\n')) text.value = entries.join(', ')
  },
  { immediate: true },
)
/** Which of the entries stand there by the house rules. */
const fromHouse = computed(() => props.entries.filter((entry) => props.house?.some((rule) => rule.toLowerCase() === entry.toLowerCase())))
function onInput(): void {
  const entries = split(text.value)
  if (entries.join('\n') !== props.entries.join('\n')) emit('change', entries)
}
</script>

<template>
  <div class="leave-out">
    <label for="leave-out">Leave out</label>
    <v-textarea id="leave-out" v-model="text" rows="1" placeholder="what must not appear, as bare words with commas" @input="onInput" @blur="text = entries.join(', ')" auto-grow />
    <p v-if="fromHouse.length" class="soft house">{{ fromHouse.join(', ') }}: by the house rules</p>
  </div>
</template>

<style scoped>
.leave-out {
  display: grid;
  grid-template-columns: 92px 1fr;
  align-items: baseline;
}
label {
  font-size: 13px;
  font-weight: 500;
  color: var(--soft);
}
textarea {
  width: 100%;
  padding: 0 0 0 8px;
  border: 0;
  background: none;
  resize: none;
  field-sizing: content;
  font-family: var(--serif);
  font-size: 16px;
  line-height: 1.45;
  outline-offset: 4px;
}
.house {
  grid-column: 2;
  padding-left: 8px;
  font-size: 12.5px;
}
</style>
