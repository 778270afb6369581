<script setup lang="ts">
import { type Draft, type Reading, tidy, type TidyStep, tidySteps } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { settingLines } from '../shared/setting-words.ts'
import type { DraftSession } from './draft-session.ts'

/** What stands in the text and is no part of the picture, each with where it would go; tidied in one edit. */
const props = defineProps<{ draft: Draft; reading: Reading; session: DraftSession }>()
const open = ref(false)
const steps = computed(() => tidySteps(props.draft.text, props.reading))
const keyOf = ({ kind, text }: TidyStep) => `${kind} ${text}`
const left = ref(new Set<string>())
watch(
  () => props.draft.text,
  () => {
    if (steps.value.length === 0) open.value = false
  },
)
const chosen = computed(() => steps.value.filter((step) => !left.value.has(keyOf(step))))
const KINDS: Record<TidyStep['kind'], string> = { setting: 'a setting', 'leave-out': 'what to leave out', 'lead-in': 'an instruction to draw', praise: 'praise' }

function goes(step: TidyStep): string {
  if (step.kind === 'setting') {
    const lines = settingLines(step.settings)
    return lines.length ? `goes to the settings: ${lines.map(({ name, value }) => `${name.toLowerCase()} ${value}`).join(', ')}` : 'goes'
  }
  if (step.kind === 'leave-out') return `goes to the leave-out list: ${step.leaveOut.join(', ')}`
  return step.kind === 'praise' ? 'goes; it says nothing about the picture' : 'goes; an engine draws without being told to'
}
function choose(step: TidyStep, on: boolean): void {
  const next = new Set(left.value)
  if (on) next.delete(keyOf(step))
  else next.add(keyOf(step))
  left.value = next
}
function apply(): void {
  props.session.apply(tidy(props.draft, chosen.value))
  open.value = false
}
const summary = computed(() => [...new Set(steps.value.map(({ kind }) => KINDS[kind]))].join(', '))
</script>

<template>
  <div v-if="steps.length" class="tidy">
    <p>
      <span class="soft">In the text, but no part of the picture: {{ summary }}.</span>
      <v-btn variant="text" :aria-expanded="open" @click="open = !open">{{ open ? 'Close' : 'Tidy' }}</v-btn>
    </p>
    <template v-if="open">
      <ul>
        <li v-for="(step, i) in steps" :key="i">
          <v-checkbox :model-value="!left.has(keyOf(step))" @update:model-value="choose(step, ($event === true))"><template #label><span class="words">{{ step.text }}</span> {{ goes(step) }}</template></v-checkbox>
        </li>
      </ul>
      <v-btn :disabled="chosen.length === 0" @click="apply">Tidy the text</v-btn>
    </template>
  </div>
</template>

<style scoped>
.tidy {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding: 6px 0;
}
p {
  display: flex;
  gap: 12px;
}
li {
  padding: 1px 0;
  overflow-wrap: anywhere;
}
.words {
  font-family: var(--serif);
  font-size: 15px;
  margin: 0 4px;
}
</style>
