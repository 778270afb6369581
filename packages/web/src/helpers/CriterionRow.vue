<script setup lang="ts">
import { type Facet, FACETS } from '@idolon/core'
import type { Criterion, CriterionKind } from '@idolon/core/helper'
import { CRITERIA, freshCriterion } from './criterion-words.ts'

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
const numberOf = (event: Event) => Number((event.target as HTMLInputElement).value)
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <li class="criterion">
    <select class="field" aria-label="What a good answer must satisfy" :value="criterion.kind" @change="criterion = freshCriterion(textOf($event) as CriterionKind)">
      <option v-for="(says, kind) in CRITERIA" :key="kind" :value="kind">{{ says }}</option>
    </select>
    <template v-if="criterion.kind === 'facets-present'">
      <label v-if="!criterion.facets">of at least <input class="field number" type="number" min="1" max="12" :value="criterion.least" @input="change({ least: numberOf($event) })" /></label>
      <span class="facets"><button v-for="facet in FACETS" :key="facet" type="button" class="plain" :aria-pressed="criterion.facets?.includes(facet) ?? false" @click="toggle(facet)">{{ facet }}</button></span>
    </template>
    <template v-else-if="criterion.kind === 'length-within'">
      <label><input class="field number" type="number" min="0" aria-label="At least, in words" :value="criterion.least" @input="change({ least: numberOf($event) })" /> and</label>
      <label><input class="field number" type="number" min="1" aria-label="At most, in words" :value="criterion.most" @input="change({ most: numberOf($event) })" /> words</label>
    </template>
    <label v-else-if="criterion.kind === 'distinct'">so many: <input class="field number" type="number" min="1" max="40" :value="criterion.count" @input="criterion = numberOf($event) ? { kind: 'distinct', count: numberOf($event) } : { kind: 'distinct' }" /></label>
    <template v-else-if="criterion.kind === 'near-example'">
      <select class="field" aria-label="Near or far" :value="String(criterion.near)" @change="change({ near: textOf($event) === 'true' })"><option value="true">near</option><option value="false">far from</option></select>
      <input class="field wide" aria-label="The example" :value="criterion.example" @input="change({ example: textOf($event) })" />
    </template>
    <template v-else-if="criterion.kind === 'says'">
      <select class="field" aria-label="Says or never" :value="String(criterion.never)" @change="change({ never: textOf($event) === 'true' })"><option value="false">says</option><option value="true">never says</option></select>
      <input class="field wide" aria-label="The words" :value="criterion.words" @input="change({ words: textOf($event) })" />
    </template>
    <button type="button" class="plain remove" @click="emit('remove')">Take away</button>
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
[aria-pressed='true'] {
  font-weight: 600;
  text-decoration-color: var(--accent);
  text-decoration-thickness: 2px;
}
.remove {
  margin-left: auto;
}
</style>
