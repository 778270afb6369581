<script setup lang="ts">
import type { TagCount } from '@idolon/contract'
import { computed, ref, useId, watch } from 'vue'

/** Tags as plain words with commas; what is typed is completed from the tags in use. */
const props = defineProps<{ tags: string[]; known: TagCount[]; label: string }>()
const emit = defineEmits<{ change: [tags: string[]] }>()

const id = useId()
const text = ref('')
const at = ref(-1)
const focused = ref(false)
watch(
  () => props.tags.join(', '),
  (joined) => {
    if (!focused.value) text.value = joined
  },
  { immediate: true },
)

const split = (value: string) => [...new Set(value.split(',').map((tag) => tag.trim().slice(0, 60)).filter(Boolean))]
const last = computed(() => text.value.split(',').at(-1)?.trim().toLowerCase() ?? '')
const offered = computed(() => {
  if (!focused.value || !last.value) return []
  const there = new Set(split(text.value.split(',').slice(0, -1).join(',')))
  return props.known.filter(({ tag }) => tag.toLowerCase().startsWith(last.value) && tag.toLowerCase() !== last.value && !there.has(tag)).slice(0, 7)
})

function take(tag: string): void {
  const before = text.value.split(',').slice(0, -1).map((part) => part.trim()).filter(Boolean)
  text.value = [...before, tag].join(', ') + ', '
  at.value = -1
}
function settle(): void {
  focused.value = false
  const tags = split(text.value)
  text.value = tags.join(', ')
  if (tags.join('\n') !== props.tags.join('\n')) emit('change', tags)
}
function onKey(event: KeyboardEvent): void {
  const choice = offered.value[at.value]
  if (event.key === 'ArrowDown' && offered.value.length) at.value = (at.value + 1) % offered.value.length
  else if (event.key === 'ArrowUp' && offered.value.length) at.value = (at.value + offered.value.length - 1) % offered.value.length
  else if ((event.key === 'Enter' || event.key === 'Tab') && choice) take(choice.tag)
  else if (event.key === 'Enter') (event.target as HTMLInputElement).blur()
  else if (event.key === 'Escape') {
    text.value = props.tags.join(', ')
    ;(event.target as HTMLInputElement).blur()
  } else {
    at.value = -1
    return
  }
  event.preventDefault()
}
</script>

<template>
  <div class="tag-field">
    <input
      :id="id"
      v-model="text"
      class="field"
      :aria-label="label"
      role="combobox"
      autocomplete="off"
      aria-autocomplete="list"
      :aria-expanded="offered.length > 0"
      :aria-controls="`${id}-list`"
      :aria-activedescendant="at >= 0 ? `${id}-${at}` : undefined"
      placeholder="Tags, with commas"
      @focus="focused = true"
      @blur="settle"
      @keydown="onKey"
    />
    <ul v-show="offered.length" :id="`${id}-list`" role="listbox" :aria-label="`${label} in use`">
      <li v-for="(choice, i) in offered" :id="`${id}-${i}`" :key="choice.tag" role="option" :aria-selected="i === at" @mousedown.prevent="take(choice.tag)">
        {{ choice.tag }} <span class="soft">{{ choice.count }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.tag-field {
  position: relative;
  min-width: 0;
}
input {
  width: 100%;
  border-color: transparent;
  background: transparent;
}
input:hover,
input:focus {
  border-color: var(--rule-strong);
  background: var(--sheet);
}
ul {
  position: absolute;
  z-index: 20;
  left: 0;
  top: 100%;
  min-width: 180px;
  background: var(--sheet);
  border: 1px solid var(--rule-strong);
}
li {
  padding: 4px 10px;
  cursor: pointer;
}
li[aria-selected='true'],
li:hover {
  background: var(--wash);
}
</style>
