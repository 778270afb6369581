<script setup lang="ts">
import { MAX_LEAVE_OUT } from '@idolon/core'
import { computed, ref, watch } from 'vue'

/** The leave-out list as plain words with commas, the outline's last row. */
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
    <v-textarea id="leave-out" v-model="text" variant="plain" rows="1" max-rows="4" placeholder="people, lettering" :hint="fromHouse.length ? `${fromHouse.join(', ')}: by the house rules` : ''" :persistent-hint="fromHouse.length > 0" @input="onInput" @blur="text = entries.join(', ')" />
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
.leave-out :deep(.v-field) {
  background: none;
}
.leave-out :deep(.v-field__input) {
  min-height: 24px;
  padding: 0 0 0 8px;
  font-family: var(--serif);
  font-size: 15.5px;
  line-height: 24px;
  mask-image: none;
}
</style>
