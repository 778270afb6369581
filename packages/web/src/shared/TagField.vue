<script setup lang="ts">
import type { TagCount } from '@idolon/contract'
import { computed, ref, watch } from 'vue'

/** Tags as words with commas, completed from those in use; a change is told when the field is left or a tag chosen. */
const props = withDefaults(defineProps<{ tags: string[]; known: TagCount[]; label?: string; placeholder?: string }>(), { label: 'Tags', placeholder: 'lantern, night' })
const emit = defineEmits<{ change: [tags: string[]] }>()
const MOST_LETTERS = 60

const chosen = ref<string[]>([])
watch(() => props.tags, (tags) => (chosen.value = [...tags]), { immediate: true })
const items = computed(() => props.known.map(({ tag, count }) => ({ title: tag, value: tag, props: { subtitle: `${count}` } })))

/** Whatever was typed, with or without commas, as tags. */
function take(list: readonly unknown[] | null): void {
  const tags = [...new Set((list ?? []).flatMap((one) => String(one).split(',')).map((tag) => tag.trim().slice(0, MOST_LETTERS)).filter(Boolean))]
  chosen.value = tags
  if (tags.join('\n') !== props.tags.join('\n')) emit('change', tags)
}
</script>

<template>
  <v-combobox class="tag-field" :model-value="chosen" :items="items" :return-object="false" :label="label" :placeholder="chosen.length ? '' : placeholder" multiple hide-selected :delimiters="[',']" hide-no-data menu-icon="" @update:model-value="take" />
</template>

<style scoped>
.tag-field {
  min-width: 120px;
}
</style>
