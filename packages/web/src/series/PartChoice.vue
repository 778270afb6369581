<script setup lang="ts">
import type { Part } from '@idolon/contract'
import { type Aspect, ASPECTS, type PartUse } from '@idolon/core'
import { computed } from 'vue'

/** Which variants of a part a scene has: of each respect one, or none. */
const props = defineProps<{ part: Part; use: PartUse }>()
const emit = defineEmits<{ change: [variants: string[]] }>()
const aspects = computed(() => ASPECTS[props.part.body.kind].filter((aspect) => props.part.body.variants.some((variant) => variant.aspect === aspect)))
const of = (aspect: Aspect) => props.part.body.variants.filter((variant) => variant.aspect === aspect)
const chosen = (aspect: Aspect) => of(aspect).find(({ key }) => props.use.variants.includes(key))?.key ?? ''
function choose(aspect: Aspect, key: string): void {
  const others = props.use.variants.filter((one) => !of(aspect).some((variant) => variant.key === one))
  emit('change', key ? [...others, key] : others)
}
</script>

<template>
  <span class="variants">
    <v-select v-for="aspect in aspects" :key="aspect" :label="aspect" :aria-label="`${aspect} of ${part.body.name}`" :model-value="chosen(aspect)" :items="[{ title: 'none said', value: '' }, ...of(aspect).map((variant) => ({ title: variant.name, value: variant.key }))]" @update:model-value="choose(aspect, $event)" />
  </span>
</template>

<style scoped>
.variants {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
