<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import type { IdeasAnswer } from '@idolon/core/helper'
import { computed, ref, watch } from 'vue'
import { counted } from '../shared/said.ts'

/** Ideas by number: pick any or all, ask for more like one, unlike others. */
const props = defineProps<{ turn: Turn; busy: boolean; canReplace?: boolean }>()
const emit = defineEmits<{ make: [ideas: string[]]; replace: [idea: string]; more: [like: string, unlike: string[]] }>()
const ideas = computed(() => (props.turn.value as IdeasAnswer | null)?.ideas ?? [])
const chosen = ref<Set<number>>(new Set())
const disliked = ref<Set<number>>(new Set())
watch(
  () => props.turn.id,
  () => {
    chosen.value = new Set()
    disliked.value = new Set()
  },
)
function toggled(which: ReadonlySet<number>, place: number): Set<number> {
  const next = new Set(which)
  if (!next.delete(place)) next.add(place)
  return next
}
const picked = computed(() => ideas.value.filter((_, place) => chosen.value.has(place)))
const not = computed(() => ideas.value.filter((_, place) => disliked.value.has(place)))
/** “1, 3, 5-7, 9-”: chosen by number. */
function byNumber(text: string): void {
  const places = text.split(/[,;\s]+/).filter(Boolean).flatMap((part) => {
    const [first = '', last = first] = part.split(/[-–]/)
    const [from, to] = [Number(first || 1), Number(last || ideas.value.length)]
    return Array.from({ length: Math.max(0, Math.min(ideas.value.length, to) - from + 1) }, (_, i) => from + i - 1)
  })
  chosen.value = new Set(places.filter((place) => Number.isInteger(place) && place >= 0 && place < ideas.value.length))
}
</script>

<template>
  <div class="ideas">
    <ol>
      <li v-for="(idea, place) in ideas" :key="idea">
        <v-checkbox :model-value="chosen.has(place)" class="idea" @update:model-value="chosen = toggled(chosen, place)"><template #label><span class="number">{{ place + 1 }}</span> {{ idea }}</template></v-checkbox>
        <span class="row-actions">
          <v-btn v-if="canReplace" variant="text" :aria-label="`Write the draft anew from idea ${place + 1}`" @click="emit('replace', idea)">Into this draft</v-btn>
          <v-btn variant="text" :disabled="busy" :aria-label="`More like idea ${place + 1}`" @click="emit('more', idea, not)">More like this</v-btn>
          <v-btn variant="text" :aria-pressed="disliked.has(place)" :aria-label="`Not like idea ${place + 1}`" @click="disliked = toggled(disliked, place)">{{ disliked.has(place) ? 'not like this' : 'Not this' }}</v-btn>
        </span>
      </li>
    </ol>
    <p class="row-actions">
      <v-btn color="primary" variant="flat" :disabled="picked.length === 0" @click="emit('make', picked)">{{ picked.length > 1 ? `Make ${counted(picked.length, 'prompt')}` : 'Make a prompt of it' }}</v-btn>
      <v-btn @click="chosen = new Set(chosen.size === ideas.length ? [] : ideas.keys())">{{ chosen.size === ideas.length ? 'Choose none' : 'Choose all' }}</v-btn>
      <v-text-field label="Or by number" placeholder="1, 3, 5-7" class="by" @change="byNumber(($event.target as HTMLInputElement).value)" />
    </p>
  </div>
</template>

<style scoped>
.ideas,
ol {
  display: grid;
  gap: 10px;
}
li {
  display: grid;
  gap: 2px;
  padding-bottom: 6px;
  border-bottom: 1px solid var(--rule);
}
.idea {
  font-family: var(--serif);
  font-size: 15.5px;
  cursor: pointer;
}
.number {
  font-family: var(--grotesque);
  font-size: 12.5px;
  color: var(--soft);
  margin-right: 4px;
}
li .row-actions {
  padding-left: 24px;
  font-size: 13px;
}
</style>
