<script setup lang="ts">
import { type Facet, TERMS_BY_FACET } from '@idolon/core'
import { computed, onMounted, ref, useTemplateRef } from 'vue'

/** Types a phrase for a facet, with terms of the glossary that the text does not say yet. */
const props = defineProps<{ facet: Facet; text: string }>()
const emit = defineEmits<{ fill: [words: string]; close: [] }>()
const typed = ref('')
const chosen = ref(-1)
const input = useTemplateRef<HTMLInputElement>('input')
onMounted(() => input.value?.focus())

const SHOWN = 8
const offered = computed(() => {
  const asked = typed.value.trim().toLowerCase()
  const already = props.text.toLowerCase()
  return TERMS_BY_FACET[props.facet].filter((term) => !already.includes(term) && (asked === '' || term.includes(asked))).sort((a, b) => Number(b.startsWith(asked)) - Number(a.startsWith(asked))).slice(0, SHOWN)
})
function onKey(event: KeyboardEvent): void {
  if (event.key === 'ArrowDown') chosen.value = Math.min(offered.value.length - 1, chosen.value + 1)
  else if (event.key === 'ArrowUp') chosen.value = Math.max(-1, chosen.value - 1)
  else if (event.key === 'Enter') emit('fill', offered.value[chosen.value] ?? typed.value)
  else if (event.key === 'Escape') emit('close')
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <div class="fill">
    <input
      ref="input"
      v-model="typed"
      class="field"
      role="combobox"
      aria-autocomplete="list"
      :aria-expanded="offered.length > 0"
      :aria-controls="`terms-${facet}`"
      :aria-activedescendant="chosen >= 0 ? `term-${facet}-${chosen}` : undefined"
      :aria-label="`A phrase for ${facet}`"
      placeholder="type, or choose"
      maxlength="300"
      @input="chosen = -1"
      @keydown="onKey"
      @blur="emit('close')"
    />
    <ul :id="`terms-${facet}`" role="listbox" :aria-label="`Terms for ${facet}`">
      <li v-for="(term, i) in offered" :id="`term-${facet}-${i}`" :key="term" role="option" :aria-selected="i === chosen" @mousedown.prevent="emit('fill', term)">{{ term }}</li>
    </ul>
    <p class="soft small">Terms of the glossary</p>
  </div>
</template>

<style scoped>
.fill {
  position: relative;
  display: grid;
  gap: 4px;
}
input {
  max-width: 340px;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
li {
  padding: 1px 2px;
  font-family: var(--serif);
  cursor: pointer;
}
li:hover,
li[aria-selected='true'] {
  box-shadow: inset 0 -2px 0 var(--accent);
}
.small {
  font-size: 12px;
}
</style>
