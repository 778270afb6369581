<script setup lang="ts">
import { type Facet, FACETS } from '@idolon/core'
import type { Criterion, CriterionKind } from '@idolon/core/helper'
import { CRITERIA, freshCriterion } from './criterion-words.ts'
import NumberField from '../shared/NumberField.vue'

/** One thing that a good answer must satisfy. */
const criterion = defineModel<Criterion>({ required: true })
const emit = defineEmits<{ remove: [] }>()
const change = (more: Partial<Criterion>) => (criterion.value = { ...criterion.value, ...more } as Criterion)
function toggle(facet: Facet): void {
  if (criterion.value.kind !== 'facets-present') return
  const now = criterion.value.facets ?? []
  const facets = now.includes(facet) ? now.filter((one) => one !== facet) : [...now, facet]
  criterion.value = facets.length ? { kind: 'facets-present', facets } : { kind: 'facets-present', least: 9 }
}
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <li class="criterion">
    <v-select label="What a good answer must satisfy" :model-value="criterion.kind" :items="Object.entries(CRITERIA).map(([kind, says]) => ({ title: says, value: kind }))" @update:model-value="criterion = freshCriterion($event as CriterionKind)" />
    <template v-if="criterion.kind === 'facets-present'">
      <NumberField v-if="!criterion.facets" label="Of at least" :min="1" :max="12" integer :value="criterion.least" class="number" @set="$event !== undefined && change({ least: $event })" />
      <span class="facets"><v-btn v-for="facet in FACETS" :key="facet" variant="text" :aria-pressed="criterion.facets?.includes(facet) ?? false" @click="toggle(facet)">{{ facet }}</v-btn></span>
    </template>
    <template v-else-if="criterion.kind === 'length-within'">
      <NumberField label="At least, in words" :min="0" :max="criterion.most" integer :value="criterion.least" class="number" @set="$event !== undefined && change({ least: $event })" />
      <NumberField label="At most, in words" :min="Math.max(1, criterion.least)" :max="5000" integer :value="criterion.most" class="number" @set="$event !== undefined && change({ most: $event })" />
    </template>
    <NumberField v-else-if="criterion.kind === 'distinct'" label="How many" :min="1" :max="40" integer :value="criterion.count" class="number" @set="criterion = $event === undefined ? { kind: 'distinct' } : { kind: 'distinct', count: $event }" />
    <template v-else-if="criterion.kind === 'near-example'">
      <v-select label="Near or far" :model-value="String(criterion.near)" :items="[{ title: 'near', value: 'true' }, { title: 'far from', value: 'false' }]" @update:model-value="change({ near: $event === 'true' })" />
      <v-text-field label="The example" :model-value="criterion.example" class="wide" @input="change({ example: textOf($event) })" />
    </template>
    <template v-else-if="criterion.kind === 'says'">
      <v-select label="Says or never" :model-value="String(criterion.never)" :items="[{ title: 'says', value: 'false' }, { title: 'never says', value: 'true' }]" @update:model-value="change({ never: $event === 'true' })" />
      <v-text-field label="The words" :model-value="criterion.words" class="wide" @input="change({ words: textOf($event) })" />
    </template>
    <v-btn variant="text" class="remove" @click="emit('remove')">Remove</v-btn>
  </li>
</template>

<style scoped>
.criterion {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
.number {
  width: 72px;
}
.wide {
  flex: 1 1 180px;
}
.facets {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
.remove {
  margin-left: auto;
}
</style>
