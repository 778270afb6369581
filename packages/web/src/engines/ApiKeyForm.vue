<script setup lang="ts">
import { ref } from 'vue'
import { useNotices, useTask } from '../notices/notices.ts'

/** A service’s API key: given once, sealed, never shown again; replaced or removed. */
const props = defineProps<{ kept: boolean; save: (apiKey: string | null) => Promise<unknown> }>()
const notices = useNotices()
const task = useTask()
const apiKey = ref('')
const set = (value: string | null) =>
  task(async () => {
    await props.save(value)
    apiKey.value = ''
    notices.show(value === null ? 'The API key is removed.' : 'The API key is saved, sealed. It is not shown again.')
  })
</script>

<template>
  <form class="line" @submit.prevent="set(apiKey)">
    <v-text-field v-model="apiKey" :label="kept ? 'An API key is saved; a new one takes its place' : 'API key'" type="password" autocomplete="off" maxlength="4000" />
    <v-btn :disabled="apiKey === ''" type="submit">Save the API key</v-btn>
    <v-btn v-if="kept" variant="text" @click="set(null)">Remove the API key</v-btn>
  </form>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
}
.v-input {
  flex: 0 1 320px;
}
</style>
