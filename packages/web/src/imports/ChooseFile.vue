<script setup lang="ts">
import type { Encoding } from '@idolon/core'
import { ref, useTemplateRef } from 'vue'

/** Where prompts come from: a file, several, a folder of texts, or what is dropped here. */
const props = defineProps<{ reading: boolean; /** What was wrong with the last one. */ problem: string }>()
const emit = defineEmits<{ choose: [files: File[], encoding: Encoding | ''] }>()
const ENCODINGS: readonly [Encoding | '', string][] = [['', 'as the file says, else UTF-8'], ['windows-1252', 'Western European (Windows)'], ['macintosh', 'Western European (old Mac)'], ['utf-16le', 'UTF-16'], ['shift_jis', 'Japanese (Shift JIS)'], ['gb18030', 'Chinese (GB 18030)']]
const encoding = ref<Encoding | ''>('')
const over = ref(false)
const file = useTemplateRef<HTMLInputElement>('file')
const folder = useTemplateRef<HTMLInputElement>('folder')
function chosen(list: FileList | null | undefined): void {
  const files = [...(list ?? [])]
  if (files.length && !props.reading) emit('choose', files, encoding.value)
  for (const input of [file.value, folder.value]) if (input) input.value = ''
}
function dropped(event: DragEvent): void {
  over.value = false
  chosen(event.dataTransfer?.files)
}
</script>

<template>
  <section class="choose" :class="{ over }" aria-label="Where prompts come from" @dragover.prevent="over = true" @dragleave="over = false" @drop.prevent="dropped">
    <p>A bundle of Idolon’s, CSV, JSON, Markdown, or plain texts, a prompt a file. Nothing is brought in before you have seen what is in it.</p>
    <p class="row-actions">
      <button class="do" :disabled="reading" @click="file?.click()">Choose a file</button>
      <button class="quiet" :disabled="reading" @click="folder?.click()">Choose a folder of texts</button>
      <span class="soft">or drop files here</span>
      <label class="end">Encoding <select v-model="encoding" class="field"><option v-for="[name, said] in ENCODINGS" :key="name" :value="name">{{ said }}</option></select></label>
    </p>
    <input ref="file" class="hidden" type="file" multiple accept=".zip,.csv,.tsv,.json,.jsonl,.ndjson,.md,.markdown,.txt" aria-label="File of prompts" tabindex="-1" @change="chosen(($event.target as HTMLInputElement).files)" />
    <input ref="folder" class="hidden" type="file" webkitdirectory aria-label="Folder of texts" tabindex="-1" @change="chosen(($event.target as HTMLInputElement).files)" />
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
.hidden {
  display: none;
}
.end {
  margin-left: auto;
}
.problem {
  padding-left: 12px;
  border-left: 3px solid var(--accent);
}
</style>
