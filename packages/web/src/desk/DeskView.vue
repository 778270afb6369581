<script setup lang="ts">
import { readPrompt, type Prompt } from '@idolon/contract'
import { useLocalStorage } from '@vueuse/core'
import { ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call.ts'
import { ApiProblem, messageOf } from '../api/problem.ts'
import NotFoundView from '../app/NotFoundView.vue'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import PromptDesk from './PromptDesk.vue'

const route = useRoute()
const lastPrompt = useLocalStorage('idolon.last-prompt', '')
const prompt = shallowRef<Prompt>()
const missing = ref(false)
const trouble = ref('')
const { fromNothing } = useNewPrompt()

async function open(id: string): Promise<void> {
  prompt.value = undefined
  missing.value = false
  trouble.value = ''
  if (!id) return
  try {
    prompt.value = await call(readPrompt, { params: { prompt: id } })
    lastPrompt.value = id
  } catch (error) {
    missing.value = error instanceof ApiProblem && (error.problem === 'not-found' || error.problem === 'invalid')
    if (missing.value && lastPrompt.value === id) lastPrompt.value = ''
    if (!missing.value) trouble.value = messageOf(error)
  }
}
watch(() => String(route.params['prompt'] ?? ''), open, { immediate: true })
</script>

<template>
  <NotFoundView v-if="missing" what="prompt" />
  <PromptDesk v-else-if="prompt" :key="prompt.id" :prompt="prompt" />
  <main v-else-if="trouble" class="page">
    <h1>The prompt could not be opened</h1>
    <p>{{ trouble }}</p>
    <v-btn @click="open(String($route.params['prompt']))">Try again</v-btn>
  </main>
  <main v-else-if="!$route.params['prompt']" class="page empty">
    <h1>Nothing lies on the desk</h1>
    <p>Begin a new prompt, or take one from the Shelf.</p>
    <p class="row-actions"><v-btn color="primary" variant="flat" @click="fromNothing">New prompt</v-btn><v-btn to="/shelf">Look on the Shelf</v-btn></p>
  </main>
  <main v-else class="page"><p class="visually-hidden" role="status">Opening …</p><v-skeleton-loader type="heading, paragraph@2, list-item-two-line@3" /></main>
</template>

<style scoped>
.page {
  display: grid;
  gap: 14px;
  justify-items: start;
  align-content: start;
}
</style>
