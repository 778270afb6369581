<script setup lang="ts">
import type { FoundPrompt } from '@idolon/contract'
import { ref } from 'vue'
import PromptRow from '../shared/PromptRow.vue'
import { counted } from '../shared/said.ts'
import EvidenceOf from './EvidenceOf.vue'
import SameOf from './SameOf.vue'

/** A prompt that was found: chosen among others, with what it has shown and what says the same beneath it. */
defineProps<{ prompt: FoundPrompt; selected: boolean }>()
const emit = defineEmits<{ toggle: []; reuse: []; remove: [] }>()
const opened = ref<'evidence' | 'same'>()
</script>

<template>
  <div class="shelf-row">
    <label class="select"><input type="checkbox" :checked="selected" :aria-label="`Select ${prompt.title}`" @change="emit('toggle')" /></label>
    <PromptRow :prompt="prompt" :to="`/desk/${prompt.id}`" :why="prompt.why" heading="h2">
      <button class="plain" :aria-expanded="opened === 'evidence'" :aria-label="`What ${prompt.title} has shown`" @click="opened = opened === 'evidence' ? undefined : 'evidence'">Evidence</button>
      <button class="quiet" :aria-label="`Use ${prompt.title} again`" @click="emit('reuse')">Use again</button>
      <button class="plain" :aria-label="`Delete ${prompt.title}`" @click="emit('remove')">Delete</button>
    </PromptRow>
    <p v-if="prompt.alike" class="alike"><button class="plain" :aria-expanded="opened === 'same'" @click="opened = opened === 'same' ? undefined : 'same'">{{ counted(prompt.alike, 'more prompt says', 'more prompts say') }} the same</button></p>
    <EvidenceOf v-if="opened === 'evidence'" class="beneath" :prompt-id="prompt.id" :title="prompt.title" />
    <SameOf v-else-if="opened === 'same'" class="beneath" :prompt-id="prompt.id" :title="prompt.title" />
  </div>
</template>

<style scoped>
.shelf-row {
  position: relative;
}
.select {
  position: absolute;
  left: -24px;
  top: 0;
  display: grid;
  padding: 14px 6px 0 4px;
}
.alike {
  margin: -6px 0 10px 150px;
}
.beneath {
  padding: 0 0 12px 150px;
}
</style>
