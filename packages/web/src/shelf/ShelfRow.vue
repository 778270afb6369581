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
    <v-checkbox :aria-label="`Select ${prompt.title}`" :model-value="selected" class="select" @update:model-value="emit('toggle')" />
    <PromptRow :prompt="prompt" :to="`/desk/${prompt.id}`" :why="prompt.why" heading="h2">
      <v-btn variant="text" :aria-expanded="opened === 'evidence'" :aria-label="`What ${prompt.title} has shown`" @click="opened = opened === 'evidence' ? undefined : 'evidence'">Evidence</v-btn>
      <v-btn :aria-label="`Use ${prompt.title} again`" @click="emit('reuse')">Use again</v-btn>
      <v-btn variant="text" :aria-label="`Delete ${prompt.title}`" @click="emit('remove')">Delete</v-btn>
    </PromptRow>
    <p v-if="prompt.alike" class="alike"><v-btn variant="text" :aria-expanded="opened === 'same'" @click="opened = opened === 'same' ? undefined : 'same'">{{ counted(prompt.alike, 'more prompt says', 'more prompts say') }} the same</v-btn></p>
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
