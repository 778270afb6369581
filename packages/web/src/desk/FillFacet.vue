<script setup lang="ts">
import type { Facet } from '@idolon/core'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { usePhrases } from '../stores/phrases.ts'
import { vListField } from '../shared/list-field.ts'

/** Types a phrase for a facet, or chooses one: kept phrases first, then those of proven prompts, then terms that fit what is said. */
const props = defineProps<{ facet: Facet; text: string; suggest: (typed: string, most: number) => Promise<string[]> }>()
const emit = defineEmits<{ fill: [words: string]; close: [] }>()
const phrases = usePhrases()
const typed = ref('')
const chosen = ref(-1)
const terms = ref<string[]>([])
const input = useTemplateRef<HTMLInputElement>('input')
onMounted(() => input.value?.focus())

const KEPT = 12
const PROVEN = 8
const TERMS = 10
let newest = 0
watch(
  () => typed.value,
  async (asked) => {
    const mine = ++newest
    const found = await props.suggest(asked, TERMS)
    if (mine === newest) terms.value = found
  },
  { immediate: true },
)

interface Offer {
  words: string
  source?: string
}
const groups = computed((): { name: string; offers: Offer[] }[] => {
  const asked = typed.value.trim().toLowerCase()
  const already = props.text.toLowerCase()
  const own = phrases.all.filter(({ facet, text }) => facet === props.facet && !already.includes(text.toLowerCase()) && text.toLowerCase().includes(asked))
  const kept = own.filter(({ id }) => id).slice(0, KEPT).map(({ text }): Offer => ({ words: text }))
  const proven = own.flatMap(({ text, from }): Offer[] => (from ? [{ words: text, source: from.title }] : [])).slice(0, PROVEN)
  const said = new Set([...kept, ...proven].map(({ words }) => words.toLowerCase()))
  return [
    { name: 'Kept', offers: kept },
    { name: 'From prompts that worked', offers: proven },
    { name: 'Glossary', offers: terms.value.filter((term) => !said.has(term)).map((words) => ({ words })) },
  ].filter(({ offers }) => offers.length > 0)
})
const offered = computed(() => groups.value.flatMap(({ offers }) => offers))
const placeOf = (offer: Offer) => offered.value.indexOf(offer)

function onKey(event: KeyboardEvent): void {
  if (event.key === 'ArrowDown') chosen.value = Math.min(offered.value.length - 1, chosen.value + 1)
  else if (event.key === 'ArrowUp') chosen.value = Math.max(-1, chosen.value - 1)
  else if (event.key === 'Enter') emit('fill', offered.value[chosen.value]?.words ?? typed.value)
  else if (event.key === 'Escape') emit('close')
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <div class="fill">
    <v-text-field ref="input" v-model="typed" v-list-field :label="`A phrase for ${facet}`" aria-autocomplete="list" :aria-expanded="offered.length > 0" :aria-controls="`terms-${facet}`" :aria-activedescendant="chosen >= 0 ? `term-${facet}-${chosen}` : undefined" placeholder="type, or choose" maxlength="300" @input="chosen = -1" @keydown="onKey" @blur="emit('close')" />
    <div :id="`terms-${facet}`" class="offers" role="listbox" :aria-label="`Phrases for ${facet}`">
      <div v-for="group in groups" :key="group.name" class="group" role="group" :aria-label="group.name">
        <span class="soft" aria-hidden="true">{{ group.name }}</span>
        <span class="words">
          <span
            v-for="offer in group.offers"
            :id="`term-${facet}-${placeOf(offer)}`"
            :key="offer.words"
            class="offer"
            role="option"
            :aria-selected="placeOf(offer) === chosen"
            @mousedown.prevent="emit('fill', offer.words)"
            >{{ offer.words }}{{ ' ' }}<span v-if="offer.source" class="soft source">{{ offer.source }}</span></span
          >
        </span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.fill {
  position: relative;
  display: grid;
  gap: 4px;
}
.offers {
  display: grid;
  gap: 3px;
  padding-bottom: 4px;
}
.group {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 10px;
  align-items: baseline;
}
.group > .soft {
  font-size: 12px;
  line-height: 1.2;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
.offer {
  padding: 1px 2px;
  font-family: var(--serif);
  cursor: pointer;
}
.source {
  font-family: var(--grotesque);
  font-size: 12px;
}
.offer:hover,
.offer[aria-selected='true'] {
  box-shadow: inset 0 -2px 0 var(--accent);
}
</style>
