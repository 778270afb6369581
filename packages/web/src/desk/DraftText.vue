<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { DraftSession } from './draft-session.ts'

const props = defineProps<{ session: DraftSession }>()
const host = ref<HTMLElement>()
onMounted(() => {
  host.value?.append(props.session.view.dom)
  if (!props.session.draft.value.text) props.session.view.focus()
})
</script>

<template>
  <div ref="host" class="draft-text" />
</template>

<style scoped>
.draft-text :deep(.cm-editor) {
  min-height: 92px;
  outline: none;
}
.draft-text :deep(.cm-scroller) {
  font-family: var(--serif);
  font-size: 19px;
  line-height: 1.55;
  max-height: 44vh;
  overflow-y: auto;
}
.draft-text :deep(.cm-content) {
  padding: 4px 0;
  caret-color: var(--ink);
}
.draft-text :deep(.cm-line) {
  padding: 0 2px;
}
.draft-text :deep(.cm-cursor) {
  border-left-color: var(--ink);
}
.draft-text :deep(.cm-off) {
  text-decoration: line-through;
  color: var(--soft);
}
.draft-text :deep(.cm-pointed) {
  background: var(--wash);
  box-shadow: 0 2px 0 var(--accent);
}
.draft-text :deep(.cm-placeholder) {
  color: var(--soft);
}
</style>
