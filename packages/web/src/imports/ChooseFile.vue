<script setup lang="ts">
import type { Encoding } from '@idolon/core'
import { ref } from 'vue'
import { usePickFiles } from '../shared/pick-files.ts'

/** Where prompts come from: a file, several, a folder of texts, or what is dropped here. */
const props = defineProps<{ reading: boolean; /** What was wrong with the last one. */ problem: string }>()
const emit = defineEmits<{ choose: [files: File[], encoding: Encoding | ''] }>()
const ENCODINGS: readonly [Encoding | '', string][] = [['', 'as the file says, else UTF-8'], ['windows-1252', 'Western European (Windows)'], ['macintosh', 'Western European (old Mac)'], ['utf-16le', 'UTF-16'], ['shift_jis', 'Japanese (Shift JIS)'], ['gb18030', 'Chinese (GB 18030)']]
const encoding = ref<Encoding | ''>('')
const over = ref(false)
const chosen = (files: File[]) => {
  if (files.length && !props.reading) emit('choose', files, encoding.value)
}
const pickFile = usePickFiles({ accept: '.zip,.csv,.tsv,.json,.jsonl,.ndjson,.md,.markdown,.txt', multiple: true }, chosen)
const pickFolder = usePickFiles({ directory: true, multiple: true }, chosen)
function dropped(event: DragEvent): void {
  over.value = false
  chosen([...(event.dataTransfer?.files ?? [])])
}
</script>

<template>
  <section class="choose" :class="{ over }" aria-label="Where prompts come from" @dragover.prevent="over = true" @dragleave="over = false" @drop.prevent="dropped">
    <p>An Idolon bundle, CSV, JSON, Markdown, or plain texts with one prompt in each file. Nothing is imported before you have seen what is in it.</p>
    <p class="row-actions">
      <v-btn color="primary" variant="flat" :disabled="reading" @click="pickFile()">Choose a file</v-btn>
      <v-btn :disabled="reading" @click="pickFolder()">Choose a folder of texts</v-btn>
      <span class="soft">or drop files here</span>
      <v-select v-model="encoding" label="Encoding" :items="ENCODINGS.map(([name, said]) => ({ title: said, value: name }))" class="end" />
    </p>
    <p v-if="reading" role="status">Reading the file …</p>
    <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.choose {
  display: grid;
  gap: 10px;
  padding: 16px 18px;
  border: 1px solid var(--rule);
}
.choose.over {
  border-color: var(--accent);
}
.choose .end {
  flex: 0 0 250px;
  margin-left: auto;
}
.problem {
  padding-left: 12px;
  border-left: 3px solid var(--accent);
}
</style>
