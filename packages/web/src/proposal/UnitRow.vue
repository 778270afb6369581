<script setup lang="ts">
import type { ProposalUnit } from '@idolon/core/helper'
import { computed, ref } from 'vue'
import { pressed } from '../keys/key-map.ts'
import { sayDifference } from '../proofs/difference-words.ts'
import { useEngines } from '../stores/engines.ts'

/** One change that a helper proposes: what is there, what would be, and what the checks say of it. */
const props = defineProps<{ unit: ProposalUnit; ready: boolean; narrow?: boolean }>()
const emit = defineEmits<{ take: []; leave: [] }>()
const engines = useEngines()
const root = ref<HTMLElement>()
const takeButton = ref<{ $el: HTMLElement }>()
const difference = computed(() => props.unit.difference)
const grave = computed(() => props.unit.findings.filter(({ severity }) => severity !== 'tip'))
const words = computed(() => difference.value.kind === 'phrase')

function step(by: number): void {
  const rows = [...(root.value?.closest('.units')?.querySelectorAll<HTMLElement>('[data-unit]') ?? [])]
  rows[rows.indexOf(takeButton.value!.$el) + by]?.focus()
}
/** What cannot be taken can still be reached, so that one may read why. */
function take(): void {
  if (!props.unit.breaksLocked) emit('take')
}
function onKey(event: KeyboardEvent): void {
  const command = pressed('proposal', event)
  if (command === 'next') step(1)
  else if (command === 'previous') step(-1)
  else if (command === 'accept') take()
  else if (command === 'reject') emit('leave')
  else return
  event.preventDefault()
}
</script>

<template>
  <li ref="root" class="unit" :class="{ narrow }" @keydown="onKey">
    <div class="said">
      <template v-if="words">
        <span v-if="difference.a && !narrow" class="was">{{ difference.a }}</span>
        <span v-if="difference.change === 'moved'" class="soft">moved</span>
        <ins v-else-if="difference.b" class="now">{{ difference.b }}</ins>
        <span v-else class="soft">goes</span>
      </template>
      <span v-else>{{ sayDifference(difference, engines.named) }}</span>
      <p v-for="finding in grave" :key="finding.reason" class="found" :class="finding.severity">{{ finding.reason }}</p>
      <p v-if="unit.breaksLocked" class="found stop">It would change words that you locked, so it can only be rejected.</p>
    </div>
    <div class="row-actions acts">
      <v-btn ref="takeButton" variant="text" data-unit :aria-disabled="!ready || unit.breaksLocked" :aria-label="`Accept: ${sayDifference(difference, engines.named)}`" @click="take">Accept</v-btn>
      <v-btn variant="text" :aria-disabled="!ready" :aria-label="`Reject: ${sayDifference(difference, engines.named)}`" @click="emit('leave')">Reject</v-btn>
    </div>
  </li>
</template>

<style scoped>
.unit {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  align-items: baseline;
  padding: 3px 0 3px 8px;
  border-bottom: 1px solid var(--rule);
}
.unit.narrow {
  grid-template-columns: minmax(0, 1fr);
}
.said {
  font-family: var(--serif);
  font-size: 15px;
  overflow-wrap: anywhere;
}
.was {
  color: var(--soft);
}
.was::after {
  content: ' → ';
}
.now {
  text-decoration: none;
  background: var(--added);
}
.found {
  margin: 2px 0 2px;
  padding-left: 8px;
  border-left: 1px solid var(--rule-strong);
  font-family: var(--grotesque);
  font-size: 13px;
}
.found.stop {
  border-left: 2px solid var(--accent);
}
.acts {
  gap: 12px;
}
</style>
